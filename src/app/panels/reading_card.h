#pragma once

#include "app/session/job_session.h"

#include <QFrame>
#include <QLineEdit>

class QLabel;
class QPushButton;

namespace mezzet::app {

/// A stretch of measuring tape: the band left white, a pointer at the value.
class TapeStrip : public QWidget {
    Q_OBJECT
public:
    /// A stretch of tape, in the unit of its value.
    struct Span {
        double low;
        double high;
    };
    explicit TapeStrip(QWidget* parent = nullptr);
    void show(const Reading&, Notation);
    QSize sizeHint() const override { return {230, 42}; }

signals:
    /// An end of the band was dragged: the band that is wanted.
    void bandWanted(Band);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;

private:
    enum class End { none, low, high };
    [[nodiscard]] Span span() const;
    [[nodiscard]] double pixelOf(double value, const Span&) const;
    /// The end of the band under a place of the strip.
    [[nodiscard]] End endAt(double x) const;

    Reading reading_;
    Notation notation_;
    End held_ = End::none;
    std::optional<Span> kept_; ///< while an end is held the tape lies still
};

/// One reading: its tape, its value to be typed over, why, and the remedy.
class ReadingCard : public QFrame {
    Q_OBJECT
public:
    ReadingCard(JobSession&, std::size_t reading, bool withPiece, QWidget* parent = nullptr);

    [[nodiscard]] QLineEdit* figure() const { return figure_; }
    [[nodiscard]] QPushButton* remedyButton() const { return remedy_; }
    [[nodiscard]] std::size_t reading() const { return index_; }
    /// Gives its wrapped texts the height they need at this width.
    void fitTo(int width);
    /// Shows the remedy once it has been found.
    void showRemedy();

    /// Whether the reading it shows is still the one at its place: readings come and go before
    /// cards are made anew.
    [[nodiscard]] bool stillThere() const;
    /// Goes on with the same relation after the readings changed; false when it is gone.
    bool follow();

private:
    void typed();
    void tell();
    void showMenu();
    void accept();
    void ownBand();
    void setBand(const Band&);

    JobSession& session_;
    std::size_t index_;
    bool withPiece_;
    std::optional<Reading> told_; ///< what it shows
    QLabel* heading_;
    QPushButton* menu_;
    TapeStrip* strip_;
    QWidget* mark_;
    QLineEdit* figure_;
    QLabel* why_;
    QPushButton* remedy_;
    QLabel* upsets_;
    QPushButton* more_;
    QString brief_; ///< what the remedy does besides, in a line
    QString whole_; ///< and in full
};

} // namespace mezzet::app
