#include "measure/text.h"

#include "measure/texts.h"

#include <utf8proc.h>

#include <fmt/format.h>

#include <algorithm>
#include <array>
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

std::string capital(std::string s) {
    if (!s.empty() && s[0] >= 'a' && s[0] <= 'z')
        s[0] = static_cast<char>(s[0] - 'a' + 'A');
    return s;
}

std::string foldCase(std::string_view s) {
    std::string out(s);
    for (std::size_t i = 0; i < out.size();) {
        const char c = out[i];
        if (static_cast<unsigned char>(c) < 0x80) {
            if (c >= 'A' && c <= 'Z')
                out[i] = static_cast<char>(c - 'A' + 'a');
            ++i;
            continue;
        }
        utf8proc_int32_t point = 0;
        const auto* at = reinterpret_cast<const utf8proc_uint8_t*>(out.data() + i);
        const auto width =
            utf8proc_iterate(at, static_cast<utf8proc_ssize_t>(out.size() - i), &point);
        if (width <= 0) { // no UTF-8
            ++i;
            continue;
        }
        std::array<utf8proc_uint8_t, 4> small{};
        if (utf8proc_encode_char(utf8proc_tolower(point), small.data()) == width)
            std::copy_n(small.begin(), width, out.begin() + static_cast<std::ptrdiff_t>(i));
        i += static_cast<std::size_t>(width);
    }
    return out;
}

std::string withoutAccents(std::string_view s) {
    if (std::all_of(s.begin(), s.end(),
                    [](char c) { return static_cast<unsigned char>(c) < 0x80; }))
        return std::string(s);
    utf8proc_uint8_t* made = nullptr;
    const auto size = utf8proc_map(
        reinterpret_cast<const utf8proc_uint8_t*>(s.data()),
        static_cast<utf8proc_ssize_t>(s.size()), &made,
        static_cast<utf8proc_option_t>(UTF8PROC_STABLE | UTF8PROC_DECOMPOSE | UTF8PROC_STRIPMARK));
    std::string out =
        size >= 0 ? std::string(reinterpret_cast<const char*>(made), static_cast<std::size_t>(size))
                  : std::string(s);
    std::free(made); // NOLINT(cppcoreguidelines-no-malloc): what the library hands over
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

namespace {

/// The character that begins at a byte, and how many bytes it takes; bytes that are no UTF-8 count
/// as one character each, 0xFFFD.
std::pair<char32_t, std::size_t> characterAt(std::string_view s, std::size_t i) {
    const auto c = static_cast<unsigned char>(s[i]);
    const std::size_t bytes = c < 0x80 ? 1 : c >= 0xF0 ? 4 : c >= 0xE0 ? 3 : c >= 0xC2 ? 2 : 0;
    if (bytes == 0 || i + bytes > s.size())
        return {0xFFFD, 1};
    char32_t point = bytes == 1 ? c : bytes == 2 ? c & 0x1FU : bytes == 3 ? c & 0x0FU : c & 0x07U;
    for (std::size_t k = 1; k < bytes; ++k) {
        const auto more = static_cast<unsigned char>(s[i + k]);
        if ((more & 0xC0U) != 0x80)
            return {0xFFFD, 1};
        point = (point << 6U) | (more & 0x3FU);
    }
    return {point, bytes};
}

/// What takes no ink of its own, and turns, joins, breaks or hides what stands beside it.
bool isUnseen(char32_t c) {
    const auto in = [&](char32_t low, char32_t high) { return c >= low && c <= high; };
    return in(0, 0x1F) || in(0x7F, 0x9F) || c == 0xAD || c == 0x34F || c == 0x61C ||
           in(0x115F, 0x1160) || in(0x17B4, 0x17B5) || in(0x180B, 0x180F) || in(0x200B, 0x200F) ||
           in(0x2028, 0x202E) || in(0x2060, 0x206F) || c == 0x3164 || in(0xFE00, 0xFE0F) ||
           c == 0xFEFF || c == 0xFFA0 || in(0xFFF0, 0xFFFB) || in(0x1BCA0, 0x1BCA3) ||
           in(0x1D173, 0x1D17A) || in(0xE0000, 0xE0FFF);
}

bool isBlank(char32_t c) {
    return c == ' ' || c == '\t' || c == '\n' || c == '\r' || c == '\v' || c == '\f' || c == 0xA0 ||
           c == 0x85 || c == 0x1680 || (c >= 0x2000 && c <= 0x200A) || c == 0x2028 || c == 0x2029 ||
           c == 0x202F || c == 0x205F || c == 0x3000;
}

} // namespace

std::string tidyName(std::string_view s) {
    std::string out;
    bool blank = false;
    for (std::size_t i = 0; i < s.size();) {
        const auto [c, bytes] = characterAt(s, i);
        if (isBlank(c))
            blank = !out.empty();
        else if (!isUnseen(c)) {
            if (blank)
                out += ' ';
            blank = false;
            out += s.substr(i, bytes);
        }
        i += bytes;
    }
    return out;
}

std::string shownPlainly(std::string_view s) {
    std::string out;
    for (std::size_t i = 0; i < s.size();) {
        const auto [c, bytes] = characterAt(s, i);
        if (isUnseen(c))
            out += "·";
        else
            out += s.substr(i, bytes);
        i += bytes;
    }
    return out;
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
            out += i + 1 == items.size() && !last.empty() ? fmt::format(" {} ", told(last)) : ", ";
        out += items[i];
    }
    return out;
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
