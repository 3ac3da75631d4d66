"""Files of words, tables and ink opened as things."""

from __future__ import annotations

import contextlib
from unittest import TestCase

import numpy as np

from sunroom.core.board import InkItem, Item, TableItem, TextItem
from sunroom.core.board.items import item_box
from sunroom.core.board.limits import check_item
from sunroom.core.errors import MalformedError
from sunroom.core.formats.csv import table_csv
from sunroom.core.formats.inkml import page_inkml
from sunroom.core.formats.opened import MAX_BYTES, things_in
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.resources import typesetter
from tests.core.test_formats import page_with
from tests.words import in_words

MARKDOWN = """# Shadows

The *length* of a shadow is **h / tan θ**, see [noon](https://example.org/noon) or
[this](javascript:alert).

- at sunrise it is ~~short~~ long
- at noon it is **shortest**

| sun height | shadow |
| --- | --- |
| 25° | 2.14 m |

    s = h / tan(t)

<script>alert(1)</script>
"""


def opened(name: str, data: bytes | str) -> list[Item]:
    items = things_in(name, data.encode() if isinstance(data, str) else data, typesetter())
    for item in items:
        check_item(item)
    tops = [item_box(item).y0 for item in items]
    if not any(isinstance(item, InkItem) for item in items):
        bottoms = [item_box(item).y1 for item in items]
        assert all(top >= bottom for top, bottom in zip(tops[1:], bottoms[:-1], strict=True)), (
            "one below the other"
        )
    return items


class Words(TestCase):
    def test_markdown_becomes_headings_paragraphs_lists_tables_and_code(self) -> None:
        heading, paragraph, points, table, code, markup = opened("shadows.md", MARKDOWN)
        assert (
            isinstance(heading, TextItem) and isinstance(paragraph, TextItem) and isinstance(points, TextItem)
        )
        assert isinstance(table, TableItem) and isinstance(code, TextItem) and isinstance(markup, TextItem)
        self.assertEqual((heading.text, heading.spans[0].bold), ("Shadows", True))
        self.assertGreater(heading.size, paragraph.size)
        looks = {paragraph.text[s.start : s.end]: s for s in paragraph.spans}
        self.assertTrue(looks["length"].italic and looks["h / tan θ"].bold)
        self.assertEqual(looks["noon"].link, "https://example.org/noon")
        self.assertNotIn("this", looks, "what a press may not open is no link")
        self.assertEqual(points.listing, "bullets")
        self.assertEqual(points.text.split("\n"), ["at sunrise it is short long", "at noon it is shortest"])
        self.assertEqual([points.text[s.start : s.end] for s in points.spans], ["short", "shortest"])
        self.assertEqual(table.cells, ("sun height", "shadow", "25°", "2.14 m"))
        self.assertEqual((code.family, code.text), ("mono", "s = h / tan(t)"))
        self.assertEqual(markup.text, "<script>alert(1)</script>", "markup is words")

    def test_plain_text_is_one_thing_or_a_few_with_nothing_lost(self) -> None:
        (one,) = opened("a.txt", "noon\r\nlong\r\n\r\nshadows")
        assert isinstance(one, TextItem)
        self.assertEqual(one.text, "noon\nlong\n\nshadows")
        long = "\n\n".join(f"{n} " + "word " * 300 for n in range(12)) + "x" * 12_000
        items = opened("a.txt", long)
        self.assertEqual(
            "".join("".join(item.text.split()) for item in items if isinstance(item, TextItem)),
            "".join(long.split()),
        )

    def test_a_paragraph_that_is_too_long_for_one_thing_becomes_several(self) -> None:
        long = "*shadow* " + "word " * 3_000
        items = opened("a.md", long)
        self.assertGreater(len(items), 2)
        said = " ".join(item.text for item in items if isinstance(item, TextItem))
        self.assertEqual(said.split(), long.replace("*", "").split())

    def test_old_and_wide_encodings_are_read(self) -> None:
        for encoding in ("utf-8", "utf-8-sig", "utf-16", "cp1252"):
            (one,) = opened("a.txt", "Größe à midi".encode(encoding))
            assert isinstance(one, TextItem)
            self.assertEqual(one.text, "Größe à midi")
        (one,) = opened("a.txt", "Der Stab ist 10\u00a0cm lang.\u2028Und der Schat\u00adten?".encode())
        assert isinstance(one, TextItem)
        self.assertEqual(one.text, "Der Stab ist 10\u00a0cm lang.\nUnd der Schatten?")


class Tables(TestCase):
    def test_what_parts_the_cells_is_found(self) -> None:
        for name, text in (
            ("a.csv", 'sun,"a, b"\n25°,2\n'),
            ("a.csv", "sun;a, b\n25°;2\n"),
            ("a.tsv", "sun\ta, b\n25°\t2"),
        ):
            (table,) = opened(name, text)
            assert isinstance(table, TableItem)
            self.assertEqual(table.cells, ("sun", "a, b", "25°", "2"), text)

    def test_a_table_of_a_board_comes_back(self) -> None:
        table = TableItem(id="table-01", columns=(90.0,) * 3, rows=(40.0,) * 2, cells=("a", "", "long " * 20, "-1", "+x", 'q"q'), colour="#16222b")  # fmt: skip
        (back,) = opened("a.csv", table_csv(table))
        assert isinstance(back, TableItem)
        self.assertEqual(
            [c.strip() for c in back.cells], [c.strip() for c in ("a", "", "long " * 20, "-1", "'+x", 'q"q')]
        )


class Ink(TestCase):
    def test_ink_of_a_page_comes_back_in_place_and_look(self) -> None:
        samples = np.column_stack(
            [np.linspace(0, 80, 9), np.linspace(0, 30, 9), np.linspace(0.2, 0.9, 9), np.arange(9) * 8]
        )
        strokes = [
            InkItem(id=f"stroke-{n}", x=40.0 * n, y=15, nib=nib, colour="#b4472c", width=2.0 + n, opacity=0.6, samples=pack_samples(samples))
            for n, nib in enumerate(("pen", "brush", "highlighter", "pencil"))
        ]  # fmt: skip
        back = opened("a.inkml", page_inkml(page_with(*strokes)))
        corner = min(item_box(s).x0 for s in strokes), min(item_box(s).y0 for s in strokes)
        for came, went in zip(back, strokes, strict=True):
            assert isinstance(came, InkItem)
            self.assertEqual((came.nib, came.colour, came.width), (went.nib, went.colour, went.width))
            self.assertAlmostEqual(came.opacity, went.opacity, delta=0.01)
            self.assertAlmostEqual(came.x, went.x - corner[0], places=1)
            self.assertTrue(
                np.allclose(unpack_samples(came.samples), unpack_samples(went.samples), atol=0.02)
            )

    def test_ink_in_other_units_is_made_as_large_as_on_a_page(self) -> None:
        trace = ", ".join(f"{x} {x // 2}" for x in range(0, 90_000, 900))
        foreign = f'<ink xmlns="http://www.w3.org/2003/InkML"><trace brushRef="#none">{trace}</trace></ink>'
        (stroke,) = opened("a.inkml", foreign)
        self.assertTrue(600 < item_box(stroke).width < 800)


class Bad(TestCase):
    def test_whatever_is_no_such_file_gets_a_sentence(self) -> None:
        bad = [
            ("a.exe", b"MZ"), ("", b"x"), ("a.txt", b""), ("a.txt", b" \n\n "), ("a.txt", b"a\x00b"), ("a.md", b"x" * (MAX_BYTES + 1)),
            ("a.csv", b""), ("a.csv", b"a,b\n" * 41), ("a.csv", (",".join("x" * 41)).encode()), ("a.inkml", b"<ink/>"), ("a.inkml", b"<svg/>"),
            ("a.inkml", b'<!DOCTYPE ink [<!ENTITY a "b">]><ink>&a;</ink>'), ("a.md", b"# x\n\n" * 1_500), ("a.csv", b"a,b\n" + b"x" * 600 + b",y\n"),
        ]  # fmt: skip
        for name, data in bad:
            with self.assertRaises(MalformedError, msg=f"{name} {data[:30]!r}") as caught:
                opened(name, data)
            self.assertTrue(in_words(caught.exception).endswith("."))

    def test_deep_and_long_markdown_takes_no_long_time(self) -> None:
        for text in (
            "> " * 5_000 + "x",
            "*" * 50_000,
            "[" * 50_000,
            "- " * 3_000 + "x",
            "`" * 40_000,
            "|a" * 20_000 + "\n|-",
        ):
            with contextlib.suppress(MalformedError):
                opened("a.md", text)
