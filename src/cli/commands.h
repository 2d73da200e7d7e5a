#pragma once

#include "judge/remedy.h"

#include <filesystem>
#include <string>
#include <vector>

namespace mezzet::cli {

/// What a command ends with: 0 when it ran, 2 for wrong usage, 3 for bad input.
enum Exit { ran = 0, wrongUsage = 2, badInput = 3 };

int survey(const std::string& notes, bool asJson);
int build(const std::string& notes, const std::string& lines, const std::string& out);
int say(const std::string& job, const std::vector<std::string>& lines);
int scene(const std::string& job, bool asJson);
int check(const std::string& job, const std::string& school, bool asJson);
int sheet(const std::string& job, const std::string& which, const std::string& out,
          const std::string& paper, const std::string& scale);

} // namespace mezzet::cli
