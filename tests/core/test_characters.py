"""Characters that words may have, and which not."""

from unittest import TestCase

from sunroom.core.characters import has_controls, is_one_line, only_seen
from sunroom.core.errors import MalformedError
from sunroom.core.lesson import check_said
from sunroom.core.lesson.chat import MAX_SAID

#: As keyboards, other programs and web pages write them.
USUAL = (
    "Combien\u00a0?",
    "12\u202f000 km",
    "深い\u3000海",
    "Guten Tag 👩\u200d🏫",
    "שלום\u200f!",
    "ne\u0301",
)
#: Orders to a machine, and what turns how the rest is read.
NEVER = ("a\x00b", "a\x07b", "a\x7fb", "a\x85b", "a\u202eb", "a\u2066b")


class Characters(TestCase):
    def test_spaces_of_any_width_and_signs_that_join_others_are_as_good_as_letters(self) -> None:
        for text in USUAL:
            self.assertTrue(is_one_line(text), text)
            self.assertEqual(only_seen(text), text)
            self.assertEqual(check_said(text), text)

    def test_controls_and_what_turns_the_direction_are_in_no_words(self) -> None:
        for text in NEVER:
            self.assertTrue(has_controls(text))
            self.assertFalse(is_one_line(text))
            self.assertEqual(only_seen(text), "ab")

    def test_a_line_has_no_end_within(self) -> None:
        for end in "\n\t\u2028\u2029":
            self.assertFalse(is_one_line(f"a{end}b"))
        self.assertEqual(only_seen("a\n\tb"), "a\n\tb")

    def test_where_a_word_may_be_parted_is_not_kept(self) -> None:
        self.assertEqual(only_seen("\ufeffsun\u00addial\u200bs"), "sundials")

    def test_what_shows_nothing_says_nothing(self) -> None:
        for text in ("\u200d", "\u00a0\u3000", "\u200b" * (MAX_SAID + 1)):
            with self.assertRaises(MalformedError):
                check_said(text)
