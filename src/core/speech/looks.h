#pragma once

#include "colour/colour.h"
#include "speech/speech.h"

#include <optional>
#include <string>
#include <string_view>

namespace mezzet {

/// What is said of how a new thing looks before it is named: "a big old leather sofa".
struct LooksSaid {
    std::string plain;              ///< the sentence without it
    std::size_t at = 0;             ///< where it began, in bytes of the sentence
    std::size_t bytes = 0;          ///< how much was left out there
    std::string size;               ///< "big", which is no size; empty for none
    std::string made;               ///< "old leather", which is not drawn; empty for none
    std::string colourWords;        ///< "navy", as it was said; empty for none
    std::optional<Rgb> colour = {}; ///< what that is
};

/// None for a sentence that says nothing of the kind, or doesn't go on behind it. With a job a word
/// before one of its kinds that it knows nothing of, nor like it, tells of looks too ("botanical").
[[nodiscard]] std::optional<LooksSaid> looksSaid(std::string_view sentence,
                                                 const Project* = nullptr);

/// What the plain sentence came to, with the new pieces it names first in the colour that was said,
/// and told that a word is no size, or that what a thing is made of is not drawn. False, and
/// nothing changed, where it adds nothing.
[[nodiscard]] bool wearLooks(const LooksSaid&, const Project&, Spoken&);

/// Tells that what was said of size and make is not drawn, where what it is said of is nothing new.
void tellLooks(const LooksSaid&, Spoken&);

} // namespace mezzet
