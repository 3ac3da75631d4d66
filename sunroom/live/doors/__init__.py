"""The doors by HTTP: the room's home, boards as files, devices, hands, search."""
