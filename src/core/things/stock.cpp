#include "things/stock.h"

#include "kit/csv.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <unordered_map>

namespace mezzet {

namespace {

/// Of a book: its pages, and the paper it may be covered in; our own choice.
constexpr Rgb pages{238, 229, 206};
constexpr Rgb wrapped{203, 178, 138};

/// A table of the stock while it is read.
class StockTable {
public:
    StockTable(std::vector<std::vector<std::string>> records, std::string_view file, const Kit& kit)
        : records_(std::move(records)), file_(file), kit_(kit) {}

    Result<Stock> read() {
        if (auto problem = columns())
            return *problem;
        Stock out;
        for (row_ = 1; row_ < records_.size(); ++row_) {
            const auto& cells = records_[row_];
            if (std::all_of(cells.begin(), cells.end(),
                            [](const std::string& c) { return trimmed(c).empty(); }))
                continue;
            StockThing thing;
            if (auto problem = entry(thing))
                return *problem;
            out.push_back(std::move(thing));
        }
        return withThings({}, out); // a name that stands twice: the later one
    }

private:
    enum Column {
        name,
        kind,
        count,
        width,
        depth,
        height,
        colour,
        colour2,
        material,
        finish,
        weight,
        columnCount
    };
    static constexpr std::array<std::string_view, columnCount> words{
        "name",   "kind",    "count",    "width",  "depth", "height",
        "colour", "colour2", "material", "finish", "weight"};

    [[nodiscard]] Problem fault(std::string what, std::string remedy, int at = -1) const {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file_;
        p.line = static_cast<int>(row_) + 1;
        if (at >= 0)
            p.column = at_[static_cast<std::size_t>(at)] + 1;
        return p;
    }

    std::optional<Problem> columns() {
        at_.fill(-1);
        unit_.fill(1);
        if (records_.empty())
            return fault("the table is empty", "its first line names the columns");
        for (std::size_t i = 0; i < records_.front().size(); ++i) {
            auto head = foldCase(trimmed(records_.front()[i]));
            if (head.empty())
                continue;
            if (head == "color" || head == "color2")
                head = "colour" + head.substr(5);
            const auto stem = head.substr(0, head.find('_'));
            const auto it = std::find(words.begin(), words.end(), stem);
            const auto unit = unitOf(stem, head);
            if (it == words.end() || !unit)
                return fault(worded("there is a column “{}”", records_.front()[i]),
                             "columns are name, kind, count, width_in, depth_in, height_in (or "
                             "_mm, _cm), colour, colour2, material, finish, weight_lb (or _kg)");
            const auto which = static_cast<std::size_t>(it - words.begin());
            if (at_[which] >= 0)
                return fault(worded("the column “{}” is there twice", head), "leave one out");
            at_[which] = static_cast<int>(i);
            unit_[which] = *unit;
        }
        for (const Column needed : {name, width, depth, height})
            if (at_[needed] < 0)
                return fault(worded("there is no column for the {}", words[needed]),
                             "name, width, depth and height are needed, like width_in");
        return {};
    }

    /// mm or kg to one of its unit; nothing for a heading that is none.
    static std::optional<double> unitOf(std::string_view stem, std::string_view head) {
        const auto tail = head.substr(stem.size());
        const bool length = stem == "width" || stem == "depth" || stem == "height";
        if (length)
            return tail == "_in"   ? std::optional(25.4)
                   : tail == "_mm" ? std::optional(1.0)
                   : tail == "_cm" ? std::optional(10.0)
                                   : std::nullopt;
        if (stem == "weight")
            return tail == "_lb"   ? std::optional(0.45359237)
                   : tail == "_kg" ? std::optional(1.0)
                                   : std::nullopt;
        return tail.empty() ? std::optional(1.0) : std::nullopt;
    }

    [[nodiscard]] std::string cell(Column c) const {
        const int at = at_[c];
        const auto& cells = records_[row_];
        if (at < 0 || static_cast<std::size_t>(at) >= cells.size())
            return {};
        return csvText(cells[static_cast<std::size_t>(at)]);
    }

    Result<double> number(Column c, double most) const {
        const auto s = cell(c);
        double v = 0;
        const auto [end, error] = std::from_chars(s.data(), s.data() + s.size(), v);
        if (error != std::errc() || end != s.data() + s.size() || !(v > 0) ||
            !(v * unit_[c] <= most))
            return fault(s.empty() ? worded("there is no {}", words[c])
                                   : worded("the {} is “{}”", words[c], s),
                         "write a bare number over nothing", c);
        return v * unit_[c];
    }

    std::optional<Problem> entry(StockThing& t) const {
        t.name = cell(name);
        if (plainWord(t.name).empty() || characterCount(t.name) > 70)
            return fault("it has no name of 1 to 70 characters", "give it one", name);
        const auto said = cell(kind);
        t.kind = kit_.byLastWords(said.empty() ? t.name : said,
                                  [](const Kind& k) { return k.thing != nullptr; });
        if (!t.kind)
            return fault(said.empty()
                             ? worded("what kind of thing “{}” is can't be told", t.name)
                             : worded("“{}” is no kind of thing that stands on a shelf", said),
                         "use a kind like book, vase, bowl, box, print or candlestick",
                         said.empty() ? name : kind);
        constexpr double largest = 20000;
        for (const auto& [column, side] :
             {std::pair{width, &Size::width}, std::pair{depth, &Size::depth},
              std::pair{height, &Size::height}}) {
            const auto l = number(column, largest);
            if (!l)
                return l.problem();
            t.size.*side = Length::millimetres(*l);
        }
        if (!cell(count).empty()) {
            const auto n = number(count, mostOfOne);
            if (!n || *n != std::floor(*n))
                return fault(worded("the count is “{}”", cell(count)),
                             worded("write a whole number from 1 to {}", mostOfOne), count);
            t.count = static_cast<int>(*n);
        }
        if (!cell(weight).empty()) {
            const auto kg = number(weight, 500);
            if (!kg)
                return kg.problem();
            t.kilograms = *kg;
        }
        for (const auto& [column, into] :
             {std::pair{colour, &t.colour}, std::pair{colour2, &t.colour2}})
            if (!cell(column).empty()) {
                const auto c = readColour(cell(column));
                if (!c)
                    return fault(c.problem().what, c.problem().remedy, column);
                *into = *c;
            }
        t.material = foldCase(cell(material));
        t.finish = foldCase(cell(finish));
        if (characterCount(t.material) > 40 || characterCount(t.finish) > 40)
            return fault("its material or finish is over 40 characters", "shorten it");
        return {};
    }

    std::vector<std::vector<std::string>> records_;
    std::string file_;
    const Kit& kit_;
    std::array<int, columnCount> at_{};
    std::array<double, columnCount> unit_{};
    std::size_t row_ = 0;
};

} // namespace

std::vector<std::string> namesOf(const StockThing& t) {
    if (t.count == 1)
        return {t.name};
    std::vector<std::string> out;
    for (int i = 1; i <= t.count; ++i)
        out.push_back(fmt::format("{} {}", t.name, i));
    return out;
}

Piece pieceOf(const StockThing& t, std::string name) {
    Piece p = pieceOf(t.kind);
    p.name = std::move(name);
    p.size = t.size;
    p.heights.top.reset();
    ThingTold told;
    static_cast<ThingLooks&>(told) = t;
    told.stock = t.name;
    if (t.kind->thing && t.kind->thing->sort == ThingSort::flat)
        told.lies = Lies::leaning;
    p.thing = std::make_shared<const ThingTold>(std::move(told));
    return p;
}

const StockThing* inStock(const Stock& stock, std::string_view name) {
    const auto folded = foldCase(trimmed(name));
    for (const StockThing& t : stock)
        if (foldCase(t.name) == folded)
            return &t;
    return nullptr;
}

Stock withThings(Stock stock, const Stock& more) {
    std::unordered_map<std::string, std::size_t> at; // by folded name
    for (std::size_t i = 0; i < stock.size(); ++i)
        at.emplace(foldCase(stock[i].name), i);
    for (const StockThing& t : more) {
        const auto [it, fresh] = at.try_emplace(foldCase(t.name), stock.size());
        if (fresh)
            stock.push_back(t);
        else
            stock[it->second] = t;
    }
    return stock;
}

Stock withThing(Stock stock, StockThing thing) {
    return withThings(std::move(stock), {std::move(thing)});
}

namespace {

std::vector<std::string> unplaced(const StockThing& t, const Scheme& scheme) {
    auto names = namesOf(t);
    std::erase_if(names, [&](const std::string& n) {
        const Piece* p = scheme.byName(n);
        return p != nullptr && p->thing && p->thing->stock == t.name;
    });
    return names;
}

} // namespace

int placedOf(const StockThing& t, const Scheme& scheme) {
    return t.count - static_cast<int>(unplaced(t, scheme).size());
}

std::vector<std::string> leftOver(const Stock& stock, const Scheme& scheme) {
    std::vector<std::string> out;
    for (const StockThing& t : stock)
        for (auto& n : unplaced(t, scheme))
            out.push_back(std::move(n));
    return out;
}

std::vector<std::string> leftOverInShort(const Stock& stock, const Scheme& scheme) {
    std::vector<std::string> out;
    for (const StockThing& t : stock) {
        const auto names = unplaced(t, scheme);
        if (names.empty())
            continue;
        if (names.size() == 1) {
            out.push_back(names.front());
            continue;
        }
        const auto number = [&](const std::string& n) { return n.substr(t.name.size() + 1); };
        const auto all = namesOf(t);
        const bool inARow =
            std::search(all.begin(), all.end(), names.begin(), names.end()) != all.end();
        std::vector<std::string> numbers;
        for (const auto& n : names)
            numbers.push_back(number(n));
        out.push_back(names.size() == all.size()
                          ? worded("all {} of {}", names.size(), t.name)
                          : worded("{} of {} ({})", names.size(), t.name,
                                   inARow ? worded("{} to {}", numbers.front(), numbers.back())
                                          : listed(numbers)));
    }
    return out;
}

std::string stockAsCsv(const Stock& stock, bool metric) {
    std::string out = fmt::format("name,kind,count,width_{0},depth_{0},height_{0},colour,colour2,"
                                  "material,finish,weight_{1}\r\n",
                                  metric ? "mm" : "in", metric ? "kg" : "lb");
    const auto rounded = [](double v) { return fmt::format("{:g}", std::round(v * 1e4) / 1e4); };
    const auto length = [&](Length l) { return rounded(metric ? l.mm() : l.inInches()); };
    for (const StockThing& t : stock)
        out += fmt::format(
            "{},{},{},{},{},{},{},{},{},{},{}\r\n", csvCell(t.name),
            csvCell(foldCase(t.kind->name)), t.count, length(t.size.width), length(t.size.depth),
            length(t.size.height), t.colour ? hexOf(*t.colour) : "",
            t.colour2 ? hexOf(*t.colour2) : "", csvCell(t.material), csvCell(t.finish),
            t.kilograms ? rounded(metric ? *t.kilograms : *t.kilograms / 0.45359237) : "");
    return out;
}

Result<Stock> stockFromCsv(std::string_view text, std::string_view file, const Kit& kit) {
    if (!isText(text)) {
        Problem p{"the table is not UTF-8 text", "save it as UTF-8"};
        p.file = file;
        return p;
    }
    auto records = readCsv(text, file, mostStock);
    if (!records)
        return records.problem();
    return StockTable(std::move(*records), file, kit).read();
}

std::optional<Rgb> colourOf(const Piece& p) {
    const ThingTold* told = p.thing.get();
    if (p.isBook() && told != nullptr) {
        if (told->spineIn)
            return pages;
        if (told->papered)
            return wrapped;
        if (told->jacketOff)
            return told->colour2 ? told->colour2 : p.kind->thing->colour2;
    }
    if (told != nullptr && told->colour)
        return told->colour;
    if (p.isThing())
        return p.kind->thing->colour;
    return {};
}

std::string_view materialOf(const Piece& p) {
    if (p.thing && !p.thing->material.empty())
        return p.thing->material;
    return p.isThing() ? std::string_view(p.kind->thing->material) : std::string_view();
}

std::string_view finishOf(const Piece& p) {
    if (p.thing && !p.thing->finish.empty())
        return p.thing->finish;
    return p.isThing() ? std::string_view(p.kind->thing->finish) : std::string_view();
}

double kilogramsOf(const Piece& p) {
    if (p.thing && p.thing->kilograms)
        return *p.thing->kilograms;
    if (!p.isThing())
        return 0;
    const double litres = p.size.width.mm() * p.size.depth.mm() * p.size.height.mm() / 1e6;
    return litres * p.kind->thing->kgPerLitre;
}

Lies liesOf(const Piece& p) {
    return p.thing ? p.thing->lies : Lies::standing;
}

Size turnedOver(const Size& s) {
    return {s.height, s.depth, s.width};
}

namespace {

/// The height it takes with things turned one way or the other first, over the box's.
double filledWith(const Size& box, const std::vector<HeldThing>& held, bool turnedFirst) {
    const double w = box.width.mm();
    const double d = box.depth.mm();
    const double h = box.height.mm();
    // Each thing lies on its largest side, so that layers are low; if it can't, another way up.
    struct Laid {
        double w, d, h;
    };
    std::vector<Laid> all;
    for (const HeldThing& t : held)
        for (int i = 0; i < t.count; ++i) {
            std::array<double, 3> s{t.size.width.mm(), t.size.depth.mm(), t.size.height.mm()};
            std::sort(s.begin(), s.end());
            const std::array<Laid, 6> ways{{{s[2], s[1], s[0]},
                                            {s[1], s[2], s[0]},
                                            {s[2], s[0], s[1]},
                                            {s[0], s[2], s[1]},
                                            {s[1], s[0], s[2]},
                                            {s[0], s[1], s[2]}}};
            const auto fits = std::find_if(ways.begin(), ways.end(), [&](const Laid& l) {
                return l.w <= w + 1e-6 && l.d <= d + 1e-6 && l.h <= h + 1e-6;
            });
            if (fits == ways.end())
                return 2;
            all.push_back(*fits);
        }
    std::stable_sort(all.begin(), all.end(), [](const Laid& a, const Laid& b) {
        return a.h != b.h ? a.h > b.h : a.w * a.d > b.w * b.d;
    });
    // In layers, each of rows from back to front: every layer as high as its highest thing.
    struct Row {
        double front, deep, used;
    };
    struct Layer {
        double high;
        std::vector<Row> rows;
    };
    std::vector<Layer> layers;
    const auto into = [&](Layer& layer, const Laid& l) {
        for (const bool turned : {turnedFirst, !turnedFirst}) {
            const double across = turned ? l.d : l.w;
            const double deep = turned ? l.w : l.d;
            for (Row& r : layer.rows)
                if (deep <= r.deep + 1e-6 && r.used + across <= w + 1e-6) {
                    r.used += across;
                    return true;
                }
        }
        const double from = layer.rows.empty() ? 0 : layer.rows.back().front;
        for (const bool turned : {turnedFirst, !turnedFirst}) {
            const double across = turned ? l.d : l.w;
            const double deep = turned ? l.w : l.d;
            if (from + deep <= d + 1e-6 && across <= w + 1e-6) {
                layer.rows.push_back({from + deep, deep, across});
                return true;
            }
        }
        return false;
    };
    double up = 0;
    for (const Laid& l : all) {
        if (std::any_of(layers.begin(), layers.end(), [&](Layer& one) { return into(one, l); }))
            continue;
        layers.push_back({l.h, {}});
        into(layers.back(), l);
        up += l.h;
    }
    return h > 0 ? up / h : 2;
}

} // namespace

double filledBy(const Size& box, const std::vector<HeldThing>& held) {
    return std::min(filledWith(box, held, false), filledWith(box, held, true));
}

} // namespace mezzet
