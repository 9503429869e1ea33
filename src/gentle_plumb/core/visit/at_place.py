"""One place of a visit: the same body and person, with the pieces and settings of that place."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass

from ..language import msg
from ..record import STEPS, Record, StepId, Value, fields, step_of
from ..workstation import PlaceUse

OF_THE_VISIT = ("ask.", "measure.", "pace.", "report.")
"""What is the same at every place, by what its paths begin with."""
CHOSEN_ONCE = ("work.policy.", "work.number.", fields.work.budget.id)
"""What is chosen for the visit, and may be chosen otherwise at a place."""


def furthest_step(touched: Iterable[str]) -> StepId | None:
    """Return the last step that anything was entered in, from what the paths begin with.

    >>> furthest_step({"ask", "measure", "place"}), furthest_step(())
    ('measure', None)
    """
    steps = {step_of(first) for first in touched}
    return next((step for step in reversed(STEPS) if step in steps), None)


def values_at(values: Mapping[str, Value], place: str) -> Mapping[str, Value]:
    """Return the entries of a visit as they are at one place, by the paths of the main one.

    Parameters
    ----------
    values : mapping
        Everything entered, by path.
    place : str
        ``main``, or one of the further ones.

    Examples
    --------
    >>> values_at({"ask.job": "Tailor", "place.2.look.desk.kind": "counter"}, "2")
    {'ask.job': 'Tailor', 'look.desk.kind': 'counter'}

    """
    start = f"{fields.places.PLACE}."
    if place == fields.places.MAIN:
        own = {path: value for path, value in values.items() if not path.startswith(start)}
        main = f"{start}{fields.places.MAIN}."
        return own | {path: value for path, value in values.items() if path.startswith(main)}
    shared = (*OF_THE_VISIT, *CHOSEN_ONCE)
    result = {path: value for path, value in values.items() if path.startswith(shared)}
    mine = f"{start}{place}."
    for path, value in values.items():
        if path.startswith(mine):
            name = path.removeprefix(mine)
            inner = name.startswith(("look.", "work.", "set."))
            result[name if inner else f"{start}{fields.places.MAIN}.{name}"] = value
    return result


@dataclass(frozen=True, kw_only=True)
class VisitPlace:
    """A place of a visit: its identifier, what it is called, and how one works there."""

    id: str
    name: str
    use: PlaceUse


def places_of(record: Record) -> tuple[VisitPlace, ...]:
    """Return the places of a visit, the main one first; a further one is there once its use is said."""
    return tuple(_places(record))


def _places(record: Record) -> Iterator[VisitPlace]:
    places = fields.places
    for number, id in enumerate((places.MAIN, *places.FURTHER), start=1):
        asked = places.at(id)
        use = record[asked.use]
        if use is not None or id == places.MAIN:
            name = record.said(asked.name) or msg("Place {number}", number=number)
            yield VisitPlace(id=id, name=name, use=use or PlaceUse.BOTH)
