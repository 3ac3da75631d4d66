"""The real server and a bare echo, each in a process of its own, for the measurements."""

from __future__ import annotations

import os
import socket
import subprocess
import sys
import tempfile
import time
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path
from urllib.error import URLError

import psutil

from tests.server.client import Web

ROOT = Path(__file__).parents[1]

BARE = """
import asyncio, sys, uvicorn
lines = set()
async def app(scope, receive, send):
    # Whatever one line says goes to all of them, and nothing else happens.
    lines.add(send)
    await receive()
    await send({"type": "websocket.accept"})
    while (event := await receive())["type"] == "websocket.receive":
        for line in list(lines):
            await line({"type": "websocket.send", "bytes": event["bytes"]})
    lines.discard(send)
uvicorn.run(app, port=int(sys.argv[1]), ws="websockets-sansio", ws_per_message_deflate=False, lifespan="off", log_level="error")
"""


@dataclass
class Running:
    base: str
    pid: int
    data: str

    def memory_mb(self) -> float:
        """Resident memory of the server's own process; its workers are the same for every room."""
        return float(psutil.Process(self.pid).memory_info().rss / 1e6)


@contextmanager
def sun_room(demo: bool = False) -> Iterator[Running]:
    """A server with an empty database, or with the demo data."""
    with tempfile.TemporaryDirectory() as data:
        environment = {**os.environ, "SUNROOM_DATA": data, "SUNROOM_DEMO": "1" if demo else ""}
        fill = [["django", "migrate", "--verbosity", "0"], *([["demo.build"]] if demo else [])]
        for module in fill:
            command = [sys.executable, "-m", *module]
            subprocess.run(command, check=True, env=environment, cwd=ROOT, stdout=subprocess.DEVNULL)
        port = _free_port()
        server = subprocess.Popen(
            [sys.executable, "-m", "sunroom.config.serve", "--port", str(port)], env=environment, cwd=ROOT
        )
        try:
            base = f"http://127.0.0.1:{port}"
            _wait(base)
            yield Running(base, server.pid, data)
        finally:
            server.terminate()
            server.wait(15)


@contextmanager
def bare_echo() -> Iterator[str]:
    """A websocket server that only passes bytes on to everybody; its address."""
    port = _free_port()
    server = subprocess.Popen([sys.executable, "-c", BARE, str(port)])
    try:
        _wait_port(port)
        yield f"ws://127.0.0.1:{port}"
    finally:
        server.terminate()
        server.wait(10)


def _free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


def _wait(base: str) -> None:
    until = time.monotonic() + 40
    while True:
        try:
            Web(base)
            return
        except (URLError, ConnectionError):
            if time.monotonic() > until:
                raise
            time.sleep(0.05)


def _wait_port(port: int) -> None:
    until = time.monotonic() + 20
    while True:
        with socket.socket() as probe:
            if probe.connect_ex(("127.0.0.1", port)) == 0:
                return
        if time.monotonic() > until:
            raise TimeoutError(f"Nothing listens on {port}")
        time.sleep(0.05)
