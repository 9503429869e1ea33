"""The client's own page: what a client is asked, how answers are read, and how they are sorted."""

from .answers import HABIT_OF, read_answer
from .lengths import LengthDoubt, doubtful_lengths
from .questions import (
    LENGTHS,
    ROUNDS,
    Question,
    QuestionKind,
    Round,
    Section,
    Shown,
    questions_before,
    questions_of_check,
)
from .requests import questions_of_requests
from .triage import (
    LEVELS,
    Answers,
    Before,
    Level,
    Reason,
    Verdict,
    triage_before,
    triage_check,
    triage_requests,
)
