"""`./run bench hostile`: each known attack against a room in which a tutor writes and ten students watch.

In the same run and process stands a quiet room's figure. What is measured is the tutor's: from sending a stroke to its
being kept and told, once every 100 ms, and how long a ping takes; and what the server's memory is above the quiet.
"""

from __future__ import annotations

import asyncio
import subprocess
import sys
import time
from collections.abc import Awaitable, Callable
from contextlib import suppress
from typing import Any

import msgspec
from websockets.asyncio.client import ClientConnection

from bench.attacks import ATTACKS, SECONDS, Room, encode
from bench.fanout import _decoder, _line, _welcome
from bench.server import ROOT, Running, sun_room
from bench.table import Row, percentiles, show
from sunroom.core.board.steps import AddItems
from sunroom.core.lesson import SetPens
from sunroom.live.wire.messages import (
    Do,
    Frame,
    Ping,
    Pong,
    Tell,
)
from tests.server.client import Web
from tests.server.test_live import stroke

STUDENTS, EVERY_S = 10, 0.1
AIM_MS, AIM_TIMES, AIM_MB = 50.0, 3.0, 200.0


def run() -> list[Row]:
    return asyncio.run(_run())


async def _run() -> list[Row]:
    quiet, _, quiet_mb, _ = await _measured(None)
    rows = [
        Row(f"a tutor writes, {STUDENTS} watch, nobody attacks", show(quiet), "", f"{quiet_mb:.0f} MB", None)
    ]
    limit = max(AIM_MS, AIM_TIMES * percentiles(quiet)[1])
    # `./run bench hostile copying everything`: only these.
    for attack in [attack for attack in ATTACKS if attack.__name__ in sys.argv] or ATTACKS:
        kept, pings, memory_mb, lost = await _measured(attack)
        name = (attack.__doc__ or "").strip().split("\n")[0].rstrip(".")
        more = memory_mb - quiet_mb
        met = percentiles(kept)[1] <= limit and more <= AIM_MB and not lost
        value = (
            f"{show(kept)}; ping p95 {percentiles(pings)[1]:.0f} ms; +{more:.0f} MB; {lost or 'nothing lost'}"
        )
        rows.append(
            Row(f"attack: {name}", value, f"quiet p95 {percentiles(quiet)[1]:.1f} ms", f"p95 ≤ {limit:.0f} ms, ≤ {AIM_MB:.0f} MB, nothing lost", met)
        )  # fmt: skip
    return rows


async def _measured(
    attack: Callable[[Room, float], Awaitable[None]] | None,
) -> tuple[list[float], list[float], float, str]:
    """The tutor's times (ms) and pings under an attack, the server's greatest memory (MB), and what was lost."""
    with sun_room() as server:
        tutor, students, page, link, web = await _lesson(server)
        watch = msgspec.json.decode(await asyncio.to_thread(web.get, f"/api/rooms/{link}"))["onlooker_link"]
        sent: dict[str, float] = {}
        kept: list[float] = []
        pings: list[float] = []
        seen: set[str] = set()
        later: list[tuple[bytes | str, set[str]]] = []
        heard: list[set[str]] = [set() for _ in students]

        async def listen() -> None:
            async for data in tutor:
                message: Any = _decoder.decode(data)  # type: ignore[arg-type]
                now = time.perf_counter()
                if isinstance(message, Pong):
                    pings.append((now - message.at) * 1000)
                elif isinstance(message, Frame):
                    for logged in message.steps:
                        if logged.id in sent and logged.id not in seen:
                            seen.add(logged.id)
                            kept.append((now - sent[logged.id]) * 1000)

        async def look_on(line: ClientConnection, ids: set[str]) -> None:
            async for data in line:
                later.append(
                    (data, ids)
                )  # looked at when the clock has stopped: they share it with the tutor

        tasks = [asyncio.create_task(listen())]
        tasks += [asyncio.create_task(look_on(line, ids)) for line, ids in zip(students, heard, strict=True)]
        attacking = None
        if attack:
            # A process of its own that takes what the others leave: attackers compute on other machines.
            command = [
                "nice",
                "-n",
                "19",
                sys.executable,
                "-m",
                "bench",
                "attacker",
                attack.__name__,
                server.base,
                link,
                watch,
                *page,
            ]
            attacking = subprocess.Popen(command, cwd=ROOT, stdout=subprocess.PIPE)  # noqa: ASYNC220  (not waited for)
            await asyncio.to_thread(attacking.stdout.readline)  # type: ignore[union-attr]
        until = time.perf_counter() + SECONDS
        memory = 0.0
        number = 0
        while time.perf_counter() < until:
            step_id = f"tutor-{number:05d}"
            sent[step_id] = time.perf_counter()
            data = encode(Do(step_id, AddItems(page[0], (stroke(f"item-{step_id}"),))))
            await tutor.send(data)
            await tutor.send(encode(Ping(time.perf_counter())))
            number += 1
            memory = max(memory, server.memory_mb())
            await asyncio.sleep(EVERY_S)
        await asyncio.sleep(2.0)
        if attacking and attacking.poll() not in (None, 0):
            raise RuntimeError(f"The attack itself broke down: {attack}")  # that is no measure
        if attacking:
            attacking.kill()
            attacking.wait()
        for data, ids in later:
            message: Any = _decoder.decode(data)  # type: ignore[arg-type]
            if isinstance(message, Frame):
                ids.update(logged.id for logged in message.steps)
        missing = [set(sent) - ids for ids in (seen, *heard)]
        lost = ""
        if any(missing):
            lost = f"{max(map(len, missing))} strokes are missing on a screen"
        if not all(line.state.name == "OPEN" for line in (tutor, *students)):
            lost += " somebody honest was put out"
        for task in tasks:
            task.cancel()
        for line in (tutor, *students):
            with suppress(Exception):
                await line.close()
    # Strokes that never came count as long as they were waited for.
    kept += [SECONDS * 1000] * (len(sent) - len(seen))
    return kept, pings or [SECONDS * 1000], memory, lost


async def _lesson(
    server: Running,
) -> tuple[ClientConnection, list[ClientConnection], tuple[str, str], str, Web]:
    web = Web(server.base)
    link = await asyncio.to_thread(web.start_room)
    tutor = await _line(server.base, "tutor", link, web)
    welcome = await _welcome(tutor)
    students = []
    for number in range(STUDENTS):
        own = Web(server.base)
        await asyncio.to_thread(own.enter, link, f"Student {number}")
        students.append(await _line(server.base, "student", link, own))
        await _welcome(students[-1])
    await tutor.send(encode(Tell("pens-up-1", SetPens("up"))))
    await asyncio.sleep(0.5)
    assert welcome.pages
    return tutor, students, (welcome.pages[0].id, welcome.board.id), link, web
