"""Ink to a mind map: typed words in ovals, lines that hold on to them, none over another."""

from __future__ import annotations

import statistics
from collections.abc import Iterator
from textwrap import wrap

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.board.connect import attached
from sunroom.core.board.items import InkItem, Item, ShapeItem, bare, item_box, moved, with_bare_ink
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import MAX_LABEL, check_id, check_text
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import PUSH, STROKE, TEXT, WITH_BOX
from sunroom.core.board.requests.family import GoneError, Now, check_holds, check_ids
from sunroom.core.board.steps import ReplaceItems, Step
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Box
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said
from sunroom.core.shapes.figures import draw_figure
from sunroom.core.text import Typesetter
from sunroom.core.text.fonts import LINE_HEIGHT

MAX_MAP_PARTS = 160

#: Words are set within these sizes, and those of the middle larger than the others.
SIZES = (15.0, 44.0)
LARGER = 1.2
#: A longer label is broken into lines of about so many characters.
LINE_CHARACTERS = 18
#: An oval's width and height around its words: shares of theirs, and more.
WIDER, HIGHER, PAD = 1.3, 1.55, 22.0
#: Ovals keep this far from each other.
APART = 26.0
ROUNDS = 300
LINE_WIDTH = 2.5
CENTRE_FILL = "#fff2cc"


class Label(msgspec.Struct, frozen=True):
    """Words of a mind map: the ink ``ids`` that says ``text``, and the new item's ``id``."""

    ids: tuple[str, ...]
    id: str
    text: str


class Link(msgspec.Struct, frozen=True):
    """A line of a mind map from one label to another, new ones or on the board; ``ids`` if it was drawn."""

    ids: tuple[str, ...]
    id: str
    ends: tuple[str, str]


class ToMindMap(msgspec.Struct, frozen=True, tag_field="step", tag="to_mind_map"):
    """Ink to typed words in ovals with lines between them; ``centre`` is the label in the middle.

    Labels that are linked to an item of the board become its branches.
    """

    page: str
    labels: tuple[Label, ...]
    links: tuple[Link, ...]
    centre: str = ""

    @property
    def parts(self) -> list[Label | Link]:
        return [*self.labels, *self.links]

    @property
    def ids(self) -> tuple[str, ...]:
        return tuple(item_id for part in self.parts for item_id in part.ids)


def check(request: ToMindMap) -> None:
    check_ids(request.ids)
    parts = request.parts
    if len(parts) > MAX_MAP_PARTS or len({part.id for part in parts}) < len(parts):
        raise MalformedError("labels", said("a-mind-map-has-at", mapparts=MAX_MAP_PARTS))
    for part in parts:
        check_id(part.id)
    for label in request.labels:
        check_text(label.text, MAX_LABEL)
    for link in request.links:
        check_holds(link.ends)


def named(request: ToMindMap) -> tuple[str, ...]:
    return request.ids


def actions(request: ToMindMap) -> list[Action]:
    return ["convert"]


def work(page: Page | None, request: ToMindMap) -> float:
    on_page = len(page.items) if page else 0
    labels, words = len(request.labels), sum(len(label.text) for label in request.labels)
    around = PUSH * labels * (labels + on_page)
    return around + 10 * TEXT * words + STROKE * len(request.ids) + WITH_BOX * on_page


def step(now: Now, request: ToMindMap) -> Step | None:
    return mind_map(now.page, request, now.seat, now.at_ms, now.typesetter)


def mind_map(page: Page, request: ToMindMap, seat: str, at_ms: int, typesetter: Typesetter) -> ReplaceItems:
    """The step that makes a mind map of ink, or adds branches to one; raises GoneError."""
    if any(part.id in page.items for part in request.parts):
        raise GoneError("id_taken", said("that-is-on-the-board"))
    labels = [(label, ink) for label in request.labels if (ink := _ink(page, label))]
    if not labels:
        raise GoneError("items_gone", said("that-is-no-longer-on"))
    gone = {stroke.id for _, ink in labels for stroke in ink}
    made: dict[str, Item] = {shape.id: shape for shape in _ovals(page, labels, request.centre, typesetter)}
    then = msgspec.structs.replace(page, items=page.items.update(made))
    colour = labels[0][1][0].colour
    for link in request.links:
        ink = _ink(page, link)
        if all(end in then.items for end in link.ends) and link.ends[0] != link.ends[1]:
            made[link.id] = _line(then, link, ink, colour)
            gone |= {stroke.id for stroke in ink}
    items = tuple(msgspec.structs.replace(item, by=seat, at_ms=at_ms) for item in made.values())
    return ReplaceItems(request.page, tuple(gone), items)


def _ink(page: Page, part: Label | Link) -> list[InkItem]:
    """The strokes of a label or a line that are still there."""
    found = (page.items.get(item_id) for item_id in dict.fromkeys(part.ids))
    return [item for item in found if isinstance(item, InkItem)]


def _ovals(
    page: Page, labels: list[tuple[Label, list[InkItem]]], centre: str, typesetter: Typesetter
) -> Iterator[Item]:
    """An oval around each label's words, where its ink is or as near to that as there is room."""
    places = [_around(ink) for _, ink in labels]
    usual = _size([(place, label.text) for place, (label, _) in zip(places, labels, strict=True)], typesetter)
    sizes = [round(usual * (LARGER if label.id == centre else 1.0), 1) for label, _ in labels]
    texts = ["\n".join(_broken(label.text)) for label, _ in labels]
    ovals = np.array([_oval(text, size, typesetter) for text, size in zip(texts, sizes, strict=True)])
    wanted = np.array([place.middle for place in places])
    gone = {stroke.id for _, ink in labels for stroke in ink}
    stay = [item_box(item) for item in page.items.values() if item.id not in gone and _keeps_place(item)]
    fixed = next((n for n, (label, _) in enumerate(labels) if label.id == centre), None)
    middles = _apart(wanted, ovals, stay, fixed)
    for n, (label, ink) in enumerate(labels):
        x, y = (middles[n] - ovals[n] / 2).tolist()
        from_ink = wanted[n] - middles[n] + (x, y)
        outline = draw_figure("ellipse", *ovals[n].tolist())
        shape = ShapeItem(
            id=label.id,
            x=x,
            y=y,
            z=max(stroke.z for stroke in ink),
            figure="ellipse",
            points=outline.points,
            closed=outline.closed,
            curved=outline.curved,
            colour=statistics.mode(stroke.colour for stroke in ink),
            width=LINE_WIDTH,
            fill=CENTRE_FILL if label.id == centre else "",
            text=texts[n],
            size=sizes[n],
        )
        inside = tuple(moved(stroke, *(-from_ink).tolist()) for stroke in ink)
        yield laid_out(with_bare_ink(msgspec.structs.replace(shape, ink=inside)), typesetter)


def _line(page: Page, link: Link, ink: list[InkItem], colour: str) -> ShapeItem:
    """The line of a link, from edge to edge of what it holds."""
    line = ShapeItem(
        id=link.id,
        z=max((stroke.z for stroke in ink), default=0.0),
        figure="line",
        points=((0.0, 0.0), (1.0, 1.0)),
        closed=False,
        curved=False,
        colour=ink[0].colour if ink else colour,
        width=LINE_WIDTH,
        holds=link.ends,
    )
    line = attached(page, line)
    return msgspec.structs.replace(line, ink=tuple(bare(moved(stroke, -line.x, -line.y)) for stroke in ink))


def _size(labels: list[tuple[Box, str]], typesetter: Typesetter) -> float:
    """One size of type for all labels: the middle one of those that their ink asks for."""
    asked = [typesetter.size_of(text, box.height) for box, text in labels]
    return float(np.clip(statistics.median(asked), *SIZES))


def _broken(text: str) -> list[str]:
    return [part for line in text.split("\n") for part in wrap(line, LINE_CHARACTERS) or [line]]


def _oval(text: str, size: float, typesetter: Typesetter) -> tuple[float, float]:
    """Width and height of an oval around words."""
    lines = text.split("\n")
    width = max(typesetter.width(line, size) for line in lines)
    height = len(lines) * LINE_HEIGHT * size
    return max(WIDER * width + PAD, 2.4 * size), HIGHER * height


def _apart(
    wanted: NDArray[np.float64], sizes: NDArray[np.float64], stay: list[Box], fixed: int | None
) -> NDArray[np.float64]:
    """Middles near those ``wanted``, so that no oval lies over another or over what stays.

    Parameters
    ----------
    wanted, sizes : (N, 2) float arrays
    stay : list of Box
        What does not move.
    fixed : int or None
        Which oval does not move either.
    """
    count = len(wanted)
    others = np.array([(*box.middle, box.width, box.height) for box in stay]).reshape(-1, 4)
    middles = wanted.copy()
    moving = np.arange(count) != (-1 if fixed is None else fixed)
    # Of two that both move each gives half way; one that stands makes the other go all of it.
    shares = np.where(moving[:, None], np.where(moving[None, :], 0.5, 1.0), 0.0)
    for _ in range(ROUNDS):
        away = _pushes(middles, sizes, middles, sizes) * shares[:, :, None]
        away[np.arange(count), np.arange(count)] = 0.0
        moves = away.sum(axis=1)
        if len(others):
            moves += _pushes(middles, sizes, others[:, :2], others[:, 2:]).sum(axis=1) * moving[:, None]
        if not moves.any():
            break
        middles += moves
    return middles


def _pushes(
    a: NDArray[np.float64], size_a: NDArray[np.float64], b: NDArray[np.float64], size_b: NDArray[np.float64]
) -> NDArray[np.float64]:
    """By how much each of ``a`` ((N, 2) middles) must go so that it does not lie over each of ``b`` ((M, 2)).

    (N, M, 2); along the nearer way out, zeros when they do not lie over each other. Two in the very same place
    are parted by their order.
    """
    way = a[:, None] - b[None]
    over = (size_a[:, None] + size_b[None]) / 2 + APART - np.abs(way)
    hit = (over > 1e-6).all(axis=2)
    down = over[:, :, 1] < over[:, :, 0]
    side = np.sign(way)
    earlier = np.arange(len(a))[:, None] < np.arange(len(b))[None]
    side[side == 0] = np.where(earlier, -1.0, 1.0)[:, :, None].repeat(2, axis=2)[side == 0]
    push = over * side
    push[:, :, 0][down | ~hit] = 0.0
    push[:, :, 1][~down | ~hit] = 0.0
    return np.asarray(push)


def _keeps_place(item: Item) -> bool:
    """Whether an oval must not come to lie over an item; lines may be crossed."""
    return not isinstance(item, InkItem) and not (isinstance(item, ShapeItem) and not item.closed)


def _around(strokes: list[InkItem]) -> Box:
    box = Box.union(item_box(stroke) for stroke in strokes)
    assert box is not None
    return box
