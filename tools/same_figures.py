#!/usr/bin/env python3
"""Whether two builds of the command line tell the same of the same wings, to the last digit.

Every demo, and wings made of them by chance: numbers changed, parts of lists taken out and doubled. What a build refuses must
be refused by the other with the same words. For a change that is to change no figure; one that cuts the same wood in another
order moves corners by the grid that regions are cut on, and is asked with --within 1e-6 of a number (of 1 below 1).
"""
import argparse
import json
import random
import re
import subprocess
import sys
import tempfile
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

words = argparse.ArgumentParser(description=__doc__.splitlines()[0])
words.add_argument("one", help="a euptera-cli")
words.add_argument("other", help="the other")
words.add_argument("--wings", type=int, default=200, help="how many by chance (200)")
words.add_argument("--seed", type=int, default=1, help="of the first of them (1)")
words.add_argument("--within", type=float, default=0, help="how far two numbers may be apart (0)")
args = words.parse_args()
one, other = (str(Path(p).resolve()) for p in (args.one, args.other))
many, first = args.wings, args.seed
number = re.compile(rb"-?\d+\.?\d*(?:e[-+]?\d+)?")
demos = sorted((Path(__file__).resolve().parent.parent / "data/demos").glob("*.euptera"))
asked = [["report", "--json"], ["stations"], ["parts", "--json"], ["skins", "--json"], ["foam", "--json"], ["surfaces", "--json"],
         ["steps", "--json"], ["assemble", "--json"], ["balance", "--json"], ["curves"], ["stiffen"]]


def numbers(node, path=()):
    """Where numbers and switches stand, but for what is kept of the plan and of the work."""
    items = node.items() if isinstance(node, dict) else enumerate(node) if isinstance(node, list) else ()
    for key, value in items:
        if key in ("plan", "records", "version", "number"):
            continue
        if isinstance(value, (bool, int, float)):
            yield node, key
        else:
            yield from numbers(value, path + (key,))


def lists(node):
    items = node.items() if isinstance(node, dict) else enumerate(node) if isinstance(node, list) else ()
    for key, value in items:
        if key in ("plan", "records"):
            continue
        if isinstance(value, list) and value and isinstance(value[0], dict):
            yield value
        yield from lists(value)


def by_chance(seed):
    dice = random.Random(seed)
    wing = json.loads(dice.choice(demos).read_text())
    for _ in range(dice.randint(1, 8)):
        node, key = dice.choice(list(numbers(wing)))
        value = node[key]
        if isinstance(value, bool):
            node[key] = not value
        elif isinstance(value, int):
            node[key] = max(0, value + dice.choice((-1, 1, 2)))
        else:
            node[key] = value * dice.uniform(0.8, 1.25) + dice.choice((0, 0, 0.5))
    if dice.random() < 0.2:
        some = dice.choice(list(lists(wing)))
        if len(some) > 1 and dice.random() < 0.5:
            some.pop(dice.randrange(len(some)))
        else:
            some.append(json.loads(json.dumps(dice.choice(some))))
    return json.dumps(wing)


def same(a, b):
    """Two lines: the same words, and numbers no farther apart than was said."""
    if a == b or args.within == 0 or number.sub(b"#", a) != number.sub(b"#", b):
        return a == b
    return all(abs(float(x) - float(y)) <= args.within * max(1, abs(float(x)))
               for x, y in zip(number.findall(a), number.findall(b)))


def differs(name, path):
    out = []
    refused = False
    for words in asked:
        said = [subprocess.run([cli, words[0], str(path), *words[1:]], capture_output=True) for cli in (one, other)]
        a, b = ((s.returncode, s.stdout, s.stderr) for s in said)
        refused = refused or a[0] == 3
        lines = [(a[i].splitlines(), b[i].splitlines()) for i in (1, 2)]
        unlike = [f"  {x.decode(errors='replace')}\n  {y.decode(errors='replace')}"
                  for x_lines, y_lines in lines for x, y in zip(x_lines, y_lines) if not same(x, y)]
        if unlike or a[0] != b[0] or any(len(x) != len(y) for x, y in lines):
            out.append(f"{name}: {' '.join(words)}: exit {a[0]} and {b[0]}\n" + "\n".join(unlike[:3]))
    return refused, out


with tempfile.TemporaryDirectory() as folder:
    wings = [(d.name, d) for d in demos]
    for seed in range(first, first + many):
        path = Path(folder) / f"{seed}.euptera"
        path.write_text(by_chance(seed))
        wings.append((f"seed {seed}", path))
    with ThreadPoolExecutor() as pool:
        found = list(pool.map(lambda w: differs(*w), wings))
unlike = [words for _, all_words in found for words in all_words]
print("\n".join(unlike))
print(f"{len(wings)} wings, {sum(r for r, _ in found)} of them refused, {len(asked)} things asked of each: {len(unlike)} differ")
sys.exit(1 if unlike else 0)
