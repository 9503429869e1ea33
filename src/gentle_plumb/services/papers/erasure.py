"""The proof of an erasure."""

from __future__ import annotations

from ..models import Practice
from ..paper_models import ErasurePaper
from ..retention import REASON_SAYS, Proof, counts_in_words


def erasure_paper(practice: Practice, proof: Proof, name: str) -> ErasurePaper:
    """Return the proof; ``name`` is the client's as it is to stand on the paper: it is kept nowhere."""
    erasure = proof.erasure
    moment = practice.local(erasure.at)
    until = erasure.backups_until
    last = practice.local(until) if until is not None else None
    day = f"{moment.day} {moment:%B %Y}"
    if erasure.left_over:
        searched = f"{erasure.left_over} rows still contained it afterwards. Show this to your administrator."
    else:
        searched = "The whole database was searched afterwards: nothing was found."
    if last is None:
        backups = (
            "The program makes no backups here. Copies that were made by other means are not known to it, "
            "nor are papers and files that were handed over."
        )
    else:
        backups = (
            f"Encrypted backups made before hold it until {last.day} {last:%B %Y}, then they are deleted. "
            "Where one of them is restored, it is erased again. Papers and files that were handed over stay "
            "with those who have them."
        )
    if proof.trail_number is None:
        trail = "The entry in the activity log was not found."
    else:
        trail = (
            f"Line {proof.trail_number}, digest {proof.trail_digest}. The trail keeps that it was done, "
            "without the name."
        )
    return ErasurePaper(
        practice=practice.name,
        letterhead=practice.letterhead.splitlines(),
        call=practice.contact,
        local_wording=practice.local_wording,
        client=name,
        visited=day,
        what="Everything stored about the client"
        if erasure.what == "client"
        else "Their photos, including those in signed copies",
        reason=REASON_SAYS[erasure.reason].capitalize(),
        by=erasure.by_name,
        at=f"{day}, {moment:%H:%M}",
        counts=counts_in_words(erasure.counts),
        searched=searched,
        backups=backups,
        trail=trail,
        reference=str(erasure.id),
        signed_by=erasure.by_name,
    )
