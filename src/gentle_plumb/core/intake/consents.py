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
            says="Side and rear views, stored here and seen only by this practice.",
            effect="All photos from this visit and their points are erased.",
        ),
        Consent(
            id="workplace",
            label="To send the workplace a copy",
            says="Without symptoms, conditions, photos or health-related reasons.",
            effect="Workplace copies can no longer be created or opened.",
        ),
    )
}
