#include "colour/families.h"

#include <algorithm>
#include <cmath>
#include <cstddef>
#include <limits>

namespace mezzet {

std::vector<ColourFamily> familiesOf(std::span<const Patch> patches, double within) {
    struct Group {
        std::vector<std::size_t> members;
        double weight = 0;
        Lab middle;
    };
    std::vector<Group> groups;
    std::vector<Lab> labs;
    double whole = 0;
    for (std::size_t i = 0; i < patches.size(); ++i) {
        labs.push_back(labOf(patches[i].colour));
        const double w = std::max(patches[i].share, 0.0);
        whole += w;
        // Equal ones are one from the beginning.
        const auto same = std::find_if(groups.begin(), groups.end(), [&](const Group& g) {
            return patches[g.members.front()].colour == patches[i].colour;
        });
        if (same != groups.end()) {
            same->members.push_back(i);
            same->weight += w;
        } else {
            groups.push_back({{i}, w, labs.back()});
        }
    }
    while (groups.size() > 1) {
        double least = within;
        std::size_t a = 0;
        std::size_t b = 0;
        for (std::size_t i = 0; i < groups.size(); ++i)
            for (std::size_t k = i + 1; k < groups.size(); ++k)
                if (const double d = colourDifference(groups[i].middle, groups[k].middle);
                    d < least) {
                    least = d;
                    a = i;
                    b = k;
                }
        if (b == 0)
            break;
        Group& into = groups[a];
        const Group& from = groups[b];
        const double w = into.weight + from.weight;
        const double part = w > 0 ? from.weight / w : 0.5;
        into.middle = {into.middle.l + (from.middle.l - into.middle.l) * part,
                       into.middle.a + (from.middle.a - into.middle.a) * part,
                       into.middle.b + (from.middle.b - into.middle.b) * part};
        into.weight = w;
        into.members.insert(into.members.end(), from.members.begin(), from.members.end());
        groups.erase(groups.begin() + static_cast<std::ptrdiff_t>(b));
    }
    std::stable_sort(groups.begin(), groups.end(),
                     [](const Group& a, const Group& b) { return a.weight > b.weight; });
    std::vector<ColourFamily> out;
    for (Group& g : groups) {
        // The member nearest to its middle speaks for it.
        const auto best =
            std::min_element(g.members.begin(), g.members.end(), [&](std::size_t a, std::size_t b) {
                return colourDifference(labs[a], g.middle) < colourDifference(labs[b], g.middle);
            });
        const Rgb colour = patches[*best].colour;
        std::sort(g.members.begin(), g.members.end());
        out.push_back({colour, whole > 0 ? g.weight / whole : 0, std::move(g.members)});
    }
    return out;
}

PaletteChoice choosePalette(std::span<const ColourFamily> all, double least, double most) {
    PaletteChoice out;
    double colourful = 0;
    for (const ColourFamily& f : all) {
        if (out.families.empty() || (out.families.size() < 2 && f.share > least)) {
            out.families.push_back(f.colour);
            continue;
        }
        if (const double chroma = labOf(f.colour).chroma(); f.share <= most && chroma > colourful) {
            colourful = chroma;
            out.accent = f.colour;
        }
    }
    return out;
}

namespace {

/// Pixels of nearly one colour.
struct Cell {
    double count = 0;
    double r = 0;
    double g = 0;
    double b = 0;
    Lab lab;
};

double apart(Lab a, Lab b) {
    const double l = a.l - b.l;
    const double x = a.a - b.a;
    const double y = a.b - b.b;
    return l * l + x * x + y * y;
}

std::vector<Cell> cellsOf(std::span<const std::uint32_t> pixels) {
    constexpr unsigned bits = 5;
    struct Sum {
        std::uint32_t count = 0;
        std::uint64_t r = 0;
        std::uint64_t g = 0;
        std::uint64_t b = 0;
    };
    std::vector<Sum> sums(std::size_t{1} << (3 * bits));
    for (const std::uint32_t p : pixels) {
        if ((p >> 24) < 128)
            continue;
        const std::uint32_t r = p >> 16 & 255;
        const std::uint32_t g = p >> 8 & 255;
        const std::uint32_t b = p & 255;
        Sum& s = sums[(r >> 3) << 10 | (g >> 3) << 5 | b >> 3];
        ++s.count;
        s.r += r;
        s.g += g;
        s.b += b;
    }
    std::vector<Cell> out;
    for (const Sum& s : sums) {
        if (s.count == 0)
            continue;
        Cell c{static_cast<double>(s.count),
               static_cast<double>(s.r),
               static_cast<double>(s.g),
               static_cast<double>(s.b),
               {}};
        const auto mean = [&](double sum) {
            return static_cast<std::uint8_t>(std::lround(sum / c.count));
        };
        c.lab = labOf({mean(c.r), mean(c.g), mean(c.b)});
        out.push_back(c);
    }
    return out;
}

Cell meanOf(const std::vector<Cell>& cells, const std::vector<std::size_t>& of, std::size_t which) {
    Cell sum;
    for (std::size_t i = 0; i < cells.size(); ++i)
        if (of[i] == which) {
            const Cell& c = cells[i];
            sum.count += c.count;
            sum.r += c.r;
            sum.g += c.g;
            sum.b += c.b;
            sum.lab.l += c.lab.l * c.count;
            sum.lab.a += c.lab.a * c.count;
            sum.lab.b += c.lab.b * c.count;
        }
    if (sum.count > 0) {
        sum.lab.l /= sum.count;
        sum.lab.a /= sum.count;
        sum.lab.b /= sum.count;
    }
    return sum;
}

} // namespace

std::vector<Patch> dominantColours(std::span<const std::uint32_t> pixels, int most) {
    const auto cells = cellsOf(pixels);
    if (cells.empty() || most < 1)
        return {};
    double whole = 0;
    for (const Cell& c : cells)
        whole += c.count;
    // Begun with the commonest, then again and again what is most of what is far from all so far;
    // a few more than asked, since some will be one.
    const auto begin = static_cast<std::size_t>(most) * 2 + 4;
    std::vector<Lab> middles;
    std::vector<double> far(cells.size(), std::numeric_limits<double>::max());
    while (middles.size() < begin) {
        std::size_t best = 0;
        double worth = 0;
        for (std::size_t i = 0; i < cells.size(); ++i)
            if (const double w = cells[i].count * std::min(far[i], 1e4); w > worth) {
                worth = w;
                best = i;
            }
        if (worth <= 0)
            break;
        middles.push_back(cells[best].lab);
        for (std::size_t i = 0; i < cells.size(); ++i)
            far[i] = std::min(far[i], apart(cells[i].lab, middles.back()));
    }
    std::vector<std::size_t> of(cells.size(), 0);
    const auto share = [&] {
        bool changed = false;
        for (std::size_t i = 0; i < cells.size(); ++i) {
            std::size_t best = 0;
            for (std::size_t k = 1; k < middles.size(); ++k)
                if (apart(cells[i].lab, middles[k]) < apart(cells[i].lab, middles[best]))
                    best = k;
            changed = changed || of[i] != best;
            of[i] = best;
        }
        return changed;
    };
    std::vector<Cell> means(middles.size());
    const auto settle = [&] {
        constexpr int rounds = 30;
        for (int round = 0; round < rounds && (share() || round == 0); ++round)
            for (std::size_t k = 0; k < middles.size(); ++k) {
                means[k] = meanOf(cells, of, k);
                if (means[k].count > 0)
                    middles[k] = means[k].lab;
            }
        means.resize(middles.size());
    };
    settle();
    // What looks alike is one, what is hardly there goes to its neighbour, and of what is left the
    // least are given up until there are few enough.
    constexpr double alike = 8;
    constexpr double hardly = 0.01;
    while (middles.size() > 1) {
        std::size_t drop = middles.size();
        double least = alike;
        for (std::size_t i = 0; i < middles.size(); ++i)
            for (std::size_t k = i + 1; k < middles.size(); ++k)
                if (const double d = colourDifference(middles[i], middles[k]); d < least) {
                    least = d;
                    drop = means[i].count < means[k].count ? i : k;
                }
        if (drop == middles.size()) {
            const auto few =
                std::min_element(means.begin(), means.end(),
                                 [](const Cell& a, const Cell& b) { return a.count < b.count; });
            if (few->count >= hardly * whole && middles.size() <= static_cast<std::size_t>(most))
                break;
            drop = static_cast<std::size_t>(few - means.begin());
        }
        middles.erase(middles.begin() + static_cast<std::ptrdiff_t>(drop));
        means.erase(means.begin() + static_cast<std::ptrdiff_t>(drop));
        std::fill(of.begin(), of.end(), middles.size());
        settle();
    }
    std::vector<Patch> out;
    for (const Cell& m : means)
        if (m.count > 0) {
            const auto byte = [&](double sum) {
                return static_cast<std::uint8_t>(std::lround(sum / m.count));
            };
            out.push_back({{byte(m.r), byte(m.g), byte(m.b)}, m.count / whole});
        }
    std::stable_sort(out.begin(), out.end(),
                     [](const Patch& a, const Patch& b) { return a.share > b.share; });
    return out;
}

} // namespace mezzet
