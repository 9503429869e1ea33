"""The room or home list: what is looked at around the workstation. Source: house-room."""

from __future__ import annotations

from dataclasses import dataclass

LIGHT_TASKS: dict[str, tuple[str, float, float]] = {
    "screen": ("Screen work", 300.0, 750.0),
    "paper": ("Screen and paper", 500.0, 1000.0),
    "fine": ("Fine print and charts", 750.0, 1500.0),
}
"""Light on the desk in lux: name, least, most. Source: house-light."""


@dataclass(frozen=True, kw_only=True)
class RoomItem:
    """One thing to look at: ``right`` is the answer that is in order, ``wrong`` the one that is not.

    ``safety`` marks what is put right at once or taken out of use.
    """

    id: str
    group: str
    label: str
    right: str
    wrong: str
    why: str
    do: str
    safety: bool = False


def _item(
    id: str,
    group: str,
    label: str,
    right: str,
    wrong: str,
    why: str,
    do: str,
    *,
    safety: bool = False,
) -> RoomItem:
    return RoomItem(
        id=id, group=group, label=label, right=right, wrong=wrong, why=why, do=do, safety=safety
    )


ROOM: dict[str, RoomItem] = {
    item.id: item
    for item in (
        _item(
            "glare",
            "Light",
            "Glare on the screen",
            "None",
            "Window or lamp mirrored",
            "Eyes and neck turn away from the mirrored light.",
            "Screen square to the window; lamp moved; tilt changed.",
        ),
        _item(
            "window",
            "Light",
            "Window",
            "To the side",
            "In front or behind",
            "Bright sky behind the screen dazzles, behind the back it mirrors.",
            "Turn the desk so that the window is at the side, or a blind.",
        ),
        _item(
            "lamp",
            "Light",
            "Lamp",
            "Lights the paper",
            "Dazzles or missing",
            "Paper too dark beside a bright screen.",
            "Lamp on the side of the hand that does not write, below eye height.",
        ),
        _item(
            "noise",
            "Air and sound",
            "Noise",
            "No trouble",
            "Disturbs",
            "Noise tightens shoulders and costs thought.",
            "Headset, another place for calls, a screen between desks.",
        ),
        _item(
            "temperature",
            "Air and sound",
            "Temperature",
            "Comfortable",
            "Cold or hot",
            "Cold hands are stiff hands.",
            "Move out of the draught; ask who sets the heating.",
        ),
        _item(
            "air",
            "Air and sound",
            "Air",
            "Fresh",
            "Stale or draughty",
            "Dry, stale air tires the eyes.",
            "Open a window each hour; away from the outlet.",
        ),
        _item(
            "clutter",
            "Desk and floor",
            "Clutter on the desk",
            "Clear",
            "Pushes keys or paper away",
            "Keyboard and mouse end up where there is room, not where the hands are.",
            "Clear a forearm's depth before the keys.",
        ),
        _item(
            "stored",
            "Desk and floor",
            "Things stored under the desk",
            "Nothing",
            "Legs have no room",
            "Feet go under the chair, the body turns.",
            "Clear it: the legs' room belongs to the legs.",
        ),
        _item(
            "floor",
            "Desk and floor",
            "Floor and castors",
            "Fit each other",
            "Roll away or stick",
            "Feet brace or the chair is dragged.",
            "Castors for this floor, or a mat.",
        ),
        _item(
            "stability",
            "Safety",
            "Stability of furniture",
            "Firm",
            "Wobbles or tips",
            "It can tip or give way.",
            "Out of use until it is mended.",
            safety=True,
        ),
        _item(
            "cables",
            "Safety",
            "Cables",
            "Held away",
            "Across the way or under tension",
            "People trip, and a moving desk tears them.",
            "Hold them along the desk, with length for the highest setting.",
            safety=True,
        ),
        _item(
            "trips",
            "Safety",
            "Trip hazards",
            "None",
            "Something in the way",
            "Also a chair parked behind somebody who stands.",
            "Clear the way behind and beside.",
            safety=True,
        ),
        _item(
            "exits",
            "Safety",
            "Ways out",
            "Free",
            "Blocked",
            "They are needed in a hurry.",
            "Clear them now.",
            safety=True,
        ),
        _item(
            "fire",
            "Safety",
            "Fire safety",
            "In order",
            "Something is wrong",
            "Heater near paper, covered outlets, no alarm at home.",
            "Put right, or tell who is in charge.",
            safety=True,
        ),
        _item(
            "electrical",
            "Safety",
            "Plugs and leads",
            "Sound",
            "Damaged or chained",
            "Shock and fire.",
            "Out of use until an electrician has seen it.",
            safety=True,
        ),
        _item(
            "hot_wet",
            "Safety",
            "Hot or wet things near",
            "None",
            "Beside the equipment",
            "Scalds, and current in water.",
            "Another place for kettle and cup.",
            safety=True,
        ),
    )
}
"""All items, by identifier, in the order one looks."""
