"""Precautions of a case file: what holds, what was operated on, and what a clinician has lifted."""

from __future__ import annotations

from datetime import UTC, date, datetime
from typing import Annotated

from pydantic import Field, model_validator

from ..core.choices import Hand
from ..core.intake import (
    FIGURES,
    JOINTS_LIMITED,
    PRECAUTIONS,
    LimitId,
    OperatedPart,
    PersonLimits,
    person_limits,
)
from ..core.language import joined, msg, numeral
from ..core.words import Misplaced
from ..core.workstation import ChairKind, Workstation
from .case_parts import Part


class ClearedDocument(Part):
    """A limit that was lifted, or set to a figure: of which precaution, by whom, on which day."""

    precaution: str
    limit: LimitId
    by: Annotated[str, Field(min_length=1)]
    on: date
    figure: float | None = Field(
        default=None,
        description="What the limit was set to instead of lifted: minutes of standing an hour, or degrees of the hip.",
    )


def _in_range(limit: LimitId, value: float) -> None:
    figure = FIGURES.get(limit)
    if figure is None:
        raise Misplaced("figure", msg("“{limit}” takes no figure", limit=limit))
    if not figure.low <= value <= figure.high:
        raise Misplaced(
            "figure",
            msg(
                "{value} {unit} for “{limit}”: it must be from {low} to {high} {unit}",
                value=numeral(f"{value:g}"),
                unit=figure.unit,
                limit=limit,
                low=numeral(f"{figure.low:g}"),
                high=numeral(f"{figure.high:g}"),
            ),
        )


class PersonDocument(Part):
    """What the person must not do, and what was lifted of it."""

    precautions: list[str] = Field(
        default=[], description="Precautions that hold, by identifier; they bind plans."
    )
    operated: OperatedPart | None = Field(
        default=None,
        description="For “surgery”: what was operated on; none: any part may have been.",
    )
    weak_side: Hand | None = Field(
        default=None,
        description="For “weakness” and “one_hand”: the side that is weaker or can’t be used.",
    )
    cleared: list[ClearedDocument] = Field(default=[], description="Limits that were lifted.")
    joints: dict[LimitId, float] = Field(
        default={}, description="How far joints of this person may move, degrees, by the limit."
    )

    @model_validator(mode="after")
    def _known(self) -> PersonDocument:
        for id in (*self.precautions, *(document.precaution for document in self.cleared)):
            if id not in PRECAUTIONS:
                raise Misplaced(
                    "precautions",
                    msg(
                        "there is no “{id}”; one of {precautions}",
                        id=id,
                        precautions=joined(", ", PRECAUTIONS),
                    ),
                )
        for limit, degrees in self.joints.items():
            if limit not in JOINTS_LIMITED:
                raise Misplaced("joints", msg("“{limit}” is no limit of a joint", limit=limit))
            _in_range(limit, degrees)
        for document in self.cleared:
            limits = PRECAUTIONS[document.precaution].limits
            if document.limit not in limits:
                raise Misplaced(
                    "cleared",
                    msg(
                        "{precaution} has no limit “{limit}”; one of {limits}",
                        precaution=document.precaution,
                        limit=document.limit,
                        limits=joined(", ", limits),
                    ),
                )
            if document.figure is not None:
                _in_range(document.limit, document.figure)
        return self

    def person(self, station: Workstation) -> PersonLimits:
        """Return the limits in force at these pieces; a limit is lifted from the day that is given."""
        today = datetime.now(UTC).date()
        return person_limits(
            {
                id: {
                    document.limit: document.figure
                    for document in self.cleared
                    if document.precaution == id and document.on <= today
                }
                for id in self.precautions
            },
            wheelchair=station.chair.kind == ChairKind.WHEELCHAIR,
            operated=self.operated,
            weak_side=self.weak_side,
            joints=self.joints,
        )
