"""How far each step is: what fills its bead on the cord."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Protocol

from ..body import DIMENSIONS
from ..fit import NEEDED_ROWS, FitResult
from ..language import filled, msg
from ..record import FIELDS, STEPS, Record, StepId, fields
from ..record.fields.ask import ConsentAnswer
from .body import settled


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


NOTES_WITHHELD = (ConsentAnswer.NOT_GIVEN, ConsentAnswer.WITHDRAWN)


def _by_fields(step: StepId, record: Record, *, sits: bool = True) -> StepProgress:
    withheld = record[fields.ask.consent["notes"]] in NOTES_WITHHELD
    needed = [
        field
        for field in FIELDS.values()
        if field.step == step
        and field.needed
        and record.applies(field)
        and (sits or not field.of_the_seat)
        and not (field.health and withheld and field.id not in fields.ask.RED_FLAG_PATHS)
    ]
    missing = [
        filled("{group}: {label}", group=field.group, label=field.label)
        for field in needed
        if field not in record
    ]
    return StepProgress(
        step=step,
        label=STEPS[step],
        done=len(needed) - len(missing),
        needed=len(needed),
        next=missing[0] if missing else None,
    )


def _measured(record: Record, listed: Sequence[str]) -> StepProgress:
    missing = [DIMENSIONS[name].label for name in listed if not settled(record, name)]
    return StepProgress(
        step="measure",
        label=STEPS["measure"],
        done=len(listed) - len(missing),
        needed=max(1, len(listed)),
        next=missing[0] if missing else None,
    )


class SetStep(Protocol):
    """One thing to do in Set: what it is, and whether nothing more is to be done with it."""

    @property
    def what(self) -> str: ...
    @property
    def settled(self) -> bool: ...


def progress(
    record: Record,
    result: FitResult,
    to_set: Sequence[SetStep],
    *,
    listed: Sequence[str],
    signed: bool,
) -> Mapping[StepId, StepProgress]:
    """Every step's progress, from the record and the fit.

    ``to_set`` are the steps of Set; ``listed`` are the dimensions that this visit is to measure.
    """
    fit = result.seated if result.seated.possible else result.standing
    rows = [row for row in fit.rows if row.key in NEEDED_ROWS]
    open_rows = [row.label for row in rows if row.target is None]
    left = [step for step in to_set if not step.settled]
    steps = [
        _by_fields("ask", record),
        _by_fields("look", record, sits=result.seated.possible),
        _measured(record, listed),
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
            done=len(to_set) - len(left),
            needed=max(1, len(to_set)),
            next=left[0].what if left else None,
        ),
        _by_fields("pace", record),
        StepProgress(
            step="report",
            label=STEPS["report"],
            done=int(signed),
            needed=1,
            next=None if signed else msg("Signature"),
        ),
    ]
    return {step.step: step for step in steps}
