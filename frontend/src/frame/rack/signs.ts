/** Signs of formulas by subject: what stands on the key, and what it types; | is where the caret goes. */
import type { Plain } from '../../words/words.svelte'

export interface SignGroup {
  word: Plain
  signs: [shown: string, typed: string][]
}

export const SIGN_GROUPS: SignGroup[] = [
  {
    word: 'signs-arithmetic',
    signs: [
      ['a/b', '(|)/()'],
      ['x²', '^2'],
      ['xⁿ', '^(|)'],
      ['√', 'sqrt(|)'],
      ['∛', 'root(3, |)'],
      ['·', '*'],
      ['×', '×'],
      ['÷', '÷'],
      ['±', '+-'],
      ['≠', '!='],
      ['≈', '~~'],
      ['≤', '<='],
      ['≥', '>='],
      ['%', '%'],
    ],
  },
  {
    word: 'signs-algebra',
    signs: [
      ['xₙ', '_(|)'],
      ['|x|', 'abs(|)'],
      ['( )', '(|)'],
      ['[ ]', '[|]'],
      ['⇒', '=>'],
      ['⇔', '<=>'],
      ['→', '->'],
      ['∞', 'oo'],
      ['n!', '!'],
      ['{ }', '\\begin{cases} | & \\\\ & \\end{cases}'],
    ],
  },
  {
    word: 'signs-functions',
    signs: ['sin', 'cos', 'tan', 'arcsin', 'arccos', 'arctan', 'log', 'ln', 'exp'].map((name) => [
      name,
      `${name}(|)`,
    ]),
  },
  {
    word: 'signs-calculus',
    signs: [
      ['d/dx', '(d)/(dx) |'],
      ['∂/∂x', '(part)/(part x) |'],
      ['∫', 'int | dx'],
      ['∫ₐᵇ', 'int_(|)^() dx'],
      ['∑', 'sum_(k=1)^n |'],
      ['∏', 'prod_(k=1)^n |'],
      ['lim', 'lim_(x->|)'],
      ['f′', "f'(|)"],
    ],
  },
  {
    word: 'signs-sets',
    signs: ['∈', '∉', '⊂', '⊆', '∪', '∩', '∅', 'ℕ', 'ℤ', 'ℚ', 'ℝ', 'ℂ', '∀', '∃', '¬', '∧', '∨'].map(
      (sign) => [sign, ` ${sign} `],
    ),
  },
  {
    word: 'signs-geometry',
    signs: [
      ['∠', '∠'],
      ['△', '△'],
      ['°', '°'],
      ['⊥', ' ⊥ '],
      ['∥', ' ∥ '],
      ['AB', 'bar(|)'],
      ['≅', '≅'],
      ['∼', '∼'],
      ['π', 'pi'],
    ],
  },
  {
    word: 'signs-vectors',
    signs: [
      ['a⃗', 'vec(|)'],
      ['(a b)ᵀ', '\\begin{pmatrix} | \\\\  \\end{pmatrix}'],
      ['2×2', '\\begin{pmatrix} | &  \\\\  &  \\end{pmatrix}'],
      ['·', '*'],
      ['×', '×'],
      ['|a⃗|', 'abs(vec(|))'],
    ],
  },
  {
    word: 'signs-statistics',
    signs: [
      ['x̄', 'bar(x)'],
      ['σ', 'sigma'],
      ['μ', 'mu'],
      ['P(A)', 'P(|)'],
      ['(n k)', '\\binom{|}{}'],
      ['∑', 'sum_(i=1)^n |'],
    ],
  },
  {
    word: 'signs-units',
    signs: [
      'm',
      'cm',
      'km',
      'kg',
      'g',
      's',
      'h',
      'm/s',
      'km/h',
      'N',
      'J',
      'W',
      'V',
      'A',
      'Ω',
      'Hz',
      'Pa',
      'K',
      '°C',
      'mol',
    ].map((unit) => [unit, ` ${unit}`]),
  },
  {
    word: 'signs-chemistry',
    signs: [
      ['→', ' -> '],
      ['⇌', ' <-> '],
      ['x₂', '_2'],
      ['x²⁺', '^(2+)'],
      ['x⁻', '^-'],
      ['(s)', '(s)'],
      ['(l)', '(l)'],
      ['(g)', '(g)'],
      ['(aq)', '(aq)'],
    ],
  },
  {
    word: 'signs-greek',
    signs: [...'αβγδεθλμπρστφωΔΣΩΦ'].map((letter) => [letter, letter]),
  },
]
