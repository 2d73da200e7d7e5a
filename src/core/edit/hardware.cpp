// How a piece is held on its wall.
#include "edit/words_reader.h"
#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>

namespace mezzet {

namespace {

class HardwareReader {
public:
    HardwareReader(WordsReader& words, Hanging& hanging) : in_(words), hanging_(hanging) {}

    bool read() {
        const std::size_t at = in_.at();
        if (in_.take({"weighs", "weight"})) {
            hanging_.weight = in_.mass("the weight");
            return true;
        }
        if (in_.take({"holds", "carries"})) {
            hanging_.load = in_.mass("what it holds");
            return true;
        }
        if (in_.take({"on one ring", "one ring"})) {
            hanging_.mount = Mount::ring;
            return true;
        }
        if (in_.take({"on two rings", "two rings", "on rings"})) {
            hanging_.mount = Mount::rings;
            spacing();
            return true;
        }
        if (in_.take({"on a wire", "on wire", "wire"})) {
            hanging_.mount = Mount::wire;
            return true;
        }
        if (in_.take({"slack"})) {
            hanging_.slack = in_.length("the slack");
            if (*hanging_.slack < Length{} || *hanging_.slack > Length::metres(1))
                in_.fail(at, in_.at() - at, "no wire has that slack",
                         "say how much longer it is than its rings are apart");
            return true;
        }
        if (in_.take({"rings"})) {
            const auto d = in_.length("the rings' place");
            if (in_.take({"down", "from the top", "below the top"}))
                hanging_.ringsDown = d;
            else if (in_.take({"apart"}))
                hanging_.ringSpacing = d;
            else
                in_.failAhead("down from the top, or apart?", "say it like: rings 6 down");
            return true;
        }
        if (in_.take({"on a sawtooth", "on sawtooth", "sawtooth"})) {
            hanging_.mount = Mount::sawtooth;
            return true;
        }
        if (in_.take({"on a cleat", "on cleat", "cleat"})) {
            hanging_.mount = Mount::cleat;
            return true;
        }
        if (in_.take({"on screws", "screwed", "on a plate"})) {
            hanging_.mount = Mount::screws;
            return true;
        }
        if (in_.take({"on one hook", "one hook"})) {
            hanging_.hooks = 1;
            return true;
        }
        if (in_.take({"on two hooks", "two hooks"})) {
            hanging_.hooks = 2;
            return true;
        }
        if (in_.take({"hooks"})) {
            hanging_.hookSpacing = in_.length("the hooks' spacing");
            in_.take({"apart"});
            hanging_.hooks = 2;
            return true;
        }
        if (in_.take({"brackets", "on brackets"})) {
            hanging_.mount = Mount::brackets;
            spacing();
            return true;
        }
        if (in_.take({"on 2 brackets", "on 3 brackets", "on 4 brackets", "on 5 brackets"})) {
            in_.goTo(at);
            in_.take({"on"});
            hanging_.hooks = static_cast<int>(in_.number("the brackets"));
            in_.take({"brackets"});
            hanging_.mount = Mount::brackets;
            return true;
        }
        if (in_.take({"housed", "housed at its ends", "between cheeks"})) {
            hanging_.clamped = true;
            return true;
        }
        if (in_.take({"drop"})) {
            hanging_.drop = in_.length("the drop");
            return true;
        }
        if (in_.take({"frame"})) {
            hanging_.frame = in_.length("the frame's width");
            return true;
        }
        if (in_.take({"mat", "mount"})) {
            hanging_.mat = in_.length("the mat's width");
            return true;
        }
        if (in_.take({"of"})) {
            const std::size_t word = in_.at();
            hanging_.material = materialNamed(word);
            return true;
        }
        return false;
    }

private:
    std::string materialNamed(std::size_t at) {
        const auto& all = in_.job().library.book->shelving;
        for (const auto& m : all) {
            in_.offer(foldCase(m.name));
            if (in_.take({foldCase(m.name)}))
                return m.name;
        }
        std::vector<std::string> names;
        names.reserve(all.size());
        for (const auto& m : all)
            names.push_back(foldCase(m.name));
        in_.fail(at, std::max<std::size_t>(in_.ahead().size(), 1),
                 fmt::format("I know no shelf of “{}”", in_.ahead()),
                 fmt::format("the materials are {}", listed(names)));
    }

    void spacing() {
        if (!in_.lengthAhead())
            return;
        hanging_.ringSpacing = in_.length("the spacing");
        in_.take({"apart"});
    }

    WordsReader& in_;
    Hanging& hanging_;
};

} // namespace

bool readHardware(WordsReader& words, Hanging& hanging) {
    return HardwareReader(words, hanging).read();
}

} // namespace mezzet
