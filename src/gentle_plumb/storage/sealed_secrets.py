"""Secrets that are opened again and again, and must not be readable in the database or in a copy of it.

A sealed secret is an age file (armoured), so that it can be opened without this program too.
"""

from __future__ import annotations

import os
from collections.abc import Callable
from contextlib import suppress
from pathlib import Path

import pyrage
from pyrage import x25519
from sqlalchemy import Engine, select, update

from ..core.language import filled, msg
from ..services.errors import NoKey
from .tables import MEMBER

ARMOUR = "-----BEGIN AGE ENCRYPTED FILE-----"


class AgeSecrets:
    """The Secrets port, with its key in a file.

    Parameters
    ----------
    path : Path
        Where the key is, or is made with the first secret.
    in_use : callable
        Whether something is sealed already: no second key is then made in place of a missing one.

    """

    def __init__(self, path: Path, in_use: Callable[[], bool]) -> None:
        self._path, self._in_use = path, in_use
        self._key: x25519.Identity | None = None

    def seal(self, secret: str) -> str:
        key = self._held() or self._made()
        sealed: bytes = pyrage.encrypt(secret.encode(), [key.to_public()], armored=True)
        return sealed.decode()

    def opened(self, sealed: str) -> str | None:
        key = self._held()
        if key is None:
            return None
        try:
            secret: bytes = pyrage.decrypt(sealed.encode(), [key])
        except pyrage.DecryptError:
            return None
        return secret.decode()

    def _held(self) -> x25519.Identity | None:
        if self._key is None and self._path.exists():
            try:
                self._key = x25519.Identity.from_str(self._path.read_text().strip())
            except (OSError, pyrage.IdentityError) as error:
                raise NoKey(
                    msg("The key {name} can’t be used: {error}", name=self._path.name, error=error)
                ) from None
        return self._key

    def _made(self) -> x25519.Identity:
        if self._in_use():
            raise NoKey(
                msg(
                    "The key file {name} is missing, and existing second factors need it. Ask your administrator to restore it from its copy.",
                    name=self._path.name,
                )
            )
        self._path.parent.mkdir(parents=True, exist_ok=True)
        half = self._path.with_name(f"{self._path.name}.{os.getpid()}")
        try:
            half.touch(mode=0o600)
            half.write_text(filled("{generate}\n", generate=x25519.Identity.generate()))
            with suppress(FileExistsError):
                os.link(half, self._path)  # of two at once, one makes the key
        except OSError as error:
            raise NoKey(
                msg(
                    "The key {name} can’t be kept: {strerror}.",
                    name=self._path.name,
                    strerror=error.strerror,
                )
            ) from None
        finally:
            half.unlink(missing_ok=True)
        held = self._held()
        assert held is not None
        return held


def secrets_in(engine: Engine, path: Path) -> AgeSecrets:
    """What seals the secrets of a database."""

    def in_use() -> bool:
        sealed = MEMBER.c.sealed_totp.startswith(ARMOUR)
        with engine.connect() as connection:
            return (
                connection.execute(select(MEMBER.c.id).where(sealed).limit(1)).first() is not None
            )

    return AgeSecrets(path, in_use)


def seal_what_is_open(engine: Engine, secrets: AgeSecrets) -> int:
    """Seal what an earlier version, or a backup of one, kept open; how many there were."""
    column = MEMBER.c.sealed_totp
    open_ones = select(MEMBER.c.id, column).where(column != "", ~column.startswith(ARMOUR))
    with engine.begin() as connection:
        found = connection.execute(open_ones.with_for_update()).all()
        for id, secret in found:
            change = update(MEMBER).where(MEMBER.c.id == id)
            connection.execute(change.values(sealed_totp=secrets.seal(secret)))
    return len(found)
