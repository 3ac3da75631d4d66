"""Golden vectors for what exists in Python and in TypeScript; `python -m tests.golden` makes them anew."""
