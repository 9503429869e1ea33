"""The demo practice: made-up people at a made-up hydrographic office."""

from .load import load_demo
