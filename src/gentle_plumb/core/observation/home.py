"""What else is looked at where somebody works, at home or with a wheelchair. Source: house-room."""

from __future__ import annotations

from .room import IN_THE_ROOM, RoomItem, item

AROUND: tuple[RoomItem, ...] = (
    item(
        "space",
        "Workplace and home",
        "Space to move",
        "Enough",
        "Cramped",
        "There is no room to push back, turn or stretch.",
        "Clear about a metre behind the chair.",
    ),
    item(
        "handling",
        "Workplace and home",
        "Lifting and carrying",
        "Light, or with help",
        "Heavy or awkward",
        "Lifting comes on top of the load of sitting.",
        "Store what is used often at waist height; use a trolley, or share the load.",
    ),
    item(
        "kitchen_bathroom",
        "Workplace and home",
        "Kitchen and bathroom",
        "Within reach",
        "Hard to reach",
        "Breaks are left out where the way is hard.",
        "Make the way shorter or easier.",
    ),
    item(
        "chemicals",
        "Workplace and home",
        "Chemicals and dust",
        "None, or well kept",
        "In the working area",
        "Vapours and dust irritate eyes and airways.",
        "Store them elsewhere and air the room.",
    ),
    item(
        "security",
        "Workplace and home",
        "Working alone",
        "Somebody can be reached",
        "Nobody can be reached",
        "Help has to come if something happens.",
        "Agree on how and when somebody checks in.",
    ),
    item(
        "policy",
        "Workplace and home",
        "Rules for working here",
        "Agreed",
        "Not agreed",
        "Who pays for and looks after the equipment has to be clear.",
        "Ask the employer for the rules on equipment and hours.",
    ),
    item(
        "support",
        "Workplace and home",
        "Help with equipment",
        "Somebody is responsible",
        "Nobody is responsible",
        "What breaks stays broken.",
        "Name somebody who sees to repairs.",
    ),
    item(
        "children_animals",
        "Workplace and home",
        "Children and animals",
        "None near, or safe",
        "Within reach of moving parts or leads",
        "Moving desks and leads are a danger to them.",
        "Lock the desk's keys, and keep leads out of reach.",
    ),
    item(
        "footplates",
        "Wheelchair",
        "Footplates",
        "Carry both feet",
        "Feet slip or hang",
        "The thighs carry what the feet should.",
        "Ask the seating therapist to set the footplates.",
        wheelchair=True,
    ),
    item(
        "brakes",
        "Wheelchair",
        "Brakes",
        "Hold",
        "Slip, or can't be reached",
        "The chair rolls while the arms work.",
        "Have the brakes seen to before anything else.",
        safety=True,
        wheelchair=True,
    ),
    item(
        "turning",
        "Wheelchair",
        "Room to turn",
        "About 1.5 m is free",
        "Too little",
        "Getting to and from the desk costs strength and time.",
        "Clear a circle of about 1.5 m at the desk.",
        wheelchair=True,
    ),
)
"""Workplace, home and wheelchair, in the order one looks."""

ROOM: dict[str, RoomItem] = {one.id: one for one in (*IN_THE_ROOM, *AROUND)}
"""All items, by identifier, in the order one looks."""
