#!/usr/bin/env python3
"""Makes planning instances and solves each as a mixed-integer programme with cbc (Debian: coinor-cbc; the smaller ones with
glpsol, glpk-utils, too). Writes plans.json: the instances in the documented form, with the objective of the optimum.

    python3 tests/Reference/data/plan.py > tests/Reference/data/plans.json

The model, written out for the solver and sharing nothing with the planner:
maximise -100 short + 10 variety + urgency x - 0.02 over - 0.2 sodium x / target - 3 repeat.
Version 2 (portions): a cell has a size, stock is in grams, urgency goes with the size, and -2 (1 - size / usual) for each
serving, -20 for each live serving that is missing from the week of whoever misses most, repeats from the day before on, and
what a wish is worth where one of its offers is served to its eater between its days.
"""
import json
import os
import random
import subprocess
import sys
import tempfile

# Seconds after which an instance that is not proven by then is left out.
PATIENCE = 20

SHORT, VARIETY, URGENCY, OVER, SODIUM, REPEAT, SMALL, FAIR = 100.0, 10.0, 2.0, 0.02, 0.2, 3.0, 2.0, 20.0


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


def in_portions(week, seed):
    """The same week with portions in grams: a serving becomes 20, 30, 40 or 100 g of which less may be served."""
    lot = random.Random(seed)
    offers = []
    for jar in week["offers"]:
        grams = lot.choice([20.0, 30.0, 40.0, 100.0])
        sizes = lambda usual: sorted({max(10.0, 5.0 * round(usual * part / 5.0)) for part in (1.0, 0.75, 0.5, 0.25)}, reverse=True)
        one = {key: value for key, value in jar.items() if key not in ("sodiumMg", "portionBy")}
        one |= {"portions": sizes(grams), "mgPerGram": [round(mg / grams, 4) for mg in jar["sodiumMg"]], "stock": round(jar["stock"] * grams)}
        one["liveFrom"] = lot.choice([10.0, 10.0, 15.0, 30.0])
        if "portionBy" in jar:
            one["portionsBy"] = {eater: sizes(grams * share) for eater, share in jar["portionBy"].items()}
        offers.append(one)
    had = [{"eater": eater["id"], "offer": jar["id"]} for eater in week["eaters"] for jar in offers if lot.random() < 0.1]
    return {**week, "version": 2, "offers": offers, "previous": had}


def wishing(week, seed):
    """The same week of version 2 with wishes: one of some offers once between two days."""
    lot = random.Random(seed)
    wishes = []
    for eater in week["eaters"]:
        for _ in range(lot.randint(0, 4)):
            wanted = lot.sample([jar["id"] for jar in week["offers"]], lot.randint(1, min(3, len(week["offers"]))))
            first = lot.randrange(week["days"])
            wishes.append({
                "eater": eater["id"], "offers": wanted, "from": first, "until": lot.randrange(first, week["days"]), "worth": lot.choice([4.0, 7.5, 12.0]),
            })
    return {**week, "wishes": wishes}


def sizes_of(week, jar, eater):
    """The sizes of an offer for an eater, and whether each counts as live."""
    if week["version"] == 1:
        return [(jar.get("portionBy", {}).get(eater["id"], 1.0), jar["live"])]
    return [(grams, jar["live"] and grams >= jar.get("liveFrom", 10.0)) for grams in jar.get("portionsBy", {}).get(eater["id"], jar["portions"])]


def salt_of(week, jar, eater, day, grams):
    if week["version"] == 1:
        return by_day(jar["sodiumMg"], week["days"])[day]
    return by_day(jar.get("mgPerGramBy", {}).get(eater["id"], jar["mgPerGram"]), week["days"])[day] * grams


def by_day(value, days):
    return value if isinstance(value, list) else [value] * days


def programme(week):
    """The instance in the LP format that both solvers read."""
    days, meals, eaters, offers = week["days"], week["meals"], week["eaters"], week["offers"]
    fair = week["version"] > 1
    had = {(one["eater"], one["offer"]) for one in week.get("previous", [])}
    terms, rows, binary, bounds = [], [], [], []
    cells = {}
    for m, eater in enumerate(eaters):
        for d in range(days):
            for i, jar in enumerate(offers):
                if eater["id"] in jar.get("notFor", []) or not jar["from"] <= d <= jar["useBy"]:
                    continue
                for s, meal in enumerate(meals):
                    for p in range(len(sizes_of(week, jar, eater))) if meal in jar.get("meals", meals) else []:
                        name = f"x_{m}_{d}_{s}_{i}_{p}"
                        cells.setdefault((m, d, i), []).append((s, p, name))
                        binary.append(name)
    for (m, d, i), some in cells.items():
        jar, eater = offers[i], eaters[m]
        sizes = sizes_of(week, jar, eater)
        for _, p, name in some:
            part = sizes[p][0] / sizes[0][0]
            gain = URGENCY * max(0.0, 1.0 - (jar["useBy"] - d) / 14.0) * part - SODIUM * salt_of(week, jar, eater, d, sizes[p][0]) / eater["targetMg"]
            gain -= SMALL * (1.0 - part) + (REPEAT if d == 0 and (eater["id"], jar["id"]) in had else 0.0)
            terms.append(f"{gain:+.12f} {name}")
        rows.append((" + ".join(name for _, _, name in some), "<=", 1))
    for m, eater in enumerate(eaters):
        allowance, goal = by_day(eater["allowanceMg"], days), by_day(eater["liveGoal"], days)
        for d in range(days):
            for s in range(len(meals)):
                here = [name for (mm, dd, _), some in cells.items() if (mm, dd) == (m, d) for ss, _, name in some if ss == s]
                if here:
                    rows.append((" + ".join(here), "<=", week["perMeal"]))
            today = [(name, i, p) for (mm, dd, i), some in cells.items() if (mm, dd) == (m, d) for _, p, name in some]
            salt = " + ".join(f"{salt_of(week, offers[i], eater, d, sizes_of(week, offers[i], eater)[p][0])} {name}" for name, i, p in today)
            live = " + ".join(name for name, i, p in today if sizes_of(week, offers[i], eater)[p][1])
            terms.append(f"-{SHORT} short_{m}_{d}")
            rows.append(((live + " + " if live else "") + f"short_{m}_{d}", ">=", goal[d]))
            if eater["hard"]:
                if salt:
                    rows.append((salt, "<=", max(0, allowance[d])))
            else:
                terms.append(f"-{OVER} over_{m}_{d}")
                rows.append((f"over_{m}_{d}" + (" - " + salt.replace(" + ", " - ") if salt else ""), ">=", -allowance[d]))
        if fair:
            rows.append(("most - " + " - ".join(f"short_{m}_{d}" for d in range(days)), ">=", 0))
        for g in sorted({jar["group"] for jar in offers}):
            some = [
                name for (mm, _, i), all_ in cells.items() if mm == m and offers[i]["group"] == g for _, p, name in all_
                if not offers[i]["live"] or sizes_of(week, offers[i], eater)[p][1]
            ]
            if some:
                terms.append(f"+{VARIETY} v_{m}_{g}")
                bounds.append(f"0 <= v_{m}_{g} <= 1")
                rows.append((f"v_{m}_{g} - " + " - ".join(some), "<=", 0))
        for i in range(len(offers)):
            for d in range(1, days):
                if (m, d, i) in cells and (m, d - 1, i) in cells:
                    terms.append(f"-{REPEAT} r_{m}_{d}_{i}")
                    both = [name for _, _, name in cells[m, d - 1, i] + cells[m, d, i]]
                    rows.append((" + ".join(both) + f" - r_{m}_{d}_{i}", "<=", 1))
    for w, wish in enumerate(week.get("wishes", [])):
        m = [eater["id"] for eater in eaters].index(wish["eater"])
        some = [
            name for (mm, d, i), all_ in cells.items() if mm == m and wish["from"] <= d <= wish["until"] and offers[i]["id"] in wish["offers"]
            for _, _, name in all_
        ]
        if some:
            terms.append(f"+{wish['worth']} w_{w}")
            bounds.append(f"0 <= w_{w} <= 1")
            rows.append((f"w_{w} - " + " - ".join(some), "<=", 0))
    if fair:
        terms.append(f"-{FAIR} most")
    for i, jar in enumerate(offers):
        some = [(name, m, p) for (m, _, ii), all_ in cells.items() if ii == i for _, p, name in all_]
        if some:
            rows.append((" + ".join(f"{sizes_of(week, jar, eaters[m])[p][0]} {name}" for name, m, p in some), "<=", jar["stock"]))
    text = ["Maximize", " z: " + "\n  ".join(terms), "Subject To"]
    text += [f" c{n}: " + left.replace(" + ", "\n  + ").replace(" - ", "\n  - ") + f" {sign} {right}" for n, (left, sign, right) in enumerate(rows)]
    text += ["Bounds"] + [f" {one}" for one in bounds] + ["Binaries"] + [f" {one}" for one in binary] + ["End", ""]
    return "\n".join(text)


def solve(week, solver="cbc", patience=PATIENCE, proven=True):
    """The optimum and the live servings it leaves missing; with proven=False the best that was found, proven or not."""
    with tempfile.TemporaryDirectory() as folder:
        model, answer = os.path.join(folder, "m.lp"), os.path.join(folder, "a.txt")
        with open(model, "w") as file:
            file.write(programme(week))
        if solver == "cbc":
            subprocess.run(["cbc", model, "sec", str(patience), "ratio", "0", "solve", "solution", answer], check=True, stdout=subprocess.DEVNULL)
            lines = open(answer).read().splitlines()
            if not lines[0].startswith("Optimal") and (proven or "objective value" not in lines[0] or len(lines) < 2):
                return None
            # cbc turns a maximum into a minimum of the opposite.
            values = {line.split()[-3]: float(line.split()[-2]) for line in lines[1:]}
        else:
            subprocess.run(["glpsol", "--lp", model, "-w", answer], check=True, stdout=subprocess.DEVNULL)
            values = None
            for line in open(answer):
                if line.startswith("s "):
                    return float(line.split()[-1]), None
        return value_of(week, values)


def value_of(week, values):
    """The objective and the live servings that are short, reckoned anew from the solver's servings, so that no tolerance of its own is in them."""
    days, total, short, most = week["days"], 0.0, 0, 0
    had = {(one["eater"], one["offer"]) for one in week.get("previous", [])}
    served = {}
    for name, value in values.items():
        if name.startswith("x_") and value > 0.5:
            m, d, _, i, p = map(int, name[2:].split("_"))
            served.setdefault((m, d), {})[i] = p
    for m, eater in enumerate(week["eaters"]):
        groups, mine = set(), 0
        for d in range(days):
            today = [(i, *sizes_of(week, week["offers"][i], eater)[p]) for i, p in served.get((m, d), {}).items()]
            salt = sum(salt_of(week, week["offers"][i], eater, d, grams) for i, grams, _ in today)
            live = sum(1 for _, _, is_live in today if is_live)
            groups |= {week["offers"][i]["group"] for i, _, is_live in today if is_live or not week["offers"][i]["live"]}
            for i, grams, _ in today:
                part = grams / sizes_of(week, week["offers"][i], eater)[0][0]
                total += URGENCY * max(0.0, 1.0 - (week["offers"][i]["useBy"] - d) / 14.0) * part - SMALL * (1.0 - part)
                again = i in served.get((m, d - 1), {}) or (d == 0 and (eater["id"], week["offers"][i]["id"]) in had)
                total -= REPEAT if again else 0.0
            missing = max(0, by_day(eater["liveGoal"], days)[d] - live)
            mine += missing
            total -= SHORT * missing + SODIUM * salt / eater["targetMg"]
            if not eater["hard"]:
                total -= OVER * max(0.0, salt - by_day(eater["allowanceMg"], days)[d])
        total += VARIETY * len(groups)
        short, most = short + mine, max(most, mine)
        for wish in week.get("wishes", []):
            had_on = [d for d in range(wish["from"], wish["until"] + 1) for i in served.get((m, d), {}) if week["offers"][i]["id"] in wish["offers"]]
            total += wish["worth"] if wish["eater"] == eater["id"] and had_on else 0.0
    return total - (FAIR * most if week["version"] > 1 else 0.0), short


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
