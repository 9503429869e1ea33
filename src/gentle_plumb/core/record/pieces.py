"""Pieces of a workstation, each with the fields that describe it: what a shelf keeps."""

from __future__ import annotations

from dataclasses import dataclass

from ..language import msg
from . import fields
from .fields import Field
from .fields.group import fields_in


@dataclass(frozen=True, kw_only=True)
class Piece:
    """One kind of piece, and the fields that describe it."""

    id: str
    label: str
    fields: tuple[Field[object], ...]


def _piece(id: str, label: str, *holders: object) -> Piece:
    return Piece(id=id, label=label, fields=fields_in(*holders))


PIECES: dict[str, Piece] = {
    piece.id: piece
    for piece in (
        _piece("chair", msg("Chair"), fields.chair),
        _piece("desk", msg("Desk"), fields.desk, fields.platform, fields.cart),
        _piece("tray", msg("Keyboard tray"), fields.tray),
        _piece("keys", msg("Keyboard and mouse"), fields.keyboard, fields.pointer),
        _piece(
            "screen",
            msg("Screen"),
            fields.screens.main.kind,
            fields.screens.keys,
            fields.screens.main,
        ),
        _piece("screen2", msg("Screen 2"), fields.screens.side["screen2"]),
        _piece("screen3", msg("Screen 3"), fields.screens.side["screen3"]),
        _piece("at_hand", msg("Available in the room"), fields.supports),
    )
}


def paths_of(piece: str) -> list[str]:
    """Return the paths of a piece's fields, in order; empty for a piece nobody knows."""
    return [field.id for field in PIECES[piece].fields] if piece in PIECES else []
