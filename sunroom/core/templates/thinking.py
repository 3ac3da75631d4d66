"""Pages for any subject: to collect, compare, order, plan and look back."""

from __future__ import annotations

import math

from sunroom.core.templates.drawing import HEIGHT, INNER, MARGIN, PALE, SAND, TOP, WIDTH, Sheet, Template

BOTTOM = HEIGHT - MARGIN
DAYS = ("tpl-day-1", "tpl-day-2", "tpl-day-3", "tpl-day-4", "tpl-day-5")


def know_wonder_learned(sheet: Sheet) -> None:
    sheet.title("tpl-know-wonder-learned")
    wide = (INNER - 32) / 3
    for n, key in enumerate(("tpl-we-know", "tpl-we-wonder", "tpl-we-learned")):
        sheet.box(MARGIN + n * (wide + 16), TOP, wide, BOTTOM - TOP, key, (PALE, SAND, "")[n])


def compare_two(sheet: Sheet) -> None:
    sheet.title("tpl-compare-two")
    for n, key in enumerate(("tpl-one", "tpl-other")):
        sheet.figure("ellipse", MARGIN + n * 360, TOP + 30, 667, 590)
        sheet.say(MARGIN + (150 if n == 0 else 730), TOP, key, 22)
    sheet.say(WIDTH / 2 - 90, TOP + 130, "tpl-both", 20, 180, "centre")


def timeline(sheet: Sheet) -> None:
    sheet.title("tpl-timeline")
    y = HEIGHT / 2 + 20
    sheet.line((MARGIN, y), (WIDTH - MARGIN, y), 3, arrow=True)
    step = INNER / 7
    for n in range(6):
        x = MARGIN + (n + 0.7) * step
        sheet.line((x, y - 14), (x, y + 14), 2)
        up = n % 2 == 0
        sheet.line((x, y - 14 if up else y + 14), (x, y - 60 if up else y + 60), 1.2, dashed=True)
        sheet.box(x - 70, y - 220 if up else y + 60, 140, 160, fill=(PALE, SAND)[n % 2])


def mind_map(sheet: Sheet) -> None:
    sheet.title("tpl-mind-map")
    x, y = WIDTH / 2, HEIGHT / 2 + 40
    for n in range(6):
        turn = math.pi * (n / 3 + 1 / 6)
        bx, by = x + 370 * math.cos(turn), y + 235 * math.sin(turn)
        sheet.line((x, y), (bx, by), 2)
        sheet.figure("ellipse", bx - 110, by - 50, 220, 100, (PALE, SAND)[n % 2])
    sheet.figure("ellipse", x - 150, y - 65, 300, 130, "#ffffff", 3, sheet.words("tpl-topic"))


def story_map(sheet: Sheet) -> None:
    sheet.title("tpl-story-map")
    half = (INNER - 20) / 2
    sheet.box(MARGIN, TOP, half, 150, "tpl-who", PALE)
    sheet.box(MARGIN + half + 20, TOP, half, 150, "tpl-where-when", SAND)
    sheet.box(MARGIN, TOP + 170, INNER, 120, "tpl-problem")
    third = (INNER - 40) / 3
    for n, key in enumerate(("tpl-first", "tpl-then", "tpl-next")):
        sheet.box(MARGIN + n * (third + 20), TOP + 310, third, 170, key)
        if n:
            x = MARGIN + n * (third + 20)
            sheet.line((x - 18, TOP + 395), (x - 2, TOP + 395), 2, arrow=True)
    sheet.box(MARGIN, TOP + 500, INNER, BOTTOM - TOP - 500, "tpl-end", PALE)


def for_and_against(sheet: Sheet) -> None:
    sheet.title("tpl-for-and-against")
    half = (INNER - 20) / 2
    sheet.box(MARGIN, TOP, half, 470, "tpl-for", PALE)
    sheet.box(MARGIN + half + 20, TOP, half, 470, "tpl-against", SAND)
    sheet.box(MARGIN, TOP + 490, INNER, BOTTOM - TOP - 490, "tpl-i-think")


def causes(sheet: Sheet) -> None:
    sheet.title("tpl-causes")
    y = HEIGHT / 2 + 40
    sheet.line((MARGIN, y), (WIDTH - 270, y), 3, arrow=True)
    sheet.figure("rounded", WIDTH - 265, y - 60, 217, 120, SAND, 2.5, sheet.words("tpl-effect"))
    for n in range(3):
        x = MARGIN + 110 + n * 235
        for side in (-1, 1):
            sheet.line((x, y + side * 230), (x + 110, y), 2)
            sheet.figure("rounded", x - 95, y + side * 230 - (52 if side < 0 else 0), 190, 52, PALE)


def notes_with_questions(sheet: Sheet) -> None:
    sheet.title("tpl-notes")
    sheet.box(MARGIN, TOP, 270, 480, "tpl-questions", PALE)
    sheet.box(MARGIN + 286, TOP, INNER - 286, 480, "tpl-notes-here")
    sheet.box(MARGIN, TOP + 496, INNER, BOTTOM - TOP - 496, "tpl-in-short", SAND)


def exit_ticket(sheet: Sheet) -> None:
    sheet.title("tpl-exit-ticket")
    sheet.say(WIDTH - 420, 52, "tpl-name", 20)
    high = (BOTTOM - TOP - 40) / 3
    for n, key in enumerate(("tpl-learned-today", "tpl-still-unclear", "tpl-one-example")):
        sheet.box(MARGIN, TOP + n * (high + 20), INNER, high, key, (PALE, SAND, "")[n])


def rubric(sheet: Sheet) -> None:
    sheet.title("tpl-rubric")
    heads = [
        sheet.words(key)
        for key in ("tpl-criterion", "tpl-begins", "tpl-on-the-way", "tpl-secure", "tpl-beyond")
    ]
    sheet.table(MARGIN, TOP, [227, 200, 200, 200, 200], [48] + [110] * 5, heads)


def timetable(sheet: Sheet) -> None:
    sheet.title("tpl-timetable")
    days = [sheet.words(key) for key in DAYS]
    sheet.table(MARGIN, TOP, [127] + [180] * 5, [46] + [82] * 7, [sheet.words("tpl-time"), *days])


THINKING: dict[str, Template] = {
    "know-wonder-learned": know_wonder_learned,
    "compare-two": compare_two,
    "story-map": story_map,
    "timeline": timeline,
    "mind-map": mind_map,
    "for-and-against": for_and_against,
    "causes": causes,
    "notes": notes_with_questions,
    "exit-ticket": exit_ticket,
    "rubric": rubric,
    "timetable": timetable,
}
