"""Postures as one says them within a sentence."""

from ..language import msg

POSTURES: dict[str, str] = {
    "seated": msg("seated"),
    "standing": msg("standing"),
    "sitting": msg("sitting"),
    "sit": msg("sit"),
    "stand": msg("stand"),
    "move": msg("move"),
}


def say_posture(posture: str) -> str:
    """Return a posture in words.

    >>> say_posture("seated")
    'seated'

    """
    return POSTURES.get(posture, posture)
