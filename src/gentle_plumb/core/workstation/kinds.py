"""Kinds of pieces and the answers to what they are like: generic, no makes."""

from __future__ import annotations

from ..choices import Choice
from ..language import msg


class ChairKind(Choice):
    """What is sat on."""

    TASK = "task", msg("Task chair")
    DINING = "dining", msg("Dining chair")
    STOOL = "stool", msg("Stool")
    SADDLE = "saddle", msg("Saddle stool")
    WHEELCHAIR = "wheelchair", msg("Wheelchair")
    BALL = "ball", msg("Ball")
    SOFA = "sofa", msg("Sofa or armchair")
    BED = "bed", msg("Bed")
    OTHER = "other", msg("Other")


BACKLESS = frozenset({ChairKind.STOOL, ChairKind.SADDLE, ChairKind.BALL})
"""Kinds of chair without anything to lean on."""
LOUNGES = frozenset({ChairKind.SOFA, ChairKind.BED})
"""Places to rest on that are worked on: nothing of them is set."""


class TiltLock(Choice):
    """What holds the back's angle."""

    LOCKS = "locks", msg("Locks")
    FREE = "free", msg("Rocks freely")
    BROKEN = "broken", msg("Broken")


class TiltTension(Choice):
    """How hard the back's spring pushes."""

    RIGHT = "right", msg("Follows and supports")
    LOOSE = "loose", msg("Gives way")
    STIFF = "stiff", msg("Pushes forward")


class LumbarKind(Choice):
    """How the lumbar support is set."""

    NONE = "none", msg("None")
    FIXED = "fixed", msg("Fixed")
    STEPS = "steps", msg("In steps")
    FREE = "free", msg("Without steps")


class NeckRest(Choice):
    """Whether the neck rest meets the neck."""

    NONE = "none", msg("None")
    MEETS = "meets", msg("Supports the neck")
    MISSES = "misses", msg("Pushes the head forward or misses the neck")


class ArmrestKind(Choice):
    """Whether there are armrests, and whether they can be set."""

    NONE = "none", msg("None")
    FIXED = "fixed", msg("Fixed")
    ADJUSTABLE = "adjustable", msg("Adjustable")


class Castors(Choice):
    """What the chair rolls on."""

    HARD = "hard", msg("For hard floor")
    CARPET = "carpet", msg("For carpet")
    GLIDES = "glides", msg("Glides")


class Stability(Choice):
    """How the chair stands."""

    FIRM = "firm", msg("Firm")
    WOBBLES = "wobbles", msg("Wobbles")
    TIPS = "tips", msg("Tips")


class GasSpring(Choice):
    """Whether the gas spring carries."""

    HOLDS = "holds", msg("Holds")
    SINKS = "sinks", msg("Sinks")
    BROKEN = "broken", msg("Broken")


class DeskKind(Choice):
    """What the work stands on."""

    FIXED = "fixed", msg("Fixed height")
    SIT_STAND = "sit_stand", msg("Sit-stand")
    PLATFORM = "platform", msg("Desktop converter, screen on its own deck")
    CARRIER = "carrier", msg("Desktop converter that lifts keys and screen together")
    COUNTER = "counter", msg("Kitchen or other counter")
    CART = "cart", msg("Wheeled cart")


class PlaceUse(Choice):
    """How one works at a place."""

    BOTH = "both", msg("Sitting, and standing where it moves")
    SIT = "sit", msg("Sitting only")
    STAND = "stand", msg("Standing only")


class UnderDesk(Choice):
    """What hangs over the thighs."""

    FREE = "free", msg("Free")
    DRAWER = "drawer", msg("Drawer")
    CROSSBAR = "crossbar", msg("Crossbar")


class DeskEdge(Choice):
    """The edge the forearms meet."""

    ROUNDED = "rounded", msg("Rounded")
    SHARP = "sharp", msg("Sharp")


class ToolHolder(Choice):
    """Where a cart's hand tool hangs."""

    REACH = "reach", msg("In reach")
    FAR = "far", msg("Out of reach")
    NONE = "none", msg("None")


class ArmTension(Choice):
    """Whether a cart's arm stays where it is put."""

    HOLDS = "holds", msg("Holds")
    DRIFTS = "drifts", msg("Drifts")
    STIFF = "stiff", msg("Too stiff")


class KeyboardKind(Choice):
    """Shape and width of the keyboard."""

    FULL = "full", msg("Full width")
    NO_NUMBER_BLOCK = "no_number_block", msg("Tenkeyless (no number pad)")
    COMPACT = "compact", msg("Compact")
    SPLIT = "split", msg("Split")
    TENTED = "tented", msg("Split, tented")


class TiltFeet(Choice):
    """The keyboard's feet."""

    IN = "in", msg("Folded in")
    OUT = "out", msg("Folded out")
    NONE = "none", msg("None")


class PointerKind(Choice):
    """What points."""

    MOUSE = "mouse", msg("Mouse")
    UPRIGHT = "upright", msg("Vertical mouse")
    HALF_UPRIGHT = "half_upright", msg("Semi-vertical mouse")
    BALL = "ball", msg("Trackball")
    CENTRAL = "central", msg("Central pointing device")
    PAD = "pad", msg("Trackpad")
    PEN = "pen", msg("Pen and tablet")


class PointerSpeed(Choice):
    """How far the pointer goes for the same movement of the hand."""

    SLOW = "slow", msg("Slow")
    MIDDLE = "middle", msg("Middle")
    FAST = "fast", msg("Fast")


class ScreenKind(Choice):
    """What is looked at."""

    MONITOR = "monitor", msg("Screen")
    LAPTOP = "laptop", msg("Laptop")
    TELEVISION = "television", msg("Television")


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

    OWN = "own", msg("Its own keys")
    SEPARATE = "separate", msg("Separate keys and mouse")


class ScreenHolder(Choice):
    """What holds a screen."""

    FIXED = "fixed", msg("Fixed foot")
    STAND = "stand", msg("Adjustable stand")
    ARM = "arm", msg("Arm")
    WALL = "wall", msg("Wall")


class StandsOn(Choice):
    """What a screen stands on."""

    DESK = "desk", msg("The desk")
    RISER = "riser", msg("A riser")
    STACK = "stack", msg("A stack")
    DECK = "deck", msg("Screen deck")


class ScreenUse(Choice):
    """How much a screen beside the main one is looked at."""

    EQUAL = "equal", msg("As much as the main one")
    SOME = "some", msg("Now and then")
    RARE = "rare", msg("Seldom")


class ScreenPlace(Choice):
    """Where a screen stands from the main one."""

    BESIDE = "beside", msg("Beside the main one")
    ABOVE = "above", msg("Above the main one")


PLATFORMS = frozenset({DeskKind.PLATFORM, DeskKind.CARRIER})
"""What stands on a fixed desk and carries the keys, and the screen with them or apart."""
FIXED_DESKS = frozenset({DeskKind.FIXED, DeskKind.COUNTER})
"""Desks with one height. Source: geometry."""
