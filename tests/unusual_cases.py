"""Reference cases of unusual seats, screens and people; lengths are in cm."""

from __future__ import annotations

from reference import HOURS, ON_A_LAPTOP, PLAIN_SCREEN, SHOES, USUAL, Reference
from workstations import body, chair, desk, found, mm, monitor

UNUSUAL = (
    Reference(
        id="P",
        who="Two equal screens, one straight ahead and one at 45°.",
        answer="Both move: the seam between them comes to the middle, 22° to either side. Half of one never stands in "
        "the other.",
        values={
            **USUAL,
            **body(),
            **chair(),
            **desk(62, 127, thick=2.5, at=72),
            **PLAIN_SCREEN,
            **monitor(35, 55, id="screen2"),
            "look.screen2.use": "equal",
            "look.screen2.place": "beside",
            **found(seat=46, screen_top=118, distance=62, screen2_top=118, screen2_distance=62),
            **found(screen_bearing=0.0, screen2_bearing=45.0),
        },
    ),
    Reference(
        id="U",
        who="A saddle stool (52 to 72 cm), found at 61 cm, at a sit-stand desk.",
        answer="A seat of its own kind: the thighs fall by about 20°, the feet stand, the hips are open. Leave it where "
        "the feet are flat and bring the desk to the hands.",
        values={
            **USUAL,
            **body(),
            **mm(look__chair__kind="saddle", look__chair__seat_min=52, look__chair__seat_max=72),
            **desk(62, 127, thick=2.5, at=85),
            **PLAIN_SCREEN,
            **found(seat=61, screen_top=130, distance=62),
        },
        never=("press on the front edge", "feet hang", "knees are higher"),
    ),
    Reference(
        id="B",
        who="A laptop on the thighs in bed; nothing else known of the place.",
        answer="The neck bends down by 40 cm: raise the laptop, with keys apart; until then short spells. Never "
        "“nothing to change”.",
        values={
            **SHOES,
            **HOURS,
            **body(),
            **ON_A_LAPTOP,
            "look.chair.kind": "bed",
            **found(seat=45, surface=60, screen_top=82, distance=45),
        },
        says={"seated.screen_top": "Screen top 40.2 cm below eye level"},
        never=("Nothing to change",),
    ),
    Reference(
        id="C",
        who="A stool without a back (55 to 75 cm), found at 62 cm, at a fixed worktop of 95 cm; nobody asked about a "
        "footrest.",
        answer="Nothing in reach carries the feet higher than 20 cm: the stool goes to 66 cm, not to the 77 cm that the "
        "hands would want. A chair with a back is the lasting answer.",
        values={
            **USUAL,
            **body(),
            **mm(look__chair__kind="stool", look__chair__seat_min=55, look__chair__seat_max=75),
            **desk(95),
            **PLAIN_SCREEN,
            **found(seat=62, screen_top=140, distance=62),
        }
        | {"look.support.footrest": None},
        set={"seat": 66.0, "footrest": 20.0},
        plans={"room": ["feet_to_find"]},
        says={"seated.seat": "Raise by 4.0 cm to 66.0 cm"},
        never=("77.2", "press on the front edge"),
    ),
    Reference(
        id="K",
        who="A man of 178 cm at a child’s desk of 58 cm, on a child’s chair that ends at 40 cm.",
        answer="Desk and chair are too small for him: the desk goes up on risers, and he gets a chair of his size. The "
        "short pan is the least of it.",
        values={
            **USUAL,
            **body(178),
            **chair(30, 40, depth_min=32, depth_max=32),
            **desk(58),
            **PLAIN_SCREEN,
            **found(seat=34, screen_top=100, distance=55),
        },
        plans={"lasting": ["task_chair", "risers"]},
        says={"seated.seat": "stopped by the thighs at 37.5 cm"},
    ),
    Reference(
        id="J",
        who="A long-legged man (lower legs 49 cm) at a fixed desk of 78 cm; the chair goes to 53 cm.",
        answer="To the top of the chair, with 3 cm under the feet. Nobody asks for a support of less than nothing.",
        values={
            **USUAL,
            **body(185, popliteal_height=49.0, elbow_height_sitting=27.0),
            **chair(40, 53),
            **desk(78),
            **PLAIN_SCREEN,
            **found(seat=48, screen_top=125, distance=65),
        },
        set={"seat": 53.0, "footrest": 3.0},
        plans={"room": ["feet_to_find"]},
        never=("−1.0 cm high", "0.0 cm high"),
    ),
    Reference(
        id="N",
        who="A woman of 150 cm at a desk that she shares with a man of 198 cm; nobody asked about a footrest.",
        answer="The desk at its lowest, the seat where it is with 4.6 cm under the feet.",
        values={
            **USUAL,
            **body(150),
            **chair(40, 53),
            **desk(62, 127, thick=2.5, at=72),
            **PLAIN_SCREEN,
            **found(seat=44, screen_top=118, distance=62),
        }
        | {"look.support.footrest": None},
        set={"seat": 44.0, "footrest": 4.6, "surface": 62.0},
        plans={"room": ["feet_to_find"]},
    ),
    Reference(
        id="A",
        who="A woman who works with her left hand alone; the mouse lies on the right.",
        answer="The letters in front of the left shoulder, the mouse on the left. One hand does the work of two: sticky "
        "keys, dictation. No movement that takes both hands.",
        values={
            **USUAL,
            **body(),
            **chair(),
            **desk(62, 127, thick=2.5, at=72),
            **PLAIN_SCREEN,
            **found(seat=46, screen_top=118, distance=62, mouse=30, keys_midline=0),
            "ask.care.one_hand": "yes",
            "ask.care.one_hand.side": "left",
            "ask.mouse_hand": "right",
        },
        says={
            "seated.keys_midline": "Move to the left by 19.0 cm",
            "one_hand": "sticky keys",
            "mouse_one_hand_right": "Move the mouse to the stronger side.",
        },
        never=("in the other hand",),
    ),
    Reference(
        id="X",
        who="A man on crutches whose left leg has to stay raised, on a chair without armrests.",
        answer="A steady chair with armrests, the leg up on a support level with the seat, the crutches within reach. "
        "Feet flat on the floor is asked of nobody here.",
        values={
            **USUAL,
            **body(),
            **chair(),
            **desk(72),
            **PLAIN_SCREEN,
            **found(seat=46, screen_top=118, distance=62),
            "ask.care.crutches": "yes",
            "ask.care.leg_raised": "yes",
        },
        says={
            "no_armrests": "Use a steady chair with armrests.",
            "leg_support": "a padded support level with the seat",
            "crutches": "within reach of the seat",
        },
    ),
    Reference(
        id="W, two screens",
        who="A television of 43 inches as the main screen, a laptop beside it.",
        answer="The laptop is a second screen: up on a stand beside the television, at arm’s length. The keys and the "
        "mouse on the desk serve both.",
        values={
            **USUAL,
            **body(),
            **chair(),
            **desk(73),
            "look.screen.kind": "tv",
            "look.screen.diagonal": 43.0,
            "look.screen.aspect": "16:9",
            "look.screen.held": "stand",
            **found(seat=46, screen_top=140, distance=80),
            "look.screen2.kind": "laptop",
            "look.screen2.use": "some",
            "look.screen2.place": "beside",
            **found(screen2_top=95, screen2_distance=50, screen2_bearing=40.0),
        },
        says={
            "seated.screen2_top": "laptop stand stops at 118.0 cm",
            "seated.screen2_distance": "Move away by 17.1 cm to 67.1 cm.",
        },
        never=("separate keyboard", "High chair"),
    ),
    Reference(
        id="Sofa",
        who="The laptop of case B on a sofa.",
        answer="For short spells only, with a cushion behind the back and the laptop on a tray. For longer a table and a "
        "chair: neither alone, and nothing stacked on a lap.",
        values={
            **SHOES,
            **HOURS,
            **body(),
            **ON_A_LAPTOP,
            "look.chair.kind": "sofa",
            **found(seat=42, surface=60, screen_top=82, distance=45),
        },
        plans={"room": [], "lasting": ["table_and_chair", "laptop_apart"]},
        says={"lounge_sofa": "For short periods only"},
        never=("Nothing to change", "feet hang"),
    ),
    Reference(
        id="ST",
        who="Stature alone is known, nothing was found or measured at the desk.",
        answer="Estimates of the body may be shown, but nothing is said of joints that nobody can tell.",
        values={**USUAL, "measure.stature.first": 1720.0, **chair(), **desk(74), **PLAIN_SCREEN},
        never=("worse than as found",),
    ),
)
