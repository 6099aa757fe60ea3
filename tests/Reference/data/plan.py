#!/usr/bin/env python3
"""Makes planning instances and solves each as a mixed-integer programme with cbc (Debian: coinor-cbc; the smaller ones with
glpsol, glpk-utils, too). Writes plans.json: the instances in the documented form, with the objective of the optimum.

    python3 tests/Reference/data/plan.py > tests/Reference/data/plans.json

The model, written out for the solver and sharing nothing with the planner:
maximise -100 short + 10 variety + urgency x - 0.02 over - 0.2 sodium x / target - 3 repeat.
"""
import json
import os
import random
import subprocess
import sys
import tempfile

# Seconds after which an instance that is not proven by then is left out.
PATIENCE = 20

SHORT, VARIETY, URGENCY, OVER, SODIUM, REPEAT = 100.0, 10.0, 2.0, 0.02, 0.2, 3.0


def instance(seed, eaters, days, meals, offers, per_meal=1, tight=1.0, hard=0.3):
    lot = random.Random(seed)
    names = ["morning", "noon", "evening"][:meals]
    people = []
    for m in range(eaters):
        target = lot.choice([1200, 1500, 1800, 2000, 2300])
        rest = [lot.uniform(0.55, 1.05) * target for _ in range(days)]
        people.append({
            "id": f"m{m}", "targetMg": target, "allowanceMg": [round(target - one) for one in rest],
            "hard": lot.random() < hard, "liveGoal": lot.choice([1, 1, 2]),
        })
    jars = []
    for i in range(offers):
        base = lot.choice([60, 90, 140, 180, 230, 300, 380])
        start = lot.choice([0, 0, 0, 0, 1, 2, 4])
        jar = {
            "id": f"i{i}", "live": lot.random() < 0.75, "group": f"g{lot.randrange(max(2, offers // 2))}",
            "stock": max(1, round(lot.uniform(1, days * eaters * tight / 2))),
            "from": start, "useBy": start + lot.choice([2, 4, 7, 14, 30]),
            "sodiumMg": [round(base * (1 + 0.02 * d)) for d in range(days)],
            "meals": sorted(lot.sample(names, lot.randint(1, meals)), key=names.index),
        }
        if lot.random() < 0.2:
            jar["notFor"] = [f"m{lot.randrange(eaters)}"]
        if lot.random() < 0.3:
            jar["portionBy"] = {f"m{lot.randrange(eaters)}": lot.choice([0.5, 1.5, 2.0])}
        jars.append(jar)
    return {"tempesal": "plan", "version": 1, "days": days, "meals": names, "perMeal": per_meal, "eaters": people, "offers": jars}


def by_day(value, days):
    return value if isinstance(value, list) else [value] * days


def programme(week):
    """The instance in the LP format that both solvers read."""
    days, meals, eaters, offers = week["days"], week["meals"], week["eaters"], week["offers"]
    terms, rows, binary, bounds = [], [], [], []
    cells = {}
    for m, eater in enumerate(eaters):
        for d in range(days):
            for i, jar in enumerate(offers):
                if eater["id"] in jar.get("notFor", []) or not jar["from"] <= d <= jar["useBy"]:
                    continue
                for s, meal in enumerate(meals):
                    if meal in jar.get("meals", meals):
                        name = f"x_{m}_{d}_{s}_{i}"
                        cells.setdefault((m, d, i), []).append((s, name))
                        binary.append(name)
    for (m, d, i), some in cells.items():
        jar, eater = offers[i], eaters[m]
        gain = URGENCY * max(0.0, 1.0 - (jar["useBy"] - d) / 14.0) - SODIUM * by_day(jar["sodiumMg"], days)[d] / eater["targetMg"]
        terms += [f"{gain:+.12f} {name}" for _, name in some]
        rows.append((" + ".join(name for _, name in some), "<=", 1))
    for m, eater in enumerate(eaters):
        allowance, goal = by_day(eater["allowanceMg"], days), by_day(eater["liveGoal"], days)
        for d in range(days):
            for s in range(len(meals)):
                here = [name for (mm, dd, _), some in cells.items() if (mm, dd) == (m, d) for ss, name in some if ss == s]
                if here:
                    rows.append((" + ".join(here), "<=", week["perMeal"]))
            today = [(name, i) for (mm, dd, i), some in cells.items() if (mm, dd) == (m, d) for _, name in some]
            salt = " + ".join(f"{by_day(offers[i]['sodiumMg'], days)[d]} {name}" for name, i in today)
            live = " + ".join(name for name, i in today if offers[i]["live"])
            terms.append(f"-{SHORT} short_{m}_{d}")
            rows.append(((live + " + " if live else "") + f"short_{m}_{d}", ">=", goal[d]))
            if eater["hard"]:
                if salt:
                    rows.append((salt, "<=", max(0, allowance[d])))
            else:
                terms.append(f"-{OVER} over_{m}_{d}")
                rows.append((f"over_{m}_{d}" + (" - " + salt.replace(" + ", " - ") if salt else ""), ">=", -allowance[d]))
        for g in {jar["group"] for jar in offers}:
            some = [name for (mm, _, i), all_ in cells.items() if mm == m and offers[i]["group"] == g for _, name in all_]
            if some:
                terms.append(f"+{VARIETY} v_{m}_{g}")
                bounds.append(f"0 <= v_{m}_{g} <= 1")
                rows.append((f"v_{m}_{g} - " + " - ".join(some), "<=", 0))
        for i in range(len(offers)):
            for d in range(1, days):
                if (m, d, i) in cells and (m, d - 1, i) in cells:
                    terms.append(f"-{REPEAT} r_{m}_{d}_{i}")
                    both = [name for _, name in cells[m, d - 1, i] + cells[m, d, i]]
                    rows.append((" + ".join(both) + f" - r_{m}_{d}_{i}", "<=", 1))
    for i, jar in enumerate(offers):
        some = [(name, m) for (m, _, ii), all_ in cells.items() if ii == i for _, name in all_]
        if some:
            rows.append((" + ".join(f"{jar.get('portionBy', {}).get(eaters[m]['id'], 1.0)} {name}" for name, m in some), "<=", jar["stock"]))
    text = ["Maximize", " z: " + "\n  ".join(terms), "Subject To"]
    text += [f" c{n}: " + left.replace(" + ", "\n  + ").replace(" - ", "\n  - ") + f" {sign} {right}" for n, (left, sign, right) in enumerate(rows)]
    text += ["Bounds"] + [f" {one}" for one in bounds] + ["Binaries"] + [f" {one}" for one in binary] + ["End", ""]
    return "\n".join(text)


def solve(week, solver="cbc"):
    with tempfile.TemporaryDirectory() as folder:
        model, answer = os.path.join(folder, "m.lp"), os.path.join(folder, "a.txt")
        with open(model, "w") as file:
            file.write(programme(week))
        if solver == "cbc":
            subprocess.run(["cbc", model, "sec", str(PATIENCE), "ratio", "0", "solve", "solution", answer], check=True, stdout=subprocess.DEVNULL)
            lines = open(answer).read().splitlines()
            if not lines[0].startswith("Optimal"):
                return None
            # cbc turns a maximum into a minimum of the opposite.
            values = {line.split()[1]: float(line.split()[2]) for line in lines[1:]}
        else:
            subprocess.run(["glpsol", "--lp", model, "-w", answer], check=True, stdout=subprocess.DEVNULL)
            values = None
            for line in open(answer):
                if line.startswith("s "):
                    return float(line.split()[-1]), None
        return value_of(week, values)


def value_of(week, values):
    """The objective and the live servings that are short, reckoned anew from the solver's servings, so that no tolerance of its own is in them."""
    days, total, short = week["days"], 0.0, 0
    served = {}
    for name, value in values.items():
        if name.startswith("x_") and value > 0.5:
            m, d, _, i = map(int, name[2:].split("_"))
            served.setdefault((m, d), set()).add(i)
    for m, eater in enumerate(week["eaters"]):
        groups = set()
        for d in range(days):
            today = served.get((m, d), set())
            salt = sum(by_day(week["offers"][i]["sodiumMg"], days)[d] for i in today)
            live = sum(1 for i in today if week["offers"][i]["live"])
            groups |= {week["offers"][i]["group"] for i in today}
            total += sum(URGENCY * max(0.0, 1.0 - (week["offers"][i]["useBy"] - d) / 14.0) for i in today)
            missing = max(0, by_day(eater["liveGoal"], days)[d] - live)
            short += missing
            total -= SHORT * missing + SODIUM * salt / eater["targetMg"]
            total -= REPEAT * len(today & served.get((m, d - 1), set()))
            if not eater["hard"]:
                total -= OVER * max(0.0, salt - by_day(eater["allowanceMg"], days)[d])
        total += VARIETY * len(groups)
    return total, short


def by_hand():
    eater = {"id": "m0", "targetMg": 1500, "allowanceMg": 400, "hard": False, "liveGoal": 1}
    jar = {"id": "i0", "live": True, "group": "g0", "stock": 9, "from": 0, "useBy": 30, "sodiumMg": 200}
    week = lambda **change: {"tempesal": "plan", "version": 1, "days": 7, "meals": ["day"], "perMeal": 2, "eaters": [eater], "offers": [jar], **change}
    yield week()
    yield week(offers=[])
    yield week(offers=[{**jar, "stock": 2}])
    yield week(offers=[jar, {**jar, "id": "i1", "sodiumMg": 210}])
    yield week(eaters=[{**eater, "hard": True, "allowanceMg": [400, 150, -100, 250, 0, 600, 199]}])
    yield week(eaters=[{**eater, "allowanceMg": -500}])
    yield week(offers=[{**jar, "from": 5, "useBy": 5}, {**jar, "id": "i1", "live": False, "group": "g1", "sodiumMg": 20}])
    yield week(eaters=[eater, {**eater, "id": "m1", "liveGoal": 3}], offers=[{**jar, "stock": 5}, {**jar, "id": "i1", "stock": 4, "group": "g1"}])


SIZES = [(1, 7, 1, 3), (1, 7, 2, 5), (2, 7, 1, 5), (2, 7, 2, 6), (3, 7, 2, 8), (3, 7, 3, 10), (4, 7, 2, 12), (2, 7, 3, 20), (4, 7, 3, 14), (6, 7, 3, 20)]


def all_weeks():
    yield from by_hand()
    for n in range(62):
        eaters, days, meals, offers = SIZES[n % len(SIZES)] if n < 40 else SIZES[n % 7]
        yield instance(
            1000 + n, eaters, days, meals, offers, per_meal=2 if n % 4 == 3 else 1, tight=[1.0, 0.4, 0.15][n % 3], hard=[0.0, 0.4, 1.0][n // 3 % 3],
        )


if __name__ == "__main__":
    weeks = []
    for n, week in enumerate(all_weeks()):
        solved = solve(week)
        if solved is None:
            continue
        best, short = solved
        if len(week["eaters"]) * len(week["offers"]) <= 12:
            other, _ = solve(week, "glpsol") or (None, None)
            assert other is None or abs(other - best) < 1e-4, (n, best, other)
        weeks.append({"optimum": round(best, 6), "short": short, "week": week})
        print(n, len(week["eaters"]), len(week["offers"]), round(best, 3), file=sys.stderr)
    print("[\n" + ",\n".join(json.dumps(one, separators=(",", ":")) for one in weeks) + "\n]")
