"""Samples and outlines of strokes."""

from __future__ import annotations

import json
import subprocess
import tempfile
from functools import cache
from pathlib import Path
from unittest import TestCase

import cv2
import numpy as np
import pypdfium2
from hypothesis import given

from sunroom.core.errors import MalformedError
from sunroom.core.formats import PdfDrawing
from sunroom.core.geometry import Box, path_length, resample, simplify, smooth_centreline
from sunroom.core.ink import MAX_SAMPLES, outline, pack_samples, uniform, unpack_samples
from tests import strategies as make

ROOT = Path(__file__).parents[2]
GOLDEN = ROOT / "tests" / "golden" / "ink.json"


class Samples(TestCase):
    @given(make.sample_arrays())
    def test_bytes_keep_every_sample(self, samples: np.ndarray) -> None:
        np.testing.assert_allclose(unpack_samples(pack_samples(samples)), samples, atol=1e-9)

    def test_a_number_that_is_none_is_refused(self) -> None:
        for bad in (np.nan, np.inf, -np.inf, 2e6):
            samples = np.array([(0, 0, 0.5, 0), (bad, 1, 0.5, 8)])
            with self.assertRaises(MalformedError) as caught:
                unpack_samples(pack_samples(samples))
            self.assertEqual(caught.exception.field, "samples")

    def test_no_sample_a_rest_of_bytes_and_a_million_points_are_refused(self) -> None:
        for data in (b"", b"12345", bytes(11 * (MAX_SAMPLES + 1)), bytes(11 * 1_000_000)):
            with self.assertRaises(MalformedError):
                unpack_samples(data)

    def test_a_long_stroke_s_clock_stays_at_its_end(self) -> None:
        samples = np.array([(0, 0, 0.5, 0), (9, 9, 0.5, 90_000)])
        self.assertEqual(unpack_samples(pack_samples(samples))[-1, 3], 65_535)


class Outlines(TestCase):
    def pictures(self, samples: np.ndarray, width: float) -> tuple[np.ndarray, np.ndarray]:
        """The stroke as a file shows it, and as a round nib set down all along its curve would."""
        drawing = PdfDrawing(make.even_typesetter(), "One stroke")
        drawing.begin_page(Box(0, 0, 400, 400), "#fffefa")
        drawing.fill(outline("pen", samples, width), False, "#000000", 1.0)
        page = pypdfium2.PdfDocument(drawing.finish())[0]
        filled = 255 - np.array(page.render(scale=1 / 0.75).to_pil().convert("L"))
        filled = np.where(filled > 127, 255, 0).astype(np.uint8)
        curve = smooth_centreline(samples[:, :3])
        discs = np.zeros((400, 400), np.uint8)
        for x, y, pressure in resample_rows(curve):
            radius = width * (0.45 + 1.1 * pressure) / 2
            cv2.circle(discs, (round(x * 16), round(y * 16)), round(radius * 16), 255, -1, shift=4)
        return filled, discs

    def test_the_outline_covers_what_a_round_nib_covers(self) -> None:
        rng = np.random.default_rng(4)
        for _ in range(25):
            points = rng.uniform(60, 340, (6, 2))
            samples = np.column_stack([points, rng.uniform(0.1, 1, 6), np.arange(6) * 8])
            filled, discs = self.pictures(samples, 14)
            missing = int(((discs > 0) & (cv2.dilate(filled, np.ones((5, 5))) == 0)).sum())
            too_much = int(((filled > 0) & (cv2.dilate(discs, np.ones((7, 7))) == 0)).sum())
            self.assertLess(missing, 0.01 * (discs > 0).sum(), "the outline has a notch")
            self.assertLess(too_much, 0.03 * (discs > 0).sum(), "the outline spills over")

    def test_a_dot_is_a_disc(self) -> None:
        (disc,) = outline("pen", np.array([(10.0, 10.0, 0.5, 0.0)]), 4)
        np.testing.assert_allclose(np.hypot(*(disc - 10).T), 2, rtol=0.02)

    def test_a_pen_that_stands_still_makes_no_nan(self) -> None:
        samples = np.array([(5.0, 5.0, p, 0.0) for p in (0.1, 0.5, 0.9)])
        self.assertTrue(all(np.isfinite(polygon).all() for polygon in outline("pen", samples, 4)))

    def test_even_pressure_is_told_from_a_pen_s(self) -> None:
        even = np.array([(0, 0, 0.5, 0), (9, 9, 0.5, 8)])
        self.assertTrue(uniform("pen", even))
        self.assertFalse(uniform("pen", even + np.array([[0, 0, 0, 0], [0, 0, 0.2, 0]])))


class GoldenInk(TestCase):
    """The browser draws ink by the same rule: both are held to one file of vectors."""

    def test_python_draws_the_golden_outlines(self) -> None:
        for case in json.loads(GOLDEN.read_text()):
            samples = unpack_samples(bytes.fromhex(case["samples"]))
            for polygon, expected in zip(
                outline(case["nib"], samples, case["width"]), case["outline"], strict=True
            ):
                np.testing.assert_allclose(polygon.ravel(), expected, atol=2e-3)

    def test_the_browser_draws_the_golden_outlines(self) -> None:
        script = f"""
            import {{ outline, unpackSamples }} from './golden.js'
            import {{ readFileSync }} from 'node:fs'
            const cases = JSON.parse(readFileSync({str(GOLDEN)!r}, 'utf8'))
            console.log(JSON.stringify(cases.map((c) =>
                outline(c.nib, unpackSamples(Uint8Array.from(Buffer.from(c.samples, 'hex'))), c.width))))
        """
        source = "export * from '/src/ink/outline.ts'\nexport * from '/src/ink/samples.ts'\n"
        outlines = json.loads(run_in_node(source, script))
        for case, polygons in zip(json.loads(GOLDEN.read_text()), outlines, strict=True):
            for polygon, expected in zip(polygons, case["outline"], strict=True):
                np.testing.assert_allclose(polygon, expected, atol=2e-3)


class Geometry(TestCase):
    def test_simplifying_leaves_no_point_further_off_than_allowed(self) -> None:
        points = np.cumsum(np.random.default_rng(2).normal(0, 3, (200, 2)), axis=0)
        kept = simplify(points, 2.0)
        for a, b in zip(kept, kept[1:], strict=False):
            chord = points[b] - points[a]
            offsets = points[a : b + 1] - points[a]
            away = np.abs(offsets[:, 0] * chord[1] - offsets[:, 1] * chord[0]) / max(np.hypot(*chord), 1e-9)
            self.assertLessEqual(away.max(), 2.0 + 1e-6)

    def test_resampled_points_lie_at_equal_distances(self) -> None:
        points = resample(np.array([(0.0, 0.0), (10.0, 0.0), (10.0, 30.0)]), 5)
        np.testing.assert_allclose(np.hypot(*np.diff(points, axis=0).T), 10)
        self.assertEqual(path_length(np.zeros((1, 2))), 0)
        np.testing.assert_array_equal(resample(np.zeros((2, 2)), 3), np.zeros((3, 2)))

    def test_boxes_join_and_overlap(self) -> None:
        joined = Box.union([Box(0, 0, 1, 1), Box(5, 5, 6, 7)])
        self.assertEqual(joined, Box(0, 0, 6, 7))
        self.assertIsNone(Box.union([]))
        self.assertTrue(Box(0, 0, 2, 2).overlaps(Box(2, 2, 3, 3)))
        self.assertFalse(Box(0, 0, 2, 2).overlaps(Box(2.1, 0, 3, 3)))


def resample_rows(rows: np.ndarray) -> np.ndarray:
    """Rows at every half unit along the curve, all columns blended."""
    along = np.concatenate([[0], np.cumsum(np.hypot(*np.diff(rows[:, :2], axis=0).T))])
    wanted = np.arange(0, along[-1], 0.5)
    return np.column_stack([np.interp(wanted, along, rows[:, column]) for column in range(rows.shape[1])])


def run_in_node(source: str, script: str, given: bytes = b"") -> str:
    """Bundle TypeScript modules of the frontend and run ``script``, which imports them as ./golden.js
    and gets ``given`` on its standard input."""
    with tempfile.TemporaryDirectory() as folder:
        out = Path(folder)
        (out / "golden.js").write_text(bundled(source))
        (out / "package.json").write_text('{"type": "module"}')
        (out / "script.js").write_text(script)
        # The bundle leaves packages out; they are found where the frontend has them.
        (out / "node_modules").symlink_to(ROOT / "frontend" / "node_modules")
        done = subprocess.run(["node", "script.js"], cwd=out, capture_output=True, input=given)
        if done.returncode:
            raise AssertionError(done.stderr.decode())
        return done.stdout.decode()


@cache
def bundled(source: str) -> str:
    """The modules that ``source`` exports as one piece of JavaScript; made once for all tests."""
    with tempfile.TemporaryDirectory() as folder:
        out = Path(folder)
        entry = ROOT / "frontend" / f".golden-{out.name}.ts"
        entry.write_text(source.replace("'/src/", "'./src/"))
        try:
            subprocess.run(
                ["npx", "vite", "build", "--ssr", entry.name, "--outDir", folder, "--logLevel", "error"],
                cwd=ROOT / "frontend",
                check=True,
                capture_output=True,
            )
        finally:
            entry.unlink()
        (built,) = out.glob("*.js")
        return built.read_text()
