"""Where practitioners disagree about arms and hands."""

from __future__ import annotations

from .question import PolicyQuestion, option

HANDS = (
    PolicyQuestion(
        id="elbow",
        label="Elbow",
        default="open",
        standing=True,
        targets=("surface", "keys", "seat"),
        positions=(
            option(
                "open",
                "90° to 110°, target 95°",
                "Slightly open: less strain in the forearm.",
                elbow_low=90.0,
                elbow_angle=95.0,
                elbow_high=110.0,
            ),
            option(
                "square",
                "90",
                "Forearms level: easy to see and teach.",
                elbow_low=85.0,
                elbow_angle=90.0,
                elbow_high=95.0,
            ),
            option(
                "never_under",
                "Never under 90, target 100",
                "A sharply bent elbow strains the ulnar nerve; a more open one does no harm.",
                elbow_low=90.0,
                elbow_angle=100.0,
                elbow_high=120.0,
            ),
        ),
    ),
    PolicyQuestion(
        id="forearms",
        label="Wrists and forearms",
        default="float",
        standing=True,
        targets=("keys_edge", "mouse_forward", "desk_depth"),
        positions=(
            option(
                "float",
                "Hands float while typing, rest in between; keyboard at the front edge",
                "The arm moves the hand and nothing presses on the wrist.",
                set_back=0.0,
            ),
            option(
                "rest",
                "Forearms rest on the desk, keyboard set back",
                "For tired necks and shoulders.",
                set_back=120.0,
            ),
        ),
    ),
    PolicyQuestion(
        id="phone_side",
        label="Phone",
        default="non_writing",
        targets=("phone",),
        positions=(
            option(
                "non_writing",
                "On the non-writing side",
                "The writing hand stays free.",
                phone_side="non_writing",
            ),
            option(
                "opposite_mouse",
                "Opposite the mouse",
                "The mouse hand stays on the mouse.",
                phone_side="opposite_mouse",
            ),
        ),
    ),
)
