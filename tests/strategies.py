"""Generators (hypothesis) of the core's values, from arbitrary but valid states."""

from __future__ import annotations

import math

import numpy as np
from hypothesis import strategies as st

from sunroom.core.board import (
    Board,
    CardItem,
    FormulaItem,
    InkItem,
    Item,
    NoteItem,
    PageHead,
    PictureItem,
    ShapeItem,
    Step,
    TableItem,
    TextItem,
    apply,
    remaining,
)
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    Change,
    ChangeItems,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
    ReplaceItems,
)
from sunroom.core.ink import pack_samples
from sunroom.core.pens import BESIDE, KITS, Actor, BayFacts, Facts, PassedPen, Target
from sunroom.core.pens.kits import RIGHTS
from sunroom.core.text import FontFace, Span, Typesetter

SEATS = ("seat-a", "seat-b", "seat-c", "seat-d")
PAGE_IDS = ("page-1", "page-2", "page-3")
ITEM_IDS = tuple(f"item-{number}" for number in range(8))
COLOURS = ("#16222b", "#1f5fa8", "#b4472c")

#: Eighths add up without rounding, so that there and back is the very same place.
places = st.integers(-40_000, 40_000).map(lambda eighths: eighths / 8)


def _turned(angle_deg: int, size: float) -> tuple[float, float, float, float]:
    c, s = size * math.cos(math.radians(angle_deg)), size * math.sin(math.radians(angle_deg))
    return c, s, -s, c


#: Turned and grown, as text may be; and any map that an item may have.
turns = st.builds(_turned, st.integers(-180, 180), st.sampled_from([0.5, 1.0, 2.0]))
maps = st.one_of(
    st.just((1.0, 0.0, 0.0, 1.0)), turns, st.sampled_from([(-1.0, 0.0, 0.0, 1.0), (2.0, 0.0, 0.5, 1.0)])
)


@st.composite
def sample_arrays(draw: st.DrawFn, most: int = 12) -> np.ndarray:
    """(N, 4) samples that survive packing exactly: float32 places, pressure in 1/255, whole ms."""
    count = draw(st.integers(1, most))
    xy = draw(st.lists(st.tuples(places, places), min_size=count, max_size=count))
    pressure = draw(st.lists(st.integers(0, 255), min_size=count, max_size=count))
    time_ms = sorted(draw(st.lists(st.integers(0, 65_535), min_size=count, max_size=count)))
    samples = np.empty((count, 4))
    samples[:, :2] = np.array(xy, dtype=np.float32)
    samples[:, 2] = np.array(pressure) / 255
    samples[:, 3] = time_ms
    return samples


@st.composite
def ink_items(draw: st.DrawFn, item_id: str | None = None) -> InkItem:
    return InkItem(
        id=item_id or draw(st.sampled_from(ITEM_IDS)),
        x=draw(places),
        y=draw(places),
        by=draw(st.sampled_from(SEATS)),
        map=draw(maps),
        nib=draw(st.sampled_from(["pencil", "pen", "brush", "highlighter"])),
        ends=draw(st.sampled_from(["none", "arrow", "arrows"])),
        colour=draw(st.sampled_from(COLOURS)),
        width=draw(st.floats(0.5, 40)),
        samples=pack_samples(draw(sample_arrays(4))),
    )


@st.composite
def items(draw: st.DrawFn, item_id: str | None = None) -> Item:
    chosen = item_id or draw(st.sampled_from(ITEM_IDS))
    kind = draw(st.sampled_from(["ink", "text", "shape", "note", "table", "picture", "card", "formula"]))
    if kind == "ink":
        return draw(ink_items(chosen))
    by, x, y = draw(st.sampled_from(SEATS)), draw(places), draw(places)
    if kind == "text":
        text = draw(st.text("abc θ\n", min_size=1, max_size=12)) + "x"
        spans = (Span(0, len(text), bold=draw(st.booleans()), script=draw(st.sampled_from(["", "sup"]))),)
        return TextItem(
            id=chosen, x=x, y=y, map=draw(turns), by=by, text=text, size=20, colour=COLOURS[0], spans=spans
        )
    if kind == "note":
        return NoteItem(id=chosen, x=x, y=y, map=draw(turns), by=by, text="noon", colour=COLOURS[1])
    if kind == "table":
        return TableItem(
            id=chosen, x=x, y=y, map=draw(turns), by=by, columns=(80.0,), rows=(30.0, 30.0), cells=("θ", ""),
            colour=COLOURS[0],
        )  # fmt: skip
    if kind == "formula":
        return FormulaItem(
            id=chosen, x=x, y=y, map=draw(turns), by=by, formula=draw(st.sampled_from(["x^2", "(a+b)/2", "sqrt(x)=1"])),
            size=24, colour=COLOURS[0],
        )  # fmt: skip
    if kind == "card":
        own = draw(st.booleans())
        return CardItem(
            id=chosen, x=x, y=y, map=draw(turns), by=by, of="sound" if own else "link", title="Sundials",
            address="" if own else "https://dials.example/noon", file="medium-01" if own else "",
        )  # fmt: skip
    if kind == "picture":
        return PictureItem(
            id=chosen,
            x=x,
            y=y,
            map=draw(maps),
            by=by,
            picture="picture-1",
            width=30,
            height=20,
            crop=draw(st.sampled_from([(0.0, 0.0, 1.0, 1.0), (0.25, 0.0, 0.5, 0.75)])),
        )
    points = ((0.0, 0.0), (draw(places), draw(places)))
    return ShapeItem(
        id=chosen,
        x=x,
        y=y,
        map=draw(maps),
        by=by,
        figure="line",
        points=points,
        closed=False,
        curved=False,
        colour=COLOURS[1],
        width=2,
    )


@st.composite
def new_items(draw: st.DrawFn) -> tuple[Item, ...]:
    ids = draw(st.lists(st.sampled_from(ITEM_IDS), min_size=1, max_size=3, unique=True))
    return tuple(draw(items(item_id)) for item_id in ids)


def changes(item_id: str) -> st.SearchStrategy[Change]:
    """New values for some fields of an item."""
    fields = {
        "x": places,
        "map": maps,
        "z": st.floats(0.5, 30),
        "group": st.sampled_from(["", "group-1"]),
        "locked": st.booleans(),
        "colour": st.sampled_from(COLOURS),
        "fill": st.sampled_from(["", *COLOURS]),
        "dash": st.sampled_from(["solid", "dotted"]),
    }
    return st.fixed_dictionaries({}, optional=fields).map(lambda values: Change(id=item_id, **values))


@st.composite
def steps(draw: st.DrawFn) -> Step:
    """Any step, whether or not it fits a board."""
    page = draw(st.sampled_from(PAGE_IDS))
    ids = tuple(draw(st.lists(st.sampled_from(ITEM_IDS), min_size=1, max_size=4, unique=True)))
    kind = draw(
        st.sampled_from(
            [
                AddItems,
                RemoveItems,
                MoveItems,
                ChangeItems,
                ReplaceItems,
                AddPage,
                RemovePage,
                MovePage,
                ChangePage,
            ]
        )
    )
    if kind is AddItems:
        return AddItems(page, draw(new_items()))
    if kind is RemoveItems:
        return RemoveItems(page, ids)
    if kind is MoveItems:
        return MoveItems(page, ids, draw(st.integers(-50, 50)), draw(st.integers(-50, 50)))
    if kind is ChangeItems:
        return ChangeItems(page, tuple(draw(changes(item_id)) for item_id in ids))
    if kind is MovePage:
        return MovePage(page, draw(st.integers(0, 3)))
    if kind is ReplaceItems:
        return ReplaceItems(page, ids, draw(new_items()))
    if kind is AddPage:
        return AddPage(PageHead(page, hidden=draw(st.booleans())), draw(st.integers(0, 3)))
    if kind is RemovePage:
        return RemovePage(page)
    return ChangePage(PageHead(page, draw(st.sampled_from(["", "Tasks"])), hidden=draw(st.booleans())))


@st.composite
def boards(draw: st.DrawFn) -> Board:
    """A board with one page or more, after some steps."""
    board = apply(Board(), AddPage(PageHead(PAGE_IDS[0]), 0))
    for step in draw(st.lists(steps(), max_size=12)):
        fitting = remaining(board, step)
        if fitting is not None:
            board = apply(board, fitting)
    return board


actors = st.builds(
    Actor,
    st.sampled_from(SEATS),
    st.sampled_from(["tutor", "helper", "student", "onlooker"]),
    st.just("Somebody"),
    st.booleans(),
)
rights = st.one_of(
    st.sampled_from([tuple(sorted(kit)) for kit in KITS.values()]),
    st.sets(st.sampled_from(sorted(RIGHTS))).map(tuple),
)
moments = st.integers(0, 20_000)
facts = st.builds(
    Facts,
    open=st.booleans(),
    paused=st.booleans(),
    mode=st.sampled_from(["down", "passed", "up"]),
    passed=st.lists(
        st.builds(PassedPen, st.sampled_from(SEATS), st.one_of(st.none(), moments)),
        max_size=3,
        unique_by=lambda p: p.seat,
    ).map(tuple),
    withheld=st.lists(st.sampled_from(SEATS), max_size=2, unique=True).map(tuple),
    kit=rights,
    kits=st.lists(st.tuples(st.sampled_from(SEATS), rights), max_size=2, unique_by=lambda pair: pair[0]).map(
        tuple
    ),
    down_at_ms=moments,
    between=st.sampled_from(["view", "write", "closed"]),
    pointing=st.booleans(),
    voices=st.sampled_from(["all", "pens", "tutor_side"]),
    faces=st.sampled_from(["all", "pens", "tutor_side"]),
    muted=st.lists(st.sampled_from(SEATS), max_size=2, unique=True).map(tuple),
    unseen=st.lists(st.sampled_from(SEATS), max_size=2, unique=True).map(tuple),
    called=st.lists(st.sampled_from(SEATS), max_size=2, unique=True).map(tuple),
)
bays = st.builds(
    BayFacts,
    st.sampled_from(["page", "tutor_side", "open", "people"]),
    st.lists(st.sampled_from(SEATS), max_size=2, unique=True).map(tuple),
)
targets = st.builds(
    Target,
    page=st.sampled_from(["lesson", "tutor_side", "open", "desk"]),
    desk_of=st.sampled_from(SEATS),
    page_of=st.sampled_from(["", *SEATS]),
    hidden=st.booleans(),
    bays=st.one_of(st.just((BESIDE,)), st.lists(bays, min_size=1, max_size=3).map(tuple)),
    owners=st.frozensets(st.sampled_from(SEATS), max_size=3),
    locked=st.booleans(),
    begun_ms=st.one_of(st.none(), moments),
)


class EvenFace(FontFace):
    """A face without a file: every ASCII character is half an em wide."""

    def __init__(self, name: str = "even") -> None:
        self.name = name

    def advance(self, character: str) -> float | None:
        return 0.5 if character.isascii() else None

    def extent(self, character: str) -> tuple[float, float] | None:
        return None if character == " " else (0.7, 0.0)


def even_typesetter() -> Typesetter:
    return Typesetter([EvenFace()])
