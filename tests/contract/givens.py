"""What the ports are given."""

from conftest import new_id
from gentle_plumb.services.models import Change, PhotoHead, PrintedCopy, Report

CONSENT = "ask.consent.photographs"


def change(visit, member, **given):
    usual = {
        "id": new_id(),
        "visit_id": visit.id,
        "path": "look.found.seat",
        "typed": "46 cm",
        "value": 460.0,
        "expected_version": 0,
        "member_id": member.id,
    }
    return Change(**usual | given)


def copies(pdf=b"%PDF", without=None):
    return {"client": PrintedCopy(pdf=pdf, without=without)}


def report(visit, clock, number=1, revision=0):
    return Report(
        id=new_id(),
        visit_id=visit.id,
        number=number,
        revision=revision,
        content={"client": "Odile"},
        signed_by="Owner",
        signed_at=clock(),
    )


def agree(ports, office, visit, clock, value="yes", version=0, erase=None):
    given = change(
        visit,
        office.owner,
        path=CONSENT,
        typed=value,
        value=value,
        expected_version=version,
        erase=erase,
    )
    return ports[1].write(office.practice.id, given, clock())


def photo(visit, clock, **more):
    usual = {
        "id": new_id(),
        "visit_id": visit.id,
        "width": 800,
        "height": 600,
        "fov_deg": 62.0,
        "size": 3,
        "sha256": "ab",
        "added_by": "Owner",
        "added_at": clock(),
    }
    return PhotoHead(**usual | more)
