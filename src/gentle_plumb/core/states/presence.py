"""Whether a piece that can be set is there at all, as far as the record tells."""

from __future__ import annotations

from ..catalogue import QUANTITIES
from ..record import Record, fields


def is_there(record: Record, key: str) -> bool | None:
    """Return whether the piece of a quantity is there; None where nobody has looked.

    Only what may well be missing is asked about: a footrest and a screen. Chair, desk and keys are there.
    """
    missing = QUANTITIES[key].there if key in QUANTITIES else ""
    if missing == "footrest":
        return _footrest(record)
    return _screen(record) if missing == "screen" else True


def _footrest(record: Record) -> bool | None:
    answer = record[fields.supports.at_hand["footrest"].there]
    if answer is not None:
        return answer == "yes"
    value = record[fields.found.by_quantity["footrest"]]
    return None if value is None else value > 0


def _screen(record: Record) -> bool | None:
    main = fields.screens.main
    if record[main.kind] is not None:
        return True
    answers = (
        fields.found.by_quantity["screen_top"],
        fields.found.by_quantity["distance"],
        fields.found.standing["screen_top"],
        main.diagonal,
        main.top.low,
    )
    return True if any(field in record for field in answers) else None
