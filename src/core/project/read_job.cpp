#include "kit/csv.h"
#include "measure/texts.h"
#include "project/job_fields.h"

#include <algorithm>
#include <set>

namespace mezzet {

namespace {

SchemePtr readScheme(const json& j, const std::string& where, const Kit& kit,
                     const std::vector<RoomPtr>& rooms, int version) {
    Fields f(j, where);
    auto s = std::make_shared<Scheme>();
    s->name = tidyName(f.text("name", mostNameLength, true));
    if (s->name.empty())
        s->name = "Scheme";
    s->note = f.text("note", 4000, false);
    s->nextId = f.whole("nextId", 1, mostId + 1);
    if (const auto room = f.text("room", mostNameLength, false); !room.empty()) {
        const auto it = std::find_if(rooms.begin(), rooms.end(),
                                     [&](const RoomPtr& r) { return r->name == room; });
        if (it == rooms.end())
            f.fail(worded("the notes have no room “{}”", room));
        s->room = static_cast<std::size_t>(it - rooms.begin());
    }
    int n = 0;
    std::set<int> ids;
    std::set<std::string> names;
    const auto take = [&](const char* key, std::vector<Piece>& into) {
        for (const auto& p : f.list(key, mostPieces)) {
            into.push_back(readPiece(p, worded("{}, piece {}", where, ++n), kit, version));
            if (!ids.insert(into.back().id).second)
                f.fail(worded("piece {} has an id that is taken", n));
            if (!names.insert(plainWord(into.back().name)).second)
                f.fail(worded("piece {} has a name that is taken", n));
        }
    };
    take("pieces", s->pieces);
    if (version == 1 && f.has("hung")) // what hangs stood in a list of its own
        take("hung", s->pieces);
    if (f.has("away"))
        take("away", s->away);
    if (f.has("arrangement"))
        s->arrangement =
            f.text("arrangement", 20, true) == "guests" ? Arrangement::guests : Arrangement::day;
    if (f.has("zones")) {
        for (const auto& z : f.list("zones", mostZones)) {
            Fields one(z, where + ", a zone");
            Zone zone;
            zone.name = tidyName(one.text("name", mostNameLength, true));
            for (const auto& id : one.list("pieces", mostPieces)) {
                if (!id.is_number_integer() || ids.count(id.get<int>()) == 0)
                    one.fail("“pieces” names a piece that is not there");
                zone.pieces.push_back(id.get<int>());
            }
            s->zones.push_back(std::move(zone));
        }
    }
    if (f.has("light"))
        s->light = readLightPlan(f.need("light"), where + ", “light”");
    if (f.has("dressing"))
        s->dressing = readDressing(f.need("dressing"), where + ", “dressing”");
    if (version < 4)
        countFromTheTop(*s);
    if (f.has("accepted")) {
        for (const auto& a : f.list("accepted", mostAccepted)) {
            Fields one(a, where + ", a reading that is accepted");
            Accepted is;
            is.rule = one.text("rule", mostNameLength, true);
            is.reason = one.text("reason", mostReason, true);
            is.value = one.number("value");
            const auto target = [&](const char* key, Target& into) {
                if (one.has(key))
                    into = readTarget(one.need(key), where + ", “accepted”");
            };
            target("other", is.other);
            target("goal", is.goal);
            target("from", is.from);
            const auto id = [&](const char* key, int& into) {
                if (one.has(key))
                    into = one.whole(key, 0, mostId);
            };
            id("piece", is.piece);
            id("also", is.also);
            id("part", is.part);
            if (one.has("inUse")) {
                if (!one.need("inUse").is_boolean())
                    one.fail("“inUse” is neither true nor false");
                is.inUse = one.need("inUse").get<bool>();
            }
            s->accepted.push_back(std::move(is));
        }
    }
    if (!ids.empty())
        s->nextId = std::max(s->nextId, std::min(*ids.rbegin(), mostId - 1) + 1);
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
        p.name = tidyName(f.text("name", 300, false));
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
        f.fail(worded("there is no school “{}”", out.school), "use one of the rule book's");
    if (!f.has("rules"))
        return out;
    const auto& rules = f.need("rules");
    if (!rules.is_object() || rules.size() > 500)
        f.fail("“rules” is not a group");
    for (const auto& [id, v] : rules.items()) {
        Fields r(v, worded("rule “{}”", id));
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
            if (c.band->low && c.band->high && *c.band->low > *c.band->high)
                r.fail("“band” ends before it begins", "put the lower bound first");
        }
        out.choices[id] = c;
    }
    return out;
}

/// Notes written when “units feet” left a bare number inches, as notes that say so.
std::string bareInches(const std::string& notes) {
    std::string out;
    std::string_view left = notes;
    while (!left.empty()) {
        const auto end = left.find('\n');
        const auto line = left.substr(0, end);
        const auto said = foldCase(trimmed(line.substr(0, line.find('#'))));
        out += said == "units feet" || said == "units ft" || said == "units foot"
                   ? std::string("units feet and inches")
                   : std::string(line);
        if (end == std::string_view::npos)
            break;
        out += '\n';
        left.remove_prefix(end + 1);
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
            worded("this job was written by a newer Mezzet (format {}, and this one reads {})",
                   version, jobFormat),
            "open it with the newer one"};
    auto p = std::make_shared<Project>();
    p->title = tidyName(f.text("title", mostNameLength, true));
    p->client = tidyName(f.text("client", mostNameLength, false));
    {
        Fields n(f.need("notation"), "“notation”");
        const auto units = readUnits(n.text("units", 20, true));
        const int d = n.whole("denominator", 1, 64);
        if (!units || (d & (d - 1)) != 0)
            n.fail("the units can't be read",
                   "use feet, inches, mm, cm or m, and a division of 2, 4, 8, 16 or 32");
        p->notation = {*units, d};
    }
    Library own = inUnits(library, Units::feetAndInches);
    if (f.has("kinds")) {
        auto kinds = readKit(f.need("kinds").dump(), worded("{} (its kinds)", file));
        if (!kinds)
            throw kinds.problem();
        std::erase_if(*kinds, [&](const Kind& k) { return own.kit->byId(k.id) != nullptr; });
        auto kit = withStudio(own.kit, *kinds);
        if (!kit)
            throw kit.problem();
        own.kit = *kit;
    }
    p->library = inUnits(own, p->notation.units);
    p->judgement = readJudgement(f, *library.book);
    {
        Fields r(f.need("room"), "“room”");
        p->notes = r.text("notes", 200000, true);
        // Before, “units feet” left a bare number inches.
        if (!r.has("bareFeet"))
            p->notes = bareInches(p->notes);
        p->roomExtra = r.rest();
    }
    auto rooms = roomsFromNotes(p->notes, worded("{} (tape notes)", file));
    if (!rooms)
        throw rooms.problem();
    p->rooms = *rooms;
    if (f.has("underlay"))
        p->underlay = readUnderlay(f.need("underlay"), p->rooms);
    int n = 0;
    for (const auto& s : f.list("schemes", mostSchemes))
        p->schemes.push_back(
            readScheme(s, worded("scheme {}", ++n), *p->library.kit, p->rooms, version));
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
                readScheme(s, "a scheme thrown away", *p->library.kit, p->rooms, version));
    if (f.has("prints")) {
        const auto& all = f.need("prints");
        if (!all.is_object() || all.size() > mostPrintChoices)
            f.fail(worded("“prints” is no object of at most {} sheets", mostPrintChoices));
        for (const auto& [sheet, said] : all.items()) {
            if (!isText(sheet) || characterCount(sheet) > mostNameLength)
                f.fail("“prints” names no sheet");
            Fields one(said, "“prints”");
            PrintChoice c;
            c.paper = one.text("paper", mostNameLength, false);
            c.scale = one.text("scale", mostNameLength, false);
            c.file = one.text("file", mostNameLength, false);
            if (one.has("mends")) {
                if (!one.need("mends").is_boolean())
                    one.fail("“mends” is neither true nor false");
                c.mends = one.need("mends").get<bool>();
            }
            if (one.has("leftOut"))
                for (const auto& id : one.list("leftOut", mostLeftOut)) {
                    if (!id.is_string() || characterCount(id.get<std::string>()) > mostNameLength)
                        one.fail("“leftOut” holds what is no sheet");
                    c.leftOut.push_back(id.get<std::string>());
                }
            p->prints[sheet] = std::move(c);
        }
    }
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
    if (f.has("photometries"))
        p->photometries = readPhotometries(f.list("photometries", mostPhotometries));
    if (f.has("stock"))
        p->stock = readStock(f.list("stock", mostStock), *p->library.kit);
    if (f.has("handover"))
        p->handover = std::make_shared<const Handover>(readHandover(f.need("handover")));
    p->extra = f.rest();
    for (const auto& s : p->schemes) {
        // Ties that clash since the room was measured again are told, and no reason not to open.
        auto scene = resolve(p->rooms[s->room], s, p->notation);
        if (!scene)
            throw scene.problem();
    }
    return p;
}

/// Reads a file into values, and stops where it is no job: nested too deep,
/// or of more values than a job can have.
class Guard : public nlohmann::json_sax<json> {
public:
    enum class Why { nothing, depth, count, number, form } why = Why::nothing;
    std::size_t at = 0; ///< the byte where it is no JSON

    json read; ///< what was read, when all of it was

    bool null() override { return one(nullptr); }
    bool boolean(bool v) override { return one(v); }
    bool number_integer(number_integer_t v) override { return one(v); }
    bool number_unsigned(number_unsigned_t v) override { return one(v); }
    bool number_float(number_float_t v, const string_t&) override {
        return std::isfinite(v) ? one(v) : stop(Why::number);
    }
    bool string(string_t& v) override { return one(std::move(v)); }
    bool binary(binary_t&) override { return stop(Why::form); }
    bool key(string_t& name) override {
        member_ = &(*open_.back())[name];
        return true;
    }
    bool start_object(std::size_t) override { return deeper(json::object()); }
    bool start_array(std::size_t) override { return deeper(json::array()); }
    bool end_object() override { return close(); }
    bool end_array() override { return close(); }
    bool parse_error(std::size_t position, const std::string&,
                     const nlohmann::detail::exception& error) override {
        at = position;
        return stop(error.id == 406 ? Why::number : Why::form);
    }

private:
    bool stop(Why because) {
        why = because;
        return false;
    }
    /// Where the next value goes: in the open list, the named field, or as the whole.
    json& put(json&& value) {
        json& where = open_.empty()              ? read
                      : open_.back()->is_array() ? open_.back()->emplace_back()
                                                 : *member_;
        where = std::move(value);
        return where;
    }
    bool one(json&& value) {
        put(std::move(value));
        return ++count_ <= mostValues || stop(Why::count);
    }
    bool deeper(json&& empty) {
        if (open_.size() >= static_cast<std::size_t>(deepest))
            return stop(Why::depth);
        open_.push_back(&put(std::move(empty)));
        return ++count_ <= mostValues || stop(Why::count);
    }
    bool close() {
        open_.pop_back();
        return true;
    }

    std::size_t count_ = 0;
    std::vector<json*> open_; ///< the lists and objects begun, the innermost last
    json* member_ = nullptr;
};

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
        return placed({worded("the job is over {} MB", mostJobBytes / 1024 / 1024),
                       "it can't be a job of this program"});
    Guard guard;
    if (!json::sax_parse(content, &guard)) {
        switch (guard.why) {
        case Guard::Why::depth:
            return placed(
                {"the file is nested too deep for a job", "it can't be a job of this program"});
        case Guard::Why::count:
            return placed({worded("the file holds over {} values", mostValues),
                           "it can't be a job of this program"});
        case Guard::Why::number:
        case Guard::Why::form:
        case Guard::Why::nothing:
            break;
        }
        Problem p{guard.why == Guard::Why::number ? "a number here is none a job could hold"
                                                  : "the job is damaged or cut short here",
                  "take a copy that opens; the open job is as it was"};
        const auto upTo =
            content.substr(0, std::min(guard.at > 0 ? guard.at - 1 : 0, content.size()));
        p.line = static_cast<int>(std::count(upTo.begin(), upTo.end(), '\n')) + 1;
        const auto start = upTo.rfind('\n');
        p.column = static_cast<int>(characterCount(
                       start == std::string_view::npos ? upTo : upTo.substr(start + 1))) +
                   1;
        return placed(p);
    }
    try {
        return readProject(guard.read, file, library);
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
