#!/usr/bin/env python3
"""From a new room to a printed plan through what a screen reader sees, and nothing else: AT-SPI.

    dbus-run-session -- xvfb-run -a tests/reach/drive.py build/bin/mezzet

Each thing that can be used must say its name, and each reading its value and its verdict. Ends with
1, and a line for each fault.
"""
import ctypes
import os
import subprocess
import sys
import tempfile
import time

import pyatspi
from gi.repository import GLib

faults = []


def fault(words):
    faults.append(words)
    print("FAULT " + words, flush=True)


def wait(what, seconds=20):
    """The first thing `what` gives that is true, or None in the end."""
    end = time.time() + seconds
    while time.time() < end:
        try:
            got = what()
        except Exception:  # a thing that is gone by now
            got = None
        if got:
            return got
        time.sleep(0.1)
    return None


def every(root, role=None, name=None, showing=True):
    """All under a thing, by role and by a part of their name."""
    todo = [root]
    while todo:
        one = todo.pop()
        try:
            states = one.getState()
            children = [one[i] for i in range(min(one.childCount, 400))]
            if ((role is None or one.getRoleName() == role)
                    and (name is None or name in (one.name or ""))
                    and (not showing or states.contains(pyatspi.STATE_SHOWING))):
                yield one
        except Exception:
            continue
        todo.extend(reversed([c for c in children if c is not None]))


def first(root, role=None, name=None, showing=True):
    return next(every(root, role, name, showing), None)


def press(one):
    """Presses it. What opens a dialog answers only when that is closed: it is not waited for."""
    action = one.queryAction()
    names = [action.getName(i) for i in range(action.nActions)]
    at = next((i for i, n in enumerate(names) if n in ("Press", "press", "click", "Toggle")), 0)
    try:
        action.doAction(at)
    except GLib.GError:
        pass


def type_into(one, text):
    one.queryEditableText().setTextContents(text)


class Screen:
    """The X display: gives the keyboard to the topmost window, as a window manager would (here is
    none), and presses keys there."""

    def __init__(self):
        self.x = ctypes.CDLL("libX11.so.6")
        self.keys = ctypes.CDLL("libXtst.so.6")
        ptr, ulong = ctypes.c_void_p, ctypes.c_ulong
        uints, ints, ulongs = (ctypes.POINTER(t) for t in (ctypes.c_uint, ctypes.c_int, ulong))
        x = self.x
        x.XOpenDisplay.restype = ptr
        x.XDefaultRootWindow.argtypes, x.XDefaultRootWindow.restype = [ptr], ulong
        x.XQueryTree.argtypes = [ptr, ulong, ulongs, ulongs, ctypes.POINTER(ulongs), uints]
        x.XGetGeometry.argtypes = [ptr, ulong, ulongs, ints, ints, uints, uints, uints, uints]
        x.XSetInputFocus.argtypes = [ptr, ulong, ctypes.c_int, ulong]
        x.XGetWindowAttributes.argtypes = [ptr, ulong, ptr]
        x.XKeysymToKeycode.argtypes, x.XKeysymToKeycode.restype = [ptr, ulong], ctypes.c_ubyte
        x.XSync.argtypes = [ptr, ctypes.c_int]
        self.keys.XTestFakeKeyEvent.argtypes = [ptr, ctypes.c_uint, ctypes.c_int, ulong]
        self.display = x.XOpenDisplay(None)

    def focus(self):
        x, ulong = self.x, ctypes.c_ulong
        a, b, children, count = (ulong(), ulong(), ctypes.POINTER(ulong)(), ctypes.c_uint())
        x.XQueryTree(self.display, x.XDefaultRootWindow(self.display), a, b, children, count)
        for i in reversed(range(count.value)):
            px, py = ctypes.c_int(), ctypes.c_int()
            w, h, border, depth = (ctypes.c_uint() for _ in range(4))
            x.XGetGeometry(self.display, children[i], a, px, py, w, h, border, depth)
            room = ctypes.create_string_buffer(512)
            x.XGetWindowAttributes(self.display, children[i], room)
            # Its map_state is 92 bytes into XWindowAttributes, where longs have 8.
            viewable = ctypes.c_int.from_buffer(room, 92).value == 2
            if w.value > 200 and h.value > 200 and viewable:
                x.XSetInputFocus(self.display, children[i], 2, 0)
                break
        x.XSync(self.display, 0)

    def press(self, keysym):
        code = self.x.XKeysymToKeycode(self.display, keysym)
        for down in (1, 0):
            self.keys.XTestFakeKeyEvent(self.display, code, down, 0)
        self.x.XSync(self.display, 0)


screen = None
RETURN = 0xFF0D


def enter(one):
    """Enter, pressed where the keyboard is: a thing is given it first."""
    global screen
    screen = screen or Screen()
    screen.focus()
    time.sleep(0.2)
    one.queryComponent().grabFocus()
    time.sleep(0.3)
    screen.press(RETURN)
    time.sleep(0.3)


usable = {"push button", "check box", "radio button", "text", "combo box", "list", "menu item",
          "toggle button", "spin button", "link"}


def named(root, where):
    """Whatever can be used there says its name."""
    for one in every(root):
        try:
            states = one.getState()
            if (one.getRoleName() in usable and states.contains(pyatspi.STATE_FOCUSABLE)
                    and states.contains(pyatspi.STATE_ENABLED) and not one.name):
                fault(f"{where}: a {one.getRoleName()} without a name")
        except Exception:
            continue


def say(app, line):
    edit = wait(lambda: first(app, "text", "line", showing=True) or first(app, "text", "Line"))
    if edit is None:
        fault("the line can't be found")
        return
    type_into(edit, line)
    time.sleep(0.5)
    enter(edit)


def drive(app, folder):
    begin = wait(lambda: first(app, "push button", "Measure a new room"))
    if begin is None:
        return fault("there is no way to begin")
    named(app, "the first page")
    press(begin)
    notes = wait(lambda: first(app, "text", "notes") or first(app, "text", "Tape notes"))
    if notes is None:
        return fault("the notes can't be found")
    named(app, "the measure screen")
    type_into(notes, "room Reading room\nceiling 8'\nwall A 14'\n window 5' from left, 4' wide, "
                     "4' high, sill 32\nwall B 12'\nwall C 14'\n door 1' from left, 32 wide, hinge "
                     "left, swings in\nwall D 12'\n")
    start = wait(lambda: (lambda b: b if b and b.getState().contains(pyatspi.STATE_ENABLED)
                          else None)(first(app, "push button", "Start the job")))
    if start is None:
        return fault("the room can't be taken")
    press(start)
    board = wait(lambda: first(app, name="Board"))
    if board is None:
        return fault("the board can't be found")
    say(app, "sofa 84 x 36 x 34 against wall A")
    say(app, "coffee table 48 x 24 x 17, 8 from sofa, centred on sofa")
    # The list tells each piece with its size and its verdict.
    sofa = wait(lambda: first(app, "list item", "Sofa, 84 x 36"))
    table = wait(lambda: first(app, "list item", "Coffee table, 48 x 24"))
    if sofa is None or table is None:
        return fault("the pieces are not in the list, with name and size: "
                     + str([o.name for o in every(app, "list item")][:6]))
    if "tight" not in table.name:
        fault("the list does not tell the verdict: " + table.name)
    # The tape tells the reading: its title, its value, its verdict and why.
    gap = wait(lambda: next((t for t in every(app, "text") if "gap to Sofa".lower() in (t.name or "").lower()), None))
    if gap is None:
        return fault("the reading can't be found")
    value = gap.queryText().getText(0, -1)
    if value != '8"':
        fault("the reading's value is " + value)
    if "tight" not in gap.description or '12"' not in gap.description:
        fault("the reading does not tell its verdict and why: " + gap.description)
    if "to mend" not in (board.description or ""):
        fault("the board does not say what is left to mend: " + board.description)
    named(app, "the window")
    # The figure is typed over, and the table moves.
    type_into(gap, "16")
    enter(gap)
    if wait(lambda: next((t for t in every(app, "text") if "gap to sofa" in (t.name or "").lower()
                          and t.queryText().getText(0, -1) == '16"'
                          and "right" in t.description), None), 10) is None:
        fault("the table was not moved: "
              + str([(t.name, t.queryText().getText(0, -1)) for t in every(app, "text")]))
    # To paper.
    item = first(app, "menu item", "Print: the plan", showing=False)
    if item is None:
        return fault("the plan can't be printed")
    press(item)
    save = wait(lambda: (lambda b: b if b and b.getState().contains(pyatspi.STATE_ENABLED)
                         else None)(first(app, "push button", "Save the sheet")))
    if save is None:
        return fault("the sheet can't be saved")
    named(first(app, "dialog", "Print a sheet") or app, "the sheet dialog")
    press(save)
    where = wait(lambda: next((t for t in every(app, "text") if "File name" in (t.name or "")), None))
    if where is None:
        return fault("there is nowhere to name the file")
    path = os.path.join(folder, "plan.pdf")
    type_into(where, path)
    confirm = wait(lambda: next((b for b in every(app, "push button") if b.name == "Save"), None))
    if confirm is None:
        return fault("the file can't be saved")
    press(confirm)
    if not wait(lambda: os.path.exists(path) and os.path.getsize(path) > 1000):
        return fault("no plan was printed")
    text = subprocess.run(["pdftotext", "-layout", path, "-"], stdout=subprocess.PIPE,
                          check=False).stdout.decode(errors="replace")
    for word in ("Sofa", "Coffee table", "84 x 36"):
        if word not in text:
            fault(f"the plan does not tell of {word}")


def main():
    with tempfile.TemporaryDirectory() as folder:
        env = dict(os.environ, QT_LINUX_ACCESSIBILITY_ALWAYS_ON="1", HOME=folder,
                   XDG_CONFIG_HOME=folder, XDG_DATA_HOME=folder, XDG_RUNTIME_DIR=folder,
                   LC_ALL="C.UTF-8")
        os.chmod(folder, 0o700)
        program = subprocess.Popen([sys.argv[1]], env=env, stdout=subprocess.DEVNULL,
                                   stderr=subprocess.DEVNULL)
        try:
            def running():
                desktop = pyatspi.Registry.getDesktop(0)
                return next((a for a in desktop if a and "mezzet" in (a.name or "").lower()), None)
            app = wait(running)
            if app is None:
                fault("the program is not seen")
            else:
                drive(app, folder)
            if program.poll() is not None:
                fault(f"the program ended, {program.returncode}")
        finally:
            program.kill()
    print("reached" if not faults else f"{len(faults)} faults")
    return 1 if faults else 0


if __name__ == "__main__":
    sys.exit(main())
