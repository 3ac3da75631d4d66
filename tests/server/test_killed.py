"""The real server process, killed without warning while people write."""

from __future__ import annotations

import json
import signal
import socket
import sqlite3
import subprocess
import sys
from pathlib import Path
from typing import Any
from unittest import TestCase

import msgspec
import numpy as np
import psutil

from sunroom.core.board import (
    InkItem,
    PageHead,
    TextItem,
)
from sunroom.core.board.requests import AsWritten, Typeset
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import SetCaller, SetVoices
from sunroom.live.wire.calls import Call, Callers
from sunroom.live.wire.messages import Answered, Do, Frame, PageItems, Tell
from tests import WAIT_S
from tests.server.client import Line, Web
from tests.server.killed import ROOT, KilledTest, free_port
from tests.server.test_afterwards import asked


class Killed(KilledTest):
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

    def test_a_typed_sum_keeps_its_squares_and_its_ink_after_kill_9(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        page = line.welcome().pages[0].id
        rows = [[f"digit-{row}-{at}" for at in range(2)] for row in range(2)]
        digit = pack_samples(np.array([(0, 0, 0.5, 0), (20, 34, 0.5, 8)], float))
        ink = tuple(
            msgspec.structs.replace(self.stroke(uid), x=100 + 50 * at, y=100 + 50 * down, samples=digit)
            for down, row in enumerate(rows)
            for at, uid in enumerate(row)
        )
        self.answered(line, Do("step-ink", AddItems(page, ink)))
        ids = tuple(stroke.id for stroke in ink)
        lines = tuple(map(tuple, rows))
        self.answered(
            line, Do("step-typed", Typeset(page, ids, "typed-01", "12\n+5", 0.0, ("typed-02",), lines))
        )
        self.stop(signal.SIGKILL)
        self.server = self.start()
        line = web.line("tutor", link)
        line.welcome()
        typed = [item for item in line.hear(PageItems).items if isinstance(item, TextItem)]
        self.assertEqual([text.text for text in typed], ["12", "+5"])
        for text in typed:
            self.assertAlmostEqual(text.pitch * text.size, 50, delta=1)
            self.assertEqual(len(text.lines[0].runs), 2)
        self.answered(line, Do("step-back", AsWritten(page, ("typed-01", "typed-02"))))
        fresh = web.line("tutor", link)
        fresh.welcome()
        self.assertEqual({item.id for item in fresh.hear(PageItems).items}, {*ids})

    def test_no_kind_of_stop_loses_or_doubles_anything_on_any_page(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        first = line.welcome().pages[0].id
        self.answered(line, Do("step-page-two", AddPage(PageHead("page-two"), 1)))
        written = {"page-two": ["first-00"], first: []}
        self.answered(line, Do("step-first-00", AddItems("page-two", (self.stroke("first-00"),))))
        for number, how in enumerate((signal.SIGTERM, signal.SIGKILL, signal.SIGTERM)):
            self.stop(how)
            self.server = self.start()
            line = web.line("tutor", link)
            self.assertEqual(self.on_pages(line), written, how)
            # Only one page is written on between two stops, until a snapshot is taken: the other must not be forgotten.
            page = (first, "page-two")[number % 2]
            items = [f"more-{number}-{n:03d}" for n in range(210)]
            steps = [Do(f"step-{item}", AddItems(page, (self.stroke(item),))) for item in items]
            for step in steps[:-1]:
                line.send(step)
            self.answered(line, steps[-1])
            line.send(steps[0])
            self.assertEqual(line.hear(Answered).id, steps[0].id)
            written[page] += items
        fresh = web.line("tutor", link)
        self.assertEqual(self.on_pages(fresh), written)

    def test_moments_what_they_bring_back_and_what_stays_of_a_lesson_outlive_kill_9(self) -> None:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        page = line.welcome().pages[0].id
        (board,) = json.loads(web.get(f"/api/rooms/{link}"))["boards"]
        path = f"/api/boards/{board['id']}"
        self.answered(
            line, Do("step-00001", AddItems(page, (self.stroke("stroke-01"), self.stroke("stroke-02"))))
        )
        _, moments = asked(web, "POST", f"{path}/moments", {"title": "Two strokes"})
        moment = moments["moments"][0]["id"]
        self.answered(line, Do("step-00002", RemoveItems(page, ("stroke-01",))))
        asked(web, "POST", f"/api/rooms/{link}/homework", {"text": "Measure a shadow."})
        asked(web, "POST", f"/api/rooms/{link}/read-links", {"board": board["id"]})
        asked(web, "POST", f"/api/rooms/{link}/shelf", {"board": board["id"], "page": page, "title": "Kept"})
        self.assertEqual(asked(web, "POST", f"{path}/moments/{moment}/pages/{page}", {})[0], 200)
        self.stop(signal.SIGKILL)
        self.server = self.start()
        self.assertEqual(self.on_pages(web.line("tutor", link)), {page: ["stroke-01", "stroke-02"]})
        after = json.loads(web.get(f"/api/rooms/{link}/wrap-up"))
        self.assertEqual((len(after["homework"]), len(after["links"])), (1, 1))
        self.assertEqual(asked(web, "GET", f"/api/rooms/{link}/shelf")[1]["things"][0]["title"], "Kept")
        self.assertIn(moment, [m["id"] for m in asked(web, "GET", f"{path}/moments")[1]["moments"]])
        self.assertIn(b"<svg", web.get(f"/s/{after['links'][0]['token']}"))

    def test_homework_handed_in_and_who_may_speak_outlive_kill_9(self) -> None:
        web, student = Web(self.base), Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        page = line.welcome().pages[0].id
        (board,) = json.loads(web.get(f"/api/rooms/{link}"))["boards"]
        self.answered(line, Do("step-00001", AddItems(page, (self.stroke("stroke-01"),))))
        student.enter(link, "Noor")
        noor = student.line("student", link)
        seat = noor.welcome().seat
        _, after = asked(web, "POST", f"/api/rooms/{link}/homework", {"text": "Measure a shadow."})
        task = f"/api/found/{link}/homework/{after['homework'][0]['id']}"
        self.assertEqual(
            asked(student, "POST", f"{task}/pages", {"board": board["id"], "page": page})[0], 201
        )
        asked(web, "PATCH", f"/api/rooms/{link}", {"outside_call": "https://call.example.org/"})
        line.send(Tell("tell-1", SetCaller(seat, muted=True)))
        line.send(Tell("tell-2", SetVoices("pens", faces=True)))
        noor.hear(Frame, lambda frame: frame.lesson and frame.lesson.facts.faces == "pens")
        self.stop(signal.SIGKILL)
        self.server = self.start()
        facts = web.line("tutor", link).welcome().lesson.facts
        self.assertEqual((facts.muted, facts.faces), ((seat,), "pens"))
        again = student.line("student", link)
        again.welcome()
        again.send(Call("call-of-noor", voice=True, face=True))
        caller = again.hear(Callers, lambda told: told.callers).callers[0]
        self.assertEqual((caller.may_voice, caller.may_face), (False, False))
        (file,) = json.loads(web.get(f"/api/rooms/{link}/wrap-up"))["homework"][0]["files"]
        self.assertTrue(web.get(f"/rooms/{link}/handed/{file['id']}").startswith(b"%PDF"))
        self.assertIn(b"call.example.org", student.get(f"/api/doors/student/{link}"))

    def test_two_servers_do_not_run_on_one_data_folder(self) -> None:
        second = subprocess.run(
            [sys.executable, "-m", "sunroom.config.serve", "--port", str(free_port())],
            capture_output=True, text=True, cwd=ROOT, env=self.environment, timeout=WAIT_S,
        )  # fmt: skip
        self.assertEqual(second.returncode, 2)
        self.assertTrue(
            second.stderr.startswith("Another Sun Room is running on the data folder"), second.stderr
        )
        self.assertIn("set SUNROOM_DATA to another folder.", second.stderr)
        for command in (
            ["sunroom.config.repair"],
            ["sunroom.config.backup", "restore", str(self.backed_up())],
        ):
            self.assertIn("Another Sun Room is running", self.command(*command).stderr)

    def test_a_backup_taken_while_it_runs_opens_on_another_folder(self) -> None:
        web, link, page = self.some_ink()
        file = self.backed_up()
        self.assertEqual(file.stat().st_mode & 0o077, 0, "only its owner may read it")
        self.answered(web.line("tutor", link), Do("step-later", AddItems(page, (self.stroke("later-00"),))))
        self.stop(signal.SIGKILL)
        refused = self.command("sunroom.config.backup", "restore", str(file))
        self.assertIn("Nothing was changed.", refused.stderr)
        done = self.command("sunroom.config.backup", "restore", str(file), "--replace")
        self.assertIn("The backup is back", done.stdout)
        self.server = self.start()
        # The session is the one of before: the secret key came back with the database.
        self.assertEqual(self.on_pages(web.line("tutor", link)), {page: ["some-ink"]})
        nothing = Path(self.environment["SUNROOM_DATA"]) / "secret_key"
        self.assertIn("is no backup", self.command("sunroom.config.backup", "restore", str(nothing)).stderr)

    def test_repair_mends_a_board_says_so_and_finds_all_well_the_second_time(self) -> None:
        web, link, page = self.some_ink()
        self.stop(signal.SIGTERM)
        with sqlite3.connect(Path(self.environment["SUNROOM_DATA"]) / "sunroom.sqlite3") as database:
            (kept,) = database.execute("SELECT count(*) FROM boards_pagesnapshot").fetchone()
            self.assertEqual(kept, 1, "an orderly stop leaves a snapshot")
            database.execute("UPDATE boards_pagesnapshot SET version = 1, items = x'90'")
        first, second = self.command("sunroom.config.repair"), self.command("sunroom.config.repair")
        self.assertIn("made anew from the log", first.stdout)
        self.assertIn("0 boards are well, 1 were mended", first.stdout)
        self.assertEqual(second.stdout, "1 boards are well, 0 were mended, 0 cannot be opened.\n")
        self.server = self.start()
        self.assertEqual(self.on_pages(web.line("tutor", link)), {page: ["some-ink"]})

    def some_ink(self) -> tuple[Web, str, str]:
        web = Web(self.base)
        link = web.start_room()
        line = web.line("tutor", link)
        page = line.welcome().pages[0].id
        self.answered(line, Do("step-ink", AddItems(page, (self.stroke("some-ink"),))))
        return web, link, page

    def backed_up(self) -> Path:
        file = Path(self.environment["SUNROOM_DATA"]) / "backup.zip"
        self.assertIn("Everything is in", self.command("sunroom.config.backup", "backup", str(file)).stdout)
        return file

    def command(self, *arguments: str) -> subprocess.CompletedProcess[str]:
        return subprocess.run(
            [sys.executable, "-m", *arguments], capture_output=True, text=True, cwd=ROOT, env=self.environment
        )

    def answered(self, line: Line, step: Do) -> None:
        line.send(step)
        line.hear(Frame, lambda frame: any(logged.id == step.id for logged in frame.steps))

    def on_pages(self, line: Line) -> dict[str, list[str]]:
        """The items of each page as a browser that comes in gets them."""
        pages = {head.id: [] for head in line.welcome().pages}
        for _ in pages:
            part = line.hear(PageItems)
            pages[part.page] += sorted(item.id for item in part.items)
        return pages

    def test_the_workers_end_with_a_server_that_is_killed(self) -> None:
        workers = psutil.Process(self.server.pid).children(recursive=True)
        self.assertTrue(workers)
        self.server.kill()
        self.server.wait(WAIT_S)
        _, alive = psutil.wait_procs(workers, timeout=WAIT_S)
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
