"""The last few answers of a function, found again by equal arguments; and equal objects made one."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from functools import wraps
from typing import Any, ParamSpec, TypeVar

P = ParamSpec("P")
R = TypeVar("R")
T = TypeVar("T")
_SHELVES: list[dict[Hashable, Any]] = []


def memoize_last(
    size: int, *, by: Callable[..., Hashable] = lambda *args, **kwargs: None
) -> Callable[[Callable[P, R]], Callable[P, R]]:
    """Keep a pure function's last answers.

    For work done again and again with most of it the same, on arguments that can't be hashed: they
    are compared, which costs next to nothing where they are the same objects.

    Parameters
    ----------
    size : int
        How many answers are kept; the latest comes first.
    by : callable, optional
        From the arguments to what the answers are kept under, ``size`` of each.

    """

    def decorate(function: Callable[P, R]) -> Callable[P, R]:
        shelf: dict[Hashable, tuple[tuple[tuple[Any, ...], dict[str, Any], R], ...]] = {}
        _SHELVES.append(shelf)

        @wraps(function)
        def answer(*args: P.args, **kwargs: P.kwargs) -> R:
            place = by(*args, **kwargs)
            kept = shelf.get(place, ())
            for one in kept:
                if one[0] == args and one[1] == kwargs:
                    return one[2]
            made = function(*args, **kwargs)
            # one assignment: threads may lose an answer to each other, never mix two up
            shelf[place] = ((args, kwargs, made), *kept[: size - 1])
            return made

        return answer

    return decorate


def _itself(made: Any) -> Any:
    return made


_last_equal = memoize_last(4, by=lambda made: type(made).__name__)(_itself)


def interned(made: T) -> T:
    """Return the object that was made before and equals this one, if it is one of the last four of its type.

    What is compared again and again afterwards is then the same object, and costs nothing to compare.
    """
    equal: T = _last_equal(made)
    return equal


def clear_caches() -> None:
    """Forget every answer: for measuring how long finding it takes."""
    for shelf in _SHELVES:
        shelf.clear()
