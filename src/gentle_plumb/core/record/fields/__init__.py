"""Every field of a visit: once, here. The page draws its forms from this table.

A field's identifier is its path in the record (``look.found.seat``). Where there can be any
number of a thing (photographs, own findings), a path holds its identifier and the field a ``*``.
Ranges are what a field accepts, wide enough that nobody real is refused; they are no advice.
"""

from __future__ import annotations

import re
from collections.abc import Mapping
from dataclasses import replace

from ...errors import UnknownName
from .ask import ASK
from .field import STEPS, Field, StepId
from .later import LATER, NUMBERS, quantity_field
from .look import LOOK, SCREEN_IDS
from .measure import MEASURED, ORIGINS, READINGS, SKIPS
from .own import DECISIONS, SEVERITIES
from .photo import PHOTO

NOTED_ONLY = frozenset(
    {
        "ask.place",
        "look.note",
        "look.chair.armrest_gap_max",
        "look.chair.armrest_gap_min",
        "look.chair.armrest_turn",
        "look.chair.castors",
        "look.chair.cushion",
        "look.chair.slope_max",
        "look.chair.slope_min",
        "look.chair.width",
        "look.desk.presets",
        "look.desk.speed",
        "look.desk.width",
        "look.footrest.slope",
        "look.pointer.mat",
        "look.screen.comes_off",
        "look.screen.frame",
        "look.screen.pixels_down",
        "look.screen.stands_on",
        "look.tray.width",
        *(
            f"look.{screen}.{name}"
            for screen in SCREEN_IDS[1:]
            for name in (
                "comes_off",
                "depth_behind",
                "frame",
                "held",
                "holds",
                "pixels_across",
                "pixels_down",
                "scale",
                "stands_on",
                "tilt_max",
                "tilt_min",
                "top_max",
                "top_min",
            )
        ),
    }
)
"""Fields that decide nothing: they are kept, and stand on the client's paper under what was noted."""

FIELDS: dict[str, Field] = {
    field.id: replace(field, noted_only=True) if field.id in NOTED_ONLY else field
    for field in (*ASK, *LOOK, *LATER)
}
FAMILIES: dict[str, Field] = {field.id: field for field in (*PHOTO, *DECISIONS)}
_MEMBER = re.compile(
    r"((?:look\.photo|work\.finding|work\.own|set\.action)\.)([A-Za-z0-9_-]{1,64})(\.[a-z0-9_]+)"
)


def family_of(path: str) -> tuple[str, str] | None:
    """The family's field and the identifier in a path, or None.

    >>> family_of("look.photo.4f2a.ear")
    ('look.photo.*.ear', '4f2a')

    """
    found = _MEMBER.fullmatch(path)
    return (f"{found[1]}*{found[3]}", found[2]) if found else None


def field_of(path: str) -> Field:
    """Look a field up; raises UnknownName if there is none."""
    found = FIELDS.get(path)
    if found is not None:
        return found
    family = family_of(path)
    if family is not None and family[0] in FAMILIES:
        return replace(FAMILIES[family[0]], id=path)
    raise UnknownName(field=path, value=path, message=f"There is no field “{path}”.")


def applies(field: Field, entries: Mapping[str, object]) -> bool:
    """Whether a field makes sense with what is already said; ``entries`` maps path to value.

    An answer not given counts as the empty text.
    """
    return all(str(entries.get(path) or "") in values for path, values in field.when)


__all__ = [
    "FAMILIES",
    "FIELDS",
    "MEASURED",
    "NUMBERS",
    "ORIGINS",
    "READINGS",
    "SCREEN_IDS",
    "SEVERITIES",
    "SKIPS",
    "STEPS",
    "Field",
    "StepId",
    "applies",
    "family_of",
    "field_of",
    "quantity_field",
]
