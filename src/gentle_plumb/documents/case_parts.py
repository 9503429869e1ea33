"""Lengths and ranges as a case file writes them."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Annotated

from pydantic import BaseModel, BeforeValidator, ConfigDict, Field, Strict
from pydantic.fields import FieldInfo

from ..core.errors import FieldError
from ..core.language import msg, numeral
from ..core.record import Field as RecordField
from ..core.units import parse_length
from ..core.words import Misplaced
from ..core.workstation import LEAST_STEP, Span


def _number_or_text(value: object) -> object:
    """One sentence for what is neither, in the place of one for each kind."""
    if isinstance(value, bool) or not isinstance(value, int | float | str):
        raise ValueError(  # pydantic tells a ValueError with its place
            msg("a length is a number of mm, or a text with its unit such as “46.2 cm”")
        )
    return value


Length = Annotated[
    float | str,
    BeforeValidator(_number_or_text),
    Field(description="A length: a number is mm, a text carries its unit, as '46.2 cm'."),
]
Number = Annotated[float, Strict()]
"""A plain number: yes, no and texts are none."""


@contextmanager
def under(part: str) -> Iterator[None]:
    """Tell what is wrong inside with the part's name before its path."""
    try:
        yield
    except Misplaced as wrong:
        raise wrong.under(part) from None
    except ValueError as wrong:
        raise Misplaced(part, str(wrong)) from None


def to_mm(value: float | str, what: str) -> float:
    """A length in mm; raises ValueError, which pydantic tells with its place."""
    try:
        return parse_length(value, default="mm", field=what) if isinstance(value, str) else value
    except FieldError:
        raise Misplaced(
            what,
            msg(
                "“{value}” is not a length. Write for example 462 or “46.2 cm”; a number without a unit is mm here.",
                value=value,
            ),
        ) from None


def maybe_mm(value: float | str | None, what: str, low: float, high: float) -> float | None:
    """A length in mm within its ends, mm; None stays None. Raises ValueError likewise."""
    if value is None:
        return None
    mm = to_mm(value, what)
    if not low <= mm <= high:
        raise Misplaced(
            what,
            msg(
                "{mm} mm is outside {low} to {high} mm",
                mm=numeral(f"{mm:g}"),
                low=numeral(f"{low:g}"),
                high=numeral(f"{high:g}"),
            ),
        )
    return mm


def within(field: RecordField[float]) -> FieldInfo:
    """A number in the range of a field of the record."""
    low, high = field.ends
    info: FieldInfo = Field(ge=low, le=high)
    return info


class Part(BaseModel):
    """A part of a case file; what it doesn't know it refuses."""

    model_config = ConfigDict(extra="forbid")


class RangeDocument(Part):
    """From lowest to highest, in steps where given; one end alone is a fixed piece."""

    low: Length
    high: Length | None = None
    step: Annotated[float, Field(ge=LEAST_STEP, le=500)] | None = Field(
        default=None, description="mm (degrees for a slope) between places; left out where free."
    )

    def span(self, what: str, low: float, high: float) -> Span:
        """The range in mm."""
        first = maybe_mm(self.low, f"{what}.low", low, high)
        last = maybe_mm(self.high, f"{what}.high", low, high) if self.high is not None else first
        assert first is not None
        assert last is not None
        if first > last:
            raise Misplaced(
                what,
                msg(
                    "the lowest, {first} mm, is above the highest, {last} mm",
                    first=numeral(f"{first:g}"),
                    last=numeral(f"{last:g}"),
                ),
            )
        return Span(low=first, high=last, step=self.step)

    def degrees(self, what: str, low: float, high: float) -> Span:
        first, last = self.low, self.high if self.high is not None else self.low
        if isinstance(first, str) or isinstance(last, str):
            raise Misplaced(what, msg("degrees are plain numbers"))
        if not low <= first <= last <= high:
            raise Misplaced(
                what,
                msg(
                    "{first}° to {last}° is not within {low}° to {high}°",
                    first=numeral(f"{first:g}"),
                    last=numeral(f"{last:g}"),
                    low=numeral(f"{low:g}"),
                    high=numeral(f"{high:g}"),
                ),
            )
        return Span(low=first, high=last, step=self.step)


def span_of(document: RangeDocument | None, what: str, low: float, high: float) -> Span | None:
    """A range in mm; None stays None."""
    return document.span(what, low, high) if document is not None else None


def degrees_of(document: RangeDocument | None, what: str, low: float, high: float) -> Span | None:
    """A range in degrees; None stays None."""
    return document.degrees(what, low, high) if document is not None else None
