"""Where a hand finds what moves a piece."""

from __future__ import annotations

from ..choices import Choice


class Lever(Choice):
    """What is moved to set a piece, and where it is."""

    RIGHT_FRONT = "right_front", "Lever, right front"
    RIGHT_REAR = "right_rear", "Lever, right rear"
    LEFT_FRONT = "left_front", "Lever, left front"
    LEFT_REAR = "left_rear", "Lever, left rear"
    KNOB = "knob", "Knob, turned"
    BUTTON = "button", "Button, pressed in"
    CLICKS = "clicks", "Lifted in clicks; right up, it drops again"
    KEYS = "keys", "Keys at the front edge"
    CRANK = "crank", "Crank"
    PUSH = "push", "Pushed by hand"
    SCREWS = "screws", "Screws; needs a tool"
