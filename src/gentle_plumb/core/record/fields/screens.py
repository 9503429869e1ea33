"""The main screen, and up to two more."""

from __future__ import annotations

from dataclasses import dataclass

from ...choices import YesNo
from ...language import msg
from ...workstation import (
    AspectRatio,
    LaptopKeys,
    ScreenHolder,
    ScreenKind,
    ScreenPlace,
    ScreenUse,
    StandsOn,
)
from .field import Field, SpanField, When
from .group import FieldGroup

STANDING = (ScreenKind.MONITOR, ScreenKind.TELEVISION)


@dataclass(frozen=True, eq=False)
class ScreenFields:
    """What is asked of any screen."""

    kind: Field[ScreenKind]
    diagonal: Field[float]
    aspect: Field[AspectRatio]
    pixels_across: Field[float]
    pixels_down: Field[float]
    scale: Field[float]
    frame: Field[float]
    held: Field[ScreenHolder]
    top: SpanField
    holds: Field[YesNo]
    tilt: SpanField
    stands_on: Field[StandsOn]
    comes_off: Field[YesNo]
    lifted_by: Field[float]
    depth_behind: Field[float]


@dataclass(frozen=True, eq=False)
class SideScreenFields(ScreenFields):
    """A second or third screen: how much it is looked at, and where it stands."""

    use: Field[ScreenUse]
    share: Field[float]
    place: Field[ScreenPlace]


def _fields_of(
    place: FieldGroup, kind: Field[ScreenKind], raised: When, *, part: str, side: bool
) -> ScreenFields:
    """Make the fields of one screen; the main one decides most, of the others much is only noted.

    ``raised`` is when its picture can go up and down.
    """
    there: When = kind.among(*ScreenKind) if side else ()
    stands = kind.among(*STANDING) if side else kind.open_or(*STANDING)
    held = place.choice("held", msg("Held by"), ScreenHolder, when=stands, noted_only=side)
    stands_on = place.choice(
        "stands_on",
        msg("Stands on"),
        StandsOn,
        part=part,
        when=stands,
        help=msg("The top of the picture above the desk is as it stands there."),
        noted_only=side,
    )
    propped = stands_on.among(StandsOn.RISER, StandsOn.STACK)
    return ScreenFields(
        kind=kind,
        diagonal=place.amount(
            "diagonal",
            msg("Screen diagonal"),
            "in",
            7,
            100,
            part=part,
            needed=not side,
            when=there if side else stands,
        ),
        aspect=place.choice(
            "aspect",
            msg("Aspect ratio"),
            AspectRatio,
            part=part,
            needed=not side,
            when=there if side else stands,
        ),
        pixels_across=place.amount(
            "pixels_across", msg("Pixels across"), "px", 320, 16000, when=there, noted_only=side
        ),
        pixels_down=place.amount(
            "pixels_down", msg("Pixels down"), "px", 200, 16000, when=there, noted_only=True
        ),
        scale=place.amount(
            "scale", msg("Display scaling"), "%", 50, 500, when=there, noted_only=side
        ),
        frame=place.length(
            "frame", msg("Bezel above the picture"), 0, 120, when=stands, noted_only=True
        ),
        held=held,
        top=place.span(
            "top",
            msg("Top of picture above the desk"),
            50,
            1500,
            part=part,
            help=msg("The range its stand or arm allows."),
            when=raised,
            noted_only=side,
            step=place.length(
                "top_step",
                msg("Adjusts in steps of"),
                1,
                200,
                part=part,
                when=raised,
                help=msg("Leave blank if it adjusts continuously."),
                noted_only=side,
            ),
        ),
        holds=place.choice(
            "holds",
            msg("Arm stays where it is set"),
            YesNo,
            when=held.among(ScreenHolder.ARM),
            noted_only=side,
        ),
        tilt=place.turn("tilt", msg("Screen tilt"), -20, 60, when=stands, noted_only=side),
        stands_on=stands_on,
        comes_off=place.choice(
            "comes_off", msg("Removable"), YesNo, part=part, when=propped, noted_only=side
        ),
        lifted_by=place.length(
            "lifted_by",
            msg("Height of what it stands on"),
            1,
            400,
            part=part,
            when=propped,
            noted_only=side,
        ),
        depth_behind=place.length(
            "depth_behind",
            msg("Depth of stand behind the picture"),
            0,
            600,
            part="" if side else "desk_depth",
            when=stands,
            noted_only=side,
        ),
    )


def _side(id: str, label: str) -> SideScreenFields:
    place = FieldGroup(f"look.{id}", label, "pieces")
    kind = place.choice("kind", msg("Kind of screen"), ScreenKind)
    there = kind.among(*ScreenKind)
    every = _fields_of(place, kind, there, part="", side=True)
    return SideScreenFields(
        **vars(every),
        use=place.choice("use", msg("Looked at"), ScreenUse, when=there),
        share=place.amount(
            "share",
            msg("Share of screen time"),
            "%",
            0,
            100,
            when=there,
            help=msg("40 or more beside the main one counts as equal; under 15 as seldom."),
        ),
        place=place.choice("place", msg("Stands"), ScreenPlace, when=there),
    )


_at = FieldGroup("look.screen", msg("Screen"), "pieces")
_kind = _at.choice("kind", msg("Kind of screen"), ScreenKind, needed=True, part="screen_top")

keys = _at.choice(
    "keys",
    msg("Laptop keyboard"),
    LaptopKeys,
    when=_kind.among(ScreenKind.LAPTOP),
    part="screen_top",
)
"""What a laptop that is the main screen is typed on with."""
laptop_diagonal = _at.amount(
    "laptop_diagonal",
    msg("Laptop diagonal"),
    "in",
    7,
    21,
    part="screen_top",
    when=_kind.among(ScreenKind.LAPTOP),
    help=msg("Leave blank for a usual one: its picture is 21 cm high."),
)
"""Size of a laptop that is the main screen; its picture is taken as 16:10."""
main = _fields_of(_at, _kind, keys.open_or(LaptopKeys.SEPARATE), part="screen_top", side=False)
"""The main screen."""
side = {"screen2": _side("screen2", msg("Screen 2")), "screen3": _side("screen3", msg("Screen 3"))}
"""The second and third screen, by name."""
