"""Where practitioners disagree: each question with its positions, and the reason for each."""

from .hands import HANDS
from .question import PolicyOption, PolicyQuestion
from .screens import SCREENS
from .seating import SEATING
from .work import WORK

_ORDER = (
    "first",
    "keep",
    "elbow",
    "back",
    "thighs",
    "knee_gap",
    "lumbar",
    "armrests",
    "forearms",
    "screen_height",
    "screen_distance",
    "two_screens",
    "lower_lens",
    "phone_side",
    "rhythm",
    "neck_rest",
    "temporary",
)
"""As they are asked."""

POLICY_QUESTIONS: dict[str, PolicyQuestion] = {
    question.id: question
    for question in sorted(
        (*SEATING, *HANDS, *SCREENS, *WORK), key=lambda one: _ORDER.index(one.id)
    )
}

__all__ = ["POLICY_QUESTIONS", "PolicyOption", "PolicyQuestion"]
