"""What the reference checks share: the demo wing through the command line."""
import csv
import io
import json
import subprocess
import sys
import tempfile
from pathlib import Path

CLI = sys.argv[1]
failures = []


def run(*args, codes=(0,)):
    done = subprocess.run([CLI, *map(str, args)], capture_output=True, text=True)
    if done.returncode not in codes:
        raise SystemExit(f"{args}: exit {done.returncode}: {done.stderr}")
    return done.stdout


def demo(folder, name="fenlark-1500", plain=False):
    """Its file; plain: without surfaces, and without what runs through its ribs."""
    path = Path(folder) / ("plain.euptera" if plain else "demo.euptera")
    text = run("demo", name)
    if plain:
        design = json.loads(text)
        for wing in design["wings"]:
            for panel in wing["panels"]:
                panel["surfaces"], panel["runs"], panel["hardPoints"] = [], [], []
        text = json.dumps(design)
    path.write_text(text)
    return path


def inner(text):
    """The decisions of the innermost panel, and those of the aircraft."""
    wing = json.loads(text)
    return {**wing, **wing["wings"][0]["panels"][0]}


def stations(path):
    return [{k: (float(v) if v and k not in ("kind",) else v) for k, v in row.items()} for row in csv.DictReader(io.StringIO(run("stations", path, "--csv")))]


def export(path, folder, kind, *more):
    return [Path(line) for line in run("export", path, "--to", folder, "--format", kind, *more).splitlines()]


def near(what, got, want, tolerance):
    if abs(got - want) > tolerance:
        failures.append(f"{what}: {got} instead of {want} ± {tolerance}")


def true(what, value):
    if not value:
        failures.append(what)


def finish():
    print("\n".join(failures) if failures else "agrees")
    sys.exit(1 if failures else 0)


def scratch():
    return tempfile.TemporaryDirectory()


def load(text):
    return json.loads(text)
