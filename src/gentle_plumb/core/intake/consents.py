"""Consents: each on its own, dated by its entry, and withdrawn with effect."""

from __future__ import annotations

from dataclasses import dataclass

from ..language import Words
from ..tables import entries_of


@dataclass(frozen=True, kw_only=True)
class Consent:
    """``effect`` is what withdrawing does, in the words of the question asked before it."""

    id: str
    label: Words
    says: Words
    effect: Words


CONSENTS: dict[str, Consent] = entries_of(Consent, __package__, "consents.toml")
