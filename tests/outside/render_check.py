#!/usr/bin/env python3
"""The direct light on a floor, with shadows, against an independent renderer (POV-Ray).

A room with lamps that shine alike every way, hung at known places, and boxes that stand in their
light. Mezzet's grid of lux is held against a picture of the floor from straight above, rendered with
one light at a time: each point's value is I cos / d2, where nothing is in the way. A lamp that
shines 1000 cd gives E = 1000 h / d3.

usage: render_check.py MEZZET-CLI POVRAY
"""
import json
import os
import subprocess
import sys
import tempfile

CLI, POVRAY = sys.argv[1:3]
PIXELS = 600          # a side of the picture
STEP = 100.0          # mm, of the grid
NEAR_EDGE = 60.0      # mm: nearer to a shadow's edge or a box a pixel may be of either side
TOLERANCE = 0.01      # of a point's light, once the picture's own steps are allowed for
WIDE, DEEP = 4800.0, 3600.0

STEADY = ("IESNA91\nTILT=NONE\n1 -1 1 3 1 1 2 0 0 0\n1 1 21\n0 90 180\n0\n1000 1000 1000\n")
NOTES = ("room Plain\nceiling 2600 mm\nwall A 4800 mm\nwall B 3600 mm\nwall C 4800 mm\n"
         "wall D 3600 mm\n")
LINES = ["units mm",
         "pendant at 1200, 1000, bottom at 1900",
         "add pendant at 3600, 2300, bottom at 2000",
         "bookcase 900 x 300 x 1800 at 2400, 1700, turned 30",
         "trunk 800 x 500 x 450 at 900, 2500",
         "ies steady.ies for pendant", "ies steady.ies for pendant 2"]


def mezzet(folder, *arguments):
    env = dict(os.environ, MEZZET_STUDIO=os.path.join(folder, "studio"))
    ran = subprocess.run([CLI, *arguments], cwd=folder, env=env, capture_output=True, text=True)
    if ran.returncode != 0:
        sys.exit(f"{arguments}: {ran.stderr}")
    return ran.stdout


def rendered(folder, lamp, boxes, brightest):
    """Light on the floor of one lamp, lux, as rows of the picture from y = 0 on."""
    x, y, z = lamp["at"]
    # The renderer's light falls off by 2 / (1 + (d / f)^2): with f far under d by the square of it.
    fade = 1.0
    scale = 0.9 / brightest  # so that the brightest place is no more than white
    k = 1000.0 * scale / (2 * fade * fade) * 1e6
    scene = ['#version 3.7;', 'global_settings { assumed_gamma 1.0 max_trace_level 2 }',
             'camera { orthographic location <%f, 6000, %f> direction <0, -1, 0> up <0, 0, %f> '
             'right <%f, 0, 0> }' % (WIDE / 2, DEEP / 2, DEEP, WIDE),
             'light_source { <%f, %f, %f> rgb %f fade_distance %f fade_power 2 }'
             % (x, z, y, k, fade),
             'plane { y, 0 pigment { rgb 1 } finish { ambient 0 diffuse 1 } }']
    for corners, height in boxes:
        flat = ", ".join('<%f, %f>' % (cx, cy) for cx, cy in corners + corners[:1])
        scene.append('prism { linear_spline 0, %f, %d, %s pigment { rgb 0 } '
                     'finish { ambient 0 diffuse 0 } }' % (height, len(corners) + 1, flat))
    path = os.path.join(folder, "scene.pov")
    with open(path, "w", encoding="utf-8") as out:
        out.write("\n".join(scene) + "\n")
    picture = os.path.join(folder, "scene.ppm")
    ran = subprocess.run(
        [POVRAY, "+I" + path, "+O" + picture, "+FP16", "+W%d" % PIXELS, "+H%d" % PIXELS, "-D",
         "-A", "File_Gamma=1.0", "Verbose=Off", "All_Console=Off", "Work_Threads=2"],
        cwd=folder, capture_output=True, text=True)
    if ran.returncode != 0:
        sys.exit("the renderer failed: " + ran.stderr[-2000:])
    with open(picture, "rb") as f:
        data = f.read()
    # The head of a PPM: four words, with comments between.
    words, at = [], 0
    while len(words) < 4:
        end = data.index(b"\n", at)
        words += data[at:end].split(b"#")[0].split()
        at = end + 1
    assert words == [b"P6", b"%d" % PIXELS, b"%d" % PIXELS, b"65535"], words
    pixels = data[at:]
    rows = []
    for r in range(PIXELS):
        at = r * PIXELS * 6
        rows.append([int.from_bytes(pixels[at + c * 6:at + c * 6 + 2], "big") / 65535 / scale
                     for c in range(PIXELS)])
    return rows


def main():
    with tempfile.TemporaryDirectory() as folder:
        for name, text in (("steady.ies", STEADY), ("room.txt", NOTES),
                           ("lines.txt", "\n".join(LINES) + "\n")):
            with open(os.path.join(folder, name), "w", encoding="utf-8") as out:
                out.write(text)
        mezzet(folder, "build", "room.txt", "--lines", "lines.txt", "-o", "job.mezzet")
        light = json.loads(mezzet(folder, "light", "job.mezzet", "--json"))
        grid = json.loads(mezzet(folder, "light", "job.mezzet", "--grid", "100mm", "--direct",
                                 "--json"))["grid"]
        scene = json.loads(mezzet(folder, "scene", "job.mezzet", "--json"))
        boxes = []
        for p in scene["pieces"]:
            if p["name"] in ("Bookcase", "Trunk"):
                boxes.append(([tuple(c) for c in p["corners"]], p["size_mm"][2]))
        assert len(boxes) == 2, [p["name"] for p in scene["pieces"]]
        lamps = light["fixtures"]
        assert len(lamps) == 2
        pictures = [rendered(folder, lamp, boxes, 1000.0 / (lamp["at"][2] / 1000) ** 2)
                    for lamp in lamps]

        def shown(x, y):
            """The sum of both lamps there, and whether no edge of a shadow is near."""
            c = int(x / WIDE * PIXELS)
            # The picture's first row is far from the renderer's own zero: y runs up it.
            r = PIXELS - 1 - int(y / DEEP * PIXELS)
            near = max(1, int(NEAR_EDGE / DEEP * PIXELS))
            total = 0.0
            for rows in pictures:
                here = rows[r][c]
                around = [rows[min(max(r + dr, 0), PIXELS - 1)][min(max(c + dc, 0), PIXELS - 1)]
                          for dr in (-near, 0, near) for dc in (-near, 0, near)]
                dark = sum(1 for v in around if v < 1)
                if 0 < dark < len(around):
                    return None
                total += here
            return total

        compared = worst = shadowed = 0
        fails = []
        for j, row in enumerate(grid["lux"]):
            for i, lux in enumerate(row):
                x = grid["from"][0] + i * grid["step_mm"]
                y = grid["from"][1] + j * grid["step_mm"]
                if lux is None or not (0 < x < WIDE and 0 < y < DEEP):
                    continue
                want = shown(x, y)
                if want is None or want < 1:
                    continue
                compared += 1
                both = sum(1000.0 * (l["at"][2] / 1000) /
                           (((l["at"][0] - x) ** 2 + (l["at"][1] - y) ** 2 + l["at"][2] ** 2) /
                            1e6) ** 1.5 for l in lamps)
                shadowed += 1 if want < 0.98 * both else 0
                # A pixel is some 8 mm: its middle is not the point itself.
                off = abs(lux - want) / want
                worst = max(worst, off)
                if off > TOLERANCE + 8 / 1000:
                    fails.append((round(x), round(y), round(lux, 2), round(want, 2)))
        print(f"{compared} points, {shadowed} of them in a shadow; the farthest off {worst:.2%}")
        if compared < 500 or shadowed < 60 or len(fails) > compared / 200:
            sys.exit(f"differs at {len(fails)}: {fails[:10]}")


main()
