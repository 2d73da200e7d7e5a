#!/usr/bin/env python3
"""Makes the generic distributions of data/light: each an IES file (LM-63-2002) of 1000 lumens, by a
formula of its own. Run from the project's folder; the files are kept, so that nothing need run it."""
import math

FOLDER = "data/light/"


def steps(end, by):
    return [i * by for i in range(int(end / by) + 1)]


def cosine(power, cut=90):
    """Straight down most, by a power of the cosine; nothing past the cut-off."""
    return lambda v, h: math.cos(math.radians(v)) ** power if v < cut and v < 90 else 0


def up(power):
    return lambda v, h: math.cos(math.radians(180 - v)) ** power if v > 90 else 0


def lobe(v0, h0, power):
    """About a direction, by a power of the cosine of the angle from it."""
    a, b = math.radians(v0), math.radians(h0)
    to = (math.sin(a) * math.cos(b), math.sin(a) * math.sin(b), math.cos(a))

    def at(v, h):
        a, b = math.radians(v), math.radians(h)
        c = to[0] * math.sin(a) * math.cos(b) + to[1] * math.sin(a) * math.sin(b) + to[2] * math.cos(a)
        return c ** power if c > 0 else 0
    return at


def both(*parts):
    return lambda v, h: sum(k * f(v, h) for k, f in parts)


def shade(v, h):
    """A lamp in a cloth shade open at its foot and its head: two cones, and the cloth aglow."""
    down = math.cos(math.radians(v)) if v < 50 else math.cos(math.radians(v)) * max(0, (65 - v) / 15) if v < 65 else 0
    upward = 180 - v
    rise = math.cos(math.radians(upward)) if upward < 45 else math.cos(math.radians(upward)) * max(0, (60 - upward) / 15) if upward < 60 else 0
    return 1.0 * down + 0.9 * rise + 0.22 * math.sin(math.radians(v))


def dome(v, h):
    """An opaque dome: down only, cut off by its rim."""
    return 1 if v < 45 else max(0, (68 - v) / 23) if v < 68 else 0


ROUND = [0]
KINDS = {
    "diffuse": ("A flat diffuser, facing down", cosine(1), ROUND),
    "globe": ("The same all round", lambda v, h: 1, ROUND),
    "wide": ("Recessed, wide: beam about 80 degrees", cosine(2.6), ROUND),
    "flood": ("Recessed, flood: beam about 60 degrees", cosine(4.8, 75), ROUND),
    "medium": ("Recessed, medium: beam about 40 degrees", cosine(11.1, 70), ROUND),
    "spot": ("Narrow: beam about 24 degrees", cosine(31.4, 60), ROUND),
    "shade": ("A cloth shade, open at head and foot", shade, ROUND),
    "drum": ("A cloth drum with a diffuser under it", both((1.0, cosine(1)), (0.5, up(1)),
             (0.25, lambda v, h: math.sin(math.radians(v)))), ROUND),
    "dome": ("An opaque dome", dome, ROUND),
    "uplight": ("Up only, wide", up(1), ROUND),
    "arms": ("Bare lamps on arms: nearly all round", lambda v, h: 1 - 0.25 * abs(math.cos(math.radians(v))), ROUND),
    "washer": ("A wall washer: toward H 90, from 30 degrees off the upright", both((1, lobe(38, 90, 6)),
               (0.25, cosine(3))), None),
    "updown": ("A wall light: up and down, and a glow into the room", both((1, lobe(20, 90, 5)),
               (0.9, lobe(160, 90, 5)), (0.2, lobe(90, 90, 1))), None),
    "shieldedwall": ("A wall light in a shade: all of its half of the room", both((1, lobe(90, 90, 0.6)),
                     (0.3, lobe(20, 90, 4)), (0.3, lobe(160, 90, 4))), None),
    "cove": ("From a ledge, up and out", lobe(140, 90, 2.5), None),
    "picture": ("Over a picture: down and back to the wall", lobe(28, -90, 5), None),
    "strip": ("Under a cabinet: down, and a little to the back", both((1, cosine(1)), (0.4, lobe(25, -90, 3))), None),
}


def figure(x):
    return f"{x:.2f}".rstrip("0").rstrip(".")


def wrapped(values):
    lines, line = [], ""
    for v in values:
        if len(line) + len(v) + 1 > 100:
            lines.append(line)
            line = ""
        line += (" " if line else "") + v
    return lines + [line]


def lumens(at, vertical, horizontal, whole):
    """Straight between angles, as a reader takes it."""
    def zone(h):
        total = 0
        for a, b in zip(vertical, vertical[1:]):
            n = 40
            for i in range(n):
                v = a + (b - a) * (i + 0.5) / n
                value = at(a, h) + (at(b, h) - at(a, h)) * (i + 0.5) / n
                total += value * math.sin(math.radians(v)) * math.radians((b - a) / n)
        return total
    if len(horizontal) == 1:
        return 2 * math.pi * zone(horizontal[0])
    total = sum((zone(a) + zone(b)) / 2 * math.radians(b - a) for a, b in zip(horizontal, horizontal[1:]))
    return total * whole


for name, (says, at, given) in KINDS.items():
    rising = given if given is not None else [90 + 15 * i for i in range(13)]  # alike about the plane 90 to 270
    vertical = steps(180, 2.5)
    scale = 1000 / lumens(at, vertical, rising, 2)
    lines = ["IESNA:LM-63-2002", "[TEST] none, by a formula", "[TESTLAB] none", "[ISSUEDATE] 2026-11-29",
             "[MANUFAC] none", f"[LUMINAIRE] {says}", "TILT=NONE",
             f"1 1000 1 {len(vertical)} {len(rising)} 1 2 0 0 0", "1 1 0"]
    lines += wrapped([figure(v) for v in vertical]) + wrapped([figure(h) for h in rising])
    for h in rising:
        lines += wrapped([figure(at(v, h) * scale) for v in vertical])
    open(FOLDER + name + ".ies", "w", newline="").write("\r\n".join(lines) + "\r\n")
