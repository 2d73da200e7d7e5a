// From one season's dressing to another: what goes back in the cupboard, what comes out of it and
// where it goes, what moves, and what stays.
#include "colour/families.h"
#include "judge/compare.h"
#include "kit/csv.h"
#include "measure/text.h"
#include "measure/texts.h"
#include "sheets/table_pages.h"
#include "sheets/tr.h"
#include "things/dressed.h"

#include <algorithm>

namespace mezzet::sheets {

namespace {

struct ChangeRow {
    enum class Is { goes, comes, moves, recoloured };
    Is is = Is::moves;
    std::string name;
    std::string kind;
    std::string words; ///< where it goes, or how it changes
    std::string swatch;
};

struct Changes {
    std::string from;
    std::string to;
    std::vector<ChangeRow> rows;
    std::size_t stay = 0;
};

/// The scheme it begins with: the one named, else the one before the active one, else the next.
Result<std::size_t> schemeBefore(const Project& job, const std::string& named) {
    const auto here = job.schemesHere();
    if (!named.empty()) {
        for (const std::size_t i : here)
            if (foldCase(job.schemes[i]->name) == foldCase(named) && i != job.active)
                return i;
        return Problem{worded("there is no other scheme “{}” of this room", shownPlainly(named)),
                       std::string(told("name one of its schemes"))};
    }
    if (here.size() < 2)
        return Problem{std::string(told("there is one scheme only")),
                       std::string(told("begin another, like: season Autumn"))};
    const auto at = std::find(here.begin(), here.end(), job.active);
    return at == here.begin() || at == here.end() ? here[1] : *(at - 1);
}

std::string whereOf(const Project& job, std::size_t scheme, const Scene& scene, const Piece& p) {
    const Wording say{*scene.room, *job.schemes[scheme], job.notation};
    std::string out = words(p.on, say);
    if (p.on.isCarried())
        for (const DressedSurface& s : dressedSurfaces(scene, p.on.piece))
            for (const DressedThing& t : s.things)
                if (t.id == p.id)
                    out = worded("{}, {} from the left", words(s.id, say),
                                 write(Length::millimetres(t.at.x), job.notation));
    return out;
}

Result<Changes> changesOf(const Project& job, const SheetOptions& o) {
    const auto before = schemeBefore(job, o.of);
    if (!before)
        return before.problem();
    const auto a = summaryOf(job, *before);
    if (!a)
        return a.problem();
    const auto b = summaryOf(job, job.active);
    if (!b)
        return b.problem();
    Changes out;
    out.from = a->name;
    out.to = b->name;
    const auto swatchOf = [](const Piece& p) {
        const auto c = colourOf(p);
        return c ? hexOf(*c) : std::string();
    };
    std::size_t differ = 0;
    for (const PieceDifference& d : differencesBetween(job, *a, *b)) {
        const Piece* first = d.first != 0 ? a->scene->pieceById(d.first) : nullptr;
        const Piece* second = d.second != 0 ? b->scene->pieceById(d.second) : nullptr;
        const Piece& p = second != nullptr ? *second : *first;
        if (p.isGroup())
            continue;
        ChangeRow r;
        r.name = d.name;
        r.kind = foldCase(p.kind->name);
        r.swatch = swatchOf(p);
        using How = PieceDifference::How;
        if (d.how == How::onlyFirst) {
            r.is = ChangeRow::Is::goes;
            r.words = whereOf(job, *before, *a->scene, *first);
        } else if (d.how == How::onlySecond) {
            r.is = ChangeRow::Is::comes;
            r.words = whereOf(job, job.active, *b->scene, *second);
        } else {
            ++differ;
            r.words = d.words + ", " + whereOf(job, job.active, *b->scene, *second);
        }
        out.rows.push_back(std::move(r));
    }
    std::size_t both = 0;
    for (const Piece& p : b->scene->scheme->pieces) {
        const Piece* was = a->scene->scheme->byName(p.name);
        if (was == nullptr || p.isGroup())
            continue;
        ++both;
        // The same thing in another colour: another cover.
        if (was->kind == p.kind && colourOf(*was) != colourOf(p) && colourOf(p) && colourOf(*was))
            out.rows.push_back({ChangeRow::Is::recoloured, p.name, foldCase(p.kind->name),
                                worded("in {} instead of {}", colourWord(*colourOf(p)),
                                       colourWord(*colourOf(*was))),
                                swatchOf(p)});
    }
    out.stay = both - std::min(both, differ);
    if (out.rows.empty())
        return Problem{worded("nothing differs between {} and {}", out.from, out.to),
                       std::string(told("change something in one of them"))};
    return out;
}

Result<Sheet> changesPages(const Project& job, const SheetOptions& o) {
    const auto made = changesOf(job, o);
    if (!made)
        return made.problem();
    TablePages t;
    t.sheet = worded("From {} to {}", made->from, made->to);
    t.caution = worded("{} things stay where they are. Heavy things low; no open flame on a shelf; "
                       "what hangs over heads is hung by two.",
                       made->stay);
    t.columns = {{"", 2.2, false}, {"", 1.4, false}, {"", 4.4, false}};
    for (const auto& [is, heading] :
         {std::pair{ChangeRow::Is::goes, tr("Goes back in the cupboard")},
          std::pair{ChangeRow::Is::comes, tr("Out of the cupboard")},
          std::pair{ChangeRow::Is::moves, tr("Moves")},
          std::pair{ChangeRow::Is::recoloured, tr("In another colour")}}) {
        bool begun = false;
        for (const ChangeRow& r : made->rows) {
            if (r.is != is)
                continue;
            if (!begun) {
                TableRow h;
                h.is = TableRow::Is::heading;
                h.cells = {std::string(heading)};
                t.rows.push_back(std::move(h));
                begun = true;
            }
            TableRow row;
            row.tick = true;
            row.swatch = r.swatch;
            row.cells = {r.name, r.kind, r.words};
            t.rows.push_back(std::move(row));
        }
    }
    return tableSheet(job, o, std::move(t));
}

Result<std::string> changesTable(const Project& job, const SheetOptions& o) {
    const auto made = changesOf(job, o);
    if (!made)
        return made.problem();
    constexpr std::array<const char*, 4> what{"away", "out", "moves", "colour"};
    std::string out = "what,name,kind,where\n";
    for (const ChangeRow& r : made->rows)
        out += fmt::format("{},{},{},{}\n", what.at(static_cast<std::size_t>(r.is)),
                           csvCell(r.name), csvCell(r.kind), csvCell(r.words));
    return out;
}

} // namespace

const SheetKind changesSheet{"changes",
                             "From one season to the next",
                             "For whoever changes it over: what goes, what comes, what moves.",
                             {Asks::paper},
                             changesPages,
                             changesTable};

} // namespace mezzet::sheets
