"""Rules about the work itself: hours, eyes, hands."""

from __future__ import annotations

from ..rule import SCREEN_TASKS, Amount, Answer, Rule

WORK: tuple[Rule, ...] = (
    Amount(
        id="mouse_hours", title="Hours with the mouse",
        path="ask.hours.mouse", most=4, source="house-hours",
        why="One arm does nearly all of the work.",
        do="Change hands for simple work, keys in place of clicks, short breaks.",
        region="shoulder", tasks=("mouse",),
    ),
    Amount(
        id="day_hours", title="Hours at the desk",
        path="ask.day_hours", most=10, source="house-hours",
        why="No setting is good for that long.", do="Breaks and changes of posture come before any furniture.",
    ),
    Answer(
        id="typing_by_eye", title="Types by eye",
        path="ask.typing_by", wrong=("eye",), deg=20, source="house-habits",
        why="The head goes down to the keys and up again with every line.",
        do="Lessons in touch typing help more than any height; a flat keyboard near the screen.",
        region="neck", joint="neck", tasks=("typing",), share=0.5,
        asked="Whether they type by touch or by eye is not recorded.",
    ),
    Answer(
        id="leans", title="Leans to see",
        path="ask.leans", wrong=("forward", "back"), deg=10, source="house-habits",
        why="The back leaves the backrest to bring the eyes where they can read.",
        do="Distance and text size are set first; an eye test where that does not help.",
        region="lower_back", joint="trunk", tasks=SCREEN_TASKS, share=0.45,
        asked="Whether they lean to see is not recorded.",
    ),
    Answer(
        id="new_to_standing", title="New to standing at work",
        path="ask.sit_stand", wrong=("new",), weight=0.1, source="house-rhythm",
        why="Feet, calves and back need weeks to get used to it.",
        do="Twice 15 minutes a day in the first week, then a little more each week.",
        region="foot", only_if=("look.desk.kind", ("sit_stand", "platform", "cart")), standing=True,
        asked="Whether they are used to standing is not recorded.",
    ),
    Answer(
        id="headset", title="No headset",
        path="look.support.headset", wrong=("no",), weight=0.3, source="house-habits",
        why="The phone ends between ear and shoulder while the hands type.",
        do="A headset frees ear and shoulder.", region="neck", tasks=("calls",),
        asked="Whether there is a headset is not recorded.",
    ),
    Answer(
        id="document_holder", title="Nothing to hold papers",
        path="look.support.document_holder", wrong=("no",), weight=0.3, source="house-habits",
        why="Paper flat on the desk takes the head down and the keyboard away.",
        do="A holder beside the picture, at its height.", region="neck", tasks=("paper",),
        asked="Whether there is a document holder is not recorded.",
    ),
)  # fmt: skip
