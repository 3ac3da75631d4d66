"""The browser's replica and the server's board agree: the same log makes the same pages.

Steps are generated, put in order by the Python core, and given to the browser's own code (run by Node)
with repeats, gaps, its own steps unconfirmed, and pages that come in late.
"""

from __future__ import annotations

import json
import random
from unittest import TestCase

import msgspec
import numpy as np

from sunroom.boards.store import Logged
from sunroom.core.board import Board, InkItem, Item, NoteItem, PageHead, ShapeItem, apply, remaining
from sunroom.core.board.items import item_box
from sunroom.core.board.sight import shown, step_shown
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
    ReplaceItems,
    Step,
)
from sunroom.core.ink import pack_samples
from sunroom.core.shapes.figures import draw_figure
from tests.core.test_ink import run_in_node

SCRIPT = """
import { decode, Replica } from './golden.js'
import { readFileSync } from 'node:fs'
const answers = []
for (const run of decode(readFileSync(0))) {
  let gaps = 0
  const replica = new Replica({ changed() {}, landed() {}, send() {}, gap() { gaps++ }, waits() {}, settled() {} })
  replica.welcome({ pages: run.heads, seq: run.seq, missed: [] })
  // Our own steps wait for their answer while everything comes in.
  for (const step of run.own) replica.unconfirmed.push({ id: step.id, request: step.request })
  for (const part of run.parts) {
    if (part.page) replica.pageItems(part.page, part.items, part.last)
    else replica.frame(part)
  }
  // A gap was seen: the line opens anew and what was missed comes with the welcome.
  if (gaps) replica.welcome({ pages: null, missed: run.log.filter((l) => l.seq > replica.seq), seq: run.last })
  answers.push({
    gaps,
    seq: replica.seq,
    waiting: replica.unconfirmed.length,
    pages: replica.inOrder().map((page) => [
      page.head.id,
      [...page.entries.values()].map(({ item, minX, minY, maxX, maxY }) =>
        [item.id, item.z, item.colour ?? '', ...[minX, minY, maxX, maxY].map((v) => Math.round(v * 100) / 100)]).sort(),
    ]),
  })
}
console.log(JSON.stringify(answers))
"""


class Agreement(TestCase):
    def test_any_log_makes_the_same_pages_in_the_browser_as_on_the_server(self) -> None:
        runs, expected = zip(*(self.one_run(seed) for seed in range(60)), strict=True)
        source = (
            "export { Replica } from '/src/board/replica.ts'\nexport { decode } from '@msgpack/msgpack'\n"
        )
        answers = json.loads(run_in_node(source, SCRIPT, msgspec.msgpack.encode(runs)))
        self.assertTrue(any(answer["gaps"] for answer in answers), "no run had a gap")
        for answer, (board, seq) in zip(answers, expected, strict=True):
            self.assertEqual((answer["seq"], answer["waiting"]), (seq, 0))
            pages = [[page.head.id, sorted(map(self.seen, page.items.values()))] for page in board.in_order()]
            self.assertEqual([page[0] for page in answer["pages"]], [page[0] for page in pages])
            for (_, there), (_, kept) in zip(answer["pages"], pages, strict=True):
                self.assertEqual([row[:3] for row in there], [row[:3] for row in kept])
                for one, other in zip(there, kept, strict=True):
                    np.testing.assert_allclose(one[3:], other[3:], atol=0.02, err_msg=one[0])

    def seen(self, item: Item) -> list:
        """Of an item what the browser must agree on: its order, its colour, and its box."""
        box = item_box(item)
        return [item.id, item.z, getattr(item, "colour", ""), box.x0, box.y0, box.x1, box.y1]

    def one_run(self, seed: int) -> tuple[dict, tuple[Board, int]]:
        """What a browser hears on one board, and the board as it should end; half of them see no hidden pages."""
        chance = random.Random(seed)
        sees_all = seed % 2 == 0
        board = apply(Board(), AddPage(PageHead("page-0"), 0))
        for number in range(chance.randrange(6)):
            board = apply(board, AddItems("page-0", (self.ink(f"old-{number}", chance),)))
        start, log, own = board, [], []
        frames: list = []
        for number in range(chance.randrange(5, 30)):
            step = remaining(board, self.step(number, board, chance))
            if step is None:
                continue
            after = apply(board, step)
            logged = Logged(after.seq, f"step-{number:04d}", "seat", 0, "do", 0, step)
            told = step if sees_all else step_shown(board, step, after)
            board = after
            if told is None:
                frames.append({"type": "frame", "passed": [logged.seq]})
                continue
            log.append(msgspec.structs.replace(logged, step=told))
            frames.append({"type": "frame", "steps": [log[-1]]})
            if isinstance(step, AddItems | MoveItems | RemoveItems) and chance.random() < 0.3:
                own.append({"id": log[-1].id, "request": step})
        items = start.pages["page-0"].in_order()
        cut = chance.randrange(len(items) + 1)
        if frames and chance.random() < 0.5:
            frames.insert(chance.randrange(len(frames)), frames[chance.randrange(len(frames))])  # out of turn
        pages = [
            {"page": "page-0", "items": items[:cut], "last": False},
            {"page": "page-0", "items": items[cut:], "last": True},
        ]
        # The page's items come while steps already do.
        early = chance.randrange(len(frames) + 1)
        parts = [*frames[:early], *pages, *frames[early:]]
        run = {
            "heads": [page.head for page in start.in_order()],
            "seq": start.seq,
            "own": own,
            "parts": parts,
            "log": log,
            "last": board.seq,
        }
        return run, (board if sees_all else shown(board), board.seq)

    def step(self, number: int, board: Board, chance: random.Random) -> Step:
        page = chance.choice(board.order)
        ids = tuple(chance.sample(sorted(board.pages[page].items), min(2, len(board.pages[page].items))))
        new = (self.ink(f"item-{number}", chance),)
        return chance.choice(
            [
                AddItems(page, new),
                AddItems(page, new),
                RemoveItems(page, ids[:1]),
                MoveItems(page, ids, chance.randrange(-9, 9), 3),
                ChangeItems(
                    page, tuple(Change(id=i, colour="#1f5fa8", z=chance.randrange(1, 9) + 0.5) for i in ids)
                ),
                ChangeItems(page, tuple(Change(id=i, map=(0.0, 2.0, -1.0, 0.5)) for i in ids)),
                ReplaceItems(page, ids, new),
                MovePage(page, chance.randrange(3)),
                AddPage(PageHead(f"page-{number}", hidden=chance.random() < 0.3), chance.randrange(3)),
                ChangePage(msgspec.structs.replace(board.pages[page].head, hidden=chance.random() < 0.5)),
                RemovePage(page),
            ]
        )

    def ink(self, item_id: str, chance: random.Random) -> Item:
        kind = chance.randrange(4)
        x, y = float(chance.randrange(500)), float(chance.randrange(500))
        if kind == 0:
            drawn = draw_figure(chance.choice(["star", "axes", "triangle"]), 80.0, 60.0)
            return ShapeItem(
                id=item_id, x=x, y=y, figure="star", points=drawn.points, parts=drawn.parts, closed=drawn.closed,
                curved=False, colour="#16222b", width=3, ends="none" if drawn.closed else "arrow",
            )  # fmt: skip
        if kind == 1:
            return NoteItem(id=item_id, x=x, y=y, text="noon", colour="#ffe7a8")
        samples = pack_samples(np.array([(0, 0, 0.5, 0), (chance.random() * 50, 9, 0.5, 8)]))
        return InkItem(
            id=item_id,
            x=chance.randrange(500),
            y=chance.randrange(500),
            nib=chance.choice(["pen", "brush", "pencil"]),
            ends=chance.choice(["none", "arrows"]),
            colour="#16222b",
            width=3,
            samples=samples,
        )
