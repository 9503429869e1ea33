"""The interface described as OpenAPI."""

from __future__ import annotations

import re
from typing import Any

from fastapi import FastAPI

SPARSE = frozenset({"Problem", "HTTPValidationError", "ValidationError"})
"""Answers that leave out what they have nothing to say of."""


def describe(app: FastAPI) -> dict[str, Any]:
    """What FastAPI says, and that an answer always has all its parts, also those with a default."""
    described = app.openapi_schema
    if described is None:
        described = spec = FastAPI.openapi(app)
        shapes = spec["components"]["schemas"]
        asked = _reached([_bodies(spec)], shapes)
        for name, shape in shapes.items():
            if name not in asked | SPARSE and "properties" in shape:
                shape["required"] = list(shape["properties"])
    return described


def _bodies(spec: dict[str, Any]) -> list[Any]:
    return [
        call.get("requestBody", {}) for calls in spec["paths"].values() for call in calls.values()
    ]


def _reached(start: list[Any], shapes: dict[str, Any]) -> set[str]:
    """The shapes that something is made of."""
    texts: set[str] = set()
    left = start
    while left:
        names = set(re.findall(r"#/components/schemas/([\w.-]+)", repr(left))) - texts
        texts |= names
        left = [shapes[name] for name in names]
    return texts
