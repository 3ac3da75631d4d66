"""Drawn letters to pen strokes: the middle lines of a font's glyphs, or of a picture of a digit.

    python -m training.trace FONT.woff2 OUT.json [SOURCE]

OUT.json holds {"source": …, "glyphs": {character: {"advance": …, "strokes": [[[x, y, pressure], …], …]}}};
1 unit is the font's size, the baseline is y = 0, y down. demo/hand.json was made so from
caveat-latin-400-normal.woff2 of the npm package @fontsource/caveat 5.3.0.
"""

from __future__ import annotations

import io
import json
import sys
from collections import defaultdict
from pathlib import Path
from typing import Any

import cv2
import numpy as np
from fontTools.ttLib import TTFont
from PIL import Image, ImageDraw, ImageFont

from sunroom.core.geometry import simplify

SIZE_PX = 240
CHARACTERS = (
    "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789"
    ".,:;!?'\"()[]{}<>+-=*/%°×÷±&€$£@#²³àâäçéèêëîïôöùûüÿñáíóúßœæ¿¡ÀÂÄÇÉÈÊÔÖÜÑ"
)
#: Points nearer than this (in font sizes) to the line without them are left out.
TOLERANCE = 0.0025
#: Side branches of the middle line shorter than this are the corners of a blunt pen.
SPUR_PX = 12
#: Two lines that cross share at most about their thickness.
BRIDGE_PX = 22
#: Middle lines are smoothed over so many pixels: thinning leaves steps of one.
SMOOTHING = 5

Pixel = tuple[int, int]


def main() -> None:
    font_file, out = Path(sys.argv[1]), Path(sys.argv[2])
    source = sys.argv[3] if len(sys.argv) > 3 else font_file.stem
    glyphs = trace_font(font_file)
    out.write_text(json.dumps({"source": source, "glyphs": glyphs}, ensure_ascii=False))
    print(f"{out}: {len(glyphs)} characters")


def trace_font(font_file: Path) -> dict[str, Any]:
    """Advance and strokes of each of ``CHARACTERS`` that the font has."""
    font = TTFont(font_file)
    font.flavor = None
    plain = io.BytesIO()
    font.save(plain)
    plain.seek(0)
    face = ImageFont.truetype(plain, SIZE_PX)
    found = {
        character: {
            "advance": round(face.getlength(character) / SIZE_PX, 4),
            "strokes": trace(character, face),
        }
        for character in CHARACTERS
        if ord(character) in font.getBestCmap()
    }
    return {character: glyph for character, glyph in found.items() if glyph["strokes"]}


def trace(character: str, face: ImageFont.FreeTypeFont) -> list[list[list[float]]]:
    """Strokes of one character, left to right, each from its upper left end."""
    image = Image.new("L", (SIZE_PX * 2, SIZE_PX * 2))
    origin = (SIZE_PX // 2, SIZE_PX + SIZE_PX // 4)
    ImageDraw.Draw(image).text(origin, character, fill=255, font=face, anchor="ls")
    solid = (np.array(image) > 127).astype(np.uint8)
    strokes = [(points - (*origin, 0)) / (SIZE_PX, SIZE_PX, 1) for points in trace_picture(solid)]
    rows = [np.round(stroke[simplify(stroke[:, :2], TOLERANCE)], 3).tolist() for stroke in strokes]
    return sorted(rows, key=lambda stroke: min(row[0] for row in stroke))


def trace_picture(solid: np.ndarray) -> list[np.ndarray]:
    """Strokes of a black and white picture: (N, 3) arrays of x, y in px and pressure."""
    if not solid.any():
        return []
    top, left = (max(int(np.flatnonzero(solid.any(axis=axis))[0]) - 2, 0) for axis in (1, 0))
    bottom, right = (int(np.flatnonzero(solid.any(axis=axis))[-1]) + 3 for axis in (1, 0))
    cut = solid[top:bottom, left:right]
    depth = cv2.distanceTransform(cut, cv2.DIST_L2, 5)
    line = thin(cut)
    typical = np.median(depth[line > 0]) if line.any() else 1.0
    strokes = []
    paths = _strokes(line)
    for path in [*paths, *_dots(cut, depth, paths)]:
        points = np.array([(x, y) for y, x in path], dtype=float)
        points = _smooth(points, closed=len(path) > 2 and path[0] == path[-1])
        row, column = points[:, 1].astype(int), points[:, 0].astype(int)
        force = depth[row.clip(0, cut.shape[0] - 1), column.clip(0, cut.shape[1] - 1)] / typical * 0.5
        strokes.append(np.column_stack([points + (left, top), force.clip(0, 1)]))
    return strokes


def thin(solid: np.ndarray) -> np.ndarray:
    """The middle line of a picture, one pixel wide (Zhang & Suen 1984)."""
    image = np.pad(solid.astype(bool), 1)
    while True:
        before = image.sum()
        for first in (True, False):
            p = [
                np.roll(image, shift, (0, 1))
                for shift in ((1, 0), (1, -1), (0, -1), (-1, -1), (-1, 0), (-1, 1), (0, 1), (1, 1))
            ]
            neighbours = sum(layer.astype(int) for layer in p)
            rises = sum((~p[i] & p[(i + 1) % 8]).astype(int) for i in range(8))
            a, b = (
                ((p[0] & p[2] & p[4]), (p[2] & p[4] & p[6]))
                if first
                else ((p[0] & p[2] & p[6]), (p[0] & p[4] & p[6]))
            )
            image &= ~(image & (neighbours >= 2) & (neighbours <= 6) & (rises == 1) & ~a & ~b)
        if image.sum() == before:
            return image[1:-1, 1:-1].astype(np.uint8)


def _dots(solid: np.ndarray, depth: np.ndarray, paths: list[list[Pixel]]) -> list[list[Pixel]]:
    """What has no length has no middle line: a round dot is one pixel, its deepest."""
    count, parts = cv2.connectedComponents(solid)
    drawn = {int(parts[pixel]) for path in paths for pixel in path}
    return [
        [tuple(int(v) for v in np.unravel_index(np.argmax(np.where(parts == part, depth, -1)), depth.shape))]
        for part in range(1, count)
        if part not in drawn
    ]


def _strokes(line: np.ndarray) -> list[list[Pixel]]:
    """The middle line as paths that run straight on through crossings."""
    pixels = {(int(y), int(x)) for y, x in zip(*np.nonzero(line), strict=True)}
    edges = _edges(pixels)
    edges = [e for e in edges if len(e) >= SPUR_PX or not _is_spur(e, edges)]
    return _joined(_without_bridges(edges))


def _without_bridges(edges: list[list[Pixel]]) -> list[list[Pixel]]:
    """Two thick lines that cross leave two crossings and a short bridge: made one crossing again."""
    edges = [list(e) for e in edges]
    while True:
        ends = [end for e in edges for end in (e[0], e[-1])]
        bridge = next(
            (
                e
                for e in edges
                if len(e) < BRIDGE_PX and e[0] != e[-1] and min(ends.count(e[0]), ends.count(e[-1])) > 2
            ),
            None,
        )
        if bridge is None:
            return edges
        edges.remove(bridge)
        middle = bridge[len(bridge) // 2]
        for e in edges:
            for at in (0, -1):
                if e[at] in (bridge[0], bridge[-1]):
                    e[at] = middle


def _near(pixel: Pixel) -> list[Pixel]:
    y, x = pixel
    return [
        (y + dy, x + dx) for dy, dx in ((0, 1), (1, 0), (0, -1), (-1, 0), (1, 1), (1, -1), (-1, 1), (-1, -1))
    ]


def _edges(pixels: set[Pixel]) -> list[list[Pixel]]:
    """Runs of pixels between ends and crossings; a crossing's pixels count as one place."""
    degree = {p: sum(n in pixels for n in _near(p)) for p in pixels}
    crossing = {p for p in pixels if degree[p] > 2}
    place: dict[Pixel, Pixel] = {}
    for pixel in crossing:
        if pixel in place:
            continue
        group, queue = [pixel], [pixel]
        place[pixel] = pixel
        while queue:
            for n in _near(queue.pop()):
                if n in crossing and n not in place:
                    place[n] = pixel
                    group.append(n)
                    queue.append(n)
        centre = tuple(int(v) for v in np.mean(group, axis=0))
        for member in group:
            place[member] = centre
    rest, edges = pixels - crossing, []
    ends = [p for p in rest if sum(n in rest for n in _near(p)) <= 1]
    for start in [*sorted(ends), *sorted(rest)]:
        if start not in rest:
            continue
        path = [start]
        rest.discard(start)
        while nexts := [n for n in _near(path[-1]) if n in rest]:
            path.append(nexts[0])
            rest.discard(nexts[0])
        before = next((place[n] for n in _near(path[0]) if n in place), None)
        after = next((place[n] for n in _near(path[-1]) if n in place and place[n] != before), None)
        if after is None and len(path) > 4:
            after = next((place[n] for n in _near(path[-1]) if n in place), None)
        if before is None and after is None and path[-1] in _near(path[0]) and len(path) > 8:
            path.append(path[0])
        edges.append([p for p in (before, *path, after) if p is not None])
    return edges


def _is_spur(edge: list[Pixel], edges: list[list[Pixel]]) -> bool:
    ends = [sum(end in (e[0], e[-1]) for e in edges) for end in (edge[0], edge[-1])]
    return min(ends) == 1 and max(ends) > 1


def _joined(edges: list[list[Pixel]]) -> list[list[Pixel]]:
    """Edges joined at their common places, the straightest pair first."""
    paths = [list(e) for e in edges]
    while True:
        at: dict[Pixel, list[tuple[int, bool]]] = defaultdict(list)
        for number, path in enumerate(paths):
            at[path[0]].append((number, True))
            at[path[-1]].append((number, False))
        best: tuple[float, tuple[int, bool], tuple[int, bool]] | None = None
        for ends in at.values():
            for i, one in enumerate(ends):
                for two in ends[i + 1 :]:
                    if one[0] == two[0]:
                        continue
                    turn = float(np.dot(_heading(paths[one[0]], one[1]), _heading(paths[two[0]], two[1])))
                    if best is None or turn < best[0]:
                        best = (turn, one, two)
        if best is None or best[0] > 0.3:
            return [_from_upper_left(path) for path in paths]
        (_, (a, a_start), (b, b_start)) = best
        first = paths[a][::-1] if a_start else paths[a]
        second = paths[b] if b_start else paths[b][::-1]
        paths = [p for n, p in enumerate(paths) if n not in (a, b)] + [first + second[1:]]


def _heading(path: list[Pixel], at_start: bool) -> np.ndarray:
    """Direction in which a path leaves its end."""
    near, far = (
        (path[0], path[min(14, len(path) - 1)]) if at_start else (path[-1], path[max(-15, -len(path))])
    )
    step = np.subtract(far, near).astype(float)
    return step / (np.hypot(*step) or 1.0)


def _from_upper_left(path: list[Pixel]) -> list[Pixel]:
    (y0, x0), (y1, x1) = path[0], path[-1]
    return path if y0 + 0.6 * x0 <= y1 + 0.6 * x1 else path[::-1]


def _smooth(points: np.ndarray, closed: bool) -> np.ndarray:
    if len(points) < 2 * SMOOTHING:
        return points
    padded = np.pad(points, ((SMOOTHING, SMOOTHING), (0, 0)), mode="wrap" if closed else "edge")
    kernel = np.hanning(2 * SMOOTHING + 3)[1:-1]
    kernel /= kernel.sum()
    smooth = np.column_stack([np.convolve(padded[:, axis], kernel, "valid") for axis in (0, 1)])
    if not closed:
        smooth[0], smooth[-1] = points[0], points[-1]
    return smooth


if __name__ == "__main__":
    main()
