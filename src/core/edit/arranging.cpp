// The lines about how pieces stand to each other: tables and chairs, lining up, spreading,
// mirroring, and what is put away for the other arrangement.
#include "edit/arrange.h"
#include "edit/phrase.h"
#include "edit/verb.h"
#include "measure/text.h"
#include "measure/texts.h"

#include <algorithm>
#include <cmath>

namespace mezzet {

void noSuchPiece(WordsReader& in) {
    const std::size_t at = in.at();
    in.noneYet();
    if (int n = 0; in.takeCount(n)) // "two chairs"
        in.noneYet();
    in.goTo(at);
    std::size_t end = at;
    while (!in.done() && !in.ahead().empty() &&
           (end == at || (!in.lengthAhead() && !phraseAhead(in, false)))) {
        in.word();
        end = in.at();
    }
    const auto said = std::string(in.since(at));
    in.goTo(at);
    try {
        in.failAhead(worded("there is no piece called “{}”", said));
    } catch (LineFault& fault) {
        fault.problem.nameless = true;
        throw;
    }
}

int readSubject(WordsReader& in, int selected) {
    in.article();
    if (selected != 0 && in.take({"it", "this", "that"}))
        return selected;
    if (const std::size_t at = in.at();
        in.take({"it", "this", "that", "them", "both", "these", "they", "those"})) {
        if (const int group = in.theirGroup(); group != 0)
            return group;
        if (const int one = foldCase(in.since(at)) == "it" ? in.whatTheyAreAt() : 0; one != 0)
            return one;
        if (in.them().size() > 1)
            in.fail(at, in.at() - at, "that is several things", "name one of them");
        try {
            in.fail(at, in.at() - at, "nothing is selected, and nothing was named yet",
                    in.scheme().pieces.empty()
                        ? "there are no pieces yet"
                        : worded("name one, like {}", in.scheme().pieces.front().name));
        } catch (LineFault& fault) {
            fault.problem.nameless = true;
            throw;
        }
    }
    const int id = in.piece();
    if (id == 0 && in.done())
        in.failAhead("which piece?",
                     in.scheme().pieces.empty()
                         ? "there are no pieces yet"
                         : worded("name one, like {}", in.scheme().pieces.front().name));
    if (id == 0)
        noSuchPiece(in);
    return id;
}

std::vector<int> readSubjects(WordsReader& in, int selected) {
    std::vector<int> ids = in.pieces();
    if (!ids.empty())
        return ids;
    if (in.take({"all"})) {
        const std::size_t at = in.at();
        const auto kind = in.kind();
        if (!kind)
            in.failAhead("all of what?", "say it like: all dining chairs");
        for (const Piece& p : in.scheme().pieces) {
            if (p.kind == kind)
                ids.push_back(p.id);
        }
        if (ids.empty())
            in.fail(at, in.at() - at, worded("there is no {}", foldCase(kind->name)), "");
        return ids;
    }
    bool one = true; // the next is one piece
    for (;;) {
        if (one)
            ids.push_back(readSubject(in, selected));
        // "sofa, 6 left" goes on with a place, "sofa and rug" with another piece.
        const std::size_t here = in.at();
        in.comma();
        const bool more = in.take({"and", "with"}) || in.at() > here;
        const std::size_t next = in.at();
        const auto others = more ? in.pieces() : std::vector<int>();
        one = others.empty();
        if (!one) {
            ids.insert(ids.end(), others.begin(), others.end());
            continue;
        }
        in.article();
        const bool another = more && !in.done() && !in.lengthAhead() && !phraseAhead(in, false);
        in.goTo(another ? next : here);
        if (!another)
            return ids;
    }
}

namespace {

class ArrangingReader {
public:
    ArrangingReader(WordsReader& words, const Scene& scene, int selected)
        : in(words), job_(words.job()), scene_(scene), selected_(selected) {}

    std::optional<Edit> read() {
        // A table is seated; "seat 17" is the height of what is selected. "mirror" and "mirror 24 x
        // 36 on wall A" hang one; "mirror chairs left to right" turns them about.
        const std::size_t at = in.at();
        if (in.take({"seat"}) && in.lengthAhead()) {
            // "seat 6 at the supper table" is how many.
            const std::size_t number = in.at();
            in.word();
            in.take({"people", "chairs", "guests"});
            if (!in.take({"at", "around", "round"})) {
                in.goTo(at);
                return {};
            }
            const int table = subject();
            const std::size_t end = in.at();
            in.goTo(number);
            const double n = in.number("the chairs");
            in.goTo(end);
            return seatsAt(table, n, number);
        }
        in.goTo(at);
        if (in.take({"mirror"}) &&
            (in.done() || in.lengthAhead() || in.ahead().empty() || phraseAhead(in, false))) {
            in.goTo(at);
            return {};
        }
        in.goTo(at);
        return readVerb(*this, in, verbs());
    }

    static const std::vector<Verb<ArrangingReader>>& verbs() {
        static const std::vector<Verb<ArrangingReader>> all{
            {{{"seat"},
              "puts chairs at a table's places, as many as it gives elbow room when no number is "
              "said; they follow it, and spread anew when it is sized",
              "seat supper table; seat supper table with 6 dining armchairs"},
             &ArrangingReader::seatAt},
            {{{"align", "line up"},
              "with the first one, by fronts, backs, lefts, rights, middles or axis",
              "align sofa and bookcase by backs"},
             &ArrangingReader::align},
            {{{"spread"}, "the same gaps between them", "spread sofa, bookcase and rug evenly"},
             &ArrangingReader::spread},
            {{{"mirror"},
              "turns the layout about, or some pieces",
              "mirror the layout; mirror the layout front to back"},
             &ArrangingReader::mirror},
            {{{"put away", "store"},
              "out of the room in this arrangement, every day or for guests",
              "put away rug"},
             &ArrangingReader::putAway},
            {{{"bring out", "bring back"}, "brings back what is put away", ""},
             &ArrangingReader::bringOut},
        };
        return all;
    }

private:
    int subject() { return readSubject(in, selected_); }
    std::vector<int> subjects() { return readSubjects(in, selected_); }
    const Piece& pieceOf(int id) const { return *in.scheme().byId(id); }

    /// "supper table with 6 dining armchairs"
    Edit seatAt() {
        const int table = subject();
        in.take({"with", "for"});
        // Without a number, as many as its edge gives elbow room to.
        double n = 0;
        const std::size_t number = in.at();
        if (int said = 0; in.takeCount(said)) {
            n = said;
        } else if (in.done() || (in.ahead()[0] >= 'a' && in.ahead()[0] <= 'z')) {
            n = std::max(1, seatsBy(pieceOf(table), elbowRoom(job_)));
        } else {
            n = in.number("the chairs");
        }
        return seatsAt(table, n, number);
    }

    Edit seatsAt(int table, double n, std::size_t number) {
        const std::size_t at = number;
        if (n != std::floor(n))
            in.fail(number, in.at() - number, "chairs come whole", "say it like: with 6");
        KindPtr kind = in.kind();
        if (!kind && in.take({"chairs", "chair", "people"})) {
            // the usual ones
        }
        if (!kind)
            kind = usualChair(job_, table);
        in.nothingMore();
        auto e = kind ? seatTable(job_, scene_, table, static_cast<int>(n), kind)
                      : Result<Edit>(Problem{"the kit has no chair for a table", "add one to it"});
        if (!e)
            in.refuse(e.problem(), at);
        return *e;
    }

    Edit align() {
        // "line up the backs of sofa and bookcase"
        const std::size_t first = in.at();
        in.article();
        const bool backs = in.take({"backs of"});
        const bool fronts = !backs && in.take({"fronts of"});
        if (!backs && !fronts)
            in.goTo(first);
        const auto ids = subjects();
        if (backs || fronts) {
            in.nothingMore();
            return alignPieces(job_, scene_, ids, backs ? AlignBy::backs : AlignBy::fronts);
        }
        AlignBy by = AlignBy::fronts;
        in.take({"by", "at", "along", "the"});
        in.take({"their", "the"});
        if (in.take({"backs", "back"}))
            by = AlignBy::backs;
        else if (in.take({"lefts", "left"}))
            by = AlignBy::lefts;
        else if (in.take({"rights", "right"}))
            by = AlignBy::rights;
        else if (in.take({"middles across", "middles", "centres", "centers"}))
            by = AlignBy::middlesAcross;
        else if (in.take({"middles along", "axis"}))
            by = AlignBy::middlesAlong;
        else if (!in.take({"fronts", "front"}))
            in.failAhead("by what?", "say it like: align sofa and bookcase by backs");
        in.nothingMore();
        return alignPieces(job_, scene_, ids, by);
    }

    Edit spread() {
        const std::size_t at = in.at();
        const auto ids = subjects();
        in.take({"evenly"});
        in.nothingMore();
        auto e = spreadPieces(job_, scene_, ids);
        if (!e)
            in.refuse(e.problem(), at);
        return *e;
    }

    Edit mirror() {
        const std::size_t at = in.at();
        std::vector<int> ids;
        if (in.take({"the layout", "layout", "all", "everything", "the room"}) || in.done() ||
            in.ahead() == "left" || in.ahead() == "front") {
            for (const auto& p : job_.scheme().pieces)
                if (!p.onWall())
                    ids.push_back(p.id);
        } else {
            ids = subjects();
        }
        MirrorBy by = MirrorBy::leftRight;
        if (in.take({"front to back", "front back", "top to bottom"}))
            by = MirrorBy::frontBack;
        else
            in.take({"left to right", "left right"});
        in.nothingMore();
        auto e = mirrorPieces(job_, scene_, ids, by);
        if (!e)
            in.refuse(e.problem(), at);
        return *e;
    }

    Edit putAway() {
        const auto ids = subjects();
        in.nothingMore();
        std::vector<std::string> names;
        Edit e;
        for (const int id : ids) {
            names.push_back(pieceOf(id).name);
            e.acts.emplace_back(PutAway{id, true});
        }
        e.words = worded("put away {}", listed(names));
        return e;
    }

    Edit bringOut() {
        in.article();
        const std::size_t at = in.at();
        const auto said = plainWord(in.rest());
        Edit e;
        for (const auto& p : job_.scheme().away) {
            in.offer(p.name);
            if (plainWord(p.name) == said) {
                e.words = worded("bring out {}", p.name);
                e.acts.emplace_back(PutAway{p.id, false});
            }
        }
        if (e.acts.empty())
            in.fail(at, std::max<std::size_t>(in.rest().size(), 1),
                    "nothing of that name is put away", "see what is put away in the list");
        in.goTo(at + in.rest().size());
        return e;
    }

    WordsReader& in;
    const Project& job_;
    const Scene& scene_;
    int selected_;
};

} // namespace

std::vector<VerbHelp> arrangingVerbs() {
    return helpOf(ArrangingReader::verbs());
}

std::optional<Edit> readArranging(WordsReader& words, const Scene& scene, int selected) {
    return ArrangingReader(words, scene, selected).read();
}

} // namespace mezzet
