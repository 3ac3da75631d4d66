"""Documents of office programs, made PDFs by LibreOffice where the server has it, in a process of its own."""

from __future__ import annotations

import contextlib
import os
import shutil
import signal
import subprocess
import tempfile
import threading
from pathlib import Path

from django.conf import settings

from sunroom.core.errors import MalformedError
from sunroom.core.sentences import said

#: Kinds that are taken, by how their file is called.
KINDS = (".odt", ".odp", ".ods", ".docx", ".pptx", ".xlsx", ".doc", ".ppt", ".xls", ".rtf")
#: How long it may take, and how long one waits for its turn: there is one at a time.
LIMIT_S, WAIT_S = 50.0, 20.0
#: Settings of LibreOffice: nothing in a document runs, and nothing that it only names is fetched.
SAFE = """<?xml version="1.0" encoding="UTF-8"?>
<oor:items xmlns:oor="http://openoffice.org/2001/registry" xmlns:xs="http://www.w3.org/2001/XMLSchema">
<item oor:path="/org.openoffice.Office.Common/Security/Scripting"><prop oor:name="DisableMacrosExecution" oor:op="fuse">
<value>true</value></prop></item>
<item oor:path="/org.openoffice.Office.Common/Security/Scripting"><prop oor:name="BlockUntrustedRefererLinks" oor:op="fuse">
<value>true</value></prop></item>
<item oor:path="/org.openoffice.Office.Common/Security/Scripting"><prop oor:name="DisableActiveContent" oor:op="fuse">
<value>true</value></prop></item>
</oor:items>
"""
#: Of memory, and of any file that it writes (in blocks of 512 bytes).
MOST_KB, MOST_BLOCKS = 4_000_000, 400_000
_turn = threading.BoundedSemaphore(1)


def is_office(name: str) -> bool:
    return name.lower().endswith(KINDS)


def as_pdf(name: str, file: Path) -> bytes:
    """The PDF of a document; ``name`` is what it is called.

    Raises
    ------
    MalformedError
        When there is no LibreOffice here, it takes too long, or makes nothing of the file.
    """
    program = shutil.which(settings.OFFICE)
    if program is None:
        raise MalformedError("document", said("office-not-here"))
    if not _turn.acquire(timeout=WAIT_S):
        raise MalformedError("document", said("office-took-too-long"))
    try:
        return _made(program, Path(name.lower()).suffix, file)
    finally:
        _turn.release()


def _made(program: str, kind: str, file: Path) -> bytes:
    with tempfile.TemporaryDirectory(dir=settings.DATA_DIR, prefix="office-") as folder:
        source = Path(folder) / f"document{kind}"
        shutil.copyfile(file, source)
        settings_file = Path(folder) / "profile" / "user" / "registrymodifications.xcu"
        settings_file.parent.mkdir(parents=True)
        settings_file.write_text(SAFE)
        command = [
            "/bin/sh", "-c", f'ulimit -v {MOST_KB} -f {MOST_BLOCKS}; exec "$@"', "sh",
            program, "--headless", "--norestore", "--nolockcheck", f"-env:UserInstallation=file://{folder}/profile",
            "--convert-to", "pdf", "--outdir", folder, str(source),
        ]  # fmt: skip
        environment = {"PATH": os.environ.get("PATH", ""), "HOME": folder, "LANG": "C.UTF-8"}
        # A group of its own: what it starts ends with it.
        process = subprocess.Popen(
            command, cwd=folder, env=environment, start_new_session=True,
            stdin=subprocess.DEVNULL, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL,
        )  # fmt: skip
        try:
            process.wait(LIMIT_S)
        except subprocess.TimeoutExpired as error:
            raise MalformedError("document", said("office-took-too-long")) from error
        finally:
            with contextlib.suppress(ProcessLookupError):
                os.killpg(process.pid, signal.SIGKILL)
            process.wait()
        made = source.with_suffix(".pdf")
        if not made.is_file():
            raise MalformedError("document", said("office-made-nothing"))
        return made.read_bytes()
