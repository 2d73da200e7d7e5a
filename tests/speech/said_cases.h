#pragma once

#include "project/project.h"

#include <filesystem>
#include <string>
#include <vector>

namespace mezzet::test {

/// One sentence, or several said in turn, and what must hold of the last.
struct SaidCase {
    std::string setting;
    int line = 0; ///< of the file
    std::vector<std::string> sentences;
    std::vector<std::string> checks;
};

/// How a case came out.
enum class Heard {
    right,
    refused, ///< nothing was done where something should have been: the worse of the two is `wrong`
    wrong    ///< something else was done than was meant
};

struct CaseResult {
    Heard heard = Heard::right;
    std::string why;
};

/// A room with what stands in it, in which sentences are said.
struct SaidSetting {
    std::string name;
    Project job;
};

/// Reads the cases of a file; tests/cases/plain_speech.txt tells its form. Throws what can't be
/// read, with its line.
struct SaidFile {
    std::vector<SaidSetting> settings;
    std::vector<SaidCase> cases;
};
[[nodiscard]] SaidFile readSaidFile(const std::filesystem::path&);

[[nodiscard]] CaseResult tryCase(const SaidCase&, const SaidFile&);

} // namespace mezzet::test
