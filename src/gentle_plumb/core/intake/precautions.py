"""Care groups: whom a plan has limits for, which limit, and who is asked. Source: house-care."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, kw_only=True)
class Precaution:
    """One group: ``limit`` is what the plan keeps to, ``ask`` who has the word."""

    id: str
    label: str
    limit: str
    ask: str


PRECAUTIONS: dict[str, Precaution] = {
    care.id: care
    for care in (
        Precaution(
            id="pregnancy",
            label="Pregnancy",
            limit="Belly room and seat change by the week: set again at each follow-up. No long "
            "standing still; no new standing plan unasked.",
            ask="midwife or treating doctor",
        ),
        Precaution(
            id="surgery",
            label="Recent surgery",
            limit="No reach, bend or standing spell beyond what the surgeon allows.",
            ask="surgeon or treating physiotherapist",
        ),
        Precaution(
            id="replacement",
            label="Joint replacement",
            limit="After a hip replacement the hip stays open: no low seat, thighs not above level.",
            ask="surgeon or treating physiotherapist",
        ),
        Precaution(
            id="osteoporosis",
            label="Osteoporosis",
            limit="No loaded bending or twisting of the back; steady seat and footing first.",
            ask="treating doctor",
        ),
        Precaution(
            id="hypermobility",
            label="Hypermobility",
            limit="Middle of the joint's range, support before stretch, short spells.",
            ask="treating physiotherapist",
        ),
        Precaution(
            id="veins",
            label="Vein trouble",
            limit="No standing still for long, no pressure under the thigh; feet move often.",
            ask="treating doctor",
        ),
        Precaution(
            id="dizziness",
            label="Dizziness",
            limit="No standing plan before it is cleared; no stool, no seat without armrests.",
            ask="treating doctor",
        ),
        Precaution(
            id="wheelchair",
            label="Wheelchair user",
            limit="The client's own seating is not moved: surface, keys and screen come to it.",
            ask="seating therapist",
        ),
        Precaution(
            id="under_18",
            label="Under 18",
            limit="The body grows: measure again each half year. The table is for adults.",
            ask="a parent or guardian",
        ),
        Precaution(
            id="injury",
            label="Earlier injury",
            limit="Pain and old limits of movement overrule every number here.",
            ask="treating clinician, where it still troubles",
        ),
    )
}
"""What each group limits."""
