"""Lists, tables and repeats in memory."""

from dataclasses import replace

from gentle_plumb.services.errors import AlreadyThere, NotFound, Stale
from gentle_plumb.services.models import Difference


class FakeMeasuring:
    def __init__(self):
        self.records, self.kept_lists, self.kept_tables = None, {}, {}

    def _free(self, kept, new):
        for other in kept.values():
            same = (other.practice_id, other.name) == (new.practice_id, new.name)
            if same and other.id != new.id:
                raise AlreadyThere("There is one of this name already.")

    def _mine(self, kept, practice_id, id):
        result = kept.get(id)
        if result is None or result.practice_id != practice_id:
            raise NotFound("There is no such thing.")
        return result

    def lists(self, practice_id):
        mine = [
            kept_list
            for kept_list in self.kept_lists.values()
            if kept_list.practice_id == practice_id
        ]
        return sorted(mine, key=lambda one: one.name)

    def add_list(self, kept):
        self._free(self.kept_lists, kept)
        return self.kept_lists.setdefault(kept.id, kept)

    def change_list(self, kept):
        held = self._mine(self.kept_lists, kept.practice_id, kept.id)
        if held.version != kept.version:
            raise Stale(held)
        self._free(self.kept_lists, kept)
        self.kept_lists[kept.id] = replace(kept, version=held.version + 1)
        return self.kept_lists[kept.id]

    def drop_list(self, practice_id, list_id):
        self._mine(self.kept_lists, practice_id, list_id)
        del self.kept_lists[list_id]

    def tables(self, practice_id):
        mine = [
            kept_table
            for kept_table in self.kept_tables.values()
            if kept_table.practice_id == practice_id
        ]
        return sorted(mine, key=lambda one: one.name)

    def add_table(self, table):
        self._free(self.kept_tables, table)
        return self.kept_tables.setdefault(table.id, table)

    def drop_table(self, practice_id, table_id):
        self._mine(self.kept_tables, practice_id, table_id)
        del self.kept_tables[table_id]

    def differences(self, practice_id, member_id=None):
        found = []
        held, names = self.records.held, self.records.accounts.people.values()
        for (visit_id, path), first in sorted(
            held.items(), key=lambda one: (str(one[0][0]), one[0][1])
        ):
            start = path.removesuffix(".first")
            second = held.get((visit_id, f"{start}.second"))
            here = self.records.visit_by_id[visit_id].practice_id == practice_id
            if not here or start == path or not start.startswith("measure.") or second is None:
                continue
            about = [held.get((visit_id, f"{start}.{what}")) for what in ("origin", "taken_by")]
            elsewhere = any(e and e.value is not None and e.typed != "measured" for e in about)
            by = next(m.id for m in names if m.name == first.changed_by)
            if (
                first.changed_by != second.changed_by
                or elsewhere
                or None in (first.value, second.value)
            ):
                continue
            if member_id in (None, by):
                found.append(
                    Difference(
                        member_id=by, dimension=start.split(".")[1], mm=first.value - second.value
                    )
                )
        return found
