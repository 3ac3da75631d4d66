"""What ink reads as: looking words up on all boards of a room, and a page's writing for those who listen."""

from __future__ import annotations

import time
from collections.abc import Callable
from functools import cache
from typing import Literal

import msgspec
from asgiref.sync import async_to_sync
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET

from sunroom.boards import models, repository, store
from sunroom.boards.services import boards_of
from sunroom.core.board import Page
from sunroom.core.board.words import WrittenLine, has_words, mark_of, shown, typed_words, writing_of
from sunroom.core.formats.pages import pictures_of
from sunroom.core.reading.own_hand import HandInk
from sunroom.core.sentences import said
from sunroom.live.doors.files import made, making, pages_of_board, settle, visible_board
from sunroom.live.doors.home import owned
from sunroom.live.room.access import may_look
from sunroom.live.work import ink_jobs
from sunroom.rooms.hands import ink_of_seat
from sunroom.rooms.requests import Problem, allow, allow_for, answer, answers_problems

#: Ink that has changed is read for so long in one request; the browser asks again for the rest.
READING_S = 1.5
MAX_FOUND = 60
MOST_HEARD = 1_500
MAX_WANTED = 100


class Found(msgspec.Struct):
    """A text in which all the wanted words stand; ``number`` of the page counts from 1."""

    board: str
    title: str
    page: str
    number: int
    how: Literal["typed", "written"]
    text: str


class FoundWords(msgspec.Struct):
    """What was found so far; ``unread`` pages have ink that has still to be read."""

    found: list[Found]
    unread: int


class Writing(msgspec.Struct):
    """The lines of a page's ink, best text first; ``unread``: ask again."""

    lines: list[WrittenLine]
    unread: bool


@require_GET
@answers_problems
def words(request: HttpRequest, link: str) -> HttpResponse:
    """Where ``wanted`` stands on the room's boards, at most ``MAX_FOUND`` places."""
    allow(request, "words", 240, 60)
    row = owned(request, link)
    wanted = request.GET.get("wanted", "")[:MAX_WANTED]
    async_to_sync(settle)(row.pk)
    until = time.monotonic() + READING_S
    hand_of = cache(ink_of_seat)
    found: list[Found] = []
    unread, in_pictures = 0, repository.picture_words(row.pk)
    for board in boards_of(row.pk):
        kept = repository.readings(board.pk)
        try:
            pages = store.load(board.pk).in_order()
        except store.DamagedLogError:
            continue  # the others can still be looked through
        repository.drop_readings(board.pk, [page.head.id for page in pages])
        for number, page in enumerate(pages, 1):
            texts: list[tuple[Literal["typed", "written"], str]] = [("typed", t) for t in typed_words(page)]
            shown_here = pictures_of([page]) if in_pictures else set()
            texts += [("typed", in_pictures[uid]) for uid in sorted(shown_here) if uid in in_pictures]
            lines = lines_of(board.pk, page, row.language, kept.get(page.head.id), until, hand_of)
            if lines is None:
                unread += 1
            for line in lines or ():
                texts += [("written", rival) for rival in line.texts if has_words(rival, wanted)][:1]
            found += [
                Found(board.uid, board.title, page.head.id, number, how, shown(text, wanted))
                for how, text in texts
                if has_words(text, wanted)
            ]
    return answer(FoundWords(found[:MAX_FOUND], unread))


@require_GET
@answers_problems
def writing(request: HttpRequest, board: str, page: str) -> HttpResponse:
    """What the ink of one page reads as, for whoever may see that page; none when there was no time to read it."""
    row = visible_board(request, board)
    looks = may_look(row.room, request.user, request.session)
    allow_for(f"writing:{looks.seat.uid if looks else row.room_id}", 30, 60)
    sees_all = looks is not None and looks.facts.role in ("tutor", "helper")
    async_to_sync(settle)(row.room_id)
    with making():
        found = next((p for p in pages_of_board(row) if p.head.id == page), None)
        if found is None or (found.head.hidden and not sees_all):
            raise Problem(404, said("that-page-is-no-longer"))
    (lines,) = heard(row, [found])
    return answer(Writing(lines or [], lines is None))


def heard(row: models.Board, pages: list[Page]) -> list[list[WrittenLine] | None]:
    """Of each page the lines of its ink; None when there was no time to read it.

    Whoever may see a page may ask: one with more ink than ``MOST_HEARD`` is not read for that.
    """
    kept, hand_of, until = repository.readings(row.pk), cache(ink_of_seat), time.monotonic() + READING_S
    found = []
    for page in pages:
        most = len(writing_of(page)) > MOST_HEARD
        lines = lines_of(
            row.pk, page, row.room.language, kept.get(page.head.id), 0.0 if most else until, hand_of
        )
        found.append([line for line in lines or [] if line.texts] if lines is not None or most else None)
    return found


def lines_of(
    board_id: int,
    page: Page,
    language: str,
    kept: tuple[str, list[WrittenLine]] | None,
    until: float,
    hand_of: Callable[[str], HandInk | None],
) -> list[WrittenLine] | None:
    """The lines of a page's ink, read now if they were not before; None when there is no time for that.

    Everybody's ink is read by their own hand, which ``hand_of`` gives by the seat.
    """
    ink = writing_of(page)
    if not ink:
        return []
    hands = {seat: hand_of(seat) for seat in dict.fromkeys(item.by for item in ink)}
    mark = mark_of(ink, language, [hand.mark for hand in hands.values() if hand])
    if kept is not None and kept[0] == mark:
        return kept[1]
    if time.monotonic() > until:
        return None
    lines: list[WrittenLine] = []
    for seat, hand in hands.items():
        strokes = tuple((item.samples, item.placement) for item in ink if item.by == seat)
        lines += made(ink_jobs.read_page, strokes, seat, language, hand)
    repository.keep_reading(board_id, page.head.id, mark, lines)
    return lines
