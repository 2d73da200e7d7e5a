#include "rules/rule_book.h"

#include "files/whole_file.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <cmath>
#include <set>
#include <tuple>

namespace mezzet {

namespace {

using json = nlohmann::json;

struct Fault {
    std::string what;
    std::string remedy;
};

std::set<std::string> wordSet(std::string_view s) {
    std::set<std::string> out;
    std::string word;
    for (const char c : foldCase(s) + " ") {
        if (c == ' ' || c == '-') {
            if (!word.empty() && word != "and")
                out.insert(word);
            word.clear();
        } else {
            word += c;
        }
    }
    return out;
}

std::string text(const json& j, const char* key, bool needed) {
    if (!j.contains(key)) {
        if (needed)
            throw Fault{worded("it has no “{}”", key), "add it"};
        return {};
    }
    if (!j[key].is_string())
        throw Fault{worded("“{}” is not a text", key), "put it in quotes"};
    return j[key].get<std::string>();
}

std::pair<std::optional<double>, std::optional<double>>
bounds(const json& j, const std::string& what, double unit) {
    const auto bound = [&](const json& v) -> std::optional<double> {
        if (v.is_null())
            return {};
        if (!v.is_number())
            throw Fault{worded("{} holds {}", what, v.dump()),
                        "a band is [low, high], null for a side without a bound"};
        return v.get<double>() * unit;
    };
    if (!j.is_array() || j.size() != 2)
        throw Fault{worded("{} is no band", what),
                    "a band is [low, high], null for a side without a bound"};
    auto low = bound(j[0]);
    auto high = bound(j[1]);
    if (low && high && *low > *high)
        throw Fault{worded("{} ends before it begins", what), "put the lower bound first"};
    return {low, high};
}

/// "band", "bands" and "best" of a rule, or of its metric figures.
void readBands(const json& j, double scale, const RuleBook& book,
               std::map<std::string, Band, std::less<>>& into) {
    const auto addBand = [&](const std::string& school, const json& b) {
        Band band;
        std::tie(band.low, band.high) = bounds(b, "“band”", scale);
        if (j.contains("best"))
            std::tie(band.bestLow, band.bestHigh) = bounds(j["best"], "“best”", scale);
        into[school] = band;
    };
    if (j.contains("band") || j.contains("bands"))
        into.clear();
    if (j.contains("band"))
        addBand("", j["band"]);
    if (j.contains("bands")) {
        if (!j["bands"].is_object())
            throw Fault{"“bands” is not a group", "write it like {\"low-and-close\": [12, 18]}"};
        for (const auto& [school, b] : j["bands"].items()) {
            if (book.schoolById(school) == nullptr)
                throw Fault{worded("there is no school “{}”", school),
                            "name one of the book's schools"};
            addBand(school, b);
        }
    }
}

/// The trade's own metric figures of a rule, in centimetres whatever the book's unit is.
void readMetric(const json& j, const RuleBook& book, Rule& r) {
    if (!j.contains("metric"))
        return;
    const json& m = j["metric"];
    if (!m.is_object() || r.quantity == Quantity::ratio)
        throw Fault{"“metric” is not a group of a rule that measures lengths or counts",
                    "write it like {\"band\": [30, 45]}"};
    for (const auto& item : m.items())
        if (item.key() != "band" && item.key() != "bands" && item.key() != "best" &&
            item.key() != "settings")
            throw Fault{worded("“metric” has a field “{}” that is not known", item.key()),
                        "it may have band, bands, best and settings"};
    constexpr double cm = 10;
    readBands(m, r.quantity == Quantity::length ? cm : 1, book, r.metricBands);
    if (!m.contains("settings"))
        return;
    for (const auto& [name, v] : m["settings"].items()) {
        if (!v.is_number() || (r.settings.count(name) == 0 &&
                               !(j.contains("settings") && j["settings"].contains(name))))
            throw Fault{worded("the metric setting “{}” is no number of the rule's", name),
                        "name one of its settings"};
        r.metricSettings[name] = v.get<double>() * cm;
    }
}

/// Every place in a sentence is closed and named, like “{value}”; in what tells how a rule is
/// measured it is a setting of the rule.
void checkPlaces(const Rule& r) {
    const auto check = [&](const char* key, std::string_view s, bool settingsOnly) {
        for (std::size_t at = 0; (at = s.find_first_of("{}", at)) != std::string_view::npos;) {
            const auto end = s.find_first_of("{}", at + 1);
            if (s[at] == '}' || end == std::string_view::npos || s[end] == '{' || end == at + 1)
                throw Fault{worded("“{}” has a brace that is not one of a pair", key),
                            "write a place like {value}, or leave braces out"};
            const auto name = s.substr(at + 1, end - at - 1);
            if (settingsOnly && r.settings.find(std::string(name)) == r.settings.end())
                throw Fault{worded("“{}” has a place “{}” that is no setting of the rule", key,
                                   shownPlainly(name.substr(0, 60))),
                            "name one of its settings"};
            at = end + 1;
        }
    };
    check("measures", r.measures, true);
    for (const auto& [key, s] :
         {std::pair{"title", &r.title}, std::pair{"right", &r.right}, std::pair{"tight", &r.tight},
          std::pair{"loose", &r.loose}, std::pair{"note", &r.note}})
        check(key, *s, false);
    for (const auto& [when, s] : r.instead)
        check("instead", s, false);
}

/// With `base`, what is not told of a rule is as that book has it.
Rule readRule(const json& j, double unit, const RuleBook& book, const RuleBook* base) {
    if (!j.is_object())
        throw Fault{"it is not an object", "each rule is {\"id\": …, \"title\": …}"};
    static const std::set<std::string> known{
        "id",      "title",      "measures", "quantity", "band",    "bands",
        "best",    "right",      "tight",    "loose",    "source",  "settings",
        "numbers", "seenInPlan", "weight",   "note",     "instead", "metric"};
    for (const auto& item : j.items())
        if (known.count(item.key()) == 0)
            throw Fault{worded("it has a field “{}” that is not known", item.key()),
                        "take it out, or see docs/rules.md"};
    Rule r;
    const auto id = text(j, "id", true);
    const Rule* was = base != nullptr ? base->byId(id) : nullptr;
    if (base != nullptr && was == nullptr)
        throw Fault{worded("nothing measures a rule “{}”", id),
                    "name a rule of the book; docs/rules.md has them"};
    if (was != nullptr)
        r = *was;
    r.id = id;
    for (const auto& [key, into, needed] :
         {std::tuple{"title", &r.title, true}, std::tuple{"measures", &r.measures, true},
          std::tuple{"right", &r.right, true}, std::tuple{"tight", &r.tight, false},
          std::tuple{"loose", &r.loose, false}, std::tuple{"note", &r.note, false},
          std::tuple{"source", &r.source, true}})
        if (was == nullptr || j.contains(key))
            *into = text(j, key, needed && was == nullptr);
    if (j.contains("instead")) {
        if (!j["instead"].is_object())
            throw Fault{"“instead” is not a group", "write it like {\"none\": \"…\"}"};
        for (const auto& [when, says] : j["instead"].items()) {
            if (!says.is_string())
                throw Fault{worded("what is said instead when “{}” is no text", when),
                            "write a sentence"};
            r.instead[when] = says.get<std::string>();
        }
    }
    if (j.contains("seenInPlan")) {
        if (!j["seenInPlan"].is_boolean())
            throw Fault{"“seenInPlan” is neither true nor false", "leave it out for true"};
        r.seenInPlan = j["seenInPlan"].get<bool>();
    }
    if (j.contains("weight")) {
        if (!j["weight"].is_number() || j["weight"].get<double>() < 0 ||
            j["weight"].get<double>() > 9)
            throw Fault{"“weight” is no number from 0 to 9", "leave it out for 3"};
        r.weight = j["weight"].get<double>();
    }
    if (was != nullptr && j.contains("quantity"))
        throw Fault{"“quantity” can't be another", "leave it out"};
    const auto q = was != nullptr ? std::string() : text(j, "quantity", true);
    if (q == "length")
        r.quantity = Quantity::length;
    else if (q == "ratio")
        r.quantity = Quantity::ratio;
    else if (q == "count")
        r.quantity = Quantity::count;
    else if (was == nullptr)
        throw Fault{worded("“{}” is no quantity", q), "use length, ratio or count"};
    const double scale = r.quantity == Quantity::length ? unit : 1;
    readBands(j, scale, book, r.bands);
    if (j.contains("band") || j.contains("bands"))
        r.metricBands.clear(); // a studio's own band is its own in metric too
    if (r.bands.empty())
        throw Fault{"it has no band", "add “band” or “bands”"};
    readMetric(j, book, r);
    for (const auto& [key, factor] : {std::pair{"settings", unit}, std::pair{"numbers", 1.0}}) {
        if (!j.contains(key))
            continue;
        for (const auto& [name, v] : j[key].items()) {
            if (!v.is_number())
                throw Fault{worded("the setting “{}” is not a number", name),
                            "write a bare number"};
            if (was != nullptr && was->settings.count(name) == 0)
                throw Fault{worded("the rule has no setting “{}”", name), "take it out"};
            r.settings[name] = v.get<double>() * factor;
            if (std::string_view(key) == "numbers")
                r.plain.insert(name);
        }
    }
    checkPlaces(r);
    return r;
}

Habit readHabit(const json& j, double unit) {
    if (!j.is_object())
        throw Fault{"it is not an object", "each habit is {\"id\": …, \"length\": …}"};
    Habit h;
    h.id = text(j, "id", true);
    h.says = text(j, "says", true);
    h.source = text(j, "source", true);
    if (std::find(std::begin(habitIds), std::end(habitIds), h.id) == std::end(habitIds))
        throw Fault{worded("nothing asks for the habit “{}”", h.id), "take it out"};
    const auto [low, high] = bounds(j.value("between", json()), "“between”", unit);
    if (!low || !high)
        throw Fault{"“between” has no two bounds", "write it like [6, 12]"};
    if (!j.contains("length") || !j["length"].is_number())
        throw Fault{"“length” is no number", "write a bare number"};
    h.length = Length::millimetres(j["length"].get<double>() * unit);
    h.low = Length::millimetres(*low);
    h.high = Length::millimetres(*high);
    if (j.contains("metric")) {
        if (!j["metric"].is_number() || j["metric"].get<double>() <= 0)
            throw Fault{"“metric” is no number of centimetres", "leave it out, or write like 15"};
        h.metric = Length::centimetres(j["metric"].get<double>());
    }
    if (h.length < h.low || h.length > h.high)
        throw Fault{"“length” is not between its bounds", "see “between”"};
    return h;
}

} // namespace

Length Rule::setting(std::string_view name) const {
    return Length::millimetres(number(name));
}

std::string Rule::filled(std::string s, Notation n) const {
    for (const auto& [name, value] : settings) {
        const auto mark = "{" + name + "}";
        std::string said;
        for (auto at = s.find(mark); at != std::string::npos; at = s.find(mark, at + said.size())) {
            said = plain.count(name) == 0      ? words(Amount{Quantity::length, value}, n)
                   : value > 0 && value < 0.02 ? worded("1/{:.0f}", 1 / value)
                                               : worded("{:g}", value);
            s.replace(at, mark.size(), said);
        }
    }
    return s;
}

double Rule::number(std::string_view name) const {
    const auto it = settings.find(name);
    return it == settings.end() ? 0 : it->second;
}

const Rule* RuleBook::byId(std::string_view id) const {
    const auto it =
        std::find_if(rules.begin(), rules.end(), [&](const Rule& r) { return r.id == id; });
    return it == rules.end() ? nullptr : &*it;
}

Length RuleBook::habit(std::string_view id) const {
    const auto it =
        std::find_if(habits.begin(), habits.end(), [&](const Habit& h) { return h.id == id; });
    return it == habits.end() ? Length{} : it->length;
}

const School* RuleBook::schoolById(std::string_view id) const {
    const auto it =
        std::find_if(schools.begin(), schools.end(), [&](const School& s) { return s.id == id; });
    return it == schools.end() ? nullptr : &*it;
}

const School* RuleBook::schoolByWords(std::string_view said) const {
    const auto want = wordSet(said);
    for (const auto& s : schools)
        if (wordSet(s.id) == want || wordSet(s.title) == want)
            return &s;
    return nullptr;
}

namespace {

/// A book by itself, or what a studio puts in place of entries of `base`.
Result<RuleBookPtr> read(std::string_view content, std::string_view file, const RuleBook* base) {
    const auto refuse = [&](std::string what, std::string remedy) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file;
        return p;
    };
    const json j = json::parse(content, nullptr, false);
    if (j.is_discarded() || !j.is_object() || j.value("format", json()) != "mezzet-rules 1")
        return refuse("this is no rule book",
                      "it is JSON and begins with {\"format\": \"mezzet-rules 1\"");
    const double unit = j.value("unit", json("in")) == "mm" ? 1.0 : 25.4;
    auto book = base != nullptr ? std::make_shared<RuleBook>(*base) : std::make_shared<RuleBook>();
    std::set<std::string> given; // of a studio's own entries
    const auto put = [&](auto& all, auto one, const auto& twice) {
        const auto it =
            std::find_if(all.begin(), all.end(), [&](const auto& x) { return x.id == one.id; });
        if (it == all.end())
            all.push_back(std::move(one));
        else if (base == nullptr || !given.insert(one.id).second)
            throw Fault{twice, "keep one"};
        else
            *it = std::move(one);
    };
    int entry = 0;
    const char* list = "schools";
    try {
        for (const auto& s : j.value("schools", json::array())) {
            ++entry;
            School school{text(s, "id", true), text(s, "title", true), text(s, "says", true)};
            const auto twice = worded("the school “{}” is there twice", school.id);
            put(book->schools, std::move(school), twice);
        }
        list = "rules";
        entry = 0;
        for (const auto& r : j.value("rules", json::array())) {
            ++entry;
            auto rule = readRule(r, unit, *book, base);
            const auto twice = worded("the rule “{}” is there twice", rule.id);
            put(book->rules, std::move(rule), twice);
        }
        list = "habits";
        entry = 0;
        for (const auto& h : j.value("habits", json::array())) {
            ++entry;
            auto habit = readHabit(h, unit);
            const auto twice = worded("the habit “{}” is there twice", habit.id);
            put(book->habits, std::move(habit), twice);
        }
    } catch (const Fault& f) {
        return refuse(worded("{}, entry {}: {}", list, entry, f.what), f.remedy);
    } catch (const json::exception& e) {
        return refuse(worded("{}, entry {}: not what was expected", list, entry),
                      "see docs/rules.md");
    }
    if (book->schools.empty() || book->rules.empty())
        return refuse("the rule book has no schools or no rules", "see docs/rules.md");
    return RuleBookPtr(book);
}

} // namespace

RuleBookPtr metricBook(const RuleBook& book) {
    // What is smaller is a tolerance, and no figure anybody sets out.
    constexpr double least = 1; // mm
    const auto whole = [](double mm) {
        const double step = std::abs(mm) < 25 ? 1 : 10;
        return std::abs(mm) < least ? mm : std::round(mm / step) * step;
    };
    const auto rounded = [&](std::optional<double>& v) {
        if (v)
            v = whole(*v);
    };
    auto out = std::make_shared<RuleBook>(book);
    for (Rule& r : out->rules) {
        if (r.quantity == Quantity::length)
            for (auto& [school, band] : r.bands) {
                const auto own = r.metricBands.find(school);
                if (own != r.metricBands.end()) {
                    band = own->second;
                    continue;
                }
                for (auto* v : {&band.low, &band.high, &band.bestLow, &band.bestHigh})
                    rounded(*v);
            }
        else
            for (const auto& [school, own] : r.metricBands)
                r.bands[school] = own;
        for (auto& [name, v] : r.settings)
            if (r.plain.count(name) == 0)
                v = r.metricSettings.count(name) > 0 ? r.metricSettings.at(name) : whole(v);
    }
    for (Habit& h : out->habits) {
        h.length = h.metric > Length{} ? h.metric : Length::millimetres(whole(h.length.mm()));
        h.low = std::min(h.low, h.length);
        h.high = std::max(h.high, h.length);
    }
    return out;
}

Result<RuleBookPtr> readRuleBook(std::string_view content, std::string_view file) {
    return read(content, file, nullptr);
}

Result<RuleBookPtr> readStudioBook(std::string_view content, std::string_view file,
                                   const RuleBook& base) {
    return read(content, file, &base);
}

Result<RuleBookPtr> loadRuleBook(const std::filesystem::path& file) {
    auto content = readTextFile(file, std::size_t{4} * 1024 * 1024);
    if (!content)
        return content.problem();
    return readRuleBook(*content, file.string());
}

std::string_view householdName(Household h) {
    constexpr std::string_view names[] = {"not said", "short", "mixed", "tall", "public"};
    return names[static_cast<std::size_t>(h)];
}

Band artCentreBand(const Rule& rule, const Judgement& judgement) {
    const Band band = judgement.bandOf(rule);
    const auto choice = judgement.choices.find(rule.id);
    const bool own = choice != judgement.choices.end() && choice->second.band;
    // A school without a figure for who looks hangs by the furniture and not by the eye.
    if (own || judgement.schoolOf(rule) != "viewer-and-air")
        return band;
    std::optional<Length> at;
    const Eyes& eyes = judgement.eyes;
    if (!eyes.statures.empty()) {
        Length sum;
        for (const Length l : eyes.statures)
            sum += l;
        at = sum / static_cast<double>(eyes.statures.size()) * rule.number("eye over stature");
    } else if (eyes.household != Household::unsaid) {
        at = rule.setting(householdName(eyes.household));
    }
    if (!at || *at <= Length{})
        return band;
    const Length spare = rule.setting("spare");
    return {(*at - spare).mm(), (*at + spare).mm(), {}, {}};
}

Length raisedUnder(const Rule& rule, Length ceiling) {
    const Length over = ceiling - rule.setting("usual ceiling");
    return over > Length{} ? rule.setting("more drop") * (over / rule.setting("more ceiling"))
                           : Length{};
}

Length eyeLevel(const RuleBook& book, const Judgement& judgement) {
    const Rule* rule = book.byId("art-centre");
    if (rule == nullptr)
        return {};
    const Band b = artCentreBand(*rule, judgement);
    return Length::millimetres(
        (b.low.value_or(b.high.value_or(0)) + b.high.value_or(b.low.value_or(0))) / 2);
}

Band Judgement::bandOf(const Rule& rule) const {
    if (const auto it = choices.find(rule.id); it != choices.end() && it->second.band)
        return *it->second.band;
    if (const auto it = rule.bands.find(schoolOf(rule)); it != rule.bands.end())
        return it->second;
    const auto it = rule.bands.find("");
    return it != rule.bands.end() ? it->second : rule.bands.begin()->second;
}

std::string Judgement::schoolOf(const Rule& rule) const {
    if (const auto it = choices.find(rule.id); it != choices.end()) {
        if (it->second.band)
            return "own band";
        if (!it->second.school.empty())
            return it->second.school;
    }
    return school;
}

std::string words(const Amount& a, Notation n) {
    switch (a.quantity) {
    case Quantity::length:
        return writeGap(a.length(), n);
    case Quantity::ratio:
        return worded("{:.0f} %", a.value * 100);
    case Quantity::count:
        // A share of the floor may be half a foot more.
        return std::abs(a.value - std::round(a.value)) < 0.05 ? worded("{:.0f}", a.value)
                                                              : worded("{:.1f}", a.value);
    }
    return {};
}

} // namespace mezzet
