#include "speech/needed_by.h"

#include <algorithm>

namespace mezzet {

namespace {

bool isPlain(char c) {
    return (c >= 'a' && c <= 'z') || c == ' ' || c == '-';
}
bool isChoice(char c) {
    return c == '?' || c == '*' || c == '{';
}

/// Where a bracket that opens at `from` closes.
std::size_t closes(std::string_view p, std::size_t from) {
    const bool set = p[from] == '[';
    int depth = 0;
    for (std::size_t i = from; i < p.size(); ++i) {
        if (p[i] == '\\')
            ++i;
        else if (set ? p[i] == ']' : p[i] == ')' && --depth == 0)
            return i;
        else if (!set && p[i] == '(')
            ++depth;
        else if (!set && p[i] == '[')
            i = closes(p, i);
    }
    return p.size();
}

/// The branches of what is between brackets.
std::vector<std::string_view> branches(std::string_view p) {
    std::vector<std::string_view> out;
    std::size_t from = 0;
    for (std::size_t i = 0; i < p.size(); ++i) {
        if (p[i] == '\\')
            ++i;
        else if (p[i] == '(' || p[i] == '[')
            i = closes(p, i);
        else if (p[i] == '|') {
            out.push_back(p.substr(from, i - from));
            from = i + 1;
        }
    }
    out.push_back(p.substr(from));
    return out;
}

/// What one branch needs, its runs of plain letters each by itself.
std::vector<std::vector<std::string>> ofBranch(std::string_view p) {
    std::vector<std::vector<std::string>> out;
    std::string run;
    const auto end = [&] {
        if (!run.empty())
            out.push_back({run});
        run.clear();
    };
    for (std::size_t i = 0; i < p.size(); ++i) {
        const char c = p[i];
        if (c == '\\') {
            end();
            ++i;
        } else if (c == '(' || c == '[') {
            end();
            const std::size_t close = closes(p, i);
            auto inside = p.substr(i + 1, close - i - 1);
            const bool mayLack = close + 1 < p.size() && isChoice(p[close + 1]);
            const bool ahead = inside.starts_with("?=") || inside.starts_with("?!");
            if (inside.starts_with("?:"))
                inside.remove_prefix(2);
            if (c == '(' && !mayLack && !ahead)
                for (auto& need : neededBy(inside))
                    out.push_back(std::move(need));
            i = close;
        } else if (isPlain(c)) {
            run += c;
        } else {
            // What is before a sign of choice is not needed.
            if (isChoice(c) && !run.empty())
                run.pop_back();
            end();
        }
    }
    end();
    return out;
}

} // namespace

std::vector<std::vector<std::string>> neededBy(std::string_view pattern) {
    const auto all = branches(pattern);
    if (all.size() == 1)
        return ofBranch(pattern);
    // One of several: of each the longest run it can't be without.
    std::vector<std::string> any;
    for (const std::string_view branch : all) {
        std::string best;
        for (const auto& need : ofBranch(branch))
            if (need.size() == 1 && need.front().size() > best.size())
                best = need.front();
        if (best.empty())
            return {};
        any.push_back(std::move(best));
    }
    return {any};
}

} // namespace mezzet
