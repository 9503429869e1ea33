"""What needs consent, and what a withdrawal erases."""

from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace

import pytest

from conftest import make_office, new_id
from contract.givens import CONSENT, agree, change, copies, photo, report
from gentle_plumb.services.errors import AlreadyThere, NeedsConsent, NotFound, Stale
from gentle_plumb.services.models import ErasureScope


def test_a_change_that_needs_consent_is_kept_only_with_it(ports, started, clock):
    office, _, visit = started
    note = change(visit, office.owner, path="look.note", typed="x", value="x", consent=CONSENT)
    with pytest.raises(NeedsConsent):
        ports[1].write(office.practice.id, note, clock())
    assert ports[1].load_snapshot(office.practice.id, visit.id).visit.revision == 0
    agree(ports, office, visit, clock)
    assert ports[1].write(office.practice.id, note, clock())[0].typed == "x"


def test_photographs_are_kept_once_with_consent_and_within_the_practice(ports, started, clock):
    office, _, visit = started
    taken = photo(visit, clock)
    keep = {"member_id": office.owner.id, "consent": CONSENT}
    with pytest.raises(NeedsConsent):
        ports[1].add_photo(office.practice.id, taken, b"jpg", **keep)
    agree(ports, office, visit, clock)
    assert ports[1].add_photo(office.practice.id, taken, b"jpg", **keep) == taken
    assert ports[1].add_photo(office.practice.id, taken, b"jpg", **keep) == taken
    assert ports[1].load_snapshot(office.practice.id, visit.id).visit.revision == 2
    with pytest.raises(AlreadyThere):
        ports[1].add_photo(office.practice.id, replace(taken, sha256="cd"), b"other", **keep)
    assert ports[1].photo(office.practice.id, taken.id) == (taken, b"jpg")
    assert ports[1].open(office.practice.id, visit.id)[4] == [taken]
    assert ports[1].load_snapshot(office.practice.id, visit.id).photos == (taken,)
    other = make_office(ports[0]).practice.id
    for look in (ports[1].photo, ports[1].drop_photo):
        with pytest.raises(NotFound):
            look(other, taken.id)
    with pytest.raises(NotFound):
        ports[1].add_photo(other, taken, b"jpg", **keep)


@pytest.mark.parametrize("how", ["withdrawn", "one dropped"])
def test_photographs_go_from_signed_copies_as_well(ports, started, clock, how):
    office, _, visit = started
    mine = office.practice.id
    agree(ports, office, visit, clock)
    taken = photo(visit, clock)
    ports[1].add_photo(mine, taken, b"jpg", member_id=office.owner.id, consent=CONSENT)
    signed = report(visit, clock, revision=2)
    ports[1].add_report(signed, copies(b"%PDF with it", without=b"%PDF without"))
    assert ports[1].report_pdf(mine, signed.id, "client")[1] == b"%PDF with it"
    if how == "withdrawn":
        gone = ErasureScope(starts=("look.photo.",), photos=True)
        agree(ports, office, visit, clock, value="withdrawn", version=1, erase=gone)
    else:
        ports[1].drop_photo(mine, taken.id)
    kept, pdf = ports[1].report_pdf(mine, signed.id, "client")
    assert pdf == b"%PDF without"
    assert kept.copies == {"client": copies(b"%PDF without")["client"].sha256}


def test_erasing_takes_values_texts_and_history_and_leaves_versions(ports, started, clock):
    office, _, visit = started
    agree(ports, office, visit, clock)
    taken = photo(visit, clock)
    ports[1].add_photo(
        office.practice.id, taken, b"jpg", member_id=office.owner.id, consent=CONSENT
    )
    ear = f"look.photo.{taken.id}.ear"
    placed = change(visit, office.owner, path=ear, typed="1 2", value="1.0 2.0")
    ports[1].write(office.practice.id, placed, clock())
    ports[1].write(office.practice.id, change(visit, office.owner), clock())
    agree(
        ports,
        office,
        visit,
        clock,
        "withdrawn",
        1,
        ErasureScope(starts=("look.photo.",), photos=True),
    )
    entries = {entry.path: entry for entry in ports[1].open(office.practice.id, visit.id)[2]}
    assert (entries[ear].value, entries[ear].typed, entries[ear].version) == (None, "", 2)
    assert entries["look.found.seat"].typed == "46 cm"
    assert ports[1].open(office.practice.id, visit.id)[4] == []
    with pytest.raises(Stale):
        ports[1].write(
            office.practice.id, replace(placed, id=new_id(), expected_version=1), clock()
        )


def test_a_dropped_photograph_takes_its_own_points_only(ports, started, clock):
    office, _, visit = started
    agree(ports, office, visit, clock)
    first, second = photo(visit, clock), photo(visit, clock)
    for one in (first, second):
        ports[1].add_photo(
            office.practice.id, one, b"j", member_id=office.owner.id, consent=CONSENT
        )
        placed = change(
            visit, office.owner, path=f"look.photo.{one.id}.ear", typed="1 2", value="1 2"
        )
        ports[1].write(office.practice.id, placed, clock())
    ports[1].drop_photo(office.practice.id, first.id)
    values = ports[1].load_snapshot(office.practice.id, visit.id).values
    assert (values[f"look.photo.{first.id}.ear"], values[f"look.photo.{second.id}.ear"]) == (
        None,
        "1 2",
    )
    assert ports[1].load_snapshot(office.practice.id, visit.id).photos == (second,)
    with pytest.raises(NotFound):
        ports[1].photo(office.practice.id, first.id)


def test_no_note_slips_in_beside_a_withdrawal(started_on_postgres):
    records, office, visit, clock = started_on_postgres
    notes = "ask.consent.notes"

    def put(path, typed, version=0, **more):
        records.write(
            office.practice.id,
            change(
                visit,
                office.owner,
                path=path,
                typed=typed,
                value=typed,
                expected_version=version,
                **more,
            ),
            clock(),
        )

    def write(number):
        try:
            put(f"ask.care.note{number}", "x", consent=notes)
        except NeedsConsent:
            return False
        return True

    put(notes, "yes")
    with ThreadPoolExecutor(8) as pool:
        before = [pool.submit(write, number) for number in range(12)]
        gone = pool.submit(put, notes, "withdrawn", 1, erase=ErasureScope(starts=("ask.care.",)))
        after = [pool.submit(write, number) for number in range(12, 40)]
        gone.result()
        kept = [job.result() for job in before + after]
    assert not write(99)
    values = records.load_snapshot(office.practice.id, visit.id).values
    assert {value for path, value in values.items() if path.startswith("ask.care.")} <= {None}
    assert sum(kept) < 40


def test_a_picture_sent_many_times_at_once_is_kept_once(started_on_postgres):
    records, office, visit, clock = started_on_postgres
    consent = change(visit, office.owner, path=CONSENT, typed="yes", value="yes")
    records.write(office.practice.id, consent, clock())
    taken = photo(visit, clock)

    def send(_):
        return records.add_photo(
            office.practice.id, taken, b"jpg", member_id=office.owner.id, consent=CONSENT
        )

    with ThreadPoolExecutor(8) as pool:
        assert set(pool.map(send, range(16))) == {taken}
    working = records.load_snapshot(office.practice.id, visit.id)
    assert (working.photos, working.visit.revision) == ((taken,), 2)
