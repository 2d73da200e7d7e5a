#pragma once

#include <QGuiApplication>

namespace mezzet::cli {

/// Painting text wants an application; the offscreen platform needs no display.
class Offscreen {
public:
    Offscreen() = default;

private:
    /// Set before the application below is made.
    bool set_ = qputenv("QT_QPA_PLATFORM", "offscreen");
    int argc_ = 1;
    char name_[11] = "mezzet-cli";
    char* argv_[2] = {name_, nullptr};
    QGuiApplication application_{argc_, argv_};
};

} // namespace mezzet::cli
