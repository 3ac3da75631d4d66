"""The interface's sentences: one catalogue (Fluent) for each language, the same for browser and server.

The browser says nearly all of them itself; here they are said for what leaves the server without one: PDFs, mails,
downloads, the command line.
"""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache
from pathlib import Path

from fluent.runtime import FluentBundle, FluentResource
from fluent.syntax import FluentParser, ast
from fluent.syntax.visitor import Visitor

FOLDER = Path(__file__).resolve().parent
#: Languages that there is a whole catalogue of; the first is said when another has not been asked for.
LANGUAGES = ("en", "de", "fr", "es")


@cache
def _bundle(language: str) -> FluentBundle:
    bundle = FluentBundle([{"en": "en-GB"}.get(language, language)], use_isolating=False)
    bundle.add_resource(FluentResource((FOLDER / f"{language}.ftl").read_text(encoding="utf-8")))
    return bundle


def say(key: str, values: Mapping[str, str | int | float] | None = None, language: str = "en") -> str:
    """The words of ``key`` in ``language`` ("en" for one without a catalogue); the key itself when unknown."""
    bundle = _bundle(language if language in LANGUAGES else LANGUAGES[0])
    if not bundle.has_message(key):
        return key
    pattern = bundle.get_message(key).value
    text, _ = bundle.format_pattern(pattern, dict(values or {})) if pattern else (key, [])
    return str(text)


class _Names(Visitor):
    def __init__(self) -> None:
        self.found: set[str] = set()

    def visit_VariableReference(self, node: ast.VariableReference) -> None:
        self.found.add(node.id.name)


def catalogue(language: str) -> dict[str, frozenset[str]]:
    """Each key of a language's catalogue with the names of its values.

    Raises
    ------
    ValueError
        For a line that is no Fluent, and for a key that stands twice.
    """
    tree = FluentParser().parse((FOLDER / f"{language}.ftl").read_text(encoding="utf-8"))
    keys: dict[str, frozenset[str]] = {}
    for entry in tree.body:
        if isinstance(entry, ast.Junk):
            raise ValueError(f"{language}.ftl: this cannot be read: {entry.content!r}")
        if isinstance(entry, ast.Message):
            if entry.id.name in keys:
                raise ValueError(f"{language}.ftl: {entry.id.name} stands twice.")
            names = _Names()
            names.visit(entry)
            keys[entry.id.name] = frozenset(names.found)
    return keys
