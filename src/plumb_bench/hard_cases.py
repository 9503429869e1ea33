"""Generated workstations that seldom fit, for the search to be held against a general solver."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from random import Random

from gentle_plumb.core.body import DIMENSIONS, Body, BodyValue, Sex
from gentle_plumb.core.catalogue import Tier
from gentle_plumb.core.choices import Hand
from gentle_plumb.core.fit import Case
from gentle_plumb.core.plans import HeightSearch
from gentle_plumb.core.policy import Policy
from gentle_plumb.core.workstation import (
    AspectRatio,
    Chair,
    Desk,
    Item,
    Keyboard,
    KeyboardKind,
    Mouse,
    Screen,
    ScreenKind,
    Span,
    Workstation,
)

SEED = 20261125


def mean_body(sex: Sex) -> Body:
    """The mean woman or man of the table."""
    return Body(
        sex=sex,
        values={
            name: BodyValue(mm=entry.stats[sex].mean_mm, sd_mm=3, source="measured")
            for name, entry in DIMENSIONS.items()
            if entry.stats
        },
    )


def seldom_fits(draw: Random) -> Case:
    """A fixed or stepped workstation, a stepped chair, a fixed screen, little things at hand."""
    surface, seat, top = draw.randint(600, 800), draw.randint(380, 460), draw.randint(300, 420)
    movable = draw.random() < 0.3
    span = (
        Span(low=surface, high=surface + 60, step=20)
        if movable
        else Span(low=surface, high=surface)
    )
    items = [
        Item(id="ream", label="Ream", thickness=50, count=draw.randint(1, 3)),
        Item(id="book", label="Book", thickness=draw.randint(20, 40), count=draw.randint(1, 2)),
        Item(id="cushion", label="Cushion", thickness=30, uses=frozenset({"seat"})),
    ]
    width, height = Screen.picture(24, AspectRatio.WIDE)
    station = Workstation(
        chair=Chair(seat=Span(low=seat, high=seat + 10 * draw.randint(0, 9), step=10)),
        desk=Desk(
            kind="fixed",
            surface=span,
            depth=800,
            risers=not movable,
            thickness=draw.choice([20.0, 40.0, 60.0]),
        ),
        keyboard=Keyboard(kind=KeyboardKind.FULL, thickness=20),
        mouse=Mouse(hand=Hand.RIGHT),
        screen=Screen(
            kind=ScreenKind.MONITOR,
            width=width,
            height=height,
            top_above_surface=Span(low=top, high=top),
        ),
        feet=draw.choice([(), (Span(low=80, high=80),)]),
        items=tuple(draw.sample(items, draw.randint(0, 3))),
    )
    sex: Sex = draw.choice(["female", "male"])
    return Case(
        body=mean_body(sex),
        workstation=station,
        shoe_seated=25,
        shoe_standing=25,
        policy=Policy(worth_deg=draw.choice([0.5, 1.0, 3.0])),
    )


def hard_cases(many: int, seed: int = SEED) -> Iterator[tuple[Case, Tier]]:
    """Cases that have a solution, but none without degrees outside the bands."""
    number = solved = 0
    while solved < many:
        draw = Random(seed + 7 * number)  # noqa: S311
        number += 1
        case = seldom_fits(draw)
        tier: Tier = draw.choice(["room", "little"])
        solver = HeightSearch(case)
        best = solver.heights(case.workstation, any_feet=True, any_top=True)
        if (
            best.seated.foot_gap_mm + best.seated.thigh_pressed_mm == 0
            and best.seated.excess_deg > 1
        ):
            solved += 1
            yield replace(case), tier
