"""Drawings for lessons in science."""

from __future__ import annotations

import math

from sunroom.core.drawings.drawing import (
    CLAY,
    LEAF,
    ROSE,
    SAND,
    SKY,
    STONE,
    SUN,
    WATER,
    WHITE,
    WOOD,
    Drawing,
    Picture,
)  # fmt: skip


def sun(p: Picture) -> None:
    for n in range(12):
        x, y = math.cos(n * math.pi / 6), math.sin(n * math.pi / 6)
        p.line((100 + 62 * x, 100 + 62 * y), (100 + 90 * x, 100 + 90 * y), width=5)
    p.oval(100, 100, 48, fill=SUN)


def moon(p: Picture) -> None:
    p.blob(
        (120, 15),
        (58, 40),
        (38, 100),
        (60, 160),
        (122, 185),
        (150, 176),
        (108, 140),
        (96, 98),
        (110, 56),
        (150, 24),
        fill=SUN,
    )


def cloud(p: Picture) -> None:
    p.blob(
        (40, 140),
        (14, 112),
        (44, 86),
        (66, 52),
        (112, 50),
        (134, 80),
        (176, 90),
        (184, 124),
        (158, 142),
        (100, 142),
        fill=SKY,
    )


def drop(p: Picture) -> None:
    p.blob(
        (100, 16), (66, 84), (48, 128), (66, 172), (100, 184), (134, 172), (152, 128), (134, 84), fill=WATER
    )
    p.curve((72, 130), (80, 154), (98, 164))


def leaf(p: Picture) -> None:
    p.blob((34, 166), (30, 96), (74, 42), (170, 26), (160, 112), (106, 162), fill=LEAF)
    p.curve((22, 182), (70, 132), (150, 46))
    for x, y, dx, dy in ((70, 132, -4, -40), (100, 98, -2, -36), (84, 118, 44, 4), (116, 82, 36, 2)):
        p.line((x, y), (x + dx, y + dy), width=2)


def flower(p: Picture) -> None:
    p.curve((100, 110), (104, 150), (98, 192), width=5)
    p.blob((100, 168), (126, 138), (160, 140), (136, 166), fill=LEAF)
    for n in range(6):
        x, y = math.cos(n * math.pi / 3), math.sin(n * math.pi / 3)
        p.turned(100 + 36 * x, 72 + 36 * y, 28, 18, n * 60, ROSE)
    p.oval(100, 72, 20, fill=SUN)


def tree(p: Picture) -> None:
    p.area((88, 190), (92, 120), (110, 120), (116, 190), fill=WOOD)
    p.blob(
        (52, 128),
        (26, 94),
        (50, 56),
        (86, 20),
        (132, 30),
        (164, 64),
        (174, 104),
        (146, 132),
        (100, 140),
        fill=LEAF,
    )


def fish(p: Picture) -> None:
    p.area((150, 100), (190, 62), (184, 100), (190, 138), fill=WATER)
    p.blob((14, 102), (56, 58), (110, 56), (156, 100), (110, 144), (56, 142), fill=SKY)
    p.curve((66, 62), (80, 100), (66, 138), width=2)
    p.dot(44, 92, 5)


def bird(p: Picture) -> None:
    p.blob((30, 96), (58, 62), (96, 76), (170, 126), (186, 168), (120, 158), (66, 148), fill=SKY)
    p.blob((84, 108), (120, 118), (146, 148), (104, 146), fill=WATER)
    p.area((32, 88), (8, 98), (34, 104), fill=SUN)
    p.dot(54, 86)
    p.line((96, 156), (92, 186))
    p.line((114, 158), (114, 186))


def beaker(p: Picture) -> None:
    p.area((52, 104), (148, 104), (148, 176), (140, 186), (60, 186), (52, 176), fill=WATER)
    p.line((40, 22), (52, 34), (52, 176), (60, 186), (140, 186), (148, 176), (148, 22))
    for y in (72, 104, 136):
        p.line((122, y), (148, y), width=2)


def test_tube(p: Picture) -> None:
    p.area((80, 92), (120, 92), (120, 164), (110, 182), (90, 182), (80, 164), fill=ROSE)
    p.line((80, 20), (80, 164), (90, 182), (110, 182), (120, 164), (120, 20))
    p.line((70, 20), (130, 20), width=5)
    p.oval(94, 120, 5)
    p.oval(106, 146, 7)


def flame(p: Picture) -> None:
    p.blob(
        (104, 14),
        (70, 74),
        (46, 120),
        (62, 172),
        (100, 188),
        (140, 170),
        (152, 120),
        (132, 78),
        (122, 92),
        fill=CLAY,
    )
    p.blob((100, 108), (80, 142), (84, 174), (102, 182), (122, 170), (120, 138), fill=SUN)


def thermometer(p: Picture) -> None:
    p.figure("rounded", 84, 12, 32, 140, WHITE)
    p.oval(100, 164, 26, fill=CLAY)
    p.area((93, 70), (107, 70), (107, 148), (93, 148), fill=CLAY, width=1)
    for n in range(5):
        p.line((120, 34 + 24 * n), (138, 34 + 24 * n), width=2)


def magnet(p: Picture) -> None:
    p.blob(
        (30, 40),
        (30, 110),
        (56, 164),
        (100, 180),
        (144, 164),
        (170, 110),
        (170, 40),
        (128, 40),
        (126, 104),
        (100, 136),
        (74, 104),
        (72, 40),
        fill=CLAY,
    )
    p.area((28, 28), (76, 28), (76, 64), (28, 64), fill=STONE)
    p.area((124, 28), (172, 28), (172, 64), (124, 64), fill=STONE)


def lamp(p: Picture) -> None:
    p.blob(
        (78, 136),
        (62, 110),
        (44, 74),
        (64, 30),
        (100, 16),
        (136, 30),
        (156, 74),
        (138, 110),
        (122, 136),
        fill=SUN,
    )
    p.curve((84, 136), (84, 92), (100, 108), (116, 92), (116, 136), width=2)
    p.figure("rounded", 76, 136, 48, 40, STONE)
    p.line((78, 150), (122, 150), width=2)
    p.line((78, 162), (122, 162), width=2)
    p.line((90, 184), (110, 184), width=5)


def battery(p: Picture) -> None:
    p.area((16, 62), (150, 62), (150, 138), (16, 138), fill=STONE)
    p.area((112, 62), (150, 62), (150, 138), (112, 138), fill=SUN)
    p.area((150, 82), (172, 82), (172, 118), (150, 118), fill=STONE)
    p.line((36, 100), (60, 100))
    p.line((122, 100), (142, 100))
    p.line((132, 90), (132, 110))


def atom(p: Picture) -> None:
    for degrees in (0, 60, 120):
        p.turned(100, 100, 86, 32, degrees)
    p.oval(100, 100, 14, fill=CLAY)
    for x, y in ((186, 100), (57, 26), (57, 174)):
        p.oval(x, y, 8, fill=WATER)


def planet(p: Picture) -> None:
    p.oval(100, 100, 54, fill=SAND)
    p.curve((52, 78), (98, 90), (148, 76), width=2)
    p.curve((12, 126), (30, 142), (110, 124), (186, 76), (174, 62), (150, 66), width=5)
    p.curve((12, 126), (22, 110), (48, 96), width=5)


SCIENCE: dict[str, Drawing] = {
    "sun": sun, "moon": moon, "planet": planet, "cloud": cloud, "drop": drop, "flame": flame, "leaf": leaf, "flower": flower,
    "tree": tree, "fish": fish, "bird": bird, "beaker": beaker, "test-tube": test_tube, "thermometer": thermometer,
    "magnet": magnet, "lamp": lamp, "battery": battery, "atom": atom,
}  # fmt: skip
