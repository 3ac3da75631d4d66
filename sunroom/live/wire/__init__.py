"""What travels between a browser and its room, who may open a line at all, and how fast."""
