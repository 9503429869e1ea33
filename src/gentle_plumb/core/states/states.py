"""From the record and the fit to the state of everything that can be set."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field

from ..catalogue import QUANTITIES, Posture
from ..fit import TAPE_MM, FitResult, FitRow, Given
from ..plans import Added
from ..record import Record, fields
from ..record.fields.settings import ActionAnswer, ClientWord, MeasuredBy, NotToday
from ..visit import settings_left
from ..workstation import Settings
from .answers import SILENT, StepAnswers, answers_of
from .presence import is_there
from .state import Known, PieceState, StateKind

LEAST_DEG = 1.0
"""Angles and shares so near are the same to a hand, degrees or per cent. Source: house-repeat."""
ERROR = {"mm": TAPE_MM, "deg": 2.0, "%": 0.0}
"""How far off a reading may be, mm, degrees, per cent. Source: house-repeat."""
CARRIED_BY: dict[str, str] = {
    "footrest": "feet",
    "screen_top": "screen",
    "surface": "keys",
    "lumbar": "back",
    "seat": "seat",
}
"""Which slot's addition carries a thing that is set."""
BY: dict[MeasuredBy | None, Known] = {
    None: Known.MEASURED,
    MeasuredBy.HAND: Known.MEASURED,
    MeasuredBy.TAPE: Known.TAPE,
    MeasuredBy.DISPLAY: Known.DISPLAY,
}

States = Mapping[tuple[Posture, str], PieceState]
"""Every state of one place, by posture and quantity."""


@dataclass(frozen=True, kw_only=True)
class StateSources:
    """What states are told from.

    ``added`` is what the chosen plan adds, ``declared`` what fixed pieces say, ``held`` the regions that a red flag
    holds back, each with the flag.
    """

    record: Record
    result: FitResult
    place: str
    added: Sequence[Added] = ()
    declared: frozenset[str] = frozenset()
    said: Mapping[str, StepAnswers] = field(default_factory=dict)
    held: Mapping[str, str] = field(default_factory=dict)


def given_by(record: Record, found: tuple[Settings, Settings], held: Mapping[str, str]) -> Given:
    """Return what stands where it stands: what was set, and what is left alone as it was found.

    Parameters
    ----------
    record : Record
    found : pair of Settings
        As found, seated and standing.
    held : mapping
        Regions that a red flag holds back, each with the flag.

    """
    said = answers_of(record)
    placed: list[Settings] = []
    alone: list[Settings] = []
    for posture, left, was in zip(fields.work.POSTURES, settings_left(record), found, strict=True):
        set_to: dict[str, float] = {}
        stays: dict[str, float] = {}
        for key in fields.settings.setting[posture]:
            answers = said.get(f"set-{posture}-{key}", SILENT)
            value, before = left.get(key), was.get(key)
            if answers.stops or answers.put_off:
                stands = value if value is not None and not _hurt_there(answers, value) else before
                if stands is not None:
                    stays[key] = stands
            elif value is not None:
                set_to[key] = value
            elif before is not None and QUANTITIES[key].region in held:
                stays[key] = before
        placed.append(Settings(**set_to))
        alone.append(Settings(**stays))
    return Given(placed=(placed[0], placed[1]), alone=(alone[0], alone[1]))


def _hurt_there(answers: StepAnswers, value: float) -> bool:
    """Whether a number is the one at which it hurt, and not where it was put back to."""
    if not answers.stops:
        return False
    return answers.stopped_at is None or abs(answers.stopped_at - value) < LEAST_DEG


def states_of(sources: StateSources) -> States:
    """Return the state of everything that can be set at a place, seated and standing."""
    return {(state.posture, state.key): state for state in _states(sources)}


def _states(sources: StateSources) -> Iterator[PieceState]:
    left = settings_left(sources.record)
    for index, posture in enumerate(fields.work.POSTURES):
        for row in sources.result.of(posture).rows:
            if QUANTITIES[row.key].settable:
                yield _state(sources, row, left[index].get(row.key))


def settings_set(states: States) -> tuple[Settings, Settings]:
    """Return what was set, seated and standing: where somebody put it, measured or not."""
    found: tuple[dict[str, float], dict[str, float]] = {}, {}
    for (posture, key), state in states.items():
        if state.stands is not None and state.known not in (Known.FOUND, Known.DECLARED):
            found[0 if posture == "seated" else 1][key] = state.stands
    return Settings(**found[0]), Settings(**found[1])


def keys_not_measured(states: States) -> tuple[frozenset[str], frozenset[str]]:
    """Return what was set to its target and never measured, seated and standing."""
    seated, standing = (
        frozenset(
            key
            for (at, key), state in states.items()
            if at == posture and state.known == Known.UNMEASURED
        )
        for posture in fields.work.POSTURES
    )
    return seated, standing


def _state(sources: StateSources, row: FitRow, left: float | None) -> PieceState:
    said = sources.said.get(f"set-{row.posture}-{row.key}", SILENT)
    hurt = left is not None and _hurt_there(said, left)
    stopped_at = said.stopped_at if said.stopped_at is not None else left if hurt else None
    left = None if hurt else left
    kind = _kind(sources, row, said, left)
    found = row.found
    known = _known(sources, row, left) if left is not None else _as_found(sources, row)
    stands = left if left is not None else found
    if kind == StateKind.SET and left is None:
        stands, known = None, Known.EYE
    if kind in (StateKind.NOT_PRESENT, StateKind.TO_GET):
        stands, known = None, None
    needed = _needed(sources, row)
    return PieceState(
        quantity=QUANTITIES[row.key],
        posture=row.posture,
        place=sources.place,
        kind=kind,
        target=row.target,
        setting=row.setting,
        found=found,
        stands=stands,
        known=known if stands is not None or known == Known.EYE else None,
        plus_minus=ERROR[row.unit]
        if stands is not None and known not in (None, Known.UNMEASURED, Known.EYE)
        else None,
        stopped_at=stopped_at if kind == StateKind.STOPPED else None,
        remedied=row.remedy is not None,
        price=needed.price if needed is not None and kind == StateKind.TO_GET else None,
        needs=needed.label if needed is not None and kind == StateKind.TO_GET else "",
        answers=said,
        held=sources.held.get(QUANTITIES[row.key].region, "")
        if kind == StateKind.NOT_TODAY
        else "",
    )


def _kind(sources: StateSources, row: FitRow, said: StepAnswers, left: float | None) -> StateKind:
    answered = _answered(row, said, left)
    if answered is not None:
        return answered
    stays = (
        row.found is not None
        and row.setting is not None
        and abs(row.setting - row.found) <= least_change(row)
    )
    if QUANTITIES[row.key].region in sources.held and not stays:
        return StateKind.NOT_TODAY
    there = is_there(sources.record, row.key)
    if _needed(sources, row) is not None:
        return StateKind.TO_GET
    if there is False and not _carried(sources, row):
        return StateKind.NOT_PRESENT
    if row.remedy is not None:
        return StateKind.TARGET
    if row.setting is None:
        return StateKind.NOT_RECORDED if row.found is None else StateKind.AS_FOUND
    if stays:
        return StateKind.AS_FOUND
    may_be_missing = QUANTITIES[row.key].there == "footrest"
    if there is None and may_be_missing and not _carried(sources, row):
        return StateKind.TO_GET if row.setting else StateKind.NOT_PRESENT
    unseen = there is None and row.found is None and not may_be_missing
    return StateKind.NOT_RECORDED if unseen else StateKind.TARGET


def _answered(row: FitRow, said: StepAnswers, left: float | None) -> StateKind | None:
    """Return the state that somebody's answer or number makes; None where nobody has said or set anything."""
    if said.word == ClientWord.HURTS:
        return StateKind.STOPPED
    if said.because == NotToday.UNWANTED:
        return StateKind.DECLINED
    if said.put_off:
        return StateKind.NOT_TODAY
    by_eye = said.state == ActionAnswer.DONE and (row.setting is None or row.remedy is not None)
    return StateKind.SET if left is not None or by_eye else None


def least_change(row: FitRow) -> float:
    """Return the change below which a thing stays as it was found, in its unit."""
    return TAPE_MM if row.unit == "mm" else LEAST_DEG


def _needed(sources: StateSources, row: FitRow) -> Added | None:
    """Return what has to be got before a thing can be set; None where nothing has, or it is there by now."""
    slot = CARRIED_BY.get(row.key)
    for added in sources.added:
        elsewhere = row.posture == "seated" and added.id.endswith("_standing")
        if elsewhere or added.slot != slot or added.price == "nothing":
            continue
        answers = sources.said.get(f"add-{added.id}", SILENT)
        if answers.state != ActionAnswer.DONE:
            return added
    return None


def _carried(sources: StateSources, row: FitRow) -> bool:
    """Whether the plan carries a thing with what is in the room already: a stack under the feet."""
    slot = CARRIED_BY.get(row.key)
    return any(added.slot == slot for added in sources.added)


def _known(sources: StateSources, row: FitRow, left: float) -> Known:
    asked = fields.settings.setting[row.posture][row.key]
    if asked.measured not in sources.record:
        return Known.UNMEASURED
    return BY[sources.record[asked.by]]


def _as_found(sources: StateSources, row: FitRow) -> Known | None:
    if row.found is None:
        return None
    both = row.posture == "seated" or row.key == "surface"
    return Known.DECLARED if both and row.key in sources.declared else Known.FOUND
