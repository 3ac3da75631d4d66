"""PDF: vector ink, typed text as text in the shipped fonts, every page; and pages as pictures.

Page contents are written as raw operators, which is several times faster than drawing libraries for
thousands of strokes. Coordinates are whole numbers of 1/20 unit under one scaling matrix.
"""

from __future__ import annotations

import io
from collections.abc import Mapping, Sequence
from typing import NamedTuple

import numpy as np
import pikepdf
import pypdfium2
from pikepdf import Array, Dictionary, Name

from sunroom.core.board.pages import Page, PaperKind
from sunroom.core.board.words import WrittenLine
from sunroom.core.formats.drawing import ALL, Parts, Points, Role
from sunroom.core.formats.pages import draw_bay, draw_page
from sunroom.core.formats.pdf_fonts import EmbeddedFont
from sunroom.core.formats.pdf_sheets import cutting_marks, place_links, placed, room
from sunroom.core.formats.pdf_tags import PageTags, embed_tags
from sunroom.core.formats.pictures import EmbeddedPage, EmbeddedPicture
from sunroom.core.formats.sheets import AS_LARGE, Sheet, Sheets, sheets_for
from sunroom.core.geometry import Affine, Box
from sunroom.core.text import Typesetter
from sunroom.core.text.layout import OTHER_FACE

#: A board unit is a CSS pixel: 96 to the inch, where PDF counts 72.
POINTS_PER_UNIT = 0.75
#: No page of a PDF is larger a side: a board that is gets smaller on it.
MAX_POINTS = 14_400
#: Fineness of coordinates: finer than any printer's dots, and short to write.
GRAIN = 20
#: How large unseen words are: about as writing is, in board units.
UNSEEN_SIZE = 24.0
#: Measured on a page of ink: a third less time than zlib's own choice, for 8 % more bytes.
pikepdf.settings.set_flate_compression_level(4)


class _Drawn(NamedTuple):
    """A page as it was drawn: what it is called, its content and tags, and addresses with where they lead from."""

    name: str
    box: Box
    kind: PaperKind
    content: list[str]
    tags: PageTags
    links: list[Dictionary]


class PdfDrawing:
    """A drawing that becomes a PDF; ``finish`` gives its bytes.

    It is tagged for those who listen, unless pages are cut: then what lies on two sheets would be told twice.
    """

    def __init__(
        self,
        typesetter: Typesetter,
        title: str,
        pictures: Mapping[str, bytes] | None = None,
        language: str = "",
        paper: bool = True,
        sheets: Sheets = AS_LARGE,
    ) -> None:
        self._pdf = pikepdf.new()
        self._sheets = sheets
        self._next: tuple[str, PaperKind] = ("", "sheet")
        self._pictures, self._paper = pictures or {}, paper
        self._placed: dict[str, EmbeddedPicture | EmbeddedPage] = {}
        self.typesetter = typesetter
        self._fonts: dict[str, EmbeddedFont] = {}
        self._pages: list[_Drawn] = []
        self._opacities: dict[float, str] = {1.0: "/G0"}
        with self._pdf.open_metadata() as metadata:
            metadata["dc:title"] = title
        self._pdf.docinfo["/Title"] = title
        if language:
            self._pdf.Root.Lang = pikepdf.String(language)

    def expect(self, name: str, kind: PaperKind) -> None:
        """The next page is called so, in the bookmarks unless it is "", and is of that kind."""
        self._next = (name, kind)

    def begin_page(self, box: Box, colour: str) -> None:
        name, kind = self._next
        self._next = ("", "sheet")
        if self._pages:
            self._tags.close(self._pages[-1].content)
        self._pages.append(_Drawn(name, box, kind, [], PageTags(), []))
        if self._paper:
            sheet = f"{_whole(box.x0)} {_whole(box.y0)} {_whole(box.width)} {_whole(box.height)} re f"
            self._put(f"{_rgb(colour)} rg {sheet}")

    def item(self, uid: str) -> None:
        """Items are not told apart in a PDF."""

    def begin(self, role: Role, box: Box, alt: str = "") -> None:
        self._tags.begin(role, box, alt, self._pages[-1].content)

    def end(self) -> None:
        self._tags.end(self._pages[-1].content)

    def fill(self, polygons: list[Points], curved: bool, colour: str, opacity: float) -> None:
        parts = [self._paint(opacity), _rgb(colour), "rg"]
        for polygon in polygons:
            parts += [_curved(polygon) if curved else _straight(polygon), "h"]
        self._put(" ".join([*parts, "f"]))

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
        path = _curved(points) if curved else _straight(points)
        ending = "s" if closed else "S"
        line = f"{self._paint(opacity)} {_rgb(colour)} RG {max(1, _whole(width))} w {path} {ending}"
        if dashes:
            pattern = " ".join(str(_whole(part)) for part in dashes)
            line = f"[{pattern}] 0 d {line} [] 0 d"
        self._put(line)

    def text(self, face: str, text: str, place: Affine, size: float, colour: str) -> None:
        if face == OTHER_FACE:
            face = next(iter(self.typesetter.faces))  # it draws its sign for a missing character
        font = self._fonts.get(face)
        if font is None:
            font = self._fonts[face] = EmbeddedFont(face, self.typesetter.faces[face].data)
        # The page's y runs down and a font's runs up.
        turn = f"{place.a:.5g} {place.b:.5g} {-place.c:.5g} {-place.d:.5g}"
        self._put(
            f"{self._paint(1.0)} {_rgb(colour)} rg BT /{face} {size * GRAIN:.3f} Tf "
            f"{turn} {_whole(place.e)} {_whole(place.f)} Tm <{font.encode(text)}> Tj ET"
        )

    def unseen(self, text: str, place: Affine) -> None:
        """Words that are there for those who look for them, and are not seen."""
        self.begin("words", Box(place.e, place.f, place.e, place.f))
        self._put("3 Tr")
        self.text(next(iter(self.typesetter.faces)), text, place, UNSEEN_SIZE, "#000000")
        self._put("0 Tr")
        self.end()

    def link(self, address: str, corners: Points) -> None:
        drawn = self._pages[-1]
        annotation = self._pdf.make_indirect(_annotation(drawn.box, address, corners))
        drawn.links.append(annotation)
        self._tags.link(annotation)

    def picture(self, picture: str, place: Affine, opacity: float, shown: Points | None = None) -> None:
        embedded = self._embedded(picture)
        if embedded is None:
            return
        # A picture hangs in the unit square from its upper edge, where PDF counts upwards.
        a, b, c, d = (value * GRAIN for value in (place.a, place.b, -place.c, -place.d))
        e, f = (place.e + place.c) * GRAIN, (place.f + place.d) * GRAIN
        cut = "" if shown is None else f"{_straight(shown)} h W n "
        self._put(
            f"q {cut}{self._paint(opacity)} {a:.4f} {b:.4f} {c:.4f} {d:.4f} {e:.4f} {f:.4f} cm /{embedded.name} Do Q"
        )

    def picture_size(self, picture: str) -> tuple[float, float] | None:
        embedded = self._embedded(picture)
        return embedded.size if embedded else None

    def _embedded(self, picture: str) -> EmbeddedPicture | EmbeddedPage | None:
        if picture not in self._placed and picture in self._pictures:
            name = f"P{len(self._placed)}"
            self._placed[picture] = EmbeddedPicture.of(name, self._pictures[picture], self._pdf)
        return self._placed.get(picture)

    def finish(self) -> bytes:
        """The whole document."""
        fonts = Dictionary({f"/{face}": font.embed(self._pdf) for face, font in self._fonts.items()})
        states = Dictionary(
            {name: Dictionary(ca=opacity, CA=opacity) for opacity, name in self._opacities.items()}
        )
        pictures = Dictionary({f"/{p.name}": p.stream for p in self._placed.values()})
        resources = self._pdf.make_indirect(Dictionary(Font=fonts, ExtGState=states, XObject=pictures))
        marks, tagged = [], []
        for drawn in self._pages:
            drawn.tags.close(drawn.content)
            if drawn.name:
                marks.append(pikepdf.OutlineItem(drawn.name, len(self._pdf.pages)))
            scale = _points_per_unit(drawn.box)
            sheets = sheets_for(drawn.box.width * scale, drawn.box.height * scale, drawn.kind, self._sheets)
            if len(sheets) == 1:
                page = self._add_page(
                    sheets[0], resources, placed(sheets[0], "\n".join([_matrix(drawn.box), *drawn.content]))
                )
                place_links(self._pdf, page, sheets[0], drawn.links)
                tagged.append((page, drawn.tags, drawn.name))
            else:
                self._add_cut(drawn, sheets, resources)
        if len(tagged) == len(self._pages):
            embed_tags(self._pdf, tagged)
        if marks:
            with self._pdf.open_outline() as outline:
                outline.root.extend(marks)
        out = io.BytesIO()
        self._pdf.save(out, compress_streams=True, object_stream_mode=pikepdf.ObjectStreamMode.generate)
        return out.getvalue()

    def _add_page(self, sheet: Sheet, resources: pikepdf.Object, content: str) -> pikepdf.Object:
        page = self._pdf.make_indirect(
            Dictionary(
                Type=Name.Page,
                MediaBox=Array([0, 0, sheet.width, sheet.height]),
                Resources=resources,
                Contents=self._pdf.make_stream(content.encode()),
            )
        )
        self._pdf.pages.append(pikepdf.Page(page))
        return self._pdf.pages[-1].obj

    def _add_cut(self, drawn: _Drawn, sheets: list[Sheet], resources: pikepdf.Object) -> None:
        """Each sheet of a page that is cut shows its part of one drawing."""
        scale = _points_per_unit(drawn.box)
        form = self._pdf.make_stream("\n".join([_matrix(drawn.box), *drawn.content]).encode())
        form.Type, form.Subtype, form.Resources = Name.XObject, Name.Form, resources
        form.BBox = Array([0, 0, drawn.box.width * scale, drawn.box.height * scale])
        for sheet in sheets:
            own = Dictionary(XObject=Dictionary(Page=form))
            shown = f"q {room(sheet)} re W n {placed(sheet, '/Page Do')} Q {cutting_marks(sheet)}"
            page = self._add_page(sheet, own, shown)
            place_links(self._pdf, page, sheet, drawn.links)

    @property
    def _tags(self) -> PageTags:
        return self._pages[-1].tags

    def _put(self, operators: str) -> None:
        drawn = self._pages[-1]
        drawn.tags.before(drawn.content)
        drawn.content.append(operators)

    def _paint(self, opacity: float) -> str:
        return self._opacities.setdefault(opacity, f"/G{len(self._opacities)}") + " gs"


def board_pdf(
    pages: Sequence[Page],
    typesetter: Typesetter,
    title: str,
    pictures: Mapping[str, bytes] | None = None,
    language: str = "",
    parts: Parts = ALL,
    names: Sequence[str] = (),
    written: Sequence[Sequence[WrittenLine]] = (),
    sheets: Sheets = AS_LARGE,
    bays_only: bool = False,
) -> bytes:
    """All ``pages`` as one PDF titled ``title``, with a page for each bay that is to have one; or each bay alone.

    ``names`` of the pages become its bookmarks. What the ink of each page reads as, ``written``, lies unseen where it
    is written, so that it can be searched for and copied.
    ``pictures`` are the files of those they show, by id; ``language`` tells whoever reads it out what it is written in.
    """
    drawing = PdfDrawing(typesetter, title, pictures, language, parts.paper, sheets)
    for number, page in enumerate(pages):
        name = names[number] if number < len(names) else ""
        if bays_only:
            for at, bay in enumerate(page.head.bays, 1):
                drawing.expect(bay.title or f"{name} {at}".strip(), "sheet")
                draw_bay(page, bay, drawing, parts)
            continue
        drawing.expect(name, page.head.paper.kind)
        draw_page(page, drawing, parts)
        for line in written[number] if number < len(written) else ():
            drawing.unseen(line.texts[0], Affine(e=line.x, f=line.y + UNSEEN_SIZE))
        for bay in page.head.bays:
            if bay.prints == "own":
                draw_bay(page, bay, drawing, parts)
    return drawing.finish()


def page_png(
    page: Page,
    typesetter: Typesetter,
    width_px: int,
    pictures: Mapping[str, bytes] | None = None,
    parts: Parts = ALL,
) -> bytes:
    """A picture of one page, ``width_px`` wide, made from its PDF; of a page over twice as high as wide narrower.

    Without its paper it is clear where nothing is written.
    """
    document = pypdfium2.PdfDocument(board_pdf([page], typesetter, page.head.title, pictures, parts=parts))
    try:
        sheet = document[0]
        scale = min(width_px / sheet.get_width(), 2 * width_px / sheet.get_height())
        clear = None if parts.paper else (255, 255, 255, 0)
        picture = sheet.render(scale=scale, **({"fill_color": clear} if clear else {})).to_pil()
    finally:
        document.close()
    out = io.BytesIO()
    picture.save(out, "PNG", optimize=True)
    return out.getvalue()


def _points_per_unit(box: Box) -> float:
    return min(POINTS_PER_UNIT, MAX_POINTS / max(box.width, box.height, 1.0))


def _matrix(box: Box) -> str:
    """From the whole numbers of a page's content to its points, and round caps and joins."""
    scale = _points_per_unit(box)
    s = scale / GRAIN
    return f"{s:.8f} 0 0 {-s:.8f} {-box.x0 * scale:.4f} {box.y1 * scale:.4f} cm 1 J 1 j"


def _annotation(box: Box, address: str, corners: Points) -> Dictionary:
    """A place of the page that opens an address (ISO 32000-1, 12.5.6.5)."""
    scale = _points_per_unit(box)
    x, y = (corners[:, 0] - box.x0) * scale, (box.y1 - corners[:, 1]) * scale
    return Dictionary(
        Type=Name.Annot,
        Subtype=Name.Link,
        Rect=Array([float(x.min()), float(y.min()), float(x.max()), float(y.max())]),
        Border=Array([0, 0, 0]),
        A=Dictionary(S=Name.URI, URI=pikepdf.String(address)),
    )


def _whole(value: float) -> int:
    return round(value * GRAIN)


def _rgb(colour: str) -> str:
    return " ".join(f"{int(colour[at : at + 2], 16) / 255:.3g}" for at in (1, 3, 5))


def _straight(points: Points) -> str:
    x, y, *rest = np.rint(points * GRAIN).astype(int).ravel().tolist()
    return f"{x} {y} m" + " %d %d l" * (len(rest) // 2) % tuple(rest)


def _curved(points: Points) -> str:
    rows = [f"{x} {y}" for x, y in np.rint(points * GRAIN).astype(int).tolist()]
    curves = [" ".join(rows[at : at + 3]) + " c" for at in range(1, len(rows), 3)]
    return " ".join([rows[0], "m", *curves])
