"""The tests: core on its own, the server's parts, and the real interface in a browser."""
