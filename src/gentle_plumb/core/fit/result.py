"""What a fit answers with. Plain data: the same shapes go to the page, the file and the report."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from .joints import Joint
from .terms import Term

Posture = Literal["seated", "standing"]
LimitKind = Literal[
    "stops", "starts", "fixed", "thighs", "collides", "joined", "shallow", "wide", "choice"
]
Status = Literal["holds", "off", "not_assessable"]


@dataclass(frozen=True, kw_only=True)
class Limit:
    """What keeps a setting from its target.

    ``piece`` ends at ``at`` (mm, or degrees for a tilt); ``short`` is target less ``at``, so
    negative where the piece is too high or too far. ``kind`` says how: it stops, starts or is
    fixed there, the thighs are in the way, it would meet the desk, it is joined to another
    piece, the desk is shallow, the keyboard wide, or it is no limit but a better choice.
    """

    piece: str
    kind: LimitKind
    at: float
    short: float
    text: str


@dataclass(frozen=True, kw_only=True)
class Cost:
    """What a joint pays: its angle, its band and how far outside it ends (0 inside), degrees."""

    joint: str
    angle: float
    low: float
    high: float
    over: float
    text: str


@dataclass(frozen=True, kw_only=True)
class FitRow:
    """One quantity of one posture.

    ``target`` is what body and policy ask for, with its terms, band and standard deviation;
    ``setting`` what the equipment can do of it; ``found`` what was there; ``change`` is setting
    less found. ``status`` compares found with the band: ``holds``, ``off``, or
    ``not_assessable`` with the ``reason``. ``shares`` is what each dimension contributes to ``sd``.
    """

    key: str
    posture: Posture
    label: str
    unit: Literal["mm", "deg"]
    why: str
    status: Status
    reason: str | None = None
    target: float | None = None
    low: float | None = None
    high: float | None = None
    sd: float | None = None
    terms: tuple[Term, ...] = ()
    estimated: tuple[str, ...] = ()
    retake: str | None = None
    shares: tuple[tuple[str, float], ...] = ()
    setting: float | None = None
    limits: tuple[Limit, ...] = ()
    cost: Cost | None = None
    found: float | None = None
    change: float | None = None
    source: str = "house-chain"


@dataclass(frozen=True, kw_only=True)
class PostureFit:
    """All rows of one posture, and its joints as found and as set."""

    posture: Posture
    possible: bool
    why_not: str | None
    rows: tuple[FitRow, ...]
    joints_found: tuple[Joint, ...]
    joints_set: tuple[Joint, ...]
    over_found: float | None
    over_set: float | None


@dataclass(frozen=True, kw_only=True)
class FitResult:
    """The whole answer: both postures and notes about what could not be judged."""

    seated: PostureFit
    standing: PostureFit
    notes: tuple[str, ...]

    def row(self, posture: Posture, key: str) -> FitRow:
        """One row; raises KeyError if there is none."""
        rows = self.seated.rows if posture == "seated" else self.standing.rows
        for row in rows:
            if row.key == key:
                return row
        raise KeyError(f"{posture}.{key}")
