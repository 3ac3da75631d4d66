"""How typed text looks: families for the whole of it, and styles for parts of it."""

from __future__ import annotations

import re
from typing import Literal

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.sentences import said

Family = Literal["sans", "serif", "hand", "mono"]
Align = Literal["left", "centre", "right"]
Listing = Literal["none", "bullets", "numbers"]
Script = Literal["", "sub", "sup"]

MAX_SPANS = 400
MAX_LINK = 500
#: Formulas in a text, and the characters of one.
MAX_FORMULAS, MAX_IN_LINE = 60, 300
#: Addresses that a press may open.
_LINK = re.compile(r"(?:https?://|mailto:)[^\s<>\"'\\\x00-\x1f]+", re.IGNORECASE)

#: Size of raised and lowered characters, and how far they stand from the baseline, as parts of the size.
SCRIPT_SCALE, SUB_RISE, SUP_RISE = 0.62, -0.16, 0.36


class Span(msgspec.Struct, frozen=True, omit_defaults=True):
    """Characters ``start`` up to ``end`` of a text in their own style; ``maths``: a typed formula, which is set as one."""

    start: int
    end: int
    bold: bool = False
    italic: bool = False
    underline: bool = False
    strike: bool = False
    script: Script = ""
    link: str = ""
    maths: bool = False


PLAIN = Span(0, 0)


def is_link(address: str) -> bool:
    """A press may open it."""
    return len(address) <= MAX_LINK and _LINK.fullmatch(address) is not None


def check_spans(spans: tuple[Span, ...], length: int) -> None:
    """Hold spans from outside to order, range and safe links.

    Raises
    ------
    MalformedError
        When one overlaps another, lies outside the text, or links to what no press may open.
    """
    if len(spans) > MAX_SPANS:
        raise MalformedError("spans", said("the-text-changes-its-style", spans=MAX_SPANS))
    if sum(span.maths for span in spans) > MAX_FORMULAS:
        raise MalformedError("spans", said("a-text-has-too-many-formulas", formulas=MAX_FORMULAS))
    at = 0
    for span in spans:
        if not at <= span.start < span.end <= length:
            raise MalformedError("spans", said("the-styles-of-the-text"))
        at = span.end
        if span.maths and span.end - span.start > MAX_IN_LINE:
            raise MalformedError("spans", said("a-formula-has-at-most", signs=MAX_IN_LINE))
        if span.link and not is_link(span.link):
            raise MalformedError("link", said("a-link-begins-with-http"))


def style_at(spans: tuple[Span, ...], length: int) -> list[Span]:
    """The style of each of ``length`` characters."""
    styles = [PLAIN] * length
    for span in spans:
        styles[span.start : span.end] = [span] * (min(span.end, length) - span.start)
    return styles


def face_of(family: Family, span: Span) -> str:
    """The name of the face that draws this style, as in sunroom/resources.py."""
    slanted = span.italic and family in ("sans", "serif")
    return family + ("-bold" if span.bold else "") + ("-italic" if slanted else "")
