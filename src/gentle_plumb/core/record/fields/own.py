"""The practitioner's word on each finding, and findings of their own; ``*`` is the identifier."""

from __future__ import annotations

from .field import Field, choice, words

SEVERITIES = {"slight": "Slight", "marked": "Marked", "strong": "Strong"}

DECISIONS: tuple[Field, ...] = (
    choice("work.finding.*.verdict", "Findings", "Verdict",
           {"accepted": "Accepted", "dismissed": "Dismissed"}, section="findings"),
    words("work.finding.*.words", "Findings", "In my own words", section="findings"),
    words("work.finding.*.reason", "Findings", "Why dismissed", section="findings"),
    words("work.own.*.title", "Findings", "What I found", section="findings"),
    words("work.own.*.why", "Findings", "Why it matters", section="findings"),
    words("work.own.*.do", "Findings", "What to do", section="findings"),
    choice("work.own.*.severity", "Findings", "Severity", SEVERITIES, section="findings"),
    choice("work.own.*.health", "Findings", "For the client's copy only", {"yes": "Yes", "no": "No"},
           section="findings"),
)  # fmt: skip
