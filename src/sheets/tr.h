#pragma once

#include "measure/texts.h"

#include <fmt/format.h>

#include <QString>

#include <string>

namespace mezzet::sheets {

/// A text of a sheet in the language that is spoken, for where Qt's strings are wanted and for
/// where the core's are.
class OwnText {
public:
    OwnText(const char* text) : text_(text) {}
    explicit OwnText(std::string_view text) : text_(text) {}
    operator std::string() const { return text_; }
    operator QString() const { return QString::fromStdString(text_); }
    template <class... A> [[nodiscard]] QString arg(A&&... in) const {
        return QString::fromStdString(text_).arg(std::forward<A>(in)...);
    }
    friend std::string operator+(const OwnText& a, const std::string& b) { return a.text_ + b; }
    friend std::string operator+(const std::string& a, const OwnText& b) { return a + b.text_; }
    friend QString operator+(const OwnText& a, const QString& b) { return QString(a) + b; }
    friend QString operator+(const QString& a, const OwnText& b) { return a + QString(b); }

private:
    std::string text_;
};

[[nodiscard]] inline OwnText tr(const char* english) {
    return OwnText(mezzet::told(english));
}

} // namespace mezzet::sheets

template <> struct fmt::formatter<mezzet::sheets::OwnText> : fmt::formatter<std::string> {
    auto format(const mezzet::sheets::OwnText& text, format_context& c) const {
        return fmt::formatter<std::string>::format(std::string(text), c);
    }
};
