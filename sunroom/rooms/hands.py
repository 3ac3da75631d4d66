"""People's own hands: samples of how each writes, kept, looked at, thrown away."""

from __future__ import annotations

import unicodedata
from collections.abc import Sequence
from typing import Any

import msgspec
import numpy as np
from django.contrib.sessions.backends.base import SessionBase
from django.db import transaction
from django.db.models import F
from django.db.models.functions import Length
from numpy.typing import NDArray

from sunroom.core.errors import MalformedError
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.reading.own_hand import HandInk
from sunroom.core.sentences import said
from sunroom.rooms.models import Hand, HandSample, Seat
from sunroom.rooms.services import new_uid

#: Of each character the newest samples are kept, and of lines the newest of all; those of the practice page and those
#: taught apart.
MOST_OF_A_CHARACTER, MOST_LINES = 3, 12
MOST_STROKES, MOST_SAMPLES = 8, 1000
#: Of a line: characters, strokes, and samples in all its strokes.
MOST_OF_A_LINE, MOST_LINE_STROKES, MOST_LINE_SAMPLES = 80, 240, 12_000
#: Of a character or a line that has more samples than this some are left out: all that is kept is sent with each answer.
KEPT_SAMPLES, KEPT_LINE_SAMPLES = 200, 2_000
#: All signs of the practice page three times, written and taught, and the lines; of more the oldest go.
MOST_IN_A_HAND = 1_000
#: Of a file so many samples are looked at: all signs of the practice page three times, written and taught.
MOST_BROUGHT_IN = 1000

_encoder = msgspec.msgpack.Encoder()
_decoder = msgspec.msgpack.Decoder(tuple[bytes, ...])


class KeptSample(msgspec.Struct, frozen=True):
    """A sample of a hand; strokes as in core.ink.samples, ``taught`` by a corrected reading."""

    id: int
    text: str
    taught: bool
    strokes: tuple[bytes, ...]


def hand_of(seat: Seat, user: Any, session: SessionBase) -> Hand | None:
    """The hand of whoever sits in ``seat``: the account's, the browser's, or the one the seat knows.

    The seat remembers it, so that what its person has written is read by it.
    """
    own = Hand.objects.filter(owner=user).first() if user.is_authenticated else None
    if own is None and session.get("hand"):
        own = Hand.objects.filter(uid=session["hand"]).first()
    if own is not None and seat.hand_id != own.pk:
        seat.hand = own
        seat.save(update_fields=["hand"])
    return own or seat.hand


def begin_hand(seat: Seat, user: Any, session: SessionBase) -> Hand:
    """The person's hand; a new one when they have none."""
    found = hand_of(seat, user, session)
    if found is not None:
        return found
    hand = Hand.objects.create(uid=new_uid(), owner=user if user.is_authenticated else None)
    session["hand"] = hand.uid
    seat.hand = hand
    seat.save(update_fields=["hand"])
    return hand


def keep_sample(hand: Hand, text: str, strokes: Sequence[bytes], taught: bool = False) -> HandSample:
    """Keep how a character or a line was written; the oldest of too many goes.

    Raises
    ------
    MalformedError
        When it is neither, or its strokes are none or too many or too long.
    """
    text = unicodedata.normalize("NFC", " ".join(text.split()))
    if not 0 < len(text) <= MOST_OF_A_LINE or not text.isprintable():
        raise MalformedError("text", said("a-sample-is-of-one", characters=MOST_OF_A_LINE))
    strokes = _checked_character(strokes) if len(text) == 1 else _checked_line(strokes)
    with transaction.atomic():
        made = HandSample.objects.create(
            hand=hand, text=text, taught=taught, strokes=_encoder.encode(tuple(strokes))
        )
        same = hand.samples.filter(taught=taught).order_by("-pk")
        if len(text) == 1:
            too_many = same.filter(text=text)[MOST_OF_A_CHARACTER:]
        else:
            too_many = same.annotate(length=Length("text")).filter(length__gt=1)[MOST_LINES:]
        oldest = hand.samples.order_by("-pk")[MOST_IN_A_HAND:]
        hand.samples.filter(pk__in=[row.pk for row in (*too_many, *oldest)]).delete()
        _changed(hand)
    return made


def _checked_character(strokes: Sequence[bytes]) -> list[bytes]:
    if not 0 < len(strokes) <= MOST_STROKES:
        raise MalformedError("strokes", said("a-character-is-between-1", strokes=MOST_STROKES))
    rows = [unpack_samples(stroke) for stroke in strokes]
    if any(len(stroke) > MOST_SAMPLES for stroke in rows):
        raise MalformedError("strokes", said("a-stroke-of-a-character"))
    return _thinned(strokes, rows, KEPT_SAMPLES)


def _checked_line(strokes: Sequence[bytes]) -> list[bytes]:
    if not 0 < len(strokes) <= MOST_LINE_STROKES:
        raise MalformedError("strokes", said("a-line-is-between-1", strokes=MOST_LINE_STROKES))
    rows = [unpack_samples(stroke) for stroke in strokes]
    if sum(map(len, rows)) > MOST_LINE_SAMPLES:
        raise MalformedError("strokes", said("a-line-of-a-hand"))
    return _thinned(strokes, rows, KEPT_LINE_SAMPLES)


def _thinned(strokes: Sequence[bytes], rows: list[NDArray[np.float64]], most: int) -> list[bytes]:
    """Strokes with about ``most`` samples together; the last of each stays."""
    step = -(-sum(map(len, rows)) // most)
    if step == 1:
        return list(strokes)
    return [pack_samples(np.vstack([stroke[:-1:step], stroke[-1:]])) for stroke in rows]


def bring_in(hand: Hand, groups: Sequence[tuple[str, Sequence[bytes]]]) -> None:
    """Keep all samples among labelled ink; what is neither a character nor a line is passed over.

    Raises
    ------
    MalformedError
        When none is a sample; nothing is kept then.
    """
    kept = 0
    with transaction.atomic():
        for text, strokes in groups[:MOST_BROUGHT_IN]:
            try:
                keep_sample(hand, text, strokes)
                kept += 1
            except MalformedError:
                continue
    if not kept:
        raise MalformedError("inkml", said("no-sample-of-a-single"))


def throw_away(hand: Hand, sample: int | None = None) -> None:
    """Throw one sample away, or the hand with all of them."""
    if sample is None:
        hand.delete()
        return
    with transaction.atomic():
        hand.samples.filter(pk=sample).delete()
        _changed(hand)


def samples(hand: Hand) -> list[KeptSample]:
    """All samples of a hand in the order in which they were written."""
    rows = hand.samples.order_by("pk")
    return [KeptSample(row.pk, row.text, row.taught, _decoder.decode(bytes(row.strokes))) for row in rows]


def ink_of_seat(seat_uid: str) -> HandInk | None:
    """The hand of a seat's person; None when they have written no sample."""
    hand = Hand.objects.filter(seats__uid=seat_uid).first()
    rows = samples(hand) if hand else []
    if hand is None or not rows:
        return None
    return HandInk(f"{hand.uid}:{hand.version}", tuple((row.text, row.strokes) for row in rows))


def _changed(hand: Hand) -> None:
    Hand.objects.filter(pk=hand.pk).update(version=F("version") + 1)
