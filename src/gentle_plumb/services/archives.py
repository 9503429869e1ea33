"""One client whole: out as an archive of open files, and in from one."""

from __future__ import annotations

from dataclasses import replace
from datetime import date
from uuid import UUID, uuid4, uuid5

from ..core.language import msg
from ..core.record import field_of, fields, read_typed, typed_of
from ..core.record.fields.photo import PHOTO_FAMILY
from .client_files import Beside
from .consent import NOTES, PHOTOGRAPHS, consent_for
from .errors import BadFile, BadPicture, NeedsConsent
from .exchange import sheet_of
from .models import (
    ArchivedPhoto,
    ArchivedVisit,
    Change,
    Client,
    ClientArchive,
    ImportBatch,
    Member,
    ProcessedPhoto,
    Visit,
)
from .papers import COPIES
from .photos import PhotoService
from .ports import Archives, Clock, OpenFiles, Records
from .workup import work_up

MOST_BYTES = 100_000_000
"""As long as an archive may be that is sent here: far more than a client's history. House value."""


class ArchiveService:
    """What is done with a client as a whole."""

    def __init__(
        self,
        records: Records,
        photos: PhotoService,
        archives: Archives,
        files: OpenFiles,
        clock: Clock,
        beside: Beside | None = None,
    ) -> None:
        self._records, self._photos, self._archives = records, photos, archives
        self._files, self._clock = files, clock
        self._beside = beside or (lambda _, __: {})

    def export(self, member: Member, client_id: UUID) -> tuple[Client, bytes]:
        """Return a client with every visit, photograph and signed paper, their own answers and the audit log; raises NotAllowed, NotFound."""
        client = self._records.client(member.practice_id, client_id)
        mine = [
            line.visit for line in self._records.visits(member.practice_id, client_id=client_id)
        ]
        visits = sorted(mine, key=lambda visit: (visit.started_on, str(visit.id)))
        whole = ClientArchive(
            name=client.name,
            sex=client.sex,
            work=client.work,
            visits=tuple(self._visit(member, visit) for visit in visits),
            email=client.email,
            birth_year=client.birth_year,
            beside=self._beside(member, client_id),
        )
        return client, self._archives.write(whole)

    def _visit(self, member: Member, visit: Visit) -> ArchivedVisit:
        mine = member.practice_id
        opened = self._records.load_snapshot(mine, visit.id)
        _, client, entries, reports, photos = self._records.open(mine, visit.id)
        analysis = work_up(opened, "mm", body=False).analysis
        held = self._files.of_visit(opened, analysis, [sheet_of(visit, client, entries)], None)
        papers = {}
        for report in reports:
            for copy in COPIES:
                pdf = self._records.report_pdf(mine, report.id, copy)[1]
                if pdf is not None:
                    papers[f"version-{report.number}-{copy}.pdf"] = pdf
        return ArchivedVisit(
            on=visit.started_on,
            entries={
                path: typed_of(field_of(path), value)
                for path, value in sorted(opened.values.items())
                if value is not None and value != "" and path != fields.measure.table.id
            },
            practice=dict(visit.policies),
            photos=tuple(
                ArchivedPhoto(id=str(photo.id), jpeg=self._records.photo(mine, photo.id)[1])
                for photo in photos
            ),
            papers=papers,
            open_files={
                attachment.name: attachment.text
                for attachment in held
                if attachment.name != "visit.json"
            },
        )

    def take_in(self, member: Member, raw: bytes, *, agreed: bool) -> Client:
        """Import a client with their visits and photographs, as a new one.

        Papers that were signed elsewhere stay in the archive: nobody here has signed them.

        Parameters
        ----------
        member : Member
        raw : bytes
            The archive.
        agreed : bool
            Whether the client agrees to these records being kept here.

        Raises
        ------
        NotAllowed
            For readers.
        NeedsConsent
            Without the client's word.
        BadFile
            With what is wrong, if anything is; nothing is written then.

        """
        if not agreed:
            raise NeedsConsent(
                "agreed",
                NOTES,
                msg("Ask the client first: these records contain health information."),
            )
        try:
            whole = self._archives.read(raw)
        except ValueError as error:
            raise BadFile(
                msg("The archive was not imported: {error}", error=error),
                [("file", "", str(error))],
            ) from None
        client = Client(
            id=uuid4(),
            practice_id=member.practice_id,
            name=whole.name,
            sex=whole.sex,
            work=whole.work,
            email=whole.email,
            birth_year=whole.birth_year,
        )
        pictures = _developed(self._photos, whole)
        visits, changes = [], []
        for number, archived in enumerate(whole.visits):
            visit = Visit(
                id=uuid5(client.id, f"{number}"),
                practice_id=member.practice_id,
                client_id=client.id,
                member_id=member.id,
                started_on=_no_later(archived.on, self._clock().date()),
                policies=archived.practice,
            )
            visits.append(visit)
            changes += _changes(visit, member, archived)
        self._records.import_batch(
            member.practice_id,
            ImportBatch(clients=(client,), visits=tuple(visits), changes=tuple(changes)),
            self._clock(),
        )
        for visit, developed in zip(visits, pictures, strict=True):
            for id, photo in developed.items():
                self._photos.keep(member, visit.id, _here(visit, id), photo)
        return replace(client, version=1)


def _developed(photos: PhotoService, whole: ClientArchive) -> list[dict[str, ProcessedPhoto]]:
    """Develop the pictures of each visit that may be kept, before anything is written; raises BadFile."""
    all_processed_photos = []
    for number, archived in enumerate(whole.visits, start=1):
        try:
            all_processed_photos.append(
                {photo.id: photos.develop(photo.jpeg) for photo in _agreed(archived)}
            )
        except BadPicture as error:
            raise BadFile(
                msg("The archive was not imported."),
                [(msg("visit {number}", number=number), "photos", str(error))],
            ) from None
    return all_processed_photos


def _agreed(archived: ArchivedVisit) -> tuple[ArchivedPhoto, ...]:
    """Return the photographs of a visit, where the client had agreed to them."""
    return archived.photos if archived.entries.get(PHOTOGRAPHS) == "yes" else ()


def _no_later(day: date, today: date) -> date:
    """Return a visit's day; none lies ahead of where it is taken in."""
    return min(day, today)


def _here(visit: Visit, photo: str) -> UUID:
    """Return a photograph's identifier here: its own again at each import of its own."""
    return uuid5(visit.id, photo)


def _changes(visit: Visit, member: Member, archived: ArchivedVisit) -> list[Change]:
    """Return a visit's entries as changes; what was placed on a photograph follows its new name.

    What is kept by consent comes in only where the visit holds that consent.
    """
    names = {photo.id: str(_here(visit, photo.id)) for photo in _agreed(archived)}
    changes = []
    for path, typed in archived.entries.items():
        place, field = path, field_of(path)
        if path.startswith(f"{PHOTO_FAMILY}."):
            id, part = path.removeprefix(f"{PHOTO_FAMILY}.").split(".", 1)
            if id not in names:
                continue
            place = f"{PHOTO_FAMILY}.{names[id]}.{part}"
        needed = consent_for(field)
        if needed is not None and archived.entries.get(needed) != "yes":
            continue
        changes.append(
            Change(
                id=uuid5(visit.id, place),
                visit_id=visit.id,
                path=place,
                typed=typed,
                value=read_typed(field, typed, unit="mm"),
                expected_version=0,
                member_id=member.id,
            )
        )
    return changes
