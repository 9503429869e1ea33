"""Working a visit through, and trying what would happen if something were otherwise."""

from .analyse import analyse_visit
from .analysis import VisitAnalysis
from .changes import SettingChange, day_strain, setting_changes
from .moved import moved_by_what_stands
from .serialization import JsonWhatIfSession, to_jsonable, visit_input_to_json
from .session import WhatIfRequest, WhatIfResult, WhatIfSession, as_found
from .visit_input import VisitInput, at_place, case_of
