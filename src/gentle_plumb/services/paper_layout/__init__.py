"""How a paper is laid out: once, for the page and for the PDF."""

from .blocks import PaperLayout, drawings_in
from .every import PaperLayouts, layout_of, layouts_of
