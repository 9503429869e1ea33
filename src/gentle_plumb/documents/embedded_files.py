"""Files read back out of a PDF that carries them."""

from __future__ import annotations

import io

from ..core.language import msg

VISIT, RESULT, MEASUREMENTS, DRAWING = (
    "visit.json",
    "result.json",
    "measurements.fhir.json",
    "drawing.svg",
)
"""Names of the files that a report carries."""
MOST_BYTES = 40_000_000
"""A report that is longer is none of ours. House value."""


def files_in(pdf: bytes) -> dict[str, bytes]:
    """Return the files that a PDF carries, by name.

    Raises
    ------
    ValueError
        For what is no PDF, is longer than a report can be, or can't be read.

    """
    if not pdf.startswith(b"%PDF"):
        raise ValueError(msg("This is no PDF."))
    if len(pdf) > MOST_BYTES:
        raise ValueError(
            msg(
                "{len} bytes are more than {most_bytes}: no report is so long.",
                len=len(pdf),
                most_bytes=MOST_BYTES,
            )
        )
    from pypdf import PdfReader  # large, and seldom needed
    from pypdf.errors import PyPdfError

    try:
        held = PdfReader(io.BytesIO(pdf)).attachments
        return {name: contents[0] for name, contents in held.items() if contents}
    except (PyPdfError, ValueError, KeyError, TypeError, RecursionError) as error:
        raise ValueError(msg("The PDF can’t be read: {error}.", error=error)) from None
