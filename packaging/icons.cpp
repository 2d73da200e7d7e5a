// Draws an SVG as PNGs of given sizes: mezzet-icons FILE.svg FOLDER SIZE …
#include <QDir>
#include <QGuiApplication>
#include <QImage>
#include <QPainter>
#include <QSvgRenderer>

int main(int argc, char** argv) {
    const QGuiApplication app(argc, argv);
    const auto all = QGuiApplication::arguments();
    if (all.size() < 4)
        return 2;
    QSvgRenderer svg(all[1]);
    if (!svg.isValid() || !QDir().mkpath(all[2]))
        return 3;
    for (int i = 3; i < all.size(); ++i) {
        const int size = all[i].toInt();
        QImage image(size, size, QImage::Format_ARGB32);
        image.fill(Qt::transparent);
        QPainter p(&image);
        p.setRenderHint(QPainter::Antialiasing);
        svg.render(&p, QRectF(0, 0, size, size));
        p.end();
        if (!image.save(QString("%1/%2.png").arg(all[2]).arg(size)))
            return 3;
    }
    return 0;
}
