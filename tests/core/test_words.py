"""The words of a page: which there are, in what order, and finding some of them."""

from __future__ import annotations

from unittest import TestCase

import immutables
import numpy as np

from sunroom.core.board import (
    CardItem,
    InkItem,
    Item,
    NoteItem,
    Page,
    PageHead,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
)
from sunroom.core.board.pages import Bay
from sunroom.core.board.words import (
    BEFORE,
    SHOWN_CHARACTERS,
    has_words,
    mark_of,
    plain,
    shown,
    typed_words,
    words_of,
    writing_of,
)
from sunroom.core.ink import pack_samples

SAMPLES = pack_samples(np.array([(0, 0, 0.5, 0), (20, 10, 0.5, 16)], float))


def text(item_id: str, words: str, y: float = 0.0, x: float = 0.0) -> TextItem:
    return TextItem(id=item_id, x=x, y=y, text=words, size=20, colour="#16222b")


def ink(item_id: str, **more: object) -> InkItem:
    values = {"nib": "pen", "colour": "#16222b", "width": 3, "samples": SAMPLES}
    return InkItem(id=item_id, **{**values, **more})  # type: ignore[arg-type]


def page(*items: Item, **head: object) -> Page:
    return Page(PageHead("page-1", **head), immutables.Map((i.id, i) for i in items))  # type: ignore[arg-type]


class Typed(TestCase):
    def test_every_kind_that_holds_text_gives_it(self) -> None:
        square = ((0.0, 0.0), (9.0, 0.0), (9.0, 9.0))
        rows = [
            (text("text-1", "the gnomon"), ["the gnomon"]),
            (NoteItem(id="note-1", text="why blue?", colour="#ffe6a7"), ["why blue?"]),
            (
                CardItem(id="card-1", of="link", title="Dials", address="https://dials.example"),
                ["Dials", "https://dials.example"],
            ),
            (PictureItem(id="pict-1", picture="p", width=9, height=9, text="a sundial"), ["a sundial"]),
            (
                TableItem(
                    id="table-1", columns=(9, 9), rows=(9, 9), cells=("h", " ", "s", ""), colour="#16222b"
                ),
                ["h", "s"],
            ),
            (
                ShapeItem(
                    id="shape-1",
                    figure="triangle",
                    points=square,
                    closed=True,
                    curved=False,
                    colour="#16222b",
                    width=2,
                    text="sun",
                ),
                ["sun"],
            ),
            (ink("stroke-1"), []),
        ]
        for item, words in rows:
            self.assertEqual(words_of(item), words, item.id)

    def test_titles_come_first_then_the_texts_as_one_reads(self) -> None:
        found = typed_words(
            page(
                text("text-1", "last", y=400),
                text("text-2", "right", y=100, x=300),
                text("text-3", "left", y=100, x=20),
                title="Shadow and angle",
                bays=(Bay("bay-1", 0, 0, 100, 100, "Noor's corner"),),
            )
        )
        self.assertEqual(list(found), ["Shadow and angle", "Noor's corner", "left", "right", "last"])


class Written(TestCase):
    def test_writing_is_ink_in_the_order_it_was_written_without_the_highlighter(self) -> None:
        marked = page(
            ink("stroke-2", at_ms=2_000, z=1),
            ink("stroke-1", at_ms=1_000, z=2),
            ink("stroke-3", at_ms=500, nib="highlighter"),
            text("text-1", "typed"),
        )
        self.assertEqual([item.id for item in writing_of(marked)], ["stroke-1", "stroke-2"])

    def test_the_mark_changes_with_the_ink_its_place_and_the_language_alone(self) -> None:
        one = [ink("stroke-1", x=10.0)]
        mark = mark_of(one, "en")
        self.assertEqual(mark, mark_of([ink("stroke-9", x=10.0, colour="#b4452c", by="noor")], "en"))
        other = pack_samples(np.array([(0, 0, 0.5, 0), (21, 10, 0.5, 16)], float))
        for changed in ([ink("stroke-1", x=11.0)], [ink("stroke-1", x=10.0, samples=other)], [], one * 2):
            self.assertNotEqual(mark, mark_of(changed, "en"))
        self.assertNotEqual(mark, mark_of(one, "fr"))


class Finding(TestCase):
    def test_case_accents_and_spaces_do_not_count(self) -> None:
        self.assertEqual(plain("  Été  à\nNOËL "), "ete a noel")
        for wanted in ("marche", "MARCHÉ", "le  marché", "ché le"):
            self.assertTrue(has_words("Le marché du matin", wanted), wanted)

    def test_each_word_must_be_there_and_no_word_finds_nothing(self) -> None:
        self.assertFalse(has_words("shadow and angle", "shadow sun"))
        self.assertTrue(has_words("shadow and angle", "angle shadow"))
        for nothing in ("", "   ", "\n"):
            self.assertFalse(has_words("shadow and angle", nothing))

    def test_a_long_text_is_shown_around_what_was_looked_for(self) -> None:
        long = "before " * 40 + "gnomon" + " after" * 40
        part = shown(long, "gnomon")
        self.assertIn("gnomon", part)
        self.assertLessEqual(len(part), SHOWN_CHARACTERS + 2)
        self.assertTrue(part.startswith("…") and part.endswith("…"))
        self.assertEqual(part.index("gnomon"), BEFORE + 1)
        self.assertEqual(shown("two\nlines", "lines"), "two lines")
        self.assertFalse(shown("gnomon " + "x" * 200, "gnomon").startswith("…"))
