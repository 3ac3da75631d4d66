"""Ink to typed text: where it stood, as large as it was; words apart, and the lines of a sum, each by itself."""

from __future__ import annotations

import math
import statistics
from collections.abc import Iterable

import msgspec

from sunroom.core.board.items import InkItem, Kind, TextItem, carried, item_box
from sunroom.core.board.requests.columns import LEAST_SIZE, MOST_SIZE, are_columns, typed_in_columns
from sunroom.core.geometry import Affine, Box
from sunroom.core.text import Span, Typesetter
from sunroom.core.text.fonts import BASELINE

#: Typed text follows the width of its ink within these parts of the size that its height asks for.
WIDER_THAN_HIGH = (0.7, 1.25)
#: A line that runs off level by less than this is meant to be level.
LEAST_TILT = math.radians(6)
#: A line so many times as large as those it stands by is a heading, and a text of its own.
HEADING = 1.5


class FormulaInText(msgspec.Struct, frozen=True):
    """Characters ``start`` up to ``end`` of a text that are a formula among its words, and the strokes of it."""

    start: int
    end: int
    ids: tuple[str, ...]


class Typeset(msgspec.Struct, frozen=True, tag_field="step", tag="typeset"):
    """Ink ``ids`` to the typed ``text``; ``id`` for the new item, ``angle_rad`` by which the line runs off level.

    Lines that stand beside each other become items of their own: ``more`` are their ids, ``lines`` the strokes of each.
    ``formulas`` are those among the words, from the left.
    """

    page: str
    ids: tuple[str, ...]
    id: str
    text: str
    angle_rad: float = 0.0
    more: tuple[str, ...] = ()
    lines: tuple[tuple[str, ...], ...] = ()
    formulas: tuple[FormulaInText, ...] = ()

    @property
    def spans(self) -> tuple[Span, ...]:
        return tuple(Span(formula.start, formula.end, maths=True) for formula in self.formulas)

    @property
    def signs(self) -> set[str]:
        """The strokes of its formulas."""
        return {uid for formula in self.formulas for uid in formula.ids}


def texts_of(
    request: Typeset, strokes: list[InkItem], typesetter: Typesetter
) -> list[tuple[TextItem, list[InkItem]]]:
    """The typed texts with the ink of each."""
    if summed := _in_columns(request, strokes, typesetter):
        return summed
    return [(_typed(text, ink, typesetter), ink) for text, ink in _apart(request, strokes, typesetter)]


def _in_columns(
    request: Typeset, strokes: list[InkItem], typesetter: Typesetter
) -> list[tuple[TextItem, list[InkItem]]]:
    """The rows of a sum in columns or of a long division, each by itself; none when the text is neither."""
    rows, ids = request.text.split("\n"), (request.id, *request.more)
    inks = inks_of(request.lines, strokes)
    if request.formulas or not len(rows) == len(inks) <= len(ids) or not are_columns(rows):
        return []
    tilted = abs(request.angle_rad) >= LEAST_TILT
    level = [[_turned(stroke, -request.angle_rad) for stroke in ink] if tilted else ink for ink in inks]
    texts = typed_in_columns(ids, rows, level, typesetter)
    if tilted:
        texts = [_turned(text, request.angle_rad) for text in texts]
    return list(zip(texts, inks, strict=True)) if texts else []


def _apart(
    request: Typeset, strokes: list[InkItem], typesetter: Typesetter
) -> list[tuple[Typeset, list[InkItem]]]:
    """The text with its ink, or what of it stands beside the rest or is larger by itself, each with the lines below it."""
    inks = inks_of(request.lines, strokes)
    if request.text.count("\n") + 1 != len(inks):
        return [(request, strokes)]
    columns: list[tuple[Box, list[Typeset], list[InkItem], float]] = []
    for row, ink in zip(_rows_of(request), inks, strict=True):
        box = _box(ink)
        size = typesetter.size_of(_words(row.text, row.spans), _box(of_words(ink, row.signs)).height)
        for number in reversed(range(len(columns))):
            column, above, over, large = columns[number]
            if box.x0 < column.x1 and column.x0 < box.x1:
                if max(size, large) <= HEADING * min(size, large):
                    mean = (large * len(above) + size) / (len(above) + 1)
                    columns[number] = (Box.union((column, box)) or box, [*above, row], [*over, *ink], mean)
                else:
                    columns.append((box, [row], ink, size))
                break
        else:
            columns.append((box, [row], ink, size))
    ids = (request.id, *request.more)
    if len(columns) > len(ids):
        return [(request, strokes)]
    return [(_one_text(uid, rows), ink) for uid, (_, rows, ink, _) in zip(ids, columns, strict=False)]


def _rows_of(request: Typeset) -> list[Typeset]:
    """Each line of a text by itself, with the formulas in it."""
    rows, start = [], 0
    for text in request.text.split("\n"):
        end = start + len(text)
        inside = [formula for formula in request.formulas if start <= formula.start < end]
        formulas = tuple(_further(formula, -start) for formula in inside)
        rows.append(msgspec.structs.replace(request, text=text, formulas=formulas))
        start = end + 1
    return rows


def _one_text(uid: str, rows: list[Typeset]) -> Typeset:
    """Lines below each other as one text."""
    formulas, start = [], 0
    for row in rows:
        formulas += [_further(formula, start) for formula in row.formulas]
        start += len(row.text) + 1
    text = "\n".join(row.text for row in rows)
    return msgspec.structs.replace(rows[0], id=uid, text=text, formulas=tuple(formulas))


def _further(formula: FormulaInText, by: int) -> FormulaInText:
    return msgspec.structs.replace(formula, start=formula.start + by, end=formula.end + by)


def inks_of(lines: tuple[tuple[str, ...], ...], strokes: list[InkItem]) -> list[list[InkItem]]:
    """The strokes of each line; none when they are not just those that there are."""
    line_of = {uid: number for number, line in enumerate(lines) for uid in line}
    inks: list[list[InkItem]] = [[] for _ in lines]
    for stroke in strokes:
        if stroke.id in line_of:
            inks[line_of[stroke.id]].append(stroke)
    return inks if all(inks) and sum(map(len, inks)) == len(strokes) else []


def of_words(strokes: list[InkItem], signs: set[str]) -> list[InkItem]:
    """The strokes of a text that are not among the signs of its formulas: it is as large as its words were; all, without such."""
    return [stroke for stroke in strokes if stroke.id not in signs] or strokes


def _words(text: str, spans: tuple[Span, ...]) -> str:
    """A text without its formulas, of which the typed form says nothing about their height."""
    for span in reversed(spans):
        if span.maths:
            text = text[: span.start] + text[span.end :]
    return text


def _box(strokes: Iterable[InkItem]) -> Box:
    box = Box.union(item_box(stroke) for stroke in strokes)
    assert box is not None
    return box


def _typed(request: Typeset, strokes: list[InkItem], typesetter: Typesetter) -> TextItem:
    """Text that stands where its ink stood: as high as the letters written, about as wide, running as they do."""
    tilted = abs(request.angle_rad) >= LEAST_TILT
    if tilted:
        strokes = [_turned(stroke, -request.angle_rad) for stroke in strokes]
    box, written = _box(strokes), of_words(strokes, request.signs)
    by_height = typesetter.size_of(_words(request.text, request.spans), _box(written).height)
    by_width = box.width / max(typesetter.width(request.text, 1.0, request.spans), 0.01)
    low, high = (share * by_height for share in WIDER_THAN_HIGH)
    size = round(min(max(by_width, low, LEAST_SIZE), max(high, LEAST_SIZE), MOST_SIZE), 1)
    colour = statistics.mode(stroke.colour for stroke in strokes)
    text = TextItem(id=request.id, x=box.x0, text=request.text, size=size, colour=colour, spans=request.spans)
    text = as_large(text, size, written, typesetter)
    return _turned(text, request.angle_rad) if tilted else text


def as_large(text: TextItem, size: float, written: list[InkItem], typesetter: Typesetter) -> TextItem:
    """A level text of that size in the middle of the height of its words' ink."""
    box, words = _box(written), _words(text.text, text.spans)
    # The ink's upper edge is the top of the first line's tallest letter.
    above, _ = typesetter.extent(words.split("\n")[0])
    spare = box.height * (1 - size / typesetter.size_of(words, box.height))
    top = box.y0 + spare / 2 - size * (BASELINE - above)
    lines = typesetter.layout(text.text, size, spans=text.spans)
    return msgspec.structs.replace(text, y=top, size=size, lines=lines)


def _turned(item: Kind, angle_rad: float) -> Kind:
    return carried(item, Affine.turn(angle_rad))
