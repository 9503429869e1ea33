"""Generic keyboards with their pointers. Heights are loaded and in cm."""

from __future__ import annotations

from ...workstation import KeyboardKind, PointerKind
from ..fields import keyboard, pointer
from .kind import shelf_kind

HANDS = (
    shelf_kind(
        "keys_full",
        "keys",
        "Full keyboard and mouse",
        {
            keyboard.kind: KeyboardKind.FULL,
            keyboard.thickness: "20 mm",
            pointer.kind: PointerKind.MOUSE,
        },
    ),
    shelf_kind(
        "keys_short",
        "keys",
        "Tenkeyless, vertical mouse",
        {
            keyboard.kind: KeyboardKind.NO_NUMBER_BLOCK,
            keyboard.thickness: "18 mm",
            pointer.kind: PointerKind.UPRIGHT,
        },
    ),
    shelf_kind(
        "keys_compact",
        "keys",
        "Compact keyboard and touchpad",
        {
            keyboard.kind: KeyboardKind.COMPACT,
            keyboard.thickness: "12 mm",
            pointer.kind: PointerKind.PAD,
        },
    ),
    shelf_kind(
        "keys_split",
        "keys",
        "Split keyboard, central pointer",
        {
            keyboard.kind: KeyboardKind.SPLIT,
            keyboard.thickness: "16 mm",
            pointer.kind: PointerKind.CENTRAL,
        },
    ),
)
