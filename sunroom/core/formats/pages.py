"""A page drawn through one small interface: its paper, ruling and bays, and the things on it in their order."""

from __future__ import annotations

from collections.abc import Iterable

import msgspec
import numpy as np

from sunroom.core.board.items import CardItem, Item, NoteItem, PictureItem, item_box
from sunroom.core.board.pages import Bay, Page, Paper
from sunroom.core.board.rulings import rules
from sunroom.core.formats.drawing import ALL, Drawing, Parts
from sunroom.core.formats.things import draw_items, is_highlight
from sunroom.core.geometry import Affine, Box, ellipse_bezier

#: Rulings by weight (frontend/src/board/draw.ts has the same).
RULE_COLOURS, RULE_WIDTHS = ("#eef2f3", "#dfe8ec", "#9fb3bd"), (1.0, 1.0, 1.4)
DOT_COLOUR, DOT_WIDTH = "#b9c8cf", 2.4
NUMBER_COLOUR, NUMBER_SIZE = "#5e6a66", 12.0
BAY_COLOUR, BAY_LINE, BAY_TITLE_SIZE = "#5e6a66", 1.4, 13.0
#: Marks of a ruling on one saved page.
MAX_RULES = 120_000
#: White around the work of an endless page when it is saved.
MARGIN = 40.0
#: Items whose outlines are worked out together: enough to be fast, few enough for memory.
BATCH = 1_000


def page_box(page: Page) -> Box:
    """The part of the page that is saved: the sheet, the roll down to its last work, or all work with a
    margin around it."""
    paper = page.head.paper
    sheet = Box(0, 0, paper.width, paper.height)
    if paper.kind == "sheet":
        return sheet
    work = Box.union(item_box(item) for item in page.items.values())
    if paper.kind == "roll":
        return Box(0, 0, paper.width, max(paper.height, work.y1 + MARGIN if work else 0))
    return work.grown(MARGIN) if work else sheet


def draw_page(page: Page, drawing: Drawing, parts: Parts = ALL) -> None:
    """Draw paper and items, highlighter first, then from the lowest to the highest."""
    box = page_box(page)
    drawing.begin_page(box, page.head.paper.colour)
    if parts.paper:
        _draw_backdrop(page, drawing)
    if parts.ruling:
        _draw_rules(page, box, drawing)
    _draw_bays(page, drawing)
    items = [item for item in _wanted(page, parts) if not _in_bay_not_saved(item, page)]
    for at in range(0, len(items), BATCH):
        draw_items(items[at : at + BATCH], drawing)


def draw_bay(page: Page, bay: Bay, drawing: Drawing, parts: Parts = ALL) -> None:
    """A bay as a page of its own: what of the page lies in it."""
    drawing.begin_page(bay.box, page.head.paper.colour)
    if parts.ruling:
        _draw_rules(page, bay.box, drawing)
    draw_items([item for item in _wanted(page, parts) if item_box(item).overlaps(bay.box)], drawing)


def _wanted(page: Page, parts: Parts) -> list[Item]:
    """The items to be saved in the order in which they are drawn."""
    items = [item for item in page.in_order() if parts.notes or not isinstance(item, NoteItem)]
    if not parts.names:
        items = [msgspec.structs.replace(i, name="") if isinstance(i, NoteItem) else i for i in items]
    return sorted(items, key=lambda item: not is_highlight(item))


def _draw_bays(page: Page, drawing: Drawing) -> None:
    """Frames and titles of the bays that are saved with the page."""
    for bay in page.head.bays:
        if bay.prints != "no":
            drawing.stroke(bay.box.corners(), True, False, BAY_COLOUR, BAY_LINE, 1.0)
            if bay.title:
                at = Affine(e=bay.x, f=bay.y - 0.4 * BAY_TITLE_SIZE)
                drawing.begin("heading", bay.box)
                drawing.text("sans-bold", bay.title, at, BAY_TITLE_SIZE, BAY_COLOUR)
                drawing.end()


def _in_bay_not_saved(item: Item, page: Page) -> bool:
    box = item_box(item)
    x, y = (box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2
    found = [b for b in page.head.bays if b.box.x0 <= x <= b.box.x1 and b.box.y0 <= y <= b.box.y1]
    return bool(found) and found[-1].prints == "no"


def pictures_of(pages: Iterable[Page]) -> set[str]:
    """Ids of all pictures that the pages show."""
    found: set[str] = set()
    for page in pages:
        found |= {page.head.paper.picture} | pictures_in(page.items.values())
    return found - {""}


def pictures_in(items: Iterable[Item]) -> set[str]:
    """Ids of the pictures among the items."""
    return {item.picture for item in items if isinstance(item, PictureItem)}


def media_of(pages: Iterable[Page]) -> set[str]:
    """Ids of all sounds and videos of the room's own that the pages have cards for."""
    found = {i.file for page in pages for i in page.items.values() if isinstance(i, CardItem)}
    return found - {""}


def _draw_backdrop(page: Page, drawing: Drawing) -> None:
    """The paper's own picture: wholly inside a sheet, else as wide as the paper from its upper edge."""
    paper = page.head.paper
    size = drawing.picture_size(paper.picture) if paper.picture else None
    if size is None:
        return
    scale = paper.width / size[0]
    if paper.kind == "sheet":
        scale = min(scale, paper.height / size[1])
    x = (paper.width - scale * size[0]) / 2
    y = (paper.height - scale * size[1]) / 2 if paper.kind == "sheet" else 0.0
    drawing.picture(paper.picture, Affine(scale * size[0], 0, 0, scale * size[1], x, y), 1.0)


def _spacing(paper: Paper, box: Box) -> float:
    """The distance of a ruling's lines; twice as far, and again, where there would be too many to tell apart."""
    spacing = paper.spacing
    while True:
        across, down = box.width / spacing, box.height / spacing
        marks = across * down if paper.ruling == "dots" else 8 * (across + down)
        if marks <= MAX_RULES:
            return spacing
        spacing *= 2


def _draw_rules(page: Page, box: Box, drawing: Drawing) -> None:
    paper = page.head.paper
    for rule in rules(paper.ruling, _spacing(paper, box), box):
        colour, width = RULE_COLOURS[rule.weight], RULE_WIDTHS[rule.weight]
        match rule.kind:
            case "line":
                ends = np.array([(rule.x, rule.y), (rule.x1, rule.y1)])
                drawing.stroke(ends, False, False, colour, width, 1.0)
            case "dot":
                drawing.stroke(np.array([(rule.x, rule.y)]), False, False, DOT_COLOUR, DOT_WIDTH, 1.0)
            case "circle":
                ring = ellipse_bezier(rule.x, rule.y, rule.r, rule.r, 0.0)
                drawing.stroke(ring, True, True, colour, width, 1.0)
            case _:
                # Below its axis in the middle, or left of it.
                wide = 0.55 * NUMBER_SIZE * len(rule.text)
                x = rule.x - wide if rule.x1 else rule.x - wide / 2
                y = rule.y + NUMBER_SIZE * (0.35 if rule.x1 else 0.8)
                drawing.text("sans", rule.text, Affine(e=x, f=y), NUMBER_SIZE, NUMBER_COLOUR)
