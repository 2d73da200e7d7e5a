#pragma once

#include "app/session/runner.h"

#include <QImage>
#include <QPainter>
#include <QWidget>

#include <functional>
#include <memory>
#include <vector>

namespace mezzet::app {

/// What a layer shows. It keeps hold of the values, so that no other one comes to their place.
class LayerKey {
public:
    LayerKey& with(std::shared_ptr<const void> value) {
        values_.push_back(std::move(value));
        return *this;
    }
    LayerKey& with(double number) {
        numbers_.push_back(number);
        return *this;
    }
    LayerKey& with(const LayerKey& other) {
        values_.insert(values_.end(), other.values_.begin(), other.values_.end());
        numbers_.insert(numbers_.end(), other.numbers_.begin(), other.numbers_.end());
        return *this;
    }
    bool operator==(const LayerKey&) const = default;

private:
    std::vector<std::shared_ptr<const void>> values_;
    std::vector<double> numbers_;
};

/// A part of a widget's picture that is painted once and kept until what it shows changes.
class Layer {
public:
    using Paint = std::function<void(QPainter&)>;

    /// `opaque`: its painting covers all of the widget.
    explicit Layer(QWidget& of, bool opaque = false) : of_(of), opaque_(opaque) {}

    /// Shows it. What is not as the key has it is painted first; when that is `heavy`, beside the
    /// window, and until then it is shown as it was. `paint` holds values only.
    void show(QPainter&, const LayerKey&, bool heavy, Paint paint);
    [[nodiscard]] bool upToDate() const { return !runner_.busy(); }

private:
    void keep(QImage made);

    QWidget& of_;
    bool opaque_;
    LayerKey key_;
    QImage picture_;
    std::vector<QRect> inked_; ///< the parts of the picture there is something on, in its pixels
    LayerKey coming_;
    ProgressPtr painting_;
    Runner runner_{nullptr};
};

} // namespace mezzet::app
