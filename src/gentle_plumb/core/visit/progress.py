"""How far each step is: what fills its bead on the cord."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ..body import DIMENSIONS
from ..fit import NEEDED_ROWS, FitResult, FitRow
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
    missing = [f"{field.group}: {field.label}" for field in needed if field not in record]
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


def _is_set(record: Record, row: FitRow) -> bool:
    asked = fields.settings.setting[row.posture].get(row.key)
    return asked is not None and (asked.measured in record or asked.aimed in record)


def progress(
    record: Record, result: FitResult, order: list[FitRow], *, listed: Sequence[str], signed: bool
) -> Mapping[StepId, StepProgress]:
    """Every step's progress, from the record, the fit and its working order.

    ``listed`` are the dimensions that this visit is to measure.
    """
    worked = result.seated if result.seated.possible else result.standing
    rows = [row for row in worked.rows if row.key in NEEDED_ROWS]
    open_rows = [row.label for row in rows if row.target is None]
    left = [row for row in order if not _is_set(record, row)]
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
            done=len(order) - len(left),
            needed=max(1, len(order)),
            next=left[0].label if left else None,
        ),
        _by_fields("pace", record),
        StepProgress(
            step="report",
            label=STEPS["report"],
            done=int(signed),
            needed=1,
            next=None if signed else "Signature",
        ),
    ]
    return {step.step: step for step in steps}
