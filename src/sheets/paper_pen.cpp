#include "sheets/paper_pen.h"

#include "measure/texts.h"
#include "sheets/tr.h"

#include <QDate>

namespace mezzet::sheets {

void PaperPen::text(const QRectF& mm, int flags, const QString& s, double height, bool letters,
                    int weight, const QColor& colour) {
    p_.setFont(letters ? lettering(height * k_) : sans(height * k_, weight));
    p_.setPen(colour);
    const QRectF r = dev(mm);
    p_.drawText(r, flags, QFontMetricsF(p_.font()).elidedText(s, Qt::ElideRight, r.width() + 1));
}

double PaperPen::heightOf(const QString& s, double w, double height) const {
    const QFontMetricsF m(sans(height * k_));
    return m.boundingRect(QRectF(0, 0, w * k_, 1e6), Qt::TextWordWrap, s).height() / k_;
}

double PaperPen::wrapped(double x, double y, double w, const QString& s, double height,
                         const QColor& colour) {
    const double h = heightOf(s, w, height);
    p_.setFont(sans(height * k_));
    p_.setPen(colour);
    p_.drawText(dev({x, y, w, h + 1}), Qt::TextWordWrap, s);
    return h;
}

void PaperPen::rule(double x0, double y0, double x1, double y1, double width) {
    p_.setPen(QPen(paperLook().ink, width * k_));
    p_.drawLine(QPointF(x0 * k_, y0 * k_), QPointF(x1 * k_, y1 * k_));
}

double PaperPen::heading(const QString& s, double x, double y, double w) {
    text({x, y, w, 5}, Qt::AlignLeft | Qt::AlignVCenter, s, 3.5, false, QFont::DemiBold);
    rule(x, y + 5.4, x + w, y + 5.4);
    return y + 6.4;
}

void PaperPen::clear(double width, double height) {
    p_.fillRect(dev({0, 0, width, height}), Qt::white);
}

std::vector<PaperPen::Field> PaperPen::jobFields(const Project& job, const QString& sheet,
                                                 Field tells, const std::string& date) {
    return {{tr("Job"), q(job.title)},
            {tr("Sheet"), sheet},
            std::move(tells),
            {tr("Client"), q(job.client)},
            {tr("Scheme"), q(job.scheme().name)},
            {tr("Date"), q(date)}};
}

void PaperPen::titleBlock(double x, double y, double w, double h,
                          const std::vector<Field>& fields) {
    p_.setBrush(Qt::NoBrush);
    p_.setPen(QPen(paperLook().ink, 0.35 * k_));
    p_.drawRect(dev({x, y, w, h}));
    const double columns[] = {x, x + w * 0.42, x + w * 0.72, x + w};
    rule(columns[1], y, columns[1], y + h);
    rule(columns[2], y, columns[2], y + h);
    for (std::size_t i = 0; i < fields.size() && i < 6; ++i) {
        const double fx = columns[i % 3] + 2.5;
        const double fw = columns[i % 3 + 1] - fx - 2.5;
        const double fy = y + 0.8 + static_cast<double>(i / 3) * h / 2;
        text({fx, fy, fw, 3.4}, Qt::AlignLeft, fields[i].label, 2.2, false, QFont::Normal,
             paperLook().soft);
        text({fx, fy + 3, fw, h / 2 - 3.4}, Qt::AlignLeft | Qt::AlignVCenter, fields[i].value,
             i == 0 ? 4.2 : 3.3, false, i < 2 ? QFont::DemiBold : QFont::Normal);
    }
}

std::string dateOr(const std::string& given) {
    if (!given.empty())
        return given;
    // texts
    static constexpr const char* months[] = {"January",   "February", "March",    "April",
                                             "May",       "June",     "July",     "August",
                                             "September", "October",  "November", "December"};
    // end of texts
    const QDate today = QDate::currentDate();
    return worded("{0} {1} {2}", today.day(), mezzet::told(months[today.month() - 1]),
                  today.year());
}

} // namespace mezzet::sheets
