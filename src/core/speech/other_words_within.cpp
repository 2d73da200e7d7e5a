// Words that are said for others wherever they stand in a line.
#include "speech/other_words_table.h"

namespace mezzet {

namespace {

constexpr OtherWords withinInstead[] = {
    {"\\b(?:beneath|underneath|below)\\b", "under"},
    {"\\b(?:telly|tele|flatscreen)\\b", "tv"},
    {"\\bcent(?:ere|re)d (in front of|behind|beside|under|against|above|opposite|along)\\b", "$1"},
    {"(\\b(?:trees?|plants?|palms?|ferns?|figs?|cactus|olives?|ficus)) in (?:an?|its|the|some)? "
     "?(?:[a-z]+ )?(?:pots?|planters?|tubs?|urns?)\\b",
     "$1"},
    {"\\b(?:hard |right |tight |flush |snug |snugly |close |smack |butted |all the way )*(?:up "
     ")?(?:against|into|in) (?:the |a )?(?=corner\\b)",
     "in the "},
    {"\\b(?:(?:hard|right|tight|flush|snug|snugly|smack|butted|all the way) )?up (?:against|to) "
     "(?=(?:the |its |that )?(?:[a-z]+ )?wall\\b)",
     "against "},
    {"\\bin (?:the |an? )(?:empty|free|spare|unused|bare) corner\\b", "in the corner"},
    {"\\b(?:above|over) (?:the|its|their) back\\b", "above it"},
    {"\\bon both (?:of the )?(?:sides|ends) of\\b", "either side of"},
    {"\\b(?:at|on) both (?:of the )?ends of\\b", "at each end of"},
    {"\\bback ?to ?back with\\b", "behind"},
    {"\\b(?:in|inside|within) the window (?:recess|reveal|frame|opening)\\b", "on the window"},
    {"\\ball along\\b", "along"},
    {"\\b(full|queen|king|twin|double|single)[- ]sized?\\b", "$1"},
    {"^((?:put |place |add |what about |how about |try )?)twin beds\\b", "$1two single beds"},
    {"\\bwith (?:its|the) (head|headboard|back) (?:on|to|at|up against)\\b", "with its $1 against"},
    {"^throw (?:down )?(?=an? )", "put "},
    {"\\b(?:light|wall) switch\\b", "switch"},
    {"\\b(?:wall|power|plug|electrical|electric) (?:socket|outlet|point|sockets|outlets)\\b",
     "outlet"},
    {"\\b(?:vertically|in a vertical (?:line|row))\\b", "in a column"},
    {"\\b(?:horizontally|in a horizontal (?:line|row))\\b", "in a row"},
    {"\\bthe (?:front|main|entrance|entry|house) door\\b", "the door"},
    {"\\b(?:the (?:whole )?lot|all of those|the whole (?:group|bunch|set|row))\\b(?! of)", "them"},
    {"\\bon the (left|right)(?:[- ]hand)? (?:corner|edge) of\\b", "on the $1 end of"},
};

} // namespace

std::span<const OtherWords> otherWithin() {
    return withinInstead;
}

} // namespace mezzet
