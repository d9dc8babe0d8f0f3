"""The calendar of the bench read by a reader of its own, written from RFC 5545, and held against the steps as JSON."""
import datetime
import json
import re
import subprocess

from common import CLI, demo, finish, run, scratch, true


def unescaped(text):
    return re.sub(r"\\([\\;,nN])", lambda m: "\n" if m[1] in "nN" else m[1], text)


def read(octets):
    """Components as (name, [(property, parameters, value)], [components]); every rule of 3.1 and 3.4 that is broken is told."""
    true("every line ends in CR LF (3.1)", octets.endswith(b"\r\n") and b"\n" not in octets.replace(b"\r\n", b""))
    lines = octets.split(b"\r\n")[:-1]
    true("no line is longer than 75 octets (3.1)", all(len(line) <= 75 for line in lines))
    for line in lines:
        line.decode()  # none is folded within a letter
    unfolded = []
    for line in lines:
        if line[:1] in b" \t" and line:
            unfolded[-1] += line[1:]
        else:
            unfolded.append(line)
    stack = [("", [], [])]
    for line in unfolded:
        match = re.fullmatch(r'([A-Za-z0-9-]+)((?:;[A-Za-z0-9-]+=(?:"[^"]*"|[^;:",]*))*):(.*)', line.decode(), re.S)
        true(f"a content line (3.1): {line!r}", match is not None)
        if match is None:
            continue
        name, parameters, value = match[1].upper(), match[2], match[3]
        if name == "BEGIN":
            stack.append((value, [], []))
        elif name == "END":
            true(f"{value} is ended where it is open", stack[-1][0] == value)
            done = stack.pop()
            stack[-1][2].append(done)
        else:
            stack[-1][1].append((name, parameters, value))
    true("all that is begun is ended", len(stack) == 1)
    return stack[0][2]


with scratch() as folder:
    for name in ("fenlark-1500", "whinmoor-1250"):
        path = demo(folder, name)
        order = ["--from", "2026-12-01", "--weekday", "90", "--weekend", "200", "--hour", "19", "--hands", "2"]
        octets = subprocess.run([CLI, "steps", str(path), "--ics", *order], capture_output=True, check=True).stdout
        steps = json.loads(run("steps", path, "--json", *order))["steps"]
        calendars = read(octets)
        true("one calendar", [c[0] for c in calendars] == ["VCALENDAR"])
        properties = {p[0]: p[2] for p in calendars[0][1]}
        true("version and product (3.6)", properties.get("VERSION") == "2.0" and properties.get("PRODID"))
        events = calendars[0][2]
        identities, worked, first = set(), {}, {}
        for kind, properties, inside in events:
            true("events alone", kind == "VEVENT")
            own = {p[0]: p[2] for p in properties}
            true("what an event must have (3.6.1)", {"UID", "DTSTAMP", "DTSTART", "SUMMARY"} <= own.keys())
            true("no two alike", own["UID"] not in identities)
            identities.add(own["UID"])
            start, end = (datetime.datetime.strptime(own[k], "%Y%m%dT%H%M%S") for k in ("DTSTART", "DTEND"))
            true("it ends after it begins", end > start)
            what = unescaped(own["SUMMARY"])
            worked[what] = worked.get(what, 0) + (end - start).total_seconds() / 60
            first[what] = min(first.get(what, start), start)
        for step in steps:
            mine = [w for w in worked if step["what"] in w and step["on"] in w]
            true(f"{step['what']} ({step['on']}) is in it", len(mine) == 1)
            if len(mine) != 1:
                continue
            true(f"{mine[0]}: as many minutes", abs(worked[mine[0]] - step["minutes"]) < 1.5)
            told = datetime.datetime.strptime(step["from"], "%Y-%m-%d %H:%M")
            true(f"{mine[0]}: begins as told", abs((first[mine[0]] - told).total_seconds()) < 90)
finish()
