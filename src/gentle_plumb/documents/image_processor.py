"""Pictures made fit to be kept: upright, without hidden metadata, not too large."""

from __future__ import annotations

import ctypes
import struct
from io import BytesIO
from math import atan, degrees
from threading import BoundedSemaphore
from typing import Final

from PIL import ExifTags, Image, ImageOps, UnidentifiedImageError

from ..core.language import msg, numeral
from ..services.errors import BadPicture
from ..services.models import ProcessedPhoto

MOST_BYTES: Final = 25 * 1024 * 1024
MOST_PIXELS: Final = 60_000_000
MOST_UNPACKED: Final = 30_000_000
"""PNG and WebP are unpacked whole, three or four bytes a pixel; JPEG is not."""
LARGE: Final = 8_000_000
_LARGE_ONES = BoundedSemaphore(1)
"""Pictures over so many pixels are unpacked one at a time, whoever sends them."""
LEAST_SIDE: Final = 320
LONGEST_SIDE: Final = 2560
"""House values: what a phone's camera makes with room to spare; 2560 px over two metres are 0.8 mm
a pixel, finer than a finger places a point."""
QUALITY: Final = 88
FILM_WIDTH_MM: Final = 36.0
"""Width of the film a 35 mm equivalent focal length counts for (Exif 2.32)."""
FORMATS = ("JPEG", "PNG", "WEBP")


def _megabytes(size: float) -> str:
    return msg("{size} MB", size=numeral(f"{size / 1024 / 1024:.1f}"))


def too_large(size: int) -> BadPicture:
    """What is said of a file over the limit."""
    return BadPicture(
        msg(
            "The photo is {megabytes}; the limit is {megabytes2}. Use a lower resolution.",
            megabytes=_megabytes(size),
            megabytes2=_megabytes(MOST_BYTES),
        ),
        value=size,
        high=MOST_BYTES,
        unit="bytes",
    )


def _field_of_view(exif: Image.Exif, *, upright: bool) -> float | None:
    """Across, degrees, from the 35 mm equivalent focal length; it is all that is kept of the Exif."""
    focal = exif.get_ifd(ExifTags.IFD.Exif).get(ExifTags.Base.FocalLengthIn35mmFilm)
    if not isinstance(focal, int | float) or not 8 <= focal <= 800:
        return None
    across = FILM_WIDTH_MM if upright else 24.0
    return degrees(2 * atan(across / 2 / focal))


def _give_back() -> None:
    """Return what a large picture took to the system: the C library keeps it, a hundred megabytes and more."""
    trim = getattr(ctypes.CDLL(None), "malloc_trim", None)  # glibc's own
    if trim is not None:
        trim(0)


class PillowImageProcessor:
    """The Darkroom port."""

    def develop(self, picture: bytes) -> ProcessedPhoto:
        """Turn a picture upright by its own note, drop all metadata, keep it as JPEG.

        Parameters
        ----------
        picture : bytes
            JPEG, PNG or WebP, at most 25 MB and 60 megapixels (30 unless JPEG), at least 320 px a side.

        Raises
        ------
        BadPicture
            Naming value, limit and unit.

        """
        if len(picture) > MOST_BYTES:
            raise too_large(len(picture))
        try:
            with Image.open(BytesIO(picture), formats=FORMATS) as opened:
                return self._develop(opened)
        except (UnidentifiedImageError, Image.DecompressionBombError):
            raise BadPicture(msg("This file isn’t a JPEG, PNG or WebP photo.")) from None
        except (OSError, SyntaxError, ValueError, TypeError, EOFError, struct.error):
            raise BadPicture(msg("The photo is damaged and can’t be opened.")) from None

    def _develop(self, opened: Image.Image) -> ProcessedPhoto:
        width, height = opened.size
        most = MOST_PIXELS if opened.format == "JPEG" else MOST_UNPACKED
        if width * height > most:
            raise BadPicture(
                msg(
                    "The picture has {width} megapixels; at most {most} can be kept{what}.",
                    width=numeral(f"{width * height / 1000000.0:.0f}"),
                    most=numeral(f"{most / 1000000.0:.0f}"),
                    what="" if opened.format == "JPEG" else " as " + str(opened.format),
                ),
                value=width * height,
                high=most,
                unit="px",
            )
        if min(width, height) < LEAST_SIDE:
            raise BadPicture(
                msg(
                    "The picture is only {width} by {height} px; {least_side} px a side is the least that angles can be read from.",
                    width=width,
                    height=height,
                    least_side=LEAST_SIDE,
                ),
                value=min(width, height),
                low=LEAST_SIDE,
                unit="px",
            )
        if width * height <= LARGE:
            return self._unpacked(opened)
        with _LARGE_ONES:
            photo = self._unpacked(opened)
        _give_back()
        return photo

    def _unpacked(self, opened: Image.Image) -> ProcessedPhoto:
        exif = opened.getexif()
        if opened.format == "JPEG":
            # decoded at the next larger size the format offers: much quicker, and no worse
            opened.draft("RGB", (LONGEST_SIDE, LONGEST_SIDE))
        turned = ImageOps.exif_transpose(opened)
        if max(turned.size) > LONGEST_SIDE:
            turned.thumbnail((LONGEST_SIDE, LONGEST_SIDE), Image.Resampling.BOX, reducing_gap=2.0)
        plain = turned.convert("RGB") if turned.mode != "RGB" else turned
        plain.info = {}
        out = BytesIO()
        plain.save(out, "JPEG", quality=QUALITY, exif=b"", icc_profile=None)
        wide = plain.width >= plain.height
        return ProcessedPhoto(
            jpeg=out.getvalue(),
            width=plain.width,
            height=plain.height,
            fov_deg=_field_of_view(exif, upright=wide),
        )
