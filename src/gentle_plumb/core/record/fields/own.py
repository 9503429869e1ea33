"""The practitioner's word on each finding, and findings of their own; ``*`` is the identifier."""

from __future__ import annotations

from .field import YES, Field, choice, words

SEVERITIES = {"slight": "Slight", "marked": "Marked", "strong": "Strong"}

DECISIONS: tuple[Field, ...] = (
    choice(
        "work.finding.*.verdict",
        "Findings",
        "Verdict",
        {"accepted": "Accepted", "dismissed": "Dismissed"},
        section="findings",
    ),
    words("work.finding.*.words", "Findings", "In my own words", section="findings", health=True),
    words("work.finding.*.reason", "Findings", "Why dismissed", section="findings", health=True),
    choice(
        "work.finding.*.workplace",
        "Findings",
        "My words on the workplace's paper, too",
        YES,
        section="findings",
    ),
    words("work.own.*.title", "Findings", "What I found", section="findings", health=True),
    words("work.own.*.why", "Findings", "Why it matters", section="findings", health=True),
    words("work.own.*.do", "Findings", "What to do", section="findings", health=True),
    choice("work.own.*.severity", "Findings", "Severity", SEVERITIES, section="findings"),
    choice(
        "set.action.*.state",
        "Actions",
        "State",
        {"done": "Done", "later": "Not today"},
        section="actions",
    ),
    choice(
        "work.own.*.workplace", "Findings", "On the workplace's paper, too", YES, section="findings"
    ),
)
