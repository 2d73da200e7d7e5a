#pragma once

#include "speech/speech.h"

#include <optional>
#include <string_view>

namespace mezzet {

// The steps a line is read in, one trying what the one before could not take.

/// So many sentences one line may hold.
constexpr int sentences = 3;

/// As it was said, and in no other words.
[[nodiscard]] Result<Spoken> readAsSaid(std::string_view, const Project&, const Listener&,
                                        const Stopped&);
/// As it was said, in other words, or as so many sentences. `why`: what other words for it, that
/// were understood, were refused for.
[[nodiscard]] Result<Spoken> readInParts(std::string_view, const Project&, const Listener&,
                                         const Stopped&, int most = sentences,
                                         std::optional<Problem>* why = nullptr);
/// "a big leather sofa under the window": without how it looks, which is told. Nothing for a line
/// that says nothing of it, or doesn't add something; what stands against the plain one is told of
/// it.
[[nodiscard]] std::optional<Result<Spoken>> withItsLooks(std::string_view, const Project&,
                                                         const Listener&, const Stopped&);
/// "a punchbag 40 x 40 x 120 in the corner": a plain piece of that size, which is told; without a
/// size it is asked for. Nothing for a line that adds nothing the kit doesn't know.
[[nodiscard]] std::optional<Result<Spoken>> asPlainPiece(std::string_view, const Project&,
                                                         const Listener&, const Stopped&);

/// What was asked about for the harm it would do, read by the same words in another way that does
/// none (meantClear); as it was asked where there is no such way.
[[nodiscard]] Result<Spoken> readClear(const Result<Spoken>& asked, std::string_view line,
                                       const Project&, const Listener&, const Stopped&);

} // namespace mezzet
