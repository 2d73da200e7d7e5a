// What is done to a rug's edges by name.
#include "edit/line_reader.h"
#include "edit/place.h"
#include "edit/rug_outline.h"
#include "edit/rug_told.h"
#include "measure/texts.h"
#include "scheme/rug.h"

namespace mezzet {

/// "edge 2 of hall rug in leather tape 3"
Edit LineReader::edge() {
    const std::size_t at = in.at();
    const auto which = readEdges(in);
    const bool named = in.take({"of", "on"});
    if (!named && selected_ == 0)
        in.fail(at, 1, "the edge of which rug?", "say it like: edge 2 of rug in leather tape 3");
    Piece p = placedPiece(named ? subject() : selected_);
    if (!p.kind->flat())
        in.fail(at, in.at() - at, worded("{} is no rug", p.name), "name a rug");
    in.take({"is", "to"});
    if (in.lengthAhead()) {
        const Length length = in.length("the edge's length");
        in.take({"long"});
        in.nothingMore();
        if (which.size() != 1)
            in.fail(at, in.at() - at, "one edge is made so long",
                    worded("say it like: edge 2 of {} 60 long", p.name));
        return done(sizeRugEdge(job_, *scene_, p.id, which.front(), length), at);
    }
    Placement said;
    said.rug = rugOf(p);
    readFinish(in, *said.rug, which);
    in.nothingMore();
    return done(placePiece(job_, *scene_, std::move(p), std::move(said)), at);
}

} // namespace mezzet
