"""How far each step is: what fills its bead on the cord."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ..body import DIMENSIONS
from ..fit import NEEDED_ROWS, FitResult, FitRow
from .fields import FIELDS, STEPS, StepId, applies
from .to_body import Entries, settled


@dataclass(frozen=True, kw_only=True)
class StepProgress:
    """One step: how many of the needed things are there, and the next one's name."""

    step: StepId
    label: str
    done: int
    needed: int
    next: str | None

    @property
    def ready(self) -> bool:
        """Whether the step has what the next one needs."""
        return self.done >= self.needed


ACTED_ON = ("ask.warning", "ask.sign.")
"""Red flags are asked about with or without consent to notes."""


def _by_fields(step: StepId, entries: Entries) -> StepProgress:
    withheld = entries.get("ask.consent.notes") in ("no", "withdrawn")
    needed = [
        field
        for field in FIELDS.values()
        if field.step == step
        and field.needed
        and applies(field, entries)
        and not (field.health and withheld and not field.id.startswith(ACTED_ON))
    ]
    missing = [f"{field.group}: {field.label}" for field in needed if entries.get(field.id) is None]
    return StepProgress(
        step=step,
        label=STEPS[step],
        done=len(needed) - len(missing),
        needed=len(needed),
        next=missing[0] if missing else None,
    )


def _measured(entries: Entries, listed: Sequence[str]) -> StepProgress:
    missing = [DIMENSIONS[name].label for name in listed if not settled(entries, name)]
    return StepProgress(
        step="measure",
        label=STEPS["measure"],
        done=len(listed) - len(missing),
        needed=max(1, len(listed)),
        next=missing[0] if missing else None,
    )


def progress(
    entries: Entries, result: FitResult, order: list[FitRow], *, listed: Sequence[str], signed: bool
) -> Mapping[StepId, StepProgress]:
    """Every step's progress, from the entries, the fit and its working order.

    ``listed`` are the dimensions that this visit is to measure.
    """
    rows = [row for row in result.seated.rows if row.key in NEEDED_ROWS]
    open_rows = [row.label for row in rows if row.target is None]
    left = [
        row
        for row in order
        if all(entries.get(f"set.{row.posture}.{row.key}{end}") is None for end in ("", ".aimed"))
    ]
    steps = [
        _by_fields("ask", entries),
        _by_fields("look", entries),
        _measured(entries, listed),
        StepProgress(
            step="work",
            label=STEPS["work"],
            done=len(rows) - len(open_rows),
            needed=len(rows),
            next=open_rows[0] if open_rows else None,
        ),
        StepProgress(
            step="set",
            label=STEPS["set"],
            done=len(order) - len(left),
            needed=max(1, len(order)),
            next=left[0].label if left else None,
        ),
        _by_fields("pace", entries),
        StepProgress(
            step="report",
            label=STEPS["report"],
            done=int(signed),
            needed=1,
            next=None if signed else "Signature",
        ),
    ]
    return {step.step: step for step in steps}
