"""What a person may ask of the board: one module for each family, and what holds for all of them.

Adding, removing and moving are steps already; what else is asked becomes one in ``resolve``. A new kind of request is
put into its family's module and named in ``family_of``; the type checker says what it lacks.
"""

from __future__ import annotations

from typing import Final, assert_never

from sunroom.core.board.following import followed
from sunroom.core.board.pages import Board
from sunroom.core.board.requests import (
    adding,
    arranging,
    chances,
    charting,
    converting,
    measuring,
    mind_mapping,
    moving,
    number_lines,
    paging,
    picturing,
    removing,
    styling,
    words,
)
from sunroom.core.board.requests.adding import DrawFigure
from sunroom.core.board.requests.arranging import ArrangeItems, Arrangement
from sunroom.core.board.requests.back import Redo, Undo, going_back
from sunroom.core.board.requests.chances import PutChance, Throw
from sunroom.core.board.requests.charting import PlotTable, SetChart
from sunroom.core.board.requests.converting import AsWritten, ConvertEach, TrueUp, TrueUpAll
from sunroom.core.board.requests.cost import BAY, STROKE
from sunroom.core.board.requests.family import Family, GoneError, Now
from sunroom.core.board.requests.maths_setting import SetMaths
from sunroom.core.board.requests.measuring import Construct, MeasureItems
from sunroom.core.board.requests.mind_mapping import Label, Link, ToMindMap
from sunroom.core.board.requests.moving import MoveEnds, TransformItems
from sunroom.core.board.requests.number_lines import PutNumberLine
from sunroom.core.board.requests.paging import CopyPage, DropBay, EditPage, PutBay
from sunroom.core.board.requests.picturing import CropPicture, SwapPicture
from sunroom.core.board.requests.removing import RubItems
from sunroom.core.board.requests.styling import StyleItems
from sunroom.core.board.requests.typesetting import Typeset
from sunroom.core.board.requests.words import (
    ChangeTable,
    EditCard,
    EditFormula,
    EditText,
    SetCell,
    SetGraph,
    SetTable,
    Side,
)
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
    ReplaceItems,
    Step,
)
from sunroom.core.errors import MalformedError
from sunroom.core.pens.facts import Actor
from sunroom.core.sentences import said
from sunroom.core.text import Typesetter

__all__ = [
    "MOST_WORK",
    "ArrangeItems",
    "Arrangement",
    "AsWritten",
    "ChangeTable",
    "Construct",
    "ConvertEach",
    "CopyPage",
    "CropPicture",
    "DrawFigure",
    "DropBay",
    "EditCard",
    "EditFormula",
    "EditPage",
    "EditText",
    "GoneError",
    "Label",
    "Link",
    "MeasureItems",
    "MoveEnds",
    "Plain",
    "PlotTable",
    "PutBay",
    "PutChance",
    "PutNumberLine",
    "Redo",
    "Request",
    "RubItems",
    "SetCell",
    "SetChart",
    "SetGraph",
    "SetMaths",
    "SetTable",
    "Side",
    "StyleItems",
    "SwapPicture",
    "Throw",
    "ToMindMap",
    "TransformItems",
    "TrueUp",
    "TrueUpAll",
    "Typeset",
    "Undo",
    "check_request",
    "family_of",
    "going_back",
    "named",
    "page_of",
    "resolve",
    "signed",
    "work",
]

#: Requests that are worked out from the board alone; undo and redo need the person's history.
Plain = (
    adding.Adding
    | removing.Removing
    | moving.Moving
    | styling.StyleItems
    | arranging.ArrangeItems
    | words.Words
    | converting.Converting
    | mind_mapping.ToMindMap
    | paging.Paging
    | picturing.Picturing
    | charting.Charting
    | chances.Chances
    | number_lines.PutNumberLine
    | measuring.Measuring
)
Request = Plain | Undo | Redo

#: The most (µs) that one request may be: what is over it is not done at all.
MOST_WORK: Final = 2_500_000


def family_of(request: Plain) -> Family:
    """The module that knows all of a request."""
    match request:
        case AddItems() | DrawFigure():
            return adding
        case SetChart() | PlotTable():
            return charting
        case Throw() | PutChance():
            return chances
        case PutNumberLine():
            return number_lines
        case MeasureItems() | Construct():
            return measuring
        case RemoveItems() | RubItems():
            return removing
        case MoveItems() | TransformItems() | MoveEnds():
            return moving
        case StyleItems():
            return styling
        case ArrangeItems():
            return arranging
        case EditText() | EditCard() | EditFormula() | SetGraph() | SetTable() | SetCell() | ChangeTable():
            return words
        case Typeset() | SetMaths() | TrueUp() | TrueUpAll() | ConvertEach() | AsWritten():
            return converting
        case ToMindMap():
            return mind_mapping
        case CropPicture() | SwapPicture():
            return picturing
        case (
            AddPage()
            | RemovePage()
            | MovePage()
            | ChangePage()
            | CopyPage()
            | EditPage()
            | PutBay()
            | DropBay()
        ):
            return paging
        case _:
            assert_never(request)


def page_of(request: Request) -> str:
    """The page that a request names; "" for undo and redo."""
    match request:
        case AddPage() | ChangePage():
            return request.head.id
        case Undo() | Redo():
            return ""
        case _:
            return request.page


def check_request(request: Request) -> None:
    """Hold a request from outside to its limits, whatever the board; raises MalformedError."""
    if not isinstance(request, Undo | Redo):
        family_of(request).check(request)


def named(request: Request) -> tuple[str, ...]:
    """The items that a request itself names as those to be changed."""
    return () if isinstance(request, Undo | Redo) else family_of(request).named(request)


def signed(request: Plain, actor: Actor) -> Plain:
    """The request with new notes under their writer's own name; the tutor side may put up another's."""
    if not isinstance(request, AddItems) or actor.tutor_side:
        return request
    return adding.signed(request, actor.name)


def work(board: Board, request: Request) -> int:
    """Microseconds that ``request`` may take on ``board``, told before any of it is done.

    Whoever runs the board does small ones at once and others beside.

    Raises
    ------
    MalformedError
        When that is more than ``MOST_WORK``.
    """
    if isinstance(request, Undo | Redo):
        return 0
    page = board.pages.get(page_of(request))
    cost = family_of(request).work(page, request)
    if page is not None and page.head.bays:
        things = len(getattr(request, "ids", ())) + len(getattr(request, "items", ()))
        cost += things * (STROKE + len(page.head.bays) * BAY)
    if cost > MOST_WORK:
        raise MalformedError("too_much", said("that-is-more-than-can"))
    return int(cost)


def resolve(board: Board, request: Plain, seat: str, at_ms: int, typesetter: Typesetter) -> Step:
    """The step that ``request`` of ``seat`` makes of ``board``; browsers apply it without computing anything.

    Raises
    ------
    GoneError
        When the page or every item it speaks of is gone, or an id is taken.
    MalformedError
        When the board would grow over its limits.
    """
    page = board.pages.get(page_of(request))
    if isinstance(request, AddPage):
        step = paging.added(board, request, seat)
    elif page is None:
        raise GoneError("page_gone", said("that-page-is-no-longer"))
    else:
        step = family_of(request).step(Now(board, page, seat, at_ms, typesetter), request)
    if step is None:
        raise GoneError("items_gone", said("that-is-no-longer-on"))
    step = followed(board, step, typesetter)
    _check_new_ids(board, step)
    return step


def _check_new_ids(board: Board, step: Step) -> None:
    """What a step makes is new on its page, unless the step takes that very thing off; raises GoneError."""
    new = [item.id for item in getattr(step, "items", ())]
    gone = set(step.ids) if isinstance(step, ReplaceItems) else set()
    page = board.pages.get(getattr(step, "page", ""))
    there = page.items if page else {}
    if len(set(new)) < len(new) or any(item_id in there and item_id not in gone for item_id in new):
        raise GoneError("id_taken", said("that-is-on-the-board"))
