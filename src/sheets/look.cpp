#include "sheets/look.h"
#include "sheets/tr.h"

#include <QFontDatabase>

#include <mutex>

static void initFontResource() {
    Q_INIT_RESOURCE(fonts);
}

namespace mezzet::sheets {

QColor Look::wash(Family f) const {
    switch (f) {
    case Family::seat:
        return night ? QColor(0x4f6655) : QColor(0xa3b69e);
    case Family::table:
        return night ? QColor(0x7a5543) : QColor(0xe4c0aa);
    case Family::storage:
        return night ? QColor(0x6f6238) : QColor(0xecd9a4);
    case Family::sleep:
        return night ? QColor(0x4a5c70) : QColor(0xbccbd8);
    case Family::rug:
        return night ? QColor(0x4b3a38) : QColor(0xecd9d1);
    case Family::light:
        return night ? QColor(0x6a5e2a) : QColor(0xf4e4a6);
    case Family::plant:
        return night ? QColor(0x556b3c) : QColor(0xc3d5a8);
    case Family::screen:
        return night ? QColor(0x595168) : QColor(0xd3cbdd);
    case Family::art:
        return night ? QColor(0x3f5f66) : QColor(0xbfd2d3);
    case Family::textile:
        return night ? QColor(0x5b4a55) : QColor(0xe2d3d8);
    }
    return floor;
}

QColor Look::of(Verdict v) const {
    switch (v) {
    case Verdict::right:
        return right;
    case Verdict::tight:
    case Verdict::clash:
        return tight;
    case Verdict::loose:
        return loose;
    case Verdict::note:
        return soft;
    }
    return ink;
}

const Look& dayLook() {
    static const Look look{QColor(0xefe8d9), QColor(0xd5cbb5), QColor(0xfffdf5),
                           QColor(0xfaf6ea), QColor(0xfffefa), QColor(0xece5d2),
                           QColor(0xddd3ba), QColor(0x25302d), QColor(0x6a655a),
                           QColor(0x25302d), QColor(0xf1d887), QColor(0xfffdf5),
                           QColor(0x23634a), QColor(0xb23f2b), QColor(0x35528f),
                           QColor(0x1d4f6b), QColor(0xfbf7ea), false};
    return look;
}

const Look& nightLook() {
    static const Look look{QColor(0x1d2221), QColor(0x3a4240), QColor(0x2a302f),
                           QColor(0x212726), QColor(0x2b3130), QColor(0x2b3231),
                           QColor(0x39413f), QColor(0xece4d1), QColor(0xa9a392),
                           QColor(0xcfc7b3), QColor(0x8f7a35), QColor(0xe9e2cc),
                           QColor(0x7cc7a3), QColor(0xef8a73), QColor(0x94b1ee),
                           QColor(0x86c3e0), QColor(0x1d2221), true};
    return look;
}

const Look& paperLook() {
    static const Look look = [] {
        Look l = dayLook();
        l.panel = l.board = l.floor = l.field = Qt::white;
        l.graph = QColor(0xe9e6de);
        l.graphStrong = QColor(0xd8d3c6);
        return l;
    }();
    return look;
}

void loadFonts() {
    // Sheets are printed on threads of their own: whoever comes first loads them for all.
    static std::once_flag once;
    std::call_once(once, [] {
        initFontResource();
        for (const char* f :
             {"Cabin-Regular.otf", "Cabin-Medium.otf", "Cabin-SemiBold.otf", "Cabin-Bold.otf",
              "Cabin-Italic.otf", "routed-gothic.ttf", "routed-gothic-narrow.ttf"})
            QFontDatabase::addApplicationFont(QString(":/fonts/") + f);
    });
}

QFont sans(double pixels, int weight) {
    QFont f("Cabin");
    f.setPixelSize(std::max(1, static_cast<int>(std::lround(pixels))));
    f.setWeight(static_cast<QFont::Weight>(weight));
    return f;
}

QFont lettering(double pixels) {
    QFont f("Routed Gothic");
    f.setPixelSize(std::max(1, static_cast<int>(std::lround(pixels))));
    return f;
}

} // namespace mezzet::sheets
