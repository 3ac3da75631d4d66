"""Line breaking, and the shipped fonts' metrics."""

from __future__ import annotations

from unittest import TestCase

from hypothesis import given
from hypothesis import strategies as st

from sunroom.core.text.fonts import OTHER_FACE
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


class ShippedFonts(TestCase):
    def test_greek_and_signs_come_from_faces_that_have_them(self) -> None:
        (line,) = typesetter().layout("tan θ → ½", 20)
        self.assertEqual([run.face for run in line.runs], ["sans", "greek", "sans", "maths", "sans"])
        self.assertAlmostEqual(line.runs[-1].x + line.runs[-1].width, line.width)

    def test_extents_tell_ascenders_and_tails(self) -> None:
        setter = typesetter()
        self.assertGreater(setter.extent("h")[0], setter.extent("x")[0])
        self.assertGreater(setter.extent("g")[1], 0.1)
        self.assertEqual(setter.extent("   "), (0.7, 0.0))
