"""What several clients of the demo share: consents, furniture, and how things are typed."""

from __future__ import annotations

from gentle_plumb.core.observation import ROOM
from gentle_plumb.core.record import SHELF

AGREED = {
    "ask.consent.notes": "yes",
    "ask.consent.photographs": "yes",
    "ask.consent.workplace": "yes",
}
NOTES_ONLY = {
    "ask.consent.notes": "yes",
    "ask.consent.photographs": "no",
    "ask.consent.workplace": "no",
}


def from_shelf(*ids: str) -> dict[str, str]:
    """What is typed for generic pieces."""
    return {path: typed for id in ids for path, typed in SHELF[id].values.items()}


def as_second_screen(id: str) -> dict[str, str]:
    """A generic screen as the second one."""
    return {
        path.replace("look.screen.", "look.screen2."): typed
        for path, typed in SHELF[id].values.items()
    }


def habit(id: str, often: str = "", side: str = "", note: str = "") -> dict[str, str]:
    """What is typed for a habit that was seen."""
    start = f"look.habit.{id}"
    return {start: "seen", f"{start}.often": often, f"{start}.side": side, f"{start}.note": note}


def aches(
    region: str, strength: int, often: str = "", since: str = "", eases: str = ""
) -> dict[str, str]:
    """What is typed for discomfort of a region."""
    start = f"ask.discomfort.{region}"
    return {
        start: str(strength),
        f"{start}.often": often,
        f"{start}.since": since,
        f"{start}.eases": eases,
    }


def room(*wrong: str, lux: str = "", notes: tuple[tuple[str, str], ...] = ()) -> dict[str, str]:
    """The room list: all in order but these."""
    found = {f"look.room.{id}": "wrong" if id in wrong else "right" for id in ROOM}
    return {
        "look.room.light_for": "screen",
        "look.room.lux": lux,
        **found,
        **{f"look.room.{id}.note": note for id, note in notes},
    }


SIT_STAND = {
    "look.chair.seat_min": "40",
    "look.chair.seat_max": "52",
    "look.chair.depth_min": "40",
    "look.chair.depth_max": "48",
    "look.chair.lumbar_min": "15",
    "look.chair.lumbar_max": "25",
    "look.chair.armrests": "adjustable",
    "look.chair.armrest_min": "18",
    "look.chair.armrest_max": "28",
    "look.desk.kind": "sit_stand",
    "look.desk.surface_min": "62",
    "look.desk.surface_max": "127",
    "look.desk.thickness": "2.5",
    "look.desk.depth": "80",
    "look.keyboard.kind": "full",
    "look.keyboard.thickness": "20 mm",
    "look.screen.kind": "monitor",
    "look.screen.diagonal": "24",
    "look.screen.aspect": "16:9",
    "look.screen.top_min": "37",
    "look.screen.top_max": "56",
    "look.screen.depth_behind": "12",
}
SWAPPED = {
    "measure.shoulder_elbow_length.first": "46.8",
    "measure.shoulder_elbow_length.second": "47.1",
    "measure.elbow_fingertip_length.first": "35.8",
    "measure.elbow_fingertip_length.second": "36.1",
}
"""Two fields taken for each other: the doubt is for the practitioner to see."""
AT_HOME = {
    "measure.stature.origin": "self_measured",
    "measure.stature.first": "169",
    "measure.stature.second": "",
    "measure.eye_height_standing.skip": "not_needed",
    "measure.eye_height_standing.first": "",
    "measure.eye_height_standing.second": "",
}
FIXED = SIT_STAND | {
    "look.desk.kind": "fixed",
    "look.desk.surface_min": "",
    "look.desk.surface_max": "",
    "look.desk.depth": "70",
    "look.chair.seat_max": "51",
    "look.chair.lumbar_min": "",
    "look.chair.lumbar_max": "",
}
