"""The signs of maths: each by its name in LaTeX, the character it is, and how it behaves in a row."""

from __future__ import annotations

from typing import Literal, NamedTuple

Kind = Literal["name", "number", "binary", "relation", "open", "close", "comma", "big", "other", "after"]


class Known(NamedTuple):
    """A sign: its character in Unicode, and what it does."""

    character: str
    kind: Kind


def _all(kind: Kind, pairs: str) -> dict[str, Known]:
    found = {}
    for pair in pairs.split():
        name, _, character = (pair, "", pair) if pair == "=" else pair.partition("=")
        found[name] = Known(character or name, kind)
    return found


GREEK = _all(
    "name",
    r"\alpha=α \beta=β \gamma=γ \delta=δ \epsilon=ε \varepsilon=ε \zeta=ζ \eta=η \theta=θ \vartheta=ϑ \iota=ι \kappa=κ "
    r"\lambda=λ \mu=μ \nu=ν \xi=ξ \pi=π \rho=ρ \sigma=σ \tau=τ \upsilon=υ \phi=ϕ \varphi=φ \chi=χ \psi=ψ \omega=ω "
    r"\Gamma=Γ \Delta=Δ \Theta=Θ \Lambda=Λ \Xi=Ξ \Pi=Π \Sigma=Σ \Phi=Φ \Psi=Ψ \Omega=Ω",
)
OTHERS = {
    **_all("name", r"\infty=∞ \partial=∂ \nabla=∇ \emptyset=∅ \hbar=ℏ \ell=ℓ"),
    **_all("other", r"\angle=∠ \triangle=△ \forall=∀ \exists=∃ \neg=¬ \dots=… \cdots=⋯ \therefore=∴ \circ=∘ \%=% \degree=° \square=□"),
    **_all("after", "! '=′"),
    **_all("binary", r"+ -=− *=∗ / \cdot=⋅ \times=× \div=÷ \pm=± \mp=∓ \cup=∪ \cap=∩ \setminus=∖ \wedge=∧ \vee=∨ \oplus=⊕"),
    **_all(
        "relation",
        r"= < > \le=≤ \ge=≥ \ne=≠ \approx=≈ \equiv=≡ \sim=∼ \cong=≅ \propto=∝ \ll=≪ \gg=≫ \in=∈ \notin=∉ \ni=∋ \subset=⊂ "
        r"\subseteq=⊆ \supset=⊃ \supseteq=⊇ \perp=⊥ \parallel=∥ \mid=∣ \to=→ \rightarrow=→ \leftarrow=← \leftrightarrow=↔ "
        r"\Rightarrow=⇒ \Leftarrow=⇐ \Leftrightarrow=⇔ \mapsto=↦ \rightleftharpoons=⇌ \uparrow=↑ \downarrow=↓ : ",
    ),
    **_all("comma", ", ; ."),
    **_all("open", r"( [ \{={ \lceil=⌈ \lfloor=⌊ \langle=⟨"),
    **_all("close", r") ] \}=} \rceil=⌉ \rfloor=⌋ \rangle=⟩"),
    **_all("big", r"\sum=∑ \prod=∏ \int=∫ \iint=∬ \oint=∮ \bigcup=⋃ \bigcap=⋂"),
    **_all("other", r"| \|=‖"),
}  # fmt: skip
#: Sets of numbers.
BLACKBOARD = {
    rf"\mathbb{{{letter}}}": Known(drawn, "name") for letter, drawn in zip("NZQRCP", "ℕℤℚℝℂℙ", strict=True)
}
SIGNS: dict[str, Known] = {**GREEK, **OTHERS, **BLACKBOARD}


def shown_sign(name: str) -> str:
    """A sign by its name in LaTeX as a person knows it."""
    known = SIGNS.get(name)
    return known.character if known else "√" if name == r"\sqrt" else OVERS.get(name, name)


#: Other names of the same sign, as LaTeX, keyboards and papers have them.
SAME = {
    r"\leq": r"\le", r"\geq": r"\ge", r"\neq": r"\ne", r"\leqslant": r"\le", r"\geqslant": r"\ge", r"\implies": r"\Rightarrow",
    r"\iff": r"\Leftrightarrow", r"\longrightarrow": r"\rightarrow", r"\gets": r"\leftarrow", r"\land": r"\wedge", r"\lor": r"\vee",
    r"\ldots": r"\dots", r"\varnothing": r"\emptyset", r"\ast": "*", r"\lbrace": r"\{", r"\rbrace": r"\}", r"\vert": "|", r"\lvert": "|",
    r"\rvert": "|", r"\Vert": r"\|", r"\colon": ":", r"\lnot": r"\neg", r"\rightleftarrows": r"\rightleftharpoons", r"\to": r"\rightarrow",
}  # fmt: skip
#: Characters that are signs themselves, beside those of the table.
BY_CHARACTER = {
    **{known.character: name for name, known in reversed(SIGNS.items()) if len(known.character) == 1},
    "·": r"\cdot", "−": "-", "–": "-", "∗": "*", "µ": r"\mu", "°": r"\degree", "′": "'", "ε": r"\epsilon", "φ": r"\varphi", "ϕ": r"\phi",
    "∅": r"\emptyset", "Ø": r"\emptyset", "⇄": r"\rightleftharpoons", "→": r"\rightarrow", "%": r"\%", "…": r"\dots", "{": r"\{", "}": r"\}",
    "≦": r"\le", "≧": r"\ge", "∆": r"\Delta", "Ω": r"\Omega",
}  # fmt: skip

FUNCTIONS = (
    "arcsin", "arccos", "arctan", "sinh", "cosh", "tanh", "sin", "cos", "tan", "cot", "sec", "csc", "log", "ln", "lg", "exp", "lim", "max",
    "min", "sup", "inf", "det", "gcd", "deg", "dim", "ker", "arg",
)  # fmt: skip
#: Of these a lower place is below them, not at their foot.
LIMITED = frozenset(["lim", "max", "min", "sup", "inf"])
#: Marks over a body: the character that is drawn.
OVERS = {r"\vec": "→", r"\overline": "‾", r"\bar": "‾", r"\hat": "^", r"\tilde": "~", r"\dot": "˙", r"\ddot": "¨", r"\overrightarrow": "→",
         r"\widehat": "^", r"\underline": "_"}  # fmt: skip
#: Words of the keyboard that are signs.
TYPED = {
    "oo": r"\infty", "inf": r"\infty", "infinity": r"\infty", "empty": r"\emptyset", "in": r"\in", "deg": r"\degree", "del": r"\nabla",
    "part": r"\partial", "sum": r"\sum", "prod": r"\prod", "int": r"\int", "forall": r"\forall", "exists": r"\exists", "angle": r"\angle",
    "perp": r"\perp", "union": r"\cup", "cup": r"\cup", "cap": r"\cap", "subset": r"\subset", "triangle": r"\triangle", "and": r"\wedge", "or": r"\vee", "not": r"\neg", "pm": r"\pm", "xx": r"\times",
    **{name[1:]: name for name in GREEK},
}  # fmt: skip
#: Rows of signs on the keyboard.
TYPED_SIGNS = {
    "<=>": r"\Leftrightarrow", "<=": r"\le", ">=": r"\ge", "!=": r"\ne", "<>": r"\ne", "<->": r"\rightleftharpoons", "=>": r"\Rightarrow", "->": r"\rightarrow",
    "+-": r"\pm", "~~": r"\approx", "~=": r"\approx", "...": r"\dots", "**": "^", "*": r"\cdot",
}  # fmt: skip
