"""`./run bench mutations`: small changes to the rule book's own files, and how many of them a test notices.

Each change is made in a copy of the sources, one at a time: a comparison turned, `and` for `or`, a `not` taken away, True for
False, a number one higher, a branch never taken. The quick tests of the rules are run first; what they miss goes to the slow
properties. Changes that nobody could notice (a hint for mypy, a sentence) are not made.
"""

from __future__ import annotations

import ast
import os
import random
import shutil
import subprocess
import sys
import tempfile
from collections.abc import Iterator
from pathlib import Path

from bench.table import Row

ROOT = Path(__file__).parents[1]
FILES = (
    "sunroom/core/pens/rules.py",
    "sunroom/core/pens/kits.py",
    "sunroom/core/board/permission.py",
    "sunroom/core/board/bays.py",
    "sunroom/core/lesson/door.py",
    "sunroom/core/lesson/people.py",
    "sunroom/core/lesson/state.py",
)
QUICK = (
    "test_pens",
    "test_door",
    "test_class",
    "test_bays",
    "test_lesson",
    "test_things",
    "test_conversions",
)
SLOW = ("test_trespass", "test_board", "test_arrange")
#: So many changes of all that could be made, the same ones each time.
COUNT, SEED = 60, 7
AIM = 0.95
LIMIT_S = 120
#: What is made by training, and large.
NOT_COPIED = ("__pycache__", "node_modules", "var")

TURNED: dict[type, type] = {
    ast.Eq: ast.NotEq, ast.NotEq: ast.Eq, ast.Lt: ast.LtE, ast.LtE: ast.Lt, ast.Gt: ast.GtE, ast.GtE: ast.Gt,
    ast.In: ast.NotIn, ast.NotIn: ast.In, ast.Is: ast.IsNot, ast.IsNot: ast.Is,
}  # fmt: skip


class Change(ast.NodeTransformer):
    """Makes change number ``wanted`` of those that a file allows; counts them when that is -1."""

    def __init__(self, wanted: int = -1) -> None:
        self.wanted, self.count, self.what = wanted, 0, ""

    def _here(self, node: ast.AST, what: str) -> bool:
        self.count += 1
        if self.count - 1 != self.wanted:
            return False
        self.what = f"line {getattr(node, 'lineno', 0)}: {what}"
        return True

    def visit_Compare(self, node: ast.Compare) -> ast.AST:
        self.generic_visit(node)
        turned = TURNED[type(node.ops[0])]
        if self._here(node, f"{type(node.ops[0]).__name__} to {turned.__name__}"):
            node.ops[0] = turned()
        return node

    def visit_BoolOp(self, node: ast.BoolOp) -> ast.AST:
        self.generic_visit(node)
        if self._here(node, "and for or"):
            node.op = ast.Or() if isinstance(node.op, ast.And) else ast.And()
        return node

    def visit_UnaryOp(self, node: ast.UnaryOp) -> ast.AST:
        self.generic_visit(node)
        if isinstance(node.op, ast.Not) and self._here(node, "no not"):
            return node.operand
        return node

    def visit_Constant(self, node: ast.Constant) -> ast.AST:
        if isinstance(node.value, bool) and self._here(node, f"{node.value} turned"):
            return ast.copy_location(ast.Constant(not node.value), node)
        return node

    def visit_If(self, node: ast.If) -> ast.AST:
        self.generic_visit(node)
        if self._here(node, "a branch never taken"):
            node.test = ast.copy_location(ast.Constant(False), node.test)
        return node

    # Types, defaults and decorators are not rules.

    def visit_AnnAssign(self, node: ast.AnnAssign) -> ast.AST:
        return node

    def visit_arguments(self, node: ast.arguments) -> ast.AST:
        return node


def run() -> list[Row]:
    chosen = random.Random(SEED).sample(list(_all()), COUNT)
    missed = []
    with tempfile.TemporaryDirectory() as folder:
        copy = Path(folder)
        for name in ("sunroom", "tests", "demo", "training"):
            shutil.copytree(ROOT / name, copy / name, ignore=shutil.ignore_patterns(*NOT_COPIED))
        (copy / "frontend").symlink_to(ROOT / "frontend")
        if not _passes(copy, (*QUICK, *SLOW)):
            raise RuntimeError("The tests fail without any change.")
        for number, (name, wanted) in enumerate(sorted(chosen), 1):
            file, source = copy / name, (ROOT / name).read_text()
            change = Change(wanted)
            file.write_text(ast.unparse(ast.fix_missing_locations(change.visit(ast.parse(source)))))
            if _passes(copy, QUICK) and _passes(copy, SLOW):
                missed.append(f"{name} {change.what}")
                print(f"  not noticed: {missed[-1]}", file=sys.stderr, flush=True)
            file.write_text(source)
            if number % 20 == 0:
                print(f"  {number} of {len(chosen)}", file=sys.stderr, flush=True)
    noticed = 1 - len(missed) / len(chosen)
    value = f"{100 * noticed:.0f} % noticed ({len(chosen) - len(missed)} of {len(chosen)})"
    return [Row("small changes to the rules", value, "", f"≥ {100 * AIM:.0f} %", noticed >= AIM)]


def _all() -> Iterator[tuple[str, int]]:
    for name in FILES:
        counted = Change()
        counted.visit(ast.parse((ROOT / name).read_text()))
        yield from ((name, number) for number in range(counted.count))


def _passes(copy: Path, tests: tuple[str, ...]) -> bool:
    environment = {**os.environ, "PYTHONPATH": str(copy), "SUNROOM_DATA": str(copy / "data")}
    command = [sys.executable, "-m", "unittest", "-f", *(f"tests.core.{test}" for test in tests)]
    try:
        return (
            subprocess.run(
                command, cwd=copy, env=environment, capture_output=True, timeout=LIMIT_S
            ).returncode
            == 0
        )
    except subprocess.TimeoutExpired:
        return False  # a change that never ends is noticed
