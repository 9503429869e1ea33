"""A photograph and its readings, in words and numbers ready to be shown."""

from __future__ import annotations

from dataclasses import dataclass

from ..core.language import filled, msg, numeral
from ..core.photo import PhotoReading, Reading, Warn
from ..core.presentation import plain
from ..core.units import LengthUnit, format_length


@dataclass(frozen=True, kw_only=True)
class ReadingView:
    """One thing read from a photograph, in words."""

    id: str
    label: str
    value: str | None
    error: str | None
    pixel_error: str | None
    slip_error: str | None
    reason: str | None


@dataclass(frozen=True, kw_only=True)
class PhotoView:
    """A photograph as it is shown: its size in pixels, what was read from it, and what the camera did."""

    id: str
    width: int
    height: int
    view: str
    posture: str
    when: str
    mm_per_px: float | None
    camera: str | None
    readings: list[ReadingView]
    warnings: list[Warn]


def _reading_view(reading: Reading, unit: LengthUnit) -> ReadingView:
    def text(value: float | None, fine: bool = False) -> str | None:
        if value is None:
            return None
        if reading.unit == "mm":
            return format_length(value, unit, with_unit=True)
        return (
            filled("{value}°", value=numeral(f"{value:.1f}"))
            if fine
            else filled("{plain}°", plain=plain(value))
        )

    known = reading.value is not None
    return ReadingView(
        id=reading.id,
        label=reading.label,
        value=text(reading.value),
        error=text(reading.error) if known else None,
        pixel_error=text(reading.pixel_error, fine=True) if known else None,
        slip_error=text(reading.slip_error, fine=True) if known else None,
        reason=reading.reason,
    )


def photo_view(read: PhotoReading, unit: LengthUnit) -> PhotoView:
    """A photograph and what was read from it, in words of this unit."""
    photo, camera = read.photo, read.camera_mm
    return PhotoView(
        id=photo.id,
        width=photo.width,
        height=photo.height,
        view=photo.view,
        posture=photo.posture,
        when=photo.when,
        mm_per_px=read.mm_per_px,
        camera=msg("{camera} m", camera=numeral(f"{camera / 1000:.1f}"))
        if camera is not None
        else None,
        readings=[_reading_view(reading, unit) for reading in read.readings],
        warnings=list(read.warnings),
    )
