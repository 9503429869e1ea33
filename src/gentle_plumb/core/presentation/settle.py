"""The settle-in test: a clock, and what is seen at its end as the next setting. Source: house-screen."""

from __future__ import annotations

from dataclasses import dataclass

from ..fit import Case, FitResult
from ..language import filled, numeral
from ..record import Record, fields
from ..record.fields.settings import SettleSeen
from ..units import LengthUnit, format_length
from ..words import say, say_length

SETTLE_MIN = 15
"""Minutes of work before one looks again, until somebody says otherwise: 15 to 20. Source: house-screen."""
TEXT_STEP = 25.0
"""Text grows in steps of so many per cent. Source: house-screen."""
CHIN_MM = 20.0
"""A picture under which the chin lifts goes down by so much, mm. Source: house-screen."""


@dataclass(frozen=True, kw_only=True)
class SettleStep:
    """One answer to what was seen: in words, and what it writes, by path."""

    seen: str
    label: str
    says: str
    writes: dict[str, str]


@dataclass(frozen=True, kw_only=True)
class SettleView:
    """The settle-in test: minutes of the clock, what was seen last, and what each answer would do."""

    minutes: int
    seen: str
    steps: list[SettleStep]


def settle_view(record: Record, case: Case, result: FitResult, unit: LengthUnit) -> SettleView:
    """Return the settle-in test of a visit.

    Parameters
    ----------
    record : Record
    case : Case
    result : FitResult
        For the distance, the text's size and the height of the picture as they are aimed at.
    unit : {"mm", "cm", "in"}

    """
    seen = record[fields.settings.settle_seen]
    far = result.row("seated", "distance").setting
    steps = []
    if far is not None:
        steps += [
            _moved(SettleSeen.FORWARD, far, -case.policy.settle_step, case.settle, unit),
            _text(result),
            _moved(SettleSeen.BACK, far, case.policy.settle_step, case.settle, unit),
        ]
    top = result.row("seated", "screen_top").setting
    if top is not None:
        to = top - CHIN_MM
        own = fields.work.own_number["seated"]["screen_top"]
        steps.append(
            SettleStep(
                seen=SettleSeen.CHIN,
                label=SettleSeen.CHIN.label,
                says=say("settle.lower", to=say_length(to, unit)),
                writes={
                    own.value.id: format_length(to, unit, with_unit=True),
                    own.why.id: say("settle.chin"),
                },
            )
        )
    steps.append(
        SettleStep(
            seen=SettleSeen.WELL, label=SettleSeen.WELL.label, says=say("settle.well"), writes={}
        )
    )
    return SettleView(minutes=settle_minutes(record), seen=str(seen) if seen else "", steps=steps)


def settle_minutes(record: Record) -> int:
    """How long the client works before the picture is looked at again, min."""
    minutes = record[fields.settings.settle_minutes]
    return SETTLE_MIN if minutes is None else round(minutes)


def settles_at(record: Record) -> float | None:
    """When the settle-in test that runs is over, s since 1970; None where none runs."""
    started = record[fields.settings.settle_started]
    return None if started is None else started + 60.0 * settle_minutes(record)


def _moved(seen: SettleSeen, far: float, by: float, so_far: float, unit: LengthUnit) -> SettleStep:
    """Return the picture nearer or further by one step of the test."""
    return SettleStep(
        seen=seen,
        label=seen.label,
        says=say(
            "settle.nearer" if by < 0 else "settle.further",
            by=say_length(abs(by), unit),
            to=say_length(far + by, unit),
        ),
        writes={fields.work.settle.id: format_length(so_far + by, unit, with_unit=True)},
    )


def _text(result: FitResult) -> SettleStep:
    """Return larger text in the place of a nearer picture."""
    row = result.row("seated", "scale")
    now = row.found or 100.0
    to = (now // TEXT_STEP + 1) * TEXT_STEP
    set_to = fields.settings.setting["seated"]["scale"].measured
    return SettleStep(
        seen=SettleSeen.FORWARD,
        label=SettleSeen.FORWARD.label,
        says=say("settle.text", to=filled("{to} %", to=numeral(f"{to:g}"))),
        writes={set_to.id: f"{to:g}"},
    )
