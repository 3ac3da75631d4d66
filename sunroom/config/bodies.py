"""No request's body is read further than its address may have."""

from __future__ import annotations

import json
import re
from typing import Any

from sunroom.core.formats import opened, package, room_package
from sunroom.core.formats.documents import MAX_BYTES as MAX_DOCUMENT
from sunroom.core.formats.media import MAX_BYTES as MAX_MEDIUM
from sunroom.core.formats.pictures import MAX_BYTES as MAX_PICTURE
from sunroom.live.doors.hands import MAX_FILE_BYTES as MAX_HAND
from sunroom.live.doors.hands import MAX_SAMPLE_BYTES as MAX_SAMPLE

MAX_BODY = 200_000
#: Addresses that take files, and how large these are.
LARGER = (
    (re.compile(r"/api/boards/[^/]+/pictures"), MAX_PICTURE),
    (re.compile(r"/api/boards/[^/]+/documents"), MAX_DOCUMENT),
    (re.compile(r"/api/boards/[^/]+/media"), MAX_MEDIUM),
    (re.compile(r"/api/boards/[^/]+/things"), opened.MAX_BYTES),
    (re.compile(r"/api/rooms/[^/]+/shelf/files"), MAX_DOCUMENT),
    (re.compile(r"/api/found/[^/]+/homework/[^/]+/files"), MAX_DOCUMENT),
    (re.compile(r"/api/rooms/[^/]+/packages"), package.MAX_BYTES),
    (re.compile(r"/api/whole-rooms"), room_package.MAX_BYTES),
    (re.compile(r"/api/doors/[^/]+/[^/]+/hand\.inkml"), MAX_HAND),
    (re.compile(r"/api/doors/[^/]+/[^/]+/hand"), MAX_SAMPLE),
)


#: Who is over the limit by no more than this many times may have stumbled: a browser that is cut off while it sends
#: shows no sentence, so their body is taken in, without keeping it, before it is refused.
STUMBLED = 4


class TooLargeError(Exception):
    """A body that goes on beyond its limit."""


class SmallBodies:
    """ASGI middleware that answers 413 to a body that is too large, before or while it is read."""

    def __init__(self, application: Any) -> None:
        self._application = application

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        most = next((size for address, size in LARGER if address.fullmatch(scope["path"])), MAX_BODY)
        told = dict(scope["headers"]).get(b"content-length", b"0")
        if not told.isdigit() or int(told) > most:
            if told.isdigit() and int(told) <= STUMBLED * most:
                await _pass_over(receive)
            return await _refuse(send, most)
        seen, answered = 0, False

        async def receive_some() -> Any:
            nonlocal seen
            message = await receive()
            seen += len(message.get("body", b""))
            if seen > most:
                raise TooLargeError
            return message

        async def send_on(message: Any) -> None:
            nonlocal answered
            answered = True
            await send(message)

        try:
            await self._application(scope, receive_some, send_on)
        except TooLargeError:
            if not answered:
                await _refuse(send, most)


async def _pass_over(receive: Any) -> None:
    while (message := await receive())["type"] == "http.request" and message.get("more_body"):
        pass


async def _refuse(send: Any, most: int) -> None:
    size = f"{most / 1_000_000:g} MB" if most >= 1_000_000 else f"{most // 1_000} KB"
    body = json.dumps({"problem": {"key": "body-too-large", "values": {"size": size}}}).encode()
    headers = [(b"content-type", b"application/json"), (b"connection", b"close")]
    await send({"type": "http.response.start", "status": 413, "headers": headers})
    await send({"type": "http.response.body", "body": body})
