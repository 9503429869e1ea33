"""A fit in which some things already stand where they stand: what was set, and what is left alone.

What depends on them is worked out from where they are, not from where they were meant to go: a seat left at 45
instead of 49 gives a lower footrest and a lower surface. What itself was set keeps the row it would have with
only what comes before it given, so that its target and its setting can be told from where it was left.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass, fields, replace

from ..workstation import Settings
from .case import Case, leaning_at
from .fit import fit, possible_postures, rows_alone
from .moves import moves_between
from .result import FitResult, FitRow, Posture, PostureFit

Both = tuple[Settings, Settings]
"""Settings of both postures: seated and standing."""

CHAIN = ("backrest", "seat", "surface", "distance", "screen_top")
"""What other things are worked out from, each resting on those before it."""


POSTURES: tuple[Posture, Posture] = ("seated", "standing")


@dataclass(frozen=True, kw_only=True)
class Given:
    """What stands where it stands, seated and standing.

    Parameters
    ----------
    placed : pair of Settings
        What was set, wherever that was.
    alone : pair of Settings
        What is left as it was found: stopped because it hurts, not today, declined.

    """

    placed: Both = (Settings(), Settings())
    alone: Both = (Settings(), Settings())

    @property
    def nothing(self) -> bool:
        """Whether nothing stands yet."""
        return all(settings == Settings() for settings in (*self.placed, *self.alone))

    @property
    def all(self) -> Both:
        """Everything that stands."""
        return _over(self.alone, self.placed)

    @property
    def keys(self) -> frozenset[str]:
        """The quantities that stand in either posture."""
        return frozenset(
            part.name
            for part in fields(Settings)
            if any(settings.get(part.name) is not None for settings in self.all)
        )

    def has(self, key: str) -> bool:
        """Whether a quantity stands in either posture."""
        return any(settings.get(key) is not None for settings in self.all)


@dataclass(frozen=True, kw_only=True)
class GivenFit:
    """A fit with what stands.

    ``result`` has for each quantity the row it would have by what comes before it; ``stands`` the workstation as
    it will be: what stands where it stands, and the rest set as worked out from it. ``meant`` and ``own`` are what it
    would be worked out from if nothing had been set yet.
    """

    result: FitResult
    stands: FitResult
    meant: Case
    own: Both

    @property
    def nothing_stands(self) -> bool:
        """Whether nothing was set yet, nor left alone."""
        return self.result is self.stands

    def plain_rows(self, keys: frozenset[str]) -> Mapping[Posture, Mapping[str, FitRow]]:
        """Return the rows these quantities would have if nothing had been set yet."""
        return rows_alone(
            self.meant, keys, overrule_seated=self.own[0], overrule_standing=self.own[1]
        )


def _over(first: Both, then: Both) -> Both:
    return first[0].over(then[0]), first[1].over(then[1])


def _only(settings: Both, keys: frozenset[str]) -> Both:
    seated, standing = (
        Settings(**{key: value for key in keys if (value := setting.get(key)) is not None})
        for setting in settings
    )
    return seated, standing


def _without(settings: Both, key: str) -> Both:
    cleared = {key: None}
    seated, standing = (
        replace(setting, **cleared) if hasattr(setting, key) else setting for setting in settings
    )
    return seated, standing


def fit_as_set(case: Case, *, own: Both, given: Given, meant: Case | None = None) -> GivenFit:
    """Work a case out with what stands already.

    Parameters
    ----------
    case : Case
    own : pair of Settings
        The practitioner's own numbers, seated and standing.
    given : Given
        What stands; it goes before one's own numbers.
    meant : Case, optional
        The case as it was meant before the seat stood, where what goes under the feet was chosen again since: what
        the seat itself was meant to be rests on that.

    """
    meant = meant or case
    if given.nothing:
        plain = _fit(meant, own, None)
        return GivenFit(result=plain, stands=plain, meant=meant, own=own)
    whole = _fit(case, _over(own, given.all), given.all[0].backrest)
    stands = _as_possible(case, whole, possible_postures(meant, *own))
    alone = _rows_before(case, meant, own, given)

    def row(fit_row: FitRow) -> FitRow:
        settled = given.all[0 if fit_row.posture == "seated" else 1].get(fit_row.key)
        if settled is None:
            return fit_row
        return alone.get((fit_row.posture, fit_row.key), fit_row)

    result = replace(stands, seated=_rows(stands.seated, row), standing=_rows(stands.standing, row))
    return GivenFit(result=result, stands=stands, meant=meant, own=own)


def _rows_before(
    case: Case, meant: Case, own: Both, given: Given
) -> dict[tuple[Posture, str], FitRow]:
    """The row of each quantity that stands, with only what comes before it given."""
    chain = frozenset(CHAIN)
    rows: dict[tuple[Posture, str], FitRow] = {}

    def add(case: Case, held: Both, backrest: float | None, keys: frozenset[str]) -> None:
        leans = leaning_at(case, backrest) if backrest is not None else case
        by_posture = rows_alone(leans, keys, overrule_seated=held[0], overrule_standing=held[1])
        rows.update(
            {
                (posture, key): row
                for posture, by_key in by_posture.items()
                for key, row in by_key.items()
                if key in keys
            }
        )

    beside = given.keys - chain
    if beside:
        add(case, _over(own, _only(given.all, chain)), given.all[0].backrest, beside)
    for index, key in enumerate(CHAIN):
        if given.has(key):
            before = _over(
                _without(given.alone, key), _only(given.placed, frozenset(CHAIN[:index]))
            )
            rests_on = meant if before[0].seat is None else case
            add(rests_on, _over(own, before), before[0].backrest, frozenset({key}))
    return rows


def _fit(case: Case, held: Both, backrest: float | None) -> FitResult:
    leans = leaning_at(case, backrest) if backrest is not None else case
    return fit(leans, overrule_seated=held[0], overrule_standing=held[1])


def _rows(posture: PostureFit, row: Callable[[FitRow], FitRow]) -> PostureFit:
    return replace(posture, rows=tuple(row(fit_row) for fit_row in posture.rows))


def _as_possible(
    case: Case, whole: FitResult, possible: Mapping[Posture, tuple[bool, str | None]]
) -> FitResult:
    """Return the fit with each posture possible or not as it was before anything stood."""
    seated, standing = (
        replace(whole.of(posture), possible=possible[posture][0], why_not=possible[posture][1])
        for posture in POSTURES
    )
    return replace(
        whole, seated=seated, standing=standing, moves=moves_between(case, seated, standing)
    )
