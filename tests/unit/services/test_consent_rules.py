"""Consent: what waits for it, what goes with it."""

import json

import pytest

from gentle_plumb.services.errors import (
    NeedsConsent,
    Withheld,
)


def consent(world, visit, name="notes", value="yes", version=0):
    world.type(visit, f"ask.consent.{name}", value, version=version)


def test_health_notes_wait_for_consent_and_warning_signs_do_not(world):
    visit = world.visit()
    with pytest.raises(NeedsConsent) as refused:
        world.type(visit, "ask.reason", "Neck")
    assert (refused.value.field, refused.value.consent) == ("ask.reason", "ask.consent.notes")
    world.type(visit, "ask.sign.fever", "yes")
    world.type(visit, "ask.sign.fever.done", "Rang her doctor.")
    world.type(visit, "look.found.seat", "46")
    consent(world, visit)
    world.type(visit, "ask.reason", "Neck")
    world.type(visit, "ask.discomfort.nape", "5")


def test_a_withdrawn_consent_erases_and_lets_nothing_new_in(world):
    visit = world.visit()
    consent(world, visit)
    world.type(visit, "ask.reason", "Neck")
    world.type(visit, "ask.sign.fever", "yes")
    world.type(visit, "look.found.seat", "46")
    consent(world, visit, value="withdrawn", version=1)
    opened = world.visits.open(world.office.owner, visit)
    typed = {entry.path: entry.typed for entry in opened.entries}
    assert typed["ask.reason"] == ""
    assert (typed["look.found.seat"], typed["ask.consent.notes"]) == ("46 cm", "withdrawn")
    assert not any("Neck" in change.typed for change in world.records.changes.values())
    with pytest.raises(NeedsConsent):
        world.type(visit, "ask.reason", "Neck again", version=2)


def test_the_workplace_gets_a_copy_only_with_consent_and_without_health(demo_world):
    world, owner, lines = demo_world
    practice = world.accounts.practice(owner)
    visit = lines["Bram"].visit.id
    world.reports.draft_pdf(owner, practice, visit, "cm")
    mine = world.press.printed[-1]
    world.reports.draft_pdf(owner, practice, visit, "cm", "workplace")
    theirs = world.press.printed[-1]
    said = json.dumps(theirs)
    for word in ("aches", "shoulder, front", "Photograph", "stands out for hours", "right side"):
        assert word in json.dumps(mine)
        assert word not in said
    assert {found["subject"] for found in theirs["findings"]} & {"Settings", "Room"}
    assert (theirs["copy"], theirs["reason"], theirs["strain"]) == ("workplace", "", [])
    for refused in ("Elif", "Mirela"):
        with pytest.raises(Withheld):
            world.reports.draft_pdf(owner, practice, lines[refused].visit.id, "cm", "workplace")
