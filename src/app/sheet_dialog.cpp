#include "app/sheet_dialog.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QLabel>
#include <QPushButton>

namespace mezzet::app {

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
    format_ = new QComboBox;
    format_->addItem("PDF, to print", "pdf");
    format_->addItem("SVG, to draw on", "svg");
    format_->addItem("PNG, to send", "png");
    form->addRow("Paper", paper_);
    form->addRow("Scale", scale_);
    form->addRow("File", format_);
    auto* buttons = new QDialogButtonBox;
    buttons->addButton("Choose where", QDialogButtonBox::AcceptRole)->setDefault(true);
    buttons->addButton("Cancel", QDialogButtonBox::RejectRole);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
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
