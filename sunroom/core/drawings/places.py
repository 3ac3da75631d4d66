"""Drawings of places and ways."""

from __future__ import annotations

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


def house(p: Picture) -> None:
    p.area((34, 88), (166, 88), (166, 184), (34, 184), fill=SAND)
    p.area((16, 94), (100, 22), (184, 94), fill=CLAY)
    p.area((86, 128), (120, 128), (120, 184), (86, 184), fill=WOOD)
    p.area((48, 106), (74, 106), (74, 132), (48, 132), fill=SKY)
    p.area((132, 106), (156, 106), (156, 132), (132, 132), fill=SKY)
    p.dot(113, 158, 3)


def school(p: Picture) -> None:
    p.area((12, 96), (188, 96), (188, 182), (12, 182), fill=SAND)
    p.area((66, 70), (134, 70), (134, 182), (66, 182), fill=WHITE)
    p.area((56, 72), (100, 36), (144, 72), fill=CLAY)
    p.oval(100, 94, 14, fill=WHITE)
    p.line((100, 94), (100, 85), width=2)
    p.line((100, 94), (107, 97), width=2)
    p.area((86, 136), (114, 136), (114, 182), (86, 182), fill=WOOD)
    for x in (24, 44, 144, 164):
        p.area((x, 116), (x + 12, 116), (x + 12, 144), (x, 144), fill=SKY, width=2)
    p.line((100, 36), (100, 12))
    p.area((100, 12), (126, 18), (100, 26), fill=SUN, width=2)


def hill(p: Picture) -> None:
    p.area((4, 174), (70, 48), (108, 116), (134, 78), (196, 174), fill=STONE)
    p.area((70, 48), (52, 84), (66, 76), (74, 90), (88, 80), fill=WHITE)


def island(p: Picture) -> None:
    p.blob((30, 148), (70, 122), (130, 122), (172, 148), (100, 156), fill=SAND)
    p.curve((96, 128), (92, 92), (106, 54), width=6)
    for x, y in ((60, 40), (70, 74), (148, 38), (146, 76)):
        p.blob(
            (106, 54),
            ((106 + x) / 2, (54 + y) / 2 - 14),
            (x, y),
            ((106 + x) / 2, (54 + y) / 2 + 2),
            fill=LEAF,
            width=2,
        )
    for y in (162, 180):
        p.curve(
            (10, y),
            (34, y - 8),
            (58, y),
            (82, y - 8),
            (106, y),
            (130, y - 8),
            (154, y),
            (188, y - 6),
            width=3,
        )


def bridge(p: Picture) -> None:
    p.area((8, 82), (192, 82), (192, 104), (8, 104), fill=WOOD)
    p.curve((24, 160), (34, 116), (64, 106), (94, 116), (100, 160))
    p.curve((100, 160), (106, 116), (136, 106), (166, 116), (176, 160))
    for x in (20, 60, 100, 140, 180):
        p.line((x, 58), (x, 82))
    p.line((12, 58), (188, 58))
    p.curve((8, 176), (54, 168), (100, 176), (146, 168), (192, 176))


def tent(p: Picture) -> None:
    p.area((100, 34), (182, 172), (18, 172), fill=SUN)
    p.area((100, 34), (124, 172), (76, 172), fill=SAND)
    p.line((92, 20), (100, 34), (108, 20))


def boat(p: Picture) -> None:
    p.line((98, 20), (98, 138), width=4)
    p.area((106, 26), (168, 124), (106, 124), fill=WHITE)
    p.area((90, 46), (90, 124), (40, 124), fill=ROSE)
    p.area((22, 138), (180, 138), (154, 172), (50, 172), fill=WOOD)
    p.curve((4, 184), (40, 176), (80, 184), (120, 176), (160, 184), (196, 178))


def signpost(p: Picture) -> None:
    p.area((94, 20), (106, 20), (106, 188), (94, 188), fill=WOOD)
    p.area((60, 34), (150, 34), (172, 54), (150, 74), (60, 74), fill=SAND)
    p.area((140, 88), (52, 88), (30, 108), (52, 128), (140, 128), fill=SAND)


def globe(p: Picture) -> None:
    p.oval(100, 88, 62, fill=WATER)
    p.blob((70, 56), (96, 48), (104, 74), (86, 96), (76, 122), (58, 96), fill=LEAF, width=2)
    p.blob((118, 62), (150, 66), (152, 96), (130, 104), (120, 84), fill=LEAF, width=2)
    p.curve((134, 18), (174, 60), (168, 122), (110, 162), (56, 150))
    p.line((104, 162), (104, 180))
    p.line((70, 184), (138, 184), width=6)


def sundial(p: Picture) -> None:
    p.area((74, 184), (84, 124), (116, 124), (126, 184), fill=STONE)
    p.oval(100, 110, 84, 28, SAND)
    for x, y in ((30, 108), (52, 94), (100, 86), (148, 94), (170, 108)):
        p.line((100 + (x - 100) * 0.7, 112 + (y - 112) * 0.7), (x, y), width=2)
    p.area((100, 112), (100, 40), (76, 116), fill=CLAY)


PLACES: dict[str, Drawing] = {
    "house": house, "school": school, "hill": hill, "island": island, "bridge": bridge, "tent": tent, "boat": boat,
    "signpost": signpost, "globe": globe, "sundial": sundial,
}  # fmt: skip
