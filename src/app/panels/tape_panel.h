#pragma once

#include "app/panels/reading_card.h"
#include "app/session/pace.h"

#include <QElapsedTimer>
#include <QScrollArea>

class QVBoxLayout;

namespace mezzet::app {

/// The tape: the readings of what is selected; with nothing selected, all that is to mend.
class TapePanel : public QScrollArea {
    Q_OBJECT
public:
    explicit TapePanel(JobSession&, QWidget* parent = nullptr);

    [[nodiscard]] const std::vector<ReadingCard*>& cards() const { return cards_; }
    /// Takes the first remedy shown.
    void takeFirstRemedy();
    /// Puts the caret in the first figure.
    void editFirst();

signals:
    /// An act of the menu, by its name.
    void actWanted(const QString& name);

protected:
    void resizeEvent(QResizeEvent*) override;

private:
    void addNotes(QVBoxLayout*, const std::vector<std::size_t>& readings, bool withPiece);
    void addRoom(QVBoxLayout*);
    void addChoice(QVBoxLayout*, const Piece&);
    void addHooks(QVBoxLayout*, const Piece&);
    void addSeveral(QVBoxLayout*);
    void rebuild();
    void wanted();
    /// While something is dragged: the cards as they are, with what their readings are now.
    void followCards();
    void findRemedies();
    void addTies(QVBoxLayout*, const Piece&);

    JobSession& session_;
    QWidget* body_ = nullptr;
    std::vector<ReadingCard*> cards_;
    Pace follow_{50, [this] { followCards(); }};
    QTimer later_;
    QElapsedTimer cardsWanted_; ///< since when, while something is dragged
    QTimer idle_;
    std::vector<int> selectionShown_; ///< what was selected when the cards were made
    bool takeWhenFound_ = false;      ///< the first remedy is to be taken as soon as it is there
};

} // namespace mezzet::app
