#include "app/measure/open_picture.h"
#include "app/look/tr.h"
#include "measure/texts.h"

#include <poppler-qt6.h>

#include <QFileInfo>
#include <QImageReader>

#include <algorithm>

namespace mezzet::app {

namespace {

/// No page is rendered finer than a good print.
constexpr double finest = 150;

std::string nameOf(const QString& path) {
    return QFileInfo(path).fileName().toStdString();
}

} // namespace

Result<QImage> picture(const QString& path) {
    QImageReader reader(path);
    reader.setAutoTransform(true);
    reader.setAllocationLimit(1024);
    const QSize size = reader.size();
    if (size.width() > mostPixels || size.height() > mostPixels)
        reader.setScaledSize(size.scaled(mostPixels, mostPixels, Qt::KeepAspectRatio));
    const QImage image = reader.read();
    if (image.isNull())
        return Problem{worded("{} can't be read as a picture", nameOf(path)),
                       reader.errorString().toLower().toStdString()};
    return image;
}

Result<QImage> pdfPage(const QString& path, int page, int& pages) {
    const auto document = Poppler::Document::load(path);
    if (document && document->isLocked())
        return Problem{worded("{} is locked", nameOf(path)),
                       "open it and print a page to a new PDF"};
    if (!document || document->numPages() < 1)
        return Problem{worded("{} can't be read as a PDF", nameOf(path)), "print it to a new PDF"};
    document->setRenderHint(Poppler::Document::Antialiasing);
    document->setRenderHint(Poppler::Document::TextAntialiasing);
    pages = document->numPages();
    const int n = std::clamp(page, 1, pages);
    const auto one = document->page(n - 1);
    if (!one)
        return Problem{worded("page {} can't be read", n), "try another page"};
    const QSizeF points = one->pageSizeF();
    const double most = std::max(points.width(), points.height());
    const double dpi = most > 0 ? std::min(finest, mostPixels * 72.0 / most) : finest;
    const QImage image = one->renderToImage(dpi, dpi);
    if (image.isNull())
        return Problem{worded("page {} can't be drawn", n), "try another page"};
    return image;
}

} // namespace mezzet::app
