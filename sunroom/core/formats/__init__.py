"""Ways out and in: one drawing protocol and its writers, and the open ink formats."""

from sunroom.core.formats.drawing import Drawing
from sunroom.core.formats.pages import draw_page
from sunroom.core.formats.pdf import PdfDrawing, board_pdf, page_png

__all__ = ["Drawing", "PdfDrawing", "board_pdf", "draw_page", "page_png"]
