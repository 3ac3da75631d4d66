"""Make the browser's types: those of the wire from its structs, those of the sentences from the catalogue: `./run types`.

With --check nothing is written; the exit code says whether the files are fresh.
"""

from __future__ import annotations

import os
import sys
from typing import Any, get_args

import msgspec
import msgspec.inspect as inspect
from django import setup

from sunroom.resources import ROOT

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "sunroom.config.settings")
setup()

from sunroom.core.board import Item, Request, Step, items, limits, pages  # noqa: E402
from sunroom.core.board.items import Dash  # noqa: E402
from sunroom.core.board.limits import MAX_NUMBER  # noqa: E402
from sunroom.core.board.requests import Arrangement, removing, words  # noqa: E402
from sunroom.core.data.charts import ChartForm  # noqa: E402
from sunroom.core.drawn import PATH_UNITS  # noqa: E402
from sunroom.core.formats import drawing, things  # noqa: E402
from sunroom.core.ink import Ends, Nib  # noqa: E402
from sunroom.core.lesson import Command  # noqa: E402
from sunroom.core.lesson.chat import MAX_CAPTION  # noqa: E402
from sunroom.core.lesson.state import MAX_WORDS, OPTIONS  # noqa: E402
from sunroom.core.maths.elements import elements  # noqa: E402
from sunroom.core.maths.graph import LABEL_SIZE, MAX_LINES, Counted  # noqa: E402
from sunroom.core.maths.offers import LineVerdict, OfferKind  # noqa: E402
from sunroom.core.maths.setting import UNITS  # noqa: E402
from sunroom.core.maths.tokens import MAX_FORMULA  # noqa: E402
from sunroom.core.pens.kits import KITS, Right  # noqa: E402
from sunroom.core.pens.rules import Action  # noqa: E402
from sunroom.core.reading.kinds import SURE_TEXT  # noqa: E402
from sunroom.core.reading.reader import MAX_STROKES  # noqa: E402
from sunroom.core.shapes.constructions import Construction  # noqa: E402
from sunroom.core.shapes.figures import FigureKind, Outline, draw_figure  # noqa: E402
from sunroom.core.shapes.measures import Measured  # noqa: E402
from sunroom.core.text import Align, Family, Listing  # noqa: E402
from sunroom.core.text.fonts import LINE_HEIGHT  # noqa: E402
from sunroom.live.doors import (  # noqa: E402
    accounts,
    afterwards,
    boards,
    devices,
    documents,
    drawings,
    files,
    formulas,
    handed,
    hands,
    home,
    media,
    moments,
    pictures,
    recordings,
    rehearsals,
    search,
    shelf,
    templates,
)
from sunroom.live.doors import rooms as whole_rooms  # noqa: E402
from sunroom.live.wire import messages  # noqa: E402
from sunroom.live.wire.pace import MAX_MESSAGE  # noqa: E402
from sunroom.live.work import maths  # noqa: E402
from sunroom.rooms import views as rooms  # noqa: E402
from sunroom.words import LANGUAGES, catalogue  # noqa: E402

SRC = ROOT / "frontend" / "src"

#: Unions that get a name of their own in TypeScript.
UNIONS: dict[str, Any] = {
    "Item": Item,
    "Step": Step,
    "Request": Request,
    "Command": Command,
    "FromBrowser": messages.FromBrowser,
    "ToBrowser": messages.ToBrowser,
}
ALIASES: dict[str, Any] = {
    "Action": Action,
    "Align": Align,
    "Dash": Dash,
    "Ends": Ends,
    "Family": Family,
    "InstrumentKind": messages.InstrumentKind,
    "FigureKind": FigureKind,
    "Arrangement": Arrangement,
    "Listing": Listing,
    "ChartForm": ChartForm,
    "Construction": Construction,
    "Counted": Counted,
    "Measured": Measured,
    "OfferKind": OfferKind,
    "LineVerdict": LineVerdict,
    "Nib": Nib,
    "Right": Right,
}
ANSWERS = (
    rooms.Me,
    rooms.CreatedRoom,
    rooms.DoorSign,
    home.RoomHome,
    boards.BoardId,
    accounts.AccountPage,
    whole_rooms.RoomLinks,
    whole_rooms.RoomBroughtIn,
    afterwards.WrapUp,
    afterwards.Sent,
    afterwards.Afterwards,
    handed.Marked,
    moments.Moments,
    moments.Then,
    moments.Making,
    templates.Subject,
    templates.ReadyPage,
    drawings.DrawingSubject,
    drawings.DrawingParts,
    formulas.FormulaTyped,
    formulas.FormulaLook,
    formulas.FormulaSet,
    formulas.WorkedOffer,
    formulas.LineChecked,
    formulas.PlacesAsked,
    maths.PlacesFound,
    shelf.Shelf,
    shelf.Used,
    files.BroughtIn,
    rehearsals.RehearsalStarted,
    rehearsals.RehearsalOver,
    pictures.Sheet,
    pictures.PrintedWords,
    pictures.Flatten,
    pictures.LiftedInk,
    media.MediumTaken,
    recordings.RecordingBegun,
    recordings.Recordings,
    search.FoundWords,
    documents.Opened,
    search.Writing,
    drawing.Parts,
    hands.OwnHandSamples,
    devices.Invitation,
    devices.Invited,
    devices.Paired,
)


def main() -> int:
    files = {SRC / "wire" / "generated.ts": generate(), SRC / "words" / "generated.ts": sentences()}
    if "--check" in sys.argv:
        fresh = all(file.exists() and file.read_text() == text for file, text in files.items())
        print(
            "The generated types are fresh." if fresh else "The generated types are stale: run ./run types."
        )
        return 0 if fresh else 1
    for file, text in files.items():
        file.write_text(text)
    return 0


def sentences() -> str:
    """The keys of the catalogue, and what has to be said with each."""
    lines = ["// Made by ./run types from sunroom/words/en.ftl. Do not edit.", "", "export interface Words {"]
    for key, names in sorted(catalogue(LANGUAGES[0]).items()):
        values = "; ".join(f"{name}: string | number" for name in sorted(names))
        lines.append(f"  '{key}': {f'{{ {values} }}' if names else 'null'}")
    return "\n".join([*lines, "}", ""])


def generate() -> str:
    """The whole file."""
    structs: dict[str, str] = {}
    for kind in [*UNIONS.values(), *ANSWERS, Outline]:
        _collect(inspect.type_info(kind), structs)
    lines = ["// Made by ./run types from the wire's structs in Python. Do not edit.", ""]
    for name, kind in ALIASES.items():
        lines.append(f"export type {name} = {' | '.join(_literal(value) for value in get_args(kind))}")
    for name, kind in UNIONS.items():
        lines.append(f"export type {name} = {' | '.join(member.__name__ for member in get_args(kind))}")
    lines += [_unit_figures(), _ready_kits(), _elements(), f"export const WIRE = {messages.WIRE}", *_shared()]
    return "\n".join([*lines, "", *(structs[name] for name in sorted(structs))])


def _elements() -> str:
    """The periodic table: symbol, number, weight, column and row of each element."""
    rows = ", ".join(str(list(element)).replace("'", '"') for element in elements())
    return f"export const ELEMENTS: [symbol: string, number: number, weight: string, column: number, row: number][] = [{rows}]"


def _shared() -> list[str]:
    """Measures and limits that both sides go by."""
    values = {
        "LINE_HEIGHT": LINE_HEIGHT,
        "FORMULA_UNITS": UNITS,
        "PATH_UNITS": PATH_UNITS,
        "GRAPH_LABEL": LABEL_SIZE,
        "GRAPH_GRID": things.GRAPH_GRID,
        "GRAPH_AXIS": things.GRAPH_AXIS,
        "AREA_OPACITY": things.AREA_OPACITY,
        "MAX_GRAPH_LINES": MAX_LINES,
        "MAX_FORMULA": MAX_FORMULA,
        "MAX_CAPTION": MAX_CAPTION,
        "MAX_WORDS": MAX_WORDS,
        "FEWEST_ANSWERS": OPTIONS[0],
        "MOST_ANSWERS": OPTIONS[1],
        "MAX_NUMBER": MAX_NUMBER,
        "UNDERLINE": things.UNDERLINE,
        "STRIKE": things.STRIKE,
        "RULE": things.RULE,
        "HIGHLIGHT_OPACITY": things.HIGHLIGHT_OPACITY,
        "LABEL_PAD": items.LABEL_PAD,
        "NOTE_PAD": items.NOTE_PAD,
        "CELL_PAD": items.CELL_PAD,
        "CARD_PAD": items.CARD_PAD,
        "CARD_SIGN": items.CARD_SIGN,
        "CARD_SIGNS": things.CARD_SIGNS,
        "MAX_CARD_TITLE": limits.MAX_CARD_TITLE,
        "MAX_TABLE_SIDE": limits.MAX_TABLE_SIDE,
        "MAX_LABEL": limits.MAX_LABEL,
        "MAX_TEXT": limits.MAX_TEXT,
        "MAX_NOTE": limits.MAX_NOTE,
        "MAX_TITLE": pages.MAX_TITLE,
        "MAX_CELL": limits.MAX_CELL,
        "TABLE_ROW": words.ROW,
        "TABLE_COLUMN": words.COLUMN,
        "LEAST_BAY": pages.LEAST_BAY,
        "PAPER_COLOUR": pages.PAPER_COLOUR,
        "MAX_RUB_POINTS": removing.MAX_RUB_POINTS,
        "MAX_MESSAGE": MAX_MESSAGE,
        "MAX_READ": MAX_STROKES,
        "SURE_TEXT": SURE_TEXT,
    }
    return [f"export const {name} = {msgspec.json.encode(value).decode()}" for name, value in values.items()]


def _unit_figures() -> str:
    """Each figure in a box of 100, for the browser to show while one is dragged out."""
    figures = {kind: draw_figure(kind, 100, 100) for kind in get_args(FigureKind)}
    data = msgspec.json.encode(figures).decode()
    return f"export const UNIT_FIGURES: Record<FigureKind, Outline> = {data}"


def _ready_kits() -> str:
    data = msgspec.json.encode({name: sorted(rights) for name, rights in KITS.items()}).decode()
    return f"export const READY_KITS: Record<string, Right[]> = {data}"


def _collect(kind: Any, structs: dict[str, str]) -> None:
    match kind:
        case inspect.StructType():
            name = kind.cls.__name__
            if name in structs:
                return
            structs[name] = ""
            for field in kind.fields:
                _collect(field.type, structs)
            structs[name] = _struct(kind)
        case inspect.UnionType():
            for member in kind.types:
                _collect(member, structs)
        case inspect.VarTupleType() | inspect.ListType():
            _collect(kind.item_type, structs)
        case inspect.TupleType():
            for member in kind.item_types:
                _collect(member, structs)


def _struct(kind: inspect.StructType) -> str:
    name = kind.cls.__name__
    if kind.array_like:
        members = ", ".join(f"{field.name}: {_written(field.type)}" for field in kind.fields)
        return f"export type {name} = [{members}]\n"
    rows = [f"  {kind.tag_field}: {_literal(kind.tag)}"] if kind.tag_field else []
    omitted = kind.cls.__struct_config__.omit_defaults
    rows += [
        f"  {field.name}{'?' if omitted and not field.required else ''}: {_written(field.type)}"
        for field in kind.fields
    ]
    return "\n".join([f"export interface {name} {{", *rows, "}", ""])


def _written(kind: Any) -> str:
    match kind:
        case inspect.StructType():
            return str(kind.cls.__name__)
        case inspect.UnionType():
            names = {member.cls for member in kind.types if isinstance(member, inspect.StructType)}
            for name, union in UNIONS.items():
                if names == set(get_args(union)):
                    return name
            return " | ".join(dict.fromkeys(_written(member) for member in kind.types))
        case inspect.VarTupleType() | inspect.ListType():
            inner = _written(kind.item_type)
            return f"({inner})[]" if " " in inner else f"{inner}[]"
        case inspect.TupleType():
            return f"[{', '.join(_written(member) for member in kind.item_types)}]"
        case inspect.DictType():
            return f"Record<{_written(kind.key_type)}, {_written(kind.value_type)}>"
        case inspect.LiteralType():
            for name, values in ALIASES.items():
                if set(get_args(values)) == set(kind.values):
                    return name
            return " | ".join(_literal(value) for value in kind.values)
        case inspect.StrType():
            return "string"
        case inspect.IntType() | inspect.FloatType():
            return "number"
        case inspect.BoolType():
            return "boolean"
        case inspect.BytesType():
            return "Uint8Array"
        case inspect.NoneType():
            return "null"
    raise TypeError(f"There is no TypeScript for {kind}")


def _literal(value: Any) -> str:
    return f"'{value}'"


if __name__ == "__main__":
    sys.exit(main())
