"""What the role that serves may do: work with rows, and with the audit log read and add alone.

One role owns the schema and migrates it; the program serves as another, which can neither change the schema nor
put right what stands in the audit log.
"""

from __future__ import annotations

from sqlalchemy import Connection
from sqlalchemy.engine import make_url

ADDED_TO_ONLY = ("trail",)
READ_ONLY = ("alembic_version",)

_OWN = """
do $$
declare thing record;
begin
  for thing in select format('%I.%I', n.nspname, c.relname) as name, c.relkind as kind
    from pg_class c join pg_namespace n on n.oid = c.relnamespace
    where n.nspname = 'public' and c.relkind in ('r', 'p', 'v', 'S')
      and pg_get_userbyid(c.relowner) <> {owner}
      and not exists (select 1 from pg_depend d
        where d.classid = 'pg_class'::regclass and d.objid = c.oid and d.deptype in ('a', 'i'))
  loop execute format('alter %s %s owner to %I',
    case thing.kind when 'v' then 'view' when 'S' then 'sequence' else 'table' end, thing.name, {owner});
  end loop;
  for thing in select p.oid::regprocedure as name from pg_proc p
    where p.pronamespace = 'public'::regnamespace and pg_get_userbyid(p.proowner) <> {owner}
  loop execute format('alter function %s owner to %I', thing.name, {owner}); end loop;
  for thing in select format('%I', t.typname) as name from pg_type t
    where t.typnamespace = 'public'::regnamespace and t.typtype = 'e'
      and pg_get_userbyid(t.typowner) <> {owner}
  loop execute format('alter type %s owner to %I', thing.name, {owner}); end loop;
end $$
"""


def hand_over_sql(owner: str) -> str:
    """Return what makes a role the owner of everything in the schema, to be run by a superuser."""
    return _OWN.replace("{owner}", _literal(owner))


def role_of(url: str) -> str:
    """Return the role that an address names."""
    return make_url(url).username or ""


def grant(connection: Connection, role: str) -> None:
    """Let a role serve: after each migration, as the role that migrates.

    Parameters
    ----------
    connection : Connection
        Of the role that owns the schema.
    role : str
        The one that serves.

    """
    name = _identifier(role)
    run = connection.exec_driver_sql
    run(f"grant usage on schema public to {name}")
    run(f"grant select, insert, update, delete on all tables in schema public to {name}")
    run(f"grant usage, select on all sequences in schema public to {name}")
    run(f"grant execute on all functions in schema public to {name}")
    for table in ADDED_TO_ONLY:
        run(f"revoke update, delete, truncate on {table} from {name}")
    for table in READ_ONLY:
        run(f"revoke insert, update, delete, truncate on {table} from {name}")


def _identifier(name: str) -> str:
    return '"' + name.replace('"', '""') + '"'


def _literal(text: str) -> str:
    return "'" + text.replace("'", "''") + "'"
