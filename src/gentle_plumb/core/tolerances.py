"""How near is the same: one set of tolerances for search, rows, findings and papers."""

SAME_MM = 0.5
"""Lengths nearer than this are the same to a tape, mm. Source: house-repeat."""
SAME_DEG = 0.5
"""Angles nearer than this are the same to a hand, degrees. Source: house-repeat."""
SAME_SHOWN = 0.5
"""Half of what a whole number shows, mm, degrees or per cent: less is not said. Source: house-repeat."""
ROUNDING = 1e-9
"""What the last bits of a sum may differ by. Source: geometry."""
END_ROUNDING = 1e-6
"""What the end of a band or a range may be missed by after several sums. Source: geometry."""
COST_DECIMALS = 6
"""Costs are rounded to so many decimals, so that equal ones compare as equal. Source: geometry."""
COST_ROUNDING = 10.0**-COST_DECIMALS
"""What a rounded cost may be off by. Source: geometry."""
BOUND_SLACK = 10 * COST_ROUNDING
"""A bound is a sum of rounded costs: less over the best so far does not rule a stretch out. Source: geometry."""
RANK_SLACK = 3 * BOUND_SLACK
"""Ranks whose leading parts are nearer are compared by what follows. Source: geometry."""
