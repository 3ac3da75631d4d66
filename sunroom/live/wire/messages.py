"""The wire: every message between a browser and its room, as MessagePack of typed structs.

The browser's types are made from these by `./run types`.
"""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.boards.store import Logged
from sunroom.core.board import Item, PageHead, Request
from sunroom.core.geometry import Box
from sunroom.core.ink import Ends, Nib
from sunroom.core.lesson import Command, Lesson, Said
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import GraphLetter, GraphPaths
from sunroom.core.pens import Standing
from sunroom.core.pens.facts import Role
from sunroom.core.sentences import Sentence
from sunroom.live.wire.calls import (
    Call,
    Caller,
    Callers,
    CallWays,
    Caption,
    Captioned,
    Recorded,
    SetRecording,
    Signal,
)
from sunroom.live.wire.readings import Read, Readings, Teach

Reaction = Literal["yes", "no", "bravo", "wow", "slower", "lost"]
#: How well messages travel to and from a person.
Travel = Literal["good", "slow", "poor", "flooding"]

InstrumentKind = Literal["ruler", "protractor", "square_45", "square_60", "compasses"]

#: The version of all messages here: raised when an older page can no longer talk to the server.
WIRE = 9

# From the browser


class Join(msgspec.Struct, frozen=True, tag_field="type", tag="join"):
    """The first message: which board ("" for the room's first), the last step seen of it (-1: none),
    and the page whose items should come first; ``code`` when the door asks for one.

    ``wire``: the version of the wire that the browser's page was made for."""

    board: str = ""
    have_seq: int = -1
    page: str = ""
    code: str = ""
    wire: int = WIRE


class Do(msgspec.Struct, frozen=True, tag_field="type", tag="do"):
    """A step to take, under an id of the browser's making by which it lands once."""

    id: str
    request: Request


class Wet(msgspec.Struct, frozen=True, tag_field="type", tag="wet"):
    """New samples of a stroke being drawn; passed on, never kept.

    ``id`` is that of the item to come, ``begin`` the number of samples sent before; ``samples`` as
    in core.ink.samples. ``over`` without samples: the stroke was given up.
    """

    id: str
    page: str
    nib: Nib
    colour: str
    width: float
    begin: int
    samples: bytes
    over: bool = False
    opacity: float = 1.0
    ends: Ends = "none"


class Point(msgspec.Struct, frozen=True, tag_field="type", tag="point"):
    """Where a pointer is on a page; ``on`` False: it was put away.

    ``stay``: an arrow with the person's name, which is there until it is cleared.
    """

    page: str
    x: float
    y: float
    on: bool = True
    stay: bool = False


class Instrument(msgspec.Struct, frozen=True):
    """A drawing instrument as it lies on a page.

    ``x``, ``y`` is its middle, a protractor's centre, a set square's right angle or the needle of compasses; ``angle`` in
    radians, clockwise. ``size`` in board units: a ruler's length, a protractor's radius, a set square's longer leg, how
    far compasses are open. ``arm`` is a protractor's, in degrees from its base.
    """

    kind: InstrumentKind
    x: float
    y: float
    angle: float
    size: float
    arm: float = 90.0


class Lay(msgspec.Struct, frozen=True, tag_field="type", tag="lay"):
    """The instruments that somebody has laid on a page, as they lie now; none when they were taken away."""

    page: str
    instruments: tuple[Instrument, ...] = ()


class Slide(msgspec.Struct, frozen=True, tag_field="type", tag="slide"):
    """A graph while one of its letters is moved, or its window dragged: seen by the others, kept when it is let go."""

    page: str
    id: str
    ranges: Ranges
    letters: tuple[GraphLetter, ...]
    drawn: GraphPaths


class ClearPointers(msgspec.Struct, frozen=True, tag_field="type", tag="clear_pointers"):
    """Take one's own arrow off the board, or as the tutor side everyone's."""

    everyone: bool = False


class Lead(msgspec.Struct, frozen=True, tag_field="type", tag="lead"):
    """“Look here”: everyone's view to this part of a page of a board.

    ``hold`` keeps it there until it is let go with ``page`` "". From the browser ``board`` and ``name`` are
    not looked at; to the browsers they are the board and the name of the one who leads.
    """

    page: str
    box: Box
    hold: bool = False
    board: str = ""
    name: str = ""


class Play(msgspec.Struct, frozen=True, tag_field="type", tag="play"):
    """The sound or video of a card to everybody: from ``at_s`` on, or (``going`` False) standing there; ``item`` "" ends it.

    ``at_s`` was at ``at_ms`` by the server's clock. From the browser ``board``, ``at_ms`` and ``name`` are not looked at.
    """

    page: str
    item: str
    going: bool = True
    at_s: float = 0.0
    board: str = ""
    at_ms: int = 0
    name: str = ""


class Say(msgspec.Struct, frozen=True, tag_field="type", tag="say"):
    """A line of the chat, to "all", to the "tutor_side", or to one person's seat."""

    id: str
    text: str
    to: str = "all"


class Look(msgspec.Struct, frozen=True, tag_field="type", tag="look"):
    """Which page this person is looking at; ``along``: they did not turn to it themselves."""

    page: str
    along: bool = False


class Tell(msgspec.Struct, frozen=True, tag_field="type", tag="tell"):
    """A command to the lesson."""

    id: str
    command: Command


class Ping(msgspec.Struct, frozen=True, tag_field="type", tag="ping"):
    """Is the line alive? ``at`` comes back. ``took_ms``: how long the last answer took, -1 before the first."""

    at: float
    took_ms: float = -1.0


class React(msgspec.Struct, frozen=True, tag_field="type", tag="react"):
    """A sign that everybody sees for a moment."""

    kind: Reaction


class Follow(msgspec.Struct, frozen=True, tag_field="type", tag="follow"):
    """Look where the person in ``seat`` looks, until another follow; "" for nobody."""

    seat: str


class View(msgspec.Struct, frozen=True, tag_field="type", tag="view"):
    """The part of the page that this person sees, for those who follow."""

    page: str
    box: Box


class SeeAs(msgspec.Struct, frozen=True, tag_field="type", tag="see_as"):
    """What may the student in ``seat`` do on the page that this person looks at?"""

    seat: str


class Inspect(msgspec.Struct, frozen=True, tag_field="type", tag="inspect"):
    """Who made this item, and who changed it? ``ref`` comes back with the answer."""

    ref: int
    page: str
    id: str


FromBrowser = (
    Join
    | Do
    | Wet
    | Point
    | Lay
    | Slide
    | ClearPointers
    | Say
    | Lead
    | Play
    | Look
    | Tell
    | Read
    | Teach
    | Ping
    | React
    | Follow
    | View
    | SeeAs
    | Inspect
    | Call
    | Signal
    | SetRecording
    | Caption
)

# To the browser


class Person(msgspec.Struct, frozen=True):
    """A seat of the room as the people column shows it.

    ``tabs`` is 0 for who has gone, and ``seen_ms`` then says when; ``travel`` is how well messages do,
    ``colour`` the number of their mark's.
    """

    seat: str
    name: str
    role: Role
    tabs: int
    page: str = ""
    board: str = ""
    travel: Travel = "good"
    seen_ms: int = 0
    owner: bool = False
    colour: int = 0
    sent_away: bool = False


class Knock(msgspec.Struct, frozen=True):
    """Somebody at the door."""

    seat: str
    name: str
    at_ms: int


class Trace(msgspec.Struct, frozen=True):
    """Something that happened to an item: when, whose doing, and what ("made", "changed", …)."""

    at_ms: int
    seat: str
    name: str
    what: str


class BoardCard(msgspec.Struct, frozen=True):
    id: str
    title: str


class Pointing(msgspec.Struct, frozen=True):
    seat: str
    point: Point


class Laid(msgspec.Struct, frozen=True):
    """Somebody's instruments, by their connection."""

    connection: str
    seat: str
    lay: Lay


class Sliding(msgspec.Struct, frozen=True):
    """A graph that somebody moves, by their connection."""

    connection: str
    slide: Slide


class Welcome(msgspec.Struct, frozen=True, tag_field="type", tag="welcome"):
    """The answer to Join. Either ``pages`` with their items to follow, or the steps missed since.

    ``boards`` are all of the room, ``arrows`` the pointers that stay on this one, ``laid`` the instruments on it. ``link`` is that of the door by
    which this person came. In a ``rehearsal`` the students are made up. Steps after the last of ``missed``, up to ``seq``, are not for this person.
    """

    seat: str
    connection: str
    role: Role
    room: str
    link: str
    board: BoardCard
    now_ms: int
    lesson: Lesson
    people: tuple[Person, ...]
    seq: int
    kept_ms: int
    undos: int
    redos: int
    pages: tuple[PageHead, ...] | None
    missed: tuple[Logged, ...] = ()
    boards: tuple[BoardCard, ...] = ()
    arrows: tuple[Pointing, ...] = ()
    laid: tuple[Laid, ...] = ()
    chat: tuple[Said, ...] = ()
    lead: Lead | None = None
    play: Play | None = None
    callers: tuple[Caller, ...] = ()
    rehearsal: bool = False
    recorded: Recorded = Recorded()


class PageItems(msgspec.Struct, frozen=True, tag_field="type", tag="page_items"):
    """A part of a page's items, lowest first; ``last`` with the final part."""

    page: str
    items: tuple[Item, ...]
    last: bool


class WetInk(msgspec.Struct, frozen=True):
    """A wet message with who sent it."""

    connection: str
    seat: str
    wet: Wet


class Frame(msgspec.Struct, frozen=True, tag_field="type", tag="frame", omit_defaults=True):
    """All that happened on a board in one tick; ``link`` when the room's has been changed.

    ``passed``: the numbers of steps that are not for this person, as they are on hidden pages.
    """

    steps: tuple[Logged, ...] = ()
    passed: tuple[int, ...] = ()
    wet: tuple[WetInk, ...] = ()
    pointing: tuple[Pointing, ...] = ()
    laid: tuple[Laid, ...] = ()
    sliding: tuple[Sliding, ...] = ()
    lesson: Lesson | None = None
    people: tuple[Person, ...] | None = None
    boards: tuple[BoardCard, ...] | None = None
    kept_ms: int = 0
    trouble: Sentence | None = None
    link: str | None = None


class Answered(msgspec.Struct, frozen=True, tag_field="type", tag="answered"):
    """A step that had landed before: it was sent again after a lost connection."""

    id: str
    seq: int


class Refused(msgspec.Struct, frozen=True, tag_field="type", tag="refused"):
    """A step or command that was not taken, and why; nothing was changed."""

    id: str
    reason: str
    sentence: Sentence


class You(msgspec.Struct, frozen=True, tag_field="type", tag="you"):
    """What this person may do on the page they look at, sent whenever that may have changed."""

    page: str
    standing: Standing


class Heard(msgspec.Struct, frozen=True, tag_field="type", tag="heard"):
    """A line of the chat that this person is shown."""

    line: Said


class AtPorch(msgspec.Struct, frozen=True, tag_field="type", tag="at_porch"):
    """Instead of a welcome: what the door asks for. ``wrong``: that code was not it; ``away``: not let in."""

    needs: Literal["knock", "code"]
    tutor: str
    wrong: bool = False
    away: bool = False


class LetIn(msgspec.Struct, frozen=True, tag_field="type", tag="let_in"):
    """The tutor has let this person in: join again."""


class AtDoor(msgspec.Struct, frozen=True, tag_field="type", tag="at_door"):
    """To the tutor side: who knocks, and the code that lets people in."""

    knocks: tuple[Knock, ...]
    code: str = ""


class CheckAnswers(msgspec.Struct, frozen=True, tag_field="type", tag="check_answers"):
    """To the tutor side: who gave which answer to the question that is asked (pairs of seat and option)."""

    id: str
    answers: tuple[tuple[str, int], ...]


class Reacted(msgspec.Struct, frozen=True, tag_field="type", tag="reacted"):
    seat: str
    kind: Reaction


class Viewed(msgspec.Struct, frozen=True, tag_field="type", tag="viewed"):
    """To a follower: what the person they follow sees."""

    seat: str
    board: str
    page: str
    box: Box


class Along(msgspec.Struct, frozen=True, tag_field="type", tag="along"):
    """To a second device, or from it to the first: its person has turned to another page."""

    page: str


class SeenAs(msgspec.Struct, frozen=True, tag_field="type", tag="seen_as"):
    """What a student may do on a page, to the tutor who asked."""

    seat: str
    page: str
    standing: Standing


class Inspected(msgspec.Struct, frozen=True, tag_field="type", tag="inspected"):
    ref: int
    traces: tuple[Trace, ...]


class Pong(msgspec.Struct, frozen=True, tag_field="type", tag="pong"):
    at: float


class Goodbye(msgspec.Struct, frozen=True, tag_field="type", tag="goodbye"):
    """The last message: why the line is closed, and whether to come again."""

    reason: str
    sentence: Sentence
    again: bool


ToBrowser = (
    Welcome
    | PageItems
    | Frame
    | Answered
    | Refused
    | You
    | Readings
    | Heard
    | Lead
    | Play
    | AtPorch
    | LetIn
    | AtDoor
    | CheckAnswers
    | Reacted
    | Viewed
    | Along
    | SeenAs
    | Inspected
    | Callers
    | CallWays
    | Signal
    | Recorded
    | Captioned
    | Pong
    | Goodbye
)

_encoder = msgspec.msgpack.Encoder()


def encode(message: ToBrowser) -> bytes:
    return _encoder.encode(message)
