// The lines that speak of the job and not of a piece: schemes, schools, bands, units, titles.
#include "edit/verb.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

class SettingsReader {
public:
    explicit SettingsReader(WordsReader& words) : in(words), job_(words.job()) {}

    std::optional<Edit> read() {
        if (auto e = room())
            return e;
        return readVerb(*this, in, verbs());
    }

    static const std::vector<Verb<SettingsReader>>& verbs() {
        static const std::vector<Verb<SettingsReader>> all{
            {{{"new scheme", "another scheme"}, "begins another", ""}, &SettingsReader::newScheme},
            {{{"scheme", "schemes"},
              "goes to another way of furnishing the room; begins, names and removes one",
              "scheme 1; scheme new called Winter; scheme empty; scheme rename Winter; scheme "
              "remove; "
              "scheme get back Winter"},
             &SettingsReader::scheme},
            {{{"season", "variant"},
              "goes to the scheme of that season, or begins it as a copy of this one; the sheet "
              "`changes` tells what goes back in the cupboard and what comes out",
              "season Autumn"},
             &SettingsReader::season},
            {{{"for guests", "guests", "guest arrangement"},
              "what is moved, brought in or put away now is so for guests only",
              "for guests"},
             &SettingsReader::guests},
            {{{"every day", "day arrangement", "for every day"}, "back to every day", "every day"},
             &SettingsReader::daily},
            {{{"zone"},
              "pieces that belong together",
              "zone Seating is sofa, rug and coffee table; zone remove Seating"},
             &SettingsReader::zone},
            {{{"brief"}, "how many the room is to seat", "brief 6 seats, 8 for guests; brief none"},
             &SettingsReader::brief},
            {{{"access"}, "judges for a wheelchair too, or no longer", "access on; access off"},
             &SettingsReader::access},
            {{{"household", "hang for", "eyes of"},
              "who looks at what hangs: short, mixed, tall, public, or how tall they are",
              "household mixed; hang for 5' 4\" and 5' 10\""},
             &SettingsReader::eyes},
            {{{"school"}, "the school the job is judged by", "school low-and-close"},
             &SettingsReader::school},
            {{{"rule"}, "one rule by another school", "rule seat-to-table viewer-and-air"},
             &SettingsReader::rule},
            {{{"band"}, "the studio's own bounds", "band seat-to-table 14 to 18"},
             &SettingsReader::band},
            {{{"note"}, "why this scheme", "note the fire is the middle of it"},
             &SettingsReader::note},
            {{{"units"}, "what lengths are written in", "units cm; units feet 1/16"},
             &SettingsReader::units},
            {{{"title"}, "the job's title", "title Lantern Row"}, &SettingsReader::jobTitle},
            {{{"client"}, "who it is for", "client the household"}, &SettingsReader::client},
        };
        return all;
    }

private:
    /// "room Hall", when the job has such a room: a piece may be a room divider.
    std::optional<Edit> room() {
        const std::size_t at = in.at();
        in.take({"go to", "to"});
        if (in.take({"room"})) {
            for (std::size_t i = 0; i < job_.rooms.size(); ++i) {
                const std::size_t name = in.at();
                in.offer("room " + job_.rooms[i]->name);
                if (in.take({foldCase(job_.rooms[i]->name)}) && in.done()) {
                    Edit e;
                    e.words = worded("go to room {}", job_.rooms[i]->name);
                    for (std::size_t k = 0; k < job_.schemes.size() && e.acts.empty(); ++k)
                        if (job_.schemes[k]->room == i)
                            e.acts.emplace_back(SwitchScheme{k});
                    return e;
                }
                in.goTo(name);
            }
        }
        in.goTo(at);
        return {};
    }

    Edit guests() { return arrangement(Arrangement::guests); }
    Edit daily() { return arrangement(Arrangement::day); }
    Edit jobTitle() { return title(true); }
    Edit client() { return title(false); }

    Edit arrangement(Arrangement a) {
        in.nothingMore();
        Edit e;
        e.words = told(a == Arrangement::guests ? "arrange for guests" : "arrange for every day");
        e.acts.emplace_back(SetArrangement{a});
        return e;
    }

    Edit access() {
        const bool on = in.take({"on", "yes"}) || in.done();
        if (!on && !in.take({"off", "no"}))
            in.failAhead("access is on or off", "say it like: access on");
        in.nothingMore();
        Edit e;
        e.words = told(on ? "judge for a wheelchair too" : "judge without a wheelchair");
        e.acts.emplace_back(SetAccess{on});
        return e;
    }

    int count(const char* what) {
        const std::size_t at = in.at();
        const double n = in.number(what);
        if (n < 0 || n > 500 || n != std::floor(n))
            in.fail(at, in.at() - at, "no room seats so many", "say a whole number up to 500");
        return static_cast<int>(n);
    }

    /// "brief 6 seats, 10 for guests"
    Edit brief() {
        Brief b;
        if (!in.take({"none", "off"})) {
            b.day = count("the brief");
            in.take({"seats", "seat", "people"});
            in.take({"every day", "daily"});
            in.comma();
            in.take({"and"});
            if (!in.done()) {
                b.guests = count("the guests");
                in.take({"seats", "seat", "people"});
                in.take({"for guests", "with guests", "guests"});
            }
        }
        in.nothingMore();
        Edit e;
        e.words = b == Brief{}    ? std::string(told("no brief for the seats"))
                  : b.guests == 0 ? worded("brief: {} seats", b.day)
                                  : worded("brief: {} seats, {} for guests", b.day, b.guests);
        e.acts.emplace_back(SetBrief{b});
        return e;
    }

    /// "zone Seating is sofa, coffee table and wing chair", "zone remove Seating"
    Edit zone() {
        Edit e;
        SetZone set;
        if (in.take({"remove", "delete"})) {
            const std::size_t at = in.at();
            for (const auto& z : in.scheme().zones)
                in.offer(z.name);
            const auto said = std::string(trimmed(in.rest()));
            const auto* z = in.scheme().zone(said);
            if (z == nullptr)
                in.fail(at, std::max<std::size_t>(said.size(), 1),
                        worded("there is no zone “{}”", said), "name one that is there");
            in.goTo(at + in.rest().size());
            set.zone.name = z->name;
            e.words = worded("take away the zone {}", z->name);
            e.acts.emplace_back(set);
            return e;
        }
        set.zone.name = in.nameBeforeIs("what is in the zone?",
                                        "say it like: zone Seating is sofa, coffee table and rug");
        do {
            in.article();
            const int id = in.piece();
            if (id == 0)
                noSuchPiece(in);
            if (std::find(set.zone.pieces.begin(), set.zone.pieces.end(), id) ==
                set.zone.pieces.end())
                set.zone.pieces.push_back(id);
        } while (in.comma() || in.take({"and"}));
        in.nothingMore();
        e.words = worded("zone {}", set.zone.name);
        e.acts.emplace_back(set);
        return e;
    }

    Edit note() {
        const auto said = std::string(trimmed(in.rest()));
        in.goTo(in.at() + in.rest().size());
        Edit e;
        e.words = told(said.empty() ? "no note on the scheme" : "note on the scheme");
        e.acts.emplace_back(SetSchemeNote{said});
        return e;
    }

    /// "new scheme called Winter"
    Edit season() {
        in.take({"is", "called", ":"});
        const auto name = in.name();
        in.nothingMore();
        Edit e;
        for (const std::size_t i : job_.schemesHere())
            if (foldCase(job_.schemes[i]->name) == foldCase(name)) {
                e.words = worded("go to {}", job_.schemes[i]->name);
                e.acts.emplace_back(SwitchScheme{i});
                return e;
            }
        AddScheme a;
        a.name = name;
        e.words = worded("begin {} as a copy of {}", name, in.scheme().name);
        e.acts.emplace_back(a);
        return e;
    }

    Edit newScheme() {
        AddScheme a;
        in.take({"called", "named", "as"});
        if (!in.done())
            a.name = in.name();
        in.nothingMore();
        Edit e;
        e.words = told("new scheme");
        e.acts.emplace_back(a);
        return e;
    }

    Edit scheme() {
        Edit e;
        if (in.take({"get back", "restore"})) {
            const std::size_t at = in.at();
            const auto said = foldCase(trimmed(in.rest()));
            for (std::size_t i = job_.thrownAway.size(); i-- > 0;) {
                in.offer(job_.thrownAway[i]->name);
                if (said.empty() || foldCase(job_.thrownAway[i]->name) == said) {
                    in.goTo(at + in.rest().size());
                    e.words = worded("get back {}", job_.thrownAway[i]->name);
                    e.acts.emplace_back(RestoreScheme{i});
                    return e;
                }
            }
            in.fail(at, std::max<std::size_t>(said.size(), 1),
                    "no scheme of that name was thrown away",
                    job_.thrownAway.empty() ? "none was"
                                            : "the last one was " + job_.thrownAway.back()->name);
        }
        const bool bare = in.take({"empty", "new empty"});
        if (bare || in.take({"new", "copy"})) {
            AddScheme a;
            a.copy = !bare;
            in.take({"called", "named", "as"});
            if (!in.done())
                a.name = in.name();
            in.nothingMore();
            e.words = told("new scheme");
            e.acts.emplace_back(a);
            return e;
        }
        if (in.take({"rename", "called", "name"})) {
            in.take({"to", "as"});
            RenameScheme r{in.name()};
            in.nothingMore();
            e.words = worded("call the scheme {}", r.name);
            e.acts.emplace_back(r);
            return e;
        }
        if (in.take({"remove", "delete"})) {
            in.nothingMore();
            e.words = worded("throw away {}", in.scheme().name);
            e.acts.emplace_back(RemoveScheme{});
            return e;
        }
        const auto here = job_.schemesHere();
        for (const std::size_t i : here) {
            const std::size_t at = in.at();
            if (in.take({foldCase(job_.schemes[i]->name)}) && in.done()) {
                e.words = worded("go to {}", job_.schemes[i]->name);
                e.acts.emplace_back(SwitchScheme{i});
                return e;
            }
            in.goTo(at);
        }
        const std::size_t at = in.at();
        const double n = in.number("the scheme");
        if (n < 1 || n > static_cast<double>(here.size()) || n != std::floor(n))
            in.fail(at, in.at() - at, worded("there is no scheme {:g}", n),
                    worded("there {} {}; “scheme new” adds one", here.size() == 1 ? "is" : "are",
                           here.size()));
        in.nothingMore();
        const auto index = here[static_cast<std::size_t>(n) - 1];
        e.words = worded("go to {}", job_.schemes[index]->name);
        e.acts.emplace_back(SwitchScheme{index});
        return e;
    }

    const School& schoolNamed(std::string_view said, std::size_t at) {
        const auto& book = *job_.library.book;
        for (const auto& s : book.schools)
            in.offer(s.id);
        if (const auto* s = book.schoolByWords(said))
            return *s;
        std::vector<std::string> names;
        for (const auto& s : book.schools)
            names.push_back(s.id);
        in.fail(at, std::max<std::size_t>(said.size(), 1), worded("there is no school “{}”", said),
                "the schools are " + listed(names));
    }

    Edit school() {
        const std::size_t at = in.at();
        const auto& s = schoolNamed(trimmed(in.rest()), at);
        Edit e;
        e.words = worded("judge by {}", s.title);
        e.acts.emplace_back(SetSchool{s.id, {}, false});
        in.goTo(at + in.rest().size());
        return e;
    }

    const Rule& ruleNamed() {
        const std::size_t at = in.at();
        for (const auto& r : job_.library.book->rules)
            in.offer(r.id);
        const auto w = in.word();
        const auto* r = job_.library.book->byId(w);
        if (r == nullptr) {
            in.goTo(at);
            in.failAhead(worded("there is no rule “{}”", w));
        }
        return *r;
    }

    Edit rule() {
        const auto& r = ruleNamed();
        const std::size_t at = in.at();
        Edit e;
        if (in.take({"as the job", "as school", "restore"})) {
            in.nothingMore();
            e.words = worded("judge {} as the job", r.id);
            e.acts.emplace_back(SetSchool{{}, r.id, true});
            return e;
        }
        const auto& s = schoolNamed(trimmed(in.rest()), at);
        e.words = worded("judge {} by {}", r.id, s.title);
        e.acts.emplace_back(SetSchool{s.id, r.id, false});
        in.goTo(at + in.rest().size());
        return e;
    }

    Edit band() {
        const auto& r = ruleNamed();
        const auto bound = [&]() -> double {
            if (r.quantity == Quantity::length)
                return in.length("the band").mm();
            const double v = in.number("the band");
            in.take({"%"});
            return r.quantity == Quantity::ratio && v > 5 ? v / 100 : v;
        };
        Band b;
        if (in.take({"at least", "from"})) {
            b.low = bound();
            if (in.take({"to"}))
                b.high = bound();
        } else if (in.take({"at most", "up to"})) {
            b.high = bound();
        } else {
            b.low = bound();
            if (!in.take({"to", "-"}))
                in.failAhead("a band has two ends",
                             "say it like: band seat-to-table 14 to 18, or “at least 14”");
            b.high = bound();
        }
        in.nothingMore();
        Edit e;
        // As its tape is headed, of whatever two things.
        std::string name = r.title;
        if (const auto other = name.find("{other}"); other != std::string::npos)
            name.replace(other, std::string_view("{other}").size(), "…");
        e.words = worded("own band for {}", smallFirst(std::move(name)));
        e.acts.emplace_back(SetBand{r.id, b});
        return e;
    }

    /// "household mixed", "hang for 5' 4", 5' 10" and 6' 1"".
    Edit eyes() {
        Eyes said;
        in.take({"is"});
        in.article();
        if (in.take({"short"}))
            said.household = Household::shortOnes;
        else if (in.take({"mixed"}))
            said.household = Household::mixed;
        else if (in.take({"tall"}))
            said.household = Household::tall;
        else if (in.take({"public"}))
            said.household = Household::open;
        else if (!in.take({"not said"})) {
            do {
                said.statures.push_back(in.length("how tall they are"));
            } while (in.comma() || in.take({"and"}));
        }
        in.take({"household", "ones", "people"});
        in.nothingMore();
        Edit e;
        e.words = said.statures.empty()
                      ? worded("hang for a household {}", householdName(said.household))
                      : worded("hang for {} people", said.statures.size());
        e.acts.emplace_back(SetEyes{said});
        return e;
    }

    Edit units() {
        const std::size_t at = in.at();
        Notation n = job_.notation;
        const auto w = in.word();
        for (const auto* u : {"feet", "inches", "mm", "cm", "m"})
            in.offer(u);
        const auto u = readUnits(w);
        if (!u)
            in.fail(at, std::max<std::size_t>(w.size(), 1), worded("“{}” is no unit I know", w),
                    "use feet, inches, mm, cm or m");
        n.units = *u;
        in.take({"to"});
        if (!in.done()) {
            const std::size_t part = in.at();
            const auto f = in.word();
            n.denominator = f == "1/2"    ? 2
                            : f == "1/4"  ? 4
                            : f == "1/8"  ? 8
                            : f == "1/16" ? 16
                            : f == "1/32" ? 32
                                          : 0;
            if (n.denominator == 0)
                in.fail(part, f.size(), worded("“{}” is no division of the tape", f),
                        "use 1/2, 1/4, 1/8, 1/16 or 1/32");
        }
        in.nothingMore();
        Edit e;
        e.words = worded("units {}", unitsName(n.units));
        e.acts.emplace_back(SetNotation{n});
        return e;
    }

    Edit title(bool job) {
        Edit e;
        const auto said = std::string(trimmed(in.rest()));
        if (job && said.empty())
            in.failAhead("the job needs a title", "say it like: title Harbour flat");
        e.words = job ? worded("title {}", said) : worded("client {}", said);
        e.acts.emplace_back(SetTitle{job ? said : job_.title, job ? job_.client : said});
        in.goTo(in.at() + in.rest().size());
        return e;
    }

    WordsReader& in;
    const Project& job_;
};

} // namespace

std::vector<VerbHelp> jobVerbs() {
    return helpOf(SettingsReader::verbs());
}

std::optional<Edit> readSetting(WordsReader& words) {
    return SettingsReader(words).read();
}

} // namespace mezzet
