#include "edit/line.h"

#include "edit/drag.h"
#include "edit/new_piece.h"
#include "edit/phrase.h"
#include "edit/pieces.h"
#include "edit/place.h"
#include "edit/preview.h"
#include "edit/several.h"
#include "edit/sizes_said.h"
#include "edit/subjects.h"
#include "edit/verb.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

namespace {

class LineReader {
public:
    LineReader(std::string_view text, const Project& job, ScenePtr scene, int selected,
               SurfaceId surface)
        : in(text, job), job_(job), scene_(std::move(scene)), selected_(selected),
          surface_(surface) {}

    WordsReader in;
    std::vector<std::string> notices; ///< how something was taken that could be meant otherwise

    Edit read() {
        if (auto e = readVerb(*this, in, verbs()))
            return *e;
        if (auto grouping = readGrouping(in, *scene_, selected_))
            return *grouping;
        if (auto arranging = readArranging(in, *scene_, selected_))
            return *arranging;
        if (auto setting = readSetting(in))
            return *setting;
        const bool fresh = in.take({"add", "another", "new"});
        if (fresh || in.take({"put", "place", "hang", "stand", "lay"}))
            in.take({"another", "new"});
        return put(fresh);
    }

    static const std::vector<Verb<LineReader>>& verbs() {
        static const std::vector<Verb<LineReader>> all{
            {{{"move", "shift", "push", "pull", "slide", "nudge"},
              "puts a piece elsewhere, or by a step",
              "move sofa 6 left; push sofa 6 back"},
             &LineReader::move},
            {{{"turn", "rotate", "spin"},
              "turns it clockwise by degrees, to a turn, or to look at something",
              "turn sofa a quarter; turn sofa 30; turn sofa to 30; turn sofa to face wall A"},
             &LineReader::turn},
            {{{"size", "resize", "make"},
              "its width, depth and height; of what hangs width, height and depth; several at once",
              "size sofa 78 x 36; size all dining chairs 18 x 20"},
             &LineReader::size},
            {{{"raise"}, "higher on its wall", "raise mill 2"}, &LineReader::raise},
            {{{"lower"}, "lower on its wall", "lower mill 2"}, &LineReader::lower},
            {{{"swap"}, "each where the other was", "swap sofa and sideboard"}, &LineReader::swap},
            {{{"replace"},
              "another kind in its place, under the same ties",
              "replace sofa by loveseat"},
             &LineReader::replace},
            {{{"rename", "call"}, "another name", "rename sofa to long sofa"}, &LineReader::rename},
            {{{"copy", "duplicate"}, "one more of it, beside it", "copy sofa as second sofa"},
             &LineReader::copy},
            {{{"remove", "delete", "take away", "take out"},
              "takes it out; what was tied to it keeps its place",
              "remove sofa; remove sofa and rug"},
             &LineReader::remove},
            {{{"lock"}, "keeps it where it is, whatever its ties say", "lock sofa and rug"},
             &LineReader::lockThem},
            {{{"unlock"}, "lets it move again", "unlock sofa"}, &LineReader::unlockThem},
            {{{"free", "untie"},
              "lets go of its ties, or of those to one thing",
              "free sofa; free coffee table from sofa"},
             &LineReader::free},
        };
        return all;
    }

private:
    int subject() { return readSubject(in, selected_); }
    std::vector<int> subjects() { return readSubjects(in, selected_); }

    const Piece& pieceOf(int id) const { return *in.scheme().byId(id); }
    Piece placedPiece(int id) const { return asItStands(job_, *scene_, id); }

    Edit remove() {
        std::vector<int> ids;
        do {
            const auto all = allOfAKind(in);
            if (all.empty())
                ids.push_back(subject());
            else
                ids.insert(ids.end(), all.begin(), all.end());
        } while (in.comma() || in.take({"and"}));
        in.nothingMore();
        return removePieces(job_, ids);
    }

    Edit turn() {
        const int id = subject();
        in.take({"by"});
        const std::size_t at = in.at();
        // "to 30" and "to the window": degrees, or what it looks at.
        if (in.take({"to"}) && in.ahead() != "face") {
            Tie t;
            const auto w = in.ahead();
            if (w.empty() || w[0] == '-' || (w[0] >= '0' && w[0] <= '9')) {
                t.kind = Tie::Kind::turned;
                t.turn = Angle::degrees(in.number("the turn")).normalised();
                in.take({"degrees", "degree", "deg"});
            } else {
                t.kind = Tie::Kind::facing;
                t.of = in.target();
            }
            in.nothingMore();
            return retie(pieceOf(id), t, at);
        }
        in.goTo(at);
        if (in.take({"to face", "facing"})) {
            in.goTo(at);
            return place(placedPiece(id), at);
        }
        in.article();
        Angle by;
        if (in.take({"half", "round", "around"}))
            by = Angle::degrees(180);
        else if (in.take({"quarter"}) || in.done())
            by = Angle::degrees(90);
        else
            by = Angle::degrees(in.number("the turn"));
        in.take({"degrees", "degree", "deg", "turn"});
        if (in.take({"left", "anticlockwise", "counterclockwise"}))
            by = -by;
        in.take({"right", "clockwise", "turn"});
        in.nothingMore();
        auto edit = turnBy(job_, *scene_, {id}, by);
        if (!edit)
            in.refuse(edit.problem(), at);
        return *edit;
    }

    Edit size() {
        const auto ids = subjects();
        if (ids.size() > 1) {
            in.take({"to"});
            const std::size_t at = in.at();
            Edit e;
            e.words = worded("size {} pieces", ids.size());
            for (const int id : ids) {
                in.goTo(at);
                Piece p = placedPiece(id);
                if (!readSizes(in, p, false, notices))
                    in.failAhead("which size?", "say it like: size all dining chairs 18 x 20");
                e.acts.emplace_back(PutPiece{std::move(p)});
            }
            in.nothingMore();
            return e;
        }
        Piece p = placedPiece(ids.front());
        in.take({"to"});
        const std::size_t at = in.at();
        if (!readSizes(in, p, false, notices) && in.done())
            in.failAhead("which size?", "say it like: size sofa 78 x 36");
        auto e = place(p, at);
        e.words = worded("size {}", p.name);
        return e;
    }

    Edit rename() {
        Piece p = pieceOf(subject());
        in.take({"to", "as"});
        const std::size_t at = in.at();
        auto n = in.name();
        in.nothingMore();
        checkName(n, p.id, at);
        Edit e;
        e.words = worded("call {} {}", p.name, n);
        p.name = std::move(n);
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }

    void checkName(const std::string& n, int id, std::size_t at) {
        if (characterCount(n) > mostNameLength || plainWord(n).empty())
            in.fail(at, n.size(), "that is no name for a piece",
                    worded("use 1 to {} characters", mostNameLength));
        if (const auto* other = in.scheme().byName(n); other != nullptr && other->id != id)
            in.fail(at, n.size(), worded("there is a piece called {} already", other->name),
                    "choose another name");
    }

    Edit copy() {
        const Piece& source = pieceOf(subject());
        Piece p = copyOf(source, *scene_->byId(source.id), in.scheme());
        if (in.take({"as", "called", "named"})) {
            const std::size_t at = in.at();
            p.name = in.name();
            checkName(p.name, 0, at);
        }
        if (!p.onWall())
            p.pose.at = freePlace(*scene_, p, p.pose.at);
        else
            p.pose.at.x += (p.size.width + Length::inches(2)).mm();
        auto e = place(std::move(p), in.at());
        e.words = worded("copy {}", source.name);
        return e;
    }

    Edit lock(bool on) {
        const auto ids = subjects();
        in.nothingMore();
        return lockPieces(job_, *scene_, ids, on);
    }

    Edit raise() { return up(1); }
    Edit lower() { return up(-1); }

    /// "raise mill 2", "lower mill by 2"
    Edit up(double way) {
        const std::size_t at = in.at();
        const Piece& p = pieceOf(subject());
        in.take({"by"});
        const Length by = in.length("how far");
        in.nothingMore();
        if (!p.onWall())
            in.fail(at, in.at() - at, worded("{} does not hang on a wall", p.name),
                    "name something that does");
        auto e = stepPiece(job_, *scene_, p.id, {0, way * by.mm()});
        if (!e)
            in.refuse(e.problem(), at);
        return *e;
    }

    /// "swap sofa and sideboard": each takes the other's ties, place and turn.
    Edit swap() {
        const std::size_t at = in.at();
        const int one = subject();
        if (!in.take({"and", "with", "for"}))
            in.failAhead("with what?", "say it like: swap sofa and sideboard");
        const int other = subject();
        in.nothingMore();
        auto e = swapPieces(job_, *scene_, one, other);
        if (!e)
            in.refuse(e.problem(), at);
        return *e;
    }

    /// "replace sofa by loveseat": the new one has its ties, and what was tied to it.
    Edit replace() {
        const int id = subject();
        if (!in.take({"by", "with", "for"}))
            in.failAhead("by what?", "say it like: replace sofa by loveseat");
        in.article();
        const std::size_t at = in.at();
        const KindPtr kind = in.kind();
        if (!kind)
            in.failAhead(in.done() ? "by what?" : worded("the kit has no “{}”", firstWords()));
        auto instead = asAnother(job_, asItStands(job_, *scene_, id), kind);
        if (!instead)
            in.fail(at, in.at() - at, instead.problem().what, instead.problem().remedy);
        Piece p = *instead;
        const std::string before = pieceOf(id).name;
        readSizes(in, p, false, notices);
        in.nothingMore();
        Edit e;
        e.words = worded("replace {} by {}", before, p.name);
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }

    Edit lockThem() { return lock(true); }
    Edit unlockThem() { return lock(false); }

    Edit free() {
        Piece p = placedPiece(subject());
        Edit e;
        e.words = worded("free {}", p.name);
        if (in.take({"from", "of"})) {
            const std::size_t at = in.at();
            const auto t = in.target();
            const auto count = std::erase_if(p.ties, [&](const Tie& tie) {
                return tie.of == t || tie.also == t ||
                       (t.is == Target::Is::piece && tie.refersTo(t.piece)) ||
                       (t.is == Target::Is::corner && tie.of.is == t.is && tie.of.index == t.index);
            });
            if (count == 0)
                in.fail(at, in.at() - at,
                        worded("{} is not tied to {}", p.name, words(t, job_.wording())),
                        "see its ties on the tape");
            e.words += " from " + words(t, job_.wording());
        } else {
            p.ties.clear();
        }
        in.nothingMore();
        e.acts.emplace_back(PutPiece{std::move(p)});
        return e;
    }

    Edit move() {
        const int id = subject();
        in.take({"to"});
        if (in.done())
            in.failAhead(worded("where does {} go?", pieceOf(id).name),
                         "say it like: against wall A, or: 6 left");
        return place(placedPiece(id), in.at());
    }

    /// "sofa 84 x 36 x 34 against wall C": a new piece, or one that is there.
    Edit put(bool fresh) {
        if (auto many = readSeveral(in, *scene_, surface_))
            return *many;
        in.article();
        const std::size_t start = in.at();
        if (in.done())
            in.failAhead("nothing is said yet", "name a piece, like: sofa 84 x 36 against wall A");
        Piece p;
        const bool sizeFirst = sizesBeforeKind(in);
        int there = fresh || sizeFirst ? 0 : spokenOf(start);
        if (there == 0) {
            if (auto kind = in.kind()) {
                if (kind->role == Role::group)
                    in.fail(start, in.at() - start, "a group is made of pieces that hang",
                            "say it like: group harbour, mill and barn as a row");
                p = mezzet::pieceOf(kind);
                p.pose.at = scene_->room->middle();
            } else if (fresh) {
                in.failAhead(worded("the kit has no “{}”", firstWords()));
            } else if (selected_ != 0 && (phraseAhead(in, false) || in.lengthAhead())) {
                there = selected_;
            } else if (there = in.piece(); there == 0) {
                in.failAhead(worded("I don't know “{}”", firstWords()));
            }
        }
        const bool isNew = there == 0;
        if (!isNew)
            p = placedPiece(there);
        if (const std::size_t here = in.at(); sizeFirst) {
            in.goTo(start);
            readSizes(in, p, isNew, notices);
            in.goTo(here);
        }
        bool called = callIt(p, isNew);
        readSizes(in, p, isNew, notices);
        called = callIt(p, isNew) || called;
        if (isNew && !called)
            p.name = in.scheme().freeName(p.kind->name);
        return place(std::move(p), start);
    }

    /// "it", or a piece by its name; 0 when the line begins otherwise.
    int spokenOf(std::size_t start) {
        if (selected_ != 0 && in.take({"it", "this"}))
            return selected_;
        return startsPiece(start) ? in.piece() : 0;
    }

    /// The words from here up to something known, for a message.
    std::string firstWords() {
        const auto r = in.rest().substr(0, in.rest().find(','));
        const auto words = trimmed(r.substr(0, r.find_first_of("0123456789")));
        return std::string(words.empty() ? trimmed(r) : words);
    }

    /// True when an existing piece's whole name stands here, and not as the beginning of the name
    /// of a kind that says more ("table lamp" when there is a piece called Table).
    bool startsPiece(std::size_t start) {
        in.goTo(start);
        std::size_t asKind = start;
        if (in.kind())
            asKind = in.at();
        in.goTo(start);
        std::size_t asPiece = start;
        try {
            const int id = in.piece();
            if (id != 0)
                asPiece = in.at();
            const auto said = id == 0 ? std::string() : plainWord(in.scheme().byId(id)->name);
            const bool exact = id != 0 && plainWord(in.since(start)) == said;
            in.goTo(start);
            if (asKind > start && !exact)
                return false; // a kind's name by itself adds one
        } catch (const LineFault&) {
            in.goTo(start);
            if (asKind == start)
                throw;
            return false;
        }
        // "sofa called second sofa" adds one all the same, wherever in the line that is said.
        if (asPiece > start && asPiece >= asKind) {
            bool another = false;
            in.goTo(asPiece);
            while (asKind > start && !another && !in.done() && in.ahead() != "because") {
                if (in.comma())
                    continue;
                const auto w = in.word();
                another = w == "called" || w == "named";
            }
            in.goTo(start);
            return !another;
        }
        return false;
    }

    bool callIt(Piece& p, bool isNew) {
        const std::size_t before = in.at();
        in.comma();
        if (!in.take({"called", "named"})) {
            in.goTo(before);
            return false;
        }
        const std::size_t at = in.at();
        p.name = in.name(saidOf(*p.kind));
        checkName(p.name, isNew ? 0 : p.id, at);
        return true;
    }

    /// The rest of the line: where the piece goes.
    Edit place(Piece p, std::size_t start) {
        auto said = readPlacement(in, p, *scene_, surface_);
        if (said.apart)
            in.fail(said.apartAt, in.at() - said.apartAt, "only several things are apart",
                    "say it like: two armchairs, 24 apart");
        if (!said.name.empty())
            checkName(said.name, p.id, said.nameAt);
        auto e = placePiece(job_, *scene_, std::move(p), std::move(said));
        if (!e)
            in.refuse(e.problem(), start);
        return *e;
    }

    Edit retie(const Piece& p, const Tie& tie, std::size_t start) {
        auto e = tiePiece(job_, *scene_, p.id, tie);
        if (!e)
            in.refuse(e.problem(), start);
        return *e;
    }

    const Project& job_;
    ScenePtr scene_;
    int selected_;
    SurfaceId surface_; ///< the one looked at
};

} // namespace

std::vector<VerbHelp> pieceVerbs() {
    return helpOf(LineReader::verbs());
}

Result<Said> readLine(std::string_view text, const Project& job, int selected, SurfaceId surface) {
    if (text.size() > 2000)
        return Problem{"the line is too long", "say it in several"};
    if (!isText(text))
        return Problem{"the line is not text", "type it again"};
    if (text.find("; then ") != std::string_view::npos)
        return readChain(text, job, selected, surface);
    auto scene = sceneOf(job);
    if (!scene)
        return scene.problem();
    try {
        LineReader reader(text, job, *scene, selected, surface);
        Said said;
        said.edit = reader.read();
        said.edit.notices.insert(said.edit.notices.begin(), reader.notices.begin(),
                                 reader.notices.end());
        if (!reader.in.done())
            reader.in.failAhead(worded("“{}” is left over", reader.in.rest()),
                                "take it out, or put a comma before it");
        auto after = apply(job, said.edit);
        if (!after) {
            Problem p = after.problem();
            if (p.column == 0)
                p.column = 1;
            return p;
        }
        said.preview = previewOf(job, **scene, said.edit, *after);
        return said;
    } catch (const LineFault& f) {
        return f.problem;
    }
}

std::vector<Completion> completions(std::string_view text, const Project& job, int selected,
                                    SurfaceId surface) {
    std::vector<Completion> out;
    auto scene = sceneOf(job);
    if (!scene || !isText(text))
        return out;
    LineReader reader(text, job, *scene, selected, surface);
    try {
        reader.read();
    } catch (const LineFault&) {
        // What was tried before the fault is just what we are after.
    }
    // Every place a candidate was tried from which the rest of the line begins it.
    for (std::size_t at = 0; at <= text.size(); ++at) {
        const auto part = foldCase(text.substr(at));
        for (const auto& w : reader.in.offered(at)) {
            if (w.size() <= part.size() || !foldCase(w).starts_with(part))
                continue;
            if (part.empty() && at > 0 && text[at - 1] != ' ' && text[at - 1] != ',')
                continue;
            auto whole = std::string(text.substr(0, at)) + w;
            if (std::none_of(out.begin(), out.end(),
                             [&](const Completion& c) { return c.text == whole; }))
                out.push_back({std::move(whole), w});
        }
    }
    return out;
}

} // namespace mezzet
