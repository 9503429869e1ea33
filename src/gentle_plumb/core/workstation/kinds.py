"""Kinds of pieces and the answers to what they are like: generic, no makes."""

from __future__ import annotations

from ..choices import Choice


class ChairKind(Choice):
    """What is sat on."""

    TASK = "task", "Task chair"
    DINING = "dining", "Dining chair"
    STOOL = "stool", "Stool"
    SADDLE = "saddle", "Saddle stool"
    WHEELCHAIR = "wheelchair", "Wheelchair"
    BALL = "ball", "Ball"
    SOFA = "sofa", "Sofa or armchair"
    BED = "bed", "Bed"
    OTHER = "other", "Other"


BACKLESS = frozenset({ChairKind.STOOL, ChairKind.SADDLE, ChairKind.BALL})
"""Kinds of chair without anything to lean on."""
LOUNGES = frozenset({ChairKind.SOFA, ChairKind.BED})
"""Places to rest on that are worked on: nothing of them is set."""


class TiltLock(Choice):
    """What holds the back's angle."""

    LOCKS = "locks", "Locks"
    FREE = "free", "Rocks freely"
    BROKEN = "broken", "Broken"


class TiltTension(Choice):
    """How hard the back's spring pushes."""

    RIGHT = "right", "Follows and supports"
    LOOSE = "loose", "Gives way"
    STIFF = "stiff", "Pushes forward"


class LumbarKind(Choice):
    """How the lumbar support is set."""

    NONE = "none", "None"
    FIXED = "fixed", "Fixed"
    STEPS = "steps", "In steps"
    FREE = "free", "Without steps"


class NeckRest(Choice):
    """Whether the neck rest meets the neck."""

    NONE = "none", "None"
    MEETS = "meets", "Supports the neck"
    MISSES = "misses", "Pushes the head forward or misses the neck"


class ArmrestKind(Choice):
    """Whether there are armrests, and whether they can be set."""

    NONE = "none", "None"
    FIXED = "fixed", "Fixed"
    ADJUSTABLE = "adjustable", "Adjustable"


class Castors(Choice):
    """What the chair rolls on."""

    HARD = "hard", "For hard floor"
    CARPET = "carpet", "For carpet"
    GLIDES = "glides", "Glides"


class Stability(Choice):
    """How the chair stands."""

    FIRM = "firm", "Firm"
    WOBBLES = "wobbles", "Wobbles"
    TIPS = "tips", "Tips"


class GasSpring(Choice):
    """Whether the gas spring carries."""

    HOLDS = "holds", "Holds"
    SINKS = "sinks", "Sinks"
    BROKEN = "broken", "Broken"


class DeskKind(Choice):
    """What the work stands on."""

    FIXED = "fixed", "Fixed height"
    SIT_STAND = "sit_stand", "Sit-stand"
    PLATFORM = "platform", "Desktop converter, screen on its own deck"
    CARRIER = "carrier", "Desktop converter that lifts keys and screen together"
    COUNTER = "counter", "Kitchen or other counter"
    CART = "cart", "Wheeled cart"


class PlaceUse(Choice):
    """How one works at a place."""

    BOTH = "both", "Sitting, and standing where it moves"
    SIT = "sit", "Sitting only"
    STAND = "stand", "Standing only"


class UnderDesk(Choice):
    """What hangs over the thighs."""

    FREE = "free", "Free"
    DRAWER = "drawer", "Drawer"
    CROSSBAR = "crossbar", "Crossbar"


class DeskEdge(Choice):
    """The edge the forearms meet."""

    ROUNDED = "rounded", "Rounded"
    SHARP = "sharp", "Sharp"


class ToolHolder(Choice):
    """Where a cart's hand tool hangs."""

    REACH = "reach", "In reach"
    FAR = "far", "Out of reach"
    NONE = "none", "None"


class ArmTension(Choice):
    """Whether a cart's arm stays where it is put."""

    HOLDS = "holds", "Holds"
    DRIFTS = "drifts", "Drifts"
    STIFF = "stiff", "Too stiff"


class KeyboardKind(Choice):
    """Shape and width of the keyboard."""

    FULL = "full", "Full width"
    NO_NUMBER_BLOCK = "no_number_block", "Tenkeyless (no number pad)"
    COMPACT = "compact", "Compact"
    SPLIT = "split", "Split"
    TENTED = "tented", "Split, tented"


class TiltFeet(Choice):
    """The keyboard's feet."""

    IN = "in", "Folded in"
    OUT = "out", "Folded out"
    NONE = "none", "None"


class PointerKind(Choice):
    """What points."""

    MOUSE = "mouse", "Mouse"
    UPRIGHT = "upright", "Vertical mouse"
    HALF_UPRIGHT = "half_upright", "Semi-vertical mouse"
    BALL = "ball", "Trackball"
    CENTRAL = "central", "Central pointing device"
    PAD = "pad", "Trackpad"
    PEN = "pen", "Pen and tablet"


class PointerSpeed(Choice):
    """How far the pointer goes for the same movement of the hand."""

    SLOW = "slow", "Slow"
    MIDDLE = "middle", "Middle"
    FAST = "fast", "Fast"


class ScreenKind(Choice):
    """What is looked at."""

    MONITOR = "monitor", "Screen"
    LAPTOP = "laptop", "Laptop"
    TELEVISION = "television", "Television"


class AspectRatio(Choice):
    """Width of a picture to its height."""

    WIDE = "16:9", "16:9"
    TALLER = "16:10", "16:10"
    ULTRAWIDE = "21:9", "21:9"
    CLASSIC = "4:3", "4:3"
    SQUARISH = "5:4", "5:4"

    @property
    def ratio(self) -> float:
        """Width over height."""
        across, down = self.split(":")
        return int(across) / int(down)


class LaptopKeys(Choice):
    """What a laptop is typed on with."""

    OWN = "own", "Its own keys"
    SEPARATE = "separate", "Separate keys and mouse"


class ScreenHolder(Choice):
    """What holds a screen."""

    FIXED = "fixed", "Fixed foot"
    STAND = "stand", "Adjustable stand"
    ARM = "arm", "Arm"
    WALL = "wall", "Wall"


class StandsOn(Choice):
    """What a screen stands on."""

    DESK = "desk", "The desk"
    RISER = "riser", "A riser"
    STACK = "stack", "A stack"
    DECK = "deck", "Screen deck"


class ScreenUse(Choice):
    """How much a screen beside the main one is looked at."""

    EQUAL = "equal", "As much as the main one"
    SOME = "some", "Now and then"
    RARE = "rare", "Seldom"


class ScreenPlace(Choice):
    """Where a screen stands from the main one."""

    BESIDE = "beside", "Beside the main one"
    ABOVE = "above", "Above the main one"


PLATFORMS = frozenset({DeskKind.PLATFORM, DeskKind.CARRIER})
"""What stands on a fixed desk and carries the keys, and the screen with them or apart."""
FIXED_DESKS = frozenset({DeskKind.FIXED, DeskKind.COUNTER})
"""Desks with one height. Source: geometry."""
