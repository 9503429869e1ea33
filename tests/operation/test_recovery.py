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
    while not (result := told()):
        assert time.monotonic() < deadline
        time.sleep(0.1)
    return result


def processes(words, *, under):
    """Numbers of the living processes below another one whose command line holds these words.

    Programs of other tests run on the same machine, and theirs must never be killed.
    """
    listed = subprocess.run(
        ["ps", "-ewwo", "pid=,ppid=,stat=,args="], capture_output=True, text=True, check=False
    )
    rows = [line.split(None, 3) for line in listed.stdout.splitlines()]
    parents = {row[0]: row[1] for row in rows}

    def below(pid):
        while pid in parents:
            pid = parents[pid]
            if pid == str(under):
                return True
        return False

    found = [
        row[0]
        for row in rows
        if len(row) == 4 and words in row[3] and "Z" not in row[2] and below(row[0])
    ]
    # a child that was forked a moment ago bears its parent's words until it has its own
    return [int(pid) for pid in found if parents[pid] not in found]


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
    said = folder.with_suffix(".log")
    with said.open("w") as out:
        process = subprocess.Popen([*ALONE, *python], env=env, stdout=out)

    def mine(words):
        return processes(words, under=process.pid)

    try:
        until(lambda: '"worker":"working"' in answers(port))
        [postmaster] = mine(f"-D {folder}/data")
        os.kill(postmaster, signal.SIGKILL)
        until(lambda: mine(f"-D {folder}/data") not in ([], [postmaster]))
        until(lambda: answers(port))
        [worker] = until(lambda: mine("gentle_plumb.hosting.worker"))
        os.kill(worker, signal.SIGKILL)
        until(lambda: re.search(r"ended \(-9\); another one is started", said.read_text()))
        until(lambda: mine("gentle_plumb.hosting.worker") not in ([], [worker]))
    finally:
        process.kill()
        process.wait()
        until(lambda: not processes(f"-D {folder}/data", under=1))
        said.unlink()


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
