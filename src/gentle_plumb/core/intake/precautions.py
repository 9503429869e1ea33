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
            ask="midwife or doctor",
        ),
        Precaution(
            id="surgery",
            label="Recent surgery",
            limit="No reaching, bending or standing beyond the surgeon's limits.",
            ask="surgeon or treating physiotherapist",
        ),
        Precaution(
            id="replacement",
            label="Joint replacement",
            limit="After hip replacement: no low seat, knees no higher than hips, unless the surgeon has cleared it.",
            ask="surgeon or treating physiotherapist",
        ),
        Precaution(
            id="osteoporosis",
            label="Osteoporosis",
            limit="No loaded bending or twisting; a stable seat and secure footing first.",
            ask="treating doctor",
        ),
        Precaution(
            id="hypermobility",
            label="Hypermobility",
            limit="Work in mid-range, support rather than stretch, short spells.",
            ask="treating physiotherapist",
        ),
        Precaution(
            id="veins",
            label="Varicose veins or circulation problems",
            limit="Avoid standing still and pressure under the thighs; move the feet often.",
            ask="treating doctor",
        ),
        Precaution(
            id="dizziness",
            label="Dizziness",
            limit="No standing work until cleared; no stool or chair without armrests.",
            ask="treating doctor",
        ),
        Precaution(
            id="wheelchair",
            label="Wheelchair user",
            limit="Leave the client's own seating as it is; bring desk, keyboard and screen to it.",
            ask="seating therapist",
        ),
        Precaution(
            id="under_18",
            label="Under 18",
            limit="Still growing: re-measure every six months. Reference data are for adults.",
            ask="a parent or guardian",
        ),
        Precaution(
            id="injury",
            label="Earlier injury",
            limit="Pain and existing movement limits override every figure here.",
            ask="treating clinician, if still symptomatic",
        ),
    )
}
"""What each group limits."""
