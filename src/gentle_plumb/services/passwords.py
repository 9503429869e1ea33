"""What a password has to be: long enough, and not one that is tried first."""

from __future__ import annotations

from collections.abc import Sequence

from ..core.errors import ValueOutOfRange
from ..core.language import msg

LEAST_PASSWORD = 12
MOST_PASSWORD = 200
LEAST_SCORE = 3
"""Of 4: more than a hundred million guesses, by the lists of common passwords, names and keyboard runs that zxcvbn ships."""
LOOKED_AT = 72
"""So many characters are looked at: more only make it slower."""


def check_password(password: str, about: Sequence[str] = ()) -> None:
    """Raise ValueOutOfRange for a password that is too short, too long, or guessed early.

    Parameters
    ----------
    password : str
    about : sequence of str
        What others know of its owner: name, address, practice.

    """
    if not LEAST_PASSWORD <= len(password) <= MOST_PASSWORD:
        raise _refused(
            msg(
                "Password: it has {len} characters. Choose one with {least_password} to {most_password}.",
                len=len(password),
                least_password=LEAST_PASSWORD,
                most_password=MOST_PASSWORD,
            )
        )
    from zxcvbn import zxcvbn  # its lists are read when they are needed

    guessed = zxcvbn(
        password[:LOOKED_AT], user_inputs=[word for text in about for word in _words(text)]
    )
    if guessed["score"] < LEAST_SCORE:
        hint = guessed["feedback"]["warning"] or msg("It is among those that are tried first.")
        raise _refused(
            msg(
                "Password: too easy to guess. {hint}. Four unrelated words are better.",
                hint=hint.rstrip("."),
            )
        )


def _words(text: str) -> list[str]:
    return [text, *text.replace("@", " ").replace(".", " ").split()]


def _refused(message: str) -> ValueOutOfRange:
    return ValueOutOfRange(
        field="password",
        value="",
        low=LEAST_PASSWORD,
        high=MOST_PASSWORD,
        unit="characters",
        message=message,
    )
