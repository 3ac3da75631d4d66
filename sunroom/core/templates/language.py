"""Pages for languages: to write, hear, and learn words."""

from __future__ import annotations

from sunroom.core.templates.drawing import HEIGHT, INNER, MARGIN, PALE, SAND, TOP, WIDTH, Sheet, Template

BOTTOM = HEIGHT - MARGIN
PERSONS = ("tpl-person-1", "tpl-person-2", "tpl-person-3", "tpl-person-4", "tpl-person-5", "tpl-person-6")


def four_lines(sheet: Sheet) -> None:
    sheet.title("tpl-four-lines")
    y = TOP + 20
    while y + 72 < BOTTOM:
        for n in range(4):
            sheet.line(
                (MARGIN, y + 24 * n), (WIDTH - MARGIN, y + 24 * n), 1.8 if n == 2 else 1.0, dashed=n == 1
            )
        y += 104


def dictation(sheet: Sheet) -> None:
    sheet.title("tpl-dictation")
    for n in range(10):
        y = TOP + 54 + n * 62
        sheet.text(MARGIN, y - 28, f"{n + 1}.", 20)
        sheet.line((MARGIN + 44, y), (MARGIN + 610, y), 1.2)
    sheet.box(MARGIN + 650, TOP, INNER - 650, BOTTOM - TOP, "tpl-corrected", SAND)


def vocabulary_cards(sheet: Sheet) -> None:
    sheet.title("tpl-vocabulary-cards")
    wide, high = (INNER - 48) / 4, (BOTTOM - TOP - 16) / 2
    for n in range(8):
        x, y = MARGIN + n % 4 * (wide + 16), TOP + n // 4 * (high + 16)
        sheet.box(x, y, wide, high, "tpl-word", PALE)
        sheet.line((x, y + high / 2), (x + wide, y + high / 2), 1.2, dashed=True)
        sheet.say(x + 14, y + high / 2 + 8, "tpl-meaning", 18)


def sentences(sheet: Sheet) -> None:
    sheet.title("tpl-sentences")
    heads = [sheet.words(key) for key in ("tpl-when", "tpl-who-does", "tpl-does", "tpl-what", "tpl-where")]
    sheet.table(MARGIN, TOP, [170, 214, 214, 229, 200], [46] + [82] * 7, heads)


def verb_table(sheet: Sheet) -> None:
    sheet.title("tpl-verb-table")
    persons = [sheet.words(key) for key in PERSONS]
    heads = ["", *(sheet.words(key) for key in ("tpl-past", "tpl-present", "tpl-future"))]
    cells = [*heads]
    for person in persons:
        cells += [person, "", "", ""]
    sheet.table(MARGIN, TOP, [217, 270, 270, 270], [48] + [88] * 6, cells)


def dialogue(sheet: Sheet) -> None:
    sheet.title("tpl-dialogue")
    for n in range(6):
        left = n % 2 == 0
        y = TOP + 6 + n * 104
        sheet.text(MARGIN if left else WIDTH - MARGIN - 30, y + 24, "A" if left else "B", 26)
        sheet.figure("rounded", MARGIN + (46 if left else 230), y, INNER - 276, 88, PALE if left else SAND)


LANGUAGE: dict[str, Template] = {
    "four-lines": four_lines,
    "dictation": dictation,
    "vocabulary-cards": vocabulary_cards,
    "sentences": sentences,
    "verb-table": verb_table,
    "dialogue": dialogue,
}
