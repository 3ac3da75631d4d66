"""What those who do not see hidden pages are shown of a board: the board, each step of it, and the way back.

A hidden page is the tutor side's own. Nothing of it goes to anybody else: to them it comes into being when it is
shown, and is gone when it is hidden.
"""

from __future__ import annotations

import msgspec

from sunroom.core.board.pages import Board
from sunroom.core.board.requests import Plain
from sunroom.core.board.steps import AddPage, ChangePage, MovePage, RemovePage, Step


def hidden_pages(board: Board) -> frozenset[str]:
    """The ids of the pages that only the tutor side sees."""
    return frozenset(page_id for page_id, page in board.pages.items() if page.head.hidden)


def shown(board: Board) -> Board:
    """The board without its hidden pages."""
    hidden = hidden_pages(board)
    if not hidden:
        return board
    pages = board.pages.mutate()
    for page_id in hidden:
        del pages[page_id]
    order = tuple(page_id for page_id in board.order if page_id not in hidden)
    return msgspec.structs.replace(board, pages=pages.finish(), order=order)


def step_shown(before: Board, step: Step, after: Board) -> Step | None:
    """What ``step`` does to the shown board, from ``before`` to ``after``; None: nothing."""
    page_id = step.head.id if isinstance(step, AddPage | ChangePage) else step.page
    was, comes = _is_shown(before, page_id), _is_shown(after, page_id)
    if comes and isinstance(step, AddPage | MovePage):
        return msgspec.structs.replace(step, index=_place(after, page_id))
    if comes and not was:
        page = after.pages[page_id]
        return AddPage(page.head, _place(after, page_id), tuple(page.in_order()))
    if was and not comes:
        return RemovePage(page_id)
    return step if was else None


def as_meant(board: Board, request: Plain) -> Plain:
    """A request of somebody who does not see the hidden pages, with its place among all pages."""
    if not isinstance(request, AddPage | MovePage) or not hidden_pages(board):
        return request
    moving = request.page if isinstance(request, MovePage) else ""
    others = [page_id for page_id in board.order if page_id != moving]
    seen = [page_id for page_id in others if _is_shown(board, page_id)]
    at = others.index(seen[request.index]) if 0 <= request.index < len(seen) else len(others)
    return msgspec.structs.replace(request, index=at)


def _is_shown(board: Board, page_id: str) -> bool:
    page = board.pages.get(page_id)
    return page is not None and not page.head.hidden


def _place(board: Board, page_id: str) -> int:
    """Where a shown page stands among the shown ones."""
    before = board.order[: board.order.index(page_id)]
    return sum(_is_shown(board, other) for other in before)
