"""Body dimensions, readings, tables, estimates, and what can't be true."""

from .catalogue import DIMENSIONS, NEEDED, TWINS, dimension, in_order
from .dimensions import SEXES, TOOLS, Dimension, DimensionFacts, MeasuredPosture, Sex, Spread, Tool
from .estimates import LEAST_CORRELATION, estimate_from_stature
from .person import Body, BodyValue, ValueSource
from .plausibility import Earlier, PlausibilityDoubt, questions
from .population import made_up_body
from .precision import Precision, precision_of
from .reading_errors import FACTORS, ReadingError, neighbours
from .readings import REPEAT_SD_FLOOR_MM, Resolved, house_error, resolve_readings
from .tables import BRITISH_ADULTS, USUAL_LUMBAR_MM, Table
