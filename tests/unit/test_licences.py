"""What ships bears its licence, and is named with it."""

from conftest import ROOT
from gentle_plumb.hosting.licences import (
    font_licences,
    licences_text,
    page_licences,
    server_licences,
)


def test_every_part_that_ships_is_named_with_its_licence_and_fonts_and_most_have_its_text():
    fonts, page = list(font_licences()), list(page_licences(ROOT / "web"))
    server = list(server_licences(ROOT / "requirements.lock"))
    assert [font.part for font in fonts] == [
        "Barlow Semi Condensed (font)",
        "Hanken Grotesk (font)",
    ]
    assert all("SIL Open Font License" in font.text for font in fonts)
    names = {one.part.rpartition(" ")[0] for one in (*page, *server)}
    assert {"react", "dexie", "fastapi", "SQLAlchemy", "typst"} <= names
    assert not {"vitest", "pytest", "vite"} & names  # they build and test, and don't ship
    assert [one.part for one in (*page, *server) if not one.named and not one.text] == []
    whole = licences_text([*fonts, *page, *server])
    assert whole.count("Permission is hereby granted") > 50
