#pragma once

#include "scheme/scheme.h"

#include <map>
#include <vector>

namespace mezzet::app {

/// A tape of the user's own, from one thing to another; it follows them when they move.
struct OwnTape {
    struct End {
        Target target; ///< none for a bare point
        Vec2 point;    ///< mm, where it was put
    };
    End from;
    End to;
};

/// How one scheme is looked at.
struct ViewState {
    std::vector<int> selected; ///< ids of its pieces: they mean nothing in another scheme
    SurfaceId surface;
    std::vector<OwnTape> tapes;
};

/// That of each scheme of the open job.
class ViewStates {
public:
    /// The one of the scheme that is open.
    [[nodiscard]] ViewState& now() { return states_[active_]; }
    [[nodiscard]] const ViewState& now() const { return states_.at(active_); }
    void begin() {
        states_.clear();
        states_[active_ = 0];
    }
    /// Another scheme is open, or there are more or fewer. Schemes are numbered: with one less they
    /// may mean others, and what is known of them is let go. Schemes of one room are looked at from
    /// the same side.
    void goTo(std::size_t active, std::size_t count, bool sameRoom) {
        if (count < count_) {
            ViewState here;
            here.surface = states_[active_].surface;
            states_.clear();
            states_[active] = here;
        } else if (active != active_) {
            const SurfaceId surface = states_[active_].surface;
            ViewState& next = states_[active];
            if (sameRoom)
                next.surface = surface;
        }
        active_ = active;
        count_ = count;
        states_[active_];
    }

private:
    std::map<std::size_t, ViewState> states_{{0, {}}};
    std::size_t active_ = 0;
    std::size_t count_ = 1;
};

} // namespace mezzet::app
