#include "edit/gallery.h"

#include "edit/grouping.h"
#include "edit/landing.h"
#include "edit/new_piece.h"
#include "edit/place.h"
#include "edit/sizes_said.h"
#include "edit/subjects.h"
#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

namespace {

constexpr int mostInGallery = 30;

/// "a gallery wall of", "a grid of": the form it is to have.
std::optional<GroupForm> formSaid(WordsReader& in) {
    in.article();
    if (in.take({"gallery wall of", "gallery of", "wall of", "grid of", "cluster of"}))
        return GroupForm::grid;
    if (in.take({"row of"}))
        return GroupForm::row;
    if (in.take({"column of", "stack of"}))
        return GroupForm::column;
    if (in.take({"salon hang of", "salon of"}))
        return GroupForm::salon;
    return {};
}

class GalleryReader {
public:
    GalleryReader(WordsReader& words, const Scene& scene, SurfaceId lookedAt)
        : in(words), job_(words.job()), scene_(scene), lookedAt_(lookedAt) {}

    std::optional<Edit> read() {
        const std::size_t start = in.at();
        const auto form = formSaid(in);
        if (!form)
            return back(start);
        const std::size_t counted = in.at();
        int count = 0;
        if (!in.takeCount(count))
            count = 0;
        const std::size_t sizesAt = in.at();
        const bool sizeFirst = sizesBeforeKind(in);
        auto kind = kindOfSeveral(in);
        if (kind && kind->standsOn()) // a print that hangs is a picture
            kind = hungInstead(*kind, *job_.library.kit);
        if (!kind || !kind->hangs() || kind->role == Role::group)
            return back(start); // "a row of books" is of another thing
        if (count == 0)
            in.fail(counted, in.at() - counted, "of how many?",
                    "say it like: a gallery of six pictures on wall B");
        if (count < 2 || count > mostInGallery)
            in.fail(counted, sizesAt - counted, worded("a group has 2 to {} pieces", mostInGallery),
                    "say it like: a gallery of six pictures on wall B");
        Piece one = pieceOf(kind);
        std::vector<std::string> told;
        if (const std::size_t here = in.at(); sizeFirst) {
            in.goTo(sizesAt);
            readSizes(in, one, true, told);
            in.goTo(here);
        }
        readSizes(in, one, true, told);
        in.comma();
        const std::size_t rowsAt = in.at();
        rows_ = rowsSaid(count);
        if (rows_ && (*rows_ < 1 || *rows_ > count))
            in.fail(rowsAt, in.at() - rowsAt, worded("{} don't hang in so many rows", count),
                    "say it like: a gallery of six pictures in 2 rows on wall B");
        in.comma();
        const std::size_t at = in.at();
        auto said = readPlacement(in, one, scene_, lookedAt_);
        if (said.step)
            in.fail(at, in.at() - at, "what is new has nowhere to step from",
                    "say where it is to hang");
        auto e = made(*form, count, std::move(one), std::move(said));
        if (!e)
            in.refuse(e.problem(), at);
        e->notices.insert(e->notices.begin(), told.begin(), told.end());
        return *e;
    }

private:
    std::optional<Edit> back(std::size_t start) {
        in.goTo(start);
        return {};
    }

    /// "in 2 rows", "in two rows of three": how many rows; none where nothing is said of them.
    std::optional<int> rowsSaid(int count) {
        const std::size_t start = in.at();
        int rows = 0;
        if (!in.take({"in", "as"}) || !in.takeCount(rows) || !in.take({"rows", "row"})) {
            in.goTo(start);
            return {};
        }
        const std::size_t each = in.at();
        int columns = 0;
        if (in.take({"of"}) && (!in.takeCount(columns) || rows * columns != count))
            in.fail(each, in.at() - each, worded("{} rows of so many are not {}", rows, count),
                    "say it like: a gallery of six pictures in 2 rows on wall B");
        return rows;
    }

    /// Of the answers to a form the first that has as many rows as were said.
    Result<Edit> arrangedInRows(int group, GroupForm form, Length gap) {
        constexpr int mostAnswers = 16;
        constexpr double level = 1; // mm
        for (int answer = 0; answer < mostAnswers; ++answer) {
            auto e = arrangeAs(*now_, *there_, group, {form, gap, answer});
            if (!e)
                return answer == 0 ? std::move(e) : Result<Edit>(noSuchRows());
            const auto after = apply(*now_, *e);
            if (!after)
                return after.problem();
            std::vector<double> heights;
            for (const Piece& p : after->project->scheme().pieces)
                if (p.group() == group)
                    heights.push_back(after->scene->byId(p.id)->pose.at.y);
            std::sort(heights.begin(), heights.end());
            const auto other = std::unique(heights.begin(), heights.end(),
                                           [](double a, double b) { return b - a < level; });
            if (other - heights.begin() == *rows_)
                return e;
        }
        return noSuchRows();
    }
    Problem noSuchRows() const {
        return Problem{worded("they can't hang in {} rows", *rows_), "say another number of rows"};
    }

    /// What a step of it leaves; its acts are kept.
    std::optional<Problem> step(const Result<Edit>& e) {
        if (!e)
            return e.problem();
        auto after = apply(*now_, *e);
        if (!after)
            return after.problem();
        now_ = after->project;
        there_ = after->scene;
        all_.acts.insert(all_.acts.end(), e->acts.begin(), e->acts.end());
        all_.notices.insert(all_.notices.end(), e->notices.begin(), e->notices.end());
        return {};
    }

    /// Where nothing was said that holds it along its wall, it hangs where none of it is over an
    /// opening or another piece, as near as there is such a place.
    std::optional<Problem> keepClear(int group) {
        const Piece& g = *now_->scheme().byId(group);
        if (std::any_of(g.ties.begin(), g.ties.end(), [](const Tie& t) { return t.fixesAcross(); }))
            return {};
        std::vector<Piece> hung;
        for (const Piece& p : now_->scheme().pieces)
            if (p.group() == group)
                hung.push_back(asItStands(*now_, *there_, p.id));
        const auto by = freeStep(*there_, hung);
        return by && norm(*by) > 1 ? step(stepPiece(*now_, *there_, group, *by)) : std::nullopt;
    }

    Result<Edit> made(GroupForm form, int count, Piece one, Placement said) {
        if (!said.wall)
            return Problem{"which wall does it hang on?",
                           "say it like: on wall C, or: 6 above sofa"};
        now_ = std::make_shared<const Project>(job_);
        const Length gap = said.apart.value_or(job_.library.book->habit("group-gap"));
        one.on = onWall(*said.wall);
        one.reason = said.reason.value_or(one.reason);
        const Length wall = scene_.room->walls[static_cast<std::size_t>(*said.wall)].length();
        one.pose.at = {wall.mm() / 2, job_.room->ceiling.mm() / 2};
        Edit pieces;
        std::vector<int> ids;
        Scheme names = job_.scheme();
        for (int i = 0; i < count; ++i) {
            Piece p = one;
            p.id = names.nextId + i;
            p.name = names.freeName(one.kind->name);
            names.pieces.push_back(p);
            ids.push_back(p.id);
            pieces.acts.emplace_back(PutPiece{std::move(p)});
        }
        if (auto bad = step(pieces))
            return *bad;
        const int group = now_->scheme().nextId;
        if (auto bad = step(makeGroup(*now_, *there_, ids, said.name, form, gap)))
            return *bad;
        if (auto bad = step(rows_ ? arrangedInRows(group, *rows_ == 1 ? GroupForm::row : form, gap)
                                  : arrangeAs(*now_, *there_, group, {form, gap, 0})))
            return *bad;
        Piece g = asItStands(*now_, *there_, group);
        auto ties = said.ties;
        implyWallTies(g, ties, *there_, *now_);
        said.ties = std::move(ties);
        said.name.clear();
        said.reason.reset();
        if (auto bad = step(placePiece(*now_, *there_, std::move(g), std::move(said))))
            return *bad;
        if (auto bad = keepClear(group))
            return *bad;
        all_.words =
            worded("add {} pieces of {} as a {}", count, one.kind->name, groupFormName(form));
        return all_;
    }

    WordsReader& in;
    const Project& job_;
    const Scene& scene_;
    SurfaceId lookedAt_;
    ProjectPtr now_;
    ScenePtr there_;
    Edit all_;
    std::optional<int> rows_;
};

} // namespace

std::optional<Edit> readGallery(WordsReader& in, const Scene& scene, SurfaceId lookedAt) {
    return GalleryReader(in, scene, lookedAt).read();
}

} // namespace mezzet
