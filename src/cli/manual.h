#pragma once

#include <CLI/CLI.hpp>

#include <string>

namespace mezzet::cli {

/// The manual page of the command line, in troff's man macros, made of its own table of commands.
[[nodiscard]] std::string manPage(const CLI::App&, const std::string& version,
                                  const std::string& date);
/// The completion of its commands and their options for bash.
[[nodiscard]] std::string bashCompletion(const CLI::App&);

} // namespace mezzet::cli
