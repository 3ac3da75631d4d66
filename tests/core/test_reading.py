"""Ink to text: lines, decoding, and the whole reader with its model."""

from __future__ import annotations

import math
from unittest import TestCase

import numpy as np

from bench import reading as measured
from demo.hand import Hand
from sunroom.core.board.words import MAX_EXPECTED, expected_words
from sunroom.core.geometry import resample
from sunroom.core.reading import Reading as Read
from sunroom.core.reading import figure_first, taken_unasked
from sunroom.core.reading.decode import beam_search, log_of
from sunroom.core.reading.lines import find_lines, slant
from sunroom.core.reading.marks import marks_among
from sunroom.core.reading.numbers import is_numeric
from sunroom.core.reading.picture import HEIGHT_PX, line_picture, shortened
from sunroom.core.reading.prior import Prior, agreement, dots_of, marks_of
from sunroom.core.reading.reader import MAX_STROKES, Reader
from sunroom.core.reading.spacing import as_typed
from sunroom.resources import prior, reader, symbols

WORDS = "shadow stick length angle sun time clock hour line measure height long morning evening table".split()


def turned(strokes: list[np.ndarray], degrees: float) -> list[np.ndarray]:
    c, s = math.cos(math.radians(degrees)), math.sin(math.radians(degrees))
    return [stroke[:, :2] @ np.array([[c, s], [-s, c]]) for stroke in strokes]


class Lines(TestCase):
    def test_three_lines_are_found_in_their_order(self) -> None:
        hand = Hand(4)
        texts = ("first line here", "and the second", "a third")
        written = [hand.write(text, 0, 75 * number, 50) for number, text in enumerate(texts)]
        found = find_lines([*written[2], *written[0], *written[1]])
        self.assertEqual([len(line.strokes) for line in found], [len(strokes) for strokes in written])

    def test_words_far_apart_are_lines_beside_each_other(self) -> None:
        hand = Hand(4)
        sun, noon = hand.write("sun", 0, 0, 40), hand.write("noon", 400, 6, 40)
        found = find_lines([*noon, *sun])
        self.assertEqual([len(line.strokes) for line in found], [len(sun), len(noon)])
        self.assertEqual(len(find_lines([*sun, *(stroke - (300, 0, 0, 0) for stroke in noon)])), 1)

    def test_dots_and_crosses_stay_with_their_line(self) -> None:
        self.assertEqual(len(find_lines(Hand(5).write("it is; a tie, isn't it?", 0, 0, 60))), 1)

    def test_digits_of_which_the_lower_parts_were_written_by_themselves_are_one_line(self) -> None:
        def drawn(*corners: tuple[float, float]) -> np.ndarray:
            return resample(np.array(corners), 40)

        four = [drawn((9, 1), (0, 22), (23, 20)), drawn((14, 21), (8, 38))]
        seven = [drawn((32, 4), (47, -2), (45, 15)), drawn((44, 17), (40, 38))]
        self.assertEqual(len(find_lines([*four, *seven])), 1)
        below = [stroke + (0.0, 9.0) for stroke in (four[1], seven[1])]
        self.assertEqual(
            len(find_lines([four[0], seven[0], *below])), 2, "what does not touch them stands under them"
        )

    def test_a_tilted_line_is_turned_level(self) -> None:
        strokes = Hand(6).write("how long is a shadow", 0, 0, 60)
        for degrees in (-30, -12, -6, 6, 12, 30):
            self.assertAlmostEqual(math.degrees(slant(turned(strokes, degrees))), degrees, delta=2.5)

    def test_nothing_is_no_line(self) -> None:
        self.assertEqual(find_lines([]), [])


class Expected(TestCase):
    """Names of the people here, and words of the board."""

    NAMES = ("Wairimu", "Tomasz", "Saskia", "Imani", "Elio")

    def test_expected_words_are_likelier_and_all_others_as_likely_as_before(self) -> None:
        plain = prior("en")
        expecting = plain.expecting(frozenset({"wairimu", "gnomon"}))
        self.assertGreater(expecting.score("Wairimu"), plain.score("Wairimu"))
        self.assertTrue(expecting.usual("Wairimu"))
        self.assertIn("Wairimu", expecting.nearly("Wairimn", 3.0))
        for text in ("the shadow", "noon", "15:40", "Tomasz", "aaa"):
            self.assertEqual(expecting.score(text), plain.score(text))

    def test_two_letters_that_look_like_one_may_be_it_in_a_word_that_nobody_uses(self) -> None:
        self.assertEqual(prior("en").alike("Govem,", 2.5), ["Govern,"])
        self.assertEqual(prior("en").alike("clay", 2.5), ["day"])
        self.assertEqual(prior("en").alike("noon", 2.5), [])

    def test_names_that_are_expected_are_read_no_worse_and_the_words_among_them_as_well(self) -> None:
        written = [(name, Hand(seed, 1.4).write(name, 0, 0, 60)) for name in self.NAMES for seed in range(4)]
        words = [(word, Hand(seed, 1.0).write(word, 0, 0, 60)) for seed, word in enumerate(WORDS)]
        likely = reader().expecting(expected_words(self.NAMES))

        def right(one: Reader, texts: list[tuple[str, list[np.ndarray]]]) -> int:
            return sum(one.read(strokes)[0].text == text for text, strokes in texts)

        self.assertGreaterEqual(right(likely, written), max(right(reader(), written), 0.8 * len(written)))
        self.assertGreaterEqual(right(likely, words), right(reader(), words))

    def test_what_is_expected_are_words_and_not_too_many(self) -> None:
        found = expected_words(
            ["“Noon!”, said Imani.", "15:40 a1 ab", "x" * 40, *(f"{'abc' * n}" for n in range(9))]
        )
        self.assertEqual({"noon", "said", "imani", "abc"} - found, set())
        self.assertFalse(found & {"ab", "a1", "x" * 40})
        many = (chr(97 + n % 26) * 3 + chr(97 + n // 26 % 26) + chr(97 + n // 676) for n in range(5_000))
        self.assertEqual(len(expected_words(many)), MAX_EXPECTED)


class Pictures(TestCase):
    def test_the_picture_has_the_size_that_the_recogniser_knows(self) -> None:
        picture = line_picture([stroke[:, :2] for stroke in Hand(1).write("noon", 0, 0, 500)])
        self.assertEqual(picture.shape[:3], (1, 3, HEIGHT_PX))
        self.assertEqual((picture.min(), picture.max()), (-1, 1))

    def test_a_dot_and_a_mile_long_line_make_pictures_too(self) -> None:
        self.assertLess(line_picture([np.array([[3.0, 3.0]])]).shape[3], 60)
        self.assertLessEqual(line_picture([np.array([[0.0, 0.0], [1e6, 1.0]])]).shape[3], 3_200)

    def test_words_far_apart_are_as_high_as_ever_and_a_dash_and_dots_stay_small(self) -> None:
        word = [stroke[:, :2] for stroke in Hand(1).write("noon", 0, 0, 60)]
        far = line_picture([stroke + (900 * n, 0) for n in range(3) for stroke in word])
        scale = line_picture(word).shape[3] / float(np.ptp(np.vstack(word)[:, 0]))
        self.assertGreater(far.shape[3], 1_800 * 0.7 * scale)
        dots = [np.array([(x, 0.0), (x + 2.0, 1.0), (x, 2.0)]) for x in (0, 20, 40)]
        dash = [np.array([(0.0, 0.0), (40.0, 1.0)])]
        for small in (dots, dash, [dash[0] + (70 * n, 0) for n in range(5)]):
            inked = np.flatnonzero((line_picture(small)[0, 0] < 0).any(axis=1))
            self.assertLess(np.ptp(inked), 12)


class Decoding(TestCase):
    def test_a_letter_twice_needs_a_blank_between(self) -> None:
        def rows(*columns: int) -> np.ndarray:
            return np.eye(3, dtype=np.float32)[list(columns)] * 0.98 + 0.006

        self.assertEqual(beam_search(rows(1, 1, 2), "no")[0][0], "no")
        self.assertEqual(beam_search(rows(1, 2, 0, 2, 1), "no")[0][0], "noon")
        self.assertEqual(beam_search(rows(0, 0), "no")[0][0], "")

    def test_paths_of_one_text_add_up(self) -> None:
        # 0.6 · 0.6 for no letter beats 0.4 · 0.4 for “aa” as one, but not the three paths of “a” together.
        rows = np.array([[0.6, 0.4], [0.6, 0.4]], dtype=np.float32)
        (text, log), *_ = beam_search(rows, "a")
        self.assertEqual(text, "a")
        self.assertAlmostEqual(math.exp(log), 0.64, places=5)


class Forward(TestCase):
    def test_the_likelihood_of_a_text_is_what_the_beam_found_for_it(self) -> None:
        random = np.random.default_rng(2)
        rows = random.dirichlet(np.full(4, 0.6), 7).astype(np.float32)
        for text, log in beam_search(rows, "nos", beam=5_000)[:12]:
            columns = ["nos".index(character) + 1 for character in text]
            self.assertAlmostEqual(log_of(rows, columns), log, delta=0.02)


class Marks(TestCase):
    def word(self) -> list[np.ndarray]:
        return Hand(3).write("shadow", 0, 0, 60)

    def box(self, margin: float) -> np.ndarray:
        everything = np.vstack(self.word())[:, :2]
        (x0, y0), (x1, y1) = everything.min(axis=0) - margin, everything.max(axis=0) + margin
        ring = [(x0, y0), (x1, y0), (x1, y1), (x0, y1), (x0, y0 + 2)]
        return np.vstack([np.linspace(a, b, 20) for a, b in zip(ring, ring[1:], strict=False)])

    def test_an_underline_and_a_box_are_no_writing(self) -> None:
        word, box = self.word(), self.box(14)
        line = box[(np.abs(box[:, 1] - box[:, 1].max()) < 1e-6)]
        self.assertEqual(marks_among([*word, line]), {len(word)})
        self.assertEqual(marks_among([box, *word]), {0})

    def test_a_line_under_writing_is_none_of_it_whatever_stands_below_on_the_next_line(self) -> None:
        above, below = Hand(9, 0.3).write("noon", 0, 0, 60), Hand(9, 0.3).write("shadow", 0, 90, 60)
        under = np.column_stack(
            [np.linspace(-5, 130, 30), np.full(30, 10.0), np.full(30, 0.5), np.arange(30.0)]
        )
        self.assertEqual(marks_among([*above, under, *below]), {len(above)})
        through = under - (0.0, 22.0, 0.0, 0.0)
        self.assertEqual(marks_among([*above, through, *below]), set())

    def test_no_letter_of_a_word_is_taken_for_a_mark(self) -> None:
        for seed in range(6):
            for word in ("shadow", "noon", "tablet", "O", "quay", "illness"):
                self.assertEqual(marks_among(Hand(seed).write(word, 0, 0, 60)), set(), word)

    def test_a_loop_that_holds_specks_is_a_letter(self) -> None:
        """The large loop of a joined f, where the pen was lifted now and then."""
        turn = np.linspace(0, 2 * np.pi, 40)
        loop = np.column_stack([30 * np.cos(turn), 30 * np.sin(turn)])
        specks = [np.array([(-8.0, -5.0), (-8.0, -4.6)]), np.array([(-12.0, 5.0), (6.0, 9.0)])]
        word = [stroke[:, :2] + (80, 0) for stroke in self.word()]
        self.assertEqual(marks_among([loop, *specks, *word]), set())
        held = [stroke[:, :2] * 0.3 - (20, 0) for stroke in Hand(3).write("on", 0, 0, 60)]
        self.assertEqual(marks_among([loop, *held, *held]), {0})

    def test_a_boxed_word_is_read_and_the_box_is_left_out(self) -> None:
        word = self.word()
        (line,) = reader().read_lines([*word, self.box(14)])
        self.assertEqual(line.rivals[0].text.lower(), "shadow")
        self.assertEqual(sorted(line.members), list(range(len(word))))

    def test_a_long_joined_word_with_dots_over_it_is_none(self) -> None:
        """It is as flat for its width as an underline, and what lies over it are its own dots."""
        along = np.linspace(0, 1, 400)
        wave = np.column_stack([360 * along, 17 * np.sin(2 * np.pi * 18 * along), along, 2_000 * along])
        dots = [np.array([[x, -30.0, 0.5, 0], [x + 1, -30.0, 0.5, 20]]) for x in (90, 150, 240)]
        self.assertEqual(marks_among([wave, *dots]), set())
        circle = np.column_stack([300 * along, 40 * np.sin(2 * np.pi * 12 * along), along, 2_000 * along])
        circle[-1, :2] = circle[0, :2]
        inner = [
            np.array([[x, y, 0.5, 0], [x + 3, y + 12, 0.5, 20]]) for x, y in ((90, 0), (150, 5), (200, -5))
        ]
        self.assertEqual(marks_among([circle, *inner]), set(), "no ring: it goes up and down all its way")


class Weighing(TestCase):
    def setUp(self) -> None:
        words = {"the": 7.5, "then": 6.0, "über": 6.0, "a": 7.3, "k": 5.0, "m": 5.0}
        self.prior = Prior(lambda word: words.get(word, 0.0), lambda word: {"uber": ("über",)}.get(word, ()))

    def test_common_words_are_likelier_and_pieces_of_words_are_not(self) -> None:
        self.assertGreater(self.prior.score("the"), self.prior.score("tbe"))
        self.assertGreater(self.prior.score("then"), self.prior.score("th en"))
        self.assertGreater(self.prior.score("4 km"), self.prior.score("4 k m"))
        self.assertGreater(self.prior.score("10:30"), self.prior.score("10·30"))

    def test_accents_come_with_the_case_of_the_word(self) -> None:
        self.assertEqual(list(self.prior.accented("Uber the")), [("Über the", 2)])
        self.assertEqual(list(self.prior.accented("then")), [])

    def test_no_rival_is_the_first_reading_in_odd_capitals(self) -> None:
        texts = [reading.text for reading in reader().read(Hand(9, 0.3).write("measure", 0, 0, 60))]
        self.assertEqual(texts[0], "measure")
        self.assertEqual(
            [t for t in texts if t.casefold() == "measure" and t[1:] not in ("easure", "EASURE")], []
        )

    def test_dots_and_marks_are_counted(self) -> None:
        self.assertEqual((dots_of("i: j!"), marks_of("über ça é")), (5, 3))
        self.assertGreater(agreement("10:30", 2), agreement("10.30", 2))

    def test_tall_letters_are_pulled_in_and_small_ones_stay(self) -> None:
        small = [np.array([(10.0 * n, 0.0), (10.0 * n, 10.0)]) for n in range(6)]
        tall = np.array([(70.0, -60.0), (70.0, 10.0)])
        made = shortened([*small, tall])
        np.testing.assert_allclose(made[0], small[0])
        self.assertGreater(made[-1][0, 1], -40)
        self.assertEqual(made[-1][1, 1], 10)


class Numbers(TestCase):
    def test_a_line_is_a_number_when_half_of_it_is_digits(self) -> None:
        for text, strokes, numeric in (
            ("91740L", 7, True), ("2nd", 3, False), ("noon", 5, False), ("3.14", 5, True), ("1984", 1, False),
        ):  # fmt: skip
            self.assertEqual(is_numeric(text, strokes), numeric, text)

    def test_strokes_are_parted_into_digits_and_points(self) -> None:
        strokes = [stroke[:, :2] for stroke in Hand(2, 0.3).write("3.14", 0, 0, 60)]
        texts = [text for text, _ in symbols().parted_digits(strokes).texts()]
        self.assertIn("3.14", texts[:3])
        parted = symbols().parted_digits(strokes)
        self.assertGreater(parted.log_of("3.14"), parted.log_of("8.74"))
        self.assertEqual(parted.log_of("31415926535"), -math.inf)

    def test_real_digits_are_mostly_read(self) -> None:
        numbers = measured.numbers()[:40]
        right = sum(reader().read(strokes)[0].text == text for text, strokes in numbers)
        self.assertGreaterEqual(right, 30)

    def test_a_one_with_a_stroke_up_to_its_top_is_no_seven(self) -> None:
        def with_stroke(angle_deg: float, long: float) -> list[np.ndarray]:
            """An upright stem of 40 units, and a stroke from below on its left up to its top."""
            stem = np.column_stack([np.linspace(20, 16, 12), np.linspace(0, 40, 12)])
            angle, way = math.radians(angle_deg), np.linspace(1, 0, 8)[:, None]
            return [stem[0] + 40 * long * way * (-math.cos(angle), math.sin(angle)), stem]

        ones = [with_stroke(angle, long) for angle in (30, 45, 60) for long in (0.3, 0.45, 0.6)]
        sevens = [with_stroke(angle, long) for angle in (-8, 0, 8) for long in (0.5, 0.6)]
        self.assertEqual(symbols().digits_of(ones).argmax(axis=1).tolist(), [1] * len(ones))
        self.assertEqual(symbols().digits_of(sevens).argmax(axis=1).tolist(), [7] * len(sevens))


class Spaces(TestCase):
    def test_signs_of_a_sum_stand_all_between_spaces_and_no_number_is_parted(self) -> None:
        for read, typed in (
            ("x= -2 7", "x = -27"), ("4 x+ 3 = 2", "4x + 3 = 2"), ("3 (x -2)", "3(x - 2)"), ("d) 5 ×25", "d) 5 × 25"),
            ("16 + 8 2 = 131", "16 + 82 = 131"), ("£8 3.37", "£83.37"), ("10 . answer", "10. answer"),
            ("+ 41 5", "+ 415"), ("right -angled", "right-angled"), ("A &B", "A & B"), ("at 9:3 0 am", "at 9:30 am"),
            ("iMuy bien!", "¡Muy bien!"), ("¿ Qué es esto?", "¿Qué es esto?"),
        ):  # fmt: skip
            self.assertEqual(as_typed(read), typed)
            self.assertEqual(as_typed(typed), typed)

    def test_spaces_that_say_something_stay(self) -> None:
        for text in (
            "3x+5=2", "x = 3 y = 4", "2 1/2 + 3", "10 000 + 5", "3 x 4 = 12", "7 -3 5", "25 40 60", "well-known words",
            "page 3 - 5", "12 cm + 3 cm", "x = 1, y = 2", "45 -63", "", "-", "a b",
            "3 . 4 = 12", "£10 000", "cause - effect", "2 : 35", "12:05 06", "is it?", "I am!",
        ):  # fmt: skip
            self.assertEqual(as_typed(text), text)


class Deciding(TestCase):
    """Whether ink is offered as a figure or as writing first."""

    def test_a_ring_alone_is_a_figure_and_among_letters_a_letter(self) -> None:
        at = np.linspace(0, 6.4, 60)
        ring = [12 * np.column_stack([np.cos(at), np.sin(at)])]
        readings = [Read("o", 0.9)]
        self.assertTrue(figure_first(readings, 0.95, ring))
        beside = [stroke[:, :2] for stroke in Hand(4).write("noon", 60, 18, 60)]
        self.assertFalse(figure_first(readings, 0.95, ring, beside))
        large = [ring[0] * 12 - (300, 0)]
        self.assertTrue(figure_first(readings, 0.95, large, beside))

    def test_unasked_only_what_is_sure_is_made_of_ink_and_never_of_a_single_sign(self) -> None:
        rows = [
            (("noon", 0.95), 0.0, False, "typeset"),
            (("noon", 0.6), 0.0, False, ""),
            (("n", 0.99), 0.0, False, ""),
            (("noon", 0.95), 0.9, True, "true_up"),
            (("noon", 0.95), 0.84, True, ""),
        ]
        for (text, score), figure, first, taken in rows:
            self.assertEqual(taken_unasked([Read(text, score)], figure, first), taken, text)
        self.assertEqual(taken_unasked([], 0.0, False), "")

    def test_nothing_to_choose_from_needs_no_choice(self) -> None:
        ring = [np.zeros((3, 2))]
        self.assertFalse(figure_first([Read("noon", 1.0)], 0.0, ring))
        self.assertTrue(figure_first([], 0.4, ring))
        self.assertFalse(figure_first([Read("a whole sentence", 0.9)], 0.6, ring))


class Reading(TestCase):
    def test_most_words_are_read_and_nearly_all_are_among_the_first_three(self) -> None:
        found = [
            [r.text.lower() for r in reader().read(Hand(n, 0.8).write(w, 40, 90, 60))]
            for n, w in enumerate(WORDS)
        ]
        right = sum(texts[:1] == [word] for texts, word in zip(found, WORDS, strict=True))
        near = sum(word in texts[:3] for texts, word in zip(found, WORDS, strict=True))
        self.assertGreaterEqual(right, 13, found)
        self.assertGreaterEqual(near, 14, found)

    def test_two_lines_are_read_as_two(self) -> None:
        hand = Hand(4)
        strokes = hand.write("first line", 0, 0, 50) + hand.write("and second", 0, 80, 50)
        self.assertEqual(reader().read(strokes)[0].text.lower(), "first line\nand second")

    def test_lines_tilted_by_up_to_thirty_degrees_are_read(self) -> None:
        for degrees in (-30, -17, 9, 25):
            strokes = turned(Hand(6).write("how long is a shadow", 0, 0, 60), degrees)
            self.assertEqual(reader().read(strokes)[0].text.lower(), "how long is a shadow", degrees)

    def test_the_words_of_the_language_decide(self) -> None:
        strokes = Hand(8, 0.4).write("garçon", 0, 0, 60)
        self.assertEqual(reader("fr").read(strokes)[0].text.lower(), "garçon")

    def test_a_number_is_offered_as_digits(self) -> None:
        self.assertIn("2705", [reading.text for reading in reader().read(Hand(2).write("2705", 0, 0, 60))])

    def test_place_and_scale_do_not_change_what_is_read(self) -> None:
        strokes = [stroke[:, :2] for stroke in Hand(7).write("measure at noon", 0, 0, 60)]
        texts = {
            reader().read([s * scale + shift for s in strokes])[0].text
            for scale, shift in ((1, 0), (3, 900), (0.4, -70))
        }
        self.assertEqual(len(texts), 1)

    def test_what_cannot_be_read_gets_an_honest_answer(self) -> None:
        self.assertEqual(reader().read([]), [])
        dot = [np.array([[4.0, 4.0, 0.5, 0.0]])]
        self.assertIsInstance(reader().read(dot), list)
        flat = [np.column_stack([np.linspace(0.0, 40.0, 20), np.full(20, 8.0)])] * 3
        for readings in (reader().read(flat), reader().read([flat[0], flat[1] + (0.0, 15.0)])):
            self.assertNotIn("", [reading.text for reading in readings])
        self.assertEqual(reader().read(dot * (MAX_STROKES + 1)), [])
