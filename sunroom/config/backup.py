"""`./run backup FILE` and `./run restore FILE`: all that a server knows, in one file.

A backup is taken while the server runs: SQLite's own way of copying gives the database as it is at one moment. The file is
a ZIP of the database and the secret key, readable by its owner only.
"""

from __future__ import annotations

import argparse
import os
import shutil
import sqlite3
import sys
import tempfile
import zipfile
from datetime import datetime
from pathlib import Path

from sunroom.config.folder import FolderLock, FolderTakenError

DATABASE, KEY = "sunroom.sqlite3", "secret_key"
#: SQLite's files, which belong to each other.
OWN_FILES = (DATABASE, f"{DATABASE}-wal", f"{DATABASE}-shm", KEY)


class BackupError(Exception):
    """What could not be done; the sentence says why and what is unchanged."""


def main() -> int:
    parser = argparse.ArgumentParser(prog="run")
    commands = parser.add_subparsers(dest="command", required=True)
    commands.add_parser("backup").add_argument("file", type=Path)
    taking_back = commands.add_parser("restore")
    taking_back.add_argument("file", type=Path)
    taking_back.add_argument("--replace", action="store_true", help="put what is there aside first")
    options = parser.parse_args()
    folder = Path(os.environ["SUNROOM_DATA"])
    try:
        if options.command == "backup":
            print(backup(folder, options.file))
        else:
            print(restore(folder, options.file, options.replace))
    except (BackupError, FolderTakenError) as error:
        print(error, file=sys.stderr)
        return 1
    return 0


def backup(folder: Path, file: Path) -> str:
    """Write a backup of ``folder``; a sentence that says so. Raises BackupError."""
    source = folder / DATABASE
    if not source.exists():
        raise BackupError(f"There is no database in {folder}: nothing was written.")
    with tempfile.TemporaryDirectory() as place:
        copy = Path(place) / DATABASE
        with sqlite3.connect(f"file:{source}?mode=ro", uri=True) as database, sqlite3.connect(copy) as to:
            database.backup(to)
        _check(copy)
        unfinished = file.with_name(f".{file.name}.part")
        with os.fdopen(os.open(unfinished, os.O_CREAT | os.O_WRONLY | os.O_TRUNC, 0o600), "wb") as out:
            with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as archive:
                archive.write(copy, DATABASE)
                archive.write(folder / KEY, KEY)
            out.flush()
            os.fsync(out.fileno())
        unfinished.replace(file)
    return f"Everything is in {file} ({file.stat().st_size / 1e6:.1f} MB). It has the server's secret key: keep it safe."


def restore(folder: Path, file: Path, replace: bool) -> str:
    """Bring a backup back into ``folder``; a sentence that says so.

    Raises
    ------
    BackupError, FolderTakenError
        Before anything is changed.
    """
    with tempfile.TemporaryDirectory(dir=_made(folder).parent) as place:
        try:
            with zipfile.ZipFile(file) as archive:
                for name in (DATABASE, KEY):
                    with archive.open(name) as data, open(Path(place) / name, "wb") as out:
                        shutil.copyfileobj(data, out)
        except (OSError, KeyError, zipfile.BadZipFile) as error:
            raise BackupError(f"{file} is no backup of Sun Room: {error}. Nothing was changed.") from error
        _check(Path(place) / DATABASE)
        with FolderLock(folder):
            there = [folder / name for name in OWN_FILES if (folder / name).exists()]
            aside = ""
            if (folder / DATABASE).exists():
                if not replace:
                    raise BackupError(
                        f"There is a database in {folder} already. With --replace it is put aside first. Nothing was changed."
                    )
                before = folder / f"before-{datetime.now():%Y-%m-%d-%H%M%S}"
                before.mkdir(mode=0o700)
                for old in there:
                    old.rename(before / old.name)
                aside = f" What was there is in {before}."
            for name in (KEY, DATABASE):
                shutil.move(Path(place) / name, folder / name)
                (folder / name).chmod(0o600)
    return f"The backup is back in {folder}.{aside} Start the server as usual."


def _made(folder: Path) -> Path:
    folder.mkdir(parents=True, exist_ok=True)
    return folder


def _check(file: Path) -> None:
    """Raise BackupError when a database file is not whole."""
    try:
        with sqlite3.connect(file) as database:
            (found,) = database.execute("PRAGMA integrity_check").fetchone()
    except sqlite3.DatabaseError as error:
        found = str(error)
    if found != "ok":
        raise BackupError(f"The database is damaged ({found}). Nothing was changed.")


if __name__ == "__main__":
    sys.exit(main())
