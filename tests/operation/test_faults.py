"""What goes wrong around the program loses nothing it has acknowledged, and is said in words."""

import os
import random
import subprocess
import threading
import time
from contextlib import contextmanager
from pathlib import Path
from uuid import uuid4

import pytest
from fastapi import FastAPI
from fastapi.testclient import TestClient

from conftest import PASSWORD, ROOT, make_office
from gentle_plumb.api import make_app
from gentle_plumb.api.registering import router_of
from gentle_plumb.config import Settings
from gentle_plumb.hosting.postgres import Cluster
from gentle_plumb.hosting.run import opened, prepare
from gentle_plumb.main import make_services
from gentle_plumb.routes.route import Needs, Routes
from gentle_plumb.storage import SqlAccounts
from plumb_bench.storm import Storm
from plumb_demo.photographs import Angles, Camera, photograph_side


def test_in_a_storm_what_was_acknowledged_is_kept_once_and_in_order(tmp_path_factory):
    seed = random.randrange(10**6)
    print(f"seed {seed}")
    folder = ROOT / "var" / f"test-storm-{os.getpid()}"
    try:
        told = Storm(folder, seed, people=3).blow(0)
    finally:
        subprocess.run(["rm", "-rf", str(folder)], check=True)
    assert (told.lost, told.refused, told.doubled) == ([], [], 0)
    assert told.chain_holds
    assert len(told.troubles) == 4
    assert told.taken >= 12


@contextmanager
def small_disk(folder: Path, megabytes: int):
    """A disk of its own, so large and no larger; skipped where none may be made."""
    folder.mkdir(parents=True)
    size = f"size={megabytes}m"
    made = subprocess.run(["mount", "-t", "tmpfs", "-o", size, "tmpfs", folder], check=False)
    if made.returncode != 0:
        pytest.skip("this machine lets nobody make a small disk")
    try:
        yield
    finally:
        subprocess.run(["umount", "--lazy", folder], check=False)
        folder.rmdir()


@pytest.mark.skipif(os.geteuid() != 0, reason="only root makes a small disk")
def test_a_full_disk_is_said_and_what_was_kept_stays():
    folder = ROOT / "var" / f"test-disk-{os.getpid()}"
    picture = photograph_side(Angles(neck=30, elbow=100), Camera(distance=3000)).jpeg
    with small_disk(folder, 160), Cluster(folder / "postgres").up():
        cluster = Cluster(folder / "postgres")
        cluster.port = cluster._port_of_running()
        prepare(cluster.addresses, demo=False, say=lambda _: None)
        with opened(cluster.addresses.serves) as engine:
            office = make_office(SqlAccounts(engine))
            app = make_app(make_services(engine, Settings(demo=False)))
            with TestClient(app, "https://a.example", raise_server_exceptions=False) as http:
                given = {"email": office.owner.email, "password": PASSWORD}
                http.headers["X-Plumb-Csrf"] = http.post("/api/session", json=given).json()["csrf"]
                visit = begun(http)
                filler = folder / "filler"
                fill = ["dd", "if=/dev/zero", f"of={filler}"]
                subprocess.run(fill, capture_output=True, check=False)  # to the last byte
                kept, refused = photographs(http, visit, picture)
                assert refused.status_code in (503, 507), refused.text
                assert refused.json()["detail"]
                filler.unlink()
                held = within(http, visit)
                assert {one["id"] for one in held["photos"]} >= set(kept)
                more, after = photographs(http, visit, picture, most=2)
                assert (len(more), after) == (2, None)


def begun(http):
    client = http.post("/api/clients", json={"id": str(uuid4()), "name": "Odile"}).json()
    visit = str(uuid4())
    http.post("/api/visits", json={"id": visit, "client_id": client["id"]})
    change = {"path": "ask.consent.photographs", "typed": "yes", "expected_version": 0}
    assert http.put(f"/api/visits/{visit}/changes/{uuid4()}", json=change).status_code == 200
    return visit


def photographs(http, visit, picture, most=200):
    """Add photographs until one is refused: those that were taken, and the refusal."""
    kept = []
    for _ in range(most):
        photo = str(uuid4())
        answer = http.put(
            f"/api/visits/{visit}/photos/{photo}",
            content=picture,
            headers={"Content-Type": "image/jpeg"},
        )
        if answer.status_code != 200:
            return kept, answer
        kept.append(photo)
    return kept, None


def within(http, visit, tries=120):
    """The visit, as soon as the database is there again."""
    for _ in range(tries):
        answer = http.get(f"/api/visits/{visit}")
        if answer.status_code == 200:
            return answer.json()
        time.sleep(0.5)
    raise AssertionError(answer.text)


def test_who_waits_for_a_frozen_database_is_answered_and_the_work_goes_on():
    done = threading.Event()

    def frozen() -> dict[str, str]:
        time.sleep(0.3)
        done.set()
        return {"came": "late"}

    routes = Routes("slow")
    routes.get("/usual", Needs.NOBODY, within_s=0.05)(frozen)
    routes.get("/paper", Needs.NOBODY, within_s=None)(frozen)
    app = FastAPI()
    app.state.services = None
    app.include_router(router_of(routes))
    with TestClient(app) as http:
        answer = http.get("/api/usual")
        assert done.wait(5)
        slow = http.get("/api/paper")
    assert (answer.status_code, answer.json()["type"]) == (503, "too-slow")
    assert answer.headers["retry-after"] == "2"
    assert slow.json() == {"came": "late"}  # a paper takes its time
