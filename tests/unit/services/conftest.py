"""A practice in memory, empty or with the demo in it."""

from copy import deepcopy

import pytest

from plumb_demo.people import DEMO_MEMBERS
from unit.services.world import World


@pytest.fixture
def world(clock):
    return World(clock)


@pytest.fixture(scope="module")
def demo_world(loaded):
    world = deepcopy(loaded)
    owner = world.accounts_port.member_by_email(DEMO_MEMBERS[0].email)
    lines = {line.client.split()[0]: line for line in reversed(world.visits.visits(owner))}
    return world, owner, lines
