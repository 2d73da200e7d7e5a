#pragma once

#include <QBoxLayout>
#include <QPushButton>
#include <QString>
#include <QTableWidget>

#include <functional>
#include <string>

namespace mezzet::app {

/// Words of the core, as the window has them.
[[nodiscard]] inline QString fromCore(const std::string& s) {
    return QString::fromStdString(s);
}

/// A button without a field, at the end of a row of them: what is done besides.
QPushButton* addPlainButton(QBoxLayout*, const QString& words, const char* name,
                            std::function<void()> does);

/// A table whose rows are chosen whole.
[[nodiscard]] QTableWidget* newTable(const char* name, const QString& accessible,
                                     const QStringList& headings);

/// White paper to be drawn on in millimetres.
class PaperWidget : public QWidget {
public:
    PaperWidget(const char* name, const QString& accessible);

protected:
    /// Draws on `mm`, which is all of it.
    virtual void drawPaper(QPainter&, double unitsPerMm, const QRectF& mm) = 0;
    void paintEvent(QPaintEvent*) final;
};

} // namespace mezzet::app
