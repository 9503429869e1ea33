"""What is set first, and where practitioners disagree about sitting."""

from __future__ import annotations

from .question import PolicyQuestion, option

SEATING = (
    PolicyQuestion(
        id="first",
        label="What to set first",
        default="fixed",
        targets=("seat", "footrest", "surface"),
        positions=(
            option(
                "fixed",
                "The item that can't be adjusted",
                "It dictates the rest, and covers the other two cases.",
                first="fixed",
            ),
            option(
                "feet", "Feet and chair", "A stable base for the pelvis comes first.", first="feet"
            ),
            option(
                "hands",
                "Hands first, support the feet",
                "The hands do the work; feet are easy to support.",
                first="hands",
            ),
        ),
    ),
    PolicyQuestion(
        id="keep",
        label="Settings already in range",
        default="leave",
        targets=("seat", "surface", "screen_top"),
        positions=(
            option(
                "leave",
                "Leave it",
                "Least change: the client keeps what is right.",
                keep_what_holds=True,
            ),
            option(
                "target",
                "Set it to the target",
                "Mid-range leaves more margin than the edge.",
                keep_what_holds=False,
            ),
        ),
    ),
    PolicyQuestion(
        id="back",
        label="Back",
        default="supported",
        targets=("backrest", "surface", "screen_top", "armrest"),
        positions=(
            option(
                "supported",
                "100° to 105°, supported",
                "The backrest takes some of the load and the arms still reach.",
                recline=10.0,
                thigh_slope=0.0,
            ),
            option(
                "upright",
                "Upright, 90° to 100°",
                "Trunk balanced over the pelvis, ready to move.",
                recline=3.0,
                thigh_slope=0.0,
            ),
            option(
                "leaning",
                "Hips about 110°, leaning back",
                "Reclining reduces disc pressure.",
                recline=20.0,
                thigh_slope=0.0,
            ),
            option(
                "hips_high",
                "Hips higher than knees, back upright",
                "The pelvis tilts forward and the lumbar curve looks after itself; thighs fall by 4°.",
                recline=0.0,
                thigh_slope=4.0,
            ),
        ),
    ),
    PolicyQuestion(
        id="thighs",
        label="Thighs",
        default="by_back",
        targets=("seat",),
        positions=(
            option(
                "by_back",
                "Level, or to suit the back",
                "Weight spread along the thigh; up to 10° down is allowed.",
            ),
            option("level", "Level", "Weight over the whole thigh.", thigh_slope=0.0),
            option(
                "down", "Sloping down, 8°", "A more open hip without reclining.", thigh_slope=8.0
            ),
        ),
    ),
    PolicyQuestion(
        id="knee_gap",
        label="Gap behind the knee",
        default="two_three",
        targets=("seat_depth",),
        positions=(
            option(
                "two_three",
                "2 to 3 fingers",
                "No pressure on vessels and nerves; thigh still supported.",
                knee_gap_low=2.0,
                knee_gap_high=3.0,
                knee_gap_unit="fingers",
            ),
            option(
                "narrow",
                "1.5 to 2 fingers",
                "Maximum thigh support.",
                knee_gap_low=1.5,
                knee_gap_high=2.0,
                knee_gap_unit="fingers",
            ),
            option(
                "wide",
                "2 to 4 fingers",
                "Room to shift about.",
                knee_gap_low=2.0,
                knee_gap_high=4.0,
                knee_gap_unit="fingers",
            ),
            option(
                "two_cm",
                "At least 2 cm",
                "A fixed figure that doesn't depend on hand size.",
                knee_gap_low=20.0,
                knee_gap_high=60.0,
                knee_gap_unit="mm",
            ),
            option(
                "five_cm",
                "5 to 7.5 cm",
                "For swollen legs and soft seats.",
                knee_gap_low=50.0,
                knee_gap_high=75.0,
                knee_gap_unit="mm",
            ),
        ),
    ),
    PolicyQuestion(
        id="lumbar",
        label="Lumbar pad",
        default="above",
        targets=("lumbar",),
        positions=(
            option(
                "above",
                "Just above the belt, then check by feel",
                "That is where the lumbar curve is.",
                lumbar_offset=0.0,
            ),
            option(
                "belt",
                "At or just under the belt",
                "It keeps the pelvis from rolling back.",
                lumbar_offset=-30.0,
            ),
        ),
    ),
    PolicyQuestion(
        id="armrests",
        label="Armrests",
        default="light",
        targets=("armrest",),
        positions=(
            option(
                "light",
                "Light support, shoulders relaxed",
                "They take the arm's weight between bursts of typing.",
                armrest_use="light",
                armrest_below_elbow=10.0,
            ),
            option(
                "elbow",
                "Forearms supported at elbow height",
                "The neck doesn't have to hold up the arms.",
                armrest_use="elbow",
                armrest_below_elbow=0.0,
            ),
            option(
                "off",
                "Don't use them",
                "They restrict the elbows and keep the client away from the desk.",
                armrest_use="off",
            ),
        ),
    ),
    PolicyQuestion(
        id="neck_rest",
        label="Headrest",
        default="if_it_meets",
        positions=(
            option(
                "if_it_meets",
                "Remove unless it supports the neck",
                "Often misplaced, pushing the head forward.",
                neck_rest="if_it_meets",
            ),
            option("off", "Off", "Seldom useful at a desk.", neck_rest="off"),
        ),
    ),
)
