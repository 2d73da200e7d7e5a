#include "colour/colour.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <array>
#include <charconv>
#include <cmath>
#include <numbers>
#include <vector>

namespace mezzet {

namespace {

using Triple = std::array<double, 3>;
using Matrix = std::array<Triple, 3>;

/// Linear sRGB to XYZ: the primaries and the white (0.3127, 0.3290) of IEC 61966-2-1, worked out.
constexpr Matrix toXyz{{{0.41239079926595934, 0.35758433938387800, 0.18048078840183430},
                        {0.21263900587151027, 0.71516867876775600, 0.07219231536073371},
                        {0.01933081871559182, 0.11919477979462598, 0.95053215224966070}}};
constexpr Matrix fromXyz{{{3.24096994190452260, -1.5373831775700940, -0.4986107602930034},
                          {-0.9692436362808796, 1.87596750150772020, 0.04155505740717559},
                          {0.05563007969699366, -0.2039769588889765, 1.05697151424287860}}};

constexpr Triple times(const Matrix& m, const Triple& v) {
    Triple out{};
    for (std::size_t i = 0; i < 3; ++i)
        out[i] = m[i][0] * v[0] + m[i][1] * v[1] + m[i][2] * v[2];
    return out;
}
constexpr Triple white = times(toXyz, {1, 1, 1});

double linear(std::uint8_t byte) {
    const double c = byte / 255.0;
    return c <= 0.04045 ? c / 12.92 : std::pow((c + 0.055) / 1.055, 2.4);
}

std::uint8_t coded(double c) {
    c = std::clamp(c, 0.0, 1.0);
    const double v = c <= 0.0031308 ? 12.92 * c : 1.055 * std::pow(c, 1 / 2.4) - 0.055;
    return static_cast<std::uint8_t>(std::lround(v * 255));
}

constexpr double epsilon = 216.0 / 24389;
constexpr double kappa = 24389.0 / 27;

double cubed(double t) {
    return t > epsilon ? std::cbrt(t) : (kappa * t + 16) / 116;
}

double radians(double degrees) {
    return degrees * std::numbers::pi / 180;
}

double degreesOf(double y, double x) {
    if (y == 0 && x == 0)
        return 0;
    const double d = std::atan2(y, x) * 180 / std::numbers::pi;
    return d < 0 ? d + 360 : d;
}

struct Named {
    std::string_view word;
    Rgb colour;
};

/// What people call colours, with a middling one of each; our own choice. The last are of
/// materials: they are read, but nothing is called by them.
constexpr auto named = std::to_array<Named>({
    {"white", {250, 250, 248}},       {"off-white", {243, 240, 230}},
    {"ivory", {244, 238, 218}},       {"cream", {240, 230, 200}},
    {"linen", {226, 216, 196}},       {"beige", {212, 196, 168}},
    {"sand", {202, 180, 142}},        {"oatmeal", {210, 201, 184}},
    {"stone", {184, 176, 162}},       {"taupe", {140, 126, 112}},
    {"tan", {188, 148, 104}},         {"camel", {180, 134, 84}},
    {"caramel", {166, 106, 56}},      {"cognac", {146, 82, 42}},
    {"rust", {164, 74, 38}},          {"terracotta", {188, 98, 68}},
    {"brown", {104, 72, 48}},         {"light brown", {150, 112, 78}},
    {"dark brown", {66, 46, 34}},     {"chocolate", {74, 48, 34}},
    {"black", {24, 24, 24}},          {"charcoal", {58, 60, 62}},
    {"dark grey", {86, 88, 90}},      {"grey", {136, 138, 140}},
    {"light grey", {200, 202, 202}},  {"silver", {192, 194, 198}},
    {"pewter", {128, 130, 130}},      {"brass", {182, 146, 72}},
    {"gold", {204, 164, 64}},         {"bronze", {122, 92, 58}},
    {"copper", {184, 112, 74}},       {"yellow", {236, 204, 66}},
    {"pale yellow", {244, 230, 158}}, {"mustard", {198, 154, 44}},
    {"ochre", {196, 140, 58}},        {"orange", {226, 128, 44}},
    {"peach", {240, 190, 156}},       {"apricot", {240, 170, 116}},
    {"coral", {230, 118, 96}},        {"red", {190, 40, 44}},
    {"dark red", {124, 28, 36}},      {"burgundy", {104, 30, 48}},
    {"pink", {232, 160, 176}},        {"pale pink", {242, 212, 212}},
    {"blush", {228, 190, 180}},       {"rose", {206, 122, 132}},
    {"plum", {98, 50, 82}},           {"purple", {116, 64, 134}},
    {"lavender", {186, 172, 214}},    {"lilac", {202, 176, 208}},
    {"navy", {30, 42, 74}},           {"dark blue", {38, 60, 110}},
    {"blue", {58, 98, 160}},          {"mid blue", {90, 130, 180}},
    {"light blue", {164, 194, 222}},  {"pale blue", {206, 222, 234}},
    {"sky blue", {136, 186, 224}},    {"duck-egg blue", {178, 206, 204}},
    {"slate", {92, 104, 116}},        {"denim", {76, 100, 136}},
    {"teal", {30, 112, 116}},         {"turquoise", {72, 182, 180}},
    {"aqua", {142, 208, 204}},        {"green", {74, 126, 72}},
    {"dark green", {36, 70, 48}},     {"forest green", {38, 78, 54}},
    {"light green", {164, 200, 148}}, {"sage", {158, 170, 142}},
    {"olive", {112, 110, 58}},        {"moss", {110, 122, 66}},
    {"mint", {186, 222, 200}},        {"lime", {172, 202, 66}},
    {"emerald", {24, 128, 88}},       {"clear", {226, 232, 232}},
    {"natural", {206, 184, 146}},     {"oak", {186, 148, 98}},
    {"walnut", {98, 68, 46}},         {"straw", {214, 190, 132}},
    {"wicker", {182, 146, 98}},
});

constexpr std::size_t ofMaterials = 6;

/// Other spellings.
constexpr std::pair<std::string_view, std::string_view> spelt[] = {
    {"gray", "grey"},
    {"dark gray", "dark grey"},
    {"light gray", "light grey"},
    {"off white", "off-white"},
    {"duck egg blue", "duck-egg blue"},
    {"duck egg", "duck-egg blue"},
    {"greige", "stone"},
    {"golden", "gold"},
    {"violet", "purple"},
    {"maroon", "burgundy"},
    {"wine", "burgundy"},
    {"ecru", "linen"},
    {"medium blue", "mid blue"},
    {"pale green", "light green"},
    {"sky", "sky blue"}};

const Named* byWord(std::string_view lower) {
    for (const auto& [other, word] : spelt)
        if (lower == other)
            lower = word;
    for (const Named& n : named)
        if (n.word == lower)
            return &n;
    return nullptr;
}

/// What a colour is mixed with by a word before it, and how much of that; our own choice.
struct Shade {
    std::string_view word;
    Rgb with;
    double part;
};
constexpr Shade shades[] = {
    {"warm", {255, 196, 120}, 0.12},   {"cool", {150, 190, 235}, 0.12},
    {"cold", {150, 190, 235}, 0.16},   {"soft", {250, 250, 248}, 0.35},
    {"pale", {250, 250, 248}, 0.5},    {"light", {250, 250, 248}, 0.45},
    {"pastel", {250, 250, 248}, 0.5},  {"very light", {250, 250, 248}, 0.65},
    {"dark", {20, 20, 22}, 0.4},       {"very dark", {20, 20, 22}, 0.6},
    {"deep", {20, 20, 22}, 0.3},       {"dusty", {150, 146, 140}, 0.4},
    {"muted", {150, 146, 140}, 0.4},   {"greyish", {150, 146, 140}, 0.4},
    {"grayish", {150, 146, 140}, 0.4}, {"bright", {0, 0, 0}, 0},
    {"medium", {0, 0, 0}, 0},          {"mid", {0, 0, 0}, 0},
};

/// The word of a shade that a text begins with, and a blank behind it; null for none.
const Shade* shadeAhead(std::string_view lower) {
    const Shade* best = nullptr;
    for (const Shade& s : shades)
        if (lower.size() > s.word.size() && lower.starts_with(s.word) &&
            lower[s.word.size()] == ' ' && (best == nullptr || s.word.size() > best->word.size()))
            best = &s;
    return best;
}

Rgb mixed(Rgb c, const Shade& s) {
    const auto one = [&](std::uint8_t a, std::uint8_t b) {
        return static_cast<std::uint8_t>(std::lround(a * (1 - s.part) + b * s.part));
    };
    return {one(c.r, s.with.r), one(c.g, s.with.g), one(c.b, s.with.b)};
}

/// "navy", "warm white", "very pale blue": a word, or one that is shaded.
std::optional<Rgb> byWords(std::string_view lower) {
    if (const Named* n = byWord(lower))
        return n->colour;
    if (const Shade* s = shadeAhead(lower))
        if (const Named* n = byWord(trimmed(lower.substr(s->word.size()))))
            return mixed(n->colour, *s);
    return {};
}

std::optional<Rgb> fromHex(std::string_view s) {
    if (s.empty() || s.front() != '#' || (s.size() != 7 && s.size() != 4))
        return {};
    s.remove_prefix(1);
    const std::size_t each = s.size() / 3;
    std::array<std::uint8_t, 3> out{};
    for (std::size_t i = 0; i < 3; ++i) {
        unsigned v = 0;
        const char* from = s.data() + i * each;
        const auto [end, fault] = std::from_chars(from, from + each, v, 16);
        if (fault != std::errc{} || end != from + each)
            return {};
        out[i] = static_cast<std::uint8_t>(each == 1 ? v * 17 : v);
    }
    return Rgb{out[0], out[1], out[2]};
}

} // namespace

double Lab::chroma() const {
    return std::hypot(a, b);
}

double Lab::hue() const {
    return degreesOf(b, a);
}

Lab labOf(Rgb c) {
    static const auto lines = [] {
        std::array<double, 256> out{};
        for (std::size_t i = 0; i < out.size(); ++i)
            out[i] = linear(static_cast<std::uint8_t>(i));
        return out;
    }();
    const Triple xyz = times(toXyz, {lines[c.r], lines[c.g], lines[c.b]});
    const double x = cubed(xyz[0] / white[0]);
    const double y = cubed(xyz[1] / white[1]);
    const double z = cubed(xyz[2] / white[2]);
    return {116 * y - 16, 500 * (x - y), 200 * (y - z)};
}

Rgb rgbOf(Lab c) {
    const double y = (c.l + 16) / 116;
    const double x = y + c.a / 500;
    const double z = y - c.b / 200;
    const auto back = [](double f) {
        return f * f * f > epsilon ? f * f * f : (116 * f - 16) / kappa;
    };
    const Triple rgb = times(fromXyz, {back(x) * white[0], back(y) * white[1], back(z) * white[2]});
    return {coded(rgb[0]), coded(rgb[1]), coded(rgb[2])};
}

double colourDifference(Lab one, Lab two) {
    const double mean = (one.chroma() + two.chroma()) / 2;
    const double seventh = std::pow(mean, 7);
    static const double far = std::pow(25.0, 7);
    const double g = 0.5 * (1 - std::sqrt(seventh / (seventh + far)));
    const double a1 = (1 + g) * one.a;
    const double a2 = (1 + g) * two.a;
    const double c1 = std::hypot(a1, one.b);
    const double c2 = std::hypot(a2, two.b);
    const double h1 = degreesOf(one.b, a1);
    const double h2 = degreesOf(two.b, a2);

    const double dl = two.l - one.l;
    const double dc = c2 - c1;
    double dh = 0;
    double h = h1 + h2;
    if (c1 * c2 != 0) {
        dh = h2 - h1;
        if (dh > 180)
            dh -= 360;
        else if (dh < -180)
            dh += 360;
        if (std::abs(h1 - h2) > 180)
            h += h < 360 ? 360 : -360;
        h /= 2;
    }
    const double dH = 2 * std::sqrt(c1 * c2) * std::sin(radians(dh / 2));
    const double l = (one.l + two.l) / 2;
    const double c = (c1 + c2) / 2;
    const double t = 1 - 0.17 * std::cos(radians(h - 30)) + 0.24 * std::cos(radians(2 * h)) +
                     0.32 * std::cos(radians(3 * h + 6)) - 0.20 * std::cos(radians(4 * h - 63));
    const double turn = 30 * std::exp(-std::pow((h - 275) / 25, 2));
    const double c7 = std::pow(c, 7);
    const double rc = 2 * std::sqrt(c7 / (c7 + far));
    const double fifty = (l - 50) * (l - 50);
    const double sl = 1 + 0.015 * fifty / std::sqrt(20 + fifty);
    const double sc = 1 + 0.045 * c;
    const double sh = 1 + 0.015 * c * t;
    const double rt = -std::sin(radians(2 * turn)) * rc;
    const double x = dl / sl;
    const double y = dc / sc;
    const double z = dH / sh;
    return std::sqrt(std::max(x * x + y * y + z * z + rt * y * z, 0.0));
}

std::string hexOf(Rgb c) {
    return fmt::format("#{:02x}{:02x}{:02x}", c.r, c.g, c.b);
}

Result<Rgb> readColour(std::string_view said) {
    const auto lower = foldCase(trimmed(said));
    if (const auto hex = fromHex(lower))
        return *hex;
    if (const auto c = byWords(lower))
        return *c;
    return Problem{worded("“{}” is no colour", std::string(trimmed(said))),
                   "say it like #b08d57, or in a plain word like cream or navy"};
}

Result<Lab> readLab(std::string_view said) {
    auto s = foldCase(trimmed(said));
    constexpr std::string_view head = "lab(";
    if (!s.starts_with(head)) {
        const auto c = readColour(said);
        if (!c)
            return c.problem();
        return labOf(*c);
    }
    const Problem wrong{worded("“{}” is no colour", std::string(trimmed(said))),
                        "say it like lab(50, 2.68, -79.8)"};
    if (s.back() != ')')
        return wrong;
    s = s.substr(head.size(), s.size() - head.size() - 1);
    std::array<double, 3> v{};
    std::string_view rest = s;
    for (std::size_t i = 0; i < v.size(); ++i) {
        rest = trimmed(rest);
        const auto [end, fault] = std::from_chars(rest.data(), rest.data() + rest.size(), v[i]);
        if (fault != std::errc{} || !std::isfinite(v[i]))
            return wrong;
        rest = trimmed(rest.substr(static_cast<std::size_t>(end - rest.data())));
        if (i < 2 && !rest.empty() && rest.front() == ',')
            rest.remove_prefix(1);
    }
    constexpr double far = 1000;
    if (!rest.empty() || v[0] < 0 || v[0] > 100 || std::abs(v[1]) > far || std::abs(v[2]) > far)
        return wrong;
    return Lab{v[0], v[1], v[2]};
}

std::string_view colourWord(Rgb c) {
    const Lab lab = labOf(c);
    const Named* best = nullptr;
    double least = 1e9;
    for (std::size_t i = 0; i + ofMaterials < named.size(); ++i)
        if (const double d = colourDifference(lab, labOf(named[i].colour)); d < least) {
            least = d;
            best = &named[i];
        }
    return best->word;
}

ColourSaid colourAhead(std::string_view lower) {
    const auto ends = [&](std::size_t at) {
        return at >= lower.size() || lower[at] == ' ' || lower[at] == ',' || lower[at] == ';';
    };
    for (const std::size_t hex : {std::size_t{7}, std::size_t{4}})
        if (lower.size() >= hex && ends(hex))
            if (const auto c = fromHex(lower.substr(0, hex)))
                return {*c, hex};
    ColourSaid best;
    const auto tried = [&](std::string_view word, Rgb colour) {
        if (word.size() > best.bytes && lower.starts_with(word) && ends(word.size()))
            best = {colour, word.size()};
    };
    for (const Named& n : named)
        tried(n.word, n.colour);
    for (const auto& [other, word] : spelt)
        tried(other, byWord(word)->colour);
    if (const Shade* s = shadeAhead(lower)) {
        const auto shaded = colourAhead(lower.substr(s->word.size() + 1));
        if (shaded.bytes > 0 && s->word.size() + 1 + shaded.bytes > best.bytes)
            best = {mixed(shaded.colour, *s), s->word.size() + 1 + shaded.bytes};
    }
    return best;
}

} // namespace mezzet
