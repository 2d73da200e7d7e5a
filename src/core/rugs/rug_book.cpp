#include "rugs/rug_book.h"

#include "files/whole_file.h"
#include "measure/texts.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

namespace mezzet {

namespace {

using json = nlohmann::json;

constexpr std::size_t mostBytes = std::size_t{1024} * 1024;
constexpr std::size_t mostEntries = 500;

/// What is wrong, and where.
struct Fault {
    std::string what;
    std::string remedy;
};

double number(const json& j, const char* key, double least, double most, const std::string& where) {
    const auto it = j.find(key);
    if (it == j.end() || !it->is_number() || !std::isfinite(it->get<double>()))
        throw Fault{worded("{}: “{}” is no number", where, key), "write a number"};
    const double v = it->get<double>();
    if (v < least || v > most)
        throw Fault{worded("{}: “{}” is {}, and {} to {} can be", where, key, v, least, most),
                    "write another"};
    return v;
}

std::string text(const json& j, const char* key, const std::string& where) {
    const auto it = j.find(key);
    if (it == j.end() || !it->is_string() || it->get<std::string>().empty())
        throw Fault{worded("{}: “{}” is missing", where, key), "write it in quotes"};
    auto out = it->get<std::string>();
    if (out.size() > 400)
        throw Fault{worded("{}: “{}” is longer than 400 characters", where, key), "say it shorter"};
    return out;
}

std::vector<std::string> texts(const json& j, const char* key, const std::string& where) {
    std::vector<std::string> out;
    const auto it = j.find(key);
    if (it == j.end())
        return out;
    if (!it->is_array() || it->size() > 40)
        throw Fault{worded("{}: “{}” is no list of words", where, key), "write [\"…\", \"…\"]"};
    for (const auto& w : *it) {
        if (!w.is_string())
            throw Fault{worded("{}: “{}” is no list of words", where, key), "write [\"…\"]"};
        out.push_back(w.get<std::string>());
    }
    return out;
}

const json* list(const json& j, const char* key) {
    const auto it = j.find(key);
    if (it == j.end())
        return nullptr;
    if (!it->is_array() || it->size() > mostEntries)
        throw Fault{worded("“{}” is no list of at most {} entries", key, mostEntries),
                    "write them between [ and ]"};
    return &*it;
}

/// Reads a list's entries over those that are there: the same id takes its place.
template <class T, class Read>
void entries(const json& j, const char* key, std::vector<T>& into, const Read& read) {
    const json* all = list(j, key);
    if (all == nullptr)
        return;
    std::vector<std::string> seen;
    for (std::size_t i = 0; i < all->size(); ++i) {
        const auto where = worded("{}, entry {}", key, i + 1);
        if (!(*all)[i].is_object())
            throw Fault{where + ": it is not an object", "write { and }"};
        T one = read((*all)[i], where);
        if (std::find(seen.begin(), seen.end(), one.id) != seen.end())
            throw Fault{worded("{}: “{}” is there twice", where, one.id), "take one out"};
        seen.push_back(one.id);
        const auto it =
            std::find_if(into.begin(), into.end(), [&](const T& t) { return t.id == one.id; });
        if (it == into.end())
            into.push_back(std::move(one));
        else
            *it = std::move(one);
    }
}

void readSizes(const json& j, const char* key, double unit, bool round, bool runner, bool metric,
               std::vector<RugSize>& into) {
    const json* all = list(j, key);
    if (all == nullptr)
        return;
    for (const auto& s : *all) {
        const auto fine = [](const json& v) {
            return v.is_number() && v.get<double>() > 0 && v.get<double>() < 2000;
        };
        RugSize one;
        if (round ? !fine(s) : !(s.is_array() && s.size() == 2 && fine(s[0]) && fine(s[1])))
            throw Fault{worded("“{}” has what is no size", key),
                        round ? "write each as a diameter" : "write each as [width, length]"};
        const double a = (round ? s : s[0]).get<double>() * unit;
        const double b = (round ? s : s[1]).get<double>() * unit;
        one.width = Length::millimetres(std::max(a, b));
        one.depth = Length::millimetres(std::min(a, b));
        one.round = round;
        one.runner = runner;
        one.metric = metric;
        into.push_back(one);
    }
}

RugBook read(const json& j, const RugBook* shipped) {
    RugBook out = shipped != nullptr ? *shipped : RugBook{};
    constexpr double dearest = 1e6;
    if (const json* rolls = list(j, "rolls mm")) {
        out.rolls.clear();
        for (const auto& r : *rolls) {
            if (!r.is_number() || r.get<double>() < 300 || r.get<double>() > 20000)
                throw Fault{"“rolls mm” has what is no width of a roll", "write 300 to 20000"};
            out.rolls.push_back(Length::millimetres(r.get<double>()));
        }
    }
    if (const auto s = j.find("sizes"); s != j.end()) {
        if (!s->is_object())
            throw Fault{"“sizes” is no object", "write { and }"};
        out.sizes.clear();
        readSizes(*s, "feet", 304.8, false, false, false, out.sizes);
        readSizes(*s, "feet round", 304.8, true, false, false, out.sizes);
        readSizes(*s, "feet runner", 304.8, false, true, false, out.sizes);
        readSizes(*s, "cm", 10, false, false, true, out.sizes);
        readSizes(*s, "cm round", 10, true, false, true, out.sizes);
        readSizes(*s, "cm runner", 10, false, true, true, out.sizes);
    }
    entries(j, "edges", out.edges, [&](const json& e, const std::string& where) {
        RugEdging one{text(e, "id", where), text(e, "name", where), texts(e, "also", where),
                      number(e, "a metre", 0, dearest, where)};
        if (e.contains("tape mm"))
            one.tape = Length::millimetres(number(e, "tape mm", 5, 500, where));
        return one;
    });
    if (j.contains("mitre"))
        out.mitre = number(j, "mitre", 0, dearest, "the book");
    entries(j, "pads", out.pads, [&](const json& e, const std::string& where) {
        return RugPad{text(e, "id", where),
                      text(e, "name", where),
                      Length::millimetres(number(e, "mm", 0.5, 50, where)),
                      text(e, "floor", where),
                      text(e, "says", where),
                      number(e, "a square metre", 0, dearest, where)};
    });
    entries(j, "needs", out.needs, [&](const json& e, const std::string& where) {
        return RugNeed{text(e, "id", where), text(e, "asks", where), texts(e, "also", where)};
    });
    entries(j, "materials", out.materials, [&](const json& e, const std::string& where) {
        RugMaterial m{text(e, "id", where),
                      text(e, "name", where),
                      Length::millimetres(number(e, "pile mm", 0.5, 80, where)),
                      number(e, "a square metre", 0, dearest, where),
                      {}};
        const auto marks = e.find("marks");
        if (marks == e.end() || !marks->is_object())
            throw Fault{where + ": “marks” is missing", "write {\"children\": [1, \"why\"]}"};
        for (const auto& [need, mark] : marks->items()) {
            if (std::none_of(out.needs.begin(), out.needs.end(),
                             [&, &of = need](const RugNeed& n) { return n.id == of; }))
                throw Fault{worded("{}: nobody asks for “{}”", where, need),
                            "add it to the needs, or take it out"};
            if (!mark.is_array() || mark.size() != 2 || !mark[0].is_number_integer() ||
                mark[0].get<long long>() < -2 || mark[0].get<long long>() > 2 ||
                !mark[1].is_string())
                throw Fault{worded("{}: the mark for “{}” can't be read", where, need),
                            "write [-2 to 2, \"the reason\"]"};
            m.marks[need] = {mark[0].get<int>(), mark[1].get<std::string>()};
        }
        return m;
    });
    return out;
}

template <class T> const T* byId(const std::vector<T>& all, std::string_view id) {
    const auto it = std::find_if(all.begin(), all.end(), [&](const T& t) { return t.id == id; });
    return it == all.end() ? nullptr : &*it;
}

} // namespace

const RugEdging* RugBook::edgeById(std::string_view id) const {
    return byId(edges, id);
}

const RugMaterial* RugBook::materialById(std::string_view id) const {
    return byId(materials, id);
}

Result<RugBookPtr> readRugBook(std::string_view content, std::string_view file,
                               const RugBook* shipped) {
    const auto refuse = [&](std::string what, std::string remedy) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file;
        return p;
    };
    const json j = json::parse(content, nullptr, false);
    if (j.is_discarded() || !j.is_object() || j.value("format", json()) != "mezzet-rugs 1")
        return refuse("this is no “mezzet-rugs 1”",
                      "begin it like the shipped data/rugs/rugs.json");
    try {
        auto book = std::make_shared<RugBook>(read(j, shipped));
        if (book->rolls.empty() || book->edges.empty() || book->materials.empty())
            return refuse("rolls, edges or materials are missing", "put the shipped file back");
        return RugBookPtr(book);
    } catch (const Fault& f) {
        return refuse(f.what, f.remedy);
    } catch (const json::exception&) {
        return refuse("a field is of another kind than it should be",
                      "compare it with the shipped data/rugs/rugs.json");
    }
}

Result<RugBookPtr> loadRugBook(const std::filesystem::path& file) {
    const auto content = readTextFile(file, mostBytes);
    if (!content)
        return content.problem();
    return readRugBook(*content, file.string());
}

std::vector<RankedMaterial> rankMaterials(const RugBook& book,
                                          const std::vector<std::string>& needs) {
    std::vector<RankedMaterial> out;
    for (const RugMaterial& m : book.materials) {
        RankedMaterial r;
        r.material = &m;
        for (const auto& need : needs) {
            const auto it = m.marks.find(need);
            if (it == m.marks.end())
                continue;
            r.sum += it->second.mark;
            if (it->second.mark > 0)
                r.speaks.push_back(it->second.reason);
            else if (it->second.mark < 0)
                r.against.push_back(it->second.reason);
        }
        out.push_back(std::move(r));
    }
    const auto ruledOut = [&](const RankedMaterial& r) {
        return std::any_of(needs.begin(), needs.end(), [&](const std::string& need) {
            const auto it = r.material->marks.find(need);
            return it != r.material->marks.end() && it->second.mark <= -2;
        });
    };
    std::stable_sort(out.begin(), out.end(), [&](const RankedMaterial& a, const RankedMaterial& b) {
        const bool one = ruledOut(a);
        const bool other = ruledOut(b);
        if (one != other)
            return other;
        return a.sum != b.sum ? a.sum > b.sum : a.material->price < b.material->price;
    });
    return out;
}

} // namespace mezzet
