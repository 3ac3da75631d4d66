"""A font in a PDF: the characters used, embedded as outlines that can be searched and copied as text."""

from __future__ import annotations

import io

import pikepdf
from fontTools.subset import Options, Subsetter
from fontTools.ttLib import TTFont
from pikepdf import Array, Dictionary, Name

#: The tables that a PDF viewer needs to draw TrueType glyphs by number (ISO 32000-1, 9.9).
NEEDED_TABLES = {"head", "hhea", "maxp", "hmtx", "loca", "glyf", "cvt ", "fpgm", "prep"}


class EmbeddedFont:
    """One face of a PDF, filled as text is encoded with it."""

    def __init__(self, name: str, data: bytes) -> None:
        self._name = name
        self._font = TTFont(io.BytesIO(data))
        self._cmap: dict[int, str] = self._font.getBestCmap()
        self._used: dict[int, str] = {}

    def encode(self, text: str) -> str:
        """``text`` as the hexadecimal glyph numbers of a PDF string; 0 for a character it has not."""
        codes = []
        for character in text:
            glyph = self._cmap.get(ord(character))
            number = self._font.getGlyphID(glyph) if glyph else 0
            if number:
                self._used[number] = character
            codes.append(f"{number:04x}")
        return "".join(codes)

    def embed(self, pdf: pikepdf.Pdf) -> pikepdf.Object:
        """The font's objects in ``pdf``: a composite font whose codes are glyph numbers."""
        upem = self._font["head"].unitsPerEm
        metrics, order = self._font["hmtx"].metrics, self._font.getGlyphOrder()
        widths = Array()
        for number in sorted({0, *self._used}):
            widths.append(number)
            widths.append(Array([round(1000 * metrics[order[number]][0] / upem)]))
        head, hhea = self._font["head"], self._font["hhea"]
        base_name = Name("/SunRoom+" + self._name)
        descriptor = Dictionary(
            Type=Name.FontDescriptor,
            FontName=base_name,
            Flags=4,
            FontBBox=Array(
                [round(1000 * side / upem) for side in (head.xMin, head.yMin, head.xMax, head.yMax)]
            ),
            ItalicAngle=0,
            Ascent=round(1000 * hhea.ascent / upem),
            Descent=round(1000 * hhea.descent / upem),
            CapHeight=700,
            StemV=80,
            FontFile2=pdf.make_stream(self._subset()),
        )
        descendant = Dictionary(
            Type=Name.Font,
            Subtype=Name.CIDFontType2,
            BaseFont=base_name,
            CIDSystemInfo=Dictionary(Registry=b"Adobe", Ordering=b"Identity", Supplement=0),
            FontDescriptor=pdf.make_indirect(descriptor),
            W=widths,
            CIDToGIDMap=Name.Identity,
        )
        return pdf.make_indirect(
            Dictionary(
                Type=Name.Font,
                Subtype=Name.Type0,
                BaseFont=base_name,
                Encoding=Name("/Identity-H"),
                DescendantFonts=Array([pdf.make_indirect(descendant)]),
                ToUnicode=pdf.make_stream(self._to_unicode().encode()),
            )
        )

    def _subset(self) -> bytes:
        options = Options(retain_gids=True, notdef_outline=True, layout_features=[], hinting=False)
        subsetter = Subsetter(options)
        subsetter.populate(unicodes=[ord(character) for character in self._used.values()])
        subsetter.subset(self._font)
        for table in set(self._font.keys()) - NEEDED_TABLES - {"GlyphOrder"}:
            del self._font[table]
        self._font.flavor = None
        out = io.BytesIO()
        self._font.save(out)
        return out.getvalue()

    def _to_unicode(self) -> str:
        pairs = [
            f"<{number:04x}> <{character.encode('utf-16-be').hex()}>"
            for number, character in sorted(self._used.items())
        ]
        # A block of a character map holds at most 100 pairs (Adobe technical note 5014).
        blocks = [pairs[at : at + 100] for at in range(0, len(pairs), 100)]
        body = "\n".join(f"{len(block)} beginbfchar\n" + "\n".join(block) + "\nendbfchar" for block in blocks)
        return (
            "/CIDInit /ProcSet findresource begin 12 dict begin begincmap\n"
            "/CMapName /SunRoom def /CMapType 2 def\n"
            "1 begincodespacerange <0000> <ffff> endcodespacerange\n"
            f"{body}\nendcmap CMapName currentdict /CMap defineresource pop end end"
        )
