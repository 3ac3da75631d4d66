"""After the lesson: the wrap-up page, homework, mails with the boards, links to read by, and what students find."""

from __future__ import annotations

import secrets
from collections.abc import Callable
from datetime import UTC, datetime, timedelta
from typing import Any, TypeVar

import msgspec
from asgiref.sync import async_to_sync
from django.conf import settings
from django.http import HttpRequest, HttpResponse
from django.utils.http import content_disposition_header
from django.utils.timezone import now
from django.views.decorators.http import require_GET, require_http_methods, require_POST

from sunroom.boards import handed
from sunroom.boards.models import Board, HandedFile, ReadLink
from sunroom.boards.services import boards_of
from sunroom.core.lesson.state import Plan
from sunroom.core.sentences import said
from sunroom.lessons import afterwards
from sunroom.lessons import repository as lessons
from sunroom.lessons.afterwards import AfterwardsError
from sunroom.lessons.calendar import calendar_of
from sunroom.lessons.models import Homework
from sunroom.live.doors.files import making, pages_of_board, settle
from sunroom.live.doors.home import HomeBoard, listed, owned
from sunroom.live.doors.take_away import html_of, pdf_of
from sunroom.live.room.access import may_look
from sunroom.rooms import services
from sunroom.rooms.models import Room, Seat
from sunroom.rooms.requests import Problem, allow, allow_for, answer, answers_problems, body, language_of
from sunroom.words import say

T = TypeVar("T")

MAX_LINKS, MAX_DAYS = 50, 366
MAILS_A_DAY = 300
MAX_PEOPLE, MAX_BOARDS, MAX_ATTACHED = 60, 12, 20_000_000
#: So many pages of the newest boards are shown on the wrap-up page.
MAX_PAGES = 48

#: The board as one page of its own: nothing runs in it and nothing is fetched, whatever people wrote.
FILE_POLICY = "default-src 'none'; style-src 'unsafe-inline'; font-src data:; img-src data:; frame-ancestors 'none'; sandbox allow-popups"


class Handed(msgspec.Struct):
    """A file that was handed in: a picture or a PDF, by the seat of its person."""

    id: str
    seat: str
    kind: str
    name: str
    at_ms: int


class Task(msgspec.Struct):
    """A homework; ``handed_in`` are the seats that did it, and ``files`` what they gave, of students their own alone."""

    id: str
    text: str
    due_ms: int | None
    board: str
    page: str
    handed_in: list[str]
    files: list[Handed]


class MadePage(msgspec.Struct):
    """A page of the lesson, with its number on its board; its picture changes with ``seq``."""

    board: str
    board_title: str
    page: str
    title: str
    number: int
    hidden: bool
    seq: int


class ReadingLink(msgspec.Struct):
    board: str
    token: str
    until_ms: int


class Letter(msgspec.Struct):
    """A mail as it left; ``problem`` is why it did not."""

    at_ms: int
    to: str
    subject: str
    text: str
    files: list[str]
    problem: str


class Reachable(msgspec.Struct):
    """A person of the room; ``mail`` is where boards are sent to them, "" when nobody has said."""

    seat: str
    name: str
    mail: str


class WrapUp(msgspec.Struct):
    """What the end of a lesson shows its tutor, besides the room's home."""

    pages: list[MadePage]
    homework: list[Task]
    links: list[ReadingLink]
    outbox: list[Letter]
    people: list[Reachable]


class SetHomework(msgspec.Struct):
    text: str
    due_ms: int | None = None
    board: str = ""
    page: str = ""


class MakeLink(msgspec.Struct):
    board: str
    days: int = 14


class Send(msgspec.Struct):
    """Send boards as PDF to addresses by seat, ``""`` for somebody without one; with a link to read by when wished."""

    to: list[tuple[str, str]]
    boards: list[str]
    subject: str
    text: str
    days: int = 0
    calendar: bool = False


class Sent(msgspec.Struct):
    """How many mails went, of how many."""

    went: int
    of: int


class Afterwards(msgspec.Struct):
    """What a person finds of a room without a lesson; ``open`` when its boards may be looked at."""

    title: str
    tutor: str
    name: str
    open: bool
    lesson_open: bool
    plan: Plan
    boards: list[HomeBoard]
    homework: list[Task]


class Done(msgspec.Struct):
    done: bool


@require_GET
@answers_problems
def wrap_up(request: HttpRequest, link: str) -> HttpResponse:
    return answer(_wrap_up(owned(request, link)))


def _wrap_up(room: Room) -> WrapUp:
    async_to_sync(settle)(room.pk)
    pages: list[MadePage] = []
    for row in boards_of(room.pk):
        if len(pages) >= MAX_PAGES:
            break
        with making():
            found = pages_of_board(row)
        pages += [
            MadePage(row.uid, row.title, page.head.id, page.head.title, number, page.head.hidden, row.seq)
            for number, page in enumerate(found, 1)
        ]
    links = ReadLink.objects.filter(board__room=room, until__gt=now()).select_related("board").order_by("-id")
    letters = room.posted.order_by("-id")
    seats = room.seats.filter(door="student", sent_away=False).order_by("name", "id")
    return WrapUp(
        pages=pages[:MAX_PAGES],
        homework=[_task(task, None) for task in _homework(room)],
        links=[ReadingLink(row.board.uid, row.token, _ms(row.until)) for row in links],
        outbox=[Letter(_ms(m.at), m.to, m.subject, m.text, m.files, m.problem) for m in letters],
        people=[Reachable(seat.uid, seat.name, seat.mail) for seat in seats],
    )


@require_http_methods(["POST", "DELETE"])
@answers_problems
def homework(request: HttpRequest, link: str, uid: str = "") -> HttpResponse:
    """Give a homework, or take one back."""
    room = owned(request, link)
    if request.method == "DELETE":
        afterwards.take_homework_back(room, uid)
        handed.drop_of_task(room, uid)
        return answer(_wrap_up(room))
    wanted = body(request, SetHomework)
    due = moment_of(wanted.due_ms)
    or_problem(afterwards.set_homework, room, wanted.text, due, wanted.board, wanted.page)
    return answer(_wrap_up(room), 201)


@require_http_methods(["POST", "DELETE"])
@answers_problems
def links(request: HttpRequest, link: str, token: str = "") -> HttpResponse:
    """Make a link to read a board by, or end one."""
    room = owned(request, link)
    if request.method == "DELETE":
        ReadLink.objects.filter(board__room=room, token=token).delete()
    else:
        wanted = body(request, MakeLink)
        _make_link(_boards(room, [wanted.board])[0], wanted.days)
    return answer(_wrap_up(room))


def _make_link(row: Board, days: int) -> ReadLink:
    if not 1 <= days <= MAX_DAYS:
        raise Problem(400, said("link-days", most=MAX_DAYS))
    ReadLink.objects.filter(until__lt=now()).delete()
    if ReadLink.objects.filter(board__room=row.room_id).count() >= MAX_LINKS:
        raise Problem(409, said("links-are-enough", most=MAX_LINKS))
    return ReadLink.objects.create(
        board=row, token=secrets.token_urlsafe(32), until=now() + timedelta(days=days)
    )


@require_GET
@answers_problems
def read(request: HttpRequest, token: str) -> HttpResponse:
    """A board as everybody sees it, for whoever has the link, as long as it is good."""
    allow(request, "read-link", 30, 60)
    allow_for(f"read-link:{token}", 60, 60)
    found = ReadLink.objects.filter(token=token, until__gt=now()).select_related("board__room").first()
    if found is None or found.board.away_at is not None:
        # Opened by itself, not asked for by a page of ours: it is said in words.
        words = say("this-link-is-over", language=language_of(request))
        return HttpResponse(words, status=404, content_type="text/plain; charset=utf-8")
    response = HttpResponse(
        html_of(found.board, language_of(request)), content_type="text/html; charset=utf-8"
    )
    response["Content-Security-Policy"] = FILE_POLICY
    response["Cache-Control"] = "no-store"
    response["Referrer-Policy"] = "no-referrer"
    response["X-Robots-Tag"] = "noindex"
    return response


@require_POST
@answers_problems
def send(request: HttpRequest, link: str) -> HttpResponse:
    """Mail boards to people; each gets a mail of their own, and all stand in the outbox."""
    room = owned(request, link)
    wanted = body(request, Send)
    to = _addresses(room, wanted.to)
    subject, text = wanted.subject.strip(), wanted.text.strip()
    if (
        not subject
        or len(subject) > afterwards.MAX_SUBJECT
        or "\n" in subject
        or len(text) > afterwards.MAX_LETTER
    ):
        raise Problem(400, said("mail-has-a-subject", most=afterwards.MAX_SUBJECT))
    boards = _boards(room, wanted.boards)
    if room.owner_id is None and settings.EMAIL_BACKEND.endswith(".smtp.EmailBackend"):
        # Anybody can start a room: who has mail sent to the world is somebody whom the server knows.
        raise Problem(403, said("send-needs-account"))
    # Counted when it is right, and each address: a slip of the keyboard costs nobody a mail.
    for _ in to:
        allow_for(f"send:{room.owner_id or -room.pk}", MAILS_A_DAY, 86_400)
    language, files = language_of(request), []
    for row in boards:
        files.append((f"{row.title}.pdf", pdf_of(row, language), "application/pdf"))
        if sum(len(data) for _, data, _ in files) > MAX_ATTACHED:
            raise Problem(413, said("mail-is-too-large", mb=MAX_ATTACHED // 1_000_000))
        if wanted.days:
            address = request.build_absolute_uri(f"/s/{_make_link(row, wanted.days).token}")
            text += "\n\n" + say("mail-read-link", {"title": row.title, "link": address}, language)
    if wanted.calendar:
        files.append(("lesson.ics", _calendar(request, room), "text/calendar"))
    return answer(Sent(afterwards.post(room, to, subject, text, files), len(to)))


def _addresses(room: Room, given: list[tuple[str, str]]) -> list[str]:
    """The addresses of a letter, each once; those of persons of the room are remembered."""
    if not 1 <= len(given) <= MAX_PEOPLE:
        raise Problem(400, said("mail-to-whom", most=MAX_PEOPLE))
    checked = [(seat, or_problem(afterwards.mail_address, mail)) for seat, mail in given]
    for seat, mail in checked:
        if seat:
            room.seats.filter(uid=seat).update(mail=mail)
    return list(dict.fromkeys(mail for _, mail in checked))


def _boards(room: Room, uids: list[str]) -> list[Board]:
    """The boards of these ids, in the room's order; raises Problem when one is not there."""
    if len(uids) > MAX_BOARDS:
        raise Problem(400, said("mail-boards", most=MAX_BOARDS))
    found = [row for row in boards_of(room.pk).select_related("room") if row.uid in uids]
    if len(found) < len(set(uids)):
        raise Problem(404, said("this-board-is-not-open"))
    return found


@require_GET
@answers_problems
def calendar(request: HttpRequest, link: str) -> HttpResponse:
    """The planned lesson and the homework as iCalendar, for the tutor and for whoever has a seat."""
    room = services.find_room(link, "tutor")
    seat = services.find_seat(room, "student", request.session)
    if not services.owns(room, request.user, request.session) and (seat is None or seat.sent_away):
        raise Problem(403, said("this-is-the-tutors-side"))
    response = HttpResponse(_calendar(request, room), content_type="text/calendar; charset=utf-8")
    response["Content-Disposition"] = content_disposition_header(True, f"{room.title}.ics") or "attachment"
    response["Cache-Control"] = "no-store"
    return response


def _calendar(request: HttpRequest, room: Room) -> bytes:
    address = request.build_absolute_uri(f"/r/{room.link}")
    return calendar_of(room, lessons.load(room).plan, _homework(room), address, now())


@require_GET
@answers_problems
def found(request: HttpRequest, link: str) -> HttpResponse:
    """What a student finds of the room: its boards when they may be looked at, homework, the next lesson."""
    room, seat = student(request, link)
    return answer(found_by(request, room, seat))


@require_POST
@answers_problems
def hand_in(request: HttpRequest, link: str, uid: str) -> HttpResponse:
    """A student says that a homework is done, or not after all."""
    allow(request, "hand-in", 300, 60)
    room, seat = student(request, link)
    or_problem(afterwards.hand_in, room, uid, seat, body(request, Done).done)
    return answer(found_by(request, room, seat))


def student(request: HttpRequest, link: str) -> tuple[Room, Seat]:
    room = services.find_room(link, "student")
    seat = services.find_seat(room, "student", request.session)
    if seat is None or seat.sent_away:
        raise Problem(403, said("no-seat-here"))
    return room, seat


def found_by(request: HttpRequest, room: Room, seat: Seat) -> Afterwards:
    lesson = lessons.load(room)
    may = may_look(room, request.user, request.session) is not None
    return Afterwards(
        title=room.title,
        tutor=services.tutor_name(room),
        name=seat.name,
        open=may,
        lesson_open=lesson.facts.open,
        plan=Plan(lesson.plan.title, lesson.plan.at_ms, lesson.plan.minutes),
        boards=[listed(row) for row in boards_of(room.pk)] if may else [],
        homework=[_task(task, seat) for task in _homework(room)],
    )


def _homework(room: Room) -> list[Homework]:
    return list(room.homework.order_by("due_at", "id").prefetch_related("handed_in__seat"))


def _task(row: Homework, seen_by: Seat | None) -> Task:
    seats = [handed.seat.uid for handed in row.handed_in.all() if seen_by in (None, handed.seat)]
    due = _ms(row.due_at) if row.due_at else None
    files = HandedFile.objects.filter(room_id=row.room_id, task=row.uid).order_by("id").select_related("seat")
    if seen_by is not None:
        files = files.filter(seat=seen_by)
    given = [
        Handed(uid, seat, kind, name, _ms(at))
        for uid, seat, kind, name, at in files.values_list("uid", "seat__uid", "kind", "name", "at")
    ]
    return Task(row.uid, row.text, due, row.board, row.page, seats, given)


def moment_of(ms: int | None) -> datetime | None:
    try:
        return datetime.fromtimestamp(ms / 1000, UTC) if ms is not None else None
    except (ValueError, OverflowError, OSError) as error:
        raise Problem(400, said("that-is-no-day")) from error


def or_problem(do: Callable[..., T], *arguments: Any) -> T:
    try:
        return do(*arguments)
    except AfterwardsError as error:
        raise Problem(400, error.sentence) from error


def _ms(moment: datetime) -> int:
    return int(moment.timestamp() * 1000)
