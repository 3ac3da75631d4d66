"""Files of words, tables and ink as things on a page: plain text, Markdown, CSV, InkML."""

from __future__ import annotations

import csv
from collections.abc import Iterator, Sequence
from typing import Final, NamedTuple

import msgspec
from markdown_it import MarkdownIt
from markdown_it.token import Token

from sunroom.core.board.items import Item, TableItem, TextItem, item_box
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import MAX_TABLE_SIDE, MAX_TEXT, check_item
from sunroom.core.characters import only_seen
from sunroom.core.errors import MalformedError
from sunroom.core.formats.inkml import ink_items
from sunroom.core.geometry import Box
from sunroom.core.sentences import said
from sunroom.core.text import Family, Listing, Span, Typesetter
from sunroom.core.text.styles import MAX_SPANS, is_link

MAX_BYTES = 2_000_000
#: More things than this are no lesson's material.
MAX_THINGS = 1_000
KINDS: Final = (".txt", ".md", ".markdown", ".csv", ".tsv", ".inkml")

#: Board units: how wide text runs, the gap below a thing, sizes of text and of headings from the first down.
WIDE, GAP = 720.0, 14.0
SIZE, TABLE_SIZE, HEADINGS = 22.0, 18.0, (38.0, 30.0, 26.0, 24.0)
INK_COLOUR = "#16222b"
#: A column is as wide as its longest cell, within these.
COLUMN, LETTER = (60.0, 320.0), 0.56


class Block(NamedTuple):
    """A paragraph, a list or a heading; a table when there are ``rows``."""

    text: str
    spans: tuple[Span, ...] = ()
    size: float = SIZE
    family: Family = "sans"
    listing: Listing = "none"
    rows: Sequence[Sequence[str]] = ()


def things_in(name: str, data: bytes, typesetter: Typesetter) -> list[Item]:
    """What a file holds, one below the other from (0, 0), without ids of its own making (``thing-1`` …).

    Raises
    ------
    MalformedError
        When it is of no known kind, too large, or not what its name says.
    """
    suffix = next((kind for kind in KINDS if name.lower().endswith(kind)), "")
    if not suffix:
        raise MalformedError("file", said("not-a-kind-to-open"))
    if len(data) > MAX_BYTES:
        raise MalformedError("file", said("the-file-is-larger-than", mb=MAX_BYTES // 1_000_000))
    if suffix == ".inkml":
        items: list[Item] = list(ink_items(data))
        corner = Box.union(item_box(item) for item in items)
        if corner is None:
            raise MalformedError("file", said("the-file-is-empty"))
        items = [msgspec.structs.replace(i, x=i.x - corner.x0, y=i.y - corner.y0) for i in items]
    else:
        text = _text(data)
        if suffix in (".csv", ".tsv"):
            blocks = [Block("", rows=_rows(text))]
        else:
            text = text.expandtabs(4)
            blocks = list(_plain(text) if suffix == ".txt" else _markdown(text))
        items = _below_each_other(blocks, typesetter)
    if not items:
        raise MalformedError("file", said("the-file-is-empty"))
    if len(items) > MAX_THINGS:
        raise MalformedError("file", said("more-than-fits-a-page", things=MAX_THINGS))
    named = [msgspec.structs.replace(item, id=f"thing-{n}") for n, item in enumerate(items, 1)]
    for item in named:
        check_item(item)
    return named


def _text(data: bytes) -> str:
    """The file's characters, with lines that end in one way."""
    if b"\x00" in data and not data.startswith((b"\xff\xfe", b"\xfe\xff")):
        raise MalformedError("file", said("the-file-is-no-text"))
    for encoding in ("utf-16",) if data.startswith((b"\xff\xfe", b"\xfe\xff")) else ("utf-8-sig", "cp1252"):
        try:
            text = data.decode(encoding)
        except UnicodeDecodeError:
            continue
        text = text.replace("\r\n", "\n").replace("\r", "\n")
        return only_seen(text.replace("\u2028", "\n").replace("\u2029", "\n"))
    raise MalformedError("file", said("the-file-is-no-text"))


def _plain(text: str) -> Iterator[Block]:
    """Paragraphs, as many in one thing as it holds."""
    gathered = ""
    for paragraph in text.strip().split("\n\n"):
        if gathered and len(gathered) + len(paragraph) + 2 > MAX_TEXT:
            yield Block(gathered)
            gathered = ""
        gathered = f"{gathered}\n\n{paragraph}" if gathered else paragraph.strip("\n")
    if gathered.strip():
        yield Block(gathered)


def _rows(text: str) -> list[list[str]]:
    """The cells of a CSV file, whatever parts them; blank rows are passed over."""
    try:
        dialect: type[csv.Dialect] | str = csv.Sniffer().sniff(text[:4_000], ",;\t")
    except csv.Error:
        dialect = "excel-tab" if "\t" in text.partition("\n")[0] else "excel"
    try:
        return [row for row in csv.reader(text.splitlines(keepends=True), dialect) if any(row)]
    except csv.Error as error:
        raise MalformedError("file", said("the-file-is-no-table")) from error


def _markdown(text: str) -> Iterator[Block]:
    """Headings, paragraphs, lists, code and tables; markup of HTML stays as it is written."""
    tokens = MarkdownIt("commonmark", {"html": False}).enable(["table", "strikethrough"]).parse(text)
    at, lists = 0, 0
    listed: list[tuple[str, tuple[Span, ...]]] = []
    ordered: Listing = "bullets"
    while at < len(tokens):
        token = tokens[at]
        if token.type in ("bullet_list_open", "ordered_list_open"):
            lists += 1
            if lists == 1:
                listed, ordered = [], "bullets" if token.type == "bullet_list_open" else "numbers"
        elif token.type in ("bullet_list_close", "ordered_list_close"):
            lists -= 1
            if not lists and listed:
                yield _joined(listed, ordered)
        elif token.type == "table_open":
            end = next(i for i in range(at, len(tokens)) if tokens[i].type == "table_close")
            yield Block("", rows=_cells(tokens[at:end]))
            at = end
        elif token.type in ("fence", "code_block"):
            yield Block(token.content.rstrip("\n"), family="mono", size=SIZE - 3)
        elif token.type == "inline":
            words, spans = _inline(token)
            opened = tokens[at - 1]
            if lists:
                listed.append((words.replace("\n", " "), spans))
            elif opened.type == "heading_open":
                level = min(int(opened.tag[1]), len(HEADINGS)) - 1
                yield Block(words, (Span(0, len(words), bold=True),), HEADINGS[level])
            else:
                yield Block(words, spans)
        at += 1


def _joined(parts: list[tuple[str, tuple[Span, ...]]], listing: Listing) -> Block:
    """The points of a list, each a line of one text."""
    text, spans = "", []
    for words, styled in parts:
        start = len(text) + bool(text)
        text = f"{text}\n{words}" if text else words
        spans += [msgspec.structs.replace(s, start=s.start + start, end=s.end + start) for s in styled]
    return Block(text, tuple(spans), listing=listing)


def _cells(tokens: Sequence[Token]) -> list[list[str]]:
    rows: list[list[str]] = []
    for token in tokens:
        if token.type == "tr_open":
            rows.append([])
        elif token.type == "inline":
            rows[-1].append(_inline(token)[0])
    return rows


def _inline(token: Token) -> tuple[str, tuple[Span, ...]]:
    """The words of a paragraph and how they look; what a picture shows is said in its place."""
    text, spans = "", []
    on = {"strong": 0, "em": 0, "s": 0}
    link = ""
    for part in token.children or ():
        name, _, side = part.type.rpartition("_")
        if name in on:
            on[name] += 1 if side == "open" else -1
        elif part.type == "link_open":
            address = str(part.attrGet("href") or "")
            link = address if is_link(address) else ""
        elif part.type == "link_close":
            link = ""
        else:
            said_here = "\n" if part.type in ("softbreak", "hardbreak") else part.content
            said_here = " " if part.type == "softbreak" else said_here
            look = Span(len(text), len(text) + len(said_here), on["strong"] > 0, on["em"] > 0, strike=on["s"] > 0, link=link)  # fmt: skip
            if said_here and (look.bold or look.italic or look.strike or look.link):
                spans.append(look)
            text += said_here
    return text, tuple(spans)


def _below_each_other(blocks: Sequence[Block], typesetter: Typesetter) -> list[Item]:
    items: list[Item] = []
    y = 0.0
    for part in (part for block in blocks for part in _parts(block)):
        item = _item(part, typesetter)
        if item is None:
            continue
        items.append(msgspec.structs.replace(item, y=y))
        y += item_box(item).height + GAP
        if len(items) > MAX_THINGS:
            break
    return items


def _parts(block: Block) -> Iterator[Block]:
    """What is too long for one thing in several; where it is parted its styles are lost."""
    if len(block.text) <= MAX_TEXT:
        yield block
        return
    rest = block.text
    while rest:
        cut = len(rest) if len(rest) <= MAX_TEXT else (rest.rfind(" ", 1, MAX_TEXT) + 1 or MAX_TEXT)
        yield block._replace(text=rest[:cut], spans=())
        rest = rest[cut:]


def _item(block: Block, typesetter: Typesetter) -> Item | None:
    if block.rows:
        return laid_out(_table(block.rows), typesetter)
    if not block.text.strip():
        return None
    return laid_out(
        TextItem(
            id="thing", text=block.text, size=block.size, colour=INK_COLOUR, wrap_width=WIDE,
            family=block.family, listing=block.listing, spans=block.spans[:MAX_SPANS],
        ),
        typesetter,
    )  # fmt: skip


def _table(rows: Sequence[Sequence[str]]) -> TableItem:
    across = max(len(row) for row in rows)
    if len(rows) > MAX_TABLE_SIDE or across > MAX_TABLE_SIDE:
        raise MalformedError("table", said("a-table-has-1-to", tableside=MAX_TABLE_SIDE))
    cells = [[cell.expandtabs(1).strip() for cell in row] + [""] * (across - len(row)) for row in rows]
    longest = [max(len(row[column]) for row in cells) for column in range(across)]
    least, most = COLUMN
    columns = tuple(min(max(least, 24 + n * TABLE_SIZE * LETTER), most) for n in longest)
    return TableItem(
        id="thing", columns=columns, rows=(2 * TABLE_SIZE,) * len(cells), size=TABLE_SIZE, colour=INK_COLOUR,
        cells=tuple(cell for row in cells for cell in row),
    )  # fmt: skip
