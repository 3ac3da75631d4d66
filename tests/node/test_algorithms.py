"""The browser's own arithmetic, run by Node: frames, catching, views, instruments, styled text, copies."""

from __future__ import annotations

import json
import math
import random
from typing import Any
from unittest import TestCase

import msgspec
import numpy as np

from sunroom.core.board import ShapeItem
from sunroom.core.board.bends import bent
from sunroom.core.board.connect import laid
from sunroom.core.geometry import Affine
from sunroom.core.shapes.figures import draw_figure
from sunroom.words import FOLDER
from tests.core.test_ink import run_in_node

SOURCE = "".join(
    f"export * from '/src/{module}'\n"
    for module in (
        "board/styled.ts", "board/frame.ts", "board/snap.ts", "board/place.ts", "board/text.ts",
        "board/view.svelte.ts", "board/instruments/instruments.svelte.ts", "board/instruments/draw.ts", "board/instruments/measure.ts", "board/instruments/instrument.svelte.ts",
        "lesson/papers.ts", "lesson/clipboard.ts", "ui/colour.ts", "words/time.ts",
        "board/bays.ts", "board/bends.ts", "gestures/line-gestures.ts", "frame/board/bays.ts", "lesson/mark.ts", "lesson/figure-names.ts",
    )
)  # fmt: skip
SOURCE += "export { speech } from '/src/words/words.svelte'\n"

SCRIPT = """
import * as app from './golden.js'
import { readFileSync } from 'node:fs'
app.speech.take('en', readFileSync('ENGLISH', 'utf8'))
const answers = JSON.parse(readFileSync(0, 'utf8')).map((code) => new Function('app', code)(app))
console.log(JSON.stringify(answers))
""".replace("ENGLISH", str(FOLDER / "en.ftl"))


def ask(*codes: str) -> list[Any]:
    """What each piece of JavaScript returns; ``app`` holds the browser's functions."""
    return json.loads(run_in_node(SOURCE, SCRIPT, json.dumps(codes).encode()))


class Algorithms(TestCase):
    # Bends

    def test_lines_bend_as_they_do_in_the_core(self) -> None:
        chance, codes, expected = random.Random(4), [], []
        for _ in range(120):
            line, start, end, inner = self.a_bend(chance)
            codes.append(f"return app.bent({json.dumps(msgspec.to_builtins(line))}, {start}, {end}, {inner})")
            expected.append(bent(line, np.array(start), np.array(end), inner).tolist())
        for mine, theirs in zip(ask(*codes), expected, strict=True):
            np.testing.assert_allclose(mine, theirs, atol=1e-6)

    def a_bend(self, chance: random.Random) -> tuple[ShapeItem, list[float], list[float], list[list[float]]]:
        """An elbow or curve that is bent somehow, where it is to run, and where its handles are put, or not."""
        point = lambda: [chance.choice([0.0, 0.0, chance.uniform(-300, 300)]) for _ in range(2)]  # noqa: E731
        figure = chance.choice(["elbow", "curve", "line"])
        points = draw_figure(figure, *point()).points
        line = ShapeItem(id="line-001", figure=figure, points=points, closed=False, curved=False, colour="#16222b", width=2)  # fmt: skip
        places = {"elbow": 1, "curve": 2, "line": 0}[figure]
        inner = [point() for _ in range(places)]
        if chance.random() < 0.7:
            course = bent(line, np.array(point()), np.array(point()), inner)
            line = laid(line, course)
        return line, point(), point(), inner if chance.random() < 0.4 else []

    # Styled text

    def test_styles_stay_with_their_characters_whatever_is_typed(self) -> None:
        runs = [self.edits(seed) for seed in range(40)]
        codes = [
            f"let t = app.StyledText.of('', []); for (const [what, ...how] of {json.dumps(edits)}) t = what === 'type'"
            " ? t.typed(how[0], how[1]) : t.styled(how[0], how[1], how[2]); return [t.text, t.spans(t.text.length)]"
            for edits, _ in runs
        ]
        for (text, spans), (_, expected) in zip(ask(*codes), runs, strict=True):
            self.assertEqual(text, "".join(character for character, _ in expected))
            styles: list[dict] = [{} for _ in text]
            for span in spans:
                for index in range(span["start"], span["end"]):
                    styles[index] = {k: v for k, v in span.items() if k not in ("start", "end")}
            self.assertEqual(styles, [style for _, style in expected])

    def edits(self, seed: int) -> tuple[list, list[tuple[str, dict]]]:
        """Edits, and the characters with their styles as a slow model makes them."""
        chance, cells, edits = random.Random(seed), [], []  # type: ignore[var-annotated]
        for number in range(12):
            if cells and chance.random() < 0.4:
                start = chance.randrange(len(cells))
                end = chance.randrange(start, len(cells)) + 1
                change = chance.choice([{"bold": True}, {"italic": True}, {"script": "sup"}, {"bold": False}])
                edits.append(["style", start, end, change])
                for index in range(start, end):
                    style = {**cells[index][1], **change}
                    cells[index] = (cells[index][0], {k: style[k] for k in sorted(style) if style[k]})
                continue
            at = chance.randrange(len(cells) + 1)
            gone = chance.randrange(min(3, len(cells) - at) + 1)
            # Letters that occur once: a repeated one could have been typed at another place.
            word = "".join(chr(0x4E00 + 8 * number + i) for i in range(chance.randrange(1, 4)))
            given = {"bold": True} if chance.random() < 0.3 else None
            style = given if given is not None else (cells[at - 1][1] if at else {})
            cells[at : at + gone] = [(character, style) for character in word]
            edits.append(["type", "".join(character for character, _ in cells), given])
        return edits, cells

    # The frame of a selection

    def test_a_corner_keeps_proportions_and_the_opposite_corner_its_place(self) -> None:
        box = {"minX": 10, "minY": 20, "maxX": 110, "maxY": 70}
        for dx in (-1, 1):
            for dy in (-1, 1):
                handle = {"kind": "size", "dx": dx, "dy": dy}
                corner = [110 if dx > 0 else 10, 70 if dy > 0 else 20]
                drag = [corner[0] + 40 * dx, corner[1] + 20 * dy]
                code = f"return app.dragMap({json.dumps(box)}, {json.dumps(handle)}, {corner}, {drag}, false)"
                along = Affine(*ask(code)[0])
                self.assertAlmostEqual(along.a, along.d)
                self.assertAlmostEqual(along.a, 1.4, places=6)
                anchor = (10 if dx > 0 else 110, 20 if dy > 0 else 70)
                np.testing.assert_allclose(along.point(*anchor), anchor, atol=1e-9)

    def test_a_side_stretches_one_way_and_never_to_nothing(self) -> None:
        box = json.dumps({"minX": 0, "minY": 0, "maxX": 100, "maxY": 50})
        right = json.dumps({"kind": "size", "dx": 1, "dy": 0})
        wider, flat = ask(
            f"return app.dragMap({box}, {right}, [100, 25], [150, 90], false)",
            f"return app.dragMap({box}, {right}, [100, 25], [-900, 25], false)",
        )
        np.testing.assert_allclose(wider, [1.5, 0, 0, 1, 0, 0], atol=1e-9)
        self.assertGreater(flat[0], 0)

    def test_the_turner_turns_by_whole_degrees_or_by_fifteen(self) -> None:
        box = json.dumps({"minX": -50, "minY": -50, "maxX": 50, "maxY": 50})
        turn = json.dumps({"kind": "turn", "dx": 0, "dy": -1})
        at = [60 * math.sin(math.radians(20.4)), -60 * math.cos(math.radians(20.4))]
        fine, coarse = ask(
            f"return app.dragMap({box}, {turn}, [0, -60], {at}, false)",
            f"return app.dragMap({box}, {turn}, [0, -60], {at}, true)",
        )
        self.assertAlmostEqual(math.degrees(math.atan2(fine[1], fine[0])), 20, places=6)
        self.assertAlmostEqual(math.degrees(math.atan2(coarse[1], coarse[0])), 15, places=6)

    def test_a_flat_thing_has_no_handle_where_it_is_grabbed(self) -> None:
        (flat, square) = ask(
            "return app.handlesOf({ minX: 0, minY: 0, maxX: 300, maxY: 2 }, 1).map((h) => [h.kind, h.dx, h.dy])",
            "return app.handlesOf({ minX: 0, minY: 0, maxX: 300, maxY: 300 }, 1).length",
        )
        self.assertFalse([handle for handle in flat if handle[0] == "size" and handle[1] == 0])
        self.assertIn(["size", 1, 1], flat)
        self.assertEqual(square, 9)

    # Catching

    def caught(self, dx: float, dy: float, ruling: str = "plain", scale: float = 1.0) -> dict:
        code = f"""
            const other = {{ minX: 200, minY: 300, maxX: 260, maxY: 360, item: {{ id: 'other' }} }}
            const page = {{ at: () => [other], head: {{ paper: {{ ruling: '{ruling}', spacing: 40 }} }} }}
            const own = {{ minX: 0, minY: 0, maxX: 50, maxY: 50 }}
            const seen = {{ minX: -999, minY: -999, maxX: 999, maxY: 999 }}
            return app.snap(page, app.catchers(page, new Set(['own']), seen), own, {dx}, {dy}, {scale})
        """
        return ask(code)[0]

    def test_edges_and_middles_catch_within_a_few_pixels_with_a_guide(self) -> None:
        at_edge = self.caught(197, 0)
        self.assertEqual((at_edge["dx"], at_edge["guides"]), (200, [{"level": False, "at": 200}]))
        middle = self.caught(0, 302.5)
        self.assertEqual(middle["dy"], 300, "the nearest of edges and middles")
        free = self.caught(160, 100)
        self.assertEqual((free["dx"], free["dy"], free["guides"]), (160, 100, []))

    def test_what_catches_is_as_near_on_the_screen_at_every_zoom(self) -> None:
        self.assertEqual(self.caught(190, 0, scale=0.5)["dx"], 200)
        self.assertEqual(self.caught(197, 0, scale=4)["dx"], 197)

    def test_the_ruling_catches_where_nothing_else_does(self) -> None:
        self.assertEqual(self.caught(83, 118, "squares")["dx"], 80)
        self.assertEqual(self.caught(83, 118, "plain")["dx"], 83)

    # Maps and views

    def test_maps_are_put_together_and_undone_as_in_the_core(self) -> None:
        chance = random.Random(3)
        maps = [Affine(*(chance.uniform(-2, 2) for _ in range(6))) for _ in range(12)]
        codes = [
            f"const m = app.after({list(self.six(a))}, {list(self.six(b))});"
            "return [m, app.inverse(m, app.pointOf(m, 3, 7))]"
            for a, b in zip(maps[::2], maps[1::2], strict=True)
        ]
        for (shown, back), a, b in zip(ask(*codes), maps[::2], maps[1::2], strict=True):
            np.testing.assert_allclose(shown, self.six(a.after(b)), atol=1e-9)
            np.testing.assert_allclose(back, (3, 7), atol=1e-6)

    def six(self, along: Affine) -> tuple[float, ...]:
        return along.a, along.b, along.c, along.d, along.e, along.f

    def test_zooming_leaves_the_place_under_the_pointer_and_stays_within_its_bounds(self) -> None:
        before, after, least, most = ask(
            "const v = new app.View(); v.pan(40, -30); return v.toPage(300, 200)",
            "const v = new app.View(); v.pan(40, -30); v.zoom(2.5, 300, 200); return [v.toPage(300, 200), v.scale]",
            "const v = new app.View(); v.zoom(1e-9); return v.scale",
            "const v = new app.View(); v.zoom(1e9); return v.scale",
        )
        np.testing.assert_allclose(after[0], before, atol=1e-9)
        self.assertEqual((after[1], least, most), (2.5, 0.05, 16))

    def test_who_is_held_looks_closer_but_never_elsewhere(self) -> None:
        box = {"minX": 100, "minY": 50, "maxX": 900, "maxY": 650}
        chance = random.Random(8)
        codes = [
            f"const v = new app.View(); v.show({json.dumps(box)}); v.zoom({chance.uniform(0.2, 6)}, 200, 100);"
            f"v.pan({chance.uniform(-900, 900)}, {chance.uniform(-900, 900)});"
            f"v.stayWithin({json.dumps(box)}, 3); return [v.scale, v.box()]"
            for _ in range(30)
        ]
        for scale, seen in ask(*codes):
            self.assertTrue(1 - 1e-9 <= scale <= 3 + 1e-9)
            self.assertGreaterEqual(seen["minX"], 100 - 1e-6)
            self.assertGreaterEqual(seen["minY"], 50 - 1e-6)
            self.assertLessEqual(seen["maxX"], 900 + 1e-6)
            self.assertLessEqual(seen["maxY"], 650 + 1e-6)

    # Instruments

    def test_ink_begun_near_an_edge_keeps_to_it_and_other_ink_is_free(self) -> None:
        set_up = (
            "const all = new app.Instruments(() => {}); all.toggle('ruler', [0, 0], 1000); all.inHand.turn(30);"
            "const guide = (p) => all.guide(p, 1, null, app.FIRST_PAPER)[0];"
        )
        edge = "[-0.5 * 32 + 100 * Math.cos(Math.PI / 6), 32 * Math.cos(Math.PI / 6) + 50]"
        along, free, after = ask(
            f"{set_up} guide({edge}); return [[50, 90], [120, 60], [-40, 10]].map(guide)",
            f"{set_up} guide([0, 200]); return guide([55, 44])",
            f"{set_up} guide({edge}); all.release(); guide([0, 300]); return guide([5, 6])",
        )
        way = np.array((math.cos(math.radians(30)), math.sin(math.radians(30))))
        for point in along:
            across = point[1] * way[0] - point[0] * way[1]
            self.assertAlmostEqual(across, 32, places=6)
        self.assertEqual((free, after), ([55, 44], [5, 6]))

    def test_compasses_draw_a_true_arc_whatever_the_pointer_does_and_go_with_it(self) -> None:
        (found,) = ask(
            "const all = new app.Instruments(() => {}); all.toggle('compasses', [100, 50], 1000);"
            "const c = all.inHand; c.resize(120); const points = [];"
            "for (const p of [[222, 52], [200, 160], [90, 190], [-40, 60], [60, -70]])"
            " points.push(...all.guide(p, 1, null, app.FIRST_PAPER));"
            "return { points, angle: c.angle, swept: c.swept, needle: [c.x, c.y] }"
        )
        points = np.array(found["points"]) - (100, 50)
        np.testing.assert_allclose(np.hypot(*points.T), 120, atol=1e-9)
        steps = np.hypot(*np.diff(points, axis=0).T)
        self.assertLess(
            steps.max(), 120 * math.radians(3.01), "no corners between far samples of the pointer"
        )
        self.assertAlmostEqual(found["angle"], math.atan2(-120, -40), places=6)
        self.assertAlmostEqual(found["swept"], -math.degrees(2 * math.pi + math.atan2(-120, -40)), delta=2)
        self.assertEqual(found["needle"], [100, 50])

    def test_lines_begin_and_end_at_marks_and_at_points_of_the_page(self) -> None:
        set_up = (
            "const all = new app.Instruments(() => {}); all.toggle('protractor', [0, 0], 1000);"
            "const p = all.inHand; Object.assign(p, {x: 0, y: 0, size: 200, arm: 60});"
            "const guide = (at, ends) => all.guide(at, 1, ends, app.FIRST_PAPER).at(-1);"
        )
        nothing, there = "() => null", "() => [95, 3]"
        arc, base, arm = ask(
            f"{set_up} return guide([200 * Math.cos(-0.5), 200 * Math.sin(-0.5) + 2], {nothing})",
            f"{set_up} return guide([100, 5], {there})",
            f"{set_up} guide([50, -88], {nothing}); return guide([150, -200], null)",
        )
        degrees = math.degrees(math.atan2(-arc[1], arc[0]))
        self.assertAlmostEqual(degrees, round(degrees), places=6, msg="a mark of the arc is on whole degrees")
        np.testing.assert_allclose(base, [95, 0], atol=1e-9)
        self.assertAlmostEqual(math.degrees(math.atan2(-arm[1], arm[0])), 60, places=6)

    def test_instruments_are_turned_and_opened_by_their_grips(self) -> None:
        script = (
            "const all = new app.Instruments(() => {{}}); all.toggle('{kind}', [0, 0], 1000); const i = all.inHand;"
            "Object.assign(i, {{x: 0, y: 0}}); const taken = i.form.grips(i.lying, 1).find((g) => g.part === '{part}');"
            "const at = i.out(taken.at); const found = all.partAt(at, 1).part;"
            "i.drag(found, {{at, x: 0, y: 0, angle: i.angle}}, {to}, false, 1, () => null);"
            "return [found, Math.round(i.angle * 1800 / Math.PI) / 10, i.arm, i.size]"
        )
        turned, armed, opened = ask(
            script.format(kind="square_45", part="turn", to="i.out([-taken.at[1], taken.at[0]])"),
            script.format(kind="protractor", part="open", to="[-100, -100]"),
            script.format(kind="compasses", part="open", to="[250, -30]"),
        )
        self.assertEqual(turned[:2], ["turn", 90])
        self.assertEqual((armed[0], armed[2]), ("open", 135))
        self.assertEqual((opened[0], opened[3]), ("open", 300))

    def test_lengths_are_read_in_what_a_square_stands_for(self) -> None:
        texts = ask(
            "return app.lengthText(96, app.measureOf(app.FIRST_PAPER))",
            "return app.lengthText(96, app.measureOf({...app.FIRST_PAPER, each: 5, unit: 'm'}))",
            "return app.lengthText(4000, app.measureOf({...app.FIRST_PAPER, each: 1, unit: 'km'}))",
        )
        self.assertEqual(texts, ["2.54 cm", "12 m", "100 km"])

    # Copies, spreadsheets, colours

    def test_copies_have_new_ids_and_groups_of_their_own(self) -> None:
        items = [
            {"id": "a", "group": "g", "x": 1, "y": 2, "z": 2, "locked": True},
            {"id": "b", "group": "g", "x": 5, "y": 6, "z": 1, "locked": False},
            {"id": "c", "group": "", "x": 0, "y": 0, "z": 3, "locked": False},
        ]
        (copies,) = ask(f"return app.copiesOf({json.dumps(items)}, 10, 20)")
        self.assertEqual(
            [(c["x"], c["y"]) for c in copies], [(15, 26), (11, 22), (10, 20)], "from the lowest up"
        )
        self.assertEqual(len({c["id"] for c in copies} | {"a", "b", "c"}), 6)
        self.assertEqual(copies[0]["group"], copies[1]["group"])
        self.assertNotIn(copies[0]["group"], ("g", ""))
        self.assertEqual((copies[2]["group"], copies[1]["locked"]), ("", False))

    def test_rows_with_tabs_are_a_table_and_plain_words_are_none(self) -> None:
        table, words, wide = ask(
            "return app.spreadsheetRows('a\\t1\\n b \\t\\n', 40)",
            "return app.spreadsheetRows('one\\ntwo', 40)",
            "return app.spreadsheetRows('a\\t'.repeat(50), 40)",
        )
        self.assertEqual((table, words, wide), ([["a", "1"], ["b", ""]], None, None))

    def test_colours_are_read_and_weighed(self) -> None:
        codes = ("'1f5fa8'", "' #1F5FA8 '", "'#abc'", "'blue'", "'12345'")
        read = ask(*(f"return app.readColour({code})" for code in codes))
        self.assertEqual(read, ["#1f5fa8", "#1f5fa8", "#aabbcc", None, None])
        black, same = ask(
            "return app.contrast('#000000', '#ffffff')", "return app.contrast('#777777', '#777777')"
        )
        self.assertAlmostEqual(black, 21)
        self.assertEqual(same, 1)


class Places(TestCase):
    """Bays, line ends, marks of people, and words for times and figures."""

    def test_of_bays_that_overlap_the_later_one_is_pressed_as_the_core_has_it(self) -> None:
        bays = [
            {"id": "one", "x": 0, "y": 0, "width": 100, "height": 80},
            {"id": "two", "x": 50, "y": 20, "width": 100, "height": 80},
        ]
        places = [(10, 10), (60, 30), (140, 90), (300, 10), (100, 80)]
        codes = [
            f"return app.bayAt({{ bays: {json.dumps(bays)} }}, {list(place)})?.id ?? ''" for place in places
        ]
        self.assertEqual(ask(*codes), ["one", "two", "two", "", "two"])

    def test_whose_a_bay_is_is_said_in_words(self) -> None:
        session = "{ people: { nameOf: (seat) => ({ a: 'Noor', b: 'Tomasz' })[seat] ?? 'somebody' } }"
        bays = [("page", []), ("open", []), ("tutor_side", []), ("people", ["a", "b"]), ("people", [])]
        codes = [
            f"return app.whose({json.dumps({'rule': rule, 'people': people})}, {session})"
            for rule, people in bays
        ]
        self.assertEqual(ask(*codes), ["", "open to all", "tutor only", "Noor, Tomasz", "nobody yet"])

    def test_a_line_s_ends_are_where_its_map_takes_its_points(self) -> None:
        along = Affine(0, 2, -2, 0, 100, 50)
        line = {"map": [0, 2, -2, 0], "x": 100, "y": 50, "points": [[0, 0], [5, 5], [10, 0]]}
        (ends,) = ask(f"return app.endsOf({json.dumps(line)})")
        np.testing.assert_allclose(ends, [along.point(0, 0), along.point(10, 0)])

    def test_straight_is_in_steps_of_fifteen_degrees_and_as_long_as_the_drag(self) -> None:
        drags = [
            (math.cos(math.radians(d)) * 80, math.sin(math.radians(d)) * 80) for d in (3, 10, 44, 173, -98)
        ]
        for (x, y), degrees in zip(
            ask(*[f"return app.straightFrom([0, 0], {list(drag)})" for drag in drags]), (0, 15, 45, 180, -105),
            strict=True,
        ):  # fmt: skip
            self.assertAlmostEqual(math.hypot(x, y), 80)
            self.assertAlmostEqual((math.degrees(math.atan2(y, x)) - degrees + 180) % 360, 180, places=6)

    def test_people_have_steady_marks_and_white_is_read_on_each_colour(self) -> None:
        seats = [f"seat-{number}" for number in range(60)]
        colours = ask(*[f"return app.personColour('{seat}')" for seat in seats])
        shapes = ask(*[f"return app.personShape('{seat}')" for seat in seats])
        self.assertEqual(colours, ask(*[f"return app.personColour('{seat}')" for seat in seats]))
        self.assertGreater(
            len({*zip(colours, shapes, strict=True)}), 25, "colour and shape together tell apart"
        )
        for ratio in ask(*[f"return app.contrast('#ffffff', '{colour}')" for colour in set(colours)]):
            self.assertGreaterEqual(ratio, 4.5)

    def test_times_are_told_as_on_a_clock(self) -> None:
        spans = [(0, "00:00"), (59_999, "00:59"), (61_000, "01:01"), (3_600_000, "1:00:00"), (-5, "00:00")]
        self.assertEqual(
            ask(*[f"return app.elapsed({ms})" for ms, _ in spans]), [words for _, words in spans]
        )

    def test_figures_are_called_by_their_kind_and_form(self) -> None:
        figures = [
            ("arrow", "", "Arrow"), ("double_arrow", "", "Double arrow"), ("triangle", "right", "Right triangle"),
            ("triangle", "", "Triangle"), ("number_line", "", "Number line"), ("polyline", "", "Polyline"),
        ]  # fmt: skip
        codes = [
            f"return app.nameOf({json.dumps({'kind': kind, 'form': form})})" for kind, form, _ in figures
        ]
        self.assertEqual(ask(*codes), [words for *_, words in figures])
