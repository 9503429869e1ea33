"""One plain visit, without a database: a body for which 49 cm would be right at a desk that stands at 72."""

from datetime import UTC, datetime
from uuid import UUID

from gentle_plumb.services.models import Client, Practice, Visit, VisitSnapshot
from gentle_plumb.services.papers import papers_of
from gentle_plumb.services.workup import work_up

ID = UUID(int=1)
PRACTICE = Practice(id=ID, name="Saltmere", unit="cm", local_wording="")
PLAIN = {
    # a body for which 49 cm would be right at a desk that stands at 66, and no footrest looked for
    "ask.shoe_seated": 25.0,
    "ask.shoe_standing": 25.0,
    "look.chair.kind": "task",
    "look.chair.seat_min": 420.0,
    "look.chair.seat_max": 530.0,
    "look.desk.kind": "fixed",
    "look.desk.surface_min": 720.0,
    "look.desk.surface_max": 720.0,
    "look.desk.thickness": 25.0,
    "look.desk.depth": 800.0,
    "look.keyboard.kind": "full",
    "look.keyboard.thickness": 20.0,
    "look.screen.kind": "monitor",
    "look.screen.diagonal": 24.0,
    "look.screen.aspect": "16:9",
    "look.screen.top_min": 350.0,
    "look.screen.top_max": 560.0,
    "look.found.seat": 460.0,
    "look.found.surface": 720.0,
    "look.found.screen_top": 1180.0,
    "look.found.distance": 620.0,
    "look.found.mouse": 400.0,
    "measure.popliteal_height.first": 400.0,
    "measure.elbow_height_sitting.first": 230.0,
    "measure.eye_height_sitting.first": 740.0,
    "measure.thigh_clearance.first": 140.0,
    "measure.elbow_fingertip_length.first": 430.0,
    "measure.hand_length.first": 175.0,
    "measure.buttock_popliteal_length.first": 480.0,
    "measure.shoulder_elbow_length.first": 330.0,
    "measure.shoulder_breadth_biacromial.first": 360.0,
    "measure.shoulder_height_sitting.first": 570.0,
}


def snapshot(values):
    today = datetime.now(UTC).date()
    visit = Visit(id=ID, practice_id=ID, client_id=ID, member_id=ID, started_on=today)
    client = Client(id=ID, practice_id=ID, name="Odile Marrick", sex="female", work="charts")
    held = {path: value for path, value in values.items() if value not in (None, "")}
    return VisitSnapshot(visit=visit, client=client, values=held, versions=0, signed_revision=None)


def worked(values, **more):
    return work_up(snapshot({**values, **more}), "cm", body=False)


def state(workup, key, posture="seated"):
    return workup.analysis.states[posture, key]


def papers(values, **more):
    opened = snapshot({**values, **more})
    workup = work_up(opened, "cm")
    return workup, papers_of(PRACTICE, opened, workup, "cm")
