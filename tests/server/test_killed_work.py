"""What is richer than ink, or not on the board at all, after the server was killed without warning."""

from __future__ import annotations

import json
import signal
from urllib.request import Request

import numpy as np

from demo.hand import Hand
from sunroom.core.board import (
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    InkItem,
    TableItem,
    TextItem,
)
from sunroom.core.board.requests import (
    AsWritten,
    DrawFigure,
    EditFormula,
    MeasureItems,
    SetCell,
    SetGraph,
    SetMaths,
)
from sunroom.core.board.steps import AddItems
from sunroom.core.formats.recorded import whole
from sunroom.core.ink import pack_samples
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import GraphLetter, GraphLine
from sunroom.core.text import Span
from sunroom.live.wire.calls import Recorded, SetRecording
from sunroom.live.wire.messages import Do, Frame, PageItems
from sunroom.live.wire.readings import Read, Readings
from tests.recorded import webm
from tests.server.client import Web
from tests.server.killed import KilledTest
from tests.server.test_media import sound, take_sound


class KilledWork(KilledTest):
    def test_a_sound_that_was_taken_and_its_card_are_there_after_kill_9(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        welcome = line.welcome()
        page, board, data = welcome.pages[0].id, welcome.board.id, sound(20)
        uid = take_sound(web, board, data)["id"]
        line.send(
            Do("step-card", AddItems(page, (CardItem(id="card-0001", of="sound", title="Noon", file=uid),)))
        )
        line.hear(Frame, lambda frame: any(step.id == "step-card" for step in frame.steps))
        self.stop(signal.SIGKILL)
        self.server = self.start()
        line = web.line("tutor", link)
        self.assertIsNone(line.welcome().play, "nothing plays on by itself")
        (card,) = line.hear(PageItems).items
        self.assertEqual(card.file, uid)
        self.assertEqual(web.get(f"/boards/{board}/media/{uid}"), data)

    def test_what_was_answered_of_a_voice_is_there_after_kill_9_and_it_goes_on(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        board = line.welcome().board.id
        raw, on = webm(4.0), SetRecording(True, "voice-of-one")
        line.send(on)
        line.hear(Recorded)
        uid = web.post(f"/api/boards/{board}/recordings", {"mime": "audio/webm", "begun_ms": 0})["id"]

        def piece(number: int, data: bytes) -> None:
            headers = {"X-CSRFToken": web.cookies["csrftoken"], "Referer": self.base}
            path = f"{self.base}/api/recordings/{uid}/pieces/{number}?until={2_000 * (number + 1)}"
            self.assertEqual(web.open(Request(path, data, headers)).status, 200)

        piece(0, raw[:8_000])
        self.stop(signal.SIGKILL)
        self.server = self.start()
        line = web.line("tutor", link)
        self.assertEqual(line.welcome().recorded.seat, "", "nobody is told of what goes on no more")
        line.send(on)
        self.assertEqual(line.hear(Recorded).id, on.id)
        piece(0, raw[:8_000])  # its answer was lost
        piece(1, raw[8_000:])
        web.post(f"/api/recordings/{uid}/end", {})
        self.assertAlmostEqual(
            whole("audio/webm", web.get(f"/recordings/{uid}/voice")).length_ms, 4_000, delta=40
        )

    def test_a_formula_and_a_graph_are_there_as_they_were_set_after_kill_9(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        page = line.welcome().pages[0].id
        ranges, curve = Ranges(-5, 5, -4, 4), (GraphLine("a/x", "#1f5fa8"),)
        asked = (
            AddItems(page, (FormulaItem(id="formula-1", formula="x^2", size=24, colour="#16222b"),)),
            AddItems(page, (GraphItem(id="graph-001", width=300, height=200, ranges=ranges, lines=curve),)),
            EditFormula(page, "formula-1", "(a+b)/2"),
            SetGraph(page, "graph-001", ranges, curve, (GraphLetter("a", 2.5),), "pi"),
        )
        for number, request in enumerate(asked):
            line.send(Do(f"step-{number}", request))
        line.hear(Frame, lambda frame: any(step.id == "step-3" for step in frame.steps))
        line, items = self.items_after_kill(web, link)
        formula, graph = items["formula-1"], items["graph-001"]
        assert isinstance(formula, FormulaItem) and isinstance(graph, GraphItem) and graph.drawn
        self.assertEqual(formula.formula, "(a+b)/2")
        self.assertTrue(formula.outline)
        self.assertEqual((graph.letters, graph.counted), ((GraphLetter("a", 2.5),), "pi"))
        self.assertTrue(graph.drawn.curves[0])

    def test_a_formula_in_a_sentence_its_number_and_lines_of_working_are_there_after_kill_9(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        page = line.welcome().pages[0].id
        level = pack_samples(np.array([(0, 0, 0.5, 0), (30, 18, 0.6, 8), (60, 2, 0.4, 16)], float))
        strokes = tuple(
            InkItem(id=f"stroke-{n}", nib="pen", colour="#16222b", width=3, x=100, y=90.0 * n, samples=level)
            for n in range(2)
        )
        sentence = TextItem(
            id="text-0001", text="so a/2 is half", size=24, colour="#16222b", spans=(Span(3, 6, maths=True),)
        )
        asked = (
            AddItems(page, (sentence,)),
            AddItems(page, (FormulaItem(id="formula-1", formula="x^2", size=24, colour="#16222b"),)),
            EditFormula(page, "formula-1", "x^2", "12"),
            AddItems(page, strokes),
            SetMaths(
                page,
                ("stroke-0", "stroke-1"),
                "line-0001",
                r"2x=4 \\ x=2",
                ("line-0002",),
                (("stroke-0",), ("stroke-1",)),
            ),
        )
        for number, request in enumerate(asked):
            line.send(Do(f"step-{number}", request))
        line.hear(Frame, lambda frame: any(step.id == "step-4" for step in frame.steps))
        line, items = self.items_after_kill(web, link)
        text, numbered = items["text-0001"], items["formula-1"]
        above, below = items["line-0001"], items["line-0002"]
        assert isinstance(text, TextItem) and isinstance(numbered, FormulaItem)
        assert isinstance(above, FormulaItem) and isinstance(below, FormulaItem)
        self.assertEqual([bool(run.outline) for run in text.lines[0].runs], [False, True, False])
        self.assertEqual((numbered.number, numbered.formula), ("12", "x^2"))
        self.assertEqual([above.formula, below.formula], ["2x=4", "x=2"])
        self.assertEqual([stroke.id for stroke in (*above.ink, *below.ink)], ["stroke-0", "stroke-1"])
        line.send(Do("step-back", AsWritten(page, ("line-0001", "line-0002"))))
        back = line.hear(Frame, lambda frame: any(step.id == "step-back" for step in frame.steps))
        self.assertEqual({item.id for item in back.steps[-1].step.items}, {"stroke-0", "stroke-1"})

    def test_a_chart_follows_its_table_and_a_figure_knows_itself_after_kill_9(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        page = line.welcome().pages[0].id
        table = TableItem(
            id="table-01", columns=(90.0, 90.0), rows=(30.0,) * 3, cells=("hour", "shadow", "9", "2", "10", "=B2/2"), colour="#16222b"
        )  # fmt: skip
        chart = ChartItem(
            id="chart-01", x=300, form="bars", width=300, height=200, columns=1, cells=(), table="table-01"
        )
        asked = (
            AddItems(page, (table,)),
            AddItems(page, (chart,)),
            DrawFigure(page, "figure-1", "rectangle", 0, 300, 96, 48, "#16222b", 2.0),
            MeasureItems(page, ("figure-1",), ("sides",)),
            SetCell(page, "table-01", 1, 1, "5"),
        )
        for number, request in enumerate(asked):
            line.send(Do(f"step-{number}", request))
        line.hear(Frame, lambda frame: any(step.id == "step-4" for step in frame.steps))
        line, items = self.items_after_kill(web, link)
        kept, figure = items["chart-01"], items["figure-1"]
        self.assertEqual(kept.cells[3::2], ("5", "2.5"))
        self.assertTrue(kept.chart.patches)
        self.assertEqual({label.text for label in figure.measures.labels}, {"2.54 cm", "1.27 cm"})
        # And it follows on.
        line.send(Do("step-5", SetCell(page, "table-01", 1, 1, "7")))
        frame = line.hear(Frame, lambda frame: any(step.id == "step-5" for step in frame.steps))
        (step,) = [logged.step for logged in frame.steps if logged.id == "step-5"]
        self.assertEqual({item.id for item in step.items}, {"table-01", "chart-01"})

    def test_a_line_of_an_own_hand_reads_its_writer_after_kill_9(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        strokes = [stroke.tolist() for stroke in Hand(9, 0.4).write("noon", 10, 50, 40)]
        path = f"/api/doors/tutor/{link}/hand"
        told = web.post(path, {"text": "noon", "strokes": strokes})["samples"]
        self.stop(signal.SIGKILL)
        self.server = self.start()
        self.assertEqual(json.loads(web.get(path))["samples"], told)
        line = web.line("tutor", link)
        page = line.welcome().pages[0].id
        items = tuple(
            InkItem(
                id=f"item-{n:04}", nib="pen", colour="#16222b", width=3, samples=pack_samples(np.array(s))
            )
            for n, s in enumerate(strokes)
        )
        line.send(Do("step-ink", AddItems(page, items)))
        line.send(Read(1, page, tuple(item.id for item in items)))
        self.assertEqual(line.hear(Readings).readings[0].text, "noon")
