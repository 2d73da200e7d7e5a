#include "edit/stay_behind.h"

#include "measure/texts.h"

#include <algorithm>

namespace mezzet {

Edit leftBehind(const Project& before, Edit edit, const Applied& after,
                const std::vector<int>& ids) {
    const auto was = sceneOf(before);
    if (!was)
        return edit;
    // What goes elsewhere, on its surface or to another, or is of another size.
    const auto goes = [&](int id) {
        const Placed* then = (*was)->byId(id);
        const Placed* now = after.scene->byId(id);
        return then != nullptr && now != nullptr &&
               std::find(ids.begin(), ids.end(), id) == ids.end() &&
               (then->pose != now->pose ||
                (*was)->pieceById(id)->on != after.scene->pieceById(id)->on ||
                (*was)->pieceById(id)->size != after.scene->pieceById(id)->size);
    };
    for (const int id : ids) {
        const Piece* own = before.scheme().byId(id);
        const Placed* there = (*was)->byId(id);
        if (own == nullptr || there == nullptr)
            continue;
        Piece stays = *own;
        stays.pose = there->pose;
        stays.off = there->off;
        std::erase_if(stays.ties, [&](const Tie& t) {
            return std::any_of(before.scheme().pieces.begin(), before.scheme().pieces.end(),
                               [&](const Piece& p) { return t.refersTo(p.id) && goes(p.id); });
        });
        edit.acts.emplace_back(PutPiece{stays});
        edit.notices.push_back(worded("{} stays where it is: it can't go along", own->name));
    }
    return edit;
}

} // namespace mezzet
