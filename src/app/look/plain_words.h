#pragma once

#include <QObject>

namespace mezzet::app {

/// Keeps words what they are: a name that looks like markup is shown as it is written, in every
/// label, message and tooltip of the program. A label that is meant to be rich says so itself, and
/// escapes what it is given.
class PlainWords : public QObject {
    Q_OBJECT
public:
    /// Watches over the whole application, once.
    static void watchOver();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    using QObject::QObject;
};

} // namespace mezzet::app
