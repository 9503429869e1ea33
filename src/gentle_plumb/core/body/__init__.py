"""Body dimensions, readings, estimates and what can't be true."""

from .dimensions import DIMENSIONS, NEEDED, Dimension, Sex, dimension
from .estimates import Estimate, estimate_from_stature
from .person import Body, BodyValue
from .plausibility import Question, questions
from .readings import Resolved, resolve_readings

__all__ = [
    "DIMENSIONS", "NEEDED", "Body", "BodyValue", "Dimension", "Estimate", "Question", "Resolved",
    "Sex", "dimension", "estimate_from_stature", "questions", "resolve_readings",
]  # fmt: skip
