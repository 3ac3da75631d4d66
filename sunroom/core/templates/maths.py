"""Pages for mathematics: axes, lines, squares, places, parts and clocks."""

from __future__ import annotations

import math

from sunroom.core.templates.drawing import (
    FAINT,
    HEIGHT,
    INNER,
    LINE,
    MARGIN,
    PALE,
    SAND,
    TOP,
    WIDTH,
    Sheet,
    Template,
)

BOTTOM = HEIGHT - MARGIN
PLACES = (
    "tpl-place-1",
    "tpl-place-2",
    "tpl-place-3",
    "tpl-place-4",
    "tpl-place-5",
    "tpl-place-6",
    "tpl-place-7",
)


def axes(sheet: Sheet) -> None:
    sheet.title("tpl-axes")
    x, y, unit = WIDTH / 2, (TOP + BOTTOM) / 2, 31.0
    for n in range(-10, 11):
        sheet.line((x + n * unit, y - 10 * unit), (x + n * unit, y + 10 * unit), 1.0, colour=FAINT)
        sheet.line((x - 10 * unit, y + n * unit), (x + 10 * unit, y + n * unit), 1.0, colour=FAINT)
    sheet.line((x - 10.6 * unit, y), (x + 10.8 * unit, y), 2.5, arrow=True)
    sheet.line((x, y + 10 * unit), (x, y - 10.3 * unit), 2.5, arrow=True)
    for n in (-10, -5, 5, 10):
        sheet.text(x + n * unit - 20, y + 6, str(n), 15, 40, "centre")
        sheet.text(x - 46, y - n * unit - 11, str(n), 15, 38, "right")
    sheet.text(x + 10.9 * unit, y - 14, "x", 20)
    sheet.text(x + 14, y - 10.5 * unit, "y", 20)


def number_lines(sheet: Sheet) -> None:
    sheet.title("tpl-number-lines")
    for row, (low, high, step) in enumerate(((-10, 10, 1), (0, 20, 1), (0, 100, 10), (0, 1, 0.1))):
        y = TOP + 90 + row * 150
        sheet.line((MARGIN, y), (WIDTH - MARGIN, y), 2.5, arrow=True)
        count = round((high - low) / step)
        for n in range(count + 1):
            x = MARGIN + 24 + n * (INNER - 70) / count
            sheet.line((x, y - 12), (x, y + 12), 1.8)
            sheet.text(x - 24, y + 18, f"{low + n * step:g}", 16, 48, "centre")


def hundred_square(sheet: Sheet) -> None:
    sheet.title("tpl-hundred-square")
    cells = [str(n) for n in range(1, 101)]
    sheet.table((WIDTH - 800) / 2, TOP, [80] * 10, [62] * 10, cells, head=False, size=22)


def times_square(sheet: Sheet) -> None:
    sheet.title("tpl-times-square")
    cells = ["×", *(str(n) for n in range(1, 11))]
    for row in range(1, 11):
        cells += [str(row), *[""] * 10]
    sheet.table((WIDTH - 880) / 2, TOP, [80] * 11, [57] * 11, cells, size=20)


def place_value(sheet: Sheet) -> None:
    sheet.title("tpl-place-value")
    heads = [sheet.words(key) for key in PLACES]
    sheet.table(MARGIN, TOP, [INNER / 7] * 7, [70] + [92] * 6, heads, size=16)


def fraction_bars(sheet: Sheet) -> None:
    sheet.title("tpl-fraction-bars")
    high = (BOTTOM - TOP - 7 * 8) / 8
    for row, parts in enumerate((1, 2, 3, 4, 5, 6, 8, 10)):
        y = TOP + row * (high + 8)
        for n in range(parts):
            word = "1" if parts == 1 else f"1/{parts}"
            sheet.figure(
                "rectangle",
                MARGIN + n * INNER / parts,
                y,
                INNER / parts,
                high,
                (PALE, SAND)[row % 2],
                1.5,
                word,
            )


def clock_faces(sheet: Sheet) -> None:
    sheet.title("tpl-clock-faces")
    for n in range(6):
        x, y, r = MARGIN + 170 + n % 3 * 343, TOP + 140 + n // 3 * 320, 122.0
        sheet.figure("circle", x - r, y - r, 2 * r, 2 * r, width=3)
        for hour in range(1, 13):
            turn = math.pi * (hour / 6 - 0.5)
            c, s = math.cos(turn), math.sin(turn)
            sheet.line((x + c * r, y + s * r), (x + c * (r - 10), y + s * (r - 10)), 2)
            sheet.text(x + c * (r - 26) - 20, y + s * (r - 26) - 11, str(hour), 16, 40, "centre")
        sheet.figure("circle", x - 4, y - 4, 8, 8, LINE)
        sheet.line((x - 60, y + r + 34), (x + 60, y + r + 34), 1.5)


def bar_chart(sheet: Sheet) -> None:
    sheet.title("tpl-bar-chart")
    x, y, high = MARGIN + 70, BOTTOM - 60, BOTTOM - TOP - 90
    for n in range(11):
        sheet.line((x, y - n * high / 10), (WIDTH - MARGIN, y - n * high / 10), 1.0, colour=FAINT)
        sheet.text(x - 60, y - n * high / 10 - 11, str(n), 16, 48, "right")
    sheet.line((x, y), (WIDTH - MARGIN, y), 2.5)
    sheet.line((x, y), (x, y - high - 24), 2.5, arrow=True)
    for n in range(6):
        sheet.line((x + 60 + n * 148, y + 40), (x + 160 + n * 148, y + 40), 1.2)


MATHS: dict[str, Template] = {
    "axes": axes,
    "number-lines": number_lines,
    "hundred-square": hundred_square,
    "times-square": times_square,
    "place-value": place_value,
    "fraction-bars": fraction_bars,
    "clock-faces": clock_faces,
    "bar-chart": bar_chart,
}
