#include "app/look/tr.h"

#include "measure/texts.h"

#include <QCoreApplication>

namespace mezzet::app {

namespace {

/// Qt's translation by the one file that makes a language: every text of the window, and those Qt
/// says itself, are looked up where the core's are.
class OwnTexts : public QTranslator {
public:
    using QTranslator::QTranslator;

    QString translate(const char*, const char* english, const char*, int) const override {
        const std::string_view own = mezzet::told(english);
        return own.data() == english
                   ? QString()
                   : QString::fromUtf8(own.data(), static_cast<qsizetype>(own.size()));
    }
    bool isEmpty() const override { return false; }
};

} // namespace

QString tr(const char* english) {
    return QCoreApplication::translate("Mezzet", english);
}

std::string inOwnWords(const char* english) {
    return std::string(mezzet::told(english));
}

void installTexts(QCoreApplication& app) {
    QCoreApplication::installTranslator(new OwnTexts(&app));
}

} // namespace mezzet::app
