"""MathML in: what other programs copy, as LaTeX of the kind that is typed here. Presentation elements of MathML Core are known."""

from __future__ import annotations

from xml.etree.ElementTree import Element, ParseError

from defusedxml.common import DefusedXmlException
from defusedxml.ElementTree import fromstring

from sunroom.core.errors import MalformedError
from sunroom.core.maths.signs import BY_CHARACTER, SIGNS
from sunroom.core.maths.tokens import MAX_FORMULA
from sunroom.core.maths.typed import read_formula, unmistakable
from sunroom.core.sentences import said

#: Characters of a formula in MathML, and how deep its elements lie in each other.
MAX_MATHML, MAX_DEPTH = 20_000, 40

#: Words that are functions, and letters that stand for others in an operator.
_FUNCTIONS = frozenset(
    "sin cos tan cot sec csc sinh cosh tanh arcsin arccos arctan exp ln lg log lim max min gcd det".split()
)
_ALSO = {"−": "-", "∗": "*", "*": "*", "⋅": r"\cdot", "·": r"\cdot", "′": "'", "⟶": r"\rightarrow", "→": r"\rightarrow", "{": r"\{", "}": r"\}",
         "∥": r"\parallel", "‖": r"\|", "%": r"\%", "&": "", "⁡": "", "⁢": "", "⁣": ",", "⁤": ""}  # fmt: skip
_ACCENTS = {
    "→": r"\vec",
    "⃗": r"\vec",
    "¯": r"\overline",
    "‾": r"\overline",
    "―": r"\overline",
    "_": r"\overline",
    "^": r"\hat",
    "ˆ": r"\hat",
}
_LARGE = frozenset([r"\sum", r"\prod", r"\int", r"\oint", r"\bigcup", r"\bigcap", r"\lim", r"\max", r"\min"])


def is_mathml(text: str) -> bool:
    head = text.lstrip()[:400]
    return head.startswith(("<math", "<m:math", "<mml:math")) or (head.startswith("<?xml") and "math" in head)


def latex_of_mathml(text: str) -> str:
    """The LaTeX of a formula in MathML; raises MalformedError for what is not understood or too much."""
    if len(text) > MAX_MATHML:
        raise MalformedError("formula", said("a-formula-has-at-most", signs=MAX_MATHML))
    try:
        root = fromstring(text.strip(), forbid_dtd=True)
    except (ParseError, DefusedXmlException, ValueError) as error:
        raise MalformedError("formula", said("that-mathml-is-not-understood")) from error
    latex = " ".join(_latex(root, 0).split())
    if len(latex) > MAX_FORMULA:
        raise MalformedError("formula", said("a-formula-has-at-most", signs=MAX_FORMULA))
    read_formula(latex)
    return unmistakable(latex)


def _latex(element: Element, depth: int) -> str:
    if depth > MAX_DEPTH:
        raise MalformedError("formula", said("that-mathml-is-not-understood"))
    name = element.tag.rpartition("}")[2] if isinstance(element.tag, str) else ""
    accent = _accent(element) if name == "mover" and len(element) == 2 else ""
    if accent:
        return f"{accent}{{{_latex(element[0], depth + 1)}}}"
    parts = [_latex(child, depth + 1) for child in element]
    text = (element.text or "").strip()
    match name, parts:
        case (("mi" | "mo" | "mn" | "mtext" | "ms"), _):
            return _token(name, text, element.get("mathvariant", ""))
        case "mspace", _:
            return r"\ "
        case "mfrac", [above, below]:
            return rf"\frac{{{above}}}{{{below}}}"
        case "msqrt", _:
            return rf"\sqrt{{{' '.join(parts)}}}"
        case "mroot", [body, index]:
            return rf"\sqrt[{index}]{{{body}}}"
        case "msup", [base, up]:
            return f"{_based(base)}^{{{up}}}"
        case "msub", [base, down]:
            return f"{_based(base)}_{{{down}}}"
        case (("msubsup" | "munderover"), [base, down, up]):
            return f"{_based(base)}_{{{down}}}^{{{up}}}"
        case "munder", [base, down]:
            return f"{_based(base)}_{{{down}}}"
        case "mover", [base, up]:
            return f"{_based(base)}^{{{up}}}"
        case "mfenced", _:
            inner = element.get("separators", ",")[:1].join(parts)
            left, right = (
                _token("mo", element.get(side, default), "")
                for side, default in (("open", "("), ("close", ")"))
            )
            return f"{left}{inner}{right}"
        case "mtable", _:
            return r"\begin{matrix}" + r"\\".join(parts) + r"\end{matrix}"
        case (("mtr" | "mlabeledtr"), _):
            return "&".join(parts)
        case "semantics", [first, *_]:
            return first
        case (("annotation" | "annotation-xml" | "mphantom" | "none" | "mprescripts"), _):
            return ""
        case (("math" | "mrow" | "mstyle" | "mtd" | "mpadded" | "merror" | "menclose" | "maction"), _):
            return " ".join(parts)
    raise MalformedError("formula", said("that-mathml-is-not-understood"))


def _token(name: str, text: str, variant: str) -> str:
    if name in ("mtext", "ms"):
        return rf"\text{{{''.join(c for c in text if c.isalnum() or c in ' .,-')}}}" if text else ""
    if name == "mn":
        return "".join(_sign(character) for character in text if not character.isspace())
    if text in _FUNCTIONS:
        return rf"\{text}"
    if name == "mi" and len(text) > 1 and text.isalpha():
        return rf"\mathrm{{{text}}}"
    if name == "mi" and variant == "normal" and text.isascii() and text.isalpha():
        return rf"\mathrm{{{text}}}"
    return " ".join(_sign(character) for character in text)


def _sign(character: str) -> str:
    if character in _ALSO:
        return _ALSO[character]
    if character.isascii():
        if not (character.isalnum() or character in SIGNS):
            raise MalformedError("formula", said("that-mathml-is-not-understood"))
        return character
    found = BY_CHARACTER.get(character)
    if found is None:
        raise MalformedError("formula", said("that-mathml-is-not-understood"))
    return found


def _based(base: str) -> str:
    """What a script stands at: one sign as it is, more of them held together."""
    base = base.strip()
    return (
        base
        if len(base) == 1 or base in _LARGE or (base.startswith("\\") and base[1:].isalpha())
        else f"{{{base}}}"
    )


def _accent(element: Element) -> str:
    """What stands over a letter, such as an arrow; "" for what is no accent."""
    return _ACCENTS.get("".join(element[1].itertext()).strip(), "")
