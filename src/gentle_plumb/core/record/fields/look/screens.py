"""The main screen, and up to two more."""

from __future__ import annotations

from ....workstation.equipment import ASPECTS
from ....workstation.kinds import SCREENS, YES_NO
from ..field import Field, When, amount, choice, length, span, turn

SCREEN_IDS = ("screen", "screen2", "screen3")
"""The main screen, and up to two more."""


def _screen(id: str, index: int) -> tuple[Field, ...]:
    """The fields of one screen; the first is the main one."""
    main = index == 0
    group = "Screen" if main else f"Screen {index + 1}"
    there: When = () if main else ((f"look.{id}.kind", tuple(SCREENS)),)
    stands: When = ((f"look.{id}.kind", ("monitor", "television")),)
    laptop: When = ((f"look.{id}.kind", ("laptop",)),)
    free: When = () if main else there
    part = "screen_top" if main else ""
    keys = (
        (
            choice(
                f"look.{id}.keys",
                group,
                "Laptop used with",
                {"own": "Its own keys", "separate": "Separate keys and mouse"},
                when=laptop,
                part=part,
            ),
        )
        if main
        else ()
    )
    stand: When = stands if not main else ((f"look.{id}.kind", ("", "monitor", "television")),)
    raised: When = ((f"look.{id}.keys", ("", "separate")),) if main else there
    return (
        choice(f"look.{id}.kind", group, "Kind of screen", SCREENS, needed=main, part=part),
        *keys,
        amount(
            f"look.{id}.diagonal",
            group,
            "Diagonal of the picture",
            "in",
            7,
            100,
            part=part,
            needed=main,
            when=stand,
        ),
        choice(
            f"look.{id}.aspect",
            group,
            "Shape",
            {name: name for name in ASPECTS},
            part=part,
            needed=main,
            when=stand,
        ),
        amount(f"look.{id}.pixels_across", group, "Pixels across", "px", 320, 16000, when=free),
        amount(f"look.{id}.pixels_down", group, "Pixels down", "px", 200, 16000, when=free),
        amount(f"look.{id}.scale", group, "Display scale", "%", 50, 500, when=free),
        length(f"look.{id}.frame", group, "Frame over the picture", 0, 120, when=stand),
        choice(
            f"look.{id}.held",
            group,
            "Held by",
            {"fixed": "Fixed foot", "stand": "Adjustable stand", "arm": "Arm", "wall": "Wall"},
            when=stand,
        ),
        *span(
            f"look.{id}.top",
            group,
            "Picture top over the surface",
            50,
            1500,
            part=part,
            help="Where its holder lets it go.",
            when=raised,
        ),
        length(
            f"look.{id}.top_step",
            group,
            "Goes in steps of",
            1,
            200,
            part=part,
            when=raised,
            help="Left open where it stops anywhere.",
        ),
        choice(
            f"look.{id}.holds",
            group,
            "Arm holds its place",
            YES_NO,
            when=((f"look.{id}.held", ("arm",)),),
        ),
        *turn(f"look.{id}.tilt", group, "Tilt back", -20, 60, when=stand),
        choice(
            f"look.{id}.stands_on",
            group,
            "Stands on",
            {"desk": "The desk", "riser": "A riser", "stack": "A stack", "deck": "A screen deck"},
            when=stand,
        ),
        choice(
            f"look.{id}.comes_off",
            group,
            "That comes off",
            YES_NO,
            when=((f"look.{id}.stands_on", ("riser", "stack")),),
        ),
        length(
            f"look.{id}.depth_behind",
            group,
            "Stand behind the picture",
            0,
            600,
            part="desk_depth" if main else "",
            when=stand,
        ),
        *(
            ()
            if main
            else (
                choice(
                    f"look.{id}.use",
                    group,
                    "Looked at",
                    {"equal": "As much as the main one", "some": "Now and then", "rare": "Seldom"},
                    when=there,
                ),
                choice(
                    f"look.{id}.place",
                    group,
                    "Stands",
                    {"beside": "Beside the main one", "above": "Above the main one"},
                    when=there,
                ),
            )
        ),
    )


SCREEN_FIELDS = tuple(field for index, id in enumerate(SCREEN_IDS) for field in _screen(id, index))
