"""Ink of several kinds, in pieces: lines of words, formulas between them, figures beside."""

from __future__ import annotations

from unittest import TestCase, mock

import numpy as np

from bench import maths, rough
from bench.digits import HANDS, as_ink
from bench.unseen import Strokes
from demo.hand import Hand
from sunroom import resources
from sunroom.core.geometry import Affine, Box
from sunroom.core.ink import pack_samples
from sunroom.core.maths.setting import set_formula
from sunroom.core.maths.written import FormulaReading, WrittenSign
from sunroom.core.maths.written_latex import stands_in_sums
from sunroom.core.reading.counters import counters_apart
from sunroom.core.reading.kinds import says_letters, says_words_among
from sunroom.core.reading.pieces import lines_of_words, pieces_of
from sunroom.core.reading.readings import Reading, ReadLine
from sunroom.live.work import ink_pieces
from sunroom.live.work.ink_jobs import InkRead, read_ink


def line(text: str, number: int, x: float, y: float, width: float = 100, height: float = 20) -> ReadLine:
    return ReadLine((Reading(text, 0.5),), (number,), Box(x, y, x + width, y + height))


def in_pieces(lines: list[ReadLine], loose: dict[int, Box] | None = None) -> list[tuple[bool, str, tuple]]:
    boxes = {number: one.box for one in lines for number in one.members} | (loose or {})
    pieces = pieces_of(lines, lines_of_words(lines, boxes), boxes)
    return [
        (piece.words, " ".join(one.rivals[0].text for one in piece.lines), piece.members) for piece in pieces
    ]


def read(ink: Strokes) -> InkRead:
    packed = tuple((pack_samples(stroke), Affine()) for stroke in as_ink([stroke[:, :2] for stroke in ink]))
    return read_ink(packed, maths=True)


def words(text: str, x: float, y: float) -> Strokes:
    return Hand(3, 0.6, HANDS[0]).write(text, x, y, 60)


def working(number: int, x: float, y: float) -> Strokes:
    strokes = [0.4 * stroke for stroke in maths.strokes_of(maths.of_set("workings")[number])]
    return [stroke - np.vstack(strokes).min(axis=0) + (x, y) for stroke in strokes]


class Lines(TestCase):
    def test_lines_of_one_kind_below_each_other_go_together_and_what_is_between_parts_them(self) -> None:
        found = in_pieces(
            [
                line("the sun rises", 0, 0, 0),
                line("in the east", 1, 0, 30),
                line("x = 2", 2, 0, 70),
                line("y = 3", 3, 0, 100),
                line("at noon", 4, 0, 140),
                line("z = 4", 5, 0, 170),
            ]
        )
        self.assertEqual([text for _, text, _ in found], ["the sun rises in the east", "x = 2 y = 3", "at noon", "z = 4"])  # fmt: skip
        self.assertEqual([kind for kind, _, _ in found], [True, False, True, False])

    def test_words_far_below_others_or_beside_them_are_texts_of_their_own(self) -> None:
        far = in_pieces([line("the sun", 0, 0, 0), line("the moon", 1, 0, 90), line("the sky", 2, 400, 5)])
        self.assertEqual([text for _, text, _ in far], ["the sun", "the sky", "the moon"])

    def test_formulas_in_two_columns_are_two(self) -> None:
        lines = [line("x = 2", 0, 0, 0), line("y = 3", 1, 300, 0), line("x = 4", 2, 0, 30), line("y = 5", 3, 300, 30)]  # fmt: skip
        self.assertEqual([members for _, _, members in in_pieces(lines)], [(0, 2), (1, 3)])

    def test_a_stroke_in_no_line_is_of_the_formula_that_it_lies_at_and_marks_words(self) -> None:
        lines = [line("the sun rises", 0, 0, 0), line("3", 1, 0, 60), line("4", 2, 0, 90)]
        loose = {3: Box(0, 24, 100, 25), 4: Box(0, 84, 100, 86)}
        self.assertEqual([members for _, _, members in in_pieces(lines, loose)], [(0,), (1, 2, 4)])

    def test_a_short_word_is_one_where_nothing_stands_beside_it_or_is_drawn_at_it(self) -> None:
        self.assertTrue(in_pieces([line("so", 0, 0, 0), line("x = 2", 1, 0, 30)])[0][0])
        beside = in_pieces([line("lo", 0, 0, 0), line("= 2", 1, 120, 0)])
        self.assertEqual([kind for kind, _, _ in beside], [False])
        over = in_pieces([line("du", 0, 0, 0), line("x = 2", 1, 0, 40)], {2: Box(0, 18, 100, 22)})
        self.assertEqual([kind for kind, _, _ in over], [False])

    def test_what_counts_lines_of_signs_stands_by_itself_and_parts_them(self) -> None:
        hand = Hand(3, 0.6, HANDS[0])
        ink: Strokes = []
        lines = []
        for number, (text, read_as) in enumerate((("1)", "3x+4=10"), ("2)", "5x-2=8"))):
            counter, formula = hand.write(text, 0, 90 * number, 50), hand.write(read_as, 70, 90 * number, 50)
            members = tuple(range(len(ink), len(ink) + len(counter) + len(formula)))
            ink += [*counter, *formula]
            box = Box.of(np.vstack([ink[n][:, :2] for n in members]))
            lines.append((ReadLine((Reading(f"{text} {read_as}", 0.5),), members, box), len(counter)))
        read_lines = [each for each, _ in lines]
        boxes = {n: Box.of(stroke[:, :2]) for n, stroke in enumerate(ink)}
        counts = dict(lines)

        def behind(members: list[int]) -> list[ReadLine]:
            (of,) = [each for each, _ in lines if each.members[-1] == members[-1]]
            left = of.rivals[0].text[3:] if len(members) == len(of.members) - counts[of] else "4=10"
            return [
                ReadLine(
                    (Reading(left, 0.5),), tuple(members), Box.of(np.vstack([ink[n][:, :2] for n in members]))
                )
            ]

        parted, kinds = counters_apart(
            read_lines, lines_of_words(read_lines, boxes), ink, behind, lambda strokes: []
        )
        self.assertEqual([each.rivals[0].text for each in parted], ["1)", "3x+4=10", "2)", "5x-2=8"])
        for (each, count), counter in zip(lines, parted[::2], strict=True):
            self.assertEqual(counter.members, each.members[:count])
        pieces = pieces_of(parted, kinds, boxes)
        self.assertEqual([len(piece.lines) for piece in pieces], [1, 1, 1, 1])

    def test_words_that_join_or_answer_make_a_line_words(self) -> None:
        for text, so in (("x = 0 or x = 2", True), ("so x = 4", True), ("2 + 2 = 5 no", True), ("No, x = 2", True), ("No + 3H2 = 2NH3", False), ("x = 0", False), ("at", False)):  # fmt: skip
            self.assertEqual(says_words_among(Reading(text, 0.5)), so, text)

    def test_what_says_letters_and_what_stands_in_sums(self) -> None:
        for text, least, so in (
            ("a ss ten", 5, True),
            ("- con n bis", 5, True),
            ("If ing 1 ras at sc /o gre", 5, True),
            ("abc", 5, False),
            ("so", 2, True),
            ("dx", 2, False),
            ("sin x", 2, False),
            ("NaOH + HCl = NaCl", 5, False),
            ("25 40", 2, False),
            ("", 2, False),
        ):
            self.assertEqual(says_letters(text, least), so, text)
        for latex, so in (("(m-8)(c-8)", True), ("f(x)", True), ("4b+a", True), (r"2\cdot p", True), ("10-15", False), ("12.5", False), (r"\pi", False)):  # fmt: skip
            self.assertEqual(stands_in_sums(latex), so, latex)


class Ink(TestCase):
    def test_a_heading_a_working_and_a_line_of_words_are_each_what_they_are(self) -> None:
        parts = [words("Solve for x", 0, 0), working(0, 20, 60), words("the sun rises", 0, 330)]
        found = read([stroke for part in parts for stroke in part])
        assert found.pieces is not None
        self.assertTrue(found.pieces_first)
        self.assertIsNone(found.mind_map)
        said = [[one.line.rivals[0].text for one in text] for text in found.pieces.texts]
        self.assertEqual(said, [["Solve for x"], ["the sun rises"]])
        (formula,) = found.pieces.formulas
        self.assertEqual(formula.reading.latex, r"2x+3=11 \\ 2x=8 \\ x=4")
        start = len(parts[0])
        self.assertEqual(formula.members, tuple(range(start, start + len(parts[1]))))
        self.assertEqual([len(one) for one in formula.reading.lines], [13, 6, 7])
        self.assertEqual(formula.reading.lines[0][0], start, "its lines name the strokes of all the ink")

    def test_a_formula_of_more_lines_than_there_are_rows_is_read_row_by_row(self) -> None:
        def signs(numbers: list[int], *lines: int) -> tuple[WrittenSign, ...]:
            return tuple(WrittenSign("x", (n,), line, ()) for n, line in zip(numbers, lines, strict=False))

        rows = [line("the sun rises", 0, 0, 0), line("x=2", 1, 0, 60), line("x=3", 2, 0, 120)]
        samples = [np.array([(0.0, y), (100, y + 20)]) for y in (0, 60, 120)]
        whole = FormulaReading(r"x=2 \\ 1 \\ x=3", 0.9, signs([1, 1, 2], 0, 1, 2))
        single = {1: FormulaReading("x=2", 0.8, signs([1], 0)), 2: FormulaReading("x=3", 0.7, signs([2], 0))}

        def found(samples: list, numbers: list[int]) -> list:
            reading = single[numbers[0]] if len(numbers) == 1 else whole
            return [(reading, set_formula(reading.latex))]

        reader = resources.reader()
        for broken, latex in ((False, r"x=2 \\ x=3"), (True, whole.latex)):
            if broken:
                single[2] = FormulaReading(r"x \\ 3", 0.7, signs([2, 2], 0, 1))
            with mock.patch.object(ink_pieces, "formulas_of", found):
                pieces = ink_pieces.find_pieces(samples, rows, [], lambda numbers: [], reader)
            assert pieces is not None
            self.assertEqual(pieces.formulas[0].reading.latex, latex)
            self.assertEqual(pieces.formulas[0].reading.lines, [[1], [1], [2]] if broken else [[1], [2]])

    def test_a_formula_in_a_line_of_words_is_read_by_itself(self) -> None:
        for text, parts in (
            ("Find x: 3x + 4 = 10", ["Find x: ", "3x+4=10", ""]),
            ("We know 3a - 2 = 7.", ["We know ", "3a-2=7", "."]),
            ("If a + b = 12 then stop", ["If ", "a+b=12", " then stop"]),
        ):
            found = read(words(text, 0, 0))
            assert found.pieces is not None
            self.assertEqual((found.pieces_first, found.pieces.formulas), (True, ()))
            ((line,),) = found.pieces.texts
            self.assertEqual([part.text for part in line.parts], parts)
            formula = line.parts[1].formula
            assert formula is not None
            self.assertEqual(formula[0].latex, parts[1])
            self.assertTrue({*line.parts[1].members} < {*line.line.members})
        self.assertIsNone(read(words("the sun is up", 0, 0)).pieces, "words are of one kind")

    def test_fifty_stays_fifty_where_nobody_says_so(self) -> None:
        ink = [stroke[:, :2] for stroke in (*words("so", 0, 0), *words("x = 4", 130, 0))]
        read_as = ReadLine((Reading("50x = 4", 0.5),), tuple(range(len(ink))), Box.of(np.vstack(ink)))
        for language, parts in (("en", ["so ", "x=4", ""]), ("fr", [])):
            reader = resources.reader(language)
            found = ink_pieces.find_pieces(as_ink(ink), [read_as], [], lambda numbers: [], reader)
            texts = found.texts if found else ()
            self.assertEqual(
                [part.text for text in texts for one in text for part in one.parts], parts, language
            )

    def test_no_more_formulas_are_looked_for_than_are_read(self) -> None:
        ink = [stroke for row in range(3) for stroke in words("Find x: 3x + 4 = 10", 0, 90 * row)]
        with (
            mock.patch.object(ink_pieces, "MOST_AMONG_WORDS", 1),
            mock.patch.object(ink_pieces, "find_signs", wraps=ink_pieces.find_signs) as looked,
        ):
            pieces = read(ink).pieces
        assert pieces is not None
        self.assertEqual([bool(one.parts) for text in pieces.texts for one in text], [True, False, False])
        self.assertEqual(looked.call_count, 1)

    def test_the_bar_of_a_fraction_goes_with_it_and_is_of_its_line(self) -> None:
        before = words("The speed is", 0, 20)
        fraction = [0.5 * stroke for stroke in self.equation(r"v=\frac{s}{t}")]
        right = np.vstack(before)[:, 0].max() + 30
        low, high = (end(np.vstack(fraction), axis=0) for end in (np.min, np.max))
        middle = np.vstack(before)[:, 1].mean()
        signs = [stroke + (right - low[0], middle - (low[1] + high[1]) / 2) for stroke in fraction]
        found = read([*before, *signs])
        assert found.pieces is not None
        ((line,),) = found.pieces.texts
        self.assertEqual([part.text for part in line.parts], ["The speed is ", r"v=\frac{s}{t}", ""])
        self.assertEqual(line.parts[1].members, tuple(range(len(before), len(before) + len(signs))))
        self.assertEqual(line.line.members, tuple(range(len(before) + len(signs))))

    def equation(self, latex: str) -> Strokes:
        return next(maths.strokes_of(row) for row in maths.of_set("formulas") if row["latex"] == latex)

    def test_figures_beside_words_and_a_formula_are_among_them_and_hold_on(self) -> None:
        random = np.random.default_rng(12)
        drawing = rough.drawing(5, random, HANDS)[0]
        heading = words("the water cycle", 0, -120)
        found = read([*heading, *drawing])
        assert found.pieces is not None
        self.assertEqual(
            (found.figure_first, len(found.pieces.figures), found.pieces.formulas), (True, 5, ())
        )
        self.assertEqual(found.pieces.texts[0][0].line.rivals[0].text, "the water cycle")

    def test_a_box_and_an_arrow_by_a_formula_are_figures_without_any_words(self) -> None:
        way = np.linspace(0, 4, 60)
        corners = np.array([(0, 0), (120, 2), (122, 80), (-2, 78), (0, 1)], float)
        box = np.column_stack([np.interp(way, np.arange(5), side) for side in corners.T])
        shaft = np.column_stack([np.linspace(130, 260, 40), np.full(40, 40.0)])
        head = np.column_stack([np.interp(np.linspace(0, 2, 30), np.arange(3), side) for side in ((242, 262, 242), (30, 40, 50))])  # fmt: skip
        found = read([box, shaft, head, *words("F = 5", 300, 60)])
        assert found.pieces is not None
        self.assertEqual([part.figure.kind for part in found.pieces.figures], ["rectangle", "arrow"])
        self.assertEqual([one.reading.latex for one in found.pieces.formulas], ["F=5"])

    def test_more_pieces_or_signs_than_may_be_at_once_are_not_read_as_formulas(self) -> None:
        def page(rows: int, signs: int) -> tuple[list[np.ndarray], list[ReadLine]]:
            lines: list[ReadLine] = []
            samples: list[np.ndarray] = []
            for row in range(rows):
                text, count = ("the sun", 1) if row % 2 == 0 else ("x=2", signs)
                members = tuple(range(len(samples), len(samples) + count))
                samples += [
                    np.array([(10.0 * n, 40 * row), (10 * n + 8, 40 * row + 20)]) for n in range(count)
                ]
                lines.append(ReadLine((Reading(text, 0.5),), members, Box(0, 40 * row, 100, 40 * row + 20)))
            return samples, lines

        for rows, signs, read_at_all in ((4, 3, True), (70, 3, False), (4, 130, False)):
            with mock.patch.object(ink_pieces, "formulas_of", return_value=[]) as asked:
                ink_pieces.find_pieces(*page(rows, signs), [], lambda numbers: [], resources.reader())
            self.assertEqual(asked.called, read_at_all, (rows, signs))

    def test_ink_of_one_kind_is_in_no_pieces(self) -> None:
        for ink in (
            words("the sun rises", 0, 0),
            [*words("the sun rises", 0, 0), *words("in the east", 0, 90)],
            working(0, 0, 0),
            [rough.rough("triangle", 0.03, np.random.default_rng(1))],
        ):
            strokes = [stroke for each in ink for stroke in (each if isinstance(each, list) else [each])]
            self.assertIsNone(read(strokes).pieces)

    def test_lines_each_of_words_are_no_formula(self) -> None:
        ink = [stroke for n, text in enumerate(("he is", "you are")) for stroke in words(text, 0, 90 * n)]
        self.assertEqual((read(ink).maths_first, read(ink).pieces), (False, None))

    def test_what_is_read_as_you_go_is_not_parted(self) -> None:
        ink = as_ink([stroke[:, :2] for stroke in [*words("Solve for x", 0, 0), *working(0, 20, 60)]])
        self.assertIsNone(read_ink(tuple((pack_samples(stroke), Affine()) for stroke in ink)).pieces)
