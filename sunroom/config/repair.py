"""`./run repair`: look at every board of a data folder, mend what can be mended, and say what was done.

The log of steps is the truth. A board that opens to something else than its log, or whose snapshots cannot be read, gets
new snapshots. It can be run again at any time; where all is well it changes nothing.
"""

from __future__ import annotations

import sys

import django

django.setup()

from django.conf import settings  # noqa: E402
from django.core.management import call_command  # noqa: E402
from django.db import connection  # noqa: E402

from sunroom.boards import models, store  # noqa: E402
from sunroom.boards.store import BoardStore, DamagedLogError  # noqa: E402
from sunroom.config.folder import FolderLock, FolderTakenError  # noqa: E402
from sunroom.core.board import Board  # noqa: E402


def main() -> int:
    """0 when all boards are well now; 1 when one is not, 2 when the folder is in use."""
    try:
        with FolderLock(settings.DATA_DIR):
            call_command("migrate", verbosity=0)
            return repair()
    except FolderTakenError as error:
        print(error, file=sys.stderr)
        return 2


def repair() -> int:
    with connection.cursor() as cursor:
        cursor.execute("PRAGMA integrity_check")
        (found,) = cursor.fetchone()
    if found != "ok":
        print(f"The database file itself is damaged: {found}. Take back a backup (./run restore).")
        return 1
    well, mended, broken = 0, 0, 0
    for row in models.Board.objects.order_by("id"):
        name = f"“{row.title}” ({row.uid})"
        try:
            what = repair_board(row)
        except DamagedLogError as error:
            broken += 1
            print(f"{name}: cannot be opened. {error}")
            continue
        well, mended = well + (not what), mended + bool(what)
        if what:
            print(f"{name}: {what}")
    print(f"{well} boards are well, {mended} were mended, {broken} cannot be opened.")
    return 1 if broken else 0


def repair_board(row: models.Board) -> str:
    """What was mended of a board; "" when nothing had to be. Raises DamagedLogError."""
    whole = store.replay(row.pk)
    kept = BoardStore(row.pk)
    opened = kept.open()
    done = []
    if not kept.trusts_snapshots and row.snapshot_seq:
        done.append("its snapshots were of an earlier time or damaged, and were made anew from the log")
    elif _shown(opened.board) != _shown(whole):
        done.append("it opened to an older state, and was made anew from the log")
    if done:
        store.drop_snapshots(row.pk)
        kept = BoardStore(row.pk)
        kept.keep_snapshot(kept.open().board)
    if row.seq != whole.seq or row.page_count != len(whole.order):
        models.Board.objects.filter(pk=row.pk).update(seq=whole.seq, page_count=len(whole.order))
        done.append("its counts of steps and pages were put right")
    return "; ".join(done)


def _shown(board: Board) -> list[object]:
    return [(page.head, page.in_order()) for page in board.in_order()]


if __name__ == "__main__":
    sys.exit(main())
