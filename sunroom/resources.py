"""Files that ship with the application: fonts, the recogniser's model, word frequencies.

The core takes bytes and functions; this module is the one place that knows where they lie.
"""

from __future__ import annotations

import unicodedata
from collections.abc import Callable, Sequence
from functools import cache
from importlib.util import find_spec
from pathlib import Path
from typing import TYPE_CHECKING, Any

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.maths.likely import LikelyFormulas
from sunroom.core.maths.strokes import Seen
from sunroom.core.maths.written import WrittenReader
from sunroom.core.reading import Reader
from sunroom.core.reading.joint import Weights
from sunroom.core.reading.pairs import LikelyPairs
from sunroom.core.reading.prior import Prior
from sunroom.core.reading.reader import Recognise
from sunroom.core.reading.symbols import LookSymbols, Symbols
from sunroom.core.shapes.find import Finder
from sunroom.core.text import FontFace, Typesetter

if TYPE_CHECKING:
    from sunroom.core.maths.setting import Setting

ROOT = Path(__file__).resolve().parent.parent
BUILT_FRONTEND = ROOT / "frontend" / "dist"
FONT_DIR = BUILT_FRONTEND / "fonts"

#: Faces of board text: those of the families, then those that are asked for what a family has not.
#: The stylesheet (frontend/src/fonts.css) gives the same names to the same files.
FACES = {
    "sans": "board-plain-400-normal.woff2",
    "sans-bold": "board-plain-700-normal.woff2",
    "sans-italic": "board-plain-400-italic.woff2",
    "sans-bold-italic": "board-plain-700-italic.woff2",
    "serif": "noto-serif-latin-400-normal.woff2",
    "serif-bold": "noto-serif-latin-700-normal.woff2",
    "serif-italic": "noto-serif-latin-400-italic.woff2",
    "serif-bold-italic": "noto-serif-latin-700-italic.woff2",
    "hand": "caveat-latin-400-normal.woff2",
    "hand-bold": "caveat-latin-700-normal.woff2",
    "mono": "noto-sans-mono-latin-400-normal.woff2",
    "mono-bold": "noto-sans-mono-latin-700-normal.woff2",
}
FALLBACKS = {
    "sans-ext": "atkinson-hyperlegible-next-latin-ext-400-normal.woff2",
    "greek": "noto-sans-greek-400-normal.woff2",
    "maths": "noto-sans-math-latin-400-normal.woff2",
    "signs": "noto-serif-math-400-normal.woff2",
    "symbols": "noto-sans-symbols-2-symbols-400-normal.woff2",
}


@cache
def typesetter() -> Typesetter:
    """The typesetter with the shipped faces; built once in each process."""
    return Typesetter(
        [FontFace(name, (FONT_DIR / file).read_bytes()) for name, file in {**FACES, **FALLBACKS}.items()],
        _set_in_line,
    )


def _set_in_line(formula: str) -> Setting | None:
    from sunroom.core.maths.setting import set_in_line

    return set_in_line(formula)


@cache
def playing_script() -> str:
    """What plays how pages were made, in a web page of a board."""
    return (ROOT / "sunroom" / "core" / "formats" / "playing.js").read_text(encoding="utf-8")


def recogniser_model() -> Path:
    """The text recogniser's ONNX file, shipped inside the rapidocr package (Apache-2.0)."""
    spec = find_spec("rapidocr")
    if spec is None or spec.origin is None:
        raise FileNotFoundError(
            "The package rapidocr is missing: run ./run demo or ./run test to install it."
        )
    return Path(spec.origin).parent / "models" / "PP-OCRv6_rec_small.onnx"


#: What the recogniser has seen of a picture before its last stage, by the name that its file has for it.
SEEN_BY_RECOGNISER = "p2o.pd_op.add.51.0"

#: Languages that a room can be taught in.
LANGUAGES = ("en", "fr", "de", "es")
#: The commonest words of a language, among which accented ones are looked for.
WORDS_WITH_ACCENTS = 60_000
#: An English word in another language's lesson is so much less likely (zipf).
FOREIGN = 1.5
MODELS = Path(__file__).parent / "models"


def _net(name: str) -> tuple[Callable[..., Any], list[str]]:
    """One of our own nets (see training/README.md) as a function of its named inputs, and its classes."""
    import onnxruntime

    options = onnxruntime.SessionOptions()
    options.intra_op_num_threads = 1
    session = onnxruntime.InferenceSession(str(MODELS / f"{name}.onnx"), options)

    def look(**inputs: NDArray[np.float32]) -> Any:
        return session.run(None, inputs)

    return look, session.get_modelmeta().custom_metadata_map["classes"].split("\n")


@cache
def finder() -> Finder:
    """The finder of figures with its net; built once in each process."""
    net, classes = _net("figures")

    def look(sequences: NDArray[np.float32], measures: NDArray[np.float32]) -> NDArray[np.float32]:
        probabilities: NDArray[np.float32] = net(sequence=sequences, measures=measures)[0]
        return probabilities

    return Finder(look, classes)


@cache
def written_reader() -> WrittenReader:
    """The reader of written maths with its net; built once in each process."""
    net, classes = _net("formulas")

    def look(seen: Seen) -> Any:
        pictures = seen.pictures.astype(np.float32) / np.float32(255)
        return net(pictures=pictures, measures=seen.measures, pairs=seen.pairs)

    with np.load(MODELS / "likely-formulas.npz") as arrays:
        likely = LikelyFormulas.of(arrays)
    weights = msgspec.json.decode((MODELS / "formulas.json").read_bytes(), type=dict[str, float])
    return WrittenReader(look, classes, weights, _SingleSigns(), likely.log)


class _SingleSigns:
    """The nets of symbols and of digits, as the reader of written maths asks them."""

    def __init__(self) -> None:
        self._nets = symbols()
        self.classes = self._nets.classes

    def symbols(self, groups: Sequence[Sequence[NDArray[np.float64]]], /) -> NDArray[np.float64]:
        return self._nets.logs_of(groups)

    def digits(self, groups: Sequence[Sequence[NDArray[np.float64]]], /) -> NDArray[np.float64]:
        return self._nets.digits_of(groups)


@cache
def symbols() -> Symbols:
    """The nets of symbols and of digits; built once in each process."""
    net, classes = _net("symbols")
    digits, _ = _net("digits")
    return Symbols(_looks(net), classes, _looks(digits))


def _looks(net: Callable[..., Any]) -> LookSymbols:
    def look(
        rasters: NDArray[np.float32], measures: NDArray[np.float32]
    ) -> tuple[NDArray[np.float32], NDArray[np.float32]]:
        probabilities, embeddings = net(raster=rasters, measures=measures)
        return probabilities, embeddings

    return look


@cache
def reader(language: str = "en") -> Reader:
    """The reader with the word frequencies of a language (English words count too); built once a process."""
    recognise, characters, taught_characters = _recogniser()
    follow, path_characters = _net("paths")

    def followed(path: NDArray[np.float32]) -> NDArray[np.float32]:
        rows: NDArray[np.float32] = follow(path=path[None])[0][0]
        return rows

    weights = msgspec.json.decode((MODELS / "reading.json").read_bytes(), type=Weights)
    return Reader(
        recognise,
        characters,
        prior(language),
        symbols(),
        taught_characters,
        followed,
        path_characters,
        weights,
    )


def prior(language: str) -> Prior:
    """How likely words of a language are; English words count too."""
    from wordfreq import top_n_list, zipf_frequency

    without: dict[str, list[str]] = {}
    for word in top_n_list(language, WORDS_WITH_ACCENTS) if language != "en" else ():
        plain = _without_accents(word)
        if plain != word:
            without.setdefault(plain, []).append(word)

    def frequency(word: str) -> float:
        own = zipf_frequency(word, language)
        return own if language == "en" else max(own, zipf_frequency(word, "en") - FOREIGN)

    def variants(word: str) -> Sequence[str]:
        return without.get(_without_accents(word), ())

    return Prior(frequency, variants, _pairs()) if language == "en" else Prior(frequency, variants)


@cache
def _pairs() -> LikelyPairs:
    """English words that stand beside each other; no package has those of the other languages."""
    with np.load(MODELS / "likely-pairs.npz") as arrays:
        return LikelyPairs(arrays["keys"], arrays["gains"])


def _without_accents(word: str) -> str:
    parts = unicodedata.normalize("NFD", word)
    return "".join(part for part in parts if not unicodedata.combining(part))


@cache
def _recogniser() -> tuple[Recognise, list[str], list[str]]:
    """The line recogniser (about 0.5 s and 200 MB) with its characters, and those of its end that was taught more hands."""
    import onnxruntime  # heavy, and only the processes that read ink need it

    options = onnxruntime.SessionOptions()
    # One thread measured faster than two on one line, and leaves the other core to the room.
    options.intra_op_num_threads = 1
    model = recogniser_model().read_bytes() + _output(SEEN_BY_RECOGNISER)
    session = onnxruntime.InferenceSession(model, options)
    taught, taught_characters = _net("taught")
    characters = session.get_modelmeta().custom_metadata_map["character"].splitlines()
    name = session.get_inputs()[0].name

    def recognise(
        picture: NDArray[np.float32],
    ) -> tuple[NDArray[np.float32], NDArray[np.float32], NDArray[np.float32]]:
        rows, seen = session.run(None, {name: picture})
        said, rows_of_taught = taught(seen=seen)
        return rows[0], said[0], rows_of_taught[0]

    return recognise, [*characters, " "], taught_characters


def _output(name: str) -> bytes:
    """What makes a value inside an ONNX model one more output of it, put after the file's own bytes.

    Of protocol buffers the standard says that two messages one after the other are one, whose lists are those of both;
    7 is a model's graph, 12 a graph's outputs, 1 an output's name.
    """
    made = name.encode()
    for field in (1, 12, 7):
        made = bytes([field << 3 | 2, len(made)]) + made
    return made
