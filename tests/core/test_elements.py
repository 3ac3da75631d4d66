"""The periodic table: places, weights, and a name in every language."""

from __future__ import annotations

from unittest import TestCase

from sunroom.core.maths.chemistry import molar_mass, reaction_of
from sunroom.core.maths.elements import LONGEST, SYMBOLS, WEIGHTS, elements
from sunroom.core.maths.typed import read_formula
from sunroom.words import LANGUAGES, say


class Elements(TestCase):
    def test_each_has_a_place_of_its_own(self) -> None:
        places = {(element.column, element.row): element.symbol for element in elements()}
        self.assertEqual(len(places), 118)
        for place, symbol in (
            ((1, 1), "H"),
            ((18, 1), "He"),
            ((2, 3), "Mg"),
            ((8, 4), "Fe"),
            ((4, 6), "Hf"),
            ((18, 7), "Og"),
            ((3, 9), "La"),
            ((17, 10), "Lr"),
        ):
            self.assertEqual(places[place], symbol)

    def test_noble_gases_stand_below_each_other_and_so_do_the_alkali_metals(self) -> None:
        columns = {element.symbol: element.column for element in elements()}
        self.assertEqual({columns[symbol] for symbol in ("He", "Ne", "Ar", "Kr", "Xe", "Rn", "Og")}, {18})
        self.assertEqual({columns[symbol] for symbol in ("H", "Li", "Na", "K", "Rb", "Cs", "Fr")}, {1})

    def test_every_element_has_a_weight_or_the_nucleus_that_lives_longest(self) -> None:
        self.assertEqual(set(WEIGHTS) | set(LONGEST), set(SYMBOLS))
        self.assertFalse(set(WEIGHTS) & set(LONGEST))
        shown = {element.symbol: element.weight for element in elements()}
        self.assertEqual((shown["Mg"], shown["Tc"]), ("24.305", "[97]"))
        reaction = reaction_of(read_formula("2Mg + O2 -> 2MgO"))
        assert reaction is not None
        self.assertAlmostEqual(molar_mass(reaction.right[0]), 40.304, places=3)

    def test_names_are_in_all_languages_and_differ_within_each(self) -> None:
        for language in LANGUAGES:
            names = [say(f"element-{symbol}", None, language) for symbol in SYMBOLS]
            self.assertEqual(len(set(names)), 118, language)
            self.assertTrue(all(name[0].isupper() for name in names), language)
