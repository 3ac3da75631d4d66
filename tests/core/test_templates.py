"""Ready pages: whole, inside their sheet, legible, in every language."""

from __future__ import annotations

from unittest import TestCase

from sunroom.core.board.items import TableItem, TextItem, item_box
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import check_item
from sunroom.core.templates import TEMPLATES, template
from sunroom.core.templates.drawing import HEIGHT, WIDTH
from sunroom.resources import typesetter
from sunroom.words import LANGUAGES, say


class ReadyPages(TestCase):
    def test_every_page_keeps_inside_its_sheet_in_every_language(self) -> None:
        self.assertGreater(len(TEMPLATES), 20)
        for name in TEMPLATES:
            for language in LANGUAGES:
                sheet = template(name, lambda key, language=language: say(key, language=language))
                self.assertEqual(len({item.id for item in sheet.items}), len(sheet.items))
                for item in sheet.items:
                    item = laid_out(item, typesetter())
                    check_item(item)
                    box = item_box(item)
                    inside = box.x0 >= 0 and box.y0 >= 0 and box.x1 <= WIDTH and box.y1 <= HEIGHT
                    self.assertTrue(inside, f"{name} in {language}: {item.id} {box}")
                    words = item.text if isinstance(item, TextItem) else ""
                    self.assertFalse(words.startswith("tpl-"), f"{name} in {language}: {words} has no words")

    def test_tables_are_as_high_as_they_were_drawn(self) -> None:
        """Words that need another line would push the rows below them out of the sheet."""
        for name in TEMPLATES:
            for language in LANGUAGES:
                for item in template(name, lambda key, language=language: say(key, language=language)).items:
                    if isinstance(item, TableItem):
                        set_ = laid_out(item, typesetter())
                        assert isinstance(set_, TableItem)
                        self.assertEqual(set_.rows, item.rows, f"{name} in {language}")
