"""The last answers of a function."""

from gentle_plumb.core.memoize import interned, memoize_last
from gentle_plumb.core.workstation import Settings


def test_equal_arguments_are_answered_once_and_the_oldest_is_forgotten() -> None:
    worked: list[tuple[str, int]] = []

    @memoize_last(2, by=lambda name, sizes: name)
    def total(name: str, sizes: dict[str, int]) -> int:
        worked.append((name, sum(sizes.values())))
        return sum(sizes.values())

    for name, size in (("a", 1), ("a", 1), ("b", 1), ("a", 2), ("a", 1)):
        assert total(name, {"x": size}) == size
    assert worked == [("a", 1), ("b", 1), ("a", 2)]
    total("a", {"x": 3})
    total("a", {"x": 1})
    assert worked[3:] == [("a", 3), ("a", 1)]  # two of each are kept, first in, first out


def test_equal_things_become_the_same_thing() -> None:
    first, again, other = (Settings(seat=seat) for seat in (460.0, 460.0, 470.0))
    assert interned(first) is interned(again)
    assert interned(other) is other
