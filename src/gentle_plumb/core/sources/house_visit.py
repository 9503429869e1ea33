"""House values of asking, looking and judging, and why."""

from __future__ import annotations

from .source import Source

HOUSE_VISIT: dict[str, Source] = {
    "house-rhythm": Source(
        kind="house",
        title="Rhythms of sitting, standing and moving",
        note="No posture is good for hours; patterns that practitioners give, to choose from.",
    ),
    "house-movements": Source(
        kind="house",
        title="Movements for the breaks of a day",
        note="What practitioners show at the desk; gentle, few, and left out where a limit bars them.",
    ),
    "house-self-check": Source(
        kind="house",
        title="What a client is asked of their own workstation",
        note="What practitioners ask on the telephone, in words that need no trained eye; yes is in order.",
    ),
    "house-own-lengths": Source(
        kind="house",
        title="Lengths that a client measures at home",
        note="Five that a tape, a wall and a second person give well enough to begin with; taken twice, held "
        "against each other, marked as the client's own.",
    ),
    "house-checks": Source(
        kind="house",
        title="Checks after 1, 3 and 6 weeks",
        note="The first finds what slipped back, the second what the body got used to, the third what stayed.",
    ),
    "house-triage": Source(
        kind="house",
        title="Sorting a client's answers",
        note="Stated rules, the gravest first; what decided is shown, and the practitioner decides. A rise of 2 of 10 "
        "is more than one day differs from another.",
    ),
    "house-signs": Source(
        kind="house",
        title="Warning signs in two urgencies",
        note="What practitioners ask about before they adjust anything; local rules come first.",
    ),
    "house-care": Source(
        kind="house",
        title="Care groups, their limits and who is asked",
        note="Cautious: the treating clinician's word replaces each of them.",
    ),
    "house-map": Source(
        kind="house",
        title="The map of the body",
        note="Our own regions, as coarse as people can tell apart; strength from 0 to 10.",
    ),
    "house-habits": Source(
        kind="house",
        title="Habits: estimated degrees and share of time",
        note="Cautious stand-ins where no photograph measures; now and then 0.15, often 0.45, "
        "nearly always 0.85 of the time.",
    ),
    "house-room": Source(
        kind="house",
        title="Room or home checklist",
        note="Hazards and disturbances; anything unsafe is taken out of use.",
    ),
    "house-light": Source(
        kind="house",
        title="Light on the desk: 300 to 750 lux for screens, 500 to 1000 with paper, 750 to 1500 "
        "for fine print",
        note="In the range of what lighting standards ask of offices; local rules come first.",
    ),
    "house-shelf": Source(
        kind="house",
        title="Generic pieces to start from",
        note="Everyday ranges of such pieces; each is checked with the tape before it counts.",
    ),
    "house-hours": Source(
        kind="house",
        title="Hours that prompt advice: 4 of mouse use, 10 at the desk",
        note="A prompt to discuss breaks, not a health limit.",
    ),
    "house-bearing": Source(
        kind="house",
        title="Screens to the side: 15 degrees, 25 where two are equal, 35 for a glance",
        note="What eyes and a little neck do without effort.",
    ),
    "house-depths": Source(
        kind="house",
        title="Landmarks' distance from the body's middle plane",
        note="Half the breadth at that place, from the table's means, rounded.",
    ),
    "house-camera": Source(
        kind="house",
        title="Photo error stated for 1 px and 5 degrees of camera angle; warning over 5 degrees or under 2 m",
        note="A careful finger on a screen, a careful eye along a wall, an arm's length too near.",
    ),
    "house-photo-bands": Source(
        kind="house",
        title="Bands for what a photograph shows",
        note="Ear within 50 mm of the shoulder, neck 15 to 50 degrees forward from seventh vertebra "
        "to ear, trunk 25 back to 5 forward, wrist within 15, shoulders and hips within 4.",
    ),
    "house-strain": Source(
        kind="house",
        title="Strain minutes: hours times degrees outside the band, full at 30 degrees",
        note="Simple enough to be checked by hand; a way to rank, no forecast of injury.",
    ),
    "house-severity": Source(
        kind="house",
        title="Severity: marked from 30 load minutes a day, strong from 120",
        note="Half an hour and two hours in full load: two degrees and eight degrees of a full day.",
    ),
}
