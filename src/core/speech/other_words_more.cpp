// More of what people say in other words than the line's own: placing and changing.
#include "speech/other_words_table.h"

namespace mezzet {

namespace {

constexpr OtherWords moreInstead[] = {
    {"(.+?),? instead", "$1"},
    {"(.+?) in the alcoves? (?:on |at |to )?(?:either|each|both) sides? of (.+)",
     "$1 either side of $2"},
    {"((?:put |hang |place |add |set )?(?:four|six|eight|nine|ten|twelve|[0-9]+) .+?),? (?:in|as) "
     "(?:two|three|2|3) rows(?: of (?:two|three|four|five|[0-9]))?\\b(.*)",
     "$1 in a grid$2"},
    {"(?:put |hang |place |add )?two (.+?s),? one at ([0-9][^,]*?) and (?:one|the other) at "
     "([0-9][^,]*?),? "
     "((?:on|over|above|left|right|beside|under) .+)",
     "add $1 $4, at $2; then add $1 $4, at $3"},
    {"(.+?) down the (?:middle|centre|center)(?: of (?:the "
     ")?(?:room|hall|hallway|corridor|passage))?",
     "$1 in the middle of the room"},
    {"((?:put |hang |place |add )?)(?:an? )?row of (?:coat )?(?:hooks|pegs)\\b(.*)",
     "$1hook rail$2"},
    {"(.+?) so (?:that )?(?:people|one|you|i|we|it|someone|everyone|there) "
     "(?:can|could|is|are|has|have) .+",
     "$1"},
    {"(.+?) to make (?:more )?(?:room|space)(?: .+)?", "$1"},
    {"((?:hang |put |make |add )?)(?:an? )?(?:gallery|gallery wall) of (?:family |our |my |old "
     "|small )?"
     "(?:photos|pictures|prints|frames|photographs|paintings) (on|over|above) (.+)",
     "$1six pictures in a grid $2 $3"},
    {"(?:the )?(?:price|cost) of (.+?) (?:is |= ?|: ?)?([0-9].*)", "$1 costs $2"},
    {"(.+?) on the (chimney breast|chimney|fireplace)\\b(.*)", "$1 over the $2$3"},
    {"(?:the )?(wall [a-z]) (?:in |is |painted |should be )?([a-z][a-z -]*)", "colour $1 $2"},
    {"(.+?),? (?:evenly spaced|spaced evenly|equally spaced|spaced equally|evenly spread|spread "
     "evenly|"
     "spaced out evenly|evenly)",
     "$1"},
    {"([0-9][^a-z]*(?:cm|mm|m|in|inch|inches|ft|feet)?) (?:from|between) (.+?) (?:to|and) (.+)",
     "leave $1 between $2 and $3"},
    {"(.*\\b(?:pendant|chandelier|light|lamp)\\b.*?) in the corner (over|above|beside|next to|by) "
     "(.+)",
     "$1 $2 $3"},
    {"(.*\\btable) and (an?|one|two|three|four|five|six|seven|eight|ten|[0-9]+) chairs?\\b(.*)",
     "$1 with $2 chairs$3"},
    {"((?:put |place |hang |add |set )?)(?:an? |the )?([^0-9,]+?) "
     "((?:on|in|at|under|over|above|below|"
     "against|along|by|near|beside|next to|between|behind|in front of|left of|right of|opposite) "
     "[^,]+?) ([0-9][^ ,]*(?: ?(?:cm|mm|m|in|inches|inch|ft|feet))? ?(?:x|by) ?[0-9][^,]*)",
     "$1a $4 $2 $3"},
    {"((?:put |place |hang |add |set )?)(?:the |some )?([a-z -]+?)s (on|over|above|beside|under) "
     "(?:the "
     "|all the |both |both the )?([a-z -]+?)s,? (at [0-9][^,]*)",
     "$1a $2 $3 each $4, $5"},
    {"(?:or |no,? |actually,? |or better,? |or rather,? |rather,? |maybe |perhaps |better )+(an? "
     "[^0-9,]+?),? ([0-9].*)",
     "replace it by $1; then make it $2"},
    {"(.+?),? (?:with )?(?:its |the )?head(?:board)? (?:against|to|on|at) the wall", "$1"},
    {"(.+?) on (?:both|either|each) sides?", "$1 either side of it"},
    {"(.*\\b(?:bedside tables?|nightstands?|bedside cabinets?)\\b.*?) on (?:both|either|each) "
     "sides?",
     "$1 either side of the bed"},
    {"(?:swap|replace|change|exchange) (.+?) (?:for|with|by|to) an? "
     "(bigger|larger|smaller|wider|longer|"
     "narrower|taller|lower|shorter|deeper) (?:one|.+)",
     "make $1 $2"},
    {"(.*\\b(?:chair|stool|bench)\\b.*?) for (it|the .+|my .+)", "$1 at $2"},
    {"(?:fix|mend|sort out|put right) (?:what|whatever|as much as|all) (?:you can|is possible|can "
     "be "
     "fixed)",
     "mend all"},
    {"(?:two |a pair of )?((?:twin|single|bunk) beds) (?:instead of|in place of|rather than) (.+)",
     "remove $2; then two $1"},
    {"(?:or |no,? |actually,? |or better,? |or rather,? |rather,? |maybe |perhaps |better )+(an? "
     ".+)",
     "replace it by $1"},
    {"(.+?),? (?:to match|that match|matching|to suit|to go with (?:it|them|that))", "$1"},
    {"(?:seat|sit) (one|two|three|four|five|six|seven|eight|nine|ten|twelve|[0-9]+)(?: people| "
     "guests| "
     "of us)?",
     "seat the table with $1"},
    {"what (?:if|about if) (.+?) (?:was|were|is|are|became|becomes) (.+?)\\??", "make $1 $2"},
    {"what (?:if|about if) (?:i|we|you) (?:moved|move) (.+?)\\??", "move $1"},
    {"what (?:if|about if) (?:i|we|you) (?:turned|turn) (.+?)\\??", "turn $1"},
    {"what (?:if|about if) (?:i|we|you) (?:put|placed|place|had|have|added|add) (.+?)\\??",
     "put $1"},
    {"what (?:if|about if) (?:i|we|you) (?:took out|took away|removed|remove|take out|take "
     "away|lost|"
     "lose) (.+?)\\??",
     "remove $1"},
    {"(?:the )?(walls|floor|ceiling) (?:in |are |is |painted |should be )?([a-z][a-z -]*)",
     "colour the $1 $2"},
    {"(?:paint|colour|color) the (?:rest|others)(?: of the walls)? (.+)",
     "colour the other walls $1"},
    {"(?:the )?other walls (?:in |are |is |painted |should be )?([a-z][a-z -]*)",
     "colour the other walls $1"},
    {"(?:make|start|begin|open) (?:a |another )?new (?:scheme|layout|version|option|arrangement)",
     "scheme new"},
    {"(?:copy|duplicate) (?:this|the) (?:scheme|layout|version|room|arrangement|plan)",
     "scheme new"},
    {"(.*?\\brug\\b.*?) under (.+?),? (?:sticking|showing|coming|poking|reaching) (?:out "
     ")?([0-9].*?) "
     "(?:on|at|past|round|around) (?:it on |its )?(?:all|both|three|every|each|the)?(?: four| "
     "three)? ?"
     "(?:sides?|ends?|edges?)",
     "$1 under $2 that reaches $3 past it on all sides"},
    {"(.*?)\\blamps? on (?!the floor|either|each|both|wall|a wall)(.+)", "$1table lamp on $2"},
    {"(.+?),? (?:with )?one (?:at |on |to )?(?:each|either) (end|side) of (.+)",
     "$1 on each $2 of $3"},
    {"(.+?),? (?:at |hung |hanging )?([0-9][^,a-z]*(?: "
     "?(?:cm|mm|m|in|inches|inch|feet|ft|foot)\\b)?) "
     "(?:from|off|above) the (?:floor|ground)\\b(.*)",
     "$1$3, bottom at $2"},
    {"(.+?),? (?:at |with its (?:centre|center|middle) at )?([0-9][^,a-z]*(?: "
     "?(?:cm|mm|m|in|inches|"
     "inch|feet|ft|foot)\\b)?) (?:to|at) (?:the|its) (?:middle|centre|center)(.*)",
     "$1$3, centre at $2"},
    {"(.+?),? (?:in|as) (?:an? )?(?:square|block|two by two|2 ?x ?2|two rows of two)(?: "
     "grid)?\\b(.*)",
     "$1 in a grid$2"},
    {"((?:hang |put |place |add |make )?)(?:an? |the )?(?:group|cluster|collection|arrangement|set|"
     "bunch|grouping) of (?:pictures|prints|frames|photos|photographs|paintings|art|artwork|"
     "artworks)\\b(.*)",
     "$1six pictures in a grid$2"},
    {"((?:hang |put |place |add )?)(?:an? |the |some )?light (over|above) (.+)", "$1pendant $2 $3"},
    {"(?:make|have) (.+?) square,? (?:and )?([0-9][^x]*?)(?: across| wide| each way| each side)?",
     "make $1 $2 by $2"},
    {"(leave|keep|have|allow) (?:an? )?([0-9].*?) "
     "(?:gap|space|distance|clearance|walkway|way|passage) "
     "(between .+)",
     "leave $2 $3"},
    {"(?:instead of|in place of) (.+?),? (?:put |use |have |try |add |with )?(an? .+)",
     "replace $1 by $2"},
    {"(?:the )?same (?:again|thing|one)(?: but)?,? (?:on|to|at) the (?:other|opposite) side(.*)",
     "copy it to the other side$1"},
    {"(?:the )?same (?:again|thing|one)(?: but)?,? (.+)", "copy it $1"},
    {"another (.+?),? (?:just |exactly )?(?:like|the same as|to match|matching) "
     "(?:that|this|it|the "
     "other|the first)(?: one)?\\b(.*)",
     "another $1$2"},
    {"(.*\\b(?:blinds?|shades?|curtains?|drapes|shutters?)\\b.*?) (?:in|inside) "
     "(each|every|both|all)"
     "(?: of)?(?: the)? (windows?)",
     "$1 on each window"},
    {"((?:put |hang |add |place )?(?:an? |the )?(?:curtains?|drapes|drapery|curtain panels)) "
     "(?:either "
     "side of|on each side of|on either side of|at each side of|at either side of) (.*window.*)",
     "$1 on $2"},
    {"(?:add|put|hang|place)? ?(?:the |some )?(?:shades|blinds)(?: (?:on|in|at|for))? "
     "(?:the|all|both|all "
     "the|each|every) windows?",
     "a roman blind on each window"},
    {"(?:some |the )?(?:shades|blinds) (.*)", "a roman blind $1"},
    {"(?:move|slide|shift|push|scoot|bump) (.+?) (?:so (?:that )?(?:it's|it is|its)|to be|until "
     "it's|"
     "until it is) (.+)",
     "$1 $2"},
    {"(.+?) so (?:that )?(?:it's|it is|its|they're|they are) (.+)", "$1 $2"},
    {"(?:move|slide|shift|push|scoot|bump|bring) (.+?) (?:a bit |a little |slightly |just "
     ")?(?:over )?"
     "(?:to the|to|toward|towards) (left|right)(?: a bit| a little| slightly| a touch| a smidge)",
     "nudge $1 $2"},
    {"(.+?) (?:taking up|filling|to fill|that fills|spanning|covering) (?:the whole of |the whole "
     "|all "
     "of |all )?(wall .+)",
     "$1 as wide as $2"},
    {"((?:put |place |add |set |hang )?)(?:my|our|his|her|their|his and hers) (.+)", "$1the $2"},
    {"(?:i'll|i will|we'll|we will|i'm going to|let me|let us) "
     "(?:have|put|place|hang|add|use|try|go "
     "with|move) (.+)",
     "put $1"},
    {"(?:make sure|see) (?:that )?(?:there is|there's|there are|we have|i have) (?:at least "
     ")?([0-9].*?)"
     "(?: of)?(?: space| room| clearance)? (between|behind|in front of) (.+)",
     "leave $1 $2 $3"},
    {"(?:make sure|see) (?:that )?(.+?) (?:is|are) (.+)", "$1 $2"},
    {"(.+?) (?:please|thanks|thank you|for me|if you can|if possible|if you would)", "$1"},
    {"(?:ok|okay|now|right|so|then|well|and|also|next|great|good|yes|hmm|oh|actually)[,:]? (.+)",
     "$1"},
    {"(.+?) (?:roughly|about|approximately|around|approx|ish|more or less) ([0-9].*)", "$1 $2"},
    {"(.+?) in front of (.+?),? (?:a |about )?([0-9].*?) (?:away|off|out|apart|away from it|in "
     "front)",
     "$1 $3 in front of $2"},
    {"(.+?) (behind|beside|next to|left of|right of|to the left of|to the right of) (.+?),? (?:a "
     "|about "
     ")?([0-9].*?) (?:away|off|apart|away from it|gap)",
     "$1 $4 $2 $3"},
    {"(.+?) with (?:an? )?([0-9].*?) (?:gap|space|clearance)? ?(?:between|to|from) (?:it and "
     ")?(.+)",
     "$1 $2 from $3"},
    {"(.+?) for (?:the |my |our |his |her )?[a-z]+ ((?:on|in|under|by|beside|against|over|next "
     "to|near) .+)",
     "$1 $2"},
    {"(.+?) (?:against|on|along) (?:the )?wall ([a-z]),? (?:in|into|at) the (left|right)(?:[- "
     "]hand)? "
     "corner\\b(.*)",
     "$1 in the $3 corner of wall $2$4"},
    {"(.* with )(two|three|four|five|six|eight|[0-9]+) "
     "(?:little|small|matching|kid's|kids|wooden|nice|"
     "low) chairs\\b(.*)",
     "$1$2 chairs$3"},
    {"(?:change|set|adjust|alter) (.+?) to (?:be )?([0-9].*)", "make $1 $2"},
    {"(?:hang |put |add )?((?:four|six|eight|nine|ten|twelve|[0-9]+) [a-z ]+?) ((?:over|above|on) "
     ".+?),? "
     "(?:in|as) (?:an? )?(?:grid|two rows|three rows|2 rows|3 rows)(?: of [a-z0-9]+)?",
     "a grid of $1 $2"},
    {"((?:put |hang |add )?)(?:the |some )?(curtains?|drapes)\\b(.*), (?:in )?blackout",
     "$1blackout "
     "curtains$3"},
    {"(.*(?:light|fan|pendant|chandelier)),? (?:cent(?:ered|red)|in the (?:middle|centre|center))",
     "$1 in the middle of the room"},
    {"(?:flip|swing|switch|whirl) (.+?) (?:around|round|over|about)", "turn $1 around"},
    {"(?:trade|swap|switch|exchange) (?:the )?places (?:of|between|for) (.+?) and (.+)",
     "swap $1 and $2"},
    {"(?:remove|delete|get rid of|take away|take out|lose) one (?:of the )?(.+?)s?",
     "remove the last $1"},
};

} // namespace

std::span<const OtherWords> moreOtherWords() {
    return moreInstead;
}

} // namespace mezzet
