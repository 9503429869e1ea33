"""What the use cases need from outside."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence, Set
from datetime import datetime, timedelta
from typing import Protocol
from uuid import UUID

from ..core.drawing import Scene
from ..core.units import LengthUnit
from ..core.what_if import VisitAnalysis
from .list_ports import VisitLists
from .models import (
    Attachment,
    Change,
    Client,
    ClientArchive,
    DeskMotion,
    DeskState,
    Difference,
    Entry,
    FileRead,
    ImportBatch,
    InstrumentReading,
    InstrumentState,
    LightReading,
    MeasurementSheet,
    MeasuringList,
    PhotoHead,
    PopulationTable,
    PrintedCopy,
    ProcessedPhoto,
    Report,
    ReportHead,
    ShelfItem,
    StoredRuleSet,
    Visit,
    VisitSnapshot,
)
from .paper_models import Paper, TargetCard, WorkplacePaper

Clock = Callable[[], datetime]


class Records(VisitLists, Protocol):
    """Clients, visits, their entries and reports. Everything is asked within one practice."""

    def client(self, practice_id: UUID, client_id: UUID) -> Client:
        """Raises NotFound."""

    def add_client(self, client: Client) -> Client:
        """Add one; sent again with the same id it is the one that is there.

        Raises AlreadyThere if the id is another practice's.
        """

    def change_client(self, client: Client) -> Client:
        """Put name, sex and work upon the version it names; raises NotFound, Stale."""

    def add_visit(self, visit: Visit) -> Visit:
        """Add one; sent again with the same id it is the one that is there.

        Raises AlreadyThere if the id is another client's visit.
        """

    def visits_at(self, practice_id: UUID, workstation_id: str) -> list[UUID]:
        """Return the last visit of each client at a shared workstation, by the client's name."""

    def visit_before(self, practice_id: UUID, visit_id: UUID) -> UUID | None:
        """Return the same client's last visit before this one in which something was set or signed."""

    def drop_visit(self, practice_id: UUID, visit_id: UUID) -> None:
        """Delete an empty visit; raises NotFound, HoldsSomething."""

    def consents_said(self, practice_id: UUID, visit_id: UUID) -> list[Entry]:
        """Return every answer that was ever given to a consent of a visit, the first one first."""

    def discard_visit(
        self, practice_id: UUID, visit_id: UUID, moment: datetime | None, *, forget: timedelta
    ) -> None:
        """Throw a draft away, or take it back (``moment`` None); what was thrown away longer ago than ``forget`` is erased.

        Raises NotFound; HoldsSomething for one that was signed.
        """

    def open(
        self, practice_id: UUID, visit_id: UUID
    ) -> tuple[Visit, Client, list[Entry], list[ReportHead], list[PhotoHead]]:
        """A visit with its client, entries, signed versions and photographs; raises NotFound."""

    def load_snapshot(self, practice_id: UUID, visit_id: UUID) -> VisitSnapshot:
        """A visit with its values only; raises NotFound."""

    def write(self, practice_id: UUID, change: Change, now: datetime) -> tuple[Entry, int]:
        """Apply a change in one transaction; the entry as it is now and the visit's revision.

        A change seen before changes nothing and answers with the entry as it is now.

        Raises
        ------
        NotFound
            If the practice has no such visit.
        Stale
            If the entry's version is not the expected one.
        ReusedChange
            If the id was used for another path or text.
        NeedsConsent
            If the consent it needs is not given.

        """

    def add_photo(
        self, practice_id: UUID, photo: PhotoHead, jpeg: bytes, *, member_id: UUID, consent: str
    ) -> PhotoHead:
        """Keep a photograph; the same one sent again counts once.

        Raises NotFound, NeedsConsent; AlreadyThere if the id holds another picture.
        """

    def photo(self, practice_id: UUID, photo_id: UUID) -> tuple[PhotoHead, bytes]:
        """Raises NotFound."""

    def drop_photo(self, practice_id: UUID, photo_id: UUID) -> None:
        """Erase a photograph and what was placed on it; raises NotFound."""

    def measured(
        self, practice_id: UUID, visit_ids: Set[UUID] | None = None
    ) -> list[tuple[Visit, Client, list[Entry]]]:
        """Every visit with entries of measuring, or these only: by client's name and day."""

    def import_batch(self, practice_id: UUID, intake: ImportBatch, now: datetime) -> None:
        """Write an import in one transaction.

        Raises AlreadyThere for a client or visit that came in before, Stale for an entry
        that is not as it was; nothing is written then.
        """

    def report_pdf(
        self, practice_id: UUID, report_id: UUID, copy: str
    ) -> tuple[Report, bytes | None]:
        """A signed version and one of its copies; None for a copy that was not kept. Raises NotFound."""

    def last_report(self, practice_id: UUID, visit_id: UUID) -> Report | None:
        """A visit's last signed version, with its content."""

    def add_report(self, report: Report, printed: Mapping[str, PrintedCopy]) -> ReportHead:
        """Freeze a version; sent again with the same id it is the one that is there.

        Raises MovedOn where the visit is not at the report's revision any more, AlreadyThere if
        this number exists or the id is another visit's.
        """

    def report_of(self, visit_id: UUID, report_id: UUID) -> ReportHead | None:
        """A visit's signed version by its id, if there is one."""


class Shelf(Protocol):
    """The practice's own pieces and shared workstations."""

    def items(self, practice_id: UUID) -> list[ShelfItem]: ...

    def add_item(self, item: ShelfItem) -> ShelfItem:
        """The one that is there now; the same id sent again changes nothing.

        Raises AlreadyThere if the practice has one of this piece and name.
        """

    def change_item(self, item: ShelfItem) -> ShelfItem:
        """Put name, place and values upon the version it names.

        Raises NotFound, AlreadyThere, Stale.
        """

    def drop_item(self, practice_id: UUID, item_id: UUID) -> None:
        """Raises NotFound."""


class MeasuringStore(Protocol):
    """A practice's lists of dimensions, its tables, and how its members repeat a reading."""

    def lists(self, practice_id: UUID) -> list[MeasuringList]: ...

    def add_list(self, kept: MeasuringList) -> MeasuringList:
        """The one that is there now; the same id sent again changes nothing.

        Raises AlreadyThere if the practice has one of this name.
        """

    def change_list(self, kept: MeasuringList) -> MeasuringList:
        """Put name and dimensions upon the version it names.

        Raises NotFound, AlreadyThere, Stale.
        """

    def drop_list(self, practice_id: UUID, list_id: UUID) -> None:
        """Raises NotFound."""

    def tables(self, practice_id: UUID) -> list[PopulationTable]: ...

    def add_table(self, table: PopulationTable) -> PopulationTable:
        """The one that is there now; the same id sent again changes nothing.

        Raises AlreadyThere if the practice has one of this name.
        """

    def drop_table(self, practice_id: UUID, table_id: UUID) -> None:
        """Raises NotFound."""

    def differences(self, practice_id: UUID, member_id: UUID | None = None) -> list[Difference]:
        """First less second reading, for every pair that one member took themselves."""


class PolicyStore(Protocol):
    """A practice's bundles of positions."""

    def bundles(self, practice_id: UUID) -> list[StoredRuleSet]: ...

    def add_bundle(self, bundle: StoredRuleSet) -> StoredRuleSet:
        """The one that is there now; the same id sent again changes nothing.

        Raises AlreadyThere if the practice has one of this name.
        """

    def change_bundle(self, bundle: StoredRuleSet) -> StoredRuleSet:
        """Put name, choices and default upon the version it names.

        Raises NotFound, AlreadyThere, Stale.
        """

    def drop_bundle(self, practice_id: UUID, bundle_id: UUID) -> None:
        """Raises NotFound."""


class Exchange(Protocol):
    """The formats in which measurements leave and come in."""

    def write(self, id: str, sheets: Sequence[MeasurementSheet]) -> tuple[bytes, str, str]:
        """The file, its media type and its name; raises KeyError for a format there is not."""

    def read(self, raw: bytes) -> tuple[str, FileRead]:
        """The format's label, and what the file says."""


class Instrument(Protocol):
    """Something that measures a length when asked: a tape, a height rod."""

    def state(self) -> InstrumentState:
        """Raises NoAnswer."""

    def set_unit(self, unit: LengthUnit) -> InstrumentState:
        """Raises NoAnswer."""

    def read(self, *, subject: str, dimension: str, near: float | None = None) -> InstrumentReading:
        """Take one reading; raises NoAnswer.

        What is held where is the practitioner's doing; a stand-in needs to be told whose body
        (an opaque word) and which dimension, or which piece and what it is about, mm.
        """


class ImageProcessor(Protocol):
    """Makes a picture fit to be kept."""

    def develop(self, picture: bytes) -> ProcessedPhoto:
        """Raises BadPicture."""


class LightMeter(Protocol):
    """A light meter near the desk."""

    def read(self) -> LightReading:
        """Raises NoAnswer."""


class DeskController(Protocol):
    """An electric desk; heights are those of its display, mm. It moves only while it is told to go on."""

    def state(self) -> DeskState:
        """Raises NoAnswer."""

    def hold(self, target: float) -> DeskMotion:
        """Go on towards a height; raises NoAnswer."""

    def stop(self) -> DeskMotion:
        """Stop at once; raises NoAnswer."""

    def save(self, key: int) -> float:
        """Save where it stands on a key and read it back; raises NoAnswer."""


class PdfRenderer(Protocol):
    """Makes a PDF of a paper."""

    def print(
        self,
        paper: Paper,
        *,
        attached: Sequence[Attachment] = (),
        pictures: Mapping[str, bytes] | None = None,
    ) -> bytes:
        """Set a paper.

        ``attached`` are the files it carries, ``pictures`` the photographs on it, JPEG by identifier; those that
        are not given are left out.
        """

    def print_card(self, card: TargetCard) -> bytes: ...

    def print_request(self, paper: WorkplacePaper) -> bytes:
        """Set what is asked of a workplace as a form that can be filled in."""

    def read_request(self, pdf: bytes) -> Mapping[str, str]:
        """Return what was filled into such a form, by field: ``yes`` for a ticked box; raises ValueError."""

    def mark(self, pdf: bytes, words: str) -> bytes:
        """Lay a line over the head of every page; what was printed stays beneath."""


class OpenFiles(Protocol):
    """Makes the open files that a paper carries, and reads them back."""

    def of_visit(
        self,
        opened: VisitSnapshot,
        analysis: VisitAnalysis,
        sheets: Sequence[MeasurementSheet],
        drawing: Scene | None,
    ) -> list[Attachment]:
        """Return the visit, its result, its measurements and its drawing."""

    def of_drawing(self, drawing: Scene | None) -> list[Attachment]:
        """Return the drawing alone."""


class Archives(Protocol):
    """One client whole as a file."""

    def write(self, whole: ClientArchive) -> bytes: ...

    def read(self, raw: bytes) -> ClientArchive:
        """Raises ValueError with what is wrong in one line."""
