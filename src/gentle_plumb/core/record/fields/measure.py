"""Measure: for each dimension its readings, and where they are from."""

from __future__ import annotations

from ...body import DIMENSIONS, TOOLS, Dimension
from ...body.estimates import LEAST_CORRELATION
from .field import Field, choice, length, words

READINGS = {"first": "First reading", "second": "Second reading", "third": "Third reading"}
MEASURED = tuple(DIMENSIONS)
"""Every dimension that can be taken, in the order of measuring."""

ORIGINS = {
    "measured": "Measured here",
    "carried_over": "Carried over",
    "self_measured": "Self-measured",
}
SKIPS = {
    "posture": "The posture can't be taken",
    "clothing": "Clothing is in the way",
    "declined": "The client would rather not",
    "tool": "The instrument is missing",
    "time": "No time today",
    "not_needed": "Not needed here",
}

_WHOLE = (
    choice(
        "measure.posture",
        "How they sit",
        "Measured",
        {"as_they_work": "As they work", "erect": "Sitting erect"},
        help="Erect heights are lowered by the usual slump.",
    ),
    choice(
        "measure.footwear",
        "How they sit",
        "Feet",
        {"barefoot": "Barefoot", "shoes": "In shoes"},
        help="In shoes the heel is taken off every height from the floor.",
    ),
    length(
        "measure.heel",
        "How they sit",
        "Heel of that shoe",
        0,
        150,
        when=(("measure.footwear", ("shoes",)),),
    ),
    words("measure.list", "How they sit", "List"),
    words("measure.table", "How they sit", "Table"),
)


def _of(entry: Dimension) -> tuple[Field, ...]:
    start, group = f"measure.{entry.id}", entry.label

    def taken(name: str, label: str, *, needed: bool = False) -> Field:
        return length(
            f"{start}.{name}",
            group,
            label,
            entry.low_mm,
            entry.high_mm,
            help=entry.how,
            needed=needed,
            part=entry.id,
            section="reading",
        )

    readings = tuple(
        taken(name, label, needed=entry.needed and name != "third")
        for name, label in READINGS.items()
    )
    side = (taken("other", "Other side"),) if entry.two_sided else ()
    guess: tuple[Field, ...] = ()
    if entry.stats and entry.r_stature < LEAST_CORRELATION:
        guess = (
            choice(
                f"{start}.guess",
                group,
                "Do with an estimate",
                {"yes": "Yes", "no": "No"},
                section="about",
            ),
        )
    return (
        *readings,
        *side,
        *guess,
        choice(f"{start}.skip", group, "Left out", SKIPS, section="about"),
        words(f"{start}.kept", group, "Kept because", section="about", health=True),
        length(f"{start}.kept_at", group, "Kept at", 0, 3000, section="about"),
        choice(
            f"{start}.with",
            group,
            "Taken with",
            {str(id): label for id, label in TOOLS.items()},
            section="about",
        ),
        choice(f"{start}.origin", group, "Where it is from", ORIGINS, section="about"),
        Field(
            id=f"{start}.taken_on",
            step="measure",
            group=group,
            label="Taken on",
            kind="date",
            section="about",
        ),
        words(f"{start}.taken_by", group, "Taken by", section="about"),
    )


MEASURE: tuple[Field, ...] = (
    *_WHOLE,
    *(field for entry in DIMENSIONS.values() for field in _of(entry)),
)
