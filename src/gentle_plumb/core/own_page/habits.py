"""What a client's answer drafts as a habit that was seen, until the practitioner has looked."""

from __future__ import annotations

HABIT_OF: dict[str, str] = {
    "feet": "feet_hanging",
    "back": "back_free",
    "shoulders": "shoulders_raised",
    "wrists": "wrist_back",
    "mouse": "elbow_out",
    "screen_front": "head_turned",
    "text": "head_ahead",
    "phone": "phone_shoulder",
}
"""What a no to a question about the workstation drafts as seen, until the practitioner has looked. Source: house-self-check."""
