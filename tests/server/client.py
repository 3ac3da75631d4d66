"""A scripted client of the live line, to say what no honest browser would."""

from __future__ import annotations

import json
import urllib.request
from contextlib import suppress
from http.cookiejar import CookieJar
from typing import Any

import msgspec
from websockets.exceptions import ConnectionClosed
from websockets.sync.client import ClientConnection, connect

from sunroom.live.wire.messages import FromBrowser, Join, ToBrowser, Welcome
from tests import WAIT_S

_decoder = msgspec.msgpack.Decoder(ToBrowser)


class Web:
    """The cookies of one browser, and its requests."""

    def __init__(self, base: str) -> None:
        self.base = base
        self._jar = CookieJar()
        self._opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self._jar))
        self._opener.open(f"{base}/")

    @property
    def cookies(self) -> dict[str, str]:
        return {cookie.name: cookie.value or "" for cookie in self._jar}

    def post(self, path: str, body: Any) -> Any:
        headers = {
            "Content-Type": "application/json",
            "X-CSRFToken": self.cookies["csrftoken"],
            "Referer": self.base,
        }
        request = urllib.request.Request(self.base + path, json.dumps(body).encode(), headers)
        return json.loads(self.open(request).read())

    def open(self, request: urllib.request.Request) -> Any:
        """The answer to a request of the test's own making, with this browser's cookies."""
        return self._opener.open(request)

    def get(self, path: str) -> bytes:
        data: bytes = self._opener.open(self.base + path).read()
        return data

    def start_room(self, title: str = "Shadows", name: str = "Imani") -> str:
        """Start a room with a board and its first lesson; its link."""
        link: str = self.post("/api/rooms", {"title": title, "name": name})["link"]
        self.post(f"/api/rooms/{link}/boards", {})
        return link

    def enter(self, link: str, name: str, door: str = "student") -> None:
        self.post(f"/api/doors/{door}/{link}", {"name": name})

    def line(self, door: str, link: str, **join: Any) -> Line:
        """Open the live line and join."""
        line = Line(self.base, f"/live/{door}/{link}", self.cookies)
        line.send(Join(**join))
        return line


class Line:
    """One websocket; ``heard`` keeps all that came."""

    def __init__(self, base: str, path: str, cookies: dict[str, str], origin: str | None = None) -> None:
        cookie = "; ".join(f"{name}={value}" for name, value in cookies.items())
        self._socket: ClientConnection = connect(
            base.replace("http", "ws", 1) + path,
            origin=origin if origin is not None else base,  # type: ignore[arg-type]
            additional_headers={"Cookie": cookie},
            max_size=None,
            max_queue=None,  # a browser reads whether or not its page looks at what came
            ping_interval=None,
            open_timeout=WAIT_S,
            close_timeout=2,
        )
        self.heard: list[Any] = []

    def send(self, message: FromBrowser) -> None:
        with suppress(ConnectionClosed):  # what the server said before it closed can still be heard
            self._socket.send(msgspec.msgpack.encode(message))

    def send_bytes(self, data: bytes) -> None:
        self._socket.send(data)

    def hear(self, kind: type, fits: Any = lambda message: True, timeout_s: float = WAIT_S) -> Any:
        """The next message of this kind that fits; TimeoutError when none comes."""
        while True:
            message = _decoder.decode(self._socket.recv(timeout_s))
            self.heard.append(message)
            if isinstance(message, kind) and fits(message):
                return message

    def welcome(self) -> Welcome:
        welcome: Welcome = self.hear(Welcome)
        return welcome

    def close(self) -> None:
        self._socket.close()
