"""Ink to type or to exact figures, and back: the new item holds the ink that it came from.

The server takes the ink from its own board, so no browser can put words in the place of ink it has not got.
"""

from __future__ import annotations

import math
import statistics
from collections.abc import Iterable
from itertools import chain

import msgspec

from sunroom.core.board.connect import HOLDING, attached
from sunroom.core.board.items import (
    Converted,
    FormulaItem,
    InkItem,
    Item,
    ShapeItem,
    TextItem,
    bare,
    carried,
    moved,
)
from sunroom.core.board.limits import check_figure, check_id, check_range, check_text
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import NAMED, STROKE, TEXT, formula_work, text_work
from sunroom.core.board.requests.family import GoneError, Now, check_holds, check_ids, found
from sunroom.core.board.requests.maths_setting import SetMaths, formulas_of
from sunroom.core.board.requests.typesetting import HEADING, Typeset, as_large, of_words, texts_of
from sunroom.core.board.steps import ReplaceItems, Step
from sunroom.core.errors import MalformedError
from sunroom.core.ink import Ends
from sunroom.core.maths.tokens import MAX_FORMULA, MAX_LINES
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said
from sunroom.core.shapes.figures import FigureKind
from sunroom.core.text import Typesetter
from sunroom.core.text.styles import check_spans

MAX_FIGURES = 60
#: Texts and formulas that some ink may be at once.
MAX_PARTS = 60


class TrueUp(msgspec.Struct, frozen=True, tag_field="step", tag="true_up"):
    """Ink ``ids`` to an exact figure; for its points (in page units), parts and ends see shapes.Figure."""

    page: str
    ids: tuple[str, ...]
    id: str
    figure: FigureKind
    points: tuple[tuple[float, float], ...]
    closed: bool
    curved: bool
    parts: tuple[int, ...] = ()
    ends: Ends = "none"


class TrueUpAll(msgspec.Struct, frozen=True, tag_field="step", tag="true_up_all"):
    """A sketch to its figures at once; ``holds`` are for each the ids of the figures that its ends hold on to."""

    page: str
    figures: tuple[TrueUp, ...]
    holds: tuple[tuple[str, str], ...] = ()

    @property
    def ids(self) -> tuple[str, ...]:
        return tuple(item_id for figure in self.figures for item_id in figure.ids)


class ConvertEach(msgspec.Struct, frozen=True, tag_field="step", tag="convert_each"):
    """Ink of several kinds at once, each part of it to what it is."""

    page: str
    texts: tuple[Typeset, ...] = ()
    formulas: tuple[SetMaths, ...] = ()
    sketch: TrueUpAll | None = None

    @property
    def ids(self) -> tuple[str, ...]:
        return tuple(item_id for part in self.parts for item_id in part.ids)

    @property
    def parts(self) -> tuple[Typeset | SetMaths | TrueUpAll, ...]:
        return (*self.texts, *self.formulas, *([self.sketch] if self.sketch else ()))


class AsWritten(msgspec.Struct, frozen=True, tag_field="step", tag="as_written"):
    """Back to the ink that the items ``ids`` came from."""

    page: str
    ids: tuple[str, ...]


#: What is made, with the strokes that it takes the place of.
Inked = tuple[Converted, list[InkItem]]

Converting = Typeset | SetMaths | TrueUp | TrueUpAll | ConvertEach | AsWritten


def check(request: Converting) -> None:
    check_ids(request.ids)
    match request:
        case Typeset():
            check_id(request.id)
            check_text(request.text)
            check_range("angle", request.angle_rad, -math.pi, math.pi)
            _check_lines(request)
            _check_formulas(request)
        case SetMaths():
            check_id(request.id)
            check_text(request.formula, MAX_FORMULA)
            _check_lines(request)
        case TrueUp():
            _check_figure(request)
        case TrueUpAll(figures=figures):
            if len(figures) > MAX_FIGURES or len({f.id for f in figures}) < len(figures):
                sentence = said("a-sketch-has-at-most", figures=MAX_FIGURES)
                raise MalformedError("figures", sentence)
            for figure in figures:
                _check_figure(figure)
            for holds in request.holds:
                check_holds(holds)
        case ConvertEach(parts=parts):
            if len(parts) > MAX_PARTS:
                raise MalformedError("parts", said("that-is-more-than-can"))
            for part in parts:
                check(part)
            made = [uid for part in parts for uid in _new_ids(part)]
            if len(set(made)) < len(made):
                raise MalformedError("id", said("that-is-on-the-board"))
        case AsWritten():
            pass


def _new_ids(request: Typeset | SetMaths | TrueUpAll) -> tuple[str, ...]:
    if isinstance(request, TrueUpAll):
        return tuple(figure.id for figure in request.figures)
    return request.id, *request.more


def _check_lines(request: Typeset | SetMaths) -> None:
    if max(len(request.more), len(request.lines) - 1) > MAX_LINES:
        raise MalformedError("more", said("a-formula-has-too-many"))
    for uid in request.more:
        check_id(uid)
    if sum(map(len, request.lines)) > len(request.ids):
        raise MalformedError("lines", said("the-step-names-no-item"))


def _check_formulas(request: Typeset) -> None:
    check_spans(request.spans, len(request.text))
    if sum(len(formula.ids) for formula in request.formulas) > len(request.ids):
        raise MalformedError("formulas", said("the-step-names-no-item"))
    if any("\n" in request.text[formula.start : formula.end] for formula in request.formulas):
        raise MalformedError("formulas", said("the-styles-of-the-text"))


def _check_figure(request: TrueUp) -> None:
    check_id(request.id)
    check_figure(request.points, request.curved, request.parts)


def named(request: Converting) -> tuple[str, ...]:
    return request.ids


def actions(request: Converting) -> list[Action]:
    sets = isinstance(request, SetMaths) or (isinstance(request, ConvertEach) and request.formulas)
    return ["convert", "add_formula"] if sets else ["convert"]


def work(page: Page | None, request: Converting) -> float:
    match request:
        case Typeset():
            # It is laid out several times, its formulas are set once.
            return (
                3 * TEXT * len(request.text)
                + text_work(request.text, request.spans)
                + STROKE * len(request.ids)
            )
        case SetMaths():
            # Several lines are set one by one, and what is before their relations once more.
            times = 2 if request.more else 1
            return times * formula_work(request.formula) + STROKE * len(request.ids)
        case TrueUp():
            return STROKE * len(request.ids)
        case TrueUpAll():
            return STROKE * len(request.ids) + 100 * len(request.figures)
        case ConvertEach(parts=parts):
            # Texts are laid out once more, as large as each other.
            return 2 * sum(work(page, part) for part in parts)
        case AsWritten():
            return NAMED * sum(1 + len(getattr(item, "ink", ())) for item in found(page, request.ids))


def step(now: Now, request: Converting) -> Step | None:
    if isinstance(request, TrueUpAll):
        return _sketch(now, request)
    if isinstance(request, ConvertEach):
        return _each(now, request)
    if isinstance(request, AsWritten):
        return _as_written(now.page, request)
    return _converted(now, request)


def _as_written(page: Page, request: AsWritten) -> ReplaceItems:
    items = found(page, tuple(dict.fromkeys(request.ids)))
    back = [item for item in items if isinstance(item, Converted) and item.ink]
    if not back:
        raise GoneError("items_gone", said("that-is-no-longer-on"))
    return ReplaceItems(request.page, tuple(item.id for item in back), _written(page, back))


def _converted(now: Now, request: Typeset | SetMaths | TrueUp) -> ReplaceItems:
    strokes = _strokes(now, request.ids)
    if request.id in now.page.items:
        raise GoneError("id_taken", said("that-is-on-the-board"))
    ids = tuple(stroke.id for stroke in strokes)
    made = [_holding(now, *each) for each in _made(now, request, strokes)]
    return ReplaceItems(request.page, ids, tuple(made))


def _strokes(now: Now, ids: Iterable[str]) -> list[InkItem]:
    items = found(now.page, tuple(dict.fromkeys(ids)))
    strokes = [item for item in items if isinstance(item, InkItem)]
    if not strokes:
        raise GoneError("items_gone", said("that-is-no-longer-on"))
    return strokes


def _made(now: Now, request: Typeset | SetMaths | TrueUp, strokes: list[InkItem]) -> list[Inked]:
    if isinstance(request, Typeset):
        return list(texts_of(request, strokes, now.typesetter))
    if isinstance(request, SetMaths):
        return list(formulas_of(request, strokes))
    return [(_figure(request, strokes), strokes)]


def _holding(now: Now, made: Converted, strokes: list[InkItem]) -> Converted:
    """A new item with the strokes that it takes the place of."""
    inwards = made.placement.inverse()
    # No rounding of what is level.
    ink = tuple(moved(s, -made.x, -made.y) if _is_level(made) else carried(s, inwards) for s in strokes)
    return msgspec.structs.replace(
        made,
        ink=tuple(bare(stroke) for stroke in ink),
        by=now.seat,
        at_ms=now.at_ms,
        z=max(stroke.z for stroke in strokes),
    )


def _written(page: Page, back: list[Converted]) -> tuple[InkItem, ...]:
    """The strokes inside some items, where these lie; under new ids where theirs are taken.

    Two copies of a word hold the same strokes, and what a browser sent may name any.
    """
    taken = set(page.items) - {item.id for item in back}
    strokes = []
    for item in back:
        for number, stroke in enumerate(item.ink):
            new = carried(stroke, item.placement)
            name, tries = stroke.id, 0
            while name in taken:
                name = f"{item.id[:20]}-{number}" + (f"-{tries}" if tries else "")
                tries += 1
            taken.add(name)
            # At the item's height, in the order of writing.
            z = item.z + number / (2 * len(item.ink) + 1) or 0.5
            strokes.append(msgspec.structs.replace(bare(new), id=name, z=z))
    return tuple(strokes)


def _sketch(now: Now, request: TrueUpAll) -> ReplaceItems:
    """Every figure of a sketch that still has its ink, and lines that hold on to those they touch."""
    made: list[Item] = []
    gone: tuple[str, ...] = ()
    for number, figure in enumerate(request.figures):
        try:
            step = _converted(now, msgspec.structs.replace(figure, page=request.page))
        except GoneError:
            continue
        (item,) = step.items
        holds = request.holds[number] if number < len(request.holds) else ("", "")
        if isinstance(item, ShapeItem) and item.figure in HOLDING:
            item = msgspec.structs.replace(item, holds=holds)
        made.append(item)
        gone += step.ids
    if not made:
        raise GoneError("items_gone", said("that-is-no-longer-on"))
    then = msgspec.structs.replace(now.page, items=now.page.items.update({item.id: item for item in made}))
    items = (attached(then, i) if isinstance(i, ShapeItem) and any(i.holds) else i for i in made)
    return ReplaceItems(request.page, tuple(dict.fromkeys(gone)), tuple(items))


def _each(now: Now, request: ConvertEach) -> ReplaceItems:
    """Every part that still has its ink, texts and formulas about as large as each other; no stroke is in two."""
    made: list[list[Inked]] = []
    gone: dict[str, None] = {}
    parts: tuple[Typeset | SetMaths, ...] = (*request.texts, *request.formulas)
    for part in parts:
        try:
            strokes = _strokes(now, (uid for uid in part.ids if uid not in gone))
        except GoneError:
            continue
        made.append(_made(now, part, strokes))
        gone |= dict.fromkeys(stroke.id for stroke in strokes)
    signs = {uid for text in request.texts for uid in text.signs}
    items: list[Item] = [_holding(now, *each) for each in _alike(made, signs, now.typesetter)]
    if request.sketch:
        figures = tuple(
            msgspec.structs.replace(figure, ids=tuple(uid for uid in figure.ids if uid not in gone))
            for figure in request.sketch.figures
        )
        try:
            done = _sketch(now, TrueUpAll(request.page, figures, request.sketch.holds))
            items += done.items
            gone |= dict.fromkeys(done.ids)
        except GoneError:
            pass
    if not items:
        raise GoneError("items_gone", said("that-is-no-longer-on"))
    return ReplaceItems(request.page, tuple(gone), tuple(items))


def _alike(parts: list[list[Inked]], signs: set[str], typesetter: Typesetter) -> list[Inked]:
    """Level texts as large as the middle one of them, and formulas likewise, but for what is much larger or smaller, as a heading is.

    ``signs`` are the strokes of formulas among words.
    """
    sizes: dict[type, list[float]] = {}
    for item, _ in chain(*parts):
        if _is_level(item):
            sizes.setdefault(type(item), []).append(item.size)
    middles = {kind: statistics.median(of_kind) for kind, of_kind in sizes.items()}
    even: list[Inked] = []
    for part in parts:
        # Lines of working stand at their relations: as far in from their left edge as they are large.
        edge = min(item.x for item, _ in part)
        for item, strokes in part:
            size = middles.get(type(item), item.size)
            if not (_is_level(item) and size / HEADING <= item.size <= size * HEADING):
                even.append((item, strokes))
            elif isinstance(item, TextItem):
                even.append((as_large(item, size, of_words(strokes, signs), typesetter), strokes))
            elif isinstance(item, FormulaItem):
                x = edge + (item.x - edge) * size / item.size
                y = item.y + (item.size - size) * item.height / 2
                even.append((msgspec.structs.replace(item, size=size, x=x, y=y), strokes))
    return even


def _is_level(item: Converted) -> bool:
    return item.map == (1.0, 0.0, 0.0, 1.0)


def _figure(request: TrueUp, strokes: list[InkItem]) -> ShapeItem:
    x, y = request.points[0]
    return ShapeItem(
        id=request.id,
        x=x,
        y=y,
        figure=request.figure,
        points=tuple((px - x, py - y) for px, py in request.points),
        closed=request.closed,
        curved=request.curved,
        parts=request.parts,
        ends=request.ends,
        colour=strokes[0].colour,
        width=strokes[0].width,
    )
