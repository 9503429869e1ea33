"""Consent: what waits for it, what goes with it."""

import json
import re

import pytest

from gentle_plumb.core.intake import RED_FLAGS
from gentle_plumb.core.record import FAMILIES, FIELDS
from gentle_plumb.services.errors import NeedsConsent, NotAllowed, Withheld
from gentle_plumb.services.models import NewClient
from gentle_plumb.services.papers import legacy_paper
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import body_readings


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
    typed = {entry.path: entry.typed for entry in opened.entries.values()}
    assert typed["ask.reason"] == ""
    assert (typed["look.found.seat"], typed["ask.consent.notes"]) == ("46 cm", "withdrawn")
    assert not any("Neck" in change.typed for change in world.records.changes.values())
    with pytest.raises(NeedsConsent):
        world.type(visit, "ask.reason", "Neck again", version=2)


@pytest.mark.parametrize("typed", ["withdrawn", "no", ""])
def test_every_text_in_own_words_waits_for_consent_and_goes_with_it(world, typed):
    visit = world.visit()
    texts = [
        field.id.replace("*", "a1")
        for field in (*FIELDS.values(), *FAMILIES.values())
        if field.kind == "text"
        and not field.id.startswith(("ask.sign.", "ask.warning"))
        and not field.id.endswith((".taken_by", "workstation", ".list", ".table"))
    ]
    assert len(texts) > 60
    for path in texts:
        with pytest.raises(NeedsConsent):
            world.type(visit, path, "tingling at night")
    consent(world, visit)
    for path in texts:
        world.type(visit, path, "tingling at night")
    consent(world, visit, value=typed, version=1)
    opened = world.visits.open(world.office.owner, visit)
    assert not any("tingling" in entry.typed for entry in opened.entries.values())
    assert not any("tingling" in change.typed for change in world.records.changes.values())


def papers(world, owner, practice, visit):
    """Record and the workplace's paper as they are handed to the press."""
    for copy in ("record", "workplace"):
        world.reports.draft_pdf(owner, practice, visit, "cm", copy)
    return world.press.printed[-2:]


def test_the_workplace_gets_a_copy_only_with_consent_and_without_health(demo_world):
    world, owner, lines = demo_world
    practice = world.accounts_port.practice(owner.practice_id)
    mine, theirs = papers(world, owner, practice, lines["Bram"].id)
    said = json.dumps(theirs)
    for word in (
        "aches",
        "shoulder, front",
        "Photo from the",
        "right side",
        "Sonar data cleaning",
        "hand breadth",
        "body-label",
    ):
        assert word in json.dumps(mine)
        assert word not in said
    asked = {(their["title"], their["do"]) for their in theirs["requests"]}
    assert ("Cable of the mouse catches on the desk’s edge", "A longer cable or none.") in asked
    assert theirs["kind"] == "workplace"
    assert (
        not {"causes", "actions", "discomfort", "body", "strain", "notes", "reason", "note"}
        & theirs.keys()
    )
    for refused in ("Elif", "Mirela"):
        with pytest.raises(Withheld):
            world.reports.draft_pdf(owner, practice, lines[refused].id, "cm", "workplace")


def test_no_text_reaches_the_workplace_unless_it_is_ticked(world):
    office = world.office
    client = world.visits.add_client(
        office.owner, NewClient(name="Odile", sex="female", work="MARK work")
    )
    visit = world.visits.start(office.owner, office.practice, client.id).id
    for name in ("notes", "workplace", "photographs"):
        consent(world, visit, name)
    typed = {
        "ask.care.dizziness": "yes",
        "ask.eyewear": "progressive",
        "ask.lower_lens": "yes",
        "work.policy.lower_lens": "glasses",
        "look.habit.slumping": "seen",
        "look.found.seat": "50",
        "look.desk.edge": "sharp",
        "work.seated.seat": "47",
        "look.room.glare": "wrong",
        **{f"ask.sign.{id}": "yes" for id in RED_FLAGS},
    }
    for path, text in {**typed, **body_readings(DEMO_CLIENTS[0])}.items():
        world.type(visit, path, text)
    for field in (*FIELDS.values(), *FAMILIES.values()):
        lifts = ".cleared_" in field.id
        apart = field.id.startswith(("look.workstation", "measure."))
        if field.kind == "text" and not apart and not lifts:
            path = field.id.replace("*", "sharp_edge" if "finding" in field.id else "a1")
            world.type(visit, path, f"MARK {path}")
    _, theirs = papers(world, office.owner, office.practice, visit)
    said = json.dumps(theirs)
    for word in ("MARK", "izz", "rogressive", "lenses", "body-label", "Elbow", "lump", "red flag"):
        assert word not in said, word
    assert theirs["limits"] == [
        "No standing work until we confirm it.",
        "A steady chair with armrests, no stool.",
    ]
    assert theirs["scene"]
    assert theirs["joints"] == []
    for path in ("report.share.work", "work.own.a1.workplace", "work.finding.sharp_edge.workplace"):
        world.type(visit, path, "yes")
    said = json.dumps(papers(world, office.owner, office.practice, visit)[1])
    assert {word.strip('",') for word in re.findall(r"MARK [\w.]+", said)} == {
        "MARK work",
        "MARK work.own.a1.title",
        "MARK work.own.a1.do",
        "MARK work.finding.sharp_edge.words",
    }


def test_a_reader_sees_health_data_only_where_the_owner_grants_it(demo_world):
    world, owner, lines = demo_world
    reader = next(member for member in world.accounts.members(owner) if member.role == "reader")
    practice = world.accounts_port.practice(owner.practice_id)
    visit = lines["Bram"].id
    shown = world.visits.visits(reader)
    assert all((line.sign, line.worse, line.call_back) == (None, [], None) for line in shown)
    assert any(line.sign for line in world.visits.visits(owner))
    world.reports.draft_pdf(reader, practice, visit, "cm", "workplace")
    report = world.records.last_report(practice.id, lines["Odile"].id)
    with pytest.raises(NotAllowed, match="health data"):
        world.reports.pdf(reader, report.id, "client")
    reader = world.accounts.let_see_health(owner, reader.id, sees=True)
    assert world.reports.pdf(reader, report.id, "client")[0].id == report.id


def test_a_report_signed_before_the_papers_had_models_still_has_its_workplaces_copy(demo_world):
    world, owner, lines = demo_world
    practice = world.accounts_port.practice(owner.practice_id)
    draft = world.reports.draft(owner, practice, lines["Bram"].id, "cm").content
    now = draft.record.model_dump(mode="json")
    new = ("actions", "causes", "kind", "letterhead", "call", "replaces")
    old = {name: value for name, value in now.items() if name not in new}
    old["workplace"] = draft.workplace.model_dump(mode="json")
    for name in (*new, "visited", "follow_up_on", "version", "signed_by", "signed_on"):
        old["workplace"].pop(name, None)
    old |= {"copy": "client", "findings": [], "signed_by": "Ines", "signed_on": "3 May 2026"}
    paper = legacy_paper(old)
    assert (paper.signed_by, paper.table, paper.visited) == (
        "Ines",
        draft.workplace.table,
        draft.record.visited,
    )
    oldest = {**old, "findings": [{}, {}]}
    del oldest["workplace"]
    bare = legacy_paper(oldest)
    assert (bare.left_out, bare.requests, bare.work, bare.scene) == (2, [], "", None)
    assert {row.note for row in bare.table} == {""}
