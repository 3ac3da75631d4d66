"""The browser side's own tests, which need no browser: frontend/tests, run by Node."""

from __future__ import annotations

import subprocess
from pathlib import Path
from unittest import TestCase

FRONTEND = Path(__file__).parents[2] / "frontend"


class BrowserSide(TestCase):
    def test_its_parts_keep_their_promises(self) -> None:
        command = ["node", "node_modules/vitest/vitest.mjs", "run", "--no-color"]
        ran = subprocess.run(command, cwd=FRONTEND, capture_output=True, text=True, timeout=1200)
        self.assertEqual(ran.returncode, 0, ran.stdout[-20_000:] + ran.stderr[-5_000:])
