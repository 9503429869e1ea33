"""What is off, why it matters, what to do; and what it adds up to."""

from .causes import Cause, Causes, causes_of
from .facts import Discomfort, Facts
from .finding import Direction, Finding, grade
from .judge import findings
from .rules import RULES
from .settings import effect_of
from .strain import Strain, strain_by_region
