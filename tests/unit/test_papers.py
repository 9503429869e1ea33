"""The papers: what comes first, what each may hold, what a file carries, what a later version says."""

import io
import json
import re
from dataclasses import replace
from datetime import UTC, datetime
from uuid import UUID

import pypdf
import pytest
from PIL import Image

from generated_visits import visit_values
from gentle_plumb.core.plans import Prices
from gentle_plumb.core.record import FAMILIES, FIELDS
from gentle_plumb.documents import PaperFiles, TypstPdfRenderer
from gentle_plumb.documents.embedded_files import files_in
from gentle_plumb.documents.exchange import exchange_format
from gentle_plumb.documents.visit_file import entries_of, read_visit, visit_lines
from gentle_plumb.services.models import Client, Practice, Visit, VisitSnapshot
from gentle_plumb.services.paper_layout import layout_of
from gentle_plumb.services.paper_models import PaperAction, PaperCause, PaperPhoto
from gentle_plumb.services.papers import letter_paper, papers_of, things_that_matter
from gentle_plumb.services.reports import digest_of
from gentle_plumb.services.workup import work_up
from plumb_demo.load import full_visit

ID = UUID(int=1)
PRACTICE = Practice(
    id=ID,
    name="Saltmere",
    unit="cm",
    local_wording="Saltmere’s own procedure comes first.",
    letterhead="Harbour Street 3\nSaltmere",
    contact="Ines, 0412",
)
PRESS, FILES = TypstPdfRenderer(), PaperFiles()


def opened(values, versions=0):
    today = datetime.now(UTC).date()
    visit = Visit(id=ID, practice_id=ID, client_id=ID, member_id=ID, started_on=today)
    client = Client(id=ID, practice_id=ID, name="Odile Marrick", sex="female", work="charts")
    held = {path: value for path, value in values.items() if not path.startswith("look.photo.")}
    return VisitSnapshot(
        visit=visit, client=client, values=held, versions=versions, signed_revision=None
    )


def made(name="Odile Marrick", before=None, **more):
    snapshot = opened({**full_visit(name)[0], **more})
    workup = work_up(snapshot, "cm")
    return snapshot, workup, papers_of(PRACTICE, snapshot, workup, "cm", before)


def printed(copy="client", **more):
    snapshot, workup, papers = made(**more)
    paper = getattr(papers, copy)
    attached = (
        FILES.of_drawing(paper.scene)
        if copy == "workplace"
        else FILES.of_visit(snapshot, workup.analysis, (), paper.scene)
    )
    return snapshot, PRESS.print(paper, attached=attached)


def act(id, title="", heading="Set", state="open"):
    return PaperAction(
        id=id,
        heading=heading,
        text=id,
        who="Practitioner",
        when="today",
        price="",
        temporary=False,
        state=state,
        posture="seated",
        resolves=[title] if title else [],
    )


def cause(title, minutes):
    return PaperCause(title=title, severity=None, minutes=minutes, explains=[], findings=[])


def test_what_is_unsafe_comes_first_then_what_takes_the_causes_away_in_their_order():
    causes = [cause("feet", 90), cause("wrists", 60), cause("neck", 40)]
    actions = [
        act("raise screen", "neck"),
        act("cables", heading="Make safe"),
        act("footrest", "feet", state="done"),
        act("lower seat", "feet"),
        act("fold feet", "wrists"),
    ]
    first = [one.text for one in things_that_matter(causes, actions)]
    assert first == ["cables", "lower seat", "fold feet"]
    told = things_that_matter(causes, actions, ["fold feet", "lower seat", "cables"])
    assert [one.text for one in told] == ["fold feet", "lower seat", "cables"]  # as they are done
    assert all(one.helps.startswith("Why: ") for one in told)
    done = [act("a", "neck", state="done"), act("b")]
    assert [one.text for one in things_that_matter(causes, done)] == ["b"]


def test_causes_and_actions_stand_in_the_practitioners_order_and_words_beside_what_was_computed():
    heavy = [one.id for one in made()[2].client.causes]
    first, last = heavy[0], heavy[-1]
    action = next(action for action in made()[2].record.actions if action.field)
    said = {
        f"report.cause.{last}.rank": 1.0,
        f"report.cause.{last}.words": "The thing we start with",
        f"report.cause.{first}.left_out": "yes",
        f"report.action.{action.field}.words": "As we agreed on the day",
    }
    _, _, papers = made(**said)
    mine = papers.client.causes[0]
    assert (mine.id, mine.words, bool(mine.title)) == (last, "The thing we start with", True)
    assert first not in [one.id for one in papers.client.causes]
    assert next(one for one in papers.record.causes if one.id == first).left_out
    edited = next(one for one in papers.record.actions if one.id == action.id)
    assert (edited.words, edited.text) == ("As we agreed on the day", action.text)
    text = "".join(
        page.extract_text()
        for page in pypdf.PdfReader(io.BytesIO(PRESS.print(papers.client))).pages
    )
    assert "The thing we start with" in text
    assert "Computed: " + mine.title[:12] in text


def test_the_clients_paper_says_nothing_twice_and_each_number_by_what_it_is_measured_from():
    paper = made()[2].client
    first, then = ({one.id for one in some} for some in (paper.first, paper.todo))
    assert first.isdisjoint(then)
    assert all(one.helps for one in paper.first)
    assert [number.label for number in paper.numbers[:3]] == [
        "Height of the seat, from the floor",
        "Height of the desk, from the floor",
        "How far the mouse is from your middle",
    ]
    dark, bright = (made(**{"look.room.lux": lux})[2].client for lux in (90.0, 4000.0))
    lamp = {one.text for one in (*dark.first, *dark.todo)}
    blind = {one.text for one in (*bright.first, *bright.todo)}
    assert any("Add a task lamp." in one for one in lamp)
    assert any("Fit a blind" in one for one in blind)
    assert not any("lamp" in one for one in blind)


def test_what_is_still_to_be_bought_is_summed_where_the_practice_keeps_prices():
    snapshot, _, papers = made("Yara Fenwick", **{"work.plan": "lasting"})
    assert re.search(r"small|medium|large", papers.client.costs), papers.client.costs
    priced = replace(snapshot, prices=Prices(small=60, medium=450, large=1100, currency="EUR"))
    worked = work_up(priced, "cm")
    costs = papers_of(PRACTICE, priced, worked, "cm", None).client.costs
    bought = [
        action.price
        for action in worked.analysis.actions()
        if action.price in ("small", "medium", "large")
    ]
    assert (
        costs
        == f"{sum({'small': 60, 'medium': 450, 'large': 1100}[one] for one in bought):,}\xa0EUR"
    )
    one = next(
        action for action in worked.analysis.actions() if action.price in ("small", "medium")
    )
    unwanted = {f"set.action.{one.id.replace('.', '-')}.because": "unwanted"}
    refused = work_up(replace(priced, values={**priced.values, **unwanted}), "cm")
    assert papers_of(PRACTICE, priced, refused, "cm", None).client.costs not in ("", costs)


def test_a_replaced_version_says_so_on_every_page_and_stays_beneath():
    _, pdf = printed("client")
    marked = pypdf.PdfReader(io.BytesIO(PRESS.mark(pdf, "Version 1: replaced by version 2")))
    assert len(marked.pages) == len(pypdf.PdfReader(io.BytesIO(pdf)).pages)
    for page in marked.pages:
        assert "replaced by version 2" in page.extract_text().replace("\xa0", " ")
    assert "Your settings" in marked.pages[0].extract_text()


def test_the_clients_first_page_holds_what_has_to_be_done_and_when_to_stop():
    _, pdf = printed(**{"set.seated.seat": 432.0})
    first = pypdf.PdfReader(io.BytesIO(pdf)).pages[0].extract_text().replace("\xa0", " ")
    for words in ("First", "Your settings", "When to stop, and who to call", "Ines, 0412"):
        assert words in first
    assert "43.2 cm left at" in " ".join(first.split())


@pytest.mark.parametrize("copy", ["client", "workplace", "record"])
def test_every_copy_is_kept_for_good_and_read_aloud(copy):
    _, pdf = printed(copy)
    read = pypdf.PdfReader(io.BytesIO(pdf))
    about = read.xmp_metadata.rdf_root.toxml() if read.xmp_metadata else ""
    assert "pdfaid:part" in about
    assert "pdfuaid:part" in about
    marks = read.root_object["/MarkInfo"].get_object()
    assert isinstance(marks, pypdf.generic.DictionaryObject)
    assert marks["/Marked"]
    assert read.root_object["/Lang"] == "en"


@pytest.mark.parametrize("copy", ["client", "workplace", "record"])
def test_the_pdf_says_all_that_the_page_shows(copy):
    paper = getattr(made()[2], copy)
    layout = layout_of(paper).model_dump()

    def words(part):
        if isinstance(part, dict):
            texts = [part[key] for key in ("text", "title", "about", "caption") if part.get(key)]
            return [*texts, *(word for held in part.values() for word in words(held))]
        return [word for each in part for word in words(each)] if isinstance(part, list) else []

    said = words(layout)
    assert len(said) > 60
    pages = pypdf.PdfReader(io.BytesIO(PRESS.print(paper))).pages
    printed_text = re.sub(r"\s", "", "".join(page.extract_text() for page in pages))
    assert [text for text in said if re.sub(r"\s", "", text) not in printed_text] == []


def test_the_visit_is_read_back_out_of_the_file():
    snapshot, pdf = printed("record")
    files = files_in(pdf)
    assert set(files) == {"visit.json", "result.json", "drawing.svg"}
    visit = read_visit(files["visit.json"])
    consents = {path for path in snapshot.values if path.startswith("ask.consent.")}
    assert visit.entries == entries_of(snapshot.values, consents)
    for path, value in visit.values().items():
        held = snapshot.values[path]
        assert value == (pytest.approx(held, abs=1e-3) if isinstance(held, float) else held), path
    lines = visit_lines(visit, "cm")
    assert "seated   Seat: 45.5\xa0cm found, 43.2\xa0cm to set" in lines
    result = json.loads(files["result.json"])["result"]
    seat = next(row for row in result["seated"]["rows"] if row["key"] == "seat")
    assert seat["setting"] == pytest.approx(432, abs=0.5)


def test_the_workplaces_file_carries_its_drawing_and_nothing_of_the_person():
    _, pdf = printed("workplace")
    files = files_in(pdf)
    assert set(files) == {"drawing.svg"}
    for copy, seen in (("client", True), ("workplace", False)):
        roles = {mark.role for mark in getattr(made()[2], copy).scene.marks}
        assert bool(roles & {"gaze", "eye-line", "field", "body-label"}) == seen


@pytest.mark.parametrize(
    ("file", "wrong"), [(b"PK\x03", "no PDF"), (b"%PDF-1.7 nothing", "can’t be read")]
)
def test_what_is_no_report_is_refused_in_words(file, wrong):
    with pytest.raises(ValueError, match=wrong):
        files_in(file)
    label, read = exchange_format(b"%PDF-1.7 nothing")
    assert (label, len(read.troubles)) == ("Report", 1)
    with pytest.raises(ValueError, match=r"look\.found\.seat"):
        read_visit(
            json.dumps(
                {"client": "X", "visit_on": "2026-11-02", "entries": {"look.found.seat": "9999 mm"}}
            )
        )


def test_no_health_word_of_any_text_reaches_the_workplace():
    """A word of its own is planted in every text of generated visits, and looked for."""
    texts = [field for field in (*FIELDS.values(), *FAMILIES.values()) if field.kind == "text"]
    for seed in range(6):
        planted = {field.id.replace("*", "a1"): f"Quagga{at}x" for at, field in enumerate(texts)}
        snapshot = opened({**visit_values(20_261 + seed), **planted})
        workup = work_up(snapshot, "cm")
        papers = papers_of(PRACTICE, snapshot, workup, "cm")
        assert "Quagga" not in papers.workplace.model_dump_json()
        assert "Quagga" in papers.record.model_dump_json()


def test_photographs_are_on_paper_only_while_they_are_given():
    _, _, papers = made()
    shot = PaperPhoto(id="a1", caption="Before, side, seated", readings=["Neck: 41° ± 2"])
    paper = papers.record.model_copy(update={"photos": [shot]})
    out = io.BytesIO()
    Image.new("RGB", (60, 40), "#888888").save(out, "JPEG")
    with_it = PRESS.print(paper, pictures={"a1": out.getvalue()})
    without = PRESS.print(paper)
    images = [
        sum(len(page.images) for page in pypdf.PdfReader(io.BytesIO(pdf)).pages)
        for pdf in (with_it, without)
    ]
    assert images == [1, 0]


def test_a_later_version_says_what_it_replaces_and_what_has_changed():
    _, _, first = made()
    frozen = first.model_dump(mode="json")
    frozen["record"]["signed_on"] = "3 May 2026"
    assert first.record.replaces == []
    _, _, again = made(before=frozen)
    assert again.record.replaces == ["Replaces version 1, signed 3 May 2026."]
    assert digest_of(again) != digest_of(first)
    _, _, moved = made(before=frozen, **{"set.seated.seat": 432.0, "look.keyboard.feet": "in"})
    said = [line.replace("\xa0", " ") for line in moved.client.replaces]
    assert "Seat, sitting: left at – before, now 43.2 cm." in said
    assert "Done since: Seat: left at 43.2 cm, measured." in said
    assert any(line.startswith("No longer needed: Keyboard feet raised") for line in said)
    assert moved.workplace.replaces == said[:1]


def test_a_letter_is_written_for_a_flag_that_is_there_and_for_no_other():
    flag = {
        "ask.sign.calf": "yes",
        "ask.sign.calf.to": "Dr Quill",
        "ask.sign.calf.done": "Told to go today.",
        "ask.sign.calf.by": "Ines Calloway",
        "ask.sign.calf.call_back": "2026-12-01",
    }
    snapshot, workup, _ = made(**flag)
    assert letter_paper(PRACTICE, snapshot, workup, "chest") is None
    pdf = PRESS.print(letter_paper(PRACTICE, snapshot, workup, "calf"))
    (page,) = pypdf.PdfReader(io.BytesIO(pdf)).pages
    text = page.extract_text()
    for words in (
        "Dr Quill",
        "Hot, swollen or painful calf",
        "Told to go today",
        "1 December 2026",
    ):
        assert words in text
    assert "This is not a diagnosis" in text
    for words in (
        "Our question",
        "May go on as planned",
        "From which day",
        "Name, signature, date",
    ):
        assert words in text


def test_a_letter_asks_whoever_has_the_word_on_a_condition_for_a_number_and_a_day():
    held = {
        "ask.care.dizziness": "yes",
        "ask.care.osteoporosis": "yes",
        "ask.question.standing": 12.0,
        "ask.question.from": "2026-12-04",
    }
    snapshot, workup, _ = made(**held)
    paper = letter_paper(PRACTICE, snapshot, workup, "dizziness")
    assert (
        "Odile Marrick stand at the desk for up to 12 minutes of each hour from 4" in paper.question
    )
    assert not any(
        "Osteoporosis".lower() in limit and "dizziness" not in limit for limit in paper.limits
    )
    text = " ".join(
        "".join(
            page.extract_text() for page in pypdf.PdfReader(io.BytesIO(PRESS.print(paper))).pages
        ).split()
    )
    for words in (
        "treating doctor",
        "Standing at most, in each hour, min",
        "Question about a workplace plan",
    ):
        assert words in text
    assert letter_paper(PRACTICE, snapshot, workup, "pregnancy") is None


def test_a_name_that_turns_the_reading_direction_leaves_the_line_around_it_alone():
    snapshot, workup, _ = made(**{"ask.sign.calf": "yes", "ask.sign.calf.to": "Dr \u202eQuill"})
    pdf = PRESS.print(letter_paper(PRACTICE, snapshot, workup, "calf"))
    (page,) = pypdf.PdfReader(io.BytesIO(pdf)).pages
    assert "Dr Quill" in page.extract_text()
