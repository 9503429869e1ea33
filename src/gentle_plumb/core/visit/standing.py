"""Standing facts about a client: conditions said at an earlier visit hold until somebody clears them.

Not asked again is not cleared. Sources: house-care.
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from datetime import date

from ..choices import YesNo
from ..record import Value, fields

CONDITIONS = "ask.care."
"""What the path of everything about a condition begins with."""


@dataclass(frozen=True, kw_only=True)
class StandingConditions:
    """Conditions that stand from earlier visits.

    ``values`` are what was said of them, by path; ``since`` the day on which each was first said, by its name.
    """

    values: Mapping[str, Value] = field(default_factory=dict)
    since: Mapping[str, date] = field(default_factory=dict)


def standing_conditions(
    earlier: Iterable[tuple[date, Mapping[str, Value]]], now: Mapping[str, Value]
) -> StandingConditions:
    """Return the conditions that stand at a visit which has not asked about them again.

    Parameters
    ----------
    earlier : iterable of (date, values by path)
        The same client's earlier visits, in any order.
    now : mapping
        What was entered at this visit: a condition that was asked about here does not stand from before.

    """
    values: dict[str, dict[str, Value]] = {}
    since: dict[str, date] = {}
    for day, said in sorted(earlier, key=lambda dated: dated[0]):
        for id, asked in fields.conditions.precaution.items():
            answer = said.get(asked.there.id)
            if answer == YesNo.NO:
                values.pop(id, None)
                since.pop(id, None)
                continue
            start = asked.there.id
            mine = {
                path: value
                for path, value in said.items()
                if (path == start or path.startswith(f"{start}.")) and value not in (None, "")
            }
            if answer == YesNo.YES:
                since.setdefault(id, day)
            if id in since:
                values.setdefault(id, {}).update(mine)
    standing = {
        id: those
        for id, those in values.items()
        if now.get(fields.conditions.precaution[id].there.id) in (None, "")
    }
    return StandingConditions(
        values={path: value for those in standing.values() for path, value in those.items()},
        since={id: since[id] for id in standing},
    )
