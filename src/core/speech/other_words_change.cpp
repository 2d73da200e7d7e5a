// Changes in other words than the line's own: complaints, comparisons, asides.
#include "speech/other_words_table.h"

namespace mezzet {

namespace {

constexpr OtherWords changesInstead[] = {
    // "scoot the dresser down toward the window"
    {"(?:scoot|move|slide|shift|push|pull|bring|take|get|nudge|drag|bump) (.+?) (?:down|over|along|"
     "across|up|in|out|round|around|back) (to|toward|towards|closer to|nearer to|nearer|next to|"
     "beside|against|into|under) (?![0-9])(.+)",
     "move $1 $2 $3"},
    {"(?:bring|move|pull|push|slide|take) (.+?) (?:in|inward|inwards)(?: a bit| a little| "
     "slightly| "
     "a touch| some)?(?: closer)?",
     "move $1 toward the middle of the room"},
    {"(?:scoot|move|slide|shift|push|pull|bring|get) (.+?) up (?:to|against) (?![0-9])(.+)",
     "$1 by $2"},
    {"get (.+?) (away from|off|out of|closer to|nearer to|nearer|next to|to|into|in|on|under|"
     "against|over|by|beside) (.+)",
     "move $1 $2 $3"},
    {"(?:move|put|shift|push|slide|take|bring|place|get) (.+?) (?:over |across |round )?to (the (?:"
     "window|door|fireplace|fire|chimney|tv|bed|radiator|opposite|other|long|short|longest|"
     "shortest|far|near|back|left|right) wall)",
     "$1 on $2"},
    {"(?:put|move|switch|change|have|flip) (?:its|the) (?:chaise|return|arm|short side|short end|"
     "long side)(?: (?:of|on) (?:the |my )?((?:sectional|corner sofa|l-shaped sofa|l shaped "
     "sofa)))? (?:on|to|over to|onto|at) the (left|right)(?: side| end| hand side)?",
     "make the corner sofa $2-handed"},
    {"(?:flip|reverse|switch|swap) (?:the |my )?((?:sectional|corner sofa|l-shaped sofa|l shaped "
     "sofa|chaise|return)(?: sofa)?)(?: around| over| round| to the other side| the other way)?",
     "make the corner sofa flipped"},
    {"((?:put |place |add |have )?(?:an? |the )?(?:.*\\b)?(?:sectional|corner sofa|l-shaped sofa|l "
     "shaped sofa)\\b.*?),? with (?:its|the|a) (?:chaise|return|arm|short side|short end|long "
     "side) "
     "(?:on|to|at) (?:the |its )?(left|right)(?: side| end| hand side)?(.*)",
     "$1$3; then make it $2-handed"},
    {"(?:move|push|slide|pull|bring|shift|lay|put)? ?(.+?),? ((?:an? (?:bit|little|touch|tad) "
     "|slightly "
     "|[0-9][^ ]*(?: ?(?:cm|mm|m|in|inches|ft))? )?)(?:further|farther|more|deeper) under (.+)",
     "move $1 $2toward $3"},
    {"(?:no|without|skip|forget|ditch|lose) (?:the |any )?([a-z][a-z -]*)", "remove $1"},
    {"(?:bring|pull|move|push|take|get) (.+?) (?:in|out)(?: from| away from)?((?: an? "
     "(?:bit|little|"
     "touch|tad)| slightly| [0-9][^ ]*(?: ?(?:cm|mm|m|in|inches|ft))?)?) (?:from|off|away from|out "
     "of) (?:the |its )?corner",
     "move $1$2 toward the middle of the room"},
    {"((?:hang|put|place|add|mount) )?(an? pair of|two|three|four|five|six|[2-9]) ([a-z -]+?) "
     "((?:over|"
     "above|on|along|beside|either side of) [^0-9]+?),? ([0-9][^,]*? ?(?:x|by) ?[0-9][^,]*?) "
     "each(,.*)?",
     "$1$2 $5 $3 $4$6"},
    {"((?:an? |the )?(?:.*\\b)?(?:rug|carpet)) (?:under (.+?) "
     ")?(?:sticking|reaching|poking|showing|"
     "extending|that sticks|that reaches|that extends|that shows) (?:out )?([0-9].*?) "
     "(?:on|at|past|"
     "beyond) (?:each|every|either|both|all|the) (?:three |four )?sides? (?:of|around) (.+)",
     "$1 under $4 that reaches $3 past it on all sides"},
    {"(.+?) (?:needs?|has|have|ought|should|could|must|wants?) (?:to be|be|to get|get) (?:a (?:bit|"
     "little) |slightly |much |way )?(bigger|larger|smaller|wider|narrower|longer|shorter|deeper|"
     "shallower|taller|higher|lower|closer|rounder|round)",
     "make $1 $2"},
    {"(.*\\b(rug|table|sofa|couch|picture|mirror|carpet)\\b.*) (?:instead of|in place of|rather "
     "than) "
     "(?:the|this|that) [0-9][0-9x×'\" .]*(?: ?(?:cm|m|in|ft))?(?: one)?",
     "replace the $2 by $1", true},
    {"(remove|delete|take out|take away|get rid of|lose|ditch|drop) the ([a-z -]+?) and ((?!the "
     "|my |"
     "it\\b|them\\b)[a-z -]+)",
     "$1 the $2 and the $3"},
    {"(?:turn|rotate|spin|swing|swivel|put) (.+?)(?: around| round)? so (?:that )?(?:its|the) back "
     "(?:is|"
     "faces|goes|points) (?:to|toward|towards|at|against)? ?(.+)",
     "$1 with its back to $2"},
    {"(?:replace|swap|change|exchange) (?:one|one of the|an?) ([a-z -]+?)s? (?:with|by|for|to) "
     "(an? .+)",
     "replace a $1 by $2"},
    {"(?:take|lift|get|move|remove|clear) (.+?) off (?:the |my |its "
     ")?(?:sideboard|table|console|shelf|"
     "desk|dresser|nightstand|bedside table|island|mantel|mantelpiece|windowsill|bookcase|chest)",
     "remove $1"},
    {"(?:what|which) (?:should|could|would|must) (?:i|we|you) (?:change|fix|mend|improve|do "
     "differently|do better)(?: here| in here)?\\??",
     "what is wrong?"},
    {"((?:hang|put|place|add) )?(two|three|four|five|six|seven|eight|nine|ten|twelve|[2-9]|1[0-2]) "
     "([a-z "
     "]+s),? in an? (?:grid|square|block),? "
     "((?:next|beside|by|on|over|above|left|right|to|between|near) "
     ".+)",
     "$1a grid of $2 $3 $4"},
    {"((?:hang |put |add )?)(?:a )?gallery (?:along|across|over|all over) (wall [a-z])",
     "$1gallery on $2"},
    {"(?:make|have|let) (.+?) (?:extend|go|open|pull out|stretch) (?:out )?to ([0-9].*)",
     "make $1 $2 long"},
    {"(?:get|put|set|make|lay) (.+?) (?:straight|square|squared up|parallel)", "straighten $1"},
    {"(?:trade|swap|switch|exchange|change) (?:the )?places (?:with|of|between|for) (.+?) (?:and|"
     "with) (.+)",
     "swap $1 and $2"},
    {"(?:give me|give us|i want|i need|we need|we want|allow|make it|let there be) "
     "([0-9].*? between .+)",
     "leave $1"},
    {"(?:leave|keep|allow|have|make|give me|i want|i need) (?:an? )?(?:at least )?[0-9].*? (?:all "
     ")?"
     "(?:around|round) (.+)",
     "how much room is around $1?"},
    {"(?:leave|keep|allow|give me|i want|i need|make) (?:an? )?([0-9].*?) (?:of )?(?:walking |free "
     "|"
     "clear |empty )?(?:space|room|clearance|floor|gap|walkway) ((?:all "
     ")?(?:around|round|behind|in "
     "front of|beside|before) .+)",
     "keep $1 free $2"},
    // Comparisons: "use a smaller dresser", "narrower console".
    {"(?:use|get|try|have|i want|i need|we need|make it|go for)? ?(?:an? )?(bigger|larger|smaller|"
     "wider|longer|deeper|taller|higher|lower|shorter|narrower|shallower) ((?!to |than |on |in "
     ")[a-z -]+)",
     "make the $2 $1"},
    // Of what was spoken of: "a bit narrower", "higher", "its centre should be at 155".
    {"(?:just |and |then )?((?:an? (?:bit|little|touch|tad|smidge|hair|lot) |slightly |somewhat |"
     "much |way |even |still )*)(bigger|larger|smaller|wider|longer|deeper|taller|shorter|narrower|"
     "shallower)(?: (?:still|again|though))?",
     "make it $1$2"},
    {"(?:just |and |then )?(?:still |even )*((?:an? (?:bit|little|touch|tad|lot)|slightly))? "
     "?(?:higher|further up|up)(?: (?:still|again))?",
     "raise it $1"},
    {"(?:just |and |then )?(?:still |even )*((?:an? (?:bit|little|touch|tad|lot)|slightly))? "
     "?(?:lower|further down|down)(?: (?:still|again))?",
     "lower it $1"},
    {"(?:its|the) (cent(?:er|re)|middle|top|bottom|underside|foot)(?: edge| of it)? (?:(?:should|"
     "must|needs to|has to|ought to|to|is to) )?(?:be |sit |hang |come |go |goes |comes |is "
     ")*(?:up "
     ")?at ([0-9].*)",
     "$1 of it at $2"},
    {"(?:its|the) (cent(?:er|re)|middle|top|bottom|underside|foot)(?: edge)? of (.+?) (?:(?:should|"
     "must|needs to|has to|ought to|to|is to) )?(?:be |sit |hang |come |go |goes |comes |is "
     ")*(?:up "
     ")?at ([0-9].*)",
     "$1 of $2 at $3"},
    {"(?:put|place|set|have|with|turn)? ?the head(?:board| end)?(?: of)? (.+?) (?:up )?(?:against|"
     "on|at|to|toward|towards|along) (.*\\bwall\\b.*)",
     "$1 against $2"},
    {"(?:put|place|set|have|with|turn)? ?the head(?:board| end)?(?: of)? (.+?) "
     "(under|below|beneath|"
     "by|next to|beside|between|in front of) (.+)",
     "$1 $2 $3"},
    // "50 above the desk top"
    {"(.+? (?:above|over|off|from) (?:the |my |its )?.+?) ?(?:top|surface|worktop)\\b(.*)", "$1$2"},
    {"(?!.*\\b(?:the|my|that|this) (?:[a-z]+ )?lamps? "
     "on\\b)(.*?)\\b(?:reading|bedside|small|little|desk|study) lamps? on (?!the "
     "floor|either|each|both|"
     "wall|a wall)(.+)",
     "$1table lamp on $2"},
    {"((?:hang|put|place|add|have)? ?)(?:an? |the |some )?(?:hanging |ceiling )?lamp (over|above) "
     "(.+)",
     "$1a pendant $2 $3"},
    {"((?:put |place |set |add |stand )?)(?:the |some )?([a-z -]+?)s (?:on|in) (?:the|all the|all|"
     "each of the|these|those|both|every) (?:shelves|shelf)\\b(.*)",
     "$1a $2 on each shelf$3"},
    {"((?:put up |put |hang |add |have )?(?:an? |the |some )?(?:[a-z]+ )?(?:curtains?|drapes|"
     "drapery))(?: (?:that|which))? (?:touch|touching|reach|reaching|brush|brushing|kiss|kissing|"
     "just touch|go|going|down|all the way)(?: down)?(?: to)? the (?:floor|ground)\\b(.*)",
     "$1 on the window$2, bottom at 0"},
    {"(?:leave |with |keep )?(?:an? )?([0-9][^a-z]*?(?: ?(?:cm|mm|m|in|inches|inch|feet|ft|foot))?)"
     "(?: gaps?| space| of space)? (?:between|apart)(?: them| each| each of them| each one)?",
     "space them $1 apart"},
    {"(.*)\\beach (?:free|empty|spare|unused|bare) corner\\b(.*)", "$1each corner$2"},
    // "rug closer to the bed"
    {"(?!(?:move|put|bring|pull|push|slide|it|them|turn|shift|scoot|nudge|hang|take|get|set|is|are|"
     "how|what|which|keep)\\b)((?:the |my )?[a-z ]+?) (closer to|nearer to|nearer|further from|"
     "farther from|away from) (.+)",
     "move the $1 $2 $3"},
    {"(paint|colour|color) ((?:the )?wall .+?),? (?:and )?(?:the )?(?:rest|others|other walls|"
     "other ones)(?: of the walls| of them)?,? (?:in |are |is )?([a-z ]+)",
     "colour $2; then colour the other walls $3"},
    {"undo (?:the )?(?:last|previous)(?: (?:one|thing|step|change|line|move|edit|action))?",
     "undo"},
    {"(.*?)\\b(?:kid|kids|kid's|kids'|child|child's|children|children's|childrens) (desk|stool|"
     "bench)(s?)\\b(.*)",
     "$1$2$3$4"},
    {"((?:hang |put |place |add |mount )?)(?:the |an? |my )?(tv|television|wall "
     "screen)\\b([^0-9]*?),? "
     "(?:an? )?([0-9]+) ?-?(?:inch|inches|in)(?: one)?",
     "$1$2 $4 in$3"},
    {"(?:evenly|equally) (space|spread) (.+)", "$1 $2 evenly"},
    {"(?:make|have|let) (?:the |my |both |all )*(?:curtains?|drapes) (?:reach|touch|go (?:up "
     ")?to|come "
     "up to|start at|hang from) the ceiling",
     "raise the rod to the ceiling"},
    {"(?:paint|colour|color|make|do) (?:all )?(?:of )?(?:the )?(?:four )?walls (?:in )?([a-z][a-z "
     "]*)",
     "colour the walls $1"},
    {"(?:paint |colour |color |make |and |do )*(?:the )?(wall (?:behind|with|opposite|by|facing) "
     ".+?) "
     "(?:in )?((?:[a-z]+ "
     ")?(?:white|black|grey|gray|blue|green|red|yellow|pink|brown|navy|sage|cream|"
     "beige|teal|orange|purple|charcoal|terracotta|olive|mustard|ivory))",
     "colour the $1 $2"},
    {"((?:hang |put |place |add |lean |stand )?)(?:an? |the )?([^0-9,]+), ([0-9][^,]*? ?(?:x|by) ?"
     "[0-9][^,]*), leaning(?: on the floor| against the wall| on the wall)?",
     "$1a $3 $2, leaned on floor"},
    // Complaints.
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?) (?:still |a bit |a little |much |way |far |"
     "just )?too (?:big|large)(?: (?:for|in) .+)?",
     "make $1 smaller"},
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?) (?:still |a bit |a little |much |way |far |"
     "just )?too (?:small|little|tiny)(?: (?:for|in) .+)?",
     "make $1 bigger"},
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?) (?:still |a bit |a little |much |way |far |"
     "just )?too wide(?: (?:for|in) .+)?",
     "make $1 narrower"},
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?) (?:still |a bit |a little |much |way |far |"
     "just )?too narrow(?: (?:for|in) .+)?",
     "make $1 wider"},
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?) (?:still |a bit |a little |much |way |far |"
     "just )?too long(?: (?:for|in) .+)?",
     "make $1 shorter"},
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?) (?:still |a bit |a little |much |way |far |"
     "just )?too short(?: (?:for|in) .+)?",
     "make $1 longer"},
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?) (?:still |a bit |a little |much |way |far |"
     "just )?too deep(?: (?:for|in) .+)?",
     "make $1 shallower"},
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?|hangs?) (?:still |a bit |a little |much |way "
     "|far |just )?too high(?: (?:for|on|up) .+| up)?",
     "lower $1"},
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?|hangs?) (?:still |a bit |a little |much |way "
     "|far |just )?too low(?: (?:for|on|down) .+| down)?",
     "raise $1"},
    {"(?:the )?(.+?) (?:is|are|looks?|seems?|feels?|stands?|sits?) (?:still |a bit |a little |much "
     "|way |far |just )?too (close to|near|near to|far from|far away from) (.+)",
     "is $1 too $2 $3?"},
    {"(?:it(?:'s| is)|this is|that(?:'s| is)|everything is)? ?(?:still |a bit |a little |much |way "
     "|far |just )?too (?:tight|cramped|crowded|full|close|busy)(?: in here| here)?",
     "what is wrong?"},
    {"(.+?) (?:should|must|needs to|need to|has to|have to|ought to) be (.+? as (?:wide|long|high|"
     "tall|deep|big|large) as .+)",
     "make $1 $2"},
    {"(?:go|get) back(?: to (?:the way|how|what|where) (?:it|things|that|they) (?:was|were))?(?: "
     "before)?",
     "undo"},
    {"(?:take|put|change|turn|set) (?:that|it|this|everything|things) back(?: to (?:the way|how) "
     "(?:it|things) (?:was|were))?(?: again)?",
     "undo"},
    {"(?:never ?mind(?: that)?|scrap that|forget (?:that|it)|not that|no,? (?:not that|go back)|"
     "oops|cancel that|revert(?: that)?|take that back|step back|one step back)",
     "undo"},
    {"(?:no,|no:|nope|no wait|wait|no no|hold on|right then|ok so|yes but)[,:]? (.+)", "$1"},
    {"(?:keep|stay|leave) (?:an? )?([0-9].*?) (?:clear |away |off |free )?(?:of|from|off) (.+)",
     "it $1 from $2"},
    {"(.+?) (?:should |must |needs to |has to |can |to )?(?:just )?(?:touch|touches|reach|reaches|"
     "brush|brushes|kiss|hit|graze|meet) the (?:floor|ground)",
     "make $1 go to the floor"},
    {"(?:an? )?(?:accent|feature) wall (behind .+?),? (?:in |painted )?((?:[a-z]+ )?[a-z]+)",
     "colour the wall $1 $2"},
    {"(?:the |its )?height (?:of |is |to |should be )?([0-9].*)", "make it $1 high"},
    {"(?:the |its )?(?:width|length) (?:of |is |to |should be )?([0-9].*)", "make it $1 wide"},
    {"(?:the |its )?depth (?:of |is |to |should be )?([0-9].*)", "make it $1 deep"},
    {"(?:turn|have|make|lay|put|set|place) (.+?) (?:run |go |lie |runs |lies "
     ")(lengthwise|lengthways|crosswise|"
     "crossways|the other way|the other way round)",
     "turn $1 $2"},
    {"(.+?) (?:runs|goes|lies|should run|should go|should lie|to run) (lengthwise|lengthways|"
     "crosswise|crossways|the other way|the other way round)",
     "turn $1 $2"},
    {"(.+?) (?:dead|right|bang|smack) (?:in the )?(?:centre|center|middle)",
     "$1 in the middle of the "
     "room"},
    {"(?:swap|change|exchange|replace) (.+?) (?:for|with|by) something "
     "(bigger|larger|smaller|wider|"
     "longer|narrower|taller|lower|shorter|deeper|shallower)",
     "make $1 $2"},
    {"(?:slide|move|push|pull|shift|scoot|nudge) (.+?)(?: "
     "(?:left|right|over|along|down|up|across))? "
     "(?:until|till|so)(?: that)? (?:it|they) (?:lines? up|is in line|are in line|is "
     "cent(?:er|re)d|"
     "aligns?|are cent(?:er|re)d)(?: with| on)? (.+)",
     "centre $1 on $2"},
    {"(?:leave|keep|make|allow) (?:an? )?(?:[0-9].*? |clear |wide |good "
     ")?(?:path|way|walkway|route|"
     "passage|aisle)(?: clear| free)? (?:to|from|through|by|past) .+",
     "how wide is the walkway?"},
    {"(?:price|cost) (.+?) (?:at |is |= )?([0-9].*)", "$1 costs $2"},
    {"(?:an? )?group of (two|three|four|five|six|seven|eight|nine|ten|[0-9]+) ([a-z ]+?s) "
     "(over|above|"
     "on|below|under|beside|next to) (.+)",
     "a cluster of $1 $2 $3 $4"},
    {"line (.+?) up with (?:the )?(top|bottom|head|sill|middle) of (.+)", "$1, $2 with $3"},
    {"line (.+?) up with (.+?)(?:'s)? (top|bottom|head)", "$1, $3 with $2"},
    {"(?:bring|pull|move) (everything|it all|all of it|the furniture) (?:in )?(?:closer|together|"
     "tighter)(?: in| together)?",
     "what is wrong?"},
    {"(?:angle|turn|rotate|swivel) (.+?) (?:in|inward|inwards)(?: a bit| a little| slightly)?",
     "turn $1 toward each other"},
    // A place, and nothing else: of what was spoken of.
    {"((?:against|on|under|in|by|beside|next "
     "to|behind|between|over|above|at|along|facing|opposite|in "
     "front of|across from|near|closer to|away from|left of|right of) .+)",
     "it $1"},
    {"((?:against|on|under|in|by|beside|next "
     "to|behind|between|over|above|at|along|facing|opposite|in "
     "front of|across from|near|closer to|away from|left of|right of) .+)",
     "them $1"},
    {"(?:try|use|get|have|make it|i want|how about|what about) an? (?:bit )?(bigger|larger|smaller|"
     "wider|longer|deeper|taller|lower|shorter|narrower|shallower) one",
     "make it $1"},
    {"(?:try|use|get|have|make it|i want|how about|what about) an? (?:[a-z]+ )?one,? ([0-9].*)",
     "make it $1"},
    {"(?:spaced|set|hung|keep them|space|apart) ([0-9].*?) apart", "space them $1 apart"},
    {"(.*?\\b(?:rug|carpet)) (?:that |which )?(?:sticks?|shows?|reach(?:es)?|comes?|pokes?|goes|"
     "extends?) (?:out )?([0-9].*?) (?:around|round|past|beyond|all around|all round|on all sides "
     "of|"
     "from under) (.+)",
     "$1 under $3 that reaches $2 past it on all sides"},
    {"(one|an?|the|two) (.+?),? (?:on )?(?:the )?(window|door|fire|left|right)[- ]side",
     "$1 $2 on the $3 side of it"},
    {"let go of (.+)", "free $1"},
    {"(?:spread|space) (.+?) out (?:evenly|equally)", "spread $1 evenly"},
    {"(?:an? )?([0-9][^a-z]*?(?: ?(?:cm|mm|m|in|inches|inch|feet|ft|foot))?) (?:gaps?|spaces?)"
     "(?: between (?:them|each|all of them))?",
     "space them $1 apart"},
    {"(?:the )?(tops?|bottoms?|top edges|bottom edges|lower edges|upper edges) (?:in "
     "line|level|lined "
     "up|aligned|all level)",
     "align the $1 of them"},
    {"([a-z]+(?: [a-z]+)?) (floor|ceiling|walls)", "colour the $2 $1"},
    {"(.*\\b(?:footstool|ottoman|pouf|pouffe)\\b.*?) for (.+)", "$1 in front of $2"},
    {"(.*?)\\b(?:small|little|tiny) table\\b(.*)", "$1side table$2"},
    {"(.*?) (?:evenly spaced|spaced evenly|spread evenly|in a row|in a line|equally spaced) "
     "(?:down|"
     "along) (?:the )?(?:length of )?(?:the )?(?:room|hall|hallway|corridor)",
     "$1 in a row along the room"},
    {"(?:i |we )?(?:want|need|would like|'d like|like) (.+?) (on|against|along|in|under|by|near|at|"
     "beside|next to|between|behind|over|above|opposite) (.+)",
     "put $1 $2 $3"},
    {"(?:start|begin) with (.+)", "$1"},
    {"(?:float) (it|them|the .+?) ([0-9].*)", "move $1 $2"},
    {"(?:throw|chuck|fling) (an? .+?) down\\b,?(.*)", "put $1$2"},
    {"(?:delete|get rid of|take out|take away|take down|take off|lose|clear|clear away|strip) "
     "(?:everything|all|all the (?:things|stuff|pieces|furniture)|the lot|whatever is) (?:that's "
     "|that is |which is )?((?:on|along|at|by) .+)",
     "remove everything $1"},
    {"(?:take|get|move|bring) (.+?) out(?: of (?:the|this) room)?", "remove $1"},
    {"(?:an? )?([0-9]+|two|three|four|five|six|seven|eight|nine|ten|twelve)[- ](picture|print|"
     "frame|photo|painting|mirror|plate) (?:grid|gallery|gallery wall)\\b,?(.*)",
     "a grid of $1 $2s$3"},
    {"(?:an? )?([0-9]+|two|three|four|five|six|seven|eight|nine|ten|twelve)[- ](picture|print|"
     "frame|photo|painting|mirror|plate) (?:grid|gallery|gallery wall)\\b,?(.*), ([0-9].*? "
     "?(?:x|by) "
     "?[0-9][^,]*?)(?: each)?",
     "a grid of $1 $4 $2s$3"},
    {"(?:fill|cover) (.*\\bwall\\b.*?) with (pictures|art|prints|photos|photographs|frames|"
     "paintings)",
     "six pictures in a grid on $1"},
    {"(?:hang|put|move|have|set)? ?(?:it|that|this)? ?(?:at )?(?:the )?same height as (.+)",
     "it level with $1"},
    {"(?:hang|put|move|have|set)? ?(?:them|those|these|all of them) (?:at )?(?:the )?same height "
     "as (.+)",
     "them level with $1"},
    {"(?:hang|put|move|have|set) (.+?) (?:at )?the same height as (.+)", "$1 level with $2"},
    {"(?:make|have|get) (.+?) (?:the same|as) (?:height|high|level) (?:as|with) (.+)",
     "$1 level with $2"},
    {"(lower|raise|drop|lift) (.+?) (?:by )?a couple of (?:inches|in)", "$1 $2 2 in"},
    {"(.*\\b)a couple of (inches|feet|cm|centimetres|centimeters)\\b(.*)", "$12 $2$3"},
    {"(.*\\b)a few (inches|feet|cm|centimetres|centimeters)\\b(.*)", "$13 $2$3"},
    {"(?:hang|drop) (.+?) (lower|higher)(?: down| up)?", "$2 $1"},
    {"lower (.+?) (?:down|a bit more|a bit further|some more|further)", "lower $1"},
    {"higher (.+)", "raise $1"},
    {"(?:put|move|hang|place|set|have) (?!an? )(.+?) where (.+?) (?:is|are|was|were|stands?|hangs?|"
     "sits?)(?: now| at the moment)?",
     "swap $1 and $2"},
    {"(.+?) as (?:close|near) to (.+?) as (?:it goes|it will go|possible|you can|it can|it gets|"
     "can be|i can get it|they go)",
     "$1 against $2"},
    {"(?:let|have|make) (.+?) (?:run|go|lie|stand) (along|against|across|under|by|down|parallel "
     "to) (.+)",
     "$1 $2 $3"},
    {"(?:try|see|show me|test) (?:it|what it looks like|how it looks|how it would look) with (an? "
     ".+)",
     "add $1"},
    // "a rug underneath", "a table in between": of what was spoken of.
    {"(.+?) (?:right |just |directly )?(under|behind|beside|above|opposite|alongside)(,.*)?",
     "$1 $2 it$3"},
    {"(.+?) (?:right |just |directly )?(under|behind|beside|above|opposite),? ([0-9][^,]*? "
     "?(?:x|by) "
     "?[0-9][^,]*)",
     "$1 $3 $2 it"},
    {"(.+?) (?:in )?between(,.*)?", "$1 between them$2"},
    {"(.+?) (?:right |just |directly )?in front(,.*)?", "$1 in front of it$2"},
    {"(.+?) on top(,.*)?", "$1 on it$2"},
    {"(?:put|place|stand|set|add|have) (.+?) on (?:its|their|either|each|both) (?:sides?|ends?)",
     "$1 either side of it"},
    {"(?:put|place|stand|set|add|have|hang)? ?((?:an?|one|two|some) .+?),? (?:one )?(?:on |at )?"
     "(?:its |their |either|each|both) (?:sides?|ends?)",
     "$1 either side of it"},
    {"(?:turn|swing|spin|rotate|swivel|twist) (.+?)(?: round| around| about)? so (?:that )?(?:they|"
     "it|he|she)(?:'re|'s| is| are)? (?:looks?|faces?|sees?|points?|looking|facing) (?:at |to "
     "|toward |towards |out to |out at |out onto |onto )?(.+)",
     "turn $1 to $2"},
    {"([a-z ]+s)(?: (?:in|on|from) the ceiling)?,? (two|three|four|five|six|eight|[2-9]) (?:of "
     "them "
     ")?(in a row .+)",
     "$2 $1 $3"},
    {"(.+? (?:on|against|along) (?:the )?wall ([a-z])),? (?:but )?((?:an? |half a )?[0-9a-z'\"./ "
     "]+?) "
     "(?:to the )?(left|right) of (?:the )?(?:centre|center|middle)",
     "$1, centred on wall $2, $3 $4"},
    {"(?:switch|swap|replace|change|exchange) (?:out )?(.+?) (?:for|with|by|to) (?:an? )?"
     "([0-9].*?(?:wide|high|tall|deep|long|across))(?:r)? ones?",
     "make $1 $2"},
    {"(?:bring|move|pull|push|slide|take|shift|nudge) (.+?) (?:in|inward|inwards) (?:by )?"
     "((?:[0-9]|an? |half a ).*)",
     "move $1 $2 toward the middle of the room"},
    {"(?:have |make |hang |put )?(.+?) (?:should|must|needs? to|has to|have to|ought to|to) "
     "(?:be|hang|go|sit|come) (?:at )?((?:[0-9]|an? ).*?) (?:to|at) (?:the |its |their )?"
     "(?:cent(?:er|re)s?|middles?)(?: of (?:it|them|each))?(?: from the floor)?",
     "$1, centre at $2"},
    {"(?:let|have|make) (?:the |my |both |all )*(?:curtains?|drapes) (?:just "
     ")?(?:pool|puddle|break)"
     "(?: (?:on|onto|at) the floor)?",
     "make the curtains reach the floor"},
    {"line up (?:their|its) (tops?|bottoms?|feet|cent(?:er|re)s|middles|left edges|right edges|"
     "backs|fronts)",
     "line up the $1 of them"},
    {"((?:put|place|add|hang|set|stand|have) )?((?:two|three|four|five|six|a pair of|[2-9]) [a-z "
     "-]+?s) (.*?),? (?:side by side|next to each other|beside each other|in a (?:row|line))"
     "(,.*)?",
     "$1$2 in a row $3$4"},
    {"(?:set|put|move|bring|get) (?:its|the) (cent(?:er|re)|middle|top|bottom|underside|foot) "
     "(?:to|at) "
     "([0-9].*)",
     "$1 of it at $2"},
    {"(?:move|shift|slide|push|pull|nudge|scoot|bring|take) (.+?) (toward|towards|away from|closer "
     "to|"
     "nearer to|further from|farther from) (.+?),? (?:by )?([0-9][0-9./ ]*(?: "
     "?(?:inches|inch|in|feet|"
     "foot|ft|cm|mm|m|\"|'))?)",
     "move $1 $4 $2 $3"},
    {"(?:and |also |then )+(?:make it )?([0-9].*?) "
     "(bigger|larger|smaller|wider|longer|deeper|taller|"
     "shorter|narrower|shallower|higher|lower)",
     "make it $1 $2"},
    {"(?:bring|drop|pull|take|raise|lift) (.+?) (?:down|up) to ([0-9].*?)(?: (?:from|above|off) "
     "the "
     "floor)?",
     "lower $1 to $2"},
    {"(?:an? |some )?((?:[a-z]+ )?[a-z]+s) (.+?),? (two|three|four|five|six|[2-9]) of them",
     "$3 $1 $2"},
    {"(?:swap|replace|change|exchange|switch) (?:out )?(?:all )?(?:the |my |both )([a-z -]+?)s "
     "(?:for|"
     "with|by|to) (?:some )?([a-z -]+?)s",
     "replace each $1 by a $2"},
    {"(.+?),? ((?:[0-9])[^,a-z]*?(?:cm|mm|m|in|inches|ft)?) (?:high|up) to (?:its|the|their) "
     "(?:cent(?:er|re)s?|middles?)",
     "$1, centre at $2"},
    {"(?:anchor|ground) (.+?) (?:with|on) (an? .*?\\b(?:rug|carpet)\\b.*)", "$2 under $1"},
    {"layer (an? .+?) (?:on|over|on top of) (.+)", "$1 centred on $2"},
    {"(?:bookend|flank|frame) (.+?) with (?:two |a pair of |matching |some )*([a-z -]+?)s",
     "two $2s either side of $1"},
    {"(?:get|bring|put|pull|push) (.+?) (closer together|nearer together|further apart|farther "
     "apart)",
     "move $1 $2"},
    {"(.+?) (?:should|must|needs? to|has to|have to|ought to) be ([0-9].*?) apart",
     "space $1 $2 apart"},
    {"(?:tighten|close|reduce|open|widen|set|make|bring) (?:up |out |down )?the "
     "(?:gaps?|spacing|spaces|"
     "space) (?:between (?:the |them )?)?(?:to |at )?([0-9].*)",
     "space them $1 apart"},
    {"(?:switch|swap|replace|change|exchange|trade) (?:out )?((?:the |my )?[a-z ]+?) "
     "(?:for|with|by|to) "
     "an? ([0-9][0-9./ '\"]*(?: ?(?:cm|m|in|ft|feet))? ?(?:x|by) ?[0-9][0-9./ '\"]*(?: "
     "?(?:cm|m|in|ft|"
     "feet))?)(?: one)?",
     "make $1 $2"},
    {"((?:an? )?[a-z ]+?) ([0-9][0-9./ ]*(?: ?(?:inches|inch|in|cm|mm|feet|ft|m|'|\"))?) away",
     "$1 $2 in front of it"},
    {"(?:put|move|place|stand) (.+?) somewhere else", "where can I put $1?"},
    {"(?:remove|take out|take away|delete|get rid of|lose) ((?:the |my )?.+?) and "
     "(?:put|add|place|hang|"
     "stand|set) (an? .+?) (?:there|in its place|instead)",
     "replace $1 by $2"},
    {"(?:move |pull |put |bring )?(.+?) ([0-9].*?) (?:away |off |out )*(?:from|of) both (?:the "
     "|its )?"
     "walls",
     "move $1 $2 out of the corner"},
    {"(.+?),? with (?:its|the|their) backs? (?:against|to) (.+)", "$1 against $2"},
    {"((?:(?:an?|some|two|three) )?[a-z -]+? (?:by|next to|beside|near|on|over|above) .+?),? "
     "([0-9].*?) "
     "(?:up|off the floor|from the floor|above the floor)",
     "$1, at $2"},
    {"((?:(?:hang|put|place|add) )?(?:an? )?[a-z -]+?) ((?:on|above|over|under|against) .+?),? "
     "cent(?:red|ered),? ([0-9][^,a-z]*(?: ?(?:cm|in|m|ft))? ?(?:x|by) ?[0-9][^,]*)",
     "$1 $3 $2, centred"},
    {"(?:get|use|have|find|try) (?:some "
     ")?(?:smaller|bigger|larger|narrower|wider|shorter|taller|longer) "
     "([a-z -]+?),? ([0-9].*?(?:wide|deep|high|tall|long))",
     "make the $1 $2"},
    {"turn (.+?) so (?:that )?(?:its|the) head(?:board)? is (under|below|beneath|between) (.+)",
     "$1 $2 $3"},
    {"(?:no|not) (.+?),? (?:but|rather) (an? .+)", "replace $1 by $2"},
    {"(?:bring|move|put|slide|push|pull) (.+?) (?:closer|nearer) together", "move $1 closer "
                                                                            "together"},
    {"(?:make sure|see) (?:that )?(?:nothing|no one|nobody) .+", "what is wrong?"},
    {"((?:an? |the )?[a-z][a-z -]*?) ((?:above|over|on|by|beside|next to|between) [^,]+),? "
     "([0-9][^,x]*?) (?:round|across|dia|diameter|in diameter)",
     "$1 $3 round $2"},
    {"((?:put |place |add |hang |stand |set )?)one ((?:(?:big|large|small|little|tall|long|"
     "wide|round|square) )?(?!of |more |for |on |in |at |by |size |each |other |to |under "
     ")[a-z][a-z "
     "-]*? (?:over|above|on|by|beside|next to|behind|before|in|under|at|between) .+)",
     "$1a $2"},
    {"(?:trade|change|switch|swap)(?: the)? (?:places|positions|spots):? (?:of |between )?(.+?) "
     "(?:and|with|for) (.+)",
     "swap $1 and $2"},
    {"(wider|deeper|taller|longer|shorter|narrower|shallower) ((?:the |my )?[a-z][a-z -]*?) "
     "by "
     "([0-9].*)",
     "make $2 $3 $1"},
    {"((?:the |my )?[a-z][a-z -]*?),? (round|square|oval|rectangular|oblong) (?:instead|this time|"
     "rather)",
     "make $1 $2"},
    {"((?:the |my )?[a-z][a-z -]*?),? (?:one|a|the next) size (?:up|bigger|larger)", "bigger $1"},
    {"((?:the |my )?[a-z][a-z -]*?),? (?:one|a|the next) size (?:down|smaller)", "smaller $1"},
    {"(?:(?:go|try|make it|take|size) )?(?:(?:one|a|the next) )?size (?:up|bigger|larger)(?: (?:on|"
     "for|in) (.+))",
     "bigger $1"},
    {"(pull|move|bring|slide|push|shift|take|get|keep) (.+?) off (?:of )?((?:the |my )?(?!wall|"
     "window|rug|carpet)[a-z][a-z ]*(?: [0-9])?)",
     "move $2 away from $3"},
    {"(?:put |set |have |get |place )?(?:the |with (?:the |its )?)?front (?:legs|feet) of (.+?) on "
     "(?:the |a )?((?:[a-z]+ )?(?:rug|"
     "carpet))",
     "$2 under the front legs of $1"},
    {"((?:put |place |add |install |have )?(?:an? )?(?:log burner|wood burner|wood ?stove|stove|"
     "wood ?burning stove|electric fire|gas fire)) in (the (?:chimney|fireplace|hearth|chimney "
     "breast|fire))",
     "$1 in front of $2"},
    {"(?:add|put|bring|set|get) (one|two|three|four|[1-4]|another|an?)(?: more)? "
     "(?:dining )?chairs? (?:to|at|around|round|up to) (?:the |my )?(?:dining |supper |kitchen "
     ")?table",
     "$1 more chairs"},
    {"(?:(?:put|place|set|move) )?(?:the |my )?([a-z][a-z ]*?),? ((?:against|on|in|under|by|next "
     "to|beside|between|behind|at|near|"
     "over|above|opposite|in front of) .+?),? (?:instead|rather)",
     "the $1 $2"},
    {"((?:the |my )?[a-z][a-z ]*?(?: [1-9])?),? ((?:by )?[0-9][^,]*?) "
     "(wider|narrower|longer|shorter|deeper|shallower|taller|higher|lower|bigger|smaller|larger)",
     "make $1 $2 $3"},
    {"((?:put |place |add |lay )?(?:an? |the )?(?:.*\\b)?(?:rug|carpet)\\b.*?) under (.+?),? (?:"
     "sticking|reaching|poking|showing|extending|coming|going) (?:out )?(?:by )?([0-9].*?) "
     "(?:on |at )?(?:each|every|either|both|all|the) (?:three |four )?sides?(?: (?:of|around) it)?",
     "$1 under $2 that reaches $3 past it on all sides"},
    {"((?:put |place |add |install )?)(recessed lights|can lights|downlights|spotlights|pot "
     "lights) "
     "(?:in|at) (?:the |all )?(?:four |4 )?corners",
     "$1four $2"},
    {"spread ((?:the |my |both )?(?:armchairs|club chairs|accent chairs|wing chairs|swivel chairs|"
     "lamps|plants|bookcases|nightstands|stools)) (?:out|apart)(?: more| a bit| a little)?",
     "move $1 apart"},
    {"((?:put |have |place )?(?:the |my )?[^,]+?) flanking (.+)", "$1 on both sides of $2"},
    {"((?:the |my )?(?:tv|telly|television|screen|mirror|picture|painting|print|art|clock|sconces?|"
     "wall lights?|shelf|shelves)(?: [1-9])?) at ([0-9][^,x]*?)(?: high| up| off the floor| from "
     "the "
     "floor| above the floor)?",
     "$1, centre at $2"},
    {"((?:put |lay |place |add )?(?:an? |the )?(?:[a-z]+ )?(?:runner|rug|mat)) (?:in|at) (?:the "
     "|my )?("
     "(?:opening|doorway|door)(?: [1-9])?)",
     "$1 in front of $2"},
    {"((?:put |drape |lay |have |add )?(?:an? |the )?(?:throw|blanket|throw blanket|plaid|quilt)) "
     "(?:over|across) (?:the (?:arm|back|seat|end) of )?(.+)",
     "$1 on $2"},
    {"swap ((?:the |my )?[a-z][a-z ]*?) (?:round|around)", "turn $1 around"},
    {"((?:put |place |add |have )?(?:an? |the )?(?:[a-z]+ )?plants?) in (?:the |a )?(window(?: "
     "[1-9])?)",
     "$1 in front of $2"},
    {"(?:go|step) back (?:one|a) step|(?:back|go) one step back|one step back", "undo"},
    {"((?:put |hang |make |add |have )?)(?:an? )?gallery(?: of (?:pictures|prints|art|photos))? "
     "(?:along|across|down) (.+)",
     "$1six pictures in a grid on $2"},
    // "picture over the bed, 40 x 20, 8 above the bed": once.
    {"((?:put |hang |place |add )?(?:an? )?[a-z][a-z -]*?) (?:over|above) ((?:the |my )?[a-z "
     "]+?),? "
     "([0-9][^,]*? ?(?:x|by) ?[0-9][^,]*?), ([0-9][^,]*?) (?:over|above) \\2",
     "$1 $3, $4 above $2"},
};

} // namespace

std::span<const OtherWords> otherChanges() {
    return changesInstead;
}

} // namespace mezzet
