"""What is due: each client's most pressing once, and no appointment for whoever is to seek care at once."""

from __future__ import annotations

from datetime import UTC, date, datetime
from types import SimpleNamespace
from uuid import uuid4

import pytest

from gentle_plumb.core.own_page import LEVELS
from gentle_plumb.services.agenda.agenda import due_of

TODAY = date(2026, 12, 2)
NOW = datetime(2026, 12, 2, 9, tzinfo=UTC)


def check(level, client_id=None):
    return SimpleNamespace(
        id=uuid4(), client_id=client_id or uuid4(), client="Odile", level=level, sent_at=NOW
    )


@pytest.mark.parametrize("level", LEVELS)
def test_answers_are_offered_a_time_where_one_helps(level):
    wanted = {"call": ["check"], "visit": ["follow_up"], "clinician": ["check"]}
    assert [due.kind for due in due_of([], [check(level)], TODAY)] == wanted.get(level, [])


def line(**facts):
    given = {"call_back": None, "follow_up": None, "state": "signed", "client": "Odile"}
    return SimpleNamespace(**{"id": uuid4(), "started_on": date(2026, 11, 1), **given, **facts})


def test_a_client_is_due_once_and_a_follow_up_is_over_once_they_came():
    who = uuid4()
    call = line(client_id=who, call_back=TODAY, follow_up="2026-12-03")
    assert [due.kind for due in due_of([call], [check("call", who)], TODAY)] == ["call_back"]
    first = line(client_id=who, follow_up="2026-12-03")
    assert [due.due for due in due_of([first], [], TODAY)] == [date(2026, 12, 3)]
    since = line(client_id=who, started_on=date(2026, 11, 30), state="draft")
    assert due_of([first, since], [], TODAY) == []
    far = line(client_id=who, follow_up="2027-03-01")
    assert due_of([far], [], TODAY) == []
