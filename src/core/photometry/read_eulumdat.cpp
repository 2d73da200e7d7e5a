// EULUMDAT files: one figure or word a line, in candela for a thousand lumens.
#include "photometry/photometry_text.h"

#include "measure/text.h"

#include <fmt/format.h>

#include <charconv>
#include <cmath>

namespace mezzet {

namespace {

/// What is said a line at a time.
class OneALine {
public:
    explicit OneALine(Lines& lines) : lines_(lines) {}
    [[nodiscard]] std::string words() {
        const auto line = lines_.next();
        if (!line)
            fault_ = fault_ ? fault_ : lines_.problem("it ends here", "the file is cut short");
        return line ? shownPlainly(trimmed(*line)) : std::string();
    }
    [[nodiscard]] double number(std::string_view what, double least, double most) {
        const auto line = lines_.next();
        if (fault_)
            return least;
        if (!line) {
            fault_ =
                lines_.problem(fmt::format("it ends before {}", what), "the file is cut short");
            return least;
        }
        std::string text(trimmed(*line));
        // Decimal commas are met with.
        for (char& c : text)
            if (c == ',')
                c = '.';
        double out = 0;
        const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), out);
        if (error != std::errc() || end != text.data() + text.size() || !std::isfinite(out)) {
            fault_ = lines_.problem(
                fmt::format("“{}” is no figure for {}", shownPlainly(text.substr(0, 40)), what),
                "write a plain number");
            return least;
        }
        if (out < least || out > most) {
            fault_ = lines_.problem(fmt::format("{} is {}", what, out),
                                    fmt::format("it is from {} to {}", least, most));
            return least;
        }
        return out;
    }
    [[nodiscard]] int whole(std::string_view what, int least, int most) {
        const double n = number(what, least, most);
        if (!fault_ && n != std::floor(n))
            fault_ = lines_.problem(fmt::format("{} is {}", what, n), "it is a whole number");
        return static_cast<int>(n);
    }
    void pass(int lines) {
        for (int i = 0; i < lines && !fault_; ++i)
            (void)words();
    }
    [[nodiscard]] const std::optional<Problem>& fault() const { return fault_; }

private:
    Lines& lines_;
    std::optional<Problem> fault_;
};

/// How its planes are alike.
enum class Alike { none = 0, round = 1, acrossC0 = 2, acrossC90 = 3, both = 4 };

} // namespace

Result<Photometry> readEulumdat(std::string_view text, std::string_view file) {
    if (text.size() > mostPhotometryBytes)
        return tooLong(file);
    Lines lines(text, file);
    OneALine in(lines);
    Photometry out;
    in.pass(1);
    in.pass(1); // point, line or else: the planes tell the same
    const auto alike = static_cast<Alike>(in.whole("the symmetry", 0, 4));
    const int planes = in.whole("the number of C planes", 1, 721);
    (void)in.number("the angle between C planes", 0, 360);
    const int gammas = in.whole("the number of angles in a plane", 2, 721);
    (void)in.number("the angle between values", 0, 180);
    in.pass(1);
    out.name = in.words();
    in.pass(3);
    (void)in.number("the length", 0, 1e6);
    (void)in.number("the width", 0, 1e6);
    (void)in.number("the height", 0, 1e6);
    out.length = in.number("the luminous length", 0, 1e6);
    out.width = in.number("the luminous width", 0, 1e6);
    for (int i = 0; i < 4; ++i)
        out.height = std::max(out.height, in.number("a luminous height", 0, 1e6));
    (void)in.number("the share downward", 0, 100.5);
    (void)in.number("the light output ratio", 0, 1000);
    const double conversion = in.number("the conversion factor", 0, 1e6);
    (void)in.number("the tilt", -360, 360);
    const int sets = in.whole("the number of sets of lamps", 1, 20);
    double flux = 0;
    for (int i = 0; i < sets && !in.fault(); ++i) {
        // Less than nothing: measured as a whole.
        (void)in.whole("the number of lamps", -10000, 10000);
        in.pass(1);
        flux += in.number("the lumens of a set", 0, 1e9);
        in.pass(2);
        out.watts += in.number("the watts", 0, 1e6);
    }
    for (int i = 0; i < 10; ++i)
        (void)in.number("a direct ratio", -1, 100);
    if (in.fault())
        return *in.fault();
    out.lampLumens = flux;
    std::vector<double> c;
    for (int i = 0; i < planes; ++i)
        c.push_back(in.number(fmt::format("C plane {} of {}", i + 1, planes), 0, 360));
    for (int i = 0; i < gammas; ++i)
        out.vertical.push_back(in.number(fmt::format("angle {} of {}", i + 1, gammas), 0, 180));
    if (in.fault())
        return *in.fault();
    for (const auto* rising : {&c, &out.vertical})
        for (std::size_t i = 1; i < rising->size(); ++i)
            if ((*rising)[i] <= (*rising)[i - 1])
                return lines.problem(
                    fmt::format("the angle {}° comes after {}°", (*rising)[i], (*rising)[i - 1]),
                    "they rise");
    // Which planes are given, by the symmetry, counted from the first.
    std::size_t from = 0;
    std::size_t given = 1;
    const auto n = static_cast<std::size_t>(planes);
    switch (alike) {
    case Alike::none:
        given = n;
        break;
    case Alike::round:
        break;
    case Alike::acrossC0:
        given = n / 2 + 1;
        break;
    case Alike::acrossC90:
        from = 3 * n / 4;
        given = n / 2 + 1;
        break;
    case Alike::both:
        given = n / 4 + 1;
        break;
    }
    if (given > 1 && given > n)
        return lines.problem("too few C planes for its symmetry", "give them all");
    if (given * out.vertical.size() > mostCandela)
        return lines.problem(fmt::format("{} values are too many", given * out.vertical.size()),
                             fmt::format("up to {} are read", mostCandela));
    for (std::size_t i = 0; i < given; ++i) {
        double h = c[(from + i) % n];
        if (alike == Alike::acrossC90 && from + i < n)
            h -= 360;
        out.horizontal.push_back(given == 1 ? 0 : h);
    }
    const double factor = (conversion > 0 ? conversion : 1) * flux / 1000;
    for (std::size_t i = 0; i < given * out.vertical.size(); ++i)
        out.candela.push_back(
            in.number(fmt::format("value {} of {}", i + 1, given * out.vertical.size()), 0, 1e9) *
            factor);
    if (in.fault())
        return *in.fault();
    if (alike == Alike::none && given > 1 && out.horizontal.back() < 360 - 1e-6) {
        // All round: the first plane closes the ring.
        out.horizontal.push_back(360);
        for (std::size_t i = 0; i < out.vertical.size(); ++i)
            out.candela.push_back(out.candela[i]);
    }
    Figures place(lines);
    if (auto p = reachOf(out, place))
        return *p;
    return out;
}

} // namespace mezzet
