"""What a practice keeps about measuring: lists, tables, and how well its members repeat a reading."""

from __future__ import annotations

import csv
import io
import math
from dataclasses import dataclass
from itertools import islice
from uuid import UUID

from ..core.body import (
    DIMENSIONS,
    SEXES,
    Precision,
    Sex,
    Spread,
    Table,
    dimension,
    in_order,
    precision_of,
)
from ..core.choices import one_of
from ..core.language import joined, msg, numeral
from ..core.units import LengthUnit, fine_length
from .account_ports import Accounts
from .errors import BadFile
from .models import ChangedList, MeasuringList, Member, NewList, NewTable, PopulationTable, TableRow
from .ports import Clock, MeasuringStore

TABLE_COLUMNS = ("dimension", "sex", "mean_mm", "sd_mm")
MOST_TABLE_LINES = 2000
LEAST_SD_MM, MOST_SD_SHARE = 1.0, 0.5
"""A standard deviation under 1 mm or over half the mean is no body's. House values."""


@dataclass(frozen=True, kw_only=True)
class PrecisionView:
    """How one member repeats one dimension, with its 90 % interval, and the error reckoned with from it.

    Every length is in the unit asked for; an open end is shown as such.
    """

    member: str
    dimension: str
    label: str
    pairs: int
    over_limit: int
    error: str
    low: str
    high: str
    reckoned: str


def as_core_table(kept: PopulationTable) -> Table:
    """A practice's table as the core reads it."""
    stats: dict[str, dict[Sex, Spread]] = {}
    r_stature: dict[str, float] = {}
    for row in kept.rows:
        stats.setdefault(row.dimension, {})[row.sex] = Spread(mean_mm=row.mean_mm, sd_mm=row.sd_mm)
        if row.r is not None:
            r_stature[row.dimension] = row.r
    return Table(name=kept.name, origin=kept.origin, stats=stats, r_stature=r_stature)


def read_table(text: str) -> tuple[TableRow, ...]:
    """Read a table of a population from CSV, checked line by line.

    Columns ``dimension, sex, mean_mm, sd_mm`` and, where known, ``r_stature``.

    Raises
    ------
    BadFile
        With every line that is wrong, its column and the reason; nothing is taken then.

    """
    whole = io.StringIO(text.removeprefix("\ufeff"), newline=None)  # any end of line
    reader = csv.DictReader(whole, skipinitialspace=True)
    try:
        columns, lines = reader.fieldnames or (), list(islice(reader, MOST_TABLE_LINES))
    except csv.Error as error:
        at = f"{reader.line_num + 1}"
        raise BadFile(
            msg("This file isn’t a reference data table."), [(at, "", str(error))]
        ) from None
    missing = [name for name in TABLE_COLUMNS if name not in columns]
    if missing:
        raise BadFile(
            msg("This file isn’t a reference data table."),
            [("1", joined(", ", missing), msg("column missing"))],
        )
    rows: list[TableRow] = []
    bad: list[tuple[str, str, str]] = []
    seen: set[tuple[str, str]] = set()
    for number, line in enumerate(lines, start=2):
        if number > MOST_TABLE_LINES:
            bad.append(
                (
                    str(number),
                    "",
                    msg("more than {most_table_lines} lines", most_table_lines=MOST_TABLE_LINES),
                )
            )
            break
        row, wrong = _table_line(
            {
                key: (value or "").strip()
                for key, value in line.items()
                if isinstance(key, str) and not isinstance(value, list)
            }
        )
        if row is not None and (row.dimension, row.sex) in seen:
            wrong = [
                (
                    "dimension",
                    msg(
                        "{dimension}, {sex} stands here twice", dimension=row.dimension, sex=row.sex
                    ),
                )
            ]
        bad += [(str(number), column, reason) for column, reason in wrong]
        if row is not None and not wrong:
            seen.add((row.dimension, row.sex))
            rows.append(row)
    if not rows and not bad:
        bad.append(("2", "", msg("no line with a dimension")))
    if bad:
        raise BadFile(msg("The table was not added."), bad)
    return tuple(rows)


def _table_line(line: dict[str, str]) -> tuple[TableRow | None, list[tuple[str, str]]]:
    wrong: list[tuple[str, str]] = []
    name, sex = line.get("dimension", ""), one_of(SEXES, line.get("sex"))
    if name not in DIMENSIONS:
        wrong.append(("dimension", msg("“{name}” is no dimension of the catalogue", name=name)))
    if sex is None:
        wrong.append(("sex", msg("“{get}” is neither female nor male", get=line.get("sex", ""))))
    numbers: dict[str, float | None] = {}
    for column in ("mean_mm", "sd_mm", "r_stature"):
        text = line.get(column, "")
        if column == "r_stature" and not text:
            numbers[column] = None
            continue
        try:
            value = float(text)
        except ValueError:
            value = math.nan
        if not math.isfinite(value):
            wrong.append((column, msg("“{text}” is no number", text=text)))
        numbers[column] = value
    if wrong or sex is None:
        return None, wrong
    mean, sd, r = numbers["mean_mm"] or 0.0, numbers["sd_mm"] or 0.0, numbers["r_stature"]
    entry = DIMENSIONS[name]
    if not entry.low_mm <= mean <= entry.high_mm:
        wrong.append(
            (
                "mean_mm",
                msg(
                    "{mean} mm is outside {low_mm} to {high_mm} mm",
                    mean=numeral(f"{mean:g}"),
                    low_mm=numeral(f"{entry.low_mm:g}"),
                    high_mm=numeral(f"{entry.high_mm:g}"),
                ),
            )
        )
    elif not LEAST_SD_MM <= sd <= MOST_SD_SHARE * mean:
        wrong.append(
            (
                "sd_mm",
                msg(
                    "{sd} mm is outside {least_sd_mm} to {most_sd_share} mm",
                    sd=numeral(f"{sd:g}"),
                    least_sd_mm=numeral(f"{LEAST_SD_MM:g}"),
                    most_sd_share=numeral(f"{MOST_SD_SHARE * mean:g}"),
                ),
            )
        )
    if r is not None and not 0 <= r <= 1:
        wrong.append(("r_stature", msg("{r} is outside 0 to 1", r=numeral(f"{r:g}"))))
    if wrong:
        return None, wrong
    return TableRow(dimension=name, sex=sex, mean_mm=mean, sd_mm=sd, r=r), []


class MeasuringService:
    """Lists, tables and precision of a practice."""

    def __init__(self, store: MeasuringStore, accounts: Accounts, clock: Clock) -> None:
        self._store, self._accounts, self._clock = store, accounts, clock

    def lists(self, member: Member) -> list[MeasuringList]:
        """The practice's own lists, by name."""
        return self._store.lists(member.practice_id)

    def add_list(self, member: Member, new_list: NewList) -> MeasuringList:
        """Keep a list, put into the order of measuring; the same id sent again makes no second one.

        Raises UnknownName, AlreadyThere.
        """
        return self._store.add_list(
            MeasuringList(
                id=new_list.id,
                practice_id=member.practice_id,
                name=new_list.name,
                dimensions=in_order(new_list.dimensions),
            )
        )

    def change_list(
        self, member: Member, list_id: UUID, changed_list: ChangedList
    ) -> MeasuringList:
        """Change one upon its version; raises also NotFound, Stale."""
        return self._store.change_list(
            MeasuringList(
                id=list_id,
                practice_id=member.practice_id,
                name=changed_list.name,
                dimensions=in_order(changed_list.dimensions),
                version=changed_list.version,
            )
        )

    def drop_list(self, member: Member, list_id: UUID) -> None:
        """Drop one; visits that name it go by the short list then. Raises NotAllowed, NotFound."""
        self._store.drop_list(member.practice_id, list_id)

    def tables(self, member: Member) -> list[PopulationTable]:
        """The tables the practice added, by name."""
        return self._store.tables(member.practice_id)

    def add_table(self, member: Member, table: NewTable) -> PopulationTable:
        """Take a table in; the same id sent again makes no second one. Raises BadFile, AlreadyThere."""
        return self._store.add_table(
            PopulationTable(
                id=table.id,
                practice_id=member.practice_id,
                name=table.name,
                origin=table.origin,
                rows=read_table(table.text),
                added_by=member.name,
                added_at=self._clock(),
            )
        )

    def drop_table(self, member: Member, table_id: UUID) -> None:
        """Drop one; visits that name it go by the program's own then. Raises NotAllowed, NotFound."""
        self._store.drop_table(member.practice_id, table_id)

    def precision(self, member: Member, unit: LengthUnit) -> list[PrecisionView]:
        """How every member repeats every dimension, by name and in the order of measuring."""
        names = {
            colleague.id: colleague.name for colleague in self._accounts.members(member.practice_id)
        }
        pairs: dict[tuple[UUID, str], list[float]] = {}
        for difference in self._store.differences(member.practice_id):
            pairs.setdefault((difference.member_id, difference.dimension), []).append(difference.mm)
        order = {name: index for index, name in enumerate(DIMENSIONS)}
        views = [
            PrecisionView(
                member=names.get(member_id, ""),
                dimension=name,
                label=dimension(name).label,
                pairs=precision.pairs,
                over_limit=precision.over_limit,
                error=fine_length(precision.error_mm, unit),
                low=fine_length(precision.low_mm, unit),
                high=fine_length(precision.high_mm, unit),
                reckoned=fine_length(
                    precision.held_against(DIMENSIONS[name].repeat_limit_mm), unit
                ),
            )
            for (member_id, name), differences in pairs.items()
            if name in DIMENSIONS and (precision := _precision(name, differences)) is not None
        ]
        return sorted(views, key=lambda view: (view.member, order[view.dimension]))

    def errors_of(self, member: Member) -> dict[str, float]:
        """The member's error of one reading by dimension, mm: what a new visit starts with."""
        pairs: dict[str, list[float]] = {}
        for difference in self._store.differences(member.practice_id, member.id):
            pairs.setdefault(difference.dimension, []).append(difference.mm)
        return {
            name: round(precision.held_against(DIMENSIONS[name].repeat_limit_mm), 3)
            for name, differences in pairs.items()
            if name in DIMENSIONS and (precision := _precision(name, differences)) is not None
        }


def _precision(name: str, differences: list[float]) -> Precision | None:
    return precision_of(differences, repeat_limit_mm=DIMENSIONS[name].repeat_limit_mm)
