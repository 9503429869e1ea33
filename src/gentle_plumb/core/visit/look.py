"""What was seen and photographed in a visit, and what the desk's display has to be put right by."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from ..choices import YesNo
from ..language import joined
from ..observation import HABITS, HabitOften, HabitSide
from ..photo import Photo
from ..record import Record, fields
from ..record.fields.seen import Seen


@dataclass(frozen=True, kw_only=True)
class PhotoFile:
    """A kept photograph: its size in px, and its field of view where the camera told it."""

    id: str
    width: int
    height: int
    fov_deg: float | None = None


@dataclass(frozen=True, kw_only=True)
class SeenHabit:
    """A habit that was seen: on which side and how often, where that was said."""

    id: str
    side: HabitSide | None
    often: HabitOften | None

    @property
    def text(self) -> str:
        """In words: ``Often, left``."""
        side = self.side.label.lower() if self.side else ""
        return joined(
            ", ", (word for word in (self.often.label if self.often else "", side) if word)
        )


def habits_seen(record: Record) -> dict[str, SeenHabit]:
    """Return the habits that were seen, by name."""
    return {
        id: SeenHabit(id=id, side=record[asked.side], often=record[asked.often])
        for id in HABITS
        if record[(asked := fields.seen.habit[id]).seen] == Seen.SEEN
    }


def photos_from(record: Record, sizes: Iterable[PhotoFile]) -> list[Photo]:
    """Return the photographs of a visit with what was said of them and placed on them."""
    return [_photo(record, file) for file in sizes]


def _photo(record: Record, file: PhotoFile) -> Photo:
    asked = fields.photo(file.id)
    points: dict[str, tuple[float, float]] = {}
    for name, point in asked.points.items():
        place = record[point]
        if place is not None:
            x, y = place.split()
            points[name] = (float(x), float(y))
    return Photo(
        id=file.id,
        width=file.width,
        height=file.height,
        fov_deg=file.fov_deg,
        points=points,
        view=record[asked.view] or "side",
        posture=record[asked.posture] or "seated",
        when=record[asked.when] or "before",
        known_mm=record[asked.known],
        camera_mm=record[asked.camera],
    )


def display_offset(record: Record) -> float | None:
    """Return what the desk's display has to be added to for the true height, mm; None if unknown.

    One pair of readings in the same setting: tape less display.
    """
    desk = fields.desk
    reads, tape = record[desk.display_reads], record[desk.display_tape]
    shown = record[desk.display] == YesNo.YES
    return tape - reads if shown and reads is not None and tape is not None else None


def hours_at_desk(record: Record) -> float:
    """Return hours a day over all tasks; at most a day's 24."""
    return min(24.0, sum(record[asked] or 0.0 for asked in fields.ask.hours.values()))
