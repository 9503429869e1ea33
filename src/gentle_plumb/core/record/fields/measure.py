"""Measure: for each dimension its readings, and where they are from."""

from __future__ import annotations

from dataclasses import dataclass

from ...body import DIMENSIONS, LEAST_CORRELATION, TOOLS, Dimension, MeasuredPosture, Tool
from ...choices import Choice, YesNo
from ...language import msg
from .field import Field
from .group import FieldGroup

READINGS = {
    "first": msg("First reading"),
    "second": msg("Second reading"),
    "third": msg("Third reading"),
}
MEASURED = tuple(DIMENSIONS)
"""Every dimension that can be taken, in the order of measuring."""


class Origin(Choice):
    """Where a value is from."""

    MEASURED = "measured", msg("Measured here")
    CARRIED_OVER = "carried_over", msg("Carried over")
    SELF_MEASURED = "self_measured", msg("Measured by the client")


class Skip(Choice):
    """Why a dimension is left out."""

    POSTURE = "posture", msg("Can’t adopt the posture")
    CLOTHING = "clothing", msg("Clothing is in the way")
    DECLINED = "declined", msg("Client declined")
    TOOL = "tool", msg("Instrument not available")
    TIME = "time", msg("No time today")
    NOT_NEEDED = "not_needed", msg("Not needed here")


class Footwear(Choice):
    """What is on the feet while heights are taken."""

    BAREFOOT = "barefoot", msg("Barefoot")
    SHOES = "shoes", msg("In shoes")


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


_whole = FieldGroup("measure", msg("How they sit"))

posture = _whole.choice(
    "posture",
    msg("Measured"),
    MeasuredPosture,
    help=msg("Upright heights are reduced by the usual slump."),
)
footwear = _whole.choice(
    "footwear",
    msg("Feet"),
    Footwear,
    help="With shoes on, the heel height is subtracted from every floor height.",
)
heel = _whole.length(
    "heel", msg("Heel height of that shoe"), 0, 150, when=footwear.among(Footwear.SHOES)
)
list_ = _whole.words("list", msg("List"))
table = _whole.words("table", msg("Table"))


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
        other=taken("other", msg("Other side")) if entry.two_sided else None,
        guess=about.choice("guess", msg("Use an estimate"), YesNo) if estimated else None,
        skip=about.choice("skip", msg("Left out"), Skip),
        kept=about.words("kept", msg("Reason for keeping"), health=True),
        kept_at=about.length("kept_at", msg("Kept at"), 0, 3000),
        tool=about.pick("with", msg("Taken with"), TOOLS),
        origin=about.choice("origin", msg("Source"), Origin),
        taken_on=about.date("taken_on", msg("Taken on")),
        taken_by=about.words("taken_by", msg("Taken by")),
    )


dimension = {entry.id: _dimension(entry) for entry in DIMENSIONS.values()}
"""What is kept of every dimension, by name."""
