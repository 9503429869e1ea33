"""The target card as it is printed: its code is read back from the page by another program."""

from datetime import UTC, datetime
from io import BytesIO
from uuid import UUID

import typst
import zxingcpp
from PIL import Image

from gentle_plumb.documents.report_pdf import HERE, card_inputs
from gentle_plumb.services.models import Client, Practice, Visit, VisitSnapshot
from gentle_plumb.services.papers import target_card
from gentle_plumb.services.workup import work_up
from plumb_demo.load import full_visit

ID = UUID(int=1)


def card_of(name, unit, **more):
    today = datetime.now(UTC).date()
    visit = Visit(id=ID, practice_id=ID, client_id=ID, member_id=ID, started_on=today)
    opened = VisitSnapshot(
        visit=visit,
        client=Client(id=ID, practice_id=ID, name=name, sex="female", work=""),
        values={**full_visit(name)[0], **more},
        versions=0,
        signed_revision=None,
    )
    return target_card(
        Practice(id=ID, name="Saltmere", unit="cm", local_wording=""),
        [(opened, work_up(opened, unit))],
        unit,
    )


def read_back(card):
    png = typst.compile(
        str(HERE / "card.typ"),
        font_paths=[str(HERE / "fonts")],
        ignore_system_fonts=True,
        sys_inputs=card_inputs(card),
        format="png",
        ppi=200,
    )
    found = zxingcpp.read_barcodes(Image.open(BytesIO(png)).convert("L"))
    assert len(found) == 1
    return found[0].text


def test_the_code_on_the_page_holds_the_numbers_themselves():
    card = card_of("Odile Marrick", "cm", **{"set.seated.seat": 433.0, "set.preset.seated": 2.0})
    lines = read_back(card).replace("\xa0", " ").splitlines()
    assert lines[0].startswith("Odile Marrick, ")
    assert "Seat: sit 43.3 cm" in lines
    assert "Desk key: sit 2" in lines
    assert any(line.startswith("Surface: sit ") and line.endswith(" *") for line in lines)
    assert read_back(card) == card.people[0].code
    inches = read_back(card_of("Odile Marrick", "in", **{"set.seated.seat": 433.0}))
    assert "Seat: sit 17.05 in" in inches.replace("\xa0", " ")
