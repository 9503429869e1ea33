"""Clients, visits, entries and reports in memory."""

from dataclasses import replace
from fnmatch import fnmatchcase

from gentle_plumb.services.errors import (
    AlreadyThere,
    HoldsSomething,
    MovedOn,
    NeedsConsent,
    NotFound,
    ReusedChange,
    Stale,
)
from gentle_plumb.services.models import (
    EarlierVisit,
    Entry,
    ErasureScope,
    PrintedCopy,
    Report,
    ReportHead,
    VisitLine,
    VisitSnapshot,
)


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
        held = self.client_by_id.setdefault(client.id, client)
        if held.practice_id != client.practice_id:
            raise AlreadyThere("Another client has this id.")
        return held

    def change_client(self, client):
        held = self.client(client.practice_id, client.id)
        if held.version != client.version:
            raise Stale(held)
        self.client_by_id[client.id] = replace(client, version=client.version + 1)
        return self.client_by_id[client.id]

    def drop_client(self, practice_id, client_id, *, even_signed):
        self.client(practice_id, client_id)
        mine = [v.id for v in self.visit_by_id.values() if v.client_id == client_id]
        if not even_signed and any(self._reports(visit) for visit in mine):
            raise HoldsSomething("There are signed reports.")
        for visit in mine:
            self._forget(visit)
        del self.client_by_id[client_id]

    def add_visit(self, visit):
        held = self.visit_by_id.setdefault(visit.id, visit)
        if (held.practice_id, held.client_id) != (visit.practice_id, visit.client_id):
            raise AlreadyThere("Another visit has this id.")
        return held

    def visit_before(self, practice_id, visit_id):
        now = self.visit_by_id[visit_id]
        mine = [
            one
            for one in self.visit_by_id.values()
            if one.client_id == now.client_id
            and (one.practice_id, one.id != visit_id) == (practice_id, True)
            and one.started_on <= now.started_on
            and (
                self._reports(one.id)
                or any(path.startswith("set.") for path in self._entries(one.id))
            )
        ]
        return max(mine, key=lambda one: one.started_on).id if mine else None

    def drop_visit(self, practice_id, visit_id):
        _, _, entries, heads, photos = self.open(practice_id, visit_id)
        if heads or photos or any(e.typed for e in entries):
            raise HoldsSomething("This visit is not empty.")
        self._forget(visit_id)

    def _forget(self, visit_id):
        del self.visit_by_id[visit_id]
        self.held = {key: e for key, e in self.held.items() if key[0] != visit_id}
        self.signed = {id: one for id, one in self.signed.items() if one[0].visit_id != visit_id}
        self.pictures = {
            id: one for id, one in self.pictures.items() if one[0].visit_id != visit_id
        }

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
                    visit=visit,
                    client=self.client_by_id[visit.client_id],
                    practitioner=self.accounts.people[visit.member_id].name,
                    changed_at=max((e.changed_at for e in entries.values()), default=None),
                    follow_up=follow.value if follow else None,
                    touched=frozenset(path.split(".")[0] for path in entries),
                    signs={
                        path: e.value
                        for path, e in entries.items()
                        if path.startswith(("ask.sign.", "ask.warning"))
                    },
                    signed_at=reports[-1].signed_at if reports else None,
                    signed_revision=reports[-1].revision if reports else None,
                    shared_report=reports[-1].id
                    if reports
                    and "ask.consent.workplace" in entries
                    and entries["ask.consent.workplace"].value == "yes"
                    else None,
                )
            )
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
        heads = [self._head(r) for r in self._reports(visit_id)]
        return (
            visit,
            self.client_by_id[visit.client_id],
            list(self._entries(visit_id).values()),
            heads,
            [head for head, _ in self.pictures.values() if head.visit_id == visit_id],
        )

    def visits_at(self, practice_id, workstation_id):
        last = {}
        for visit in sorted(self.visit_by_id.values(), key=lambda one: (one.started_on, one.id)):
            at = self._entries(visit.id).get("look.workstation")
            if visit.practice_id == practice_id and at and at.typed == workstation_id:
                last[visit.client_id] = visit.id
        return sorted(
            last.values(), key=lambda one: self.client_by_id[self.visit_by_id[one].client_id].name
        )

    def working(self, practice_id, visit_id):
        visit, client, entries, heads, photos = self.open(practice_id, visit_id)
        return VisitSnapshot(
            visit=visit,
            client=client,
            values={e.path: e.value for e in entries},
            versions=len(heads),
            signed_revision=heads[-1].revision if heads else None,
            photos=tuple(photos),
            earlier=self._earlier(visit),
            **self._chosen(visit),
        )

    def _earlier(self, visit):
        before = [
            v
            for v in self.visit_by_id.values()
            if v.client_id == visit.client_id and v.started_on < visit.started_on
        ]
        found = [
            EarlierVisit(visit_id=v.id, started_on=v.started_on, values=measured)
            for v in sorted(before, key=lambda v: v.started_on, reverse=True)
            if (
                measured := {
                    path: e.value
                    for path, e in self._entries(v.id).items()
                    if path.startswith("measure.")
                }
            )
        ]
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

    def measured(self, practice_id, visit_ids=None):
        found = []
        for visit in self.visit_by_id.values():
            if visit.practice_id != practice_id or (
                visit_ids is not None and visit.id not in visit_ids
            ):
                continue
            entries = [
                e
                for path, e in sorted(self._entries(visit.id).items())
                if path.startswith("measure.") and e.typed
            ]
            if entries:
                found.append((visit, self.client_by_id[visit.client_id], entries))
        return sorted(found, key=lambda one: (one[1].name, one[0].started_on, one[0].id))

    def import_batch(self, practice_id, intake, now):
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
            raise Stale(
                row
                or Entry(
                    path=change.path, value=None, typed="", version=0, changed_at=now, changed_by=""
                )
            )
        entry = Entry(
            path=change.path,
            value=change.value,
            typed=change.typed,
            version=version + 1,
            changed_at=now,
            changed_by=self.accounts.people[change.member_id].name,
        )
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
            of_family = any(fnmatchcase(path, family) for family in what.families)
            return path in what.paths or path.startswith(what.starts or ("\0",)) or of_family

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
            self._without_pictures(visit_id)

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
        self._without_pictures(head.visit_id)
        self._erase(head.visit_id, ErasureScope(starts=(f"look.photo.{photo_id}.",)))
        self._raise(head.visit_id)

    def report_pdf(self, practice_id, report_id, copy):
        found = self.signed.get(report_id)
        if found is None or self.visit_by_id[found[0].visit_id].practice_id != practice_id:
            raise NotFound("There is no such report.")
        report, printed = found
        kept = printed.get(copy)
        return replace(report, copies=self._digests(report_id)), kept and kept.pdf

    def last_report(self, practice_id, visit_id):
        if self.visit_by_id[visit_id].practice_id != practice_id:
            return None
        mine = self._reports(visit_id)
        return mine[-1] if mine else None

    def report_of(self, visit_id, report_id):
        found = self.signed.get(report_id)
        if found is None or found[0].visit_id != visit_id:
            return None
        return self._head(found[0])

    def add_report(self, report: Report, printed):
        if report.id in self.signed:
            if self.signed[report.id][0].visit_id != report.visit_id:
                raise AlreadyThere("Another report has this id.")
            return self.report_of(report.visit_id, report.id)
        if self.visit_by_id[report.visit_id].revision != report.revision:
            raise MovedOn("The visit was changed in this moment.")
        if any(r.number == report.number for r in self._reports(report.visit_id)):
            raise AlreadyThere("This version has just been signed. Reload to see it.")
        self.signed[report.id] = (report, dict(printed))
        return self.report_of(report.visit_id, report.id)

    def _digests(self, report_id):
        return {copy: one.sha256 for copy, one in self.signed[report_id][1].items()}

    def _head(self, report):
        held = {name: getattr(report, name) for name in ReportHead.__dataclass_fields__}
        return ReportHead(**held | {"copies": self._digests(report.id)})

    def _without_pictures(self, visit_id):
        for report, printed in self.signed.values():
            if report.visit_id == visit_id:
                for copy, one in printed.items():
                    if one.without is not None:
                        printed[copy] = PrintedCopy(pdf=one.without)
