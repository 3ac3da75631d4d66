"""Line breaking, and the shipped fonts' metrics."""

from __future__ import annotations

import io
from typing import get_args
from unittest import TestCase

import immutables
import msgspec
from fontTools.ttLib import TTFont
from hypothesis import given
from hypothesis import strategies as st

from sunroom.core.board import PageHead, TextItem
from sunroom.core.board.laying import laid_out
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import formula_work, making
from sunroom.core.errors import MalformedError
from sunroom.core.formats.svg import page_svg
from sunroom.core.text import Family, Span
from sunroom.core.text.fonts import PICTURE_WIDTH
from sunroom.core.text.layout import OTHER_FACE
from sunroom.core.text.styles import MAX_FORMULAS, MAX_IN_LINE, check_spans
from sunroom.resources import typesetter
from tests.strategies import EvenFace, even_typesetter


def written(lines) -> list[str]:
    return ["".join(run.text for run in line.runs) for line in lines]


class Breaking(TestCase):
    def setUp(self) -> None:
        self.setter = even_typesetter()

    def test_lines_break_at_spaces_before_they_are_too_wide(self) -> None:
        # 10 units a character at size 20: eight fit into 80.
        lines = self.setter.layout("the sun is low now", 20, 80)
        self.assertEqual(written(lines), ["the sun", "is low", "now"])
        self.assertEqual([line.width for line in lines], [70, 60, 30])
        self.assertEqual([line.baseline for line in lines], [20, 46, 72])

    def test_a_word_wider_than_the_text_is_broken_inside(self) -> None:
        self.assertEqual(written(self.setter.layout("protractor", 20, 40)), ["prot", "ract", "or"])

    def test_line_ends_are_kept_and_empty_lines_too(self) -> None:
        self.assertEqual(written(self.setter.layout("a\n\nb", 20)), ["a", "", "b"])
        self.assertEqual(written(self.setter.layout("", 20)), [""])

    @given(st.text("ab ", max_size=40), st.integers(10, 200))
    def test_no_character_is_lost_or_added_by_breaking(self, text: str, width: int) -> None:
        lines = self.setter.layout(text, 20, float(width))
        self.assertEqual("".join(written(lines)).replace(" ", ""), text.replace(" ", ""))
        for line in lines:
            self.assertLessEqual(line.width, max(width, 10) + 1e-3)

    def test_a_character_of_no_face_is_left_to_the_screen_s_own_font(self) -> None:
        (line,) = self.setter.layout("a空b", 20)
        self.assertEqual(
            [(run.face, run.text) for run in line.runs], [("even", "a"), (OTHER_FACE, "空"), ("even", "b")]
        )
        self.assertEqual(EvenFace().advance("空"), None)

    def test_a_sign_of_several_characters_is_one_and_as_wide_as_one(self) -> None:
        for sign in ("👩\u200d🏫", "🇩🇪", "🧑🏽", "🫠\ufe0f"):
            (line,) = self.setter.layout(f"{sign}a", 20)
            self.assertEqual([run.text for run in line.runs], [sign, "a"])
            self.assertEqual(line.width, 20 * PICTURE_WIDTH + 10)

    def test_what_only_joins_or_parts_others_is_not_drawn(self) -> None:
        (line,) = self.setter.layout("sun\u00addi\u200dal\u200b", 20)
        self.assertEqual(([run.text for run in line.runs], line.width), (["sundial"], 70))

    def test_words_of_another_script_are_one_run_in_the_order_they_are_read(self) -> None:
        (line,) = self.setter.layout("a שלום עולם b", 20)
        self.assertEqual([run.text for run in line.runs], ["a ", "שלום עולם", " b"])

    @given(st.text(st.sampled_from("a \n\u0301\u200d\ufe0f🇩🏽👩ש空"), max_size=12), st.integers(10, 60))
    def test_no_sign_of_any_kind_breaks_the_laying(self, text: str, width: int) -> None:
        for line in self.setter.layout(text, 20, float(width)):
            self.assertEqual(line.runs, tuple(sorted(line.runs, key=lambda run: run.x)))
            self.assertTrue(all(run.text for run in line.runs))


class ShippedFonts(TestCase):
    def test_greek_and_signs_come_from_faces_that_have_them(self) -> None:
        (line,) = typesetter().layout("tan θ → ½", 20)
        self.assertEqual([run.face for run in line.runs], ["sans", "greek", "sans", "maths", "sans"])
        self.assertAlmostEqual(line.runs[-1].x + line.runs[-1].width, line.width)

    def test_the_space_of_thousands_is_as_wide_as_a_thin_one(self) -> None:
        narrow, thin = (typesetter().layout(f"1{space}000", 20)[0] for space in "\u202f\u2009")
        self.assertEqual((narrow, [run.face for run in narrow.runs]), (thin, ["sans"]))

    def test_words_from_right_to_left_are_left_to_one_font_whole(self) -> None:
        for words in ("مرحبا بالعالم", "שלום עולם"):
            (line,) = typesetter().layout(words, 20)
            self.assertEqual([(run.face, run.text) for run in line.runs], [(OTHER_FACE, words)])

    def test_extents_tell_ascenders_and_tails(self) -> None:
        setter = typesetter()
        self.assertGreater(setter.extent("h")[0], setter.extent("x")[0])
        self.assertGreater(setter.extent("g")[1], 0.1)
        self.assertEqual(setter.extent("   "), (0.7, 0.0))


class Zero(TestCase):
    def test_the_board_s_zero_has_no_slash(self) -> None:
        for name in ("sans", "sans-bold", "sans-italic", "sans-bold-italic"):
            font = TTFont(io.BytesIO(typesetter().faces[name].data))
            self.assertEqual(font["glyf"]["zero"].numberOfContours, 2)


class Sizes(TestCase):
    @given(st.sampled_from(["noon", "Gnomon", "sun\nlow", "a\nb\ngy"]), st.floats(10, 300))
    def test_letters_are_as_high_as_was_asked_from_first_to_last_line(self, text: str, height: float) -> None:
        setter = typesetter()
        size = setter.size_of(text, height)
        lines = setter.layout(text, size)
        top = lines[0].baseline - size * setter.extent(written(lines)[0])[0]
        bottom = lines[-1].baseline + size * setter.extent(written(lines)[-1])[1]
        self.assertAlmostEqual(bottom - top, height, delta=0.01 * height)


class Styles(TestCase):
    def setUp(self) -> None:
        self.setter = even_typesetter()

    def test_raised_and_lowered_characters_are_small_and_off_the_line(self) -> None:
        (line,) = self.setter.layout("H2O", 20, spans=(Span(1, 2, script="sub"),))
        h, two, o = line.runs
        self.assertLess(two.size, h.size)
        self.assertLess(two.rise, 0)
        self.assertEqual((h.rise, o.rise), (0, 0))
        self.assertAlmostEqual(line.width, 0.5 * (20 + 20 + two.size))

    def test_a_list_has_its_marks_and_wraps_beside_them(self) -> None:
        lines = self.setter.layout("one two three\nfour", 20, 110, listing="numbers")
        self.assertEqual([line.runs[0].text for line in lines], ["1.", "three", "2."])
        self.assertEqual(lines[0].runs[1].x, lines[1].runs[0].x)

    def test_lines_are_aligned_in_their_width(self) -> None:
        for align, left in (("left", 0), ("centre", 10), ("right", 20)):
            lines = self.setter.layout("aaaa\naa", 20, align=align)
            self.assertEqual(lines[1].runs[0].x, left)

    def test_text_that_is_to_fit_shrinks_until_it_does(self) -> None:
        lines, size = self.setter.fitted("a word and another " * 6, 120, 90, 30, 6)
        self.assertLessEqual(len(lines) * 1.3 * size, 90)
        self.assertLess(size, 30)

    def test_spans_that_do_not_fit_or_link_to_scripts_are_refused(self) -> None:
        bad = [
            (Span(0, 3), Span(2, 4)),
            (Span(2, 2),),
            (Span(0, 9),),
            (Span(0, 1, link="javascript:alert(1)"),),
            (Span(0, 1, link="https://a b"),),
            tuple(Span(0, 1) for _ in range(500)),
        ]
        for spans in bad:
            with self.assertRaises(MalformedError):
                check_spans(spans, 5)
        check_spans((Span(0, 2, bold=True), Span(2, 5, link="https://example.org/sun")), 5)

    def test_every_face_of_every_family_is_shipped(self) -> None:
        for family in get_args(Family):
            for bold in (False, True):
                for italic in (False, True):
                    (line,) = typesetter().layout(
                        "a", 20, family=family, spans=(Span(0, 1, bold=bold, italic=italic),)
                    )
                    self.assertTrue(line.runs[0].face.startswith(family), line.runs[0].face)


class FormulasInText(TestCase):
    """Parts of a text that are formulas stand whole among its words."""

    text = "The area is a^2/2, whatever a is."
    spans = (Span(12, 17, maths=True),)

    def test_a_formula_is_one_run_with_an_outline_and_what_was_typed(self) -> None:
        (line,) = typesetter().layout(self.text, 24, spans=self.spans)
        self.assertEqual([run.text for run in line.runs], ["The area is ", "a^2/2", ", whatever a is."])
        before, formula, after = line.runs
        self.assertTrue(formula.outline)
        self.assertFalse(before.outline or after.outline)
        self.assertAlmostEqual(formula.x, before.x + before.width)
        self.assertAlmostEqual(after.x, formula.x + formula.width)
        self.assertGreater(formula.above, 0.7 * 24)

    def test_it_is_never_broken_and_never_higher_than_its_line_allows(self) -> None:
        for formula in ("a^2/2", "a b c d e f g h", "((a/b)/(c/d))/((e/f)/(g/h))"):
            for wrap in (30, 60, 200):
                spans = (Span(4, 4 + len(formula), maths=True),)
                lines = typesetter().layout(f"see {formula} there", 20, wrap, spans=spans)
                runs = [run for line in lines for run in line.runs if run.outline]
                self.assertEqual([run.text for run in runs], [formula])
                self.assertLessEqual(runs[0].above, 1.5 * 20 + 0.01)

    def test_what_is_no_formula_stands_as_it_was_typed(self) -> None:
        (line,) = typesetter().layout("so a^ is", 20, spans=(Span(3, 5, maths=True),))
        self.assertFalse(any(run.outline for run in line.runs))
        self.assertEqual(written([line]), ["so a^ is"])

    def test_too_many_and_too_long_ones_are_refused(self) -> None:
        with self.assertRaises(MalformedError):
            check_spans(tuple(Span(n, n + 1, maths=True) for n in range(MAX_FORMULAS + 1)), 1_000)
        with self.assertRaises(MalformedError):
            check_spans((Span(0, MAX_IN_LINE + 1, maths=True),), 1_000)

    def test_it_is_work_as_a_formula_is(self) -> None:
        plain = TextItem(id="text-0001", text=self.text, size=20, colour="#000000")
        with_formula = msgspec.structs.replace(plain, spans=self.spans)
        self.assertAlmostEqual(making(with_formula), making(plain) + formula_work("a^2/2"))

    def test_the_saved_page_draws_its_outline(self) -> None:
        item = TextItem(id="text-0001", text=self.text, size=24, colour="#123456", spans=self.spans)
        page = Page(PageHead("page-0001"), immutables.Map({item.id: laid_out(item, typesetter())}))
        drawn = page_svg(page, typesetter(), "Areas", {})
        self.assertIn("whatever", drawn)
        self.assertNotIn("a^2/2", drawn)
        self.assertRegex(drawn, r"<path[^>]*#123456")
