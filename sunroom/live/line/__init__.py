"""One browser's line to its room."""
