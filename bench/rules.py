"""The rule book against its slow and literal reading, on random people, pages, bays, clocks and steps."""

from __future__ import annotations

import time
from typing import Any

import numpy as np

from bench.table import Row
from sunroom.core.board import Board, InkItem, PageHead, apply, needs, resolve
from sunroom.core.board.pages import Bay
from sunroom.core.board.requests import GoneError
from sunroom.core.board.steps import AddItems, AddPage, MoveItems, RemoveItems
from sunroom.core.errors import MalformedError
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.pens import ACTIONS, KITS, Actor, BayFacts, Facts, PassedPen, Target, decide
from tests.core.test_pens import forbidden
from tests.strategies import even_typesetter

DECISIONS, STEPS = 200_000, 20_000
SEATS = ("seat-a", "seat-b", "seat-c", "seat-d")
NAMES = sorted(ACTIONS)
KIT_LIST = [tuple(sorted(kit)) for kit in KITS.values()]


class Chance:
    """Random values of the rule book's facts, from one seed."""

    def __init__(self, seed: int) -> None:
        self.random = np.random.default_rng(seed)

    def pick(self, values: Any) -> Any:
        return values[int(self.random.integers(len(values)))]

    def coin(self, share: float = 0.5) -> bool:
        return bool(self.random.random() < share)

    def some(self, values: tuple[str, ...], most: int) -> tuple[str, ...]:
        count = int(self.random.integers(most + 1))
        return tuple(self.random.permutation(values)[:count].tolist())

    def moment(self) -> int:
        return int(self.random.integers(20_000))

    def actor(self) -> Actor:
        roles = ("tutor", "helper", "student", "student", "student", "onlooker")
        return Actor(self.pick(SEATS), self.pick(roles), "Somebody", self.coin(0.2))

    def bay(self) -> BayFacts:
        return BayFacts(self.pick(("page", "tutor_side", "open", "people")), self.some(SEATS, 2))

    def facts(self) -> Facts:
        passed = tuple(
            PassedPen(seat, self.moment() if self.coin() else None) for seat in self.some(SEATS, 3)
        )
        kits = tuple((seat, self.pick(KIT_LIST)) for seat in self.some(SEATS, 2))
        return Facts(
            open=self.coin(0.8), paused=self.coin(0.1), mode=self.pick(("down", "passed", "up")), passed=passed,
            withheld=self.some(SEATS, 2), kit=self.pick(KIT_LIST), kits=kits, down_at_ms=self.moment(),
            between=self.pick(("view", "write", "closed")), pointing=self.coin(0.2),
        )  # fmt: skip

    def target(self) -> Target:
        bays = (
            tuple(self.bay() for _ in range(int(self.random.integers(1, 4))))
            if self.coin(0.6)
            else (BayFacts(),)
        )
        return Target(
            page=self.pick(("lesson", "lesson", "tutor_side", "open", "desk")), desk_of=self.pick(SEATS), bays=bays,
            owners=frozenset(self.some(SEATS, 3)), locked=self.coin(0.15),
            begun_ms=self.moment() if self.coin() else None, page_of=self.pick(("", *SEATS)), hidden=self.coin(0.1),
        )  # fmt: skip


def run() -> list[Row]:
    return [_decisions(), _steps()]


def _decisions() -> Row:
    chance, wrong = Chance(1), 0
    cases = [
        (chance.actor(), chance.pick(NAMES), chance.target(), chance.facts(), chance.moment())
        for _ in range(DECISIONS)
    ]
    start = time.perf_counter()
    verdicts = [decide(*case).allowed for case in cases]
    ours_s = time.perf_counter() - start
    start = time.perf_counter()
    literal = [not forbidden(*case) for case in cases]
    literal_s = time.perf_counter() - start
    wrong = sum(a != b for a, b in zip(verdicts, literal, strict=True))
    value = f"{wrong} wrong; {1e6 * ours_s / DECISIONS:.1f} µs each"
    base = f"read literally {1e6 * literal_s / DECISIONS:.1f} µs each"
    return Row(f"{DECISIONS:,} random decisions, both ways", value, base, "none wrong", wrong == 0)


def _steps() -> Row:
    """Steps of random people on a page of bays; every place they touch is worked out point by point."""
    chance, typesetter = Chance(2), even_typesetter()
    bays = tuple(
        Bay(f"bay-{n:04d}", 150.0 * n, 0, 120, 300, rule=rule, people=("seat-a",))
        for n, rule in enumerate(("people", "open", "tutor_side", "page"))
    )
    board = apply(Board(), AddPage(PageHead("page-001", bays=bays), 0))
    wrong = taken = 0
    for number in range(STEPS):
        actor, facts, now = chance.actor(), chance.facts(), chance.moment()
        request = _request(chance, board, number)
        try:
            step = resolve(board, request, actor.seat, now, typesetter)
        except (GoneError, MalformedError):
            continue
        rows = needs(board, request, step)
        allowed = all(decide(actor, action, target, facts, now).allowed for action, target in rows)
        touched = _touched(board, request, step)
        meant = not any(
            forbidden(actor, action, Target(bays=touched[0], owners=touched[1]), facts, now)
            for action, _ in rows
        )
        wrong += allowed != meant
        if allowed:
            board, taken = apply(board, step), taken + 1
        if len(board.pages["page-001"].items) > 60:
            board = apply(Board(), AddPage(PageHead("page-001", bays=bays), 0))
    return Row(
        f"{STEPS:,} random steps among bays", f"{wrong} wrong, {taken:,} taken", "", "none wrong", wrong == 0
    )


def _request(chance: Chance, board: Board, number: int) -> Any:
    ids = tuple(board.pages["page-001"].items)
    if not ids or chance.coin(0.5):
        x, y, long = (
            chance.random.uniform(0, 600),
            chance.random.uniform(0, 350),
            chance.random.uniform(5, 200),
        )
        rows = np.column_stack(
            [np.linspace(0, long, 12), np.zeros(12), np.full(12, 0.5), np.arange(12) * 8.0]
        )
        item = InkItem(
            id=f"stroke-{number}",
            x=float(x),
            y=float(y),
            nib="pen",
            colour="#16222b",
            width=3,
            samples=pack_samples(rows),
        )
        return AddItems("page-001", (item,))
    chosen = chance.some(ids, 2) or ids[:1]
    if chance.coin():
        return RemoveItems("page-001", chosen)
    return MoveItems("page-001", chosen, *chance.random.uniform(-200, 200, 2).tolist())


def _touched(board: Board, request: Any, step: Any) -> tuple[tuple[BayFacts, ...], frozenset[str]]:
    """The bays and owners that a step is about, looked up sample by sample."""
    before, after = board.pages["page-001"], apply(board, step).pages["page-001"]
    ids = getattr(step, "ids", ()) or [item.id for item in step.items]
    found: dict[BayFacts, None] = {}
    for page in (before, after):
        for item_id in ids:
            item = page.items.get(item_id)
            if item is None:
                continue
            for x, y in item.placement.points(unpack_samples(item.samples)[:, :2]):
                inside = [
                    b for b in page.head.bays if b.x <= x <= b.x + b.width and b.y <= y <= b.y + b.height
                ]
                found[inside[-1].facts if inside else BayFacts()] = None
    owners = frozenset(before.items[i].by for i in ids if i in before.items)
    return tuple(found), owners
