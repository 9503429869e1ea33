"""How wide words come out, so that labels can be kept apart without a font at hand."""

from __future__ import annotations

from .inks import INKS

TEXT_EM, FIGURES_EM = 0.52, 0.47
ODD_LETTERS = 0.5
"""Widest mean advance of a letter, and of a figure, in any label of a drawing, of the letter's size; and what a
short word may have over that, letters. Held against the fonts themselves by a test. Source: house."""


def text_width(text: str, role: str) -> float:
    """Return the room that a word of a role takes at most, px.

    >>> text_width("117.3", "flag-value")
    36.19
    """
    ink = INKS[role]
    mean = FIGURES_EM if ink.figures else TEXT_EM
    return round((len(text) + ODD_LETTERS) * ink.size * mean, 2)


def text_box(
    text: str, role: str, x: float, y: float, anchor: str
) -> tuple[float, float, float, float]:
    """Return left, top, right and bottom of a word with its base line at ``y``, px."""
    wide, size = text_width(text, role), INKS[role].size
    left = x - {"start": 0.0, "middle": 0.5, "end": 1.0}[anchor] * wide
    return left, y - 0.78 * size, left + wide, y + 0.22 * size
