"""A photo of paper: its corners found, flattened, its shadows taken off, its colours kept."""

from __future__ import annotations

import io
from typing import Any

import cv2
import numpy as np
from numpy.typing import NDArray
from PIL import Image

from sunroom.core.errors import MalformedError
from sunroom.core.formats.pictures import JPEG_QUALITY, CleanPicture
from sunroom.core.sentences import said

#: Corners in parts of the photo's width and height, clockwise from the sheet's upper left.
Corners = tuple[tuple[float, float], ...]

#: Rows of pixels; OpenCV does not say of what.
Pixels = NDArray[Any]

#: The photo is looked at this large (px, its longer side), and its light measured this large.
LOOK_PX, LIGHT_PX = 640, 480
#: A sheet fills at least this part of its photo, and its corners are this near to right angles (cosine).
LEAST_PART, SKEW = 0.12, 0.55
#: How clear edges are (two of Canny's pairs), how much of an outline lies on one, and how wide the photo's frame is (px).
EDGES, LEAST_HELD, FRAME = ((15, 45), (50, 150)), 0.55, 3
#: Sides of common sheets, longer to shorter: A4, and the American letter; and how near counts as one of them.
SHEETS, NEAR = (2**0.5, 11 / 8.5), 0.06
#: Below this much perspective a sheet is seen straight on; what cameras' focal lengths are, in longer sides of the photo.
STRAIGHT_ON, LENSES = 0.02, (0.4, 3.0)
#: What is brighter than this part of the paper's light is paper, what is darker than that is as dark as ink gets.
PAPER, INK = 0.86, 0.18
MOST_PX, LEAST_SIDE_PX = 2_400, 16
#: Edges lie a little outside of what they are the edge of.
INWARDS = 0.998


def find_paper(data: bytes) -> Corners | None:
    """The corners of the sheet in a kept picture; None when none is seen."""
    small = pixels_of(data, LOOK_PX)
    smooth = cv2.bilateralFilter(small, 9, 50, 50)
    edges = [cv2.Canny(smooth, low, high) for low, high in EDGES]
    near = cv2.dilate(cv2.bitwise_or(*edges), np.ones((5, 5), np.uint8))
    best, found = 0.0, None
    for mask in _masks(smooth, edges):
        outlines, _ = cv2.findContours(mask, cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_SIMPLE)
        for outline in sorted(outlines, key=cv2.contourArea, reverse=True)[:4]:
            corners = _quadrilateral(outline)
            if corners is None:
                continue
            part = cv2.contourArea(corners.astype(np.float32)) / mask.size
            held, skew = _held(corners, near), _skew(corners)
            if part >= LEAST_PART and skew <= SKEW and held >= LEAST_HELD and part**0.5 * held**2 > best:
                best, found = part**0.5 * held**2, corners
    if found is None:
        return None
    sides = np.array(small.shape[1::-1], dtype=float)
    middle = found.mean(axis=0)
    found = middle + (found - middle) * INWARDS
    return tuple((float(x), float(y)) for x, y in np.clip(_clockwise(found) / sides, 0, 1))


def flatten_paper(data: bytes, corners: Corners, whiten: bool = True) -> CleanPicture:
    """The sheet between ``corners`` of a kept picture as seen from above; ``whiten`` makes its paper white.

    Raises
    ------
    MalformedError
        When the corners are none of a sheet.
    """
    picture = pixels_of(data)
    sides = np.array(picture.shape[1::-1], dtype=np.float32)
    source = (np.clip(np.asarray(corners, dtype=float).reshape(-1, 2), -1, 2) * sides).astype(np.float32)
    if source.shape != (4, 2) or not np.isfinite(source).all() or not cv2.isContourConvex(source):
        raise MalformedError("corners", said("these-are-no-corners"))
    width, height = _flat_size(source, sides)
    if min(width, height) < LEAST_SIDE_PX:
        raise MalformedError("corners", said("these-are-no-corners"))
    goal = np.array([(0, 0), (width, 0), (width, height), (0, height)], dtype=np.float32)
    turn = cv2.getPerspectiveTransform(source, goal)
    flat = cv2.warpPerspective(
        picture, turn, (width, height), flags=cv2.INTER_CUBIC, borderMode=cv2.BORDER_REPLICATE
    )
    if whiten:
        flat = _whitened(flat)
    out = io.BytesIO()
    Image.fromarray(cv2.cvtColor(flat, cv2.COLOR_BGR2RGB)).save(out, "JPEG", quality=JPEG_QUALITY)
    return CleanPicture(out.getvalue(), "image/jpeg", width, height)


def pixels_of(data: bytes, most_px: int = 0) -> Pixels:
    """Rows of blue, green, red, of at most ``most_px`` a side when that is given; what is clear is white."""
    with Image.open(io.BytesIO(data)) as picture:
        if most_px:
            picture.draft("RGB", (most_px, most_px))  # a JPEG is read smaller at once
            picture.thumbnail((most_px, most_px))
        if picture.mode == "RGB":
            return np.ascontiguousarray(np.asarray(picture)[:, :, ::-1])
        clear = Image.new("RGBA", picture.size, "white")
        clear.alpha_composite(picture.convert("RGBA"))
    return np.ascontiguousarray(np.asarray(clear)[:, :, 2::-1])


def _masks(smooth: Pixels, edges: list[Pixels]) -> list[Pixels]:
    """Where a sheet may be, by several looks: what is light, what has little colour, what edges go round."""
    grey = cv2.cvtColor(smooth, cv2.COLOR_BGR2GRAY)
    colour = cv2.cvtColor(smooth, cv2.COLOR_BGR2HSV)[:, :, 1]
    _, light = cv2.threshold(grey, 0, 255, cv2.THRESH_BINARY + cv2.THRESH_OTSU)
    _, plain = cv2.threshold(colour, 0, 255, cv2.THRESH_BINARY_INV + cv2.THRESH_OTSU)
    nine = np.ones((9, 9), np.uint8)
    masks = [
        cv2.morphologyEx(mask, cv2.MORPH_CLOSE, nine)
        for mask in (light, plain, cv2.bitwise_and(light, plain))
    ]
    for found in edges:
        closed = cv2.morphologyEx(found, cv2.MORPH_CLOSE, nine)
        outlines, _ = cv2.findContours(closed, cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_SIMPLE)
        masks.append(cv2.drawContours(np.zeros_like(closed), outlines, -1, 255, cv2.FILLED))
    # Fingers and pens that reach in from the side come off.
    return [cv2.morphologyEx(mask, cv2.MORPH_OPEN, nine) for mask in masks]


def _quadrilateral(outline: Pixels) -> NDArray[np.float64] | None:
    """The four corners that an outline has when small dents are passed over; None when it has more or fewer."""
    hull = cv2.convexHull(outline)
    around = cv2.arcLength(hull, True)
    for tolerance in (0.01, 0.02, 0.03, 0.045):
        corners = cv2.approxPolyDP(hull, tolerance * around, True)
        if len(corners) == 4:
            return corners.reshape(4, 2).astype(float)
    return None


def _held(corners: NDArray[np.float64], near: Pixels) -> float:
    """The part of the outline that lies on an edge of the photo; its frame is none."""
    steps = np.linspace(0, 1, 60)[:, None]
    along = [a + (b - a) * steps for a, b in zip(corners, np.roll(corners, -1, axis=0), strict=True)]
    x, y = np.rint(np.vstack(along)).astype(int).T
    height, width = near.shape
    inside = (x > FRAME) & (x < width - 1 - FRAME) & (y > FRAME) & (y < height - 1 - FRAME)
    return float(np.mean(inside & (near[np.clip(y, 0, height - 1), np.clip(x, 0, width - 1)] > 0)))


def _skew(corners: NDArray[np.float64]) -> float:
    """How far the worst corner is from a right angle, as its cosine."""
    before, after = np.roll(corners, 1, axis=0) - corners, np.roll(corners, -1, axis=0) - corners
    lengths = np.linalg.norm(before, axis=1) * np.linalg.norm(after, axis=1)
    return float(np.max(np.abs((before * after).sum(axis=1)) / np.maximum(lengths, 1e-9)))


def _clockwise(corners: NDArray[np.float64]) -> NDArray[np.float64]:
    """Corners from the upper left one onwards, as they go round on the screen."""
    middle = corners.mean(axis=0)
    turned = corners[np.argsort(np.arctan2(*(corners - middle).T[::-1]))]
    return np.roll(turned, -int(np.argmin(turned.sum(axis=1))), axis=0)


def _flat_size(corners: NDArray[np.float32], photo: NDArray[np.float32]) -> tuple[int, int]:
    """Width and height of the sheet in pixels; those of a common sheet when it is nearly one."""
    lengths = np.linalg.norm(np.roll(corners, -1, axis=0) - corners, axis=1)
    long = max(lengths[0] + lengths[2], lengths[1] + lengths[3]) / 2
    ratio = _ratio(corners, photo)
    for sheet in SHEETS:
        for common in (sheet, 1 / sheet):
            if abs(ratio / common - 1) <= NEAR:
                ratio = common
    scale = min(long, MOST_PX)
    return (round(scale), round(scale / ratio)) if ratio >= 1 else (round(scale * ratio), round(scale))


def _ratio(corners: NDArray[np.float32], photo: NDArray[np.float32]) -> float:
    """How wide the sheet is for its height, as a camera that looks at the photo's middle sees it.

    Source: Zhang and He, Whiteboard scanning and image enhancement, Digital Signal Processing 17 (2007).
    """
    middle = np.hstack([corners - photo / 2, np.ones((4, 1))]).astype(float)
    m1, m2, m4, m3 = middle  # theirs go by rows
    k2 = np.cross(m1, m4) @ m3 / (np.cross(m2, m4) @ m3)
    k3 = np.cross(m1, m4) @ m2 / (np.cross(m3, m4) @ m2)
    n2, n3 = k2 * m2 - m1, k3 * m3 - m1
    lengths = np.linalg.norm(np.roll(corners, -1, axis=0) - corners, axis=1)
    seen = float((lengths[0] + lengths[2]) / (lengths[1] + lengths[3]))
    if min(abs(n2[2]), abs(n3[2])) < STRAIGHT_ON:
        return seen
    far = -(n2[0] * n3[0] + n2[1] * n3[1]) / (n2[2] * n3[2])
    if not (LENSES[0] < far**0.5 / photo.max() < LENSES[1] if far > 0 else False):
        return seen
    length = [np.sqrt((n[0] ** 2 + n[1] ** 2) / far + n[2] ** 2) for n in (n2, n3)]
    return float(length[0] / length[1])


def _whitened(flat: Pixels) -> Pixels:
    """The sheet in even light, its paper white: each colour against the paper's light around it."""
    scale = min(1.0, LIGHT_PX / max(flat.shape[:2]))
    small = cv2.resize(flat, None, fx=scale, fy=scale, interpolation=cv2.INTER_AREA)
    across = max(5, max(small.shape[:2]) // 16) | 1
    light = cv2.morphologyEx(small, cv2.MORPH_CLOSE, np.ones((across, across), np.uint8))
    light = cv2.GaussianBlur(light, (0, 0), across / 2)
    light = cv2.resize(light, flat.shape[1::-1], interpolation=cv2.INTER_LINEAR).astype(np.float32)
    even = flat.astype(np.float32) / np.maximum(light, 16)
    return np.clip((even - INK) / (PAPER - INK) * 255, 0, 255).astype(np.uint8)
