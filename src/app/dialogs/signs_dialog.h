#pragma once

#include "measure/notation.h"

#include <QDialog>

namespace mezzet::app {

/// What each sign on the board and on paper means, drawn as it is drawn there.
class SignsDialog : public QDialog {
    Q_OBJECT
public:
    explicit SignsDialog(Notation, QWidget* parent = nullptr);
};

} // namespace mezzet::app
