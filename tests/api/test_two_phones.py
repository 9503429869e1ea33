"""A client answers on two devices: neither takes away what the other has kept without asking."""

from uuid import uuid4

import pytest

from api.phones import Client
from api.test_own_page import made, visit  # noqa: F401


@pytest.fixture
def phones(app, made):  # noqa: F811
    both = Client(app), Client(app)
    for one in both:
        assert one.open(made).status_code == 204
    both[0].agree()
    return both


def typed(phone, question="reason"):
    questions = phone.http.get("/api/own/rounds/before").json()["questions"]
    return next(one["typed"] for one in questions if one["id"] == question)


def test_the_later_writer_is_asked_and_can_keep_either(phones):
    phone, tablet = phones
    assert phone.answer("reason", "From the phone").json()["version"] == 1
    refused = tablet.answer("reason", "From the tablet")
    assert (refused.status_code, refused.json()["type"]) == (409, "stale")
    current = refused.json()["current"]
    assert (current["typed"], current["version"]) == ("From the phone", 1)
    assert typed(phone) == "From the phone"
    tablet.seen["before", "reason"] = current["version"]
    assert tablet.answer("reason", "Both of them").json()["version"] == 2
    assert phone.answer("reason", "From the phone, more").status_code == 409
    assert typed(phone) == "Both of them"


def test_a_change_sent_twice_counts_once_and_the_same_words_are_no_conflict(phones):
    phone, tablet = phones
    change = str(uuid4())
    first = phone.answer("station.feet", "no", change=change)
    phone.seen.clear()  # the answer never came back: it is sent again as it was
    assert phone.answer("station.feet", "no", change=change).json() == first.json()
    assert tablet.answer("station.feet", "no").json()["version"] == 1


def test_different_questions_never_stand_against_each_other(phones):
    phone, tablet = phones
    assert phone.answer("reason", "Neck").status_code == 200
    assert tablet.answer("felt.nape", "5").status_code == 200
    assert (typed(tablet), typed(phone, "felt.nape")) == ("Neck", "5")
