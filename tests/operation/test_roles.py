"""The program serves as a role that can neither change the schema nor put right what stands in the audit log."""

import os
import subprocess

import pytest
from sqlalchemy import text
from sqlalchemy.exc import ProgrammingError

from conftest import ROOT, make_office
from gentle_plumb.hosting.postgres import MIGRATES, SERVES, Cluster
from gentle_plumb.hosting.run import opened, prepare
from gentle_plumb.storage import SqlAccounts, make_engine, migrate


@pytest.fixture
def cluster():
    made = Cluster(ROOT / "var" / f"test-roles-{os.getpid()}")
    with made.up():
        yield made
    subprocess.run(["rm", "-rf", str(made.folder)], check=True)


def owners(engine):
    query = text(
        "select distinct pg_get_userbyid(relowner) from pg_class "
        "where relnamespace = 'public'::regnamespace and relkind in ('r', 'S')"
    )
    with engine.connect() as connection:
        return set(connection.scalars(query))


def test_who_serves_works_with_rows_and_no_more(cluster):
    prepare(cluster.addresses, demo=False, say=lambda _: None)
    with opened(cluster.addresses.serves) as serving:
        office = make_office(SqlAccounts(serving))
        assert SqlAccounts(serving).member_by_email(office.owner.email) is not None
        with serving.connect() as connection:
            mine = "select rolsuper, rolcreatedb, rolcreaterole from pg_roles where rolname = :me"
            assert connection.execute(text(mine), {"me": SERVES}).one() == (False, False, False)
        for forbidden in (
            "update trail set what = ''",
            "delete from trail",
            "truncate trail",
            "alter table trail disable trigger all",
            "drop table visit",
            "create table another (id int)",
            "update alembic_version set version_num = '0001'",
            "create role somebody superuser",
            "copy (select 1) to program 'true'",
        ):
            with (
                pytest.raises(ProgrammingError, match="InsufficientPrivilege"),
                serving.begin() as connection,
            ):
                connection.execute(text(forbidden))


def test_what_one_role_made_before_is_handed_over_and_kept(cluster):
    superuser = make_engine(cluster.url)
    migrate(superuser)
    office = make_office(SqlAccounts(superuser))
    superuser.dispose()
    cluster._make_database(mine=True)  # what each start does
    prepare(cluster.addresses, demo=False, say=lambda _: None)
    with opened(cluster.addresses.serves) as serving:
        assert owners(serving) == {MIGRATES}
        assert SqlAccounts(serving).practice(office.practice.id) == office.practice
