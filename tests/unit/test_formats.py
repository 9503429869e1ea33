"""The open formats: generated files are current, examples fit their schema, the command answers."""

import csv
import io
import json
import subprocess
import sys
from concurrent.futures import Future, ThreadPoolExecutor
from pathlib import Path

import jsonschema
import pytest
from typer.testing import CliRunner

from gentle_plumb.cli import app
from gentle_plumb.documents import fit_files
from gentle_plumb.formats import generated

ROOT = Path(__file__).parents[2]
FORMATS = ROOT / "docs" / "formats"
FIXED = FORMATS / "examples" / "fixed-desk.case.json"
EXAMPLES = sorted((FORMATS / "examples").glob("*.case.json"))


def plumb_fit(*words, text=None):
    return CliRunner().invoke(app, ["fit", *map(str, words)], input=text)


def test_generated_files_are_what_the_code_makes():
    stale = [path.name for path, text in generated(FORMATS) if path.read_text("utf-8") != text]
    assert stale == [], "run ./plumb formats"


def test_the_pages_types_are_made_from_the_present_api(tmp_path):
    made = tmp_path / "schema.d.ts"
    subprocess.run(
        ["npx", "openapi-typescript", str(FORMATS / "openapi.json"), "-o", str(made)],
        cwd=ROOT / "web",
        check=True,
        capture_output=True,
    )
    kept = ROOT / "web" / "src" / "shared" / "api" / "schema.d.ts"
    assert made.read_text("utf-8") == kept.read_text("utf-8"), "run npm run types in web/"


@pytest.mark.parametrize("case", EXAMPLES, ids=lambda path: path.name.split(".")[0])
def test_examples_keep_to_their_schemas(case):
    for document, schema in (
        (case, "case"),
        (Path(str(case).replace(".case.", ".result.")), "result"),
    ):
        jsonschema.validate(
            json.loads(document.read_text("utf-8")),
            json.loads((FORMATS / f"{schema}.schema.json").read_text("utf-8")),
        )


def test_there_are_the_five_worked_examples():
    assert len(EXAMPLES) == 5
    fixed = json.loads((FORMATS / "examples" / "fixed-desk.result.json").read_text("utf-8"))
    seat = next(row for row in fixed["result"]["seated"]["rows"] if row["key"] == "seat")
    assert seat["limits"][0]["text"] == "chair stops at 510 mm, 54 mm lower than its target"


def test_the_command_prints_json_and_a_table():
    table = subprocess.run(
        [sys.executable, "-m", "gentle_plumb.cli", "fit", str(FIXED), "--table"],
        text=True,
        check=True,
        capture_output=True,
        env={"PYTHONPATH": str(ROOT / "src"), "COLUMNS": "200"},
    )
    assert "chair stops at 510 mm, 54 mm lower than its target" in table.stdout
    plain = plumb_fit(FIXED)
    assert json.loads(plain.stdout)["format"] == "gentle-plumb-fit-3"
    assert plumb_fit("-", text=FIXED.read_text("utf-8")).stdout == plain.stdout


@pytest.mark.parametrize(
    ("change", "words"),
    [
        ({"shoe_seated": "4 m"}, "shoe_seated: 4000 mm is outside 0 to 150 mm"),
        ({"shoe_seated": "tall"}, "“tall” is not a length"),
        ({"mystery": 1}, "mystery: there is no field of this name"),
        ({"policies": {"mood": 1}}, "policies.mood: there is no policy of this name"),
        ({"policies": {"recline": "steep"}}, "recline"),
        ({"policies": {"recline": 90}}, "recline: 90 is outside 0 to 45"),
        (
            {"body": {"values": {"elbow": {"readings": [1]}}}},
            "body.values.elbow: there is no body dimension of this name",
        ),
        ({"body": {"values": {"stature": {"readings": [1600, 1700]}}}}, "give a third"),
        ({"body": {"values": {"stature": {"readings": [float("nan")]}}}}, "nan mm is outside"),
        ({"equipment": {"desk": {"surface": {"low": 900, "high": 700}}}}, "above the highest"),
    ],
)
def test_a_bad_case_is_told_what_is_wrong(change, words):
    case = json.loads(FIXED.read_text("utf-8")) | change
    answer = plumb_fit("-", text=json.dumps(case))
    assert answer.exit_code == 2
    assert words in answer.stdout
    assert "Traceback" not in answer.stderr


def test_files_that_are_none_are_told_too(tmp_path):
    binary = tmp_path / "x.json"
    binary.write_bytes(b"\xff\xfe\x00")
    for path, words in ((binary, "UTF-8"), (tmp_path / "none.json", "No such file")):
        answer = plumb_fit(path)
        assert (answer.exit_code, words in answer.stdout) == (2, True)


def test_a_case_of_the_first_version_is_still_read():
    new = json.loads(FIXED.read_text("utf-8"))
    old = {**new, "format": "gentle-plumb-case-1", "policies": {"fingers_behind_knee": 3}}
    gap = {
        **new,
        "format": "gentle-plumb-case-2",
        "policies": {"knee_gap_low": 2.5, "knee_gap_high": 3.5},
    }
    answers = [json.loads(plumb_fit("-", text=json.dumps(one)).stdout) for one in (old, gap)]
    assert answers[0] == answers[1]
    later = plumb_fit("-", text=json.dumps({**new, "format": "gentle-plumb-case-9"}))
    assert (later.exit_code, "gentle-plumb-case-3" in later.stdout) == (2, True)


def test_a_case_holds_every_kind_of_equipment_choices_and_own_numbers():
    case = json.loads(FIXED.read_text("utf-8"))
    case["equipment"] |= {
        "feet": [],
        "items": [{"id": "ream", "thickness": "5 cm", "count": 3}],
        "side_screens": [{"kind": "monitor", "diagonal_in": 24, "aspect": "16:9", "use": "equal"}],
    }
    case |= {
        "hours": {"typing": 6},
        "choices": {"screen_height": "middle_third"},
        "plan": "little",
        "own_seated": {"distance": "70 cm"},
    }
    case["equipment"]["screen"] |= {"diagonal_in": 24, "aspect": "16:9"}
    made = json.loads(plumb_fit("-", text=json.dumps(case)).stdout)
    rows = {row["key"]: row for row in made["result"]["seated"]["rows"]}
    assert rows["distance"]["setting"] == 700
    assert rows["screen_bearing"]["target"] == -rows["screen2_bearing"]["target"]
    assert [plan["id"] for plan in made["plans"]] == ["room", "little", "lasting"]
    added = {one["id"]: one["label"] for one in made["plans"][0]["added"]}
    assert added["screen_stack"] == "2 × ream under the screen"
    on_top = "1 × ream under the feet, with something on top to be found"
    assert added["feet_topped"] == on_top  # the third ream, which is not enough
    case["hours"] = {"sleeping": 8}
    assert "hours.sleeping: there is no such task" in plumb_fit("-", text=json.dumps(case)).stdout


def test_a_result_is_saved_as_csv_and_as_a_drawing(tmp_path):
    drawn = tmp_path / "a.svg"
    plumb_fit(FIXED, "--svg", "--out", drawn)
    text = drawn.read_text("utf-8")
    assert text.startswith("<svg")
    assert "Screen top" in text
    lines = list(csv.DictReader(io.StringIO(plumb_fit(FIXED, "--csv").stdout)))
    seat = next(line for line in lines if line["key"] == "seat")
    assert (seat["unit"], seat["limits"]) == (
        "mm",
        "chair stops at 510 mm, 54 mm lower than its target",
    )


def test_many_cases_in_their_order_with_the_bad_lines_told(tmp_path):
    case = json.loads(FIXED.read_text("utf-8"))
    texts = [json.dumps({**case, "title": f"n{number}"}) for number in range(70)]
    texts[3], texts[40] = "{", json.dumps({**case, "shoe_seated": "4 m"})
    texts.insert(10, "")
    source, out = tmp_path / "cases.jsonl", tmp_path / "out.jsonl"
    source.write_text("\n".join(texts), "utf-8")
    answer = plumb_fit("--many", source, "--out", out)
    assert answer.exit_code == 1
    assert "line 4: sign 1: not JSON" in answer.stderr
    assert "line 42: shoe_seated: 4000 mm is outside 0 to 150 mm" in answer.stderr
    made = [json.loads(line) for line in out.read_text("utf-8").splitlines()]
    assert [one["title"] for one in made] == [f"n{n}" for n in range(70) if n not in (3, 40)]
    assert [plan["id"] for plan in made[0]["plans"]] == ["room", "little", "lasting"]
    alone = plumb_fit("--many", source, "--processes", "1")
    assert alone.stdout == out.read_text("utf-8")


def test_many_cases_never_hold_more_than_a_few(monkeypatch):
    """What is read stays a fixed number of chunks ahead of what is told, however long the file."""
    monkeypatch.setattr(fit_files, "_work", lambda chunk: [n for n, _ in chunk])
    monkeypatch.setattr(fit_files, "ProcessPoolExecutor", lambda many, mp_context: _Now())
    read, ahead = [], []

    def lines():
        for n in range(100_000):
            read.append(n)
            yield "{}"

    for told, _ in enumerate(fit_files.fit_many(lines(), processes=2)):
        ahead.append(len(read) - told)
    assert (len(ahead), max(ahead)) == (100_000, 5 * fit_files.CHUNK)


class _Now(ThreadPoolExecutor):
    def submit(self, work, /, *chunks, **_):
        done = Future()
        done.set_result(work(*chunks))
        return done


def test_the_day_of_a_case_is_printed_or_says_what_is_missing():
    there = ROOT / "docs" / "formats" / "examples" / "table-and-counter.case.json"
    made = CliRunner().invoke(app, ["pace", str(there), "--table"])
    assert made.exit_code == 0
    assert made.stdout.splitlines()[0] == "Up every 30 min, 9:00 to 17:00"
    plain = json.loads(CliRunner().invoke(app, ["pace", str(there)]).stdout)
    assert plain["format"] == "gentle-plumb-day-1"
    assert len(plain["day"]["spells"]) == len(made.stdout.splitlines()) - 1
    none = CliRunner().invoke(app, ["pace", str(FIXED)])
    assert (none.exit_code, "hours: none are given" in none.stdout) == (2, True)
