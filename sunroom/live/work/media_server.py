"""A call by way of a media server: each browser sends its sound and picture once, and the server hands them on.

It speaks to Janus (Debian's ``janus``) and its video rooms, by that server's websocket. To the browsers nothing is new:
signals come and go as between two of them, with ``MEDIA`` as the other end of what a browser sends, and the others' own
ids as the other ends of what it is sent. A video room has secrets of its own, and ends with the call.
"""

from __future__ import annotations

import asyncio
import itertools
import json
import logging
import secrets
from collections.abc import Awaitable, Callable
from contextlib import suppress
from functools import partial
from typing import Any, Literal, cast

import msgspec
from websockets.asyncio.client import ClientConnection, connect
from websockets.exceptions import WebSocketException
from websockets.typing import Subprotocol

from sunroom.live.wire.calls import Signal

logger = logging.getLogger(__name__)

#: The other end of what a browser sends.
MEDIA = "media-server"
#: The server ends what it hears nothing of for a minute.
KEEP_ALIVE_S, ANSWER_S = 25.0, 8.0
#: A browser whose line is lost may come back to its place in the call.
BACK_WITHIN_S = 20.0
#: Jobs that wait: more come from nobody honest.
MAX_JOBS = 4_000
MAX_PUBLISHERS = 1_000
BITS_PER_S = 700_000
PLUGIN = "janus.plugin.videoroom"

Ask = dict[str, Any]


class Description(msgspec.Struct):
    """Of a session, as browsers make it (W3C WebRTC)."""

    type: Literal["offer", "answer"]
    sdp: str


class Candidate(msgspec.Struct, rename={"mid": "sdpMid", "line": "sdpMLineIndex"}):
    """A place at which a browser may be reached."""

    candidate: str
    mid: str | None = None
    line: int | None = None


class MediaError(Exception):
    """The media server did not do what it was asked."""


class MediaCall:
    """One room's call on a media server.

    Parameters
    ----------
    url, secret : str
        Of its websocket, and what it asks of whoever uses it; "" for nothing.
    pass_on : callable
        Given each signal for a browser.
    """

    def __init__(self, url: str, secret: str, pass_on: Callable[[Signal], None]) -> None:
        self._url, self._secret, self._pass_on = url, secret, pass_on
        #: Another one after each beginning: browsers look for all ways anew then. "" while there is no media server.
        self.id = ""
        self._jobs: asyncio.Queue[Callable[[], Awaitable[None]]] = asyncio.Queue(MAX_JOBS)
        self._working = asyncio.create_task(self._work())
        self._line: ClientConnection | None = None
        self._tasks: list[asyncio.Task[None]] = []
        self._answers: dict[str, asyncio.Future[Ask]] = {}
        #: At the server: the session, the handle by which the video room was made, and that.
        self._session, self._own, self._room = 0, 0, 0
        self._room_secret, self._pin = secrets.token_hex(16), secrets.token_hex(16)
        #: Of each browser the handle by which it sends, and of each two the one by which one is sent the other's.
        self._sends: dict[str, int] = {}
        self._numbers: dict[str, int] = {}
        self._next = itertools.count(1)
        #: Those that have offered what they send, and those of them whose sound and picture are there.
        self._offered: set[str] = set()
        self._there: set[str] = set()
        self._shown: dict[tuple[str, str], int] = {}
        self._leaving: dict[str, asyncio.TimerHandle] = {}
        self._told: dict[str, Callable[[str], None]] = {}

    # What the room tells

    def join(self, uid: str, ready: Callable[[str], None]) -> None:
        """A browser comes into the call; ``ready`` is told this call's id, "" when there is no media server."""
        if leaving := self._leaving.pop(uid, None):
            leaving.cancel()
        self._told[uid] = ready
        self._do(lambda: self._join(uid))

    def lost(self, uid: str) -> None:
        """Its line is gone, and it may come back."""
        if uid not in self._leaving:
            self._leaving[uid] = asyncio.get_running_loop().call_later(BACK_WITHIN_S, self.leave, uid)

    def leave(self, uid: str) -> None:
        self._leaving.pop(uid, None)
        self._do(lambda: self._leave(uid))

    def signal(self, message: Signal) -> None:
        """A browser's signal to the media server."""
        self._do(lambda: self._signal(message))

    async def close(self) -> None:
        """The call is over."""
        for leaving in self._leaving.values():
            leaving.cancel()
        self._working.cancel()
        await self._over()

    def _do(self, job: Callable[[], Awaitable[None]]) -> None:
        with suppress(asyncio.QueueFull):
            self._jobs.put_nowait(job)

    async def _work(self) -> None:
        """One job after the other, each in its place."""
        while True:
            job = await self._jobs.get()
            try:
                await job()
            except (MediaError, OSError, WebSocketException, TimeoutError, KeyError, ValueError) as error:
                logger.warning("The media server: %s", error or type(error).__name__)

    # What is asked of the server

    async def _join(self, uid: str) -> None:
        ready = self._told.get(uid)
        if ready is None:
            return  # it has left again
        try:
            await self._open()
        except (MediaError, OSError, WebSocketException, TimeoutError):
            self.id = ""
            ready("")
            raise
        if uid not in self._sends:
            try:
                await self._come(uid)
            except (MediaError, TimeoutError):
                # It may have been busy: nobody is to wait for ever to be told.
                await self._come(uid)
        ready(self.id)

    async def _come(self, uid: str) -> None:
        """A browser into the video room, to send there."""
        handle = await self._attach()
        # Another one each time: the server may not have let go of the one of before.
        number = self._numbers[uid] = next(self._next)
        join = {"request": "join", "ptype": "publisher", "room": self._room, "id": number, "pin": self._pin}
        try:
            await self._ask(self._plugin(join, handle))
        except (MediaError, TimeoutError):
            # An answer that came too late would else leave somebody there whom nobody knows.
            await self._send({"janus": "detach", "handle_id": handle})
            raise
        self._sends[uid] = handle

    async def _signal(self, message: Signal) -> None:
        data = msgspec.json.decode(
            message.data, type=Candidate if message.kind == "candidate" else Description
        )
        given = msgspec.to_builtins(data)
        publishes = message.to == MEDIA
        key = (message.by, message.to)
        handle = self._sends.get(message.by) if publishes else self._shown.get(key)
        if handle is None:
            # The media server was away: whoever looks for a way again comes in again.
            if publishes and message.kind == "offer" and self._line is None:
                await self._join(message.by)
            return
        match message.kind, publishes:
            case "candidate", _:
                await self._send({"janus": "trickle", "candidate": given, "handle_id": handle})
            case "offer", True:
                request = "configure" if message.by in self._offered else "publish"
                answer = await self._ask(
                    {**self._plugin({"request": request, "bitrate": BITS_PER_S}, handle), "jsep": given}
                )
                self._tell(message.by, MEDIA, answer)
                self._offered.add(message.by)
            case "answer", False:
                await self._ask({**self._plugin({"request": "start"}, handle), "jsep": given})
            case "offer", False:  # the way was lost: the server makes the offers there
                offer = await self._ask(self._plugin({"request": "configure", "restart": True}, handle))
                self._tell(message.by, message.to, offer)

    async def _show_all(self, handle: int) -> None:
        """What came by this handle goes to all others, and to its browser what they send."""
        uid = next((uid for uid, known in self._sends.items() if known == handle), None)
        if uid is None:
            return
        self._there.add(uid)
        for other in list(self._there):
            for to, of in ((other, uid), (uid, other)):
                if to != of and (to, of) not in self._shown:
                    await self._show(to, of)

    async def _show(self, to: str, of: str) -> None:
        handle = await self._attach()
        self._shown[to, of] = handle
        join = {
            "request": "join",
            "ptype": "subscriber",
            "room": self._room,
            "pin": self._pin,
            "streams": [{"feed": self._numbers[of]}],
        }
        self._tell(to, of, await self._ask(self._plugin(join, handle)))

    async def _leave(self, uid: str) -> None:
        self._told.pop(uid, None)
        gone = [self._sends.pop(uid)] if uid in self._sends else []
        gone += [self._shown.pop(key) for key in list(self._shown) if uid in key]
        self._numbers.pop(uid, None)
        self._offered.discard(uid)
        self._there.discard(uid)
        for handle in gone:
            await self._send({"janus": "detach", "handle_id": handle})
        if not self._sends:
            await self._over()

    def _tell(self, to: str, by: str, answer: Ask) -> None:
        if jsep := answer.get("jsep"):
            self._pass_on(Signal(to, jsep["type"], json.dumps(jsep), by))

    async def _over(self) -> None:
        """Nobody is in it any more: the video room goes."""
        with suppress(MediaError, OSError, WebSocketException, TimeoutError):
            if self._line:
                gone = {"request": "destroy", "room": self._room, "secret": self._room_secret}
                await self._ask(self._plugin(gone, self._own))
        await self._end()

    # The line

    async def _open(self) -> None:
        if self._line is not None:
            return
        self._line = await connect(
            self._url, subprotocols=[Subprotocol("janus-protocol")], proxy=None, open_timeout=ANSWER_S
        )
        self._tasks = [asyncio.create_task(self._listen(self._line)), asyncio.create_task(self._keep_alive())]
        try:
            self._session = (await self._ask({"janus": "create"}))["data"]["id"]
            self._numbers.clear()
            self._own = await self._attach()
            room: Ask = {"request": "create", "secret": self._room_secret, "pin": self._pin}
            room |= {"publishers": MAX_PUBLISHERS, "is_private": True}
            made = await self._ask(self._plugin(room, self._own))
            self._room = made["plugindata"]["data"]["room"]
        except (MediaError, KeyError):
            await self._end()
            raise
        self.id = secrets.token_hex(8)

    async def _end(self) -> None:
        line, self._line = self._line, None
        for task in self._tasks:
            if task is not asyncio.current_task():
                task.cancel()
        for known in (self._sends, self._shown, self._offered, self._there):
            known.clear()
        for answer in self._answers.values():
            answer.cancel()
        self._answers.clear()
        if line is not None:
            await line.close()

    async def _listen(self, line: ClientConnection) -> None:
        with suppress(WebSocketException, OSError):
            async for data in line:
                message: Ask = json.loads(data)
                if message.get("janus") == "webrtcup":
                    self._do(partial(self._show_all, message["sender"]))
                waiting = self._answers.get(message.get("transaction", ""))
                if waiting and not waiting.done() and message.get("janus") != "ack":
                    waiting.set_result(message)
        # It is opened again with the next who comes; those who are in find ways to each other no more till then.
        if self._line is line:
            logger.warning("The media server ended its line.")
            await self._end()

    async def _keep_alive(self) -> None:
        while True:
            await asyncio.sleep(KEEP_ALIVE_S)
            with suppress(WebSocketException, MediaError):
                await self._send({"janus": "keepalive"})

    async def _attach(self) -> int:
        return cast(int, (await self._ask({"janus": "attach", "plugin": PLUGIN}))["data"]["id"])

    def _plugin(self, body: Ask, handle: int) -> Ask:
        return {"janus": "message", "body": body, "handle_id": handle}

    async def _send(self, message: Ask) -> str:
        if self._line is None:
            raise MediaError("there is no line to it")
        transaction = secrets.token_hex(8)
        session = {"session_id": self._session} if self._session and message["janus"] != "create" else {}
        secret = {"apisecret": self._secret} if self._secret else {}
        await self._line.send(json.dumps({**message, **session, **secret, "transaction": transaction}))
        return transaction

    async def _ask(self, message: Ask) -> Ask:
        """What the server answers; raises MediaError."""
        answer: asyncio.Future[Ask] = asyncio.get_running_loop().create_future()
        transaction = await self._send(message)
        self._answers[transaction] = answer
        try:
            found = await asyncio.wait_for(answer, ANSWER_S)
        except asyncio.CancelledError:
            if self._line is None:
                raise MediaError("the line to it was lost") from None
            raise
        finally:
            self._answers.pop(transaction, None)
        error = found.get("error") or found.get("plugindata", {}).get("data", {}).get("error")
        if error:
            raise MediaError(str(error))
        return found
