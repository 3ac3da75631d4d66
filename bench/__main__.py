"""`./run bench [rules] [reading] [conversions] [fanout] [page] [paint] [hostile] [mutations] [files] [call] [maths] [--write]`: measure, print, and with --write keep the table."""

from __future__ import annotations

import os
import platform
import sys
from datetime import date
from pathlib import Path

import django

django.setup()

from bench import (  # noqa: E402
    attacks,
    call,
    conversions,
    fanout,
    files,
    hostile,
    maths,
    mutations,
    page,
    paint,
    reading,
    rules,
)
from bench.table import Row, markdown  # noqa: E402

PARTS = {
    "rules": rules.run,
    "reading": reading.run,
    "conversions": conversions.run,
    "fanout": fanout.run,
    "page": page.run,
    "paint": paint.run,
    "hostile": hostile.run,
    "mutations": mutations.run,
    "files": files.run,
    "call": call.run,
    "maths": maths.run,
}
OUT = Path(__file__).parents[1] / "docs" / "benchmarks.md"

INTRODUCTION = """# Benchmarks

Made by `./run bench --write`. Each figure stands beside a base measured in the same run, and again at four
times the size where size matters. Server, load and browser share the same cores, so a noisy machine moves
all of them: look at the ratios.
"""


def main() -> int:
    if sys.argv[1:2] == ["attacker"]:
        attacks.be_attacker(*sys.argv[2:])
        return 0
    wanted = [argument for argument in sys.argv[1:] if argument in PARTS] or list(PARTS)
    rows: list[Row] = []
    for part in wanted:
        print(f"· {part}", file=sys.stderr, flush=True)
        found = PARTS[part]()
        rows += found
        print(markdown(found), flush=True)
    if "--write" in sys.argv:
        machine = f"{date.today().isoformat()}, {os.cpu_count()} cores, {platform.system()} {platform.machine()}, Python {platform.python_version()}."
        OUT.write_text(f"{INTRODUCTION}\n{machine}\n\n{_merged(markdown(rows))}\n")
    missed = [row.what for row in rows if row.met is False]
    if missed:
        print(f"Missed: {'; '.join(missed)}", file=sys.stderr)
    return 0


def _merged(table: str) -> str:
    """The kept table with the rows of ``table`` in the places of those of the same name."""
    kept = [line for line in OUT.read_text().splitlines() if line.startswith("| ")] if OUT.exists() else []
    if not kept:
        return table
    new = {line.split(" | ")[0]: line for line in table.splitlines()}
    merged = [new.pop(line.split(" | ")[0], line) for line in kept]
    return "\n".join([*merged, *new.values()])


if __name__ == "__main__":
    sys.exit(main())
