"""What people ask of the lesson, and which action of the rule book each is."""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.core.pens.facts import Between, InCall, Mode
from sunroom.core.pens.kits import Right
from sunroom.core.pens.rules import Action

Door = Literal["open", "knock", "code"]
HandWord = Literal["", "stuck", "answer", "done"]


class SetPens(msgspec.Struct, frozen=True, tag_field="command", tag="set_pens"):
    """Pens down, passed or up for everyone."""

    mode: Mode


class PassPen(msgspec.Struct, frozen=True, tag_field="command", tag="pass_pen"):
    """Give one person a pen, for ``minutes`` or (None) until it is taken back."""

    seat: str
    minutes: float | None = None


class TakePen(msgspec.Struct, frozen=True, tag_field="command", tag="take_pen"):
    """Take one person's pen back; while pens are up, withhold it."""

    seat: str


class SetRights(msgspec.Struct, frozen=True, tag_field="command", tag="set_rights"):
    """What a pen may do: everyone's, or that of ``seat``; ``rights`` None lets one person's be as everyone's.

    ``room``: later lessons begin with these rights too.
    """

    rights: tuple[Right, ...] | None
    seat: str = ""
    room: bool = False


class SetPointing(msgspec.Struct, frozen=True, tag_field="command", tag="set_pointing"):
    """Let students point whether or not they have a pen, or (``on`` False) no longer."""

    on: bool


class SetVoices(msgspec.Struct, frozen=True, tag_field="command", tag="set_voices"):
    """Which students speak in the call, or with ``faces`` which are seen."""

    who: InCall
    faces: bool = False


class SetCaller(msgspec.Struct, frozen=True, tag_field="command", tag="set_caller"):
    """Of one student: not to speak (``muted``), to send no picture (``unseen``), or to do both whatever all may (``called``)."""

    seat: str
    muted: bool = False
    unseen: bool = False
    called: bool = False


class PassToNext(msgspec.Struct, frozen=True, tag_field="command", tag="pass_to_next"):
    """Take the pen from whoever got it last and pass it to the first hand in the queue."""


class RaiseHand(msgspec.Struct, frozen=True, tag_field="command", tag="raise_hand"):
    """Put one's hand up, or say another word with it: “stuck”, “answer”, “done”."""

    word: HandWord = ""


class LowerHands(msgspec.Struct, frozen=True, tag_field="command", tag="lower_hands"):
    """Lower all hands."""


class SetRole(msgspec.Struct, frozen=True, tag_field="command", tag="set_role"):
    """Make a student a helper, or a helper a student."""

    seat: str
    role: Literal["helper", "student"]


class SendAway(msgspec.Struct, frozen=True, tag_field="command", tag="send_away"):
    """Remove a person, who stays out; ``knock``: everybody new knocks from now on, for an open door lets
    the same person in again under another name."""

    seat: str
    knock: bool = False


class LowerHand(msgspec.Struct, frozen=True, tag_field="command", tag="lower_hand"):
    """Lower one's own hand, or as the tutor side that of ``seat``."""

    seat: str = ""


class SetBetween(msgspec.Struct, frozen=True, tag_field="command", tag="set_between"):
    """What students may do between lessons: look, write, or nothing."""

    between: Between


class SetDoor(msgspec.Struct, frozen=True, tag_field="command", tag="set_door"):
    """How students come in: at once, when they are let in, or by a code."""

    door: Door
    code: str = ""


class SetPlan(msgspec.Struct, frozen=True, tag_field="command", tag="set_plan"):
    """What the next lesson is about, when it begins, and how long it is to be; None leaves that open.

    ``pages`` are the titles of the pages that it needs.
    """

    title: str = ""
    at_ms: int | None = None
    minutes: int | None = None
    pages: tuple[str, ...] = ()


class SetCountdown(msgspec.Struct, frozen=True, tag_field="command", tag="set_countdown"):
    """Count down ``seconds`` for a task, seen by all; 0 stops it."""

    seconds: int
    label: str = ""


class AskCheck(msgspec.Struct, frozen=True, tag_field="command", tag="ask_check"):
    """Ask everybody a question with answers to tap."""

    id: str
    question: str
    options: tuple[str, ...]


class AnswerCheck(msgspec.Struct, frozen=True, tag_field="command", tag="answer_check"):
    """One's own answer to the question ``id``; another one takes its place."""

    id: str
    option: int


class ShareCheck(msgspec.Struct, frozen=True, tag_field="command", tag="share_check"):
    """Show the answers' numbers to everybody, or to the tutor side only."""

    shared: bool


class EndCheck(msgspec.Struct, frozen=True, tag_field="command", tag="end_check"):
    """Put the question away."""


class PauseLesson(msgspec.Struct, frozen=True, tag_field="command", tag="pause_lesson"):
    """Let the lesson stand still, or (``paused`` False) go on."""

    paused: bool


class Rename(msgspec.Struct, frozen=True, tag_field="command", tag="rename"):
    """Give a person, or oneself, another name."""

    seat: str
    name: str


class Admit(msgspec.Struct, frozen=True, tag_field="command", tag="admit"):
    """Let in a person who knocks, or ("") all of them."""

    seat: str = ""


class TurnAway(msgspec.Struct, frozen=True, tag_field="command", tag="turn_away"):
    """Do not let in a person who knocks; they may knock again."""

    seat: str


class ToPorch(msgspec.Struct, frozen=True, tag_field="command", tag="to_porch"):
    """Send a person back to the porch, where they knock again."""

    seat: str


class HandOver(msgspec.Struct, frozen=True, tag_field="command", tag="hand_over"):
    """Let a helper be the tutor, and the tutor a helper; "": the room's owner is the tutor again."""

    seat: str


class LetBack(msgspec.Struct, frozen=True, tag_field="command", tag="let_back"):
    """Let a person who was sent away come in again."""

    seat: str


class Forget(msgspec.Struct, frozen=True, tag_field="command", tag="forget"):
    """Take a person who has gone off the list of those who were here."""

    seat: str


class OpenLesson(msgspec.Struct, frozen=True, tag_field="command", tag="open_lesson"):
    """Open a lesson, or (``again``) go on with the one that has just ended."""

    again: bool = False


class EndLesson(msgspec.Struct, frozen=True, tag_field="command", tag="end_lesson"):
    pass


#: Commands that change the lesson's own state.
LessonCommand = (
    SetPens
    | PassPen
    | TakePen
    | SetRights
    | SetPointing
    | SetVoices
    | SetCaller
    | PassToNext
    | RaiseHand
    | LowerHand
    | LowerHands
    | SetBetween
    | SetDoor
    | SetPlan
    | SetCountdown
    | AskCheck
    | AnswerCheck
    | ShareCheck
    | EndCheck
    | PauseLesson
    | OpenLesson
    | EndLesson
)
#: Commands about people's seats, which are not the lesson's.
SeatCommand = SetRole | SendAway | Rename | Admit | TurnAway | ToPorch | HandOver | Forget | LetBack
Command = LessonCommand | SeatCommand


def action_of(command: Command, seat: str) -> Action:
    """The rule book's action that ``command`` of ``seat`` is."""
    match command:
        case SetPens():
            return "set_pens"
        case PassPen() | TakePen() | PassToNext() | LowerHands():
            return "pass_pen"
        case SetRights():
            return "set_between" if command.room else "set_rights"
        case SetPointing() | SetVoices():
            return "set_rights"
        case SetCaller():
            return "pass_pen"
        case SetRole():
            return "set_role"
        case SendAway() | LetBack():
            return "send_away"
        case SetBetween() | SetDoor():
            return "set_between"
        case OpenLesson() | EndLesson() | SetPlan():
            return "end_lesson"
        case HandOver():
            return "hand_over"
        case PauseLesson():
            return "set_pens"
        case SetCountdown():
            return "count_down"
        case AskCheck() | ShareCheck() | EndCheck():
            return "ask_check"
        case AnswerCheck():
            return "answer_check"
        case Admit() | TurnAway() | ToPorch() | Forget():
            return "admit"
        case Rename() if command.seat == seat:
            return "rename_self"
        case Rename():
            return "send_away"
        case LowerHand() if command.seat not in ("", seat):
            return "pass_pen"
        case _:
            return "hand"
