"""Pieces of a workstation, each with the fields that describe it: what a shelf keeps."""

from __future__ import annotations

from dataclasses import dataclass

from .fields import FIELDS


@dataclass(frozen=True, kw_only=True)
class Piece:
    """One kind of piece; its fields are those whose path starts with one of ``starts``."""

    id: str
    label: str
    starts: tuple[str, ...]


PIECES: dict[str, Piece] = {
    piece.id: piece
    for piece in (
        Piece(id="chair", label="Chair", starts=("look.chair.",)),
        Piece(id="desk", label="Desk", starts=("look.desk.", "look.platform.", "look.cart.")),
        Piece(id="tray", label="Keyboard tray", starts=("look.tray.",)),
        Piece(id="keys", label="Keys and pointer", starts=("look.keyboard.", "look.pointer.")),
        Piece(id="screen", label="Screen", starts=("look.screen.",)),
        Piece(id="screen2", label="Screen 2", starts=("look.screen2.",)),
        Piece(id="screen3", label="Screen 3", starts=("look.screen3.",)),
        Piece(id="at_hand", label="At hand", starts=("look.support.", "look.footrest.")),
    )
}


def paths_of(piece: str) -> list[str]:
    """The paths of a piece's fields, in order; empty for a piece nobody knows."""
    starts = PIECES[piece].starts if piece in PIECES else ()
    return [path for path in FIELDS if path.startswith(starts)] if starts else []
