"""Changes to finished PDF pages: form fields where the template puts them, and a line across every page.

The PDF library is large, so callers import this module only where they use it.
"""

from __future__ import annotations

import io
from collections.abc import Mapping, Sequence
from typing import Any

from pypdf import PdfReader, PdfWriter
from pypdf.errors import PyPdfError
from pypdf.generic import (
    ArrayObject,
    BooleanObject,
    DictionaryObject,
    FloatObject,
    NameObject,
    NumberObject,
    StreamObject,
    TextStringObject,
)

from ..core.language import msg

FONT, FONT_PT = "/Helv", 9
"""Of what is typed into a field; every reader of PDF has it."""
PRINTED = 4
"""The flag of an annotation that is printed with its page. Source: ISO 32000-2, 12.5.3."""
TICKED, OPEN = "/Yes", "/Off"


def with_fields(pdf: bytes, spots: Sequence[Mapping[str, Any]]) -> bytes:
    """Return a PDF with a field at every spot.

    Parameters
    ----------
    pdf : bytes
    spots : sequence of mapping
        ``name``, ``kind`` (``tick`` or ``text``), ``page`` from 1, and ``x``, ``y``, ``width``, ``height`` in points
        from the page's upper left corner.

    """
    writer = PdfWriter(clone_from=io.BytesIO(pdf))
    fields = ArrayObject()
    for spot in spots:
        page = writer.pages[int(spot["page"]) - 1]
        top = float(page.mediabox.top) - float(spot["y"])
        left, width, height = (float(spot[name]) for name in ("x", "width", "height"))
        field = _field(writer, spot, width, height)
        field[NameObject("/Rect")] = ArrayObject(
            FloatObject(position) for position in (left, top - height, left + width, top)
        )
        kept = writer._add_object(field)  # its only way to add an object
        annotations = page.get("/Annots")
        held = annotations.get_object() if annotations is not None else ArrayObject()
        page[NameObject("/Annots")] = ArrayObject([*held, kept])
        fields.append(kept)
    helvetica = DictionaryObject(
        {
            NameObject("/Type"): NameObject("/Font"),
            NameObject("/Subtype"): NameObject("/Type1"),
            NameObject("/BaseFont"): NameObject("/Helvetica"),
        }
    )
    fonts = DictionaryObject({NameObject(FONT): writer._add_object(helvetica)})
    writer._root_object[NameObject("/AcroForm")] = DictionaryObject(
        {
            NameObject("/Fields"): fields,
            NameObject("/NeedAppearances"): BooleanObject(True),
            NameObject("/DA"): TextStringObject(f"{FONT} {FONT_PT} Tf 0 g"),
            NameObject("/DR"): DictionaryObject({NameObject("/Font"): fonts}),
        }
    )
    held_out = io.BytesIO()
    writer.write(held_out)
    return held_out.getvalue()


def _field(
    writer: PdfWriter, spot: Mapping[str, Any], width: float, height: float
) -> DictionaryObject:
    field = DictionaryObject(
        {
            NameObject("/Type"): NameObject("/Annot"),
            NameObject("/Subtype"): NameObject("/Widget"),
            NameObject("/T"): TextStringObject(str(spot["name"])),
            NameObject("/TU"): TextStringObject(str(spot.get("says") or spot["name"])),
            NameObject("/F"): NumberObject(PRINTED),
        }
    )
    if spot["kind"] != "tick":
        field[NameObject("/FT")] = NameObject("/Tx")
        field[NameObject("/DA")] = TextStringObject(f"{FONT} {FONT_PT} Tf 0 g")
        return field
    cross = f"1.2 w 2 2 m {width - 2:g} {height - 2:g} l 2 {height - 2:g} m {width - 2:g} 2 l S"
    looks = DictionaryObject(
        {
            NameObject(TICKED): _look(writer, cross, width, height),
            NameObject(OPEN): _look(writer, "", width, height),
        }
    )
    field[NameObject("/FT")] = NameObject("/Btn")
    field[NameObject("/V")] = NameObject(OPEN)
    field[NameObject("/AS")] = NameObject(OPEN)
    field[NameObject("/AP")] = DictionaryObject({NameObject("/N"): looks})
    return field


def _look(writer: PdfWriter, drawn: str, width: float, height: float) -> Any:
    look = StreamObject()
    look.set_data(drawn.encode())
    look[NameObject("/Type")] = NameObject("/XObject")
    look[NameObject("/Subtype")] = NameObject("/Form")
    look[NameObject("/BBox")] = ArrayObject(FloatObject(at) for at in (0, 0, width, height))
    return writer._add_object(look)


def filled_in(pdf: bytes) -> dict[str, str]:
    """Return what was filled into a form: ``yes`` for a box that is ticked, else what was typed, by field.

    Raises ValueError where it is no PDF.
    """
    try:
        form = PdfReader(io.BytesIO(pdf)).get_fields() or {}
    except PyPdfError as error:
        raise ValueError(msg("This is not a PDF that can be read.")) from error
    result = {}
    for name, field in form.items():
        value = str(field.value or "")
        if value in (TICKED, OPEN):
            result[name] = "yes" if value == TICKED else ""
        else:
            result[name] = value
    return result


def stamped(pdf: bytes, stamp: bytes) -> bytes:
    """Return a PDF with the first page of another laid over each of its own, which stay as they are beneath."""
    over = PdfReader(io.BytesIO(stamp)).pages[0]
    writer = PdfWriter(clone_from=io.BytesIO(pdf))
    for page in writer.pages:
        page.merge_page(over)
    held = io.BytesIO()
    writer.write(held)
    return held.getvalue()
