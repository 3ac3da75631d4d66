"""The data folder: one process at a time writes in it, and only its owner reads in it."""

from __future__ import annotations

import fcntl
import os
from pathlib import Path
from typing import IO

TAKEN = (
    "Another Sun Room is running on the data folder {folder}. Two at once would write over each other: "
    "stop it first, or set SUNROOM_DATA to another folder."
)


class FolderTakenError(Exception):
    """Another process works on the folder; the sentence says what to do."""


class FolderLock:
    """Keeps a data folder to one process, until the process ends, however that is."""

    def __init__(self, folder: Path) -> None:
        self._folder = folder
        self._file: IO[str] | None = None

    def hold(self) -> None:
        """Raises FolderTakenError."""
        file = open(self._folder / "lock", "a")  # noqa: SIM115  (it stays open for as long as it is held)
        try:
            fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError as error:
            file.close()
            raise FolderTakenError(TAKEN.format(folder=self._folder)) from error
        self._file = file

    def let_go(self) -> None:
        if self._file:
            self._file.close()
            self._file = None

    def __enter__(self) -> FolderLock:
        self.hold()
        return self

    def __exit__(self, *_: object) -> None:
        self.let_go()


def make_private(folder: Path) -> None:
    """Make the folder, and let only its owner look into it."""
    folder.mkdir(parents=True, exist_ok=True)
    if folder.stat().st_uid == os.getuid():
        folder.chmod(0o700)
