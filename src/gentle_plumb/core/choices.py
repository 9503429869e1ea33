"""Narrow text to one of a few choices, so that a checker knows what came in."""

from __future__ import annotations

from collections.abc import Iterable
from typing import TypeVar

T = TypeVar("T")


def one_of(choices: Iterable[T], value: object) -> T | None:
    """Return the choice that equals ``value``; None where there is none.

    >>> one_of(("female", "male"), "male"), one_of(("female", "male"), "")
    ('male', None)

    """
    return next((choice for choice in choices if choice == value), None)
