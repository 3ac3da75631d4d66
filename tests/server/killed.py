"""The real server process, to be killed without warning."""

from __future__ import annotations

import os
import signal
import socket
import subprocess
import sys
import tempfile
import time
from contextlib import suppress
from pathlib import Path
from unittest import TestCase
from urllib.error import URLError

from sunroom.core.board import Item
from sunroom.live.wire.messages import PageItems
from tests import WAIT_S
from tests.server.client import Line, Web

ROOT = Path(__file__).parents[2]


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


class KilledTest(TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.environment = {**os.environ, "SUNROOM_DATA": folder.name, "PYTHONPATH": str(ROOT)}
        self.port = free_port()
        self.base = f"http://127.0.0.1:{self.port}"
        self.run_python("-m", "django", "migrate", "--verbosity", "0").wait()
        self.server = self.start()
        self.addCleanup(lambda: self.stop(signal.SIGTERM))

    def run_python(self, *arguments: str) -> subprocess.Popen[bytes]:
        return subprocess.Popen(
            [sys.executable, *arguments], cwd=ROOT, env=self.environment, start_new_session=True
        )

    def start(self) -> subprocess.Popen[bytes]:
        server = self.run_python("-m", "sunroom.config.serve", "--port", str(self.port))
        until = time.monotonic() + WAIT_S
        while True:
            try:
                Web(self.base)
                return server
            except (URLError, ConnectionError):
                if time.monotonic() > until:
                    raise
                time.sleep(0.05)

    def stop(self, how: signal.Signals) -> None:
        """Signal the server and its workers, and wait until it is gone."""
        with suppress(ProcessLookupError):
            os.killpg(self.server.pid, how)
        self.server.wait(WAIT_S)

    def items_after_kill(self, web: Web, link: str) -> tuple[Line, dict[str, Item]]:
        """The line of a tutor who comes again when the server was killed and is there again, and what is on the first page."""
        self.stop(signal.SIGKILL)
        self.server = self.start()
        line = web.line("tutor", link)
        line.welcome()
        return line, {item.id: item for item in line.hear(PageItems).items}
