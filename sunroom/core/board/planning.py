"""What a request comes to on a board, and what must be allowed for it; and a board small enough to travel for that."""

from __future__ import annotations

from collections.abc import Iterator
from itertools import islice

import immutables
import msgspec

from sunroom.core.board.items import Item
from sunroom.core.board.pages import Board, Page, PageHead
from sunroom.core.board.permission import needs
from sunroom.core.board.requests import Plain, check_request, resolve, signed
from sunroom.core.board.sight import as_meant
from sunroom.core.board.steps import Step
from sunroom.core.pens.facts import Actor, Target
from sunroom.core.pens.rules import Action
from sunroom.core.text import Typesetter

#: So many items are packed at a time: packing lets nobody else have the interpreter meanwhile.
PACKED_AT_ONCE = 500


class Plan(msgspec.Struct, frozen=True):
    """A step, and what the rule book must allow before it is taken."""

    step: Step
    needs: list[tuple[Action, Target]]


class PackedBoard(msgspec.Struct, frozen=True):
    """A board of which one page has its items; the others are there for their order and heads."""

    page: str
    next_z: int
    heads: bytes
    items: tuple[bytes, ...]
    order: tuple[str, ...]
    seq: int


_encoder = msgspec.msgpack.Encoder()
_heads = msgspec.msgpack.Decoder(list[PageHead])
_items = msgspec.msgpack.Decoder(list[Item])


def plan(board: Board, request: Plain, actor: Actor, now_ms: int, typesetter: Typesetter) -> Plan:
    """The step that a request of ``actor`` makes of ``board``, with all that the rule book must allow.

    Raises
    ------
    GoneError, MalformedError
        See core.board.requests.
    """
    check_request(request)
    request = signed(request, actor)
    if not actor.tutor_side:
        request = as_meant(board, request)
    step = resolve(board, request, actor.seat, now_ms, typesetter)
    return Plan(step, needs(board, request, step))


def pack_board(board: Board, page_id: str) -> PackedBoard:
    """``board`` with the items of one page, which may be none of its."""
    page = board.pages.get(page_id, Page(PageHead("")))
    heads = _encoder.encode([page.head for page in board.pages.values()])
    return PackedBoard(page_id, page.next_z, heads, tuple(_packed(page)), board.order, board.seq)


def unpack_board(packed: PackedBoard) -> Board:
    """The board that was packed, its other pages without their items."""
    pages = {head.id: Page(head) for head in _heads.decode(packed.heads)}
    if packed.page in pages:
        items = immutables.Map((item.id, item) for part in packed.items for item in _items.decode(part))
        pages[packed.page] = Page(pages[packed.page].head, items, packed.next_z)
    return Board(immutables.Map(pages), packed.order, packed.seq)


def _packed(page: Page) -> Iterator[bytes]:
    items = iter(page.items.values())
    while some := list(islice(items, PACKED_AT_ONCE)):
        yield _encoder.encode(some)
