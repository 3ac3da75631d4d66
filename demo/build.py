"""Build the demo data once and print the addresses to open.

The scenario: “Shadows and sundials”, a lesson of Imani Achterberg. All people are made up.
"""

from __future__ import annotations

import argparse
import math
import time
from dataclasses import dataclass

import django

django.setup()

import numpy as np  # noqa: E402
from django.contrib.auth import get_user_model  # noqa: E402
from django.db import transaction  # noqa: E402

from demo.pen import BLACK, BLUE, GREEN, MINT, PURPLE, RED, DemoBoard  # noqa: E402
from sunroom.boards.services import create_board  # noqa: E402
from sunroom.core.board import Paper  # noqa: E402
from sunroom.core.lesson import OpenLesson, carry_out  # noqa: E402
from sunroom.core.maths.curves import Ranges  # noqa: E402
from sunroom.core.maths.graph import GraphLetter  # noqa: E402
from sunroom.lessons import repository as lessons  # noqa: E402
from sunroom.rooms.models import Room, Seat  # noqa: E402

USERNAME, PASSWORD = "imani", "gnomon-at-noon"
LINK, ONLOOKER_LINK = "k7vm-2qx9-shdw", "w4tc-h8sn-dial"
SHEET = Paper("sheet", "squares", 1123, 794)


@dataclass
class People:
    """Seats of the sample lesson, by name."""

    tutor: str
    noor: str
    tomasz: str


def main() -> None:
    parser = argparse.ArgumentParser()
    parser.add_argument("--port", type=int, default=8000)
    base = f"http://127.0.0.1:{parser.parse_known_args()[0].port}"
    if not Room.objects.filter(link=LINK).exists():
        with transaction.atomic():
            build()
    print(
        f"""
  Sun Room, with demo data. Open these, each in a browser window of its own:

    tutor      {base}/demo/tutor
    student    {base}/r/{LINK}
    onlooker   {base}/watch/{ONLOOKER_LINK}

  The tutor's account is {USERNAME}, password {PASSWORD}. Ctrl-C stops the server.
""",
        flush=True,
    )


def build() -> None:
    """The tutor, three rooms, and the boards of the sample lesson."""
    now_ms = int(time.time() * 1000)
    tutor = get_user_model().objects.create_user(
        USERNAME, password=PASSWORD, first_name="Imani", last_name="Achterberg"
    )
    room = Room.objects.create(
        title="Shadows and sundials", link=LINK, onlooker_link=ONLOOKER_LINK, owner=tutor
    )
    seats = {}
    people = [("Imani", "tutor"), ("Noor", "student"), ("Tomasz", "student"), ("Wairimu", "student"),
              ("Elio", "student"), ("Saskia", "helper")]  # fmt: skip
    for number, (name, role) in enumerate(people):
        seats[name] = f"demoseat{number}"
        door = "tutor" if role == "tutor" else "student"
        Seat.objects.create(room=room, uid=seats[name], name=name, door=door, role=role)
    who = People(seats["Imani"], seats["Noor"], seats["Tomasz"])
    board = DemoBoard(create_board(room, "Shadow and angle", now_ms), now_ms, 3)
    how_long_is_a_shadow(board, who)
    board.new_page("Hour lines")
    hour_lines(board, who)
    board.new_page("Tasks", SHEET)
    tasks(board, who)
    board.new_page("Measured", Paper(spacing=40, each=1, unit="m"))
    measured(board, who)
    board.finish()
    wonder = DemoBoard(create_board(room, "What we wonder", now_ms), now_ms, 5)
    what_we_wonder(wonder, who)
    wonder.finish()
    lessons.keep(room.pk, carry_out(lessons.load(room), OpenLesson(), "", now_ms))
    others = (("Market French", "mrkt-frch-9b2c"), ("Bench chemistry", "bnch-chem-4d7e"))
    for number, (title, link) in enumerate(others):
        other = Room.objects.create(title=title, link=link, onlooker_link=link[::-1], owner=tutor)
        Seat.objects.create(room=other, uid=f"demotutor{number}", name="Imani", door="tutor", role="tutor")
        page = DemoBoard(create_board(other, title, now_ms), now_ms, 11 + number)
        (market_french if number == 0 else bench_chemistry)(page, f"demotutor{number}")
        page.finish()


def how_long_is_a_shadow(board: DemoBoard, who: People) -> None:
    tutor = who.tutor
    board.title("Shadow")
    board.highlight(398, 618, 106, tutor)
    board.write("how long is a shadow?", 96, 124, 72, tutor)
    board.formula("tan theta = h/s => s = h/tan theta", 96, 146, 30, tutor, "1")
    rows = [("sun height θ", "shadow s (m)"), ("25°", "2.14"), ("40°", "1.19"), ("60°", "0.58")]
    board.table(rows, (140, 140), 96, 238, tutor)
    board.trued_up([(660, 232), (660, 500), (930, 500)], tutor, BLUE, 3.4)
    board.ink([board.hand.sketch([(660, 480), (680, 480), (680, 500)], 0.6)], tutor, BLUE, 2.4)
    board.write("stick h = 1 m", 462, 384, 40, tutor, BLUE)
    board.write("shadow s", 748, 544, 40, tutor, BLUE)
    angle = np.linspace(math.pi, math.pi * 1.25, 14)
    board.ink(
        [board.hand.draw(np.column_stack([930 + 54 * np.cos(angle), 500 + 54 * np.sin(angle)]), tremor=0.4)],
        tutor,
        RED,
    )
    board.type("θ", 848, 462, 30, tutor, RED)
    board.note("Longest at sunrise, because the angle is tiny?", 780, 70, who.noor, "Noor", "#ffe7a8")
    _graph(board, who)


def _graph(board: DemoBoard, who: People) -> None:
    """s = h / tan θ with a slider for the stick's height, and the measured shadows on it."""
    left, top, width, height = 96.0, 408.0, 400.0, 236.0
    ranges = Ranges(-0.1, 1.5, -0.35, 3.1)
    board.graph(
        "s = h/tan(theta)", (left, top, width, height), ranges, GraphLetter("h", 1.0, 0.2, 3.0), who.tutor
    )
    for degrees in (25, 40, 60):
        angle = math.radians(degrees)
        x = left + width * (angle - ranges.x0) / (ranges.x1 - ranges.x0)
        y = top + height * (ranges.y1 - 1 / math.tan(angle)) / (ranges.y1 - ranges.y0)
        dot = np.array([(x - 4, y - 4), (x + 4, y + 4), (x, y), (x + 4, y - 4), (x - 4, y + 4)])
        board.ink([board.hand.draw(dot, tremor=0.2)], who.tomasz, BLUE, 3.4)
    board.write("s", 84, 438, 36, who.tutor)
    board.type("θ", 500, 608, 22, who.tutor)


def hour_lines(board: DemoBoard, who: People) -> None:
    """A horizontal dial for 52° north: tan(hour line) = sin(latitude) · tan(hour angle)."""
    tutor = who.tutor
    cx, cy, radius = 470.0, 560.0, 330.0
    board.write("hour lines of a sundial", 96, 110, 66, tutor)
    half = np.linspace(math.pi, 2 * math.pi, 90)
    arc = np.column_stack([cx + radius * np.cos(half), cy + radius * np.sin(half)])
    board.ink([board.hand.draw(arc, tremor=1.0)], tutor, GREEN, 4)
    board.line((cx - radius - 30, cy), (cx + radius + 30, cy), tutor, GREEN, 3)
    for hour in range(7, 18):
        line = math.atan2(
            math.sin(math.radians(52)) * math.sin(math.radians(15 * (hour - 12))),
            math.cos(math.radians(15 * (hour - 12))),
        )
        x, y = math.sin(line), -math.cos(line)
        colour = RED if hour == 12 else BLACK
        board.ink(
            [board.hand.sketch([(cx, cy), (cx + radius * x, cy + radius * y)], 0.8)], tutor, colour, 2.6
        )
        board.write(str(hour), cx + (radius + 26) * x - 12, cy + (radius + 26) * y + 12, 36, tutor, colour)
    board.circle(cx, cy, 7, tutor, BLACK, 3)
    sine = "tan alpha = sin(52°) tan(45°)"
    words = f"At 52° north the line for 15 o'clock\nstands 38° from the noon line:\n{sine}."
    board.type(words, 890, 250, 22, tutor, maths=sine)
    board.write("noon", cx + 12, cy - radius + 62, 34, tutor, RED)
    board.write("are they equally far apart?", 850, 420, 34, who.tomasz, BLUE)


def tasks(board: DemoBoard, who: People) -> None:
    tutor = who.tutor
    board.write("your turn", 72, 104, 70, tutor, GREEN)
    board.type(
        "1   Stand a stick of 1 m upright. Measure its shadow at 9, 12 and 15 o'clock.", 76, 150, 22, tutor
    )
    board.type("2   Work out the sun's height θ each time:  tan θ = h / s", 76, 200, 22, tutor)
    board.type("3   When is the shadow as long as the stick?", 76, 250, 22, tutor)
    board.highlight(116, 520, 266, tutor, MINT)
    for number, clock in enumerate(("9:00", "12:00", "15:00")):
        x = 76 + 330 * number
        board.type(clock, x + 14, 336, 20, tutor)
        for a, b in (
            ((x, 328), (x + 300, 328)),
            ((x + 300, 328), (x + 300, 640)),
            ((x + 300, 640), (x, 640)),
            ((x, 640), (x, 328)),
        ):
            board.line(a, b, tutor, "#8a7d5f", 1.6)
    board.write("s = 1.6 m", 120, 440, 46, who.noor, PURPLE)
    board.write("s = 0.9 m", 450, 440, 46, who.noor, PURPLE)


def measured(board: DemoBoard, who: People) -> None:
    """Shadows of the day with their means and a chart, and a flagpole that knows its measures."""
    tutor = who.tutor
    board.write("what we measured", 96, 116, 66, tutor)
    shadows = (("9", "1.62", "1.58", "1.71"), ("10", "1.18", "1.21", "1.15"), ("11", "0.95", "0.92", "0.99"), ("12", "0.88", "0.86", "0.9"),
               ("13", "0.93", "0.97", "0.94"), ("15", "1.55", "1.49", "1.6"))  # fmt: skip
    rows = [("o'clock", "Noor", "Tomasz", "Elio", "mean")]
    rows += [(*row, f"=round(mean(B{n}:D{n}), 2)") for n, row in enumerate(shadows, 2)]
    table = board.table(rows, (90, 80, 90, 80, 80), 96, 164, tutor)
    board.chart("lines", table, (560.0, 150.0, 440.0, 290.0), "Shadow of a stick of 1 m", tutor)
    pole = board.figure("right_triangle", (150, 460), (390, 620), tutor, BLUE, 3.0)
    board.measure(pole, ("sides", "angles"), tutor)
    board.write("flagpole: 4 m", 440, 560, 44, tutor, BLUE)


def what_we_wonder(board: DemoBoard, who: People) -> None:
    board.title("Questions")
    board.write("what we wonder", 110, 120, 70, who.tutor, GREEN)
    board.note("Does the moon make shadows?", 120, 190, who.noor, "Noor", "#ffe7a8")
    board.note("Why is noon not at 12?", 360, 210, who.tomasz, "Tomasz", "#cfe3f2")
    board.note("Can a sundial work indoors?", 600, 186, who.noor, "Noor", "#cfe8dc")
    board.note("Are shadows ever blue?", 240, 410, who.tomasz, "Tomasz", "#f7d3d6")
    board.write("which one can we measure?", 480, 500, 46, who.tutor, RED)


def market_french(board: DemoBoard, tutor: str) -> None:
    """Vocabulary cards to match, and a mind map of the market."""
    board.title("At the stall")
    board.write("au marché", 110, 120, 76, tutor, RED)
    pairs = (
        ("une pomme", "an apple"),
        ("le fromage", "the cheese"),
        ("combien ?", "how much?"),
        ("à demain", "see you tomorrow"),
    )
    for number, (french, _) in enumerate(pairs):
        board.note(french, 110 + 215 * number, 180, tutor, "", "#cfe3f2")
    for number, (_, english) in enumerate(pairs[::-1]):
        board.note(english, 110 + 215 * number, 380, tutor, "", "#ffe7a8")
    board.new_page("Mind map")
    centre = board.figure("ellipse", (380, 250), (600, 350), tutor, GREEN, 3, fill="#cfe8dc")
    board.label(centre, "le marché", tutor)
    around = (
        ("les fruits", 110, 90),
        ("les légumes", 680, 90),
        ("le prix", 110, 450),
        ("le marchand", 680, 450),
    )
    for words, x, y in around:
        branch = board.figure("rounded", (x, y), (x + 190, y + 70), tutor, BLUE, 2.5)
        board.label(branch, words, tutor)
        board.figure(
            "line", (490, 300), (x + 95, y + 35), tutor, BLACK, 2.5, ends="arrow", holds=(centre, branch)
        )
    board.new_page("Handwriting", Paper("roll", "handwriting", 1000, 640, 56))
    board.write("je voudrais une pomme", 60, 132, 76, tutor, BLUE)


def bench_chemistry(board: DemoBoard, tutor: str) -> None:
    board.title("Burning magnesium")
    board.write("burning magnesium", 110, 120, 70, tutor)
    board.formula("2Mg + O2 -> 2MgO", 120, 180, 46, tutor, colour=BLUE)
    board.table(
        [
            ("", "before", "after"),
            ("magnesium", "0.24 g", "–"),
            ("oxide", "–", "0.40 g"),
            ("oxygen taken", "", "=C3-B2"),
        ],
        (150, 120, 120),
        120,
        270,
        tutor,
    )
    board.write("white light, white smoke", 130, 470, 44, tutor, PURPLE)
    board.type(
        "Goggles on.\nHold the ribbon with tongs.\nDo not look into the flame.", 600, 270, 24, tutor,
        family="serif", listing="numbers",
    )  # fmt: skip


if __name__ == "__main__":
    main()
