"""A limit that holds for one person: because of what, whom to ask, and with which figure."""

from __future__ import annotations

from dataclasses import dataclass

from ..language import and_list, msg, or_list
from .figures import FIGURES, says_of
from .limits import LIMITS, Limit, LimitId


@dataclass(frozen=True, kw_only=True)
class LimitInForce:
    """A limit that holds: ``because`` of which conditions, whom to ask, the figure a clinician set, in the limit's unit."""

    id: LimitId
    because: tuple[str, ...]
    ask: tuple[str, ...]
    figure: float | None = None

    @property
    def limit(self) -> Limit:
        """What it is."""
        return LIMITS[self.id]

    @property
    def says(self) -> str:
        """What is kept to, with its figure."""
        return says_of(self.id, self.figure)

    @property
    def at_work(self) -> str:
        """What the workplace is told, with its figure; empty where it needs to know nothing."""
        if self.figure is None or not self.limit.at_work:
            return self.limit.at_work
        return FIGURES[self.id].at_work.format(figure=f"{self.figure:g}")

    @property
    def reason(self) -> str:
        """The limit with its conditions and whom to ask, in one sentence each."""
        ask = or_list(dict.fromkeys(self.ask))
        return msg(
            "{says} {because}: ask the {ask}.",
            says=self.says,
            because=and_list(self.because),
            ask=ask,
        )
