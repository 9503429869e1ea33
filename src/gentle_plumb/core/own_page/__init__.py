"""The client's own page: what a client is asked, how answers are read, and how they are sorted."""

from .habits import HABIT_OF
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
from .reading import read_answer
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
