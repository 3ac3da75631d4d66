"""What opens is the replay of the log: whatever was written by whom, closed, killed or damaged in between."""

from __future__ import annotations

import asyncio
import json
from pathlib import Path
from typing import Any, get_args

import msgspec
import numpy as np
from asgiref.sync import sync_to_async
from django.db import OperationalError
from django.test import TransactionTestCase
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from hypothesis.extra import django

from sunroom.boards import models, store
from sunroom.boards.services import create_board
from sunroom.boards.step_ids import GATHERED, StepIds
from sunroom.boards.store import BoardStore, DamagedLogError, GapError, Logged
from sunroom.core.board import Board, InkItem, Item, PageHead, Step
from sunroom.core.board.requests import Redo, Undo
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
)
from sunroom.core.drawn import DrawnText, Patch
from sunroom.core.formats.kept import (
    SNAPSHOT_VERSION,
    VERSIONS,
    UnreadableError,
    decode_kept,
    decode_page,
    encode_kept,
    encode_page,
)
from sunroom.core.geometry import Affine, Box
from sunroom.core.ink import pack_samples
from sunroom.core.pens import Actor
from sunroom.core.text.layout import Line, Run
from sunroom.live.keeping import keeper as keeping
from sunroom.live.room.member import Member
from sunroom.live.room.registry import Registry
from sunroom.live.wire.messages import Do, Join
from sunroom.rooms.models import Room
from tests.golden import kept as golden

SAMPLES = pack_samples(np.array([(0, 0, 0.5, 0), (30, 5, 0.6, 8)], float))
SEATS = ("imani", "saskia")


def shown(board: Board) -> list[Any]:
    """All that can be seen of a board."""
    return [(page.head, page.in_order()) for page in board.in_order()]


def ink(item_id: str) -> InkItem:
    return InkItem(id=item_id, nib="pen", colour="#16222b", width=3, samples=SAMPLES)


async def in_thread(work: Any, *arguments: Any) -> Any:
    return await sync_to_async(work, thread_sensitive=False)(*arguments)


class Life:
    """The real way of a board: the registry opens it, a room takes steps, the keeper writes, and it ends somehow."""

    def __init__(self, room: Room, uid: str) -> None:
        self._row, self._uid = room, uid
        self._number = 0

    async def begin(self) -> None:
        self.registry = Registry()
        found = await self.registry.enter(self._row, self._uid)
        assert found is not None
        self.room, self.board = found
        self.members = {}
        for seat in SEATS:
            member = self.members[seat] = Member(f"line-{seat}", Actor(seat, "tutor", seat.title(), True))
            self.room.join(member, self.board, Join())

    async def do(self, what: str, seat: str, page: int, at: int) -> None:
        self._number += 1
        pages = self.board.board.order
        page_id = pages[page % len(pages)]
        ids = sorted(self.board.board.pages[page_id].items)
        some = tuple(ids[at % len(ids) :][:3]) if ids else ("none-here",)
        request: Any = {
            "ink": AddItems(page_id, (ink(f"ink-{self._number:05d}"),)),
            "move": MoveItems(page_id, some, 8, -8),
            "rub": RemoveItems(page_id, some[:1]),
            "page": AddPage(PageHead(f"page-{self._number:05d}"), at),
            "title": ChangePage(PageHead(page_id, f"Title {self._number}")),
            "order": MovePage(page_id, at),
            "drop": RemovePage(page_id),
            "undo": Undo(),
            "redo": Redo(),
        }[what]
        await self.room.do(self.members[seat], Do(f"step-{self._number:05d}", request))

    async def close(self) -> None:
        """Everybody leaves, and the room is closed after a while."""
        for member in self.members.values():
            self.room.let_go(member)
        await self.registry._close(self.room)

    async def stop(self) -> None:
        """The server stops in good order, with everybody in."""
        await self.registry.close_all()

    async def kill(self) -> None:
        """The server is gone; what was answered before is on disk, and nothing more is written."""
        await self.room.keeper.settled()
        self.room.keeper.stop()


ACTS = st.one_of(
    st.tuples(
        st.sampled_from(
            ["ink", "ink", "ink", "move", "rub", "page", "title", "order", "drop", "undo", "redo"]
        ),
        st.sampled_from(SEATS),
        st.integers(0, 4),
        st.integers(0, 9),
    ),
    st.sampled_from(["close", "stop", "kill", "snapshot"]),
)


class Lives(django.TransactionTestCase):
    def new_board(self) -> models.Board:
        self.room = Room.objects.create(title="Shadows", link="abcd-efgh", onlooker_link="ijkl-mnop")
        return create_board(self.room, "Shadows", 1)

    async def live(self, uid: str, board_id: int, acts: list[Any]) -> None:
        life = Life(self.room, uid)
        await life.begin()
        for act in [*acts, "kill"]:
            if isinstance(act, tuple):
                await life.do(*act)
            elif act == "snapshot":
                life.board.keep_snapshot(life.room.keeper, after_steps=1)
            else:
                await getattr(life, act)()
                answered = life.board.kept
                await life.begin()
                replayed = await in_thread(store.replay, board_id)
                self.assertEqual(shown(life.board.board), shown(replayed), act)
                self.assertEqual(shown(life.board.board), shown(answered), "something answered is gone")
                self.assertEqual(shown(await in_thread(store.load, board_id)), shown(replayed))
        await life.stop()

    @settings(max_examples=25, suppress_health_check=list(HealthCheck))
    @given(st.lists(ACTS, min_size=4, max_size=40))
    def test_whatever_is_written_and_however_it_ends_what_opens_is_the_replay_of_the_log(
        self, acts: list[Any]
    ) -> None:
        row = self.new_board()
        asyncio.run(self.live(row.uid, row.pk, acts))

    def test_a_fresh_room_with_two_pages_written_only_on_the_second_opens_again(self) -> None:
        row = self.new_board()
        second = [("page", "imani", 0, 1), ("ink", "imani", 1, 0)]
        asyncio.run(self.live(row.uid, row.pk, [*second, "close", ("ink", "imani", 1, 0), "close"]))

    def test_strokes_on_a_page_that_nobody_touched_since_an_unclean_stop_stay(self) -> None:
        row = self.new_board()
        acts = [
            ("page", "imani", 0, 1),
            *[("ink", "imani", 1, 0)] * 5,
            "kill",
            ("ink", "imani", 0, 0),
            "close",
        ]
        asyncio.run(self.live(row.uid, row.pk, acts))
        pages = store.load(row.pk).in_order()
        self.assertEqual(sorted(len(page.items) for page in pages), [1, 5])

    def test_a_snapshot_is_what_is_read_and_the_log_only_from_there(self) -> None:
        row = self.new_board()
        acts = [*[("ink", "imani", 0, 0)] * 6, "close"]
        asyncio.run(self.live(row.uid, row.pk, acts))
        row.refresh_from_db()
        self.assertGreater(row.snapshot_seq, 5)
        before = shown(store.load(row.pk))
        models.LoggedStep.objects.filter(board=row, seq__lte=row.snapshot_seq).delete()
        self.assertEqual(shown(store.load(row.pk)), before)


class Mending(TransactionTestCase):
    """Boards with snapshots that are not to be trusted."""

    def setUp(self) -> None:
        room = Room.objects.create(title="Shadows", link="abcd-efgh", onlooker_link="ijkl-mnop")
        self.row = create_board(room, "Shadows", 1)
        kept = BoardStore(self.row.pk)
        board = kept.open().board
        self.page = board.order[0]
        for seq in range(2, 8):
            step: Any = (
                AddItems(self.page, (ink(f"ink-{seq:05d}"),))
                if seq != 3
                else AddPage(PageHead("page-two"), 1)
            )
            kept.append([(Logged(seq, f"step-{seq:04d}", "imani", seq, "do", 0, step), RemoveItems(self.page, ("none-000",)))])  # fmt: skip
        kept.keep_snapshot(store.load(self.row.pk))
        self.whole = shown(store.replay(self.row.pk))

    def opened(self) -> list[Any]:
        """As it opens, and that it opens the same after a snapshot was written over what was there."""
        with self.assertLogs("sunroom.boards.store", "WARNING"):
            kept = BoardStore(self.row.pk)
            board = kept.open().board
        kept.keep_snapshot(board)
        self.assertEqual(shown(store.load(self.row.pk)), shown(board))
        return shown(board)

    def test_a_stale_snapshot_of_the_time_before_is_made_anew(self) -> None:
        head, _ = encode_page(store.load(self.row.pk).pages[self.page])
        stale = models.PageSnapshot.objects.filter(page_id=self.page)
        stale.update(version=1, head=head, items=encode_kept(()))
        self.assertEqual(self.opened(), self.whole)

    def test_a_page_without_its_snapshot_does_not_keep_the_board_shut(self) -> None:
        models.PageSnapshot.objects.filter(page_id="page-two").delete()
        self.assertEqual(self.opened(), self.whole)

    def test_damaged_bytes_of_a_snapshot_are_passed_over(self) -> None:
        models.PageSnapshot.objects.filter(page_id=self.page).update(items=b"\xff\x00none")
        self.assertEqual(self.opened(), self.whole)

    def test_a_log_with_a_hole_is_told_and_never_written(self) -> None:
        gap = Logged(12, "step-0012", "imani", 1, "do", 0, RemovePage("page-two"))
        with self.assertRaises(GapError):
            store.append(self.row.pk, [(gap, AddPage(PageHead("page-two"), 1))])
        models.LoggedStep.objects.filter(board=self.row, seq=4).delete()
        with self.assertRaisesMessage(DamagedLogError, "Step 4 is missing"):
            store.replay(self.row.pk)

    def test_a_snapshot_that_was_rolled_back_is_not_taken_for_written(self) -> None:
        kept = BoardStore(self.row.pk)
        kept.open()
        step = AddItems(self.page, (ink("ink-00099"),))
        kept.append(
            [(Logged(8, "step-0008", "imani", 8, "do", 0, step), RemoveItems(self.page, ("ink-00099",)))]
        )
        board = store.load(self.row.pk)
        with self.assertRaises(OperationalError):
            keeping._write_all(
                [
                    keeping.Waiting(lambda boards: kept.keep_snapshot(boards[-1]), board, print, print, 1),
                    keeping.Waiting(self.full_disk, None, print, print, 1),
                ]
            )
        kept.keep_snapshot(board)
        models.LoggedStep.objects.filter(board=self.row).delete()
        self.assertEqual(shown(store.load(self.row.pk)), shown(board))

    def full_disk(self, rows: list[None]) -> None:
        raise OperationalError("database or disk is full")


class Lost(TransactionTestCase):
    """Steps that can never be kept."""

    def setUp(self) -> None:
        self.room = Room.objects.create(title="Shadows", link="abcd-efgh", onlooker_link="ijkl-mnop")
        self.row = create_board(self.room, "Shadows", 1)

    def test_a_step_that_cannot_be_kept_goes_back_to_its_writer_and_the_rest_goes_on(self) -> None:
        asyncio.run(self._lose())

    async def _lose(self) -> None:
        life = Life(self.room, self.row.uid)
        await life.begin()
        page = life.board.board.order[0]
        imani = life.members["imani"]
        refused: list[tuple[str, str]] = []
        life.room.refuse = lambda member, step, reason, sentence: refused.append((step, reason))  # type: ignore[method-assign]
        real = BoardStore.append

        def failing(kept: BoardStore, rows: Any) -> None:
            if any(logged.id == "step-bad" for logged, _ in rows):
                raise ValueError("too large for the disk's taste")
            real(kept, rows)

        BoardStore.append = failing  # type: ignore[method-assign]
        try:
            with self.assertLogs("sunroom.live.keeping.keeper", "ERROR"):
                for name in ("step-one", "step-bad", "step-after"):
                    await life.room.do(imani, Do(name, AddItems(page, (ink(f"ink-{name}"),))))
                await life.room.keeper.settled()
        finally:
            BoardStore.append = real  # type: ignore[method-assign]
        # What was built upon the lost step is lost with it, and the log has no hole.
        self.assertEqual(refused, [("step-bad", "not_kept"), ("step-after", "not_kept")])
        await asyncio.gather(*life.room.steps.beginning)
        await life.room.do(imani, Do("step-next", AddItems(page, (ink("ink-step-next"),))))
        await life.room.keeper.settled()
        items = (await in_thread(store.replay, self.row.pk)).pages[page].items
        self.assertEqual(sorted(items), ["ink-step-next", "ink-step-one"])
        self.assertEqual(shown(life.board.kept), shown(await in_thread(store.load, self.row.pk)))
        await life.stop()

    def test_a_full_keeper_takes_nothing_more_until_the_disk_does(self) -> None:
        asyncio.run(self._fill())

    async def _fill(self) -> None:
        life = Life(self.room, self.row.uid)
        await life.begin()
        await life.room.keeper.settled()
        page, imani = life.board.board.order[0], life.members["imani"]
        refused: list[str] = []
        life.room.refuse = lambda member, step, reason, sentence: refused.append(reason)  # type: ignore[method-assign]
        real, keeping._write = keeping._write, self.no_disk
        most, keeping.MAX_WAITING = keeping.MAX_WAITING, 3
        told = asyncio.Event()
        life.room.keeper._trouble = lambda sentence: told.set()
        try:
            with self.assertLogs("sunroom.live.keeping.keeper", "ERROR"):
                for number in range(5):
                    await life.room.do(
                        imani, Do(f"step-{number:04d}", AddItems(page, (ink(f"ink-{number:05d}"),)))
                    )
                await told.wait()
        finally:
            keeping._write, keeping.MAX_WAITING = real, most
        self.assertEqual(refused, ["not_kept", "not_kept"])
        await life.room.keeper.settled()
        self.assertEqual(len((await in_thread(store.load, self.row.pk)).pages[page].items), 3)
        await life.stop()

    def no_disk(self, batch: Any) -> set[int]:
        raise OperationalError("database or disk is full")


class Versions(TransactionTestCase):
    """Bytes of every version so far open as they were meant."""

    def test_what_was_ever_kept_opens(self) -> None:
        files = sorted(Path(golden.FOLDER).glob("kept-*.json"))
        self.assertIn("kept-1.json", [file.name for file in files])
        for file in files:
            version = int(file.stem.split("-")[1])
            for row in json.loads(file.read_text()):
                data = bytes.fromhex(row["bytes"])
                if row["kind"] in VERSIONS:
                    value = decode_kept(row["kind"], data, version)
                    self.assertHolds(json.loads(msgspec.json.encode(value)), row["shown"])

    def assertHolds(self, value: Any, shown: Any, where: str = "") -> None:
        """All that was shown then is shown now; later fields have their defaults, which are empty."""
        if isinstance(shown, dict):
            for key, part in shown.items():
                self.assertHolds(value[key], part, f"{where}.{key}")
        elif isinstance(shown, list):
            self.assertGreaterEqual(len(value), len(shown), where)
            # What is kept as an array may have grown at its end since.
            self.assertFalse(any(value[len(shown) :]), where)
            for number, (part, old) in enumerate(zip(value, shown, strict=False)):
                self.assertHolds(part, old, f"{where}[{number}]")
        else:
            self.assertEqual(value, shown, where)

    def test_the_golden_bytes_have_one_of_every_step_and_item(self) -> None:
        files = sorted(Path(golden.FOLDER).glob("kept-1*.json"))
        rows = [row for file in files for row in json.loads(file.read_text())]
        steps = {row["shown"]["step"] for row in rows if row["kind"] == "step"}
        kinds = {
            item["kind"] for row in rows if row["kind"] == "step" for item in row["shown"].get("items", ())
        }
        self.assertEqual(steps, {kind.__struct_config__.tag for kind in get_args(Step)})
        self.assertEqual(kinds, {kind.__struct_config__.tag for kind in get_args(Item)})

    def test_structs_that_are_kept_as_arrays_only_grow_at_their_end(self) -> None:
        order = {
            "Box": ["x0", "y0", "x1", "y1"],
            "Affine": ["a", "b", "c", "d", "e", "f"],
            "Run": [
                "face",
                "text",
                "x",
                "width",
                "size",
                "rise",
                "underline",
                "strike",
                "link",
                "outline",
                "above",
            ],
            "Line": ["runs", "baseline", "width"],
            "Patch": ["path", "fill", "line", "width"],
            "DrawnText": ["text", "x", "y", "size", "colour"],
        }
        for kind in (Box, Affine, Run, Line, Patch, DrawnText):
            fields = msgspec.structs.fields(kind)
            then = order.pop(kind.__name__)
            self.assertEqual([field.name for field in fields][: len(then)], then)
            self.assertFalse(any(field.required for field in fields[len(then) :]), kind)
        self.assertEqual(order, {})

    def test_an_older_version_is_brought_up_and_a_later_one_is_named(self) -> None:
        old = msgspec.msgpack.encode({"step": "remove_page", "sheet": "page-001"})
        up = {("step", 1): lambda value: {"step": value["step"], "page": value["sheet"]}}
        two = {**VERSIONS, "step": 2}
        self.assertEqual(decode_kept("step", old, 1, two, up), RemovePage("page-001"))
        self.assertEqual(
            decode_kept("step", encode_kept(RemovePage("page-001")), 2, two, up), RemovePage("page-001")
        )
        with self.assertRaisesRegex(UnreadableError, "later Sun Room"):
            decode_kept("step", old, 3, two, up)
        for data in (b"", b"\xc1", old, b"\x91" * 5000):
            with self.assertRaises(UnreadableError):
                decode_kept("step", data, 1)
        with self.assertRaises(UnreadableError):
            decode_page(b"", b"", SNAPSHOT_VERSION)


class Ids(TransactionTestCase):
    def test_every_step_is_found_by_its_id_however_many_there_are(self) -> None:
        count = 2 * GATHERED + 10
        ids = StepIds((f"step-{seq:06d}", seq) for seq in range(GATHERED + 3))
        for seq in range(GATHERED + 3, count):
            ids.add(f"step-{seq:06d}", seq)
        for seq in range(count):
            self.assertEqual(ids.find(f"step-{seq:06d}"), seq)
        self.assertIsNone(ids.find("step-of-nobody"))
