"""Which visits and clients a list shows: searched and parted into pages before anything is fetched for them."""

from __future__ import annotations

import re
import unicodedata
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from itertools import islice
from typing import Literal
from uuid import UUID

from ..core.intake import URGENCY
from ..core.language import joined, msg, numeral
from ..core.presentation import settles_at
from ..core.record import Record, StepId
from ..core.visit import furthest_step, got_worse, raised_red_flags
from .models import VisitInList, VisitLine

PAGE = 100
"""So many rows are given at a time. House value."""
DUE_SOON = timedelta(days=14)
"""A follow-up so near is shown on Today. House value."""
LATEST_SIGNED = 20
"""So many signed visits are shown on Today, the latest. House value."""


@dataclass(frozen=True, kw_only=True)
class ListQuery:
    """What is looked for: words that begin words of name or job, one client's, one member's; from which row on.

    Without words and client, visits are those that Today shows.
    """

    words: str = ""
    client_id: UUID | None = None
    member_id: UUID | None = None
    offset: int = 0


VisitState = Literal["new", "draft", "signed", "changed"]
"""``changed`` is signed, then changed again."""


@dataclass(frozen=True, kw_only=True)
class VisitLineView:
    """A visit in a list.

    ``call_back`` is the first day on which a client is called back about a red flag, ``sign`` is what the gravest red
    flag asks for that nobody has written an answer to, ``step`` the furthest that anything was entered in,
    ``settles_at`` when the settle-in test that runs is over, s since 1970, ``worse`` what hurts more than before.
    """

    id: UUID
    client_id: UUID
    client: str
    work: str
    practitioner: str
    started_on: date
    changed_at: datetime | None
    follow_up: str | None
    state: VisitState
    sign: str | None
    call_back: date | None
    shared_report: UUID | None
    step: StepId | None
    settles_at: float | None
    worse: list[str]


def line_view(line: VisitLine) -> VisitLineView:
    """A visit as a list shows it."""
    flags = raised_red_flags(Record(line.signs))
    waiting = [flag for flag in flags if flag.done is None]
    calls = sorted(flag.to_call for flag in flags if flag.to_call)
    visit, client = line.visit, line.client
    state: VisitState = "draft" if visit.revision else "new"
    if line.signed_at is not None:
        state = "signed" if line.signed_revision == visit.revision else "changed"
    return VisitLineView(
        id=visit.id,
        client_id=client.id,
        client=client.name,
        work=client.work,
        practitioner=line.practitioner,
        started_on=visit.started_on,
        changed_at=line.changed_at,
        follow_up=line.follow_up,
        state=state,
        sign=URGENCY[waiting[0].urgency] if waiting else None,
        call_back=date.fromisoformat(calls[0]) if calls else None,
        shared_report=line.shared_report,
        step=furthest_step(line.touched),
        settles_at=settles_at(Record(line.settling)),
        worse=[
            msg(
                "{label} {was} to {now} of 10",
                label=pain.label,
                was=numeral(f"{pain.was:g}"),
                now=numeral(f"{pain.now:g}"),
            )
            for pain in got_worse(Record(line.felt_before), Record(line.felt))
        ],
    )


WORD_ENDS = re.compile(r"[\s,.;/-]+")


def matches(sought: str, *texts: str) -> bool:
    """Whether every word that is looked for begins a word of these texts, in any order, case and accents aside.

    >>> matches("od mar", "Odile Marrick"), matches("rick", "Odile Marrick"), matches("élo", "Eloise")
    (True, False, True)

    """
    words = _words(joined(" ", texts))
    return all(any(word.startswith(start) for word in words) for start in plain(sought).split())


def _words(text: str) -> tuple[str, ...]:
    return tuple(WORD_ENDS.split(plain(text)))


def plain(text: str) -> str:
    """Return letters as they are searched: no case, no accents."""
    if text.isascii():
        return text.lower()
    parts = unicodedata.normalize("NFD", text)
    return "".join(part for part in parts if not unicodedata.combining(part)).lower()


def of_today(every: Sequence[VisitInList], today: date) -> list[UUID]:
    """What waits for somebody, the latest first, and the visits signed last; of more than a page what waits most.

    Parameters
    ----------
    every : sequence of VisitInList
        What the member may see and asks for, the latest first.
    today : date
        The practice's day.

    """
    waits = [
        [visit_in_list for visit_in_list in every if visit_in_list.flagged],
        [
            visit_in_list
            for visit_in_list in every
            if not visit_in_list.signed and visit_in_list.started_on == today
        ],
        [visit_in_list for visit_in_list in every if visit_in_list.due and visit_in_list.signed],
        [visit_in_list for visit_in_list in every if not visit_in_list.signed],
        [visit_in_list for visit_in_list in every if visit_in_list.signed][:LATEST_SIGNED],
    ]
    first = list(dict.fromkeys(visit_in_list.id for group in waits for visit_in_list in group))[
        :PAGE
    ]
    shown = set(first)
    return [visit_in_list.id for visit_in_list in every if visit_in_list.id in shown]


def page_of(ids: Iterable[UUID], offset: int) -> list[UUID]:
    """Return a page of what was found."""
    return list(islice(ids, offset, offset + PAGE))
