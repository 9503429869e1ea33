"""A drill for learners: a made-up client, a reading with error, and what to do about it."""

from .exercise import ANSWERS, Answer, Chance, Exercise, Verdict, exercise, judge, told

__all__ = ["ANSWERS", "Answer", "Chance", "Exercise", "Verdict", "exercise", "judge", "told"]
