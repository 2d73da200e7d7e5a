#include "sheets/paper_out.h"
#include "measure/texts.h"
#include "sheets/tr.h"

#include "project/project.h"
#include "sheets/paper.h"

#include <QBuffer>
#include <QImage>
#include <QPageSize>
#include <QPdfWriter>
#include <QSvgGenerator>

#include <fmt/format.h>

#include <cmath>

namespace mezzet::sheets {

namespace {

constexpr double svgPerMm = 10;
constexpr double pngPerMm = 8; // 203.2 dpi

int whole(double v) {
    return static_cast<int>(std::lround(v));
}

bool stopped(const PaperJob& job, std::size_t page) {
    return job.goOn && !job.goOn(static_cast<double>(page) / static_cast<double>(job.pages.size()));
}

/// Empty when it was stopped.
QByteArray pdfOf(const PaperJob& job) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    QPdfWriter pdf(&buffer);
    pdf.setResolution(1200);
    pdf.setPageSize(QPageSize(QSizeF(job.width, job.height), QPageSize::Millimeter, QString(),
                              QPageSize::ExactMatch));
    pdf.setPageMargins({0, 0, 0, 0});
    pdf.setTitle(QString::fromStdString(job.title));
    pdf.setCreator("Mezzet");
    QPainter p(&pdf);
    for (std::size_t i = 0; i < job.pages.size(); ++i) {
        if (stopped(job, i))
            return {};
        if (i > 0)
            pdf.newPage();
        job.pages[i](p, 1200 / 25.4);
    }
    p.end();
    return bytes;
}

QByteArray svgOf(const PaperJob& job, std::size_t page) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    QSvgGenerator svg;
    svg.setOutputDevice(&buffer);
    svg.setResolution(whole(svgPerMm * 25.4));
    svg.setSize(QSize(whole(job.width * svgPerMm), whole(job.height * svgPerMm)));
    svg.setViewBox(QRectF(0, 0, job.width * svgPerMm, job.height * svgPerMm));
    // Qt writes the title as it is: it has to be XML already.
    svg.setTitle(QString::fromStdString(job.title).toHtmlEscaped());
    QPainter p(&svg);
    job.pages[page](p, svgPerMm);
    p.end();
    return bytes;
}

QByteArray pngOf(const PaperJob& job, std::size_t page) {
    QImage image(whole(job.width * pngPerMm), whole(job.height * pngPerMm), QImage::Format_RGB32);
    image.setDotsPerMeterX(whole(pngPerMm * 1000));
    image.setDotsPerMeterY(whole(pngPerMm * 1000));
    image.fill(Qt::white);
    QPainter p(&image);
    p.setRenderHint(QPainter::Antialiasing);
    job.pages[page](p, pngPerMm);
    p.end();
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    image.save(&buffer, "PNG");
    return bytes;
}

} // namespace

QImage pictureOf(const PaperJob& job, std::size_t page, int width) {
    const double k = width / job.width;
    QImage image(width, std::max(whole(job.height * k), 1), QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter p(&image);
    p.setRenderHint(QPainter::Antialiasing);
    job.pages[page](p, k);
    p.end();
    return image;
}

std::filesystem::path pagePath(const std::filesystem::path& path, std::size_t page) {
    if (page == 0)
        return path;
    auto out = path;
    return out.replace_filename(path.stem().string() + "-" + std::to_string(page + 1) +
                                path.extension().string());
}

std::string pagesWords(const std::filesystem::path& path, int pages) {
    std::string out = worded("{} page{}", pages, pages == 1 ? "" : "s");
    if (pages > 1 && formatOf(path) != Format::pdf)
        out += worded(", a file each, to {}",
                      pagePath(path, static_cast<std::size_t>(pages) - 1).filename().string());
    return out;
}

Result<int> printPages(const PaperJob& job, const std::filesystem::path& path) {
    const auto format = formatOf(path);
    if (!format)
        return Problem{"a sheet is a .pdf, .svg or .png file", "give the file such an ending"};
    const Problem halted{tr("the printing was stopped"), tr("print it again when there is time")};
    const auto save = [&](std::size_t page, const QByteArray& bytes) {
        return writeWhole(
            pagePath(path, page),
            std::string_view(bytes.constData(), static_cast<std::size_t>(bytes.size())));
    };
    if (*format == Format::pdf) {
        const QByteArray bytes = pdfOf(job);
        if (bytes.isEmpty())
            return halted;
        if (auto saved = save(0, bytes); !saved)
            return saved.problem();
        return static_cast<int>(job.pages.size());
    }
    for (std::size_t i = 0; i < job.pages.size(); ++i) {
        if (stopped(job, i))
            return halted;
        const QByteArray bytes = *format == Format::svg ? svgOf(job, i) : pngOf(job, i);
        if (bytes.isEmpty())
            return Problem{"the picture could not be made", "try another format"};
        if (auto saved = save(i, bytes); !saved)
            return saved.problem();
    }
    return static_cast<int>(job.pages.size());
}

} // namespace mezzet::sheets
