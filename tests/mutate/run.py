#!/usr/bin/env python3
"""Changes the core in one place at a time, and looks whether a test notices.

    tests/mutate/run.py            each change in changes.json, with the test that is to fail for it
    tests/mutate/run.py --find     runs all of a change's test programs, and notes which test failed
    tests/mutate/run.py WORD       only the changes whose words hold WORD

The tree is copied to build/mutate first: nothing here is changed. Ends with 1 when fewer than nine
in ten are caught, or when a change can't be made any more.
"""
import json
import os
import re
import shutil
import subprocess
import sys

here = os.path.dirname(os.path.abspath(__file__))
root = os.path.dirname(os.path.dirname(here))
tree = os.path.join(root, "build", "mutate", "tree")
out = os.path.join(root, "build", "mutate", "out")
slow = "-*Random*:*SafeAnswers*:*AtRandom*"
enough = 0.9


def quiet(command, **more):
    return subprocess.run(command, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True,
                          errors="replace", **more)


def copy_tree():
    files = subprocess.run(["git", "ls-files", "-z"], cwd=root, stdout=subprocess.PIPE,
                           check=True).stdout.decode().split("\0")
    for name in filter(None, files):
        source, target = os.path.join(root, name), os.path.join(tree, name)
        if not os.path.exists(source):
            continue
        os.makedirs(os.path.dirname(target), exist_ok=True)
        with open(source, "rb") as f:
            wanted = f.read()
        if os.path.exists(target):
            with open(target, "rb") as f:
                if f.read() == wanted:
                    continue
        shutil.copyfile(source, target)


def build(program):
    return quiet(["cmake", "--build", out, "--target", "test-" + program])


def run(program, which):
    """The name of the first test that failed; "" when none did."""
    try:
        ran = quiet([os.path.join(out, "bin", "test-" + program), "--gtest_brief=1",
                     "--gtest_fail_fast", "--gtest_filter=" + which], timeout=300)
    except subprocess.TimeoutExpired:
        return "(it ran on without end)"
    if ran.returncode == 0:
        return ""
    failed = re.search(r"\[  FAILED  \] ([\w/.]+)", ran.stdout)
    return failed.group(1) if failed else "(it crashed)"


def main():
    find = "--find" in sys.argv
    words = [a for a in sys.argv[1:] if not a.startswith("--")]
    with open(os.path.join(here, "changes.json"), encoding="utf-8") as f:
        changes = json.load(f)
    copy_tree()
    made = quiet(["cmake", "-S", tree, "-B", out, "-G", "Ninja", "-DCMAKE_BUILD_TYPE=Release",
                  # A change may leave something unused.
                  "-DMEZZET_WARNINGS_ARE_ERRORS=OFF"])
    if made.returncode != 0:
        sys.exit(made.stdout)
    chosen = [c for c in changes if not words or any(w in c["what"] for w in words)]
    for program in sorted({p for c in chosen for p in c["tests"]}):
        built = build(program)
        if built.returncode != 0:
            sys.exit(built.stdout[-3000:])
    caught, missed, broken = 0, [], []
    for c in chosen:
        path = os.path.join(tree, c["file"])
        with open(path, encoding="utf-8") as f:
            text = f.read()
        if text.count(c["was"]) != 1:
            broken.append(c["what"] + ": what it changes is not there, or there twice")
            continue
        with open(path, "w", encoding="utf-8") as f:
            f.write(text.replace(c["was"], c["now"]))
        try:
            told = c.get("caught by", "").split(":")
            tries = [(p, slow) for p in c["tests"]]
            if len(told) == 2 and not find:  # that test first; another may have taken its place
                tries.insert(0, (told[0], told[1]))
            failed = ""
            for program, which in tries:
                built = build(program)
                if built.returncode != 0:
                    broken.append(c["what"] + ": it does not build\n" + built.stdout[-1500:])
                    failed = None
                    break
                failed = run(program, which)
                if failed:
                    if find and not failed.startswith("("):
                        c["caught by"] = program + ":" + failed
                    break
        finally:
            with open(path, "w", encoding="utf-8") as f:
                f.write(text)
        if failed is None:
            continue
        if failed:
            caught += 1
        else:
            missed.append(c["what"])
            if find:
                c.pop("caught by", None)
        print(("caught  " if failed else "MISSED  ") + c["what"] + (": " + failed if failed else ""),
              flush=True)
        if find:
            with open(os.path.join(here, "changes.json"), "w", encoding="utf-8") as f:
                json.dump(changes, f, indent=1, ensure_ascii=False)
                f.write("\n")
    for b in broken:
        print("BROKEN  " + b)
    total = caught + len(missed)
    print(f"{caught} of {total} changes are caught" + (f", {100 * caught / total:.0f} %" if total else ""))
    return 1 if broken or not total or caught < enough * total else 0


if __name__ == "__main__":
    sys.exit(main())
