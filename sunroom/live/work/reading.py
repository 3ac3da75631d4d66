"""What ink may be, asked of the workers, and corrections from which a person's own hand is learned."""

from __future__ import annotations

import asyncio
import logging
from collections import Counter
from collections.abc import Iterable, Sequence

from sunroom.core.board import Board, InkItem, Page, ShapeItem
from sunroom.core.board.beside import figures_beside, ink_beside, word_beside
from sunroom.core.board.items import item_box
from sunroom.core.board.words import expected_words, typed_words
from sunroom.core.errors import MalformedError
from sunroom.core.maths.setting import Setting
from sunroom.core.maths.signs import shown_sign
from sunroom.core.maths.written import FormulaReading
from sunroom.core.reading import ReadLine, taken_unasked
from sunroom.core.reading.own_hand import Sample
from sunroom.core.reading.reader import MAX_STROKES
from sunroom.core.sentences import said
from sunroom.core.shapes import Part
from sunroom.core.shapes.even import Neighbour
from sunroom.live.wire.readings import (
    FormulaPiece,
    FormulaRead,
    LinePart,
    LineRead,
    MapLabel,
    MapLine,
    MindMap,
    Pieces,
    Read,
    Readings,
    SignName,
    SignRead,
    SketchPart,
    Teach,
)
from sunroom.live.work import ink_jobs, ink_pieces, workers
from sunroom.rooms import hands
from sunroom.rooms.models import Hand

logger = logging.getLogger(__name__)

#: The strokes of a line, and what it says.
Corrected = tuple[tuple[ink_jobs.PlacedStroke, ...], str]
#: More corrected signs than this are not heeded.
MAX_CHOSEN = 80
#: A correction of more lines than this is not learned from.
MAX_TAUGHT = 20


async def read(board: Board, message: Read, language: str, names: Iterable[str] = ()) -> Readings:
    """The answer to a browser that asks what some strokes may be; ``names`` are those of the room's people."""
    page = board.pages.get(message.page)
    ink = _ink(page, message.ids)
    if not ink or page is None:
        return Readings(message.ref, problem=said("there-is-no-ink-to"))
    if len(ink) > MAX_STROKES:
        sentence = said("that-is-more-than-strokes", strokes=MAX_STROKES)
        return Readings(message.ref, problem=sentence)
    strokes = tuple((item.samples, item.placement) for item in ink)
    # All of the page is looked at for that: not in the loop.
    beside, word, figures = await asyncio.to_thread(_around, page, ink)
    expected = await asyncio.to_thread(lambda: expected_words((*names, *typed_words(page))))
    (writer, _), *_ = Counter(item.by for item in ink).most_common(1)
    try:
        hand = await asyncio.to_thread(hands.ink_of_seat, writer)
        branch_of = item_box(word) if word else None
        maths = not message.unasked
        chosen = _chosen(message, [item.id for item in ink])
        found = await workers.read(
            strokes, language, beside, hand, branch_of, figures, expected, maths, chosen
        )
    except Exception:
        logger.exception("Reading %d strokes", len(strokes))
        return Readings(message.ref, problem=said("this-ink-could-not-be"))
    seen = found.readings or found.figures or found.sketch or found.formulas
    problem = None if seen else said("this-cannot-be-read-the")
    ids = [item.id for item in ink]
    sketch, even = (_sketch(parts, ids) for parts in (found.sketch, found.even))
    return Readings(
        message.ref,
        found.readings,
        _lines(found.lines, ids),
        found.figures,
        sketch,
        even,
        found.figure_first,
        _formulas(found.formulas, ids),
        found.maths_first,
        _mind_map(found, ids, word.id if word else ""),
        _pieces(found.pieces, ids),
        found.pieces_first,
        problem,
        taken_unasked(found.readings, found.figures[0].score if found.figures else 0.0, found.figure_first),
    )


def _around(
    page: Page, ink: list[InkItem]
) -> tuple[tuple[ink_jobs.PlacedStroke, ...], ShapeItem | None, tuple[Neighbour, ...]]:
    """The ink beside some ink, the mind map's word that it may branch off, and the figures near it."""
    beside = ink_beside(page, {item.id for item in ink})
    placed = tuple((item.samples, item.placement) for item in beside)
    return placed, word_beside(page, ink), figures_beside(page, ink)


def _chosen(message: Read, ids: list[str]) -> tuple[tuple[tuple[int, ...], str], ...]:
    """Signs that somebody has corrected, with their strokes by number."""
    numbers = {item_id: n for n, item_id in enumerate(ids)}
    known = [
        chosen for chosen in message.chosen[:MAX_CHOSEN] if chosen.ids and set(chosen.ids) <= set(numbers)
    ]
    return tuple((tuple(sorted(numbers[each] for each in chosen.ids)), chosen.name[:32]) for chosen in known)


def _lines(lines: Iterable[ReadLine], ids: list[str]) -> tuple[LineRead, ...]:
    return tuple(_line(line, ids) for line in lines)


def _line(line: ReadLine, ids: list[str], parts: Iterable[ink_pieces.LinePart] = ()) -> LineRead:
    shown = tuple(
        LinePart(
            part.text,
            _formulas([part.formula], ids)[0] if part.formula else None,
            tuple(ids[n] for n in part.members),
        )
        for part in parts
    )
    return LineRead(line.rivals, tuple(ids[n] for n in line.members), line.box, line.angle_rad, shown)


def _sketch(parts: Iterable[Part], ids: list[str]) -> tuple[SketchPart, ...]:
    return tuple(SketchPart(p.figure, tuple(ids[n] for n in p.members), p.holds) for p in parts)


def _pieces(found: ink_pieces.Pieces | None, ids: list[str]) -> Pieces | None:
    if found is None:
        return None
    texts = tuple(tuple(_line(each.line, ids, each.parts) for each in text) for text in found.texts)
    formulas = tuple(
        FormulaPiece(
            _formulas([(one.reading, one.setting)], ids)[0], tuple(ids[n] for n in one.members), one.box
        )
        for one in found.formulas
    )
    return Pieces(texts, formulas, _sketch(found.figures, ids))


def _formulas(found: Sequence[tuple[FormulaReading, Setting]], ids: list[str]) -> tuple[FormulaRead, ...]:
    made: list[FormulaRead] = []
    for reading, look in found:
        signs = tuple(
            SignRead(
                _named(sign.name),
                tuple(ids[n] for n in sign.members),
                sign.line,
                tuple(map(_named, sign.rivals)),
            )
            for sign in (() if made else reading.signs)
        )
        lines = tuple(tuple(ids[n] for n in line) for line in reading.lines)
        shown = look.outline, look.width, look.height, look.baseline, signs, lines if len(lines) > 1 else ()
        made.append(FormulaRead(reading.latex, reading.score, *shown))
    return tuple(made)


def _named(name: str) -> SignName:
    return SignName(name, shown_sign(name))


def _mind_map(found: ink_jobs.InkRead, ids: list[str], of: str) -> MindMap | None:
    if found.mind_map is None:
        return None
    members = [tuple(ids[n] for n in label) for label in found.mind_map.labels]
    labels = tuple(MapLabel(label, text) for label, text in zip(members, found.labels, strict=True))
    lines = tuple(MapLine(tuple(ids[n] for n in li.members), li.ends) for li in found.mind_map.links)
    return MindMap(labels, lines, found.mind_map.centre, of)


def corrected(board: Board, message: Teach, seat: str) -> list[Corrected]:
    """A person's own ink of the lines they corrected, as it lies on the board at this moment."""
    page = board.pages.get(message.page)
    lines = []
    for line in message.lines[:MAX_TAUGHT]:
        ink = [item for item in _ink(page, line.ids) if item.by == seat]
        if 0 < len(ink) <= MAX_STROKES:
            lines.append((tuple((item.samples, item.placement) for item in ink), line.text))
    return lines


async def teach(lines: list[Corrected], seat: str, language: str) -> None:
    """Learn from what lines really say, when their writer keeps an own hand."""
    try:
        hand = await asyncio.to_thread(hands.ink_of_seat, seat)
        for strokes, text in lines if hand else ():
            found = await workers.run(ink_jobs.taught_by, strokes, text, language, hand)
            await asyncio.to_thread(_keep, seat, found)
    except Exception:
        logger.exception("Learning from a corrected reading")


def _keep(seat: str, found: list[Sample]) -> None:
    hand = Hand.objects.filter(seats__uid=seat).first()
    if hand is None:
        return
    for text, strokes in found:
        try:
            hands.keep_sample(hand, text, strokes, taught=True)
        except MalformedError as error:
            logger.info("What a corrected line has is no sample: %s", error)


def _ink(page: Page | None, ids: tuple[str, ...]) -> list[InkItem]:
    """The strokes of these that are there and may be writing."""
    items = [page.items.get(item_id) for item_id in dict.fromkeys(ids)] if page else []
    return [item for item in items if isinstance(item, InkItem) and item.nib != "highlighter"]
