"""Consents: each on its own, dated by its entry, and withdrawn with effect."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, kw_only=True)
class Consent:
    """``effect`` is what withdrawing does, in the words of the question asked before it."""

    id: str
    label: str
    says: str
    effect: str


CONSENTS: dict[str, Consent] = {
    consent.id: consent
    for consent in (
        Consent(
            id="notes",
            label="To keep health notes",
            says="Reason, discomfort, conditions, and whatever is written in own words.",
            effect="All health notes and everything in own words in this visit are erased, here "
            "and in its history. Reports signed before stay as they were signed.",
        ),
        Consent(
            id="photographs",
            label="To take and keep photographs",
            says="Side and rear views, kept here and shown only inside this practice.",
            effect="All photographs of this visit and the points on them are erased.",
        ),
        Consent(
            id="workplace",
            label="To give the workplace a copy",
            says="Without symptoms, conditions, photographs or reasons of health.",
            effect="No workplace copy can be made or opened any more.",
        ),
    )
}
