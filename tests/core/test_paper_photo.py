"""Photos of paper: corners found, flattened, whitened, and their ink lifted; on photos that are made here."""

from __future__ import annotations

import io
from unittest import TestCase

import cv2
import numpy as np
from numpy.typing import NDArray
from PIL import Image

from sunroom.core.errors import MalformedError
from sunroom.core.formats.lifted_ink import lift_ink, paced
from sunroom.core.formats.paper_photo import find_paper, flatten_paper
from sunroom.core.ink import pack_samples, unpack_samples
from tests.paper_photos import BLUE, HEIGHT, RED, WIDTH, photo

DESKS = {"oak": (150, 110, 70), "slate": (60, 55, 50), "grey": (130, 130, 135), "green": (80, 120, 90)}


def as_png(picture: NDArray[np.uint8]) -> bytes:
    out = io.BytesIO()
    Image.fromarray(picture).save(out, "PNG")
    return out.getvalue()


class Sheets(TestCase):
    def test_corners_are_found_on_every_desk(self) -> None:
        for name, desk in DESKS.items():
            for seed in range(6):
                data, corners, _ = photo(np.random.default_rng(seed), desk)
                found = find_paper(data)
                assert found is not None, f"{name} {seed}"
                self.assertLess(np.abs(np.array(found) - corners).max(), 0.012, f"{name} {seed}")

    def test_where_there_is_no_sheet_none_is_found(self) -> None:
        rng = np.random.default_rng(1)
        desk = np.clip(rng.normal(120, 6, (900, 700, 3)), 0, 255).astype(np.uint8)
        self.assertIsNone(find_paper(as_png(desk)))
        self.assertIsNone(find_paper(as_png(np.full((40, 60, 3), 255, np.uint8))))

    def test_a_flat_sheet_has_its_shape_its_white_and_its_colours(self) -> None:
        for seed in range(4):
            data, corners, written = photo(np.random.default_rng(seed), DESKS["oak"])
            flat = flatten_paper(data, tuple(map(tuple, corners)))
            self.assertAlmostEqual(flat.height_px / flat.width_px, 2**0.5, delta=0.01)
            pixels = cv2.resize(np.asarray(Image.open(io.BytesIO(flat.data))), (WIDTH, HEIGHT))
            inner = (slice(40, -40), slice(40, -40))
            paper = (written > 240).all(axis=2)[inner]
            self.assertGreater(np.percentile(pixels[inner][paper], 5), 235, "shadow and lamp are off")
            box = pixels[1_290:1_310, 660:740].reshape(-1, 3).mean(axis=0)
            self.assertEqual(int(np.argmax(box)), 2, f"{BLUE} stays blue, is {box}")
            left = flatten_paper(data, tuple(map(tuple, corners)), whiten=False)
            self.assertLess(np.asarray(Image.open(io.BytesIO(left.data))).mean(), pixels.mean())

    def test_corners_that_are_none_get_a_sentence(self) -> None:
        data = photo(np.random.default_rng(0), DESKS["oak"])[0]
        crossed = ((0.1, 0.1), (0.9, 0.9), (0.9, 0.1), (0.1, 0.9))
        point = ((0.5, 0.5),) * 4
        for corners in (crossed, point, crossed[:3], ((float("nan"), 0.1), *crossed[1:])):
            with self.assertRaises(MalformedError):
                flatten_paper(data, corners)


class Ink(TestCase):
    def test_the_strokes_of_a_flat_sheet_run_where_its_ink_is(self) -> None:
        data, corners, written = photo(np.random.default_rng(3), DESKS["oak"])
        flat = flatten_paper(data, tuple(map(tuple, corners)))
        strokes = lift_ink(flat.data)
        self.assertTrue(
            12 <= len(strokes) <= 16, f"12 lines were written, {len(strokes)} strokes were lifted"
        )
        to_sheet = np.array([WIDTH / flat.width_px, HEIGHT / flat.height_px])
        ink = cv2.distanceTransform((written > 128).all(axis=2).astype(np.uint8), cv2.DIST_L2, 5)
        for stroke in strokes:
            x, y = np.rint(stroke.points[:, :2] * to_sheet).astype(int).T
            self.assertLess(np.percentile(ink[y.clip(0, HEIGHT - 1), x.clip(0, WIDTH - 1)], 90), 6)
        reds = [s for s in strokes if int(s.colour[1:3], 16) > 120 and int(s.colour[3:5], 16) < 80]
        self.assertGreaterEqual(len(reds), 4, f"four lines were written in {RED}")
        samples = unpack_samples(pack_samples(paced(strokes[0].points)))
        self.assertTrue((np.diff(samples[:, 3]) >= 0).all())

    def test_nothing_is_lifted_from_white_paper_or_a_surface(self) -> None:
        self.assertEqual(lift_ink(as_png(np.full((400, 300, 3), 255, np.uint8))), [])
        surface = np.full((400, 300, 3), 255, np.uint8)
        surface[100:300, 100:200] = 30
        self.assertEqual(lift_ink(as_png(surface)), [])
        self.assertEqual(lift_ink(as_png(np.full((2, 2, 3), 255, np.uint8))), [])

    def test_what_would_take_long_to_follow_is_not_followed(self) -> None:
        noise = (np.random.default_rng(1).random((1_600, 1_600)) > 0.5).astype(np.uint8) * 255
        hatched = np.full((1_600, 1_600), 255, np.uint8)
        hatched[::12] = hatched[1::12] = hatched[:, ::40] = 0
        for name, grey in (("noise", noise), ("hatched", hatched)):
            written = np.repeat(grey[:, :, None], 3, 2)
            self.assertEqual(lift_ink(as_png(written)), [], name)

    def test_a_word_beside_a_grid_that_is_too_much_is_lifted_all_the_same(self) -> None:
        page = np.full((1_600, 1_600, 3), 255, np.uint8)
        page[0:1_200:14] = page[1:1_200:14] = page[0:1_200, 0:2] = 0
        cv2.line(page, (200, 1_400), (1_200, 1_450), (0, 0, 0), 4, cv2.LINE_AA)
        (stroke,) = lift_ink(as_png(page))
        self.assertGreater(stroke.points[:, 1].min(), 1_300)
