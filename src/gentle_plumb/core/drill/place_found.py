"""A made-up client at a workstation where some things stand wrong."""

from __future__ import annotations

from dataclasses import replace

from ..body import DIMENSIONS, Body, BodyValue, Sex, house_error, made_up_body
from ..catalogue import SEATED_TASKS
from ..choices import Hand
from ..fit import Case, fit, settings_of
from ..workstation import Chair, Desk, Keyboard, Mouse, Screen, ScreenKind, Span, Workstation
from .exercise import Chance

MOVED_MM: dict[str, tuple[float, float]] = {
    "seat": (25.0, 70.0),
    "surface": (25.0, 70.0),
    "screen_top": (50.0, 160.0),
    "distance": (80.0, 200.0),
}
"""How far a piece was found from where it belongs, mm, either way. House values."""
SHOE_MM, KEYS_MM = 25.0, 22.0
"""Shoes and keys of the made-up client, mm. House values."""


def place_found(chance: Chance, sex: Sex) -> Case:
    """Make one up; the same chance makes the same."""
    lengths = made_up_body(lambda: chance.gauss(0, 1), sex=sex)
    body = Body(
        values={
            name: BodyValue(
                mm=float(round(mm)),
                sd_mm=house_error(DIMENSIONS[name].repeat_limit_mm),
                source="measured",
            )
            for name, mm in lengths.items()
        },
        sex=sex,
    )
    rises = chance.random() < 0.5
    station = Workstation(
        chair=Chair(seat=Span(low=380.0, high=560.0)),
        desk=Desk(
            kind="sit_stand" if rises else "fixed",
            surface=Span(low=600.0, high=1250.0) if rises else Span(low=730.0, high=730.0),
            thickness=25.0,
        ),
        keyboard=Keyboard(thickness=KEYS_MM),
        mouse=Mouse(hand=Hand.RIGHT),
        feet=(Span(low=50.0, high=180.0),),
        screen=Screen(
            kind=ScreenKind.MONITOR,
            width=530.0,
            height=300.0,
            top_above_surface=Span(low=250.0, high=600.0),
        ),
    )
    case = Case(
        body=body,
        workstation=station,
        shoe_seated=SHOE_MM,
        shoe_standing=SHOE_MM,
        hours=dict.fromkeys(SEATED_TASKS, 1.0),
        uncertain=False,
    )
    aimed = settings_of(fit(case).seated)
    moved = {
        key: value + (1 if chance.random() < 0.5 else -1) * chance.uniform(*MOVED_MM[key])
        for key in MOVED_MM
        if (value := aimed.get(key)) is not None
        and chance.random() < 0.75
        and (key != "surface" or rises)
    }
    settings = replace(aimed, **moved)
    if settings.surface is not None and aimed.surface is not None and aimed.keys is not None:
        settings = replace(settings, keys=settings.surface + aimed.keys - aimed.surface)
    return replace(case, found_seated=settings)
