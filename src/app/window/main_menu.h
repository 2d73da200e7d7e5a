#pragma once

#include "measure/notation.h"

#include <array>

namespace mezzet::app {

/// The ways of writing lengths that the menu offers.
struct NamedNotation {
    const char* name;
    Notation notation;
};
inline constexpr int mostUnits = 7;
// texts
inline constexpr std::array<NamedNotation, mostUnits> notations{
    {{"Feet and inches, to 1/4", {Units::feetAndInches, 4}},
     {"Feet and inches, to 1/8", {Units::feetAndInches, 8}},
     {"Feet and inches, to 1/16", {Units::feetAndInches, 16}},
     {"Inches, to 1/8", {Units::inches, 8}},
     {"Centimetres", {Units::centimetres, 8}},
     {"Millimetres", {Units::millimetres, 8}},
     {"Metres", {Units::metres, 8}}}};
// end of texts

} // namespace mezzet::app
