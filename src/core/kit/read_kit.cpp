#include "files/whole_file.h"
#include "kit/kind.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>
#include <set>

namespace mezzet {

namespace {

using json = nlohmann::json;

constexpr std::size_t mostBytes = std::size_t{4} * 1024 * 1024;
constexpr std::size_t mostKinds = 2000;

struct Fault {
    std::string what;
    std::string remedy;
};

/// One entry of a kit file, read field by field; an unknown field is a mistake worth saying.
class Entry {
public:
    Entry(const json& j, double unit) : json_(j), unit_(unit) {}

    std::string text(const char* key, bool needed) {
        seen_.insert(key);
        if (!json_.contains(key)) {
            if (needed)
                throw Fault{worded("it has no “{}”", key), "add it"};
            return {};
        }
        const auto& v = json_.at(key);
        if (!v.is_string() || (needed && v.get<std::string>().empty()))
            throw Fault{worded("“{}” is not a text", key), "put it in quotes"};
        auto s = v.get<std::string>();
        if (characterCount(s) > 300)
            throw Fault{worded("“{}” is over 300 characters", key), "shorten it"};
        return s;
    }

    Length length(const json& v, const std::string& what, bool positive) const {
        if (!v.is_number())
            throw Fault{worded("{} is not a number", what),
                        "write a bare number in the file's unit"};
        const auto l = Length::millimetres(v.get<double>() * unit_);
        if (!(l >= Length{}) || l > Length::metres(20) || (positive && l <= Length{}))
            throw Fault{worded("{} is {}", what, v.dump()), "sizes lie between nothing and 20 m"};
        return l;
    }

    template <std::size_t N>
    std::array<std::optional<Length>, N> lengths(const char* key,
                                                 const std::array<const char*, N>& names) {
        seen_.insert(key);
        std::array<std::optional<Length>, N> out;
        if (!json_.contains(key))
            return out;
        const auto& o = json_.at(key);
        if (!o.is_object())
            throw Fault{worded("“{}” is not a group", key), "write it like {\"seat\": 18}"};
        for (const auto& [name, v] : o.items()) {
            const auto it = std::find(names.begin(), names.end(), name);
            if (it == names.end())
                throw Fault{worded("“{}” has no “{}”", key, name),
                            worded("it may have {}", listed({names.begin(), names.end()}))};
            out[static_cast<std::size_t>(it - names.begin())] =
                length(v, worded("“{}”", name), false);
        }
        return out;
    }

    bool yes(const char* key) {
        seen_.insert(key);
        if (!json_.contains(key))
            return false;
        if (!json_.at(key).is_boolean())
            throw Fault{worded("“{}” is neither true nor false", key), "leave it out for false"};
        return json_.at(key).get<bool>();
    }

    const json* group(const char* key) {
        seen_.insert(key);
        return json_.contains(key) ? &json_.at(key) : nullptr;
    }

    void finish() const {
        for (const auto& item : json_.items())
            if (seen_.count(item.key()) == 0)
                throw Fault{worded("it has a field “{}” that is not known", item.key()),
                            "take it out, or see docs/kit.md"};
    }

private:
    const json& json_;
    double unit_;
    std::set<std::string> seen_;
};

template <class E>
E named(const std::string& word, std::string_view (*name)(E), int count, const char* what) {
    std::vector<std::string> all;
    for (int i = 0; i < count; ++i) {
        if (name(static_cast<E>(i)) == word)
            return static_cast<E>(i);
        all.emplace_back(name(static_cast<E>(i)));
    }
    throw Fault{worded("“{}” is no {}", word, what), worded("use {}", listed(all, "or"))};
}

Footprint readFootprint(const json& o, const Entry& e, const Size& size) {
    Footprint f;
    if (!o.is_object() || !o.contains("form") || !o["form"].is_string())
        throw Fault{"“shape” has no form", "write it like {\"form\": \"round\"}"};
    const auto form = o["form"].get<std::string>();
    if (form == "rectangle") {
        f.form = FootprintForm::rectangle;
    } else if (form == "round" || form == "oval") {
        f.form = FootprintForm::oval;
        if (form == "round" && abs(size.width - size.depth) > quiet)
            throw Fault{"a round kind has a width and a depth that differ",
                        "make them the same, or call it oval"};
    } else if (form == "L") {
        f.form = FootprintForm::ell;
    } else if (form == "arch") {
        f.form = FootprintForm::arch;
    } else if (form == "octagon") {
        f.form = FootprintForm::octagon;
    } else {
        throw Fault{worded("“{}” is no shape", form),
                    "use rectangle, round, oval, L, arch or octagon"};
    }
    for (const auto& [key, v] : o.items()) {
        if (key == "form")
            continue;
        if (key == "corner" && f.form != FootprintForm::oval)
            f.corner = e.length(v, "“corner”", false);
        else if (key == "body" && f.form == FootprintForm::ell)
            f.bodyDepth = e.length(v, "“body”", true);
        else if (key == "arm" && f.form == FootprintForm::ell)
            f.armWidth = e.length(v, "“arm”", true);
        else if (key == "armOn" && f.form == FootprintForm::ell && (v == "left" || v == "right"))
            f.armOnRight = v == "right";
        else
            throw Fault{worded("“shape” can't have “{}: {}” here", key, v.dump()),
                        "see docs/kit.md"};
    }
    if (f.form == FootprintForm::ell && (f.bodyDepth <= Length{} || f.armWidth <= Length{} ||
                                         f.bodyDepth >= size.depth || f.armWidth >= size.width))
        throw Fault{"an L needs a “body” less than its depth and an “arm” less than its width",
                    "add or correct them"};
    return f;
}

void readHanging(const json& o, const Entry& e, Kind& k) {
    if (!o.is_object() || (!k.hangs() && !k.underCeiling()))
        throw Fault{"“hang” is not a group of a kind that is on a wall or the ceiling",
                    "see docs/kit.md"};
    Hanging& h = k.hanging;
    for (const auto& [key, v] : o.items()) {
        if (k.underCeiling() && key != "bottom at")
            throw Fault{worded("“hang” can't have “{}” under the ceiling", key),
                        "there it may have “bottom at”"};
        if (key == "mount" && v.is_string()) {
            const auto word = v.get<std::string>();
            const auto it = std::find_if(mountWords.begin(), mountWords.end(),
                                         [&](const auto& m) { return word == m.second; });
            if (it == mountWords.end())
                throw Fault{worded("“{}” is no mount", word), "see docs/kit.md"};
            h.mount = it->first;
        } else if (key == "hooks" && v.is_number_integer() && v.get<int>() >= 0 &&
                   v.get<int>() <= 20) {
            h.hooks = v.get<int>();
        } else if (key == "drop") {
            h.drop = e.length(v, "“drop”", false);
        } else if (key == "centre at" || key == "top at" || key == "bottom at") {
            k.hangAt = e.length(v, "the height it hangs at", true);
            k.hangBy = key[0] == 'c' ? Level::centre : key[0] == 't' ? Level::top : Level::bottom;
        } else if (key == "frame") {
            h.frame = e.length(v, "“frame”", false);
        } else if (key == "mat") {
            h.mat = e.length(v, "“mat”", false);
        } else if (key == "material" && v.is_string()) {
            h.material = v.get<std::string>();
        } else if (key == "kg per square metre" && v.is_number() && v.get<double>() >= 0 &&
                   v.get<double>() < 500) {
            k.arealWeight = v.get<double>();
        } else {
            throw Fault{worded("“hang” can't have “{}: {}”", key, v.dump()), "see docs/kit.md"};
        }
    }
}

/// Its family, and the surface it has its place on. Kit files of before told of both at once: of
/// the family “hung” was what is on a wall, and “standsOn” said what stands on a piece.
void readHome(Entry& e, Kind& k) {
    const auto family = e.text("family", true);
    if (family == "hung") {
        k.family = wallFamily(k.role);
        k.on = SurfaceKind::wall;
    } else {
        k.family = named<Family>(family, familyName, familyCount, "family");
    }
    const bool standsOn = e.yes("standsOn");
    if (standsOn && k.hangs())
        throw Fault{"it hangs on a wall and stands on a piece", "take “standsOn” out"};
    if (standsOn)
        k.on = SurfaceKind::top;
    const auto on = e.text("on", false);
    if (on.empty())
        return;
    std::vector<std::string> all;
    for (const SurfaceKind home : homes) {
        if (surfaceWord(home) == on) {
            k.on = home;
            return;
        }
        all.emplace_back(surfaceWord(home));
    }
    throw Fault{worded("it is on “{}”", on), worded("use {}", listed(all, "or"))};
}

Openings readOpenings(const json& o, const Entry& e, const Size& size) {
    Openings out;
    if (!o.is_object())
        throw Fault{"“openings” is not a group",
                    "write it like {\"across\": 1, \"up\": 5, \"board\": 0.75}"};
    for (const auto& [key, v] : o.items()) {
        const bool count = v.is_number_integer() && v.get<double>() >= 1 && v.get<double>() <= 50;
        if (key == "across" && count)
            out.across = v.get<int>();
        else if (key == "up" && count)
            out.up = v.get<int>();
        else if (key == "board")
            out.board = e.length(v, "“board”", true);
        else if (key == "foot")
            out.foot = e.length(v, "“foot”", false);
        else
            throw Fault{worded("“openings” can't have “{}: {}”", key, v.dump()),
                        "it has across, up, board and foot"};
    }
    if (out.count() == 0 || out.board <= Length{})
        throw Fault{"“openings” does not say how many there are, or how thick the boards are",
                    "write it like {\"across\": 1, \"up\": 5, \"board\": 0.75}"};
    if ((out.across + 1) * out.board >= size.width ||
        out.foot + (out.up + 1) * out.board >= size.height)
        throw Fault{"its boards leave no room for “openings”", "make them fewer or thinner"};
    return out;
}

/// What it comes as in metric trade, in centimetres whatever the file's unit is.
void readMetric(const json& o, Kind& k) {
    const Entry e(o, 10);
    if (!o.is_object())
        throw Fault{"“metric” is not a group", "write it like {\"size\": [210, 90, 85]}"};
    for (const auto& [key, v] : o.items()) {
        if (key == "size" && v.is_array() && v.size() == 3)
            k.metric = Size{e.length(v[0], "the metric width", true),
                            e.length(v[1], "the metric depth", true),
                            e.length(v[2], "the metric height", true)};
        else if (key == "hang at" && k.hangAt > Length{})
            k.metricHangAt = e.length(v, "the metric height it hangs at", true);
        else
            throw Fault{worded("“metric” can't have “{}: {}”", key, v.dump()),
                        "it may have size, and hang at where “hang” has a height"};
    }
}

std::vector<Vec2> readLegs(const json& list, const Entry& e, const Size& size) {
    constexpr std::size_t most = 12;
    if (!list.is_array() || list.empty() || list.size() > most)
        throw Fault{worded("“legs” is not a list of 1 to {} places", most),
                    "write it like [[2, 2], [28, 2], [15, 28]]"};
    std::vector<Vec2> out;
    for (const auto& leg : list) {
        if (!leg.is_array() || leg.size() != 2)
            throw Fault{"a place in “legs” is not two numbers",
                        "say how far it is from the left and from the back, like [2, 2]"};
        const Length x = e.length(leg[0], "a leg's place", false);
        const Length y = e.length(leg[1], "a leg's place", false);
        if (x > size.width || y > size.depth)
            throw Fault{worded("a leg stands at {}, beyond the piece", leg.dump()),
                        "say how far it is from the left and from the back"};
        out.push_back({x.mm(), y.mm()});
    }
    return out;
}

std::shared_ptr<const LightSource> readLight(const json& o, const Entry& e, const Size& size) {
    auto out = std::make_shared<LightSource>();
    out->lamp = size.height / 2;
    if (!o.is_object())
        throw Fault{"“light” is not a group",
                    "write it like {\"lumens\": 800, \"watts\": 9, \"shine\": \"globe\"}"};
    for (const auto& [key, v] : o.items()) {
        const auto number = [&, &key = key, &v = v](double most) {
            if (!v.is_number() || v.get<double>() < 0 || v.get<double>() > most)
                throw Fault{worded("“light” can't have “{}: {}”", key, v.dump()),
                            worded("it is a number up to {}", most)};
            return v.get<double>();
        };
        if (key == "lumens")
            out->lumens = number(1e6);
        else if (key == "watts")
            out->watts = number(1e5);
        else if (key == "kelvin")
            out->kelvin = number(20000);
        else if (key == "kg")
            out->kilograms = number(500);
        else if (key == "shine" && v.is_string())
            out->shine = v.get<std::string>();
        else if (key == "lamp")
            out->lamp = e.length(v, "“lamp”", false);
        else if (key == "cutOut")
            out->cutOut = e.length(v, "“cutOut”", false);
        else if (key == "recess")
            out->recess = e.length(v, "“recess”", false);
        else if (key == "shade")
            out->shade = e.length(v, "“shade”", false);
        else if (key == "bare" && v.is_boolean())
            out->bare = v.get<bool>();
        else if (key == "hung" && v.is_boolean())
            out->hung = v.get<bool>();
        else if (key == "general" && v.is_boolean())
            out->general = v.get<bool>();
        else
            throw Fault{worded("“light” can't have “{}: {}”", key, v.dump()), "see docs/kit.md"};
    }
    if (out->lumens <= 0 || out->shine.empty())
        throw Fault{"“light” does not say its lumens, or how it shines",
                    "write it like {\"lumens\": 800, \"watts\": 9, \"shine\": \"globe\"}"};
    return out;
}

std::shared_ptr<const ThingKind> readThing(const json& o, const Kind& k) {
    auto out = std::make_shared<ThingKind>();
    if (!o.is_object() || !o.contains("sort") || !o["sort"].is_string() || !o.contains("colour"))
        throw Fault{"“thing” does not say its sort or its colour",
                    "write it like {\"sort\": \"vase\", \"colour\": \"cream\"}"};
    if (!k.standsOn())
        throw Fault{"it is a thing, and does not stand on tops", "say \"on\": \"top\""};
    out->sort = named<ThingSort>(o["sort"].get<std::string>(), thingSortName, thingSortCount,
                                 "sort of thing");
    for (const auto& [key, v] : o.items()) {
        if (key == "sort")
            continue;
        if ((key == "colour" || key == "colour2") && v.is_string()) {
            const auto colour = readColour(v.get<std::string>());
            if (!colour)
                throw Fault{colour.problem().what, colour.problem().remedy};
            if (key == "colour")
                out->colour = *colour;
            else
                out->colour2 = *colour;
        } else if (key == "material" && v.is_string()) {
            out->material = v.get<std::string>();
        } else if (key == "finish" && (v == "matt" || v == "polished")) {
            out->finish = v.get<std::string>();
        } else if (key == "kg per litre" && v.is_number() && v.get<double>() > 0 &&
                   v.get<double>() < 20) {
            out->kgPerLitre = v.get<double>();
        } else {
            throw Fault{worded("“thing” can't have “{}: {}”", key, v.dump()), "see docs/kit.md"};
        }
    }
    return out;
}

Kind readKind(const json& j, double unit) {
    if (!j.is_object())
        throw Fault{"it is not an object", "each entry is {\"id\": …, \"name\": …, \"size\": […]}"};
    Entry e(j, unit);
    Kind k;
    k.id = tidyName(e.text("id", true));
    k.name = tidyName(e.text("name", true));
    if (plainWord(k.name).empty() || k.id.empty())
        throw Fault{"its name or its id has nothing that is seen", "give it one"};
    const auto role = e.text("role", false);
    k.role = role.empty() ? Role::none : named<Role>(role, roleName, roleCount, "role");
    readHome(e, k);
    k.caution = e.text("caution", false);
    k.draw = e.text("draw", false);
    for (const auto& [field, into] : {std::pair{"also", &k.also}, {"usually", &k.usually}}) {
        const auto* words = e.group(field);
        if (words == nullptr)
            continue;
        if (!words->is_array())
            throw Fault{worded("“{}” is not a list", field),
                        "write it like [\"couch\", \"settee\"]"};
        for (const auto& w : *words) {
            if (!w.is_string() || w.get<std::string>().empty())
                throw Fault{worded("“{}” holds something that is not a word", field),
                            "put each word in quotes"};
            if (auto word = tidyName(w.get<std::string>()); !word.empty())
                into->push_back(std::move(word));
        }
    }
    const auto* size = e.group("size");
    if (size == nullptr || !size->is_array() || size->size() != 3)
        throw Fault{"it has no “size” of three numbers",
                    "write width, depth and height like [84, 36, 34]"};
    k.size = {e.length((*size)[0], "the width", true), e.length((*size)[1], "the depth", true),
              e.length((*size)[2], "the height", true)};
    const auto h = e.lengths<4>("heights", {"seat", "arm", "back", "top"});
    k.heights = {h[0], h[1], h[2], h[3]};
    for (const auto& one : h)
        if (one && *one > k.size.height + quiet)
            throw Fault{"one of its heights is above its top", "correct the heights or the size"};
    if (const auto* shape = e.group("shape"))
        k.footprint = readFootprint(*shape, e, k.outlineSize());
    const auto use = e.lengths<4>("use", {"front", "back", "left", "right"});
    k.use = {use[0].value_or(Length{}), use[1].value_or(Length{}), use[2].value_or(Length{}),
             use[3].value_or(Length{})};
    k.opens = e.text("opens", false);
    k.opensSeldom = e.yes("opensSeldom");
    k.workedAt = e.yes("workedAt");
    if (const auto* legs = e.group("legs"))
        k.legs = readLegs(*legs, e, k.size);
    if (const auto* openings = e.group("openings"))
        k.openings = readOpenings(*openings, e, k.size);
    if (const auto back = e.text("back", false); !back.empty()) {
        if (back != "bare" && back != "finished")
            throw Fault{worded("“back” is “{}”", back), "use bare or finished"};
        k.bareBack = back == "bare";
    }
    if (const auto* below = e.group("clearBelow"))
        k.clearBelow = e.length(*below, "“clearBelow”", false);
    if (const auto* hang = e.group("hang"))
        readHanging(*hang, e, k);
    if (const auto* metric = e.group("metric"))
        readMetric(*metric, k);
    if (const auto* light = e.group("light"))
        k.light = readLight(*light, e, k.size);
    if (const auto* thing = e.group("thing"))
        k.thing = readThing(*thing, k);
    e.finish();
    return k;
}

} // namespace

Result<std::vector<Kind>> readKit(std::string_view text, std::string_view file) {
    const auto refuse = [&](std::string what, std::string remedy) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = file;
        return p;
    };
    json j;
    try {
        j = json::parse(text);
    } catch (const json::parse_error& error) {
        Problem p = refuse("this is not JSON from here on",
                           "check the commas, quotes and brackets just before");
        const auto upTo =
            text.substr(0, std::min(error.byte > 0 ? error.byte - 1 : 0, text.size()));
        p.line = static_cast<int>(std::count(upTo.begin(), upTo.end(), '\n')) + 1;
        const auto start = upTo.rfind('\n');
        p.column = static_cast<int>(characterCount(
                       start == std::string_view::npos ? upTo : upTo.substr(start + 1))) +
                   1;
        return p;
    } catch (const json::exception&) { // a number that no number holds
        return refuse("it holds a number that is too large", "correct it");
    }
    if (!j.is_object() || j.value("format", json()) != "mezzet-kit 1")
        return refuse("this is no kit file", "it begins with {\"format\": \"mezzet-kit 1\"");
    const auto unit = j.value("unit", json("in"));
    if (unit != "in" && unit != "mm")
        return refuse(worded("the unit {} is not known", unit.dump()), "use \"in\" or \"mm\"");
    if (!j.contains("kinds") || !j["kinds"].is_array() || j["kinds"].size() > mostKinds)
        return refuse("it has no list of “kinds”", worded("at most {} kinds are read", mostKinds));
    std::vector<Kind> kinds;
    int entry = 0;
    for (const auto& k : j["kinds"]) {
        ++entry;
        try {
            kinds.push_back(readKind(k, unit == "in" ? 25.4 : 1.0));
        } catch (const Fault& f) {
            const auto id = k.is_object() && k.contains("id") && k["id"].is_string()
                                ? worded(" “{}”", k["id"].get<std::string>())
                                : "";
            return refuse(worded("entry {}{}: {}", entry, id, f.what), f.remedy);
        }
    }
    return kinds;
}

Result<std::vector<Kind>> readKitFile(const std::filesystem::path& path) {
    auto text = readTextFile(path, mostBytes);
    if (!text)
        return text.problem();
    return readKit(*text, path.string());
}

Result<KitPtr> loadKit(const std::filesystem::path& folder) {
    std::error_code error;
    std::vector<std::filesystem::path> files;
    for (const auto& f : std::filesystem::directory_iterator(folder, error))
        if (f.path().extension() == ".json")
            files.push_back(f.path());
    if (files.empty()) {
        Problem p{"there is no kit here",
                  "the program's data folder holds kit/*.json; MEZZET_DATA can name it"};
        p.file = folder.string();
        return p;
    }
    std::sort(files.begin(), files.end());
    std::vector<Kind> all;
    for (const auto& f : files) {
        auto kinds = readKitFile(f);
        if (!kinds)
            return kinds.problem();
        for (auto& k : *kinds)
            all.push_back(std::move(k));
        auto together = Kit::of(all);
        if (!together) {
            Problem p = together.problem();
            p.file = f.string();
            return p;
        }
    }
    return std::make_shared<const Kit>(*Kit::of(std::move(all)));
}

} // namespace mezzet
