"""The command line of the core: ink in, readings or shapes out; boards in, files out; without a server.

    ./run convert --to text strokes.jsonl
    ./run convert --to shapes drawing.inkml
    ./run convert --to maths strokes.jsonl          (readings as LaTeX)
    … | ./run convert --to text
    ./run convert --to pdf lesson.board.zip          (or html, svg, png, inkml, package; -o FILE)

A board is a package or InkML; svg, png and inkml are one file for each page. For text, shapes and maths, input is JSON lines, each {"strokes": [[[x, y], …], …]} with pressure (0–1) and time (ms) as optional
third and fourth number, or one InkML document. Output is one JSON line for each input; a line that
cannot be understood gets {"error": {"field": …, "message": …}} and the rest goes on.
"""

from __future__ import annotations

import argparse
import sys
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom import resources
from sunroom.convert_files import BY_PAGE, WHOLE, convert_file
from sunroom.core.errors import MalformedError
from sunroom.core.formats.inkml import read_inkml
from sunroom.core.ink.samples import MAX_COORDINATE, MAX_SAMPLES
from sunroom.core.sentences import said
from sunroom.words import say

Strokes = list[NDArray[np.float64]]

MAX_LINE_BYTES = 20_000_000


class Line(msgspec.Struct, forbid_unknown_fields=False):
    strokes: list[list[list[float]]]


def main(arguments: list[str] | None = None) -> int:
    """Convert standard input or a file; 0 when every input was understood, 1 when one was not."""
    parser = argparse.ArgumentParser(
        prog="run convert", description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter
    )
    parser.add_argument("--to", choices=("text", "shapes", "maths", *WHOLE, *BY_PAGE), required=True)
    parser.add_argument("-o", "--out", type=Path, help="the file to write; beside the board when left out")
    parser.add_argument(
        "file", nargs="?", help="JSON lines, InkML or a package; standard input when left out"
    )
    options = parser.parse_args(arguments)
    if options.to in (*WHOLE, *BY_PAGE):
        if not options.file:
            parser.error("a board is a file: say which")
        return convert_file(Path(options.file), options.to, options.out)
    try:
        source = open(options.file, "rb") if options.file else sys.stdin.buffer  # noqa: SIM115
    except OSError as error:
        print(f"{options.file}: {error.strerror}", file=sys.stderr)
        return 2
    failed = False
    with source:
        for given in _inputs(source):
            answer = given if isinstance(given, dict) else convert(given, options.to)
            failed |= "error" in answer
            sys.stdout.buffer.write(msgspec.json.encode(answer) + b"\n")
            sys.stdout.buffer.flush()
    return 1 if failed else 0


def convert(strokes: Strokes, to: str) -> dict[str, Any]:
    """Readings, shapes or formulas of one set of strokes, as the answer line."""
    if to == "maths":
        return {"readings": resources.written_reader().read(strokes)}
    if to == "shapes":
        return {"shapes": resources.finder().find(strokes)}
    return {"readings": resources.reader().read(strokes)}


def _inputs(source: Any) -> Iterator[Strokes | dict[str, Any]]:
    """Each input's strokes, or the error object for it."""
    first = source.readline(MAX_LINE_BYTES + 1)
    if first.lstrip(b"\xef\xbb\xbf \t\r\n").startswith(b"<"):
        try:
            yield read_inkml(first + source.read())
        except MalformedError as error:
            yield _error(error)
        return
    line = first
    while line:
        if len(line) > MAX_LINE_BYTES:
            while line and not line.endswith(b"\n"):
                line = source.readline(MAX_LINE_BYTES + 1)
            yield _error(
                MalformedError("line", said("the-line-is-longer-than", mb=MAX_LINE_BYTES // 1_000_000))
            )
        elif line.strip():
            try:
                yield _strokes(line)
            except MalformedError as error:
                yield _error(error)
        line = source.readline(MAX_LINE_BYTES + 1)


def _strokes(line: bytes) -> Strokes:
    try:
        rows = msgspec.json.decode(line, type=Line).strokes
    except (msgspec.DecodeError, UnicodeDecodeError, RecursionError) as error:
        raise MalformedError("line", said("the-line-is-not-as", error=str(error))) from error
    strokes = []
    for stroke in rows:
        if not 1 <= len(stroke) <= MAX_SAMPLES or not all(2 <= len(point) <= 4 for point in stroke):
            raise MalformedError("strokes", said("a-stroke-has-1-to", samples=MAX_SAMPLES))
        samples = np.array([[*point, *(0.5, 0.0)[len(point) - 2 :]] for point in stroke])
        if not bool((np.abs(samples[:, :2]) <= MAX_COORDINATE).all()):
            raise MalformedError("strokes", said("a-point-is-not-finite"))
        strokes.append(samples)
    return strokes


def _error(error: MalformedError) -> dict[str, Any]:
    return {"error": {"field": error.field, "message": say(error.sentence.key, error.sentence.values)}}


if __name__ == "__main__":
    sys.exit(main())
