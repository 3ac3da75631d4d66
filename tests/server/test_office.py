"""Office documents: through a program that makes PDFs of them, which here is a small stand-in of ours."""

from __future__ import annotations

import shutil
import stat
import tempfile
from pathlib import Path
from unittest import mock, skipUnless

from sunroom.boards.models import Document, Picture
from sunroom.live.work import office
from tests.browser.base import wait_for
from tests.core.test_documents import document
from tests.server.test_documents import DocumentsTest
from tests.words import in_words

#: Does as LibreOffice does when it is asked to convert a file: the PDF lies beside it, or nothing does.
MAKES = """#!/bin/sh
while [ "$1" != --outdir ]; do shift; done
cp "{pdf}" "$2/document.pdf"
"""
FAILS = "#!/bin/sh\nexit 1\n"
HANGS = "#!/bin/sh\nsleep 600 &\necho $! > {pid}\nsleep 600\n"


class Office(DocumentsTest):
    def setUp(self) -> None:
        super().setUp()
        self.folder = Path(tempfile.mkdtemp())
        self.addCleanup(shutil.rmtree, self.folder)

    def program(self, script: str) -> str:
        file = self.folder / "office"
        file.write_text(script)
        file.chmod(file.stat().st_mode | stat.S_IEXEC)
        return str(file)

    def sent(self, program: str) -> tuple[int, object]:
        with self.settings(OFFICE=program):
            return self.send(self.tutor_web, b"PK\x03\x04 a document", f"{self.path}?name=Worksheet.docx")

    def test_its_pages_are_chosen_as_those_of_a_pdf(self) -> None:
        pdf = self.folder / "made.pdf"
        pdf.write_bytes(document("one", "two"))
        status, opened = self.sent(self.program(MAKES.format(pdf=pdf)))
        self.assertEqual((status, len(opened["sizes"])), (201, 2))  # type: ignore[index]
        self.assertTrue(bytes(Document.objects.get().data).startswith(b"%PDF"))

    def test_without_the_program_or_a_pdf_it_is_said_what_to_do(self) -> None:
        for program, words in (
            ("no-such-program", "Save it as a PDF"),
            (self.program(FAILS), "No PDF could be made"),
        ):
            status, answer = self.sent(program)
            self.assertEqual(status, 400)
            self.assertIn(words, in_words(answer["problem"]))  # type: ignore[index]
        self.assertFalse(Document.objects.exists())

    def test_one_that_hangs_is_ended_with_all_that_it_began(self) -> None:
        pid = self.folder / "pid"
        with mock.patch.object(office, "LIMIT_S", 5.0):
            status, answer = self.sent(self.program(HANGS.format(pid=pid)))
        self.assertEqual(status, 400)
        self.assertIn("too long", in_words(answer["problem"]))  # type: ignore[index]
        stat_file = Path(f"/proc/{pid.read_text().strip()}/stat")

        def ended() -> bool:
            try:
                return stat_file.read_text().rpartition(")")[2].split()[0] in "ZX"
            except (FileNotFoundError, ProcessLookupError):
                return True

        # What was killed is gone when the machine comes to it.
        wait_for(ended, "what it had begun to be ended")
        self.assertFalse(list(Path(office.settings.DATA_DIR).glob("office-*")), "nothing of it stays")

    @skipUnless(shutil.which("soffice"), "LibreOffice is not installed here")
    def test_libreoffice_itself_makes_one(self) -> None:
        file = self.folder / "a.rtf"
        file.write_text(r"{\rtf1 Shadows at noon}")
        self.assertTrue(office.as_pdf("a.rtf", file).startswith(b"%PDF"))


class Words(DocumentsTest):
    def test_the_words_of_a_pdfs_pages_are_found_on_the_boards_that_show_them(self) -> None:
        _, opened = self.send(self.tutor_web, document("shadows at noon", "moon"))
        _, taken = self.send(self.tutor_web, b"{}", f"{self.path}/{opened['id']}/1")
        self.assertIn("shadows at noon", Picture.objects.get(uid=taken["id"]).words)
        self.put(taken["id"])
        found = self.looked_up("noon")
        self.assertEqual(len(found), 1)
        self.assertEqual(self.looked_up("moon"), [], "that page was not brought in")
