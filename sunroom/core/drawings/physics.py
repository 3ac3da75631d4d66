"""Signs of circuits and of optics, and arrows of forces; parts of a circuit have their ends level, so that lines hold on to them."""

from __future__ import annotations

import math

from sunroom.core.drawings.drawing import INK, SKY, SUN, WHITE, Drawing, Picture

#: Where the wires of a part end, and where they meet its body.
LEFT, RIGHT, LEVEL = 10.0, 190.0, 100.0


def _wires(p: Picture, left: float, right: float) -> None:
    p.line((LEFT, LEVEL), (left, LEVEL))
    p.line((right, LEVEL), (RIGHT, LEVEL))


def _round(p: Picture) -> None:
    p.oval(100, 100, 40, fill=WHITE)
    _wires(p, 60, 140)


def cell(p: Picture) -> None:
    _wires(p, 90, 110)
    p.line((90, 60), (90, 140))
    p.line((110, 78), (110, 122), width=8)


def battery(p: Picture) -> None:
    _wires(p, 60, 140)
    for x in (60, 108):
        p.line((x, 60), (x, 140))
        p.line((x + 32 if x == 108 else x + 20, 78), (x + 32 if x == 108 else x + 20, 122), width=8)
    p.line((80, 100), (108, 100), width=1.5)


def switch(p: Picture) -> None:
    _wires(p, 60, 140)
    p.line((60, 100), (134, 62), width=4)
    p.dot(60, 100, 6)
    p.dot(140, 100, 6)


def resistor(p: Picture) -> None:
    p.figure("rectangle", 50, 78, 100, 44, fill=WHITE)
    _wires(p, 50, 150)


def variable_resistor(p: Picture) -> None:
    resistor(p)
    p.line((60, 156), (146, 44))
    p.line((126, 48), (146, 44), (144, 64))


def lamp(p: Picture) -> None:
    _round(p)
    for a, b in (((72, 72), (128, 128)), ((72, 128), (128, 72))):
        p.line(a, b)


def ammeter(p: Picture) -> None:
    _round(p)
    p.line((84, 122), (100, 78), (116, 122), width=4)
    p.line((90, 107), (110, 107), width=4)


def voltmeter(p: Picture) -> None:
    _round(p)
    p.line((84, 80), (100, 122), (116, 80), width=4)


def motor(p: Picture) -> None:
    _round(p)
    p.line((82, 120), (82, 80), (100, 106), (118, 80), (118, 120), width=4)


def capacitor(p: Picture) -> None:
    _wires(p, 90, 110)
    for x in (90, 110):
        p.line((x, 62), (x, 138), width=5)


def diode(p: Picture) -> None:
    _wires(p, 74, 126)
    p.area((74, 68), (74, 132), (126, 100))
    p.line((126, 66), (126, 134), width=4)


def coil(p: Picture) -> None:
    bumps = [
        (46 + 27 * n + 13.5 - 13.5 * math.cos(a), 100 - 20 * math.sin(a))
        for n in range(4)
        for a in (0, math.pi / 4, math.pi / 2, 3 * math.pi / 4)
    ]
    p.curve(*bumps, (154, 100))
    _wires(p, 46, 154)


def junction(p: Picture) -> None:
    p.line((LEFT, 100), (RIGHT, 100))
    p.line((100, 100), (100, 190))
    p.dot(100, 100, 7)


def convex_lens(p: Picture) -> None:
    p.blob((100, 14), (120, 60), (124, 100), (120, 140), (100, 186), (80, 140), (76, 100), (80, 60), fill=SKY)
    p.line((100, 2), (100, 198), width=1.5)


def concave_lens(p: Picture) -> None:
    p.area((72, 14), (128, 14), (114, 56), (110, 100), (114, 144), (128, 186), (72, 186), (86, 144), (90, 100), (86, 56), fill=SKY)  # fmt: skip
    p.line((100, 2), (100, 198), width=1.5)


def mirror(p: Picture) -> None:
    p.line((100, 14), (100, 186), width=5)
    for n in range(9):
        p.line((100, 22 + 20 * n), (116, 34 + 20 * n), width=1.5)


def prism_of_glass(p: Picture) -> None:
    p.figure("triangle", 30, 34, 140, 126, fill=SKY)


def ray(p: Picture) -> None:
    p.line((LEFT, LEVEL), (RIGHT, LEVEL))
    p.line((108, 88), (124, 100), (108, 112))


def candle(p: Picture) -> None:
    p.figure("rectangle", 84, 84, 32, 106, fill=WHITE)
    p.line((100, 84), (100, 70))
    p.blob((100, 18), (114, 48), (100, 72), (86, 48), fill=SUN)


def vector_parts(p: Picture) -> None:
    """A vector with its parts across and up."""
    p.line((24, 166), (170, 40), width=4)
    p.line((146, 46), (170, 40), (166, 64), width=4)
    for a, b, head in (
        ((24, 166), (170, 166), ((152, 156), (170, 166), (152, 176))),
        ((170, 166), (170, 40), ((160, 58), (170, 40), (180, 58))),
    ):
        p.line(a, b, width=2)
        p.line(*head, width=2)


def spring(p: Picture) -> None:
    p.line(
        (100, 10), (100, 40), *((70 if n % 2 else 130, 50 + 14 * n) for n in range(7)), (100, 146), (100, 160)
    )
    p.figure("rectangle", 70, 160, 60, 34, fill=INK)


PHYSICS: dict[str, Drawing] = {
    "cell": cell, "cells": battery, "switch": switch, "resistor": resistor, "variable-resistor": variable_resistor, "lamp-sign": lamp, "ammeter": ammeter,
    "voltmeter": voltmeter, "motor": motor, "capacitor": capacitor, "diode": diode, "coil": coil, "junction": junction,
    "convex-lens": convex_lens, "concave-lens": concave_lens, "mirror": mirror, "prism-of-glass": prism_of_glass, "ray": ray, "candle": candle,
    "vector-parts": vector_parts, "spring": spring,
}  # fmt: skip
