#pragma once

#include "sheets/sheet.h"

#include <filesystem>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace mezzet::sheets {

/// Who a book is for; each has the pages that are his.
enum class Reader { all, client, shop, electrician, installer, workroom };
/// "client", "shop", "electrician", "installer", "workroom". Nothing for other words.
[[nodiscard]] std::optional<Reader> readerNamed(std::string_view);
/// Those words, in a list.
[[nodiscard]] std::string readerNames();

/// Under what a job remembers how a reader's book was asked for: "book for client".
[[nodiscard]] std::string bookKey(Reader);

/// The sheets that a reader's book has, in order: id and title.
[[nodiscard]] std::vector<std::pair<std::string, std::string>> chaptersOf(Reader);

/// What is asked of a book.
struct BookAsked {
    Reader reader = Reader::all;
    SheetOptions options;
    std::vector<std::string> leftOut{}; ///< ids of sheets that are not to be in it

    /// As it was asked for last: its paper, its scale, what is left out.
    [[nodiscard]] static BookAsked asLast(const Project&, Reader);
};

/// A chapter that is in a book, or why it is not.
struct BookChapter {
    std::string id;    ///< of its sheet
    std::string title; ///< "Great room: wall C"
    int page = 0;      ///< on which it begins, from 1; 0 when it is not in it
    int pages = 0;
    std::string why{}; ///< why it is not
};
struct PrintedBook {
    int pages = 0;
    std::vector<BookChapter> chapters;
};

/// The whole set of sheets that a reader wants as one PDF: a cover, contents whose lines lead to
/// their pages and end in the page number, bookmarks, and a number on every page. Costs and what is
/// to mend are for nobody but oneself. What there is nothing to show of is not in it, and is told.
/// Problem: nothing is in it, it was stopped, or it can't be written.
[[nodiscard]] Result<PrintedBook> printBook(const Project&, const BookAsked&,
                                            const std::filesystem::path&);

} // namespace mezzet::sheets
