"""What is at hand: for feet, screen, back and hands."""

from __future__ import annotations

from ....workstation.kinds import STACKED, SUPPORTS, YES_NO
from ..field import amount, choice, length, span

SUPPORT_FIELDS = tuple(
    field
    for id, (label, thick) in SUPPORTS.items()
    for field in (
        choice(
            f"look.support.{id}",
            "At hand",
            label,
            YES_NO,
            part="footrest" if id == "footrest" else "",
        ),
        *(
            (
                length(
                    f"look.support.{id}.height",
                    "At hand",
                    f"{label}, height",
                    1,
                    400,
                    when=((f"look.support.{id}", ("yes",)),),
                ),
            )
            if thick
            else ()
        ),
        *(
            (
                amount(
                    f"look.support.{id}.count",
                    "At hand",
                    f"{label}: how many",
                    "",
                    1,
                    20,
                    when=((f"look.support.{id}", ("yes",)),),
                ),
            )
            if id in STACKED
            else ()
        ),
    )
)
FOOTREST = (
    *span(
        "look.footrest.height",
        "At hand",
        "Footrest's height",
        20,
        400,
        part="footrest",
        when=(("look.support.footrest", ("yes",)),),
    ),
    amount(
        "look.footrest.slope",
        "At hand",
        "Footrest's slope",
        "°",
        0,
        40,
        when=(("look.support.footrest", ("yes",)),),
    ),
)
