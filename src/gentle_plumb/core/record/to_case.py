"""From the entries of a visit to a case for the fit."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace

from ..body import Sex
from ..catalogue import QUANTITIES, TASKS
from ..choices import one_of
from ..fit import Case
from ..fit.case import Lens, with_declared
from ..intake.limits import person_limits
from ..observation import HABIT_OFTEN, HABITS, SIDES
from ..photo import LANDMARKS, Photo
from ..policy import Policy, RuleSet, policy_of, standing_policy_of, with_values
from ..workstation import HANDS, USES, Details, Screen, Settings, SideScreen
from ..workstation.equipment import ASPECTS, LAPTOP_PICTURE_HEIGHT_MM
from .fields import NUMBERS, SCREEN_IDS
from .to_body import HOUSE, Entries, Measuring, body_from, number_at, text_at
from .to_workstation import workstation_from

SETTABLE = tuple(one.key for one in QUANTITIES.values() if one.settable)
LOWER_LENSES: tuple[Lens, ...] = ("progressive", "bifocal")


@dataclass(frozen=True, kw_only=True)
class PhotoFile:
    """A kept photograph: its size in px, and its field of view where the camera told it."""

    id: str
    width: int
    height: int
    fov_deg: float | None = None


def _settings(entries: Entries, prefix: str, keyboard: float | None) -> Settings:
    surface = number_at(entries, f"{prefix}.surface")
    return Settings(
        **{key: number_at(entries, f"{prefix}.{key}") for key in SETTABLE},
        keys=surface + keyboard if surface is not None and keyboard is not None else None,
    )


def _found_seated(entries: Entries, keyboard: float | None) -> Settings:
    """As found; where somebody looked and there is no footrest, the feet have none."""
    found = replace(
        _settings(entries, "look.found", keyboard), scale=number_at(entries, "look.screen.scale")
    )
    if found.footrest is None and entries.get("look.support.footrest") == "no":
        return replace(found, footrest=0.0)
    return found


def _details(entries: Entries) -> Details:
    """What was found beside the settings."""
    screens = []
    for id in SCREEN_IDS[1:]:
        if entries.get(f"look.{id}.kind") is None:
            continue
        diagonal, aspect = (
            number_at(entries, f"look.{id}.diagonal"),
            text_at(entries, f"look.{id}.aspect"),
        )
        size = Screen.picture(diagonal, aspect) if diagonal and aspect else (None, None)
        if entries.get(f"look.{id}.kind") == "laptop" and size[0] is None:
            size = LAPTOP_PICTURE_HEIGHT_MM * ASPECTS["16:10"], LAPTOP_PICTURE_HEIGHT_MM
        screens.append(
            SideScreen(
                id=id,
                kind="laptop" if entries.get(f"look.{id}.kind") == "laptop" else "monitor",
                use=one_of(USES, entries.get(f"look.{id}.use")),
                place="above" if entries.get(f"look.{id}.place") == "above" else "beside",
                width=size[0],
                height=size[1],
            )
        )
    return Details(
        underside=number_at(entries, "look.found.underside"),
        armrest_gap=number_at(entries, "look.found.armrest_gap"),
        side_screens=tuple(screens),
    )


def _lens(entries: Entries) -> Lens:
    eyewear = entries.get("ask.eyewear")
    if entries.get("ask.lower_lens") == "no":
        return "none"
    return one_of(LOWER_LENSES, eyewear) or "none"


def bundle_of(entries: Entries) -> dict[str, str]:
    """The positions this visit has chosen, by question."""
    start = "work.policy."
    return {
        path.removeprefix(start): value
        for path, value in entries.items()
        if path.startswith(start) and isinstance(value, str)
    }


def _with_numbers(policy: Policy, entries: Entries) -> Policy:
    """The policy with the angles typed for this visit; the elbow's band stretches to its target."""
    typed = {
        name: value
        for name in NUMBERS
        if (value := number_at(entries, f"work.number.{name}")) is not None
    }
    if not typed:
        return policy
    elbow = typed.get("elbow_angle", policy.elbow_angle)
    band = {"elbow_low": min(policy.elbow_low, elbow), "elbow_high": max(policy.elbow_high, elbow)}
    return with_values(policy, {**typed, **band})


def case_from(
    entries: Entries,
    *,
    sex: Sex | None = None,
    measuring: Measuring = HOUSE,
    practice: RuleSet | None = None,
) -> Case:
    """The case that the entries make. Nothing missing is filled in.

    ``practice`` is the practice's own default of what is chosen; the visit's choices go over it.

    Progressive and bifocal lenses count as read through their lower part until somebody has
    looked and said no.
    """
    keyboard, station = number_at(entries, "look.keyboard.thickness"), workstation_from(entries)
    bundles = practice or {}, bundle_of(entries)
    policy = _with_numbers(policy_of(*bundles), entries)
    standing = _with_numbers(standing_policy_of(*bundles), entries)
    found, declared = with_declared(_found_seated(entries, keyboard), station)
    return Case(
        body=body_from(entries, sex, measuring),
        workstation=station,
        found_seated=found,
        declared=declared,
        found_standing=_settings(entries, "look.found_standing", keyboard),
        shoe_seated=number_at(entries, "ask.shoe_seated"),
        shoe_standing=number_at(entries, "ask.shoe_standing"),
        mat=number_at(entries, "ask.mat") or 0.0,
        lower_lens=_lens(entries),
        standing_hours=number_at(entries, "ask.standing_hours"),
        policy=policy,
        standing_policy=standing if standing != policy else None,
        eyewear=text_at(entries, "ask.eyewear"),
        sharp=(number_at(entries, "ask.sharp_near"), number_at(entries, "ask.sharp_far"))
        if entries.get("ask.eyewear") == "computer"
        else (None, None),
        settle_steps=number_at(entries, "work.settle") or 0.0,
        writing_hand=one_of(HANDS, entries.get("ask.writing_hand")),
        hours={
            task: hours
            for task in TASKS
            if (hours := number_at(entries, f"ask.hours.{task}")) is not None
        },
        details=_details(entries),
        person=person_limits(entries, wheelchair=station.chair.kind == "wheelchair"),
    )


def display_offset(entries: Entries) -> float | None:
    """What the desk's display has to be added to for the true height, mm; None where unknown.

    One pair of readings in the same setting: tape less display.
    """
    reads = number_at(entries, "look.desk.display_reads")
    tape = number_at(entries, "look.desk.display_tape")
    shown = entries.get("look.desk.display") == "yes"
    return tape - reads if shown and reads is not None and tape is not None else None


def habits_seen(entries: Entries) -> dict[str, str]:
    """The habits that were seen, with side and how often in words."""
    seen = {}
    for id in HABITS:
        start = f"look.habit.{id}"
        if entries.get(start) == "seen":
            side, often = text_at(entries, f"{start}.side"), text_at(entries, f"{start}.often")
            said = (HABIT_OFTEN.get(often or "", ""), SIDES.get(side or "", "").lower())
            seen[id] = ", ".join(word for word in said if word)
    return seen


def photos_from(entries: Entries, sizes: Iterable[PhotoFile]) -> list[Photo]:
    """The photographs of a visit with what was said of them and placed on them."""
    return [_photo(entries, file) for file in sizes]


def _photo(entries: Entries, file: PhotoFile) -> Photo:
    start = f"look.photo.{file.id}"
    points: dict[str, tuple[float, float]] = {}
    for name in LANDMARKS:
        at = text_at(entries, f"{start}.{name}")
        if at is not None:
            x, y = at.split()
            points[name] = (float(x), float(y))
    return Photo(
        id=file.id,
        width=file.width,
        height=file.height,
        fov_deg=file.fov_deg,
        points=points,
        view="rear" if entries.get(f"{start}.view") == "rear" else "side",
        posture="standing" if entries.get(f"{start}.posture") == "standing" else "seated",
        when="after" if entries.get(f"{start}.when") == "after" else "before",
        known_mm=number_at(entries, f"{start}.known"),
        camera_mm=number_at(entries, f"{start}.camera"),
    )


def overrules(entries: Entries) -> tuple[Settings, Settings]:
    """The practitioner's own numbers, seated and standing."""
    return _settings(entries, "work.seated", None), _settings(entries, "work.standing", None)


def settings_left(entries: Entries) -> tuple[Settings, Settings]:
    """What was set, seated and standing: re-measured, or set to an aim and not measured."""
    keyboard = number_at(entries, "look.keyboard.thickness")
    seated, standing = (
        _settings(
            {**_unmeasured(entries, posture), **_known(entries, f"set.{posture}.")},
            f"set.{posture}",
            keyboard,
        )
        for posture in ("seated", "standing")
    )
    return seated, standing


def _known(entries: Entries, start: str) -> Entries:
    return {
        path: value
        for path, value in entries.items()
        if path.startswith(start) and value is not None
    }


def _unmeasured(entries: Entries, posture: str) -> Entries:
    """What was set to an aim without measuring it again, by the path of the measured value."""
    return {
        f"set.{posture}.{key}": value
        for key in SETTABLE
        if (value := entries.get(f"set.{posture}.{key}.aimed")) is not None
    }


def set_unmeasured(entries: Entries, posture: str, key: str) -> bool:
    """Whether a setting was put to its aim and never measured again."""
    start = f"set.{posture}.{key}"
    return entries.get(start) is None and entries.get(f"{start}.aimed") is not None


def keys_not_remeasured(entries: Entries) -> tuple[frozenset[str], frozenset[str]]:
    """Return the keys that were set to their aim and not measured again, seated and standing."""
    seated, standing = (
        frozenset(key for key in SETTABLE if set_unmeasured(entries, posture, key))
        for posture in ("seated", "standing")
    )
    return seated, standing


def action_states(entries: Entries) -> dict[str, str]:
    """Return what was said of actions that are no setting: ``done`` or ``later``, by their id."""
    start, end = "set.action.", ".state"
    return {
        path.removeprefix(start).removesuffix(end): value
        for path, value in entries.items()
        if path.startswith(start) and isinstance(value, str)
    }


def hours_at_desk(entries: Entries) -> float:
    """Hours a day over all tasks; at most a day's 24."""
    return min(24.0, sum(number_at(entries, f"ask.hours.{task}") or 0.0 for task in TASKS))


__all__ = [
    "Entries",
    "PhotoFile",
    "action_states",
    "bundle_of",
    "case_from",
    "display_offset",
    "habits_seen",
    "hours_at_desk",
    "keys_not_remeasured",
    "overrules",
    "photos_from",
    "set_unmeasured",
    "settings_left",
]
