"""Instruments over their sockets: readings, low batteries, and everything a line can do wrong."""

import socketserver
from statistics import fmean, pstdev

import pytest

from gentle_plumb.core.body import DIMENSIONS, house_error
from gentle_plumb.core.units import parse_length
from gentle_plumb.devices import SocketInstrument, SocketLightMeter
from gentle_plumb.devices.light_stand_in import LightStandIn
from gentle_plumb.devices.stand_ins import LengthStandIn, address_of, listen
from gentle_plumb.hosting.run import stand_ins
from gentle_plumb.services.errors import NoAnswer

BODY = {"odile": dict.fromkeys(DIMENSIONS, 400.0)}


@pytest.fixture
def on_line():
    servers = []

    def start(talker):
        servers.append(listen(talker))
        return address_of(servers[-1])

    yield start
    for server in servers:
        server.shutdown()
        server.server_close()


@pytest.fixture
def light(on_line):
    stand_in = LightStandIn()
    return stand_in, SocketLightMeter(on_line(stand_in))


@pytest.fixture
def tape(on_line):
    stand_in = LengthStandIn("tape", dict(BODY), troubles=False)
    return stand_in, SocketInstrument("tape", on_line(stand_in))


def read(instrument, dimension="popliteal_height"):
    return instrument.read(subject="odile", dimension=dimension)


def test_light_is_that_of_an_office_with_passing_clouds(light):
    lux = [light[1].read().lux for _ in range(30)]
    assert all(240 < value < 400 for value in lux)
    assert len(set(lux)) > 10


def test_a_low_battery_is_said_with_the_light(light):
    warnings = [light[1].read().warning for _ in range(41)]
    assert (warnings[0], warnings[-1]) == (None, "Its battery is low.")


@pytest.mark.parametrize(
    ("trouble", "words"), [("garbage", "isn’t a reading"), ("hang_up", "disconnected")]
)
def test_a_bad_line_is_no_reading_and_the_next_one_is(light, trouble, words):
    stand_in, meter = light
    stand_in.trouble = trouble
    with pytest.raises(NoAnswer, match=words):
        meter.read()
    assert meter.read().lux > 0


def test_light_out_of_range_is_refused(light, monkeypatch):
    monkeypatch.setattr(light[0], "answer", lambda _: b"LUX 999999\n")
    with pytest.raises(NoAnswer, match="outside 0 to 200000"):
        light[1].read()


def test_readings_scatter_as_a_hand_does(tape):
    mm = [parse_length(read(tape[1]).typed) for _ in range(120)]
    assert fmean(mm) == pytest.approx(400, abs=1)
    assert pstdev(mm) == pytest.approx(house_error(8), rel=0.25)


@pytest.mark.parametrize(
    ("unit", "shape"), [("mm", r"\d{3} mm"), ("cm", r"\d\d\.\d cm"), ("in", r"1\d\.\d{3} in")]
)
def test_a_reading_comes_in_the_unit_the_instrument_is_set_to(tape, unit, shape):
    import re

    assert tape[1].set_unit(unit).unit == unit
    typed = read(tape[1]).typed
    assert re.fullmatch(shape, typed)
    assert parse_length(typed) == pytest.approx(400, abs=15)


def test_troubles_of_the_line_and_what_becomes_of_them(tape):
    stand_in, instrument = tape
    stand_in.answer(b"FAULT drop\n")
    with pytest.raises(NoAnswer, match="disconnected"):
        read(instrument)
    stand_in.answer(b"FAULT garbage\n")
    noisy = read(instrument)
    assert "signal was unclear" in noisy.warning
    assert parse_length(noisy.typed) == pytest.approx(400, abs=15)
    assert read(instrument).warning is None
    stand_in.answer(b"FAULT low\n")
    assert "battery is at 9 %" in read(instrument).warning
    assert "battery is at" in instrument.state().warning
    with pytest.raises(NoAnswer, match="nothing to measure"):
        read(instrument, "wingspan")


def test_with_its_troubles_on_it_mostly_works_and_sometimes_slips(on_line):
    instrument = SocketInstrument("rod", on_line(LengthStandIn("rod", dict(BODY))))
    good, failed = [], 0
    for _ in range(250):
        try:
            good.append(parse_length(read(instrument).typed))
        except NoAnswer:
            failed += 1
    assert 0 < failed < 15
    assert 0 < sum(abs(mm - 400) > 15 for mm in good) < 30


def test_somebody_unknown_has_a_body_of_their_own_that_stays(tape):
    stand_in, _ = tape
    first, again, other = (stand_in._body(who) for who in ("a", "a", "b"))
    assert first == again != other


class Babble(socketserver.StreamRequestHandler):
    def handle(self):
        self.rfile.readline()
        self.wfile.write(b"hello\n" * 9)


def test_endless_babble_nobody_there_and_none_set_up():
    server = socketserver.ThreadingTCPServer(("127.0.0.1", 0), Babble)
    address = address_of(server)
    import threading

    threading.Thread(target=server.serve_forever, args=(0.02,), daemon=True).start()
    with pytest.raises(NoAnswer, match="isn’t a reading"):
        read(SocketInstrument("tape", address))
    server.shutdown()
    server.server_close()
    with pytest.raises(NoAnswer, match="not responding"):
        SocketInstrument("tape", address).state()
    with pytest.raises(NoAnswer, match="No height rod connected"):
        SocketInstrument("rod", "").state()
    with pytest.raises(NoAnswer, match="No light meter"):
        SocketLightMeter("").read()


def test_the_stand_ins_are_a_process_of_their_own_that_ends_with_its_input(tmp_path):
    with stand_ins(BODY, tmp_path / "inbox") as addresses:
        assert set(addresses) == {"tape", "rod", "light_meter", "desk", "mail"}
        rod = SocketInstrument("rod", addresses["rod"])
        assert rod.state().unit == "cm"
        assert parse_length(read(rod, "stature").typed) == pytest.approx(400, abs=60)
        assert SocketLightMeter(addresses["light_meter"]).read().lux > 0
    with pytest.raises(NoAnswer):
        rod.state()
