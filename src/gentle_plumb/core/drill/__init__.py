"""A drill for learners: a made-up client, a reading with error or a place to set up, and what to do."""

from .exercise import Answer, Chance, Exercise, Verdict, exercise, judge, told
from .set_up import SetUpKind, SetUpQuestion, set_up_question
