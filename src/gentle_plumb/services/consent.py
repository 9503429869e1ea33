"""Which consent a field needs, and what withdrawing one takes with it."""

from __future__ import annotations

from ..core.language import msg
from ..core.record import FAMILIES, FIELDS, Field, fields
from ..core.record.fields.photo import PHOTO_FAMILY
from .models import ErasureScope

NOTES, PHOTOGRAPHS, WORKPLACE = (
    fields.ask.consent[name].id for name in ("notes", "photographs", "workplace")
)

NEEDED_FOR = {
    NOTES: msg(
        "No consent to health notes recorded. Record it under Consent; your entry is kept here and sent then."
    ),
    PHOTOGRAPHS: msg(
        "No consent to photos recorded. Record it under Ask, Consent, then add the photo."
    ),
}


def consent_for(field: Field[object]) -> str | None:
    """The path of the consent a field is kept with, None for most."""
    if field.section == "photos" and not field.health:
        return PHOTOGRAPHS
    return NOTES if field.health and field.id not in fields.ask.RED_FLAG_PATHS else None


def everywhere(path: str) -> tuple[str, ...]:
    """Return a path, and what it is at the further places of a visit."""
    if not path.startswith(("look.", "work.", "set.")):
        return (path,)
    further = tuple(f"{fields.places.PLACE}.{id}.{path}" for id in fields.places.FURTHER)
    return (path, *further)


def erased_by(path: str, value: object) -> ErasureScope | None:
    """What a consent set to this value takes with it; ``None``: the answer was taken back."""
    if value not in ("no", "withdrawn", None):
        return None
    if path == NOTES:
        paths = [field.id for field in FIELDS.values() if field.health]
        families = [field.id for field in FAMILIES.values() if field.health]
        return ErasureScope(
            paths=tuple(at for path in paths for at in everywhere(path)),
            families=tuple(at for path in families for at in everywhere(path)),
            answers=True,
        )
    if path == PHOTOGRAPHS:
        return ErasureScope(starts=(f"{PHOTO_FAMILY}.",), photos=True)
    return None
