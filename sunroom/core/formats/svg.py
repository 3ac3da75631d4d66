"""SVG: a page as one vector picture.

Fonts are embedded as the characters that are used, pictures as they are kept. Whatever people typed is text here and
nothing else.
"""

from __future__ import annotations

import base64
import io
import re
from collections.abc import Mapping
from html import escape as escape_html

import numpy as np
from fontTools.subset import Options, Subsetter
from fontTools.ttLib import TTFont
from numpy.typing import NDArray

from sunroom.core.board.pages import Page
from sunroom.core.formats.drawing import ALL, Parts, Role
from sunroom.core.formats.pages import draw_page
from sunroom.core.formats.pictures import mime_of, size_of
from sunroom.core.geometry import Affine, Box
from sunroom.core.text import Typesetter
from sunroom.core.text.layout import OTHER_FACE

Points = NDArray[np.float64]

#: Characters that XML has no place for (XML 1.0, 2.2).
_UNFIT = re.compile("[^\t\n\x20-\ud7ff\ue000-\ufffd\U00010000-\U0010ffff]")
#: What stands in where a program passes embedded fonts over.
GENERIC = {"serif": "serif", "hand": "cursive", "mono": "monospace"}


class Fonts:
    """The faces that drawings use, each with the characters that are used of it."""

    def __init__(self, typesetter: Typesetter) -> None:
        self.typesetter = typesetter
        self._faces = {name: face.data for name, face in typesetter.faces.items()}
        self._used: dict[str, set[str]] = {}

    def family(self, face: str, text: str) -> str:
        """The font families of a run of text, whose characters are used from now on."""
        generic = GENERIC.get(face.split("-")[0], "sans-serif")
        if face == OTHER_FACE:
            return generic
        self._used.setdefault(face, set()).update(text)
        return f"board-{face}, {generic}"

    def css(self) -> str:
        """The rules that bring the used characters of each face."""
        rules = []
        for face, used in sorted(self._used.items()):
            data = base64.b64encode(_subset(self._faces[face], used)).decode()
            source = f"url(data:font/woff2;base64,{data})"
            rules.append(f"@font-face{{font-family:board-{face};src:{source} format('woff2')}}")
        return "".join(rules)


def _subset(data: bytes, used: set[str]) -> bytes:
    font = TTFont(io.BytesIO(data))
    subsetter = Subsetter(Options(layout_features=[], hinting=False, notdef_outline=True))
    subsetter.populate(text="".join(used))
    subsetter.subset(font)
    font.flavor = "woff2"
    out = io.BytesIO()
    font.save(out)
    return out.getvalue()


class Pictures:
    """The pictures that drawings show, each embedded once however often it is shown; ``files`` by id."""

    def __init__(self, files: Mapping[str, bytes]) -> None:
        self.files = files
        self._used: dict[str, str] = {}
        self._cuts = 0

    def cut(self) -> str:
        """A name for the edge of a picture that is shown in part."""
        self._cuts += 1
        return f"cut-{self._cuts}"

    def name(self, picture: str) -> str:
        """What a drawing calls a picture, which is used from now on."""
        return self._used.setdefault(picture, f"picture-{len(self._used) + 1}")

    def defs(self) -> str:
        """The elements that bring the used pictures, each in a unit square."""
        images = []
        for picture, name in self._used.items():
            data = self.files[picture]
            source = f"data:{mime_of(data)};base64,{base64.b64encode(data).decode()}"
            images.append(
                f'<image id="{name}" width="1" height="1" preserveAspectRatio="none" href="{source}"/>'
            )
        return f"<defs>{''.join(images)}</defs>" if images else ""


class SvgDrawing:
    """A drawing that becomes one SVG element; what is drawn of an item that has ``marks`` bears these attributes."""

    def __init__(
        self, fonts: Fonts, pictures: Pictures, paper: bool = True, marks: Mapping[str, str] | None = None
    ) -> None:
        self._fonts, self._pictures, self._paper, self._marks = fonts, pictures, paper, marks or {}
        self.typesetter = fonts.typesetter
        self._in_item = False
        self._parts: list[str] = []
        self._open: list[str] = []
        self._box = Box(0, 0, 1, 1)

    def begin_page(self, box: Box, colour: str) -> None:
        self._box = box
        if self._paper:
            place = f'x="{_n(box.x0)}" y="{_n(box.y0)}" width="{_n(box.width)}" height="{_n(box.height)}"'
            self._parts.append(f'<rect {place} fill="{colour}"/>')

    def item(self, uid: str) -> None:
        if self._in_item:
            self._parts.append("</g>")
        self._in_item = uid in self._marks
        if self._in_item:
            self._parts.append(f"<g {self._marks[uid]}>")

    def begin(self, role: Role, box: Box, alt: str = "") -> None:
        # Words and tables are told by their text, which is real.
        self._open.append("</g>" if alt else "")
        if alt:
            self._parts.append(f'<g role="img" aria-label="{escape(alt)}">')

    def end(self) -> None:
        self._parts.append(self._open.pop())

    def fill(self, polygons: list[Points], curved: bool, colour: str, opacity: float) -> None:
        path = "".join(_path(polygon, curved) + "z" for polygon in polygons)
        self._parts.append(f'<path d="{path}" fill="{colour}"{_opacity(opacity)}/>')

    def stroke(
        self,
        points: Points,
        closed: bool,
        curved: bool,
        colour: str,
        width: float,
        opacity: float,
        dashes: tuple[float, ...] = (),
    ) -> None:
        if len(points) == 1:
            points = np.repeat(points, 2, axis=0)  # a path without length still paints its round cap
        dashed = f' stroke-dasharray="{" ".join(_n(part) for part in dashes)}"' if dashes else ""
        self._parts.append(
            f'<path d="{_path(points, curved)}{"z" if closed else ""}" fill="none" stroke="{colour}" '
            f'stroke-width="{_n(width)}"{dashed}{_opacity(opacity)}/>'
        )

    def text(self, face: str, text: str, place: Affine, size: float, colour: str) -> None:
        self._parts.append(
            f'<text transform="{_matrix(place)}" font-family="{self._fonts.family(face, text)}" '
            f'font-size="{_n(size)}" fill="{colour}" xml:space="preserve">{escape(text)}</text>'
        )

    def link(self, address: str, corners: Points) -> None:
        self._parts.append(
            f'<a href="{escape(address)}" target="_blank" rel="noreferrer noopener">'
            f'<path d="{_path(corners, False)}z" fill="#fff" fill-opacity="0"/></a>'
        )

    def picture(self, picture: str, place: Affine, opacity: float, shown: Points | None = None) -> None:
        if picture not in self._pictures.files:
            return
        use = f'<use transform="{_matrix(place)}"{_opacity(opacity)} href="#{self._pictures.name(picture)}"/>'
        if shown is not None:
            cut = self._pictures.cut()
            use = (
                f'<clipPath id="{cut}"><path d="{_path(shown, False)}z"/></clipPath>'
                f'<g clip-path="url(#{cut})">{use}</g>'
            )
        self._parts.append(use)

    def picture_size(self, picture: str) -> tuple[float, float] | None:
        data = self._pictures.files.get(picture)
        return size_of(data) if data else None

    def finish(self, title: str, style: str = "", defs: str = "") -> str:
        """The element, as wide as the page at 100 %; ``style`` and ``defs`` bring fonts and pictures to one that stands alone."""
        self.item("")
        box = self._box
        view = f"{_n(box.x0)} {_n(box.y0)} {_n(box.width)} {_n(box.height)}"
        size = f'width="{_n(box.width)}" height="{_n(box.height)}"'
        return (
            f'<svg xmlns="http://www.w3.org/2000/svg" {size} viewBox="{view}" stroke-linecap="round" '
            f'stroke-linejoin="round" style="font-kerning:none;font-variant-ligatures:none">'
            f"<title>{escape(title)}</title>{f'<style>{style}</style>' if style else ''}{defs}"
            f"{''.join(self._parts)}</svg>"
        )


def page_svg(
    page: Page, typesetter: Typesetter, title: str, pictures: Mapping[str, bytes], parts: Parts = ALL
) -> str:
    """One page as an SVG file of its own."""
    fonts, shown = Fonts(typesetter), Pictures(pictures)
    drawing = SvgDrawing(fonts, shown, parts.paper)
    draw_page(page, drawing, parts)
    return '<?xml version="1.0" encoding="UTF-8"?>\n' + drawing.finish(title, fonts.css(), shown.defs())


def escape(text: str) -> str:
    """``text`` as what it says, in an element or between quotes."""
    return escape_html(_UNFIT.sub("", text))


def _n(value: float) -> str:
    """A number as short as a hundredth of a unit allows."""
    return f"{value:.2f}".rstrip("0").rstrip(".")


def _matrix(place: Affine) -> str:
    values = (place.a, place.b, place.c, place.d, place.e, place.f)
    return f"matrix({' '.join(f'{value:.6g}' for value in values)})"


def _opacity(opacity: float) -> str:
    return f' opacity="{_n(opacity)}"' if opacity < 1 else ""


def _path(points: Points, curved: bool) -> str:
    rows = [f"{_n(x)} {_n(y)}" for x, y in points.tolist()]
    if not curved:
        return f"M{rows[0]}L{' '.join(rows[1:])}" if len(rows) > 1 else f"M{rows[0]}"
    return f"M{rows[0]}C{' '.join(rows[1:])}"
