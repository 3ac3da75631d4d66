"""Heavy requests, worked out in a process of their own.

In a thread beside the loop they would take the interpreter from it at every message that it reads or sends: several
people's small messages and one person's large request together made a tutor's stroke wait.
"""

from __future__ import annotations

import asyncio
from collections.abc import Callable
from typing import Any

import msgspec

from sunroom import resources
from sunroom.core.board import Board, Step
from sunroom.core.board.following import followed
from sunroom.core.board.planning import PackedBoard, Plan, pack_board, plan, unpack_board
from sunroom.core.board.requests import GoneError, Plain, page_of
from sunroom.core.errors import MalformedError
from sunroom.core.pens import Actor
from sunroom.core.sentences import Sentence, said
from sunroom.core.text import Span
from sunroom.live.work.pool import JobError, Pool

#: The most that a request may be (core.board.requests.MOST_WORK), on a machine that is four times slower.
PLAN_S = 10.0

#: An error of the core, by what it is made of.
Refused = tuple[type[GoneError] | type[MalformedError], str, Sentence]

_decode = msgspec.msgpack.Decoder(Plan).decode
_decode_step = msgspec.msgpack.Decoder(Step).decode
_decode_request = msgspec.msgpack.Decoder(Plain).decode


#: Of all rooms one at a time: the loop needs a core of its own.
_pool: Pool | None = None


def start() -> None:
    """Start the process and load what it needs, so that the first request is not slow."""
    _the_pool().start()


def stop() -> None:
    global _pool
    pool, _pool = _pool, None
    if pool is not None:
        pool.stop()


async def plan_beside(board: Board, request: Plain, actor: Actor, now_ms: int) -> Plan:
    """As core.board.planning.plan, in a process beside the loop.

    Raises
    ------
    GoneError, MalformedError
        As there; MalformedError too when it took too long or too much memory.
    """
    packed = await asyncio.to_thread(pack_board, board, page_of(request))
    answer = await _run(_plan, packed, msgspec.msgpack.encode(request), actor, now_ms)
    if isinstance(answer, bytes):
        return await asyncio.to_thread(_decode, answer)
    kind, code, sentence = answer
    raise kind(code, sentence)


async def follow_beside(board: Board, step: Step) -> Step:
    """A step of one page with all that follows from it (core.board.following), worked out beside the loop.

    Raises MalformedError when it took too long or too much memory.
    """
    packed = await asyncio.to_thread(pack_board, board, getattr(step, "page", ""))
    answer = await _run(_follow, packed, await asyncio.to_thread(msgspec.msgpack.encode, step))
    return await asyncio.to_thread(_decode_step, answer)


async def _run(job: Callable[..., Any], *asked: Any) -> Any:
    try:
        return await _the_pool().run(job, *asked, limit_s=PLAN_S)
    except JobError as error:
        raise MalformedError("too_much", said("that-is-more-than-can")) from error


def _the_pool() -> Pool:
    global _pool
    if _pool is None:
        _pool = Pool(1, _warm)
    return _pool


def _warm() -> None:
    resources.typesetter().layout("x", 20, spans=(Span(0, 1, maths=True),))


def _plan(packed: PackedBoard, request: bytes, actor: Actor, now_ms: int) -> bytes | Refused:
    """A plan as MessagePack, or what was raised: errors with a sentence do not travel between processes."""
    try:
        asked = _decode_request(request)
        return msgspec.msgpack.encode(
            plan(unpack_board(packed), asked, actor, now_ms, resources.typesetter())
        )
    except GoneError as error:
        return GoneError, error.code, error.sentence
    except MalformedError as error:
        return MalformedError, error.field, error.sentence


def _follow(packed: PackedBoard, step: bytes) -> bytes:
    board, known = unpack_board(packed), _decode_step(step)
    return msgspec.msgpack.encode(followed(board, known, resources.typesetter()))
