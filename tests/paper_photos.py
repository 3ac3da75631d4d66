"""Made-up photos of a sheet of paper on a desk: where its corners are is known."""

from __future__ import annotations

import io

import cv2
import numpy as np
from numpy.typing import NDArray
from PIL import Image

WIDTH, HEIGHT = 1_000, 1_414
RED, BLUE, DARK = (200, 40, 40), (40, 70, 180), (40, 45, 55)


def sheet(rng: np.random.Generator) -> NDArray[np.uint8]:
    """A written A4 sheet, ``HEIGHT`` by ``WIDTH`` by 3: dark, red and blue lines, and a filled box of blue."""
    paper = np.full((HEIGHT, WIDTH, 3), 250, np.uint8)
    for row in range(12):
        y = 150 + 95 * row
        points = [(90, y)]
        while points[-1][0] < WIDTH - 150:
            x, _ = points[-1]
            points.append((x + int(rng.integers(8, 30)), y + int(rng.integers(-16, 16))))
        colour = (DARK, RED, BLUE)[row % 3]
        cv2.polylines(paper, [np.array(points, np.int32)], False, colour, 4, cv2.LINE_AA)
    cv2.rectangle(paper, (640, 1_270), (760, 1_330), BLUE, -1)
    return paper


def _seen(rng: np.random.Generator, tilt: float, width: int, height: int) -> NDArray[np.float64]:
    """Corners of the sheet (4 by 2, in parts of the photo) before a camera that is tilted up to ``tilt`` radians."""
    pitch, yaw, roll = rng.uniform(-tilt, tilt, 3) * (1, 1, 0.5)
    turn, _ = cv2.Rodrigues(np.array([pitch, yaw, 0.0]))
    about, _ = cv2.Rodrigues(np.array([0.0, 0.0, roll]))
    flat = np.array([(-0.5, -0.707), (0.5, -0.707), (0.5, 0.707), (-0.5, 0.707)])
    space = (turn @ about @ np.hstack([flat, np.zeros((4, 1))]).T).T + (*rng.uniform(-0.08, 0.08, 2), 2.1)
    focal = 0.85 * height
    return (space[:, :2] / space[:, 2:] * focal + (width / 2, height / 2)) / (width, height)


def photo(
    rng: np.random.Generator, desk: tuple[int, int, int], tilt: float = 0.35, noise: float = 4.0
) -> tuple[bytes, NDArray[np.float64], NDArray[np.uint8]]:
    """A photo of a sheet as a JPEG, its corners in parts of the sides (4 by 2), and the sheet itself."""
    written = sheet(rng)
    width, height = 1_500, 2_000
    corners = _seen(rng, tilt, width, height)
    goal = (corners * (width, height)).astype(np.float32)
    source = np.array([(0, 0), (WIDTH, 0), (WIDTH, HEIGHT), (0, HEIGHT)], np.float32)
    turn = cv2.getPerspectiveTransform(source, goal)
    grain = cv2.GaussianBlur(
        rng.normal(0, 1, (height, width)).astype(np.float32), (0, 0), sigmaX=40, sigmaY=2
    )
    table = np.array(desk, np.float32) + 60 * (grain / grain.std() * 0.1)[:, :, None]
    lies = cv2.warpPerspective(
        np.ones((HEIGHT, WIDTH), np.float32), turn, (width, height), flags=cv2.INTER_LINEAR
    )
    shown = cv2.warpPerspective(written, turn, (width, height), flags=cv2.INTER_AREA).astype(np.float32)
    scene = table * (1 - lies[:, :, None]) + shown * lies[:, :, None]
    # One lamp, and the shadow of whoever takes the photo.
    y, x = np.mgrid[0:height, 0:width] / max(width, height)
    lamp = 1 - 0.35 * np.hypot(x - rng.uniform(0, 0.7), y - rng.uniform(0, 0.5))
    shadow = 1 - 0.3 / (1 + np.exp(-(x + y - rng.uniform(0.7, 1.3)) * 30))
    scene *= (lamp * shadow)[:, :, None] * np.array((1.0, 0.96, 0.86), np.float32)
    scene += rng.normal(0, noise, scene.shape)
    out = io.BytesIO()
    Image.fromarray(np.clip(scene, 0, 255).astype(np.uint8)).save(out, "JPEG", quality=85)
    return out.getvalue(), corners, written
