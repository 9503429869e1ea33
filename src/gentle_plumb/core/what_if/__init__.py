"""Working a visit through, and trying what would happen if something were otherwise."""

from .analysis import VisitAnalysis, VisitInput, analyse_visit, case_of
from .serialization import (
    JsonWhatIfSession,
    request_from_json,
    to_jsonable,
    visit_input_from_json,
    visit_input_to_json,
)
from .session import (
    SettingChange,
    WhatIfRequest,
    WhatIfResult,
    WhatIfSession,
    as_found,
    setting_changes,
)

__all__ = [
    "JsonWhatIfSession",
    "SettingChange",
    "VisitAnalysis",
    "VisitInput",
    "WhatIfRequest",
    "WhatIfResult",
    "WhatIfSession",
    "analyse_visit",
    "as_found",
    "case_of",
    "request_from_json",
    "setting_changes",
    "to_jsonable",
    "visit_input_from_json",
    "visit_input_to_json",
]
