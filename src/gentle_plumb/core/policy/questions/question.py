"""A question where practitioners disagree, and its positions."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

from ...errors import UnknownName


@dataclass(frozen=True, kw_only=True)
class PolicyOption:
    """One answer: what it says, why its followers hold it, and the policy fields it sets."""

    id: str
    label: str
    why: str
    sets: Mapping[str, float | str | bool] = field(default_factory=dict)


@dataclass(frozen=True, kw_only=True)
class PolicyQuestion:
    """One disagreement. ``targets`` are the rows it moves; ``standing`` whether it does so there too."""

    id: str
    label: str
    positions: tuple[PolicyOption, ...]
    default: str
    targets: tuple[str, ...] = ()
    standing: bool = False

    def position(self, id: str) -> PolicyOption:
        """The position of this name; raises UnknownName."""
        for one in self.positions:
            if one.id == id:
                return one
        raise UnknownName(
            field=self.id,
            value=id,
            choices=tuple(one.id for one in self.positions),
            message=f"{self.label}: there is no “{id}”; one of "
            f"{', '.join(one.id for one in self.positions)}",
        )


def option(id: str, label: str, why: str, **sets: float | str | bool) -> PolicyOption:
    """Return a position; ``sets`` are fields of the policy."""
    return PolicyOption(id=id, label=label, why=why, sets=sets)
