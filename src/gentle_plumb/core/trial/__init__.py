"""Working a visit through, and trying what would happen if something were otherwise."""

from .bench import Bench, Moved, TrialRequest, Tried, as_found, moved
from .plain import JsonBench, as_plain, given_from_plain, given_to_plain, request_from_plain
from .through import Given, Through, case_of, work_through

__all__ = [
    "Bench",
    "Given",
    "JsonBench",
    "Moved",
    "Through",
    "TrialRequest",
    "Tried",
    "as_found",
    "as_plain",
    "case_of",
    "given_from_plain",
    "given_to_plain",
    "moved",
    "request_from_plain",
    "work_through",
]
