#pragma once

#include "measure/result.h"

#include <filesystem>
#include <string>
#include <string_view>

namespace mezzet {

/// Writes a whole file or leaves the old one as it was: into a file beside it, to the disk, then in
/// its place. A link stays a link, also to what is not there yet; a file's rights and, where the
/// system lets us, its owner stay; a new one gets what the user's mask gives. What an earlier write
/// that was killed left beside it is cleared. A second name of the same file (a hard link) keeps
/// the old content: docs/decisions/2026-11-25-right-and-safe.md. Problem when any step fails, and
/// for a folder, a pipe, a device or a socket, which are never replaced and never waited for.
[[nodiscard]] Result<std::monostate> writeWhole(const std::filesystem::path&,
                                                std::string_view content);

/// Clears what writes of programs that were killed left beside a file.
void clearLeftovers(const std::filesystem::path& beside);

/// The whole of a plain file. Problem when it is none (a pipe or a device is refused, and not
/// waited for), can't be read, or is over `limit` bytes.
[[nodiscard]] Result<std::string> readWholeFile(const std::filesystem::path&, std::size_t limit);

/// The whole of a text file, without a byte order mark. Problem as readWholeFile, and when it is no
/// UTF-8.
[[nodiscard]] Result<std::string> readTextFile(const std::filesystem::path&, std::size_t limit);

/// Where a path leads, over links, also to what is not there yet; empty for links that go in a
/// ring.
[[nodiscard]] std::filesystem::path whereItLeads(const std::filesystem::path&);

/// What tells whether a file is still the one that was read.
struct FileStamp {
    bool there = false;
    long long size = 0;
    long long nanoseconds = 0; ///< when it was last changed, from 1970
    unsigned long long device = 0;
    unsigned long long node = 0;

    bool operator==(const FileStamp&) const = default;
};
[[nodiscard]] FileStamp stampOf(const std::filesystem::path&);

} // namespace mezzet
