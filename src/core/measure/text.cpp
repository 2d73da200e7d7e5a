#include "measure/text.h"

#include <fmt/format.h>

#include <algorithm>
#include <cstdlib>
#include <fstream>
#include <numeric>
#include <system_error>

namespace mezzet {

std::string smallFirst(std::string s) {
    if (!s.empty() && s[0] >= 'A' && s[0] <= 'Z')
        s[0] = static_cast<char>(s[0] - 'A' + 'a');
    return s;
}

std::string foldCase(std::string_view s) {
    std::string out(s);
    for (char& c : out)
        if (c >= 'A' && c <= 'Z')
            c = static_cast<char>(c - 'A' + 'a');
    return out;
}

std::string_view trimmed(std::string_view s) {
    const auto blank = [](char c) { return c == ' ' || c == '\t' || c == '\r' || c == '\n'; };
    while (!s.empty() && blank(s.front()))
        s.remove_prefix(1);
    while (!s.empty() && blank(s.back()))
        s.remove_suffix(1);
    return s;
}

std::size_t characterCount(std::string_view s) {
    return static_cast<std::size_t>(
        std::count_if(s.begin(), s.end(), [](char c) { return (c & 0xC0) != 0x80; }));
}

bool isText(std::string_view s) {
    for (std::size_t i = 0; i < s.size();) {
        const auto c = static_cast<unsigned char>(s[i]);
        int more = 0;
        unsigned long point = c;
        if (c == 0)
            return false;
        if (c >= 0xF0 && c < 0xF5) {
            more = 3;
            point = c & 0x07U;
        } else if (c >= 0xE0) {
            more = 2;
            point = c & 0x0FU;
        } else if (c >= 0xC2) {
            more = 1;
            point = c & 0x1FU;
        }
        if (c >= 0xF5 || (c >= 0x80 && c < 0xC2) || i + static_cast<std::size_t>(more) >= s.size())
            return c < 0x80;
        for (int k = 1; k <= more; ++k) {
            const auto d = static_cast<unsigned char>(s[i + static_cast<std::size_t>(k)]);
            if ((d & 0xC0U) != 0x80U)
                return false;
            point = (point << 6U) | (d & 0x3FU);
        }
        const bool overlong = (more == 2 && point < 0x800) || (more == 3 && point < 0x10000);
        if (overlong || (point >= 0xD800 && point < 0xE000) || point > 0x10FFFF)
            return false;
        i += static_cast<std::size_t>(more) + 1;
    }
    return true;
}

int editDistance(std::string_view a, std::string_view b) {
    std::vector<int> row(b.size() + 1);
    std::iota(row.begin(), row.end(), 0);
    for (std::size_t i = 1; i <= a.size(); ++i) {
        int diagonal = row[0];
        row[0] = static_cast<int>(i);
        for (std::size_t j = 1; j <= b.size(); ++j) {
            const int replaced = diagonal + (a[i - 1] == b[j - 1] ? 0 : 1);
            diagonal = row[j];
            row[j] = std::min({replaced, row[j] + 1, row[j - 1] + 1});
        }
    }
    return row.back();
}

std::optional<std::string> nearestWord(std::string_view typed,
                                       const std::vector<std::string>& known) {
    const auto word = foldCase(typed);
    const int limit = std::max<int>(1, static_cast<int>(word.size()) / 3);
    int best = limit + 1;
    std::optional<std::string> found;
    for (const auto& k : known) {
        const int d = editDistance(word, foldCase(k));
        if (d < best) {
            best = d;
            found = k;
        }
    }
    return found;
}

std::string listed(const std::vector<std::string>& items, std::string_view last) {
    std::string out;
    for (std::size_t i = 0; i < items.size(); ++i) {
        if (i > 0)
            out += i + 1 == items.size() && !last.empty() ? fmt::format(" {} ", last) : ", ";
        out += items[i];
    }
    return out;
}

Result<std::string> readTextFile(const std::filesystem::path& path, std::size_t limit) {
    const auto refuse = [&](std::string what, std::string remedy) {
        Problem p{std::move(what), std::move(remedy)};
        p.file = path.string();
        return p;
    };
    std::error_code error;
    const auto status = std::filesystem::status(path, error);
    if (!std::filesystem::exists(status))
        return refuse("there is no such file", "check the name and the folder");
    if (!std::filesystem::is_regular_file(status))
        return refuse("this is not a file that can be read as text", "name a plain file");
    const auto size = std::filesystem::file_size(path, error);
    if (!error && size > limit)
        return refuse(fmt::format("the file is {} KB long", size / 1024),
                      fmt::format("at most {} KB is read", limit / 1024));
    std::ifstream in(path, std::ios::binary);
    if (!in)
        return refuse("the file can't be opened", "check that you may read it");
    std::string text(limit + 1, '\0');
    in.read(text.data(), static_cast<std::streamsize>(text.size()));
    text.resize(static_cast<std::size_t>(in.gcount()));
    if (text.size() > limit)
        return refuse("the file is too long", fmt::format("at most {} KB is read", limit / 1024));
    if (text.starts_with("\xEF\xBB\xBF"))
        text.erase(0, 3);
    if (!isText(text))
        return refuse("the file is not UTF-8 text", "save it as UTF-8");
    return text;
}

std::filesystem::path dataFolder() {
    namespace fs = std::filesystem;
    if (const char* named = std::getenv("MEZZET_DATA"); named != nullptr && *named != '\0')
        return named;
    std::error_code error;
    const auto program = fs::read_symlink("/proc/self/exe", error);
    if (!error) {
        auto beside = program.parent_path().parent_path() / "share" / "mezzet";
        if (fs::is_directory(beside, error))
            return beside;
    }
    return MEZZET_SOURCE_DATA;
}

} // namespace mezzet
