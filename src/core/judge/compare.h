#pragma once

#include "judge/reading.h"

namespace mezzet {

/// What one scheme comes to.
struct SchemeSummary {
    std::size_t index = 0; ///< in the job
    std::string name;
    std::string note;
    ScenePtr scene;
    std::vector<Reading> readings;
    int toMend = 0;
    int clashes = 0;
    int seats = 0;
    int seatsForGuests = 0;
    std::optional<Length> narrowest; ///< way through; empty when none is narrow
    double floorTaken = 0;           ///< share of the floor
    std::optional<double> cost;      ///< of the pieces that have one
    int priced = 0;                  ///< how many have one
};
[[nodiscard]] Result<SchemeSummary> summaryOf(const Project&, std::size_t scheme);

/// How a piece differs between two schemes; pieces are the same when they are called the same.
struct PieceDifference {
    enum class How { onlyFirst, onlySecond, moved, turned, resized, otherKind };
    How how = How::moved;
    std::string name;
    int first = 0; ///< id in the first scheme; 0 when it is not there
    int second = 0;
    std::string words; ///< "6' 2\" toward wall C", "84 x 36 instead of 78 x 36"
};
[[nodiscard]] std::vector<PieceDifference> differencesBetween(const Project&, const SchemeSummary&,
                                                              const SchemeSummary&);

/// "1,250", with the job's money left to the reader.
[[nodiscard]] std::string writeCost(double);

} // namespace mezzet
