"""The equipment of a case file: every piece, what is at hand, and what they make together."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from ..core.catalogue import QUANTITIES
from ..core.choices import Hand
from ..core.language import msg, numeral
from ..core.record import fields
from ..core.words import Misplaced
from ..core.workstation import (
    ArmrestKind,
    AspectRatio,
    Chair,
    ChairKind,
    Desk,
    Item,
    Keyboard,
    KeyboardKind,
    Mouse,
    PointerKind,
    Screen,
    ScreenHolder,
    ScreenKind,
    ScreenPlace,
    ScreenUse,
    SideScreen,
    UnderDesk,
    Workstation,
    use_by_share,
)
from .case_parts import Length, Part, RangeDocument, degrees_of, maybe_mm, span_of, under, within

MOST_ITEMS = 8
"""Kinds of things at hand in a case: stacks of more take a search too long for one request."""


def _seen_as(kind: ScreenKind | None) -> ScreenKind | None:
    """Whatever is looked at is a screen that can be moved, or a laptop whose picture can't."""
    return kind if kind in (None, ScreenKind.LAPTOP) else ScreenKind.MONITOR


class ChairDocument(Part):
    """A chair: seat over the floor, the rest over or along the seat; recline in degrees from upright."""

    kind: ChairKind | None = None
    seat: RangeDocument | None = None
    depth: RangeDocument | None = None
    armrests: ArmrestKind | None = None
    armrest: RangeDocument | None = None
    armrests_off: bool = False
    armrests_turn: bool = False
    armrest_gap: RangeDocument | None = None
    lumbar: RangeDocument | None = None
    recline: RangeDocument | None = None
    slope_deg: RangeDocument | None = None
    supports_back: bool | None = None
    behind_back: Length = 0.0
    steady: bool = True

    def chair(self) -> Chair:
        """The chair in mm."""
        return Chair(
            kind=self.kind,
            seat=span_of(self.seat, "seat", *fields.chair.seat.ends),
            depth=span_of(self.depth, "depth", *fields.chair.depth.ends),
            armrests=self.armrests,
            armrest=span_of(self.armrest, "armrest", *fields.chair.armrest.ends),
            armrests_off=self.armrests_off,
            armrests_turn=self.armrests_turn,
            armrest_gap=span_of(self.armrest_gap, "armrest_gap", *fields.chair.armrest_gap.ends),
            lumbar=span_of(self.lumbar, "lumbar", *fields.chair.lumbar.ends),
            recline=degrees_of(self.recline, "recline", 0, 50),
            slope=degrees_of(self.slope_deg, "slope_deg", *fields.chair.slope.ends),
            supports_back=self.supports_back,
            behind_back=maybe_mm(self.behind_back, "behind_back", 0, 150) or 0.0,
            steady=self.steady,
        )


class DeskDocument(Part):
    """What the keyboard stands on; thickness from it to the lowest part over the thighs.

    ``screen_base`` is what the screen stands on where that is something else, ``below`` how far the
    keys hang under it, ``underside`` the lowest part over the thighs where that stays, ``top_thickness`` that of the desk
    over a tray.
    """

    kind: Literal["fixed", "sit_stand"] | None = None
    form: Literal["fixed", "sit_stand", "platform", "carrier", "counter", "cart", "tray"] | None = (
        None
    )
    surface: RangeDocument | None = None
    thickness: Length | None = None
    top_thickness: Length | None = None
    depth: Length | None = None
    screen_base: RangeDocument | None = None
    below: RangeDocument | None = None
    underside: Length | None = None
    tilt_deg: RangeDocument | None = None
    mouse_below: Length = 0.0
    under: UnderDesk | None = None
    risers: bool | None = None

    def desk(self) -> Desk:
        """The desk in mm."""
        surface = span_of(self.surface, "surface", *fields.desk.surface.ends)
        if (
            self.kind == "fixed"
            and self.form != "tray"
            and surface is not None
            and not surface.fixed
        ):
            raise Misplaced(
                "surface",
                msg(
                    "a fixed desk has one height, not {low} to {high} mm",
                    low=numeral(f"{surface.low:g}"),
                    high=numeral(f"{surface.high:g}"),
                ),
            )
        if self.below is not None and self.screen_base is None:
            raise Misplaced(
                "below", msg("it says how far the keys hang under “screen_base”: give both")
            )
        return Desk(
            kind=self.kind,
            form=self.form,
            surface=surface,
            thickness=maybe_mm(self.thickness, "thickness", *fields.desk.thickness.ends),
            top_thickness=maybe_mm(
                self.top_thickness, "top_thickness", *fields.desk.thickness.ends
            ),
            depth=maybe_mm(self.depth, "depth", *fields.desk.depth.ends),
            screen_base=span_of(self.screen_base, "screen_base", *fields.tray.desk.ends),
            below=span_of(self.below, "below", *fields.tray.below.ends),
            underside=maybe_mm(self.underside, "underside", *fields.found.underside.ends),
            tilt=degrees_of(self.tilt_deg, "tilt_deg", *fields.tray.tilt.ends),
            mouse_below=maybe_mm(self.mouse_below, "mouse_below", *fields.cart.mouse_below.ends)
            or 0.0,
            under=self.under,
            risers=self.risers,
        )


class KeyboardDocument(Part):
    """A keyboard; thickness at the home row, slope of its feet in degrees."""

    kind: KeyboardKind | None = None
    thickness: Length | None = None
    slope: Annotated[float, Field(ge=-30, le=30)] = 0.0
    turned: Annotated[float, within(fields.keyboard.turned)] = 0.0

    def keyboard(self) -> Keyboard:
        """The keyboard in mm and degrees."""
        return Keyboard(
            kind=self.kind,
            thickness=maybe_mm(self.thickness, "thickness", *fields.keyboard.thickness.ends),
            slope=self.slope,
            turned=self.turned,
        )


class ScreenDocument(Part):
    """A screen: picture size by diagonal and shape, or by width and height."""

    kind: ScreenKind | None = None
    diagonal_in: Annotated[float, within(fields.screens.main.diagonal)] | None = None
    aspect: AspectRatio | None = None
    width: Length | None = None
    height: Length | None = None
    top_above_surface: RangeDocument | None = None
    depth_behind: Length | None = None
    tilt_deg: RangeDocument | None = None
    held: ScreenHolder | None = None
    pixels_across: Annotated[float, within(fields.screens.main.pixels_across)] | None = None
    scale: Annotated[float, within(fields.screens.main.scale)] | None = None

    def size(self) -> tuple[float | None, float | None]:
        """Width and height of the picture, mm."""
        if (self.diagonal_in is None) != (self.aspect is None):
            raise Misplaced(
                "diagonal_in", msg("diagonal_in and aspect tell a size together: give both")
            )
        if self.diagonal_in is not None and self.aspect is not None:
            return Screen.picture(self.diagonal_in, self.aspect)
        return maybe_mm(self.width, "width", 100, 2500), maybe_mm(self.height, "height", 60, 1500)

    def screen(self) -> Screen:
        """The screen in mm."""
        width, height = self.size()
        return Screen(
            kind=_seen_as(self.kind),
            width=width,
            height=height,
            top_above_surface=span_of(
                self.top_above_surface, "top_above_surface", *fields.screens.main.top.ends
            ),
            depth_behind=maybe_mm(
                self.depth_behind, "depth_behind", *fields.screens.main.depth_behind.ends
            ),
            tilt_deg=degrees_of(self.tilt_deg, "tilt_deg", *fields.screens.main.tilt.ends),
            held=self.held,
            pixels_across=self.pixels_across,
        )


class SideScreenDocument(ScreenDocument):
    """A second or third screen, with how much it is looked at and as it was found."""

    use: ScreenUse | None = None
    share: Annotated[float, within(fields.screens.side["screen2"].share)] | None = None
    place: ScreenPlace = ScreenPlace.BESIDE
    top: Length | None = None
    distance: Length | None = None
    bearing: Annotated[float, within(fields.found.screen_bearing)] | None = None

    def found(self, id: str) -> dict[str, float | None]:
        """As it was found, by the keys of its settings; mm and degrees."""
        top, distance = QUANTITIES[f"{id}_top"], QUANTITIES[f"{id}_distance"]
        return {
            top.key: maybe_mm(self.top, "top", top.low, top.high),
            distance.key: maybe_mm(self.distance, "distance", distance.low, distance.high),
            f"{id}_bearing": self.bearing,
        }

    def beside(self, id: str) -> SideScreen:
        """The screen in mm."""
        width, height = self.size()
        return SideScreen(
            id=id,
            kind=_seen_as(self.kind) or ScreenKind.MONITOR,
            use=use_by_share(self.share, self.use),
            share=self.share,
            place=self.place,
            width=width,
            height=height,
        )


class ItemDocument(Part):
    """Something at hand: whole pieces of one thickness, and what they may carry."""

    id: str
    label: str = ""
    thickness: Length
    count: Annotated[int, Field(ge=1, le=50)] = 1
    error: Annotated[float, Field(ge=0, le=20)] = 1.0
    uses: list[Literal["feet", "screen", "seat", "lumbar", "keys", "laptop"]] = Field(
        default=["feet", "screen"]
    )

    def item(self) -> Item:
        """The item in mm."""
        thickness = maybe_mm(self.thickness, msg("item {id}", id=self.id), 1, 400)
        assert thickness is not None
        return Item(
            id=self.id,
            label=self.label or self.id,
            thickness=thickness,
            count=self.count,
            error=self.error,
            uses=frozenset(self.uses),
        )


class EquipmentDocument(Part):
    """The pieces. What is left out is unknown, not zero; ``feet``, ``items`` and ``at_hand`` are what is there."""

    chair: ChairDocument = ChairDocument()
    desk: DeskDocument = DeskDocument()
    keyboard: KeyboardDocument = KeyboardDocument()
    mouse_hand: Hand | None = None
    mouse_kind: PointerKind | None = None
    screen: ScreenDocument = ScreenDocument()
    side_screens: Annotated[list[SideScreenDocument], Field(max_length=2)] = Field(default=[])
    feet: Annotated[list[RangeDocument], Field(max_length=5)] | None = None
    items: Annotated[list[ItemDocument], Field(max_length=MOST_ITEMS)] = Field(default=[])
    at_hand: list[Literal["headset", "document_holder"]] = Field(default=[])
    other_seat: RangeDocument | None = Field(
        default=None, description="Seat of another chair in the room that could be taken instead."
    )

    def workstation(self) -> Workstation:
        """The pieces in mm."""
        feet, ids = self.feet, [item.id for item in self.items]
        twice = next((id for id in ids if ids.count(id) > 1), None)
        if twice is not None:
            raise Misplaced(
                "items", msg("“{twice}” stands there twice: give its count instead", twice=twice)
            )
        with under("chair"):
            chair = self.chair.chair()
        with under("desk"):
            desk = self.desk.desk()
        with under("screen"):
            screen = self.screen.screen()
        with under("keyboard"):
            keyboard = self.keyboard.keyboard().under(screen)
        items = []
        for index, document in enumerate(self.items):
            with under(f"items.{index}"):
                items.append(document.item())
        return Workstation(
            chair=chair,
            desk=desk,
            keyboard=keyboard,
            mouse=Mouse(hand=self.mouse_hand, kind=self.mouse_kind),
            screen=screen,
            feet=None
            if feet is None
            else tuple(
                document.span(f"feet.{index}", 0, 600) for index, document in enumerate(feet)
            ),
            items=tuple(items),
            at_hand=frozenset(self.at_hand),
            other_seat=self.other_seat.span("other_seat", 250, 900) if self.other_seat else None,
        )
