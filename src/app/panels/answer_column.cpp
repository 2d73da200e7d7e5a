#include "app/panels/answer_column.h"

#include <QVBoxLayout>

namespace mezzet::app {

AnswerColumn::AnswerColumn(int spacing, QWidget* parent) : QScrollArea(parent), spacing_(spacing) {
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* holder = new QWidget;
    column_ = new QVBoxLayout(holder);
    column_->setContentsMargins(0, 0, 6, 0);
    column_->addStretch(1);
    setWidget(holder);
}

QVBoxLayout* AnswerColumn::begin() {
    delete body_;
    body_ = new QWidget;
    auto* rows = new QVBoxLayout(body_);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(spacing_);
    return rows;
}

void AnswerColumn::end() {
    column_->insertWidget(0, body_);
}

} // namespace mezzet::app
