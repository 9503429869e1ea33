"""What a field is, and short ways to write one down."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Literal, TypedDict, Unpack

from ...choices import one_of

StepId = Literal["ask", "look", "measure", "work", "set", "pace", "report"]
Kind = Literal["length", "number", "choice", "text", "date", "point"]
When = tuple[tuple[str, tuple[str, ...]], ...]

STEPS: dict[StepId, str] = {
    "ask": "Ask",
    "look": "Look",
    "measure": "Measure",
    "work": "Work out",
    "set": "Set",
    "pace": "Pace",
    "report": "Report",
}


@dataclass(frozen=True, kw_only=True)
class Field:
    """One field. ``low`` and ``high`` in mm for a length, in ``unit`` for a number.

    ``part`` is the part of the drawing it belongs to; ``needed`` counts for the step's bead;
    ``section`` is the part of its step; ``when`` names answers without which it makes no sense
    (all of them must hold); ``health`` marks what is kept only with consent to health notes and
    never goes to the workplace; ``pair`` is the name of the range whose lower end it is;
    ``noted_only`` marks what is kept for the record and decides nothing.
    """

    id: str
    step: StepId
    group: str
    label: str
    kind: Kind
    section: str = ""
    help: str = ""
    unit: str = ""
    low: float | None = None
    high: float | None = None
    choices: tuple[tuple[str, str], ...] = ()
    needed: bool = False
    part: str = ""
    when: When = ()
    health: bool = False
    pair: str = ""
    noted_only: bool = False


class FieldOptions(TypedDict, total=False):
    """What a field may say beyond its identifier, group, label and kind: see :class:`Field`."""

    section: str
    help: str
    needed: bool
    part: str
    when: When
    health: bool
    noted_only: bool


def step_of(id: str) -> StepId:
    """Return the step a path belongs to; KeyError where there is none."""
    step = one_of(STEPS, id.split(".", 1)[0])
    if step is None:
        raise KeyError(id)
    return step


def length(
    id: str, group: str, label: str, low: float, high: float, **more: Unpack[FieldOptions]
) -> Field:
    """Make a length; range in mm."""
    return Field(
        id=id, step=step_of(id), group=group, label=label, kind="length", low=low, high=high, **more
    )


def amount(
    id: str,
    group: str,
    label: str,
    unit: str,
    low: float,
    high: float,
    **more: Unpack[FieldOptions],
) -> Field:
    """Make a plain number with its unit."""
    return Field(
        id=id,
        step=step_of(id),
        group=group,
        label=label,
        kind="number",
        unit=unit,
        low=low,
        high=high,
        **more,
    )


def choice(
    id: str, group: str, label: str, choices: Mapping[str, str], **more: Unpack[FieldOptions]
) -> Field:
    """Make a choice of a few; ``choices`` maps each to its label."""
    return Field(
        id=id,
        step=step_of(id),
        group=group,
        label=label,
        kind="choice",
        choices=tuple(choices.items()),
        **more,
    )


def words(id: str, group: str, label: str, **more: Unpack[FieldOptions]) -> Field:
    """Make a free text."""
    return Field(id=id, step=step_of(id), group=group, label=label, kind="text", **more)


def span(
    prefix: str,
    group: str,
    label: str,
    low: float,
    high: float,
    *,
    ends: tuple[str, str] = ("lowest", "highest"),
    **more: Unpack[FieldOptions],
) -> tuple[Field, Field]:
    """Both ends of a range."""
    return (
        replace(
            length(f"{prefix}_min", group, f"{label}, {ends[0]}", low, high, **more), pair=label
        ),
        length(f"{prefix}_max", group, f"{label}, {ends[1]}", low, high, **more),
    )


def turn(
    prefix: str, group: str, label: str, low: float, high: float, **more: Unpack[FieldOptions]
) -> tuple[Field, Field]:
    """Both ends of a range of degrees."""
    return (
        replace(
            amount(f"{prefix}_min", group, f"{label}, least", "°", low, high, **more), pair=label
        ),
        amount(f"{prefix}_max", group, f"{label}, most", "°", low, high, **more),
    )


YES = {"yes": "Yes", "no": "No"}
HAND = {"left": "Left", "right": "Right"}
