"""A case: everything the fit works on, and nothing else."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from ..body import Body
from ..errors import MissingInput
from ..workstation import Details, Settings, Workstation
from .policies import Policy

Lens = Literal["none", "progressive", "bifocal"]


@dataclass(frozen=True, kw_only=True)
class Case:
    """A person at a workstation. Shoes and mat in mm; hours per task and day.

    ``details`` are drawn, not fitted.
    """

    body: Body
    workstation: Workstation = Workstation()
    found_seated: Settings = Settings()
    found_standing: Settings = Settings()
    shoe_seated: float | None = None
    shoe_standing: float | None = None
    mat: float = 0.0
    lower_lens: Lens = "none"
    hours: Mapping[str, float] = field(default_factory=dict)
    policy: Policy = Policy()
    details: Details = Details()

    def shoe(self) -> float:
        """Heel of the shoe worn when seated, mm; raises MissingInput where not recorded."""
        if self.shoe_seated is None:
            raise MissingInput("shoe_seated", "Footwear when seated is not recorded.")
        return self.shoe_seated

    def raised(self) -> float:
        """How far shoe and mat lift a standing body, mm; raises MissingInput likewise."""
        if self.shoe_standing is None:
            raise MissingInput("shoe_standing", "Footwear when standing is not recorded.")
        return self.shoe_standing + self.mat

    def keyboard_thickness(self) -> float:
        """Thickness at the home row, mm; raises MissingInput where not recorded."""
        thickness = self.workstation.keyboard.thickness
        if thickness is None:
            raise MissingInput("keyboard_thickness", "The keyboard's thickness is not recorded.")
        return thickness
