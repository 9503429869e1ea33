"""Figures: what must hold, measured and printed."""

from .table import run_bench

__all__ = ["run_bench"]
