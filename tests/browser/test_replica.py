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

from sunroom.boards.repository import Logged
from sunroom.core.board import Board, InkItem, PageHead, apply, remaining
from sunroom.core.board.steps import AddItems, AddPage, MoveItems, RemoveItems, RemovePage, ReplaceItems, Step
from sunroom.core.ink import pack_samples
from tests.core.test_ink import run_in_node

SCRIPT = """
import { decode, Replica } from './golden.js'
import { readFileSync } from 'node:fs'
const answers = []
for (const run of decode(readFileSync(0))) {
  let gaps = 0
  const replica = new Replica({ changed() {}, landed() {}, send() {}, gap() { gaps++ } })
  replica.welcome({ pages: run.heads, seq: run.seq, missed: [] })
  // Our own steps wait for their answer while everything comes in.
  for (const step of run.own) replica.unconfirmed.push({ id: step.id, request: step.request })
  for (const part of run.parts) {
    if (part.page) replica.pageItems(part.page, part.items, part.last)
    else replica.frame(part)
  }
  // A gap was seen: the line opens anew and what was missed comes with the welcome.
  if (gaps) replica.welcome({ pages: null, missed: run.log.filter((l) => l.seq > replica.seq) })
  answers.push({
    gaps,
    seq: replica.seq,
    waiting: replica.unconfirmed.length,
    pages: replica.inOrder().map((page) => [
      page.head.id,
      [...page.entries.values()].map(({ item }) => [item.id, item.x, item.y, item.z]).sort(),
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
            pages = [
                [page.head.id, sorted([item.id, item.x, item.y, item.z] for item in page.items.values())]
                for page in board.in_order()
            ]
            self.assertEqual(answer["pages"], pages)

    def one_run(self, seed: int) -> tuple[dict, tuple[Board, int]]:
        """What a browser hears on one board, and the board as it should end."""
        chance = random.Random(seed)
        board = apply(Board(), AddPage(PageHead("page-0"), 0))
        for number in range(chance.randrange(6)):
            board = apply(board, AddItems("page-0", (self.ink(f"old-{number}", chance),)))
        start, log, own = board, [], []
        for number in range(chance.randrange(5, 30)):
            step = remaining(board, self.step(number, board, chance))
            if step is None:
                continue
            board = apply(board, step)
            log.append(Logged(board.seq, f"step-{number:04d}", "seat", 0, "do", 0, step))
            if isinstance(step, AddItems | MoveItems | RemoveItems) and chance.random() < 0.3:
                own.append({"id": log[-1].id, "request": step})
        items = start.pages["page-0"].in_order()
        cut = chance.randrange(len(items) + 1)
        frames: list = [{"type": "frame", "steps": [logged]} for logged in log]
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
        }
        return run, (board, board.seq)

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
                ReplaceItems(page, ids, new),
                AddPage(PageHead(f"page-{number}"), chance.randrange(3)),
                RemovePage(page),
            ]
        )

    def ink(self, item_id: str, chance: random.Random) -> InkItem:
        samples = pack_samples(np.array([(0, 0, 0.5, 0), (chance.random() * 50, 9, 0.5, 8)]))
        return InkItem(
            id=item_id,
            x=chance.randrange(500),
            y=chance.randrange(500),
            nib="pen",
            colour="#16222b",
            width=3,
            samples=samples,
        )
