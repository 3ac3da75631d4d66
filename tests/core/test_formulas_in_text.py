"""Ink of words with a formula among them, typed: where it is in the text, and how large the words become."""

from __future__ import annotations

from unittest import TestCase

import msgspec
import numpy as np

from sunroom import resources
from sunroom.core.board import Board, InkItem, PageHead, TextItem, apply, resolve
from sunroom.core.board.requests import MOST_WORK, ConvertEach, Typeset, check_request, work
from sunroom.core.board.requests.typesetting import FormulaInText
from sunroom.core.board.steps import AddItems, AddPage, ReplaceItems
from sunroom.core.errors import MalformedError
from sunroom.core.ink import pack_samples
from sunroom.core.text import Span

PAGE = "page-001"
TYPESETTER = resources.typesetter()
TEXT = r"so \frac{x}{2}=5 holds"
FORMULA = FormulaInText(3, 16, ("sign-0001",))


def stroke(item_id: str, x: float, y: float, width: float, height: float) -> InkItem:
    rows = np.array([(0, 0, 0.5, 0), (width / 2, height, 0.6, 8), (width, 0, 0.4, 16)], float)
    return InkItem(id=item_id, x=x, y=y, nib="pen", colour="#1f5fa8", width=1, samples=pack_samples(rows))


def board_of(*items: InkItem) -> Board:
    board = apply(Board(), AddPage(PageHead(PAGE), 0))
    return apply(board, resolve(board, AddItems(PAGE, items), "seat-a", 1, TYPESETTER))


def typed(board: Board, request: Typeset | ConvertEach) -> list[TextItem]:
    check_request(request)
    step = resolve(board, request, "seat-a", 1, TYPESETTER)
    assert isinstance(step, ReplaceItems)
    return [item for item in step.items if isinstance(item, TextItem)]


def line_of_ink(y: float = 100) -> list[InkItem]:
    """Words 30 units high, and a formula twice as high in the middle."""
    at = f"{int(y):03}"
    return [stroke(f"word-{at}-1", 100, y, 40, 30), stroke(f"sign-{at}", 150, y - 15, 60, 60), stroke(f"word-{at}-2", 220, y, 90, 30)]  # fmt: skip


class FormulasInText(TestCase):
    def request(self, ink: list[InkItem], text: str, *formulas: FormulaInText, **more: object) -> Typeset:
        ids = tuple(each.id for each in ink)
        return Typeset(PAGE, ids, "text-001", text, formulas=formulas, **more)  # type: ignore[arg-type]

    def test_it_is_set_in_its_place_and_all_ink_is_inside(self) -> None:
        ink = line_of_ink()
        formula = FormulaInText(3, 16, (ink[1].id,))
        (text,) = typed(board_of(*ink), self.request(ink, TEXT, formula))
        self.assertEqual((text.text, text.spans), (TEXT, (Span(3, 16, maths=True),)))
        (line,) = text.lines
        self.assertEqual([bool(run.outline) for run in line.runs], [False, True, False])
        self.assertEqual(line.runs[1].text, r"\frac{x}{2}=5")
        self.assertEqual([each.id for each in text.ink], [each.id for each in ink])

    def test_words_are_as_large_as_they_were_however_high_the_formula_is(self) -> None:
        texts = []
        for ink in (line_of_ink(), [stroke("sign-low-1", 150, 105, 60, 20) if n == 1 else each for n, each in enumerate(line_of_ink())]):  # fmt: skip
            formula = FormulaInText(3, 16, (ink[1].id,))
            texts += typed(board_of(*ink), self.request(ink, TEXT, formula))
        high, low = texts
        self.assertEqual((high.size, high.y), (low.size, low.y))
        ratio = high.size / TYPESETTER.size_of("so  holds", 30)
        self.assertTrue(0.7 <= ratio <= 1.25, ratio)

    def test_lines_of_a_text_keep_their_formulas_when_they_are_parted_and_put_together(self) -> None:
        above, below = line_of_ink(100), line_of_ink(170)
        beside = [stroke("beside-01", 600, 100, 90, 30)]
        ink = [*above, *beside, *below]
        rows = (TEXT, "noon", TEXT)
        lines = tuple(tuple(each.id for each in row) for row in (above, beside, below))
        start = len(TEXT) + len("noon") + 2
        formulas = (
            FormulaInText(3, 16, (above[1].id,)),
            FormulaInText(start + 3, start + 16, (below[1].id,)),
        )
        request = self.request(ink, "\n".join(rows), *formulas, more=("text-002", "text-003"), lines=lines)
        board = board_of(*ink)
        for asked in (request, ConvertEach(PAGE, (request,))):
            texts = sorted(typed(board, asked), key=lambda text: text.id)
            self.assertEqual([text.text for text in texts], [f"{TEXT}\n{TEXT}", "noon"])
            spans = [(span.start, span.end, span.maths) for span in texts[0].spans]
            self.assertEqual(spans, [(3, 16, True), (len(TEXT) + 4, len(TEXT) + 17, True)])
            self.assertEqual(texts[1].spans, ())

    def test_digits_with_formulas_are_no_sum_in_columns(self) -> None:
        ink = [stroke(f"row-{n:05}", 100, 100 + 60 * n, 60, 30) for n in range(3)]
        lines = tuple((each.id,) for each in ink)
        request = self.request(ink, "12\n+ 3\n15", FormulaInText(0, 2, ()), more=("text-002", "text-003"), lines=lines)  # fmt: skip
        (text,) = typed(board_of(*ink), request)
        self.assertEqual((text.text, text.spans), ("12\n+ 3\n15", (Span(0, 2, maths=True),)))

    def test_what_is_no_formula_stands_as_it_is_typed(self) -> None:
        ink = line_of_ink()
        (text,) = typed(board_of(*ink), self.request(ink, r"so \frac{ holds", FormulaInText(3, 9, ())))
        self.assertEqual("".join(run.text for run in text.lines[0].runs), r"so \frac{ holds")

    def test_a_page_of_as_many_as_are_read_at_once_is_not_too_much_work(self) -> None:
        formula = "+".join([r"\frac{x}{2}"] * 8)
        rows = [line_of_ink(100 + 70 * n) for n in range(20)]
        texts = tuple(
            self.request(row, f"so {formula} holds", FormulaInText(3, 3 + len(formula), (row[1].id,)))
            for row in rows
        )
        request = ConvertEach(PAGE, texts)
        self.assertLess(work(board_of(*(each for row in rows for each in row)), request), MOST_WORK)

    def test_formulas_outside_the_text_over_each_other_or_of_too_many_strokes_are_malformed(self) -> None:
        ink = line_of_ink()
        request = self.request(ink, TEXT, FORMULA)
        for wrong in (
            (FormulaInText(3, 99, ()),),
            (FormulaInText(3, 3, ()),),
            (FormulaInText(-1, 3, ()),),
            (FORMULA, FORMULA),
            (FormulaInText(3, 16, ("sign-0001",) * 4),),
            tuple(FormulaInText(n, n + 1, ()) for n in range(61)),
        ):
            with self.assertRaises(MalformedError, msg=wrong):
                check_request(msgspec.structs.replace(request, text="x" * 90 if len(wrong) > 60 else TEXT, formulas=wrong))  # fmt: skip
        with self.assertRaises(MalformedError):
            check_request(self.request(ink, "so x\n= 5", FormulaInText(3, 8, ())))
        with self.assertRaises(MalformedError):
            check_request(self.request(ink, "x" * 400, FormulaInText(0, 301, ())))
