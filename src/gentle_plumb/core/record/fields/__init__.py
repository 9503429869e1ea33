"""Every field of a visit: once, here. The page draws its forms from this table.

A field is an object (``fields.chair.kind``) that the record is read with; its identifier is its
path on the wire and in the database (``look.chair.kind``). Where there can be any number of a
thing (photographs, findings, actions), a function makes its fields from an identifier, and the
path of the family has a ``*``. Ranges are what a field accepts, wide enough that nobody real is
refused; they are no advice.
"""

from __future__ import annotations

import re
from dataclasses import replace

from ...errors import UnknownName
from ...language import msg
from . import (
    ask,
    cart,
    chair,
    conditions,
    desk,
    found,
    keyboard,
    measure,
    pace,
    places,
    platform,
    pointer,
    report,
    screens,
    seen,
    settings,
    supports,
    tray,
    work,
)
from .field import STEPS, Field, FieldFacts, SpanField, StepId, Value, When, step_of
from .group import fields_in
from .photo import photo

_ASK = fields_in(ask)
_DISCOMFORT = _ASK.index(fields_in(ask.discomfort)[0])
"""Conditions are asked about before discomfort."""
FIELDS: dict[str, Field[object]] = {
    field.id: field
    for field in fields_in(
        _ASK[:_DISCOMFORT],
        conditions,
        ask,
        found,
        chair,
        desk,
        platform,
        cart,
        tray,
        keyboard,
        pointer,
        screens.main.kind,
        screens.keys,
        screens,
        supports,
        seen,
        measure,
        work,
        settings,
        pace,
        report,
    )
}
"""Every field by its path, in the order it is asked."""
FAMILIES: dict[str, Field[object]] = {
    field.id: field
    for field in fields_in(
        photo("*"),
        work.finding("*"),
        work.own_finding("*"),
        work.taken("*"),
        settings.action("*"),
        pace.spell("*"),
        report.cause("*"),
        report.temporary_now("*"),
        report.action_words("*"),
        report.request("*"),
        places.at("*"),
    )
}
"""Fields of things there can be any number of; ``*`` stands for the identifier."""
_MEMBER = re.compile(
    r"((?:look\.photo|look\.temporary|work\.finding|work\.own|work\.own_plan|set\.action|pace\.spell|report\.cause|report\.action|report\.request|place)\.)([A-Za-z0-9_-]{1,64})(\.[a-z0-9_]+)"
)


_AT_A_PLACE = re.compile(
    rf"{places.PLACE}\.(?:{'|'.join(places.FURTHER)})\.((?:look|work|set)\..+)"
)


def family_of(path: str) -> tuple[str, str] | None:
    """The family's field and the identifier in a path, or None.

    >>> family_of("look.photo.4f2a.ear")
    ('look.photo.*.ear', '4f2a')

    """
    match = _MEMBER.fullmatch(path)
    return (f"{match[1]}*{match[3]}", match[2]) if match else None


def field_of(path: str) -> Field[object]:
    """Look a field up by its path; raises UnknownName if there is none."""
    known = FIELDS.get(path)
    if known is not None:
        return known
    family = family_of(path)
    if family is not None and family[0] in FAMILIES:
        return replace(FAMILIES[family[0]], id=path)
    there = _AT_A_PLACE.fullmatch(path)
    if there and not there[1].startswith("look.photo."):
        return replace(field_of(there[1]), id=path)
    raise UnknownName(field=path, value=path, message=msg("There is no field “{path}”.", path=path))
