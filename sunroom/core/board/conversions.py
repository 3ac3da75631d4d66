"""Ink to type or to an exact figure, and back: the new item holds the ink that it came from.

The server takes the ink from its own board, so no browser can put words in the place of ink it has not got.
"""

from __future__ import annotations

import math
import statistics

import msgspec

from sunroom.core.board.connect import HOLDING, attached
from sunroom.core.board.items import InkItem, Item, ShapeItem, TextItem, bare, carried, item_box, moved
from sunroom.core.board.pages import Page
from sunroom.core.board.requests import AsWritten, GoneError, TrueUp, TrueUpAll, Typeset
from sunroom.core.board.steps import ReplaceItems
from sunroom.core.geometry import Affine, Box
from sunroom.core.text import Typesetter
from sunroom.core.text.fonts import BASELINE

#: Typed text follows the width of its ink within these parts of the size that its height asks for.
WIDER_THAN_HIGH = (0.7, 1.25)
#: Below this size typed text cannot be read at 100 %.
LEAST_SIZE = 10.0
#: A line that runs off level by less than this is meant to be level.
LEAST_TILT = math.radians(4)


def convert(
    page: Page,
    request: Typeset | TrueUp | TrueUpAll | AsWritten,
    seat: str,
    at_ms: int,
    typesetter: Typesetter,
) -> ReplaceItems:
    """The step that a conversion of ``seat`` makes of ``page``; raises GoneError."""
    if isinstance(request, TrueUpAll):
        return _sketch(page, request, seat, at_ms, typesetter)
    gone = GoneError("items_gone", "That is no longer on the board.")
    found = [page.items[item_id] for item_id in dict.fromkeys(request.ids) if item_id in page.items]
    if isinstance(request, AsWritten):
        back = [item for item in found if isinstance(item, TextItem | ShapeItem) and item.ink]
        if not back:
            raise gone
        return ReplaceItems(request.page, tuple(item.id for item in back), _written(page, back))
    strokes = [item for item in found if isinstance(item, InkItem)]
    if not strokes:
        raise gone
    if request.id in page.items:
        raise GoneError("id_taken", "That is on the board already.")
    ids = tuple(stroke.id for stroke in strokes)
    made = _typed(request, strokes, typesetter) if isinstance(request, Typeset) else _figure(request, strokes)
    inwards = made.placement.inverse()
    level = made.map == (1.0, 0.0, 0.0, 1.0)  # no rounding then
    ink = tuple(moved(s, -made.x, -made.y) if level else carried(s, inwards) for s in strokes)
    made = msgspec.structs.replace(
        made,
        ink=tuple(bare(stroke) for stroke in ink),
        by=seat,
        at_ms=at_ms,
        z=max(stroke.z for stroke in strokes),
    )
    return ReplaceItems(request.page, ids, (made,))


def _written(page: Page, back: list[TextItem | ShapeItem]) -> tuple[InkItem, ...]:
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


def _sketch(page: Page, request: TrueUpAll, seat: str, at_ms: int, typesetter: Typesetter) -> ReplaceItems:
    """Every figure of a sketch that still has its ink, and lines that hold on to those they touch."""
    made: list[Item] = []
    gone: tuple[str, ...] = ()
    for number, figure in enumerate(request.figures):
        try:
            step = convert(page, msgspec.structs.replace(figure, page=request.page), seat, at_ms, typesetter)
        except GoneError:
            continue
        (item,) = step.items
        holds = request.holds[number] if number < len(request.holds) else ("", "")
        if isinstance(item, ShapeItem) and item.figure in HOLDING:
            item = msgspec.structs.replace(item, holds=holds)
        made.append(item)
        gone += step.ids
    if not made:
        raise GoneError("items_gone", "That is no longer on the board.")
    then = msgspec.structs.replace(page, items=page.items.update({item.id: item for item in made}))
    items = (attached(then, i) if isinstance(i, ShapeItem) and any(i.holds) else i for i in made)
    return ReplaceItems(request.page, tuple(dict.fromkeys(gone)), tuple(items))


def _typed(request: Typeset, strokes: list[InkItem], typesetter: Typesetter) -> TextItem:
    """Text that stands where its ink stood: as high as the letters written, about as wide, running as they do."""
    tilted = abs(request.angle_rad) >= LEAST_TILT
    if tilted:
        strokes = [carried(stroke, Affine.turn(-request.angle_rad)) for stroke in strokes]
    box = Box.union(item_box(stroke) for stroke in strokes)
    assert box is not None
    by_height = typesetter.size_of(request.text, box.height)
    by_width = box.width / max(typesetter.width(request.text, 1.0), 0.01)
    low, high = (share * by_height for share in WIDER_THAN_HIGH)
    size = round(min(max(by_width, low, LEAST_SIZE), max(high, LEAST_SIZE), 400.0), 1)
    # The ink's upper edge is the top of the first line's tallest letter.
    above, _ = typesetter.extent(request.text.split("\n")[0])
    spare = box.height * (1 - size / by_height)
    top = box.y0 + spare / 2 - size * (BASELINE - above)
    colour = statistics.mode(stroke.colour for stroke in strokes)
    text = TextItem(
        id=request.id,
        x=box.x0,
        y=top,
        text=request.text,
        size=size,
        colour=colour,
        lines=typesetter.layout(request.text, size),
    )
    return carried(text, Affine.turn(request.angle_rad)) if tilted else text


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
