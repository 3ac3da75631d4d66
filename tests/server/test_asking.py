"""Asking what ink may be: what is asked of the workers, and what the browser hears."""

from __future__ import annotations

from typing import Any
from unittest import mock

import numpy as np
from django.test import TestCase

from bench import maths
from bench.digits import HANDS, as_ink
from demo.hand import Hand
from sunroom.core.board import Board, InkItem, PageHead, TextItem, apply
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.ink import pack_samples
from sunroom.core.reading.reader import MAX_STROKES
from sunroom.live.wire.readings import LineTaught, Read, Readings, Teach
from sunroom.live.work import ink_jobs, reading, workers
from tests.server.test_live import stroke
from tests.words import in_words

PAGE = "page-001"


def ink(strokes: list[np.ndarray], name: str, **more: Any) -> list[InkItem]:
    values = {"nib": "pen", "colour": "#16222b", "width": 3.0, "by": "noor"} | more
    return [
        InkItem(id=f"{name}-{number:03d}", samples=pack_samples(samples), **values)
        for number, samples in enumerate(strokes)
    ]


class Asking(TestCase):
    def board(self, *items: Any) -> Board:
        return apply(apply(Board(), AddPage(PageHead(PAGE), 0)), AddItems(PAGE, tuple(items)))

    async def ask(self, board: Board, ids: list[str], page: str = PAGE) -> Readings:
        async def here(*arguments: Any) -> ink_jobs.InkRead:
            self.asked.append(arguments)
            return ink_jobs.read_ink(*arguments)

        self.asked: list[tuple[Any, ...]] = []
        with (
            mock.patch.object(workers, "read", here),
            mock.patch.object(reading.hands, "ink_of_seat", lambda seat: self.writers.append(seat)),
        ):
            self.writers: list[str] = []
            return await reading.read(board, Read(7, page, tuple(ids)), "en")

    async def test_lines_name_their_strokes_and_say_where_and_how_they_run(self) -> None:
        word = ink(Hand(9, 0.3).write("noon", 100, 100, 54), "noon")
        answer = await self.ask(self.board(*word), [item.id for item in word])
        self.assertEqual((answer.ref, in_words(answer.problem)), (7, ""))
        self.assertEqual(answer.readings[0].text, "noon")
        (line,) = answer.lines
        self.assertEqual(set(line.ids), {item.id for item in word})
        self.assertAlmostEqual(line.angle_rad, 0, delta=0.1)
        self.assertLess(line.box.x0, line.box.x1)
        self.assertFalse(answer.figure_first)

    async def test_pieces_name_their_strokes_and_say_what_comes_first(self) -> None:
        strokes = [0.4 * stroke for stroke in maths.strokes_of(maths.of_set("workings")[0])]
        strokes = [stroke - np.vstack(strokes).min(axis=0) + (120, 160) for stroke in strokes]
        words = ink(Hand(3, 0.6, HANDS[0]).write("Solve for x", 100, 100, 60), "word")
        signs = ink(as_ink(strokes), "sign")
        answer = await self.ask(self.board(*words, *signs), [item.id for item in (*words, *signs)])
        pieces = answer.pieces
        assert pieces is not None
        self.assertTrue(answer.pieces_first)
        ((line,),) = pieces.texts
        self.assertEqual((line.rivals[0].text, set(line.ids)), ("Solve for x", {item.id for item in words}))
        (formula,) = pieces.formulas
        self.assertEqual(formula.read.formula, r"2x+3=11 \\ 2x=8 \\ x=4")
        self.assertEqual(formula.ids, tuple(item.id for item in signs))
        self.assertEqual([uid for row in formula.read.lines for uid in row], list(formula.ids))
        self.assertEqual(pieces.figures, ())

    async def test_a_formula_among_words_names_its_strokes(self) -> None:
        words = ink(Hand(3, 0.6, HANDS[0]).write("Find x: 3x + 4 = 10", 100, 100, 60), "word")
        answer = await self.ask(self.board(*words), [item.id for item in words])
        assert answer.pieces is not None
        ((line,),) = answer.pieces.texts
        before, formula, after = line.parts
        self.assertEqual((before.text, before.formula, before.ids, after.text), ("Find x: ", None, (), ""))
        assert formula.formula is not None
        self.assertEqual((formula.text, formula.formula.formula), ("3x+4=10", "3x+4=10"))
        self.assertTrue({*formula.ids} < {*line.ids} == {item.id for item in words})
        self.assertGreater(formula.formula.height, formula.formula.baseline)

    async def test_what_is_gone_highlighted_or_no_ink_is_not_read(self) -> None:
        word = ink(Hand(9, 0.3).write("at", 100, 100, 54), "word")
        marked = ink([np.array([(90.0, 80, 0.5, 0), (200, 80, 0.5, 8)])], "mark", nib="highlighter")
        typed = TextItem(id="typed-01", text="noon", size=20, colour="#16222b")
        board = self.board(*word, *marked, typed)
        ids = [item.id for item in (*word, *marked)]
        await self.ask(board, [*ids, "typed-01", "gone-001", ids[0]])
        self.assertEqual(len(self.asked[0][0]), len(word))
        for nothing in ([], ["typed-01"], ["gone-001"], [item.id for item in marked]):
            answer = await self.ask(board, nothing)
            self.assertEqual((in_words(answer.problem), self.asked), ("There is no ink to read.", []))
        self.assertTrue((await self.ask(board, ids, "page-gone")).problem)

    async def test_too_much_is_said_before_it_is_read(self) -> None:
        many = [stroke(f"stroke-{number:04d}") for number in range(MAX_STROKES + 1)]
        answer = await self.ask(self.board(*many), [item.id for item in many])
        self.assertIn(f"more than {MAX_STROKES} strokes", in_words(answer.problem))
        self.assertEqual(self.asked, [])

    async def test_it_is_read_by_the_hand_of_whoever_wrote_most_of_it(self) -> None:
        strokes = Hand(9, 0.3).write("shadow", 100, 100, 54)
        word = [*ink(strokes[:1], "first", by="imani"), *ink(strokes[1:], "rest")]
        await self.ask(self.board(*word), [item.id for item in word])
        self.assertEqual(self.writers, ["noor"])

    async def test_a_reading_that_fails_leaves_the_ink_and_says_so(self) -> None:
        board = self.board(stroke("stroke-01"))
        with (
            mock.patch.object(ink_jobs, "read_ink", side_effect=RuntimeError),
            self.assertLogs("sunroom.live.work.reading", "ERROR"),
        ):
            answer = await self.ask(board, ["stroke-01"])
        self.assertIn("could not be read just now", in_words(answer.problem))
        self.assertIn("stroke-01", board.pages[PAGE].items)

    def test_only_one_s_own_ink_teaches_and_not_too_much_of_it(self) -> None:
        mine, theirs = stroke("mine-001", by="noor"), stroke("theirs-1", by="imani")
        board = self.board(mine, theirs)
        lines = (LineTaught(("mine-001", "theirs-1"), "no"), LineTaught(("theirs-1",), "on"))
        found = reading.corrected(board, Teach(PAGE, lines), "noor")
        self.assertEqual([(len(strokes), text) for strokes, text in found], [(1, "no")])
        many = tuple(LineTaught(("mine-001",), "l") for _ in range(reading.MAX_TAUGHT + 5))
        self.assertEqual(len(reading.corrected(board, Teach(PAGE, many), "noor")), reading.MAX_TAUGHT)
        self.assertEqual(reading.corrected(board, Teach("page-gone", lines), "noor"), [])
