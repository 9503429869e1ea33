"""Starting, stopping, being killed, and a port that is taken."""

import os
import re
import signal
import socket
import subprocess
import sys
import time
import urllib.error
import urllib.request
from contextlib import suppress

import pytest

from conftest import ROOT
from gentle_plumb.hosting.postgres import Cluster, free_port

RUN = (
    "import sys; from pathlib import Path; from gentle_plumb.hosting import run; "
    "run.end_on_signals(); folder = Path(sys.argv[1]); port = int(sys.argv[2])\n"
    "say = lambda words: print(words, flush=True)\n"
    "with run.database(say, folder) as url:\n"
    "    engine = run.open_engine(url); run.prepare(engine, demo=True, say=say); engine.dispose()\n"
    "    run.serve(url, demo=True, say=say, port=port)\n"
)


class Running:
    """The start command's own steps on a cluster of its own."""

    def __init__(self, folder, port):
        env = {name: value for name, value in os.environ.items() if "GENTLE_PLUMB" not in name}
        self.process = subprocess.Popen(
            [sys.executable, "-c", RUN, str(folder), str(port)],
            env={**env, "PYTHONPATH": str(ROOT / "src")}, stdout=subprocess.PIPE, text=True,
        )  # fmt: skip
        self.said = []

    def until(self, words):
        for line in self.process.stdout:
            self.said.append(line.strip())
            if words in line:
                return line
        raise AssertionError(self.said)

    def end(self, how):
        self.process.send_signal(how)
        rest, _ = self.process.communicate(timeout=30)
        self.said += rest.splitlines()
        return self.process.returncode


def answers(port):
    with suppress(urllib.error.URLError, ConnectionError):
        return (
            urllib.request.urlopen(f"http://127.0.0.1:{port}/api/health", timeout=2).status == 200
        )
    return False


@pytest.fixture
def folder(tmp_path_factory):
    made = ROOT / "var" / f"test-start-{os.getpid()}"
    yield made
    cluster = Cluster(made)
    if cluster.running():
        cluster.stop()
    subprocess.run(["rm", "-rf", str(made)], check=True)


def test_it_starts_stops_survives_a_kill_and_gives_way_on_a_port(folder):
    port = free_port()
    first = Running(folder, port)
    first.until("Gentle Plumb answers at")
    assert "Loading the demo practice." in first.said
    assert answers(port)
    first.end(signal.SIGINT)
    assert first.said[-1] == "Database stopped."
    assert not answers(port)
    assert not Cluster(folder).running()

    killed = Running(folder, port)
    killed.until("answers at")
    assert "Data of the last time kept." in killed.said
    killed.end(signal.SIGKILL)
    assert Cluster(folder).running()  # nobody could stop it

    with socket.socket() as taken:
        taken.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        taken.bind(("127.0.0.1", port))
        taken.listen()
        again = Running(folder, port)
        line = again.until("answers at")
        assert any(f"Port {port} is in use" in said for said in again.said)
        other = int(re.search(r":(\d+)$", line).group(1))
        assert other != port
        assert answers(other)
        again.end(signal.SIGTERM)
    time.sleep(0.2)
    assert not Cluster(folder).running()


def test_a_half_made_database_is_made_anew(folder):
    cluster = Cluster(folder)
    cluster.data.mkdir(parents=True)
    (cluster.data / "PG_VERSION").write_text("15\n")
    assert cluster.create()
    cluster.start()
    cluster.stop()
    assert not cluster.create()
