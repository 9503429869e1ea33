"""The working day of a case file: what is typed in Pace, by the same names; and the day as JSON."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import BeforeValidator, Field, field_validator

from ..core.errors import FieldError, UnknownName
from ..core.fit import Case
from ..core.language import msg
from ..core.movements import choose_movements
from ..core.presentation import day_view, programme_view, rhythm_views
from ..core.record import Record, field_of, fields, read_typed
from ..core.record.fields.ask import StandingHabit
from ..core.visit import WorkingDay, working_day
from ..core.what_if import to_jsonable
from ..core.words import Misplaced
from .case_parts import Part

PREFIX = "pace."


def _typed(value: object) -> object:
    if isinstance(value, bool) or not isinstance(value, int | float | str):
        raise ValueError(
            msg("a number, or a text as it is typed in Pace")
        )  # pydantic tells its place
    return value


Typed = Annotated[str | float, BeforeValidator(_typed)]
"""What is typed into a field of Pace."""


class PaceDocument(Part):
    """What is chosen of the working day."""

    standing_experience: StandingHabit | None = Field(
        default=None, description="How used they are to standing at work; makes the weeks of it."
    )
    pace: dict[str, Typed] = Field(
        default_factory=dict,
        description="What is typed in Pace, by its name: “rhythm”, “start” as “9:00”, “lunch” in minutes, "
        "“meeting1.at”, “task.calls”; a spell put by hand as “spell.a1.at”, “.minutes” and “.posture” …",
    )

    @field_validator("pace")
    @classmethod
    def _pace_known(cls, given: dict[str, str | float]) -> dict[str, str | float]:
        for name, value in given.items():
            try:
                field = field_of(PREFIX + name)
            except UnknownName:
                raise Misplaced(name, msg("there is nothing of this name in Pace")) from None
            try:
                read_typed(field, f"{value:g}" if isinstance(value, float) else value)
            except FieldError as error:
                raise Misplaced(name, error.message) from None
        return given

    def pace_record(self, hours: dict[str, float]) -> Record:
        """Return the record that hours and choices make."""
        values: dict[str, float | str | None] = {
            fields.ask.hours[task].id: spent for task, spent in hours.items()
        }
        if self.standing_experience is not None:
            values[fields.ask.sit_stand.id] = self.standing_experience
        for name, value in self.pace.items():
            typed = f"{value:g}" if isinstance(value, float) else value
            values[PREFIX + name] = read_typed(field_of(PREFIX + name), typed)
        return Record(values)


def day_of(record: Record, case: Case, *, standing_possible: bool) -> WorkingDay | None:
    """Return the working day of a case; None without hours."""
    stands = standing_possible and case.workstation.desk.kind == "sit_stand" and case.may_stand
    return working_day(record, case, desk_stands=stands)


def day_document(day: WorkingDay, case: Case, week: int = 0) -> dict[str, Any]:
    """Return a working day as plain JSON: in words, its rhythms, and the general movements in its breaks."""
    person = case.person
    result: dict[str, Any] = {
        "format": "gentle-plumb-day-1",
        "day": to_jsonable(day_view(day, person, week)),
        "rhythms": to_jsonable(rhythm_views(day, person)),
        "movements": to_jsonable(
            programme_view(choose_movements([], person), day.week(week), person)
        ),
    }
    return result
