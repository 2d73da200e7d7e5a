#include "edit/preview.h"

#include "measure/text.h"
#include "measure/texts.h"

#include <set>

namespace mezzet {

namespace {

std::string capital(std::string s) {
    if (!s.empty() && s[0] >= 'a' && s[0] <= 'z')
        s[0] = static_cast<char>(s[0] - 'a' + 'A');
    return s;
}

} // namespace

std::string previewOf(const Project& before, const Scene& was, const Edit& edit,
                      const Applied& after) {
    std::string out;
    const auto say = [&](const std::string& s) { out += (out.empty() ? "" : "; ") + s; };
    std::set<std::string> seenOf; // a piece that several acts put is told once
    for (const Act& act : edit.acts) {
        if (const auto* put = std::get_if<PutPiece>(&act)) {
            if (!seenOf
                     .insert(put->piece.id == 0 ? "+" + put->piece.name
                                                : std::to_string(put->piece.id))
                     .second)
                continue;
            const Piece* old = put->piece.id == 0 ? nullptr : before.scheme().byId(put->piece.id);
            const Piece& now = old != nullptr ? *after.project->scheme().byId(old->id)
                                              : *after.project->scheme().byName(put->piece.name);
            const Wording wording = after.project->wording();
            std::vector<std::string> ties;
            if (now.on.isCarried())
                ties.push_back(words(now.on, wording));
            for (const auto& t : now.ties)
                ties.push_back(words(t, wording));
            if (old == nullptr) {
                const auto where = listed(ties, "");
                say(worded("adds {} {}{}", now.name, sizeWords(now, before.notation),
                           where.empty() ? ", free" : ", " + where));
                if (!now.kind->caution.empty())
                    say(now.kind->caution);
                continue;
            }
            const Placed& a = *was.byId(old->id);
            const Placed& b = *after.scene->byId(old->id);
            const auto step = movedWords(*after.project, was, old->id, *after.scene, old->id);
            const double turn = difference(b.pose.turn, a.pose.turn).inDegrees();
            bool told = false;
            const auto tell = [&](const std::string& s) {
                say(s);
                told = true;
            };
            if (now.name != old->name)
                tell(worded("calls {} {}", old->name, now.name));
            if (now.size != old->size)
                tell(worded("makes {} {}", now.name, sizeWords(now, before.notation)));
            const auto height = [&](const char* what, const std::optional<Length>& is,
                                    const std::optional<Length>& before_) {
                if (is && is != before_ && now.size == old->size)
                    tell(worded("makes the {} of {} {} high", what, now.name,
                                writeGap(*is, before.notation)));
            };
            height("seat", now.heights.seat, old->heights.seat);
            height("arms", now.heights.arm, old->heights.arm);
            height("top", now.heights.top, old->heights.top);
            if (now.locked != old->locked)
                tell(worded("{} {}", now.locked ? "locks" : "unlocks", now.name));
            if (!step.empty())
                tell(worded("moves {} {}", now.name, step));
            if (std::abs(turn) > 0.05)
                tell(worded("turns {} {:.4g}°", now.name, turn));
            if (!told)
                say(now.ties == old->ties && now.heights == old->heights
                        ? worded("changes nothing: {} is there already", now.name)
                        : worded("leaves {} where it is and keeps it so", now.name));
        } else {
            say(edit.words);
            break;
        }
    }
    for (const auto& n : after.notices)
        say(n);
    return capital(out);
}

} // namespace mezzet
