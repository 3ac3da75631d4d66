"""The demo data: made-up people, a hand that writes, and the boards of the sample lesson."""
