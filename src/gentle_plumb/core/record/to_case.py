"""From the entries of a visit to a case for the fit."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from ..body import Sex
from ..fit import Case
from ..fit.case import Lens
from ..observed import HABIT_OFTEN, HABITS, SIDES
from ..photo import LANDMARKS, Photo
from ..workstation import (
    Chair,
    Desk,
    Details,
    Keyboard,
    Mouse,
    Screen,
    Settings,
    SideScreen,
    Span,
    Workstation,
)
from ..workstation.equipment import ASPECTS, LAPTOP_PICTURE_HEIGHT_MM
from ..workstation.kinds import FIXED_DESKS
from .fields import FIELDS, SCREEN_IDS, SEATED_SET, STANDING_SET, TASKS, applies
from .to_body import HOUSE, Entries, Measuring, body_from, number_at, text_at


@dataclass(frozen=True, kw_only=True)
class PhotoFile:
    """A kept photograph: its size in px, and its field of view where the camera told it."""

    id: str
    width: int
    height: int
    fov_deg: float | None = None


def _span(entries: Entries, low_path: str, high_path: str) -> Span | None:
    """The range of a piece; one end alone is a fixed piece, swapped ends are put right."""
    ends = [end for path in (low_path, high_path) if (end := number_at(entries, path)) is not None]
    return Span(low=min(ends), high=max(ends)) if ends else None


def _shift(span: Span | None, by: float | None) -> Span | None:
    return Span(low=span.low + by, high=span.high + by) if span and by is not None else None


def _chair(entries: Entries) -> Chair:
    """A chair; a wheelchair's seat is fixed as found, since nobody moves it here."""
    kind = text_at(entries, "look.chair.kind")
    sinks = (
        number_at(entries, "look.chair.sink")
        if applies(FIELDS["look.chair.sink"], entries)
        else None
    )
    seat = _shift(_span(entries, "look.chair.seat_min", "look.chair.seat_max"), -(sinks or 0.0))
    if kind == "wheelchair":
        at = number_at(entries, "look.found.seat")
        seat = Span(low=at, high=at) if at is not None else None
    bare = kind == "stool" or text_at(entries, "look.chair.lumbar_kind") == "none"
    return Chair(
        kind=kind,
        seat=seat,
        depth=_span(entries, "look.chair.depth_min", "look.chair.depth_max"),
        armrests=text_at(entries, "look.chair.armrests"),  # type: ignore[arg-type]
        armrest=_span(entries, "look.chair.armrest_min", "look.chair.armrest_max"),
        lumbar=None if bare else _span(entries, "look.chair.lumbar_min", "look.chair.lumbar_max"),
    )


def _desk_surface(entries: Entries, kind: str | None) -> Span | None:
    """How high what the keyboard stands on can be: desk, tray, deck or cart's tray."""
    if entries.get("look.tray.there") == "yes":
        below = _span(entries, "look.tray.below_min", "look.tray.below_max")
        over = number_at(entries, "look.tray.desk")
        moving = _span(entries, "look.desk.surface_min", "look.desk.surface_max")
        desk = Span(low=over, high=over) if over is not None else None
        desk = moving if kind == "sit_stand" and moving is not None else desk
        if below is None or desk is None:
            return None
        return Span(low=desk.low - below.high, high=desk.high - below.low)
    if kind == "platform":
        deck = _span(entries, "look.platform.keys_min", "look.platform.keys_max")
        return _shift(deck, number_at(entries, "look.platform.desk"))
    if kind == "cart":
        return _span(entries, "look.cart.tray_min", "look.cart.tray_max")
    surface = _span(entries, "look.desk.surface_min", "look.desk.surface_max")
    if kind in FIXED_DESKS:
        at = number_at(entries, "look.found.surface")
        at = at if at is not None else surface.low if surface is not None else None
        return Span(low=at, high=at) if at is not None else None
    return surface


def _desk(entries: Entries) -> Desk:
    kind = text_at(entries, "look.desk.kind")
    tray = entries.get("look.tray.there") == "yes"
    return Desk(
        kind=None if kind is None else "fixed" if kind in FIXED_DESKS else "sit_stand",
        surface=_desk_surface(entries, kind),
        thickness=number_at(entries, "look.tray.thickness" if tray else "look.desk.thickness"),
        depth=number_at(entries, "look.desk.depth"),
        form="tray" if tray else kind,
        beside=number_at(entries, "look.tray.desk" if tray else "look.platform.desk"),
    )


def _screen(entries: Entries) -> Screen:
    """The main screen. A laptop with keys of its own apart is a screen that can be raised.

    On a tray or a platform the screen does not stand on the keyboard's surface: how high it
    goes over that is left unknown rather than guessed.
    """
    kind = text_at(entries, "look.screen.kind")
    top = _span(entries, "look.screen.top_min", "look.screen.top_max")
    apart = entries.get("look.tray.there") == "yes" or entries.get("look.desk.kind") in (
        "platform", "cart")  # fmt: skip
    if kind == "laptop":
        joined = entries.get("look.screen.keys") != "separate"
        return Screen(
            kind="laptop" if joined else "monitor",
            height=None if joined else LAPTOP_PICTURE_HEIGHT_MM,
            width=None if joined else LAPTOP_PICTURE_HEIGHT_MM * ASPECTS["16:10"],
            top_above_surface=None if joined or apart else top,
            depth_behind=None if joined else 0.0,
        )
    diagonal = number_at(entries, "look.screen.diagonal")
    aspect = text_at(entries, "look.screen.aspect")
    size = Screen.picture(diagonal, aspect) if diagonal is not None and aspect else (None, None)
    return Screen(
        kind=None if kind is None else "monitor",
        width=size[0],
        height=size[1],
        top_above_surface=None if apart else top,
        depth_behind=number_at(entries, "look.screen.depth_behind"),
        tilt_deg=_span(entries, "look.screen.tilt_min", "look.screen.tilt_max"),
    )


def _workstation(entries: Entries) -> Workstation:
    return Workstation(
        chair=_chair(entries),
        desk=_desk(entries),
        keyboard=Keyboard(
            kind=text_at(entries, "look.keyboard.kind"),  # type: ignore[arg-type]
            thickness=number_at(entries, "look.keyboard.thickness"),
        ),
        mouse=Mouse(hand=text_at(entries, "ask.mouse_hand")),  # type: ignore[arg-type]
        screen=_screen(entries),
    )


def _settings(entries: Entries, prefix: str, keyboard: float | None) -> Settings:
    surface = number_at(entries, f"{prefix}.surface")
    return Settings(
        **{key: number_at(entries, f"{prefix}.{key}") for key in SEATED_SET},
        keys=surface + keyboard if surface is not None and keyboard is not None else None,
    )


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
        screens.append(
            SideScreen(
                top=number_at(entries, f"look.found.{id}_top"),
                distance=number_at(entries, f"look.found.{id}_distance"),
                bearing=number_at(entries, f"look.found.{id}_bearing"),
                width=size[0], height=size[1],
            )
        )  # fmt: skip
    found = {name: number_at(entries, f"look.found.{name}")
             for name in ("keys_edge", "backrest", "underside", "armrest_gap")}  # fmt: skip
    return Details(**found, bearing=number_at(entries, "look.found.screen_bearing"),
                   side_screens=tuple(screens))  # fmt: skip


def _lens(entries: Entries) -> Lens:
    eyewear = entries.get("ask.eyewear")
    if entries.get("ask.lower_lens") == "no":
        return "none"
    return eyewear if eyewear in ("progressive", "bifocal") else "none"  # type: ignore[return-value]


def case_from(entries: Entries, *, sex: Sex | None = None, measuring: Measuring = HOUSE) -> Case:
    """The case that the entries make. Nothing missing is filled in.

    Progressive and bifocal lenses count as read through their lower part until somebody has
    looked and said no.
    """
    keyboard = number_at(entries, "look.keyboard.thickness")
    return Case(
        body=body_from(entries, sex, measuring),
        workstation=_workstation(entries),
        found_seated=_settings(entries, "look.found", keyboard),
        found_standing=_settings(entries, "look.found_standing", keyboard),
        shoe_seated=number_at(entries, "ask.shoe_seated"),
        shoe_standing=number_at(entries, "ask.shoe_standing"),
        mat=number_at(entries, "ask.mat") or 0.0,
        lower_lens=_lens(entries),
        hours={
            task: hours
            for task in TASKS
            if (hours := number_at(entries, f"ask.hours.{task}")) is not None
        },
        details=_details(entries),
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
        id=file.id, width=file.width, height=file.height, fov_deg=file.fov_deg, points=points,
        view="rear" if entries.get(f"{start}.view") == "rear" else "side",
        posture="standing" if entries.get(f"{start}.posture") == "standing" else "seated",
        when="after" if entries.get(f"{start}.when") == "after" else "before",
        known_mm=number_at(entries, f"{start}.known"),
        camera_mm=number_at(entries, f"{start}.camera"),
    )  # fmt: skip


def overrules(entries: Entries) -> tuple[Settings, Settings]:
    """The practitioner's own numbers, seated and standing."""
    return _settings(entries, "work.seated", None), _settings(entries, "work.standing", None)


def settings_left(entries: Entries) -> tuple[Settings, Settings]:
    """What was set and re-measured, seated and standing."""
    keyboard = number_at(entries, "look.keyboard.thickness")
    return _settings(entries, "set.seated", keyboard), _settings(entries, "set.standing", keyboard)


def hours_at_desk(entries: Entries) -> float:
    """Hours a day over all tasks; at most a day's 24."""
    return min(24.0, sum(number_at(entries, f"ask.hours.{task}") or 0.0 for task in TASKS))


__all__ = [
    "STANDING_SET", "Entries", "PhotoFile", "case_from", "display_offset", "habits_seen",
    "hours_at_desk", "overrules", "photos_from", "settings_left",
]  # fmt: skip
