"""Numbers in tables: what cells work out to, and charts of them."""
