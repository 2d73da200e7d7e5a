#include "app/dialogs/sheet_dialog.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QLabel>
#include <QPushButton>

namespace mezzet::app {

QComboBox* addFileRows(QFormLayout* form, QDialog* dialog) {
    auto* format = new QComboBox;
    format->addItem("PDF, to print", "pdf");
    format->addItem("SVG, to draw on", "svg");
    format->addItem("PNG, to send", "png");
    form->addRow("File", format);
    auto* buttons = new QDialogButtonBox;
    buttons->addButton("Choose where", QDialogButtonBox::AcceptRole)->setDefault(true);
    buttons->addButton("Cancel", QDialogButtonBox::RejectRole);
    form->addRow(buttons);
    QObject::connect(buttons, &QDialogButtonBox::accepted, dialog, &QDialog::accept);
    QObject::connect(buttons, &QDialogButtonBox::rejected, dialog, &QDialog::reject);
    return format;
}

QString askWhere(QWidget* over, const QString& title, const QString& name, const QString& ending,
                 const QString& kinds) {
    const auto path = QFileDialog::getSaveFileName(
        over, title, name + "." + ending,
        QString("%1 (*.%2)").arg(kinds.isEmpty() ? ending.toUpper() : kinds, ending));
    // A dot in a name is no ending: "plan 1.2" wants its own.
    static const QStringList known{"pdf", "svg", "png", "csv", "dxf"};
    return path.isEmpty() || known.contains(QFileInfo(path).suffix().toLower())
               ? path
               : path + "." + ending;
}

SheetDialog::SheetDialog(bool metric, QWidget* parent) : QDialog(parent) {
    setObjectName("sheetDialog");
    setWindowTitle("Print the plan");
    auto* form = new QFormLayout(this);
    form->setContentsMargins(20, 18, 20, 14);
    form->setSpacing(10);
    paper_ = new QComboBox;
    paper_->addItem("The smallest that fits", "");
    for (const char* p : {"Letter", "Tabloid", "A4", "A3"})
        paper_->addItem(p, p);
    scale_ = new QComboBox;
    scale_->addItem("The largest that fits", "");
    for (const bool system : {metric, !metric})
        for (const auto& s : sheets::usualScales(system))
            scale_->addItem(QString::fromStdString(s.words), QString::fromStdString(s.words));
    form->addRow("Paper", paper_);
    form->addRow("Scale", scale_);
    format_ = addFileRows(form, this);
}

sheets::PlanOptions SheetDialog::options() const {
    sheets::PlanOptions o;
    o.paper = sheets::paperNamed(paper_->currentData().toString().toStdString());
    o.scale = sheets::readScale(scale_->currentData().toString().toStdString());
    return o;
}

QString SheetDialog::format() const {
    return format_->currentData().toString();
}

} // namespace mezzet::app
