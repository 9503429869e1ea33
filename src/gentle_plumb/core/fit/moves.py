"""What has to move between sitting and standing."""

from __future__ import annotations

from ..catalogue import QUANTITIES
from ..language import msg, numeral
from ..tolerances import SAME_MM
from ..workstation import ScreenKind, Settings
from .case import Case
from .result import OUT_OF_THE_WAY, Move, PostureFit

RISER_IN, RISER_OUT = msg("put it in place"), msg("remove it again")
SCREEN_BACK = msg("lower it to the seated height")
CHAIR_AWAY = msg("move it well away, never behind the heels")
CHAIR_BACK = msg("bring it back in, with the castors locked where they can be")
MAT_DOWN, MAT_AWAY = msg("put it down"), msg("move it away, so that the chair rolls freely")


def moves_between(case: Case, seated: PostureFit, standing: PostureFit) -> tuple[Move, ...]:
    """Every piece that is moved to stand up, the desk first; empty where nobody stands.

    Parameters
    ----------
    case : Case
    seated, standing : PostureFit
        Both postures as set.

    """
    desk = case.workstation.desk
    if not (standing.possible and seated.possible) or desk.kind != "sit_stand":
        return ()
    low, high = seated.setting("surface"), standing.setting("surface")
    if low is None or high is None:
        return ()
    moves = [
        Move(
            piece="surface",
            label=msg("Keyboard surface")
            if desk.form in ("platform", "carrier", "cart", "tray")
            else msg("Desk"),
            seated=low,
            standing=high,
        )
    ]
    top, top_up = seated.setting("screen_top"), standing.setting("screen_top")
    if top is not None and top_up is not None and case.workstation.screen.kind != ScreenKind.LAPTOP:
        apart = desk.screen_base is not None or case.workstation.screen.on_wall
        over = (top, top_up) if apart else (top - low, top_up - high)
        riser = riser_at(case, over)
        if riser:
            moves.append(
                Move(
                    piece="riser",
                    label=msg("Under the screen"),
                    seated=0.0,
                    standing=riser,
                    to_stand=RISER_IN,
                    to_sit=RISER_OUT,
                )
            )
            over = over[0], over[1] - riser
        if abs(over[1] - over[0]) > SAME_MM:
            label = (
                msg("Screen top over the floor") if apart else msg("Top of screen above the desk")
            )
            moves.append(
                Move(
                    piece="screen",
                    label=label,
                    seated=over[0],
                    standing=over[1],
                    to_sit=SCREEN_BACK,
                )
            )
    far = seated.setting("distance"), standing.setting("distance")
    if far[0] is not None and far[1] is not None and abs(far[0] - far[1]) > SAME_MM:
        moves.append(
            Move(piece="distance", label=msg("Eye to screen"), seated=far[0], standing=far[1])
        )
    slopes = seated.setting("slope"), standing.setting("slope")
    if slopes[0] is not None and slopes[1] is not None and abs(slopes[0] - slopes[1]) > 1:
        moves.append(
            Move(
                piece="slope",
                label=msg("Keyboard slope"),
                to_stand=msg("{slopes}° standing", slopes=numeral(f"{slopes[1]:.0f}")),
                to_sit=msg("{slopes}° seated", slopes=numeral(f"{slopes[0]:.0f}")),
            )
        )
    moves.append(Move(piece="chair", label=msg("Chair"), to_stand=CHAIR_AWAY, to_sit=CHAIR_BACK))
    if case.mat:
        moves.append(Move(piece="mat", label=msg("Mat"), to_stand=MAT_DOWN, to_sit=MAT_AWAY))
    if (
        case.shoe_seated is not None
        and case.shoe_standing is not None
        and abs(case.shoe_seated - case.shoe_standing) > 10
    ):
        moves.append(
            Move(
                piece="shoes",
                label=msg("Shoes"),
                seated=case.shoe_seated,
                standing=case.shoe_standing,
            )
        )
    return tuple(moves)


def riser_at(case: Case, over: tuple[float, float]) -> float:
    """How high what goes under the screen for standing is, mm; 0 where nothing does.

    Parameters
    ----------
    case : Case
    over : tuple of float
        The picture's top over what the screen stands on, seated and standing, mm.

    """
    screen = case.workstation.screen
    span, lift = screen.riser_standing, screen.top_above_surface
    if span is None or lift is None:
        return 0.0
    seated, standing = over

    def apart(place: float) -> tuple[float, float]:
        stand = lift.clamp(standing - place)
        return round(abs(stand + place - standing), 3), abs(stand - seated)

    return min(span.places() or (span.clamp(standing - seated),), key=apart)


def settings_of(fit: PostureFit) -> Settings:
    """The settings a fit aims at."""
    known = Settings.__dataclass_fields__
    return Settings(
        **{
            row.key: 0.0 if row.remedy in OUT_OF_THE_WAY else row.setting
            for row in fit.rows
            if row.key in known and not QUANTITIES[row.key].built_in
        }
    )
