"""The check of the catalogues finds what it is there for."""

from unittest import TestCase

from sunroom.config.catalogue import inline, missing, unused, written


class Catalogues(TestCase):
    def test_words_in_markup_and_names_are_found(self) -> None:
        self.assertEqual(written("<p>Pens are down</p>"), ["Pens are down"])
        self.assertEqual(
            written('<button aria-label="Close it" onclick={() => (open = false)}>×</button>'), ["Close it"]
        )

    def test_code_and_what_is_said_from_a_catalogue_is_not(self) -> None:
        self.assertEqual(written("<p class='note'>{t('pens-are-down')} · {count}</p>"), [])
        self.assertEqual(written("<script>const a = '<p>Pens are down</p>'</script><p>{a}</p>"), [])
        self.assertEqual(written("{#if a > b}{f({ x: '<b>' })}{:else}PDF{/if}"), [])

    def test_the_languages_are_whole_and_nothing_stands_in_the_source(self) -> None:
        self.assertEqual([*missing(), *unused(), *inline()], [])
