"""From the record of a visit to a case for the fit."""

from __future__ import annotations

from dataclasses import replace
from datetime import date

from ..body import Sex
from ..catalogue import QUANTITIES, TASKS, Posture
from ..fit import (
    Case,
    Lens,
    as_it_will_lean,
    hung_on_wall,
    pieces_within_limits,
    with_declared,
    within_limits,
)
from ..policy import Policy, RuleSet, policy_of, standing_policy_of, with_values
from ..record import Field, Record, fields
from ..record.fields.ask import Eyewear
from ..reuse import Reuse
from ..workstation import (
    LAPTOP_PICTURE_HEIGHT_MM,
    ChairKind,
    Details,
    PlaceUse,
    ScreenKind,
    ScreenPlace,
    Settings,
    SideScreen,
    use_by_share,
)
from .body import HOUSE, Measuring, body_from
from .conditions import limits_of
from .workstation import LAPTOP_RATIO, picture_of, workstation_from

SETTABLE = tuple(quantity.key for quantity in QUANTITIES.values() if quantity.settable)
LOWER_LENSES: dict[Eyewear | None, Lens] = {
    Eyewear.PROGRESSIVE: "progressive",
    Eyewear.BIFOCAL: "bifocal",
}
FOUND: dict[Posture, dict[str, Field[float]]] = {
    "seated": fields.found.by_quantity,
    "standing": fields.found.standing,
}
"""The field of each quantity as found, by posture."""


def case_from(
    record: Record,
    *,
    sex: Sex | None = None,
    measuring: Measuring = HOUSE,
    practice: RuleSet | None = None,
    as_of: date | None = None,
    reuse: Reuse | None = None,
) -> Case:
    """Return the case that the record makes. Nothing missing is filled in.

    ``practice`` is the practice's own default of what is chosen; the visit's choices go over it. ``as_of`` is the
    day by which a limit that was cleared is lifted; not given, whenever that was.

    Progressive and bifocal lenses count as read through their lower part until somebody has
    looked and said no.
    """
    reuse = reuse or Reuse()
    ask, station = fields.ask, workstation_from(record)
    bundles = practice or {}, chosen_policies(record)
    person = limits_of(record, wheelchair=station.chair.kind == ChairKind.WHEELCHAIR, as_of=as_of)
    station = pieces_within_limits(station, person)
    policy = within_limits(_with_angles(policy_of(*bundles), record), person)
    standing = within_limits(_with_angles(standing_policy_of(*bundles), record), person)
    keys = record[fields.keyboard.thickness]
    settings, declared = with_declared(_found_seated(record, keys), station)
    up = _settings(record, FOUND["standing"], keys)
    fixed = station.desk.surface is not None and station.desk.surface.fixed
    if up.surface is None and fixed:
        up = replace(up, surface=settings.surface)  # a desk that can't move stands there for both
    computer = record[ask.eyewear] == Eyewear.COMPUTER
    case = Case(
        body=reuse.equal(body_from(record, sex, measuring)),
        workstation=reuse.equal(hung_on_wall(station, settings, up)),
        found_seated=settings,
        declared=declared,
        found_standing=up,
        shoe_seated=record[ask.shoe_seated],
        shoe_standing=record[ask.shoe_standing],
        mat=_mat(record),
        lower_lens=_lens(record),
        standing_hours=record[ask.standing_hours],
        policy=reuse.equal(policy),
        standing_policy=standing if standing != policy else None,
        eyewear=record[ask.eyewear],
        sharp=(record[ask.sharp_near], record[ask.sharp_far]) if computer else (None, None),
        settle=record[fields.work.settle] or 0.0,
        writing_hand=record[ask.writing_hand],
        hours={task: spent for task in TASKS if (spent := record[ask.hours[task]]) is not None},
        details=reuse.equal(_details(record)),
        use=record[fields.places.at(fields.places.MAIN).use] or PlaceUse.BOTH,
        person=person,
        reuse=reuse,
        hurts=any(
            record[discomfort_fields.strength]
            for discomfort_fields in fields.ask.discomfort.values()
        ),
    )
    return as_it_will_lean(case)


def selected_additions(record: Record) -> frozenset[str]:
    """Return what is ticked for a plan of the practitioner's own."""
    return frozenset(
        key for key in record.members(fields.work.OWN_PLAN) if record.yes(fields.work.taken(key))
    )


def overrules(record: Record) -> tuple[Settings, Settings]:
    """Return the practitioner's own numbers, seated and standing."""
    seated, standing = (
        _settings(
            record, {key: own_number_fields.value for key, own_number_fields in own.items()}, None
        )
        for own in fields.work.own_number.values()
    )
    return seated, standing


def settings_left(record: Record) -> tuple[Settings, Settings]:
    """Return what was set, seated and standing: re-measured, or set to an aim and not measured."""
    keyboard = record[fields.keyboard.thickness]
    seated, standing = (
        _settings(
            record,
            {
                key: setting_fields.measured
                if setting_fields.measured in record
                else setting_fields.aimed
                for key, setting_fields in fields.settings.setting[posture].items()
            },
            keyboard,
        )
        for posture in fields.work.POSTURES
    )
    return seated, standing


def chosen_policies(record: Record) -> dict[str, str]:
    """Return the positions this visit has chosen, by question."""
    return {
        id: position
        for id, asked in fields.work.policy.items()
        if (position := record[asked]) is not None
    }


def _settings(record: Record, asked: dict[str, Field[float]], keyboard: float | None) -> Settings:
    values = {key: record[asked[key]] for key in SETTABLE if key in asked}
    surface = values.get("surface")
    keys = surface + keyboard if surface is not None and keyboard is not None else None
    return Settings(**values, keys=keys)


def _found_seated(record: Record, keyboard: float | None) -> Settings:
    """Return what was found; where somebody looked and there is no footrest, the feet have none."""
    settings = replace(
        _settings(record, FOUND["seated"], keyboard), scale=record[fields.screens.main.scale]
    )
    footrest = record[fields.supports.at_hand["footrest"].there]
    return (
        replace(settings, footrest=0.0)
        if settings.footrest is None and footrest == "no"
        else settings
    )


def _details(record: Record) -> Details:
    """Return what was found beside the settings."""
    return Details(
        underside=record[fields.found.underside],
        armrest_gap=record[fields.found.armrest_gap],
        side_screens=tuple(
            screen for id in fields.screens.side if (screen := _side_screen(record, id))
        ),
        screen_on=record[fields.screens.main.lifted_by],
        rail=record[fields.supports.thickness["rail"]]
        if record.yes(fields.supports.at_hand["rail"].there)
        else None,
    )


def _side_screen(record: Record, id: str) -> SideScreen | None:
    asked = fields.screens.side[id]
    kind = record[asked.kind]
    if kind is None:
        return None
    width, height = picture_of(record, asked)
    laptop = kind == ScreenKind.LAPTOP
    if laptop and width is None:
        height = LAPTOP_PICTURE_HEIGHT_MM
        width = height * LAPTOP_RATIO.ratio
    return SideScreen(
        id=id,
        kind=ScreenKind.LAPTOP if laptop else ScreenKind.MONITOR,
        use=use_by_share(record[asked.share], record[asked.use]),
        share=record[asked.share],
        place=record[asked.place] or ScreenPlace.BESIDE,
        width=width,
        height=height,
    )


def _mat(record: Record) -> float:
    """Return how thick the mat underfoot is, mm: as asked, or as the mat that is at hand."""
    asked, at_hand = record[fields.ask.mat], fields.supports.at_hand["anti_fatigue_mat"]
    if asked is not None:
        return asked
    there = record.yes(at_hand.there)
    return (record[fields.supports.thickness["anti_fatigue_mat"]] or 0.0) if there else 0.0


def _lens(record: Record) -> Lens:
    if record[fields.ask.lower_lens] == "no":
        return "none"
    return LOWER_LENSES.get(record[fields.ask.eyewear], "none")


def _with_angles(policy: Policy, record: Record) -> Policy:
    """Return the policy with the angles typed for this visit; the elbow's band stretches to its own."""
    typed = {
        name: value
        for name, asked in fields.work.angle.items()
        if (value := record[asked]) is not None
    }
    if not typed:
        return policy
    elbow = typed.get("elbow_angle", policy.elbow_angle)
    band = {"elbow_low": min(policy.elbow_low, elbow), "elbow_high": max(policy.elbow_high, elbow)}
    return with_values(policy, {**typed, **band})
