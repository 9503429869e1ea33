"""House values of measuring, fit and additions, and why."""

from __future__ import annotations

from .source import Source

HOUSE_FIT: dict[str, Source] = {
    "house-correlation": Source(
        kind="house",
        title="Correlation of each dimension with stature",
        note="Deliberately cautious, so estimates never look more certain than they are.",
    ),
    "house-repeat": Source(
        kind="house",
        title="How far two readings may differ",
        note="About the spread of a careful practitioner with a tape; beyond it a third is taken.",
    ),
    "house-precision": Source(
        kind="house",
        title="Default error weighted as ten pairs of readings",
        note="Few pairs tell little: the own error counts fully only as pairs come in.",
    ),
    "house-origin": Source(
        kind="house",
        title="Self-measured: 12 mm more; carried over: half of what may change meanwhile",
        note="An unpractised hand, and time: both make a value less sure, neither makes it useless.",
    ),
    "house-change": Source(
        kind="house",
        title="What a body may change between visits: 6 mm for bones, 10 to 40 for posture and girth",
        note="Adults don't grow; how one sits, and how much flesh there is, does change.",
    ),
    "house-doubt": Source(
        kind="house",
        title="Queried from 2.5 standard errors, set aside from 4",
        note="Of a hundred true values about one is asked about; slips of unit lie far beyond.",
    ),
    "house-relations": Source(
        kind="house",
        title="Relations between dimensions that hold for whoever is measured",
        note="What lies above what on a body, and how far the knee stands over its crease.",
    ),
    "house-sides": Source(
        kind="house",
        title="Left and right differ by less than the limit for two readings and 4 in a hundred",
        note="More is a slip or worth knowing.",
    ),
    "house-lumbar-height": Source(
        kind="house",
        title="Small of the back 190 mm over the seat, standard deviation 30",
        note="No table holds it: wide enough that only slips are asked about; never an estimate.",
    ),
    "house-chain": Source(
        kind="house",
        title="Body-segment model",
        note="Simple, stated and testable: one hip joint, one trunk, one upper arm, one forearm.",
    ),
    "house-comfort": Source(
        kind="house",
        title="What counts where no joint tells it, as degrees of a joint: no back or an upright one 10°, an unsteady seat 10°, a pan 10 cm off 8°, feet on a ring 4°, a saddle 2°, no lumbar support 5°, a picture 30 cm too near or too far 15°, armrests 10°, text half too small 10°, glare or tilt 5°",
        note="No joint's angle tells it, and a chair that carries the back is worth its price.",
    ),
    "house-chair-load": Source(
        kind="house",
        title="A chair carries what its label says, and is checked from its tenth year",
        note="Labels and the maker's papers come first; wear depends on use.",
    ),
    "house-technique": Source(
        kind="house",
        title="Technique is worth a word from two hours a day of its task",
        note="What is used seldom loads little, and long lists are not read.",
    ),
    "house-relief": Source(
        kind="house",
        title="Thigh clearance at the seat edge, 15 mm (0 to 25)",
        note="Keeps the front edge of the seat off the soft underside of the thigh.",
    ),
    "house-joint-bands": Source(
        kind="house",
        title="Joint ranges at a desk",
        note="Middle of the postures in common use; the practitioner may choose others.",
    ),
    "house-text": Source(
        kind="house",
        title="Standard text at 100 %: 16 px, capitals 0.7 of that",
        note="What browsers and office programs take where nobody chose; in steps of 25 %.",
    ),
    "house-order": Source(
        kind="house",
        title="Order: physical limits, joint angles, purchases, amount of change",
        note="Comfort before cost, cost before habit; nothing is changed for less than 2 degrees, 1 where it hurts.",
    ),
    "house-weights": Source(
        kind="house",
        title="A degree counts the same at every joint",
        note="Nothing better is known that would hold for everybody; strain minutes weigh by hours.",
    ),
    "house-price": Source(
        kind="house",
        title="Price classes: nothing, small, medium, large; effort: in the room, to find, to buy, to mount, to approve",
        note="One medium item costs more than several small ones; one large item more than several medium. "
        "Effort decides only between sets that cost the same money.",
    ),
    "house-additions": Source(
        kind="house",
        title="What usual additions can do",
        note="Everyday ranges without a make: to be checked against the piece that is bought.",
    ),
    "house-stack": Source(
        kind="house",
        title="Stacks: 200 mm and three items at most, four under the feet, non-slip, never under castors",
        note="Higher ones tip; more items slide.",
    ),
    "house-phone": Source(
        kind="house",
        title="Phone within 380 mm on the side that does not write; a headset over an hour a day",
        note="The writing hand stays free; a receiver between ear and shoulder bends the neck.",
    ),
    "house-paper": Source(
        kind="house",
        title="Paper in line between keys and screen, or beside the screen at its height",
        note="Long handwriting wants its own place, 50 to 75 mm higher than keys do.",
    ),
    "house-neck-rest": Source(
        kind="house",
        title="No neck rest unless it meets the neck",
        note="In the wrong place it pushes the head forward.",
    ),
    "house-ball": Source(
        kind="house",
        title="A ball is no chair for work",
        note="No back to lean on, no height that stays, no base that can't roll away.",
    ),
    "house-temporary": Source(
        kind="house",
        title="Improvised answers are marked temporary, with a review date",
        note="Without a date, temporary becomes permanent.",
    ),
    "house-slump": Source(
        kind="house",
        title="Slump of a relaxed trunk: 25 mm at the eye, 15 mm at shoulder and elbow",
        note="Only where the body was measured erect; nothing where measured as they work.",
    ),
    "house-thigh-room": Source(
        kind="house",
        title="Thigh clearance, 20 mm",
        note="Enough to cross the feet and to roll in without touching.",
    ),
    "house-seat-depth": Source(
        kind="house",
        title="Two to three fingers behind the knee",
        note="Usual practice; a finger is a quarter of the hand's breadth.",
    ),
    "house-armrest": Source(
        kind="house",
        title="Armrest 0 to 20 mm under the elbow, never above it; 10 aimed at",
        note="Light support that can't lift the shoulder even with a small reading error.",
    ),
    "house-lumbar": Source(
        kind="house",
        title="Lumbar pad at the small of the back, 25 mm either way",
        note="The pad is soft and the landmark is felt, not seen.",
    ),
    "house-keyboard": Source(
        kind="house",
        title="Half widths of keyboards from the B key; home row 70 mm from the front edge",
        note="Right edge about 300 with a number pad, 215 without, 160 compact; left about 150.",
    ),
    "house-mouse": Source(
        kind="house",
        title="Mouse centre 45 mm beside the keyboard; upper arm at most 20 degrees out",
        note="Half a mouse and a finger's gap; the forearm's first 15 degrees outwards are free.",
    ),
    "house-screen": Source(
        kind="house",
        title="Screen height, distance and tilt",
        note="Top edge at the eye line (50 under it to level), fingertip distance, 100 either way, at least 400, "
        "at most 60 degrees across and 30 up and down, bottom edge within 30 degrees of level.",
    ),
    "house-lens": Source(
        kind="house",
        title="Lower target for lenses read through their lower part",
        note="Top edge 10 degrees under the eye line for progressive, 15 for bifocal lenses; "
        "the chin test decides.",
    ),
    "house-laptop": Source(
        kind="house",
        title="Laptop: picture 210 mm high, starting 20 mm above the keys",
        note="A usual 14-inch machine, its hinge about 140 mm behind the home row.",
    ),
    "house-desk-depth": Source(
        kind="house",
        title="Needed depth of the desk",
        note="From the front edge to the picture plane, and the stand behind it.",
    ),
}
