"""Results in words and numbers ready to be shown: the same for the page, the file and the report."""

from .actions import ActionView, action_text, action_views
from .causes import CauseView, cause_views
from .desk import GazeView, LaptopView, ZoneView, gaze_views, laptop_views, zone_views
from .hard_limits import hard_limit_words
from .headline import headline
from .joints import JointView, joint_views
from .money import Money, cost_text
from .movements import MovementView, ProgrammeView, programme_view
from .moves import MoveView, StackView, move_views, stack_view
from .offers import OfferView, offer_views
from .origins import elsewhere_text
from .pair import PairView, pair_view
from .plans import PlanView, PurchaseView, plan_view, plan_views
from .row_parts import apart_text, chosen_otherwise, plain, terms_words, value_text
from .rows import RowView, chance_in_band, row_view
from .settle import SettleView, settle_view, settles_at
from .states import StateView
from .working_day import DayView, RhythmView, day_view, rhythm_views
