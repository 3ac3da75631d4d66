"""How what a room decides gets to the disk."""
