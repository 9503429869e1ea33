"""What is killed comes back by itself: as process 1 of a container, under an init, and after a crash."""

import os
import re
import signal
import subprocess
import sys
import time
import urllib.request
from contextlib import suppress
from pathlib import Path

import pytest

from conftest import ROOT
from gentle_plumb.hosting.postgres import Cluster, free_port
from gentle_plumb.hosting.processes import is_server

SERVE = (
    "import sys; from pathlib import Path; from gentle_plumb.hosting import run; "
    "run.end_on_signals(); folder = Path(sys.argv[1]); port = int(sys.argv[2])\n"
    "say = lambda words: print(words, flush=True)\n"
    "with run.database(say, folder) as database:\n"
    "    run.prepare(database, demo=False, say=say)\n"
    "    run.serve(database.serves, demo=False, say=say, port=port, workers=int(sys.argv[3]))\n"
)
ALONE = ["unshare", "--pid", "--fork", "--mount-proc", "--kill-child"]
"""Process numbers of its own, as a container has them: what it starts is process 1."""


@pytest.fixture
def folder():
    made = ROOT / "var" / f"test-recovery-{os.getpid()}"
    yield made
    subprocess.run(["rm", "-rf", str(made)], check=True)


def answers(port):
    with suppress(OSError):
        address = f"http://127.0.0.1:{port}/api/health"
        return urllib.request.urlopen(address, timeout=3).read().decode()
    return ""


def until(told, seconds=150):
    deadline = time.monotonic() + seconds
    while not (found := told()):
        assert time.monotonic() < deadline
        time.sleep(0.1)
    return found


def processes(words):
    """Numbers of the living processes whose command line holds these words."""
    listed = subprocess.run(
        ["ps", "-ewwo", "pid=,stat=,args="], capture_output=True, text=True, check=False
    )
    rows = [line.split(None, 2) for line in listed.stdout.splitlines()]
    return [int(row[0]) for row in rows if len(row) == 3 and words in row[2] and "Z" not in row[1]]


@pytest.mark.skipif(
    os.geteuid() != 0
    or subprocess.run([*ALONE, "true"], capture_output=True, check=False).returncode != 0,
    reason="this machine gives nobody process numbers of their own",
)
@pytest.mark.parametrize("under", ["process 1", "an init"])
def test_a_killed_database_and_worker_come_back_in_a_container(folder, under):
    port = free_port()
    python = [sys.executable, "-c", SERVE, str(folder), str(port), "1"]
    if under == "an init":
        python = ["sh", "-c", '"$@"; true', "sh", *python]
    env = {name: value for name, value in os.environ.items() if "GENTLE_PLUMB" not in name}
    env |= {
        "PYTHONPATH": str(ROOT / "src"),
        "GENTLE_PLUMB_BACKUP_KEY": str(folder / "backup.key"),
        "GENTLE_PLUMB_BACKUP_FOLDER": str(folder / "backups"),
    }
    before = set(processes("gentle_plumb.hosting.worker"))
    process = subprocess.Popen([*ALONE, *python], env=env, stdout=subprocess.PIPE, text=True)
    try:
        until(lambda: '"worker":"working"' in answers(port))
        [postmaster] = processes(f"-D {folder}/data")
        os.kill(postmaster, signal.SIGKILL)
        until(lambda: processes(f"-D {folder}/data") not in ([], [postmaster]))
        until(lambda: answers(port))
        workers = until(lambda: set(processes("gentle_plumb.hosting.worker")) - before)
        os.kill(workers.pop(), signal.SIGKILL)
        said = until(lambda: process.stdout.readline() if True else "")
        while "worker ended" not in said:
            said = process.stdout.readline()
        assert re.search(r"ended \(-9\); another one is started", said)
        until(lambda: set(processes("gentle_plumb.hosting.worker")) - before)
    finally:
        process.kill()
        process.wait()
        process.stdout.close()
        until(lambda: not processes(f"-D {folder}/data"))


def test_a_number_left_by_a_crash_that_another_program_has_now_keeps_nobody_out(folder):
    cluster = Cluster(folder)
    with cluster.up():
        left = (cluster.data / "postmaster.pid").read_text()
    (cluster.data / "postmaster.pid").write_text(re.sub(r"^\d+", str(os.getpid()), left))
    assert not cluster.running()
    with Cluster(folder).up() as mine:
        assert mine
    sleeper = subprocess.Popen(["sleep", "60"], cwd=cluster.data)
    try:
        assert not is_server(sleeper.pid, cluster.data)
    finally:
        sleeper.kill()
        sleeper.wait()
    assert not is_server(2**22 - 1, Path("/"))
