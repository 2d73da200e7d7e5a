#pragma once

#include <cassert>
#include <string>
#include <utility>
#include <variant>

namespace mezzet {

/// What went wrong with something a person wrote, and what would do instead.
struct Problem {
    std::string what{};   ///< what was found, in a short sentence
    std::string remedy{}; ///< what would do; empty when nothing useful can be said
    std::string file{};   ///< the file being read; empty for a typed line
    int line = 0;         ///< 1-based; 0 when there is no line to point at
    int column = 0;       ///< 1-based, in characters; 0 when there is no column
    int width = 0;        ///< how many characters the fault covers; 0 when unknown
    /// Of a typed line: a word of it is not known; what it speaks of that isn't there yet; what it
    /// speaks of that could be one of several.
    bool unknown = false;
    bool nameless = false; ///< no piece is called so
    std::string notThere{};
    std::string oneOfSeveral{};

    /// "file:line:column: what; what would do", leaving out the parts that are not there.
    [[nodiscard]] std::string text() const;
    /// The same without the place.
    [[nodiscard]] std::string sentence() const;
};

/// Either a value or a Problem. For whatever a person can get wrong; never thrown.
template <class T> class Result {
public:
    Result(T value) : held_(std::move(value)) {}
    Result(Problem problem) : held_(std::move(problem)) {}

    [[nodiscard]] bool ok() const { return std::holds_alternative<T>(held_); }
    explicit operator bool() const { return ok(); }

    [[nodiscard]] const T& value() const& {
        assert(ok());
        return std::get<T>(held_);
    }
    [[nodiscard]] T& value() & {
        assert(ok());
        return std::get<T>(held_);
    }
    [[nodiscard]] T&& value() && {
        assert(ok());
        return std::get<T>(std::move(held_));
    }
    const T& operator*() const& { return value(); }
    T& operator*() & { return value(); }
    const T* operator->() const { return &value(); }
    T* operator->() { return &value(); }

    [[nodiscard]] const Problem& problem() const {
        assert(!ok());
        return std::get<Problem>(held_);
    }

private:
    std::variant<T, Problem> held_;
};

} // namespace mezzet
