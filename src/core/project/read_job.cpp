#include "kit/csv.h"
#include "measure/text.h"
#include "project/job_words.h"
#include "project/project.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>
#include <set>

namespace mezzet {

namespace {

using json = nlohmann::ordered_json;

constexpr std::size_t mostTies = 8;
constexpr int deepest = 24;
constexpr double farthest = 1e6; // mm; a kilometre

struct Fault {
    std::string what;
    std::string remedy;
};

/// One object of the file: takes known fields, keeps the rest.
class Fields {
public:
    Fields(const json& j, std::string where) : json_(j), where_(std::move(where)) {
        if (!j.is_object())
            throw Fault{where_ + " is not an object",
                        "the file is damaged; take a copy that opens"};
    }

    [[noreturn]] void
    fail(const std::string& what,
         const std::string& remedy = "the file is damaged; take a copy that opens") const {
        throw Fault{where_ + ": " + what, remedy};
    }
    [[nodiscard]] bool has(const char* key) { return find(key) != nullptr; }
    const json& need(const char* key) {
        const auto* v = find(key);
        if (v == nullptr)
            fail(fmt::format("“{}” is missing", key));
        return *v;
    }
    std::string text(const char* key, std::size_t most, bool needed) {
        if (!needed && !has(key))
            return {};
        const auto& v = need(key);
        if (!v.is_string() || characterCount(v.get_ref<const std::string&>()) > most ||
            !isText(v.get_ref<const std::string&>()))
            fail(fmt::format("“{}” is not a text of at most {} characters", key, most));
        return v.get<std::string>();
    }
    static bool isNumber(const json& v) {
        return v.is_number() && std::isfinite(v.get<double>()) &&
               std::abs(v.get<double>()) <= farthest;
    }
    double number(const char* key) {
        const auto& v = need(key);
        if (!isNumber(v))
            fail(fmt::format("“{}” is no number a room could hold", key));
        return v.get<double>();
    }
    int whole(const char* key, int low, int high) {
        const auto& v = need(key);
        if (!v.is_number_integer() || v.get<long long>() < low || v.get<long long>() > high)
            fail(fmt::format("“{}” is no whole number from {} to {}", key, low, high));
        return v.get<int>();
    }
    Vec2 pair(const char* key) {
        const auto& v = need(key);
        if (!v.is_array() || v.size() != 2 || !isNumber(v[0]) || !isNumber(v[1]))
            fail(fmt::format("“{}” is not two numbers", key));
        return {v[0].get<double>(), v[1].get<double>()};
    }
    const json& list(const char* key, std::size_t most) {
        const auto& v = need(key);
        if (!v.is_array() || v.size() > most)
            fail(fmt::format("“{}” is not a list of at most {}", key, most));
        return v;
    }
    template <class E, std::size_t N>
    E word(const char* key, const std::array<std::pair<E, const char*>, N>& table) {
        const auto w = text(key, 40, true);
        for (const auto& [value, name] : table)
            if (w == name)
                return value;
        fail(fmt::format("“{}” can't be “{}”", key, w), "a newer Mezzet may have written it");
    }
    /// What was not asked for, as JSON; empty when nothing is left.
    std::string rest() const {
        json left = json::object();
        for (const auto& [key, v] : json_.items())
            if (seen_.count(key) == 0)
                left[key] = v;
        return left.empty() ? std::string() : left.dump();
    }
    [[nodiscard]] const std::string& where() const { return where_; }

private:
    const json* find(const char* key) {
        seen_.insert(key);
        const auto it = json_.find(key);
        return it == json_.end() ? nullptr : &*it;
    }

    const json& json_;
    std::string where_;
    std::set<std::string> seen_;
};

Target readTarget(const json& j, const std::string& where) {
    Fields f(j, where);
    Target t;
    t.is = f.word("is", targetWords);
    switch (t.is) {
    case Target::Is::piece:
        t.piece = f.whole("id", 1, 1 << 30);
        break;
    case Target::Is::wall:
    case Target::Is::corner: {
        const auto i = wallIndex(f.text("wall", 2, true));
        if (!i)
            f.fail("“wall” is no wall letter");
        t.index = *i;
        if (t.is == Target::Is::corner)
            t.alongNext = f.text("along", 10, false) == "next";
        break;
    }
    case Target::Is::room:
    case Target::Is::none:
    case Target::Is::ceiling:
    case Target::Is::skirting:
    case Target::Is::chairRail:
    case Target::Is::pictureRail:
        break;
    case Target::Is::fixture:
        t.built = f.word("kind", fixtureWords);
        [[fallthrough]];
    default:
        t.index = f.whole("number", 1, 10000);
    }
    return t;
}

Tie readTie(const json& j, const std::string& where) {
    Fields f(j, where);
    Tie t;
    t.kind = f.word("tie", tieWords);
    const bool bare = t.kind == Tie::Kind::height || t.kind == Tie::Kind::eyeLevel;
    if (t.kind != Tie::Kind::turned && t.kind != Tie::Kind::at && t.kind != Tie::Kind::under &&
        (!bare || f.has("of")))
        t.of = readTarget(f.need("of"), where + ", “of”");
    if (t.kind == Tie::Kind::centredBetween)
        t.also = readTarget(f.need("also"), where + ", “also”");
    const auto wants = [&](std::initializer_list<Target::Is> fine) {
        if (std::find(fine.begin(), fine.end(), t.of.is) == fine.end())
            f.fail("this tie can't refer to that");
    };
    using Is = Target::Is;
    switch (t.kind) {
    case Tie::Kind::turned:
        t.turn = Angle::degrees(f.number("turn"));
        break;
    case Tie::Kind::at: {
        const auto p = f.pair("at");
        t.distance = Length::millimetres(p.x);
        t.second = Length::millimetres(p.y);
        break;
    }
    case Tie::Kind::under:
        for (const auto& id : f.list("pieces", mostPieces)) {
            if (!id.is_number_integer())
                f.fail("“pieces” holds something that is no number");
            t.group.push_back(id.get<int>());
        }
        if (t.group.empty())
            f.fail("“pieces” is empty");
        break;
    case Tie::Kind::inGroup: {
        wants({Is::piece});
        const auto p = f.pair("at");
        t.distance = Length::millimetres(p.x);
        t.second = Length::millimetres(p.y);
        break;
    }
    case Tie::Kind::levelWith:
        t.levelOf = f.word("levelOf", levelWords);
        [[fallthrough]];
    case Tie::Kind::height:
        t.level = f.word("level", levelWords);
        break;
    case Tie::Kind::fromPiece:
        wants({Is::piece, Is::window, Is::door, Is::opening, Is::chimney, Is::fixture});
        t.side = f.word("side", sideWords);
        break;
    case Tie::Kind::inCorner:
    case Tie::Kind::fromCorner:
        wants({Is::corner});
        break;
    case Tie::Kind::against:
    case Tie::Kind::squareTo:
    case Tie::Kind::inLineWith:
        wants({Is::piece, Is::wall, Is::window, Is::door, Is::opening, Is::chimney, Is::fixture});
        break;
    case Tie::Kind::fromWall:
        wants({Is::wall, Is::window, Is::door, Is::opening, Is::chimney, Is::fixture});
        break;
    case Tie::Kind::centredOn:
        wants({Is::piece, Is::wall, Is::window, Is::door, Is::opening, Is::chimney, Is::room,
               Is::fixture});
        if (f.has("side"))
            t.side = f.word("side", sideWords);
        break;
    default:
        break;
    }
    if (t.kind == Tie::Kind::atPlace) {
        wants({Is::piece});
        t.places = f.whole("places", 1, 60);
        t.place = f.whole("place", 1, t.places);
    }
    if (f.has("distance"))
        t.distance = Length::millimetres(f.number("distance"));
    if (f.has("to") && f.text("to", 10, true) == "centre")
        t.to = MeasuredTo::centre;
    t.extra = f.rest();
    return t;
}

Footprint readFootprint(const json& j, const std::string& where, const Size& size) {
    Fields f(j, where);
    Footprint p;
    const auto form = f.text("form", 20, true);
    if (form == "oval")
        p.form = FootprintForm::oval;
    else if (form == "L")
        p.form = FootprintForm::ell;
    else if (form == "arch")
        p.form = FootprintForm::arch;
    else if (form == "octagon")
        p.form = FootprintForm::octagon;
    else if (form != "rectangle")
        f.fail(fmt::format("“{}” is no shape", form), "a newer Mezzet may have written it");
    const auto length = [&](const char* key) {
        const double v = f.number(key);
        if (v < 0)
            f.fail(fmt::format("“{}” is under nothing", key));
        return Length::millimetres(v);
    };
    if (f.has("corner"))
        p.corner = length("corner");
    if (p.form == FootprintForm::ell) {
        p.bodyDepth = length("body");
        p.armWidth = length("arm");
        p.armOnRight = f.text("armOn", 10, true) != "left";
        if (p.bodyDepth > size.depth || p.armWidth > size.width)
            f.fail("the L is larger than its piece");
    }
    return p;
}

Hanging readHanging(const json& j, const std::string& where) {
    Fields f(j, where);
    Hanging h;
    h.mount = f.word("mount", mountWords);
    h.hooks = f.whole("hooks", 0, 20);
    const auto length = [&](const char* key) -> std::optional<Length> {
        if (!f.has(key))
            return {};
        const double v = f.number(key);
        if (v < 0 || v > 20000)
            f.fail(fmt::format("“{}” is no length of a piece", key));
        return Length::millimetres(v);
    };
    h.drop = length("drop");
    h.ringSpacing = length("ringSpacing");
    h.ringsDown = length("ringsDown");
    h.slack = length("slack");
    h.hookSpacing = length("hookSpacing");
    h.frame = length("frame").value_or(Length{});
    h.mat = length("mat").value_or(Length{});
    const auto mass = [&](const char* key) -> std::optional<Mass> {
        if (!f.has(key))
            return {};
        const double kg = f.number(key);
        if (kg < 0 || kg > 2000)
            f.fail(fmt::format("“{}” is no weight a wall could hold", key));
        return Mass::kilograms(kg);
    };
    h.weight = mass("weight");
    h.load = mass("load");
    h.material = f.text("material", mostNameLength, false);
    if (f.has("clamped"))
        h.clamped = f.need("clamped") == true;
    return h;
}

Piece readPiece(const json& j, const std::string& where, const Kit& kit) {
    Fields f(j, where);
    Piece p;
    p.id = f.whole("id", 1, 1 << 30);
    p.name = f.text("name", mostNameLength, true);
    if (plainWord(p.name).empty())
        f.fail("it has no name");
    const auto kind = f.text("kind", 80, true);
    p.kind = kit.byId(kind);
    if (!p.kind)
        f.fail(fmt::format("the kit has no kind “{}”", kind),
               "add the kind to the kit, or take the piece out of the file");
    const auto& size = f.list("size", 3);
    if (size.size() != 3)
        f.fail("“size” is not three numbers");
    for (const auto& s : size)
        if (!Fields::isNumber(s) || s.get<double>() <= 0 || s.get<double>() > 20000)
            f.fail("“size” holds a length that no piece has");
    p.size = {Length::millimetres(size[0].get<double>()),
              Length::millimetres(size[1].get<double>()),
              Length::millimetres(size[2].get<double>())};
    p.heights = p.kind->heights;
    if (f.has("heights")) {
        Fields h(f.need("heights"), where + ", “heights”");
        const auto height = [&](const char* key) -> std::optional<Length> {
            if (!h.has(key))
                return {};
            return Length::millimetres(h.number(key));
        };
        p.heights = {height("seat"), height("arm"), height("back"), height("top")};
    }
    p.hanging = p.kind->hanging;
    if (f.has("wall")) {
        const auto wall = wallIndex(f.text("wall", 2, true));
        if (!wall)
            f.fail("“wall” is no wall letter");
        p.wall = *wall;
        if (f.has("hanging"))
            p.hanging = readHanging(f.need("hanging"), where + ", “hanging”");
        if (f.has("plan")) {
            Fields plan(f.need("plan"), where + ", “plan”");
            p.plan.form = plan.word("form", formWords);
            p.plan.gap = Length::millimetres(plan.number("gap"));
            p.plan.answer = plan.whole("answer", 0, 1000);
        }
        p.picture = f.text("picture", 80, false);
    }
    if (p.kind->hangs() != p.onWall())
        f.fail(p.kind->hangs() ? "such a kind hangs, and no wall is named"
                               : "such a kind stands on the floor, and a wall is named");
    p.footprint = f.has("shape")
                      ? readFootprint(f.need("shape"), where + ", “shape”", p.outlineSize())
                      : p.kind->footprint;
    p.pose.at = f.pair("at");
    p.pose.turn = Angle::degrees(f.number("turn"));
    if (f.has("locked")) {
        if (!f.need("locked").is_boolean())
            f.fail("“locked” is neither true nor false");
        p.locked = f.need("locked").get<bool>();
    }
    int n = 0;
    for (const auto& t : f.list("ties", mostTies))
        p.ties.push_back(readTie(t, fmt::format("{}, tie {}", where, ++n)));
    if (f.has("otherwise")) {
        Fields o(f.need("otherwise"), where + ", “otherwise”");
        Stance other;
        other.pose = {o.pair("at"), Angle::degrees(o.number("turn"))};
        for (const auto& t : o.list("ties", mostTies))
            other.ties.push_back(readTie(t, where + ", “otherwise”"));
        p.otherwise = other;
    }
    const auto yes = [&](const char* key) {
        if (!f.need(key).is_boolean())
            f.fail(fmt::format("“{}” is neither true nor false", key));
        return f.need(key).get<bool>();
    };
    if (f.has("onlyHere"))
        p.onlyHere = yes("onlyHere");
    if (f.has("finishedBack"))
        p.finishedBack = yes("finishedBack");
    if (f.has("cost")) {
        if (!f.need("cost").is_number() || !(f.need("cost").get<double>() >= 0) ||
            f.need("cost").get<double>() > 1e9)
            f.fail("“cost” is no price");
        p.cost = f.need("cost").get<double>();
    }
    p.reason = f.text("reason", mostReason, false);
    p.extra = f.rest();
    return p;
}

SchemePtr readScheme(const json& j, const std::string& where, const Kit& kit,
                     const std::vector<RoomPtr>& rooms) {
    Fields f(j, where);
    auto s = std::make_shared<Scheme>();
    s->name = f.text("name", mostNameLength, true);
    s->note = f.text("note", 4000, false);
    s->nextId = f.whole("nextId", 1, 1 << 30);
    if (const auto room = f.text("room", mostNameLength, false); !room.empty()) {
        const auto it = std::find_if(rooms.begin(), rooms.end(),
                                     [&](const RoomPtr& r) { return r->name == room; });
        if (it == rooms.end())
            f.fail(fmt::format("the notes have no room “{}”", room));
        s->room = static_cast<std::size_t>(it - rooms.begin());
    }
    int n = 0;
    std::set<int> ids;
    std::set<std::string> names;
    const auto take = [&](const char* key, std::vector<Piece>& into) {
        for (const auto& p : f.list(key, mostPieces)) {
            into.push_back(readPiece(p, fmt::format("{}, piece {}", where, ++n), kit));
            if (!ids.insert(into.back().id).second)
                f.fail(fmt::format("piece {} has an id that is taken", n));
            if (!names.insert(plainWord(into.back().name)).second)
                f.fail(fmt::format("piece {} has a name that is taken", n));
        }
    };
    take("pieces", s->pieces);
    if (f.has("hung"))
        take("hung", s->hung);
    for (const Piece& p : s->pieces)
        if (p.onWall())
            f.fail(fmt::format("{} hangs on a wall and is among what stands", p.name));
    for (const Piece& p : s->hung)
        if (!p.onWall())
            f.fail(fmt::format("{} stands and is among what hangs", p.name));
    if (f.has("away"))
        take("away", s->away);
    if (f.has("arrangement"))
        s->arrangement =
            f.text("arrangement", 20, true) == "guests" ? Arrangement::guests : Arrangement::day;
    if (f.has("zones")) {
        for (const auto& z : f.list("zones", mostZones)) {
            Fields one(z, where + ", a zone");
            Zone zone;
            zone.name = one.text("name", mostNameLength, true);
            for (const auto& id : one.list("pieces", mostPieces)) {
                if (!id.is_number_integer() || ids.count(id.get<int>()) == 0)
                    one.fail("“pieces” names a piece that is not there");
                zone.pieces.push_back(id.get<int>());
            }
            s->zones.push_back(std::move(zone));
        }
    }
    if (!ids.empty())
        s->nextId = std::max(s->nextId, *ids.rbegin() + 1);
    s->extra = f.rest();
    return s;
}

bool isBase64(std::string_view s) {
    return s.find_first_not_of("ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz"
                               "0123456789+/=") == std::string_view::npos;
}

UnderlayPtr readUnderlay(const json& j, const std::vector<RoomPtr>& rooms) {
    Fields f(j, "“underlay”");
    auto u = std::make_shared<Underlay>();
    u->picture = f.text("picture", mostUnderlayBytes, true);
    if (!isBase64(u->picture))
        f.fail("“picture” is not base64");
    const auto room = f.text("room", mostNameLength, true);
    for (std::size_t i = 0; i < rooms.size(); ++i)
        if (rooms[i]->name == room)
            u->room = i;
    u->at = f.pair("at");
    u->turn = Angle::degrees(f.number("turn"));
    u->mmPerPixel = f.number("mmPerPixel");
    if (u->mmPerPixel <= 0 || u->mmPerPixel > 10000)
        f.fail("“mmPerPixel” is no scale of a drawing");
    return u;
}

std::shared_ptr<const Pictures> readPictures(const json& all) {
    auto out = std::make_shared<Pictures>();
    for (const auto& j : all) {
        Fields f(j, "a picture");
        Picture p;
        const auto key = f.text("key", 80, true);
        p.name = f.text("name", 300, false);
        p.source = f.text("source", 2000, false);
        p.width = f.whole("width", 1, 20000);
        p.height = f.whole("height", 1, 20000);
        p.bytes = f.text("picture", mostPictureBytes, true);
        if (!isBase64(p.bytes))
            f.fail("“picture” is not base64");
        (*out)[key] = std::move(p);
    }
    return out;
}

Judgement readJudgement(Fields& f, const RuleBook& book) {
    Judgement out;
    out.school = f.text("school", 60, true);
    if (book.schoolById(out.school) == nullptr)
        f.fail(fmt::format("there is no school “{}”", out.school), "use one of the rule book's");
    if (!f.has("rules"))
        return out;
    const auto& rules = f.need("rules");
    if (!rules.is_object() || rules.size() > 500)
        f.fail("“rules” is not a group");
    for (const auto& [id, v] : rules.items()) {
        Fields r(v, fmt::format("rule “{}”", id));
        RuleChoice c;
        c.school = r.text("school", 60, false);
        if (r.has("band")) {
            const auto& b = r.list("band", 2);
            if (b.size() != 2)
                r.fail("“band” is not two bounds");
            const auto bound = [&](const json& x) -> std::optional<double> {
                if (x.is_null())
                    return {};
                if (!Fields::isNumber(x))
                    r.fail("“band” holds something that is no number");
                return x.get<double>();
            };
            c.band = Band{bound(b[0]), bound(b[1]), {}, {}};
        }
        out.choices[id] = c;
    }
    return out;
}

ProjectPtr readProject(const json& j, std::string_view file, const Library& library) {
    Fields f(j, "the job");
    if (!f.has("format") || f.need("format") != "mezzet-job")
        throw Fault{"this is no Mezzet job", "a job begins with {\"format\": \"mezzet-job\""};
    const int version = f.whole("version", 1, 1 << 20);
    if (version > jobFormat)
        throw Fault{
            fmt::format("this job was written by a newer Mezzet (format {}, and this one reads {})",
                        version, jobFormat),
            "open it with the newer one"};
    auto p = std::make_shared<Project>();
    p->library = library;
    p->title = f.text("title", mostNameLength, true);
    p->client = f.text("client", mostNameLength, false);
    {
        Fields n(f.need("notation"), "“notation”");
        const auto units = readUnits(n.text("units", 20, true));
        const int d = n.whole("denominator", 1, 64);
        if (!units || (d & (d - 1)) != 0)
            n.fail("the units can't be read",
                   "use feet, inches, mm, cm or m, and a division of 2, 4, 8, 16 or 32");
        p->notation = {*units, d};
    }
    p->judgement = readJudgement(f, *library.book);
    {
        Fields r(f.need("room"), "“room”");
        p->notes = r.text("notes", 200000, true);
        p->roomExtra = r.rest();
    }
    auto rooms = roomsFromNotes(p->notes, fmt::format("{} (tape notes)", file));
    if (!rooms)
        throw rooms.problem();
    p->rooms = *rooms;
    if (f.has("underlay"))
        p->underlay = readUnderlay(f.need("underlay"), p->rooms);
    if (f.has("kinds")) {
        auto kinds = readKit(f.need("kinds").dump(), fmt::format("{} (its kinds)", file));
        if (!kinds)
            throw kinds.problem();
        std::erase_if(*kinds, [&](const Kind& k) { return library.kit->byId(k.id) != nullptr; });
        auto kit = withStudio(library.kit, *kinds);
        if (!kit)
            throw kit.problem();
        p->library.kit = *kit;
    }
    int n = 0;
    for (const auto& s : f.list("schemes", mostSchemes))
        p->schemes.push_back(
            readScheme(s, fmt::format("scheme {}", ++n), *p->library.kit, p->rooms));
    if (p->schemes.empty())
        f.fail("it has no scheme");
    for (std::size_t i = 0; i < p->rooms.size(); ++i) {
        if (std::any_of(p->schemes.begin(), p->schemes.end(),
                        [&](const SchemePtr& s) { return s->room == i; }))
            continue;
        auto s = std::make_shared<Scheme>();
        s->room = i;
        p->schemes.push_back(s);
    }
    p->activate(static_cast<std::size_t>(f.whole("active", 1, n)) - 1);
    if (f.has("thrownAway"))
        for (const auto& s : f.list("thrownAway", mostThrownAway))
            p->thrownAway.push_back(
                readScheme(s, "a scheme thrown away", *p->library.kit, p->rooms));
    if (f.has("access")) {
        if (!f.need("access").is_boolean())
            f.fail("“access” is neither true nor false");
        p->judgement.access = f.need("access").get<bool>();
    }
    if (f.has("briefs")) {
        for (const auto& b : f.list("briefs", 100)) {
            Fields one(b, "a brief");
            const auto room = one.text("room", mostNameLength, true);
            p->judgement.briefs[room] = {one.whole("day", 0, 500), one.whole("guests", 0, 500)};
        }
    }
    if (f.has("eyes")) {
        Fields e(f.need("eyes"), "“eyes”");
        p->judgement.eyes.household = e.word("household", householdWords);
        for (const auto& l : e.list("statures", mostStatures)) {
            if (!Fields::isNumber(l) || l.get<double>() < 300 || l.get<double>() > 2600)
                e.fail("“statures” holds a height that nobody has");
            p->judgement.eyes.statures.push_back(Length::millimetres(l.get<double>()));
        }
    }
    if (f.has("pictures"))
        p->pictures = readPictures(f.list("pictures", mostPictures));
    p->extra = f.rest();
    for (const auto& s : p->schemes) {
        auto scene = resolve(p->rooms[s->room], s, p->notation);
        if (!scene)
            throw scene.problem();
        if (!(*scene)->overTied.empty())
            throw(*scene)->overTied.front();
    }
    return p;
}

} // namespace

Result<Judgement> readBands(std::string_view text, std::string_view file, const RuleBook& book) {
    Problem p;
    p.file = file;
    try {
        const json j = json::parse(text);
        Fields f(j, "the bands");
        return readJudgement(f, book);
    } catch (const json::exception&) {
        p.what = "these are no bands";
        p.remedy = "the file is damaged; take it away, and keep them anew";
    } catch (const Fault& fault) {
        p.what = fault.what;
        p.remedy = fault.remedy;
    }
    return p;
}

Result<ProjectPtr> readJob(std::string_view content, std::string_view file,
                           const Library& library) {
    const auto placed = [&](Problem p) {
        if (p.file.empty())
            p.file = file;
        return p;
    };
    if (content.size() > mostJobBytes)
        return placed({fmt::format("the job is over {} MB", mostJobBytes / 1024 / 1024),
                       "it can't be a job of this program"});
    bool tooDeep = false;
    try {
        const auto shallow = [&](int depth, json::parse_event_t, json&) {
            if (depth > deepest)
                tooDeep = true;
            return !tooDeep;
        };
        const json j = json::parse(content, shallow);
        if (tooDeep)
            return placed(
                {"the file is nested too deep for a job", "it can't be a job of this program"});
        return readProject(j, file, library);
    } catch (const json::parse_error& error) {
        Problem p{"the job is damaged or cut short here",
                  "take a copy that opens; the open job is as it was"};
        const auto upTo =
            content.substr(0, std::min(error.byte > 0 ? error.byte - 1 : 0, content.size()));
        p.line = static_cast<int>(std::count(upTo.begin(), upTo.end(), '\n')) + 1;
        const auto start = upTo.rfind('\n');
        p.column = static_cast<int>(characterCount(
                       start == std::string_view::npos ? upTo : upTo.substr(start + 1))) +
                   1;
        return placed(p);
    } catch (const json::exception&) {
        return placed({"the job holds something that is not what it should be",
                       "the file is damaged; take a copy that opens"});
    } catch (const Fault& f) {
        return placed({f.what, f.remedy});
    } catch (const Problem& p) {
        return placed(p);
    }
}

} // namespace mezzet
