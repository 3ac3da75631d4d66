"""Resizing, turning, lining up, ordering, grouping, locking and rubbing out."""

from __future__ import annotations

import math
from unittest import TestCase

import msgspec
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import (
    Board,
    CardItem,
    InkItem,
    Item,
    NoteItem,
    Page,
    PageHead,
    PictureItem,
    ShapeItem,
    TextItem,
    apply,
    invert,
    resolve,
)
from sunroom.core.board.items import Upright, carried, item_box
from sunroom.core.board.laying import laid_out
from sunroom.core.board.requests import (
    ArrangeItems,
    Arrangement,
    CopyPage,
    DrawFigure,
    GoneError,
    RubItems,
    StyleItems,
    TransformItems,
    check_request,
)
from sunroom.core.board.steps import AddItems, AddPage, MoveItems, Style
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine, Box
from sunroom.core.ink import pack_samples, rubbed, unpack_samples
from sunroom.core.ink.rub import cut
from tests import strategies as make

PAGE = make.PAGE_IDS[0]
TYPESETTER = make.even_typesetter()


def stroke(item_id: str, x: float, y: float, points: list[tuple[float, float]], **fields: object) -> InkItem:
    rows = np.array([(u, v, 0.5, 8 * i) for i, (u, v) in enumerate(points)], dtype=float)
    item = InkItem(
        id=item_id, x=x, y=y, by="seat-a", nib="pencil", colour="#16222b", width=2, samples=pack_samples(rows)
    )
    return msgspec.structs.replace(item, **fields)


def board_of(*items: Item) -> Board:
    board = apply(Board(), AddPage(PageHead(PAGE), 0))
    return apply(board, AddItems(PAGE, items)) if items else board


def after(board: Board, request: object) -> Board:
    check_request(request)  # type: ignore[arg-type]
    return apply(board, resolve(board, request, "seat-a", 1, TYPESETTER))  # type: ignore[arg-type]


def page(board: Board) -> Page:
    return board.pages[PAGE]


def order(board: Board) -> list[str]:
    return [item.id for item in page(board).in_order()]


boxes = st.lists(
    st.tuples(make.places, make.places, st.floats(1, 300), st.floats(1, 300)), min_size=2, max_size=7
)


def figures(rows: list[tuple[float, float, float, float]]) -> list[ShapeItem]:
    return [
        ShapeItem(
            id=f"figure-{number}", x=x, y=y, by="seat-a", figure="line", points=((0, 0), (w, h)),
            closed=False, curved=False, colour="#16222b", width=2, z=number + 1,
        )
        for number, (x, y, w, h) in enumerate(rows)
    ]  # fmt: skip


class Arranging(TestCase):
    @given(boxes, st.sampled_from(["left", "right", "top", "bottom", "centre", "middle"]))
    @settings(max_examples=60)
    def test_lined_up_items_share_an_edge_and_keep_their_sizes(self, rows, how: Arrangement) -> None:
        before = board_of(*figures(rows))
        board = after(before, ArrangeItems(PAGE, tuple(order(before)), how))
        found = [item_box(item) for item in page(board).in_order()]
        edge = {
            "left": lambda b: b.x0, "right": lambda b: b.x1, "top": lambda b: b.y0, "bottom": lambda b: b.y1,
            "centre": lambda b: (b.x0 + b.x1) / 2, "middle": lambda b: (b.y0 + b.y1) / 2,
        }[how]  # fmt: skip
        self.assertLess(max(map(edge, found)) - min(map(edge, found)), 1e-6)
        for old, new in zip(page(before).in_order(), found, strict=True):
            self.assertAlmostEqual(item_box(old).width, new.width, places=6)

    @given(boxes)
    @settings(max_examples=60)
    def test_spread_items_have_equal_gaps_and_the_outer_ones_stay(self, rows) -> None:
        before = board_of(*figures(rows))
        board = after(before, ArrangeItems(PAGE, tuple(order(before)), "spread_across"))
        old = {item.id: item_box(item) for item in page(before).in_order()}
        in_row = sorted(old, key=lambda item_id: old[item_id].x0 + old[item_id].x1)
        new = [item_box(page(board).items[item_id]) for item_id in in_row]
        self.assertAlmostEqual(new[0].x0, old[in_row[0]].x0, places=6)
        self.assertAlmostEqual(new[-1].x1, old[in_row[-1]].x1, places=6)
        gaps = [b.x0 - a.x1 for a, b in zip(new, new[1:], strict=False)]
        self.assertLess(max(gaps) - min(gaps), 1e-6)

    @given(boxes, st.data(), st.sampled_from(["front", "forward", "backward", "back"]))
    @settings(max_examples=100)
    def test_ordering_touches_only_what_was_chosen_and_keeps_it_together(
        self, rows, data, how: Arrangement
    ) -> None:
        before = board_of(*figures(rows))
        ids = tuple(data.draw(st.lists(st.sampled_from(order(before)), min_size=1, unique=True)))
        board = after(before, ArrangeItems(PAGE, ids, how))
        rest = [item_id for item_id in order(board) if item_id not in ids]
        self.assertEqual(rest, [item_id for item_id in order(before) if item_id not in ids])
        for item_id in rest:
            self.assertIs(page(board).items[item_id], page(before).items[item_id])
        self.assertEqual(
            [i for i in order(board) if i in ids], [i for i in order(before) if i in ids], "their own order"
        )
        if how == "front":
            self.assertEqual(set(order(board)[-len(ids) :]), set(ids))
        if how == "back":
            self.assertEqual(set(order(board)[: len(ids)]), set(ids))
        self.assertTrue(all(item.z for item in page(board).items.values()), "0 would mean “on top”")

    def test_one_step_forward_passes_the_next_thing_it_overlaps(self) -> None:
        a, b, c = figures([(0, 0, 100, 100), (900, 900, 10, 10), (50, 50, 100, 100)])
        board = after(board_of(a, b, c), ArrangeItems(PAGE, (a.id,), "forward"))
        self.assertEqual(order(board), [b.id, c.id, a.id])
        board = after(board, ArrangeItems(PAGE, (a.id,), "backward"))
        self.assertEqual(order(board), [b.id, a.id, c.id])

    def test_a_group_is_lined_up_as_one(self) -> None:
        a, b, c = figures([(0, 0, 10, 10), (30, 0, 10, 10), (200, 50, 10, 10)])
        board = after(board_of(a, b, c), ArrangeItems(PAGE, (a.id, b.id), "group", "group-1"))
        board = after(board, ArrangeItems(PAGE, (a.id, b.id, c.id), "right"))
        places = {item.id: item.x for item in page(board).items.values()}
        self.assertEqual(places[b.id] - places[a.id], 30)
        self.assertEqual(places[b.id], places[c.id])

    def test_what_is_pinned_is_locked_and_unlocking_lets_go_of_both(self) -> None:
        board = board_of(stroke("figure-0", 0, 0, [(0, 0), (5, 5)]))
        states = []
        for how in ("pin", "unpin", "pin", "unlock", "lock"):
            board = apply(
                board, resolve(board, ArrangeItems(PAGE, ("figure-0",), how), "seat-a", 1, TYPESETTER)
            )
            item = page(board).items["figure-0"]
            states.append((item.locked, item.pinned))
        self.assertEqual(states, [(True, True), (False, False), (True, True), (False, False), (True, False)])

    def test_locking_and_unlocking_come_back_with_undo(self) -> None:
        board = board_of(*figures([(0, 0, 10, 10), (5, 5, 9, 9)]))
        step = resolve(board, ArrangeItems(PAGE, ("figure-0",), "lock"), "seat-a", 1, TYPESETTER)
        locked = apply(board, step)
        self.assertTrue(page(locked).items["figure-0"].locked)
        self.assertFalse(page(apply(locked, invert(board, step))).items["figure-0"].locked)

    def test_a_look_goes_to_what_has_it(self) -> None:
        text = TextItem(id="text-1", by="seat-a", text="noon", size=20, colour="#16222b")
        board = board_of(text, stroke("stroke-1", 0, 0, [(0, 0), (5, 5)]))
        board = after(
            board, StyleItems(PAGE, ("text-1", "stroke-1"), Style(colour="#1f5fa8", width=9, size=40))
        )
        text, ink = page(board).items["text-1"], page(board).items["stroke-1"]
        self.assertEqual((text.colour, text.size, ink.colour, ink.width), ("#1f5fa8", 40, "#1f5fa8", 9))
        self.assertEqual(text.lines[0].width, 4 * 0.5 * 40)

    def test_the_width_of_a_line_is_no_picture_s_and_the_size_of_words_no_note_s(self) -> None:
        picture = PictureItem(id="picture-1", picture="seen-01", width=300, height=200)
        card = CardItem(id="card-001", of="link", title="Sundials", address="https://sundial.example/")
        note = NoteItem(id="note-001", text="noon", colour="#f6dc8b")
        board = board_of(picture, card, note)
        ids = ("picture-1", "card-001", "note-001")
        board = after(board, StyleItems(PAGE, ids, Style(width=3, size=40, opacity=0.5)))
        now = page(board).items
        self.assertEqual((now["picture-1"].width, now["picture-1"].opacity), (300, 0.5))
        self.assertEqual((now["card-001"].width, now["card-001"].size), (card.width, card.size))
        self.assertEqual((now["note-001"].width, now["note-001"].size), (note.width, note.size))

    def test_nothing_is_moved_off_the_paper_s_end_step_by_step(self) -> None:
        board = board_of(*figures([(0, 0, 10, 10)]))
        far = MoveItems(PAGE, ("figure-0",), 900_000, 0)
        with self.assertRaises(MalformedError):
            after(after(board, far), far)

    def test_a_copied_page_belongs_to_its_copier_and_stands_behind_the_first(self) -> None:
        board = board_of(stroke("stroke-1", 0, 0, [(0, 0), (5, 5)], by="seat-b", locked=True))
        board = after(board, CopyPage(PAGE, "page-copy"))
        (copy,) = board.pages["page-copy"].items.values()
        self.assertEqual((copy.by, copy.locked, board.order), ("seat-a", False, (PAGE, "page-copy")))
        self.assertNotEqual(copy.id, "stroke-1")

    def test_what_would_vanish_or_is_nonsense_is_refused(self) -> None:
        bad = [
            TransformItems(PAGE, ("stroke-1",), Affine(0, 0, 0, 0)),
            TransformItems(PAGE, ("stroke-1",), Affine(math.nan, 0, 0, 1)),
            StyleItems(PAGE, ("stroke-1",), Style(colour="red")),
            StyleItems(PAGE, ("stroke-1",), Style(width=1e9)),
            RubItems(PAGE, ("stroke-1",), "piece-1", ()),
            RubItems(PAGE, ("stroke-1",), "piece-1", ((math.inf, 0, 1),)),
            DrawFigure(PAGE, "figure-9", "star", 0, 0, 0, 0, "#16222b", 2.0),
            DrawFigure(PAGE, "figure-9", "star", 0, 0, 9, 9, "#16222b", 2.0, sides=999),
            ArrangeItems(PAGE, ("stroke-1",), "group", "x"),
        ]
        board = board_of(stroke("stroke-1", 0, 0, [(0, 0), (5, 5)]))
        for request in bad:
            with self.assertRaises(MalformedError, msg=request):
                after(board, request)


class Transforming(TestCase):
    @given(make.items("item-0"), make.maps, make.places, make.places)
    @settings(max_examples=100)
    def test_the_box_goes_where_the_map_takes_it(self, item: Item, linear, e: float, f: float) -> None:
        along = Affine(*linear, e, f)
        item = laid_out(item, TYPESETTER)
        before, now = item_box(item), item_box(carried(item, along))
        want = along.point((before.x0 + before.x1) / 2, (before.y0 + before.y1) / 2)
        middle = ((now.x0 + now.x1) / 2, (now.y0 + now.y1) / 2)
        slack = 1e-6 * (1 + before.width + before.height)
        if isinstance(item, Upright):
            self.assertLess(math.dist(middle, want), slack)
        back = carried(carried(item, along), along.inverse())
        if not isinstance(item, Upright):
            np.testing.assert_allclose(
                [*back.map, back.x, back.y], [*item.map, item.x, item.y], atol=1e-6, rtol=1e-9
            )

    def test_flipped_text_can_still_be_read(self) -> None:
        text = TextItem(id="text-1", x=10, y=10, by="seat-a", text="noon", size=20, colour="#16222b")
        text = msgspec.structs.replace(text, lines=TYPESETTER.layout("noon", 20))
        for flip in (Affine.about(100, 0, -1, 0, 0, 1), Affine.about(0, 100, 1, 0, 0, -1)):
            flipped = carried(text, flip)
            self.assertGreater(Affine(*flipped.map).det, 0)
        across = carried(text, Affine.about(100, 0, -1, 0, 0, 1))
        np.testing.assert_allclose(across.map, (1, 0, 0, 1), atol=1e-9)

    def test_every_figure_fills_its_box_whichever_way_it_was_dragged(self) -> None:
        from typing import get_args

        from sunroom.core.shapes.figures import FigureKind, draw_figure

        for kind in get_args(FigureKind):
            for width, height in ((200, 120), (-200, -120), (60, 300)):
                outline = draw_figure(kind, width, height)
                points = np.array(outline.points)
                box = Box.of(points)
                self.assertLessEqual(box.width, abs(width) + 1e-6, kind)
                self.assertGreaterEqual(box.x0, min(0, width) - 1e-6, kind)
                self.assertGreaterEqual(box.y0, min(0, height) - 15, kind)
                shape = ShapeItem(
                    id="figure-1", figure=kind, points=outline.points, parts=outline.parts,
                    closed=outline.closed, curved=outline.curved, colour="#16222b", width=2,
                )  # fmt: skip
                check_request(AddItems(PAGE, (shape,)))


class Rubbing(TestCase):
    def length_outside(self, points: np.ndarray, path: np.ndarray, reach: float) -> float:
        """Length of a polyline further than the eraser's reach from its path, by fine sampling."""
        total = 0.0
        for a, b in zip(points[:-1], points[1:], strict=True):
            count = max(2, int(np.hypot(*(b - a)) / 0.02))
            fine = a + (np.arange(count) + 0.5)[:, None] / count * (b - a)
            outside = np.ones(count, dtype=bool)
            for p, q in zip(path[:-1], path[1:], strict=True) if len(path) > 1 else [(path[0], path[0])]:
                way = q[:2] - p[:2]
                t = np.clip(((fine - p[:2]) @ way) / max(way @ way, 1e-12), 0, 1)
                away = np.hypot(*(fine - p[:2] - t[:, None] * way).T)
                outside &= away > max(p[2], q[2]) + reach
            total += np.hypot(*(b - a)) * outside.mean()
        return float(total)

    @given(st.integers(0, 10_000))
    @settings(max_examples=60)
    def test_what_is_left_is_the_ink_outside_the_rubbed_band(self, seed: int) -> None:
        rng = np.random.default_rng(seed)
        points = np.cumsum(rng.normal(0, 6, (20, 2)), axis=0)
        path = np.column_stack([np.cumsum(rng.normal(0, 12, (4, 2)), axis=0), rng.uniform(1, 8, 4)])
        (left,) = rubbed([points], [1.5], path)
        whole = float(np.hypot(*np.diff(points, axis=0).T).sum())
        kept = (
            whole
            if left is None
            else sum(float(np.hypot(*np.diff(cut(points, stretch), axis=0).T).sum()) for stretch in left)
        )
        self.assertAlmostEqual(kept, self.length_outside(points, path, 1.5), delta=0.5)

    def test_a_rub_across_the_middle_leaves_two_pieces_that_look_as_before(self) -> None:
        line = stroke("stroke-1", 100, 50, [(x, 0) for x in range(0, 101, 10)], nib="pen", colour="#b4472c")
        board = after(board_of(line), RubItems(PAGE, ("stroke-1",), "piece-1", ((150, 40, 5), (150, 60, 5))))
        left, right = sorted(page(board).in_order(), key=lambda item: item_box(item).x0)
        reach = 2 * 1.55 / 2
        self.assertAlmostEqual(100 + unpack_samples(left.samples)[-1, 0], 145 - reach, places=3)
        self.assertAlmostEqual(100 + unpack_samples(right.samples)[0, 0], 155 + reach, places=3)
        self.assertEqual({left.colour, right.colour, left.by}, {"#b4472c", "seat-a"})
        self.assertEqual(left.z, line.z or 1)

    def test_a_stretched_stroke_is_cut_where_it_is_seen(self) -> None:
        line = stroke("stroke-1", 0, 0, [(0, 0), (10, 0)], map=(10.0, 0.0, 0.0, 1.0))
        board = after(board_of(line), RubItems(PAGE, ("stroke-1",), "piece-1", ((50, 0, 5),)))
        left, _ = sorted(page(board).in_order(), key=lambda item: item_box(item).x0)
        edge = left.placement.points(unpack_samples(left.samples)[-1:, :2])[0, 0]
        self.assertAlmostEqual(edge, 50 - 5 - 1.0 * math.sqrt(10), places=3)

    def test_a_dot_goes_whole_and_what_is_not_touched_stays(self) -> None:
        dot, far = stroke("stroke-1", 10, 10, [(0, 0)]), stroke("stroke-2", 500, 500, [(0, 0), (9, 9)])
        board = after(board_of(dot, far), RubItems(PAGE, ("stroke-1", "stroke-2"), "piece-1", ((10, 10, 4),)))
        self.assertEqual(order(board), ["stroke-2"])
        with self.assertRaises(GoneError):
            after(board, RubItems(PAGE, ("stroke-2",), "piece-2", ((10, 10, 4),)))
