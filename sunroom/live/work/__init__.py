"""Work outside the event loop, in processes of its own."""
