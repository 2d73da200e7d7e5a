#include "hang/running.h"

#include <cmath>

namespace mezzet {

Length roundedTo(Length l, Length division) {
    return division > Length{} ? division * std::round(l / division) : l;
}

Running running(const std::vector<Length>& places, Length division) {
    Running out;
    Length before;
    for (const Length p : places) {
        const Length at = roundedTo(p, division);
        out.at.push_back(at);
        out.step.push_back(at - before);
        before = at;
    }
    return out;
}

} // namespace mezzet
