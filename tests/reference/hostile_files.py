"""Hundreds of damaged wing files and coordinate lists: the command line always answers, and never falls over.

The damage is drawn with a fixed seed, so that a failure can be looked at again.
"""
import json
import random
import subprocess
from pathlib import Path

from common import CLI, demo, finish, run, scratch, true

RANDOM = random.Random(20261125)
ODD = [0, -1, 1e308, -1e308, 1e-308, 4e9, "", "text", None, True, [], {}, [[]], {"naca": 7}, "\u0000", "9" * 300]


def answers(what, *args):
    """Runs to an end within the time, by an exit code of its own, and says something when it refuses."""
    try:
        done = subprocess.run([CLI, *map(str, args)], capture_output=True, timeout=20)
    except subprocess.TimeoutExpired:
        true(f"{what}: no answer", False)
        return
    true(f"{what}: exit {done.returncode}", done.returncode in (0, 1, 2, 3))
    true(f"{what}: refused without a word", done.returncode != 3 or done.stderr.strip())
    true(f"{what}: not text", b"\x00" not in done.stderr)


def places(value, at=()):
    """Every place in a JSON value."""
    yield at
    items = value.items() if isinstance(value, dict) else enumerate(value) if isinstance(value, list) else ()
    for key, inside in items:
        yield from places(inside, at + (key,))


def put(value, at, what):
    if not at:
        return what
    for key in at[:-1]:
        value = value[key]
    value[at[-1]] = what


with scratch() as folder:
    text = demo(folder).read_text()
    victim = Path(folder) / "victim"
    for i in range(120):  # sound JSON, odd values
        wing = json.loads(text)
        for _ in range(RANDOM.randint(1, 3)):
            put(wing, RANDOM.choice([p for p in places(wing) if p]), RANDOM.choice(ODD))
        victim.write_text(json.dumps(wing))
        answers(f"value {i}", RANDOM.choice(["report", "stations", "check"]), victim)
    for i in range(60):  # torn and scribbled over
        data = bytearray(text.encode())
        for _ in range(RANDOM.randint(1, 8)):
            data[RANDOM.randrange(len(data))] = RANDOM.randrange(256)
        victim.write_bytes(bytes(data[: RANDOM.randrange(len(data))] if i % 3 == 0 else data))
        answers(f"bytes {i}", "check", victim)
    points = json.loads(run("section", "2412", "--json"))
    loop = points["upper"][::-1] + points["lower"][1:]
    for i in range(80):  # coordinate lists with every kind of fault
        lines = [f"{x:.5f} {y:.5f}" for x, y in loop]
        for _ in range(RANDOM.randint(1, 6)):
            k = RANDOM.randrange(len(lines))
            fault = RANDOM.randrange(5)
            if fault == 0: lines[k] = RANDOM.choice(["", "nan nan", "1e400 0", "a b", "1", "1 2 3", "# note", "\t", "0 0"])
            elif fault == 1: del lines[k:k + RANDOM.randint(1, 40)]
            elif fault == 2: lines.insert(k, lines[k])
            elif fault == 3: lines[k] = f"{RANDOM.uniform(-2, 2):.4f} {RANDOM.uniform(-2, 2):.4f}"
            else: RANDOM.shuffle(lines)
            if not lines: break
        victim.write_text(RANDOM.choice(["\n", "\r\n", "\r"]).join(lines))
        answers(f"list {i}", "section", victim, "--json")
    # What cannot be written is told by an exit code of its own: a full disk, a reader that has gone.
    victim.write_text(text)
    for command in (["report", victim], ["stations", victim], ["demo", "fenlark-1500"], ["--help"]):
        with open("/dev/full", "w") as full:
            done = subprocess.run([CLI, *map(str, command)], stdout=full, stderr=subprocess.PIPE, timeout=60)
        true(f"{command[0]} on a full disk: exit {done.returncode}", done.returncode == 3)
        true(f"{command[0]} on a full disk says so", b"cannot be written" in done.stderr)
        gone = subprocess.Popen([CLI, *map(str, command)], stdout=subprocess.PIPE, stderr=subprocess.PIPE)
        gone.stdout.close()
        true(f"{command[0]} to no one: {gone.wait(60)}", gone.returncode in (0, 3))
finish()
