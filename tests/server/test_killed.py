"""The real server process, killed without warning while people write."""

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
from typing import Any
from unittest import TestCase
from urllib.error import URLError

import numpy as np
import psutil

from sunroom.core.board import InkItem
from sunroom.core.board.steps import AddItems
from sunroom.core.ink import pack_samples
from sunroom.live.messages import Answered, Do, Frame, PageItems
from tests.server.client import Line, Web

ROOT = Path(__file__).parents[2]


class Killed(TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.environment = {**os.environ, "SUNROOM_DATA": folder.name, "PYTHONPATH": str(ROOT)}
        with socket.socket() as probe:
            probe.bind(("127.0.0.1", 0))
            self.port = probe.getsockname()[1]
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
        until = time.monotonic() + 30
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
        self.server.wait(10)

    def test_every_answered_step_is_there_after_kill_9_and_what_is_sent_again_lands_once(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        page = line.welcome().pages[0].id
        steps = [Do(f"step-{n:05d}", AddItems(page, (self.stroke(f"item-{n:05d}"),))) for n in range(200)]
        for step in steps:
            line.send(step)
        answered: set[str] = set()
        while len(answered) < 20:
            answered |= {logged.id for logged in line.hear(Frame, lambda f: bool(f.steps)).steps}
        self.stop(signal.SIGKILL)
        answered |= self.answered_before_the_end(line)
        self.server = self.start()

        line = web.line("tutor", link)
        line.welcome()
        there = {item.id.replace("item", "step") for item in line.hear(PageItems).items}
        self.assertLessEqual(answered, there, "an answered step is gone")
        for step in steps:
            line.send(step)
        landed: set[str] = set()
        while len(landed) < len(steps):
            message: Any = line.hear((Frame, Answered))  # type: ignore[arg-type]
            landed |= (
                {message.id} if isinstance(message, Answered) else {logged.id for logged in message.steps}
            )
        fresh = web.line("tutor", link)
        fresh.welcome()
        items = fresh.hear(PageItems)
        self.assertEqual(sorted(item.id for item in items.items), [f"item-{n:05d}" for n in range(200)])

    def test_the_workers_end_with_a_server_that_is_killed(self) -> None:
        workers = psutil.Process(self.server.pid).children(recursive=True)
        self.assertTrue(workers)
        self.server.kill()
        self.server.wait(10)
        _, alive = psutil.wait_procs(workers, timeout=20)
        self.assertEqual(alive, [])

    def answered_before_the_end(self, line: Line) -> set[str]:
        """Steps in frames that had been sent but not read when the server died."""
        answered: set[str] = set()
        try:
            while True:
                answered |= {logged.id for logged in line.hear(Frame, timeout_s=2).steps}
        except Exception:  # the line ends in the middle of anything
            return answered

    def stroke(self, item_id: str) -> InkItem:
        samples = pack_samples(np.array([(0, 0, 0.5, 0), (30, 5, 0.6, 8)], float))
        return InkItem(id=item_id, nib="pen", colour="#16222b", width=3, samples=samples)


class Ports(TestCase):
    def test_a_taken_port_gets_a_sentence(self) -> None:
        with socket.socket() as taken:
            taken.bind(("127.0.0.1", 0))
            taken.listen()
            port = taken.getsockname()[1]
            done = subprocess.run(
                [sys.executable, "-m", "sunroom.config.serve", "--check-port", "--port", str(port)],
                capture_output=True, text=True, cwd=ROOT,
            )  # fmt: skip
        self.assertEqual(done.returncode, 2)
        self.assertEqual(done.stderr, f"Port {port} is taken. Choose another one with --port {port + 1}.\n")
