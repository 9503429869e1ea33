"""Every field is read by something, or says that it is only noted; nothing is asked twice."""

import ast
import re
from collections import Counter
from datetime import UTC, datetime
from itertools import product
from pathlib import Path
from uuid import UUID

from gentle_plumb.core.record import FIELDS, Record, fields
from gentle_plumb.core.workstation.kinds import ChairKind, DeskKind, LaptopKeys, ScreenKind
from gentle_plumb.services.models import Client, Practice, Visit, VisitSnapshot
from gentle_plumb.services.papers import letter_paper, papers_of
from gentle_plumb.services.papers.signing import missing_for_signing
from gentle_plumb.services.workup import work_up

READ_ELSEWHERE = {
    fields.measure.table.id: "the database: the visit’s own population table",
    fields.seen.workstation.id: "the database: which visits stand at a shared workstation",
    fields.ask.consent["photographs"].id: "before a photograph is taken in",
    fields.ask.consent["workplace"].id: "before a workplace’s paper is made or opened",
    fields.report.client_language.id: "papers: the language of the client’s copies",
    fields.report.workplace_language.id: "papers: the language of the workplace copy",
    fields.settings.settle_started.id: "the page: the clock in the head of every step",
    **{one.tool.id: "open files" for one in fields.measure.dimension.values()},
}
"""What is read outside of working a visit out, each with where."""
FAMILY = re.compile(r"measure\.\w+\.(kept|kept_at)$")
"""What is read only where there is a doubt: one dimension's stands for all."""


def filled():
    """Every field with an answer it takes."""
    result: dict[str, float | str] = {}
    for path, field in FIELDS.items():
        if field.kind in ("length", "number"):
            result[path] = field.low + 0.4 * (field.high - field.low)
        elif field.kind == "choice":
            result[path] = field.choices[0][0]
        else:
            result[path] = "2026-11-20" if field.kind == "date" else "Said in so many words"
    return result


def variants():
    """The filled record at every kind of desk, with tray and without, at screen and laptop."""
    kinds = product(DeskKind, ("yes", "no"), (ScreenKind.MONITOR, ScreenKind.LAPTOP))
    for desk, tray, screen in kinds:
        yield filled() | {
            fields.conditions.precaution["wheelchair"].there.id: "no",
            fields.chair.kind.id: ChairKind.TASK,
            fields.chair.lumbar_kind.id: "steps",
            fields.desk.kind.id: desk,
            fields.desk.under.id: "crossbar",
            fields.tray.there.id: tray,
            fields.screens.main.kind.id: screen,
            fields.screens.main.held.id: "arm",
            fields.screens.keys.id: LaptopKeys.SEPARATE,
            fields.ask.eyewear.id: "computer",
            fields.ask.lower_lens.id: None,
            **{flag.there.id: "yes" for flag in fields.ask.flag.values()},
            **{hour.id: 1.0 for hour in fields.ask.hours.values()},
            fields.pace.rhythm.id: "own",
            **{one.at.id: 600.0 + 60 * at for at, one in enumerate(fields.pace.meeting.values())},
            fields.ask.other_flag.id: "urgent",
            **{one.skip.id: None for one in fields.measure.dimension.values()},
            **{one.origin.id: "carried_over" for one in fields.measure.dimension.values()},
            fields.measure.footwear.id: "shoes",
            fields.measure.list_.id: "full",
        }
    yield filled() | {
        **{one.answer.id: "wrong" for one in fields.seen.room.values()},
        **{one.seen.id: None for one in fields.seen.habit.values()},
        **{
            one.measured.id: None
            for posture in fields.settings.setting.values()
            for one in posture.values()
        },
        fields.ask.mat.id: None,
    }


def say_everything(values):
    id, today = UUID(int=1), datetime.now(UTC).date()
    visit = Visit(id=id, practice_id=id, client_id=id, member_id=id, started_on=today)
    client = Client(id=id, practice_id=id, name="A. Sample", sex="female", work="")
    opened = VisitSnapshot(
        visit=visit, client=client, values=values, versions=0, signed_revision=None
    )
    workup = work_up(opened, "cm", plans=True)
    missing_for_signing(workup)
    practice = Practice(id=id, name="Sample", unit="cm", local_wording="")
    papers_of(practice, opened, workup, "cm")
    for flag in workup.red_flags:
        letter_paper(practice, opened, workup, flag.id)


def test_every_field_has_a_reader_or_is_only_noted(monkeypatch):
    read = set()
    for name in ("__getitem__", "__contains__", "yes"):
        plain = getattr(Record, name)

        def spied(self, field, plain=plain):
            read.add(field.id)
            return plain(self, field)

        monkeypatch.setattr(Record, name, spied)
    holds = Record.holds

    def held(self, when):
        read.update(path for path, _ in when)
        return holds(self, when)

    monkeypatch.setattr(Record, "holds", held)
    for values in variants():
        say_everything(values)
    noted = {path for path, field in FIELDS.items() if field.noted_only}
    families = {FAMILY.sub(r"\1", path) for path in read}
    read |= {path for path in FIELDS if FAMILY.sub(r"\1", path) in families}
    unread = set(FIELDS) - read - set(READ_ELSEWHERE)
    assert unread == noted, (sorted(unread - noted), sorted(noted - unread))


def test_nothing_is_asked_twice():
    asked = Counter(
        (field.step, field.group, field.label, field.section)
        for field in FIELDS.values()
        if field.kind != "text" and field.id.count(".") == 2
    )
    assert not {what: many for what, many in asked.items() if many > 1}


def test_no_path_of_a_field_stands_in_quotes_outside_the_wire():
    core = Path(__file__).parents[2] / "src" / "gentle_plumb" / "core"
    quoted = [
        (file.name, node.value)
        for file in core.rglob("*.py")
        if core / "record" / "fields" not in file.parents
        for node in ast.walk(ast.parse(file.read_text("utf-8")))
        if isinstance(node, ast.Constant) and node.value in FIELDS
    ]
    assert quoted == []
