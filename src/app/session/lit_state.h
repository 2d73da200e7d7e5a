#pragma once

#include "app/session/runner.h"
#include "light/illuminance.h"

namespace mezzet::app {

/// The light on the floor of what is shown, found beside the window: what comes straight from the
/// lights first, and then with what is passed on.
class LitState : public QObject {
    Q_OBJECT
public:
    explicit LitState(QObject* parent = nullptr) : QObject(parent), runner_(this) {}

    /// The light of a scene, with its lights turned up as a light scene has them, or full on when
    /// `which` is less than nothing. While it is being found, what was found last; empty for none.
    const std::optional<LuxGrid>& of(const ProjectPtr&, const ScenePtr&, int which);
    /// Whether what is passed on is in it.
    [[nodiscard]] bool whole() const { return whole_; }

signals:
    void found();

private:
    void find(bool whole);

    Runner runner_;
    ProjectPtr job_;
    ScenePtr scene_;
    int which_ = -1;
    std::optional<LuxGrid> grid_;
    bool whole_ = false;
    ProgressPtr working_;
};

} // namespace mezzet::app
