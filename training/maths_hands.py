"""Hands that written maths is trained on: whose signs they are, and how a pen strays from them."""

from __future__ import annotations

from functools import cache

import numpy as np
from HersheyFonts import HersheyFonts

from sunroom.core.geometry import simplify
from training import hands

Strokes = list[np.ndarray]
Random = np.random.Generator

#: Hands in which letters stand apart; of these bench.written_maths has its own, which are left out.
APART = (
    "annie-use-your-telescope", "bad-script", "coming-soon", "covered-by-your-grace", "crafty-girls", "gloria-hallelujah",
    "gochi-hand", "indie-flower", "itim", "loved-by-the-king", "neucha", "over-the-rainbow", "pangolin", "patrick-hand-sc", "rancho",
    "schoolbell", "shadows-into-light", "short-stack", "sriracha", "sue-ellen-francisco", "sunshiney", "swanky-and-moo-moo",
    "the-girl-next-door", "waiting-for-the-sunrise", "zeyada", "dekko", "balsamiq-sans", "caveat-brush", "comic-neue", "comic-relief",
    "gaegu", "fuzzy-bubbles", "grape-nuts", "ingrid-darling", "julee", "mali", "merienda", "nanum-pen-script", "nerko-one",
    "poor-story", "single-day", "edu-qld-beginner", "edu-tas-beginner", "edu-nsw-act-foundation", "edu-qld-hand", "chilanka",
    "kavivanar", "hubballi", "twinkle-star", "reenie-beanie", "cedarville-cursive", "bilbo", "just-another-hand", "amatic-sc",
    "kiwi-maru", "yusei-magic", "zen-kurenaido", "zen-maru-gothic", "grechen-fuemen",
)  # fmt: skip
#: Hands that join their letters, as schools teach them: in formulas such a hand keeps its strokes of entry and exit.
JOINED = (
    "playwrite-at", "playwrite-au-qld", "playwrite-au-vic", "playwrite-be-wal", "playwrite-br", "playwrite-cl", "playwrite-co",
    "playwrite-cu", "playwrite-de-sas", "playwrite-dk-loopet", "playwrite-dk-uloopet", "playwrite-es-deco", "playwrite-fr-moderne",
    "playwrite-hr", "playwrite-hr-lijeva", "playwrite-id", "playwrite-ie", "playwrite-is", "playwrite-it-trad", "playwrite-mx",
    "playwrite-ng-modern", "playwrite-nl", "playwrite-pe", "playwrite-pt", "playwrite-sk", "playwrite-tz", "playwrite-us-trad",
    "playwrite-vn", "playwrite-za", "edu-nsw-act-cursive", "marck-script", "la-belle-aurore", "charm", "courgette", "engagement",
    "oooh-baby", "ruthie", "satisfy", "sofia", "stalemate", "vibur", "butterfly-kids", "redressed",
)  # fmt: skip
#: Letters of the Hershey fonts for Greek.
GREEK_KEYS = dict(zip("abgdehmnqplrstwxyfD", (
    r"\alpha", r"\beta", r"\gamma", r"\delta", r"\epsilon", r"\eta", r"\mu", r"\nu", r"\theta", r"\pi", r"\lambda", r"\rho", r"\sigma", r"\tau",
    r"\omega", r"\xi", r"\psi", r"\phi", r"\Delta"), strict=True))  # fmt: skip
KEY_OF = {greek: key for key, greek in GREEK_KEYS.items()}
GREEK_FONTS = ("greeks",)


def varied(strokes: Strokes, lean: float, random: Random, much: float = 1.0, lifted: float = 0.02) -> Strokes:
    """As a hand draws it once: turned, stretched, bent and trembling a little, about its foot."""
    everything = np.vstack(strokes)
    low = everything.min(axis=0)
    size = max(float(np.ptp(everything, axis=0).max()), 1e-6)
    turn = random.normal(0, 0.05) * much
    stretch = np.exp(random.normal(0, 0.09, 2) * much)
    phase, bend = random.uniform(0, 6.28, (2, 2)), random.normal(0, 0.025, (2, 2)) * much
    tremble = random.uniform(0, 0.014) * much * size
    c, s = np.cos(turn), np.sin(turn)
    middle = low + size / 2
    made = []
    for stroke in strokes:
        points = _dense(stroke)
        inner = (points - middle) / size
        waves = bend[0] * np.sin(2.2 * np.pi * inner[:, [0]] + phase[0]) + bend[1] * np.sin(
            2.2 * np.pi * inner[:, [1]] + phase[1]
        )
        inner = (inner + waves + random.normal(0, 0.014, 2) * much) * stretch
        inner = inner @ np.array([[c, s], [-s, c]])
        points = inner * size + middle
        points[:, 0] -= lean * points[:, 1] * much
        if len(points) > 6:
            knots = max(3, len(points) // 4)
            noise = random.normal(0, tremble, (knots, 2))
            at = np.linspace(0, knots - 1, len(points))
            points += np.column_stack([np.interp(at, np.arange(knots), noise[:, axis]) for axis in (0, 1)])
            if random.random() < 0.15:
                points = points[int(random.integers(0, 2)) : len(points) - int(random.integers(0, 3))]
        parts = [points]
        while len(parts[-1]) > 12 and len(parts) < 4 and random.random() < lifted * much:
            cut = int(random.integers(4, len(parts[-1]) - 4))
            parts[-1:] = [parts[-1][:cut], parts[-1][cut - 1 :]]
        made += [part if random.random() < 0.95 else part[::-1] for part in parts]
    return made


def _dense(points: np.ndarray) -> np.ndarray:
    steps = np.hypot(*np.diff(points, axis=0).T) if len(points) > 1 else np.zeros(0)
    along = np.concatenate([[0.0], np.cumsum(steps)])
    if along[-1] <= 0:
        return points[:1].repeat(2, axis=0)
    count = int(np.clip(along[-1] * 18, 5, 34))
    wanted = np.linspace(0, along[-1], count)
    # Corners stay.
    wanted = np.unique(np.concatenate([wanted, along])) if len(along) < 12 else wanted
    return np.column_stack([np.interp(wanted, along, points[:, axis]) for axis in (0, 1)])


def fine(points: np.ndarray) -> np.ndarray:
    return _dense(points)


@cache
def cap_height(font: str) -> float:
    glyphs = hands.traced(font)
    heights = []
    for letter in "HTEL0358":
        if letter in glyphs:
            points = np.vstack([np.array(stroke)[:, :2] for stroke in glyphs[letter]["strokes"]])
            heights.append(float(np.ptp(points[:, 1])))
    return float(np.median(heights)) if heights else 0.7


@cache
def real_digits(digit: int, part: hands.Part) -> list[Strokes]:
    return [
        [stroke[simplify(stroke, 0.012)] for stroke in strokes]
        for strokes in hands.digits(digit, part)[:2500]
    ]


@cache
def hershey(font: str, key: str) -> Strokes:
    face = HersheyFonts()
    face.load_default_font(font)
    face.normalize_rendering(1.0)
    strokes = [np.array(stroke, dtype=float) * (1, -1) for stroke in face.strokes_for_text(key)]
    if not strokes:
        return []
    points = np.vstack(strokes)
    # On the line and of a letter's height.
    return [(stroke - (points[:, 0].min(), 0)) for stroke in strokes]


def fallback(name: str, random: Random) -> Strokes:
    for _ in range(60):
        glyphs = hands.traced(str(random.choice(APART)))
        if name in glyphs:
            return [np.array(stroke)[:, :2] / 0.7 for stroke in glyphs[name]["strokes"]]
    raise ValueError(f"no font has {name!r}")
