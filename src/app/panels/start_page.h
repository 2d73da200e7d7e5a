#pragma once

#include <QWidget>

class QVBoxLayout;

namespace mezzet::app {

/// What the window shows while it holds no room: ways to begin, and what was open last.
class StartPage : public QWidget {
    Q_OBJECT
public:
    explicit StartPage(QWidget* parent = nullptr);

    /// The jobs that were open last, the latest first; those that are gone are left out.
    void showRecent(const QStringList& paths);

signals:
    /// The name of the window's act that is wanted: "demo", "new", "newFromDrawing", "open".
    void actWanted(const QString& name);
    void jobWanted(const QString& path);

private:
    QVBoxLayout* recent_;
};

} // namespace mezzet::app
