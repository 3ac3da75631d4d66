"""Signs to point out, to warn, and to say what is to be done."""

from __future__ import annotations

from sunroom.core.drawings.drawing import (
    CLAY,
    LEAF,
    ROSE,
    SAND,
    SKY,
    STONE,
    SUN,
    WHITE,
    WOOD,
    Drawing,
    Picture,
)  # fmt: skip


def attention(p: Picture) -> None:
    p.area((100, 18), (188, 176), (12, 176), fill=SUN)
    p.line((100, 70), (100, 126), width=10)
    p.dot(100, 150, 8)


def said(p: Picture) -> None:
    p.blob(
        (34, 34),
        (100, 22),
        (166, 34),
        (184, 84),
        (162, 130),
        (112, 138),
        (62, 184),
        (70, 136),
        (30, 124),
        (16, 78),
        fill=WHITE,
    )


def thought(p: Picture) -> None:
    p.blob(
        (44, 118),
        (16, 88),
        (40, 56),
        (70, 28),
        (112, 26),
        (142, 44),
        (180, 62),
        (182, 98),
        (154, 122),
        (100, 130),
        fill=WHITE,
    )
    p.oval(66, 148, 12, fill=WHITE)
    p.oval(44, 176, 7, fill=WHITE)


def magnifier(p: Picture) -> None:
    p.line((126, 126), (180, 180), width=12)
    p.oval(82, 82, 60, fill=SKY)
    p.curve((46, 78), (58, 54), (82, 44), width=3)


def pencil(p: Picture) -> None:
    p.area((150, 20), (182, 52), (64, 170), (32, 138), fill=SUN)
    p.area((32, 138), (64, 170), (18, 184), fill=SAND)
    p.area((150, 20), (182, 52), (170, 64), (138, 32), fill=ROSE)
    p.dot(23, 179, 5)


def book(p: Picture) -> None:
    p.area((100, 50), (60, 36), (14, 44), (14, 160), (60, 152), (100, 168), fill=WHITE)
    p.area((100, 50), (140, 36), (186, 44), (186, 160), (140, 152), (100, 168), fill=WHITE)
    for y in (70, 94, 118):
        p.line((30, y), (84, y + 4), width=2)
        p.line((116, y + 4), (170, y), width=2)


def flag(p: Picture) -> None:
    p.line((44, 14), (44, 188), width=6)
    p.blob((46, 22), (92, 38), (132, 20), (176, 34), (172, 92), (130, 80), (92, 98), (46, 84), fill=CLAY)


def key(p: Picture) -> None:
    p.area(
        (88, 92),
        (186, 92),
        (186, 128),
        (172, 128),
        (172, 108),
        (156, 108),
        (156, 120),
        (142, 120),
        (142, 108),
        (88, 108),
        fill=SUN,
    )
    p.oval(58, 100, 42, fill=SUN)
    p.oval(50, 100, 14, fill=WHITE)


def bell(p: Picture) -> None:
    p.oval(100, 168, 16, fill=STONE)
    p.blob(
        (24, 156),
        (46, 132),
        (54, 74),
        (80, 40),
        (120, 40),
        (146, 74),
        (154, 132),
        (176, 156),
        (100, 162),
        fill=SUN,
    )
    p.oval(100, 30, 10, fill=STONE)


def hourglass(p: Picture) -> None:
    p.area(
        (54, 26),
        (146, 26),
        (140, 66),
        (106, 100),
        (140, 134),
        (146, 174),
        (54, 174),
        (60, 134),
        (94, 100),
        (60, 66),
        fill=WHITE,
    )
    p.area((66, 60), (134, 60), (101, 96), (99, 96), fill=SUN, width=1)
    p.area((70, 170), (100, 132), (130, 170), fill=SUN, width=1)
    p.line((44, 22), (156, 22), width=8)
    p.line((44, 178), (156, 178), width=8)


def listening(p: Picture) -> None:
    p.blob(
        (62, 150),
        (74, 122),
        (56, 92),
        (58, 44),
        (104, 20),
        (146, 48),
        (146, 94),
        (118, 122),
        (108, 160),
        (82, 178),
        fill=SAND,
    )
    p.curve((82, 88), (80, 62), (102, 48), (122, 64), (118, 90), (100, 104), (98, 126))


def together(p: Picture) -> None:
    for x, y, fill in ((52, 66, ROSE), (148, 66, SKY), (100, 52, SUN)):
        p.blob(
            (x - 44, y + 112), (x - 34, y + 56), (x, y + 36), (x + 34, y + 56), (x + 44, y + 112), fill=fill
        )
        p.oval(x, y, 28, fill=fill)


def parcel(p: Picture) -> None:
    p.area((24, 74), (176, 74), (176, 178), (24, 178), fill=WOOD)
    p.area((14, 48), (186, 48), (186, 78), (14, 78), fill=SAND)
    p.area((88, 48), (112, 48), (112, 178), (88, 178), fill=LEAF)
    p.curve((100, 48), (64, 16), (54, 34), (100, 48), width=4)
    p.curve((100, 48), (136, 16), (146, 34), (100, 48), width=4)


SIGNS: dict[str, Drawing] = {
    "attention": attention, "said": said, "thought": thought, "magnifier": magnifier, "pencil": pencil, "book": book,
    "listening": listening, "together": together, "flag": flag, "key": key, "bell": bell, "hourglass": hourglass, "parcel": parcel,
}  # fmt: skip
