"""The house's rules that no linter holds: what crosses packages, and how large a file may grow."""

import ast
import re
from pathlib import Path

SOURCE = Path(__file__).parents[2] / "src"
CORE = SOURCE / "gentle_plumb" / "core"


def imports(file):
    """Every import of a file from the program's own packages: module path and names."""
    here = file.relative_to(SOURCE).with_suffix("").parts
    package = here[:-1]
    for node in ast.walk(ast.parse(file.read_text("utf-8"))):
        if isinstance(node, ast.ImportFrom):
            base = package[: len(package) - node.level + 1] if node.level else ()
            module = (*base, *(node.module or "").split("."))
            yield tuple(part for part in module if part), [alias.name for alias in node.names]


def names_bound_by(init):
    """What a package's ``__init__`` imports or defines without an underscore: its public surface."""
    for node in ast.parse(init.read_text("utf-8")).body:
        if isinstance(node, ast.ImportFrom):
            yield from (alias.asname or alias.name for alias in node.names)
        elif isinstance(node, ast.FunctionDef | ast.ClassDef):
            yield node.name
        elif isinstance(node, ast.Assign | ast.AnnAssign):
            targets = node.targets if isinstance(node, ast.Assign) else [node.target]
            names = [target.id for target in targets if isinstance(target, ast.Name)]
            yield from (name for name in names if not name.startswith("_"))


def test_packages_of_the_core_import_from_each_other_only_what_is_public():
    public = {}
    for package in CORE.iterdir():
        init = package / "__init__.py"
        if init.exists():
            public[package.name] = set(names_bound_by(init))
    crossed = []
    for file in SOURCE.rglob("*.py"):
        for module, names in imports(file):
            if module[:2] != ("gentle_plumb", "core") or len(module) < 3:
                continue
            name = module[2]
            inside = (CORE / name) in file.parents or name not in public
            fields = module[2:4] == ("record", "fields")  # each of its modules is a namespace
            if not inside and not fields and (len(module) > 3 or not set(names) <= public[name]):
                crossed.append((str(file.relative_to(SOURCE)), ".".join(module), names))
    assert crossed == []


def test_no_file_grows_too_long():
    root = SOURCE.parent
    longest = {CORE: 300, SOURCE: 400, root / "tests": 400, root / "web" / "src": 400}
    generated = {"schema.d.ts", "field-ids.ts"}
    long = [
        (str(file.relative_to(root)), lines)
        for folder, most in longest.items()
        for file in folder.rglob("*")
        if file.suffix in {".py", ".ts", ".tsx", ".css"} and file.name not in generated
        if (lines := len(file.read_text("utf-8").splitlines())) > most
    ]
    assert long == []


FLOORS = ("shared", "drawing", "features", "app")
"""The page from below: what stands on what."""


def test_the_page_imports_one_way_too():
    page = SOURCE.parent / "web" / "src"
    upward = []
    for file in page.rglob("*.ts*"):
        floor = file.relative_to(page).parts[0]
        if floor not in FLOORS:
            continue
        for target in re.findall(r'(?:from|import\() ?"([@./][^"]*)"', file.read_text("utf-8")):
            at = page / target[2:] if target.startswith("@/") else file.parent / target
            if not at.resolve().is_relative_to(page.resolve()):
                assert at.suffix in {".json", ".po"}, (file, target)  # the catalogues
                continue
            there = at.resolve().relative_to(page.resolve()).parts[0]
            if there in FLOORS and FLOORS.index(there) > FLOORS.index(floor):
                upward.append((str(file.relative_to(page)), target))
    assert upward == []
