"""Where every constant comes from: one key each, so that a number can be traced.

A *published* source is a standard or a book; a *house* value is this project's own choice
and says why it was chosen. Rules, targets and tables name these keys only.
"""

from .house_fit import HOUSE_FIT
from .house_visit import HOUSE_VISIT
from .published import PUBLISHED
from .source import Source

SOURCES: dict[str, Source] = {**PUBLISHED, **HOUSE_FIT, **HOUSE_VISIT}

__all__ = ["SOURCES", "Source"]
