"""Where practitioners disagree about screens and glasses."""

from __future__ import annotations

from .question import PolicyQuestion, option

SCREENS = (
    PolicyQuestion(
        id="screen_height",
        label="Screen height",
        default="top_edge",
        standing=True,
        targets=("screen_top", "tilt"),
        positions=(
            option(
                "top_edge",
                "Top edge at the eye line",
                "The whole screen is below eye level: read by moving the eyes only.",
                screen_rule="top_edge",
            ),
            option(
                "top_third",
                "Eyes at the top third",
                "That is where most of the text worked on is.",
                screen_rule="top_third",
            ),
            option(
                "middle_third",
                "Eyes at the middle third",
                "Where most of the work is.",
                screen_rule="middle_third",
            ),
            option(
                "gaze_drop",
                "Centre 15° under the eye line",
                "Where the eyes rest naturally.",
                screen_rule="gaze_drop",
            ),
            option(
                "eyes_alone",
                "Readable top to bottom by eye movement alone",
                "Anything within reach of the eyes without moving the head is acceptable.",
                screen_rule="eyes_alone",
            ),
        ),
    ),
    PolicyQuestion(
        id="screen_distance",
        label="Screen distance",
        default="fingertip",
        standing=True,
        targets=("distance", "scale", "desk_depth"),
        positions=(
            option(
                "fingertip",
                "Arm's length",
                "Easy to show; then adjusted for vision, screen size and the settle-in test.",
                distance_rule="fingertip",
            ),
            option(
                "fist",
                "Knuckles reach it",
                "Nearer: small text without leaning.",
                distance_rule="fist",
            ),
            option(
                "near",
                "As near as comfortable",
                "So that the client sits back.",
                distance_rule="near",
            ),
        ),
    ),
    PolicyQuestion(
        id="two_screens",
        label="Two screens used equally",
        default="by_use",
        targets=(
            "screen_bearing",
            "screen2_bearing",
            "screen3_bearing",
            "screen2_distance",
            "screen3_distance",
        ),
        positions=(
            option(
                "by_use",
                "Centre the join if use is 40:60 or more even",
                "Equal work, equal turning.",
                two_screens="by_use",
            ),
            option(
                "seam",
                "Seam on the midline",
                "The neck turns alike to both sides.",
                two_screens="seam",
            ),
            option(
                "one_main",
                "Never centre the join: one is always the main screen",
                "Nobody should face a gap.",
                two_screens="one_main",
            ),
        ),
    ),
    PolicyQuestion(
        id="lower_lens",
        label="Bifocal or progressive",
        default="lower",
        standing=True,
        targets=("screen_top",),
        positions=(
            option(
                "lower",
                "Lower the screen and test; suggest an eye test",
                "Helps now; the chin test decides.",
                lens_answer="lower",
            ),
            option(
                "glasses",
                "Computer glasses first",
                "A low screen flexes the neck instead; keep the normal height.",
                lens_answer="glasses",
            ),
        ),
    ),
)
