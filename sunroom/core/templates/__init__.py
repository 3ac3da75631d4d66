"""Ready pages: charts, tables and drawings to write on, made of the product's own things.

A template is a function that draws on a ``Sheet``; its words come from whoever asks, in their language.
"""

from __future__ import annotations

from sunroom.core.templates.drawing import Sheet, Template, Words
from sunroom.core.templates.language import LANGUAGE
from sunroom.core.templates.maths import MATHS
from sunroom.core.templates.science import SCIENCE
from sunroom.core.templates.thinking import THINKING

__all__ = ["SUBJECTS", "TEMPLATES", "Sheet", "Template", "Words", "template"]

#: The templates of each subject, in the order in which they are shown.
SUBJECTS: dict[str, dict[str, Template]] = {
    "thinking": THINKING,
    "language": LANGUAGE,
    "maths": MATHS,
    "science": SCIENCE,
}
TEMPLATES: dict[str, Template] = {
    name: make for subject in SUBJECTS.values() for name, make in subject.items()
}


def template(name: str, words: Words) -> Sheet:
    """The ready page of this name; raises KeyError when there is none."""
    sheet = Sheet(words)
    TEMPLATES[name](sheet)
    return sheet
