"""A season: twelve flights of a simulated glider with hidden faults, following the program's advice only.

    ./high-tally demo --data DIR --port 8080
    python3 docs/season/season.py http://127.0.0.1:8080

The glider that flies is not the one that is described: its wing is warped (it needs aileron), its
tail sits a little wrong, the horn of one V-tail half is 6 % longer than was measured, the balance point moves by 6 mm before the
seventh flight, and the pilot's trims are off by up to a click now and then (a fixed seed). The script
logs each flight in every phase, asks whether the trims have settled, and only when the program says
so follows its work order: the steps it names are turned on the flying model's rods, the clicks and
presets it names are typed in. Nothing else is changed. It ends with an error if trims do not end
within one click of zero in every phase, or if an adjustment is begun on flights from both sides of
the shift. It writes season.svg and season.csv beside itself.
"""

import json
import os
import sys
import urllib.request

BASE = sys.argv[1] if len(sys.argv) > 1 else "http://127.0.0.1:8080"
HERE = os.path.dirname(os.path.abspath(__file__))
CONTROLS = ("roll", "pitch", "yaw")
FLIGHTS = 12
SHIFT_BEFORE = 7
CG = (402.0, 408.0)
FAULTS = [
    {"kind": "WARP", "subject": "outer-wing-left", "size": 0.3},
    {"kind": "HORN", "subject": "v-tail-left", "size": 6},
    {"kind": "TAIL_INCIDENCE", "subject": "", "size": -0.3},
]


def call(method, path, body=None):
    data = None if body is None else json.dumps(body).encode()
    request = urllib.request.Request(
        BASE + path, data, {"Content-Type": "application/json"}, method=method
    )
    with urllib.request.urlopen(request) as answer:
        text = answer.read()
    return json.loads(text) if text else None


def fly(at, flight, unsteady):
    """The simulated model in flight: the clicks each phase needs, hidden faults and all."""
    return call("POST", at + "/simulated-flight",
                {"faults": FAULTS, "cgMm": CG[flight >= SHIFT_BEFORE], "unsteady": unsteady,
                 "seed": flight})


def main():
    kind = next(one for one in call("GET", "/api/aircraft")["items"] if one["name"] == "Larkmere")
    design = call("GET", "/api/aircraft/%d" % kind["id"])["newest"]["setup"]
    for phase in design["phases"]:
        phase["trims"] = dict.fromkeys(CONTROLS, 0)
        phase["ownRoll"] = phase["ownPitch"] = phase["ownYaw"] = True
    design["name"] = "Season"
    # In the demo the glider's click step is typed wrong, for the program to find; here it is right.
    design["transmitter"]["clickStepPercent"] = 0.4
    model = call("POST", "/api/aircraft", {"reason": "A season with hidden faults", "setup": design})["id"]
    at = f"/api/aircraft/{model}"
    log, adjusted = [], []
    for flight in range(1, FLIGHTS + 1):
        newest = call("GET", at)["newest"]
        for reading in fly(at, flight, False):
            log.append((flight, newest["number"], reading["phase"], reading["trims"]))
        readings = fly(at, flight, True)
        base = readings.pop(0)
        report = {
            "flownOn": f"2026-09-{flight:02d}", "wind": "CALM", "air": "SMOOTH",
            "field": "Long Meadow", "battery": "3S 1300, pack A", "cgMm": CG[flight >= SHIFT_BEFORE], "remarks": "",
            "goal": "Trims of every phase", "trims": base["trims"], "throttlePercent": 100,
            "sure": "SURE", "turnsDiffer": False, "phases": readings,
        }
        noted = call("POST", at + "/flights", {"revisionNumber": newest["number"], "report": report})
        sheet = call("GET", at + "/settling")
        waiting = [one for one in sheet["series"] if one["points"] and one["state"] != "SETTLED"]
        print(f"flight {flight}: revision {newest['number']}, trims {base['trims']}, "
              f"{len(waiting)} series not settled, ready: {sheet['ready']}")
        if not sheet["ready"] or waiting:
            continue
        counted = [p["flight"] for one in sheet["series"] for p in one["points"] if p["counts"]]
        adjusted.append((flight, len(set(counted))))
        adjust(at, noted["id"], sheet["reference"])
    check(log, adjusted)
    draw(log, adjusted)


def adjust(at, flight, reference):
    """Follows the work order to its end: the rods it names are the ones that fly next."""
    opened = call("POST", at + "/adjustment",
                  {"flightId": flight, "reference": reference, "presetsTakeUp": True,
                   "controls": ["ROLL", "PITCH", "YAW"]})
    for rod in opened["plan"]["rods"]:
        if rod["steps"]:
            print("   ", rod["sentence"])
            opened = call("PUT", at + "/adjustment/mark",
                          {"mark": {"surface": rod["surface"], "steps": rod["steps"], "offMm": 0,
                                    "way": "SAME"}, "version": opened["version"]})
    for one in opened["verification"]:
        opened = call("PUT", at + "/adjustment/verified",
                      {"verified": {"surface": one["surface"], "by": one["by"], "rightWay": True,
                                    "measured": False, "plusMm": 0, "minusMm": 0},
                       "version": opened["version"]})
    last = len(opened["plan"]["steps"]) - 1
    moved = call("PUT", at + "/adjustment", {"step": last, "version": opened["version"]})
    call("POST", at + "/adjustment/close", {"version": moved["version"]})


def check(log, adjusted):
    last = [entry for entry in log if entry[0] == FLIGHTS]
    worst = max(abs(clicks) for entry in last for clicks in entry[3].values())
    print(f"last flight: at most {worst} clicks in any phase; adjusted after flights "
          + ", ".join(str(one[0]) for one in adjusted))
    assert worst <= 1, last
    for flight, _ in adjusted:
        assert flight < SHIFT_BEFORE or flight >= SHIFT_BEFORE + 2, "adjusted across the shift"
    assert adjusted, "never adjusted"


def draw(log, adjusted):
    with open(os.path.join(HERE, "season.csv"), "w", encoding="utf-8") as out:
        out.write("flight,revision,phase,roll_clicks,pitch_clicks,yaw_clicks\n")
        for flight, revision, phase, trims in log:
            out.write(",".join(map(str, (flight, revision, phase, *trims.values()))) + "\n")
    width, row = 720, 150
    phases = list(dict.fromkeys(entry[2] for entry in log))
    top = max(abs(c) for entry in log for c in entry[3].values()) + 1
    dashes = ("", "8 4", "2 4", "10 3 2 3", "14 6")

    def x(flight):
        return 60 + (flight - 1) / (FLIGHTS - 1) * (width - 90)

    parts = [f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width} {3 * row + 60}" '
             'font-family="sans-serif" font-size="12"><rect width="100%" height="100%" fill="#fff"/>']
    for k, control in enumerate(CONTROLS):
        middle = 20 + k * row + row / 2

        def y(clicks):
            return middle - clicks / top * (row / 2 - 10)

        parts.append(f'<text x="8" y="{middle + 4}">{control}</text>'
                     f'<path d="M60 {middle}H{width - 30}" stroke="#888"/>'
                     f'<text x="{width - 26}" y="{y(top - 1) + 4}">{top - 1}</text>')
        for j, phase in enumerate(phases):
            points = " ".join(f"{x(f):.1f},{y(t[control]):.1f}" for f, _, p, t in log if p == phase)
            parts.append(f'<polyline points="{points}" fill="none" stroke="#14453d" '
                         f'stroke-width="2" stroke-dasharray="{dashes[j % 5]}"/>')
    bottom = 20 + 3 * row
    for flight, _ in adjusted:
        parts.append(f'<path d="M{x(flight + 0.5):.1f} 12V{bottom}" stroke="#b00" stroke-dasharray="4 3"/>'
                     f'<text x="{x(flight + 0.5) + 3:.1f}" y="20" fill="#b00">adjusted</text>')
    parts.append(f'<path d="M{x(SHIFT_BEFORE - 0.5):.1f} 12V{bottom}" stroke="#06c"/>'
                 f'<text x="{x(SHIFT_BEFORE - 0.5) + 3:.1f}" y="{bottom - 4}" fill="#06c">balance moved</text>')
    for flight in range(1, FLIGHTS + 1):
        parts.append(f'<text x="{x(flight) - 4:.1f}" y="{bottom + 16}">{flight}</text>')
    legend = " · ".join(f"{phase} ({dashes[j] or 'solid'})" for j, phase in enumerate(phases))
    parts.append(f'<text x="60" y="{bottom + 36}">clicks per flight, before the pilot\'s error; {legend}</text></svg>')
    with open(os.path.join(HERE, "season.svg"), "w", encoding="utf-8") as out:
        out.write("\n".join(parts))


if __name__ == "__main__":
    main()
