"""What was kept before an upgrade is there after it."""

from uuid import uuid4

import pytest
from alembic import command
from alembic.config import Config
from alembic.script import ScriptDirectory
from sqlalchemy import inspect, text

from conftest import empty_database, make_office
from gentle_plumb.hosting.run import erase
from gentle_plumb.storage import SqlAccounts, SqlRecords, engine, make_engine, migrate
from gentle_plumb.storage.tables import METADATA


@pytest.fixture
def fresh(server_url):
    with empty_database(server_url) as url:
        made = make_engine(url)
        yield made
        made.dispose()


def up_to(made, revision, go=command.upgrade):
    config = Config()
    config.set_main_option(
        "script_location", str(engine.Path(engine.__file__).parent / "migrations")
    )
    with made.connect() as connection:
        config.attributes["connection"] = connection
        go(config, revision)
        connection.commit()


def down_to(made, revision):
    up_to(made, revision, command.downgrade)


def test_a_visit_of_the_first_version_is_whole_after_the_last(fresh):
    up_to(fresh, "0001")
    keys = {name: uuid4() for name in ("client", "visit", "practice", "member", "reader")}
    with fresh.begin() as db:
        db.execute(text("insert into practice (id, name) values (:practice, 'Saltmere')"), keys)
        db.execute(
            text(
                "insert into member (id, practice_id, email, name, role, password_hash) values "
                "(:member, :practice, 'o@saltmere.example', 'Ines', 'owner', 'x'), "
                "(:reader, :practice, 'r@saltmere.example', 'Ruth', 'reader', 'x')"
            ),
            keys,
        )
        db.execute(
            text("insert into client (id, practice_id, name) values (:client, :practice, 'Odile')"),
            keys,
        )
        db.execute(
            text(
                "insert into visit (id, practice_id, client_id, member_id, started_on) "
                "values (:visit, :practice, :client, :member, '2026-11-01')"
            ),
            keys,
        )
        for path, value in (
            ("ask.reason", '"Neck"'),
            ("look.found.seat", "460"),
            ("look.chair.armrest_off", '"yes"'),
            ("work.own.a.health", '"no"'),
            ("work.policy.ball", '"never"'),
            ("work.settle", "-2"),
            ("ask.care.replacement", '"yes"'),
            ("ask.care.replacement.cleared_by", '"Dr Quill"'),
            ("work.finding.armrests_apart.verdict", '"dismissed"'),
        ):
            db.execute(
                text(
                    "insert into entry (visit_id, path, value, typed, version, member_id, "
                    "changed_at) values (:visit, :path, cast(:value as jsonb), 'x', 1, "
                    ":member, now())"
                ),
                {**keys, "path": path, "value": value},
            )
    migrate(fresh)
    migrate(fresh)
    working = SqlRecords(fresh).load_snapshot(keys["practice"], keys["visit"])
    assert working.values == {
        "ask.reason": "Neck",
        "look.found.seat": 460.0,
        "look.chair.armrests_off": "yes",
        "work.settle_by": -80.0,  # two steps of 4 cm
        "ask.care.hip_replacement": "yes",
        "ask.care.hip_replacement.hip_above_knee.cleared_by": "Dr Quill",  # lifts nothing yet
        "ask.care.hip_replacement.steady_seat.cleared_by": "Dr Quill",
        "work.finding.seated-armrest_gap.verdict": "dismissed",
    }
    members = SqlAccounts(fresh).members(keys["practice"])
    assert [(member.name, member.sees_health) for member in members] == [
        ("Ines", True),
        ("Ruth", False),
    ]
    assert (working.photos, working.earlier, working.visit.errors) == ((), (), {})


def shape(made):
    """Every table's columns, indexes and constraints, as far as ours."""
    found = inspect(made)
    return {
        table: (
            {(column["name"], str(column["type"])) for column in found.get_columns(table)},
            {index["name"] for index in found.get_indexes(table)},
            {check["name"]: check["sqltext"] for check in found.get_check_constraints(table)},
        )
        for table in found.get_table_names()
        if not table.startswith(("procrastinate", "alembic"))
    }


def released():
    scripts = ScriptDirectory(str(engine.Path(engine.__file__).parent / "migrations"))
    return [walk_revision.revision for walk_revision in scripts.walk_revisions()][::-1]


def test_each_released_schema_goes_up_and_back_with_what_is_kept_in_it(fresh):
    revisions = released()
    assert len(revisions) >= 15
    shapes = {}
    for revision in revisions:
        up_to(fresh, revision)
        shapes[revision] = shape(fresh)
        if revision == revisions[0]:
            kept = keep_something(fresh)
    for revision in revisions[-2::-1]:
        down_to(fresh, revision)
        assert shape(fresh) == shapes[revision], revision
        assert names(fresh) == kept, revision
    for revision in revisions[1:]:  # and up from each again
        up_to(fresh, revision)
        assert shape(fresh) == shapes[revision], revision
    assert names(fresh) == kept


def keep_something(made):
    keys = {name: uuid4() for name in ("client", "practice", "member")}
    with made.begin() as db:
        db.execute(text("insert into practice (id, name) values (:practice, 'Saltmere')"), keys)
        db.execute(
            text(
                "insert into member (id, practice_id, email, name, role, password_hash) "
                "values (:member, :practice, 'o@saltmere.example', 'Ines', 'owner', 'x')"
            ),
            keys,
        )
        db.execute(
            text("insert into client (id, practice_id, name) values (:client, :practice, 'Odile')"),
            keys,
        )
    return names(made)


def names(made):
    query = "select id, name from practice union select id, name from member union select id, name from client"
    with made.connect() as db:
        return sorted(db.execute(text(query)).all())


def test_a_practice_with_an_assistant_goes_back_to_a_schema_without(fresh):
    migrate(fresh)
    office = make_office(SqlAccounts(fresh))
    down_to(fresh, "0014")
    with fresh.connect() as db:
        roles = dict(db.execute(text("select id, role from member")).all())
    assert roles[office.assistant.id] == "reader"


def test_the_migrated_schema_is_the_one_the_code_speaks(fresh):
    migrate(fresh)
    found = inspect(fresh)
    for table in METADATA.sorted_tables:
        columns = {column["name"]: column["nullable"] for column in found.get_columns(table.name)}
        assert columns == {column.name: column.nullable for column in table.columns}, table.name
        kept = {index["name"] for index in found.get_indexes(table.name)}
        assert {index.name for index in table.indexes} <= kept, table.name


def test_what_a_practice_keeps_goes_with_it(fresh):
    migrate(fresh)
    office = make_office(SqlAccounts(fresh))
    with fresh.begin() as connection:
        connection.execute(
            text(
                "insert into shelf_item (id, practice_id, piece, name, values) "
                "values (:id, :practice, 'chair', 'X', '{}')"
            ),
            {"id": uuid4(), "practice": office.practice.id},
        )
        connection.execute(text("delete from member"))
        connection.execute(text("delete from practice"))
        assert connection.execute(text("select count(*) from shelf_item")).scalar() == 0


def test_what_is_erased_is_made_anew(fresh):
    migrate(fresh)
    erase(fresh)
    left = "select count(*) from pg_proc where pronamespace = 'public'::regnamespace"
    with fresh.connect() as db:
        assert inspect(db).get_table_names() == []
        assert db.scalar(text(left)) == 0
    migrate(fresh)
    erase(fresh)
