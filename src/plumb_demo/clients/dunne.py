"""Mirela Dunne: tide tables, desk 9."""

from __future__ import annotations

from ..people import DemoClient

DUNNE = DemoClient(
    name="Mirela Dunne",
    sex="female",
    work="Tide tables, desk 9",
    stature=1701,
    days_ago=0,
    by=0,
    until="new",
    before=((148, {}),),
)
