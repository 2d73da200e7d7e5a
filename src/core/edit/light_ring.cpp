#include "edit/light_ring.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <numbers>

namespace mezzet {

namespace {

constexpr int mostInRing = 60;

Tie ringTie(Tie::Kind kind, const Target& of, Side side, double mm) {
    Tie t;
    t.kind = kind;
    t.of = of;
    t.side = side;
    t.distance = Length::millimetres(mm);
    return t;
}

/// Round a circle about a piece: centred on it along its width and along its depth, each by so
/// much.
class RingMaker {
public:
    RingMaker(const Project& job, const Scene& scene) : job_(job), scene_(scene) {}

    /// The ties that hold a light at a place in a piece's own frame; which way depth is counted is
    /// found by trying.
    [[nodiscard]] std::vector<Tie> about(const Piece& light, int piece, Vec2 local) {
        const Pose& at = scene_.inPlan(piece)->pose;
        const Vec2 want = at.toRoom(local);
        for (const double wide : {1.0, -1.0})
            for (const Side side : {Side::left, Side::right})
                for (const double deep : {1.0, -1.0}) {
                    std::vector<Tie> ties{
                        ringTie(Tie::Kind::centredOn, pieceTarget(piece), Side::behind,
                                wide * local.x),
                        ringTie(Tie::Kind::centredOn, pieceTarget(piece), side, deep * local.y)};
                    Piece p = light;
                    p.ties = ties;
                    auto s = std::make_shared<Scheme>(job_.scheme());
                    p.id = s->nextId++;
                    s->pieces.push_back(p);
                    const auto made = resolve(job_.room, s, job_.notation);
                    if (made && norm((*made)->byId(p.id)->pose.at - want) < 0.01)
                        return ties;
                }
        return held(want);
    }
    [[nodiscard]] static std::vector<Tie> held(Vec2 at) {
        Tie t;
        t.kind = Tie::Kind::at;
        t.distance = Length::millimetres(at.x);
        t.second = Length::millimetres(at.y);
        return {t};
    }

private:
    const Project& job_;
    const Scene& scene_;
};

} // namespace

VerbHelp lightRingHelp() {
    return {{"ring of", "circle of"},
            "lights evenly round a circle, over a piece they go with, or about a place",
            "ring of 6 recessed lights 48 across over supper table"};
}

std::optional<Edit> readLightRing(WordsReader& in, const Scene& scene) {
    in.offer("ring of");
    const std::size_t start = in.at();
    in.article();
    if (!in.take({"ring of", "circle of"})) {
        in.goTo(start);
        return {};
    }
    const Project& job = in.job();
    const std::size_t counted = in.at();
    int n = 0;
    if (!in.takeCount(n) || n < 3 || n > mostInRing)
        in.fail(counted, std::max<std::size_t>(1, in.at() - counted),
                worded("a ring has 3 to {} lights", mostInRing),
                "say it like: ring of 6 recessed lights 48 across");
    const std::size_t named = in.at();
    const KindPtr kind = in.kind();
    if (!kind || !kind->light || !kind->underCeiling())
        in.fail(named, std::max<std::size_t>(1, in.at() - named), "that is no light of the ceiling",
                "say a kind like recessed lights or pendants");
    in.comma();
    const std::size_t figure = in.at();
    const Length across = in.length("how wide the ring is");
    if (across < kind->size.width * 2 || across > Length::metres(20))
        in.fail(figure, in.at() - figure, "so wide no ring of them can be",
                "say how far it is across, like 48");
    in.take({"across", "wide", "in diameter", "diameter", "dia"});
    in.comma();
    int over = 0;
    Vec2 middle = scene.room->middle();
    std::string where = std::string(told("the middle of the room"));
    if (in.take({"over", "above", "around", "round", "about", "centred on", "centred over"})) {
        in.article();
        if (!in.take({"middle of the room", "the room", "room"})) {
            const std::size_t at = in.at();
            over = in.piece();
            const Piece* p = over != 0 ? scene.pieceById(over) : nullptr;
            if (p == nullptr || scene.inPlan(over) == nullptr)
                in.fail(at, std::max<std::size_t>(1, in.at() - at), "over what?",
                        "name a piece on the floor, or say: at 10', 8'");
            where = p->name;
        }
    } else if (in.take({"at"})) {
        middle.x = in.length("across from wall A's left corner").mm();
        in.comma();
        middle.y = in.length("out from wall A").mm();
        where = std::string(told("that place"));
    }
    in.nothingMore();
    RingMaker maker(job, scene);
    Scheme names = job.scheme();
    Edit e;
    for (int i = 0; i < n; ++i) {
        const double turn = 2 * std::numbers::pi * i / n;
        const Vec2 local{across.mm() / 2 * std::sin(turn), -across.mm() / 2 * std::cos(turn)};
        Piece p;
        p.kind = kind;
        p.name = names.freeName(kind->name);
        p.size = kind->size;
        p.heights = kind->heights;
        p.footprint = kind->footprint;
        p.on = theCeiling();
        const Vec2 at = over != 0 ? scene.inPlan(over)->pose.toRoom(local) : middle + local;
        if (scene.room->closed && !scene.room->holds(at))
            in.fail(0, in.text().size(), "the ring would go through a wall",
                    "make it smaller, or put it elsewhere");
        p.pose = {at, {}};
        p.ties = over != 0 ? maker.about(p, over, local) : RingMaker::held(at);
        names.pieces.push_back(p);
        names.pieces.back().id = names.nextId++;
        e.acts.emplace_back(PutPiece{std::move(p)});
    }
    e.words = worded("a ring of {} over {}, {} across", n, where, write(across, job.notation));
    e.notices.emplace_back(
        told("wiring is for a licensed electrician, and the local code decides"));
    return e;
}

} // namespace mezzet
