"""Every constant's source key resolves, wherever it is named."""

import re
from pathlib import Path

import gentle_plumb.core
from gentle_plumb.core.fit import fit
from gentle_plumb.core.sources import SOURCES
from strategies import usual_case

CORE = Path(gentle_plumb.core.__file__).parent


def test_named_source_keys_exist():
    named = set()
    for file in CORE.rglob("*.py"):
        text = file.read_text(encoding="utf-8")
        for clause in re.findall(r"Sources?: ([a-z0-9, -]+)", text):
            named |= {key.strip() for key in clause.split(",") if "-" in key}
        named |= set(re.findall(r"# (house-[a-z-]+)", text))
    assert len(named) > 10
    assert named - set(SOURCES) == set()


def test_rows_name_known_sources():
    result = fit(usual_case())
    assert {row.source for row in (*result.seated.rows, *result.standing.rows)} <= set(SOURCES)
