#include "app/dialogs/paper_choice.h"
#include "app/look/tr.h"

#include "sheets/paper.h"

#include <QComboBox>

namespace mezzet::app {

QComboBox* newPaperBox() {
    auto* box = new QComboBox;
    box->addItem(tr("The job's own"), "");
    for (const char* p : {"Letter", "Tabloid", "A4", "A3"})
        box->addItem(p, p);
    return box;
}

QComboBox* newScaleBox(Units units) {
    auto* box = new QComboBox;
    box->addItem(tr("The largest that fits"), "");
    for (const bool system : {isMetric(units), !isMetric(units)})
        for (const auto& s : sheets::usualScales(system))
            box->addItem(QString::fromStdString(s.words), QString::fromStdString(s.words));
    return box;
}

void choose(QComboBox* box, const std::string& data) {
    if (const int i = box->findData(QString::fromStdString(data)); i >= 0)
        box->setCurrentIndex(i);
}

} // namespace mezzet::app
