"""Clients, visits, entries and reports in memory: the device's own records, with what is the server's beside."""

from dataclasses import replace

from gentle_plumb.on_device import DeviceRecords
from gentle_plumb.services.errors import AlreadyThere, MovedOn, NotFound, Stale
from gentle_plumb.services.models import PrintedCopy, Report, ReportHead, VisitInList, VisitLine


class FakeRecords(DeviceRecords):
    def __init__(self, accounts, store=None):
        super().__init__(lambda member_id: accounts.people[member_id].name)
        self.accounts, self.signed = accounts, {}
        if store is not None:
            self.tables, self.lists = store.kept_tables, store.kept_lists

    def clients(self, practice_id, of=None):
        every = [c for c in self.client_by_id.values() if c.practice_id == practice_id]
        mine = [one for one in every if of is None or one.id in of]
        return sorted(mine, key=lambda c: c.name)

    def change_client(self, client):
        held = self.client(client.practice_id, client.id)
        if held.version != client.version:
            raise Stale(held)
        self.client_by_id[client.id] = replace(client, version=client.version + 1)
        return self.client_by_id[client.id]

    def visits_of(self, practice_id):
        mine = [one for one in self.visit_by_id.values() if one.practice_id == practice_id]
        return sorted(mine, key=lambda one: (one.started_on, str(one.id)))

    def client_names(self, practice_id):
        return [(client.id, client.name, client.work) for client in self.clients(practice_id)]

    def last_visits(self, practice_id, clients):
        lines = [visit for visit in self.visits(practice_id) if visit.client.id in clients]
        return {line.client.id: (line.visit.started_on, line.follow_up) for line in reversed(lines)}

    def visit_keys(self, practice_id):
        lines = self.visits(practice_id)
        return [(line.visit.id, line.client.id, line.visit.member_id) for line in lines]

    def visits_waiting(self, practice_id, *, soon, latest, most, member_id):
        every = self.visits(practice_id)
        lines = [one for one in every if member_id in (None, one.visit.member_id)]
        newest = {one.visit.id for one in [line for line in lines if line.signed_at][:latest]}
        days = {}
        for one in every:
            days.setdefault(one.client.id, one.visit.started_on)
        every = [
            VisitInList(
                id=line.visit.id,
                client_id=line.client.id,
                member_id=line.visit.member_id,
                started_on=line.visit.started_on,
                signed=line.signed_revision == line.visit.revision,
                due=(line.follow_up or "~") <= soon.isoformat()
                and days[line.client.id] == line.visit.started_on,
                flagged="yes" in line.signs.values(),
            )
            for line in lines
        ]
        return [
            one for one in every if not one.signed or one.due or one.flagged or one.id in newest
        ]

    def visits(self, practice_id, *, of=None, client_id=None):
        lines = []
        for visit in self.visit_by_id.values():
            if visit.practice_id != practice_id:
                continue
            if (of is not None and visit.id not in of) or client_id not in (None, visit.client_id):
                continue
            entries, reports = self.entries_of(visit.id), self._reports(visit.id)
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

    def visits_at(self, practice_id, workstation_id):
        last = {}
        for visit in sorted(self.visit_by_id.values(), key=lambda one: (one.started_on, one.id)):
            at = self.entries_of(visit.id).get("look.workstation")
            if visit.practice_id == practice_id and at and at.typed == workstation_id:
                last[visit.client_id] = visit.id
        return sorted(
            last.values(), key=lambda one: self.client_by_id[self.visit_by_id[one].client_id].name
        )

    def measured(self, practice_id, visit_ids=None):
        found = []
        for visit in self.visit_by_id.values():
            if visit.practice_id != practice_id or (
                visit_ids is not None and visit.id not in visit_ids
            ):
                continue
            entries = [
                e
                for path, e in sorted(self.entries_of(visit.id).items())
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
        super().import_batch(practice_id, intake, now)

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

    def _reports(self, visit_id):
        mine = [r for r, _ in self.signed.values() if r.visit_id == visit_id]
        return sorted(mine, key=lambda r: r.number)

    def reports_of(self, visit_id):
        return [self._head(report) for report in self._reports(visit_id)]

    def _erase(self, visit_id, what):
        super()._erase(visit_id, what)
        if what.photos or any(start.startswith("look.photo.") for start in what.starts):
            self._without_pictures(visit_id)

    def forget(self, visit_id):
        super().forget(visit_id)
        self.signed = {id: one for id, one in self.signed.items() if one[0].visit_id != visit_id}
