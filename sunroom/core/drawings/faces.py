"""Faces: how somebody feels about what was just learned."""

from __future__ import annotations

from sunroom.core.drawings.drawing import SAND, WATER, WHITE, Drawing, Picture


def _head(p: Picture) -> None:
    p.blob((100, 14), (40, 30), (18, 92), (34, 158), (100, 186), (166, 158), (182, 92), (160, 30), fill=SAND)


def _eyes(p: Picture) -> None:
    p.dot(70, 84, 8)
    p.dot(130, 84, 8)


def glad(p: Picture) -> None:
    _head(p)
    _eyes(p)
    p.curve((58, 120), (78, 144), (100, 150), (122, 144), (142, 120), width=5)


def sad(p: Picture) -> None:
    _head(p)
    _eyes(p)
    p.curve((64, 150), (82, 132), (100, 128), (118, 132), (136, 150), width=5)
    p.blob((142, 96), (134, 114), (142, 122), (150, 114), fill=WATER, width=2)


def astonished(p: Picture) -> None:
    _head(p)
    for x in (68, 132):
        p.oval(x, 82, 16, fill=WHITE)
        p.dot(x, 82, 6)
    p.oval(100, 142, 15, 20, WHITE)


def thinking(p: Picture) -> None:
    _head(p)
    p.dot(78, 80, 8)
    p.dot(138, 80, 8)
    p.curve((56, 62), (74, 52), (90, 58), width=4)
    p.line((122, 58), (152, 58), width=4)
    p.curve((78, 146), (104, 138), (132, 142), width=5)


def tired(p: Picture) -> None:
    _head(p)
    for x in (70, 130):
        p.curve((x - 18, 84), (x, 94), (x + 18, 84), width=4)
    p.oval(100, 140, 12, 9, WHITE)


def unsure(p: Picture) -> None:
    _head(p)
    _eyes(p)
    p.curve((60, 136), (76, 128), (90, 142), (106, 130), (122, 142), (140, 132), width=5)


def proud(p: Picture) -> None:
    _head(p)
    for x in (70, 130):
        p.curve((x - 16, 88), (x, 74), (x + 16, 88), width=5)
    p.area((60, 116), (140, 116), (126, 146), (100, 154), (74, 146), fill=WHITE)


FACES: dict[str, Drawing] = {
    "glad": glad, "proud": proud, "astonished": astonished, "thinking": thinking, "unsure": unsure, "tired": tired, "sad": sad,
}  # fmt: skip
