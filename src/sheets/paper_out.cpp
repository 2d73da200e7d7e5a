#include "sheets/paper_out.h"

#include "project/project.h"
#include "sheets/paper.h"

#include <QBuffer>
#include <QImage>
#include <QPageSize>
#include <QPdfWriter>
#include <QSvgGenerator>

#include <cmath>

namespace mezzet::sheets {

Result<int> printPages(const PaperJob& job, const std::filesystem::path& path) {
    const auto format = formatOf(path);
    if (!format)
        return Problem{"a sheet is a .pdf, .svg or .png file", "give the file such an ending"};
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    int written = 1;
    const auto whole = [](double v) { return static_cast<int>(std::lround(v)); };
    if (*format == Format::pdf) {
        QPdfWriter pdf(&buffer);
        pdf.setResolution(1200);
        pdf.setPageSize(QPageSize(QSizeF(job.width, job.height), QPageSize::Millimeter, QString(),
                                  QPageSize::ExactMatch));
        pdf.setPageMargins({0, 0, 0, 0});
        pdf.setTitle(QString::fromStdString(job.title));
        pdf.setCreator("Mezzet");
        QPainter p(&pdf);
        for (std::size_t i = 0; i < job.pages.size(); ++i) {
            if (i > 0)
                pdf.newPage();
            job.pages[i](p, 1200 / 25.4);
        }
        written = static_cast<int>(job.pages.size());
    } else if (*format == Format::svg) {
        QSvgGenerator svg;
        svg.setOutputDevice(&buffer);
        svg.setResolution(254); // ten units to a millimetre
        svg.setSize(QSize(whole(job.width * 10), whole(job.height * 10)));
        svg.setViewBox(QRectF(0, 0, job.width * 10, job.height * 10));
        svg.setTitle(QString::fromStdString(job.title));
        QPainter p(&svg);
        job.pages.front()(p, 10);
    } else {
        constexpr double perMm = 8; // 203.2 dpi
        QImage image(whole(job.width * perMm), whole(job.height * perMm), QImage::Format_RGB32);
        image.setDotsPerMeterX(8000);
        image.setDotsPerMeterY(8000);
        image.fill(Qt::white);
        QPainter p(&image);
        p.setRenderHint(QPainter::Antialiasing);
        job.pages.front()(p, perMm);
        p.end();
        if (!image.save(&buffer, "PNG"))
            return Problem{"the picture could not be made", "try another format"};
    }
    buffer.close();
    if (auto saved = writeWhole(
            path, std::string_view(bytes.constData(), static_cast<std::size_t>(bytes.size())));
        !saved)
        return saved.problem();
    return written;
}

} // namespace mezzet::sheets
