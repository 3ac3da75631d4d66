"""The ink of a flattened sheet as strokes that can be moved, read and rubbed out."""

from __future__ import annotations

import cv2
import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.formats.paper_photo import LEAST_SIDE_PX, Pixels, pixels_of
from sunroom.core.geometry import simplify
from sunroom.core.ink.tracing import trace_picture

#: Ink is so much darker than the paper around it, in some colour (of 255): the lines of ruled paper mostly are not.
DARKER = 70
#: The paper's light is the median over so much of the longer side.
AROUND = 24
#: Paper in the shade has at least so much of the sheet's light.
SHADE = 0.6
#: Specks of less than this many px are dust; lines thicker than this part of the longer side are pictures, not ink.
DUST_PX, THICKEST = 9, 0.02
MOST_STROKES = 2_000
#: The longer side (px) of what is looked at: more only takes time.
LOOK_PX = 1_600
#: What is left of a sharp bend beside a longer stroke is shorter than so many halves of the line.
STUB = 4.0
#: How long a pen takes for a px of a photo of a sheet.
MS_A_PX = 2.0
#: A sheet of which more is dark is no writing; and of writing so many dark px (in parts of all) are looked at, the largest
#: pieces first: to follow lines takes time.
MOST_DARK, MOST_FOLLOWED = 0.2, 0.1
#: How far a stroke may run beside the traced pixels.
TOLERANCE_PX = 0.4


class LiftedStroke(msgspec.Struct, frozen=True):
    """Points ((N, 3): x and y in px, pressure 0–1), the line's width in px, its colour as #rrggbb."""

    points: NDArray[np.float64]
    width: float
    colour: str


def lift_ink(data: bytes) -> list[LiftedStroke]:
    """The strokes in a kept picture of a sheet, in lines from the top, at most ``MOST_STROKES``."""
    picture = pixels_of(data)
    if min(picture.shape[:2]) < LEAST_SIDE_PX:
        return []
    scale = min(1.0, LOOK_PX / max(picture.shape[:2]))
    picture = cv2.resize(picture, None, fx=scale, fy=scale, interpolation=cv2.INTER_AREA)
    longer = max(picture.shape[:2])
    small = cv2.resize(picture, None, fx=0.25, fy=0.25, interpolation=cv2.INTER_AREA)
    light = cv2.medianBlur(small, max(3, longer // 4 // AROUND) | 1)
    # Inside a dark surface there is no paper to see: it is never taken for much darker than the sheet mostly is.
    light = np.maximum(light, (SHADE * np.median(small, axis=(0, 1))).astype(np.uint8))
    paper = cv2.resize(light, picture.shape[1::-1], interpolation=cv2.INTER_LINEAR)
    solid = (cv2.subtract(paper, picture).max(axis=2) > DARKER).astype(np.uint8)
    if solid.mean() > MOST_DARK:
        return []
    _, parts, stats, _ = cv2.connectedComponentsWithStats(solid, connectivity=8)
    largest = np.argsort(-stats[1:, cv2.CC_STAT_AREA])[:MOST_STROKES] + 1
    strokes: list[LiftedStroke] = []
    room = MOST_FOLLOWED * solid.size
    for part in largest[stats[largest, cv2.CC_STAT_AREA] >= DUST_PX]:
        x, y, width, height, area = (int(v) for v in stats[part])
        if area > room:
            continue
        room -= area
        own = (parts[y : y + height, x : x + width] == part).astype(np.uint8)
        strokes += _strokes(own, picture[y : y + height, x : x + width], (x, y), THICKEST * longer)
    strokes.sort(
        key=lambda stroke: (round(float(stroke.points[:, 1].mean()) / (longer / 40)), stroke.points[0, 0])
    )
    return [
        LiftedStroke(stroke.points / (scale, scale, 1), stroke.width / scale, stroke.colour)
        for stroke in strokes[:MOST_STROKES]
    ]


def paced(points: NDArray[np.float64]) -> NDArray[np.float64]:
    """The points as samples ((N, 4): x, y, pressure, time in ms) of a pen that went at an even speed."""
    steps = np.hypot(*np.diff(points[:, :2], axis=0).T)
    return np.column_stack([points, np.concatenate([[0.0], np.cumsum(steps) * MS_A_PX])])


def _length(points: NDArray[np.float64]) -> float:
    return float(np.hypot(*np.diff(points[:, :2], axis=0).T).sum())


def _strokes(own: Pixels, picture: Pixels, at: tuple[int, int], thickest: float) -> list[LiftedStroke]:
    """The strokes of one part of the ink; none when it is no line but a surface."""
    depth = cv2.distanceTransform(np.pad(own, 1), cv2.DIST_L2, 5)[1:-1, 1:-1]
    half = float(np.percentile(depth[own > 0], 80))
    if 2 * half > thickest:
        return []
    # The colour of the line's middle: its edge is half paper.
    blue, green, red = np.median(picture[(own > 0) & (depth >= half * 0.8)], axis=0).astype(int)
    colour = f"#{red:02x}{green:02x}{blue:02x}"
    found = []
    traced = trace_picture(np.pad(own, 2), max(half, 1.5))
    longest = max(_length(points) for points in traced)
    for points in traced:
        if _length(points) < min(STUB * half, longest):
            continue
        kept = points[simplify(points[:, :2], TOLERANCE_PX)] if len(points) > 2 else points
        kept[:, :2] += (at[0] - 2 + 0.5, at[1] - 2 + 0.5)
        found.append(LiftedStroke(kept, 2 * half, colour))
    return found
