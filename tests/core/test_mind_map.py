"""A mind map from words: which ink is word and which is line, and how the ovals are laid out."""

from __future__ import annotations

import itertools
from unittest import TestCase

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from demo.hand import Hand
from sunroom.core.board import Board, InkItem, Page, PageHead, ShapeItem, apply, needs, resolve
from sunroom.core.board.beside import word_beside
from sunroom.core.board.items import Item, item_box
from sunroom.core.board.requests import AsWritten, GoneError, Label, Link, ToMindMap, check_request
from sunroom.core.board.requests.mind_mapping import _apart
from sunroom.core.board.steps import AddItems, AddPage, MoveItems
from sunroom.core.errors import MalformedError
from sunroom.core.ink import pack_samples
from sunroom.core.reading.mind_map import THERE, MapFound, find_map
from tests import strategies as make

PAGE = "page-001"
TYPESETTER = make.even_typesetter()
WORDS = {"shadow": (400, 300), "length": (150, 160), "noon": (700, 140), "sun height": (700, 420)}
LINES = (((390, 270), (270, 175)), ((560, 265), (690, 150)), ((570, 310), (685, 395)))
Stroke = np.ndarray


def line(start: tuple[float, float], end: tuple[float, float]) -> Stroke:
    return Hand(3, 0.5).draw(np.array([start, end], dtype=float), tremor=2.0)


def scattered(lines: bool = True) -> tuple[list[Stroke], list[int]]:
    """The strokes of four words and three lines, and of which word each is (-1: a line)."""
    strokes: list[Stroke] = []
    of: list[int] = []
    for number, (word, (x, y)) in enumerate(WORDS.items()):
        written = Hand(9, 0.4).write(word, x, y, 54)
        strokes += written
        of += [number] * len(written)
    if lines:
        strokes += [line(*ends) for ends in LINES]
        of += [-1] * len(LINES)
    return strokes, of


class Finding(TestCase):
    def words(self, found: MapFound | None, of: list[int]) -> list[set[int]]:
        assert found is not None
        return [{of[n] for n in label} for label in found.labels]

    def test_words_and_the_lines_between_them_are_told_apart(self) -> None:
        strokes, of = scattered()
        found = find_map(strokes)
        assert found is not None
        self.assertEqual(self.words(found, of), [{0}, {1}, {2}, {3}])
        self.assertEqual(found.centre, 0)
        self.assertEqual(sorted(tuple(sorted(link.ends)) for link in found.links), [(0, 1), (0, 2), (0, 3)])
        self.assertTrue(all(link.members for link in found.links))

    def test_words_without_lines_are_linked_to_the_middle_one(self) -> None:
        strokes, of = scattered(lines=False)
        found = find_map(strokes)
        assert found is not None
        self.assertEqual(self.words(found, of), [{0}, {1}, {2}, {3}])
        self.assertEqual({link.ends for link in found.links}, {(0, 1), (0, 2), (0, 3)})
        self.assertFalse(any(link.members for link in found.links))

    def test_a_ring_around_the_middle_goes_with_its_word(self) -> None:
        strokes, _ = scattered()
        at = np.linspace(0, 6.4, 60)
        ring = np.column_stack([475 + 125 * np.cos(at), 290 + 52 * np.sin(at), at * 0 + 0.5, at * 100])
        found = find_map([*strokes, ring])
        assert found is not None
        self.assertIn(len(strokes), found.labels[found.centre])

    def test_lines_of_a_text_are_no_map(self) -> None:
        hand = Hand(9, 0.4)
        for text in (("the shadow is longest",), ("at noon", "in the yard", "by the wall", "in the sun")):
            strokes = [s for n, row in enumerate(text) for s in hand.write(row, 100, 200 + 120 * n, 54)]
            self.assertIsNone(find_map(strokes), text)

    def test_a_figure_and_a_scribble_are_no_map(self) -> None:
        hand = Hand(4, 0.5)
        box = hand.sketch([(0, 0), (200, 0), (200, 100), (0, 100), (0, 0)])
        self.assertIsNone(find_map([box]))
        self.assertIsNone(find_map([line((0, 0), (300, 10)), line((0, 90), (300, 95))]))
        self.assertIsNone(find_map([]))

    def test_next_to_a_map_a_word_is_a_branch_with_or_without_its_line(self) -> None:
        there = item_box(ink("there-1", line((0, 0), (120, 60))))
        word = Hand(9, 0.4).write("noon", 260, 60, 54)
        for strokes, drawn in ((word, ()), ([*word, line((125, 35), (250, 45))], (len(word),))):
            found = find_map(strokes, there)
            assert found is not None
            self.assertEqual((len(found.labels), found.centre), (1, THERE))
            self.assertEqual([link.members for link in found.links], [drawn])
            self.assertEqual(set(found.links[0].ends), {THERE, 0})

    @settings(max_examples=20)
    @given(st.floats(0.3, 3), st.floats(-500, 500), st.floats(-500, 500))
    def test_it_depends_on_neither_place_nor_scale(self, scale: float, dx: float, dy: float) -> None:
        strokes, _ = scattered()
        moved = [np.column_stack([s[:, :2] * scale + (dx, dy), s[:, 2:]]) for s in strokes]
        self.assertEqual(find_map(moved), find_map(strokes))


def ink(item_id: str, samples: Stroke) -> InkItem:
    return InkItem(id=item_id, nib="pen", colour="#16222b", width=3, samples=pack_samples(samples))


def board(*items: Item) -> Board:
    start = apply(Board(), AddPage(PageHead(PAGE), 0))
    return apply(start, resolve(start, AddItems(PAGE, items), "imani", 1, TYPESETTER))


class Making(TestCase):
    def setUp(self) -> None:
        strokes, of = scattered()
        self.ink = [ink(f"stroke-{n:03d}", stroke) for n, stroke in enumerate(strokes)]
        self.before = board(*self.ink)
        labels = tuple(
            Label(tuple(self.ink[n].id for n in range(len(of)) if of[n] == number), f"label-{number}", word)
            for number, word in enumerate(WORDS)
        )
        links = tuple(
            Link((self.ink[len(of) - 3 + n].id,), f"link-00{n}", ("label-0", f"label-{n + 1}"))
            for n in range(3)
        )
        self.request = ToMindMap(PAGE, labels, links, "label-0")
        self.after = apply(self.before, resolve(self.before, self.request, "imani", 2, TYPESETTER))

    def shapes(self, page: Page | None = None) -> dict[str, ShapeItem]:
        items = (page or self.after.pages[PAGE]).items.values()
        return {item.id: item for item in items if isinstance(item, ShapeItem)}

    def test_words_stand_in_ovals_and_lines_hold_on_to_them(self) -> None:
        shapes = self.shapes()
        self.assertEqual(len(self.after.pages[PAGE].items), 7)
        self.assertEqual([shapes[f"label-{n}"].text for n in range(4)], list(WORDS))
        self.assertTrue(all(shapes[f"label-{n}"].lines for n in range(4)))
        self.assertEqual(shapes["link-001"].holds, ("label-0", "label-2"))
        self.assertGreater(shapes["label-0"].size, shapes["label-1"].size)

    def test_no_oval_lies_over_another(self) -> None:
        ovals = [item_box(shape) for shape in self.shapes().values() if shape.text]
        for a, b in itertools.combinations(ovals, 2):
            self.assertFalse(a.overlaps(b))

    def test_lines_follow_a_word_that_is_moved(self) -> None:
        step = resolve(self.after, MoveItems(PAGE, ("label-2",), 200, 0), "imani", 3, TYPESETTER)
        moved = self.shapes(apply(self.after, step).pages[PAGE])
        self.assertGreater(item_box(moved["link-001"]).x1, item_box(self.shapes()["link-001"]).x1 + 100)

    def test_as_written_brings_all_ink_back(self) -> None:
        ids = tuple(self.after.pages[PAGE].items)
        back = apply(self.after, resolve(self.after, AsWritten(PAGE, ids), "imani", 3, TYPESETTER))
        items = back.pages[PAGE].items
        self.assertEqual(set(items), {stroke.id for stroke in self.ink})
        for stroke in self.ink:
            self.assertAlmostEqual(items[stroke.id].x, stroke.x, delta=60)  # where its oval is now

    def test_a_branch_is_added_beside_what_is_there(self) -> None:
        word = [ink(f"branch-{n:02d}", s) for n, s in enumerate(Hand(9, 0.4).write("north", 760, 190, 54))]
        page = apply(self.after, AddItems(PAGE, tuple(word))).pages[PAGE]
        near = word_beside(page, word)
        assert near is not None
        self.assertEqual(near.id, "label-2")
        request = ToMindMap(
            PAGE,
            (Label(tuple(stroke.id for stroke in word), "label-9", "north"),),
            (Link((), "link-009", (near.id, "label-9")),),
        )
        grown = apply(self.after, AddItems(PAGE, tuple(word)))
        after = apply(grown, resolve(grown, request, "noor", 4, TYPESETTER))
        shapes = self.shapes(after.pages[PAGE])
        self.assertEqual(shapes["link-009"].holds, ("label-2", "label-9"))
        for number in range(4):
            self.assertEqual(shapes[f"label-{number}"], self.shapes()[f"label-{number}"])
            self.assertFalse(item_box(shapes["label-9"]).overlaps(item_box(shapes[f"label-{number}"])))

    def test_ink_that_is_no_branch_has_no_word_beside_it(self) -> None:
        far = ink("far-away-1", line((3000, 3000), (3050, 3010)))
        self.assertIsNone(word_beside(self.after.pages[PAGE], [far]))
        self.assertIsNone(word_beside(self.before.pages[PAGE], [far]))

    def test_it_is_a_conversion_for_the_rule_book(self) -> None:
        step = resolve(self.before, self.request, "noor", 2, TYPESETTER)
        ((action, target),) = needs(self.before, self.request, step)
        self.assertEqual((action, target.owners), ("convert", {"imani"}))

    def test_what_cannot_be_made_gets_an_error_and_changes_nothing(self) -> None:
        with self.assertRaises(GoneError):
            resolve(self.after, self.request, "imani", 3, TYPESETTER)
        nothing = ToMindMap(PAGE, (Label(("gone-000",), "label-7", "word"),), ())
        with self.assertRaises(GoneError):
            resolve(self.before, nothing, "imani", 3, TYPESETTER)
        word = Label((self.ink[0].id,), "label-7", "word")
        for labels, links in (
            ((), ()),
            ((Label((self.ink[0].id,), "label-7", " "),), ()),
            ((Label((self.ink[0].id,), "label-7", "x" * 501),), ()),
            ((word, word), ()),
            ((Label((self.ink[0].id,), "", "word"),), ()),
            ((word,), (Link((), "link-7", ("label-7", "no good id!")),)),
        ):
            with self.assertRaises(MalformedError):
                check_request(ToMindMap(PAGE, labels, links))
        # A line to nothing is left out, the words are made.
        loose = ToMindMap(PAGE, (word,), (Link((), "link-777", ("label-7", "gone-000")),))
        step = resolve(self.before, loose, "imani", 3, TYPESETTER)
        self.assertEqual([item.id for item in step.items], ["label-7"])  # type: ignore[union-attr]


class LayingOut(TestCase):
    @settings(max_examples=60)
    @given(
        st.lists(st.tuples(st.floats(0, 900), st.floats(0, 600)), min_size=2, max_size=9),
        st.integers(0, 1000),
    )
    def test_ovals_end_apart_and_the_middle_stays(self, places: list[tuple[float, float]], seed: int) -> None:
        sizes = np.random.default_rng(seed).uniform((60, 40), (220, 90), (len(places), 2))
        wanted = np.array(places)
        middles = _apart(wanted, sizes, [], 0)
        np.testing.assert_array_equal(middles[0], wanted[0])
        for a, b in itertools.combinations(range(len(places)), 2):
            apart = np.abs(middles[a] - middles[b]) - (sizes[a] + sizes[b]) / 2
            self.assertGreater(apart.max(), 0.0, "they lie over each other")
