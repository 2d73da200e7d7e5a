#!/usr/bin/env python3
"""Lists every text of the program, as a file to translate: python3 tools/texts.py > own.json

Each key is the English text; write its own beside it, with every {} and %1 kept, {} in its order. Put
it into data/texts/ under the two letters of its language; what is there already can be given, and
only what is new is asked for: python3 tools/texts.py data/texts/de.json > more.json

The texts stand in the sources, in what is said through told, worded, tr and inOwnWords and in what is
told of problems, and in the tables of data/. tests/texts/texts_test.py asks that each has its own.
"""
import glob
import json
import os
import re
import sys

root = os.path.join(os.path.dirname(os.path.abspath(__file__)), "..")
STRING = re.compile(r'"((?:[^"\\]|\\.)*)"')


def literals(source):
    """Every string literal of C++, adjacent ones joined: where it begins and ends, and its text."""
    out = []
    i, n = 0, len(source)
    while i < n:
        two = source[i:i + 2]
        if two == "//":
            i = source.find("\n", i)
            i = n if i < 0 else i
        elif two == "/*":
            i = source.find("*/", i) + 2
        elif source.startswith('R"(', i):
            i = source.find(')"', i) + 2
        elif source[i] == "'" and not (i > 0 and source[i - 1].isalnum()):
            i += 4 if source[i + 1] == "\\" else 3
        elif source[i] == '"':
            m = STRING.match(source, i)
            if out and not source[out[-1][1]:i].strip():
                out[-1] = (out[-1][0], m.end(), out[-1][2] + m.group(1))
            else:
                out.append((i, m.end(), m.group(1)))
            i = m.end()
        else:
            i += 1
    return out


def plain(text):
    return re.sub(r"\\(.)", lambda m: {"n": "\n", "t": "\t"}.get(m.group(1), m.group(1)), text)


# What says its first text, and what says every text put into it.
FIRST = ("worded", "told", "tr", "inOwnWords", "tell")
ALL = ("Problem", "fail", "failAhead", "fault", "refuse", "refused", "no", "bad", "wrong", "LineFault")
CALL = re.compile(r"\b(" + "|".join(FIRST + ALL) + r")(?:\s+\w+)?\s*[({]")


def inside(source, opening):
    """Where the bracket that opens there closes."""
    depth = 0
    i = opening
    while i < len(source):
        c = source[i]
        if c == '"':
            i = STRING.match(source, i).end()
            continue
        if c == "'" and i + 2 < len(source) and (source[i + 2] == "'" or source[i + 1] == "\\"):
            i += 4 if source[i + 1] == "\\" else 3
            continue
        if c in "([{":
            depth += 1
        elif c in ")]}":
            depth -= 1
            if depth == 0:
                return i
        i += 1
    return len(source)


def isText(text):
    return re.search(r"[A-Za-z]{2}", text) is not None


def ofSources():
    texts = {}
    for folder in ("core", "app", "sheets", "cli", "laser"):
        pattern = os.path.join(root, "src", folder, "**", "*.*")
        for path in sorted(glob.glob(pattern, recursive=True)):
            if not path.endswith((".cpp", ".h")):
                continue
            with open(path, encoding="utf-8") as f:
                source = f.read()
            found = literals(source)
            for call in CALL.finditer(source):
                opening = call.end() - 1
                end = inside(source, opening)
                own = [t for a, b, t in found if opening < a < end]
                if call.group(1) in FIRST:
                    first = re.sub(r"^(stderr, )?\s*", "", source[opening + 1:opening + 40])
                    own = own[:1] if first.startswith('"') else own
                    if call.group(1) == "told" and not first.startswith('"') and "?" not in source[opening:end]:
                        own = []
                for text in own:
                    if isText(text):
                        texts.setdefault(plain(text), os.path.relpath(path, root))
            # Sheets by their fields, in order or by name; options of the command line.
            for table in re.finditer(r"const SheetKind \w+\{", source):
                end = inside(source, table.end() - 1)
                for a, b, t in found:
                    if table.end() < a < end and (" " in t or t[:1].isupper()):
                        texts.setdefault(plain(t), os.path.relpath(path, root))
            for option in re.finditer(r"(?:add_(?:option|flag|subcommand)\(|CLI::App app\{)", source):
                end = inside(source, option.end() - 1)
                for a, b, t in found:
                    if option.end() <= a < end and " " in t:
                        texts.setdefault(plain(t), os.path.relpath(path, root))
            for table in re.finditer(r"const(?:expr)? char\* \w+(?:\[\])? =\s*", source):
                end = source.find(";", table.end())
                for a, b, t in found:
                    if folder in ("sheets", "app") and table.end() <= a < end and isText(t) and "/" not in t:
                        texts.setdefault(plain(t), os.path.relpath(path, root))
            # A table of texts is marked so.
            for mark in re.finditer(r"// texts\n", source):
                end = source.find("// end of texts", mark.end())
                for a, b, t in found:
                    if mark.end() <= a < end and isText(t):
                        texts.setdefault(plain(t), os.path.relpath(path, root))
    return texts


def ofData():
    """Texts of data/, by the fields that hold them."""
    texts = {}
    fields = {"title", "measures", "right", "tight", "loose", "note", "says", "source", "caution", "opens",
              "asks", "reason", "name", "trade", "counts", "task"}

    def walk(j, path, key=""):
        if isinstance(j, dict):
            for k, v in j.items():
                walk(v, path, key if key == "instead" else k)
        elif isinstance(j, list):
            for v in j:
                walk(v, path, key)
        elif isinstance(j, str) and (key in fields or key in ("instead", "cautions", "hand")) and isText(j):
            texts.setdefault(j, path)

    for path in sorted(glob.glob(os.path.join(root, "data", "*", "*.json"))):
        if os.sep + "texts" + os.sep in path:
            continue
        with open(path, encoding="utf-8") as f:
            walk(json.load(f), os.path.relpath(path, root))
    return texts


def ofTheLine():
    """What docs/line.md tells of each phrase; it is made of the tables that read the line."""
    texts = {}
    with open(os.path.join(root, "docs", "line.md"), encoding="utf-8") as f:
        page = f.read()
        texts.setdefault(page[:page.index("\n## ")], "docs/line.md")
        for line in page.split("\n"):
            head = re.match(r"\| ([a-z].*) \| (.*) \|$", line)
            for cell in head.groups() if head else ():
                texts.setdefault(cell, "docs/line.md")
            if line.startswith("## "):
                texts.setdefault(line[3:], "docs/line.md")
            elif line.startswith("| `"):
                said = re.match(r"\| `.*` \| (.*) \|$", line)
                if said and isText(said.group(1)):
                    texts.setdefault(said.group(1), "docs/line.md")
    return texts


def main():
    texts = ofData()
    texts.update(ofTheLine())
    for text, path in ofSources().items():
        texts.setdefault(text, path)
    have = {}
    if len(sys.argv) > 1:
        with open(sys.argv[1], encoding="utf-8") as f:
            have = json.load(f)
    print(json.dumps({t: t for t in texts if t not in have}, indent=1, ensure_ascii=False))


if __name__ == "__main__":
    main()
