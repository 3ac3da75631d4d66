"""Pages of a board as persistent values: a step makes a new board that shares all it left alone."""

from __future__ import annotations

from typing import Literal

import immutables
import msgspec

from sunroom.core.board.items import Item, check_colour, check_id, check_range, check_text
from sunroom.core.board.rulings import Ruling
from sunroom.core.errors import MalformedError

PAPER_COLOUR = "#fffefa"
MAX_PAGES = 200
MAX_TITLE = 80
#: A page with more items than this is beyond what any lesson writes; it guards memory.
MAX_ITEMS = 50_000

PaperKind = Literal["endless", "roll", "sheet"]


class Paper(msgspec.Struct, frozen=True):
    """A page's kind and ruling.

    Attributes
    ----------
    width, height : float
        In board units. A sheet has this size; a roll this width, and at least this length.
    spacing : float
        Distance of the ruling's lines in board units.
    colour : str
    picture : str
        Id of a picture under everything, "" for none: fitted into a sheet, as wide as other paper.
    """

    kind: PaperKind = "endless"
    ruling: Ruling = "squares"
    width: float = 1123.0
    height: float = 794.0
    spacing: float = 40.0
    colour: str = PAPER_COLOUR
    picture: str = ""


class PageHead(msgspec.Struct, frozen=True):
    """What is known of a page without its items.

    ``writers`` is the page's own rule: as the lesson, the tutor side only, or open to students.
    """

    id: str
    title: str = ""
    paper: Paper = Paper()
    writers: Literal["lesson", "tutor_side", "open"] = "lesson"


class Page(msgspec.Struct, frozen=True):
    """A page and its items by id; ``next_z`` is above every item's."""

    head: PageHead
    items: immutables.Map[str, Item] = immutables.Map()
    next_z: int = 1

    def in_order(self) -> list[Item]:
        """Items from the lowest to the highest."""
        return sorted(self.items.values(), key=lambda item: (item.z, item.id))


class Board(msgspec.Struct, frozen=True):
    """All pages in their order, after step number ``seq``."""

    pages: immutables.Map[str, Page] = immutables.Map()
    order: tuple[str, ...] = ()
    seq: int = 0

    def in_order(self) -> list[Page]:
        return [self.pages[page_id] for page_id in self.order]

    def with_page(self, page: Page) -> Board:
        """The board with ``page`` in the place of the one with its id."""
        return msgspec.structs.replace(self, pages=self.pages.set(page.head.id, page))


def check_head(head: PageHead) -> None:
    """Hold a page head from outside to its limits; raises MalformedError."""
    check_id(head.id)
    if head.title:
        check_text(head.title)
    if len(head.title) > MAX_TITLE or "\n" in head.title:
        raise MalformedError("title", f"A page's title is one line of at most {MAX_TITLE} characters.")
    for side in (head.paper.width, head.paper.height):
        if not 200 <= side <= 10_000:
            raise MalformedError("paper", "A sheet measures between 200 and 10,000 units a side.")
    check_range("spacing", head.paper.spacing, 8, 400)
    check_colour(head.paper.colour)
    if head.paper.picture:
        check_id(head.paper.picture)
