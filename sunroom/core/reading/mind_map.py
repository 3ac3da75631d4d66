"""A mind map in ink: which strokes are which word, and which lines go from word to word."""

from __future__ import annotations

import math
from collections.abc import Sequence

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import Box, path_length
from sunroom.core.reading.marks import marks_among

MOST_STROKES = 300
#: A line between words is at least so many letters long, and so straight (its ends' distance to its length).
LONG, STRAIGHT = 3.0, 0.75
#: Strokes nearer than these parts of a letter, beside and above each other, are one label.
BESIDE, ABOVE = 2.2, 0.9
#: A line's end belongs to a label at most so many letters, and so large a part of the line, away.
REACH, SHARE = 7.0, 0.45
#: A map has at least so many labels; one without any drawn line needs more, all around its middle.
LEAST, LEAST_WITHOUT_LINES, LEAST_QUARTERS = 3, 4, 3
#: Number of the label that is on the board already, to which branches are added.
THERE = -1


class MapLink(msgspec.Struct, frozen=True):
    """A line from label to label, by number; ``members`` are its strokes, none when nobody drew it."""

    members: tuple[int, ...]
    ends: tuple[int, int]


class MapFound(msgspec.Struct, frozen=True):
    """Labels, each some strokes by number, the lines between them, and which label is the middle."""

    labels: tuple[tuple[int, ...], ...]
    links: tuple[MapLink, ...]
    centre: int


def find_map(strokes: Sequence[NDArray[np.float64]], beside: Box | None = None) -> MapFound | None:
    """The mind map that some ink is; None when it is none.

    Parameters
    ----------
    strokes : sequence of (N, K) float arrays
    beside : Box, optional
        A label that is on the board already (number ``THERE``): the ink is branches of it, if it is writing.
    """
    if not 1 <= len(strokes) <= MOST_STROKES:
        return None
    boxes = [Box.of(stroke[:, :2]) for stroke in strokes]
    heights = np.array([box.height for box in boxes])
    letter = max(float(np.median(heights[heights >= 0.4 * np.median(heights)])), 1e-6)
    marks = marks_among(strokes)
    lines = [n for n in range(len(strokes)) if n not in marks and _is_line(strokes[n], letter)]
    labels = _labels([n for n in range(len(strokes)) if n not in lines and n not in marks], boxes, letter)
    places = [_around(label, boxes) for label in labels]
    for mark in marks:
        # A ring around a word, or the line under it, goes with the word.
        nearest = min(range(len(labels)), key=lambda n: places[n].gap(boxes[mark]), default=None)
        if nearest is not None:
            labels[nearest].append(mark)
    links = _links(lines, strokes, places, letter, beside)
    if beside is not None:
        centre = THERE
    elif _is_map(places, links):
        centre = _centre(places, links)
    else:
        return None
    if not labels:
        return None
    linked = {end for link in links for end in link.ends}
    loose = [n for n in range(len(labels)) if n != centre and n not in linked]
    links += [MapLink((), (centre, number)) for number in loose]
    return MapFound(tuple(tuple(sorted(label)) for label in labels), tuple(links), centre)


def is_mapped(found: MapFound, texts: Sequence[str]) -> bool:
    """Whether what a map's labels say makes it one: single signs without a line are a table or a sum."""
    drawn = any(link.members for link in found.links)
    return drawn or sum(len(text) > 1 for text in texts) > len(texts) / 2


def _is_line(stroke: NDArray[np.float64], letter: float) -> bool:
    chord = float(np.hypot(*(stroke[-1, :2] - stroke[0, :2])))
    return chord > LONG * letter and chord > STRAIGHT * path_length(stroke[:, :2])


def _labels(numbers: list[int], boxes: list[Box], letter: float) -> list[list[int]]:
    """Strokes that lie close to each other, group by group."""
    groups: list[list[int]] = []
    for number in numbers:
        box = boxes[number]
        near = Box(
            box.x0 - BESIDE * letter,
            box.y0 - ABOVE * letter,
            box.x1 + BESIDE * letter,
            box.y1 + ABOVE * letter,
        )
        touched = [group for group in groups if any(near.overlaps(boxes[other]) for other in group)]
        groups = [group for group in groups if group not in touched]
        groups.append([number, *(other for group in touched for other in group)])
    return sorted(groups, key=min)


def _links(
    lines: list[int],
    strokes: Sequence[NDArray[np.float64]],
    places: list[Box],
    letter: float,
    beside: Box | None,
) -> list[MapLink]:
    """Lines both of whose ends are near a label, not the same one."""
    found = []
    for number in lines:
        ends = []
        for x, y in (strokes[number][0, :2], strokes[number][-1, :2]):
            at = Box(float(x), float(y), float(x), float(y))
            near = [(place.gap(at), n) for n, place in enumerate(places)]
            if beside is not None:
                near.append((beside.gap(at), THERE))
            ends.append(min(near, default=(math.inf, THERE)))
        chord = float(np.hypot(*(strokes[number][-1, :2] - strokes[number][0, :2])))
        reach = min(REACH * letter, SHARE * chord)
        if all(gap < reach for gap, _ in ends) and ends[0][1] != ends[1][1]:
            found.append(MapLink((number,), (ends[0][1], ends[1][1])))
    return found


def _is_map(places: list[Box], links: list[MapLink]) -> bool:
    if links:
        return len(places) >= LEAST
    if len(places) < LEAST_WITHOUT_LINES:
        return False
    centre = _centre(places, links)
    middle = places[centre].middle
    quarters = {tuple(place.middle > middle) for n, place in enumerate(places) if n != centre}
    # Lines of a text stand below each other; the words of a map stand around.
    apart = all(abs(p.middle[0] - middle[0]) > 0.2 * p.width for n, p in enumerate(places) if n != centre)
    return len(quarters) >= LEAST_QUARTERS and apart


def _centre(places: list[Box], links: list[MapLink]) -> int:
    """The label with the most lines; of these the one in the middle."""
    degree = [sum(number in link.ends for link in links) for number in range(len(places))]
    middle = np.mean([place.middle for place in places], axis=0)
    return min(
        range(len(places)),
        key=lambda n: (-degree[n], float(np.hypot(*(places[n].middle - middle)))),
    )


def _around(label: list[int], boxes: list[Box]) -> Box:
    box = Box.union(boxes[number] for number in label)
    assert box is not None
    return box
