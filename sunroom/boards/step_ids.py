"""The ids of a board's steps, by which each lands once however often it is sent."""

from __future__ import annotations

import hashlib
import secrets
from collections.abc import Iterable

import numpy as np

#: New ids are gathered as they are until there are so many; then they join the packed ones.
GATHERED = 4_096


class StepIds:
    """Numbers of steps by id, in 12 bytes a step: a 64-bit mark of the id and the number.

    Marks are made with a key of this process, so nobody can choose ids whose marks are the same; among a
    million steps two honest ids share one with a chance of 1 in 10^7, and then a step is taken for landed.
    """

    def __init__(self, rows: Iterable[tuple[str, int]] = ()) -> None:
        self._key = secrets.token_bytes(16)
        self._new: dict[str, int] = dict(rows)
        self._marks = np.empty(0, np.uint64)
        self._seqs = np.empty(0, np.uint32)
        if len(self._new) >= GATHERED:
            self._pack()

    def add(self, step_id: str, seq: int) -> None:
        self._new[step_id] = seq
        if len(self._new) >= GATHERED:
            self._pack()

    def find(self, step_id: str) -> int | None:
        """The number of the step with this id; None when there is none."""
        seq = self._new.get(step_id)
        if seq is not None or not len(self._marks):
            return seq
        mark = self._mark(step_id)
        at = int(np.searchsorted(self._marks, mark))
        return int(self._seqs[at]) if at < len(self._marks) and self._marks[at] == mark else None

    def _pack(self) -> None:
        marks = np.fromiter((self._mark(step_id) for step_id in self._new), np.uint64, len(self._new))
        seqs = np.fromiter(self._new.values(), np.uint32, len(self._new))
        marks, seqs = np.concatenate([self._marks, marks]), np.concatenate([self._seqs, seqs])
        order = np.argsort(marks, kind="stable")
        self._marks, self._seqs, self._new = marks[order], seqs[order], {}

    def _mark(self, step_id: str) -> np.uint64:
        digest = hashlib.blake2b(step_id.encode(), digest_size=8, key=self._key).digest()
        return np.uint64(int.from_bytes(digest, "little"))
