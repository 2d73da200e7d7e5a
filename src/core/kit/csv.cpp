#include "kit/csv.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <cstdlib>
#include <map>

namespace mezzet {

namespace {

const char* shapeName(const Footprint& f, const Size& s) {
    if (f.form == FootprintForm::ell)
        return "L";
    if (f.form == FootprintForm::oval)
        return abs(s.width - s.depth) <= quiet ? "round" : "oval";
    if (f.form == FootprintForm::arch)
        return "arch";
    if (f.form == FootprintForm::octagon)
        return "octagon";
    return "rectangle";
}

std::string idOf(std::string_view name) {
    std::string out;
    for (const char c : foldCase(name)) {
        if ((c >= 'a' && c <= 'z') || (c >= '0' && c <= '9'))
            out += c;
        else if (!out.empty() && out.back() != '-')
            out += '-';
    }
    while (!out.empty() && out.back() == '-')
        out.pop_back();
    return out;
}

class Table {
public:
    Table(std::vector<std::vector<std::string>> records, std::string_view file)
        : records_(std::move(records)), file_(file) {}

    [[nodiscard]] Problem fault(std::size_t record, std::string what, std::string remedy) const {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file_;
        p.line = static_cast<int>(record) + 1;
        return p;
    }
    /// The number of a column; below 0 when it is not there.
    [[nodiscard]] int column(std::string_view name) const {
        const auto& head = records_.front();
        for (std::size_t i = 0; i < head.size(); ++i)
            if (foldCase(trimmed(head[i])) == name)
                return static_cast<int>(i);
        return -1;
    }
    [[nodiscard]] std::string at(std::size_t record, int column) const {
        if (column < 0 || static_cast<std::size_t>(column) >= records_[record].size())
            return {};
        return std::string(trimmed(records_[record][static_cast<std::size_t>(column)]));
    }
    [[nodiscard]] std::size_t size() const { return records_.size(); }
    [[nodiscard]] const std::vector<std::string>& head() const { return records_.front(); }
    [[nodiscard]] std::size_t cells(std::size_t record) const { return records_[record].size(); }

private:
    std::vector<std::vector<std::string>> records_;
    std::string file_;
};

/// What a spreadsheet takes for the beginning of a formula.
bool runsAsFormula(char c) {
    return std::string_view("=+-@\t\r").find(c) != std::string_view::npos;
}

/// What parts the cells: a semicolon where the first line has one and no comma.
char partedBy(std::string_view text) {
    const auto head = text.substr(0, text.find_first_of("\r\n"));
    return head.find(';') != std::string_view::npos && head.find(',') == std::string_view::npos
               ? ';'
               : ',';
}

} // namespace

Result<std::vector<std::vector<std::string>>> readCsv(std::string_view text, std::string_view file,
                                                      std::size_t most) {
    std::vector<std::vector<std::string>> out;
    const auto fault = [&](std::string what, std::string remedy) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file;
        p.line = static_cast<int>(out.size()) + 1;
        return p;
    };
    if (text.starts_with("\xEF\xBB\xBF"))
        text.remove_prefix(3);
    const char part = partedBy(text);
    std::size_t i = 0;
    while (i < text.size()) {
        std::vector<std::string> record;
        while (true) {
            std::string one;
            if (i < text.size() && text[i] == '"') {
                ++i;
                while (true) {
                    if (i >= text.size())
                        return fault("the quotes in this line never close", "close them");
                    if (text[i] == '"' && i + 1 < text.size() && text[i + 1] == '"') {
                        one += '"';
                        i += 2;
                    } else if (text[i] == '"') {
                        ++i;
                        break;
                    } else {
                        one += text[i++];
                    }
                }
                if (i < text.size() && text[i] != part && text[i] != '\r' && text[i] != '\n')
                    return fault("something follows the closing quotes of a cell",
                                 "double the quotes that belong to the text");
            } else {
                while (i < text.size() && text[i] != part && text[i] != '\r' && text[i] != '\n') {
                    if (text[i] == '"')
                        return fault("quotes stand in the middle of a cell",
                                     "put the whole cell in quotes, and double those inside");
                    one += text[i++];
                }
            }
            record.push_back(std::move(one));
            if (i < text.size() && text[i] == part) {
                ++i;
                continue;
            }
            break;
        }
        if (i < text.size() && text[i] == '\r')
            ++i;
        if (i < text.size() && text[i] == '\n')
            ++i;
        out.push_back(std::move(record));
        if (out.size() > most + 1)
            return fault(worded("there are more than {} lines", most), "split the table");
    }
    return out;
}

std::string csvText(std::string_view cell) {
    if (cell.size() > 1 && cell[0] == '\'' && runsAsFormula(cell[1]))
        cell.remove_prefix(1);
    return tidyName(cell);
}

Result<CsvTable> CsvTable::read(std::string_view text, std::string_view file,
                                std::span<const std::string_view> columns, std::size_t most) {
    const auto fault = [&](std::string what, std::string remedy, int column = 0) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file;
        p.line = column > 0 ? 1 : 0;
        p.column = column;
        return p;
    };
    if (!isText(text))
        return fault("the table is not UTF-8 text", "save it as UTF-8");
    const auto records = readCsv(text, file, most);
    if (!records)
        return records.problem();
    if (records->empty())
        return fault("the table is empty", "its first line names the columns");
    CsvTable out;
    out.file_ = file;
    out.at_.assign(columns.size(), -1);
    for (std::size_t i = 0; i < records->front().size(); ++i) {
        const auto word = foldCase(trimmed(records->front()[i]));
        const auto column = static_cast<int>(i) + 1;
        const auto it = std::find(columns.begin(), columns.end(), word);
        if (it == columns.end())
            return fault(worded("there is a column “{}”", shownPlainly(word.substr(0, 60))),
                         worded("columns are {}", listed({columns.begin(), columns.end()})),
                         column);
        int& at = out.at_[static_cast<std::size_t>(it - columns.begin())];
        if (at >= 0)
            return fault(worded("the column “{}” is there twice", word), "leave one out", column);
        at = static_cast<int>(i);
    }
    if (out.at_.front() < 0)
        return fault(worded("there is no column for the {}", columns.front()),
                     "its first line names the columns");
    for (std::size_t r = 1; r < records->size(); ++r) {
        const auto& cells = (*records)[r];
        if (std::any_of(cells.begin(), cells.end(),
                        [](const std::string& c) { return !trimmed(c).empty(); }))
            out.rows_.push_back({static_cast<int>(r) + 1, cells});
    }
    return out;
}

std::string CsvTable::cell(std::size_t row, std::size_t column) const {
    const int at = at_.at(column);
    const auto& cells = rows_[row].cells;
    return at < 0 || static_cast<std::size_t>(at) >= cells.size()
               ? std::string()
               : csvText(cells[static_cast<std::size_t>(at)]);
}

Problem CsvTable::fault(std::size_t row, std::size_t column, std::string what,
                        std::string remedy) const {
    Problem p{std::move(what), std::move(remedy)};
    p.file = file_;
    p.line = rows_[row].line;
    p.column = std::max(0, at_.at(column)) + 1;
    return p;
}

std::string csvCell(std::string_view raw) {
    // No spreadsheet takes a name for a formula: an apostrophe before it says that it is text.
    const std::string s = (!raw.empty() && runsAsFormula(raw[0]) ? "'" : "") + std::string(raw);
    if (s.find_first_of(",\"\r\n") == std::string_view::npos)
        return std::string(s);
    std::string out = "\"";
    for (const char c : s) {
        out += c;
        if (c == '"')
            out += '"';
    }
    return out + "\"";
}

std::string kindsAsCsv(const std::vector<KindPtr>& kinds, bool metric) {
    const char* u = metric ? "mm" : "in";
    std::string out =
        fmt::format("id,name,family,role,shape,width_{0},depth_{0},height_{0},seat_{0},"
                    "front_{0},opens,back,also,caution,on\r\n",
                    u);
    const auto length = [&](Length l) {
        const double v = metric ? l.mm() : l.inInches();
        return fmt::format("{:g}", std::round(v * 1e4) / 1e4);
    };
    for (const auto& k : kinds) {
        std::string also;
        for (const auto& w : k->also)
            also += (also.empty() ? "" : "; ") + w;
        out += fmt::format(
            "{},{},{},{},{},{},{},{},{},{},{},{},{},{},{}\r\n", csvCell(k->id), csvCell(k->name),
            familyName(k->family), roleName(k->role), shapeName(k->footprint, k->outlineSize()),
            length(k->size.width), length(k->size.depth), length(k->size.height),
            k->heights.seat ? length(*k->heights.seat) : "",
            k->use.front > Length{} ? length(k->use.front) : "", csvCell(k->opens),
            k->bareBack ? "bare" : "", csvCell(also), csvCell(k->caution), surfaceWord(k->on));
    }
    return out;
}

Result<std::vector<Kind>> kindsFromCsv(std::string_view text, std::string_view file,
                                       const Kit& shipped) {
    if (!isText(text)) {
        Problem p{"the table is not UTF-8 text", "save it as UTF-8"};
        p.file = file;
        return p;
    }
    auto records = readCsv(text, file);
    if (!records)
        return records.problem();
    if (records->empty()) {
        Problem p{"the table is empty", "its first line names the columns"};
        p.file = file;
        return p;
    }
    const Table t(std::move(*records), file);
    static const std::vector<std::string> known{"id",    "name",  "family", "on",   "role",
                                                "shape", "opens", "back",   "also", "caution"};
    static const std::vector<std::string> lengths{"width", "depth", "height", "seat", "front"};
    std::map<std::string, std::pair<int, double>> column; // and the unit of its lengths
    for (const auto& raw : t.head()) {
        const auto name = foldCase(trimmed(raw));
        const auto stem = name.substr(0, name.find('_'));
        const bool plain = std::find(known.begin(), known.end(), name) != known.end();
        const bool length =
            std::find(lengths.begin(), lengths.end(), stem) != lengths.end() &&
            (name.ends_with("_in") || name.ends_with("_mm") || name.ends_with("_cm"));
        if (!plain && !length)
            return t.fault(
                0, worded("there is a column “{}”", raw),
                "columns are id, name, family, role, shape, width_in, depth_in, height_in, "
                "seat_in, front_in (or _mm, _cm), opens, back, also, caution, on");
        const double unit = name.ends_with("_in") ? 25.4 : name.ends_with("_cm") ? 10 : 1;
        column[length ? stem : name] = {t.column(name), unit};
    }
    for (const char* needed : {"name", "width", "depth", "height"})
        if (column.count(needed) == 0)
            return t.fault(0, worded("there is no column for the {}", needed),
                           "name, width, depth and height are needed, like width_in");
    std::vector<Kind> out;
    for (std::size_t r = 1; r < t.size(); ++r) {
        if (t.cells(r) == 1 && t.at(r, 0).empty())
            continue; // a blank line
        const auto said = [&](const char* name) {
            const auto it = column.find(name);
            return it == column.end() ? std::string() : csvText(t.at(r, it->second.first));
        };
        const auto length = [&](const char* name) -> Result<std::optional<Length>> {
            const auto s = said(name);
            if (s.empty())
                return std::optional<Length>();
            double v = 0;
            const auto [end, error] = std::from_chars(s.data(), s.data() + s.size(), v);
            if (error != std::errc() || end != s.data() + s.size() || !(v >= 0) ||
                v * column[name].second > 20000)
                return t.fault(r, worded("the {} is “{}”", name, s),
                               "write a bare number, up to 20 m");
            return std::optional<Length>(Length::millimetres(v * column[name].second));
        };
        Kind k;
        k.name = said("name");
        if (plainWord(k.name).empty() || characterCount(k.name) > 80)
            return t.fault(r, "it has no name of 1 to 80 characters", "give it one");
        const KindPtr like = shipped.byLastWords(k.name);
        if (like) {
            k = *like;
            k.own = true;
            k.also.clear();
            k.usually.clear();
            k.name = said("name");
        }
        k.id = said("id").empty() ? idOf(k.name) : idOf(said("id"));
        if (k.id.empty())
            return t.fault(r, "its id has no letter or figure", "write a plain one");
        const auto enumerated = [&](const char* name, auto nameOf, int count,
                                    auto& into) -> std::optional<Problem> {
            const auto s = foldCase(said(name));
            if (s.empty())
                return {};
            using E = std::decay_t<decltype(into)>;
            for (int i = 0; i < count; ++i)
                if (nameOf(static_cast<E>(i)) == s) {
                    into = static_cast<E>(i);
                    return {};
                }
            return t.fault(r, fmt::format("“{}” is no {}", s, name),
                           "see docs/kit.md for the words");
        };
        if (auto p = enumerated("role", roleName, roleCount, k.role))
            return *p;
        if (foldCase(said("family")) == "hung") { // as tables of before say what is on a wall
            k.family = wallFamily(k.role);
            k.on = SurfaceKind::wall;
        } else if (auto p = enumerated("family", familyName, familyCount, k.family)) {
            return *p;
        }
        const auto on = foldCase(said("on"));
        const auto* home = std::find_if(std::begin(homes), std::end(homes),
                                        [&](SurfaceKind h) { return surfaceWord(h) == on; });
        if (home != std::end(homes))
            k.on = *home;
        else if (!on.empty())
            return t.fault(r, fmt::format("it is on “{}”", on), "use floor, wall, ceiling or top");
        if (!like && said("family").empty())
            return t.fault(r, worded("what kind of thing “{}” is can't be told", k.name),
                           "add a family, like seat or storage");
        Size size;
        const std::pair<const char*, Length Size::*> sides[] = {
            {"width", &Size::width}, {"depth", &Size::depth}, {"height", &Size::height}};
        for (const auto& [name, member] : sides) {
            auto l = length(name);
            if (!l)
                return l.problem();
            if (!*l || **l <= Length{})
                return t.fault(r, worded("it has no {}", name), "write it as a bare number");
            size.*member = **l;
        }
        const Size before = k.size;
        k.size = size;
        const auto shape = foldCase(said("shape"));
        if (shape == "round" || shape == "oval")
            k.footprint = {FootprintForm::oval, {}, {}, {}, true};
        else if (shape == "rectangle")
            k.footprint = {FootprintForm::rectangle, {}, {}, {}, true};
        else if (shape == "arch")
            k.footprint = {FootprintForm::arch, {}, {}, {}, true};
        else if (shape == "octagon")
            k.footprint = {FootprintForm::octagon, {}, {}, {}, true};
        else if (!shape.empty() && shape != "l")
            return t.fault(r, worded("“{}” is no shape", shape),
                           "use rectangle, round, oval, L, arch or octagon");
        const Size face = k.outlineSize();
        if (shape == "round" && abs(face.width - face.depth) > quiet)
            return t.fault(r, "a round kind has two sides that differ",
                           "make them the same, or call it oval");
        if (k.footprint.form == FootprintForm::ell) {
            if (!like || like->footprint.form != FootprintForm::ell)
                return t.fault(r, "an L is taken from a kind that is one",
                               "end its name with corner sofa or corner desk");
            k.footprint.bodyDepth = k.footprint.bodyDepth * (size.depth / before.depth);
            k.footprint.armWidth = k.footprint.armWidth * (size.width / before.width);
        }
        auto seat = length("seat");
        if (!seat)
            return seat.problem();
        if (*seat)
            k.heights.seat = **seat;
        if (k.heights.seat && *k.heights.seat > size.height)
            return t.fault(r, "its seat is higher than the whole of it", "correct one of them");
        for (auto* h : {&k.heights.arm, &k.heights.back, &k.heights.top})
            if (*h && (**h > size.height || **h == before.height))
                *h = size.height;
        if (k.isSeat() && !k.heights.seat)
            return t.fault(r, "a seat needs the height of its cushion", "add a column seat_in");
        auto front = length("front");
        if (!front)
            return front.problem();
        if (*front)
            k.use.front = **front;
        if (const auto opens = said("opens"); !opens.empty())
            k.opens = opens;
        if (const auto back = foldCase(said("back")); !back.empty()) {
            if (back != "bare" && back != "finished")
                return t.fault(r, worded("its back is “{}”", back), "use bare or finished");
            k.bareBack = back == "bare";
        }
        if (const auto caution = said("caution"); !caution.empty())
            k.caution = caution;
        auto also = said("also");
        while (!also.empty()) {
            const auto end = also.find(';');
            if (const auto w = std::string(trimmed(also.substr(0, end))); !w.empty())
                k.also.push_back(w);
            also = end == std::string::npos ? std::string() : also.substr(end + 1);
        }
        out.push_back(std::move(k));
    }
    if (out.empty())
        return t.fault(0, "the table has no kinds", "write one a line below the heading");
    // What is taken in is kept as a kit file: it must be one.
    if (const auto again = readKit(kitText(out), file); !again)
        return again.problem();
    return out;
}

std::string kitText(const std::vector<Kind>& kinds) {
    using json = nlohmann::ordered_json;
    json j{{"format", "mezzet-kit 1"}, {"unit", "mm"}, {"kinds", json::array()}};
    for (const Kind& k : kinds) {
        json one{{"id", k.id}, {"name", k.name}, {"family", familyName(k.family)}};
        if (k.role != Role::none)
            one["role"] = roleName(k.role);
        if (!k.also.empty())
            one["also"] = k.also;
        one["size"] = {k.size.width.mm(), k.size.depth.mm(), k.size.height.mm()};
        json heights = json::object();
        const auto height = [&](const char* name, const std::optional<Length>& h) {
            if (h)
                heights[name] = h->mm();
        };
        height("seat", k.heights.seat);
        height("arm", k.heights.arm);
        height("back", k.heights.back);
        height("top", k.heights.top);
        if (!heights.empty())
            one["heights"] = heights;
        // Any oval may have two sides alike; a round one may not have two that differ.
        json shape{{"form", k.footprint.form == FootprintForm::oval
                                ? std::string("oval")
                                : std::string(shapeName(k.footprint, k.size))}};
        if (k.footprint.form != FootprintForm::oval && k.footprint.corner > Length{})
            shape["corner"] = k.footprint.corner.mm();
        if (k.footprint.form == FootprintForm::ell) {
            shape["body"] = k.footprint.bodyDepth.mm();
            shape["arm"] = k.footprint.armWidth.mm();
            shape["armOn"] = k.footprint.armOnRight ? "right" : "left";
        }
        one["shape"] = shape;
        json use = json::object();
        const std::pair<const char*, Length> sides[] = {{"front", k.use.front},
                                                        {"back", k.use.back},
                                                        {"left", k.use.left},
                                                        {"right", k.use.right}};
        for (const auto& [name, l] : sides)
            if (l > Length{})
                use[name] = l.mm();
        if (!use.empty())
            one["use"] = use;
        if (k.clearBelow > Length{})
            one["clearBelow"] = k.clearBelow.mm();
        if (!k.opens.empty())
            one["opens"] = k.opens;
        if (k.opensSeldom)
            one["opensSeldom"] = true;
        if (k.workedAt)
            one["workedAt"] = true;
        for (const Vec2 leg : k.legs)
            one["legs"].push_back({leg.x, leg.y});
        if (k.on != SurfaceKind::floor)
            one["on"] = surfaceWord(k.on);
        if (const Openings& o = k.openings; o.count() > 0)
            one["openings"] = {
                {"across", o.across}, {"up", o.up}, {"board", o.board.mm()}, {"foot", o.foot.mm()}};
        if (k.bareBack)
            one["back"] = "bare";
        if (k.light) {
            const LightSource& l = *k.light;
            json light{{"lumens", l.lumens},
                       {"watts", l.watts},
                       {"kelvin", l.kelvin},
                       {"shine", l.shine},
                       {"lamp", l.lamp.mm()}};
            if (l.cutOut > Length{})
                light["cutOut"] = l.cutOut.mm();
            if (l.recess > Length{})
                light["recess"] = l.recess.mm();
            if (l.shade > Length{})
                light["shade"] = l.shade.mm();
            for (const auto& [key, is] : {std::pair{"bare", l.bare}, std::pair{"hung", l.hung},
                                          std::pair{"general", l.general}})
                if (is)
                    light[key] = true;
            if (l.kilograms > 0)
                light["kg"] = l.kilograms;
            one["light"] = light;
        }
        json metric = json::object();
        if (k.metric)
            metric["size"] = {k.metric->width.mm() / 10, k.metric->depth.mm() / 10,
                              k.metric->height.mm() / 10};
        if (k.metricHangAt > Length{} && k.hangAt > Length{})
            metric["hang at"] = k.metricHangAt.mm() / 10;
        if (!metric.empty())
            one["metric"] = metric;
        if (!k.draw.empty())
            one["draw"] = k.draw;
        if (!k.caution.empty())
            one["caution"] = k.caution;
        if (k.hangs()) {
            const Hanging& h = k.hanging;
            json hang;
            for (const auto& [mount, word] : mountWords)
                if (mount == h.mount)
                    hang["mount"] = word;
            if (h.hooks > 0)
                hang["hooks"] = h.hooks;
            if (h.drop)
                hang["drop"] = h.drop->mm();
            if (h.frame > Length{})
                hang["frame"] = h.frame.mm();
            if (h.mat > Length{})
                hang["mat"] = h.mat.mm();
            if (!h.material.empty())
                hang["material"] = h.material;
            if (k.hangAt > Length{})
                hang[k.hangBy == Level::top      ? "top at"
                     : k.hangBy == Level::bottom ? "bottom at"
                                                 : "centre at"] = k.hangAt.mm();
            if (k.arealWeight > 0)
                hang["kg per square metre"] = k.arealWeight;
            one["hang"] = hang;
        } else if (k.underCeiling() && k.hangAt > Length{}) {
            one["hang"] = {{"bottom at", k.hangAt.mm()}};
        }
        j["kinds"].push_back(one);
    }
    return j.dump(1) + "\n";
}

Result<KitPtr> withStudio(const KitPtr& shipped, const std::vector<Kind>& studio) {
    std::vector<Kind> all;
    for (const auto& k : shipped->kinds())
        all.push_back(*k);
    for (Kind k : studio) {
        k.own = true;
        all.push_back(std::move(k));
    }
    auto kit = Kit::of(std::move(all));
    if (!kit)
        return kit.problem();
    return KitPtr(std::make_shared<const Kit>(std::move(*kit)));
}

} // namespace mezzet
