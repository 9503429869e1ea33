"""Rules about the desk and what belongs to it. Heights are judged with the settings."""

from __future__ import annotations

from ...catalogue import HAND_TASKS
from ...choices import YesNo
from ...intake import Demand
from ...record import fields
from ...workstation import PLATFORMS, ArmTension, DeskEdge, DeskKind, ToolHolder, UnderDesk
from ..rule import Amount, Answer, Pair, Rule

MOST_HEEL_MM = 40.0
"""A heel that is higher tips the weight forward for as long as one stands. Source: house-rhythm."""

DESK: tuple[Rule, ...] = (
    Answer(
        id="sharp_edge",
        mechanism="wrists",
        title="Sharp front edge",
        field=fields.desk.edge,
        wrong=(DeskEdge.SHARP,),
        weight=0.3,
        source="iso-9241-5",
        why="It presses on nerves and tendons in the forearm.",
        do="Pad the edge, or bring the keyboard nearer so the forearm doesn't rest on it.",
        region="forearm",
        tasks=HAND_TASKS,
        asked="The shape of the front edge is not recorded.",
    ),
    Answer(
        id="drawer",
        mechanism="thighs",
        title="Drawer over the thighs",
        field=fields.desk.under,
        wrong=(UnderDesk.DRAWER,),
        weight=0.2,
        source="house-thigh-room",
        why="It takes up thigh clearance and keeps the elbows below the desk.",
        do="Remove the drawer.",
        region="hip",
        asked="What is under the desk is not recorded.",
    ),
    Pair(
        id="tray_track",
        who="workplace",
        mechanism="hands_height",
        title="Keyboard tray hits the crossbar",
        fields=(fields.tray.track, fields.desk.depth),
        fails=lambda track, depth: track > 0.6 * depth,
        source="house-desk-depth",
        words="Track {0}, desk {1} deep with a crossbar",
        why="The tray can't be pushed in, or can't be fitted at all.",
        do="Use a shorter track, or no tray.",
        only_if=fields.desk.under.among(UnderDesk.CROSSBAR),
    ),
    Answer(
        id="tray_mouse",
        who="workplace",
        mechanism="reach",
        title="Mouse does not fit on the tray",
        field=fields.tray.mouse,
        wrong=(YesNo.NO,),
        deg=15,
        source="house-mouse",
        why="The arm reaches up and out to a mouse on the desk.",
        do="A wider tray, a mouse platform over the number pad, or a shorter keyboard.",
        region="shoulder",
        joint="upper_arm",
        tasks=("mouse",),
        only_if=fields.tray.there.among(YesNo.YES),
        asked="Whether the mouse fits on the tray is not recorded.",
    ),
    Answer(
        id="cart_tool",
        mechanism="reach",
        title="Hand tool out of reach",
        field=fields.cart.tool,
        wrong=(ToolHolder.FAR,),
        weight=0.4,
        source="house-mouse",
        why="Every use means reaching with a raised arm.",
        do="Move the holder to the hand that uses it.",
        region="shoulder",
        only_if=fields.desk.kind.among(DeskKind.CART),
        asked="Where the cart's tool hangs is not recorded.",
    ),
    Answer(
        id="cart_tension",
        who="workplace",
        mechanism="screen_height",
        title="Cart arm",
        field=fields.cart.tension,
        wrong=(ArmTension.DRIFTS, ArmTension.STIFF),
        weight=0.3,
        source="house-room",
        why="It doesn't hold its height.",
        do="Have the tension adjusted.",
        only_if=fields.desk.kind.among(DeskKind.CART),
        asked="Whether the cart's arm holds is not recorded.",
    ),
    Answer(
        id="mat",
        who="workplace",
        mechanism="stillness",
        title="No standing mat",
        field=fields.supports.at_hand["anti_fatigue_mat"].there,
        wrong=(YesNo.NO,),
        weight=0.15,
        source="house-rhythm",
        why="Hard floor tires feet and calves.",
        do="A standing mat and supportive shoes.",
        region="foot",
        standing=True,
        only_if=fields.desk.kind.among(
            DeskKind.SIT_STAND, *PLATFORMS, DeskKind.CART, DeskKind.COUNTER
        ),
        asked="Whether there is a mat is not recorded.",
    ),
    Amount(
        id="heels_standing",
        who="client",
        act="habit",
        mechanism="stillness",
        title="High heels for standing",
        field=fields.ask.shoe_standing,
        most=MOST_HEEL_MM,
        source="house-rhythm",
        why="The weight stands on the forefoot and the hollow of the back deepens.",
        do="Flat, supportive shoes for standing work; keep a pair at the desk.",
        region="foot",
        standing=True,
        only_if=fields.desk.kind.among(
            DeskKind.SIT_STAND, *PLATFORMS, DeskKind.CART, DeskKind.COUNTER
        ),
    ),
    Answer(
        id="rail",
        who="workplace",
        mechanism="stillness",
        title="No foot rail",
        field=fields.supports.at_hand["rail"].there,
        wrong=(YesNo.NO,),
        weight=0.15,
        source="house-rhythm",
        why="No chance to shift weight from hip to hip.",
        do="A rail or box 10 to 15 cm high; alternate feet.",
        asks=frozenset({Demand.ONE_LEG}),
        region="lower_back",
        standing=True,
        only_if=fields.desk.kind.among(
            DeskKind.SIT_STAND, *PLATFORMS, DeskKind.CART, DeskKind.COUNTER
        ),
        asked="Whether there is a rail is not recorded.",
    ),
)
