"""Drawings for lessons in mathematics: bodies, and things of chance."""

from __future__ import annotations

from sunroom.core.drawings.drawing import CLAY, SAND, SKY, STONE, SUN, WATER, WHITE, Drawing, Picture


def cube(p: Picture) -> None:
    p.area((28, 70), (128, 70), (128, 176), (28, 176), fill=SKY)
    p.area((28, 70), (72, 26), (172, 26), (128, 70), fill=WHITE)
    p.area((128, 70), (172, 26), (172, 132), (128, 176), fill=WATER)


def cuboid(p: Picture) -> None:
    p.area((14, 96), (140, 96), (140, 166), (14, 166), fill=SKY)
    p.area((14, 96), (60, 56), (186, 56), (140, 96), fill=WHITE)
    p.area((140, 96), (186, 56), (186, 126), (140, 166), fill=WATER)


def cylinder(p: Picture) -> None:
    p.area((44, 42), (156, 42), (156, 158), (44, 158), fill=SKY, width=1)
    p.oval(100, 158, 56, 20, SKY)
    p.area((46, 42), (154, 42), (154, 158), (46, 158), fill=SKY, width=1)
    p.line((44, 42), (44, 158))
    p.line((156, 42), (156, 158))
    p.oval(100, 42, 56, 20, WHITE)


def cone(p: Picture) -> None:
    p.oval(100, 160, 62, 22, SKY)
    p.area((100, 18), (160, 154), (40, 154), fill=SKY, width=1)
    p.line((38, 156), (100, 18), (162, 156))


def sphere(p: Picture) -> None:
    p.oval(100, 100, 80, fill=SKY)
    p.oval(100, 100, 80, 24)
    p.line((100, 100), (180, 100), width=2)
    p.dot(100, 100)


def pyramid(p: Picture) -> None:
    p.area((100, 18), (150, 172), (24, 150), fill=SKY)
    p.area((100, 18), (182, 132), (150, 172), fill=WATER)


def prism(p: Picture) -> None:
    p.area((66, 62), (110, 166), (18, 166), fill=SKY)
    p.area((66, 62), (138, 30), (184, 134), (110, 166), fill=WATER)


def dice(p: Picture) -> None:
    p.figure("rounded", 26, 26, 148, 148, WHITE)
    for x, y in ((62, 62), (138, 62), (100, 100), (62, 138), (138, 138)):
        p.dot(x, y, 11)


def coin(p: Picture) -> None:
    p.oval(100, 100, 76, fill=SUN)
    p.oval(100, 100, 60)
    p.line((86, 82), (104, 70), (104, 134), width=6)
    p.line((84, 134), (124, 134), width=6)


def spinner(p: Picture) -> None:
    p.oval(100, 100, 82, fill=SAND)
    for x, y in ((100, 18), (171, 141), (29, 141)):
        p.line((100, 100), (x, y))
    p.area((94, 100), (136, 44), (106, 104), fill=CLAY)
    p.dot(100, 100, 7)


def scales(p: Picture) -> None:
    p.line((100, 30), (100, 172), width=5)
    p.line((30, 48), (170, 48), width=5)
    p.area((66, 186), (84, 170), (116, 170), (134, 186), fill=STONE)
    for x in (40, 160):
        p.line((x, 48), (x - 30, 116), (x + 30, 116), (x, 48), width=2)
        p.blob((x - 34, 116), (x + 34, 116), (x + 18, 136), (x - 18, 136), fill=SUN)
    p.oval(100, 30, 8, fill=STONE)


def shared(p: Picture) -> None:
    """A round of six equal parts, one of them set off."""
    p.oval(92, 106, 80, fill=SAND)
    for x, y in ((92, 26), (161, 66), (161, 146), (92, 186), (23, 146), (23, 66)):
        p.line((92, 106), (x, y))
    p.area((104, 92), (104, 12), (142, 22), (173, 52), fill=SUN)


MATHS: dict[str, Drawing] = {
    "cube": cube, "cuboid": cuboid, "cylinder": cylinder, "cone": cone, "sphere": sphere, "pyramid": pyramid, "prism": prism,
    "shared": shared, "scales": scales, "dice": dice, "coin": coin, "spinner": spinner,
}  # fmt: skip
