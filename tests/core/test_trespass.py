"""Whatever is asked of whatever board: what is allowed changes nothing that its actor may not change.

The whole way is gone, as the live room goes it: first by what is known without work, then resolved, then by all that the
step touches; beside it stands a plain reading of the rules.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable
from typing import Any, get_args
from unittest import TestCase

import msgspec
import numpy as np
from hypothesis import HealthCheck, given, seed, settings
from hypothesis import strategies as st

from sunroom.core.board import (
    Board,
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    InkItem,
    Item,
    PageHead,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
    apply,
    needs,
    needs_first,
    resolve,
)
from sunroom.core.board.items import own_box
from sunroom.core.board.pages import Bay
from sunroom.core.board.requests import (
    ArrangeItems,
    AsWritten,
    ChangeTable,
    Construct,
    ConvertEach,
    CopyPage,
    CropPicture,
    DrawFigure,
    DropBay,
    EditCard,
    EditFormula,
    EditPage,
    EditText,
    GoneError,
    Label,
    Link,
    MeasureItems,
    MoveEnds,
    Plain,
    PlotTable,
    PutBay,
    PutChance,
    PutNumberLine,
    RubItems,
    SetCell,
    SetChart,
    SetGraph,
    SetMaths,
    SetTable,
    StyleItems,
    SwapPicture,
    Throw,
    ToMindMap,
    TransformItems,
    TrueUp,
    TrueUpAll,
    Typeset,
    check_request,
    work,
)
from sunroom.core.board.sight import hidden_pages
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
    Style,
)
from sunroom.core.data.chance import Chance
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.maths.curves import Ranges
from sunroom.core.pens import Actor, Facts, decide
from tests import strategies as make

TYPESETTER = make.even_typesetter()
IDS = [f"item-{number:03d}" for number in range(9)]
SEATS = ("seat-a", "seat-b")
PAGES = ("page-one", "page-two")
RIGHTS = ("write", "note", "text", "shape", "maths", "bring_in", "convert", "add_page", "move_own", "change_others", "erase_others")  # fmt: skip
SAMPLES = pack_samples(np.array([(0, 0, 0.5, 0), (30, 5, 0.6, 8), (60, 40, 0.5, 16)], float))

ids = st.sampled_from(IDS)
places = st.integers(-200, 400).map(float)


@st.composite
def ink(draw: st.DrawFn, item_id: str | None = None) -> InkItem:
    return InkItem(
        id=item_id or draw(ids), x=draw(places), y=draw(places), z=draw(st.integers(1, 9)) / 2, by=draw(st.sampled_from(SEATS)),
        locked=draw(st.booleans()), nib="pen", colour="#16222b", width=3, samples=SAMPLES,
    )  # fmt: skip


@st.composite
def things(draw: st.DrawFn, item_id: str) -> Item:
    """An item of any kind with whatever a browser may have put into it."""
    inner = tuple(draw(st.lists(ink(), max_size=2)))
    common: dict[str, Any] = {
        "id": item_id, "x": draw(places), "y": draw(places), "z": draw(st.integers(1, 20)) / 2, "by": draw(st.sampled_from(SEATS)),
        "locked": draw(st.sampled_from([False, False, False, True])), "group": draw(st.sampled_from(["", "group-1"])),
    }  # fmt: skip
    match draw(
        st.sampled_from(
            [
                "ink",
                "text",
                "shape",
                "line",
                "line",
                "table",
                "picture",
                "card",
                "formula",
                "graph",
                "chart",
                "other",
            ]
        )
    ):
        case "ink":
            return msgspec.structs.replace(draw(ink()), **common)
        case "text":
            return TextItem(text="noon", size=20, colour="#16222b", ink=inner, **common)
        case "shape":
            points = ((0.0, 0.0), (60.0, 0.0), (30.0, 50.0))
            return ShapeItem(figure="triangle", points=points, closed=True, curved=False, colour="#16222b", width=2, ink=inner, **common)  # fmt: skip
        case "line":
            holds = (draw(st.sampled_from(["", *IDS])), draw(st.sampled_from(["", *IDS])))
            points = ((0.0, 0.0), (60.0, 20.0))
            return ShapeItem(figure="line", points=points, closed=False, curved=False, colour="#16222b", width=2, holds=holds, **common)  # fmt: skip
        case "picture":
            return PictureItem(picture="picture-1", width=60, height=40, **common)
        case "card":
            return CardItem(of="link", title="noon", address="https://dials.example", **common)
        case "graph":
            return GraphItem(width=300, height=200, ranges=Ranges(-5, 5, -4, 4), lines=(), **common)
        case "chart":
            followed = draw(st.sampled_from(IDS))
            return ChartItem(
                form="bars", width=300, height=200, columns=1, cells=("1",), table=followed, **common
            )
        case "formula":
            return FormulaItem(
                formula=draw(st.sampled_from(["x^2", "x < 2"])),
                size=24,
                colour="#16222b",
                width=1.0,
                height=1.0,
                ink=inner,
                **common,
            )
        case "table":
            if draw(st.booleans()):
                cells, coin = ("a · b", "n", "a", "0", "b", "0"), Chance("coin", ("a", "b"))
                return TableItem(
                    columns=(80.0, 60.0),
                    rows=(30.0,) * 3,
                    cells=cells,
                    colour="#16222b",
                    chance=coin,
                    **common,
                )
            numbers = ("1", "2", "3", "4")
            return TableItem(
                columns=(80.0, 80.0), rows=(30.0, 30.0), cells=numbers, colour="#16222b", **common
            )
        case _:
            return msgspec.structs.replace(draw(make.items(item_id)), **common)


@st.composite
def boards(draw: st.DrawFn) -> Board:
    board = Board()
    for number, page_id in enumerate(PAGES[: draw(st.sampled_from([1, 2, 2]))]):
        bays = tuple(
            Bay(f"bay-00{n}", draw(places), draw(places), 150, 120, rule=rule, people=("seat-a",) if rule == "people" else ())
            for n, rule in enumerate(draw(st.sampled_from([[], [], ["tutor_side"], ["people", "page"], ["open", "tutor_side"]])))
        )  # fmt: skip
        writers = draw(st.sampled_from(["lesson", "lesson", "open", "open", "tutor_side", "desk"]))
        head = PageHead(page_id, "", writers=writers, desk_of="seat-a" if writers == "desk" else "", bays=bays, by=draw(st.sampled_from(["", *SEATS])), hidden=draw(st.sampled_from([False, False, False, bool(number)])))  # fmt: skip
        board = apply(board, AddPage(head, number))
        items = [
            draw(things(item_id)) for item_id in draw(st.lists(ids, unique=True, min_size=1, max_size=6))
        ]
        if items:
            board = apply(board, AddItems(page_id, tuple(items)))
    return board


@st.composite
def asked(draw: st.DrawFn, board: Board, kind: int) -> Any:
    """Any request, from somebody who chooses ids, heights, locks and inner ink as they like."""
    page = draw(st.sampled_from(board.order))
    there = sorted(board.pages[page].items) or IDS
    strokes = [i for i in there if isinstance(board.pages[page].items.get(i), InkItem)] or there
    new = st.sampled_from(["new-0001", "new-0002", "new-0003", *there[:1]])
    item_id = draw(new)
    many = tuple(draw(st.lists(st.sampled_from(there), min_size=1, max_size=2)))
    items = board.pages[page].items

    def one(kind: type, figure: str = "") -> str:
        """An item that the request is for, if there is one."""
        fits = [
            i for i in there if isinstance(items.get(i), kind) and getattr(items[i], "figure", "") == figure
        ]
        return draw(st.sampled_from(fits or there))

    written = tuple(draw(st.lists(st.sampled_from(strokes), min_size=1, max_size=2)))
    x, y = draw(places), draw(places)
    at = board.pages[page].items.get(written[0])
    match kind:
        case 0 | 1:
            fresh = draw(st.lists(new, min_size=1, max_size=3, unique=True))
            return AddItems(page, tuple(draw(things(i)) for i in fresh))
        case 2:
            return RemoveItems(page, many)
        case 3:
            return MoveItems(page, many, x, y)
        case 4:
            return TransformItems(page, many, Affine(1.5, 0, 0, 1.5, x, y))
        case 5:
            return StyleItems(page, many, Style(colour="#b4472c", size=30.0))
        case 6 | 7:
            how = draw(st.sampled_from(["left", "spread_across", "front", "forward", "backward", "back", "group", "ungroup", "lock", "unlock", "pin", "unpin"]))  # fmt: skip
            return ArrangeItems(page, many, how, "group-2")
        case 8 | 9:
            return RubItems(page, written, draw(st.sampled_from(["item-00", "rubbed-0"])), ((at.x, at.y, 9.0), (at.x + 10, at.y, 9.0)) if at else ((x, y, 9.0),))  # fmt: skip
        case 10:
            return DrawFigure(page, item_id, "rectangle", x, y, 300, 200, "#16222b", 2)
        case 11:
            return MoveEnds(page, one(ShapeItem, "line"), (x, y), (y, x), (draw(ids), ""))
        case 12:
            return EditText(page, one(TextItem), "other words")
        case 13:
            return SetTable(page, one(TableItem), (80.0,), (30.0,), ("x",))
        case 24:
            return SetCell(page, one(TableItem), 0, 0, "mine")
        case 25:
            return ChangeTable(page, one(TableItem), rows=1, columns=1)
        case 26:
            return PutBay(page, Bay("bay-0001", x, y, 300, 200))
        case 27:
            return EditPage(page, title="Mine now", hidden=draw(st.booleans()))
        case 28:
            return DropBay(page, "bay-0001")
        case 29:
            return CropPicture(page, one(PictureItem), (0.25, 0.0, 1.0, 0.5))
        case 30:
            return SwapPicture(page, one(PictureItem), "picture-2", 0.5)
        case 31:
            return EditCard(page, one(CardItem), "Mine now", "https://elsewhere.example")
        case 35:
            return SetGraph(page, one(GraphItem), Ranges(-1, 1, -1, 1), ())
        case 39:
            return Throw(page, one(TableItem), 3)
        case 40:
            return PutChance(page, item_id, x, y, Chance("dice"), "how often")
        case 41:
            return PutNumberLine(page, one(FormulaItem), item_id)
        case 36:
            return SetChart(page, one(ChartItem), "pie")
        case 42:
            return PlotTable(page, one(GraphItem), one(TableItem), "#123456")
        case 37:
            return MeasureItems(page, (one(ShapeItem),), ("sides",))
        case 38:
            return Construct(page, (one(ShapeItem),), "midpoint", item_id)
        case 33:
            return EditFormula(page, one(FormulaItem), "x^3")
        case 34:
            return SetMaths(page, written, item_id, "x^2")
        case 14:
            return Typeset(page, written, item_id, "noon")
        case 15:
            return TrueUp(page, written, item_id, "line", ((x, y), (y, x)), False, False)
        case 16:
            figures = tuple(
                TrueUp(page, (i,), draw(new), "line", ((x, y), (y, x)), False, False) for i in written
            )
            return TrueUpAll(page, figures, tuple((draw(ids), "") for _ in figures))
        case 43:
            texts = tuple(
                Typeset(page, (i,), f"text-{n}" if n else item_id, "noon") for n, i in enumerate(written)
            )
            return ConvertEach(page, texts[:1], (SetMaths(page, written[1:] or written, draw(new), "x^2"),))
        case 17:
            labels = tuple(Label((i,), f"label-{n}" if n else item_id, "noon") for n, i in enumerate(written))
            return ToMindMap(page, labels, (Link((draw(ids),), "link-001", (labels[0].id, draw(ids))),))
        case 18 | 19:
            typed = [i for i in there if getattr(items.get(i), "ink", ())] or there
            return AsWritten(page, (draw(st.sampled_from(typed)),))
        case 20:
            return CopyPage(page, draw(st.sampled_from(["page-new", *PAGES])))
        case 21:
            return AddPage(PageHead(draw(st.sampled_from(["page-new", *PAGES]))), 0)
        case 22:
            return RemovePage(page)
        case 23:
            return MovePage(page, 0)
        case _:
            return ChangePage(PageHead(page, "Mine now", by="seat-a"))


@st.composite
def people(draw: st.DrawFn) -> tuple[Actor, Facts]:
    actor = Actor(draw(st.sampled_from(SEATS)), draw(st.sampled_from(["student"] * 5 + ["helper", "helper", "onlooker"])))  # fmt: skip
    withheld = draw(st.sets(st.sampled_from(RIGHTS), max_size=2)) | draw(st.sampled_from([set(), set(), {"change_others", "erase_others"}]))  # fmt: skip
    mode = draw(st.sampled_from(["up"] * 6 + ["down"]))
    return actor, Facts(open=True, mode=mode, kit=tuple(r for r in RIGHTS if r not in withheld))


Scene = tuple[Board, Any, Actor, Facts]
KINDS = range(44)
#: Scenes in which something must be allowed are looked for so often.
TRIES = 20


@st.composite
def scenes(draw: st.DrawFn, kind: int) -> Scene:
    """A board, somebody, and what they ask of it."""
    board = draw(boards())
    return (board, draw(asked(board, kind)), *draw(people()))


def of_every_kind(examples: int, holds: Callable[[Scene], None], tally: Counter[str] | None = None) -> None:
    """Hold something of scenes with every kind of request; with a ``tally`` until some of the kind were counted."""
    for kind in KINDS:
        for attempt in range(TRIES):
            # The same each time, and of each kind other scenes.
            @seed(kind + 100 * attempt)
            @settings(max_examples=examples, suppress_health_check=list(HealthCheck))
            @given(scenes(kind))
            def held(scene: Scene) -> None:
                holds(scene)

            before = tally.total() if tally is not None else 0
            held()
            if tally is None or tally.total() > before:
                break


def allowed(board: Board, request: Any, actor: Actor, facts: Facts) -> Any:
    """The step that a request makes when it is allowed; None when it is not."""
    try:
        for action, places in needs_first(board, request):
            if not any(decide(actor, action, place, facts, 0).allowed for place in places):
                return None
        work(board, request)
        check_request(request)
        step = resolve(board, request, actor.seat, 1, TYPESETTER)
    except (GoneError, MalformedError):
        return None
    if all(decide(actor, action, target, facts, 0).allowed for action, target in needs(board, request, step)):
        return step
    return None


def may_change(actor: Actor, item: Item, facts: Facts) -> bool:
    """A plain reading of the rules about one item."""
    if actor.role == "onlooker" or item.locked:
        return False
    if actor.role == "helper" or item.by == actor.seat:
        return True
    return bool({"change_others", "erase_others"} & set(facts.kit))


def only_followed(before: Item, after: Item | None, was: Board, now: Board, page: str) -> bool:
    """Whether a line is the same but for running to where what it holds has gone, or a chart but for its table's numbers."""
    if isinstance(before, ChartItem) and isinstance(after, ChartItem):
        table = was.pages[page].items.get(before.table) != now.pages[page].items.get(before.table)
        new = {"cells": after.cells, "columns": after.columns, "chart": after.chart}
        return table and not before.locked and msgspec.structs.replace(before, **new) == after
    if not isinstance(before, ShapeItem) or not isinstance(after, ShapeItem) or not any(before.holds):
        return False
    if before.locked:
        return False
    bare = {"x": 0.0, "y": 0.0, "map": (1.0, 0.0, 0.0, 1.0), "points": before.points}
    same = msgspec.structs.replace(before, **bare) == msgspec.structs.replace(after, **bare)
    held = [h for h in before.holds if h]
    return same and any(was.pages[page].items.get(h) != now.pages[page].items.get(h) for h in held)


class Trespass(TestCase):
    def test_what_is_allowed_never_changes_removes_or_hides_what_its_actor_may_not_change(self) -> None:
        self.allowed: Counter[str] = Counter()
        of_every_kind(45, self.changes_nothing_of_others, self.allowed)
        idle = {kind.__name__ for kind in get_args(Plain)} - set(self.allowed)
        self.assertEqual(idle, set(), "of these kinds none was allowed in any scene: nothing was held")

    def changes_nothing_of_others(self, scene: Scene) -> None:
        board, request, actor, facts = scene
        step = allowed(board, request, actor, facts)
        if step is None:
            return
        self.allowed[type(request).__name__] += 1
        self.assertNotEqual(actor.role, "onlooker")
        after = apply(board, step)
        if actor.role != "helper":
            self.assertEqual(hidden_pages(board), hidden_pages(after), "a page was hidden or shown")
            self.assertFalse(isinstance(request, CopyPage) and board.pages[request.page].head.hidden)
        for page_id, page in board.pages.items():
            then = after.pages.get(page_id)
            self.assertTrue(actor.role == "helper" or not page.head.hidden or then is page)
            whose = actor.role == "helper" or page.head.by == actor.seat
            own_doing = isinstance(request, MovePage) and page_id == request.page
            if then is None or then.head != page.head or own_doing:
                self.assertTrue(
                    whose, "a page of somebody else was taken off, moved, or called something else"
                )
            for item_id, item in page.items.items():
                new = then.items.get(item_id) if then else None
                if new == item or (then and only_followed(item, new, board, after, page_id)):
                    continue
                self.assertTrue(
                    may_change(actor, item, facts), f"{type(request).__name__}: {item} became {new}"
                )

    def test_what_is_new_is_the_actor_s_own_unlocked_and_under_ids_of_its_own(self) -> None:
        of_every_kind(20, self.makes_only_own)

    def makes_only_own(self, scene: Scene) -> None:
        board, request, actor, facts = scene
        step = allowed(board, request, actor, facts)
        if step is None:
            return
        after = apply(board, step)
        for page_id, page in after.pages.items():
            for item_id, item in page.items.items():
                if page_id in board.pages and item_id in board.pages[page_id].items:
                    continue
                self.assertEqual(item.id, item_id)
                if not isinstance(request, AsWritten | RubItems):  # their ink stays its writer's
                    self.assertEqual(item.by, actor.seat)
                    self.assertFalse(item.locked or item.pinned)
                for stroke in getattr(item, "ink", ()) if not isinstance(request, CopyPage) else ():
                    self.assertFalse(stroke.locked or stroke.pinned or stroke.group or stroke.z)

    @settings(max_examples=200)
    @given(things("item-000"), st.lists(st.tuples(places, places), min_size=1, max_size=3), st.booleans())
    def test_a_thing_is_in_every_bay_that_any_part_of_it_covers(
        self, item: Item, corners: list[tuple[float, float]], turned: bool
    ) -> None:
        from sunroom.core.board.bays import bays_of

        if turned:
            item = msgspec.structs.replace(item, map=(0.8, 0.6, -0.6, 0.8))
        bays = tuple(
            Bay(f"bay-00{n}", x, y, 90, 70, rule="people", people=(f"seat-{n}",)) for n, (x, y) in enumerate(corners)
        )  # fmt: skip
        found = {who for bay in bays_of(PageHead("page-one", bays=bays), [item]) for who in bay.people}
        shown = self.drawn(item)
        for number, bay in enumerate(bays):
            later = [self.inside(shown, other, -1e-6) for other in bays[number + 1 :]]
            inside = self.inside(shown, bay, 1e-6) & ~np.any([*later, np.zeros(len(shown), bool)], axis=0)
            if inside.any():
                self.assertIn(f"seat-{number}", found)
            if f"seat-{number}" in found:
                self.assertTrue(self.inside(shown, bay, -9).any(), "it is nowhere near that bay")

    def drawn(self, item: Item) -> np.ndarray:
        """Very many points that the item's drawing covers, found the slow way."""
        if isinstance(item, InkItem | ShapeItem) and not getattr(item, "closed", False):
            lines = item.paths() if isinstance(item, ShapeItem) else [item.placement.points(np.array([(0.0, 0.0), (30.0, 5.0), (60.0, 40.0)]))]  # fmt: skip
            if isinstance(item, InkItem):
                from sunroom.core.ink import unpack_samples

                lines = [item.placement.points(unpack_samples(item.samples)[:, :2])]
            t = np.linspace(0, 1, 60)[:, None]
            pieces = [a + t * (b - a) for line in lines for a, b in zip(line[:-1], line[1:], strict=True)]
            return np.vstack(pieces or lines)
        if isinstance(item, ShapeItem):
            a, b, c = item.paths()[0]
            u, v = np.meshgrid(np.linspace(0, 1, 40), np.linspace(0, 1, 40))
            keep = (u + v <= 1).ravel()
            return a + u.ravel()[keep, None] * (b - a) + v.ravel()[keep, None] * (c - a)
        box = own_box(item)
        u, v = np.meshgrid(np.linspace(box.x0, box.x1, 40), np.linspace(box.y0, box.y1, 40))
        return item.placement.points(np.column_stack([u.ravel(), v.ravel()]))

    def inside(self, points: np.ndarray, bay: Bay, edge: float) -> np.ndarray:
        """Which points lie in a bay further than ``edge`` from its edge; on the edge itself either answer is right."""
        box = bay.box
        low, high = (box.x0 + edge, box.y0 + edge), (box.x1 - edge, box.y1 - edge)
        return ((points > low) & (points < high)).all(axis=1)

    def test_a_wide_nib_covers_what_its_edge_reaches_and_a_fine_one_what_its_tip_does(self) -> None:
        from sunroom.core.board.bays import bays_of

        head = PageHead("page-one", bays=(Bay("bay-0001", 0, 30, 200, 60, rule="tutor_side"),))
        samples = pack_samples(np.array([(0, 0, 0.5, 0), (100, 0, 0.5, 8)], float))
        fine = InkItem(id="stroke-1", nib="highlighter", colour="#16222b", width=20, samples=samples, y=26.0)
        wide = msgspec.structs.replace(fine, width=60.0, y=15.0)
        dot = msgspec.structs.replace(wide, samples=pack_samples(np.array([(50, 0, 0.5, 0)], float)))
        for item, rules in ((fine, {"page"}), (wide, {"page", "tutor_side"}), (dot, {"page", "tutor_side"})):
            self.assertEqual({bay.rule for bay in bays_of(head, [item])}, rules)
        across = msgspec.structs.replace(fine, map=(0.0, 1.0, -1.0, 0.0), y=-5.0, x=50.0, width=2.0, samples=pack_samples(np.array([(0, 0, 0.5, 0), (200, 0, 0.5, 8)], float)))  # fmt: skip
        self.assertEqual(
            {bay.rule for bay in bays_of(head, [across])}, {"page", "tutor_side"}, "two points, both outside"
        )
