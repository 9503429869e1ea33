"""Conditions: whom a plan has limits for, which limits, and who is asked. Source: house-care."""

from __future__ import annotations

from dataclasses import dataclass

from .limits import LimitId


@dataclass(frozen=True, kw_only=True)
class Precaution:
    """One condition: ``limits`` are what it puts in force, ``ask`` who has the word on each."""

    id: str
    label: str
    limits: tuple[LimitId, ...]
    ask: str


PRECAUTIONS: dict[str, Precaution] = {
    care.id: care
    for care in (
        Precaution(
            id="dizziness",
            label="Dizziness or fainting",
            limits=(
                LimitId.NO_STANDING,
                LimitId.RISE_SLOWLY,
                LimitId.HEAD_STEADY,
                LimitId.STEADY_SEAT,
            ),
            ask="treating doctor",
        ),
        Precaution(
            id="veins",
            label="Vein trouble or swollen legs",
            limits=(LimitId.SHORT_STANDING, LimitId.FREE_THIGHS),
            ask="treating doctor",
        ),
        Precaution(
            id="pregnancy",
            label="Pregnancy",
            limits=(LimitId.SHORT_STANDING, LimitId.HIP_OPEN, LimitId.NO_END_STRETCH),
            ask="midwife or doctor",
        ),
        Precaution(
            id="surgery",
            label="Recent surgery",
            limits=(LimitId.PART_RESTS, LimitId.NO_STANDING, LimitId.STEADY_SEAT),
            ask="surgeon or treating physiotherapist",
        ),
        Precaution(
            id="hip_replacement",
            label="Hip replacement",
            limits=(LimitId.HIP_ABOVE_KNEE, LimitId.STEADY_SEAT),
            ask="surgeon or treating physiotherapist",
        ),
        Precaution(
            id="knee",
            label="Knee trouble or knee replacement",
            limits=(LimitId.KNEES_SPARED,),
            ask="treating doctor or physiotherapist",
        ),
        Precaution(
            id="osteoporosis",
            label="Osteoporosis",
            limits=(LimitId.NO_LOADED_BEND, LimitId.STEADY_SEAT, LimitId.FLOOR_FIRST),
            ask="treating doctor",
        ),
        Precaution(
            id="hypermobility",
            label="Hypermobility",
            limits=(LimitId.MID_RANGE,),
            ask="treating physiotherapist",
        ),
        Precaution(
            id="wrist",
            label="Wrist or hand symptoms, tingling",
            limits=(LimitId.WRISTS_FREE,),
            ask="treating doctor or hand therapist",
        ),
        Precaution(
            id="shoulder",
            label="Shoulder surgery or stiffness",
            limits=(LimitId.ARMS_LOW,),
            ask="surgeon or treating physiotherapist",
        ),
        Precaution(
            id="neuropathy",
            label="Numb feet, diabetes",
            limits=(LimitId.FEET_BY_EYE,),
            ask="treating doctor or podiatrist",
        ),
        Precaution(
            id="weakness",
            label="One-sided weakness or epilepsy",
            limits=(LimitId.STEADY_SEAT, LimitId.ABLE_SIDE),
            ask="treating doctor",
        ),
        Precaution(
            id="one_hand",
            label="Works with one hand",
            limits=(LimitId.ABLE_SIDE, LimitId.ONE_HAND),
            ask="treating doctor or hand therapist",
        ),
        Precaution(
            id="crutches",
            label="Walks with crutches, a stick or a frame",
            limits=(
                LimitId.SHORT_STANDING,
                LimitId.STEADY_SEAT,
                LimitId.FLOOR_FIRST,
                LimitId.CLEAR_WAY,
            ),
            ask="treating doctor or physiotherapist",
        ),
        Precaution(
            id="leg_raised",
            label="A leg that has to stay raised",
            limits=(LimitId.SHORT_STANDING, LimitId.STEADY_SEAT, LimitId.LEG_RAISED),
            ask="surgeon or treating physiotherapist",
        ),
        Precaution(
            id="wheelchair",
            label="Wheelchair user",
            limits=(LimitId.SEATED_ONLY, LimitId.OWN_SEAT),
            ask="seating therapist",
        ),
        Precaution(
            id="under_18", label="Under 18", limits=(LimitId.SUPERVISED,), ask="parent or guardian"
        ),
        Precaution(
            id="injury",
            label="Earlier injury",
            limits=(LimitId.PAIN_RULES,),
            ask="treating clinician, if still symptomatic",
        ),
    )
}
"""Every condition, by name."""
