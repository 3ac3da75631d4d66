"""Charts of tables, cells that are worked out, figures with their measures, throws that are counted; and a rehearsal."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from sunroom.core.board import ChartItem, FormulaItem, GraphItem, ShapeItem, TableItem
from tests.browser.test_things import WRITER
from tests.browser.test_tools import Tools


class Data(Tools):
    def of(self, kind: type) -> list:
        return [item for item in self.items() if isinstance(item, kind)]

    def test_a_cell_is_worked_out_and_the_chart_follows_it(self) -> None:
        self.tutor.tool("Table")
        self.tutor.draw([(300, 250)], "mouse")
        self.tutor.wait_items(1)
        self.tutor.part("[aria-label=Sill] button", "Edit words")
        for text in ("hour", "one", "two", "nine", "2", "3", "ten", "4", "=B2+B3"):
            writer = self.tutor.find(WRITER)
            writer.send_keys(text, Keys.TAB)
        self.tutor.key(Keys.ESCAPE)
        self.tutor.wait(lambda: self.of(TableItem)[0].cells[8] == "=B2+B3" or None, "the last cell")
        lines = self.of(TableItem)[0].lines[8]
        self.assertEqual("".join(run.text for line in lines for run in line.runs), "6")
        self.tutor.tool("Select")
        self.tutor.draw([(300, 250)], "mouse")
        self.tutor.part("[aria-label=Chart]")
        self.tutor.press("[aria-label='Forms of charts'] input", "Bars")
        self.tutor.wait_items(2)
        (chart,) = self.of(ChartItem)
        self.assertEqual((chart.form, chart.cells[8]), ("bars", "6"))
        self.tutor.part("[aria-label='Chart…']")
        self.tutor.press("[aria-label='Forms of charts'] input", "Pie")
        self.tutor.wait(lambda: self.of(ChartItem)[0].form == "pie" or None, "the pie")
        self.tutor.close_panels()
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(lambda: self.of(ChartItem)[0].form == "bars" or None, "the bars again")

    def test_the_numbers_of_a_table_become_points_of_a_graph(self) -> None:
        self.tutor.key("x")
        self.tutor.draw([(300, 100)], "mouse")
        self.tutor.find("[data-testid=formula-field]").send_keys("y=x", Keys.ENTER)
        self.tutor.wait(lambda: not self.tutor.all("dialog"), "the window to close")
        self.tutor.part("[aria-label=Sill] button", "Draw its graph")
        self.tutor.wait(lambda: self.of(GraphItem) or None, "the graph")
        self.tutor.draw([(300, 100)], "mouse")
        self.tutor.part("[aria-label=Sill] button", "Remove")
        self.tutor.wait(lambda: not self.of(FormulaItem) or None, "the formula to go")
        self.tutor.tool("Table")
        self.tutor.draw([(700, 300)], "mouse")
        self.tutor.wait_items(2)
        self.tutor.part("[aria-label=Sill] button", "Edit words")
        for text in ("x", "y", "", "1", "2,5", "", "3", "=B2*2", ""):
            self.tutor.find(WRITER).send_keys(text, Keys.TAB)
        self.tutor.key(Keys.ESCAPE)
        self.tutor.wait(lambda: self.of(TableItem)[0].cells[7] == "=B2*2" or None, "the last cell")
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.part("[aria-label=Sill] button", "Table into the graph")
        self.tutor.wait(lambda: len(self.of(GraphItem)[0].lines) == 2 or None, "the points")
        self.assertEqual(self.of(GraphItem)[0].lines[1].formula, "(1, 2.5), (3, 5)")

    def test_a_figure_shows_what_it_measures_and_angles_are_measured_between_points(self) -> None:
        self.figure("Rectangle", (300, 200), (500, 300))
        self.tutor.part("[aria-label=Measure]")
        self.tutor.press("[popover] label", "Lengths")
        self.tutor.wait(lambda: self.of(ShapeItem)[0].measures or None, "the measures")
        (shape,) = self.of(ShapeItem)
        assert shape.measures
        self.assertEqual(len(shape.measures.labels), 4)
        self.tutor.close_panels()
        self.tutor.key(Keys.ESCAPE)
        self.tutor.tool("Geometry")
        self.tutor.key("r")
        self.tutor.tool("Geometry")
        self.tutor.part("[aria-label=Measure] input", "Angle")
        self.tutor.close_panels()
        # Near the corners, which are caught: one arm, the corner, the other arm.
        for place in ((303, 298), (302, 203), (497, 202)):
            self.tutor.draw([place], "mouse")
        self.tutor.wait_items(2)
        angle = next(item for item in self.of(ShapeItem) if item.figure == "polyline")
        self.assertEqual(angle.measured, ("angles",))
        first, corner, last = ((angle.x + x, angle.y + y) for x, y in angle.points)
        self.assertAlmostEqual(first[0], corner[0], places=3)
        self.assertAlmostEqual(last[1], corner[1], places=3)

    def test_dice_are_thrown_and_counted(self) -> None:
        self.tutor.tool("Table")
        self.tutor.part("[aria-label=Chance]")
        self.tutor.press("[popover] button", "Put it on the page")
        self.tutor.wait_items(2)
        self.tutor.part("[aria-label='Throw'] button", "10 times")
        self.tutor.part("[aria-label='Throw'] button", "Throw")

        def thrown() -> int:
            return sum(int(cell) for cell in self.of(TableItem)[0].cells[3::2])

        self.tutor.wait(lambda: thrown() == 11 or None, "eleven throws")
        self.assertEqual(self.of(ChartItem)[0].cells, self.of(TableItem)[0].cells)

    def test_a_rehearsal_begins_on_the_rooms_home_and_ends_there(self) -> None:
        self.tutor.open(f"{self.server.url}/rooms/{self.link}")
        self.tutor.press("aside button", "Start a rehearsal")
        self.tutor.find("[data-testid=rehearsal]")
        self.tutor.find("[data-testid=person]", "Noor")
        self.tutor.press("[data-testid=rehearsal] button", "End the rehearsal")
        self.tutor.find("aside", "Rehearse")
        self.assertTrue(self.tutor.driver.current_url.endswith(self.link))
