"""Sentences about what became of things, limits and complaints; English, and complete."""

from ..language import msg

STATE_MESSAGES: dict[str, str] = {
    "screen.laptop_beside": msg("On a stand or books, used with the desk’s keyboard and mouse."),
    "plan.any_seat": msg("Seat height range not recorded: any height assumed."),
    "plan.any_surface": msg("Desk height range not recorded: any height assumed."),
    "plan.any_top": msg("Screen height range not recorded: any height assumed."),
    "plan.no_thickness": msg("Thigh clearance not checked: desk thickness not recorded."),
    "plan.laptop_keys": msg("Laptop keyboard height not measured: 2 cm assumed."),
    "plan.usual_footrest": msg("Footrest range not recorded: a typical one assumed."),
    "setting.screen_taken_away": msg("First remove what it stands on."),
    "standing.does_not_fit": msg("Not suitable for standing: the heights don’t fit."),
    "seating.own": msg(
        "Part of the client’s own seating: any change goes through their therapist."
    ),
    "seat.own": msg(
        "Don’t adjust the client’s own seating; adapt desk, keyboard and screen to it."
    ),
    "footrest.own": msg(
        "The wheelchair’s footplates support the feet: check by eye; no footrest needed."
    ),
    "seating.lounge": msg("A sofa or bed is used as it is, for short periods."),
    "comfort.lounge": msg("A sofa or bed gives the back too little support"),
    "state.not_recorded": msg("Not recorded"),
    "state.not_present": msg("Not present"),
    "state.as_found": msg("Left as found at {at}"),
    "state.as_found.unknown": msg("Left as found"),
    "state.target": msg("To be set to {to}"),
    "state.target.instead": msg("To do"),
    "state.set": msg("Left at {at}, {how}"),
    "state.set.eye": msg("Set by eye, not measured"),
    "state.set.done": msg("Done"),
    "state.set.unmeasured": msg("Set to {at}, not measured"),
    "state.stopped": msg("Stopped: it hurts"),
    "state.stopped.where": msg("Stopped: it hurts ({region})"),
    "state.stopped.at": msg("Stopped at {at}: it hurts"),
    "state.stopped.where_at": msg("Stopped at {at}: it hurts ({region})"),
    "state.alone": msg("Left as found at {at}"),
    "state.alone.left": msg("Left at {at}, {how}"),
    "state.alone.unknown": msg("Left unchanged"),
    "state.not_today": msg("Not today: {because}"),
    "state.not_today.bare": msg("Not today"),
    "state.not_today.who": msg("{who} responsible"),
    "state.not_today.due": msg("by {due}"),
    "state.declined": msg("Declined"),
    "state.to_get": msg("Needed first: {what}"),
    "state.to_get.look": msg("Not recorded: find something to support the feet"),
    "state.and": msg("{first}. {then}"),
    "step.stopped": msg("Stopped: it hurts, {at}."),
    "step.hurts_somewhere": msg("place not recorded"),
    "step.not_today": msg("Not today: {because}."),
    "step.unwanted": msg("Declined."),
    "step.test": msg("Test with the client: {answer}."),
    "step.not_yet": msg("The client says: not yet."),
    "step.moved": msg("The target was {was} when this was set; it is now {now}."),
    "step.add_moved": msg(
        "It was {was} high when this was done; with the seat where it is now, it should be {now}."
    ),
    "step.told": msg("{label}: {said}."),
    "limit.clears": msg("Cleared by {by} from {on}; until then it applies."),
    "limit.set": msg("Set by {who}."),
    "limit.will_be_set": msg("From {on}: {figure}, set by {by}; until then it applies unchanged."),
    "limit.standing": msg("On record since {since}, not asked again."),
    "limit.unmet_hip": msg("Not met: hip angle will be {at}; it should be at least {limit}."),
    "limit.unmet_knee": msg("Not met: the knee will be bent {at}; it should be at most {limit}."),
    "limit.of_joints": msg("Joint limits"),
    "limit.of_joints_ask": msg("treating clinician"),
    "limit.untold": msg("Not enough information to check this. {reason}"),
    "move.relief": msg(
        "Take the weight off the seat every 15 to 30 minutes, for one to two minutes each time. Skin checks "
        "are for your clinician."
    ),
    "move.holds": msg("No movements for this body part until a clinician has answered: {flags}."),
    "state.held": msg("Not yet: waiting for a clinician’s answer"),
    # since the visit before
    "since.done": msg("Done"),
    "since.not_done": msg("Not done yet"),
    "since.worse": msg("{region}: {was} of 10 then, {now} of 10 now"),
    "since.line": msg("{label}, {posture}: left at {left}, found at {now}, {drift}"),
    "since.aimed": msg("{label}, {posture}: set to target {left}, not measured; found at {now}"),
    "since.drift": msg("{by} {way} since"),
    "since.felt": msg("{region}: then {was}, now {now}"),
    "since.strength": msg("{strength} of 10"),
    "since.unasked": msg("not asked"),
    # the client's first page
    "first.helps": msg("Why: {cause}."),
    "first.helps_felt": msg("Why: {cause}. It may ease: {felt}."),
    "first.safety": msg("Why: it is not safe at the moment."),
    "limit.line": msg("{says} ({because}; ask the {ask})"),
    # the letter to a clinician
    "letter.since": msg("Since: {since}"),
    "letter.eases": msg("Eased by: {eases}"),
    "letter.set": msg("Set at the workplace: {what}."),
    "letter.stopped": msg("Stopped because of pain, and put back: {what}."),
    "letter.nothing": msg("Nothing was changed at the workplace."),
    "letter.may_stand": msg(
        "May {client} stand at the desk for up to {minutes} minutes of each hour?"
    ),
    "letter.may_stand.from": msg(
        "May {client} stand at the desk for up to {minutes} minutes of each hour from {on}?"
    ),
    "letter.may_stand_longer": msg(
        "May {client} stand at the desk for more than {minutes} minutes of each hour? If so, for how long?"
    ),
    "letter.may_move": msg(
        "May {client} do gentle movements, and may we adjust the workplace for the affected area? From what date?"
    ),
    "letter.may_go_on": msg("May we continue adjusting the workplace as planned? From what date?"),
    "letter.hip": msg(
        "May {client} sit with a hip angle below {least}? If so, down to what angle?"
    ),
    "letter.may_lift": msg("Which of these precautions can be lifted, and from what date?"),
    "letter.usual": msg("At the next appointment"),
    "letter.referral": msg("Referral"),
    "letter.asks": msg("Question about a workplace plan"),
    "letter.other_limits": msg("Other limits"),
    # the workplace's paper
    "request.covers": msg("must cover {low} to {high}"),
    "request.high": msg("{height} high"),
    "request.now": msg("immediately"),
    # one word for each thing, above its number
    "state.word.set": msg("left at"),
    "state.word.unmeasured": msg("set to, not measured"),
    "state.word.as_found": msg("as found"),
    "state.word.target": msg("still to set"),
}
"""By name; merged into the one catalogue."""
