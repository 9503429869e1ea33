"""The numbers that a client comes back to, named by what they are measured from."""

from ..language import msg
from .state_messages import STATE_MESSAGES

CLIENT_NUMBERS: dict[str, str] = {
    "seat": msg("Height of the seat, from the floor"),
    "footrest": msg("Height of the footrest, from the floor"),
    "surface": msg("Height of the desk, from the floor"),
    "mouse": msg("How far the mouse is from your middle"),
    "screen_top": msg("Top of the screen, from the floor"),
    "distance": msg("From your eye to the screen"),
    "scale": msg("Size of the text"),
    "display": msg("What the desk’s display shows"),
    "key": msg("Which key on the desk"),
}
"""On the client's paper and, translated, on their own page; by quantity, the desk's display and its key."""


def what_it_is(word: str) -> str:
    """Return the name under which a translation holds what a number is: ``left at`` is ``left_at``."""
    return "_".join(word.replace(",", "").split())


NUMBER_WORDS: dict[str, str] = {
    what_it_is(word): word
    for name, word in STATE_MESSAGES.items()
    if name.startswith("state.word.")
}
"""What a number to come back to is, by the name a translation holds it under."""
