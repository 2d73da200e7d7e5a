#!/usr/bin/env python3
"""Lists every text the core says, as a file to translate: python3 tools/texts.py > own.json

Each key is the English text; write its own beside it, with every {} kept, in its order. MEZZET_TEXTS
names the file to speak by.
"""
import glob
import json
import os
import re

root = os.path.join(os.path.dirname(os.path.abspath(__file__)), "..", "src", "core")
string = r'"((?:[^"\\\\]|\\\\.)*)"'
whole = r"((?:" + string + r"\s*)+)"
texts = {}
for path in sorted(glob.glob(os.path.join(root, "*", "*.cpp"))):
    with open(path, encoding="utf-8") as f:
        source = f.read()
    # Sentences with things put in, and plain ones of problems and refusals.
    for opening in (r"worded\(\s*", r"told\(\s*", r"Problem\{\s*", r"(?:fail|failAhead|fault)\([^;\"]*?"):
        for match in re.finditer(opening + whole, source):
            parts = re.findall(string, match.group(1))
            text = "".join(parts).encode("utf-8").decode("unicode_escape").encode("latin-1").decode("utf-8")
            if re.search("[a-z]", text):
                texts.setdefault(text, text)
print(json.dumps(texts, indent=1, ensure_ascii=False))
