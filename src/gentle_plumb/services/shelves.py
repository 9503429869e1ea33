"""The shelf: generic pieces, the practice's own, and workstations several clients share."""

from __future__ import annotations

from collections.abc import Mapping
from uuid import UUID

from ..core.errors import FieldError
from ..core.language import filled, joined, msg
from ..core.record import PIECES, as_kept, check_range, field_of, other_end, paths_of, read_typed
from ..core.units import LengthUnit
from .models import ChangedShelfItem, Member, NewShelfItem, ShelfItem, view_of
from .ports import Shelf

WORKSTATION = "workstation"


class ShelfService:
    """What is kept of pieces, to start from next time."""

    def __init__(self, shelf: Shelf) -> None:
        self._shelf = shelf

    def items(self, member: Member) -> list[ShelfItem]:
        """Everything the practice keeps, by piece and name."""
        return self._shelf.items(member.practice_id)

    def add(self, member: Member, item: NewShelfItem) -> ShelfItem:
        """Keep a piece or a workstation; the same id sent again makes no second one.

        Raises FieldError, AlreadyThere.
        """
        return self._shelf.add_item(self._item(member, item, id=item.id, version=1))

    def change(
        self, member: Member, item_id: UUID, changed_shelf_item: ChangedShelfItem
    ) -> ShelfItem:
        """Change one upon its version; raises also NotFound, Stale."""
        item = self._item(
            member, changed_shelf_item, id=item_id, version=changed_shelf_item.version
        )
        return self._shelf.change_item(item)

    def _item(
        self, member: Member, given: NewShelfItem | ChangedShelfItem, *, id: UUID, version: int
    ) -> ShelfItem:
        values = checked(given.piece, given.values, given.unit)
        return view_of(
            ShelfItem,
            given,
            id=id,
            practice_id=member.practice_id,
            values=values,
            version=version,
            users=(),
        )

    def drop(self, member: Member, item_id: UUID) -> None:
        """Take one off; visits keep what they took from it. Raises NotAllowed, NotFound."""
        self._shelf.drop_item(member.practice_id, item_id)


def checked(piece: str, values: Mapping[str, str], unit: LengthUnit) -> dict[str, str]:
    """Texts that the piece's fields can read, bare lengths with their unit; empty ones left out.

    Raises FieldError for a path that is not the piece's, a text that can't be read, a range the wrong
    way round, and a piece of which nothing is said.
    """
    if piece not in (*PIECES, WORKSTATION):
        kinds = joined(", ", [*PIECES, WORKSTATION])
        raise FieldError(
            field="piece",
            value=piece,
            message=msg(
                "“{piece}” is no kind of piece. There are {kinds}.", piece=piece, kinds=kinds
            ),
        )
    pieces = PIECES if piece == WORKSTATION else [piece]
    allowed = {path for each in pieces for path in paths_of(each)}
    kept: dict[str, str] = {}
    read: dict[str, float | str] = {}
    for path, typed in values.items():
        field = field_of(
            path if path in allowed else filled("{piece}: {path}", piece=piece, path=path)
        )
        value = read_typed(field, typed, unit=unit)
        if value is None:
            continue
        read[path] = value
        check_range(field, typed, value, read.get(other_end(path) or ""), unit=unit)
        kept[path] = as_kept(field.kind, typed, unit)
    if not kept and piece != WORKSTATION:
        first = next(iter(paths_of(piece)))
        raise FieldError(
            field=first,
            value="",
            message=msg(
                "A name alone gives a visit nothing to start from. Enter at least one value, such as “{label}”.",
                label=field_of(first).label,
            ),
        )
    return kept
