"""What a practice keeps on its shelf: readable, with its unit."""

import pytest

from gentle_plumb.core.errors import FieldError
from gentle_plumb.services.models import NewShelfItem
from gentle_plumb.services.shelves import ShelfService


def test_the_shelf_takes_readable_values_with_their_unit(world):
    shelf, owner = ShelfService(world.shelf), world.office.owner
    kept = shelf.add(
        owner,
        NewShelfItem(
            piece="chair",
            name="Bridge chair",
            unit="in",
            values={
                "look.chair.seat_min": "17",
                "look.chair.kind": "task",
                "look.chair.seat_max": "",
            },
        ),
    )
    assert kept.values == {"look.chair.seat_min": "17 in", "look.chair.kind": "task"}
    for values in ({"look.desk.kind": "fixed"}, {"look.chair.seat_min": "tall"}):
        with pytest.raises(FieldError):
            shelf.add(owner, NewShelfItem(piece="chair", name="Other", values=values))
