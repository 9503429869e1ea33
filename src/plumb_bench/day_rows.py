"""What a working day, its calendar and its movements take."""

from __future__ import annotations

from datetime import date

from gentle_plumb.core.drawing import draw_day, draw_movement
from gentle_plumb.core.language import language_of
from gentle_plumb.core.movements import LIBRARY
from gentle_plumb.core.pace import totals_of
from gentle_plumb.core.record import Record
from gentle_plumb.core.visit import case_from, working_day
from gentle_plumb.documents.day_calendar import day_calendar
from plumb_demo.load import full_visit

from .rows import Rows, spread
from .timing import timed

VISITED = date(2026, 11, 26)


def day_rows(table: Rows, rounds: int) -> None:
    """A day laid out and drawn with nothing remembered, its calendar, and every movement's figures."""
    values, _ = full_visit("Odile Marrick")
    record = Record(values)
    case = case_from(record)
    day = working_day(record, case, desk_stands=True)
    if day is None:
        raise ValueError("the demo’s visit has no hours")

    def laid() -> None:
        day = working_day(record, case, desk_stands=True)
        if day is not None:
            draw_day(day.spells, width=900, eye_every=20)
            totals_of(day.spells, micro_every=15)

    def calendar() -> None:
        day_calendar(
            day,
            key="bench",
            visited_on=VISITED,
            follow_up=VISITED,
            walks=True,
            language=language_of("en"),
        )

    def figures() -> None:
        for movement in LIBRARY.values():
            draw_movement(movement, case.body)

    for name, work, bar in (
        ("a working day laid out and drawn", laid, "under 5 ms"),
        ("its calendar file", calendar, ""),
        (f"figures of all {len(LIBRARY)} movements from one body", figures, ""),
    ):
        spent = timed(work, rounds)
        table.add_row(name, spread(spent), bar)
