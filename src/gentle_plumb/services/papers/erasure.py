"""The proof of an erasure."""

from __future__ import annotations

from ...core.language import filled, msg, numeral, spoken_day
from ..models import Practice
from ..paper_models import ErasurePaper
from ..retention import REASON_SAYS, Proof, counts_in_words


def erasure_paper(practice: Practice, proof: Proof, name: str) -> ErasurePaper:
    """Return the proof; ``name`` is the client's as it is to stand on the paper: it is kept nowhere."""
    erasure = proof.erasure
    moment = practice.local(erasure.at)
    until = erasure.backups_until
    last = practice.local(until) if until is not None else None
    day = spoken_day(moment.date())
    if erasure.left_over:
        searched = msg(
            "{left_over} rows still contained it afterwards. Show this to your administrator.",
            left_over=erasure.left_over,
        )
    else:
        searched = msg("The whole database was searched afterwards: nothing was found.")
    if last is None:
        backups = msg(
            "The program makes no backups here. Copies that were made by other means are not known to it, nor are papers and files that were handed over."
        )
    else:
        backups = msg(
            "Encrypted backups made before hold it until {day}, then they are deleted. Where one of them is restored, it is erased again. Papers and files that were handed over stay with those who have them.",
            day=spoken_day(last.date()),
        )
    if proof.trail_number is None:
        trail = msg("The entry in the activity log was not found.")
    else:
        trail = msg(
            "Line {trail_number}, digest {trail_digest}. The trail keeps that it was done, without the name.",
            trail_number=proof.trail_number,
            trail_digest=proof.trail_digest,
        )
    return ErasurePaper(
        practice=practice.name,
        letterhead=practice.letterhead.splitlines(),
        call=practice.contact,
        local_wording=practice.local_wording,
        client=name,
        visited=day,
        what=msg("Everything stored about the client")
        if erasure.what == "client"
        else msg("Their photos, including those in signed copies"),
        reason=REASON_SAYS[erasure.reason].capitalize(),
        by=erasure.by_name,
        at=filled("{day}, {moment}", day=day, moment=numeral(f"{moment:%H:%M}")),
        counts=counts_in_words(erasure.counts),
        searched=searched,
        backups=backups,
        trail=trail,
        reference=str(erasure.id),
        signed_by=erasure.by_name,
    )
