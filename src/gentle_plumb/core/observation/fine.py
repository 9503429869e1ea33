"""Habits of the hands and of sitting that are too fine for the figure: ticked in a list. Source: house-habits."""

from __future__ import annotations

from .habit import Habit, habit


def _of_hand(id: str, label: str, deg: float, why: str, do: str) -> Habit:
    return habit(
        id, "wrists", label, "hand", "wrist", "wrist", deg, why, do, sided=True, on_figure=False
    )


FINE = (
    _of_hand(
        "wrist_inwards",
        "Wrist bent to the thumb",
        12,
        "The wrist is held at one end of its range.",
        "Keep the hand in line with the forearm.",
    ),
    habit(
        "palm_down",
        "wrists",
        "Forearm turned fully palm down",
        "elbow",
        "elbow",
        "forearm",
        12,
        "The forearm muscles hold the turn all the time.",
        "Let the hand rest a little on its outer side, as in a loose handshake.",
        sided=True,
        on_figure=False,
    ),
    _of_hand(
        "wrist_pivot",
        "Mouse moved from the wrist",
        12,
        "The wrist pivots on the desk with every move.",
        "Move the mouse from the elbow and shoulder, with the wrist still.",
    ),
    _of_hand(
        "one_finger_scroll",
        "Scrolling with one finger",
        8,
        "One tendon does all the work.",
        "Scroll with the arm or a free-running wheel, and change fingers.",
    ),
    _of_hand(
        "tight_grip",
        "Tight grip on mouse or pen",
        10,
        "The forearm never rests.",
        "Hold it so lightly that somebody could take it away.",
    ),
    _of_hand(
        "hand_behind_mouse",
        "Hand behind the mouse",
        10,
        "The wrist bends back to reach the buttons.",
        "Lay the hand over the mouse, not behind it.",
    ),
    _of_hand(
        "hard_keys",
        "Striking the keys hard",
        8,
        "Every keystroke jars the fingers and forearm.",
        "Touch the keys lightly.",
    ),
    habit(
        "one_sit_bone",
        "back",
        "Weight on one side of the seat",
        "hip",
        "trunk",
        "lower_back",
        12,
        "The pelvis tilts and the back bends sideways.",
        "Share the weight between both sides.",
        sided=True,
        on_figure=False,
    ),
    habit(
        "mid_seat",
        "back",
        "Sitting in the middle of the seat",
        "hip",
        "trunk",
        "lower_back",
        10,
        "The backrest is out of reach, and the back works on its own.",
        "Sit right back against the backrest.",
        on_figure=False,
    ),
)
"""In the order in which they are ticked."""

GOOD: dict[str, str] = {
    "sits_back": "Sits right back against the backrest",
    "feet_down": "Both feet supported",
    "changes": "Changes position often",
    "gets_up": "Takes a short break at least every hour",
    "light_touch": "Light touch on keys and mouse",
    "arm_moves": "Moves the mouse from the elbow and shoulder",
    "looks_away": "Looks into the distance now and then",
}
"""What is done well already, and is worth keeping. Source: house-habits."""
