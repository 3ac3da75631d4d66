"""Which exact figures a few strokes could be: a small net says which kinds, geometry says how well each fits."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from typing import NamedTuple

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import path_length
from sunroom.core.ink import Ends
from sunroom.core.ink.raster import ink_measures
from sunroom.core.ink.sequence import ink_sequence
from sunroom.core.shapes.figures import FigureKind
from sunroom.core.shapes.fits import KINDS, Kind, fit
from sunroom.core.shapes.ink import Fitted, Form, Ink, distance

#: ((N, 5, points) sequences, (N, 6) measures) to (N, classes) probabilities
Look = Callable[[NDArray[np.float32], NDArray[np.float32]], NDArray[np.float32]]

SEQUENCE_POINTS = 128
#: The class of what is letters and no figure.
WRITING = "writing"
#: More strokes than this are writing or a drawing, not one figure.
MAX_STROKES = 24
#: Kinds less likely than this are not fitted.
LEAST_LIKELY = 0.02
#: How common a kind is beside others, where they are taken for each other: of a round thing a circle is meant more often.
COMMON: dict[Kind, float] = {"hexagon": 0.5}
#: Below this score a figure is not worth offering.
LEAST_SCORE = 0.12
#: Ink that strays this far from the figure (RMS, as a part of its size) scores 1/e of its likelihood.
TOLERANCE = 0.13
#: And beside rivals, at least so likely, that lie nearer to it.
RIVAL_TOLERANCE, RIVAL_LIKELY = 0.06, 0.1
#: A polyline has corners wherever they help: it lies nearer to any ink than it should by this factor.
BENDS = 1.5
MAX_FIGURES = 5
#: What may be meant besides the kind that was found.
RIVALS: dict[Kind, tuple[Kind, ...]] = {
    "circle": ("ellipse",),
    "ellipse": ("circle",),
    "square": ("rectangle",),
    "rectangle": ("square",),
    "rhombus": ("square", "parallelogram"),
    "parallelogram": ("rhombus", "rectangle"),
    "trapezium": ("rectangle",),
    "line": ("arrow",),
    "arrow": ("line", "double_arrow"),
    "double_arrow": ("arrow",),
    "elbow": ("polyline",),
    "arc": ("line",),
}


class Figure(msgspec.Struct, frozen=True):
    """An exact figure that the ink may mean.

    Attributes
    ----------
    kind : Kind
        What it is called; ``form`` tells a special triangle.
    figure : FigureKind
        What it is drawn as: an arrow is a line or a curve with ``ends``.
    points
        In the ink's units: corners, or with ``curved`` 1 + 3·n cubic control points; ``parts`` tells how
        many belong to each of several lines.
    """

    kind: Kind
    score: float
    points: tuple[tuple[float, float], ...]
    closed: bool
    curved: bool
    figure: FigureKind
    parts: tuple[int, ...] = ()
    ends: Ends = "none"
    form: Form = ""


class Finder:
    """Finds figures with a net.

    Parameters
    ----------
    look : callable
        See ``Look``.
    classes : sequence of str
        What its columns are: the kinds of figures, and what is none.
    """

    def __init__(self, look: Look, classes: Sequence[str]) -> None:
        self._look = look
        self._writing = list(classes).index(WRITING)
        self._columns = [
            (column, kind) for kind in KINDS for column, name in enumerate(classes) if name == kind
        ]

    def find(self, strokes: Sequence[NDArray[np.float64]]) -> list[Figure]:
        """Figures that ``strokes`` may mean together, best first; empty when none is seen.

        Parameters
        ----------
        strokes : sequence of (N, K) float arrays
            The first two columns are x and y in board units; strokes without length are passed over.
        """
        return self.find_each([strokes])[0]

    def find_each(self, groups: Sequence[Sequence[NDArray[np.float64]]]) -> list[list[Figure]]:
        """As ``find`` for several groups of strokes, looked at together."""
        drawn = [_with_length(strokes) for strokes in groups]
        found: list[list[Figure]] = [[] for _ in groups]
        few = [number for number, lines in enumerate(drawn) if 1 <= len(lines) <= MAX_STROKES]
        for number, row in zip(few, self._likely([drawn[n] for n in few]), strict=True):
            ink = Ink(drawn[number])
            if ink.size > 1e-3:
                found[number] = self._fitted(ink, row)
        return found

    def scores(self, groups: Sequence[Sequence[NDArray[np.float64]]]) -> list[tuple[float, Kind | None]]:
        """For each group of strokes how likely it is some one thing, and which figure that is, None for writing."""
        drawn = [_with_length(strokes) for strokes in groups]
        known = [number for number, lines in enumerate(drawn) if lines]
        made: list[tuple[float, Kind | None]] = [(0.5, None)] * len(groups)
        columns = [column for column, _ in self._columns]
        for number, row in zip(known, self._likely([drawn[n] for n in known]), strict=True):
            best = int(np.argmax(row[columns]))
            figure, writing = float(row[columns[best]]), float(row[self._writing])
            made[number] = (figure, self._columns[best][1]) if figure >= writing else (writing, None)
        return made

    def _likely(self, groups: Sequence[Sequence[NDArray[np.float64]]]) -> NDArray[np.float32]:
        if not groups:
            return np.zeros((0, 0), np.float32)
        return self._look(
            np.stack([ink_sequence(strokes, SEQUENCE_POINTS) for strokes in groups]),
            np.stack([ink_measures(strokes) for strokes in groups]),
        )

    def _fitted(self, ink: Ink, likely: NDArray[np.float32]) -> list[Figure]:
        shares = {kind: float(likely[column]) for column, kind in self._columns}
        common = {kind: share * COMMON.get(kind, 1.0) for kind, share in shares.items()}
        # That it is a figure is as likely as before.
        again = sum(shares.values()) / max(sum(common.values()), 1e-9)
        shares = {kind: share * again for kind, share in common.items()}
        tried = [_Try.of(kind, ink) for kind, share in shares.items() if share >= LEAST_LIKELY]
        fits = [one for one in tried if one is not None]
        likely_ones = [one for one in fits if shares[one.kind] >= RIVAL_LIKELY]
        nearest = min((one.beside for one in likely_ones or fits), default=0.0)
        made = [one.figure(shares[one.kind], nearest) for one in fits]
        made.sort(key=lambda figure: -figure.score)
        found = [figure for figure in made if figure.score >= LEAST_SCORE]
        if found:
            # What is often meant instead is offered too, however sure the net is.
            known = {figure.kind for figure in found}
            for kind in RIVALS.get(found[0].kind, ()):
                rival = _Try.of(kind, ink) if kind not in known else None
                if rival:
                    found.append(rival.figure(max(shares[kind], LEAST_LIKELY), nearest))
        return found[:MAX_FIGURES]


def any_figure(figures: Sequence[Figure]) -> float:
    """How likely it is that some one of these figures is meant, whichever: 0 to 1."""
    return min(1.0, sum(figure.score for figure in figures))


def _with_length(strokes: Sequence[NDArray[np.float64]]) -> list[NDArray[np.float64]]:
    return [stroke[:, :2] for stroke in strokes if path_length(stroke[:, :2]) > 1e-3]


class _Try(NamedTuple):
    """The exact figure of a kind that is nearest to some ink, and how far (RMS, as a part of its size) that is."""

    kind: Kind
    exact: Fitted
    stray: float

    @staticmethod
    def of(kind: Kind, ink: Ink) -> _Try | None:
        exact = fit(kind, ink)
        return None if exact is None else _Try(kind, exact, distance(exact, ink))

    @property
    def beside(self) -> float:
        """The same, to be compared with other kinds: a polyline bends to anything."""
        return self.stray * (BENDS if self.kind == "polyline" else 1.0)

    def figure(self, share: float, nearest: float) -> Figure:
        """The figure with its score: how likely its kind is, and how near it lies, by itself and beside others."""
        exact = self.exact
        alone = (self.stray / TOLERANCE) ** 2
        beside = max(self.beside**2 - nearest**2, 0.0) / RIVAL_TOLERANCE**2
        points = tuple((round(float(x), 2), round(float(y), 2)) for x, y in exact.points)
        return Figure(
            self.kind,
            round(share * math.exp(-alone - beside), 3),
            points,
            exact.closed,
            exact.curved,
            exact.figure,
            exact.parts,
            exact.ends,
            exact.form,
        )
