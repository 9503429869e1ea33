"""A text as a code to scan, for print."""

from __future__ import annotations

import io

import segno


def code_svg(text: str) -> str:
    """Return a QR code of the text itself as SVG: it is read without network."""
    out = io.BytesIO()
    segno.make(text, error="m", micro=False, encoding="utf-8").save(
        out, kind="svg", xmldecl=False, border=2, dark="#20262B", light="#FFFFFF"
    )
    return out.getvalue().decode()
