"""The room or home list: what is looked at around the workstation. From room.csv. Source: house-room."""

from __future__ import annotations

from dataclasses import dataclass

from ..language import Words, msg
from ..tables import csv_table, entry

LIGHT_TASKS: dict[str, tuple[str, float, float]] = {
    "screen": (msg("Screen work"), 300.0, 750.0),
    "paper": (msg("Screen and paper"), 500.0, 1000.0),
    "fine": (msg("Fine print and charts"), 750.0, 1500.0),
}
"""Light on the desk in lux: name, least, most. Source: house-light."""


@dataclass(frozen=True, kw_only=True)
class RoomItem:
    """One thing to look at: ``right`` is the answer that is in order, ``failing`` the one that is not.

    ``safety`` marks what is put right at once or taken out of use, ``wheelchair`` what is looked at for somebody in
    one.
    """

    id: str
    group: Words
    label: Words
    right: Words
    failing: Words
    why: Words
    advice: Words
    safety: bool = False
    wheelchair: bool = False


ROOM: dict[str, RoomItem] = {
    line["id"]: entry(RoomItem, line, f"room.csv: {line['id']}", {bool: lambda cell: cell == "yes"})
    for line in csv_table(__package__, "room.csv")
}
"""All items, by identifier, in the order one looks: light, air, desk, floor, safety, home, wheelchair."""
