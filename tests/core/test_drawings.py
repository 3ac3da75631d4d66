"""Small drawings: whole, inside their square, called something in every language."""

from __future__ import annotations

from unittest import TestCase

import msgspec

from sunroom.core.board.items import item_box
from sunroom.core.board.limits import check_item
from sunroom.core.drawings import DRAWINGS, drawing
from sunroom.core.drawings.drawing import SIDE
from sunroom.words import LANGUAGES, catalogue


class Drawings(TestCase):
    def test_every_drawing_fills_its_square_and_keeps_inside_it(self) -> None:
        self.assertGreater(len(DRAWINGS), 50)
        for name in DRAWINGS:
            items = drawing(name)
            self.assertEqual(len({item.id for item in items}), len(items))
            self.assertLessEqual(len(items), 20, f"{name} is small")
            for item in items:
                check_item(msgspec.structs.replace(item, id=f"{item.id}-of-it"))
            boxes = [item_box(item) for item in items]
            sides = [
                min(b.x0 for b in boxes), min(b.y0 for b in boxes), SIDE - max(b.x1 for b in boxes), SIDE - max(b.y1 for b in boxes)
            ]  # fmt: skip
            self.assertGreaterEqual(min(sides), -1, name)
            self.assertLess(min(sides[0] + sides[2], sides[1] + sides[3]), 60, name)

    def test_each_has_a_name_in_each_language_and_no_name_is_without_one(self) -> None:
        for language in LANGUAGES:
            named = {key.removeprefix("drw-") for key in catalogue(language) if key.startswith("drw-")}
            self.assertEqual(named, set(DRAWINGS), language)
