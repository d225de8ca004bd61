"""A second, plain implementation of stick to surface, written from docs/computation.md alone.

Works out a table of moments for each demo model: sticks, levers, switches in; phase, µs of every
channel and mm of every surface out. Run it in this folder; it writes one table per model, which
MomentTablesTest holds the program against.
"""
import json, math, os, random

HERE = os.path.dirname(os.path.abspath(__file__))
DEMO = os.path.join(HERE, "../../../main/resources/demo")
CONTROLS = ["roll", "pitch", "yaw"]


def shape(expo, s):
    """Cubic only: the demo models use no other."""
    e = expo / 100
    return (1 - e) * s + e * s ** 3


def respond(r, stick):
    side = "Positive" if stick >= 0 else "Negative"
    size = r["rate%sPercent" % side] / 100 * shape(r["expo%sPercent" % side], abs(stick))
    return size if stick >= 0 else -size


def true(setup, cid, m, phase):
    if cid == "":
        return True
    c = next(x for x in setup["conditions"] if x["id"] == cid)
    inputs = setup["transmitter"]["inputs"]
    ids = [x["id"] for x in inputs]
    k, subject = c["kind"], c["subject"]
    if k == "SWITCH_AT":
        i = ids.index(subject)
        return abs(m["inputs"][i] * (inputs[i]["positions"] - 1) - (c["limit"] - 1)) < 0.25
    if k in ("ABOVE", "BELOW"):
        v = m["inputs"][ids.index(subject)] if subject in ids else m[subject]
        at = c["limit"] / 100
        return v > at if k == "ABOVE" else v < at
    if k == "PHASE":
        return phase == subject
    if k == "AND":
        return all(true(setup, x, m, phase) for x in c["members"])
    if k == "OR":
        return any(true(setup, x, m, phase) for x in c["members"])
    if k == "NOT":
        return not true(setup, c["members"][0], m, phase)
    raise ValueError(k)


def curve(points, x):
    if x <= points[0]["x"]:
        return points[0]["y"]
    for a, b in zip(points, points[1:]):
        if x <= b["x"]:
            return a["y"] + (x - a["x"]) / (b["x"] - a["x"]) * (b["y"] - a["y"])
    return points[-1]["y"]


def commands(setup, m):
    phase = next(p for p in setup["phases"] if p["when"] == "" or true(setup, p["when"], m, None))
    pid = phase["id"]
    ids = [x["id"] for x in setup["transmitter"]["inputs"]]
    feel = {}
    for c in CONTROLS:
        chosen = setup["feel"][c]
        for s in setup["feelSets"]:
            here = not s["phases"] or pid in s["phases"]
            if s["has" + c.capitalize()] and here and true(setup, s["when"], m, pid):
                chosen = s["feel"][c]
                break
        feel[c] = respond(chosen, m[c])
    own = {"roll": phase["ownRoll"], "pitch": phase["ownPitch"], "yaw": phase["ownYaw"]}
    trim = {c: (phase["trims"] if own[c] else m["trims"])[c] for c in CONTROLS}
    step = setup["transmitter"]["clickStepPercent"]
    out = {}
    for s in setup["surfaces"]:
        sh = s["shares"]
        roll = 100 * sh["roll"] * feel["roll"]
        d = sum(x["percent"] for x in phase["differential"] if x["surface"] == s["id"]) / 100
        if d > 0 and roll < 0:
            roll *= 1 - d
        if d < 0 and roll > 0:
            roll *= 1 + d
        v = roll + 100 * sh["pitch"] * feel["pitch"] + 100 * sh["yaw"] * feel["yaw"]
        v += sum(100 * x["share"] * m["inputs"][ids.index(x["input"])] for x in sh["levers"])
        v += sum(x["percent"] for x in phase["presets"] if x["surface"] == s["id"])
        v += step * sum(sh[c] * trim[c] for c in CONTROLS)
        out[s["id"]] = v
    power = setup["power"]
    place = m["inputs"][ids.index(power["throttleInput"])] if power["throttleInput"] else m["throttle"]
    stick = 200 * place - 100
    curves = power["curves"]
    chosen = next((x for x in curves if pid in x["phases"]), None)
    chosen = chosen or next(x for x in curves if not x["phases"])
    throttle = curve(chosen["points"], stick)
    held = m["throttleCut"]
    held = held or (power["cutWhen"] != "" and true(setup, power["cutWhen"], m, pid))
    held = held or (power["armWhen"] != "" and not true(setup, power["armWhen"], m, pid))
    for motor in setup["airframe"]["motors"]:
        out[motor["id"]] = throttle
    for mix in setup["mixes"]:
        if mix["phases"] and pid not in mix["phases"] or not true(setup, mix["when"], m, pid):
            continue
        source = mix["source"]
        if source == "SURFACE":
            raise ValueError("no demo model chains mixes")
        x = {
            "STICK": lambda: 100 * m[mix["subject"]],
            "RESPONSE": lambda: 100 * feel[mix["subject"]],
            "INPUT": lambda: 100 * m["inputs"][ids.index(mix["subject"])],
            "THROTTLE": lambda: 200 * m["throttle"] - 100,
            "CONSTANT": lambda: 100,
        }[source]()
        if mix["curve"]:
            y = curve(mix["curve"], x)
        elif x > mix["startPercent"]:
            y = mix["weightPlusPercent"] / 100 * (x - mix["startPercent"])
        elif x < -mix["startPercent"]:
            y = mix["weightMinusPercent"] / 100 * (x + mix["startPercent"])
        else:
            y = 0
        for t in mix["targets"]:
            out[t["target"]] += t["factor"] * y
    for motor in setup["airframe"]["motors"]:
        out[motor["id"]] = power["cutPercent"] if held else max(-100, min(100, out[motor["id"]]))
    return pid, out


def pulse(t, ch, v):
    v = max(-t["commandLimitPercent"], min(t["commandLimitPercent"], v))
    v = -v if ch["reversed"] else v
    end = ch["endpointHighPercent"] if v >= 0 else ch["endpointLowPercent"]
    reach = t["microsecondsPer100"] * end / 100
    if t["subTrimMode"] == "FIXED_ENDS":
        reach += -ch["subTrimMicroseconds"] if v >= 0 else ch["subTrimMicroseconds"]
    p = t["centreMicroseconds"] + ch["subTrimMicroseconds"] + v / 100 * reach
    return max(t["shortestMicroseconds"], min(t["longestMicroseconds"], p))


def linkage(rod, theta):
    """Surface angle, degrees, for an arm angle: the planar four-bar."""
    k = rod["linkage"]
    a, h, length0 = k["armRadiusMm"], k["hornRadiusMm"], k["rodLengthMm"]
    la, lh = math.radians(k["armLeanDegrees"]), math.radians(k["hornLeanDegrees"])
    sigma = -1 if k["opposite"] else 1
    length = length0 + rod["adjustedMm"]
    sx, sy = -a * math.sin(la), -a * math.cos(la)
    hx, hy = length0 - h * math.sin(lh), -h * sigma * math.cos(lh)

    def solve(angle, rod_length, sign):
        t = la + math.radians(angle)
        px, py = sx + a * math.sin(t) - hx, sy + a * math.cos(t) - hy
        p = math.hypot(px, py)
        c = (p * p + h * h - rod_length * rod_length) / (2 * h * p)
        return math.atan2(px, sigma * py) + sign * math.acos(c) - lh

    def wrapped(x):
        return (x + math.pi) % (2 * math.pi) - math.pi

    sign = min((1, -1), key=lambda s: abs(wrapped(solve(0, length0, s))))
    psi = math.degrees(wrapped(solve(theta, length, sign)))
    return psi if k["pushRaises"] else -psi


def evaluate(setup, m):
    pid, cmd = commands(setup, m)
    t = setup["transmitter"]
    ids = [x["id"] for x in t["inputs"]]
    pulses = {}
    for ch in setup["channels"]:
        if ch["carries"] == "throttle":
            motor = next(x for x in setup["airframe"]["motors"] if x["channel"] == ch["number"])
            v = cmd[motor["id"]]
        elif ch["carries"] in ids:
            v = 200 * m["inputs"][ids.index(ch["carries"])] - 100
        else:
            v = cmd[ch["carries"]]
        pulses[ch["number"]] = pulse(t, ch, v)
    angles = {}

    def angle(s):
        if s["id"] not in angles:
            rod = s["rod"]
            if rod["driver"] == "SERVO":
                servo = next(x for x in setup["servos"] if x["id"] == rod["driverId"])
                way = -1 if servo["pullsOnIncrease"] else 1
                off = pulses[servo["channel"]] - servo["centrePulseMicroseconds"]
                arm = off * servo["degreesPerMicrosecond"] * way + servo["armOffsetDegrees"]
                arm = max(-servo["maxAngleDegrees"], min(servo["maxAngleDegrees"], arm))
            else:
                arm = angle(next(x for x in setup["surfaces"] if x["id"] == rod["driverId"]))
            angles[s["id"]] = linkage(rod, arm)
        return angles[s["id"]]

    mm = [s["chordMm"] * math.sin(math.radians(angle(s))) for s in setup["surfaces"]]
    return pid, [pulses[c["number"]] for c in setup["channels"]], mm


def table(setup, seed):
    rnd = random.Random(seed)
    rows = []
    for i in range(48):
        ends = [-1, -0.5, 0, 0.35, 1]
        inputs = [
            rnd.choice([0, 0.25, 1])
            if x["kind"] == "LEVER"
            else rnd.randrange(x["positions"]) / (x["positions"] - 1)
            for x in setup["transmitter"]["inputs"]
        ]
        m = {
            "roll": rnd.choice(ends),
            "pitch": rnd.choice(ends),
            "yaw": rnd.choice(ends),
            "throttle": rnd.choice([0, 0.3, 1]),
            "throttleCut": rnd.random() < 0.2,
            "trims": {c: rnd.randrange(-9, 10) for c in CONTROLS},
            "inputs": inputs,
            "readings": {"linkPercent": 100, "voltage": 12, "timerSeconds": [], "truths": []},
        }
        phase, pulses, mm = evaluate(setup, m)
        rows.append({"moment": m, "phase": phase, "pulses": pulses, "mm": mm})
    return rows


if __name__ == "__main__":
    for seed, name in enumerate(["quillon", "larkmere", "skerrow", "brindle"]):
        with open(os.path.join(DEMO, name + ".json")) as f:
            rows = table(json.load(f), seed)
        with open(os.path.join(HERE, name + ".json"), "w") as f:
            f.write("[\n" + ",\n".join(json.dumps(r) for r in rows) + "\n]\n")
