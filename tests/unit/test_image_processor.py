"""What becomes of a picture: upright, without metadata, not too large; or a clear no."""

import struct
from concurrent.futures import ThreadPoolExecutor
from io import BytesIO
from threading import Lock

import pytest
from PIL import ExifTags, Image

from gentle_plumb.documents import PillowImageProcessor
from gentle_plumb.documents import image_processor as limits
from gentle_plumb.services.errors import BadPicture
from plumb_demo.photographs import Angles, field_of_view, photograph_side

RED, GREY = (200, 30, 30), (128, 128, 128)


def picture(width=800, height=600, kind="JPEG", turn=1, focal=None, **info):
    """A grey picture, red in its upper left quarter, with telling metadata."""
    image = Image.new("RGB", (width, height), GREY)
    image.paste(RED, (0, 0, width // 2, height // 2))
    exif = Image.Exif()
    exif[ExifTags.Base.Orientation] = turn
    exif[ExifTags.Base.Artist] = "Somebody"
    exif.get_ifd(ExifTags.IFD.GPSInfo)[ExifTags.GPS.GPSLatitude] = (50.0, 4.0, 1.0)
    if focal:
        exif.get_ifd(ExifTags.IFD.Exif)[ExifTags.Base.FocalLengthIn35mmFilm] = focal
    out = BytesIO()
    image.save(out, kind, exif=exif, **info)
    return out.getvalue()


def developed(data):
    made = PillowImageProcessor().develop(data)
    return made, Image.open(BytesIO(made.jpeg))


@pytest.mark.parametrize("kind", ["JPEG", "PNG", "WEBP"])
def test_hidden_metadata_is_gone(kind):
    data = picture(kind=kind, focal=30)
    assert b"Somebody" in data
    made, image = developed(data)
    assert b"Somebody" not in made.jpeg
    assert b"Exif" not in made.jpeg
    assert dict(image.getexif()) == {}
    assert (image.format, image.size) == ("JPEG", (800, 600))


@pytest.mark.parametrize(
    ("turn", "red_at"), [(1, (0, 0)), (3, (1, 1)), (6, (1, 0)), (8, (0, 1)), (2, (1, 0))]
)
def test_it_is_turned_upright_by_its_own_note(turn, red_at):
    made, image = developed(picture(turn=turn))
    assert (made.width, made.height) == ((600, 800) if turn in (6, 8) else (800, 600))
    for x in (0, 1):
        for y in (0, 1):
            at = image.getpixel((image.width * (1 + 2 * x) // 4, image.height * (1 + 2 * y) // 4))
            assert (at[0] > 170) == ((x, y) == red_at)


def test_large_ones_are_made_smaller_and_keep_their_shape():
    made, _ = developed(picture(4000, 3000))
    assert (made.width, made.height) == (2560, 1920)


def test_the_cameras_field_of_view_is_all_that_is_remembered():
    drawn = PillowImageProcessor().develop(photograph_side(Angles()).jpeg)
    assert drawn.fov_deg == pytest.approx(field_of_view())
    assert PillowImageProcessor().develop(picture()).fov_deg is None


@pytest.mark.parametrize(
    ("data", "words", "numbers"),
    [
        (b"", "JPEG, PNG or WebP", {}),
        (b"%PDF-1.7 not a picture", "JPEG, PNG or WebP", {}),
        (picture()[:900], "damaged", {}),
        (picture(300, 900), "least", {"value": 300, "low": 320, "unit": "px"}),
        (
            b"\0" * (limits.MOST_BYTES + 1),
            "the limit is 25.0 MB",
            {"value": limits.MOST_BYTES + 1, "high": limits.MOST_BYTES, "unit": "bytes"},
        ),
    ],
    ids=["empty", "pdf", "cut", "small", "heavy"],
)
def test_what_can_not_be_kept_is_refused_with_limit_and_unit(data, words, numbers):
    with pytest.raises(BadPicture, match=words) as refused:
        PillowImageProcessor().develop(data)
    assert {name: getattr(refused.value, name) for name in numbers} == numbers


def test_more_pixels_than_can_be_kept_are_not_even_decoded(monkeypatch):
    monkeypatch.setattr(limits, "MOST_PIXELS", 100_000)
    with pytest.raises(BadPicture, match="megapixels"):
        PillowImageProcessor().develop(picture())


def test_large_ones_are_unpacked_one_at_a_time(monkeypatch):
    monkeypatch.setattr(limits, "LARGE", 1000)
    at_once, most = 0, 0
    gate, unpack = Lock(), PillowImageProcessor._unpacked

    def watched(self, opened):
        nonlocal at_once, most
        with gate:
            at_once += 1
            most = max(most, at_once)
        result = unpack(self, opened)
        with gate:
            at_once -= 1
        return result

    monkeypatch.setattr(PillowImageProcessor, "_unpacked", watched)
    with ThreadPoolExecutor(4) as pool:
        sizes = [one.width for one in pool.map(PillowImageProcessor().develop, [picture()] * 8)]
    assert (sizes, most) == ([800] * 8, 1)


def test_what_trips_the_reader_up_is_told_not_thrown(monkeypatch):
    def trips(_):
        raise struct.error("unpack requires a buffer of 2 bytes")

    monkeypatch.setattr(limits.ImageOps, "exif_transpose", trips)
    with pytest.raises(BadPicture, match="damaged"):
        PillowImageProcessor().develop(picture())


def test_what_has_to_be_unpacked_whole_has_the_lower_limit(monkeypatch):
    monkeypatch.setattr(limits, "MOST_UNPACKED", 100_000)
    with pytest.raises(BadPicture, match="as PNG") as refused:
        PillowImageProcessor().develop(picture(kind="PNG"))
    assert (refused.value.value, refused.value.high) == (480_000, 100_000)
    assert developed(picture())[0].width == 800
