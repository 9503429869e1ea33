"""Standards, books and plane geometry."""

from __future__ import annotations

from .source import Source

PUBLISHED: dict[str, Source] = {
    "iso-7250-1": Source(
        kind="published",
        title="ISO 7250-1, basic human body measurements for technological design",
        note="Names and landmarks of the body dimensions.",
    ),
    "iso-9241-5": Source(
        kind="published",
        title="ISO 9241-5, workstation layout and postural requirements",
        note="Support for feet, thighs, back and forearms; room for the legs.",
    ),
    "bodyspace": Source(
        kind="published",
        title="Pheasant and Haslegrave, Bodyspace",
        note="Estimated means and standard deviations for British adults of 19 to 65.",
    ),
    "loinc": Source(
        kind="published", title="LOINC", note="8302-2, body height; other dimensions have no code."
    ),
    "ucum": Source(
        kind="published",
        title="Unified Code for Units of Measure",
        note="mm, cm, m, [in_i], [ft_i].",
    ),
    "iso-9241-303": Source(
        kind="published",
        title="ISO 9241-303, requirements for electronic visual displays",
        note="Capitals 20 to 22 minutes of arc high at the eye, 16 at least.",
    ),
    "geometry": Source(
        kind="geometry",
        title="Plane geometry",
        note="Follows from the drawing; nothing is assumed.",
    ),
}
