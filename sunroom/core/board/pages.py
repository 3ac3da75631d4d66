"""Pages of a board as persistent values: a step makes a new board that shares all it left alone."""

from __future__ import annotations

from typing import Literal

import immutables
import msgspec

from sunroom.core.board.items import Item
from sunroom.core.board.limits import check_colour, check_id, check_number, check_range, check_text
from sunroom.core.board.rulings import Ruling
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Box
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.pens.facts import BayFacts, BayRule, PageRule
from sunroom.core.sentences import said

PAPER_COLOUR = "#fffefa"
#: A centimetre of paper in board units, which are 96 to the inch.
CM = 96 / 2.54
MAX_UNIT, MAX_EACH = 12, 1e6
MAX_PAGES = 200
MAX_TITLE = 80
#: A page with more items than this is beyond what any lesson writes; it guards memory.
MAX_ITEMS = 50_000

MAX_BAYS, MAX_PEOPLE, MAX_SEAT = 60, 100, 20
#: A bay smaller than this a side holds no word.
LEAST_BAY = 40.0

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
    each, unit : float, str
        What one square (``spacing``) stands for when things are measured, such as 5 m; without a unit they are measured
        in the paper's own centimetres.
    """

    kind: PaperKind = "endless"
    ruling: Ruling = "squares"
    width: float = 1123.0
    height: float = 794.0
    spacing: float = 40.0
    colour: str = PAPER_COLOUR
    picture: str = ""
    each: float = 1.0
    unit: str = ""

    def measured(self, length: float) -> tuple[float, str]:
        """A length in board units as it is measured on this paper, and its unit."""
        return (length / self.spacing * self.each, self.unit) if self.unit else (length / CM, "cm")


class Bay(msgspec.Struct, frozen=True):
    """A titled area of a page, with its own rule.

    ``people`` are the seats that a bay for some people is for. ``prints`` tells how it is saved: with the
    page, also large on a page of its own, or not at all.
    """

    id: str
    x: float
    y: float
    width: float
    height: float
    title: str = ""
    rule: BayRule = "page"
    people: tuple[str, ...] = ()
    prints: Literal["page", "own", "no"] = "page"

    @property
    def facts(self) -> BayFacts:
        return BayFacts(self.rule, self.people)

    @property
    def box(self) -> Box:
        return Box(self.x, self.y, self.x + self.width, self.y + self.height)


class PageHead(msgspec.Struct, frozen=True):
    """What is known of a page without its items.

    ``by`` is the seat that made it, given by the server: "" for pages that came with their board, which are
    the tutor's. ``writers`` is the page's own rule; a desk belongs to the seat ``desk_of``, and ``desk_from`` is the page
    that was handed out (it may be gone; "" for desks of before it was kept). ``bays`` are its areas; where two overlap,
    the later one counts. A ``hidden`` page is seen by the tutor side alone (core.board.sight).
    """

    id: str
    title: str = ""
    paper: Paper = Paper()
    writers: PageRule = "lesson"
    desk_of: str = ""
    bays: tuple[Bay, ...] = ()
    by: str = ""
    hidden: bool = False
    desk_from: str = ""


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

    def shows_without(self, page_id: str) -> bool:
        """Whether a page is left for everybody to see when that one is not."""
        return any(not page.head.hidden for other, page in self.pages.items() if other != page_id)


def check_head(head: PageHead) -> None:
    """Hold a page head from outside to its limits; raises MalformedError."""
    check_id(head.id)
    if head.title:
        check_text(head.title)
    if len(head.title) > MAX_TITLE or "\n" in head.title:
        raise MalformedError("title", said("a-pages-title-is-one", title=MAX_TITLE))
    for side in (head.paper.width, head.paper.height):
        if not 200 <= side <= 10_000:
            raise MalformedError("paper", said("a-sheet-measures-between-200"))
    check_range("spacing", head.paper.spacing, 8, 400)
    check_colour(head.paper.colour)
    if head.paper.picture:
        check_id(head.paper.picture)
    check_range("each", head.paper.each, 1 / MAX_EACH, MAX_EACH)
    if len(head.paper.unit) > MAX_UNIT or "\n" in head.paper.unit:
        raise MalformedError("unit", said("a-unit-is-short", most=MAX_UNIT))
    if head.paper.unit:
        check_text(head.paper.unit)
    if (head.writers == "desk") != bool(head.desk_of) or len(head.desk_of) > MAX_SEAT:
        raise MalformedError("desk_of", said("a-desk-belongs-to-one"))
    if head.desk_from:
        check_id(head.desk_from)
    if len(head.bays) > MAX_BAYS or len({bay.id for bay in head.bays}) < len(head.bays):
        raise MalformedError("bays", said("a-page-has-at-most", bays=MAX_BAYS))
    for bay in head.bays:
        _check_bay(bay)


def _check_bay(bay: Bay) -> None:
    check_id(bay.id)
    if bay.title:
        check_text(bay.title)
    if len(bay.title) > MAX_TITLE or "\n" in bay.title:
        raise MalformedError("title", said("a-bays-title-is-one", title=MAX_TITLE))
    for place in (bay.x, bay.y):
        check_number("bay", place, MAX_COORDINATE)
    for side in (bay.width, bay.height):
        check_range("bay", side, LEAST_BAY, MAX_COORDINATE)
    if len(bay.people) > MAX_PEOPLE or any(not 0 < len(seat) <= MAX_SEAT for seat in bay.people):
        raise MalformedError("people", said("that-bay-is-for-too"))
