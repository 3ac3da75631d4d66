"""Spaces as people type them, in sums and equations where the pen leaves gaps of every width."""

from __future__ import annotations

import re

#: What stands between two sides, and between two numbers or letters.
_SIGNS = r"=<>≤≥+×÷*−\-"
#: A sum or an equation: numbers, single letters, signs and brackets; after what counts it, such as b).
COUNTED = re.compile(r"(?:[a-z]|\d{1,2})\) +")
_SUM = re.compile(rf"(?:\d|[A-Za-z](?![A-Za-z])|[²³.,()/{_SIGNS} ])+")
_BETWEEN = re.compile(rf"(?<=[\w)²³]) *([{_SIGNS}]) *(?=[-−+]? *[\w(])")
#: More than one thing, or spaces that say something: two equations, 2 1/2, 10 000, 3 x 4.
_SEVERAL = re.compile(r"=.*=|,|\d +\d+/\d|\b\d{1,3}(?: \d{3})+\b|\d +[xX.] +\d")
#: Without a sign between two sides these may be numbers in a row: 7 -3 5.
_ROW = re.compile(r"[^=<>≤≥]*\d +(?:[-−+]?\d)[^=<>≤≥]*")
_MONEY = re.compile(r"[€$£] ?\d[\d ]*(?:[.,][\d ]*\d)?")
#: A line of a sum in columns.
_ADDEND = re.compile(r"([-−+×÷] ?)(\d[\d ]*\d)")
_BEFORE_STOP = re.compile(r"(?<=\w) +([.,])(?= [^\W\d_]|$)")
#: Gaps on one side of a hyphen, and in a time.
_HYPHEN = re.compile(r"(?<=[^\W\d_])(?: -|- )(?=[^\W\d_])")
_AND = re.compile(r"(?<=\w)(?: &|& )(?=\w)")
_TIME = re.compile(r"\b(\d{1,2})(?:: ?| :)([0-5]) ?(\d)\b(?! ?\d)")
#: What opens a Spanish question or call is low, and looks like a small letter with its dot.
_OPENED = re.compile(r"^(?:[ij](?=[^\W\d_])|[¿¡] )(?=[^\Wa-z\d_][^\WA-Z\d_].*([?!])$)")


def as_typed(text: str) -> str:
    """A line with its spaces as one types them: ``x= -2 7`` is ``x = -27``, ``£8 3.37`` is ``£83.37``.

    Signs of a sum stand all between spaces or all without; words keep theirs, but none stands before a stop or comma.
    """
    text = _BEFORE_STOP.sub(r"\1", text)
    text = _OPENED.sub(lambda found: "¿" if found[1] == "?" else "¡", text)
    text = _AND.sub(" & ", _HYPHEN.sub("-", _TIME.sub(r"\1:\2\3", text)))
    if _MONEY.fullmatch(text) and not _SEVERAL.search(text):
        return text.replace(" ", "")
    if addend := _ADDEND.fullmatch(text):
        return text if _SEVERAL.search(text) else addend[1] + addend[2].replace(" ", "")
    counted = COUNTED.match(text)
    start = counted.end() if counted else 0
    line = text[start:]
    if not _SUM.fullmatch(line) or _SEVERAL.search(line) or _ROW.fullmatch(line):
        return text
    signs = [found[0] for found in _BETWEEN.finditer(line)]
    if not signs:
        return text
    apart = any(" " in sign for sign in signs)
    close = line.replace(" ", "")
    return text[:start] + (_BETWEEN.sub(r" \1 ", close) if apart else close)
