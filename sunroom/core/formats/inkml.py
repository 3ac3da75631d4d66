"""InkML (W3C Recommendation, 20 September 2011) in, the traces of a document as strokes, and out.

Read are trace formats with channels X, Y, F (force) and T (time) in any order, explicit values and
first and second differences. Nothing else of a document is looked at.
"""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from typing import Final, get_args
from xml.etree.ElementTree import Element, ParseError, SubElement, tostring

import numpy as np
from defusedxml.common import DefusedXmlException
from defusedxml.ElementTree import fromstring
from numpy.typing import NDArray

from sunroom.core.board import InkItem, Page
from sunroom.core.board.limits import OPACITIES, WIDTHS
from sunroom.core.errors import MalformedError
from sunroom.core.ink.outline import Nib
from sunroom.core.ink.samples import MAX_SAMPLES, pack_samples, unpack_samples
from sunroom.core.sentences import said

Stroke = NDArray[np.float64]

MAX_BYTES = 20_000_000
MAX_TRACES = 5_000
#: The standard names some twenty; each is a number more for every point.
MAX_CHANNELS = 32

#: A look: nib, colour, width in board units, opacity.
Brush = tuple[Nib, str, float, float]
PLAIN_BRUSH: Final[Brush] = ("pen", "#16222b", 2.5, 1.0)
NIBS: Final[dict[str | None, Nib]] = {nib: nib for nib in get_args(Nib)}
#: The context of our own traces: without it a point has X and Y only.
CONTEXT: Final = "#board"
_XML_ID = "{http://www.w3.org/XML/1998/namespace}id"
#: Board units: what a page of our own ink is large, and how large ink in other units is made.
LEAST_SIDE, MOST_SIDE, FITTED = 20.0, 20_000.0, 720.0

#: A point is a few numbers: a longer one is none, and is not looked at.
MAX_POINT = 200
#: Of spaces there is one at a time when this looks, so that it never looks at one twice.
_NUMBER = re.compile(r"([!'\"]?) ?(-?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?)")


def read_inkml(data: bytes) -> list[Stroke]:
    """Strokes of an InkML document: (N, 4) float arrays of x, y, pressure 0–1 (0.5 when not
    given), time in ms from the stroke's start.

    Raises
    ------
    MalformedError
        When it is not InkML, is too large, or a trace is not made of numbers.
    """
    return list(_traces(_root(data)).values())


def read_labelled_inkml(data: bytes) -> list[tuple[str, list[Stroke]]]:
    """The groups of traces that say a text (annotation of type “truth”), as ``write_inkml`` takes them.

    Raises
    ------
    MalformedError
        As ``read_inkml``.
    """
    root = _root(data)
    strokes = _traces(root)
    found = []
    for group in root.iter():
        texts = [
            part.text or "" for part in group if _name(part) == "annotation" and part.get("type") == "truth"
        ]
        members = [strokes[part] for part in group if _name(part) == "trace"]
        if _name(group) == "traceGroup" and texts and members:
            found.append((texts[0], members))
    return found


def ink_items(data: bytes) -> list[InkItem]:
    """The traces of a document as strokes on a page, each in the look of its brush; ids are ``thing-1`` …

    What ``page_inkml`` wrote comes back as it was; ink in other units is made about as large as it is on a page.
    """
    root = _root(data)
    brushes = {brush.get(_XML_ID, ""): _brush(brush) for brush in root.iter() if _name(brush) == "brush"}
    strokes = _traces(root)
    lows = [stroke[:, :2].min(axis=0) for stroke in strokes.values()]
    highs = [stroke[:, :2].max(axis=0) for stroke in strokes.values()]
    if not strokes:
        return []
    side = float((np.max(highs, axis=0) - np.min(lows, axis=0)).max())
    scale = 1.0 if (brushes and LEAST_SIDE <= side <= MOST_SIDE) or side == 0 else FITTED / side
    items = []
    for number, (trace, stroke) in enumerate(strokes.items(), 1):
        nib, colour, width, opacity = brushes.get((trace.get("brushRef") or "")[1:], PLAIN_BRUSH)
        stroke = stroke * (scale, scale, 1, 1)
        x, y = stroke[0, :2]
        stroke[:, :2] -= (x, y)
        items.append(
            InkItem(id=f"thing-{number}", x=float(x), y=float(y), nib=nib, colour=colour, width=width,
                    opacity=opacity, samples=pack_samples(stroke))
        )  # fmt: skip
    return items


def _brush(brush: Element) -> Brush:
    """The look of a brush's properties; what it does not say, or says wrongly, is as a plain pen has it."""
    told = {
        part.get("name"): part.get("value", "") for part in brush.iter() if _name(part) == "brushProperty"
    }
    nib, colour, width, opacity = PLAIN_BRUSH
    noted = next((part.text for part in brush.iter() if part.get("type") == "nib"), None)
    if noted in NIBS:
        nib = NIBS[noted]
    elif told.get("tip") == "rectangle":
        nib = "highlighter"
    if re.fullmatch(r"#[0-9a-fA-F]{6}", told.get("color", "")):
        colour = told["color"].lower()
    try:
        wide, clear = float(told.get("width", width)), float(told.get("transparency", 0))
        if math.isfinite(wide) and math.isfinite(clear):
            width = min(max(wide, WIDTHS[0]), WIDTHS[1])
            opacity = min(max(1 - clear / 255, OPACITIES[0]), OPACITIES[1])
    except ValueError:
        pass
    return nib, colour, width, opacity


def _root(data: bytes) -> Element:
    if len(data) > MAX_BYTES:
        raise MalformedError("inkml", said("the-file-is-larger-than", mb=MAX_BYTES // 1_000_000))
    try:
        root: Element = fromstring(data, forbid_dtd=True)
    except (ParseError, DefusedXmlException, ValueError) as error:
        raise MalformedError("inkml", said("the-file-is-not-readable", error=str(error))) from error
    if _name(root) != "ink":
        raise MalformedError("inkml", said("the-file-is-xml-but"))
    return root


def _traces(root: Element) -> dict[Element, Stroke]:
    channels = [channel.get("name", "") for channel in root.iter() if _name(channel) == "channel"]
    channels = list(dict.fromkeys(channels)) or ["X", "Y"]
    if "X" not in channels or "Y" not in channels:
        raise MalformedError("inkml", said("the-trace-format-has-no"))
    if len(channels) > MAX_CHANNELS:
        raise MalformedError("inkml", said("the-trace-format-has-more", channels=MAX_CHANNELS))
    traces = [element for element in root.iter() if _name(element) == "trace"]
    if len(traces) > MAX_TRACES:
        raise MalformedError("inkml", said("the-file-has-traces-are", count=len(traces), traces=MAX_TRACES))
    strokes = [_stroke(_rows(trace.text or "", len(channels)), channels) for trace in traces]
    hardest = max((stroke[:, 2].max() for stroke in strokes), default=1.0)
    # Force has no fixed unit: where it goes over 1, the hardest press of the document is taken as 1.
    if hardest > 1:
        for stroke in strokes:
            stroke[:, 2] /= hardest
    return dict(zip(traces, strokes, strict=True))


def _name(element: Element) -> str:
    return str(element.tag).rsplit("}", 1)[-1]


def _rows(text: str, count: int) -> list[list[float]]:
    rows: list[list[float]] = []
    modes = ["!"] * count
    speed = [0.0] * count
    for part in text.split(",", MAX_SAMPLES + 1):
        point = " ".join(part.split())
        if not point:
            continue
        if len(point) > MAX_POINT:
            raise MalformedError("trace", said("a-trace-has-a-point", point=repr(point[:40])))
        found = _NUMBER.findall(point)
        if len(found) < 2 or len(found) > count or _NUMBER.sub("", point).strip():
            raise MalformedError("trace", said("a-trace-has-a-point-2", point=repr(point[:40])))
        row = list(rows[-1]) if rows else [0.0] * count
        for channel, (prefix, digits) in enumerate(found):
            modes[channel] = prefix or modes[channel]
            value = float(digits)
            if modes[channel] == "!":
                row[channel] = value
                continue
            speed[channel] = value if modes[channel] == "'" else speed[channel] + value
            row[channel] += speed[channel]
        if not all(math.isfinite(value) for value in row):
            raise MalformedError("trace", said("a-trace-has-a-number"))
        rows.append(row)
    if not rows or len(rows) > MAX_SAMPLES:
        raise MalformedError("trace", said("a-trace-has-between-1", samples=MAX_SAMPLES))
    return rows


def _stroke(rows: list[list[float]], channels: list[str]) -> Stroke:
    table = np.array(rows)
    samples = np.zeros((len(rows), 4))
    samples[:, 2] = 0.5
    for column, channel in enumerate(("X", "Y", "F", "T")):
        if channel in channels:
            samples[:, column] = table[:, channels.index(channel)]
    samples[:, 3] -= samples[0, 3]
    return samples


def write_inkml(groups: Sequence[tuple[str, Sequence[Stroke]]]) -> bytes:
    """An InkML document of labelled ink: each group of strokes says a text (annotation of type “truth”).

    Parameters
    ----------
    groups : sequence of (str, sequence of (N, 4) float arrays)
        Strokes of x, y, pressure 0–1, time in ms from the stroke's start.
    """
    root, _ = _document()
    for text, strokes in groups:
        group = SubElement(root, "traceGroup", contextRef=CONTEXT)
        SubElement(group, "annotation", type="truth").text = text
        for stroke in strokes:
            SubElement(group, "trace").text = _trace_text(stroke)
    return _written(root)


def page_inkml(page: Page) -> bytes:
    """The ink of a page, in page units, from the lowest to the highest; each look is a brush.

    Traces carry pressure and time; ``timeOffset`` is when each was written, from the page's first.
    """
    root, definitions = _document()
    ink = [item for item in page.in_order() if isinstance(item, InkItem)]
    begun_ms = min((item.at_ms for item in ink), default=0)
    brushes: dict[tuple[str, str, float, float], str] = {}
    for item in ink:
        look = (item.nib, item.colour, item.width * item.placement.growth, item.opacity)
        if look not in brushes:
            brushes[look] = f"brush-{len(brushes) + 1}"
            _define(definitions, brushes[look], *look)
        samples = unpack_samples(item.samples)
        samples[:, :2] = item.placement.points(samples[:, :2])
        told = {
            "contextRef": CONTEXT,
            "brushRef": f"#{brushes[look]}",
            "timeOffset": str(item.at_ms - begun_ms),
        }
        SubElement(root, "trace", told).text = _trace_text(samples)
    return _written(root)


def _define(definitions: Element, name: str, nib: str, colour: str, width: float, opacity: float) -> None:
    """A brush of the standard's properties; its transparency counts from 0, opaque, to 255."""
    brush = SubElement(definitions, "brush", {"xml:id": name})
    tip = {"name": "tip", "value": "rectangle" if nib == "highlighter" else "ellipse"}
    units = {"width": f"{width:.2f}", "height": f"{width:.2f}"}
    for key, value in units.items():
        SubElement(brush, "brushProperty", {"name": key, "value": value, "units": "px"})
    for properties in (
        {"name": "color", "value": colour},
        {"name": "transparency", "value": str(round(255 * (1 - opacity)))},
        tip,
    ):
        SubElement(brush, "brushProperty", properties)
    SubElement(brush, "annotation", {"type": "nib"}).text = nib


def _trace_text(stroke: Stroke) -> str:
    return ", ".join(f"{x:.2f} {y:.2f} {force:.3f} {time:.0f}" for x, y, force, time in stroke)


def _document() -> tuple[Element, Element]:
    """An empty document with the format of its traces, and its definitions."""
    root = Element("ink", xmlns="http://www.w3.org/2003/InkML")
    definitions = SubElement(root, "definitions")
    layout = SubElement(SubElement(definitions, "context", {"xml:id": CONTEXT[1:]}), "traceFormat")
    for name, kind, units in (
        ("X", "decimal", ""),
        ("Y", "decimal", ""),
        ("F", "decimal", ""),
        ("T", "integer", "ms"),
    ):
        SubElement(layout, "channel", {"name": name, "type": kind, **({"units": units} if units else {})})
    return root, definitions


def _written(root: Element) -> bytes:
    data: bytes = tostring(root, encoding="utf-8", xml_declaration=True)
    return data
