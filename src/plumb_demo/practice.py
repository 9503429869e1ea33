"""What the demo practice keeps of its own: its shelf, measuring lists, a table."""

from __future__ import annotations

from .clients.shared import from_shelf

DEMO_SHELF: tuple[tuple[str, str, str, dict[str, str]], ...] = (
    (
        "chair",
        "Bridge chair, high back",
        "Stores, third floor",
        {
            "look.chair.kind": "task",
            "look.chair.seat_min": "43 cm",
            "look.chair.seat_max": "58 cm",
            "look.chair.depth_min": "42 cm",
            "look.chair.depth_max": "50 cm",
            "look.chair.armrests": "adjustable",
            "look.chair.armrest_min": "19 cm",
            "look.chair.armrest_max": "29 cm",
            "look.chair.lumbar_kind": "free",
            "look.chair.lumbar_min": "16 cm",
            "look.chair.lumbar_max": "26 cm",
        },
    ),
    (
        "screen",
        "Chart screen, 30 in, upright stand",
        "Compilation room",
        {
            "look.screen.kind": "monitor",
            "look.screen.diagonal": "30",
            "look.screen.aspect": "16:10",
            "look.screen.top_min": "42 cm",
            "look.screen.top_max": "58 cm",
            "look.screen.held": "stand",
        },
    ),
    (
        "workstation",
        "Watch desk",
        "Operations room, by the tide board",
        from_shelf("task", "sit_stand", "keys_full", "screen_34"),
    ),
)
"""Piece, name, place and typed values of what the practice keeps on its shelf."""

DEMO_PHRASES: tuple[tuple[str, str], ...] = (
    ("again", "Looked at again with {client} on {date}: no change."),
    ("agreed", "Agreed with {client} on {date}."),
    ("back", "Sits well back, with the whole of the backrest in use."),
    ("line", "Facilities to be asked about this by {practitioner}."),
    ("neck", "Neck stiff after a morning at the screen."),
    ("breaks", "Stands up or walks at least once in every half hour; a reminder is set."),
)
"""Code and text of the phrases that the practice keeps."""

DEMO_LISTS: tuple[tuple[str, tuple[str, ...]], ...] = (
    (
        "Front counter, first look",
        (
            "popliteal_height",
            "thigh_clearance",
            "elbow_height_sitting",
            "stature",
            "elbow_height_standing",
            "eye_height_standing",
        ),
    ),
    (
        "Shared watch desk",
        (
            "popliteal_height",
            "elbow_height_sitting",
            "eye_height_sitting",
            "stature",
            "elbow_height_standing",
        ),
    ),
)
"""The practice's own lists of dimensions."""

DEMO_TABLE = (
    "Saltmere staff, 2021",
    "Made up: 212 women and 240 men of the office, measured in 2021",
    """dimension,sex,mean_mm,sd_mm,r_stature
stature,female,1648,64,
stature,male,1779,71,
popliteal_height,female,408,26,0.81
popliteal_height,male,448,28,0.82
elbow_height_sitting,female,238,28,
elbow_height_sitting,male,247,30,
eye_height_sitting,female,752,33,0.75
eye_height_sitting,male,802,35,0.75
""",
)
"""Name, origin and lines of a table that the practice added."""
