"""What must be true of everything that is said of a visit; each yields where it is not, in words.

The tests hold these over some generated visits, the bench over thousands.
"""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Callable, Iterator
from dataclasses import replace
from datetime import UTC, datetime
from itertools import islice

from every_set import objections, sets_of, tried
from generated_visits import visit_values
from gentle_plumb.core.catalogue import JOINTS, QUANTITIES
from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.errors import MissingInput
from gentle_plumb.core.fit import NO_LIMIT, fit
from gentle_plumb.core.fit.result import RANGE_ENDS
from gentle_plumb.core.fit.wording import limit_text
from gentle_plumb.core.plans import HeightSearch, Worth, height_kit, with_additions
from gentle_plumb.core.plans.addition_sets import without_makeshifts
from gentle_plumb.core.plans.own_plan import TIERS_OFFERED
from gentle_plumb.core.presentation import action_text, plan_view
from gentle_plumb.core.what_if import VisitAnalysis, VisitInput, analyse_visit
from gentle_plumb.core.what_if.session import with_settings_applied
from gentle_plumb.core.words import say_amount
from gentle_plumb.core.workstation import PlaceUse, Span

Said = Iterator[str]
SEEN = ("Settings", "Body")
SAME_MM = 0.5


def off(visit: VisitAnalysis, *subjects: str):
    return [
        finding
        for finding in visit.findings
        if finding.state == "off" and finding.subject in subjects
    ]


def limited(visit: VisitAnalysis, posture: str) -> set[str]:
    """Keys of a posture that a named limit keeps from their targets, or whose piece is taken away."""
    bought = visit.case.workstation.desk.tilt != visit.bare.workstation.desk.tilt
    return {
        row.key
        for row in visit.result.of(posture).rows
        if row.remedy or any(limit.kind not in NO_LIMIT for limit in row.limits)
    } | ({"slope"} if bought else set())


def set_to_its_aim_nothing_is_off_unless_a_limit_is_named(visit: VisitAnalysis) -> Said:
    after = analyse_visit(with_settings_applied(visit.visit_input, visit), "cm")
    for finding in off(after, *SEEN):
        named = limited(after, finding.posture) | limited(visit, finding.posture)
        # what is worked out together is kept from its target together
        if not named & {finding.key, "seat", "surface", "screen_top", "distance"}:
            yield f"{finding.id}: {finding.cause}"


def no_two_sentences_give_opposite_directions(visit: VisitAnalysis) -> Said:
    ways = defaultdict(set)
    for finding in visit.findings:
        if finding.state == "off":
            for way in finding.directions:
                ways[finding.posture, way.quantity].add(way.sign)
    for action in visit.actions():
        if action.kind == "set" and None not in (action.from_value, action.to_value):
            change = action.to_value - action.from_value
            if abs(change) > 5:
                ways[action.posture, action.quantity].add(1 if change > 0 else -1)
    yield from (f"{what}: both ways" for what, signs in ways.items() if len(signs) > 1)


def what_is_said_of_a_joint_is_what_the_joint_does(visit: VisitAnalysis) -> Said:
    for finding in off(visit, "Settings"):
        assessed = visit.assessment.found[0 if finding.posture == "seated" else 1]
        joint = assessed.joint(finding.joint)
        if joint is None or QUANTITIES[finding.key].joint != finding.joint:
            continue
        name = JOINTS[finding.joint]
        if finding.key != "seat" and finding.why != (
            name.over if joint.excess_deg > 0 else name.under
        ):
            yield f"{finding.id}: {finding.why}"
        if "knees come above" in finding.cause and assessed.joint("knee").excess_deg >= 0:
            yield f"{finding.id}: {finding.cause}"
        if "feet hang" in finding.cause and assessed.condition("feet").state != "off":
            yield f"{finding.id}: {finding.cause}"


def nothing_at_its_target_or_aim_is_a_finding(visit: VisitAnalysis) -> Said:
    for finding in off(visit, "Settings"):
        row = visit.result.row(finding.posture, finding.key)
        at_aim = row.setting is not None and abs(row.found - row.setting) <= SAME_MM
        if abs(row.found - row.target) <= SAME_MM or (at_aim and not row.limits):
            yield f"{finding.id}: {finding.cause}"


def the_aim_is_not_worse_than_what_was_found_or_it_is_said(visit: VisitAnalysis) -> Said:
    found, aimed = (visit.assessment.hard_limits(stage) for stage in ("found", "aimed"))
    untold = {
        condition.key
        for condition in visit.assessment.found[0].conditions
        if condition.short is None
    }
    if untold & {"feet", "thighs"}:
        return  # what nobody recorded can't have been better
    if aimed.worse_than(found) and not visit.assessment.worse:
        yield f"{found} becomes {aimed}"
    same = visit.case.workstation == visit.bare.workstation
    pieces = all(
        span is None or value is None or span.low - SAME_MM <= value <= span.high + SAME_MM
        for span, value in (
            (visit.case.workstation.chair.seat, visit.case.found_seated.seat),
            (visit.case.workstation.desk.surface, visit.case.found_seated.surface),
        )
    )
    held = bool(visit.case.person.least_hip)  # a limit of the person may forbid what was found
    if (
        same and pieces and not held and aimed.worse_than(found)
    ):  # as found could be set: the aim is no worse
        yield f"{found} could stay and becomes {aimed}"


def widened(case, key, by):
    """The case with one piece that reaches so much further, mm or degrees."""
    station = case.workstation
    place = {
        "seat": ("chair", "seat"),
        "seat_depth": ("chair", "depth"),
        "lumbar": ("chair", "lumbar"),
        "armrest": ("chair", "armrest"),
        "surface": ("desk", "surface"),
        "screen_top": ("screen", "on_wall_at" if station.screen.on_wall else "top_above_surface"),
    }.get(key)
    span = place and getattr(getattr(station, place[0]), place[1])
    if not span or (key == "armrest" and (station.chair.armrests == "fixed" or span.fixed)):
        return None  # armrests that can't move place the seat, which places them
    longer = replace(span, low=span.low + min(0, by), high=span.high + max(0, by))
    piece = replace(getattr(station, place[0]), **{place[1]: longer})
    if key == "surface" and by < 0 and station.chair.seat is not None:
        # the chair and the feet come along with the desk
        seat = replace(station.chair.seat, low=station.chair.seat.low - 200)
        chair = replace(station.chair, seat=seat)
        station = replace(station, feet=(Span(low=0, high=400),), chair=chair)
    # a piece that moves may be left as found, and one that serves both postures where the other wants it
    policy = replace(case.policy, keep_what_holds=False, worth_deg=0.0)
    use = PlaceUse.SIT if key == "screen_top" else case.use
    return replace(case, workstation=replace(station, **{place[0]: piece}), policy=policy, use=use)


def every_limit_that_is_shown_binds(visit: VisitAnalysis) -> Said:
    for row in visit.result.seated.rows:
        for limit in row.limits if row.setting is not None else ():
            if limit.kind not in RANGE_ENDS - {"steps"}:
                continue
            wider = widened(visit.case, row.key, limit.short)
            on_end = any(
                end is not None and abs(row.setting - end) <= SAME_MM for end in (row.low, row.high)
            )
            if wider is None or on_end:  # on its band's end it may as well stay
                continue
            setting = fit(wider).seated.setting(row.key)
            if setting is not None and abs(setting - row.setting) <= 0.01:
                yield limit_text(limit)


def nothing_goes_against_a_limit_of_the_person(visit: VisitAnalysis) -> Said:
    person, actions = visit.case.person, visit.actions()
    if not visit.case.may_stand:
        if visit.result.standing.possible:
            yield "standing is possible"
        yield from (
            action.id for action in actions if action.posture == "standing" and action.kind == "set"
        )
        yield from (
            finding.id
            for finding in visit.findings
            if finding.posture == "standing" and finding.directions
        )
    set_to = {action.quantity for action in actions if action.kind == "set"}
    if visit.case.seat_stays:
        own = {"seat", "footrest", "seat_depth", "lumbar", "armrest", "backrest"}
        yield from sorted(own & set_to)
    bought = {action.id for action in actions if action.kind == "add"}
    if person.steady_seat:
        yield from sorted(bought & {"add.high_chair", "add.ball", "add.seat_cushion"})


def plan_set_and_report_say_the_same_actions(visit: VisitAnalysis) -> Said:
    plan, actions = visit.chosen_plan(), visit.actions()
    added = {action.what: action.to_value for action in actions if action.kind == "add"}
    if added != {one.label: one.height for one in plan.added}:
        yield f"plan adds {[one.label for one in plan.added]}, Set {sorted(added)}"
    for action in actions:
        if action.kind != "set":
            continue
        row = visit.result.row(action.posture, action.quantity)
        settings = plan.seated if action.posture == "seated" else plan.standing
        if action.to_value != row.setting:
            yield f"{action.id}: {action.to_value}, {row.setting}"
        if QUANTITIES[action.quantity].on_card:
            planned = settings.get(action.quantity)
            if (planned is None) != (row.setting is None) or (
                planned is not None and abs(planned - row.setting) > 1e-3
            ):
                yield f"{action.id}: plan {planned}, Set {row.setting}"


def a_number_is_the_same_in_list_drawing_set_and_plan(visit: VisitAnalysis) -> Said:
    rows = {(row.posture, row.key): row for row in visit.rows("cm", brief=True)}
    scene = visit.scene(SceneRequest(width=1100, height=760))
    drawn = {
        (mark.posture, mark.part): mark.text.removeprefix("~")
        for mark in scene.marks
        if mark.role == "flag-value"
    }
    for key in ("seat", "surface", "screen_top", "footrest"):
        row = rows.get(("seated", key))
        if row is None:
            continue
        if drawn.get(("seated", key), row.setting) != row.setting:
            yield f"{key}: drawn {drawn['seated', key]}, listed {row.setting}"
        for action in visit.actions():
            if (action.posture, action.quantity) == ("seated", key) and action.to_value:
                said = say_amount(QUANTITIES[key], action.to_value, "cm")
                if said != f"{row.setting}\xa0cm" or said not in action_text(action, "cm"):
                    yield f"{key}: Set {action_text(action, 'cm')}, listed {row.setting}"
    shown = {one.label: one.value for one in plan_view(visit.chosen_plan(), "cm").seated}
    for label, value in shown.items():
        key = next(quantity.key for quantity in QUANTITIES.values() if quantity.label == label)
        if key != "mouse" and value != f"{rows['seated', key].setting}\xa0cm":
            yield f"{label}: plan {value}, listed {rows['seated', key].setting}"


def no_piece_is_sent_where_it_cannot_go(visit: VisitAnalysis) -> Said:
    station = visit.case.workstation
    spans = {
        "seat": station.chair.seat,
        "surface": station.desk.surface,
        "seat_depth": station.chair.usable_depth,
    }
    for row in visit.result.seated.rows if visit.result.seated.possible else ():
        span = spans.get(row.key)
        if span is None or row.setting is None or row.setting == row.found:
            continue  # where it stands it can stand, whatever was typed of its range
        if not span.low - SAME_MM <= row.setting <= span.high + SAME_MM:
            yield f"{row.key} to {row.setting:.1f}, goes from {span.low:.1f} to {span.high:.1f}"
    for finding in off(visit, *SEEN):
        said = finding.instruction.replace("\xa0", " ")
        if "−" in said.replace("to −", "") and finding.key in ("seat", "footrest", "surface"):
            yield f"{finding.id}: {said}"
        if " 0.0 cm high" in said or "by 0.0 cm" in said:
            yield f"{finding.id}: {said}"


def a_piece_has_one_instruction(visit: VisitAnalysis) -> Said:
    """Where Set has a number for a piece, what is said of it as found sends it to the same number."""
    aims = {
        (action.posture, action.quantity): action.to_value
        for action in visit.actions()
        if action.kind == "set" and action.to_value is not None and not action.touched
    }
    for finding in off(visit, "Settings"):
        aim = aims.get((finding.posture, finding.key))
        row = visit.result.row(finding.posture, finding.key)
        if aim is None or row.remedy is not None or not finding.directions:
            continue
        said = say_amount(QUANTITIES[finding.key], aim, "cm")
        if said not in finding.instruction:
            yield f"{finding.id}: {finding.instruction} Set: {said}"


def nothing_in_the_plan_can_be_left_out(visit: VisitAnalysis) -> Said:
    """Equipment to buy for the heights is each worth having: less of it fits worse by a difference that counts."""
    slots = {"seat", "desk", "keys", "feet", "screen", "back"}
    kit = tuple(one for one in visit.additions if one.slot in slots)
    if not kit or visit.plan == "own":
        return
    case, worth = visit.bare, Worth.of(visit.bare)
    try:
        search = HeightSearch(case, visit.choice.own)
    except MissingInput:
        return
    bare = search.heights(case.workstation)
    whole = search.heights(with_additions(case.workstation, kit)).quality(bare)
    for one in kit:
        rest = tuple(other for other in kit if other is not one)
        less = search.heights(with_additions(case.workstation, rest)).quality(bare)
        if not worth.better(whole, less):
            yield f"{one.label}: {less} without, {whole} with it"


MOST_SETS = 3000
"""Visits with more combinations are left to the general solver, which tries none by itself. House value."""


def no_other_combination_is_as_good_for_less(visit: VisitAnalysis) -> Said:
    """Every combination of choices is tried, for all three plans."""
    case = without_makeshifts(visit.bare)
    try:
        search = HeightSearch(case, visit.choice.own)
    except MissingInput:
        return
    for tier in TIERS_OFFERED:
        sets = list(islice(sets_of(case, tier), MOST_SETS + 1))
        kit = height_kit(search, tier) if len(sets) <= MOST_SETS else ()
        if len(sets) > MOST_SETS or tier in search.cut_short:
            continue
        every = tried(case, sets, visit.choice.own)
        yield from (f"{tier}: {objection}" for objection in objections(Worth.of(case), kit, every))


def a_test_can_be_passed_by_whom_the_step_was_done_for(visit: VisitAnalysis) -> Said:
    seated = visit.result.seated
    rows = {row.key: row for row in seated.rows}
    joints = {one.joint: one for one in seated.joints_set}
    seat, rest = rows.get("seat"), rows.get("footrest")
    if seat is not None and rest is not None and seat.setting is not None:
        on_floor = "on the floor" in seat.check
        if on_floor and (rest.setting or visit.case.legs_forward):
            yield f"seat: {seat.check}"
        if seat.check == QUANTITIES["seat"].checks["on_support"] and not rest.setting:
            yield f"seat: {seat.check}"
    armrest = rows.get("armrest")
    if armrest is not None and "rest lightly" in armrest.check and armrest.remedy is not None:
        yield f"armrest: {armrest.check}"
    for key, joint, words in (
        ("surface", "elbow", "Shoulders relaxed"),
        ("screen_top", "neck", "by moving the eyes only"),
        ("mouse", "upper_arm", "stays under the shoulder"),
    ):
        row, at = rows.get(key), joints.get(joint)
        if row is None or at is None or row.setting is None or not at.excess_deg:
            continue
        if words in row.check and abs(at.excess_deg) > 1:
            yield f"{key}: {row.check} {joint} {at.excess_deg:.1f}° outside"


TRUTHS: tuple[Callable[[VisitAnalysis], Said], ...] = (
    set_to_its_aim_nothing_is_off_unless_a_limit_is_named,
    no_two_sentences_give_opposite_directions,
    what_is_said_of_a_joint_is_what_the_joint_does,
    nothing_at_its_target_or_aim_is_a_finding,
    the_aim_is_not_worse_than_what_was_found_or_it_is_said,
    every_limit_that_is_shown_binds,
    nothing_goes_against_a_limit_of_the_person,
    plan_set_and_report_say_the_same_actions,
    a_number_is_the_same_in_list_drawing_set_and_plan,
    no_piece_is_sent_where_it_cannot_go,
    a_piece_has_one_instruction,
    nothing_in_the_plan_can_be_left_out,
    no_other_combination_is_as_good_for_less,
    a_test_can_be_passed_by_whom_the_step_was_done_for,
)


def broken(seed: int) -> list[tuple[str, int, str]]:
    """Every truth that a generated visit breaks: its name, the seed, and what was said."""
    given = VisitInput(values=visit_values(seed), today=datetime.now(UTC).date(), sex="female")
    visit = analyse_visit(given, "cm")
    return [(truth.__name__, seed, said) for truth in TRUTHS for said in truth(visit)]
