"""The light meter over its socket: readings, a low battery, and everything a line can do wrong."""

import pytest

from gentle_plumb.devices import LightStandIn, SocketLightMeter
from gentle_plumb.services.errors import NoAnswer


@pytest.fixture
def stand_in():
    made = LightStandIn()
    made.start()
    yield made
    made.stop()


def test_readings_are_those_of_an_office_with_passing_clouds(stand_in):
    meter = SocketLightMeter(stand_in.address)
    read = [meter.read().lux for _ in range(30)]
    assert all(240 < lux < 400 for lux in read)
    assert len(set(read)) > 10


def test_a_low_battery_is_said_with_the_reading(stand_in):
    meter = SocketLightMeter(stand_in.address)
    warnings = [meter.read().warning for _ in range(41)]
    assert warnings[0] is None
    assert warnings[-1] == "Its battery is low."


@pytest.mark.parametrize(
    ("trouble", "words"), [("garbage", "no reading"), ("hang_up", "no reading")]
)
def test_a_bad_line_is_no_reading_and_the_next_one_is(stand_in, trouble, words):
    meter = SocketLightMeter(stand_in.address)
    stand_in.trouble = trouble
    with pytest.raises(NoAnswer, match=words):
        meter.read()
    assert meter.read().lux > 0


def test_nobody_there_and_none_set_up(stand_in):
    address = stand_in.address
    stand_in.stop()
    with pytest.raises(NoAnswer, match="does not answer"):
        SocketLightMeter(address).read()
    with pytest.raises(NoAnswer, match="set up"):
        SocketLightMeter("").read()
    assert stand_in.answer(b"HELLO\n") == b"ERR unknown\n"


def test_light_out_of_range_is_refused(stand_in, monkeypatch):
    monkeypatch.setattr(stand_in, "answer", lambda _: b"LUX 999999\n")
    with pytest.raises(NoAnswer, match="outside 0 to 200000"):
        SocketLightMeter(stand_in.address).read()
