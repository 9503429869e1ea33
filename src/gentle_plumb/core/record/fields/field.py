"""What a field is, and short ways to write one down."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

StepId = Literal["ask", "look", "measure", "work", "set", "pace", "report"]
Kind = Literal["length", "number", "choice", "text", "date", "point"]
When = tuple[tuple[str, tuple[str, ...]], ...]

STEPS: dict[StepId, str] = {
    "ask": "Ask", "look": "Look", "measure": "Measure", "work": "Work out", "set": "Set",
    "pace": "Pace", "report": "Report",
}  # fmt: skip


@dataclass(frozen=True, kw_only=True)
class Field:
    """One field. ``low`` and ``high`` in mm for a length, in ``unit`` for a number.

    ``part`` is the part of the drawing it belongs to; ``needed`` counts for the step's bead;
    ``section`` is the part of its step; ``when`` names answers without which it makes no sense
    (all of them must hold); ``health`` marks what is kept only with consent to health notes and
    never goes to the workplace.
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


def step_of(id: str) -> StepId:
    """The step a path belongs to."""
    return id.split(".", 1)[0]  # type: ignore[return-value]


def length(id: str, group: str, label: str, low: float, high: float, **more: object) -> Field:
    """A length; range in mm."""
    return Field(id=id, step=step_of(id), group=group, label=label, kind="length", low=low,
                 high=high, **more)  # type: ignore[arg-type]  # fmt: skip


def amount(id: str, group: str, label: str, unit: str, low: float, high: float,
           **more: object) -> Field:  # fmt: skip
    """A plain number with its unit."""
    return Field(id=id, step=step_of(id), group=group, label=label, kind="number", unit=unit,
                 low=low, high=high, **more)  # type: ignore[arg-type]  # fmt: skip


def choice(id: str, group: str, label: str, choices: dict[str, str], **more: object) -> Field:
    """One of a few."""
    return Field(id=id, step=step_of(id), group=group, label=label, kind="choice",
                 choices=tuple(choices.items()), **more)  # type: ignore[arg-type]  # fmt: skip


def words(id: str, group: str, label: str, **more: object) -> Field:
    """Free text."""
    return Field(id=id, step=step_of(id), group=group, label=label, kind="text", **more)  # type: ignore[arg-type]


def span(prefix: str, group: str, label: str, low: float, high: float, *,
         ends: tuple[str, str] = ("lowest", "highest"), **more: object) -> tuple[Field, Field]:  # fmt: skip
    """Both ends of a range."""
    return (
        length(f"{prefix}_min", group, f"{label}, {ends[0]}", low, high, **more),
        length(f"{prefix}_max", group, f"{label}, {ends[1]}", low, high, **more),
    )


def turn(prefix: str, group: str, label: str, low: float, high: float,
         **more: object) -> tuple[Field, Field]:  # fmt: skip
    """Both ends of a range of degrees."""
    return (
        amount(f"{prefix}_min", group, f"{label}, least", "°", low, high, **more),
        amount(f"{prefix}_max", group, f"{label}, most", "°", low, high, **more),
    )


YES = {"yes": "Yes", "no": "No"}
HAND = {"left": "Left", "right": "Right"}
