"""From the entries of a visit to a case for the fit."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Literal

from ..body import DIMENSIONS, Body, BodyValue, Sex, resolve_readings
from ..fit import Case
from ..fit.case import Lens
from ..workstation import Chair, Desk, Keyboard, Mouse, Screen, Settings, Span, Workstation
from .fields import MEASURED, READINGS, SEATED_SET, STANDING_SET, TASKS

Entries = Mapping[str, float | str | None]
"""Path of a field to its value: mm, number, choice, text."""


def _number(entries: Entries, path: str) -> float | None:
    value = entries.get(path)
    return float(value) if isinstance(value, (int, float)) else None


def _text(entries: Entries, path: str) -> str | None:
    value = entries.get(path)
    return value if isinstance(value, str) else None


def _span(entries: Entries, low_path: str, high_path: str) -> Span | None:
    """The range of a piece; one end alone is a fixed piece, swapped ends are put right."""
    ends = [end for path in (low_path, high_path) if (end := _number(entries, path)) is not None]
    return Span(low=min(ends), high=max(ends)) if ends else None


def readings_of(entries: Entries, name: str) -> list[float]:
    """The readings of one dimension in the order they were taken, mm."""
    found = (_number(entries, f"measure.{name}.{reading}") for reading in READINGS)
    return [value for value in found if value is not None]


def body_from(entries: Entries, sex: Sex | None) -> Body:
    """The body as measured so far; two readings that disagree count once there is a third."""
    values: dict[str, BodyValue] = {}
    for name in MEASURED:
        resolved = resolve_readings(
            readings_of(entries, name), repeat_limit_mm=DIMENSIONS[name].repeat_limit_mm
        )
        if resolved.value_mm is not None:
            values[name] = BodyValue(mm=resolved.value_mm, sd_mm=resolved.sd_mm, source="measured")
    erect = entries.get("measure.posture") == "erect"
    return Body(values=values, sex=sex, posture="erect" if erect else "as_they_work")


def _desk(entries: Entries) -> Desk:
    kind: Literal["fixed", "sit_stand"] | None = {
        "fixed": "fixed", "sit_stand": "sit_stand"
    }.get(str(entries.get("look.desk.kind")))  # type: ignore[assignment]  # fmt: skip
    surface = _span(entries, "look.desk.surface_min", "look.desk.surface_max")
    if kind == "fixed":
        at = _number(entries, "look.found.surface")
        at = at if at is not None else surface.low if surface is not None else None
        surface = Span(low=at, high=at) if at is not None else None
    return Desk(
        kind=kind,
        surface=surface,
        thickness=_number(entries, "look.desk.thickness"),
        depth=_number(entries, "look.desk.depth"),
    )


def _screen(entries: Entries) -> Screen:
    diagonal = _number(entries, "look.screen.diagonal")
    aspect = _text(entries, "look.screen.aspect")
    size = Screen.picture(diagonal, aspect) if diagonal is not None and aspect else (None, None)
    return Screen(
        kind=_text(entries, "look.screen.kind"),  # type: ignore[arg-type]
        width=size[0],
        height=size[1],
        top_above_surface=_span(entries, "look.screen.top_min", "look.screen.top_max"),
        depth_behind=_number(entries, "look.screen.depth_behind"),
    )


def _workstation(entries: Entries) -> Workstation:
    return Workstation(
        chair=Chair(
            seat=_span(entries, "look.chair.seat_min", "look.chair.seat_max"),
            depth=_span(entries, "look.chair.depth_min", "look.chair.depth_max"),
            armrests=_text(entries, "look.chair.armrests"),  # type: ignore[arg-type]
            armrest=_span(entries, "look.chair.armrest_min", "look.chair.armrest_max"),
            lumbar=_span(entries, "look.chair.lumbar_min", "look.chair.lumbar_max"),
        ),
        desk=_desk(entries),
        keyboard=Keyboard(
            kind=_text(entries, "look.keyboard.kind"),  # type: ignore[arg-type]
            thickness=_number(entries, "look.keyboard.thickness"),
        ),
        mouse=Mouse(hand=_text(entries, "ask.mouse_hand")),  # type: ignore[arg-type]
        screen=_screen(entries),
    )


def _settings(entries: Entries, prefix: str, keyboard: float | None) -> Settings:
    surface = _number(entries, f"{prefix}.surface")
    return Settings(
        **{key: _number(entries, f"{prefix}.{key}") for key in SEATED_SET},
        keys=surface + keyboard if surface is not None and keyboard is not None else None,
    )


def _lens(entries: Entries) -> Lens:
    eyewear = entries.get("ask.eyewear")
    if entries.get("ask.lower_lens") == "no":
        return "none"
    return eyewear if eyewear in ("progressive", "bifocal") else "none"  # type: ignore[return-value]


def case_from(entries: Entries, *, sex: Sex | None = None) -> Case:
    """The case that the entries make. Nothing missing is filled in.

    Progressive and bifocal lenses count as read through their lower part until somebody has
    looked and said no.
    """
    keyboard = _number(entries, "look.keyboard.thickness")
    return Case(
        body=body_from(entries, sex),
        workstation=_workstation(entries),
        found_seated=_settings(entries, "look.found", keyboard),
        found_standing=_settings(entries, "look.found_standing", keyboard),
        shoe_seated=_number(entries, "ask.shoe_seated"),
        shoe_standing=_number(entries, "ask.shoe_standing"),
        mat=_number(entries, "ask.mat") or 0.0,
        lower_lens=_lens(entries),
        hours={
            task: hours
            for task in TASKS
            if (hours := _number(entries, f"ask.hours.{task}")) is not None
        },
    )


def overrules(entries: Entries) -> tuple[Settings, Settings]:
    """The practitioner's own numbers, seated and standing."""
    return _settings(entries, "work.seated", None), _settings(entries, "work.standing", None)


def settings_left(entries: Entries) -> tuple[Settings, Settings]:
    """What was set and re-measured, seated and standing."""
    keyboard = _number(entries, "look.keyboard.thickness")
    return _settings(entries, "set.seated", keyboard), _settings(entries, "set.standing", keyboard)


def hours_at_desk(entries: Entries) -> float:
    """Hours a day over all tasks; at most a day's 24."""
    return min(24.0, sum(_number(entries, f"ask.hours.{task}") or 0.0 for task in TASKS))


__all__ = [
    "STANDING_SET", "Entries", "body_from", "case_from", "hours_at_desk", "overrules",
    "readings_of", "settings_left",
]  # fmt: skip
