"""The one owner of a board's log, its snapshots and its opening.

The log of steps is the truth; snapshots of pages only make opening fast. What holds at any time, whatever
was killed in between:

    *What opens equals the replay of the whole log.*

For that the stored snapshots show exactly the board after its first ``snapshot_seq`` steps: one for each page
of ``order`` and no other. They change in one transaction, and ``BoardStore`` remembers which board they show, so
that a page is passed over only when the disk has that very page. Snapshots that do not fit, cannot be read or come
from before this rule (see core.formats.kept) are not looked at: then the whole log is replayed.
"""

from __future__ import annotations

import logging
from collections.abc import Iterable, Iterator, Sequence
from functools import partial

import immutables
import msgspec
from django.db import transaction
from django.db.models import F
from django.utils import timezone

from sunroom.boards import models
from sunroom.boards.step_ids import StepIds
from sunroom.core.board import Board, History, Step, apply
from sunroom.core.board.history import DEPTH, MAX_HISTORY_BYTES, How
from sunroom.core.board.steps import AddPage, RemovePage
from sunroom.core.formats.kept import (
    SNAPSHOT_VERSION,
    VERSIONS,
    UnreadableError,
    decode_kept,
    decode_page,
    encode_kept,
    encode_page,
)

logger = logging.getLogger(__name__)

#: Steps of the log that are read at opening for the people's histories; each person can take back
#: at most DEPTH of their own, and a class works on a board together.
HISTORY_ROWS = 10 * DEPTH
#: A snapshot may be taken while a board is being read; then it is read again.
READ_TRIES = 5


class Logged(msgspec.Struct, frozen=True):
    """A step in its place in the order, as it is kept and as all browsers get it.

    ``how`` tells a person's own doing from an undo or redo, ``of`` the step which that answers.
    """

    seq: int
    id: str
    by: str
    at_ms: int
    how: How
    of: int
    step: Step


class Opened(msgspec.Struct):
    """A board from the database: its state, histories, the numbers of all its steps by id, and when
    the last was kept."""

    board: Board
    history: History
    ids: StepIds
    kept_ms: int


class DamagedLogError(Exception):
    """A board whose log is not whole; the sentence says where it breaks."""


class GapError(Exception):
    """A step that does not follow the log's last one: it would make a board that cannot be opened."""


class BoardStore:
    """Log and snapshots of one board, for whoever writes it; there is one writer a board.

    ``append`` and ``keep_snapshot`` run in the writer's thread, in the order in which they were queued.
    """

    def __init__(self, board_id: int) -> None:
        self.board_id = board_id
        #: The board that the stored snapshots show: ``Board()`` when there are none.
        self._shown = Board()

    def open(self) -> Opened:
        """The board with what a room needs to go on with it; raises DamagedLogError."""
        self._shown, board = _read(self.board_id)
        rows = models.LoggedStep.objects.filter(board_id=self.board_id)
        ids = StepIds(rows.values_list("step_id", "seq").iterator())
        last = rows.order_by("-seq").values_list("at_ms", flat=True).first()
        return Opened(board, _history(self.board_id), ids, last or 0)

    @property
    def trusts_snapshots(self) -> bool:
        """Whether the last opening began from stored snapshots."""
        return self._shown.seq > 0

    def append(self, rows: Sequence[tuple[Logged, Step]]) -> None:
        """Write steps with their inverses to the log, all or none."""
        append(self.board_id, rows)

    def snapshot_due(self, board: Board, after_steps: int) -> bool:
        """Whether the snapshots are ``after_steps`` steps or more behind ``board``."""
        return board.seq - self._shown.seq >= after_steps

    def keep_snapshot(self, board: Board) -> None:
        """Make the stored snapshots show ``board``, all of whose steps are in the log; all or nothing."""
        with transaction.atomic():
            _show(self.board_id, self._shown, board)
            # The transaction may be a part of a larger one, which can still fail.
            transaction.on_commit(partial(self._now_shown, board))

    def _now_shown(self, board: Board) -> None:
        self._shown = board


def append(board_id: int, rows: Sequence[tuple[Logged, Step]]) -> None:
    """Write steps with their inverses to the log, all or none; raises GapError when they do not follow its last."""
    first, last = rows[0][0].seq, rows[-1][0].seq
    bodies = [(encode_kept(logged.step), encode_kept(inverse)) for logged, inverse in rows]
    # Within the keeper's transaction, a point of return of its own would be two more turns at the interpreter.
    with transaction.atomic(savepoint=False):
        board = models.Board.objects.filter(id=board_id, seq=first - 1)
        follows = board.update(
            seq=last,
            page_count=F("page_count") + sum(_pages_gained(logged.step) for logged, _ in rows),
            log_bytes=F("log_bytes") + sum(len(body) + len(inverse) for body, inverse in bodies),
            changed_at=timezone.now(),
        )
        if not follows:
            raise GapError(f"Step {first} does not follow the last one that was kept.")
        models.LoggedStep.objects.bulk_create(
            [
                models.LoggedStep(
                    board_id=board_id,
                    seq=logged.seq,
                    step_id=logged.id,
                    seat=logged.by,
                    at_ms=logged.at_ms,
                    how=logged.how,
                    of_seq=logged.of,
                    version=VERSIONS["step"],
                    body=body,
                    inverse=inverse,
                )
                for (logged, _), (body, inverse) in zip(rows, bodies, strict=True)
            ]
        )


def _pages_gained(step: Step) -> int:
    return isinstance(step, AddPage) - isinstance(step, RemovePage)


def load(board_id: int) -> Board:
    """The board after its last answered step; raises DamagedLogError."""
    return _read(board_id)[1]


def replay(board_id: int, until: int | None = None) -> Board:
    """The board by its log alone, all of it or up to a step; raises DamagedLogError."""
    return _replayed(Board(), each_since(board_id, 0, until))


def since(board_id: int, seq: int) -> list[Logged]:
    """All steps after number ``seq``, in order; raises DamagedLogError when one cannot be read."""
    return list(each_since(board_id, seq))


def each_since(board_id: int, seq: int, until: int | None = None) -> Iterator[Logged]:
    """As ``since``, one by one, and no further than a step ``until``."""
    rows = models.LoggedStep.objects.filter(board_id=board_id, seq__gt=seq).order_by("seq")
    if until is not None:
        rows = rows.filter(seq__lte=until)
    fields = ("seq", "step_id", "seat", "at_ms", "how", "of_seq", "body", "version")
    for number, step_id, seat, at_ms, how, of_seq, body, version in rows.values_list(*fields).iterator():
        try:
            step = decode_kept("step", bytes(body), version)
        except UnreadableError as error:
            raise DamagedLogError(f"Step {number} of the log: {error}") from error
        yield Logged(number, step_id, seat, at_ms, how, of_seq, step)


def drop_snapshots(board_id: int) -> None:
    """Let the next opening replay the whole log."""
    with transaction.atomic():
        models.PageSnapshot.objects.filter(board_id=board_id).delete()
        models.Board.objects.filter(id=board_id).update(snapshot_seq=0, order=[])


def _read(board_id: int) -> tuple[Board, Board]:
    """The board that the stored snapshots show, and the board after the last step."""
    for _ in range(READ_TRIES):
        row = models.Board.objects.get(id=board_id)
        shown = _snapshots(row)
        tail = since(board_id, shown.seq)
        if models.Board.objects.values_list("snapshot_seq", flat=True).get(id=board_id) == row.snapshot_seq:
            return shown, _replayed(shown, tail)
    with transaction.atomic():  # a board so busy that its snapshots never stand still: now nobody writes
        row = models.Board.objects.get(id=board_id)
        shown, tail = _snapshots(row), since(board_id, row.snapshot_seq)
    return shown, _replayed(shown, tail if shown.seq == row.snapshot_seq else since(board_id, 0))


def _snapshots(row: models.Board) -> Board:
    """The board that the snapshots show; ``Board()`` when they are not to be trusted."""
    if row.snapshot_seq == 0:
        return Board()
    pages = {}
    try:
        for kept in models.PageSnapshot.objects.filter(board_id=row.pk):
            pages[kept.page_id] = decode_page(bytes(kept.head), bytes(kept.items), kept.version)
        if sorted(pages) != sorted(row.order):
            raise UnreadableError("The snapshots are not of the pages that the board had.")
    except UnreadableError as error:
        logger.warning("Board %s is opened from its log alone: %s", row.uid, error)
        return Board()
    return Board(immutables.Map(pages), tuple(row.order), row.snapshot_seq)


def _replayed(board: Board, steps: Iterable[Logged]) -> Board:
    for logged in steps:
        if logged.seq != board.seq + 1:
            raise DamagedLogError(f"Step {board.seq + 1} is missing from the log.")
        try:
            board = apply(board, logged.step)
        except KeyError as error:
            raise DamagedLogError(f"Step {logged.seq} speaks of {error}, which is not there.") from error
    return board


def _show(board_id: int, shown: Board, board: Board) -> None:
    """Write the pages in which ``board`` differs from ``shown``, and take away those that it has not."""
    kept = models.PageSnapshot.objects.filter(board_id=board_id)
    kept.exclude(page_id__in=[page_id for page_id in board.order if page_id in shown.pages]).delete()
    for page in board.in_order():
        if shown.pages.get(page.head.id) is not page:
            head, items = encode_page(page)
            models.PageSnapshot.objects.update_or_create(
                board_id=board_id,
                page_id=page.head.id,
                defaults={"version": SNAPSHOT_VERSION, "head": head, "items": items},
            )
    models.Board.objects.filter(id=board_id).update(snapshot_seq=board.seq, order=list(board.order))


def _history(board_id: int) -> History:
    """Everybody's ways back, from the newest steps as far as rows and bytes go."""
    rows = models.LoggedStep.objects.filter(board_id=board_id).order_by("-seq")[:HISTORY_ROWS]
    fields = ("seat", "seq", "how", "of_seq", "inverse", "body", "version")
    newest, room = [], MAX_HISTORY_BYTES
    for row in rows.values_list(*fields).iterator():
        room -= len(row[4])
        if room < 0:
            break
        newest.append(row)
    history = History()
    for seat, seq, how, of_seq, inverse, body, version in reversed(newest):
        history.record(
            seat,
            seq,
            how,
            of_seq,
            decode_kept("step", bytes(inverse), version),
            decode_kept("step", bytes(body), version),
        )
    return history
