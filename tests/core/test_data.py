"""Cells that are worked out, and charts: values, errors in their place, drawing inside its box, following a table."""

from __future__ import annotations

import math
import statistics
from fractions import Fraction
from unittest import TestCase

import msgspec
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import Board, ChartItem, GraphItem, PageHead, TableItem, apply, invert, resolve
from sunroom.core.board.following import followed
from sunroom.core.board.history import History
from sunroom.core.board.requests import (
    ChangeTable,
    CopyPage,
    GoneError,
    PlotTable,
    PutChance,
    SetCell,
    SetChart,
    StyleItems,
    Throw,
    TransformItems,
    check_request,
    work,
)
from sunroom.core.board.requests.cost import CHART, CHART_CELL, following_work
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems, ReplaceItems, Style
from sunroom.core.data.cells import MAX_SIGNS, number_of, points_of, shifted, shown_cells
from sunroom.core.data.chance import Chance, outcomes, throw
from sunroom.core.data.charts import best_line, bins, draw_chart, equation, five_numbers, stems
from sunroom.core.data.series import data_of
from sunroom.core.drawn import Drawn, path_lines, text_width
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.maths.curves import Ranges
from tests import strategies as make

PAGE = "page-001"
TYPESETTER = make.even_typesetter()
SHADOWS = ("height", "shadow", "25°", "2.14", "40°", "1.19", "60°", "0.58")
FORMS = ("bars", "stacked", "lines", "scatter", "pie", "histogram", "box", "stems")


def worked(*cells: str, columns: int = 1) -> tuple[str, ...]:
    return shown_cells(cells, columns)


class Cells(TestCase):
    def test_arithmetic_over_other_cells_goes_by_the_usual_order(self) -> None:
        self.assertEqual(worked("3", "4", "=A1+2*A2^2-6/A1")[2], "33")
        self.assertEqual(worked("3", "4", "=A1 + 2·A2^2 – 6÷A1")[2], "33")
        self.assertEqual(
            worked("=-2^2", "=(1+2)*3%", "=2^-1", "=10-4-3", "= 7 / 2"), ("−4", "0.09", "0.5", "3", "3.5")
        )

    def test_functions_take_ranges_and_leave_out_words(self) -> None:
        cells = (
            "h",
            "1",
            "2",
            "6",
            "=sum(A1:A4)",
            "=mean(A2:A4)",
            "=median(A2:A4)",
            "=count(A1:A4)",
            "=max(A2:A4)-min(A2:A4)",
        )
        self.assertEqual(worked(*cells)[4:], ("9", "3", "2", "3", "5"))
        self.assertEqual(
            worked("=summe(1;2)", "=MOYENNE(2, 4)", "=round(2.345; 2)", "=round(-2.5)"),
            ("3", "3", "2.35", "−3"),
        )

    def test_a_comma_divides_where_the_table_does_so(self) -> None:
        self.assertEqual(worked("2,5 m", "=A1/2")[1], "1,25")
        self.assertEqual(worked("1,234.5", "=A1/2")[1], "617.25")
        self.assertEqual(worked("2,5", "=2,5*A1", "=sum(1,5;A1)", "=max(1,5)")[1:], ("6,25", "4", "5"))
        self.assertEqual((number_of("2,14 m"), number_of("−3"), number_of("40 %"), number_of("x2"), number_of("1.2.3")), (2.14, -3, 0.4, None, None))  # fmt: skip

    def test_numbers_are_taken_as_other_programs_write_them(self) -> None:
        for text, number in (
            ("1 234,5", 1234.5), ("12\u202f345 m", 12345), ("1,234.5", 1234.5), ("1.234,5", 1234.5), ("1,234,567", 1234567), ("1’000", 1000),
            ("€ 5", 5), ("-$1,200.50", -1200.5), ("–5", -5), (".5", 0.5), ("1e3", 1000), ("2.5E−2", 0.025), ("5 eggs", 5), ("1/4", 0.25),
            ("17/20", 0.85), ("2½", 2.5), ("⅔", 2 / 3), ("1/0", None), ("24.12.2026", None), ("1/2/2026", None), ("1.234", 1.234),
            ("1,234", 1.234), ("12 34", 12), ("", None), ("-", None), ("12:30", None), ("10–19", None), ("2026-11-29", None), ("5 - x", 5),
        ):  # fmt: skip
            with self.subTest(text):
                self.assertEqual(number_of(text), number)

    def test_deviations_are_those_that_spreadsheets_mean_by_the_name(self) -> None:
        cells = ("2", "4", "4", "6", "=stdev(A1:A4)^2", "=stdevp(A1:A4)^2", "=sd(A1:A4)^2", "=stdev(A1)")
        self.assertEqual(worked(*cells)[4:], ("2.666666667", "2", "2", "?"))

    def test_large_whole_numbers_are_written_out(self) -> None:
        self.assertEqual(
            worked("12345678901", "=A1*10", "=0*-1", "=2^60"),
            ("12345678901", "123456789010", "0", "1.152921505e+18"),
        )

    def test_what_cannot_be_worked_out_says_so_in_its_place(self) -> None:
        for cell, text in (
            ("=1+", "?"), ("=__class__", "?"), ("=9^9^9^9", "?"), ("=1/0", "÷0"), ("=A9", "A9?"), ("=sqrt(-1)", "?"),
            ("=max()", "?"), ("=nothing(1)", "?"), ("=Z1", "?"), ("=" + "(" * 240 + "1", "?"), ("=A0", "?"), ("=(-8)^0.5", "?"),
        ):  # fmt: skip
            with self.subTest(cell[:20]):
                self.assertEqual(worked(cell)[0], text)
        self.assertEqual(
            worked("noon", "=A1+1", "=A2*2")[1:], ("A1?", "A1?"), "the cause is named through others"
        )

    def test_a_circle_is_named_and_leaves_the_others_alone(self) -> None:
        self.assertEqual(worked("=A2", "=A1", "=1+1", "=A1+1"), ("A1?", "A2?", "2", "A1?"))

    def test_a_long_chain_and_a_table_full_of_formulas_end_in_time(self) -> None:
        chain = ["1", *(f"=A{n}+1" for n in range(1, 90))]
        self.assertEqual(worked(*chain[:40])[39], "40")
        full = ["=" + "+".join(["1"] * 240)] * 1_600
        self.assertEqual(set(shown_cells(full, 40)), {"?"})
        self.assertLess(MAX_SIGNS, 40_000)

    def test_names_of_cells_move_with_rows_and_columns(self) -> None:
        self.assertEqual(shifted("=SUM(A2:A4)+$B$3*2", False, 1, 1), "=SUM(A3:A5)+B4*2")
        self.assertEqual(shifted("=a1+B1", True, 1, 1), "=A1+C1")
        self.assertEqual(shifted("=A2+A4", False, 2, -1), "=A2+A3")
        self.assertEqual(shifted("A2 is noon", False, 0, 1), "A2 is noon")

    @given(st.lists(st.integers(-99, 99), min_size=1, max_size=8))
    def test_means_and_sums_are_those_of_exact_arithmetic(self, values: list[int]) -> None:
        last = len(values)
        total, mean = worked(*map(str, values), f"=sum(A1:A{last})", f"=mean(A1:A{last})")[-2:]
        self.assertEqual(int(total.replace("−", "-")), sum(values))
        self.assertAlmostEqual(float(mean.replace("−", "-")), float(Fraction(sum(values), last)), places=6)


class Statistics(TestCase):
    def test_quarters_are_middles_of_the_halves(self) -> None:
        self.assertEqual(five_numbers([7, 1, 3, 5, 9]), (1, 2, 5, 8, 9))
        self.assertEqual(five_numbers([4]), (4, 4, 4, 4, 4))

    def test_a_histogram_counts_every_number_once(self) -> None:
        low, step, counts = bins([12, 15, 20, 24, 28, 40])
        self.assertEqual(sum(counts), 6)
        self.assertLessEqual(low, 12)
        self.assertGreater(low + step * len(counts), 40 - 1e-9)

    def test_stems_and_leaves_give_the_numbers_back(self) -> None:
        values = [1.2, 1.5, 2.1, 3.0, 3.5]
        unit, rows = stems(values)
        back = [float(unit(stem, leaf)) for stem, leaves in rows for leaf in leaves]
        self.assertEqual(back, values)

    @given(st.lists(st.tuples(st.integers(-50, 50), st.integers(-50, 50)), min_size=2, max_size=20))
    def test_the_best_line_is_that_of_least_squares(self, pairs: list[tuple[int, int]]) -> None:
        xs, ys = [float(x) for x, _ in pairs], [float(y) for _, y in pairs]
        line = best_line(xs, ys)
        if line is None:
            self.assertEqual(len(set(xs)), 1)
            return
        slope, start = np.polyfit(xs, ys, 1)
        np.testing.assert_allclose(line, (slope, start), atol=1e-6)
        self.assertTrue(equation(*line).startswith("y = "))

    def test_series_are_columns_or_rows_and_heads_name_them(self) -> None:
        data = data_of(("name", "Noor", "Elio", "one", "1", "2", "two", "3", ""), 3)
        self.assertEqual(
            [(each.name, each.values) for each in data.series], [("Noor", (1, 3)), ("Elio", (2, None))]
        )
        turned = data_of(("name", "Noor", "Elio", "one", "1", "2", "two", "3", ""), 3, by_rows=True)
        self.assertEqual([each.name for each in turned.series], ["one", "two"])
        self.assertEqual([each.name for each in data_of(SHADOWS, 2).series], ["height", "shadow"])
        self.assertEqual(data_of(SHADOWS, 2, of_things=True).names, ("25°", "40°", "60°"))


cells = st.sampled_from(["", "noon", "1", "2.5", "−3", "1e9", "0", "40°", "12 %"])


class Charts(TestCase):
    def drawn(self, form: str, cells: tuple[str, ...] = SHADOWS, columns: int = 2, **more: object) -> Drawn:
        return draw_chart(form, cells, columns, width=420, height=300, **more)  # type: ignore[arg-type]

    @settings(max_examples=120)
    @given(st.sampled_from(FORMS), st.integers(1, 4), st.data())
    def test_whatever_is_in_the_cells_all_of_it_lies_in_its_box(
        self, form: str, columns: int, data: st.DataObject
    ) -> None:
        count = columns * data.draw(st.integers(1, 8))
        texts = tuple(data.draw(st.lists(cells, min_size=count, max_size=count)))
        drawn = draw_chart(form, texts, columns, width=300, height=220, title="Noon", fit=True)  # type: ignore[arg-type]
        for patch in drawn.patches:
            for points in path_lines(patch.path):
                self.assertTrue(
                    (points >= -8).all() and (points[:, 0] <= 308).all() and (points[:, 1] <= 228).all(), form
                )
        for label in drawn.labels:
            self.assertTrue(
                label.x >= 0 and label.x + text_width(label.text, label.size) <= 302, (form, label)
            )
            self.assertTrue(0 <= label.y <= 226, (form, label))

    def test_bars_are_as_high_as_their_numbers(self) -> None:
        drawn = self.drawn("bars", ("name", "h", "a", "2", "b", "4", "c", "-1"))
        bars = [path_lines(patch.path)[0] for patch in drawn.patches if patch.fill]
        heights = [float(np.ptp(points[:, 1])) for points in bars]
        np.testing.assert_allclose(np.array(heights) / heights[0], (1, 2, 0.5), rtol=0.02)

    def test_shares_of_a_pie_are_as_large_as_their_numbers(self) -> None:
        drawn = self.drawn("pie", ("what", "time", "sun", "1", "cloud", "2", "rain", "5"))
        slices = [path_lines(patch.path)[0] for patch in drawn.patches if patch.fill][:3]
        areas = [
            abs(float(p[:, 0] @ np.roll(p[:, 1], -1) - np.roll(p[:, 0], -1) @ p[:, 1])) / 2 for p in slices
        ]
        np.testing.assert_allclose(np.array(areas) / sum(areas), (1 / 8, 2 / 8, 5 / 8), atol=0.01)

    def test_nothing_to_show_is_said(self) -> None:
        self.assertEqual(self.drawn("bars", ("a", "b")).problem.key, "a-chart-needs-numbers")  # type: ignore[union-attr]
        self.assertEqual(self.drawn("pie", ("a", "b", "x", "-2")).problem.key, "a-pie-needs-shares")  # type: ignore[union-attr]

    def test_series_differ_in_grey_as_well(self) -> None:
        from sunroom.core.data.charts import COLOURS

        greys = [0.3 * int(c[1:3], 16) + 0.59 * int(c[3:5], 16) + 0.11 * int(c[5:], 16) for c in COLOURS[:4]]
        self.assertGreater(min(abs(a - b) for n, a in enumerate(greys) for b in greys[:n]), 12)


class Following(TestCase):
    """A chart and its table on a board."""

    def setUp(self) -> None:
        table = TableItem(
            id="table-01", columns=(90.0, 90.0), rows=(30.0,) * 4, cells=SHADOWS, colour="#16222b"
        )
        chart = ChartItem(
            id="chart-01", x=300, form="bars", width=300, height=200, columns=1, cells=(), table="table-01"
        )
        self.board = apply(Board(), AddPage(PageHead(PAGE), 0))
        self.take(AddItems(PAGE, (table,)))
        self.take(AddItems(PAGE, (chart,)))

    def take(self, request: object) -> ReplaceItems:
        step = resolve(self.board, request, "seat-a", 1, TYPESETTER)  # type: ignore[arg-type]
        self.before, self.undo = self.board, invert(self.board, step)
        self.board = apply(self.board, step)
        return step  # type: ignore[return-value]

    @property
    def chart(self) -> ChartItem:
        chart = self.board.pages[PAGE].items["chart-01"]
        assert isinstance(chart, ChartItem)
        return chart

    def test_it_shows_the_table_whatever_the_browser_said(self) -> None:
        forged = msgspec.structs.replace(
            self.chart, id="chart-02", cells=("9", "9"), chart=Drawn(problem=None)
        )
        self.take(AddItems(PAGE, (forged,)))
        made = self.board.pages[PAGE].items["chart-02"]
        assert isinstance(made, ChartItem) and made.chart
        self.assertEqual((made.cells, made.columns), (SHADOWS, 2))
        self.assertTrue(made.chart.patches)

    def test_a_cell_that_changes_changes_the_chart_in_the_same_step_and_undo_both(self) -> None:
        before = self.chart
        step = self.take(SetCell(PAGE, "table-01", 1, 1, "9.5"))
        self.assertEqual(set(step.ids), {"table-01", "chart-01"})
        self.assertEqual(self.chart.cells[3], "9.5")
        self.assertNotEqual(self.chart.chart, before.chart)
        self.board = apply(self.board, self.undo)
        self.assertEqual(self.chart.chart, before.chart)

    def test_undo_of_a_cell_works_the_others_out_again(self) -> None:
        self.take(SetCell(PAGE, "table-01", 3, 1, "=B2*2"))
        history = History()
        step = resolve(self.board, SetCell(PAGE, "table-01", 1, 1, "5"), "seat-a", 1, TYPESETTER)
        history.record("seat-a", 7, "do", 0, invert(self.board, step), step)
        self.board = apply(self.board, step)
        self.assertEqual(self.chart.cells[7], "10")
        self.take(SetCell(PAGE, "table-01", 2, 1, "7"))
        _, back = history.find("seat-a", "undo", self.board)  # type: ignore[misc]
        self.board = apply(self.board, followed(self.board, back, TYPESETTER))
        self.assertEqual(self.chart.cells[3::2], ("2.14", "7", "4.28"))
        table = self.board.pages[PAGE].items["table-01"]
        assert isinstance(table, TableItem)
        self.assertEqual("".join(run.text for line in table.lines[7] for run in line.runs), "4.28")

    def test_a_row_that_comes_moves_what_is_named(self) -> None:
        self.take(SetCell(PAGE, "table-01", 3, 1, "=B2+B3"))
        self.take(ChangeTable(PAGE, "table-01", rows=1, at=1))
        table = self.board.pages[PAGE].items["table-01"]
        assert isinstance(table, TableItem)
        self.assertEqual(table.cells[9], "=B3+B4")
        self.assertEqual(self.chart.cells[9], "3.33")

    def test_what_follows_is_part_of_what_a_request_costs(self) -> None:
        for number in range(2, 9):
            self.take(AddItems(PAGE, (msgspec.structs.replace(self.chart, id=f"chart-0{number}"),)))
        cell = SetCell(PAGE, "table-01", 1, 1, "5")
        alone = apply(Board(), AddPage(PageHead(PAGE), 0))
        alone = apply(alone, AddItems(PAGE, (self.board.pages[PAGE].items["table-01"],)))
        self.assertGreater(work(self.board, cell), work(alone, cell) + 8 * CHART)
        self.assertGreater(work(self.board, StyleItems(PAGE, ("chart-01",), Style(colour="#112233"))), CHART)
        step = self.take(cell)
        self.assertGreater(following_work(self.board, self.undo), 8 * CHART)
        # A chart that comes with one cell is drawn from all of its table.
        bare = ChartItem(id="chart-20", form="bars", width=300, height=200, columns=1, cells=("1",))
        few, all_cells = (AddItems(PAGE, (msgspec.structs.replace(bare, table=t),)) for t in ("", "table-01"))
        self.assertGreater(work(self.board, all_cells), work(self.board, few) + 5 * CHART_CELL)
        self.assertEqual(len(step.items), 9)

    def test_in_the_copy_of_a_page_it_follows_the_copy_of_its_table(self) -> None:
        self.board = apply(
            self.board, resolve(self.board, CopyPage(PAGE, "page-002"), "seat-a", 1, TYPESETTER)
        )
        copies = {type(item): item.id for item in self.board.pages["page-002"].items.values()}
        cell = SetCell("page-002", copies[TableItem], 1, 1, "8.5")
        step = resolve(self.board, cell, "seat-a", 1, TYPESETTER)
        assert isinstance(step, ReplaceItems)
        self.assertEqual(set(step.ids), {copies[TableItem], copies[ChartItem]})

    def test_without_its_table_it_stays_and_undo_of_the_table_does_not_bring_it_back(self) -> None:
        self.take(RemoveItems(PAGE, ("table-01",)))
        self.take(SetChart(PAGE, "chart-01", "pie", "Shadows"))
        self.assertEqual((self.chart.form, self.chart.cells), ("pie", SHADOWS))

    def test_its_numbers_become_points_of_a_graph_with_a_line_of_best_fit(self) -> None:
        graph = GraphItem(id="graph-01", width=300, height=200, ranges=Ranges(0, 90, 0, 3), lines=())
        self.take(AddItems(PAGE, (graph,)))
        step = self.take(PlotTable(PAGE, "graph-01", "table-01", "#1f5fa8"))
        (made,) = step.items
        assert isinstance(made, GraphItem)
        (line,) = made.lines
        self.assertEqual(
            (line.formula, line.fit, line.colour), ("(25, 2.14), (40, 1.19), (60, 0.58)", 1, "#1f5fa8")
        )
        assert made.drawn
        self.assertTrue(made.drawn.curves[0])

    def test_a_table_without_two_columns_of_numbers_makes_no_points(self) -> None:
        graph = GraphItem(id="graph-01", width=300, height=200, ranges=Ranges(0, 90, 0, 3), lines=())
        self.take(AddItems(PAGE, (graph,)))
        self.take(SetCell(PAGE, "table-01", 1, 1, "much"))
        self.take(SetCell(PAGE, "table-01", 2, 1, "less"))
        for table, error in (("table-01", MalformedError), ("chart-01", GoneError), ("nothing-1", GoneError)):
            with self.assertRaises(error):
                self.take(PlotTable(PAGE, "graph-01", table, "#1f5fa8"))
        with self.assertRaises(MalformedError):
            check_request(PlotTable(PAGE, "graph-01", "table-01", "blue"))

    def test_points_are_of_rows_that_have_both_numbers_and_of_what_is_worked_out(self) -> None:
        cells = ("day", "h", "s", "Mon", "1", "=B2*2", "Tue", "2", "", "Wed", "3", "5,5 m")
        self.assertEqual(points_of(cells, 3), [(1.0, 2.0), (3.0, 5.5)])
        self.assertEqual(points_of(("1", "2"), 1), [])

    def test_larger_its_words_stay_as_large(self) -> None:
        sizes = {label.size for label in self.chart.chart.labels}  # type: ignore[union-attr]
        self.take(TransformItems(PAGE, ("chart-01",), Affine(1.5, 0, 0, 1.5, 0, 0)))
        self.assertTrue(math.isclose(self.chart.width, 450))
        self.assertEqual({label.size for label in self.chart.chart.labels}, sizes)  # type: ignore[union-attr]

    def test_the_middle_value_is_the_middle(self) -> None:
        self.assertEqual(five_numbers([2.0, 8.0, 4.0])[2], statistics.median([2.0, 8.0, 4.0]))


class Chances(TestCase):
    def setUp(self) -> None:
        self.board = apply(Board(), AddPage(PageHead(PAGE), 0))

    def take(self, request: object, at_ms: int = 1) -> None:
        self.board = apply(self.board, resolve(self.board, request, "seat-a", at_ms, TYPESETTER))  # type: ignore[arg-type]

    def counted(self) -> list[int]:
        table = self.board.pages[PAGE].items["chance-01"]
        assert isinstance(table, TableItem)
        return [int(cell) for cell in table.cells[3::2]]

    def test_throws_are_counted_and_the_chart_follows(self) -> None:
        self.take(PutChance(PAGE, "chance-01", 0, 0, Chance("dice", dice=2), "how often"))
        self.take(Throw(PAGE, "chance-01", 60), 5)
        self.take(Throw(PAGE, "chance-01", 1), 6)
        self.assertEqual((len(self.counted()), sum(self.counted())), (11, 61))
        (chart,) = [item for item in self.board.pages[PAGE].items.values() if isinstance(item, ChartItem)]
        self.assertEqual([int(cell) for cell in chart.cells[3::2]], self.counted())
        self.assertRegex(chart.cells[0], r"2 × 1–6: \d \+ \d = \d")

    def test_all_outcomes_come_about_as_often_as_they_should(self) -> None:
        for chance in (
            Chance("coin", ("sun", "moon")),
            Chance("spinner", ("a", "b", "c")),
            Chance("numbers", low=1, high=10),
        ):
            came, _ = throw(chance, 1_000, "noon")
            expected = 1_000 / len(outcomes(chance))
            chi = sum((came[outcome] - expected) ** 2 / expected for outcome in outcomes(chance))
            self.assertLess(chi, 3 * len(outcomes(chance)))
        self.assertNotEqual(throw(chance, 20, "noon"), throw(chance, 20, "midnight"))

    def test_what_others_wrote_into_the_table_stops_nothing(self) -> None:
        self.take(PutChance(PAGE, "chance-01", 0, 0, Chance("coin", ("sun", "moon")), "how often"))
        self.take(SetCell(PAGE, "chance-01", 1, 1, "many"))
        self.take(Throw(PAGE, "chance-01", 4))
        self.assertEqual(sum(self.counted()), 4)
        for wrong in (0, 1_001, -5):
            with self.assertRaises(MalformedError):
                check_request(Throw(PAGE, "chance-01", wrong))
