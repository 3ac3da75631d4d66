"""Boards to the database and back: any log opens to the same board, with the same ways back for everyone."""

from __future__ import annotations

import random
from unittest import mock

import msgspec
import numpy as np
from django.test import TransactionTestCase

from sunroom.boards import models, repository, store
from sunroom.boards.services import create_board
from sunroom.boards.store import BoardStore, Logged
from sunroom.boards.traces import traces
from sunroom.core.board import Board, History, InkItem, PageHead, apply, invert, remaining
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    Change,
    ChangeItems,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
    Step,
)
from sunroom.core.formats.kept import decode_kept
from sunroom.core.formats.pictures import CleanPicture
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import Lesson, OpenLesson, Said, SetPens, carry_out
from sunroom.core.lesson.record import Entry
from sunroom.core.sentences import said
from sunroom.lessons import repository as lessons
from sunroom.rooms.models import Room

SEATS = ("seat-a", "seat-b", "seat-c")


def shown(board: Board) -> list:
    """All that can be seen of a board."""
    return [(page.head, page.in_order()) for page in board.in_order()]


class Boards(TransactionTestCase):
    def setUp(self) -> None:
        self.room = Room.objects.create(title="Shadows", link="abcd-efgh", onlooker_link="ijkl-mnop")

    def step(self, number: int, board: Board, chance: random.Random) -> Step:
        page = chance.choice(board.order)
        ids = tuple(chance.sample(sorted(board.pages[page].items), min(2, len(board.pages[page].items))))
        samples = pack_samples(np.array([(0, 0, 0.5, 0), (chance.randrange(90), 9, 0.5, 8)], float))
        ink = InkItem(
            z=number + 1.0,
            id=f"item-{number:04d}",
            by=chance.choice(SEATS),
            nib="pen",
            colour="#16222b",
            width=3,
            samples=samples,
        )
        return chance.choice(
            [
                AddItems(page, (ink,)),
                AddItems(page, (ink,)),
                MoveItems(page, ids, chance.randrange(-20, 20), 8),
                ChangeItems(
                    page, tuple(Change(id=i, colour="#1f5fa8", z=chance.randrange(1, 40) / 2) for i in ids)
                ),
                RemoveItems(page, ids[:1]),
                AddPage(PageHead(f"page-{number:04d}"), chance.randrange(3)),
                MovePage(page, chance.randrange(3)),
                ChangePage(PageHead(page, f"Title {number}")),
                RemovePage(page),
            ]
        )

    def written(self, seed: int, count: int = 60) -> tuple[models.Board, Board, History]:
        """A board with a random log, as the live room would have left it, with snapshots now and then."""
        chance = random.Random(seed)
        row = create_board(self.room, f"Board {seed}", 1)
        kept, history = BoardStore(row.pk), History()
        board = kept.open().board
        for number in range(count):
            step = remaining(board, self.step(number, board, chance))
            if step is None:
                continue
            inverse, seat = invert(board, step), chance.choice(SEATS)
            board = apply(board, step)
            logged = Logged(board.seq, f"step-{number:04d}", seat, number, "do", 0, step)
            kept.append([(logged, inverse)])
            history.record(seat, board.seq, "do", 0, inverse, step)
            if chance.random() < 0.1:
                kept.keep_snapshot(board)
        return row, board, history

    def test_what_happened_to_no_item_is_not_looked_for_in_every_step(self) -> None:
        row, board, _ = self.written(3, 40)
        page = board.order[0]
        with mock.patch("sunroom.boards.traces.decode_kept", wraps=decode_kept) as decoded:
            self.assertEqual(traces(row.pk, page, "step"), [], "too short for an id")
            self.assertEqual(decoded.call_count, 0)
            with mock.patch("sunroom.boards.traces.MOST_DECODED", 5):
                traces(row.pk, page, page)  # stands in every step of the page
            self.assertLessEqual(decoded.call_count, 5)

    def test_any_log_opens_to_the_same_board_with_or_without_snapshots(self) -> None:
        for seed in range(6):
            row, board, _ = self.written(seed)
            self.assertEqual(shown(store.load(row.pk)), shown(board))
            models.PageSnapshot.objects.filter(board=row).delete()
            models.Board.objects.filter(pk=row.pk).update(snapshot_seq=0, order=[])
            self.assertEqual(shown(store.load(row.pk)), shown(board), "the log alone is the truth")

    def test_everyone_has_the_same_ways_back_after_the_server_was_off(self) -> None:
        row, board, history = self.written(11)
        opened = BoardStore(row.pk).open()
        for seat in SEATS:
            self.assertEqual(opened.history.depth(seat), history.depth(seat))
            self.assertEqual(
                opened.history.find(seat, "undo", opened.board), history.find(seat, "undo", board)
            )

    def test_the_row_knows_pages_and_steps_and_no_number_is_given_twice(self) -> None:
        row, board, _ = self.written(5)
        row.refresh_from_db()
        self.assertEqual((row.seq, row.page_count), (board.seq, len(board.order)))
        again = Logged(board.seq, "another-1", "seat-a", 1, "do", 0, AddPage(PageHead("page-x"), 0))
        with self.assertRaises(Exception) as caught:
            store.append(row.pk, [(again, RemovePage("page-x"))])
        self.assertEqual(type(caught.exception).__name__, "GapError")
        self.assertEqual(shown(store.load(row.pk)), shown(board))

    def test_steps_since_a_number_are_those_that_were_missed(self) -> None:
        row, board, _ = self.written(7)
        half = board.seq // 2
        missed = store.since(row.pk, half)
        self.assertEqual([logged.seq for logged in missed], list(range(half + 1, board.seq + 1)))

    def test_pictures_belong_to_their_room(self) -> None:
        uid = repository.keep_picture(self.room.pk, CleanPicture(b"bytes", "image/png", 3, 2))
        other = Room.objects.create(title="Other", link="qrst-uvwx", onlooker_link="yzab-cdef")
        self.assertEqual(repository.pictures(self.room.pk, {uid, "unknown"}), {uid: b"bytes"})
        self.assertEqual(repository.pictures(other.pk, {uid}), {})


class Lessons(TransactionTestCase):
    def setUp(self) -> None:
        self.room = Room.objects.create(title="Shadows", link="abcd-efgh", onlooker_link="ijkl-mnop")

    def test_the_newest_opening_is_the_lesson_and_older_ones_stay(self) -> None:
        first = carry_out(lessons.load(self.room), OpenLesson(), "seat-i", 1_000)
        lessons.keep(self.room.pk, first)
        lessons.keep(self.room.pk, carry_out(first, SetPens("up"), "seat-i", 2_000))
        self.assertEqual(lessons.load(self.room).facts.mode, "up")
        second = carry_out(Lesson(), OpenLesson(), "seat-i", 9_000)
        closed = msgspec.structs.replace(second, opened_ms=9_000)
        lessons.keep(self.room.pk, closed)
        self.assertEqual(self.room.lessons.count(), 2)

    def test_chat_and_record_come_back_in_order(self) -> None:
        lines = [Said(number, "seat-n", "Noor", "all", f"line {number}") for number in range(5)]
        lessons.keep_said(self.room.pk, lines[:2])
        lessons.keep_said(self.room.pk, lines[2:])
        self.assertEqual(lessons.said(self.room.pk), lines)
        entries = [Entry(10 * n, "seat-i", "Imani", "did", said("did-clear", count=n)) for n in range(4)]
        lessons.write_down(self.room.pk, entries)
        self.assertEqual(lessons.record(self.room.pk, 20), entries[2:])

    def test_a_long_chat_keeps_its_newest_lines_at_hand(self) -> None:
        lines = [Said(n, "seat-n", "Noor", "all", str(n)) for n in range(lessons.CHAT_LINES + 40)]
        lessons.keep_said(self.room.pk, lines)
        self.assertEqual(lessons.said(self.room.pk), lines[-lessons.CHAT_LINES :])
