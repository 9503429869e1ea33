"""A scene as an SVG document, for print."""

from __future__ import annotations

from typing import Any
from xml.sax.saxutils import escape, quoteattr

from ..core.drawing import INKS, PAPER

_PRINT = PAPER | {"ground": "#FFFFFF"}
"""The day palette on white paper."""

_HATCH = (
    '<pattern id="hatch" width="5" height="5" patternUnits="userSpaceOnUse" '
    'patternTransform="rotate(45)"><rect width="5" height="5" fill="#FFFFFF"/>'
    '<path d="M0 0V5" stroke="#20262B" stroke-width="1.6"/></pattern>'
)


def _colour(name: str) -> str:
    return "url(#hatch)" if name == "hatch" else _PRINT.get(name, name)


def _style(role: str, *, text: bool) -> str:
    ink = INKS[role]
    if text:
        family = "Plumb Figures" if ink.figures else "Hanken Grotesk"
        halo = (
            f' stroke="{_PRINT["ground"]}" stroke-width="3" paint-order="stroke"'
            if ink.halo
            else ""
        )
        return (
            f'fill="{_colour(ink.fill)}" font-family="{family}" font-size="{ink.size:g}" '
            f'font-weight="{ink.weight}"{halo}'
        )
    parts = [
        f'fill="{_colour(ink.fill)}"',
        f'stroke="{_colour(ink.stroke)}"',
        f'stroke-width="{ink.width:g}"',
    ]
    if ink.dash:
        parts.append(f'stroke-dasharray="{ink.dash}"')
    if ink.opacity != 1:
        parts.append(f'opacity="{ink.opacity:g}"')
    return " ".join(parts)


def scene_svg(scene: dict[str, Any]) -> str:
    """Draw a scene (as plain JSON) as SVG; widths in px."""
    out = [
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {scene["width"]:g} '
        f'{scene["height"]:g}"><defs>{_HATCH}</defs>'
    ]
    for mark in scene["marks"]:
        role = mark["role"]
        if mark["kind"] == "path":
            out.append(f"<path d={quoteattr(mark['d'])} {_style(role, text=False)}/>")
        elif mark["kind"] == "dot":
            out.append(
                f'<circle cx="{mark["x"]:.1f}" cy="{mark["y"]:.1f}" r="{mark["size"]:.1f}" '
                f"{_style(role, text=False)}/>"
            )
        else:
            out.append(
                f'<text x="{mark["x"]:.1f}" y="{mark["y"]:.1f}" text-anchor="{mark["anchor"]}" '
                f"{_style(role, text=True)}>{escape(mark['text'])}</text>"
            )
    return "".join(out) + "</svg>"
