"""Made-up students of a rehearsal: each comes in by the student's door, on a line of its own, and speaks the wire as a browser does."""

from __future__ import annotations

import asyncio
import logging
import math
import random
from collections.abc import Awaitable, Callable
from contextlib import suppress
from typing import Any, NamedTuple

import msgspec
import numpy as np
from websockets.asyncio.client import ClientConnection, connect
from websockets.exceptions import WebSocketException

from sunroom.core.board.items import InkItem
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import Lesson
from sunroom.core.lesson.commands import AnswerCheck, LowerHand, RaiseHand
from sunroom.core.lesson.state import Check
from sunroom.live.wire.messages import (
    Do,
    Frame,
    FromBrowser,
    Goodbye,
    Join,
    Lead,
    Look,
    React,
    Say,
    Tell,
    ToBrowser,
    Welcome,
    Wet,
    You,
)

logger = logging.getLogger(__name__)

NAMES = ("Noor", "Tomasz", "Wairimu", "Elio")
MOST_STUDENTS = 30
COLOURS = ("#16222b", "#1f5fa8", "#b4472c", "#2f7d5b", "#6b3fa0")
#: Within so many seconds all of them have come in; between two things that one does; away when the net is lost.
COMING_S, DOING_S, AWAY_S = 12.0, (2.0, 8.0), (4.0, 10.0)
#: A rehearsal without its tutor ends after so long; it is looked for that so often.
ALONE_S, LOOK_S = 120.0, 5.0
#: Their writing: letters' height, samples of a word, and milliseconds between two of them.
HEIGHT, SAMPLES, SAMPLE_MS = 26.0, 48, 16
#: What of their doings is likelier, when they may not write.
IDLE = (("hand", 4), ("say", 2), ("react", 4), ("nothing", 8), ("lost", 1))
WRITING = (("write", 12), ("hand", 1), ("say", 1), ("react", 2), ("nothing", 4), ("lost", 1))

#: How likely it is that a question is answered next; some let it be for a while, or for good.
ANSWERING = 0.5

_decoder: msgspec.msgpack.Decoder[Any] = msgspec.msgpack.Decoder(ToBrowser)


class Way(NamedTuple):
    """How a line to this very server is opened: where it listens, and how its pages call it."""

    host: str
    port: int
    site: str
    secure: bool


class Student:
    """One of them; ``cookie`` is its browser's, ``phrases`` what it may say."""

    def __init__(self, way: Way, link: str, cookie: str, number: int, phrases: tuple[str, ...]) -> None:
        self._way, self._link, self._cookie, self._number, self._phrases = way, link, cookie, number, phrases
        self._random = random.Random(number)
        self._seat, self._page, self._may_write, self._hand_up = "", "", False, False
        self._written = 0
        #: The question that is put to all, while it is not answered.
        self._asked: Check | None = None
        self._answered = ""

    async def run(self) -> None:
        """Come in, and again whenever the net was lost, until it is cancelled or sent out."""
        await asyncio.sleep(self._random.uniform(0.3, COMING_S))
        while True:
            with suppress(OSError, WebSocketException, asyncio.TimeoutError):
                if await self._visit():
                    return
            await asyncio.sleep(self._random.uniform(*AWAY_S))

    async def _visit(self) -> bool:
        """One stay; whether it was sent out for good."""
        way = self._way
        scheme = "https" if way.secure else "http"
        # The line goes straight to where the server listens, under the name that its pages have.
        async with connect(
            f"ws://{way.site}/live/student/{self._link}", host=way.host, port=way.port, origin=f"{scheme}://{way.site}",  # type: ignore[arg-type]
            additional_headers={"Cookie": self._cookie}, max_size=None, proxy=None,
        ) as line:  # fmt: skip
            await self._send(line, Join())
            acting = asyncio.create_task(self._act(line))
            try:
                async for data in line:
                    message = _decoder.decode(data)  # type: ignore[arg-type]
                    if isinstance(message, Goodbye):
                        return not message.again
                    await self._heard(line, message)
            finally:
                acting.cancel()
        return False

    async def _heard(self, line: ClientConnection, message: Any) -> None:
        if isinstance(message, Welcome | Frame) and message.lesson:
            self._hear_lesson(message.lesson)
        if isinstance(message, Frame):
            for logged in message.steps:
                if isinstance(logged.step, AddPage) and logged.step.head.desk_of == self._seat:
                    self._page = logged.step.head.id
                    await self._send(line, Look(self._page))
        elif isinstance(message, Welcome):
            self._seat = message.seat
            pages = [page.id for page in message.pages or ()]
            self._page = self._page if self._page in pages else (pages[0] if pages else self._page)
            await self._send(line, Look(self._page))
        elif isinstance(message, You):
            self._may_write = message.standing.writing.allowed
        elif isinstance(message, Lead):
            self._page = message.page
            await self._send(line, Look(self._page, along=True))

    def _hear_lesson(self, lesson: Lesson) -> None:
        check = lesson.check
        self._asked = check if check and check.id != self._answered else None

    async def _act(self, line: ClientConnection) -> None:
        while True:
            await asyncio.sleep(self._random.uniform(*DOING_S))
            if self._asked and self._random.random() < ANSWERING:
                await self._answer(line, self._asked)
                continue
            ways, weights = zip(*(WRITING if self._may_write else IDLE), strict=True)
            match self._random.choices(ways, weights)[0]:
                case "write" if self._page:
                    await self._write(line)
                case "hand":
                    self._hand_up = not self._hand_up
                    command = RaiseHand() if self._hand_up else LowerHand()
                    await self._send(line, Tell(self._id("hand"), command))
                case "say":
                    await self._send(line, Say(self._id("said"), self._random.choice(self._phrases)))
                case "react":
                    await self._send(
                        line, React(self._random.choice(("yes", "no", "bravo", "slower", "lost")))
                    )
                case "lost":
                    await line.close()
                    return

    async def _answer(self, line: ClientConnection, check: Check) -> None:
        self._answered, self._asked = check.id, None
        option = self._random.randrange(len(check.options))
        await self._send(line, Tell(self._id("answer"), AnswerCheck(check.id, option)))

    async def _write(self, line: ClientConnection) -> None:
        """A word that says nothing, in a place of its own, seen while it is written."""
        samples = self._word()
        start = samples[0, :2].copy()
        item_id = self._id("ink")
        colour = COLOURS[self._number % len(COLOURS)]
        for begin in range(0, SAMPLES, 8):
            part = pack_samples(samples[begin : begin + 8])
            await self._send(line, Wet(item_id, self._page, "pen", colour, 3.0, begin, part))
            await asyncio.sleep(8 * SAMPLE_MS / 1000)
        samples[:, :2] -= start
        x, y = start.tolist()
        ink = InkItem(
            id=item_id, x=x, y=y, nib="pen", colour=colour, width=3.0, samples=pack_samples(samples)
        )
        await self._send(line, Do(self._id("step"), AddItems(self._page, (ink,))))

    def _word(self) -> np.ndarray:
        """Loops from left to right, like joined-up letters; (N, 4) x, y, pressure, ms."""
        self._written += 1
        column, row = self._number % 6, self._number // 6
        x0 = 40 + 155 * column + 6 * (self._written % 3)
        y0 = 60 + 110 * row + 34 * (self._written % 3)
        at = np.linspace(0, 1, SAMPLES)
        turns = self._random.uniform(3, 5) * 2 * math.pi
        wide = self._random.uniform(70, 120)
        x = x0 + wide * at + 0.4 * HEIGHT * np.sin(turns * at)
        y = y0 + 0.5 * HEIGHT * np.cos(turns * at) * (0.7 + 0.3 * np.sin(5 * at + self._written))
        pressure = 0.5 + 0.2 * np.cos(turns * at)
        return np.column_stack([x, y, pressure, SAMPLE_MS * np.arange(SAMPLES)])

    def _id(self, of: str) -> str:
        return f"{of}-{self._number:02d}-{self._random.randrange(10**10):010d}"

    async def _send(self, line: ClientConnection, message: FromBrowser) -> None:
        await line.send(msgspec.msgpack.encode(message))


class Rehearsal:
    """The made-up students of one room, for as long as its tutor is there."""

    def __init__(
        self, students: list[Student], here: Callable[[], bool], ended: Callable[[], Awaitable[None]]
    ) -> None:
        self._here, self._ended = here, ended
        self._tasks = [asyncio.create_task(self._run(student)) for student in students]
        self._watching = asyncio.create_task(self._watch())

    async def _run(self, student: Student) -> None:
        try:
            await student.run()
        except Exception:
            logger.exception("A made-up student")

    async def _watch(self) -> None:
        alone_s = 0.0
        while alone_s < ALONE_S:
            await asyncio.sleep(LOOK_S)
            alone_s = 0.0 if self._here() else alone_s + LOOK_S
        await self._ended()

    async def stop(self) -> None:
        """Nobody made up is there any more, nor on the way."""
        for task in self._tasks:
            task.cancel()
        if self._watching is not asyncio.current_task():
            self._watching.cancel()
        await asyncio.gather(*self._tasks, return_exceptions=True)
