"""A range that a piece moves in, with or without steps."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property
from math import floor

from ..errors import ValueOutOfRange
from ..language import msg, numeral
from ..tolerances import END_ROUNDING, ROUNDING

LEAST_STEP = 1.0
"""The finest step of a piece, mm or degrees. Source: house-repeat."""


@dataclass(frozen=True, kw_only=True)
class Span:
    """From lowest to highest; both the same where the piece is fixed. mm or degrees.

    ``step`` is the distance between the places it can be set to, counted from ``low``; None where
    it moves freely. The highest place is always one of them.
    """

    low: float
    high: float
    step: float | None = None

    def __post_init__(self) -> None:
        if self.low > self.high:
            raise ValueOutOfRange(
                field="range",
                value=msg(
                    "{low} to {high}", low=numeral(f"{self.low:g}"), high=numeral(f"{self.high:g}")
                ),
                message=msg(
                    "The lowest ({low}) is above the highest ({high}).",
                    low=numeral(f"{self.low:g}"),
                    high=numeral(f"{self.high:g}"),
                ),
                high=self.high,
            )
        if self.step is not None and self.step < LEAST_STEP:
            raise ValueOutOfRange(
                field="step",
                value=f"{self.step:g}",
                low=LEAST_STEP,
                unit="mm",
                message=msg(
                    "A step of {step} mm is finer than any hand sets: at least {least_step} mm.",
                    step=numeral(f"{self.step:g}"),
                    least_step=numeral(f"{LEAST_STEP:g}"),
                ),
            )

    @property
    def fixed(self) -> bool:
        """Whether there is nothing to adjust."""
        return self.low == self.high

    def places(self) -> tuple[float, ...] | None:
        """Every place it can be set to; None where it moves freely."""
        if self.low == self.high:
            return (self.low,)
        return None if self.step is None else self._steps

    @cached_property
    def _steps(self) -> tuple[float, ...]:
        assert self.step is not None
        steps = floor((self.high - self.low) / self.step + ROUNDING)
        values = [self.low + index * self.step for index in range(steps + 1)]
        if self.high - values[-1] > END_ROUNDING:
            values.append(self.high)
        return tuple(values)

    def clamp(self, value: float) -> float:
        """The nearest place to the value; of two equally near the lower.

        >>> Span(low=100, high=160, step=25).clamp(140), Span(low=100, high=160).clamp(170)
        (150, 160)
        """
        near = min(self.high, max(self.low, value))
        if self.step is None or self.fixed:
            return near
        under = self.low + floor((near - self.low) / self.step + ROUNDING) * self.step
        over = min(self.high, under + self.step)
        return under if near - under <= over - near else over

    def within(self, low: float, high: float) -> float | None:
        """The highest place between two ends, both included; None where there is none."""
        top = min(self.high, high)
        if self.step is not None and not self.fixed and top < self.high:
            if top < self.low:
                return None
            top = self.low + floor((top - self.low) / self.step + ROUNDING) * self.step
        return top if top >= max(self.low, low) - ROUNDING else None

    def raised(self, by: Span) -> Span:
        """What stands on another piece: the range of both together.

        A piece with one place on one that goes in steps goes in those steps.

        >>> Span(low=300, high=300).raised(Span(low=50, high=150, step=25))
        Span(low=350, high=450, step=25)
        """
        step = by.step if self.fixed and not by.fixed else None
        return Span(
            low=self.low + by.low, high=self.high + by.high, step=self.step if by.fixed else step
        )

    def shifted(self, by: float) -> Span:
        """The same range, higher by so much."""
        return Span(low=self.low + by, high=self.high + by, step=self.step)
