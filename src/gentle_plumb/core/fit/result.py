"""What a fit answers with. Plain data: the same shapes go to the page, the file and the report."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any, Literal

from .joints import Joint
from .terms import Term

Posture = Literal["seated", "standing"]
LimitKind = Literal[
    "stops",
    "starts",
    "fixed",
    "steps",
    "thighs",
    "armrests",
    "hangs",
    "collides",
    "joined",
    "shallow",
    "wide",
    "low",
    "belly",
    "kept",
    "inside",
    "choice",
    "stays",
]
NO_LIMIT: frozenset[LimitKind] = frozenset({"collides", "kept", "inside", "choice", "stays"})
"""Kinds that don't keep a piece from where it belongs."""
RANGE_ENDS: frozenset[LimitKind] = frozenset({"stops", "starts", "fixed", "steps"})
"""Kinds that are the end of what a piece can do."""
Remedy = Literal["take_off", "turn_away", "lower", "keep_off"]
"""What is done with armrests that don't serve, in the place of a height."""
OUT_OF_THE_WAY: frozenset[Remedy] = frozenset({"take_off", "turn_away", "lower"})
"""Remedies after which they are not there."""
Status = Literal["holds", "off", "not_assessable"]


@dataclass(frozen=True, kw_only=True)
class Limit:
    """What keeps a setting of the quantity ``key`` from its target.

    ``piece`` ends at ``at``, in the quantity's unit; ``short`` is target less ``at``, so
    negative where the piece is too high or too far. ``kind`` says how: it stops, starts or is
    fixed there, it goes in steps, the thighs or the armrests are in the way, the feet would hang, it would meet the
    desk, it is joined to another piece, the desk is shallow, the keyboard wide, the mouse's shelf
    low, the belly keeps the desk from the keys; or it is no limit: left as found in its band, put inside
    its band and not on its end, left where it was found because moving it gains nothing, or a better choice.
    ``text`` is it in words, with lengths in mm, in what :func:`~.fit.fit` returns; empty while sets are compared.
    """

    key: str
    piece: str
    kind: LimitKind
    at: float
    short: float
    text: str = ""


@dataclass(frozen=True, kw_only=True)
class Cost:
    """What a joint pays: its angle, its band and how far outside it ends (0 inside), degrees."""

    joint: str
    angle: float
    low: float
    high: float
    excess_deg: float
    text: str


@dataclass(frozen=True, kw_only=True)
class FitRow:
    """One quantity of one posture.

    ``target`` is what body and policy ask for, with its terms, band and standard deviation;
    ``setting`` what the equipment can do of it; ``found`` what was there; ``change`` is setting
    less found. ``status`` compares found with the band: ``holds``, ``off``, or
    ``not_assessable`` with the ``reason``. ``shares`` is what each dimension contributes to ``sd``.
    ``remedy`` is what is done in the place of setting it, ``reason`` its words;
    ``note`` is what is said beside a setting, ``check`` the test on the person once it is set.
    """

    key: str
    posture: Posture
    label: str
    unit: Literal["mm", "deg", "%"]
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
    remedy: Remedy | None = None
    note: str = ""
    check: str = ""

    def replace(self, **otherwise: Any) -> FitRow:
        """The row with some fields otherwise: ``dataclasses.replace`` for thousands of rows."""
        row = object.__new__(FitRow)
        row.__dict__.update(self.__dict__, **otherwise)
        return row


@dataclass(frozen=True, kw_only=True)
class PostureFit:
    """All rows of one posture, and its joints as found and as set.

    ``over_found`` and ``over_set`` are the degrees outside the bands, of the joints that are known;
    ``untold_found`` and ``untold_set`` name those of elbow, knee and gaze that are not.
    """

    posture: Posture
    possible: bool
    why_not: str | None
    rows: tuple[FitRow, ...]
    joints_found: tuple[Joint, ...]
    joints_set: tuple[Joint, ...]
    over_found: float | None
    over_set: float | None
    untold_found: tuple[str, ...] = ()
    untold_set: tuple[str, ...] = ()

    def joint(self, name: str) -> Joint | None:
        """One joint as set; None where the posture has none of the name."""
        return next((joint for joint in self.joints_set if joint.joint == name), None)

    def setting(self, key: str) -> float | None:
        """What a row is set to; None where it can't be told."""
        return next((row.setting for row in self.rows if row.key == key), None)


@dataclass(frozen=True, kw_only=True)
class Move:
    """What changes between sitting and standing: from and to in mm, and what is done in words.

    ``to_stand`` is done on the way up, ``to_sit`` on the way back.
    """

    piece: str
    label: str
    seated: float | None = None
    standing: float | None = None
    to_stand: str = ""
    to_sit: str = ""

    @property
    def by(self) -> float | None:
        """How far it moves from sitting to standing, mm; None where it is no height."""
        if self.seated is None or self.standing is None:
            return None
        return self.standing - self.seated


@dataclass(frozen=True, kw_only=True)
class FitResult:
    """The whole answer: both postures, what moves between them, and what could not be judged.

    ``thigh_pressed_mm`` is the thigh room and ``foot_gap_mm`` the foot support that is lacking, mm.
    """

    seated: PostureFit
    standing: PostureFit
    notes: tuple[str, ...]
    moves: tuple[Move, ...] = ()
    thigh_pressed_mm: float = 0.0
    foot_gap_mm: float = 0.0

    def row(self, posture: Posture, key: str) -> FitRow:
        """One row; raises KeyError if there is none."""
        for row in self.of(posture).rows:
            if row.key == key:
                return row
        raise KeyError(f"{posture}.{key}")

    def of(self, posture: Posture) -> PostureFit:
        """One posture."""
        return self.seated if posture == "seated" else self.standing
