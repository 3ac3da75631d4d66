"""Pages for science: to measure, to report, to follow in time."""

from __future__ import annotations

import math

from sunroom.core.templates.drawing import HEIGHT, INNER, MARGIN, PALE, SAND, TOP, WIDTH, Sheet, Template

BOTTOM = HEIGHT - MARGIN


def lab_report(sheet: Sheet) -> None:
    sheet.title("tpl-lab-report")
    half = (INNER - 16) / 2
    sheet.box(MARGIN, TOP, half, 120, "tpl-question", PALE)
    sheet.box(MARGIN + half + 16, TOP, half, 120, "tpl-i-expect", SAND)
    sheet.box(MARGIN, TOP + 136, half, 250, "tpl-how-done")
    sheet.box(MARGIN + half + 16, TOP + 136, half, 250, "tpl-set-up")
    sheet.box(MARGIN, TOP + 402, half, BOTTOM - TOP - 402, "tpl-measured")
    sheet.box(MARGIN + half + 16, TOP + 402, half, BOTTOM - TOP - 402, "tpl-shows", PALE)


def measurements(sheet: Sheet) -> None:
    sheet.title("tpl-measurements")
    heads = ["", *(f"{sheet.words('tpl-trial')} {n}" for n in (1, 2, 3)), sheet.words("tpl-mean")]
    sheet.table(MARGIN, TOP, [300, 182, 182, 182, 181], [48] + [82] * 7, heads)


def diary(sheet: Sheet) -> None:
    sheet.title("tpl-diary")
    heads = [sheet.words(key) for key in ("tpl-date", "tpl-what-i-saw", "tpl-drawing")]
    sheet.table(MARGIN, TOP, [167, 500, 360], [46] + [142] * 4, heads)


def cycle(sheet: Sheet) -> None:
    sheet.title("tpl-cycle")
    x, y, r = WIDTH / 2, (TOP + BOTTOM) / 2, 240.0
    for n in range(5):
        turn = 2 * math.pi * n / 5 - math.pi / 2
        bx, by = x + 1.5 * r * math.cos(turn), y + r * math.sin(turn)
        sheet.figure("rounded", bx - 105, by - 58, 210, 116, (PALE, SAND)[n % 2], 2, f"{n + 1}")
        a, b = turn + 0.44, turn + 0.82
        sheet.line(
            (x + 1.5 * r * math.cos(a), y + r * math.sin(a)),
            (x + 1.5 * r * math.cos(b), y + r * math.sin(b)),
            2.5,
            arrow=True,
        )


SCIENCE: dict[str, Template] = {
    "lab-report": lab_report,
    "measurements": measurements,
    "diary": diary,
    "cycle": cycle,
}
