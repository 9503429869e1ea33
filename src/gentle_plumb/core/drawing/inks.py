"""How each role is inked: once, for the page and the report alike.

Colours are names of tokens; the page resolves them by its day or night palette, the report by
:data:`PAPER`. State is carried by stroke and shape, never by colour alone.
"""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, kw_only=True)
class Ink:
    """Fill and stroke by token, stroke width and dashes in px; text by size and weight.

    A halo of the ground keeps a text readable over the figure.
    """

    fill: str = "none"
    stroke: str = "none"
    width: float = 1.0
    dash: str = ""
    size: float = 12.0
    weight: int = 400
    figures: bool = False
    opacity: float = 1.0
    halo: bool = False


PAPER: dict[str, str] = {
    "paper": "#F5F0E6",
    "ground": "#FAF7F0",
    "deep": "#EBE3D4",
    "ink": "#20262B",
    "soft": "#655F54",
    "hair": "#CFC5B4",
    "blue": "#2C5A7D",
    "accent": "#984A17",
    "accent-ground": "#F3E3D3",
    "figure": "#DCCDB6",
    "figure-arm": "#CDBA9D",
    "figure-line": "#7E7059",
    "faint": "#EFE8DA",
}
"""The day palette. Source: house."""

INKS: dict[str, Ink] = {
    "floor": Ink(stroke="ink", width=1.4),
    "piece": Ink(fill="deep", stroke="ink", width=1.1),
    "piece-faint": Ink(fill="ground", stroke="soft", width=1, dash="3 3"),
    "leg": Ink(fill="ground", stroke="hair", width=1.1),
    "column": Ink(stroke="soft", width=2),
    "castor": Ink(fill="ground", stroke="soft", width=1.4),
    "backrest": Ink(stroke="ink", width=6),
    "device": Ink(fill="ink", stroke="ink", width=0.6),
    "letters": Ink(fill="ground", stroke="ink", width=0.8),
    "picture": Ink(stroke="ink", width=5),
    "picture-side": Ink(stroke="soft", width=3.4),
    "field": Ink(fill="blue", opacity=0.08),
    "gaze": Ink(stroke="blue", width=1.1, dash="5 4"),
    "eye-line": Ink(stroke="hair", width=1),
    "stack": Ink(fill="ground", stroke="ink", width=1.1),
    "cushion": Ink(fill="accent-ground", stroke="ink", width=1.1),
    "wall": Ink(fill="hatch", stroke="soft", width=0.8),
    "clash": Ink(fill="hatch", stroke="ink", width=2.2),
    "stem-side": Ink(stroke="soft", width=1.4),
    "change-arrow": Ink(fill="blue"),
    "figure-line": Ink(stroke="figure-line", width=2.4),
    "figure-fill": Ink(fill="figure", stroke="figure", width=0.4),
    "figure-arm-line": Ink(stroke="figure-line", width=2),
    "figure-arm-fill": Ink(fill="figure-arm", stroke="figure-arm", width=0.4),
    "figure-line-faint": Ink(stroke="hair", width=2.2, dash="4 4"),
    "figure-fill-faint": Ink(fill="faint", stroke="faint", width=0.4),
    "figure-arm-line-faint": Ink(stroke="hair", width=1.8, dash="4 4"),
    "figure-arm-fill-faint": Ink(fill="deep", stroke="deep", width=0.4, opacity=0.7),
    "ghost-line": Ink(stroke="blue", width=1.6, dash="2 4"),
    "ghost-fill": Ink(fill="ground", stroke="ground", width=0.4, opacity=0.75),
    "ghost-arm-line": Ink(stroke="blue", width=1.4, dash="2 4"),
    "ghost-arm-fill": Ink(fill="ground", stroke="ground", width=0.4, opacity=0.75),
    "ghost-line-faint": Ink(stroke="hair", width=1.6, dash="2 4"),
    "ghost-fill-faint": Ink(fill="ground", opacity=0.6),
    "ghost-arm-line-faint": Ink(stroke="hair", width=1.4, dash="2 4"),
    "ghost-arm-fill-faint": Ink(fill="ground", opacity=0.6),
    "plumb": Ink(stroke="ink", width=0.9),
    "bob": Ink(fill="ink"),
    "plumb-ear": Ink(fill="ground", stroke="ink", width=1.2),
    "eye": Ink(fill="ink"),
    "dial-band": Ink(stroke="blue", width=2.2),
    "dial-hand": Ink(stroke="ink", width=1.2),
    "dial-pin": Ink(fill="ink"),
    "dial-on": Ink(fill="ink", size=12, figures=True, halo=True),
    "dial-off": Ink(fill="ink", size=13, weight=600, figures=True, halo=True),
    "grip": Ink(fill="ground", stroke="blue", width=2.2),
    "wedge": Ink(fill="hatch", stroke="ink", width=0.8),
    "staff": Ink(fill="ground", stroke="ink", width=1.1),
    "staff-tick": Ink(stroke="ink", width=0.6),
    "staff-tick-long": Ink(stroke="ink", width=0.9),
    "staff-numeral": Ink(fill="ink", size=12, figures=True),
    "staff-unit": Ink(fill="soft", size=12, figures=True),
    "found-tick": Ink(stroke="ink", width=3),
    "bracket": Ink(stroke="blue", width=1.3),
    "leader": Ink(stroke="soft", width=0.8),
    "flag-on": Ink(fill="ground", stroke="ink", width=1),
    "flag-off": Ink(fill="ground", stroke="ink", width=1.8),
    "flag-limit": Ink(fill="deep", stroke="ink", width=1.2),
    "flag-estimated": Ink(fill="ground", stroke="ink", width=1, dash="4 3"),
    "flag-overruled": Ink(fill="ground", stroke="blue", width=1.8, dash="9 2"),
    "flag-found": Ink(fill="ground", stroke="ink", width=1),
    "body-label": Ink(fill="soft", size=12, halo=True),
    "body-value": Ink(fill="ink", size=13, figures=True, halo=True),
    "note": Ink(fill="soft", size=13),
    "flag-label": Ink(fill="soft", size=12),
    "flag-value": Ink(fill="ink", size=14, weight=600, figures=True),
    "flag-change": Ink(fill="blue", size=13, weight=600, figures=True),
    "stop-bar": Ink(stroke="ink", width=4.5),
    "rule": Ink(stroke="ink", width=0.9),
    "rule-gap": Ink(stroke="ground", width=16),
    "rule-value": Ink(fill="ink", size=13, weight=600, figures=True),
    "rule-label": Ink(fill="soft", size=12),
    "reach": Ink(stroke="hair", width=1, dash="2 3"),
    "limb": Ink(stroke="figure-line", width=5, opacity=0.85),
    "midline": Ink(stroke="hair", width=0.8, dash="6 3"),
    "measure-place": Ink(stroke="ink", width=1.2, dash="3 4"),
    "measure-end": Ink(stroke="ink", width=1.2),
    "measure-arrow": Ink(stroke="accent", width=3),
    "measure-head": Ink(stroke="accent", width=3),
    "measure-head-open": Ink(),
    "measure-landmark": Ink(fill="ink", size=13, halo=True),
    "measure-value": Ink(fill="ink", size=22, weight=600, figures=True, halo=True),
    "spread-wedge": Ink(fill="blue", opacity=0.45),
    "spread-bar": Ink(stroke="blue", width=5, opacity=0.28),
    "history-line": Ink(stroke="ink", width=1.2),
    "history-dot": Ink(fill="ink", stroke="ink", width=1.2),
    "history-dot-open": Ink(fill="ground", stroke="ink", width=1.2),
    "history-day": Ink(fill="soft", size=12),
    "day-sit": Ink(fill="deep", stroke="ink", width=0.8),
    "day-sit-fixed": Ink(fill="hatch", stroke="ink", width=0.8),
    "day-stand": Ink(fill="blue", stroke="ink", width=0.8),
    "day-stand-fixed": Ink(fill="blue", stroke="ink", width=2),
    "day-move": Ink(fill="ink"),
    "day-lunch": Ink(stroke="hair", width=1, dash="3 3"),
    "day-axis": Ink(stroke="ink", width=1.2),
    "day-hour-tick": Ink(stroke="ink", width=0.8),
    "day-hour": Ink(fill="soft", size=12, figures=True),
    "day-name": Ink(fill="soft", size=12),
    "day-on-sit": Ink(fill="ink", size=12, figures=True),
    "day-on-stand": Ink(fill="ground", size=12, weight=600, figures=True),
    "day-soft": Ink(fill="soft", size=12, figures=True),
    "day-eye": Ink(fill="ground", stroke="blue", width=1.4),
    "day-micro": Ink(fill="ink"),
    "caption": Ink(fill="soft", size=12),
    "habit-leader": Ink(stroke="hair", width=1),
    "habit-joint": Ink(fill="ground", stroke="soft", width=1.1),
    "habit-off": Ink(fill="ground", stroke="soft", width=1),
    "habit-on": Ink(fill="ink", stroke="ink", width=1.4),
    "habit-text-off": Ink(fill="ink", size=13),
    "habit-text-on": Ink(fill="ground", size=13, weight=600),
}
