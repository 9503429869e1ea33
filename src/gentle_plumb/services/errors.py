"""What can go wrong in a use case.

ServiceError
 ├── NotSignedIn        no session, an expired one, or wrong credentials
 ├── SessionLocked      signed in, and locked: only the password opens it
 ├── NeedsCode          the password is right, and a code of the second factor is needed
 ├── MustEnrol          signed in, but without the second factor that the practice asks for
 ├── NoKey              the key that seals secrets is not where it belongs
 ├── LockedOut          too many wrong passwords; carries the seconds to wait
 ├── WrongPassword      the present password, asked for once more, is not right
 ├── NotAllowed         signed in, but the role does not reach that far
 ├── NotFound           no such thing in this practice
 ├── AlreadyThere       a thing of this name exists
 ├── Stale              the thing moved on since it was read; carries what is there now
 ├── ReusedChange       a change of this id was made before, with other content
 ├── MovedOn            the visit was changed since it was looked at
 ├── HoldsSomething     it is not empty, and can't be deleted as if it were
 ├── ShutsOut           somebody in the middle of a visit would lose it
 ├── NeedsConsent       the client has not consented to this being kept; carries the field
 ├── Withheld           the client has not consented to this being given away
 ├── BadPicture         what was sent is no picture that can be kept; carries size and limit
 ├── MailTrouble        the mail server did not take a mail now; it is tried again
 ├── MailRefused        the mail server will never take this mail
 ├── NoAnswer           a device does not answer, or says nothing that can be used
 ├── OtherSchema        the database is not at this program's schema
 ├── NeedsServer        a device without network can't do this
 ├── BadFile            a file that can't be taken in, with lines and reasons
 └── NotReady           can't be signed yet; carries what is missing
"""

from __future__ import annotations

from collections.abc import Sequence

from ..core.language import joined, msg
from .models import Entry, FileLine, GivenAnswer, Versioned


class ServiceError(Exception):
    """Base; ``str`` is one plain sentence for the person at the screen."""


class NotSignedIn(ServiceError):
    """Nobody is signed in, or the credentials are wrong."""


class SessionLocked(ServiceError):
    """The session was locked, or left alone for too long: only the password opens it."""


class NoKey(ServiceError):
    """The key that seals secrets is missing, or can't be used."""


class NeedsCode(ServiceError):
    """The password is right; a code of the second factor is needed."""


class MustEnrol(ServiceError):
    """The practice asks for a second factor, and this member has none yet."""


def _spoken(seconds: int) -> str:
    return f"{seconds} s" if seconds < 120 else msg("{seconds} min", seconds=-(-seconds // 60))


class LockedOut(ServiceError):
    """Too many wrong passwords."""

    def __init__(self, seconds: int) -> None:
        super().__init__(msg("Too many attempts. Try again in {spoken}.", spoken=_spoken(seconds)))
        self.seconds = seconds


class WrongPassword(ServiceError):
    """The present password was asked for once more and is not right."""


class NotAllowed(ServiceError):
    """The role does not allow it."""


class OtherSchema(ServiceError):
    """The database is not at the schema that this program works with."""


class NeedsServer(ServiceError):
    """A device without network can't do this."""


class NotFound(ServiceError):
    """There is no such thing here."""


class AlreadyThere(ServiceError):
    """Another thing has this name."""


class Stale(ServiceError):
    """Somebody else changed this since it was read; ``current`` is how it stands now."""

    def __init__(self, current: Entry | GivenAnswer | Versioned) -> None:
        super().__init__(
            msg("This was changed elsewhere while you were editing. Choose which version to keep.")
        )
        self.current = current


class MovedOn(ServiceError):
    """The visit was changed since it was looked at: what would be signed is not what was seen."""


class HoldsSomething(ServiceError):
    """It can't be deleted like an empty one."""


class ShutsOut(ServiceError):
    """Somebody with an open visit would no longer find its client."""

    def __init__(self, names: Sequence[str]) -> None:
        super().__init__(
            msg(
                "{names} has an open visit with this client and will lose access to it.",
                names=joined(", ", names),
            )
        )


class BadFile(ServiceError):
    """Nothing was taken in; ``lines`` says what is wrong: line (or place), field and reason."""

    def __init__(self, words: str, lines: Sequence[FileLine | tuple[str, str, str]] = ()) -> None:
        super().__init__(words)
        self.lines = [line if isinstance(line, FileLine) else FileLine(*line) for line in lines]


class ReusedChange(ServiceError):
    """The id of a change was used before for something else."""


class NotReady(ServiceError):
    """The report lacks something it can't be signed without."""

    def __init__(self, missing: list[tuple[str, str]]) -> None:
        super().__init__(
            msg("Not ready to sign: ") + joined("; ", (words for _, words in missing)) + "."
        )
        self.missing = missing


class NeedsConsent(ServiceError):
    """Nothing was written: the consent at ``consent`` is not given."""

    def __init__(self, field: str, consent: str, words: str) -> None:
        super().__init__(words)
        self.field, self.consent = field, consent


class Withheld(ServiceError):
    """The client's consent to give this away is not there, or was withdrawn."""


class BadPicture(ServiceError):
    """Not a picture that can be kept; ``value``, ``high`` and ``unit`` where a limit is passed."""

    def __init__(
        self,
        words: str,
        *,
        value: float | None = None,
        low: float | None = None,
        high: float | None = None,
        unit: str = "",
    ) -> None:
        super().__init__(words)
        self.value, self.low, self.high, self.unit = value, low, high, unit


class NoAnswer(ServiceError):
    """The device is not there, or what it says can't be used."""


class MailTrouble(ServiceError):
    """The mail server is not there, or is busy: it is tried again."""


class MailRefused(ServiceError):
    """The mail server refuses the mail: trying again is of no use."""
