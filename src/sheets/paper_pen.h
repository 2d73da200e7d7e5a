#pragma once

#include "project/project.h"
#include "sheets/look.h"

#include <QFontMetricsF>
#include <QPainter>
#include <QString>

#include <string>
#include <vector>

namespace mezzet::sheets {

inline QString q(const std::string& s) {
    return QString::fromStdString(s);
}

/// Writes and rules on a sheet whose places are millimetres of paper.
class PaperPen {
public:
    /// `unitsPerMm`: of the painter, to a millimetre of paper.
    PaperPen(QPainter& p, double unitsPerMm) : p_(p), k_(unitsPerMm) {}

    [[nodiscard]] QRectF dev(const QRectF& mm) const {
        return {mm.left() * k_, mm.top() * k_, mm.width() * k_, mm.height() * k_};
    }
    [[nodiscard]] QPointF dev(double x, double y) const { return {x * k_, y * k_}; }
    /// One line, cut with dots when it is too long; `height` of its letters in mm.
    void text(const QRectF& mm, int flags, const QString&, double height, bool letters = false,
              int weight = QFont::Normal, const QColor& = paperLook().ink);
    /// Several lines; gives back how high they stand, mm.
    double wrapped(double x, double y, double w, const QString&, double height,
                   const QColor& = paperLook().ink);
    [[nodiscard]] double heightOf(const QString&, double w, double height) const;
    void rule(double x0, double y0, double x1, double y1, double width = 0.18);
    /// A heading over a rule; gives back where what follows begins.
    double heading(const QString&, double x, double y, double w);
    void clear(double width, double height);

    struct Field {
        QString label;
        QString value;
    };
    /// The box at the foot of a sheet: two rows of three fields.
    void titleBlock(double x, double y, double w, double h, const std::vector<Field>&);
    /// The six fields of a job's sheet: what it is of, what tells of it (its scale), and whose.
    static std::vector<Field> jobFields(const Project&, const QString& sheet, Field tells,
                                        const std::string& date);

protected:
    QPainter& p_;
    double k_;
};

/// Today, or what is given.
[[nodiscard]] std::string dateOr(const std::string&);

} // namespace mezzet::sheets
