// Questions about carpets: of what they are best made, and where one should end.
#include "judge/floor_ways.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "scheme/rug.h"
#include "speech/questions.h"

#include <algorithm>

namespace mezzet {

namespace {

/// What the household needs, of all the words that are left; none of them an answer by itself.
std::vector<std::string> needsSaid(WordsReader& in, const RugBook& book) {
    std::vector<std::string> out;
    while (!in.done() && in.ahead() != "?") {
        const RugNeed* found = nullptr;
        std::size_t end = 0;
        for (const RugNeed& n : book.needs) {
            std::vector<std::string> words{n.id};
            words.insert(words.end(), n.also.begin(), n.also.end());
            for (const auto& w : words)
                if (const std::size_t there = in.endOf(foldCase(w)); there > end) {
                    end = there;
                    found = &n;
                }
        }
        if (found == nullptr) {
            if (!in.comma())
                in.word();
            continue;
        }
        in.goTo(end);
        if (std::find(out.begin(), out.end(), found->id) == out.end())
            out.push_back(found->id);
    }
    return out;
}

std::string briefly(const std::vector<std::string>& reasons) {
    return listed(
        {reasons.begin(),
         reasons.begin() + static_cast<std::ptrdiff_t>(std::min<std::size_t>(2, reasons.size()))},
        "and");
}

/// "which carpet is best for children and a dog?"
std::optional<Answer> whichMaterial(Asking& a) {
    const RugBook& book = *a.job.library.rugs;
    const auto needs = needsSaid(a.in, book);
    Answer out;
    if (needs.empty()) {
        std::vector<std::string> asks;
        for (const RugNeed& n : book.needs)
            asks.push_back(n.asks);
        out.words = worded("Say what matters, like: which carpet for children and a dog? {}",
                           listed(asks, "or"));
        return out;
    }
    const auto ranked = rankMaterials(book, needs);
    for (std::size_t i = 0; i < std::min<std::size_t>(3, ranked.size()); ++i) {
        const RankedMaterial& r = ranked[i];
        out.words += worded("{}{}: {}{}", i == 0 ? "" : "; ", r.material->name, briefly(r.speaks),
                            r.against.empty() ? std::string()
                                              : worded("{}{}", r.speaks.empty() ? "" : ", but ",
                                                       briefly(r.against)));
    }
    const RankedMaterial& last = ranked.back();
    if (!last.against.empty())
        out.words += worded(". Not {}: {}", last.material->name, briefly(last.against));
    return out;
}

/// "where should the hall rug end?": the lines the building gives, the best first.
std::optional<Answer> whereToEnd(Asking& a) {
    const std::size_t at = a.in.at();
    a.in.article();
    int id = 0;
    if (!a.in.done() && a.in.endOf("end") == 0 && a.in.endOf("it") == 0)
        id = a.piece();
    else
        a.in.take({"it"});
    if (id == 0)
        id = a.selected;
    if (!a.in.take({"end", "stop", "ends", "stops"}))
        return {};
    a.end();
    const Piece* rug = id != 0 ? a.job.scheme().byId(id) : nullptr;
    if (rug == nullptr || !rug->kind->flat())
        a.in.fail(at, std::max<std::size_t>(a.in.at() - at, 1), "which rug?",
                  "say it like: where should hall rug end?");
    struct End {
        std::string words;
        double cost = 0;
        double area = 0;
    };
    std::vector<End> ends;
    for (const Opening& o : a.job.room->openings) {
        if (!isWayIn(o))
            continue;
        Piece p = *rug;
        RugWork work = rugOf(p);
        if (!work.fit) {
            work.fit.emplace();
            work.fit->border = a.job.library.book->habit("rug-border");
        }
        work.fit->ends = {targetOf(o)};
        work.fit->clear.clear();
        tellRug(p, std::move(work));
        std::vector<std::string> notices;
        if (cutToFit(p, *a.job.room, notices))
            continue;
        Edit e;
        e.acts.emplace_back(PutPiece{p});
        const auto after = apply(a.job, e);
        if (!after)
            continue;
        End end;
        end.area = areaOf(p);
        std::vector<std::string> against;
        for (const Reading& r :
             judge(*after->scene, *a.job.library.book, after->project->judgement))
            if (r.piece == id && r.toMend() && r.rule->id.starts_with("rug-") &&
                r.rule->id != "rug-border") {
                end.cost += weightOf(r);
                against.push_back(whyOf(r, after->project->wording()));
            }
        end.words =
            worded("at {}, {} by {}{}", o.name(), write(p.size.width, a.job.notation),
                   write(p.size.depth, a.job.notation),
                   against.empty() ? std::string() : worded(" ({})", smallFirst(against.front())));
        ends.push_back(std::move(end));
    }
    if (ends.empty())
        return Answer{
            worded("No opening gives it a line to end on: end it a border off the walls")};
    // Those with least against them; of those the longest, so that no guest is left on a mat.
    std::stable_sort(ends.begin(), ends.end(), [](const End& x, const End& y) {
        return std::abs(x.cost - y.cost) > 1e-9 ? x.cost < y.cost : x.area > y.area;
    });
    Answer out;
    out.about = {id};
    out.words = worded("{} ends best {}", rug->name, ends.front().words);
    for (std::size_t i = 1; i < std::min<std::size_t>(3, ends.size()); ++i)
        out.words += worded("; or {}", ends[i].words);
    return out;
}

} // namespace

const std::vector<Question>& rugQuestions() {
    static const std::vector<Question> all{
        {{"which carpet for", "what carpet for", "which carpet is best for",
          "what carpet is best for", "which rug material for", "what rug material for",
          "which carpet suits", "what carpet suits", "which fibre for", "what fibre for",
          "which carpet", "what carpet"},
         [](Asking& a) -> std::optional<Answer> {
             // "what carpet fits here" is another question.
             const std::size_t at = a.in.at();
             if (a.in.take({"fits", "size", "do i need", "goes", "will fit", "holds"})) {
                 a.in.goTo(at);
                 return {};
             }
             return whichMaterial(a);
         },
         "fibres ranked by what the household needs, with the reasons",
         "which carpet for children and a dog?"},
        {{"where should", "where does", "where must", "where ought"},
         &whereToEnd,
         "the lines of the building a hall's rug ends best on",
         "where should rug end?"},
    };
    return all;
}

} // namespace mezzet
