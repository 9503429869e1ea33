"""Figures: what must hold, measured and printed."""

from .table import run_bench
