"""Answers of pure functions, kept with the visit they were worked out for and gone when it is."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from functools import lru_cache, wraps
from typing import Any, Concatenate, ParamSpec, Protocol, TypeVar, cast

P = ParamSpec("P")
R = TypeVar("R")
T = TypeVar("T")
MOST_HASHED = 4096
"""How many answers of one function are kept by the hash of its arguments. Source: house-chain."""
EQUAL_KEPT = 4
"""How many objects of a type are looked at for an equal one. Source: house-chain."""


class Reuse:
    """The answers of one visit's analysis.

    Nothing of a body is kept in a module: a visit's input and its case carry one of these, copies
    made with ``replace`` share it, and it ends with the last of them.
    """

    def __init__(self) -> None:
        self._last: dict[Hashable, tuple[tuple[tuple[Any, ...], dict[str, Any], Any], ...]] = {}
        self._hashed: dict[Callable[..., Any], Callable[..., Any]] = {}

    def last(
        self,
        size: int,
        place: Hashable,
        function: Callable[P, R],
        *args: P.args,
        **kwargs: P.kwargs,
    ) -> R:
        """Answer from the last ``size`` answers of a place, the latest first, or by working it out.

        For arguments that can't be hashed: they are compared, which costs next to nothing where
        they are the same objects.
        """
        kept = self._last.get(place, ())
        for before in kept:
            if before[0] == args and before[1] == kwargs:
                return cast("R", before[2])
        answer = function(*args, **kwargs)
        # one assignment: threads may lose an answer to each other, never mix two up
        self._last[place] = ((args, kwargs, answer), *kept[: size - 1])
        return answer

    def hashed(self, function: Callable[P, R], size: int = MOST_HASHED) -> Callable[P, R]:
        """Return the function with its answers kept by the hash of its arguments."""
        kept = self._hashed.get(function)
        if kept is None:
            kept = self._hashed[function] = lru_cache(size)(function)
        return cast("Callable[P, R]", kept)

    def equal(self, value: T) -> T:
        """Return an equal object from before, if there is one among the last of its type.

        What is compared again and again afterwards is then the same object.
        """
        return self.last(EQUAL_KEPT, type(value).__qualname__, _itself, value)


def _itself(value: T) -> T:
    return value


class HasReuse(Protocol):
    """What carries the answers of its visit: a case, a visit's input, a search's model."""

    @property
    def reuse(self) -> Reuse: ...


H = TypeVar("H", bound=HasReuse)


def reuse_last(
    size: int,
) -> Callable[[Callable[Concatenate[H, P], R]], Callable[Concatenate[H, P], R]]:
    """Keep a function's last ``size`` answers with the visit that its first argument belongs to."""

    def decorate(function: Callable[Concatenate[H, P], R]) -> Callable[Concatenate[H, P], R]:
        def answer(owner: H, /, *args: P.args, **kwargs: P.kwargs) -> R:
            return owner.reuse.last(size, function, function, owner, *args, **kwargs)

        return cast("Callable[Concatenate[H, P], R]", wraps(function)(answer))

    return decorate


def reuse_hashed(function: Callable[[H], R]) -> Callable[[H], R]:
    """Keep a function's answers, by the hash of its one argument, with the visit that belongs to."""

    @wraps(function)
    def answer(owner: H) -> R:
        return owner.reuse.hashed(function)(owner)

    return answer
