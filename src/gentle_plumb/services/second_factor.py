"""Codes of an authenticator as a second factor (RFC 6238), and recovery codes for when it is lost."""

from __future__ import annotations

import hashlib
import hmac
import secrets
from dataclasses import replace
from datetime import datetime

import pyotp

from ..core.language import msg
from .account_ports import Accounts, Secrets
from .errors import NeedsCode, NoKey, NotAllowed, NotSignedIn
from .models import Member
from .ports import Clock

STEP_S = 30
"""How long a code stands, s (RFC 6238, 5.2)."""
DRIFT = 1
"""So many steps before and after count as well: clocks differ (RFC 6238, 5.2)."""
RECOVERY_CODES = 10
ISSUER = "Gentle Plumb"


def new_secret() -> str:
    """A secret for an authenticator, base 32, 160 bits."""
    return pyotp.random_base32()


def address_of(secret: str, email: str) -> str:
    """What an authenticator scans: the secret with whose it is."""
    return pyotp.TOTP(secret).provisioning_uri(name=email, issuer_name=ISSUER)


def step_of(secret: str, code: str, now: datetime, last: int) -> int | None:
    """Return the step whose code was given; None for a wrong code, and for one that was used before.

    Parameters
    ----------
    secret, code : str
    now : datetime
    last : int
        The step of the code that was taken last: none up to it counts again.

    """
    text = "".join(code.split())
    if len(text) != 6 or not text.isascii() or not text.isdigit():
        return None
    here = int(now.timestamp()) // STEP_S
    totp = pyotp.TOTP(secret)
    for step in range(here - DRIFT, here + DRIFT + 1):
        if step > last and hmac.compare_digest(totp.at(step * STEP_S), text):
            return step
    return None


def new_recovery() -> tuple[list[str], tuple[str, ...]]:
    """Return codes that each open once, as they are shown this once, and as they are kept."""
    codes = [f"{secrets.token_hex(5)}-{secrets.token_hex(5)}" for _ in range(RECOVERY_CODES)]
    return codes, tuple(recovery_hash(code) for code in codes)


def recovery_hash(code: str) -> str:
    """What is kept of a recovery code: it has 80 bits of chance, so a quick digest is enough."""
    return hashlib.sha256("".join(code.lower().split()).encode()).hexdigest()


class _NoSecrets:
    """Where nothing is to be sealed, nothing can be opened."""

    def seal(self, secret: str) -> str:
        raise NoKey(msg("Two-step sign-in is not available here."))

    def opened(self, sealed: str) -> str | None:
        return None


class SecondFactors:
    """Offers, keeps, asks for and drops second factors; without ``secrets`` none can be kept, and none opens."""

    def __init__(self, accounts: Accounts, clock: Clock, secrets: Secrets | None) -> None:
        self._accounts, self._clock = accounts, clock
        self._secrets = secrets or _NoSecrets()

    def take_code(self, member: Member, code: str) -> None:
        """Use a code, or a recovery code, up: each opens once, also when it is sent twice at once.

        Raises NeedsCode, NotSignedIn.
        """
        if not code.strip():
            raise NeedsCode(msg("Enter the code from your authenticator app, or a recovery code."))
        secret = self._secrets.opened(member.sealed_totp)
        step = step_of(secret, code, self._clock(), member.totp_last) if secret else None
        if step is not None and self._accounts.take_code(member.id, step):
            return
        if self._accounts.take_recovery(member.id, recovery_hash(code)):
            return
        raise NotSignedIn(
            msg("Wrong code, or already used. Wait for the next one.")
            if secret
            else msg(
                "Codes can’t be checked: a key file is missing from the server. Use a recovery code and contact your administrator."
            )
        )

    def offer(self, member: Member) -> tuple[str, str]:
        """A new secret and the address that an authenticator scans."""
        secret = new_secret()
        return secret, address_of(secret, member.email)

    def keep(self, member: Member, secret: str, code: str) -> list[str]:
        """Keep a second factor once its first code is right; recovery codes. Raises NotAllowed, NoKey."""
        step = step_of(secret, code, self._clock(), 0)
        if step is None:
            raise NotAllowed(msg("Wrong code. Check that your phone’s clock is right."))
        codes, kept = new_recovery()
        sealed = self._secrets.seal(secret)
        self._accounts.change_member(
            replace(member, sealed_totp=sealed, totp_last=step, recovery=kept)
        )
        return codes

    def drop(self, member: Member) -> None:
        """Take a second factor away, with its recovery codes."""
        self._accounts.change_member(replace(member, sealed_totp="", totp_last=0, recovery=()))
