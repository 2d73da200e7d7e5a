#pragma once

#include "fits/fits.h"

#include <QWidget>

namespace mezzet::app {

/// How a piece is worked through a door: its outline at a few steps, before, in and beyond the gap.
class CarryView : public QWidget {
    Q_OBJECT
public:
    explicit CarryView(const FitAnswer&, QWidget* parent = nullptr);

    [[nodiscard]] QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    std::vector<std::vector<Vec2>> steps_;
    double gap_;
    double high_;
};

} // namespace mezzet::app
