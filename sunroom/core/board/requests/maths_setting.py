"""Ink to set formulas: where it stood, about as large; lines of working below each other at their relations."""

from __future__ import annotations

import math
import statistics

import msgspec

from sunroom.core.board.items import FormulaItem, InkItem, item_box
from sunroom.core.board.laying import formula_set
from sunroom.core.board.requests.columns import LEAST_SIZE, MOST_SIZE
from sunroom.core.board.requests.typesetting import inks_of
from sunroom.core.geometry import Box
from sunroom.core.maths.notation import latex_of, lines_of
from sunroom.core.maths.setting import set_row
from sunroom.core.maths.tokens import at_relation
from sunroom.core.maths.typed import read_formula, unmistakable


class SetMaths(msgspec.Struct, frozen=True, tag_field="step", tag="set_maths"):
    """Ink ``ids`` to the set ``formula``; ``id`` for the new item.

    Of several lines of working each becomes an item of its own: ``more`` are their ids, ``lines`` the strokes of each.
    """

    page: str
    ids: tuple[str, ...]
    id: str
    formula: str
    more: tuple[str, ...] = ()
    lines: tuple[tuple[str, ...], ...] = ()


def formulas_of(request: SetMaths, strokes: list[InkItem]) -> list[tuple[FormulaItem, list[InkItem]]]:
    """The formula with its ink, or lines of working, as large as each other and below each other at their relations."""
    rows = lines_of(read_formula(request.formula))
    inks = inks_of(request.lines, strokes)
    if not 1 < len(rows) == len(inks) <= len(request.more) + 1:
        return [(_formula(request.id, request.formula, strokes), strokes)]
    ids = (request.id, *request.more)
    made = [
        _formula(uid, unmistakable(latex_of(row)), ink)
        for uid, row, ink in zip(ids, rows, inks, strict=False)
    ]
    size = statistics.median(item.size for item in made)
    lefts = [set_row(before).width * size if (before := at_relation(row)[0]).nodes else 0.0 for row in rows]
    # No line begins further to the left than some ink did, and the first not before its own: what counts it stands there.
    relation = max(min(item.x for item in made) + max(lefts), made[0].x + lefts[0])
    at_relations = [
        msgspec.structs.replace(
            item, size=size, x=relation - left, y=item.y + (item.size - size) * item.height / 2
        )
        for item, left in zip(made, lefts, strict=True)
    ]
    return list(zip(at_relations, inks, strict=True))


def _formula(uid: str, formula: str, strokes: list[InkItem]) -> FormulaItem:
    """A formula that stands where its ink stood, about as large."""
    box = Box.union(item_box(stroke) for stroke in strokes)
    assert box is not None
    colour = statistics.mode(stroke.colour for stroke in strokes)
    made = formula_set(FormulaItem(id=uid, formula=formula, size=1.0, colour=colour))
    by_height, by_width = box.height / made.height, box.width / made.width
    size = round(min(max(math.sqrt(by_height * by_width), LEAST_SIZE), MOST_SIZE), 1)
    # Its middle is that of the ink, its left edge too where it has become narrower.
    y = (box.y0 + box.y1 - size * made.height) / 2
    return msgspec.structs.replace(made, size=size, x=box.x0, y=y)
