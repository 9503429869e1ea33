"""A client's own page: how answers are read and sorted, and that every message there is has its words."""

import re

import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import ROOT
from gentle_plumb.core.errors import FieldError
from gentle_plumb.core.intake import RED_FLAGS, REGIONS
from gentle_plumb.core.own_page import (
    LENGTHS,
    LEVELS,
    Before,
    Shown,
    doubtful_lengths,
    questions_before,
    questions_of_check,
    read_answer,
    triage_before,
    triage_check,
)
from gentle_plumb.services.errors import BadFile
from gentle_plumb.services.own_page import ENGLISH, read_catalogue
from gentle_plumb.services.own_page.catalogues import BUILT_IN, languages_with

NONE = {f"sign.{id}": "no" for id in RED_FLAGS}
ASKED = {one.id: one for one in questions_before()}
SHOWN = Shown(
    settings=(("seat", "Seat"), ("surface", "Surface"), ("screen_top", "Screen top")),
    regions=("nape",),
    temporary=("Ream of paper",),
    rhythm=True,
    movements=True,
)


@pytest.mark.parametrize(
    ("answers", "level", "decided"),
    [
        ({}, "fine", ()),
        ({"felt.nape": 3.0}, "advice", ("felt.nape",)),
        ({"felt.nape": 4.0}, "call", ("felt.nape",)),
        ({"felt.nape": 7.0}, "visit", ("felt.nape",)),
        ({"station.feet": "no"}, "advice", ("station.feet",)),
        (
            {"station.feet": "no", "station.desk_moves": "no"},
            "visit",
            ("station.feet", "station.desk_moves"),
        ),
        ({"station.desk_moves": "no"}, "fine", ()),
        ({"care.pregnancy": "yes"}, "call", ("care.pregnancy",)),
        ({"care.pregnancy": "yes", "felt.nape": 1.0}, "visit", ("care.pregnancy",)),
        ({"sign.chest": "yes", "felt.nape": 9.0}, "stop", ("sign.chest",)),
        ({"sign.chest": None}, "call", ("sign.chest",)),
    ],
)
def test_answers_before_a_visit_are_sorted_and_say_what_decided(answers, level, decided):
    verdict = triage_before({**NONE, **answers})
    assert verdict.level == level
    assert (verdict.reasons[0].questions if verdict.reasons else ()) == decided


@pytest.mark.parametrize(
    ("answers", "level"),
    [
        ({"felt.nape": 3.0, "still.seat": "yes", "worse": "no"}, "fine"),
        ({"felt.nape": 5.0}, "call"),  # as strong as it was
        ({"felt.nape": 6.0}, "call"),  # one more is within a day
        ({"felt.low_back": 4.0}, "visit"),  # there was none
        ({"still.seat": "no"}, "call"),
        ({"still.seat": "unsure"}, "advice"),
        ({"piece.0": "still"}, "advice"),
        ({"piece.0": "gone"}, "call"),
        ({"piece.0": "replaced"}, "fine"),
        ({"rhythm": "hardly"}, "advice"),
        ({"sign.calf": "yes"}, "same_day"),
    ],
)
def test_checks_are_sorted_against_what_was_felt_at_the_visit(answers, level):
    assert triage_check({**NONE, **answers}, Before(discomfort={"nape": 5.0})).level == level


def any_answer(question):
    if question.kind == "choice":
        return st.sampled_from(question.answers)
    if question.kind == "words":
        return st.just("words")
    return st.floats(question.low, question.high)


@given(data=st.data())
def test_more_discomfort_or_another_sign_never_sorts_lighter(data):
    some = data.draw(st.lists(st.sampled_from(sorted(ASKED)), max_size=12, unique=True))
    answers = {**NONE, **{id: data.draw(any_answer(ASKED[id])) for id in some}}
    rank = list(LEVELS).index
    before = triage_before(answers)
    assert all(set(reason.questions) <= set(ASKED) for reason in before.reasons)
    region = f"felt.{data.draw(st.sampled_from(sorted(REGIONS)))}"
    more = min(10.0, float(answers.get(region) or 0) + data.draw(st.floats(0, 10)))
    assert rank(triage_before({**answers, region: more}).level) >= rank(before.level)
    sign = data.draw(st.sampled_from(sorted(RED_FLAGS)))
    told = {"urgent": "stop", "same_day": "same_day", "clinician": "clinician"}
    level = triage_before({**answers, f"sign.{sign}": "yes"}).level
    assert rank(level) >= rank(told[RED_FLAGS[sign].urgency])  # as soon as the client was told


def test_lengths_are_doubted_by_their_readings_and_by_the_others_and_nothing_else():
    body = {"stature": 1660, "popliteal_height": 420, "buttock_popliteal_length": 480}
    body |= {"elbow_height_sitting": 235, "eye_height_sitting": 755}
    right = {f"{id}.{name}": float(mm) for id, mm in body.items() for name in ("first", "second")}
    assert doubtful_lengths(right, "female") == []
    apart = doubtful_lengths({**right, "popliteal_height.second": 432.0}, "female")
    assert [(one.dimension, one.why, one.apart_mm) for one in apart] == [
        ("popliteal_height", "readings", 12.0)
    ]
    inches = {f"eye_height_sitting.{name}": 755 / 1.4 for name in ("first", "second")}
    [odd] = doubtful_lengths({**right, **inches}, None)
    assert (odd.dimension, odd.why) == ("eye_height_sitting", "others")
    assert odd.low_mm < 755 < odd.high_mm


def test_an_answer_reads_as_the_visits_field_does():
    assert read_answer(ASKED["popliteal_height.first"], "17 in") == pytest.approx(431.8)
    assert read_answer(ASKED["station.feet"], "unsure") == "unsure"
    assert read_answer(ASKED["station.feet"], " ") is None
    for id, typed in (("popliteal_height.first", "4"), ("station.feet", "maybe")):
        with pytest.raises(FieldError):
            read_answer(ASKED[id], typed)
    word = next(one for one in questions_of_check(SHOWN) if one.id == "word")
    with pytest.raises(FieldError, match="4000"):
        read_answer(word, "x" * 4001)


def test_every_message_that_is_asked_for_is_there_and_each_that_is_there_is_asked_for():
    page = ROOT / "web" / "src" / "features" / "own-page"
    code = "\n".join(path.read_text("utf-8") for path in page.glob("*.ts*"))
    named = set(re.findall(r'"([a-z_]+\.[a-z_.0-9]+)"', code)) & set(ENGLISH.messages)
    made = {
        re.sub(r"\$\{[^}]*\}", "*", key) for key in re.findall(r"`([a-z_.]+\.\$\{[^`]*)`", code)
    }
    starts = {key.split("*")[0] for key in made}
    asked = {f"ask.{one.id}" for one in (*questions_before(), *questions_of_check(SHOWN))}
    unused = {
        key
        for key in ENGLISH.messages
        if key not in named | asked and not key.startswith((*starts, "mail.", "answer.", "ask."))
    }
    assert unused == set()
    for question in (*questions_before(), *questions_of_check(SHOWN)):
        if question.section in ("felt", "lengths") or question.id.startswith(
            ("still.", "piece.", "tape.")
        ):
            continue
        assert f"ask.{question.id}" in ENGLISH.messages, question.id
    assert {f"region.{id}" for id in REGIONS} <= set(ENGLISH.messages)
    assert {f"length.{id}.how" for id in LENGTHS} <= set(ENGLISH.messages)


def test_no_mail_says_a_word_about_health():
    words = " ".join(text for key, text in ENGLISH.messages.items() if key.startswith("mail."))
    health = r"pain|hurt|health|sign|doctor|discomfort|symptom|assessment|posture|body"
    assert not re.search(health, words, re.IGNORECASE)


GAP = re.compile(r"\{\w+\}")
ALIKE = {"page.of", "door.code", "move.start", "page.no", "consent.no", "region.belly"}
"""Messages that read the same in another language: a name alone, Code, Start, No, Abdomen."""


@pytest.mark.parametrize("language", sorted(BUILT_IN.keys() - {"en"}))
def test_a_language_that_is_built_in_is_whole(language):
    messages = BUILT_IN[language].messages
    assert messages.keys() == ENGLISH.messages.keys()
    for name, english in ENGLISH.messages.items():
        assert sorted(GAP.findall(messages[name])) == sorted(GAP.findall(english)), name
        same = messages[name] == english
        assert not same or name in ALIKE or english in ("No", "Yes"), name
        assert len(messages[name]) <= 2 * len(english) + 24, name
    mails = " ".join(text for name, text in messages.items() if name.startswith("mail."))
    health = r"schmerz|gesund|krank|dolor|salud|síntoma|diagn|haltung|postura"
    assert not re.search(health, mails, re.IGNORECASE)


@pytest.mark.parametrize(
    ("raw", "says"),
    [
        (b"\xff", "no JSON"),
        (b"[]", "no object"),
        (b'{"language": "e", "name": "E", "direction": "ltr", "messages": {}}', "not added"),
        (b'{"language": "ar", "name": "A", "direction": "up", "messages": {}}', "not added"),
        (b'{"language": "ar", "name": "A", "direction": "rtl", "messages": []}', "not added"),
    ],
)
def test_a_language_that_can_not_be_used_is_refused_whole(raw, says):
    with pytest.raises(BadFile, match=says):
        read_catalogue(raw)


def test_a_practices_file_changes_what_it_holds_and_leaves_the_rest_as_built_in():
    mine = read_catalogue(
        '{"language": "de", "name": "Deutsch", "direction": "ltr", '
        '"messages": {"page.next": "Nächste Frage"}}'.encode()
    )
    german = languages_with([mine])["de"].messages
    assert german["page.next"] == "Nächste Frage"
    assert german["page.back"] == BUILT_IN["de"].messages["page.back"] == "Zurück"
    assert languages_with([])["de"] is BUILT_IN["de"]
