"""Answers that are one of a few: enumerations whose members are their own wire text."""

from __future__ import annotations

from collections.abc import Iterable
from enum import StrEnum
from typing import Self, TypeVar

from .language import msg

T = TypeVar("T")


class Choice(StrEnum):
    """One answer of a few: equals its wire text, and carries the label it is offered with.

    >>> YesNo.YES == "yes", YesNo.YES.label
    (True, 'Yes')

    """

    label: str

    def __new__(cls, value: str, label: str) -> Self:
        """Make a member of its wire text and label."""
        member = str.__new__(cls, value)
        member._value_ = value
        member.label = label
        return member

    @classmethod
    def labels(cls) -> dict[str, str]:
        """Return the wire text of each answer with its label, in the order they are offered.

        >>> YesNo.labels()
        {'yes': 'Yes', 'no': 'No'}

        """
        return {str(member): member.label for member in cls}


class YesNo(Choice):
    """A question that is answered yes or no."""

    YES = "yes", msg("Yes")
    NO = "no", msg("No")


class Hand(Choice):
    """The client's left or right."""

    LEFT = "left", msg("Left")
    RIGHT = "right", msg("Right")

    @property
    def other(self) -> Hand:
        """The one on the other side."""
        return Hand.LEFT if self == Hand.RIGHT else Hand.RIGHT


def one_of(choices: Iterable[T], value: object) -> T | None:
    """Return the choice that equals ``value``; None where there is none.

    >>> one_of(("female", "male"), "male"), one_of(("female", "male"), "")
    ('male', None)

    """
    return next((choice for choice in choices if choice == value), None)
