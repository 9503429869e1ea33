"""What is often at hand. Heights are loaded and in cm."""

from __future__ import annotations

from ...choices import YesNo
from ..fields import supports
from .kind import shelf_kind

SUPPORTS = (
    shelf_kind(
        "home",
        "at_hand",
        "Household items",
        {
            supports.at_hand["book"].there: YesNo.YES,
            supports.thickness["book"]: "3 cm",
            supports.at_hand["towel"].there: YesNo.YES,
            supports.thickness["towel"]: "9 cm",
            supports.at_hand["cushion"].there: YesNo.YES,
            supports.thickness["cushion"]: "5 cm",
            supports.at_hand["box"].there: YesNo.YES,
            supports.thickness["box"]: "12 cm",
        },
    ),
)
