"""Handing one letter over to a mail server, and what follows from how that went."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Protocol

from ..core.language import msg
from .errors import MailRefused, MailTrouble
from .models import LetterOut, MailState

MOST_TRIES = 7
"""After so many tries a mail counts as failed: with the waits between, after about 16 hours. House value."""


class MailSender(Protocol):
    """Hands mail over to a mail server."""

    def send(self, letter: LetterOut) -> None:
        """Raises MailTrouble where it may be tried again, MailRefused where that is of no use."""


@dataclass(frozen=True, kw_only=True)
class Handed:
    """How it went: the mail's state from now on; ``again`` is what to raise where it is to be tried again."""

    state: MailState
    trouble: str = ""
    again: MailTrouble | None = None


def hand_over(sender: MailSender | None, letter: LetterOut, tries: int) -> Handed:
    """Send a letter that has been tried so many times, this one counted."""
    if tries > MOST_TRIES:
        return Handed(state="failed", trouble=msg("Sending was interrupted every time."))
    try:
        if sender is None:
            raise MailTrouble(msg("Email is not set up."))
        sender.send(letter)
    except MailRefused as error:
        return Handed(state="failed", trouble=str(error))
    except MailTrouble as error:
        if tries < MOST_TRIES:
            return Handed(state="waiting", trouble=str(error), again=error)
        return Handed(state="failed", trouble=str(error))
    return Handed(state="sent")
