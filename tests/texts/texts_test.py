#!/usr/bin/env python3
"""No text is left out of a language: every text of the sources, of data/ and of the line's page has its
own in each file of data/texts/, with the same things put in, and not in English still."""
import glob
import json
import os
import re
import sys

here = os.path.dirname(os.path.abspath(__file__))
sys.path.insert(0, os.path.join(here, "..", "..", "tools"))
import texts as tool  # noqa: E402

HOLES = re.compile(r"\{[^}]*\}|%\d")
# What is the same in both: names of formats, units, the line's own language, samples of notes.
SAME = re.compile(r"^[^a-z]*$|^(mm|cm|m|in|kg|lb|lm|W|PDF|OK|Esc|Alt)$|^room My|^units metres|<t[dr]|<table|<p style")


def everyText():
    found = tool.ofData()
    found.update(tool.ofTheLine())
    for text, path in tool.ofSources().items():
        found.setdefault(text, path)
    return found


def faultsOf(own, found):
    faults = []
    for text, path in found.items():
        if text not in own:
            faults.append(f"left out: “{text}” ({path})")
            continue
        a, b = HOLES.findall(text), HOLES.findall(own[text])
        named = all(h[0] == "%" or re.match(r"\{[a-z]", h) for h in a)
        if (sorted(a) != sorted(b)) if named else a != b:
            faults.append(f"other things are put in: “{text}” as “{own[text]}”")
        if not own[text].strip() and text.strip():
            faults.append(f"empty: “{text}”")
    return faults


# An example's figures are put in, in the job's own units (exampleIn); markup and scales have their own.
FIGURES = re.compile(r"\d ?['\"′″]|\b\d+ ?x ?\d+|\b\d+ (inches|inch|feet|foot)\b")


def foreignOf(found):
    """Texts of the window that have inches in them whatever the job's units are."""
    return [f"inches in a text of the window: “{text}” ({path})" for text, path in found.items()
            if os.path.join("src", "app") in path and not text.startswith("<") and FIGURES.search(text)]


CODE = re.compile(r"`([^`]+)`")


def shapeOf(page):
    """What a page has in whatever language: its headings by level, the rows of its tables, its lines of
    code, and what it quotes of them."""
    lines = page.split("\n")
    return {
        "headings": [len(x) - len(x.lstrip("#")) for x in lines if x.startswith("#")],
        "rows of tables": sum(x.startswith("|") for x in lines),
        # What stands behind it tells of it, in a language.
        "lines of code": [re.split(r"  +", x.strip())[0] for x in lines if x.startswith("    ")],
        "paragraphs": sum(bool(b.strip()) for b in page.split("\n\n")),
        "code": {" ".join(c.split()) for c in CODE.findall(page)},
    }


def handbookFaults(own, folder):
    """What a language's pages of the handbook lack of the English ones. The pages of the line and of
    the rules are made from the texts."""
    faults = []
    with open(os.path.join(here, "..", "..", "src", "app", "dialogs", "handbook_dialog.cpp"), encoding="utf-8") as f:
        order = re.search(r"pageOrder\{([^}]*)\}", f.read()).group(1)
    pages = [p for p in re.findall(r'"([a-z-]+)"', order) if p not in ("line", "rules")]
    assert len(pages) >= 8, "the handbook's pages were not found"
    docs = os.path.join(here, "..", "..", "docs")
    for page in pages:
        path = os.path.join(docs, folder, page + ".md")
        if not folder or not os.path.exists(path):
            faults.append(f"the handbook's page {page} is left out")
            continue
        with open(os.path.join(docs, page + ".md"), encoding="utf-8") as f:
            english = shapeOf(f.read())
        with open(path, encoding="utf-8") as f:
            mine = shapeOf(f.read())
        for what, has in english.items():
            if what == "code":
                for lacks in sorted(has - mine[what]):
                    faults.append(f"the handbook's page {page} doesn't tell of `{lacks}`")
            elif has != mine[what]:
                faults.append(f"the handbook's page {page} has other {what}: {mine[what]}, not {has}")
    return faults


def main():
    found = everyText()
    files = sorted(glob.glob(os.path.join(here, "..", "..", "data", "texts", "*.json")))
    bad = 0
    assert files, "there is no language"
    assert len(found) > 3000, "the texts were not found"
    assert foreignOf({"say it like 84 x 36": os.path.join("src", "app", "here")})
    for fault in foreignOf(tool.ofSources()):
        print(fault)
        bad += 1
    for path in files:
        with open(path, encoding="utf-8") as f:
            own = json.load(f)
        faults = faultsOf(own, found)
        # A check that can fail: without one of its texts it does.
        some = next(iter(found))
        assert faultsOf({k: v for k, v in own.items() if k != some}, {some: "here"})
        faults += handbookFaults(own, own.get("the handbook's folder", ""))
        assert handbookFaults(own, "nowhere")
        same = [t for t in found if own.get(t) == t and not SAME.search(t)]
        share = len(same) / len(found)
        if share > 0.03:
            faults.append(f"{len(same)} texts are English still, like “{same[0]}”")
        for fault in faults[:40]:
            print(f"{os.path.basename(path)}: {fault}")
        bad += len(faults)
        print(f"{os.path.basename(path)}: {len(found)} texts, {len(faults)} faults, {len(same)} the same in both")
    sys.exit(1 if bad else 0)


if __name__ == "__main__":
    main()
