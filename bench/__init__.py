"""Measurements, each beside a base that is measured in the same run, and again at four times the size."""
