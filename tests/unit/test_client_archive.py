"""One client whole: out of one practice and into another, and what is no archive refused in words."""

import io
import json
import zipfile
from copy import deepcopy
from datetime import UTC, datetime

import pytest

from gentle_plumb.documents import PaperFiles, PillowImageProcessor, ZipArchives
from gentle_plumb.services.archives import ArchiveService
from gentle_plumb.services.errors import BadFile, NeedsConsent
from gentle_plumb.services.photos import PhotoService
from unit.services.world import World


class Clock:
    now = datetime(2026, 11, 20, 10, tzinfo=UTC)

    def __call__(self):
        return self.now


def service(world):
    photos = PhotoService(world.records, PillowImageProcessor(), world.reports._clock)
    return ArchiveService(world.records, photos, ZipArchives(), PaperFiles(), world.reports._clock)


@pytest.fixture(scope="module")
def exported(loaded):
    """The demo's client with photographs and signed papers: their values and their archive."""
    world = deepcopy(loaded)
    owner = world.accounts_port.member_by_email("ines@saltmere.example")
    line = next(visit for visit in world.visits.visits(owner) if visit.client.startswith("Odile"))
    _, archive = service(world).export(owner, line.client_id)
    again = service(world).export(owner, line.client_id)[1]
    assert again == archive
    return world.records.load_snapshot(owner.practice_id, line.id), archive


def test_a_client_leaves_whole_and_comes_in_elsewhere_as_they_were(exported):
    was, archive = exported
    there = World(Clock())
    with pytest.raises(NeedsConsent):
        service(there).take_in(there.office.owner, archive, agreed=False)
    client = service(there).take_in(there.office.owner, archive, agreed=True)
    assert (client.name, client.sex, client.work) == (
        was.client.name,
        was.client.sex,
        was.client.work,
    )
    listed = there.visits.visits(there.office.owner)
    every = [there.records.load_snapshot(there.office.practice.id, line.id) for line in listed]
    now = max(every, key=lambda visit: len(visit.values))
    visit = now.visit
    said = {path: value for path, value in was.values.items() if value not in (None, "")}
    plain = {path: value for path, value in said.items() if not path.startswith("look.photo.")}
    held = {path: value for path, value in now.values.items() if path in plain}
    assert held == {
        path: pytest.approx(value, abs=1e-3) if isinstance(value, float) else value
        for path, value in plain.items()
        if path != "measure.table"
    }
    assert len(now.photos) == len(was.photos) > 0
    placed = [path for path in now.values if path.startswith(f"look.photo.{now.photos[0].id}.")]
    assert placed
    worked = there.visits.results(there.office.owner, visit.id, "cm")[1]
    assert worked.rows[0].setting == "43.2"


def test_the_archive_is_a_folder_of_open_files(exported):
    _, archive = exported
    with zipfile.ZipFile(io.BytesIO(archive)) as folder:
        names = folder.namelist()
        about = json.loads(folder.read("client.json"))
        last = about["visits"][-1]["folder"]
        for name in ("visit.json", "result.json", "measurements.fhir.json"):
            assert f"{last}/{name}" in names
        for copy in ("client", "workplace", "record"):
            assert folder.read(f"{last}/papers/version-1-{copy}.pdf").startswith(b"%PDF")
        assert sum(name.endswith(".jpg") for name in names) > 0


def spoilt(archive, **files):
    """The archive with some of its files exchanged."""
    out = io.BytesIO()
    with zipfile.ZipFile(io.BytesIO(archive)) as old, zipfile.ZipFile(out, "w") as new:
        for name in old.namelist():
            new.writestr(name, files.get(name.replace(".", "_").split("/")[-1], old.read(name)))
    return out.getvalue()


def spoilt_photo(archive):
    with zipfile.ZipFile(io.BytesIO(archive)) as old:
        name = next(one for one in old.namelist() if one.endswith(".jpg"))
    return spoilt(archive, **{name.split("/")[-1].replace(".", "_"): b"no JPEG"})


def test_what_is_kept_by_consent_comes_in_only_with_it(exported):
    was, archive = exported
    with zipfile.ZipFile(io.BytesIO(archive)) as old:
        name = next(one for one in old.namelist() if one.endswith("visit.json"))
        visit = json.loads(old.read(name))
    assert visit["entries"].pop("ask.consent.notes") == "yes"
    visit["entries"].pop("ask.consent.photographs")
    there = World(Clock())
    raw = spoilt(archive, visit_json=json.dumps(visit).encode())
    service(there).take_in(there.office.owner, raw, agreed=True)
    (line,) = there.visits.visits(there.office.owner)
    now = there.records.load_snapshot(there.office.practice.id, line.id)
    assert "ask.reason" in was.values
    assert "ask.reason" not in now.values
    assert now.photos == ()
    assert now.values["look.found.seat"] == was.values["look.found.seat"]


def test_what_is_no_archive_is_refused_and_nothing_is_written(exported):
    _, archive = exported
    there = World(Clock())
    for raw, wrong in (
        (b"PK nothing", "can’t be read"),
        (spoilt(archive, client_json=b"{}"), "client.json: client"),
        (spoilt(archive, visit_json=b'{"client": "x"}'), "visit.json: visit_on"),
        (
            spoilt(archive, client_json=b'{"client": "x", "visits": [{"folder": "../etc"}]}'),
            "visits.0.folder",
        ),
        (spoilt_photo(archive), "JPEG, PNG or WebP"),
    ):
        with pytest.raises(BadFile) as refused:
            service(there).take_in(there.office.owner, raw, agreed=True)
        assert wrong in " ".join(line.reason for line in refused.value.lines)
    assert there.visits.clients(there.office.owner) == []
