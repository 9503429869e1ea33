"""Several processes are one server: they share their figures, and one that dies is replaced."""

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

from conftest import ROOT, empty_database
from gentle_plumb.hosting.postgres import free_port

TOKEN = "figures-for-the-harbour"


@pytest.fixture
def served(server_url):
    """``plumb serve --workers 2`` on a database of its own: its address and its process."""
    port = free_port()
    with empty_database(server_url) as url:
        env = {**os.environ, "PYTHONPATH": str(ROOT / "src"), "GENTLE_PLUMB_DATABASE_URL": url}
        env |= {"GENTLE_PLUMB_METRICS_TOKEN": TOKEN, "GENTLE_PLUMB_BACKUP_FOLDER": ""}
        process = subprocess.Popen(
            [sys.executable, "-m", "gentle_plumb.cli", "serve", "--port", str(port), "--workers=2"],
            env=env,
            stdout=subprocess.DEVNULL,
        )
        yield f"http://127.0.0.1:{port}/api", process
        process.send_signal(signal.SIGTERM)
        process.wait(60)


def ask(address, **headers):
    with suppress(OSError):
        call = urllib.request.Request(address, headers=headers)
        return urllib.request.urlopen(call, timeout=60).read().decode()
    return ""


def until(told, seconds=150):
    deadline = time.monotonic() + seconds
    while not told():
        assert time.monotonic() < deadline
        time.sleep(0.1)


def workers_of(process):
    """The processes that serve: children of it that are no queue's worker."""
    children = Path(f"/proc/{process.pid}/task/{process.pid}/children").read_text().split()
    return [
        int(pid) for pid in children if b"spawn_main" in Path(f"/proc/{pid}/cmdline").read_bytes()
    ]


def serving(pid):
    """Is it alive? One that ended stays listed as a zombie where nobody takes leave of it."""
    with suppress(FileNotFoundError, ProcessLookupError):
        return Path(f"/proc/{pid}/stat").read_text().rpartition(") ")[2][0] != "Z"
    return False


def test_processes_end_with_the_one_that_started_them(served):
    address, process = served
    until(lambda: ask(f"{address}/ready"))
    children = workers_of(process)
    assert len(children) == 2
    process.kill()
    process.wait()
    until(lambda: not any(map(serving, children)))
    assert ask(f"{address}/health") == ""


LATE = """
import multiprocessing, os, sys, time
from gentle_plumb.hosting.processes import end_with_parent

def start_slowly(parent):
    print(os.getpid(), flush=True)
    while os.getppid() == parent:
        time.sleep(0.01)
    end_with_parent()
    time.sleep(600)

if __name__ == "__main__":
    child = multiprocessing.get_context("spawn").Process(target=start_slowly, args=(os.getpid(),))
    child.start()
    child.join()
"""


def test_a_process_that_was_still_starting_when_its_parent_died_ends_too(tmp_path):
    script = tmp_path / "late.py"
    script.write_text(LATE)
    env = {**os.environ, "PYTHONPATH": str(ROOT / "src")}
    with subprocess.Popen([sys.executable, script], env=env, stdout=subprocess.PIPE) as parent:
        child = int(parent.stdout.readline())
        parent.kill()
    until(lambda: not serving(child))


def test_processes_share_their_figures_and_one_that_dies_is_replaced(served):
    address, process = served
    until(lambda: ask(f"{address}/ready"))
    before = workers_of(process)
    assert len(before) == 2
    for _ in range(40):
        assert ask(f"{address}/ready")
    figures = ask(f"{address}/metrics", Authorization=f"Bearer {TOKEN}")
    calls = re.search(
        r'plumb_calls_total\{[^}]*route="/api/ready",status="200"\} ([\d.]+)', figures
    )
    assert float(calls.group(1)) >= 40
    spent = re.search(r'plumb_spent_seconds_total\{on="database"\} (\S+)', figures)
    assert float(spent.group(1)) > 0
    assert float(re.search(r"^plumb_pool_in_use ([\d.]+)$", figures, re.M).group(1)) >= 0
    assert float(re.search(r"^plumb_pool_size ([\d.]+)$", figures, re.M).group(1)) > 0
    until(
        lambda: (
            "plumb_worker_age_seconds" in ask(f"{address}/metrics", Authorization=f"Bearer {TOKEN}")
        )
    )
    assert ask(f"{address}/metrics") == ""
    os.kill(before[0], signal.SIGKILL)
    until(lambda: len(set(workers_of(process)) - set(before)) == 1)
    until(lambda: ask(f"{address}/ready"))
