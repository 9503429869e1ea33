"""A shelf of generic pieces to start from: typed values by path, heights in cm.

Everyday ranges, to be checked with the tape; no make is meant. Source: house-shelf.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass


@dataclass(frozen=True, kw_only=True)
class ShelfKind:
    """One generic piece: its kind, a name, and what is typed for its fields."""

    id: str
    piece: str
    name: str
    values: Mapping[str, str]


def _chair(**values: str) -> dict[str, str]:
    return {f"look.chair.{key}": value for key, value in values.items()}


def _desk(**values: str) -> dict[str, str]:
    return {f"look.desk.{key}": value for key, value in values.items()}


def _screen(**values: str) -> dict[str, str]:
    return {f"look.screen.{key}": value for key, value in values.items()}


def _keys(kind: str, thickness: str, pointer: str) -> dict[str, str]:
    return {
        "look.keyboard.kind": kind,
        "look.keyboard.thickness": thickness,
        "look.pointer.kind": pointer,
    }


SHELF: dict[str, ShelfKind] = {
    kind.id: kind
    for kind in (
        ShelfKind(
            id="task",
            piece="chair",
            name="Task chair, seat and arms adjustable",
            values=_chair(
                kind="task",
                seat_min="41 cm",
                seat_max="52 cm",
                depth_min="40 cm",
                depth_max="48 cm",
                lock="locks",
                backrest_min="90",
                backrest_max="115",
                lumbar_kind="free",
                lumbar_min="15 cm",
                lumbar_max="25 cm",
                armrests="adjustable",
                armrest_min="18 cm",
                armrest_max="28 cm",
                castors="hard",
                stability="firm",
                lift="holds",
            ),
        ),
        ShelfKind(
            id="task_plain",
            piece="chair",
            name="Task chair, plain, fixed seat depth",
            values=_chair(
                kind="task",
                seat_min="42 cm",
                seat_max="53 cm",
                depth_min="45 cm",
                depth_max="45 cm",
                lock="free",
                lumbar_kind="fixed",
                lumbar_min="20 cm",
                lumbar_max="20 cm",
                armrests="none",
                castors="carpet",
                stability="firm",
                lift="holds",
            ),
        ),
        ShelfKind(
            id="dining",
            piece="chair",
            name="Dining chair",
            values=_chair(
                kind="dining",
                seat_min="46 cm",
                seat_max="46 cm",
                depth_min="42 cm",
                depth_max="42 cm",
                lumbar_kind="none",
                armrests="none",
                castors="glides",
                stability="firm",
            ),
        ),
        ShelfKind(
            id="stool",
            piece="chair",
            name="Stool",
            values=_chair(
                kind="stool",
                seat_min="65 cm",
                seat_max="65 cm",
                armrests="none",
                castors="glides",
                stability="firm",
            ),
        ),
        ShelfKind(
            id="wheelchair",
            piece="chair",
            name="Wheelchair, own seating",
            values=_chair(kind="wheelchair", armrests="fixed", stability="firm"),
        ),
        ShelfKind(
            id="fixed",
            piece="desk",
            name="Fixed desk",
            values=_desk(
                kind="fixed",
                thickness="3 cm",
                under="free",
                depth="80 cm",
                width="160 cm",
                edge="rounded",
                risers="yes",
            ),
        ),
        ShelfKind(
            id="fixed_drawer",
            piece="desk",
            name="Fixed desk with a drawer",
            values=_desk(
                kind="fixed",
                thickness="12 cm",
                under="drawer",
                depth="70 cm",
                width="140 cm",
                edge="sharp",
                risers="yes",
            ),
        ),
        ShelfKind(
            id="sit_stand",
            piece="desk",
            name="Sit-stand desk",
            values=_desk(
                kind="sit_stand",
                surface_min="62 cm",
                surface_max="127 cm",
                thickness="2.5 cm",
                under="crossbar",
                depth="80 cm",
                width="160 cm",
                edge="rounded",
                display="yes",
                presets="4",
                speed="35",
            ),
        ),
        ShelfKind(
            id="platform",
            piece="desk",
            name="Platform on a fixed desk",
            values={
                **_desk(
                    kind="platform", thickness="3 cm", under="free", depth="75 cm", edge="rounded"
                ),
                "look.platform.keys_min": "2 cm",
                "look.platform.keys_max": "42 cm",
                "look.platform.screen_min": "13 cm",
                "look.platform.screen_max": "53 cm",
            },
        ),
        ShelfKind(
            id="counter",
            piece="desk",
            name="Kitchen counter",
            values=_desk(
                kind="counter", thickness="4 cm", under="drawer", depth="60 cm", edge="sharp"
            ),
        ),
        ShelfKind(
            id="table",
            piece="desk",
            name="Kitchen table",
            values=_desk(
                kind="fixed",
                thickness="9 cm",
                under="crossbar",
                depth="80 cm",
                edge="rounded",
                risers="no",
            ),
        ),
        ShelfKind(
            id="cart",
            piece="desk",
            name="Wheeled cart",
            values={
                **_desk(kind="cart", thickness="3 cm", depth="50 cm", edge="rounded"),
                "look.cart.worktop_min": "80 cm",
                "look.cart.worktop_max": "120 cm",
                "look.cart.tray_min": "76 cm",
                "look.cart.tray_max": "116 cm",
                "look.cart.tilt_min": "-10",
                "look.cart.tilt_max": "10",
                "look.cart.mouse_below": "5 cm",
            },
        ),
        ShelfKind(
            id="tray",
            piece="tray",
            name="Tray under the desk",
            values={
                "look.tray.there": "yes",
                "look.tray.below_min": "5 cm",
                "look.tray.below_max": "18 cm",
                "look.tray.tilt_min": "-15",
                "look.tray.tilt_max": "10",
                "look.tray.thickness": "3 cm",
                "look.tray.width": "68 cm",
                "look.tray.mouse": "yes",
                "look.tray.track": "55 cm",
            },
        ),
        ShelfKind(
            id="keys_full",
            piece="keys",
            name="Full keyboard and mouse",
            values=_keys("full", "20 mm", "mouse"),
        ),
        ShelfKind(
            id="keys_short",
            piece="keys",
            name="Tenkeyless, vertical mouse",
            values=_keys("no_number_block", "18 mm", "upright"),
        ),
        ShelfKind(
            id="keys_compact",
            piece="keys",
            name="Compact keyboard and pad",
            values=_keys("compact", "12 mm", "pad"),
        ),
        ShelfKind(
            id="keys_split",
            piece="keys",
            name="Split keyboard, central pointer",
            values=_keys("split", "16 mm", "central"),
        ),
        ShelfKind(
            id="screen_22",
            piece="screen",
            name="Screen 22 in, fixed foot",
            values=_screen(
                kind="monitor",
                diagonal="22",
                aspect="16:10",
                held="fixed",
                pixels_across="1680",
                pixels_down="1050",
                frame="2 cm",
                top_min="46 cm",
                top_max="46 cm",
                depth_behind="10 cm",
                stands_on="desk",
            ),
        ),
        ShelfKind(
            id="screen_24",
            piece="screen",
            name="Screen 24 in, adjustable stand",
            values=_screen(
                kind="monitor",
                diagonal="24",
                aspect="16:9",
                held="stand",
                pixels_across="1920",
                pixels_down="1080",
                frame="1 cm",
                top_min="37 cm",
                top_max="56 cm",
                tilt_min="-5",
                tilt_max="20",
                depth_behind="12 cm",
                stands_on="desk",
            ),
        ),
        ShelfKind(
            id="screen_27",
            piece="screen",
            name="Screen 27 in on an arm",
            values=_screen(
                kind="monitor",
                diagonal="27",
                aspect="16:9",
                held="arm",
                pixels_across="2560",
                pixels_down="1440",
                frame="1 cm",
                top_min="30 cm",
                top_max="70 cm",
                tilt_min="-5",
                tilt_max="30",
                depth_behind="6 cm",
                stands_on="desk",
                holds="yes",
            ),
        ),
        ShelfKind(
            id="screen_34",
            piece="screen",
            name="Wide screen 34 in",
            values=_screen(
                kind="monitor",
                diagonal="34",
                aspect="21:9",
                held="stand",
                pixels_across="3440",
                pixels_down="1440",
                frame="1 cm",
                top_min="40 cm",
                top_max="52 cm",
                tilt_min="-5",
                tilt_max="15",
                depth_behind="14 cm",
                stands_on="desk",
            ),
        ),
        ShelfKind(
            id="television",
            piece="screen",
            name="Television used as a screen",
            values=_screen(
                kind="television",
                diagonal="43",
                aspect="16:9",
                held="fixed",
                pixels_across="3840",
                pixels_down="2160",
                frame="1 cm",
                top_min="62 cm",
                top_max="62 cm",
                depth_behind="14 cm",
                stands_on="desk",
            ),
        ),
        ShelfKind(
            id="laptop",
            piece="screen",
            name="Laptop with its own keys",
            values=_screen(kind="laptop", keys="own"),
        ),
        ShelfKind(
            id="laptop_raised",
            piece="screen",
            name="Laptop raised, separate keys",
            values=_screen(kind="laptop", keys="separate", top_min="33 cm", top_max="45 cm"),
        ),
        ShelfKind(
            id="home",
            piece="at_hand",
            name="Found at home",
            values={
                "look.support.book": "yes",
                "look.support.book.height": "3 cm",
                "look.support.towel": "yes",
                "look.support.towel.height": "9 cm",
                "look.support.cushion": "yes",
                "look.support.cushion.height": "5 cm",
                "look.support.box": "yes",
                "look.support.box.height": "12 cm",
            },
        ),
    )
}
"""All generic pieces, by identifier. A second and third screen take a screen's values."""
