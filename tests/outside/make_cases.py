#!/usr/bin/env python3
"""Works out cases by its own means, and prints them as the data that worked_cases_test.cpp reads.

Nothing of the program is used here: places by the trade's rules of thumb, beams by the force
method, ways by the widest path over a fine grid, closings by plane trigonometry, doors by turning
a rectangle step by step. Lengths are in inches. Run it from anywhere:

    python3 tests/outside/make_cases.py > tests/cases/worked.json
"""
import heapq
import json
import math
import random

random.seed(20261125)
cases = []


def notes_of(width, depth, ceiling=96, a="", b="", c="", d=""):
    wall = lambda letter, length, extra: f"wall {letter} {length}\n" + extra
    return (f"room Worked\nceiling {ceiling}\n" + wall("A", width, a) + wall("B", depth, b)
            + wall("C", width, c) + wall("D", depth, d))


def add(kind, **fields):
    cases.append({"kind": kind, **fields})


# ---- hooks: a drop that nobody measured (common practice) ----

def half_width(shape, w, h, down):
    """Half of how wide an outline is at so far under its top."""
    if shape == "oval":
        y = h / 2 - down
        return w / 2 * math.sqrt(max(0.0, 1 - (y / (h / 2)) ** 2))
    return w / 2


for name, shape, stile in (("picture", "rectangle", 0.5), ("canvas", "rectangle", 1.0),
                           ("poster", "rectangle", 0.375), ("round mirror", "oval", 0.5)):
    for mount in ("on a sawtooth", "on one ring", "on two rings", "on screws, one hook"):
        for _ in range(4):
            w = random.randrange(12, 44, 2)
            h = w if shape == "oval" else random.randrange(12, 40, 2)
            along = random.randrange(40, 100)
            centre = random.randrange(52, 66)
            if mount == "on a sawtooth":
                drop = 0.5
            elif mount == "on screws, one hook":
                drop = 2.0
            elif name == "round mirror" and mount == "on one ring":
                drop = 1.5  # such a mirror's own ring, as the kit has it
            else:
                drop = h / 4
            drop = min(drop, h / 4) if mount != "on screws, one hook" else drop
            up = centre + h / 2 - drop
            if mount == "on two rings":
                space = 2 * half_width(shape, w, h, drop)
                spacing = max(space - 2 * stile, space / 3)
                hooks = [[along - spacing / 2, up], [along + spacing / 2, up]]
            else:
                hooks = [[along, up]]
            size = f"{w}" if shape == "oval" else f"{w} x {h}"
            add("hooks", notes=notes_of(144, 120),
                lines=[f"{name} {size} on wall A, centre {along} from left corner, "
                       f"centre at {centre}, {mount}"], hooks=hooks, assumed=True)

# ---- brackets: a beam on rigid props by the force method ----


def reactions(length, props, load):
    """Of an even load over a beam, its props left to right: the three-moment equations with
    overhangs, solved by elimination."""
    q = load / length
    n = len(props)
    moments = [0.0] * n
    moments[0] = -q * props[0] ** 2 / 2
    moments[-1] = -q * (length - props[-1]) ** 2 / 2
    inner = n - 2
    if inner > 0:
        rows = []
        for i in range(1, n - 1):
            l, r = props[i] - props[i - 1], props[i + 1] - props[i]
            row = [0.0] * inner + [-q * (l ** 3 + r ** 3) / 4]
            for j, f in ((i - 1, l), (i, 2 * (l + r)), (i + 1, r)):
                if 1 <= j <= n - 2:
                    row[j - 1] += f
                else:
                    row[-1] -= f * moments[j]
            rows.append(row)
        for i in range(inner):
            pivot = rows[i][i]
            rows[i] = [v / pivot for v in rows[i]]
            for k in range(inner):
                if k != i:
                    f = rows[k][i]
                    rows[k] = [a - f * b for a, b in zip(rows[k], rows[i])]
        for i in range(inner):
            moments[i + 1] = rows[i][-1]
    out = [0.0] * n
    out[0] += q * props[0]
    out[-1] += q * (length - props[-1])
    for i in range(n - 1):
        span = props[i + 1] - props[i]
        tilt = (moments[i + 1] - moments[i]) / span
        out[i] += q * span / 2 + tilt
        out[i + 1] += q * span / 2 - tilt
    return out


for n in (2, 3, 4, 5):
    for _ in range(10):
        w = random.randrange(36, 96, 4)
        deep = random.choice((8, 10, 12))
        load = random.randrange(20, 240, 10)
        inset = w / 6
        props = [inset + (w - 2 * inset) * i / (n - 1) for i in range(n)]
        # A floating shelf is taken to weigh 26 kg to a square metre of its top.
        weight = 26 * (w * 0.0254) * (deep * 0.0254) / 0.45359237
        each = reactions(w, props, load + weight)
        even = (load + weight) / n
        add("brackets", notes=notes_of(144, 120),
            lines=[f"floating shelf {w} x {deep} of pine on wall A, on {n} brackets, "
                   f"holds {load} lb"], rated_lb=[4 * max(even, r) for r in each])

# ---- ways: the widest path over a fine grid, from anywhere across one opening to another ----


def widest(width, depth, openings, boxes, step=0.5):
    nx, ny = int(width / step) + 1, int(depth / step) + 1

    def clearance(x, y):
        near = min(
            (math.hypot(max(b[0] - x, 0, x - b[2]), max(b[1] - y, 0, y - b[3])) for b in boxes),
            default=1e9)
        for at, (o0, o1) in ((y, openings[0]), (depth - y, openings[1])):
            if o0 <= x <= o1:
                near = min(near, math.hypot(x - o0, at), math.hypot(o1 - x, at))
            else:
                near = min(near, at)
        return min(near, x, width - x)

    room = [[clearance(i * step, j * step) for j in range(ny)] for i in range(nx)]
    best = [[-1.0] * ny for _ in range(nx)]
    queue = []
    for i in range(nx):
        if openings[0][0] <= i * step <= openings[0][1]:
            best[i][0] = room[i][0]
            heapq.heappush(queue, (-room[i][0], i, 0))
    while queue:
        w, i, j = heapq.heappop(queue)
        w = -w
        if w < best[i][j]:
            continue
        if j == ny - 1 and openings[1][0] <= i * step <= openings[1][1]:
            return 2 * w
        for di, dj in ((1, 0), (-1, 0), (0, 1), (0, -1), (1, 1), (1, -1), (-1, 1), (-1, -1)):
            a, b = i + di, j + dj
            if 0 <= a < nx and 0 <= b < ny:
                v = min(w, room[a][b])
                if v > best[a][b]:
                    best[a][b] = v
                    heapq.heappush(queue, (-v, a, b))
    return 0.0


made = 0
while made < 36:
    width, depth = random.randrange(120, 200, 4), random.randrange(110, 170, 4)
    o0 = random.randrange(4, width - 90)
    o1 = random.randrange(4, width - 90)
    ow = random.choice((72, 80))
    boxes, lines = [], []
    for k in range(random.randrange(2, 6)):
        w, d = random.randrange(14, 60, 2), random.randrange(14, 40, 2)
        x = random.randrange(w // 2, width - w // 2)
        y = random.randrange(d // 2 + 2, depth - d // 2 - 2)
        boxes.append((x - w / 2, y - d / 2, x + w / 2, y + d / 2))
        lines.append(f"trunk {w} x {d} x 30 called box {k + 1} at {x}in, {y}in")
    got = widest(width, depth, [(o0, o0 + ow), (o1, o1 + ow)], boxes)
    if not 2 < got < 34:
        continue
    made += 1
    # Wall C runs the other way: its left is the room's right.
    add("way", notes=notes_of(width, depth, a=f"  opening {o0} from left, {ow} wide, 80 high\n",
                              c=f"  opening {width - o1 - ow} from left, {ow} wide, 80 high\n"),
        lines=lines, width=round(got, 3), spare=1.0)

# ---- shut: from wall to wall, whatever the order ----

for _ in range(18):
    width, depth = random.randrange(120, 180, 4), random.randrange(120, 170, 2)
    count = random.choice((2, 3, 4))
    y = depth / 2
    each = math.ceil(width / count) + 4
    pieces = []
    for k in range(count):
        x = width * (k + 0.5) / count
        # Up to the next thousandth, so that what is written down touches the walls all the same.
        w = math.ceil(min(each, 2 * x, 2 * (width - x)) * 1000 + 1) / 1000
        pieces.append(f"bookcase {w:g} x 12 x 60 called case {k + 1} at {x:g}in, "
                      f"{y + (k % 2) * 4:g}in")
    random.shuffle(pieces)
    add("way", notes=notes_of(width, depth, a="  opening 30 from left, 40 wide, 80 high\n",
                              c="  opening 30 from left, 40 wide, 80 high\n"),
        lines=pieces, width=0, spare=0.001)

# ---- closings: rooms out of square, both diagonals taped; by plane trigonometry ----

for _ in range(30):
    p = [(0, 0), (random.randrange(120, 200), 0)]
    p.append((p[1][0] + random.uniform(-9, 9), random.uniform(100, 160)))
    p.append((random.uniform(-9, 9), random.uniform(100, 160)))
    side = lambda i, j: math.dist(p[i], p[j])
    sixteenth = lambda v: round(v * 16) / 16
    runs = [sixteenth(side(i, (i + 1) % 4)) for i in range(4)]
    ac, bd = sixteenth(side(0, 2)), sixteenth(side(1, 3))
    area = abs(sum(p[i][0] * p[(i + 1) % 4][1] - p[(i + 1) % 4][0] * p[i][1]
                   for i in range(4))) / 2
    add("closing",
        notes="room Worked\nceiling 96\n"
              + "".join(f"wall {'ABCD'[i]} {runs[i]:g}\n" for i in range(4))
              + f"diagonal A to C {ac:g}\ndiagonal B to D {bd:g}\n",
        area=area)

# ---- doors: a rectangle turned step by step in a doorway ----


def fits(p, q, wide, high):
    for i in range(0, 9001):
        a = i * math.pi / 2 / 9000
        if (p * math.cos(a) + q * math.sin(a) <= wide + 1e-9
                and p * math.sin(a) + q * math.cos(a) <= high + 1e-9):
            return True
    return False


made = 0
while made < 30:
    wide, high = random.randrange(26, 40), random.randrange(76, 86)
    size = [random.randrange(20, 100) for _ in range(3)]
    clear = wide - 2  # the leaf and the stops
    answers = [fits(size[i], size[j], clear, high) for i, j in ((0, 1), (0, 2), (1, 2))]
    near = any(fits(size[i], size[j], clear + s, high + s) != fits(size[i], size[j], clear, high)
               for i, j in ((0, 1), (0, 2), (1, 2)) for s in (-0.05, 0.05))
    if near:
        continue
    made += 1
    add("door", notes=notes_of(
        240, 240, c=f"  door 40 from left, {wide} wide, {high} high, hinge left, swings in\n"),
        size=size, fits=any(answers))

print(json.dumps({"unit": "in", "cases": cases}, indent=0))
