"""What practitioners choose: bands, policies, and the schools they come from."""

from .bands import JOINT_BANDS, Band, judged_excess
from .policy import POLICY_RANGES, Policy, ScreenRule, with_values
from .questions import POLICY_QUESTIONS, PolicyQuestion
from .rule_sets import (
    STANDING,
    RuleSet,
    check_rule_set,
    defaults,
    policy_of,
    question_of,
    standing_policy_of,
)
