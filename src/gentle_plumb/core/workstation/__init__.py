"""Equipment: what each piece is, what it can do, and how it is set."""

from .details import Details, SideScreen, use_by_share
from .equipment import (
    ARMREST_BACK_MM,
    ARMREST_FRONT_MM,
    HOME_ROW_TO_FRONT_MM,
    KEYBOARD_LEFT_MM,
    KEYBOARD_RIGHT_MM,
    LAPTOP_HINGE_BEHIND_KEYS_MM,
    LAPTOP_PICTURE_HEIGHT_MM,
    LAPTOP_PICTURE_START_MM,
    OUTERMOST_LETTER_MM,
    Chair,
    Desk,
    Item,
    Keyboard,
    Mouse,
    Screen,
    Workstation,
)
from .kinds import (
    BACKLESS,
    FIXED_DESKS,
    LOUNGES,
    PLATFORMS,
    ArmrestKind,
    ArmTension,
    AspectRatio,
    Castors,
    ChairKind,
    DeskEdge,
    DeskKind,
    GasSpring,
    KeyboardKind,
    LaptopKeys,
    LumbarKind,
    NeckRest,
    PlaceUse,
    PointerKind,
    PointerSpeed,
    ScreenHolder,
    ScreenKind,
    ScreenPlace,
    ScreenUse,
    Stability,
    StandsOn,
    TiltFeet,
    TiltLock,
    TiltTension,
    ToolHolder,
    UnderDesk,
)
from .levers import Lever
from .settings import Settings
from .span import LEAST_STEP, Span
from .supports import LAPTOP_STAND, STACKED, SUPPORTS, USUAL_FOOTREST, USUAL_MM
