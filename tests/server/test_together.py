"""Several people at once over the live line: whatever order their steps arrive in, all end with the same board."""

from __future__ import annotations

import random
from typing import Any

from sunroom.boards import models, store
from sunroom.core.board import Board, History, apply, invert
from sunroom.core.board.requests import ArrangeItems, Redo, StyleItems, TransformItems, Undo
from sunroom.core.board.steps import AddItems, AddPage, MoveItems, RemoveItems, Style
from sunroom.core.geometry import Affine
from sunroom.core.lesson import SetPens, SetRights
from sunroom.core.pens.kits import RIGHTS
from sunroom.live.wire.messages import Do, Frame, PageItems, Ping, Pong, Refused, Welcome
from tests.server.client import Line
from tests.server.test_live import LiveTest, stroke

STEPS = 60


class Together(LiveTest):
    """Three students with every right, and a script of steps for each from one seed."""

    def setUp(self) -> None:
        super().setUp()
        self.tell(SetPens("up"))
        self.tell(SetRights(tuple(sorted(RIGHTS))))
        self.lines = {name: self.student(name) for name in ("Noor", "Tomasz", "Wairimu")}

    def steps(self, name: str, chance: random.Random) -> list[Any]:
        made: list[str] = []
        found: list[Any] = []
        for number in range(STEPS):
            item_id = f"{name.lower()}-{number:03d}"
            target = chance.choice(made) if made else ""
            requests = [AddItems(self.page, (stroke(item_id, x=float(number)),))]
            if target:
                ids = (target,)
                requests += [
                    # Halves and doubles are exact: there and back is the very same place.
                    MoveItems(self.page, ids, chance.randrange(-9, 9) / 2, 3.0),
                    RemoveItems(self.page, ids),
                    StyleItems(self.page, ids, Style(colour="#1f5fa8")),
                    TransformItems(self.page, ids, Affine.about(8, 8, 2, 0, 0, 2)),
                    ArrangeItems(self.page, ids, "front"),
                    Undo(),
                    Redo(),
                ]
            request = chance.choice(requests)
            if isinstance(request, AddItems):
                made.append(item_id)
            found.append(request)
        return found

    def run_all(self, seed: int) -> None:
        chance = random.Random(seed)
        scripts = {name: self.steps(name, chance) for name in self.lines}
        turns = [name for name in scripts for _ in range(STEPS)]
        chance.shuffle(turns)
        for at, name in enumerate(turns):
            self.lines[name][0].send(Do(f"{name.lower()}-step-{at:04d}", scripts[name].pop(0)))
        for line, _ in self.lines.values():
            line.send(Ping(float(seed)))
            line.hear(Pong)

    def seen_by(self, line: Line) -> Board:
        """The board that a browser would show: what it was given, and every step after that in order."""
        welcome = next(message for message in line.heard if isinstance(message, Welcome))
        assert welcome.pages is not None
        board, seq = Board(), welcome.seq
        for head in welcome.pages:
            items = tuple(
                item for m in line.heard if isinstance(m, PageItems) and m.page == head.id for item in m.items
            )
            board = apply(board, AddPage(head, len(board.order), items))
        for frame in (m for m in line.heard if isinstance(m, Frame)):
            for logged in frame.steps:
                self.assertEqual(logged.seq, seq + 1, "no step is missing and none comes twice")
                seq = logged.seq
                board = apply(board, logged.step)
        return board

    def settled(self) -> None:
        """Everybody has heard of the last step."""
        self.tutor.send(Do("step-the-last", AddItems(self.page, (stroke("the-last-one"),))))
        for line in [self.tutor, *(line for line, _ in self.lines.values())]:
            line.hear(Frame, lambda frame: any(logged.id == "step-the-last" for logged in frame.steps))

    def test_everybody_sees_the_same_and_it_is_what_is_on_disk(self) -> None:
        self.run_all(3)
        self.settled()
        boards = [self.seen_by(line) for line in [self.tutor, *(line for line, _ in self.lines.values())]]
        shown = [
            [(page.head.id, [item for item in page.in_order()]) for page in board.in_order()]
            for board in boards
        ]
        for other in shown[1:]:
            self.assertEqual(other, shown[0])
        row = self.loaded()
        self.assertEqual(shown[0], [(page.head.id, page.in_order()) for page in row.in_order()])
        self.assertGreater(len(shown[0][0][1]), 5)

    def loaded(self) -> Board:
        return store.load(models.Board.objects.get(uid=self.board).pk)

    def test_the_log_played_again_from_nothing_is_the_board(self) -> None:
        self.run_all(5)
        self.settled()
        row = models.Board.objects.get(uid=self.board)
        board, history = Board(), History()
        for logged in store.since(row.pk, 0):
            inverse = invert(board, logged.step)
            after = apply(board, logged.step)
            # Every step of the log can be taken back to the very board before it.
            back = apply(after, inverse)
            self.assertEqual(
                [p.in_order() for p in back.in_order()], [p.in_order() for p in board.in_order()]
            )
            history.record(logged.by, logged.seq, logged.how, logged.of, inverse, logged.step)
            board = after
        self.assertEqual(
            [p.in_order() for p in board.in_order()], [p.in_order() for p in self.loaded().in_order()]
        )

    def test_undo_of_all_one_s_own_steps_leaves_only_the_others_things(self) -> None:
        self.run_all(8)
        line, seat = self.lines["Noor"]
        for number in range(3 * STEPS):
            answer = self.do(line, Undo(), f"noor-undo-{number:04d}")
            if isinstance(answer, Refused):
                self.assertEqual(answer.reason, "nothing_to_undo")
                break
        left = [item for page in self.loaded().in_order() for item in page.in_order()]
        self.assertEqual([item.id for item in left if item.by == seat], [])
        self.assertTrue([item for item in left if item.by != seat])
