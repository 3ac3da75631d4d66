"""The browser's types, made from the wire's structs."""

from __future__ import annotations

from typing import Literal
from unittest import TestCase

import msgspec
import msgspec.inspect as inspect

from sunroom.config import typescript
from sunroom.config.typescript import ALIASES, ANSWERS, UNIONS, _collect, _written, generate


class Point(msgspec.Struct, array_like=True):
    x: float
    y: float


class Kept(msgspec.Struct, tag_field="kind", tag="kept", omit_defaults=True):
    title: str
    points: tuple[Point, ...] = ()
    pair: tuple[int, str] = (0, "")
    data: bytes = b""
    parent: int | None = None
    words: list[str | int] = []
    way: Literal["up", "down"] = "up"


class Written(TestCase):
    def written(self, kind: type) -> dict[str, str]:
        structs: dict[str, str] = {}
        _collect(inspect.type_info(kind), structs)
        return structs

    def test_a_struct_is_an_interface_with_its_tag_first_and_what_may_be_missing_marked(self) -> None:
        self.assertEqual(
            self.written(Kept)["Kept"].splitlines(),
            [
                "export interface Kept {",
                "  kind: 'kept'",
                "  title: string",
                "  points?: Point[]",
                "  pair?: [number, string]",
                "  data?: Uint8Array",
                "  parent?: number | null",
                "  words?: (string | number)[]",
                "  way?: 'down' | 'up'",
                "}",
            ],
        )

    def test_a_struct_that_travels_as_an_array_is_a_tuple_with_names(self) -> None:
        self.assertEqual(self.written(Kept)["Point"], "export type Point = [x: number, y: number]\n")

    def test_what_has_no_type_there_is_named(self) -> None:
        with self.assertRaisesRegex(TypeError, "no TypeScript"):
            _written(inspect.type_info(set[int]))

    def test_every_message_and_answer_of_the_wire_is_in_the_file(self) -> None:
        text = generate()
        kinds = [kind for union in UNIONS.values() for kind in union.__args__]
        for kind in [*kinds, *ANSWERS]:
            self.assertRegex(text, rf"export (interface|type) {kind.__name__}\b")
        for name in [*ALIASES, *UNIONS]:
            self.assertIn(f"export type {name} = ", text)

    def test_the_file_in_the_repository_is_fresh(self) -> None:
        self.assertEqual((typescript.SRC / "wire" / "generated.ts").read_text(), generate())
