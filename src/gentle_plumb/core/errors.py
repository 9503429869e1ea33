"""Errors of the core, with fields a caller can act on.

PlumbError
 ├── UnreadableValue     what was typed is no number, length, date … of the field's kind
 ├── AmbiguousValue      what was typed can be read in more than one way
 ├── ValueOutOfRange     readable, but outside the field's range
 ├── UnknownName         a key, dimension or choice that does not exist
 ├── MissingInput        something a formula needs is not recorded
 │    └── MissingDimension   … namely a body dimension
 └── OutOfReach          no joint angle can bring the hand to that height
"""

from __future__ import annotations


class PlumbError(Exception):
    """Base of every error the core raises on purpose."""


class FieldError(PlumbError):
    """An error about one named field.

    Parameters
    ----------
    field : str
        Identifier of the field.
    value : str
        What was given, as it was given.
    message : str
        One plain sentence that names field, value, range and unit.
    low, high : float, optional
        Ends of the allowed range, in ``unit``.
    unit : str
        Unit of the range; empty where there is none.
    choices : tuple of str
        What may have been meant, each ready to be typed instead.
    belongs : str
        The field it may belong to; empty where none suggests itself.

    """

    def __init__(
        self,
        *,
        field: str,
        value: str,
        message: str,
        low: float | None = None,
        high: float | None = None,
        unit: str = "",
        choices: tuple[str, ...] = (),
        belongs: str = "",
    ) -> None:
        super().__init__(message)
        self.field = field
        self.value = value
        self.message = message
        self.low = low
        self.high = high
        self.unit = unit
        self.choices = choices
        self.belongs = belongs


class UnreadableValue(FieldError):
    """What was typed can't be read as the kind of value the field holds."""


class AmbiguousValue(FieldError):
    """What was typed can be read in more than one way; ``choices`` are the ways."""


class ValueOutOfRange(FieldError):
    """The value was read, but lies outside the range of the field."""


class UnknownName(FieldError):
    """A field, dimension or choice of this name does not exist."""


class MissingInput(PlumbError):
    """A formula needs something that is not recorded. Unknown is not zero.

    Parameters
    ----------
    what : str
        Identifier of what is missing.
    reason : str
        One plain sentence for the practitioner.

    """

    def __init__(self, what: str, reason: str) -> None:
        super().__init__(reason)
        self.what = what
        self.reason = reason


class MissingDimension(MissingInput):
    """A body dimension is neither measured nor can be estimated."""


class OutOfReach(PlumbError):
    """The forearm is too short to bring the hand to the wanted height at any elbow angle."""
