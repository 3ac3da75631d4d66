"""Tags of a PDF: what each part of a page is, for those who listen to it (ISO 32000-1, 14.7 and 14.8).

Whatever is drawn between ``begin`` and ``end`` is one thing; all else is decoration, which nobody is told of.
"""

from __future__ import annotations

import pikepdf
from pikepdf import Array, Dictionary, Name

from sunroom.core.formats.drawing import Role
from sunroom.core.geometry import Box

TAGS: dict[Role, str] = {
    "words": "P",
    "heading": "H",
    "picture": "Figure",
    "table": "Table",
    "row": "TR",
    "head": "TH",
    "cell": "TD",
}
#: What is made of other things only.
MADE_OF_PARTS: set[Role] = {"table", "row"}


class _Thing:
    """A thing on a page: its marked content by number, or the things that it is made of."""

    def __init__(self, role: Role, box: Box, alt: str) -> None:
        self.role, self.box, self.alt = role, box, alt
        self.marks: list[int] = []
        self.links: list[Dictionary] = []
        self.parts: list[_Thing] = []


class PageTags:
    """The things of one page, told as its content is written."""

    def __init__(self) -> None:
        self._things: list[_Thing] = []
        self._open: list[_Thing] = []
        self._in_mark = False
        self._marks = 0

    def begin(self, role: Role, box: Box, alt: str, content: list[str]) -> None:
        self.close(content)
        thing = _Thing(role, box, alt)
        (self._open[-1].parts if self._open else self._things).append(thing)
        self._open.append(thing)

    def end(self, content: list[str]) -> None:
        self.close(content)
        self._open.pop()

    def before(self, content: list[str]) -> None:
        """Whatever is written to ``content`` next belongs to the thing that is open, or to none."""
        if self._in_mark:
            return
        self._in_mark = True
        thing = self._open[-1] if self._open else None
        if thing is None or thing.role in MADE_OF_PARTS:
            content.append("/Artifact BMC")
            return
        content.append(f"/{TAGS[thing.role]} <</MCID {self._marks}>> BDC")
        thing.marks.append(self._marks)
        self._marks += 1

    def close(self, content: list[str]) -> None:
        if self._in_mark:
            content.append("EMC")
            self._in_mark = False

    def link(self, annotation: Dictionary) -> None:
        """The thing that is open leads somewhere."""
        if self._open:
            self._open[-1].links.append(annotation)


def embed_tags(pdf: pikepdf.Pdf, pages: list[tuple[pikepdf.Object, PageTags, str]]) -> None:
    """The structure tree of ``pdf``: each page with its tags and what it is called, as a section read from its top."""
    tree = pdf.make_indirect(Dictionary(Type=Name.StructTreeRoot))
    parents: list[pikepdf.Object | int] = []
    sections = Array()
    links: list[tuple[Dictionary, pikepdf.Object]] = []

    def element(
        thing: _Thing, parent: pikepdf.Object, page: pikepdf.Object, held: list[pikepdf.Object]
    ) -> None:
        made = pdf.make_indirect(
            Dictionary(Type=Name.StructElem, S=Name("/" + TAGS[thing.role]), P=parent, Pg=page)
        )
        if thing.alt:
            made.Alt = pikepdf.String(thing.alt)
        made.K = Array(thing.marks)
        for mark in thing.marks:
            held[mark] = made
        for part in thing.parts:
            element(part, made, page, held)
        for annotation in thing.links:
            reference = Dictionary(Type=Name.OBJR, Obj=annotation, Pg=page)
            link = pdf.make_indirect(
                Dictionary(Type=Name.StructElem, S=Name.Link, P=made, Pg=page, K=Array([reference]))
            )
            made.K.append(link)
            links.append((annotation, link))
        parent.K.append(made)

    for number, (page, tags, name) in enumerate(pages):
        section = pdf.make_indirect(Dictionary(Type=Name.StructElem, S=Name.Sect, P=tree, K=Array()))
        if name:
            section.T = pikepdf.String(name)
        held: list[pikepdf.Object] = [section] * tags._marks
        for thing in sorted(tags._things, key=lambda one: (one.box.y0, one.box.x0)):
            element(thing, section, page, held)
        page.StructParents = number
        page.Tabs = Name.S
        parents += [number, Array(held)]
        sections.append(section)
    for key, (annotation, link) in enumerate(links, len(pages)):
        annotation.StructParent = key
        parents += [key, link]
    tree.K = sections
    tree.ParentTree = pdf.make_indirect(Dictionary(Nums=Array(parents)))
    tree.ParentTreeNextKey = len(pages) + len(links)
    pdf.Root.StructTreeRoot = tree
    pdf.Root.MarkInfo = Dictionary(Marked=True)
    pdf.Root.ViewerPreferences = Dictionary(DisplayDocTitle=True)
