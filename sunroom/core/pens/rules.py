"""The one function that decides every action, from the widest rule to the narrowest.

Lesson, person, page, bay, item: the narrowest that speaks wins, except that an onlooker and a lock always
refuse. Every verdict carries a reason that can be said to the person.
"""

from __future__ import annotations

from collections.abc import Sequence
from functools import cache
from typing import Literal

import msgspec

from sunroom.core.pens.facts import BESIDE, Actor, BayFacts, Facts, Target
from sunroom.core.pens.kits import WITHOUT_PEN, Right, whole_kit
from sunroom.core.sentences import Sentence, said

#: A stroke begun while it was allowed is kept when it ends within this time after pens went down.
GRACE_MS = 3_000

Action = Literal[
    "add_ink",
    "add_text",
    "add_note",
    "add_picture",
    "add_shape",
    "add_formula",
    "change",
    "remove",
    "convert",
    "lock",
    "add_page",
    "change_page",
    "remove_page",
    "point",
    "hand",
    "chat_all",
    "chat_tutor",
    "lead_view",
    "set_pens",
    "pass_pen",
    "set_rights",
    "set_role",
    "send_away",
    "set_between",
    "end_lesson",
    "hand_over",
    "admit",
    "count_down",
    "ask_check",
    "answer_check",
    "react",
    "rename_self",
    "speak",
    "show_face",
    "record_voice",
    "caption",
]

#: The right in a kit that an action asks for; None: the role alone decides.
ACTIONS: dict[Action, Right | None] = {
    "add_ink": "write",
    "add_text": "text",
    "add_note": "note",
    "add_picture": "bring_in",
    "add_shape": "shape",
    "add_formula": "maths",
    "change": "move_own",
    "remove": "move_own",
    "convert": "convert",
    "add_page": "add_page",
    "change_page": "add_page",
    "remove_page": "add_page",
    "lock": None,
    "point": "point",
    "hand": None,
    "chat_all": "chat_all",
    "chat_tutor": "chat_tutor",
    "lead_view": None,
    "set_pens": None,
    "pass_pen": None,
    "set_rights": None,
    "set_role": None,
    "send_away": None,
    "set_between": None,
    "end_lesson": None,
    "hand_over": None,
    "admit": None,
    "count_down": None,
    "ask_check": None,
    "answer_check": None,
    "react": "chat_all",
    "rename_self": None,
    "speak": None,
    "show_face": None,
    "record_voice": None,
    "caption": None,
}

#: What only the tutor side may do, and of that what only the tutor.
LEADING: frozenset[Action] = frozenset(
    {
        "lock",
        "lead_view",
        "set_pens",
        "pass_pen",
        "set_rights",
        "set_role",
        "send_away",
        "set_between",
        "end_lesson",
        "hand_over",
        "admit",
        "count_down",
        "ask_check",
        "record_voice",
        "caption",
    }
)
#: What every student may do, with a pen or without.
ALWAYS: frozenset[Action] = frozenset({"hand", "answer_check", "rename_self"})
#: What is done in the call; pages have nothing to do with it.
CALLING: frozenset[Action] = frozenset({"speak", "show_face"})
TUTOR_ONLY: frozenset[Action] = frozenset(
    {"set_role", "set_between", "end_lesson", "hand_over", "record_voice"}
)

#: What is done to a page itself, its title, paper, place and being there: for who made it.
TO_A_PAGE: frozenset[Action] = frozenset({"change_page", "remove_page"})

#: Every reason there is; its sentence stands in the catalogue as “reason-…”.
REASONS = (
    "allowed",
    "passed",
    "up",
    "grace",
    "onlooker",
    "locked",
    "pens_down",
    "no_pen",
    "withheld",
    "expired",
    "paused",
    "page_hidden",
    "page_tutor_side",
    "page_of_another",
    "page_open",
    "desk_yours",
    "desk_of_another",
    "bay_tutor_side",
    "bay_open",
    "bay_yours",
    "bay_of_others",
    "outside_bay",
    "not_in_kit",
    "no_chat",
    "not_yours",
    "tutor_side_only",
    "tutor_only",
    "between_view",
    "between_closed",
    "muted",
    "unseen",
    "voices_pens",
    "voices_tutor_side",
    "faces_pens",
    "faces_tutor_side",
    "no_lesson",
)


class Verdict(msgspec.Struct, frozen=True):
    """The answer: whether it is allowed, why (one of ``REASONS``), and the sentence."""

    allowed: bool
    reason: str
    sentence: Sentence


def decide(actor: Actor, action: Action, target: Target, facts: Facts, now_ms: int) -> Verdict:
    """Whether ``actor`` may do ``action`` on ``target`` at ``now_ms`` (the server's clock); never raises."""
    if actor.role == "onlooker":
        return _verdict(False, "onlooker", facts)
    if actor.tutor_side:
        takes_back = action == "hand_over" and actor.owner
        if action in TUTOR_ONLY and actor.role != "tutor" and not takes_back:
            return _verdict(False, "tutor_only", facts)
        if target.locked and actor.role != "tutor":
            return _verdict(False, "locked", facts)
        return _verdict(True, "allowed", facts)
    if action in LEADING:
        return _verdict(False, "tutor_side_only", facts)
    if action in CALLING:
        return _decide_call(actor.seat, action, facts, now_ms)
    if target.hidden:
        return _verdict(False, "page_hidden", facts)
    if target.locked:
        return _verdict(False, "locked", facts)
    if action in ALWAYS:
        return _verdict(True, "allowed", facts)
    return _decide_student(actor, action, target, facts, now_ms)


class BayStanding(msgspec.Struct, frozen=True):
    """Whether and why a person may write in a bay."""

    bay: str
    writing: Verdict


class Standing(msgspec.Struct, frozen=True):
    """What a person may do on a page just now, for the interface to show; the server asks again each time.

    Attributes
    ----------
    allowed, on_others
        What may be done with own things, and with what others made, in some part of the page.
    writing : Verdict
        Whether and why ink may be added beside the bays, or in one of them when not.
    bays : tuple of BayStanding
        The same for each bay whose rule is its own.
    until_ms : int or None
        When a pen that was passed for minutes ends.
    """

    allowed: tuple[Action, ...]
    on_others: tuple[Action, ...]
    writing: Verdict
    bays: tuple[BayStanding, ...] = ()
    until_ms: int | None = None


def standing(
    actor: Actor, page: Target, bays: Sequence[tuple[str, BayFacts]], facts: Facts, now_ms: int
) -> Standing:
    """All that ``actor`` may do on a page.

    Parameters
    ----------
    page : Target
        With the page's rule and owner.
    bays : sequence of (str, BayFacts)
        Its bays by id.
    """
    # Of bays for some people it matters only whether this person is one of them.
    mine = [
        msgspec.structs.replace(bay, people=(actor.seat,) if actor.seat in bay.people else ())
        for _, bay in bays
    ]
    places = list(dict.fromkeys([BESIDE, *(bay for bay in mine if bay.rule != "page")]))

    def allowed(owners: frozenset[str]) -> tuple[Action, ...]:
        targets = [msgspec.structs.replace(page, bays=(place,), owners=owners) for place in places]
        return tuple(a for a in ACTIONS if any(decide(actor, a, t, facts, now_ms).allowed for t in targets))

    @cache
    def writing_in(bay: BayFacts) -> Verdict:
        return decide(actor, "add_ink", msgspec.structs.replace(page, bays=(bay,)), facts, now_ms)

    pen = next((pen for pen in facts.passed if pen.seat == actor.seat), None)
    until_ms = pen.until_ms if pen and facts.mode == "passed" else None
    in_bays = tuple(
        BayStanding(bay_id, writing_in(bay))
        for (bay_id, _), bay in zip(bays, mine, strict=True)
        if bay.rule != "page"
    )
    writing = writing_in(BESIDE)
    if not writing.allowed:
        writing = next((bay.writing for bay in in_bays if bay.writing.allowed), writing)
    others = frozenset({"somebody else"})
    return Standing(allowed(frozenset()), allowed(others), writing, in_bays, until_ms)


def _decide_student(actor: Actor, action: Action, target: Target, facts: Facts, now_ms: int) -> Verdict:
    right = ACTIONS[action]
    if right in WITHOUT_PEN:
        allowed = right in facts.rights_of(actor.seat)
        return _verdict(allowed, "allowed" if allowed else "no_chat", facts)
    writing = _may_write(actor.seat, target, facts, now_ms)
    if not writing[0] and _in_grace(action, target, facts, now_ms):
        writing = (True, "grace")
    rights = whole_kit(facts.rights_of(actor.seat)) if writing[0] else frozenset[Right]()
    # A pointer can be given without a pen: to all, or by a kit that holds it, which is heard even when pens are down.
    lent = facts.pointing and facts.open and not facts.paused
    if action == "point" and (lent or "point" in dict(facts.kits).get(actor.seat, ())):
        return _verdict(True, "allowed", facts)
    if right not in rights:
        return _verdict(False, "not_in_kit" if writing[0] else writing[1], facts)
    if action in TO_A_PAGE and target.page_of != actor.seat:
        return _verdict(False, "page_of_another", facts)
    others = target.owners - {actor.seat}
    if others and ("erase_others" if action in ("remove", "remove_page") else "change_others") not in rights:
        return _verdict(False, "not_yours", facts)
    return _verdict(True, writing[1], facts)


def _decide_call(seat: str, action: Action, facts: Facts, now_ms: int) -> Verdict:
    """Whether a student may speak, or send a picture: the single person before the rule for all."""
    speaks = action == "speak"
    who, barred = (facts.voices, facts.muted) if speaks else (facts.faces, facts.unseen)
    if not facts.open:
        return _verdict(False, "no_lesson", facts)
    if seat in barred:
        return _verdict(False, "muted" if speaks else "unseen", facts)
    if who == "all" or seat in facts.called or (who == "pens" and _has_pen(seat, facts, now_ms)[0]):
        return _verdict(True, "allowed", facts)
    return _verdict(False, f"{'voices' if speaks else 'faces'}_{who}", facts)


def _may_write(seat: str, target: Target, facts: Facts, now_ms: int) -> tuple[bool, str]:
    """Whether a student may write wherever the target lies: every place must allow it."""
    verdicts = [_may_write_in(seat, bay, target, facts, now_ms) for bay in target.bays or (BESIDE,)]
    return next((verdict for verdict in verdicts if not verdict[0]), verdicts[0])


def _may_write_in(seat: str, bay: BayFacts, target: Target, facts: Facts, now_ms: int) -> tuple[bool, str]:
    """Bay before page before person and lesson: the narrowest that speaks wins."""
    if facts.open and facts.paused:
        return False, "paused"
    if facts.open or facts.between == "write":
        match bay.rule:
            case "tutor_side":
                return False, "bay_tutor_side"
            case "open":
                return True, "bay_open"
            case "people":
                return (True, "bay_yours") if seat in bay.people else (False, "bay_of_others")
        match target.page:
            case "tutor_side":
                return False, "page_tutor_side"
            case "open":
                return True, "page_open"
            case "desk":
                return (True, "desk_yours") if target.desk_of == seat else (False, "desk_of_another")
    return _has_pen(seat, facts, now_ms)


def _has_pen(seat: str, facts: Facts, now_ms: int) -> tuple[bool, str]:
    """Whether a student holds a pen by the lesson and the person, and the reason."""
    if not facts.open:
        if facts.between == "write":
            return True, "allowed"
        return False, f"between_{facts.between}"
    if facts.mode == "down":
        return False, "pens_down"
    pen = next((pen for pen in facts.passed if pen.seat == seat), None)
    in_time = pen is not None and (pen.until_ms is None or now_ms < pen.until_ms)
    if facts.mode == "up":
        return (False, "withheld") if seat in facts.withheld else (True, "up")
    if in_time:
        return True, "passed"
    return False, "no_pen" if pen is None else "expired"


def _in_grace(action: Action, target: Target, facts: Facts, now_ms: int) -> bool:
    return (
        action == "add_ink"
        and facts.open
        and facts.mode == "down"
        and not facts.paused
        and target.page == "lesson"
        and all(bay.rule == "page" for bay in target.bays)
        and target.begun_ms is not None
        and target.begun_ms < facts.down_at_ms
        and now_ms - facts.down_at_ms <= GRACE_MS
    )


def _verdict(allowed: bool, reason: str, facts: Facts) -> Verdict:
    key = f"reason-{reason.replace('_', '-')}"
    return Verdict(allowed, reason, said(key, writer=facts.writer) if reason == "pens_down" else said(key))
