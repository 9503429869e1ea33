"""Body dimensions, readings, tables, estimates, and what can't be true."""

from .catalogue import DIMENSIONS, NEEDED, TWINS, dimension, in_order
from .dimensions import SEXES, TOOLS, Dimension, MeasuredPosture, Sex, Spread, Tool
from .estimates import LEAST_CORRELATION, Estimate, estimate_from_stature
from .person import Body, BodyValue, ValueSource
from .plausibility import Earlier, Question, questions
from .population import made_up_body
from .precision import Precision, precision_of
from .readings import REPEAT_SD_FLOOR_MM, Resolved, house_error, resolve_readings
from .slips import FACTORS, Slip, neighbours
from .tables import BRITISH_ADULTS, Table

__all__ = [
    "BRITISH_ADULTS",
    "DIMENSIONS",
    "FACTORS",
    "LEAST_CORRELATION",
    "NEEDED",
    "REPEAT_SD_FLOOR_MM",
    "SEXES",
    "TOOLS",
    "TWINS",
    "Body",
    "BodyValue",
    "Dimension",
    "Earlier",
    "Estimate",
    "MeasuredPosture",
    "Precision",
    "Question",
    "Resolved",
    "Sex",
    "Slip",
    "Spread",
    "Table",
    "Tool",
    "ValueSource",
    "dimension",
    "estimate_from_stature",
    "house_error",
    "in_order",
    "made_up_body",
    "neighbours",
    "precision_of",
    "questions",
    "resolve_readings",
]
