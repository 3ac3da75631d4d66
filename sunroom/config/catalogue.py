"""Hold the catalogues to the code: `./run check` fails on a missing or unused key, and on a sentence that stands in the code.

Every language has the same keys with the same values. A key is used when its name stands in a source file; keys that
are put together end in something that the code fills in (``DERIVED``).
"""

from __future__ import annotations

import re
import sys
from collections.abc import Iterator
from pathlib import Path

from sunroom.resources import ROOT
from sunroom.words import LANGUAGES, catalogue

#: Keys that the code makes of a prefix and a code of its own: of reasons, commands, kinds.
DERIVED = ("reason-", "person-", "did-", "password-", "figure-", "drw-", "element-", "spoken-")
#: Words that are no sentence: names of formats, units, the product.
NO_WORDS = re.compile(r"^(Sun Room|https?://|[A-Z]{2,5}|cm|min|px|MB|%|QR)$")
MARKUP = re.compile(r">([^<>{}]*[A-Za-z]{3}[^<>{}]*)<")
ATTRIBUTES = re.compile(
    r"\b(?:label|title|aria-label|placeholder|alt|hint)=\"([^\"{}]*[A-Za-z]{3}[^\"{}]*)\""
)
SCRIPT = re.compile(r"""(?<![\w.])(?:say|warn)\(\s*(['"`])(?!\$\{t\()""")


def main() -> int:
    faults = [*missing(), *unused(), *inline()]
    for fault in faults:
        print(fault, file=sys.stderr)
    print("The catalogues are whole." if not faults else f"{len(faults)} faults in the catalogues.")
    return 1 if faults else 0


def missing() -> Iterator[str]:
    """Keys and values that one language has and another has not."""
    first = catalogue(LANGUAGES[0])
    for language in LANGUAGES[1:]:
        other = catalogue(language)
        for key in sorted(first.keys() ^ other.keys()):
            yield f"{language}.ftl: {key} {'is missing' if key in first else 'is in no other language'}"
        for key in sorted(first.keys() & other.keys()):
            if first[key] != other[key]:
                yield f"{language}.ftl: {key} is filled in with {sorted(other[key])}, not {sorted(first[key])}"


def unused() -> Iterator[str]:
    """Keys that no source file speaks of."""
    said = "\n".join(file.read_text(encoding="utf-8") for file in _sources(".py", ".ts", ".svelte"))
    words = set(re.findall(r"[a-z0-9]+(?:[-_][a-z0-9]+)+|[a-z0-9]+", said))
    for key in sorted(catalogue(LANGUAGES[0])):
        if key not in words and not key.startswith(DERIVED):
            yield f"en.ftl: {key} is not used"


def inline() -> Iterator[str]:
    """Sentences that stand in the interface's own source instead of a catalogue."""
    for file in _sources(".svelte"):
        for words in written(file.read_text(encoding="utf-8")):
            yield f"{file.relative_to(ROOT)}: “{words}” stands in the source"
    for file in _sources(".svelte", ".ts"):
        for line in file.read_text(encoding="utf-8").splitlines():
            if SCRIPT.search(line):
                yield f"{file.relative_to(ROOT)}: {line.strip()[:80]} says a sentence of its own"


def written(component: str) -> list[str]:
    """The words that a component's markup itself shows or names something with."""
    markup = re.sub(r"<(script|style)\b.*?</\1>|<!--.*?-->", "", component, flags=re.DOTALL)
    # What stands in braces is code; taken out from the inside, it leaves the words between.
    while (less := re.sub(r"\{[^{}]*\}", "", markup)) != markup:
        markup = less
    markup = re.sub(r"=>|=\s*>", "", markup)
    found = (words.strip() for words in (*MARKUP.findall(markup), *ATTRIBUTES.findall(markup)))
    return [words for words in found if not NO_WORDS.match(words)]


def _sources(*endings: str) -> Iterator[Path]:
    for folder in (ROOT / "frontend" / "src", ROOT / "sunroom"):
        for file in sorted(folder.rglob("*")):
            if file.suffix in endings and file.name != "generated.ts":
                yield file


if __name__ == "__main__":
    sys.exit(main())
