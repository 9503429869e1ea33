"""Codes of an authenticator as a second factor (RFC 6238), and recovery codes for when it is lost."""

from __future__ import annotations

import hashlib
import hmac
import secrets
from datetime import datetime

import pyotp

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
    given = "".join(code.split())
    if len(given) != 6 or not given.isascii() or not given.isdigit():
        return None
    here = int(now.timestamp()) // STEP_S
    totp = pyotp.TOTP(secret)
    for step in range(here - DRIFT, here + DRIFT + 1):
        if step > last and hmac.compare_digest(totp.at(step * STEP_S), given):
            return step
    return None


def new_recovery() -> tuple[list[str], tuple[str, ...]]:
    """Return codes that each open once, as they are shown this once, and as they are kept."""
    codes = [f"{secrets.token_hex(5)}-{secrets.token_hex(5)}" for _ in range(RECOVERY_CODES)]
    return codes, tuple(recovery_hash(code) for code in codes)


def recovery_hash(code: str) -> str:
    """What is kept of a recovery code: it has 80 bits of chance, so a quick digest is enough."""
    return hashlib.sha256("".join(code.lower().split()).encode()).hexdigest()
