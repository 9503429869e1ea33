"""Rules about the desk and what belongs to it. Heights are judged with the settings."""

from __future__ import annotations

from ..rule import HAND_TASKS, Answer, Pair, Rule

DESK: tuple[Rule, ...] = (
    Answer(
        id="sharp_edge", title="Sharp front edge",
        path="look.desk.edge", wrong=("sharp",), weight=0.3, source="iso-9241-5",
        why="It presses on the forearm's nerve and tendons.",
        do="Pad the edge; bring the keyboard nearer so that the forearm does not lie on it.",
        region="forearm", tasks=HAND_TASKS,
        asked="The shape of the front edge is not recorded.",
    ),
    Answer(
        id="drawer", title="Drawer over the thighs",
        path="look.desk.under", wrong=("drawer",), weight=0.2, source="house-thigh-room",
        why="It takes the room that the thighs need, and the elbows can't come over the desk.",
        do="Take the drawer out.", region="hip",
        asked="What is under the desk is not recorded.",
    ),
    Pair(
        id="tray_track", title="Tray meets the crossbar",
        paths=("look.tray.track", "look.desk.depth"),
        fails=lambda track, depth: track > 0.6 * depth, source="house-desk-depth",
        words="Track {0}, desk {1} deep with a crossbar",
        why="The tray can't be pushed in, or not be fitted at all.",
        do="A shorter track, or no tray.", only_if=("look.desk.under", ("crossbar",)),
    ),
    Answer(
        id="tray_mouse", title="Mouse does not fit on the tray",
        path="look.tray.mouse", wrong=("no",), deg=15, source="house-mouse",
        why="The arm goes up and out to a mouse on the desk.",
        do="A wider tray, a mouse platform over the number block, or a shorter keyboard.",
        region="shoulder", joint="upper_arm", tasks=("mouse",),
        only_if=("look.tray.there", ("yes",)),
        asked="Whether the mouse fits on the tray is not recorded.",
    ),
    Answer(
        id="cart_tool", title="Hand tool out of reach",
        path="look.cart.tool", wrong=("far",), weight=0.4, source="house-mouse",
        why="Each use is a reach with a raised arm.", do="Move the holder to the hand that uses it.",
        region="shoulder", only_if=("look.desk.kind", ("cart",)),
        asked="Where the cart's tool hangs is not recorded.",
    ),
    Answer(
        id="cart_tension", title="Cart's arm",
        path="look.cart.tension", wrong=("drifts", "stiff"), weight=0.3, source="house-room",
        why="It does not stay at the height it is set to.", do="Have its tension set.",
        only_if=("look.desk.kind", ("cart",)),
        asked="Whether the cart's arm holds is not recorded.",
    ),
    Answer(
        id="mat", title="Nothing soft to stand on",
        path="look.support.anti_fatigue_mat", wrong=("no",), weight=0.15, source="house-rhythm",
        why="Hard floor tires feet and calves.", do="A mat, and shoes that carry.", region="foot",
        standing=True,
        only_if=("look.desk.kind", ("sit_stand", "platform", "cart", "counter")),
        asked="Whether there is a mat is not recorded.",
    ),
    Answer(
        id="rail", title="No rail for the foot",
        path="look.support.rail", wrong=("no",), weight=0.15, source="house-rhythm",
        why="Weight stays on both hips without change.",
        do="A rail or box 10 to 15 cm high, one foot on it in turn.", region="lower_back",
        standing=True,
        only_if=("look.desk.kind", ("sit_stand", "platform", "cart", "counter")),
        asked="Whether there is a rail is not recorded.",
    ),
)  # fmt: skip
