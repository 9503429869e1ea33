"""Where the top of the picture belongs: each school's band, all in the same currency.

Heights count from the eye, up positive, mm. ``d`` is the eye's distance to the picture, ``h`` the
picture's height::

    top edge        top at the eye, -50 to 0
    top third       eye at h/6 under the top, 0 to h/3
    middle third    eye at h/2, h/3 to 2h/3
    gaze drop       centre d tan 15 under the eye, 10 to 20 degrees
    eyes alone      top not over the eye, bottom not more than 30 degrees under it
"""

from __future__ import annotations

from dataclasses import dataclass, replace
from math import radians, tan

from ..errors import MissingInput
from ..language import msg
from ..policy import Policy, ScreenRule
from ..posture import gaze_deg
from .case import Case

GAZE_DROP_LEAST_DEG, GAZE_DROP_MOST_DEG = 10.0, 20.0
"""Band of the gaze to the picture's centre. Source: house-screen."""

INSIDE_MM = 25.0
"""How far inside its band a picture is put, where there is room: so that the tape and a slack back may
err without leaving it, mm. Source: house-screen."""

RULE_LABELS: dict[ScreenRule, str] = {
    "top_edge": msg("top edge at the eye"),
    "top_third": msg("eyes at the top third"),
    "middle_third": msg("eyes at the middle third"),
    "gaze_drop": msg("centre under the eye line"),
    "eyes_alone": msg("whole screen readable by eye movement"),
}


@dataclass(frozen=True, kw_only=True)
class TopBand:
    """Wanted top edge over the eye, mm: the target in its band."""

    low: float
    target: float
    high: float

    @property
    def aim(self) -> float:
        """Where a free picture is put: the target, kept away from the band's ends.

        >>> TopBand(low=-50, target=0, high=0).aim
        -25.0
        """
        inside = min(INSIDE_MM, (self.high - self.low) / 2)
        return min(max(self.target, self.low + inside), self.high - inside)


def rule_band(policy: Policy, *, height: float | None, distance: float) -> TopBand:
    """The band of the policy's screen rule.

    Parameters
    ----------
    policy : Policy
    height : float or None
        The picture's height, mm; the top-edge rule alone does without.
    distance : float
        Eye to picture, mm.

    Raises
    ------
    MissingInput
        If the rule needs the picture's height and it is not recorded.

    Examples
    --------
    >>> band = rule_band(Policy(screen_rule="top_third"), height=300, distance=625)
    >>> band.low, band.target, band.high
    (0.0, 50.0, 100.0)

    """
    rule = policy.screen_rule
    if rule == "top_edge":
        return TopBand(
            low=policy.screen_top_low, target=policy.screen_top_high, high=policy.screen_top_high
        )
    if height is None:
        raise MissingInput("screen_size", msg("The size of the screen is not recorded."))
    if rule == "top_third":
        return TopBand(low=0.0, target=height / 6, high=height / 3)
    if rule == "middle_third":
        return TopBand(low=height / 3, target=height / 2, high=height * 2 / 3)
    if rule == "gaze_drop":
        low, target, high = (
            height / 2 - distance * tan(radians(drop))
            for drop in (GAZE_DROP_MOST_DEG, policy.gaze_drop_deg, GAZE_DROP_LEAST_DEG)
        )
        return TopBand(low=low, target=target, high=high)
    lowest = height - distance * tan(radians(policy.lowest_gaze_deg))
    return TopBand(low=min(lowest, 0.0), target=0.0, high=0.0)


def lens_drop(case: Case, distance: float) -> float:
    """How far under the eye the top has to lie for the lower lens, mm; 0 where it need not."""
    policy = case.policy
    if case.lower_lens == "none" or policy.lens_answer == "glasses":
        return 0.0
    degrees = (
        policy.lens_drop_progressive_deg
        if case.lower_lens == "progressive"
        else policy.lens_drop_bifocal_deg
    )
    return distance * tan(radians(degrees))


def top_band(case: Case, distance: float) -> TopBand:
    """The band for this client: the rule's, lowered where a lower lens asks for it.

    Raises MissingInput as :func:`rule_band` does.
    """
    band = rule_band(case.policy, height=case.workstation.screen.picture_height, distance=distance)
    drop = lens_drop(case, distance)
    if not drop:
        return band
    down = max(0.0, band.high + drop)
    return TopBand(low=band.low - down, target=min(band.target, -drop), high=band.high - down)


@dataclass(frozen=True, kw_only=True)
class RuleGaze:
    """What one rule comes to: top over the eye (mm) and gaze to top, centre and bottom, degrees."""

    rule: str
    label: str
    top: float
    to_top: float
    to_centre: float
    to_bottom: float


def gaze_by_rule(case: Case, distance: float) -> tuple[RuleGaze, ...]:
    """Every rule in the same currency, so that two practitioners see how far apart they are.

    Raises MissingInput where the picture's height is not recorded.
    """
    height = case.workstation.screen.picture_height
    gazes = []
    for rule, label in RULE_LABELS.items():
        own = replace(case, policy=replace(case.policy, screen_rule=rule))
        if height is None:
            raise MissingInput("screen_size", msg("The size of the screen is not recorded."))
        top = top_band(own, distance).target
        gazes.append(
            RuleGaze(
                rule=rule,
                label=label,
                top=top,
                to_top=gaze_deg(above_eye=top, distance=distance),
                to_centre=gaze_deg(above_eye=top - height / 2, distance=distance),
                to_bottom=gaze_deg(above_eye=top - height, distance=distance),
            )
        )
    return tuple(gazes)
