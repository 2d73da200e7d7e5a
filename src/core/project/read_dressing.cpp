// What is told of things, of the units they stand in, and of the stock.
#include "measure/texts.h"
#include "project/job_fields.h"

namespace mezzet {

namespace {

std::optional<Rgb> readHex(Fields& f, const char* key) {
    if (!f.has(key))
        return {};
    const auto c = readColour(f.text(key, 40, true));
    if (!c)
        f.fail(c.problem().what);
    return *c;
}

Size readSides(Fields& f, const char* key) {
    const auto& list = f.list(key, 3);
    if (list.size() != 3)
        f.fail(worded("“{}” is not three numbers", key));
    for (const auto& s : list)
        if (!Fields::isNumber(s) || s.get<double>() <= 0 || s.get<double>() > 20000)
            f.fail(worded("“{}” holds a length that no thing has", key));
    return {Length::millimetres(list[0].get<double>()), Length::millimetres(list[1].get<double>()),
            Length::millimetres(list[2].get<double>())};
}

std::optional<double> readKilograms(Fields& f) {
    if (!f.has("kg"))
        return {};
    const double kg = f.number("kg");
    if (kg < 0 || kg > 500)
        f.fail("“kg” is no weight of a thing");
    return kg;
}

void readLooks(Fields& f, ThingLooks& t) {
    t.colour = readHex(f, "colour");
    t.colour2 = readHex(f, "colour2");
    t.material = tidyName(f.text("material", mostNameLength, false));
    t.finish = tidyName(f.text("finish", mostNameLength, false));
    t.kilograms = readKilograms(f);
}

Length readUpTo(Fields& f, const char* key) {
    const double mm = f.number(key);
    if (mm <= 0 || mm > 20000)
        f.fail(worded("“{}” is no length of a unit", key));
    return Length::millimetres(mm);
}

} // namespace

ThingTold readThingTold(const json& j, const std::string& where) {
    Fields f(j, where);
    ThingTold t;
    readLooks(f, t);
    if (f.has("lies"))
        t.lies = f.word("lies", liesWords);
    t.jacketOff = f.yes("jacketOff");
    t.spineIn = f.yes("spineIn");
    t.papered = f.yes("papered");
    t.coverShows = f.yes("coverShows");
    t.stock = tidyName(f.text("stock", mostNameLength, false));
    if (f.has("holds"))
        for (const auto& h : f.list("holds", mostHeld)) {
            Fields one(h, where + ", “holds”");
            t.holds.push_back({tidyName(one.text("name", mostNameLength, true)),
                               one.whole("count", 1, mostOfOne), readSides(one, "size")});
        }
    return t;
}

UnitTold readUnitTold(const json& j, const std::string& where) {
    Fields f(j, where);
    UnitTold u;
    if (f.has("high"))
        for (const auto& h : f.list("high", mostRows)) {
            if (!Fields::isNumber(h) || h.get<double>() <= 0 || h.get<double>() > 20000)
                f.fail("“high” holds a height that no opening has");
            u.high.push_back(Length::millimetres(h.get<double>()));
        }
    if (f.has("rows"))
        u.rows = f.whole("rows", 1, static_cast<int>(mostRows));
    if (f.has("across"))
        u.across = f.whole("across", 1, static_cast<int>(mostRows));
    if (f.has("board"))
        u.board = readUpTo(f, "board");
    if (f.has("pins"))
        u.pins = readUpTo(f, "pins");
    return u;
}

Dressing readDressing(const json& j, const std::string& where) {
    Fields f(j, where);
    Dressing d;
    if (f.has("families"))
        for (const auto& c : f.list("families", mostFamilies)) {
            const auto colour =
                c.is_string() ? readColour(c.get<std::string>()) : Result<Rgb>(Problem{});
            if (!colour)
                f.fail("“families” holds something that is no colour");
            d.families.push_back(*colour);
        }
    d.accent = readHex(f, "accent");
    d.walls = readHex(f, "walls");
    d.floor = readHex(f, "floor");
    d.ceiling = readHex(f, "ceiling");
    if (f.has("ownWalls"))
        for (const auto& w : f.list("ownWalls", 1000)) {
            Fields one(w, worded("{}, “ownWalls”", where));
            const int wall = one.whole("wall", 0, 1000);
            const auto colour = readHex(one, "colour");
            if (!colour)
                one.fail("a wall of its own colour has no colour");
            d.ownWalls[wall] = *colour;
        }
    if (f.has("noHoles"))
        for (const auto& w : f.list("noHoles", 1000)) {
            if (!w.is_number_integer() || w.get<long long>() < 0 || w.get<long long>() > 1000)
                f.fail("“noHoles” holds something that is no wall");
            d.noHoles.push_back(w.get<int>());
        }
    return d;
}

std::shared_ptr<const Stock> readStock(const json& list, const Kit& kit) {
    auto out = std::make_shared<Stock>();
    int n = 0;
    for (const auto& j : list) {
        Fields f(j, worded("“stock”, thing {}", ++n));
        StockThing t;
        t.name = tidyName(f.text("name", mostNameLength, true));
        if (plainWord(t.name).empty() || inStock(*out, t.name) != nullptr)
            f.fail("it has no name, or one that is taken");
        const auto kind = f.text("kind", 80, true);
        t.kind = kit.byId(kind);
        if (!t.kind || !t.kind->thing)
            f.fail(worded("the kit has no thing “{}”", kind), "add the kind to the kit");
        t.count = f.whole("count", 1, mostOfOne);
        t.size = readSides(f, "size");
        readLooks(f, t);
        out->push_back(std::move(t));
    }
    return out;
}

void countFromTheTop(Scheme& s) {
    const auto turned = [&](SurfaceId& on) {
        const Piece* unit = on.is == SurfaceId::Is::opening ? s.byId(on.piece) : nullptr;
        if (unit == nullptr || unit->across() == 0 || on.index > unit->openings())
            return;
        const int across = unit->across();
        const int row = (on.index - 1) / across;
        on.index = (unit->rows() - 1 - row) * across + (on.index - 1) % across + 1;
    };
    for (auto* list : {&s.pieces, &s.away})
        for (Piece& p : *list) {
            turned(p.on);
            if (p.otherwise)
                turned(p.otherwise->on);
        }
}

} // namespace mezzet
