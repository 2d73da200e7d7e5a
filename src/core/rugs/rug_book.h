#pragma once

#include "measure/length.h"
#include "measure/result.h"

#include <filesystem>
#include <map>
#include <memory>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// How an edge is finished.
struct RugEdging {
    std::string id;                ///< "leather-tape"
    std::string name;              ///< "wide leather tape"
    std::vector<std::string> also; ///< other words for it
    double price = 0;              ///< a metre, in the client's money
    Length tape{};                 ///< how wide a tape usually is; nothing for what is no tape
};

/// What goes between a rug and the floor.
struct RugPad {
    std::string id;
    std::string name;
    Length thickness;
    std::string floor; ///< "hard" or "carpet"
    std::string says;  ///< what it is for
    double price = 0;  ///< a square metre
};

/// Something asked about who lives with it.
struct RugNeed {
    std::string id;
    std::string asks; ///< "Are there children?"
    std::vector<std::string> also;
};

/// How a material meets one of them: from -2 (no) to 2 (very well), with the reason.
struct RugMark {
    int mark = 0;
    std::string reason;
};

/// A fibre and how it is made up.
struct RugMaterial {
    std::string id;
    std::string name;
    Length pile;
    double price = 0;                                  ///< a square metre
    std::map<std::string, RugMark, std::less<>> marks; ///< by the need's id
};

/// A size rugs are stocked in; of a round one both figures are its diameter.
struct RugSize {
    Length width; ///< the longer side
    Length depth;
    bool round = false;
    bool runner = false;
    bool metric = false;
};

/// What data/rugs/rugs.json tells. Prices are invented, and a studio's own rugs.json may put others
/// in their place, or add to them.
struct RugBook {
    std::vector<Length> rolls; ///< widths in stock
    std::vector<RugSize> sizes;
    std::vector<RugEdging> edges;
    double mitre = 0; ///< of one corner where two tapes meet
    std::vector<RugPad> pads;
    std::vector<RugNeed> needs;
    std::vector<RugMaterial> materials;

    [[nodiscard]] const RugEdging* edgeById(std::string_view id) const;
    [[nodiscard]] const RugMaterial* materialById(std::string_view id) const;
};

using RugBookPtr = std::shared_ptr<const RugBook>;

/// Reads a rug book. `shipped` is what a studio's own file is put over: entries of the same id take
/// their place, others are added, and lists that are left out stay. Problem: names file, entry and
/// reason: a price that is no number or less than nothing, a mark for no need, two of one id.
[[nodiscard]] Result<RugBookPtr> readRugBook(std::string_view json, std::string_view file,
                                             const RugBook* shipped = nullptr);
[[nodiscard]] Result<RugBookPtr> loadRugBook(const std::filesystem::path& file);

/// How a material answers what is asked of it.
struct RankedMaterial {
    const RugMaterial* material = nullptr;
    int sum = 0;                      ///< of its marks
    std::vector<std::string> speaks;  ///< reasons for it
    std::vector<std::string> against; ///< and against
};
/// All materials, the best for these needs first: none that one of them rules out (-2) before one
/// that none does.
[[nodiscard]] std::vector<RankedMaterial> rankMaterials(const RugBook&,
                                                        const std::vector<std::string>& needs);

} // namespace mezzet
