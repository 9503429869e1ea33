"""Measure: for each dimension its readings, and where they are from."""

from __future__ import annotations

from dataclasses import dataclass

from ...body import DIMENSIONS, LEAST_CORRELATION, TOOLS, Dimension, MeasuredPosture, Tool
from ...choices import Choice, YesNo
from .field import Field
from .group import FieldGroup

READINGS = {"first": "First reading", "second": "Second reading", "third": "Third reading"}
MEASURED = tuple(DIMENSIONS)
"""Every dimension that can be taken, in the order of measuring."""


class Origin(Choice):
    """Where a value is from."""

    MEASURED = "measured", "Measured here"
    CARRIED_OVER = "carried_over", "Carried over"
    SELF_MEASURED = "self_measured", "Measured by the client"


class Skip(Choice):
    """Why a dimension is left out."""

    POSTURE = "posture", "Can’t adopt the posture"
    CLOTHING = "clothing", "Clothing is in the way"
    DECLINED = "declined", "Client declined"
    TOOL = "tool", "Instrument not available"
    TIME = "time", "No time today"
    NOT_NEEDED = "not_needed", "Not needed here"


class Footwear(Choice):
    """What is on the feet while heights are taken."""

    BAREFOOT = "barefoot", "Barefoot"
    SHOES = "shoes", "In shoes"


@dataclass(frozen=True, eq=False)
class DimensionFields:
    """What is kept of one dimension: its readings, why one is kept or left out, where it is from."""

    first: Field[float]
    second: Field[float]
    third: Field[float]
    other: Field[float] | None
    guess: Field[YesNo] | None
    skip: Field[Skip]
    kept: Field[str]
    kept_at: Field[float]
    tool: Field[Tool]
    origin: Field[Origin]
    taken_on: Field[str]
    taken_by: Field[str]

    @property
    def readings(self) -> tuple[Field[float], Field[float], Field[float]]:
        """The readings in the order they are taken."""
        return self.first, self.second, self.third


_whole = FieldGroup("measure", "How they sit")

posture = _whole.choice(
    "posture", "Measured", MeasuredPosture, help="Upright heights are reduced by the usual slump."
)
footwear = _whole.choice(
    "footwear",
    "Feet",
    Footwear,
    help="With shoes on, the heel height is subtracted from every floor height.",
)
heel = _whole.length(
    "heel", "Heel height of that shoe", 0, 150, when=footwear.among(Footwear.SHOES)
)
list_ = _whole.words("list", "List")
table = _whole.words("table", "Table")


def _dimension(entry: Dimension) -> DimensionFields:
    path = f"measure.{entry.id}"
    read = FieldGroup(path, entry.label, "reading")
    about = FieldGroup(path, entry.label, "about")

    def taken(name: str, label: str, *, needed: bool = False) -> Field[float]:
        return read.length(
            name, label, entry.low_mm, entry.high_mm, help=entry.how, needed=needed, part=entry.id
        )

    estimated = bool(entry.stats) and entry.r_stature < LEAST_CORRELATION
    return DimensionFields(
        first=taken("first", READINGS["first"], needed=entry.needed),
        second=taken("second", READINGS["second"], needed=entry.needed),
        third=taken("third", READINGS["third"]),
        other=taken("other", "Other side") if entry.two_sided else None,
        guess=about.choice("guess", "Use an estimate", YesNo) if estimated else None,
        skip=about.choice("skip", "Left out", Skip),
        kept=about.words("kept", "Reason for keeping", health=True),
        kept_at=about.length("kept_at", "Kept at", 0, 3000),
        tool=about.pick("with", "Taken with", TOOLS),
        origin=about.choice("origin", "Source", Origin),
        taken_on=about.date("taken_on", "Taken on"),
        taken_by=about.words("taken_by", "Taken by"),
    )


dimension = {entry.id: _dimension(entry) for entry in DIMENSIONS.values()}
"""What is kept of every dimension, by name."""
