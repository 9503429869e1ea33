"""What got worse since the visit before: told first, with the client's own numbers."""

from __future__ import annotations

from dataclasses import dataclass

from ..intake import REGIONS
from ..record import Record, fields

RISEN = 2
"""So much stronger than at the visit before counts, of 10: less is within what people say of one day. Source: house-triage."""


@dataclass(frozen=True, kw_only=True)
class Worse:
    """One region that hurts more than it did: its label, strength then and now, 0 to 10."""

    label: str
    was: float
    now: float


def got_worse(then: Record, now: Record) -> tuple[Worse, ...]:
    """Return the regions that hurt more than at the visit before, the strongest first.

    Only what was asked about at both visits is compared.
    """
    worses = []
    for id, asked in fields.ask.discomfort.items():
        was, has = then[asked.strength], now[asked.strength]
        if was is not None and has is not None and has - was >= RISEN:
            worses.append(Worse(label=REGIONS[id].label, was=was, now=has))
    return tuple(sorted(worses, key=lambda worse: -worse.now))
