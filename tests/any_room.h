#pragma once

#include "jobs.h"

#include <fmt/format.h>

#include <random>
#include <string>
#include <vector>

namespace mezzet::test {

/// A room of one of four forms, with doors of each swing, a window, a breast or a column, and
/// furniture dropped anywhere, now and then with art.
inline Project anyRoom(unsigned seed) {
    std::mt19937 random(seed);
    const auto any = [&](int low, int high) {
        return std::uniform_int_distribution<int>(low, high)(random);
    };
    const char* swings[] = {"hinge left, swings in", "hinge right, swings in",
                            "hinge left, swings out"};
    const int w = any(132, 264);
    const int d = any(120, 204);
    std::string notes = fmt::format("ceiling {}in\n", any(90, 108));
    int walls = 4;
    if (any(0, 2) == 0) {
        // An L: the far right corner is taken out.
        const int x = any(40, w / 3);
        const int y = any(40, d / 3);
        notes += fmt::format("wall A {}in\n window {}in from left, 40 wide, 48 high, sill 30\n"
                             "wall B {}in\n door 8 from left, 32 wide, {}\n"
                             "wall C {}in\ncorner out\nwall D {}in\nwall E {}in\n door 10 from "
                             "left, 32 wide, {}\nwall F {}in\n",
                             w, any(10, w - 60), d - y, swings[any(0, 2)], x, y, w - x,
                             swings[any(0, 2)], d);
        walls = 6;
    } else {
        notes += fmt::format("wall A {}in\n window {}in from left, 40 wide, 48 high, sill 30\n"
                             "wall B {}in\n door 8 from left, 32 wide, {}\nwall C {}in\n{}"
                             "wall D {}in\n door {}in from left, 30 wide, {}\n",
                             w, any(10, w - 60), d, swings[any(0, 2)], w,
                             any(0, 1) == 0 ? fmt::format(" chimney {}in from left, 40 wide, 14 "
                                                          "deep\n",
                                                          any(20, w - 70))
                                            : "",
                             d, any(10, d - 50), swings[any(0, 2)]);
    }
    const char* kinds[] = {"sofa",        "armchair",   "coffee table", "side table",
                           "dresser",     "floor lamp", "trunk",        "low bookcase",
                           "queen bed",   "desk",       "corner sofa",  "television",
                           "round table", "sideboard",  "loveseat",     "bookcase"};
    std::vector<std::string> lines;
    const int n = any(3, 9);
    for (int i = 0; i < n; ++i)
        lines.push_back(fmt::format("{} called Piece {} at {}in, {}in, turned {}",
                                    kinds[any(0, 15)], i, any(25, w - 25), any(25, d - 25),
                                    any(0, 3) * 90));
    for (int i = any(0, 3); i > 0; --i) {
        const int on = any(0, walls == 4 ? 3 : 1);
        lines.push_back(fmt::format("picture {} x {} called Art {} on wall {}, {} from corner "
                                    "{}{}, centre at {}",
                                    any(12, 40), any(12, 40), i, static_cast<char>('A' + on),
                                    any(2, 60), static_cast<char>('A' + (on + walls - 1) % walls),
                                    static_cast<char>('A' + on), any(45, 75)));
    }
    if (any(0, 3) == 0)
        lines.push_back("access on");
    return jobWith(lines, notes.c_str());
}

} // namespace mezzet::test
