"""Verbs and directions that several quantities share."""

from __future__ import annotations

from typing import TypedDict


class DirectionWords(TypedDict):
    """Verbs and directions that several quantities share."""

    more: str
    less: str
    over: str
    under: str
    up: str
    down: str


NEARER: DirectionWords = {
    "more": "Move away",
    "less": "Bring nearer",
    "over": "further than",
    "under": "nearer than",
    "up": "back",
    "down": "nearer",
}
OUT: DirectionWords = {
    "more": "Move out",
    "less": "Bring in",
    "over": "further out than",
    "under": "further in than",
    "up": "out",
    "down": "in",
}
APART: DirectionWords = {
    "more": "Move apart",
    "less": "Bring in",
    "over": "further apart than",
    "under": "closer together than",
    "up": "apart",
    "down": "in",
}
BACK: DirectionWords = {
    "more": "Move back",
    "less": "Bring forward",
    "over": "further back than",
    "under": "further forward than",
    "up": "back",
    "down": "forward",
}
TURN: DirectionWords = {
    "more": "Move to the right",
    "less": "Move to the left",
    "over": "further right than",
    "under": "further left than",
    "up": "right",
    "down": "left",
}
LEAN: DirectionWords = {
    "more": "Recline",
    "less": "Bring upright",
    "over": "more reclined than",
    "under": "more upright than",
    "up": "back",
    "down": "upright",
}
FORWARD: DirectionWords = {
    "more": "Tilt forward",
    "less": "Tilt back",
    "over": "further forward than",
    "under": "further back than",
    "up": "forward",
    "down": "back",
}
TILT: DirectionWords = {
    "more": "Tilt back",
    "less": "Tilt up",
    "over": "more tilted back than",
    "under": "less tilted back than",
    "up": "back",
    "down": "up",
}
DEPTH: DirectionWords = {
    "more": "Lengthen",
    "less": "Shorten",
    "over": "deeper than",
    "under": "shorter than",
    "up": "longer",
    "down": "shorter",
}
SIZE: DirectionWords = {
    "more": "Enlarge",
    "less": "Reduce",
    "over": "larger than",
    "under": "smaller than",
    "up": "larger",
    "down": "smaller",
}
SLOPE: DirectionWords = {
    "more": "Raise the back edge",
    "less": "Lower the back edge",
    "over": "steeper than",
    "under": "flatter than",
    "up": "up",
    "down": "down",
}
