"""The ports in memory, held to the same contract as PostgreSQL."""

from dataclasses import replace

from gentle_plumb.services.errors import (
    AlreadyThere,
    NeedsConsent,
    NotFound,
    ReusedChange,
    StaleBundle,
    StaleChange,
    StaleItem,
    StaleList,
)
from gentle_plumb.services.models import (
    Difference,
    EarlierVisit,
    Entry,
    Erase,
    Report,
    ReportHead,
    VisitLine,
    Working,
)


class FakeAccounts:
    def __init__(self):
        self.practices, self.people, self.sessions = {}, {}, {}

    def practice(self, practice_id):
        if practice_id not in self.practices:
            raise NotFound("There is no such practice.")
        return self.practices[practice_id]

    def add_practice(self, practice):
        self.practices[practice.id] = practice

    def member_by_email(self, email):
        return next((m for m in self.people.values() if m.email == email), None)

    def members(self, practice_id):
        mine = [m for m in self.people.values() if m.practice_id == practice_id]
        return sorted(mine, key=lambda m: m.name)

    def add_member(self, member):
        if self.member_by_email(member.email):
            raise AlreadyThere("Somebody with this address is there already.")
        self.people[member.id] = member

    def note_failure(self, member_id, failures, locked_until):
        self.people[member_id] = replace(
            self.people[member_id], failures=failures, locked_until=locked_until
        )

    def add_session(self, session):
        self.sessions[session.token_hash] = session

    def session(self, token_hash, now):
        session = self.sessions.get(token_hash)
        if session is None or session.expires_at <= now:
            return None
        member = self.people[session.member_id]
        return session, member, self.practices[member.practice_id]

    def drop_session(self, token_hash):
        self.sessions.pop(token_hash, None)


class FakeRecords:
    def __init__(self, accounts, store=None):
        self.accounts, self.store = accounts, store
        self.client_by_id, self.visit_by_id = {}, {}
        self.held, self.changes, self.signed, self.pictures = {}, {}, {}, {}

    def clients(self, practice_id):
        mine = [c for c in self.client_by_id.values() if c.practice_id == practice_id]
        return sorted(mine, key=lambda c: c.name)

    def client(self, practice_id, client_id):
        found = self.client_by_id.get(client_id)
        if found is None or found.practice_id != practice_id:
            raise NotFound("There is no such client.")
        return found

    def add_client(self, client):
        self.client_by_id[client.id] = client

    def add_visit(self, visit):
        self.visit_by_id[visit.id] = visit

    def _entries(self, visit_id):
        return {path: e for (visit, path), e in self.held.items() if visit == visit_id}

    def _reports(self, visit_id):
        mine = [r for r, _ in self.signed.values() if r.visit_id == visit_id]
        return sorted(mine, key=lambda r: r.number)

    def visits(self, practice_id):
        lines = []
        for visit in self.visit_by_id.values():
            if visit.practice_id != practice_id:
                continue
            entries, reports = self._entries(visit.id), self._reports(visit.id)
            follow = entries.get("report.follow_up")
            lines.append(
                VisitLine(
                    visit=visit, client=self.client_by_id[visit.client_id],
                    practitioner=self.accounts.people[visit.member_id].name,
                    changed_at=max((e.changed_at for e in entries.values()), default=None),
                    follow_up=follow.value if follow else None,
                    signs={path: e.value for path, e in entries.items()
                           if path.startswith(("ask.sign.", "ask.warning"))},
                    signed_at=reports[-1].signed_at if reports else None,
                    signed_revision=reports[-1].revision if reports else None,
                )
            )  # fmt: skip
        return sorted(
            lines, key=lambda line: (-line.visit.started_on.toordinal(), line.client.name)
        )

    def visit(self, practice_id, visit_id):
        found = self.visit_by_id.get(visit_id)
        if found is None or found.practice_id != practice_id:
            raise NotFound("There is no such visit.")
        return found

    def open(self, practice_id, visit_id):
        visit = self.visit(practice_id, visit_id)
        heads = [
            ReportHead(**{name: getattr(r, name) for name in ReportHead.__dataclass_fields__})
            for r in self._reports(visit_id)
        ]
        return (
            visit,
            self.client_by_id[visit.client_id],
            list(self._entries(visit_id).values()),
            heads,
            [head for head, _ in self.pictures.values() if head.visit_id == visit_id],
        )

    def working(self, practice_id, visit_id):
        visit, client, entries, heads, photos = self.open(practice_id, visit_id)
        return Working(
            visit=visit, client=client, values={e.path: e.value for e in entries},
            versions=len(heads), signed_revision=heads[-1].revision if heads else None,
            photos=tuple(photos), earlier=self._earlier(visit), **self._chosen(visit),
        )  # fmt: skip

    def _earlier(self, visit):
        before = [v for v in self.visit_by_id.values()
                  if v.client_id == visit.client_id and v.started_on < visit.started_on]  # fmt: skip
        found = [
            EarlierVisit(visit_id=v.id, started_on=v.started_on, values=measured)
            for v in sorted(before, key=lambda v: v.started_on, reverse=True)
            if (measured := {path: e.value for path, e in self._entries(v.id).items()
                             if path.startswith("measure.")})
        ]  # fmt: skip
        return tuple(found)

    def _chosen(self, visit):
        entries = self._entries(visit.id)
        found = {}
        for part, path, kept in (
            ("table", "measure.table", self.store.kept_tables if self.store else {}),
            ("listed", "measure.list", self.store.kept_lists if self.store else {}),
        ):
            value = entries[path].value if path in entries else None
            mine = {str(id): one for id, one in kept.items()}.get(str(value))
            found[part] = mine if mine and mine.practice_id == visit.practice_id else None
        return found

    def measured(self, practice_id, visit_id=None):
        found = []
        for visit in self.visit_by_id.values():
            if visit.practice_id != practice_id or visit_id not in (None, visit.id):
                continue
            entries = [e for path, e in sorted(self._entries(visit.id).items())
                       if path.startswith("measure.") and e.typed]  # fmt: skip
            if entries:
                found.append((visit, self.client_by_id[visit.client_id], entries))
        return sorted(found, key=lambda one: (one[1].name, one[0].started_on, one[0].id))

    def take_in(self, practice_id, intake, now):
        for new, held in ((intake.clients, self.client_by_id), (intake.visits, self.visit_by_id)):
            mine = {one.origin_id for one in held.values() if one.practice_id == practice_id} - {
                None
            }
            if any(one.origin_id in mine for one in new):
                raise AlreadyThere("This came in a moment ago.")
        before = (
            dict(self.held),
            dict(self.changes),
            dict(self.client_by_id),
            dict(self.visit_by_id),
        )
        try:
            for client in intake.clients:
                self.add_client(client)
            for visit in intake.visits:
                self.add_visit(visit)
            for change in intake.changes:
                self.write(practice_id, change, now)
        except Exception:
            self.held, self.changes, self.client_by_id, self.visit_by_id = before
            raise

    def write(self, practice_id, change, now):
        self.visit(practice_id, change.visit_id)
        key = (change.visit_id, change.path)
        row, before = self.held.get(key), self.changes.get(change.id)
        visit = self.visit_by_id[change.visit_id]
        if before is not None:
            if (before.visit_id, before.path, before.typed) != (*key, change.typed):
                raise ReusedChange("This change was made before, with other content.")
            return row, visit.revision
        self._need_consent(visit.id, change.consent, change.path)
        version = row.version if row else 0
        if version != change.expected_version:
            raise StaleChange(
                row
                or Entry(
                    path=change.path, value=None, typed="", version=0, changed_at=now, changed_by=""
                )
            )
        entry = Entry(
            path=change.path, value=change.value, typed=change.typed, version=version + 1,
            changed_at=now, changed_by=self.accounts.people[change.member_id].name,
        )  # fmt: skip
        self.held[key], self.changes[change.id] = entry, change
        self._raise(visit.id)
        if change.erase is not None:
            self._erase(visit.id, change.erase)
        return entry, visit.revision + 1

    def _raise(self, visit_id):
        visit = self.visit_by_id[visit_id]
        self.visit_by_id[visit_id] = replace(visit, revision=visit.revision + 1)

    def _need_consent(self, visit_id, consent, field):
        given = self.held.get((visit_id, consent))
        if consent is not None and (given is None or given.value != "yes"):
            raise NeedsConsent(field, consent, "No consent.")

    def _erase(self, visit_id, what):
        def told(path):
            return path in what.paths or path.startswith(what.starts or ("\0",))

        for key, entry in list(self.held.items()):
            if key[0] == visit_id and told(key[1]) and entry.value is not None:
                self.held[key] = replace(entry, value=None, typed="", version=entry.version + 1)
        for id, change in list(self.changes.items()):
            if change.visit_id == visit_id and told(change.path):
                self.changes[id] = replace(change, value=None, typed="")
        if what.photos:
            self.pictures = {
                id: kept for id, kept in self.pictures.items() if kept[0].visit_id != visit_id
            }

    def add_photo(self, practice_id, photo, jpeg, *, member_id, consent):
        self.visit(practice_id, photo.visit_id)
        self._need_consent(photo.visit_id, consent, f"look.photo.{photo.id}")
        held = self.pictures.get(photo.id)
        if held is not None:
            if (held[0].visit_id, held[0].sha256) != (photo.visit_id, photo.sha256):
                raise AlreadyThere("Another photograph has this id.")
            return held[0]
        self.pictures[photo.id] = (photo, jpeg)
        self._raise(photo.visit_id)
        return photo

    def photo(self, practice_id, photo_id):
        found = self.pictures.get(photo_id)
        if found is None or self.visit_by_id[found[0].visit_id].practice_id != practice_id:
            raise NotFound("There is no such photograph.")
        return found

    def drop_photo(self, practice_id, photo_id):
        head, _ = self.photo(practice_id, photo_id)
        del self.pictures[photo_id]
        self._erase(head.visit_id, Erase(starts=(f"look.photo.{photo_id}.",)))
        self._raise(head.visit_id)

    def report_pdf(self, practice_id, report_id):
        found = self.signed.get(report_id)
        if found is None or self.visit_by_id[found[0].visit_id].practice_id != practice_id:
            raise NotFound("There is no such report.")
        return found

    def add_report(self, report: Report, pdf):
        if any(r.number == report.number for r in self._reports(report.visit_id)):
            raise AlreadyThere("This version was signed a moment ago. Look at it first.")
        self.signed[report.id] = (report, pdf)


class FakeShelf:
    def __init__(self, records):
        self.records, self.kept = records, {}

    def _mine(self, practice_id, item_id):
        found = self.kept.get(item_id)
        if found is None or found.practice_id != practice_id:
            raise NotFound("There is no such thing on the shelf.")
        return found

    def _free(self, item):
        for other in self.kept.values():
            same = (other.practice_id, other.piece, other.name)
            if other.id != item.id and same == (item.practice_id, item.piece, item.name):
                raise AlreadyThere("This name is on the shelf already.")

    def items(self, practice_id):
        users = {}
        for (visit_id, path), entry in self.records.held.items():
            if path == "look.workstation" and entry.typed:
                client = self.records.client_by_id[self.records.visit_by_id[visit_id].client_id]
                users.setdefault(entry.typed, set()).add(client.name)
        mine = [item for item in self.kept.values() if item.practice_id == practice_id]
        return [
            replace(item, users=tuple(sorted(users.get(str(item.id), ()))))
            for item in sorted(mine, key=lambda item: (item.piece, item.name))
        ]

    def add_item(self, item):
        self._free(item)
        self.kept[item.id] = item

    def change_item(self, item):
        held = self._mine(item.practice_id, item.id)
        if held.version != item.version:
            raise StaleItem(held)
        self._free(item)
        self.kept[item.id] = replace(item, piece=held.piece, version=held.version + 1)
        return self.kept[item.id]

    def drop_item(self, practice_id, item_id):
        self._mine(practice_id, item_id)
        del self.kept[item_id]


class FakeMeasuring:
    def __init__(self):
        self.records, self.kept_lists, self.kept_tables = None, {}, {}

    def _free(self, kept, new):
        for other in kept.values():
            same = (other.practice_id, other.name) == (new.practice_id, new.name)
            if same and other.id != new.id:
                raise AlreadyThere("There is one of this name already.")

    def _mine(self, kept, practice_id, id):
        found = kept.get(id)
        if found is None or found.practice_id != practice_id:
            raise NotFound("There is no such thing.")
        return found

    def lists(self, practice_id):
        mine = [one for one in self.kept_lists.values() if one.practice_id == practice_id]
        return sorted(mine, key=lambda one: one.name)

    def add_list(self, kept):
        self._free(self.kept_lists, kept)
        self.kept_lists[kept.id] = kept

    def change_list(self, kept):
        held = self._mine(self.kept_lists, kept.practice_id, kept.id)
        if held.version != kept.version:
            raise StaleList(held)
        self._free(self.kept_lists, kept)
        self.kept_lists[kept.id] = replace(kept, version=held.version + 1)
        return self.kept_lists[kept.id]

    def drop_list(self, practice_id, list_id):
        self._mine(self.kept_lists, practice_id, list_id)
        del self.kept_lists[list_id]

    def tables(self, practice_id):
        mine = [one for one in self.kept_tables.values() if one.practice_id == practice_id]
        return sorted(mine, key=lambda one: one.name)

    def add_table(self, table):
        self._free(self.kept_tables, table)
        self.kept_tables[table.id] = table

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
                found.append(Difference(member_id=by, dimension=start.split(".")[1],
                                        mm=first.value - second.value))  # fmt: skip
        return found


class FakePolicies:
    def __init__(self):
        self.kept = {}

    def _mine(self, practice_id, bundle_id):
        found = self.kept.get(bundle_id)
        if found is None or found.practice_id != practice_id:
            raise NotFound("There is no such bundle.")
        return found

    def _settle(self, bundle):
        others = [one for one in self.bundles(bundle.practice_id) if one.id != bundle.id]
        if any(one.name == bundle.name for one in others):
            raise AlreadyThere("There is a bundle of this name already.")
        for one in others if bundle.is_default else ():
            if one.is_default:
                self.kept[one.id] = replace(one, is_default=False, version=one.version + 1)

    def bundles(self, practice_id):
        mine = [one for one in self.kept.values() if one.practice_id == practice_id]
        return sorted(mine, key=lambda one: one.name)

    def add_bundle(self, bundle):
        self._settle(bundle)
        self.kept[bundle.id] = bundle

    def change_bundle(self, bundle):
        held = self._mine(bundle.practice_id, bundle.id)
        if held.version != bundle.version:
            raise StaleBundle(held)
        self._settle(bundle)
        self.kept[bundle.id] = replace(bundle, version=held.version + 1)
        return self.kept[bundle.id]

    def drop_bundle(self, practice_id, bundle_id):
        self._mine(practice_id, bundle_id)
        del self.kept[bundle_id]
