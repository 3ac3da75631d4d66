"""The board: items on pages, the steps that change them, and each person's way back."""

from sunroom.core.board.history import History
from sunroom.core.board.items import (
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    InkItem,
    Item,
    NoteItem,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
)
from sunroom.core.board.pages import Board, Page, PageHead, Paper
from sunroom.core.board.permission import needs, needs_first
from sunroom.core.board.requests import Request, resolve, signed
from sunroom.core.board.steps import Step, apply, invert, remaining

__all__ = [
    "Board",
    "CardItem",
    "ChartItem",
    "FormulaItem",
    "GraphItem",
    "History",
    "InkItem",
    "Item",
    "NoteItem",
    "Page",
    "PageHead",
    "Paper",
    "PictureItem",
    "Request",
    "ShapeItem",
    "Step",
    "TableItem",
    "TextItem",
    "apply",
    "invert",
    "needs",
    "needs_first",
    "remaining",
    "resolve",
    "signed",
]
