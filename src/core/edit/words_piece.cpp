// What a piece is called: by its whole name, by its kind, by the end of its name, by its place
// among others; and several of them.
#include "edit/words_reader.h"

#include "edit/arrange.h"
#include "edit/language.h"
#include "edit/phrase.h"
#include "edit/subjects.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/on_wall.h"
#include "scheme/surfaces.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

/// Where the word that is next in a text ends, blanks before it passed; where it was when a comma
/// or the end comes first.
std::size_t endOfWord(std::string_view text, std::size_t from) {
    std::size_t e = from;
    while (e < text.size() && isBlank(text[e]))
        ++e;
    if (e >= text.size() || endsWord(text[e]))
        return from;
    while (e < text.size() && !endsWord(text[e]))
        ++e;
    return e;
}

/// What a word before it only tells the use of.
bool isFurnitureWord(std::string_view word) {
    constexpr std::string_view words[] = {"table", "stand",   "cabinet", "shelf",  "desk",
                                          "bench", "trolley", "cart",    "rack",   "cupboard",
                                          "chair", "stool",   "box",     "basket", "holder"};
    return std::find(std::begin(words), std::end(words), word) != std::end(words);
}

/// "chair 4"
bool endsInAFigure(std::string_view said) {
    const auto figure = said.find_last_not_of("0123456789");
    return figure != std::string_view::npos && figure + 1 < said.size() && isBlank(said[figure]);
}

/// Whether what ends there ends in a figure that has its unit, in its last word or as the next.
bool endsInALength(std::string_view text, std::size_t from, std::size_t end) {
    const auto said = text.substr(from, end - from);
    const auto figure = said.substr(std::min(said.size(), said.find_last_of(' ') + 1));
    if (figure.empty() || figure[0] < '0' || figure[0] > '9')
        return false;
    const auto length = scanLength(text.substr(end - figure.size()), Units::inches);
    return length && length->unitGiven;
}

/// "chairs 4": several, and a figure of what is done with them; chair 4 is not meant.
bool severalAndAFigure(std::string_view said) {
    if (!endsInAFigure(said))
        return false;
    const auto word = trimmed(said.substr(0, said.find_last_not_of("0123456789")));
    return word.size() > 2 && (word.ends_with('s') || word.ends_with('S')) &&
           !word.ends_with("ss") && !word.ends_with("SS");
}

/// Which of several is meant by how it compares with the others.
enum class Rank {
    none,
    low,
    high,
    lowest,
    highest,
    middle,
    small,
    large,
    squat,
    tall,
    narrow,
    wide
};

Rank rankSaid(WordsReader& in) {
    const std::size_t at = in.at();
    for (const auto& [words, rank] :
         {std::pair{"lowest", Rank::lowest},     std::pair{"bottommost", Rank::lowest},
          std::pair{"bottom", Rank::low},        std::pair{"lower", Rank::low},
          std::pair{"highest", Rank::highest},   std::pair{"topmost", Rank::highest},
          std::pair{"uppermost", Rank::highest}, std::pair{"top", Rank::high},
          std::pair{"upper", Rank::high},        std::pair{"middle", Rank::middle},
          std::pair{"centre", Rank::middle},     std::pair{"center", Rank::middle},
          std::pair{"central", Rank::middle},    std::pair{"smallest", Rank::small},
          std::pair{"smaller", Rank::small},     std::pair{"largest", Rank::large},
          std::pair{"larger", Rank::large},      std::pair{"biggest", Rank::large},
          std::pair{"bigger", Rank::large},      std::pair{"shortest", Rank::squat},
          std::pair{"shorter", Rank::squat},     std::pair{"tallest", Rank::tall},
          std::pair{"taller", Rank::tall},       std::pair{"narrowest", Rank::narrow},
          std::pair{"narrower", Rank::narrow},   std::pair{"widest", Rank::wide},
          std::pair{"wider", Rank::wide}})
        if (in.take({words})) {
            // "a larger rug" is another, and "make it larger" none.
            const auto said = trimmed(in.text().substr(0, at));
            const bool more =
                words == std::string_view("lower") || std::string_view(words).ends_with("er");
            if (!in.done() && (!more || rank == Rank::middle || said.ends_with("the")))
                return rank;
            in.goTo(at);
        }
    return Rank::none;
}

/// "top left", "bottom right": a corner of several, as one sees them; nothing where none is said.
std::optional<Vec2> cornerSaid(WordsReader& in) {
    for (const auto& [words, way] :
         {std::pair{"top left", Vec2{-1, 1}}, std::pair{"upper left", Vec2{-1, 1}},
          std::pair{"top-left", Vec2{-1, 1}}, std::pair{"top right", Vec2{1, 1}},
          std::pair{"upper right", Vec2{1, 1}}, std::pair{"top-right", Vec2{1, 1}},
          std::pair{"bottom left", Vec2{-1, -1}}, std::pair{"lower left", Vec2{-1, -1}},
          std::pair{"bottom-left", Vec2{-1, -1}}, std::pair{"bottom right", Vec2{1, -1}},
          std::pair{"lower right", Vec2{1, -1}}, std::pair{"bottom-right", Vec2{1, -1}}})
        if (const std::size_t at = in.at(); in.take({words})) {
            if (!in.done())
                return way;
            in.goTo(at);
        }
    return {};
}

/// Whether it can be said with no noun: "the top" is a part of a thing.
bool isAlone(Rank r) {
    return r == Rank::lowest || r == Rank::highest || r == Rank::small || r == Rank::large ||
           r == Rank::tall || r == Rank::wide;
}

/// The one of several on a wall that is farthest that way; 0 where two are, or they hang on none.
int farthest(Vec2 way, const std::vector<int>& ids, const Project& job) {
    const auto scene = sceneOf(job);
    if (!scene)
        return 0;
    const auto far = [&](int id) { return dot((*scene)->byId(id)->pose.at, way); };
    int best = 0;
    bool alone = true;
    for (const int id : ids) {
        if (!(*scene)->pieceById(id)->onWall())
            return 0;
        if (best == 0 || far(id) > far(best) + quiet.mm()) {
            best = id;
            alone = true;
        } else if (far(id) > far(best) - quiet.mm()) {
            alone = false;
        }
    }
    return alone ? best : 0;
}

/// The one of several that is lowest, largest, in the middle; 0 where two are so.
int ranked(Rank rank, const std::vector<int>& ids, const Project& job) {
    const auto scene = sceneOf(job);
    if (!scene)
        return 0;
    struct Of {
        int id = 0;
        double key = 0;
    };
    const auto across = [&](int id) { return (*scene)->byId(id)->pose.at.x; };
    const auto up = [&](int id) {
        return (*scene)->pieceById(id)->onWall() ? (*scene)->byId(id)->pose.at.y
                                                 : bodyOf(**scene, id)->foot.z;
    };
    const auto deep = [&](int id) { return (*scene)->byId(id)->pose.at.y; };
    const auto spread = [&](const auto& of) {
        double least = 1e300;
        double most = -1e300;
        for (const int id : ids) {
            least = std::min(least, of(id));
            most = std::max(most, of(id));
        }
        return most - least;
    };
    const auto key = [&](int id) -> double {
        const Size& s = (*scene)->pieceById(id)->size;
        const Length second = (*scene)->pieceById(id)->onWall() ? s.height : s.depth;
        switch (rank) {
        case Rank::low:
        case Rank::lowest:
            return -up(id);
        case Rank::high:
        case Rank::highest:
            return up(id);
        case Rank::small:
            return -s.width.mm() * second.mm();
        case Rank::large:
            return s.width.mm() * second.mm();
        case Rank::squat:
            return -s.height.mm();
        case Rank::tall:
            return s.height.mm();
        case Rank::narrow:
            return -s.width.mm();
        case Rank::wide:
            return s.width.mm();
        case Rank::middle:
            return spread(across) >= spread(deep) ? across(id) : deep(id);
        case Rank::none:
            break;
        }
        return 0;
    };
    std::vector<Of> all;
    for (const int id : ids)
        all.push_back({id, key(id)});
    std::stable_sort(all.begin(), all.end(),
                     [](const Of& a, const Of& b) { return a.key > b.key; });
    constexpr double alike = 1; // mm, or as much of an area
    if (rank == Rank::middle)
        return all.size() % 2 == 1 ? all[all.size() / 2].id : 0;
    return all.size() > 1 && all[0].key - all[1].key < alike ? 0 : all[0].id;
}

} // namespace

int WordsReader::theirGroup() const {
    for (const int id : them_)
        if (scheme().byId(id)->isGroup())
            return std::all_of(them_.begin(), them_.end(),
                               [&](int other) {
                                   return other == id || scheme().byId(other)->group() == id;
                               })
                       ? id
                       : 0;
    return 0;
}

int WordsReader::whatTheyAreAt() const {
    int at = 0;
    for (const int id : them_) {
        const Piece& p = *scheme().byId(id);
        const auto tie = std::find_if(p.ties.begin(), p.ties.end(), [](const Tie& t) {
            return t.fixesPlace() && t.of.is == Target::Is::piece;
        });
        const int of = p.on.isCarried() ? p.on.piece : tie != p.ties.end() ? tie->of.piece : 0;
        const Piece* other = scheme().byId(of);
        if (p.onWall() || p.group() != 0 || other == nullptr || other->onWall() ||
            (at != 0 && at != of))
            return 0;
        at = of;
    }
    return them_.size() > 1 ? at : 0;
}

int WordsReader::whatCarriesThem(std::string_view before) const {
    if (them_.size() != 1 || !(before.ends_with("end of") || before.ends_with("edge of")))
        return 0;
    const Piece& p = *scheme().byId(them_.front());
    return p.on.isCarried() ? p.on.piece : 0;
}

WordsReader::Match WordsReader::longestName() {
    skip();
    const auto& names = plainNames();
    Match best;
    std::size_t e = at_;
    for (int words = 0; words < 10 && e < text_.size(); ++words) {
        while (e < text_.size() && endsWord(text_[e]))
            ++e;
        while (e < text_.size() && !endsWord(text_[e]))
            ++e;
        const auto slice = text_.substr(at_, e - at_);
        const auto said = plainWord(slice);
        const bool toTheLetter = severalAndAFigure(slice);
        std::vector<int> exact;
        for (std::size_t i = 0; i < names.size(); ++i)
            if (const Piece& p = scheme().pieces[i];
                names[i].own == said && (!toTheLetter || foldCase(p.name) == foldCase(slice)))
                exact.push_back(p.id);
        // "Picture 3 cm left", "Picture 3\" left": where there is a Picture, that is how far.
        const bool measures = best.end > 0 && endsInALength(text_, at_, e);
        if (!exact.empty() && !measures)
            best = {e, exact};
    }
    return best;
}

bool WordsReader::isOfKind(std::size_t from) {
    const std::size_t at = at_;
    at_ = from;
    const bool is = kind() != nullptr;
    at_ = at;
    return is;
}

int WordsReader::piece() {
    skip();
    const std::size_t start = at_;
    offerPieces();
    if (auto m = longestName(); m.end > 0) {
        isOne(m, start);
        at_ = m.end;
        return m.ids.front();
    }
    // "the left armchair", "the other one", "the top left picture"
    const auto corner = isOfKind(start) ? std::nullopt : cornerSaid(*this);
    const bool left = !corner && take({"left hand", "left-hand", "left"});
    const bool right = !corner && !left && take({"right hand", "right-hand", "right"});
    const bool other = !corner && !left && !right && take({"other"});
    const bool sided = corner || left || right || other;
    const int order = sided ? 0 : orderSaid();
    const Rank rank = sided || order != 0 || isOfKind(start) ? Rank::none : rankSaid(*this);
    const bool one = sided || order != 0 || rank != Rank::none;
    Match m;
    if (one && !them_.empty() && take({"one", "ones"})) {
        // "the first one": of what was spoken of.
        m.end = at_;
        const int group = theirGroup();
        for (const Piece& p : scheme().pieces)
            if (group != 0 ? p.group() == group : p.kind == scheme().byId(them_.front())->kind)
                m.ids.push_back(p.id);
    } else {
        m = meantHere();
    }
    // "the lowest", of several spoken of.
    if (m.ids.empty() && isAlone(rank) && them_.size() > 1)
        m = {at_, them_};
    if (m.ids.empty()) {
        at_ = start;
        return 0;
    }
    std::vector<int> ids = m.ids;
    if (other)
        std::erase_if(
            ids, [&](int id) { return std::find(them_.begin(), them_.end(), id) != them_.end(); });
    if (const auto count = static_cast<int>(ids.size()); order > count)
        ids.clear();
    else if (order != 0)
        ids = {ids[static_cast<std::size_t>(order > 0 ? order - 1 : count - 1)]};
    if (rank != Rank::none && ids.size() > 1)
        if (const int is = ranked(rank, ids, job_); is != 0)
            ids = {is};
    if (corner && ids.size() > 1)
        if (const int is = farthest(*corner, ids, job_); is != 0)
            ids = {is};
    if ((left || right) && ids.size() > 1) {
        // Of those that stand at one wall as one faces that, of others as they are drawn.
        const auto scene = sceneOf(job_);
        const auto wall = scene ? wallBehind(**scene, ids.front()) : std::nullopt;
        const bool alike =
            wall && std::all_of(ids.begin(), ids.end(), [&](int id) {
                return scheme().byId(id)->on.isFloor() && wallBehind(**scene, id) == wall;
            });
        const auto x = [&](int id) {
            const Piece& p = *scheme().byId(id);
            const Placed* there = alike ? (*scene)->inPlan(id) : nullptr;
            return there == nullptr
                       ? p.pose.at.x
                       : dot(there->pose.at,
                             job_.room->walls[static_cast<std::size_t>(*wall)].along());
        };
        // Out in the room, the left one of two that stand either side of a thing.
        const auto beside = [&](int id) -> const Tie* {
            for (const Tie& t : scheme().byId(id)->ties)
                if (t.kind == Tie::Kind::fromPiece &&
                    (t.side == Side::left || t.side == Side::right))
                    return &t;
            return nullptr;
        };
        const Tie* tie = alike ? nullptr : beside(ids.front());
        if (tie != nullptr && std::all_of(ids.begin(), ids.end(), [&](int id) {
                return beside(id) != nullptr && beside(id)->of == tie->of;
            }))
            if (const auto of =
                    std::find_if(ids.begin(), ids.end(),
                                 [&](int id) { return (beside(id)->side == Side::left) == left; });
                of != ids.end()) {
                at_ = m.end;
                return *of;
            }
        std::sort(ids.begin(), ids.end(),
                  [&](int a, int b) { return left ? x(a) < x(b) : x(a) > x(b); });
        // Side by side as one sees them, or neither is the left one.
        if (std::abs(x(ids[0]) - x(ids[1])) > quiet.mm())
            ids.resize(1);
    }
    if (ids.size() == 1) {
        at_ = m.end;
        return ids.front();
    }
    std::vector<std::string> names;
    for (const int id : ids)
        names.push_back(scheme().byId(id)->name);
    if (ids.empty()) {
        at_ = start;
        return 0;
    }
    failWhich(start, m.end - start,
              worded("“{}” could be {}", text_.substr(start, m.end - start), listed(names, "or")),
              one ? "name it" : "say which");
}

WordsReader::Match WordsReader::meantHere(bool several) {
    skip();
    const std::size_t start = at_;
    const auto& names = plainNames();
    // By its kind, or by the beginning of its name, longest first.
    std::vector<std::size_t> stops;
    for (std::size_t e = at_, next = endOfWord(text_, e); next > e && stops.size() < 5;
         next = endOfWord(text_, e)) {
        e = next;
        stops.push_back(e);
    }
    for (auto it = stops.rbegin(); it != stops.rend(); ++it) {
        const auto slice = text_.substr(start, *it - start);
        const auto said = plainWord(slice);
        if (said.find_first_not_of("0123456789") == std::string::npos || severalAndAFigure(slice) ||
            (several && endsInAFigure(slice)))
            continue;
        const auto kindNamed = job_.library.kit->byWord(slice);
        Match m;
        m.end = *it;
        // "floor" is no floor lamp.
        const bool ofRoom = said == "floor" || said == "wall" || said == "ceiling" ||
                            said == "door" || said == "window" || said == "room" ||
                            said == "corner";
        const auto last = " " + said;
        // Nor is "desk" a desk chair, or "table" a lamp: it is a thing itself.
        const auto& kinds = job_.library.kit->kinds();
        const bool isThing = kindNamed || job_.library.kit->usuallyMeant(said) ||
                             std::any_of(kinds.begin(), kinds.end(),
                                         [&](const KindPtr& k) { return k->name.ends_with(last); });
        const auto begins = ofRoom || isThing ? std::string("\n") : said + " ";
        for (std::size_t i = 0; i < names.size(); ++i) {
            // "the table" is whatever one of the room is called or is a table.
            const Piece& p = scheme().pieces[i];
            if (p.kind == kindNamed || names[i].own == said || names[i].own.starts_with(begins) ||
                names[i].own.ends_with(last) || names[i].kind.ends_with(last))
                m.ids.push_back(p.id);
        }
        // "the tv", of one that hangs on a wall.
        if (m.ids.empty() && kindNamed)
            for (const Piece& p : scheme().pieces)
                if (std::any_of(p.kind->also.begin(), p.kind->also.end(), [&](const auto& a) {
                        return a == foldCase(kindNamed->name) + " on the wall";
                    }))
                    m.ids.push_back(p.id);
        // "the light": what hangs from the ceiling, or else whatever gives light.
        for (const bool overhead : {true, false})
            if (m.ids.empty() && (said == "light" || said == "lighting"))
                for (const Piece& p : scheme().pieces)
                    if (p.kind->family == Family::light && (p.kind->underCeiling() || !overhead))
                        m.ids.push_back(p.id);
        // "the dining table", of a round one.
        if (const auto noun = said.substr(said.rfind(' ') + 1);
            m.ids.empty() && kindNamed && kindNamed->role != Role::none && noun != said)
            for (const Piece& p : scheme().pieces)
                if (p.kind->role == kindNamed->role && p.kind->family == kindNamed->family &&
                    plainWord(p.kind->name).ends_with(" " + noun))
                    m.ids.push_back(p.id);
        // "the table" is no table lamp, where there is a table.
        const auto isOne = [&](int id) {
            const Piece& p = *scheme().byId(id);
            // "Throne 2" is one of the thrones.
            auto own = plainWord(p.name);
            if (endsInAFigure(own))
                own.resize(own.find_last_of(' '));
            return p.kind == kindNamed || own == said || own.ends_with(last) ||
                   plainWord(p.kind->name).ends_with(last);
        };
        if (std::any_of(m.ids.begin(), m.ids.end(), isOne))
            std::erase_if(m.ids, [&](int id) { return !isOne(id); });
        // "the chairs", of an armchair and one called Right chair: of its kind only by its end.
        const bool plural = several || slice.ends_with('s') || slice.ends_with('S');
        const bool byName = std::none_of(m.ids.begin(), m.ids.end(), [&](int id) {
            const Piece& p = *scheme().byId(id);
            return p.kind == kindNamed || plainWord(p.kind->name).ends_with(last);
        });
        if (said.size() > 3 && (m.ids.empty() || (byName && plural)))
            for (const Piece& p : scheme().pieces)
                if (plainWord(p.kind->name).ends_with(said) &&
                    std::find(m.ids.begin(), m.ids.end(), p.id) == m.ids.end())
                    m.ids.push_back(p.id);
        if (!m.ids.empty())
            return m;
        // "the chest", of a chest of drawers.
        // Not "the tv", of a tv stand.
        for (const Piece& p : scheme().pieces)
            if (kindNamed && p.kind->family == kindNamed->family &&
                std::any_of(p.kind->also.begin(), p.kind->also.end(), [&](const std::string& a) {
                    return plainWord(a).starts_with(said + " ");
                }))
                m.ids.push_back(p.id);
        if (!m.ids.empty())
            return m;
    }
    return {};
}

std::vector<int> WordsReader::pieces() {
    const std::size_t start = at();
    if (!them_.empty() && take({"them all", "all of them", "both of them", "them", "these", "those",
                                "they", "both"})) {
        const bool alone = done() || ahead().empty() || phraseAhead(*this, false) ||
                           lengthAhead() || ahead() == "and" || ahead() == "as" || ahead() == "a" ||
                           ahead() == "by" || ahead() == "to" || ahead() == "evenly" ||
                           ahead() == "out" || ahead() == "apart" || ahead() == "together";
        if (alone)
            return them_;
    }
    at_ = start;
    if (take({"everything", "all of it", "all pieces", "all the pieces"})) {
        // "everything on wall B a foot to the left" is what is there, not all.
        if (const std::size_t where = at(); take({"on", "along", "against", "at", "by"})) {
            if (takeWall(*this) && !done()) {
                at_ = start;
                return {};
            }
            at_ = where;
        }
        std::vector<int> all;
        for (const Piece& p : scheme().pieces)
            if (p.group() == 0)
                all.push_back(p.id);
        if (!all.empty())
            return all;
        at_ = start;
    }
    const bool each = take({"each one of the", "every one of the", "each of the", "each of",
                            "all of the", "all the", "every", "each", "all"});
    const bool every = each || take({"both of the", "both the", "both"});
    article();
    const std::size_t here = at();
    if (take({"end chairs", "chairs at the ends", "chairs at its ends"}))
        if (auto ids = endChairs(scheme()); ids.size() > 1)
            return ids;
    at_ = here;
    const auto m = meantHere(each);
    const auto said = text_.substr(here, m.end > here ? m.end - here : 0);
    // A name is one piece, unless it was said of several: "armchairs", with one called Armchair.
    if (const auto named = longestName(); named.end > 0 && !each) {
        const auto& name = scheme().byId(named.ids.front())->name;
        if (named.end > m.end || foldCase(text_.substr(here, named.end - here)) == foldCase(name)) {
            at_ = start;
            return {};
        }
    }
    const bool several = said.ends_with('s') || said.ends_with('S');
    // "every chair" may be one; "curtains" is one pair as well.
    if (m.ids.size() < (each ? 1U : 2U) || !(several || every) ||
        (!each && scheme().byId(m.ids.front())->kind->name.ends_with('s'))) {
        at_ = start;
        return {};
    }
    at_ = m.end;
    return m.ids;
}

KindPtr WordsReader::kind() {
    skip();
    kindsOffered_.insert(at_);
    KindPtr best;
    std::size_t e = at_;
    std::size_t end = at_;
    for (int words = 0; words < 6; ++words) {
        const std::size_t next = endOfWord(text_, e);
        if (next == e)
            break;
        e = next;
        if (auto k = job_.library.kit->byWord(text_.substr(at_, e - at_))) {
            best = k;
            end = e;
        }
    }
    // "a printer table" is no printer, and "a piano bench" a bench.
    if (const std::size_t next = endOfWord(text_, end); best && next > end)
        if (const auto word = foldCase(trimmed(text_.substr(end, next - end)));
            isFurnitureWord(word)) {
            best = job_.library.kit->byWord(word);
            at_ = best ? next : at_;
            return best;
        }
    at_ = end;
    return best;
}

} // namespace mezzet
