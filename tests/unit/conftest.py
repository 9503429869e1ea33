"""The demo practice in memory, made once."""

import pytest

from conftest import Clock
from plumb_demo import load_demo
from unit.services.world import World


@pytest.fixture(scope="session")
def loaded():
    """The demo in a world of its own; whoever changes it copies it first."""
    world = World(Clock())
    load_demo(world.accounts_port, world.records, world.shelf, world.store, world.reports._clock)
    return world
