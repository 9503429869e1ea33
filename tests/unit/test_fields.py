"""Every field is read by something, or says that it is only noted; nothing is asked twice."""

import ast
import re
from collections import Counter
from pathlib import Path

from gentle_plumb.core.catalogue import QUANTITIES
from gentle_plumb.core.record import FIELDS

SOURCE = Path(__file__).parents[2] / "src" / "gentle_plumb"
TABLES = SOURCE / "core" / "record" / "fields"


def patterns():
    """Every path in the code outside the tables of fields: whole, or with its gaps."""
    for path in SOURCE.rglob("*.py"):
        if TABLES in path.parents or path == SOURCE / "core" / "workstation" / "shelf.py":
            continue
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if isinstance(node, ast.Constant) and isinstance(node.value, str):
                yield re.escape(node.value)
            elif isinstance(node, ast.JoinedStr):
                yield "".join(
                    re.escape(part.value) if isinstance(part, ast.Constant) else r"[\w.]+?"
                    for part in node.values
                )


def test_every_field_has_a_reader_or_is_only_noted():
    whole = [
        text
        for text in set(patterns())
        if re.match(r"(ask|look|measure|work|set|pace|report)\\?\.", text)
    ]
    known = re.compile("|".join(f"(?:{text})" for text in whole))
    settings = {
        f"look.{found}.{one.key}"
        for found in ("found", "found_standing")
        for one in QUANTITIES.values()
    }  # read by the registry's keys
    steps = {id for id in FIELDS if id.endswith("_step")}  # read with their ranges
    unread = {id for id in FIELDS if not known.fullmatch(re.sub("_(min|max)$", "", id))}
    unread = {id for id in unread if not known.fullmatch(id)} - settings - steps
    noted = {id for id, field in FIELDS.items() if field.noted_only}
    assert unread == noted, (sorted(unread - noted), sorted(noted - unread))


def test_nothing_is_asked_twice():
    asked = Counter(
        (field.step, field.group, field.label, field.section)
        for field in FIELDS.values()
        if field.kind != "text" and field.id.count(".") == 2
    )
    assert not {what: many for what, many in asked.items() if many > 1}
