"""The elements: symbols in their order, atomic weights, and where each stands in the periodic table."""

from __future__ import annotations

from typing import NamedTuple

SYMBOLS = (
    "H He Li Be B C N O F Ne Na Mg Al Si P S Cl Ar K Ca Sc Ti V Cr Mn Fe Co Ni Cu Zn Ga Ge As Se Br Kr Rb Sr Y Zr Nb Mo Tc Ru Rh Pd Ag Cd "
    "In Sn Sb Te I Xe Cs Ba La Ce Pr Nd Pm Sm Eu Gd Tb Dy Ho Er Tm Yb Lu Hf Ta W Re Os Ir Pt Au Hg Tl Pb Bi Po At Rn Fr Ra Ac Th Pa U Np Pu "
    "Am Cm Bk Cf Es Fm Md No Lr Rf Db Sg Bh Hs Mt Ds Rg Cn Nh Fl Mc Lv Ts Og "
).split()
#: Standard atomic weights, rounded as school tables have them (IUPAC 2021); in g/mol.
WEIGHTS = {
    "H": 1.008, "He": 4.003, "Li": 6.94, "Be": 9.012, "B": 10.81, "C": 12.011, "N": 14.007, "O": 15.999, "F": 18.998, "Ne": 20.180,
    "Na": 22.990, "Mg": 24.305, "Al": 26.982, "Si": 28.085, "P": 30.974, "S": 32.06, "Cl": 35.45, "Ar": 39.95, "K": 39.098, "Ca": 40.078,
    "Sc": 44.956, "Ti": 47.867, "V": 50.942, "Cr": 51.996, "Mn": 54.938, "Fe": 55.845, "Co": 58.933, "Ni": 58.693, "Cu": 63.546,
    "Zn": 65.38, "Ga": 69.723, "Ge": 72.630, "As": 74.922, "Se": 78.971, "Br": 79.904, "Kr": 83.798, "Rb": 85.468, "Sr": 87.62,
    "Y": 88.906, "Zr": 91.224, "Nb": 92.906, "Mo": 95.95, "Ru": 101.07, "Rh": 102.91, "Pd": 106.42, "Ag": 107.87, "Cd": 112.41,
    "In": 114.82, "Sn": 118.71, "Sb": 121.76, "Te": 127.60, "I": 126.90, "Xe": 131.29, "Cs": 132.91, "Ba": 137.33, "La": 138.91,
    "Ce": 140.12, "Pr": 140.91, "Nd": 144.24, "Sm": 150.36, "Eu": 151.96, "Gd": 157.25, "Tb": 158.93, "Dy": 162.50, "Ho": 164.93,
    "Er": 167.26, "Tm": 168.93, "Yb": 173.05, "Lu": 174.97, "Hf": 178.49, "Ta": 180.95, "W": 183.84, "Re": 186.21, "Os": 190.23,
    "Ir": 192.22, "Pt": 195.08, "Au": 196.97, "Hg": 200.59, "Tl": 204.38, "Pb": 207.2, "Bi": 208.98, "Th": 232.04, "Pa": 231.04,
    "U": 238.03,
}  # fmt: skip
#: Elements without a stable nucleus: the mass number of the one that lives longest.
LONGEST = {
    "Tc": 97, "Pm": 145, "Po": 209, "At": 210, "Rn": 222, "Fr": 223, "Ra": 226, "Ac": 227, "Np": 237, "Pu": 244, "Am": 243, "Cm": 247,
    "Bk": 247, "Cf": 251, "Es": 252, "Fm": 257, "Md": 258, "No": 259, "Lr": 262, "Rf": 267, "Db": 270, "Sg": 269, "Bh": 270, "Hs": 270,
    "Mt": 278, "Ds": 281, "Rg": 281, "Cn": 285, "Nh": 286, "Fl": 289, "Mc": 289, "Lv": 293, "Ts": 293, "Og": 294,
}  # fmt: skip
#: The number of the first element of each period, and the first of the two rows that stand below the others.
_PERIODS = (1, 3, 11, 19, 37, 55, 87, 119)
_BELOW = {57: 9, 89: 10}
_BELOW_LENGTH = 15


class Element(NamedTuple):
    """``weight`` as a table shows it: in brackets when it is the mass number of one nucleus; ``column`` and ``row`` from 1."""

    symbol: str
    number: int
    weight: str
    column: int
    row: int


def elements() -> list[Element]:
    """All elements in their order, with their places in the long form of the table."""
    made = []
    for number, symbol in enumerate(SYMBOLS, 1):
        weight = f"{WEIGHTS[symbol]:g}" if symbol in WEIGHTS else f"[{LONGEST[symbol]}]"
        made.append(Element(symbol, number, weight, *_place(number)))
    return made


def _place(number: int) -> tuple[int, int]:
    for first, row in _BELOW.items():
        if first <= number < first + _BELOW_LENGTH:
            return 3 + number - first, row
    period = max(n for n, first in enumerate(_PERIODS, 1) if first <= number)
    at, left = number - _PERIODS[period - 1], _PERIODS[period] - number
    # From the left up to the second column; all others from the right.
    return (at + 1 if at < 2 and number != 2 else 19 - left), period
