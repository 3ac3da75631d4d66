"""Files that ship with the application: fonts, the recogniser's model, word frequencies.

The core takes bytes and functions; this module is the one place that knows where they lie.
"""

from __future__ import annotations

from functools import cache
from importlib.util import find_spec
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from sunroom.core.reading import Reader
from sunroom.core.text import FontFace, Typesetter

ROOT = Path(__file__).resolve().parent.parent
BUILT_FRONTEND = ROOT / "frontend" / "dist"
FONT_DIR = BUILT_FRONTEND / "fonts"

#: Faces of board text: those of the families, then those that are asked for what a family has not.
#: The stylesheet (frontend/src/fonts.css) gives the same names to the same files.
FACES = {
    "sans": "atkinson-hyperlegible-next-latin-400-normal.woff2",
    "sans-bold": "atkinson-hyperlegible-next-latin-700-normal.woff2",
    "sans-italic": "atkinson-hyperlegible-next-latin-400-italic.woff2",
    "sans-bold-italic": "atkinson-hyperlegible-next-latin-700-italic.woff2",
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
}


@cache
def typesetter() -> Typesetter:
    """The typesetter with the shipped faces; built once in each process."""
    return Typesetter(
        [FontFace(name, (FONT_DIR / file).read_bytes()) for name, file in {**FACES, **FALLBACKS}.items()]
    )


def recogniser_model() -> Path:
    """The text recogniser's ONNX file, shipped inside the rapidocr package (Apache-2.0)."""
    spec = find_spec("rapidocr")
    if spec is None or spec.origin is None:
        raise FileNotFoundError(
            "The package rapidocr is missing: run ./run demo or ./run test to install it."
        )
    return Path(spec.origin).parent / "models" / "PP-OCRv6_rec_small.onnx"


@cache
def reader() -> Reader:
    """The reader with its model loaded (about 0.5 s and 200 MB); built once in each process."""
    import onnxruntime  # heavy, and only the processes that read ink need it
    from wordfreq import zipf_frequency

    options = onnxruntime.SessionOptions()
    # One thread measured faster than two on one line, and leaves the other core to the room.
    options.intra_op_num_threads = 1
    session = onnxruntime.InferenceSession(str(recogniser_model()), options)
    characters = session.get_modelmeta().custom_metadata_map["character"].splitlines()
    name = session.get_inputs()[0].name

    def recognise(picture: NDArray[np.float32]) -> NDArray[np.float32]:
        rows: NDArray[np.float32] = session.run(None, {name: picture})[0][0]
        return rows

    return Reader(recognise, [*characters, " "], lambda word: zipf_frequency(word, "en"))
