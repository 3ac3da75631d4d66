"""Maths on the board: how formulas are typed, read from ink, set, said aloud, understood and worked out."""
