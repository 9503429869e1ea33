"""One client whole as an archive: a folder of open files in a ZIP, and how it is read back.

``client.json`` names the client and the visits; each visit has a folder with ``visit.json`` (as a report carries it,
with the consents), its result, measurements and drawing, ``photos`` and ``papers``. Beside it stand ``own-page.json``
and ``trail.csv``, which are not read back.
"""

from __future__ import annotations

import io
import zipfile
from datetime import date
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from ..core.body import Sex
from ..core.language import filled, joined, msg
from ..services.models import ArchivedPhoto, ArchivedVisit, ClientArchive
from .visit_file import VisitDocument, read_visit

MOST_BYTES, MOST_FILES, MOST_FILE = 400_000_000, 5_000, 40_000_000
"""Larger than any client's history: what an archive may hold, in all and in one file. House values."""
ABOUT = "client.json"
STARTED = (2000, 1, 1, 0, 0, 0)
"""Every file of an archive bears this moment, so that the same client makes the same bytes."""


class VisitLine(BaseModel):
    """A visit of an archive: its folder and its day."""

    model_config = ConfigDict(extra="forbid")
    folder: Annotated[str, Field(pattern=r"^visits/[0-9]{2,4}$")]
    visit_on: date
    photos: Annotated[
        list[Annotated[str, Field(pattern=r"^[A-Za-z0-9-]{1,64}$")]], Field(max_length=200)
    ] = []


class ClientDocument(BaseModel):
    """What an archive begins with."""

    model_config = ConfigDict(extra="forbid")
    format: Literal["gentle-plumb-client-1"] = "gentle-plumb-client-1"
    client: Annotated[str, Field(min_length=1, max_length=200)]
    sex: Sex | None = None
    work: Annotated[str, Field(max_length=200)] = ""
    email: Annotated[str, Field(max_length=200)] = ""
    birth_year: Annotated[int, Field(ge=1900, le=2100)] | None = None
    visits: Annotated[list[VisitLine], Field(max_length=1_000)]


class ZipArchives:
    """The Archives port."""

    def write(self, whole: ClientArchive) -> bytes:
        """Return the archive; the same client makes the same bytes."""
        lines = [
            VisitLine(
                folder=f"visits/{number:02d}",
                visit_on=visit.on,
                photos=[photo.id for photo in visit.photos],
            )
            for number, visit in enumerate(whole.visits, start=1)
        ]
        about = ClientDocument(
            client=whole.name,
            sex=whole.sex,
            work=whole.work,
            email=whole.email,
            birth_year=whole.birth_year,
            visits=lines,
        )
        files: dict[str, bytes] = {ABOUT: about.model_dump_json(indent=1).encode()}
        for line, visit in zip(lines, whole.visits, strict=True):
            document = VisitDocument(
                client=whole.name,
                sex=whole.sex,
                work=whole.work,
                visit_on=visit.on,
                practice=visit.practice,
                entries=visit.entries,
            )
            files[f"{line.folder}/visit.json"] = document.model_dump_json(indent=1).encode()
            for name, text in visit.open_files.items():
                files[f"{line.folder}/{name}"] = text.encode()
            for photo in visit.photos:
                files[f"{line.folder}/photos/{photo.id}.jpg"] = photo.jpeg
            for name, pdf in visit.papers.items():
                files[f"{line.folder}/papers/{name}"] = pdf
        files |= {name: text.encode() for name, text in whole.beside.items()}
        out = io.BytesIO()
        with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as archive:
            for name, contents in files.items():
                archive.writestr(zipfile.ZipInfo(name, STARTED), contents, zipfile.ZIP_DEFLATED)
        return out.getvalue()

    def read(self, raw: bytes) -> ClientArchive:
        """Return the client of an archive; raises ValueError with what is wrong in one line."""
        try:
            with zipfile.ZipFile(io.BytesIO(raw)) as archive:
                return _client(_Files(archive))
        except (zipfile.BadZipFile, NotImplementedError, EOFError, OSError) as error:
            raise ValueError(msg("The archive can’t be read: {error}.", error=error)) from None


class _Files:
    """The files of a ZIP, none larger than it may be; nothing is ever written to a path it names."""

    def __init__(self, archive: zipfile.ZipFile) -> None:
        self._archive = archive
        held = archive.infolist()
        if len(held) > MOST_FILES or sum(zip_info.file_size for zip_info in held) > MOST_BYTES:
            raise ValueError(
                msg(
                    "{len} files of {sum} bytes are more than a client has ({most_files}, {most_bytes}).",
                    len=len(held),
                    sum=sum(zip_info.file_size for zip_info in held),
                    most_files=MOST_FILES,
                    most_bytes=MOST_BYTES,
                )
            )

    def read(self, name: str) -> bytes:
        try:
            about = self._archive.getinfo(name)
        except KeyError:
            raise ValueError(msg("{name} is not in the archive.", name=name)) from None
        if about.file_size > MOST_FILE:
            raise ValueError(
                msg(
                    "{name}: {file_size} bytes are more than {most_file}.",
                    name=name,
                    file_size=about.file_size,
                    most_file=MOST_FILE,
                )
            )
        with self._archive.open(about) as file:
            data = file.read(MOST_FILE + 1)
        if len(data) > MOST_FILE:
            raise ValueError(msg("{name} is longer than it says.", name=name))
        return data


def _client(files: _Files) -> ClientArchive:
    try:
        about = ClientDocument.model_validate_json(files.read(ABOUT))
    except ValidationError as error:
        wrong = error.errors()[0]
        where = joined(".", (str(part) for part in wrong["loc"]))
        raise ValueError(
            filled("{about}: {where}: {msg}", about=ABOUT, where=where, msg=wrong["msg"])
        ) from None
    visits = []
    for line in about.visits:
        name = f"{line.folder}/visit.json"
        try:
            visit = read_visit(files.read(name))
        except ValueError as error:
            raise ValueError(filled("{name}: {error}", name=name, error=error)) from None
        photos = tuple(
            ArchivedPhoto(id=id, jpeg=files.read(f"{line.folder}/photos/{id}.jpg"))
            for id in line.photos
        )
        visits.append(
            ArchivedVisit(
                on=line.visit_on, entries=visit.entries, practice=visit.practice, photos=photos
            )
        )
    return ClientArchive(
        name=about.client,
        sex=about.sex,
        work=about.work,
        visits=tuple(visits),
        email=about.email,
        birth_year=about.birth_year,
    )
