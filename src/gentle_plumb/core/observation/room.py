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

    ``safety`` marks what is put right at once or taken out of use, ``wheelchair`` what is looked at for somebody in
    one.
    """

    id: str
    group: str
    label: str
    right: str
    wrong: str
    why: str
    do: str
    safety: bool = False
    wheelchair: bool = False


def item(
    id: str,
    group: str,
    label: str,
    right: str,
    wrong: str,
    why: str,
    do: str,
    *,
    safety: bool = False,
    wheelchair: bool = False,
) -> RoomItem:
    """Return an item; see :class:`RoomItem`."""
    return RoomItem(
        id=id,
        group=group,
        label=label,
        right=right,
        wrong=wrong,
        why=why,
        do=do,
        safety=safety,
        wheelchair=wheelchair,
    )


IN_THE_ROOM: tuple[RoomItem, ...] = (
    item(
        "glare",
        "Light",
        "Glare on the screen",
        "None",
        "Reflection of window or lamp",
        "The eyes and neck turn away from the reflection.",
        "Turn the screen at right angles to the window, move the lamp or change the tilt.",
    ),
    item(
        "window",
        "Light",
        "Window",
        "To the side",
        "In front or behind",
        "A window behind the screen dazzles; a window behind the chair reflects in it.",
        "Turn the desk so the window is to the side, or fit a blind.",
    ),
    item(
        "lamp",
        "Light",
        "Lamp",
        "Lights the paper",
        "Dazzles or none",
        "Paper is too dark beside a bright screen.",
        "Place the lamp on the non-writing side, below eye level.",
    ),
    item(
        "noise",
        "Air and sound",
        "Noise",
        "No trouble",
        "Disturbs",
        "Noise raises muscle tension and disrupts concentration.",
        "Headset, a separate place for calls, or a partition between desks.",
    ),
    item(
        "temperature",
        "Air and sound",
        "Temperature",
        "Comfortable",
        "Cold or hot",
        "Cold hands are stiff hands.",
        "Move out of the draught; ask who sets the heating.",
    ),
    item(
        "air",
        "Air and sound",
        "Air",
        "Fresh",
        "Stale or draughty",
        "Dry, stale air tires the eyes.",
        "Air the room hourly; sit away from the air vent.",
    ),
    item(
        "clutter",
        "Desk and floor",
        "Clutter on the desk",
        "Clear",
        "Pushes keyboard or paper out of place",
        "Keyboard and mouse end up where there is room, not where the hands are.",
        "Clear a forearm's depth in front of the keyboard.",
    ),
    item(
        "stored",
        "Desk and floor",
        "Things stored under the desk",
        "Nothing",
        "Legs have no room",
        "Feet go under the chair, the body turns.",
        "Clear the leg space.",
    ),
    item(
        "floor",
        "Desk and floor",
        "Floor and castors",
        "Fit each other",
        "Rolls away or sticks",
        "The feet brace, or the chair has to be dragged.",
        "Fit castors for this floor, or use a chair mat.",
    ),
    item(
        "stability",
        "Safety",
        "Stability of furniture",
        "Firm",
        "Wobbles or tips",
        "It can tip or give way.",
        "Take out of use until repaired.",
        safety=True,
    ),
    item(
        "cables",
        "Safety",
        "Cables",
        "Kept clear",
        "Across the way or under tension",
        "Trip hazard, and a moving desk can pull them out.",
        "Route along the desk with enough slack for its highest position.",
        safety=True,
    ),
    item(
        "trips",
        "Safety",
        "Trip hazards",
        "None",
        "Something in the way",
        "Includes a chair left behind someone standing.",
        "Keep the space behind and beside clear.",
        safety=True,
    ),
    item(
        "exits",
        "Safety",
        "Exits",
        "Free",
        "Blocked",
        "Needed in an emergency.",
        "Clear them now.",
        safety=True,
    ),
    item(
        "fire",
        "Safety",
        "Fire safety",
        "In order",
        "Something is wrong",
        "Heater near paper, covered outlets, no alarm at home.",
        "Put right, or report to the person responsible.",
        safety=True,
    ),
    item(
        "electrical",
        "Safety",
        "Plugs and leads",
        "Sound",
        "Damaged or chained",
        "Risk of electric shock and fire.",
        "Take out of use until checked by an electrician.",
        safety=True,
    ),
    item(
        "hot_wet",
        "Safety",
        "Hot or wet things near",
        "None",
        "Beside the equipment",
        "Risk of scalds and electric shock.",
        "Move kettle and cups elsewhere.",
        safety=True,
    ),
    item(
        "evacuation",
        "Safety",
        "Way out in an emergency",
        "Known, and can be used",
        "Not known, or can't be used",
        "Everybody has to be able to leave without help, or with help that is arranged.",
        "Agree on a plan for leaving the building.",
        safety=True,
    ),
)
"""Light, air, desk, floor and safety, in the order one looks."""
