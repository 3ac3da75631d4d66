"""The attacks of `./run bench hostile`: each runs against one room until a moment, in a process of its own."""

import asyncio
import io
import struct
import time
import urllib.request
import zipfile
from collections.abc import Awaitable, Callable
from contextlib import suppress

import msgspec
import numpy as np
from websockets.asyncio.client import ClientConnection
from websockets.exceptions import ConnectionClosed

from bench.fanout import _line
from sunroom.core.board import ChartItem, InkItem, NoteItem, ShapeItem, TableItem
from sunroom.core.board.requests import ArrangeItems, CopyPage, Label, RubItems, SetCell, ToMindMap, Undo
from sunroom.core.board.steps import AddItems, MoveItems
from sunroom.core.geometry import Box
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import RaiseHand
from sunroom.live.wire.messages import (
    Do,
    Inspect,
    Join,
    Look,
    Ping,
    Point,
    React,
    Say,
    Tell,
    View,
    Wet,
)
from sunroom.live.wire.readings import Read
from tests.server.client import Web

#: An attack lasts so long.
SECONDS = 6.0
encode = msgspec.msgpack.encode


class Room:
    """The room under attack: its addresses, and a web of the attacker's own."""

    def __init__(self, base: str, link: str, watch: str, page: str, board: str) -> None:
        self.base, self.link, self.watch, self.page, self.board = base, link, watch, page, board
        self.web = Web(base)

    async def attacker(self, name: str = "Mallory", door: str = "student") -> ClientConnection:
        """A line of somebody who came in as everybody does."""
        web = Web(self.base) if name != "Mallory" else self.web
        link = self.watch if door == "onlooker" else self.link
        await asyncio.to_thread(web.enter, link, name, door)
        line = await _line(self.base, door, link, web)
        asyncio.get_running_loop().create_task(_listen(line))
        return line


async def _listen(line: ClientConnection) -> None:
    with suppress(Exception):
        async for _ in line:
            pass


async def flood(line: ClientConnection, *messages: bytes, until: float, pause_s: float = 0.0) -> None:
    """Send these messages again and again, as fast as the line takes them."""
    with suppress(Exception):
        while time.perf_counter() < until:
            for message in messages:
                await line.send(message)
            await asyncio.sleep(pause_s)


# The attacks: each runs until a moment.


async def refused_notes(room: Room, until: float) -> None:
    """An onlooker's long notes, which nobody may put up."""
    note = [NoteItem(id=f"note-{n:04d}", text="why so long " * 80, colour="#f6dc8b") for n in range(3)]
    line = await room.attacker("Onlooker", "onlooker")
    await flood(line, encode(Do("step-note", AddItems(room.page, tuple(note)))), until=until)


async def allowed_notes(room: Room, until: float) -> None:
    """A student with a pen puts up long notes without end."""
    line = await room.attacker()
    number = 0
    while time.perf_counter() < until:
        notes = tuple(
            NoteItem(id=f"n-{number:05d}-{n}", text="why so long " * 80, colour="#f6dc8b") for n in range(3)
        )
        await line.send(encode(Do(f"note-{number:05d}", AddItems(room.page, notes))))
        number += 1
        await asyncio.sleep(0.01)


async def rubbing(room: Room, until: float) -> None:
    """A rub of 600 points to and fro over 4,000 strokes."""
    line = await room.attacker()
    ids = await _scribble(room, line, 4_000)
    path = tuple((float(5_000 * (n % 2)), float(n), 40.0) for n in range(600))
    number = 0
    while time.perf_counter() < until:
        await line.send(
            encode(Do(f"rub-{number:06d}", RubItems(room.page, ids, f"rubbed-{number:05d}", path)))
        )
        number += 1
        await asyncio.sleep(0.05)


async def ordering(room: Room, until: float) -> None:
    """Four hundred things one step forward among four thousand, without end."""
    line = await room.attacker()
    ids = await _scribble(room, line, 4_000)
    number = 0
    while time.perf_counter() < until:
        await line.send(
            encode(Do(f"order-{number:05d}", ArrangeItems(room.page, ids[number % 3 :: 10], "forward")))
        )
        number += 1
        await asyncio.sleep(0.05)


async def holding(room: Room, until: float) -> None:
    """One thing that two thousand elbows hold on to, moved to and fro without end."""
    line = await room.attacker()
    box = ShapeItem(
        id="box-00000", figure="rectangle", points=((0.0, 0.0), (90.0, 0.0), (90.0, 60.0), (0.0, 60.0)), closed=True, curved=False,
        colour="#16222b", width=2,
    )  # fmt: skip
    corners = ((0.0, 0.0), (50.0, 0.0), (50.0, 80.0), (100.0, 80.0))
    elbow = msgspec.structs.replace(box, figure="elbow", points=corners, closed=False, holds=(box.id, ""))
    held = tuple(msgspec.structs.replace(elbow, id=f"held-{n:05d}", y=float(n)) for n in range(1_999))
    await line.send(encode(Do("hold-first", AddItems(room.page, (box, *held)))))
    number = 0
    while time.perf_counter() < until:
        await line.send(
            encode(Do(f"hold-{number:06d}", MoveItems(room.page, (box.id,), 9.0 * (-1) ** number, 0)))
        )
        number += 1
        await asyncio.sleep(0.05)


async def charting(room: Room, until: float) -> None:
    """A cell that twelve large charts follow, written and taken back without end."""
    line = await room.attacker()
    side = 30
    cells = tuple(str(number % 97) for number in range(side * side))
    table = TableItem(
        id="table-0001", columns=(40.0,) * side, rows=(30.0,) * side, cells=cells, colour="#16222b"
    )
    chart = ChartItem(
        id="chart-0000", form="lines", width=400, height=300, columns=1, cells=("1",), table=table.id
    )
    charts = tuple(msgspec.structs.replace(chart, id=f"chart-00{n:02d}") for n in range(12))
    await line.send(encode(Do("chart-table", AddItems(room.page, (table,)))))
    await line.send(encode(Do("chart-them", AddItems(room.page, charts))))
    number = 0
    while time.perf_counter() < until:
        cell = SetCell(room.page, table.id, 1, 1, str(number))
        await line.send(encode(Do(f"cell-{number:06d}", cell if number % 2 == 0 else Undo())))
        number += 1
        await asyncio.sleep(0.05)


async def mapping(room: Room, until: float) -> None:
    """Mind maps of eighty words, all in one place."""
    line = await room.attacker()
    ids = await _scribble(room, line, 400)
    for number in range(100_000):
        if time.perf_counter() > until:
            return
        labels = tuple(
            Label((ids[n],), f"label-{number:05d}-{n:02d}", "shadow length at noon") for n in range(80)
        )
        await line.send(encode(Do(f"map-{number:06d}", ToMindMap(room.page, labels, ()))))
        await asyncio.sleep(0.05)


async def copying(room: Room, until: float) -> None:
    """Pages copied without end."""
    line = await room.attacker()
    await _scribble(room, line, 2_000)
    number = 0
    while time.perf_counter() < until:
        await line.send(encode(Do(f"copy-{number:05d}", CopyPage(room.page, f"page-{number:06d}"))))
        number += 1
        await asyncio.sleep(0.02)


async def big_ids(room: Room, until: float) -> None:
    """Messages whose ids are megabytes long."""
    line = await room.attacker()
    await flood(line, encode(Point("p" * 2_000_000, 1, 1)), encode(Look("p" * 90_000)), until=until)


async def garbage(room: Room, until: float) -> None:
    """Megabytes of MessagePack that is none of ours: arrays in arrays, and a step that is nearly one."""
    line = await room.attacker()
    deep = b"\x91" * 2_000_000
    nearly = (
        b"\x83\xa4type\xa2do\xa2id\xa8step-bad\xa7request"
        + b"\xdd"
        + struct.pack(">I", 2_000_000)
        + b"\x90" * 2_000_000
    )
    await flood(line, deep, nearly, until=until, pause_s=0.05)


async def small_flood(room: Room, until: float) -> None:
    """Small messages of every kind, as fast as they go, from three seats."""
    data = pack_samples(np.array([(0, 0, 0.5, 0), (30, 5, 0.6, 8)], float))
    messages = [
        encode(m)
        for m in (
            Wet("wet-0001", room.page, "pen", "#16222b", 3, 0, data), Point(room.page, 1, 1), Look(room.page),
            View(room.page, Box(0, 0, 9, 9)), Tell("hand-0001", RaiseHand()), Say("say-00001", "why"), React("yes"), Inspect(1, room.page, "nothing-here"), Ping(1.0), Do("undo-0001", AddItems(room.page, ())),
        )
    ]  # fmt: skip
    lines = [await room.attacker(f"Flooder {n}") for n in range(3)]
    await asyncio.gather(*(flood(line, *messages, until=until) for line in lines))


async def reading(room: Room, until: float) -> None:
    """Ink read without end, another selection each time."""
    line = await room.attacker()
    ids = await _scribble(room, line, 600)
    number = 0
    while time.perf_counter() < until:
        await line.send(encode(Read(number, room.page, ids[number % 50 : number % 50 + 300])))
        number += 1
        await asyncio.sleep(0.01)


async def infinities(room: Room, until: float) -> None:
    """Numbers that are none, and lines that are broken off in the middle of coming in."""
    bad = np.array([(np.inf, 0, 0.5, 0), (np.nan, 5, 0.6, 8)], float)
    wet = Wet("wet-0001", room.page, "pen", "#16222b", float("inf"), 0, pack_samples(bad))
    number = 0
    while time.perf_counter() < until:
        line = await room.attacker(f"Ghost {number % 20}")
        await line.send(encode(wet))
        await line.send(encode(msgspec.structs.replace(wet, width=3.0)))
        line.transport.abort()
        number += 1
        await asyncio.sleep(0.1)


async def idle_lines(room: Room, until: float) -> None:
    """Hundreds of lines that say nothing, and joins over and over on one seat."""
    line = await room.attacker()
    lines = []
    for _ in range(150):
        with suppress(Exception):
            lines.append(await _bare_line(room))
    await flood(line, encode(Join()), until=until)
    for other in lines:
        other.transport.abort()


async def inkml_spaces(room: Room, until: float) -> None:
    """Files of a hand that are mostly spaces."""
    await room.attacker()
    body = b'<ink xmlns="http://www.w3.org/2003/InkML"><trace>1 2' + b" " * 200_000 + b"x</trace></ink>"
    await _post(room, f"/api/doors/student/{room.link}/hand.inkml", body, until)


async def lying_zip(room: Room, until: float) -> None:
    """A small package that unpacks to half a gigabyte and says it does not."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as file:
        file.writestr("board.json", b"0" * 450_000_000)
    data = bytearray(out.getvalue())
    for mark, at in ((b"PK\x03\x04", 22), (b"PK\x01\x02", 24)):
        where = data.find(mark)
        data[where + at : where + at + 4] = struct.pack("<I", 1_000)
    own = Web(room.base)
    link = await asyncio.to_thread(own.start_room, "Market French", "Mallory")
    await _post(room, f"/api/rooms/{link}/packages", bytes(data), until, own)


async def far_strokes(room: Room, until: float) -> None:
    """Two strokes as far apart as can be, and the PDF and the picture of that board again and again."""
    line = await room.attacker()
    samples = pack_samples(np.array([(0, 0, 0.5, 0), (30, 5, 0.6, 8)], float))
    ink = tuple(
        InkItem(id=f"far-{n:05d}", nib="pen", colour="#16222b", width=3, x=x, y=x, samples=samples)
        for n, x in enumerate((-999_000.0, 999_000.0))
    )
    await line.send(encode(Do("step-far", AddItems(room.page, ink))))
    while time.perf_counter() < until:
        for name in ("board.pdf", "picture.png"):
            with suppress(Exception):
                await asyncio.to_thread(room.web.get, f"/boards/{room.board}/{name}")


async def large_bodies(room: Room, until: float) -> None:
    """Bodies of forty megabytes where a few words are asked for."""
    await _post(room, f"/api/doors/student/{room.link}", b"x" * 40_000_000, until)


async def crowd(room: Room, until: float) -> None:
    """Seats taken without end by browsers with fresh cookies."""
    number = 0
    while time.perf_counter() < until:
        web = await asyncio.to_thread(Web, room.base)
        with suppress(Exception):
            await asyncio.to_thread(web.enter, room.link, f"Crowd {number}")
        number += 1


async def everything(room: Room, until: float) -> None:
    """A mixture, from several people at once."""
    attacks = (refused_notes, rubbing, garbage, small_flood, reading, inkml_spaces, far_strokes)
    await asyncio.gather(*(attack(room, until) for attack in attacks))


ATTACKS: tuple[Callable[[Room, float], Awaitable[None]], ...] = (
    refused_notes, allowed_notes, rubbing, ordering, holding, charting, mapping, copying, big_ids, garbage, small_flood, reading,
    infinities, idle_lines, inkml_spaces, lying_zip, far_strokes, large_bodies, crowd, everything,
)  # fmt: skip


async def _scribble(room: Room, line: ClientConnection, count: int) -> tuple[str, ...]:
    """So many strokes of the attacker's own, and their ids."""
    ids = tuple(f"own-{n:06d}" for n in range(count))
    chance = np.random.default_rng(1)
    for at in range(0, count, 500):
        items = []
        for item_id in ids[at : at + 500]:
            x, y = chance.uniform(0, 4_000, 2).tolist()
            rows = np.column_stack(
                [np.linspace(0, 600, 60), chance.uniform(0, 200, 60), np.full(60, 0.5), np.arange(60) * 8]
            )
            items.append(
                InkItem(
                    id=item_id, nib="pen", colour="#16222b", width=3, x=x, y=y, samples=pack_samples(rows)
                )
            )
        await line.send(encode(Do(f"scribble-{at:05d}", AddItems(room.page, tuple(items)))))
    return ids


async def _bare_line(room: Room) -> ClientConnection:
    from websockets.asyncio.client import connect

    cookie = "; ".join(f"{name}={value}" for name, value in room.web.cookies.items())
    address = f"{room.base.replace('http', 'ws', 1)}/live/student/{room.link}"
    return await connect(address, origin=room.base, additional_headers={"Cookie": cookie})  # type: ignore[arg-type]


async def _post(room: Room, path: str, body: bytes, until: float, web: Web | None = None) -> None:
    web = web or room.web

    def send() -> None:
        headers = {"X-CSRFToken": web.cookies["csrftoken"], "Referer": web.base}
        with suppress(Exception):
            web.open(urllib.request.Request(web.base + path, body, headers))

    while time.perf_counter() < until:
        await asyncio.gather(*(asyncio.to_thread(send) for _ in range(3)))


def be_attacker(name: str, *addresses: str) -> None:
    """Carry an attack out against the room at these addresses; `python -m bench attacker …` for ``_measured``."""
    attack = next(attack for attack in ATTACKS if attack.__name__ == name)
    print("ready", flush=True)  # the clock starts here, not while this process loads what it needs
    with suppress(ConnectionClosed):  # who is put out is out
        asyncio.run(attack(Room(*addresses), time.perf_counter() + SECONDS))
