"""The ports in memory, held to the same contract as PostgreSQL."""

from dataclasses import replace

from gentle_plumb.services.errors import AlreadyThere, NotFound, ReusedChange, StaleChange
from gentle_plumb.services.models import Entry, Report, ReportHead, VisitLine, Working


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
    def __init__(self, accounts):
        self.accounts = accounts
        self.client_by_id, self.visit_by_id = {}, {}
        self.held, self.changes, self.signed = {}, {}, {}

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
        )

    def working(self, practice_id, visit_id):
        visit, client, entries, heads = self.open(practice_id, visit_id)
        return Working(
            visit=visit, client=client, values={e.path: e.value for e in entries},
            versions=len(heads), signed_revision=heads[-1].revision if heads else None,
        )  # fmt: skip

    def write(self, practice_id, change, now):
        self.visit(practice_id, change.visit_id)
        key = (change.visit_id, change.path)
        row, before = self.held.get(key), self.changes.get(change.id)
        visit = self.visit_by_id[change.visit_id]
        if before is not None:
            if (before.visit_id, before.path, before.typed) != (*key, change.typed):
                raise ReusedChange("This change was made before, with other content.")
            return row, visit.revision
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
        self.visit_by_id[visit.id] = replace(visit, revision=visit.revision + 1)
        return entry, visit.revision + 1

    def report_pdf(self, practice_id, report_id):
        found = self.signed.get(report_id)
        if found is None or self.visit_by_id[found[0].visit_id].practice_id != practice_id:
            raise NotFound("There is no such report.")
        return found

    def add_report(self, report: Report, pdf):
        if any(r.number == report.number for r in self._reports(report.visit_id)):
            raise AlreadyThere("This version was signed a moment ago. Look at it first.")
        self.signed[report.id] = (report, pdf)
