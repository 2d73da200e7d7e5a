// IES files, as ANSI/IES LM-63 of 1986, 1991, 1995 and 2002 lays them down.
#include "photometry/photometry_text.h"

#include "measure/text.h"

#include <fmt/format.h>

#include <cmath>

namespace mezzet {

namespace {

constexpr double feet = 304.8;

bool beginsWith(std::string_view text, std::string_view what) {
    return text.size() >= what.size() && foldCase(text.substr(0, what.size())) == foldCase(what);
}

/// The lines before TILT=: what the file calls itself. Leaves the lines after it.
struct Head {
    std::string name;
    std::string tilt;
};

Result<Head> readHead(Lines& lines) {
    Head out;
    std::string first;
    while (const auto line = lines.next()) {
        const auto t = trimmed(*line);
        if (beginsWith(t, "TILT")) {
            const auto equals = t.find('=');
            if (equals == std::string_view::npos)
                return lines.problem("TILT says nothing", "write TILT=NONE");
            out.tilt = std::string(trimmed(t.substr(equals + 1)));
            if (out.name.empty())
                out.name = first;
            return out;
        }
        if (beginsWith(t, "[LUMINAIRE]"))
            out.name = std::string(trimmed(t.substr(11)));
        else if (first.empty() && !t.empty() && !beginsWith(t, "IESNA") && t.front() != '[')
            first = std::string(t);
    }
    return lines.problem("there is no TILT line, so this is no IES file",
                         "a line TILT=NONE comes before the figures");
}

/// Skips how lamps lose light when tilted; upright they lose none of what is measured.
std::optional<Problem> passTilt(Figures& in) {
    const auto geometry = in.whole("the lamp's place in the tilted fixture", 1, 3);
    if (!geometry)
        return geometry.problem();
    const auto pairs = in.whole("the number of tilt angles", 1, 1000);
    if (!pairs)
        return pairs.problem();
    for (int i = 0; i < 2 * *pairs; ++i)
        if (const auto n = in.number(i < *pairs ? "a tilt angle" : "a tilt factor"); !n)
            return n.problem();
    return {};
}

} // namespace

Result<Photometry> readIes(std::string_view text, std::string_view file) {
    if (text.size() > mostPhotometryBytes)
        return tooLong(file);
    Lines lines(text, file);
    const auto head = readHead(lines);
    if (!head)
        return head.problem();
    Figures in(lines);
    const auto tilt = foldCase(head->tilt);
    if (tilt == "include") {
        if (auto p = passTilt(in))
            return *p;
    } else if (tilt != "none") {
        return lines.problem(
            fmt::format("its tilt is in another file, “{}”", shownPlainly(head->tilt)),
            "put that in it with TILT=INCLUDE, or say TILT=NONE");
    }
    Photometry out;
    out.name = shownPlainly(head->name);
    const auto lamps = in.whole("the number of lamps", 1, 10000);
    if (!lamps)
        return lamps.problem();
    const auto lumens = in.number("the lumens of a lamp");
    if (!lumens)
        return lumens.problem();
    const auto multiplier = in.positive("the multiplier", 1e6);
    if (!multiplier)
        return multiplier.problem();
    const auto nv = in.whole("the number of vertical angles", 2, 2000);
    if (!nv)
        return nv.problem();
    const auto nh = in.whole("the number of horizontal angles", 1, 2000);
    if (!nh)
        return nh.problem();
    const std::size_t count = static_cast<std::size_t>(*nv) * static_cast<std::size_t>(*nh);
    if (count > mostCandela)
        return in.problem(fmt::format("{} values are too many", count),
                          fmt::format("up to {} are read", mostCandela));
    const auto type = in.whole("the photometric type", 1, 3);
    if (!type)
        return type.problem();
    const auto units = in.whole("the units", 1, 2);
    if (!units)
        return units.problem();
    double sizes[3] = {};
    for (double& s : sizes) {
        const auto n = in.number("a size of the luminous opening");
        if (!n)
            return n.problem();
        // Less than nothing says that it is round.
        out.round = out.round || *n < 0;
        s = std::abs(*n) * (*units == 1 ? feet : 1000);
        if (s > 1e6)
            return in.problem("a luminous opening of over a kilometre", "give its true size");
    }
    const auto ballast = in.positive("the ballast factor", 1e3);
    if (!ballast)
        return ballast.problem();
    if (const auto later = in.number("the figure for later use"); !later)
        return later.problem();
    const auto watts = in.number("the watts");
    if (!watts)
        return watts.problem();
    if (*watts < 0 || *watts > 1e6)
        return in.problem("watts below nothing, or over a million", "give what it takes");
    out.type = static_cast<PhotometricType>(*type);
    out.watts = *watts;
    out.lampLumens = *lumens > 0 ? *lumens * *lamps : 0;
    out.width = sizes[0];
    out.length = sizes[1];
    out.height = sizes[2];
    const bool typeC = out.type == PhotometricType::c;
    if (auto p = in.angles(out.vertical, *nv, "vertical", typeC ? 0 : -90, typeC ? 180 : 90))
        return *p;
    if (auto p = in.angles(out.horizontal, *nh, "horizontal", typeC ? 0 : -90, typeC ? 360 : 90))
        return *p;
    if (auto p = reachOf(out, in))
        return *p;
    if (auto p = in.candelas(out.candela, count, *multiplier * *ballast))
        return *p;
    if (auto p = in.nothingMore())
        return *p;
    return out;
}

std::string writeIes(const Photometry& p) {
    std::string out = "IESNA:LM-63-2002\n[TEST] none\n[TESTLAB] none\n[ISSUEDATE] none\n[MANUFAC] "
                      "none\n[LUMINAIRE] ";
    out += p.name + "\nTILT=NONE\n";
    const double round = p.round ? -1 : 1;
    out += p.lampLumens > 0 ? fmt::format("1 {} ", p.lampLumens) : std::string("1 -1 ");
    out += fmt::format("1 {} {} {} 2 {} {} {}\n1 1 {}\n", p.vertical.size(), p.horizontal.size(),
                       static_cast<int>(p.type), round * p.width / 1000, round * p.length / 1000,
                       p.height / 1000, p.watts);
    // Lines of readable length: LM-63 has 132 characters at the most, and so it is kept.
    const auto put = [&out](const double* from, std::size_t n) {
        std::string line;
        for (std::size_t i = 0; i < n; ++i) {
            const auto figure = fmt::format("{}", from[i]);
            if (line.size() + figure.size() + 1 > 120) {
                out += line + "\n";
                line.clear();
            }
            line += (line.empty() ? "" : " ") + figure;
        }
        out += line + "\n";
    };
    put(p.vertical.data(), p.vertical.size());
    put(p.horizontal.data(), p.horizontal.size());
    for (std::size_t h = 0; h < p.horizontal.size(); ++h)
        put(p.candela.data() + h * p.vertical.size(), p.vertical.size());
    return out;
}

} // namespace mezzet
