"""Where practitioners disagree about the rhythm of work and makeshifts."""

from __future__ import annotations

from ...pace import RHYTHMS
from .question import PolicyQuestion, option

WORK = (
    PolicyQuestion(
        id="rhythm",
        label="Rhythm",
        default="by_desk",
        targets=("rhythm",),
        positions=(
            option(
                "by_desk",
                "20-8-2 if the desk allows, otherwise up every 30 min",
                "Short cycles that people can keep up all day.",
                rhythm="",
            ),
            *(option(one.id, one.label, one.says, rhythm=one.id) for one in RHYTHMS.values()),
        ),
    ),
    PolicyQuestion(
        id="temporary",
        label="Temporary set-ups",
        default="marked",
        positions=(
            option(
                "marked",
                "Allowed, marked as temporary with a review date",
                "A workable set-up now beats a perfect one later.",
                temporary="marked",
            ),
            option(
                "dated",
                "Only with an end date",
                "Without an end date, temporary becomes permanent.",
                temporary="dated",
            ),
            option("never", "Not at all", "Stacks slip.", temporary="never"),
        ),
    ),
)
