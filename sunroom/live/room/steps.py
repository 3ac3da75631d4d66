"""Steps in their order: what a request comes to is decided, worked out, taken and kept, or refused with a reason."""

from __future__ import annotations

import asyncio
import logging
import time
from functools import partial
from typing import NamedTuple

import msgspec

from sunroom.boards.space import full_sentence
from sunroom.boards.store import Logged
from sunroom.core.board import (
    Item,
    Page,
    PageHead,
    Request,
    Step,
    apply,
    invert,
    needs,
    needs_first,
)
from sunroom.core.board.bays import targets_of
from sunroom.core.board.following import followed
from sunroom.core.board.history import How
from sunroom.core.board.moments import as_it_was, some_as_it_was
from sunroom.core.board.pages import MAX_PAGES
from sunroom.core.board.planning import plan
from sunroom.core.board.rebase import rebased
from sunroom.core.board.requests import GoneError, Plain, Redo, Undo, work
from sunroom.core.board.requests.cost import following_work
from sunroom.core.board.requests.paging import brought
from sunroom.core.board.steps import AddPage, ChangePage, RemoveItems, RemovePage, remaining, weight
from sunroom.core.errors import MalformedError
from sunroom.core.pens import Actor, Target
from sunroom.core.pens.rules import Action, Verdict
from sunroom.core.sentences import said
from sunroom.live.room.board import LiveBoard
from sunroom.live.room.fleeting import Fleeting
from sunroom.live.room.inside import Inside
from sunroom.live.room.member import Member
from sunroom.live.wire.messages import Answered, Do, encode
from sunroom.live.wire.pace import Paces
from sunroom.live.work.planning import follow_beside, plan_beside
from sunroom.resources import typesetter
from sunroom.rooms.services import new_uid

logger = logging.getLogger(__name__)

#: Taking so many things off at once is a clearing, which the record shows.
CLEARING = 10
NOT_KEPT = said("not-kept-now")
#: Why a student has no pen, as far as the page beside its bays goes.
WITHOUT_PEN = ("pens_down", "no_pen", "withheld", "expired")
#: How long to wait before a board is read once more that could not be read.
AGAIN_S = 2.0
#: A heavy request is computed anew so often when its page changes under it.
BESIDE_TRIES = 4
#: What takes longer than this (µs, by core.board.requests.work) is not done in the loop.
INLINE_WORK = 4_000
#: Seconds of such work that one person may ask for: by the second, and at once.
WORK_S_PER_S, WORK_BURST_S = 0.2, 4.0


#: Bytes that one person puts on the board: a second, and at once. A whole class writing puts a twentieth.
PUT_PER_S, PUT_BURST = 1_000_000.0, 8_000_000.0
#: Of what is more than this at once, all students together put no more than one may: single strokes never wait.
MUCH, STUDENTS = 50_000, "all students"


class RefusedError(Exception):
    """The rule book does not allow it."""

    def __init__(self, verdict: Verdict) -> None:
        super().__init__(verdict.sentence)
        self.verdict = verdict


class Planned(NamedTuple):
    """A step to take: how (do, undo, redo), the step it answers, and what must be allowed for it."""

    step: Step
    how: How
    of: int
    needs: list[tuple[Action, Target]]


def _begun(target: Target, begun_ms: int | None) -> Target:
    return target if begun_ms is None else msgspec.structs.replace(target, begun_ms=begun_ms)


class Steps:
    """What members do to the boards of one live room; ``free`` are the bytes of the disk that it may still use."""

    def __init__(self, inside: Inside, fleeting: Fleeting, free: float) -> None:
        self._inside, self._fleeting, self._free = inside, fleeting, free
        self._put = Paces(PUT_PER_S, PUT_BURST, time.monotonic, most=1_000)
        self._work = Paces(WORK_S_PER_S, WORK_BURST_S, time.monotonic, most=1_000)
        #: Boards that are being read again.
        self.beginning: set[asyncio.Task[None]] = set()

    async def do(self, member: Member, message: Do) -> None:
        """Decide on a step, apply it, queue it for the disk; or refuse it with a reason.

        Role, pen and ownership are decided first, which costs next to nothing; a refusal computes nothing. What
        takes longer than a stroke does is computed by another process, on the board as it is now, and done again when
        that has changed meanwhile; whoever sent it is not read further until it is decided.
        """
        board = self._inside.boards[member.board]
        landed = board.ids.find(message.id)
        if landed is not None:
            # Sent again after a lost line. If it is not on disk yet, its frame is still to come.
            if landed <= board.kept.seq:
                member.put(encode(Answered(message.id, landed)))
            return
        try:
            if self._inside.keeper.full or board.broken:
                raise GoneError("not_kept", NOT_KEPT)
            if not 6 <= len(message.id) <= 32:
                raise MalformedError("id", said("a-steps-id-has-6"))
            begun_ms = self._fleeting.begun_ms(member, message.request)
            self._decide_first(member, board, message.request, begun_ms)
            cost = work(board.board, message.request)
            request = message.request
            if isinstance(request, Undo | Redo):
                planned = await self._planned_back(member, board, request)
            elif cost > INLINE_WORK:
                await self._work.of(member.actor.seat).wait(cost / 1e6)
                planned = await self._planned_beside(member, board, request, begun_ms)
            else:
                made = plan(board.board, request, member.actor, self._inside.now_ms(), typesetter())
                planned = Planned(made.step, "do", 0, made.needs)
            self._land(member, board, message, planned, begun_ms)
            # What lands is written and sent to everybody: who puts much on the board is read more slowly.
            heavy = weight(planned.step)
            await self._put.of(member.actor.seat).wait(heavy)
            if heavy > MUCH and not member.actor.tutor_side:
                await self._put.of(STUDENTS).wait(heavy)
        except RefusedError as refused:
            verdict = self._said_of_bays(member, board, refused.verdict)
            self._inside.refuse(member, message.id, verdict.reason, verdict.sentence)
        except MalformedError as error:
            self._inside.refuse(member, message.id, "malformed", error.sentence)
        except GoneError as error:
            self._inside.refuse(member, message.id, error.code, error.sentence)
        except Exception:
            # Were the line to break of it, it would come back and ask for the same again, for ever.
            logger.exception("A %s of %s failed", type(message.request).__name__, member.actor.seat)
            self._inside.refuse(member, message.id, "failed", said("step-failed"))

    def _said_of_bays(self, member: Member, board: LiveBoard, verdict: Verdict) -> Verdict:
        """Who has a bay to write in, and wrote beside it, is told that rather than where pens are."""
        if verdict.reason not in WITHOUT_PEN or member.actor.tutor_side:
            return verdict
        page = board.board.pages.get(member.page)
        places = targets_of(page.head)[1:] if page else []
        if any(self._inside.decide(member, "add_ink", place).allowed for place in places):
            return Verdict(False, "outside_bay", said("reason-outside-bay"))
        return verdict

    def _decide_first(self, member: Member, board: LiveBoard, request: Request, begun_ms: int | None) -> None:
        """Refuse by what is known without any work; some place of the page must allow it."""
        for action, places in needs_first(board.board, request):
            verdicts = [self._inside.decide(member, action, _begun(place, begun_ms)) for place in places]
            if not any(verdict.allowed for verdict in verdicts):
                raise RefusedError(verdicts[0])

    async def _planned_beside(
        self, member: Member, board: LiveBoard, request: Plain, begun_ms: int | None
    ) -> Planned:
        """What a heavy request comes to, worked out in another process, for the board as it is when that is done."""
        for _ in range(BESIDE_TRIES):
            state = board.board
            made = await plan_beside(state, request, member.actor, self._inside.now_ms())
            self._check_still(member, board)
            self._decide_first(member, board, request, begun_ms)
            step = rebased(made.step, state, board.board)
            if step is not None:
                return Planned(step, "do", 0, made.needs)
        raise GoneError("busy", said("the-page-changes-too-fast"))

    async def _planned_back(self, member: Member, board: LiveBoard, request: Undo | Redo) -> Planned:
        """What undo or redo comes to; when much follows from it, that is worked out in another process."""
        seat = member.actor.seat
        for _ in range(BESIDE_TRIES):
            state = board.board
            step, how, of = board.going_back(request, seat)
            asked = needs(state, request, step)
            self._decide_all(member, asked, None)
            cost = following_work(state, step)
            if cost <= INLINE_WORK:
                whole = followed(state, step, typesetter())
                return Planned(whole, how, of, asked if whole is step else needs(state, request, whole))
            await self._work.of(seat).wait(cost / 1e6)
            made = await follow_beside(state, step)
            self._check_still(member, board)
            fitting = rebased(made, state, board.board)
            if fitting is not None and board.going_back(request, seat)[2] == of:
                return Planned(fitting, how, of, needs(board.board, request, fitting))
        raise GoneError("busy", said("the-page-changes-too-fast"))

    @staticmethod
    def _check_still(member: Member, board: LiveBoard) -> None:
        """After a while: whoever asked is still there, and what they ask can be kept."""
        if member.ended:
            raise GoneError("gone", said("you-are-no-longer-in"))
        if board.broken:
            raise GoneError("not_kept", NOT_KEPT)

    def _decide_all(self, member: Member, asked: list[tuple[Action, Target]], begun_ms: int | None) -> None:
        for action, target in asked:
            verdict = self._inside.decide(member, action, _begun(target, begun_ms))
            if not verdict.allowed:
                raise RefusedError(verdict)

    def _land(
        self, member: Member, board: LiveBoard, message: Do, planned: Planned, begun_ms: int | None
    ) -> None:
        """Take a step that the rule book allows, with its bays and all that it touches."""
        if board.ids.find(message.id) is not None:
            return  # it was sent twice, and the other one has landed meanwhile
        if self._inside.boards.get(board.uid) is not board:
            raise GoneError("board_gone", said("that-board-is-no-longer"))
        self._decide_all(member, planned.needs, begun_ms)
        step = planned.step
        if self._free < 0 and not isinstance(step, RemoveItems | RemovePage):
            raise GoneError("room_full", full_sentence())
        self._free -= 2 * weight(step)
        logged = Logged(
            board.board.seq + 1,
            message.id,
            member.actor.seat,
            self._inside.now_ms(),
            planned.how,
            planned.of,
            step,
        )
        board.take(
            logged,
            (invert(board.board, step), apply(board.board, step)),
            self._inside.keeper,
            self._inside.flush_kept,
            partial(self._lost, member, board, message.id),
        )
        if isinstance(step, ChangePage):
            self._inside.pages_hidden(board)
        if isinstance(step, RemoveItems) and len(step.ids) >= CLEARING:
            self._inside.write_down(member.actor, "did", said("did-clear", count=len(step.ids)))

    async def bring_page(
        self, here: LiveBoard, page_id: str, there: LiveBoard, actor: Actor, move: bool
    ) -> None:
        """Put a page of one board behind those of another, as a copy or altogether; on disk when it is done.

        Raises
        ------
        GoneError, MalformedError
            When it cannot be done, and then nothing is lost: a page that moves is taken off last.
        """
        page = here.board.pages.get(page_id)
        if page is None:
            raise GoneError("page_gone", said("that-page-is-no-longer"))
        if move and not here.board.shows_without(page_id):
            raise GoneError("last_page", said("a-board-keeps-at-least"))
        new_id = new_uid()
        copier = "" if move else actor.seat
        step = await asyncio.to_thread(brought, page, new_id, there.board, copier, self._inside.now_ms())
        await self._take(there, actor, step)
        if move and here.board.pages.get(page_id) is not page:
            await self._take(there, actor, RemovePage(new_id))
            raise GoneError("busy", said("the-page-changes-too-fast"))
        if move:
            await self._take(here, actor, RemovePage(page_id))

    async def put_page(self, board: LiveBoard, head: PageHead, items: tuple[Item, ...], actor: Actor) -> str:
        """Put a page that comes from elsewhere behind those of a board, its id; on disk when it is done.

        Raises GoneError, and MalformedError when the board has as many as it can.
        """
        if len(board.board.order) >= MAX_PAGES:
            raise MalformedError("page", said("a-board-has-at-most", pages=MAX_PAGES))
        new_id = new_uid()
        head = msgspec.structs.replace(head, id=new_id, by=actor.seat)
        await self._take(board, actor, AddPage(head, len(board.board.order), items))
        return new_id

    async def bring_back(
        self, board: LiveBoard, then: Page, actor: Actor, only_gone: bool, ids: frozenset[str]
    ) -> None:
        """Make a page what it was ``then``, only add what has gone since, or make so only ``ids`` when there are any;
        on disk when it is done. Raises GoneError.
        """
        some = some_as_it_was(board.board, then, ids) if ids else None
        step = some if ids else as_it_was(board.board, then, only_gone)
        if step is None:
            raise GoneError("nothing_gone", said("nothing-to-bring-back"))
        await self._take(board, actor, step)

    async def _take(self, board: LiveBoard, actor: Actor, step: Step) -> None:
        """Take a step that has no request of a member, and wait until it is on disk; raises GoneError."""
        fitting = remaining(board.board, step)
        if fitting is None or self._inside.boards.get(board.uid) is not board:
            raise GoneError("board_gone", said("that-board-is-no-longer"))
        if self._inside.keeper.full or board.broken:
            raise GoneError("not_kept", NOT_KEPT)
        if self._free < 0 and isinstance(step, AddPage):
            raise GoneError("room_full", full_sentence())
        self._free -= 2 * weight(step)
        kept: asyncio.Future[bool] = asyncio.get_running_loop().create_future()

        def ended(is_kept: bool) -> None:
            self._inside.flush_kept()
            if not is_kept:
                self._read_again(board)
            if not kept.done():  # whoever asked may be gone
                kept.set_result(is_kept)

        seq, now_ms = board.board.seq + 1, self._inside.now_ms()
        board.take(
            Logged(seq, new_uid(), actor.seat, now_ms, "do", 0, fitting),
            (invert(board.board, fitting), apply(board.board, fitting)),
            self._inside.keeper,
            partial(ended, True),
            partial(ended, False),
        )
        if not await kept:
            raise GoneError("not_kept", NOT_KEPT)

    def _lost(self, member: Member, board: LiveBoard, step_id: str) -> None:
        """A step can never be kept: it goes back to its writer, and the board on from what is kept."""
        self._inside.refuse(member, step_id, "not_kept", NOT_KEPT)
        self._read_again(board)

    def _read_again(self, board: LiveBoard) -> None:
        if not board.pending:
            task = asyncio.get_running_loop().create_task(self._begin_again(board))
            self.beginning.add(task)
            task.add_done_callback(self.beginning.discard)

    async def _begin_again(self, board: LiveBoard) -> None:
        while self._inside.boards.get(board.uid) is board:
            try:
                return board.begin(await asyncio.to_thread(board.store.open))
            except Exception:  # the disk may be what was at fault; until it is read nothing lands
                logger.exception("A board could not be read again; trying once more")
                await asyncio.sleep(AGAIN_S)
