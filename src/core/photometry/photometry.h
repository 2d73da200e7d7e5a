#pragma once

#include "measure/result.h"

#include <memory>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet {

/// How the angles of a distribution are counted (ANSI/IES LM-63 and LM-75).
enum class PhotometricType {
    c = 1, ///< V from straight down (0) to straight up (180), H round the upright
    b = 2, ///< V round the level axis, H toward either end of it; both from the aim
    a = 3  ///< H round the upright axis, V up and down from the level; both from the aim
};

/// How strongly a fixture shines each way. Immutable once read.
struct Photometry {
    std::string name; ///< what the file calls it; plain text
    PhotometricType type = PhotometricType::c;
    std::vector<double> vertical;   ///< degrees, rising
    std::vector<double> horizontal; ///< degrees, rising; what is not given is mirrored
    /// Candela, with the file's multiplier and ballast factor: of each horizontal angle in turn, by
    /// vertical angle.
    std::vector<double> candela;
    double watts = 0;
    double lampLumens = 0; ///< of all its lamps; nothing when it was measured as a whole
    double width = 0;      ///< of the luminous opening, mm: across H 0, along H 0, upright
    double length = 0;
    double height = 0;
    bool round = false; ///< the opening is a disc

    /// Candela at the file's own angles, degrees; between those given it goes straight from one to
    /// the next, and beyond them there is no light.
    [[nodiscard]] double at(double v, double h) const;
    /// Candela along a direction of the fixture's own: x along H 0, y along H 90, z down along V 0
    /// (type C); of types A and B z is the aim.
    [[nodiscard]] double along(double x, double y, double z) const;
    /// All the light it gives, in lumens: the distribution over the whole sphere. Exact for what
    /// `at` gives.
    [[nodiscard]] double lumens() const;
    /// The largest value.
    [[nodiscard]] double most() const;
    /// The whole angle within which it is at least such a part of the value straight down, degrees:
    /// a half for the beam, a tenth for the field. In the plane of H 0; 0 when there is nothing
    /// straight down.
    [[nodiscard]] double spread(double part) const;
    /// The same with so many times the light.
    [[nodiscard]] Photometry times(double factor) const;
};
using PhotometryPtr = std::shared_ptr<const Photometry>;

/// The most values of one file, and the most bytes.
constexpr std::size_t mostCandela = 200000;
constexpr std::size_t mostPhotometryBytes = 8U << 20U;

/// Reads an IES file: LM-63 of 1986, 1991, 1995 or 2002. Problem, with the line: what is no such
/// file, angles or values that are missing, too many, unordered or negative, lamps tilted by a file
/// that isn't given along.
[[nodiscard]] Result<Photometry> readIes(std::string_view text, std::string_view file);
/// Reads an EULUMDAT file, in candela for a thousand lumens; its C planes are H. Problem as above.
[[nodiscard]] Result<Photometry> readEulumdat(std::string_view text, std::string_view file);
/// Either, by the file's ending (.ies, .ldt), or by how it begins where that says nothing.
[[nodiscard]] Result<Photometry> readPhotometry(std::string_view text, std::string_view file);

/// As an LM-63-2002 file, which readIes reads as the same again.
[[nodiscard]] std::string writeIes(const Photometry&);

} // namespace mezzet
