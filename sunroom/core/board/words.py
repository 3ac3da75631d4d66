"""The words of a page: what is typed on it, the ink that may be writing, and looking words up."""

from __future__ import annotations

import hashlib
import unicodedata
from collections.abc import Iterable, Iterator

import msgspec

from sunroom.core.board.items import (
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    InkItem,
    Item,
    NoteItem,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
    item_box,
)
from sunroom.core.board.pages import Page
from sunroom.core.data.cells import shown_cells

#: A long text is shown from a little before what was looked for.
SHOWN_CHARACTERS, BEFORE = 90, 30


#: So many words are expected of a page, each of so many letters.
MAX_EXPECTED, EXPECTED_LETTERS = 300, (3, 24)


class WrittenLine(msgspec.Struct, frozen=True):
    """A line of somebody's ink: its likeliest texts, best first, and the upper left corner of where it lies."""

    by: str
    x: float
    y: float
    texts: tuple[str, ...]


def words_of(item: Item) -> list[str]:
    """The texts that are typed in an item: one, or each of a table's cells; empty ones left out."""
    match item:
        case InkItem():  # first, for most of a page is ink
            texts = []
        case TextItem() | NoteItem() | ShapeItem() | PictureItem():
            texts = [item.text]
        case TableItem():
            texts = list(shown_cells(item.cells, len(item.columns)))
        case CardItem():
            texts = [item.title, item.address]
        case FormulaItem():
            texts = [item.formula]
        case GraphItem():
            texts = [line.formula for line in item.lines]
        case ChartItem():
            texts = [item.title]
    return [text for text in texts if text.strip()]


def typed_words(page: Page) -> Iterator[str]:
    """The page's title, then its typed texts from top to bottom and from left to right."""
    titles = [page.head.title, *(bay.title for bay in page.head.bays)]
    yield from (title for title in titles if title)
    said = [(item_box(item), texts) for item in page.items.values() if (texts := words_of(item))]
    for _, texts in sorted(said, key=lambda row: (row[0].y0, row[0].x0)):
        yield from texts


def expected_words(texts: Iterable[str]) -> frozenset[str]:
    """The words of some texts, in small letters, as they may be written again: the first ``MAX_EXPECTED``."""
    found: dict[str, None] = {}
    for text in texts:
        for word in text.split():
            plain_word = word.strip(".,:;!?()[]{}\"'“”„«»‘’").lower()
            if plain_word.isalpha() and EXPECTED_LETTERS[0] <= len(plain_word) <= EXPECTED_LETTERS[1]:
                found[plain_word] = None
        if len(found) >= MAX_EXPECTED:
            break
    return frozenset(list(found)[:MAX_EXPECTED])


def writing_of(page: Page) -> list[InkItem]:
    """Ink that may be writing, in the order in which it was written."""
    ink = [item for item in page.items.values() if isinstance(item, InkItem) and item.nib != "highlighter"]
    return sorted(ink, key=lambda item: (item.at_ms, item.z, item.id))


def mark_of(ink: list[InkItem], language: str, hands: Iterable[str] = ()) -> str:
    """A short mark that is the same as long as the ink, its places, the language and its writers' hands are."""
    digest = hashlib.blake2b(" ".join([language, *hands]).encode(), digest_size=12)
    for item in ink:
        digest.update(item.samples)
        digest.update(repr(item.placement).encode())
    return digest.hexdigest()


def plain(text: str) -> str:
    """``text`` as it is compared: small letters without accents, one space between words."""
    parts = unicodedata.normalize("NFD", text.casefold())
    return " ".join("".join(part for part in parts if not unicodedata.combining(part)).split())


def has_words(text: str, wanted: str) -> bool:
    """Whether each word of ``wanted`` stands in ``text``, accents and case aside; never for no words."""
    words, held = plain(wanted).split(), plain(text)
    return bool(words) and all(word in held for word in words)


def shown(text: str, wanted: str) -> str:
    """The part of ``text`` around the first word of ``wanted``, in one line of a list."""
    line = " ".join(text.split())
    if len(line) <= SHOWN_CHARACTERS:
        return line
    first = next(iter(plain(wanted).split()), "")
    at = max(0, plain(line).find(first) - BEFORE)
    part = line[at : at + SHOWN_CHARACTERS]
    return ("…" if at else "") + part + ("…" if at + SHOWN_CHARACTERS < len(line) else "")
