"""What tests draw from: bodies, equipment, cases."""

from hypothesis import strategies as st

from gentle_plumb.core.body import DIMENSIONS, Body, BodyValue
from gentle_plumb.core.fit import Case
from gentle_plumb.core.photo import LANDMARKS, Photo
from gentle_plumb.core.workstation import (
    Chair,
    Desk,
    Keyboard,
    Mouse,
    Screen,
    Settings,
    Span,
    Workstation,
)
from gentle_plumb.core.workstation.kinds import AspectRatio
from plumb_demo.photographs import HEIGHT, STAFF_MM, WIDTH, Camera, field_of_view, side_joints

LUMBAR_MM = 190.0


def mean_body(sex="female", **changed):
    """The mean woman or man of the table, with single dimensions changed."""
    values = {
        name: BodyValue(mm=entry.stats[sex].mean_mm, sd_mm=3, source="measured")
        for name, entry in DIMENSIONS.items()
        if entry.stats
    }
    values["lumbar_height_sitting"] = BodyValue(mm=LUMBAR_MM, sd_mm=3, source="measured")
    values |= {name: BodyValue(mm=mm, sd_mm=3, source="measured") for name, mm in changed.items()}
    return Body(values=values, sex=sex)


def station(
    surface=(600, 1270),
    seat=(400, 520),
    thickness=25.0,
    kind="monitor",
    lift=(350, 560),
    feet=(20, 250),
):
    """A usual workstation; a range of one number is a fixed piece."""

    def span(ends):
        return Span(low=ends[0], high=ends[-1]) if ends else None

    width, height = Screen.picture(24, AspectRatio.WIDE)
    return Workstation(
        chair=Chair(seat=span(seat), armrests="adjustable", armrest=Span(low=180, high=280)),
        desk=Desk(
            kind="fixed" if surface and len(surface) == 1 else "sit_stand",
            surface=span(surface),
            thickness=thickness,
            depth=800,
        ),
        keyboard=Keyboard(kind="full", thickness=20),
        mouse=Mouse(hand="right"),
        feet=(span(feet),) if feet else None,
        screen=Screen(kind="laptop")
        if kind == "laptop"
        else Screen(kind="monitor", width=width, height=height, top_above_surface=span(lift)),
    )


def usual_case(sex="female", found=None, **given):
    """The mean woman at a usual workstation."""
    body = given.pop("body", None) or mean_body(sex)
    return Case(
        body=body,
        workstation=station(**given),
        shoe_seated=25,
        shoe_standing=25,
        found_seated=Settings(**(found or {})),
    )


@st.composite
def bodies(draw):
    """Bodies up to four standard deviations from the mean, dimension by dimension."""
    sex = draw(st.sampled_from(["female", "male"]))
    values = {}
    for name, entry in DIMENSIONS.items():
        if entry.stats:
            spread = entry.stats[sex]
            z = draw(st.floats(-4, 4))
            low = entry.low_mm
            values[name] = BodyValue(
                mm=max(low, spread.mean_mm + z * spread.sd_mm), sd_mm=3, source="measured"
            )
    values["lumbar_height_sitting"] = BodyValue(mm=LUMBAR_MM, sd_mm=3, source="measured")
    return Body(values=values, sex=sex)


@st.composite
def spans(draw, low, high):
    """Ranges within two ends, fixed ones among them."""
    first = draw(st.integers(low, high))
    return Span(low=first, high=draw(st.integers(first, high)))


@st.composite
def cases(draw):
    """Bodies at all sorts of workstations, with unknown attributes among them."""
    maybe = st.none() | spans(380, 900)
    laptop = draw(st.booleans())
    width, height = Screen.picture(draw(st.floats(10, 40)), AspectRatio.WIDE)
    return Case(
        body=draw(bodies()),
        workstation=Workstation(
            chair=Chair(seat=draw(st.none() | spans(300, 700))),
            desk=Desk(
                kind="fixed",
                surface=draw(maybe),
                depth=draw(st.none() | st.floats(300, 1200)),
                thickness=draw(st.none() | st.floats(10, 150)),
            ),
            keyboard=Keyboard(
                kind=draw(st.sampled_from(["full", "no_number_block", "compact"])),
                thickness=draw(st.floats(5, 50)),
            ),
            mouse=Mouse(hand=draw(st.sampled_from(["left", "right", None]))),
            screen=Screen(kind="laptop")
            if laptop
            else Screen(
                kind="monitor",
                width=width,
                height=height,
                top_above_surface=draw(st.none() | spans(100, 900)),
            ),
        ),
        found_seated=Settings(
            seat=draw(st.none() | st.floats(300, 700)), mouse=draw(st.none() | st.floats(100, 700))
        ),
        shoe_seated=draw(st.floats(0, 80)),
        shoe_standing=draw(st.floats(0, 80)),
        mat=draw(st.floats(0, 30)),
        lower_lens=draw(st.sampled_from(["none", "progressive", "bifocal"])),
    )


def seen_by(solids, camera, **more):
    """A photograph's points without drawing it: as the camera sees solids and the staff."""
    plain = {
        "scale_a": (-600, 0, 0),
        "scale_b": (-600, STAFF_MM, 0),
        "upright_a": (-740, 1280, 0),
        "upright_b": (-740, 60, 0),
    }
    points = {name: camera.sees(at) for name, at in {**plain, **solids}.items()}
    return Photo(
        id="p",
        width=WIDTH,
        height=HEIGHT,
        points=points,
        known_mm=STAFF_MM,
        fov_deg=field_of_view(),
        **more,
    )


def side_photo(angles, camera=Camera(), **more):
    joints = side_joints(angles, standing=more.get("posture") == "standing")
    return seen_by(
        {name: (*at, LANDMARKS[name].depth) for name, at in joints.items()}, camera, **more
    )
