"""What was worked out for a visit is kept a minute, and never past an erasure."""

from collections.abc import Callable
from uuid import uuid4

from gentle_plumb.services.visit_reuse import KEPT_S, VisitReuse


class Clock:
    def __init__(self) -> None:
        self.now = 0.0
        self.waiting: list[tuple[float, Callable[[], None]]] = []

    def __call__(self) -> float:
        return self.now

    def later(self, seconds: float, call: Callable[[], None]) -> None:
        self.waiting.append((self.now + seconds, call))

    def run_to(self, now: float) -> None:
        self.now = now
        due = [call for at, call in self.waiting if at <= now]
        self.waiting = [(at, call) for at, call in self.waiting if at > now]
        for call in due:
            call()


def test_a_visit_is_let_go_a_minute_after_its_last_request() -> None:
    clock = Clock()
    kept = VisitReuse(later=clock.later, clock=clock)
    client, visit = uuid4(), uuid4()
    first = kept.of(client, visit)
    clock.run_to(KEPT_S / 2)
    assert kept.of(client, visit) is first
    clock.run_to(KEPT_S)
    assert kept.of(client, visit) is first  # asked for half a minute ago
    clock.run_to(2 * KEPT_S)
    clock.run_to(3 * KEPT_S)
    assert clock.waiting == []  # nothing is kept, so nothing waits
    assert kept.of(client, visit) is not first


def test_an_erased_client_and_an_erased_visit_are_let_go_at_once() -> None:
    kept = VisitReuse(later=None)
    client, other = uuid4(), uuid4()
    mine, again, theirs = uuid4(), uuid4(), uuid4()
    held = {visit: kept.of(client, visit) for visit in (mine, again)}
    stays = kept.of(other, theirs)
    kept.drop(mine)
    assert kept.of(client, mine) is not held[mine]
    assert kept.of(client, again) is held[again]
    kept.drop(client)
    assert kept.of(client, again) is not held[again]
    assert kept.of(other, theirs) is stays


def test_only_the_latest_visits_are_kept() -> None:
    kept = VisitReuse(most=2, later=None)
    client, visits = uuid4(), [uuid4() for _ in range(3)]
    held = [kept.of(client, visit) for visit in visits]
    assert kept.of(client, visits[2]) is held[2]
    assert kept.of(client, visits[1]) is held[1]
    assert kept.of(client, visits[0]) is not held[0]
