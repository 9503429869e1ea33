"""The open formats: generated files are current, examples fit their schema, the command answers."""

import json
import subprocess
import sys
from pathlib import Path

import jsonschema
import pytest

from gentle_plumb.formats import generated

ROOT = Path(__file__).parents[2]
FORMATS = ROOT / "docs" / "formats"
EXAMPLES = sorted((FORMATS / "examples").glob("*.case.json"))


def plumb_fit(*words, text=None):
    return subprocess.run(
        [sys.executable, "-m", "gentle_plumb.cli", "fit", *map(str, words)], input=text, text=True,
        capture_output=True, check=False, env={"PYTHONPATH": str(ROOT / "src"), "COLUMNS": "200"},
    )  # fmt: skip


def test_generated_files_are_what_the_code_makes():
    stale = [path.name for path, text in generated(FORMATS) if path.read_text("utf-8") != text]
    assert stale == [], "run ./plumb formats"


def test_the_pages_types_are_made_from_the_present_api(tmp_path):
    made = tmp_path / "schema.d.ts"
    subprocess.run(
        ["npx", "openapi-typescript", str(FORMATS / "openapi.json"), "-o", str(made)],
        cwd=ROOT / "web", check=True, capture_output=True,
    )  # fmt: skip
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


def test_there_are_the_three_worked_examples():
    assert len(EXAMPLES) == 3
    fixed = json.loads((FORMATS / "examples" / "fixed-desk.result.json").read_text("utf-8"))
    seat = next(row for row in fixed["result"]["seated"]["rows"] if row["key"] == "seat")
    assert seat["limits"][0]["text"] == "chair stops at 510, 54 short"


def test_the_command_prints_json_and_a_table():
    plain = plumb_fit(EXAMPLES[0])
    assert json.loads(plain.stdout)["format"] == "gentle-plumb-fit-1"
    table = plumb_fit(EXAMPLES[0], "--table")
    assert "chair stops at 510, 54 short" in table.stdout
    assert plumb_fit("-", text=EXAMPLES[0].read_text("utf-8")).stdout == plain.stdout


@pytest.mark.parametrize(
    ("change", "words"),
    [
        ({"shoe_seated": "4 m"}, "shoe_seated: 4000 mm is outside 0 to 150 mm"),
        ({"shoe_seated": "tall"}, "“tall” is not a length"),
        ({"mystery": 1}, "mystery: Extra inputs are not permitted"),
        ({"policies": {"mood": 1}}, "there is no policy “mood”"),
        ({"policies": {"recline": "steep"}}, "recline"),
        ({"policies": {"recline": 90}}, "recline: 90 is outside 0 to 45"),
        ({"body": {"values": {"elbow": {"readings": [1]}}}}, "there is no body dimension “elbow”"),
        ({"body": {"values": {"stature": {"readings": [1600, 1700]}}}}, "give a third"),
        ({"body": {"values": {"stature": {"readings": [float("nan")]}}}}, "nan mm is outside"),
        ({"equipment": {"desk": {"surface": {"low": 900, "high": 700}}}}, "above the highest"),
    ],
)
def test_a_bad_case_is_told_what_is_wrong(change, words):
    case = json.loads(EXAMPLES[0].read_text("utf-8")) | change
    answer = plumb_fit("-", text=json.dumps(case))
    assert answer.returncode == 2
    assert words in answer.stdout
    assert "Traceback" not in answer.stderr


def test_files_that_are_none_are_told_too(tmp_path):
    binary = tmp_path / "x.json"
    binary.write_bytes(b"\xff\xfe\x00")
    for path, words in ((binary, "UTF-8"), (tmp_path / "none.json", "No such file")):
        answer = plumb_fit(path)
        assert (answer.returncode, words in answer.stdout) == (2, True)
