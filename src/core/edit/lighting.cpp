// The lines that speak of light: zones, scenes, switches, what gives light back, photometric files.
#include "edit/light_ring.h"
#include "edit/swagged.h"
#include "edit/verb.h"

#include "files/whole_file.h"
#include "light/layout.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "room/facts.h"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <set>

namespace mezzet {

namespace {

std::string percent(double part) {
    return fmt::format("{} %", std::lround(part * 100));
}

class LightingReader {
public:
    explicit LightingReader(WordsReader& words)
        : in(words), job_(words.job()), plan_(words.scheme().light) {}

    std::optional<Edit> read() { return readVerb(*this, in, verbs()); }

    static const std::vector<Verb<LightingReader>>& verbs() {
        static const std::vector<Verb<LightingReader>> all{
            {{{"light zone", "lighting zone"},
              "lights that are switched together; a light is in one zone",
              "light zone Supper is pendant; light zone remove Supper"},
             &LightingReader::zone},
            {{{"scene", "light scene"},
              "how far each zone is turned up for something; what is not named is off",
              "scene Supper is Supper 60 %; scene remove Supper"},
             &LightingReader::scene},
            {{{"light this room", "light the room"},
              "rows of lights let into the ceiling, by the floor's area: the first line over the "
              "fronts of seats and counters, clear of joists; \"another way\" takes the next "
              "answer",
              "light this room evenly; light this room evenly another way; light this room with "
              "small recessed lights"},
             &LightingReader::evenly},
            {{{"light the tasks", "light the work", "light each task"},
              "a light over each place of work, in front of whoever works there, and one turned to "
              "each picture",
              "light the tasks"},
             &LightingReader::tasks},
            {{{"switch"},
              "the doors a zone is switched by; by two of them it is switched two ways",
              "switch Supper by door 1"},
             &LightingReader::switched},
            {{{"dimmer on", "dim"}, "a zone can be turned down", "dim Supper"},
             &LightingReader::dim},
            {{{"reflect"},
              "the share of light that walls, ceiling, floor or a piece give back, below 1",
              "reflect walls 0.6; reflect sofa 30 %"},
             &LightingReader::reflect},
            {{{"maintain"},
              "the share of its first light a lamp still gives when it is old and dusty",
              "maintain 0.8"},
             &LightingReader::maintain},
            {{{"ies", "photometry"},
              "a light shines as a photometric file has it (IES or EULUMDAT); a copy is kept in "
              "the job",
              ""},
             &LightingReader::file},
            {{{"lumens"}, "how much light a light gives", "lumens 1200 for pendant"},
             &LightingReader::lumens},
            {{{"watts"}, "what a light takes", "watts 12 for pendant"}, &LightingReader::watts},
            {{{"aim"},
              "turns a light to a piece or a wall, or down again",
              "aim pendant at sofa; aim pendant down"},
             &LightingReader::aim},
            {{{"swag"},
              "leads a cord aside: where its wire comes out of the ceiling, along wall A and from "
              "it",
              "swag pendant from 72, 60; swag pendant straight"},
             &LightingReader::swag},
        };
        return all;
    }

private:
    Edit planned(std::string words) {
        in.nothingMore();
        Edit e;
        e.words = std::move(words);
        e.acts.emplace_back(SetLightPlan{std::move(plan_)});
        return e;
    }

    /// A piece that gives light; "pendant 1" is the first of several, whose name has no number.
    int lightNamed() {
        in.article();
        const std::size_t at = in.at();
        const int id = in.piece();
        if (id == 0)
            noSuchPiece(in);
        const Piece& p = *in.scheme().byId(id);
        in.take({"1"});
        if (!p.kind->light)
            in.fail(at, in.at() - at, worded("{} gives no light", p.name), "name a light");
        return id;
    }

    /// A zone that is there, by its name, the longest that fits.
    LightZone& zoneNamed() {
        const std::size_t at = in.at();
        LightZone* best = nullptr;
        std::size_t end = 0;
        for (LightZone& z : plan_.zones) {
            in.offer(z.name);
            if (const std::size_t e = in.endOf(foldCase(z.name)); e > end) {
                best = &z;
                end = e;
            }
        }
        if (best == nullptr) {
            std::vector<std::string> names;
            for (const LightZone& z : plan_.zones)
                names.push_back(z.name);
            const auto said = std::string(in.ahead());
            in.fail(at, std::max<std::size_t>(said.size(), 1),
                    said.empty() ? std::string(told("which light zone?"))
                                 : worded("there is no light zone “{}”", said),
                    names.empty()
                        ? std::string(told("make one first: light zone Supper is pendant"))
                        : worded("there is {}", listed(names)));
        }
        in.goTo(end);
        return *best;
    }

    /// A zone's or a scene's.
    std::string nameBeforeIs(const char* what, const char* how) {
        const std::size_t at = in.at();
        auto name = tidyName(in.nameBeforeIs(what, how));
        if (plainWord(name).empty() || characterCount(name) > mostNameLength)
            in.fail(at, in.at() - at, "it needs a name",
                    worded("use 1 to {} characters", mostNameLength));
        return name;
    }

    Edit zone() {
        if (in.take({"remove", "delete"})) {
            const std::string name = zoneNamed().name;
            std::erase_if(plan_.zones, [&](const LightZone& z) { return z.name == name; });
            for (LightScene& s : plan_.scenes)
                std::erase_if(s.levels, [&](const LightScene::Level& l) { return l.zone == name; });
            return planned(worded("take away the light zone {}", name));
        }
        LightZone made;
        made.name = nameBeforeIs("which lights are in the zone?",
                                 "say it like: light zone Supper is pendant and sconce");
        do {
            const auto several = in.pieces();
            std::vector<int> ids = several;
            if (several.empty())
                ids.push_back(lightNamed());
            for (const int id : ids) {
                const Piece& p = *in.scheme().byId(id);
                if (!p.kind->light)
                    in.failAhead(worded("{} gives no light", p.name), "name lights");
                if (std::find(made.lights.begin(), made.lights.end(), id) == made.lights.end())
                    made.lights.push_back(id);
            }
        } while (in.comma() || in.take({"and"}));
        // A light hangs on one switch.
        for (LightZone& z : plan_.zones)
            if (plainWord(z.name) != plainWord(made.name))
                std::erase_if(z.lights, [&](int id) {
                    return std::find(made.lights.begin(), made.lights.end(), id) !=
                           made.lights.end();
                });
        const auto words = worded("light zone {}", made.name);
        const auto plain = plainWord(made.name);
        const auto it = std::find_if(plan_.zones.begin(), plan_.zones.end(),
                                     [&](const auto& z) { return plainWord(z.name) == plain; });
        if (it != plan_.zones.end())
            it->lights = made.lights;
        else
            plan_.zones.push_back(std::move(made));
        return planned(words);
    }

    /// "60 %", "off", "half", "full on"
    double part() {
        if (in.take({"off"}))
            return 0;
        if (in.take({"half"}))
            return 0.5;
        if (in.take({"full on", "full", "on"}))
            return 1;
        return share("how far it is turned up", false);
    }

    /// "0.6", "60 %". `below`: a share of all, but never all.
    double share(const char* what, bool below) {
        const std::size_t at = in.at();
        // "30%" is one word.
        const auto word = in.ahead();
        double n = 0;
        bool hundredths = word.size() > 1 && word.ends_with('%');
        if (hundredths) {
            const auto [end, error] = std::from_chars(word.data(), word.data() + word.size(), n);
            if (error != std::errc() || end != word.data() + word.size() - 1)
                in.failAhead(worded("{} needs a number here", what), "write it like 30 %");
            in.word();
        } else {
            n = in.number(what);
            hundredths = in.take({"%", "percent", "per cent"});
        }
        const double is = hundredths ? n / 100 : n;
        if (is < 0 || (below ? is >= 1 : is > 1))
            in.fail(at, in.at() - at, worded("{} is no share of light", std::string(in.since(at))),
                    below ? "nothing gives back all of its light: say a figure below 1, or below "
                            "100 %"
                          : "say a figure up to 1, or up to 100 %");
        return is;
    }

    Edit scene() {
        if (in.take({"remove", "delete"})) {
            const auto said = std::string(trimmed(in.rest()));
            const LightScene* s = plan_.scene(said);
            if (s == nullptr)
                in.failAhead(worded("there is no light scene “{}”", said),
                             "name one that is there");
            const auto name = s->name;
            in.goTo(in.at() + in.rest().size());
            std::erase_if(plan_.scenes, [&](const LightScene& o) { return o.name == name; });
            return planned(worded("take away the light scene {}", name));
        }
        LightScene made;
        made.name = nameBeforeIs("how far is each zone turned up?",
                                 "say it like: scene Supper is Supper 60 %, Hearth 30 %");
        do {
            const std::string name = zoneNamed().name;
            const double is = part();
            const auto it = std::find_if(made.levels.begin(), made.levels.end(),
                                         [&](const auto& l) { return l.zone == name; });
            if (it != made.levels.end())
                it->part = is;
            else
                made.levels.push_back({name, is});
        } while (in.comma() || in.take({"and"}));
        std::string words = worded("light scene {}:", made.name);
        for (std::size_t i = 0; i < made.levels.size(); ++i)
            words +=
                (i > 0 ? ", " : " ") + made.levels[i].zone + " " + percent(made.levels[i].part);
        const auto plain = plainWord(made.name);
        const auto it = std::find_if(plan_.scenes.begin(), plan_.scenes.end(),
                                     [&](const auto& s) { return plainWord(s.name) == plain; });
        if (it != plan_.scenes.end())
            *it = std::move(made);
        else
            plan_.scenes.push_back(std::move(made));
        return planned(words);
    }

    /// Puts a layout's lights, in place of those of their kinds that hang there.
    Edit hung(const LightLayout& l, std::string words) {
        Edit e;
        std::set<std::string> kinds;
        for (const LaidLight& one : l.lights)
            kinds.insert(one.kind);
        int gone = 0;
        for (const Piece& p : in.scheme().pieces)
            if (p.on.isCeiling() && kinds.count(p.kind->id) > 0 && !p.locked) {
                e.acts.emplace_back(RemovePiece{p.id});
                ++gone;
            }
        Scheme after = in.scheme();
        std::erase_if(after.pieces, [&](const Piece& p) {
            return p.on.isCeiling() && kinds.count(p.kind->id) > 0 && !p.locked;
        });
        int next = after.nextId;
        for (const LaidLight& one : l.lights) {
            const KindPtr kind = job_.library.kit->byId(one.kind);
            if (!kind)
                continue;
            Piece p;
            p.id = 0;
            p.kind = kind;
            p.name = after.freeName(kind->name);
            p.size = kind->size;
            p.heights = kind->heights;
            p.footprint = kind->footprint;
            p.on = theCeiling();
            p.pose = {one.at, {}};
            Tie at;
            at.kind = Tie::Kind::at;
            at.distance = Length::millimetres(one.at.x);
            at.second = Length::millimetres(one.at.y);
            p.ties.push_back(std::move(at));
            if (one.aim != 0) {
                LightTold told;
                told.aim = pieceTarget(one.aim);
                p.light = std::make_shared<const LightTold>(std::move(told));
            }
            e.acts.emplace_back(PutPiece{p});
            p.id = next++;
            after.pieces.push_back(std::move(p));
        }
        e.words = std::move(words);
        if (gone > 0)
            e.notices.push_back(worded("in place of the {} there", gone));
        else
            e.notices.push_back(e.words);
        e.notices.emplace_back(
            told("wiring, and cans near insulation, are for a licensed electrician"));
        return e;
    }

    static std::string figures(const LightLayout& l, Notation n) {
        return worded("{} to each of floor, {} lux straight on it, evenness {:.2f}{}",
                      writeArea(l.floorEach, n.units), std::lround(l.mean), l.evenness,
                      l.onHeads > 0 ? worded(", {} over heads", l.onHeads) : std::string());
    }

    Edit evenly() {
        EvenAsk ask;
        const RuleBook& book = *job_.library.book;
        if (const Rule* r = book.byId("recessed-edge")) {
            const Band band = job_.judgement.bandOf(*r);
            ask.edgeLow = Length::millimetres(band.low.value_or(ask.edgeLow.mm()));
            ask.edgeHigh = Length::millimetres(band.high.value_or(ask.edgeHigh.mm()));
            ask.edge = Length::millimetres(
                band.bestLow.value_or((ask.edgeLow.mm() + ask.edgeHigh.mm()) / 2));
            ask.against = r->setting("against");
        }
        if (const Rule* r = book.byId("recessed-count")) {
            const Band band = job_.judgement.bandOf(*r);
            const double unit = r->setting("metric") > Length{} ? 1e6 : 304.8 * 304.8;
            ask.floorLow = band.low.value_or(20) * unit;
            ask.floorHigh = band.high.value_or(25) * unit;
        }
        if (const Rule* r = book.byId("joists"))
            ask.joist = r->setting("thick");
        std::size_t which = 0;
        const std::size_t from = in.at();
        bool more = true;
        while (more) {
            more = false;
            in.comma();
            if (in.take({"evenly", "please", "by area"}))
                more = true;
            if (in.take({"another way", "the second way", "in another way"})) {
                which = 1;
                more = true;
            }
            if (in.take({"the third way", "a third way"})) {
                which = 2;
                more = true;
            }
            if (in.take({"with"})) {
                const std::size_t at = in.at();
                in.article();
                const KindPtr kind = in.kind();
                if (!kind || !kind->light || !kind->light->general)
                    in.fail(at, std::max<std::size_t>(in.at() - at, 1),
                            "rows are of lights that are let into the ceiling",
                            "say it like: with small recessed lights");
                ask.kind = kind->id;
                more = true;
            }
        }
        in.nothingMore();
        const auto scene = sceneOf(job_);
        const auto answers = scene ? evenLayouts(job_, **scene, ask)
                                   : Result<std::vector<LightLayout>>(scene.problem());
        if (!answers)
            in.fail(0, from, answers.problem().what, answers.problem().remedy);
        if (which >= answers->size())
            in.fail(from, 1, "there is no other way that is clearly different",
                    "say it like: light this room evenly");
        const LightLayout& l = (*answers)[which];
        return hung(l, worded("{} lights, {} by {}: {}{}", l.lights.size(), l.columns, l.rows,
                              figures(l, job_.notation),
                              answers->size() > which + 1 ? worded("; another way is {} by {}",
                                                                   (*answers)[which + 1].columns,
                                                                   (*answers)[which + 1].rows)
                                                          : std::string()));
    }

    Edit tasks() {
        in.nothingMore();
        const auto scene = sceneOf(job_);
        if (!scene)
            in.fail(0, 1, scene.problem().what, scene.problem().remedy);
        const LightLayout l = taskLayout(job_, **scene);
        if (l.lights.empty())
            in.fail(0, in.at(), "there is no place of work and no picture to light",
                    "put a counter, a sink, a desk or a picture in the room first");
        std::vector<std::string> of;
        for (const LaidLight& one : l.lights)
            if (const Piece* p = in.scheme().byId(one.task);
                p != nullptr && std::find(of.begin(), of.end(), p->name) == of.end())
                of.push_back(p->name);
        return hung(l, worded("{} lights over {}", l.lights.size(), listed(of)));
    }

    Edit switched() {
        LightZone& z = zoneNamed();
        if (!in.take({"by", "at", "from"}))
            in.failAhead("by which door?", "say it like: switch Supper by door 1");
        z.switches.clear();
        do {
            const std::size_t at = in.at();
            const Target t = in.target(false);
            if (t.is != Target::Is::door && t.is != Target::Is::opening)
                in.fail(at, in.at() - at, "a switch is by a door or an opening",
                        "say it like: switch Supper by door 1");
            if (std::find(z.switches.begin(), z.switches.end(), t) == z.switches.end())
                z.switches.push_back(t);
        } while (in.comma() || in.take({"and"}));
        Edit e = planned(z.switches.size() > 1 ? worded("switch {} two ways", z.name)
                                               : worded("switch {} by the door", z.name));
        e.notices.emplace_back(
            told("where switches go and how they are wired is for a licensed electrician and the "
                 "local code"));
        return e;
    }

    Edit dim() {
        LightZone& z = zoneNamed();
        z.dims = true;
        return planned(worded("a dimmer on {}", z.name));
    }

    Edit reflect() {
        std::optional<double>* of = in.take({"walls", "the walls", "wall"}) ? &plan_.walls
                                    : in.take({"ceiling", "the ceiling"})   ? &plan_.ceiling
                                    : in.take({"floor", "the floor"})       ? &plan_.floor
                                                                            : nullptr;
        if (of != nullptr) {
            *of = share("the share it gives back", true);
            const double is = **of;
            return planned(worded("{} gives back {} of its light",
                                  of == &plan_.walls     ? "each wall"
                                  : of == &plan_.ceiling ? "the ceiling"
                                                         : "the floor",
                                  percent(is)));
        }
        const int id = readSubject(in, 0);
        Piece p = *in.scheme().byId(id);
        p.reflects = share("the share it gives back", true);
        in.nothingMore();
        Edit e;
        e.words = worded("{} gives back {} of its light", p.name, percent(*p.reflects));
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }

    Edit maintain() {
        const std::size_t at = in.at();
        plan_.maintained = share("the share that is left", false);
        if (plan_.maintained <= 0)
            in.fail(at, in.at() - at, "no light would be left", "say it like: maintain 0.8");
        return planned(worded("lamps give {} of their first light", percent(plan_.maintained)));
    }

    /// "ies spot.ies for tilting light"
    Edit file() {
        const std::size_t at = in.at();
        const auto rest = std::string(in.rest());
        const auto stop = foldCase(rest).rfind(" for ");
        if (stop == std::string::npos || trimmed(rest.substr(0, stop)).empty())
            in.failAhead("which file, for which light?", "say it like: ies spot.ies for pendant");
        auto path = std::string(trimmed(std::string_view(rest).substr(0, stop)));
        if (path.size() > 1 && path.front() == '"' && path.back() == '"')
            path = path.substr(1, path.size() - 2);
        in.goTo(at + stop + 5);
        std::vector<int> ids = in.pieces();
        if (ids.empty())
            ids.push_back(lightNamed());
        in.nothingMore();
        const auto fault = [&](const Problem& p) {
            in.fail(at, stop, p.line > 0 ? worded("line {}: {}", p.line, p.what) : p.what,
                    p.remedy);
        };
        const auto text = readTextFile(path, mostPhotometryText);
        if (!text)
            fault(text.problem());
        auto read = readPhotometry(*text, path);
        if (!read)
            fault(read.problem());
        PutPhotometry put;
        put.key = tidyName(std::filesystem::path(path).filename().string()).substr(0, 60);
        put.file = {tidyName(std::filesystem::path(path).filename().string()), *text,
                    std::make_shared<const Photometry>(std::move(*read))};
        Edit e;
        e.words = worded("{} for {}: {} lumens", put.file.name, in.scheme().byId(ids.front())->name,
                         std::lround(put.file.shines->lumens()));
        const auto key = put.key;
        e.acts.emplace_back(std::move(put));
        for (const int id : ids) {
            Piece p = *in.scheme().byId(id);
            if (!p.kind->light)
                in.fail(at, stop, worded("{} gives no light", p.name), "name a light");
            LightTold told;
            if (p.light)
                told = *p.light;
            told.shine = key;
            told.lumens.reset();
            told.watts.reset();
            p.light = std::make_shared<const LightTold>(std::move(told));
            e.acts.emplace_back(PutPiece{std::move(p)});
        }
        return e;
    }

    Edit figure(std::optional<double> LightTold::*which, const char* what, double most) {
        const std::size_t at = in.at();
        const double n = in.number(what);
        if (n < 0 || n > most)
            in.fail(at, in.at() - at, "no light of a room has so many",
                    worded("say a figure up to {:g}", most));
        in.take({"lumens", "lumen", "lm", "watts", "watt", "w"});
        in.take({"for", "of", "on"});
        std::vector<int> ids = in.pieces();
        if (ids.empty())
            ids.push_back(lightNamed());
        in.nothingMore();
        Edit e;
        for (const int id : ids) {
            Piece p = *in.scheme().byId(id);
            if (!p.kind->light)
                in.fail(at, 1, worded("{} gives no light", p.name), "name a light");
            LightTold told;
            if (p.light)
                told = *p.light;
            told.*which = n;
            e.words += (e.words.empty() ? "" : ", ") + worded("{}: {} {:g}", p.name, what, n);
            p.light = std::make_shared<const LightTold>(std::move(told));
            e.acts.emplace_back(PutPiece{std::move(p)});
        }
        return e;
    }
    Edit lumens() { return figure(&LightTold::lumens, "lumens", 1e6); }
    Edit watts() { return figure(&LightTold::watts, "watts", 1e5); }

    Edit aim() {
        Piece p = *in.scheme().byId(lightNamed());
        LightTold told;
        if (p.light)
            told = *p.light;
        Edit e;
        if (in.take({"down", "straight down"})) {
            told.aim.reset();
            e.words = worded("aim {} down", p.name);
        } else {
            in.take({"at", "toward", "towards", "to", "on"});
            const std::size_t at = in.at();
            const Target t = in.target();
            if (t.is != Target::Is::piece && t.is != Target::Is::wall)
                in.fail(at, in.at() - at, "a light is aimed at a piece or a wall",
                        "say it like: aim sconce at sofa");
            if (t.is == Target::Is::piece && t.piece == p.id)
                in.fail(at, in.at() - at, "a light can't be aimed at itself", "name another piece");
            told.aim = t;
            e.words = worded("aim {} at {}", p.name, mezzet::words(t, job_.wording()));
        }
        in.nothingMore();
        p.light = std::make_shared<const LightTold>(std::move(told));
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }

    Edit swag() {
        const std::size_t at = in.at();
        const int light = lightNamed();
        return readSwag(in, light, at);
    }

    WordsReader& in;
    const Project& job_;
    LightPlan plan_;
};

} // namespace

std::vector<VerbHelp> lightVerbs() {
    auto all = helpOf(LightingReader::verbs());
    all.push_back(lightRingHelp());
    return all;
}

std::optional<Edit> readLighting(WordsReader& words) {
    return LightingReader(words).read();
}

} // namespace mezzet
