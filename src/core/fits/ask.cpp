#include "fits/ask.h"

#include "edit/new_piece.h"
#include "edit/phrase.h"
#include "edit/pieces.h"
#include "edit/place.h"
#include "edit/sizes_said.h"
#include "edit/words_reader.h"
#include "fits/trying.h"
#include "fits/walls.h"
#include "judge/at_table.h"
#include "judge/floor_ways.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "ways/path.h"

#include <algorithm>

namespace mezzet {

namespace {

class Asker {
public:
    Asker(std::string_view text, const Project& job, const Scene& scene, int selected,
          const GoesOn& goesOn)
        : in_(text, job), job_(job), scene_(scene), selected_(selected), goesOn_(goesOn) {}

    FitAnswer answer() {
        in_.take({"what", "which"});
        if (in_.take({"where could", "where can", "where"}))
            return where();
        if (in_.take({"does", "will", "would"}))
            return does();
        in_.take({"largest", "longest"});
        if (in_.take({"picture over", "pictures over", "art over", "size over", "picture above",
                      "size above"})) {
            const int id = piece();
            end();
            return picturesOver(job_, id);
        }
        if (in_.take({"set like", "set to match", "set as large as"})) {
            const int id = piece();
            std::vector<int> pool;
            if (in_.take({"from", "of", "out of"}))
                do {
                    pool.push_back(piece());
                } while (in_.comma() || in_.take({"and"}));
            end();
            return setLike(job_, id, pool, goesOn_);
        }
        if (in_.take({"mirror on", "mirror"})) {
            const std::size_t at = in_.at();
            const auto wall = in_.target(false);
            if (wall.is != Target::Is::wall)
                in_.fail(at, in_.at() - at, "a mirror is asked for by its wall",
                         "say it like: mirror on wall B showing floor lamp from sofa");
            if (!in_.take({"showing", "to show", "that shows"}))
                in_.failAhead("showing what?",
                              "say it like: mirror on wall B showing floor lamp from sofa");
            const auto thing = in_.target();
            if (!in_.take({"from", "to"}))
                in_.failAhead("from where?", "say it like: from sofa");
            const auto from = in_.target();
            end();
            return mirrorShowing(job_, wall.index, thing, from);
        }
        if (in_.take({"ledge behind", "shelf behind"})) {
            const int id = piece();
            end();
            return ledgeBehind(job_, id);
        }
        if (in_.take({"table", "tables"}))
            return table();
        if (in_.take({"sofa", "sofas"}))
            return sofa();
        if (in_.take({"rug", "rugs"}))
            return rug();
        in_.failAhead("ask for what fits",
                      "say it like: table, sofa on wall A, rug for seats, where sideboard 60 x 18, "
                      "does sofa 90 x 38 x 36 fit, picture over sofa, set like harbour, or: mirror "
                      "on wall B showing floor lamp from sofa");
    }

private:
    int piece() {
        in_.article();
        const int id = in_.piece();
        if (id == 0)
            noSuchPiece(in_);
        return id;
    }
    void end() {
        in_.take({"fits", "fit", "stand", "go", "here"});
        in_.take({"here"});
        in_.take({"?"});
        if (!in_.done())
            in_.failAhead(worded("“{}” is left over", in_.rest()), "take it out");
    }

    FitAnswer table() {
        TableAsked asked;
        const Piece* chosen = selected_ != 0 ? job_.scheme().byId(selected_) : nullptr;
        if (in_.take({"instead of", "for"})) {
            const std::size_t at = in_.at();
            const int id = in_.piece();
            if (id == 0 || !job_.scheme().byId(id)->kind->isSatInTo())
                in_.fail(at, std::max<std::size_t>(in_.at() - at, 1),
                         "that is no table people sit at", "name a dining table");
            asked.replace = id;
            asked.near = scene_.byId(id)->pose.at;
        } else if (in_.take({"at", "near"})) {
            asked.near.x = in_.length("the place").mm();
            if (!in_.comma() && !in_.take({"by", "x", "and"}))
                in_.failAhead("a place has two figures", "say it like: table at 14', 8'");
            asked.near.y = in_.length("the place").mm();
        } else if (chosen != nullptr && chosen->kind->role == Role::diningTable) {
            asked.replace = selected_;
            asked.near = scene_.byId(selected_)->pose.at;
        } else {
            // Wherever there is most room, in place of the only table there is, if there is one.
            for (std::size_t i = 0; i < scene_.placed.size(); ++i)
                if (scene_.piece(i).kind->role == Role::diningTable)
                    asked.replace = scene_.placed[i].id;
            if (asked.replace != 0) {
                asked.near = scene_.byId(asked.replace)->pose.at;
            } else {
                const auto ways = floorWays(scene_, {Length::metres(2), false, {}, {}});
                asked.near = largestCircle(ways.finder.blocks(), job_.room->edge).centre;
            }
            asked.within = Length::inches(48);
        }
        end();
        return tablesThatFit(job_, asked, goesOn_);
    }

    FitAnswer sofa() {
        if (!in_.take({"on", "against", "at", "along"}))
            in_.failAhead("on which wall?", "say it like: sofa on wall A");
        const std::size_t at = in_.at();
        const auto t = in_.target(false);
        if (t.is != Target::Is::wall)
            in_.fail(at, in_.at() - at, "a sofa is asked for by its wall",
                     "say it like: sofa on wall A");
        end();
        return sofasThatFit(job_, t.index, goesOn_);
    }

    FitAnswer rug() {
        std::vector<int> seats;
        in_.take({"for", "under", "that holds"});
        if (in_.done() || in_.take({"the seats", "seats", "the group"})) {
            for (const Piece& p : job_.scheme().pieces)
                if (isLounge(p))
                    seats.push_back(p.id);
        } else if (const auto* z = zoneAhead()) {
            for (const int id : z->pieces)
                if (job_.scheme().byId(id) != nullptr && job_.scheme().byId(id)->kind->isSeat())
                    seats.push_back(id);
        } else {
            do {
                in_.article();
                const int id = in_.piece();
                if (id == 0)
                    noSuchPiece(in_);
                seats.push_back(id);
            } while (in_.comma() || in_.take({"and"}));
        }
        end();
        return rugsThatHold(job_, seats, goesOn_);
    }

    const Zone* zoneAhead() {
        for (const Zone& z : job_.scheme().zones)
            if (in_.take({foldCase(z.name)}))
                return &z;
        return nullptr;
    }

    /// "sideboard 60 x 18 x 34", "a 60 inch sideboard"
    Piece described() {
        in_.article();
        const std::size_t start = in_.at();
        const bool sizeFirst = sizesBeforeKind(in_);
        const auto kind = in_.kind();
        if (!kind)
            in_.unknownAhead("what kind of piece?", "say it like: sideboard 60 x 18 x 34");
        Piece p = mezzet::pieceOf(kind);
        p.name = kind->name;
        if (const std::size_t here = in_.at(); sizeFirst) {
            in_.goTo(start);
            readSizes(in_, p, true, told_);
            in_.goTo(here);
        }
        readSizes(in_, p, true, told_);
        if (kind->isSatInTo())
            sizeForPeople(in_, p, told_);
        return p;
    }

    FitAnswer where() {
        in_.take({"could a", "can a", "could", "can"});
        const Piece p = described();
        end();
        return withTold(whereItStands(job_, p, goesOn_));
    }

    /// "does the sofa fit on wall A": of a piece that is there.
    std::optional<Piece> known() {
        const std::size_t start = in_.at();
        in_.article();
        if (in_.nameAhead()) {
            const int id = in_.piece();
            in_.comma();
            if (id != 0 && !in_.lengthAhead())
                return asItStands(job_, scene_, id);
        }
        in_.goTo(start);
        return {};
    }

    /// Where it is to go, said as it would be placed.
    FitAnswer there(Piece p) {
        const std::size_t at = in_.at();
        auto said = readPlacement(in_, p, scene_, theFloor());
        const bool isNew = p.id == 0;
        const Piece model = p;
        const int id = p.id != 0 ? p.id : job_.scheme().nextId;
        if (p.id == 0)
            p.name = job_.scheme().freeName(p.kind->name);
        auto e = placeWhereFree(job_, scene_, std::move(p), std::move(said));
        if (!e)
            in_.refuse(e.problem(), at);
        for (Act& a : e->acts)
            if (auto* put = std::get_if<PutPiece>(&a); put != nullptr && put->piece.id == 0)
                put->piece.id = id;
        auto found = fitsThere(job_, *e, id);
        // Where the one that is there is in its way: in place of that.
        const Piece* like = isNew && !found.yes ? theOneLike(model) : nullptr;
        const auto without = like != nullptr ? baseWithout(job_, {like->id}) : std::nullopt;
        if (without)
            if (auto alone = fitsThere(*without->job, *e, id);
                alone.yes || (found.choices.empty() && !alone.choices.empty())) {
                alone.heading = worded("Not beside {}; in its place: {}", like->name,
                                       smallFirst(alone.heading));
                return alone;
            }
        return found;
    }

    /// The only piece that is called the same in the end: the queen bed, of a king bed. Null for
    /// none, or several.
    [[nodiscard]] const Piece* theOneLike(const Piece& p) const {
        const auto lastOf = [](const Kind& k) {
            return foldCase(k.name.substr(k.name.rfind(' ') + 1));
        };
        const Piece* out = nullptr;
        for (const Piece& o : job_.scheme().pieces)
            if (!o.isGroup() && o.on.isFloor() && lastOf(*o.kind) == lastOf(*p.kind)) {
                if (out != nullptr)
                    return nullptr;
                out = &o;
            }
        return out;
    }

    /// The same in its place, with what goes along with it, or else wherever it can stand without
    /// it; none where it doesn't come in.
    std::optional<FitAnswer> inPlaceOf(const Piece& there, const Piece& p, Length legs) {
        const auto without = baseWithout(job_, {there.id});
        if (!without)
            return {};
        auto out = doesItFit(*without->job, p, goesOn_, legs);
        if (!out.comesIn)
            return {};
        const auto prefixed = [&](FitAnswer found) {
            found.heading =
                worded("Not beside {}; in its place: {}", there.name, smallFirst(found.heading));
            return found;
        };
        std::optional<FitAnswer> inIt;
        if (auto swapped = asAnother(job_, there, p.kind)) {
            giveSize(*swapped, p.size);
            Edit e;
            e.words = worded("replace {} by {}", there.name, p.kind->name);
            e.acts.emplace_back(PutPiece{*swapped});
            inIt = fitsThere(job_, e, there.id);
            // How it comes in is the same.
            inIt->reasons.insert(inIt->reasons.begin(), out.reasons.begin(), out.reasons.end());
            if (inIt->yes)
                return prefixed(std::move(*inIt));
        }
        if (!out.stands)
            return inIt ? std::optional(prefixed(std::move(*inIt))) : std::nullopt;
        for (FitChoice& c : out.choices)
            c.edit.acts.emplace(c.edit.acts.begin(), RemovePiece{there.id});
        return prefixed(std::move(out));
    }

    FitAnswer does() {
        const auto own = known();
        const Piece p = own ? *own : described();
        Length legs;
        bool guessed = false;
        const auto readLegs = [&] {
            in_.comma();
            if (in_.take({"with its legs off", "with legs off", "without its legs", "without legs",
                          "its legs off", "legs off"})) {
                legs = job_.library.book->habit("legs-come-off");
                guessed = true;
            } else if (in_.take({"its legs", "legs"})) {
                legs = in_.length("its legs");
                in_.take({"high", "long"});
                in_.take({"come off", "off"});
            }
            in_.comma();
        };
        readLegs();
        in_.take({"fits", "fit", "come in", "go in", "here"});
        readLegs();
        if (phraseAhead(in_, false) || in_.lengthAhead())
            return withTold(there(p));
        end();
        // What is there is thought away, and put where it would stand.
        const auto without = own ? baseWithout(job_, {own->id}) : std::nullopt;
        auto out = doesItFit(without ? *without->job : job_, p, goesOn_, legs);
        if (const Piece* there = own || out.yes || !out.choices.empty() ? nullptr : theOneLike(p))
            if (auto instead = inPlaceOf(*there, p, legs))
                out = std::move(*instead);
        if (without)
            for (FitChoice& c : out.choices)
                for (Act& a : c.edit.acts)
                    if (auto* put = std::get_if<PutPiece>(&a); put != nullptr) {
                        put->piece.id = own->id;
                        put->piece.name = own->name;
                    }
        if (guessed)
            out.reasons.push_back(
                worded("Its legs are taken to be {} high: measure them, and say it like: "
                       "legs {} off.",
                       writeGap(legs, job_.notation), writeGap(legs, job_.notation)));
        return withTold(std::move(out));
    }

    /// With what was taken to be meant of its size.
    FitAnswer withTold(FitAnswer out) {
        std::move(told_.begin(), told_.end(), std::back_inserter(out.reasons));
        return out;
    }

    WordsReader in_;
    std::vector<std::string> told_;
    const Project& job_;
    const FloorView scene_;
    int selected_;
    const GoesOn& goesOn_;
};

} // namespace

Result<FitAnswer> askWhatFits(std::string_view question, const Project& job, int selected,
                              const GoesOn& goesOn) {
    if (!isText(question) || question.size() > 2000)
        return Problem{"that is no question", "ask it like: table, or: sofa on wall A"};
    if (!job.room->closed)
        return Problem{"the room doesn't close yet", "measure it first"};
    const auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    // A question mark at the end is only a habit.
    auto text = trimmed(question);
    while (!text.empty() && text.back() == '?')
        text = trimmed(text.substr(0, text.size() - 1));
    try {
        return Asker(text, job, **scene, selected, goesOn).answer();
    } catch (const LineFault& f) {
        return f.problem;
    }
}

} // namespace mezzet
