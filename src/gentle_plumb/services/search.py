"""Find anything of a practice by a few letters, a typing error or two allowed: clients, their visits, equipment."""

from __future__ import annotations

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from datetime import date
from heapq import nlargest
from typing import Literal, TypeVar
from uuid import UUID

from rapidfuzz.distance import OSA

from .models import Member
from .ports import Records, Shelf
from .visit_lists import WORD_ENDS, VisitState, line_view, plain

Thing = TypeVar("Thing")
MOST = 6
"""So many of a kind are shown. House value."""
FORGIVES_FROM = 4
"""In a word of so many letters one error is allowed, in one twice as long two. House value."""


@dataclass(frozen=True, kw_only=True)
class FoundClient:
    """A client who was found."""

    id: UUID
    name: str
    work: str


@dataclass(frozen=True, kw_only=True)
class FoundVisit:
    """A visit of a client who was found."""

    id: UUID
    client: str
    started_on: date
    state: VisitState
    practitioner: str


@dataclass(frozen=True, kw_only=True)
class FoundEquipment:
    """A piece or shared workstation that was found."""

    id: UUID
    kind: Literal["piece", "workstation"]
    name: str
    place: str


@dataclass(frozen=True, kw_only=True)
class Found:
    """What was found, the best first."""

    clients: list[FoundClient]
    visits: list[FoundVisit]
    equipment: list[FoundEquipment]


def likeness(sought: str, *texts: str) -> float:
    """Return how well words that are looked for begin words of these texts, 0 to 1; 0 where one of them does not.

    >>> likeness("odi mar", "Odile Marrick"), likeness("xyz", "Odile Marrick")
    (1.0, 0.0)
    >>> 0.7 < likeness("marirck", "Odile Marrick") < 1.0
    True

    """
    words = WORD_ENDS.split(plain(" ".join(texts)))
    scores = [
        max((_word_likeness(start, word) for word in words), default=0.0)
        for start in plain(sought).split()
    ]
    return sum(scores) / len(scores) if scores and all(scores) else 0.0


def _word_likeness(start: str, word: str) -> float:
    if word.startswith(start):
        return 1.0
    allowed = len(start) // FORGIVES_FROM
    if not allowed or not word:
        return 0.0
    # a start may be a letter longer or shorter than what it was meant to be
    wrong = min(
        OSA.distance(start, word[: len(start) + more], score_cutoff=allowed) for more in (-1, 0, 1)
    )
    return 1.0 - wrong / len(start) if wrong <= allowed else 0.0


class SearchService:
    """Looks through what a member sees of their practice."""

    def __init__(
        self, records: Records, shelf: Shelf, hidden: Callable[[Member], frozenset[UUID]]
    ) -> None:
        self._records, self._shelf, self._hidden = records, shelf, hidden

    def find(self, member: Member, words: str) -> Found:
        """Return what these words find; nothing for none."""
        practice, hidden = member.practice_id, self._hidden(member)
        people = _best(
            (
                (likeness(words, name, work), (id, name, work))
                for id, name, work in self._records.client_names(practice)
                if id not in hidden
            )
        )
        items = _best(
            (likeness(words, item.name, item.place), item) for item in self._shelf.items(practice)
        )
        visits = [
            line_view(line)
            for id, _, _ in people
            for line in self._records.visits(practice, client_id=id)[:MOST]
        ]
        return Found(
            clients=[FoundClient(id=id, name=name, work=work) for id, name, work in people],
            visits=[
                FoundVisit(
                    id=line.id,
                    client=line.client,
                    started_on=line.started_on,
                    state=line.state,
                    practitioner=line.practitioner,
                )
                for line in visits[:MOST]
            ],
            equipment=[
                FoundEquipment(
                    id=item.id,
                    kind="workstation" if item.piece == "workstation" else "piece",
                    name=item.name,
                    place=item.place,
                )
                for item in items
            ],
        )


def _best(scored: Iterable[tuple[float, Thing]]) -> list[Thing]:
    """The best few of what was found at all; of equals, the first."""
    found = [(score, -order, thing) for order, (score, thing) in enumerate(scored) if score]
    return [thing for _, _, thing in nlargest(MOST, found, key=lambda each: each[:2])]
