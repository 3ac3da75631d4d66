"""Figures made even with each other and with their neighbours, as an offer."""

from __future__ import annotations

from unittest import TestCase

import numpy as np

from sunroom.core.board import Board, PageHead, apply, resolve
from sunroom.core.board.beside import figures_beside
from sunroom.core.board.requests import DrawFigure
from sunroom.core.board.steps import AddPage
from sunroom.core.geometry import Box
from sunroom.core.shapes import Figure, Part, evened, like_neighbour
from tests import strategies as make
from tests.core.test_mind_map import ink, line

PAGE = "page-001"


def box_figure(x: float, y: float, width: float, height: float) -> Figure:
    corners = ((x, y), (x + width, y), (x + width, y + height), (x, y + height))
    return Figure("rectangle", 0.9, corners, True, False, "rectangle")


def drawn_line(start: tuple[float, float], end: tuple[float, float]) -> Figure:
    return Figure("line", 0.9, (start, end), False, False, "line")


def box_of(figure: Figure) -> Box:
    return Box.of(np.array(figure.points))


class Evening(TestCase):
    def parts(self, *figures: Figure) -> list[Part]:
        return [Part(figure, (number,)) for number, figure in enumerate(figures)]

    def test_figures_of_nearly_one_size_in_nearly_one_row_become_even(self) -> None:
        sketch = self.parts(
            box_figure(0, 0, 200, 100), box_figure(300, 8, 190, 110), box_figure(620, -6, 205, 96)
        )
        boxes = [box_of(part.figure) for part in evened(sketch)]
        self.assertEqual(len({(round(box.width, 1), round(box.height, 1)) for box in boxes}), 1)
        self.assertEqual(len({round(float(box.middle[1]), 1) for box in boxes}), 1)
        for box, part in zip(boxes, sketch, strict=True):
            self.assertLess(box.gap(box_of(part.figure)), 1e-6)
            self.assertLess(float(np.abs(box.middle - box_of(part.figure).middle).max()), 12)

    def test_other_sizes_other_kinds_and_lines_stay(self) -> None:
        small, large = box_figure(0, 0, 80, 40), box_figure(300, 200, 200, 130)
        between = drawn_line((90, 20), (300, 200))
        sketch = self.parts(small, large, between)
        self.assertEqual([part.figure for part in evened(sketch)], [small, large, between])
        self.assertEqual(evened([]), [])

    def test_members_and_holds_stay_with_their_figures(self) -> None:
        sketch = [
            Part(box_figure(0, 0, 200, 100), (0,)),
            Part(box_figure(300, 8, 190, 110), (1, 2)),
            Part(drawn_line((205, 50), (296, 60)), (3,), (0, 1)),
        ]
        even = evened(sketch)
        self.assertEqual(
            [(part.members, part.holds) for part in even], [(p.members, p.holds) for p in sketch]
        )


class Neighbours(TestCase):
    def test_a_figure_takes_the_size_of_the_nearest_like_it(self) -> None:
        figure = box_figure(300, 0, 188, 108)
        near, far = Box(0, 0, 200, 100), Box(0, 300, 210, 120)
        made = like_neighbour(figure, [("rectangle", far), ("rectangle", near)])
        assert made is not None
        self.assertEqual(made.form, "same-size")
        box = box_of(made)
        self.assertAlmostEqual(box.width, 200, delta=0.1)
        self.assertAlmostEqual(box.height, 100, delta=0.1)
        np.testing.assert_allclose(box.middle, box_of(figure).middle, atol=0.1)

    def test_nothing_is_offered_without_one_like_it(self) -> None:
        figure = box_figure(300, 0, 188, 108)
        for kind, box in (
            ("ellipse", Box(0, 0, 200, 100)),
            ("rectangle", Box(0, 0, 60, 30)),
            ("rectangle", Box(9000, 0, 9200, 100)),
            ("rectangle", box_of(figure)),
        ):
            self.assertIsNone(like_neighbour(figure, [(kind, box)]), kind)  # type: ignore[list-item]
        self.assertIsNone(like_neighbour(drawn_line((0, 0), (9, 9)), [("line", Box(0, 0, 9, 9))]))

    def test_the_page_tells_what_figures_are_around_some_ink(self) -> None:
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        for number, (figure, x) in enumerate((("rectangle", 0), ("line", 250), ("ellipse", 900))):
            asked = DrawFigure(PAGE, f"figure-{number}", figure, x, 0, 200, 100, "#16222b", 6.0)  # type: ignore[arg-type]
            board = apply(board, resolve(board, asked, "imani", 1, make.even_typesetter()))
        around = figures_beside(board.pages[PAGE], [ink("stroke-1", line((220, 10), (240, 60)))])
        self.assertEqual([figure for figure, _ in around], ["rectangle", "ellipse"])
        self.assertEqual((around[0][1].width, around[0][1].height), (200, 100))
        self.assertEqual(figures_beside(apply(Board(), AddPage(PageHead(PAGE), 0)).pages[PAGE], []), ())
