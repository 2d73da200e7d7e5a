// More of what people say in other words than the line's own: placing and changing.
#include "speech/other_words_table.h"

namespace mezzet {

namespace {

constexpr OtherWords moreInstead[] = {
    {"((?:the |my )?[a-z ]+?),? ([0-9].*?) off (?:the|its) wall", "pull $1 $2 off the wall"},
    {"(?:move|put|slide|push|shift|bring|pull|place|centre|center) (.+?) (?:to|in|into|at|on) the "
     "(?:middle|centre|center) of (?:the|its|that|this) wall",
     "centre $1 on the wall"},
    {"((?:put |place |add |set )?)(?:some |the )?([a-z -]+?)s (?:on|at) (?:either|both|each) ends? "
     "of (.+)",
     "$1a $2 on each end of $3"},
    {"(.+?),? (?:facing|looking at) (.+?),? ([0-9][^,]*?|half a metre|a metre|a foot) (?:away|off|"
     "back|from (?:it|there))",
     "$1 facing $2, $3 from $2"},
    {"(.+?) ((?:in front of|behind|beside|next to|left of|right of|to the left of|to the right of) "
     ".+?),? ([0-9][^,]*?|half a metre|a metre|a foot) (?:away|off|apart|from it)",
     "$1 $3 $2"},
    {"((?:put |place |add |hang |have )?)(?:the |an? )?(?:exact )?(?:same|identical|matching) "
     "(?!one|thing|again)([a-z -]+?) ((?:on|at|in|by|next to|beside|over|under|to|for|left of|"
     "right of|between) .+)",
     "$1another $2 $3"},
    {"(?:anchor|strap|secure|screw|bolt) (?:the |my )?[a-z0-9 ]+?(?: (?:to|into) (?:the|a) wall)?",
     "what has to be fixed to the wall?"},
    {"take one (?:of the )?(.+?)s? (?:away|out|off)", "remove the last $1"},
    {"(?:the )?walls? colou?r:? (?:is |in |to )?([a-z]+(?: [a-z]+)?)", "colour the walls $1"},
    {"((?:hang |put |add )?(?:an? |the )?[a-z -]*(?:light|fan|pendant|chandelier)\\b[^,]*(?:, "
     "[^,]*)?),? (?:"
     "centred|centered|in the (?:middle|centre|center))",
     "$1, in the middle of the room"},
    {"(?:leave|keep|allow) (?:at least )?[0-9].*? (?:free |clear |space |of space )?(?:in front "
     "of|before) "
     "((?:the |my )?(?:[a-z]+ )?(?:closet|door|window|radiator|fire|fireplace|opening)s?(?: "
     "[0-9])?)",
     "what is in front of $1?"},
    {"((?:put|move|hang|make|turn|raise|lower|cent(?:re|er)|set|place|have|push|pull) "
     "(?:it|them|the|my|this|"
     "that|these|those)\\b.*?),? instead",
     "$1"},
    {"(?:make (?:the |it )?)?(?:bigger|larger|wider|longer|smaller|narrower|shorter) (?:the "
     ")?([a-z -]+?),? "
     "([0-9]\\S* ?(?:x|by) ?[0-9].*)",
     "make the $1 $2"},
    {"(.*?\\brug\\b.*?),? ([0-9].*?) (?:bigger|larger|wider|longer) than (.+?) (?:all round|all "
     "around|on "
     "(?:all|every|each) sides?|round|around)",
     "$1 under $3 that reaches $2 past it on all sides"},
    {"(.+?) (?:at|on) (?:one|an) (?:end|side) of (.+)", "$1 on the left end of $2"},
    {"how (?:wide|big) is the (?:hall|hallway|room|way|passage|corridor|floor) (past|in front "
     "of|beside|"
     "behind|around) (.+?)\\??",
     "how much room is $1 $2?"},
    {"((?:hang |put |add )?(?:an? |the )?[a-z -]*(?:chandelier|pendant|light|lantern|fan)) in "
     "(?:the|this) "
     "(?:room|hall|hallway|bedroom|kitchen|lounge|living room|dining room|office|study|nursery)",
     "$1 in the middle of the room"},
    {"(?:take|clear|remove) (?:it|them|this) all (?:out|away|off)?", "remove everything"},
    {"(?:put |move |pull |bring )?(.+?) ([0-9].*?) (?:away |out )?from the wall",
     "$1 $2 off the wall"},
    {"(?:center|centre) ((?:the |my )?[a-z0-9 ]+?)", "centre $1 on the wall"},
    {"(?:put |place |set |add )?(?:two|2|a pair of|pair of) chairs ((?:flanking|either side of|on "
     "either side "
     "of|on each side of|on both sides of|in front of|by|facing|opposite|beside|at each side of) "
     ".+)",
     "two armchairs $1"},
    {"(.+?) "
     "(deeper|wider|longer|taller|higher|narrower|shorter|shallower|lower|bigger|larger|smaller) "
     "by "
     "([0-9].*)",
     "make $1 $3 $2"},
    {"what(?:'s| is| are) the (?:room|room's) (?:size|dimensions|measurements)\\??",
     "how big is the room?"},
    {"(?:will|does|would|can|could) (.+?) (?:fit|go|get|come) (?:in )?through (?:the |that |my "
     ")?(?:front )?"
     "door(?:way)?(?: [0-9])?\\??",
     "does $1 fit?"},
    {"(?:put |hang |place |add )?((?:four|six|eight|nine|ten|twelve|[0-9]+) .+?) "
     "((?:on|over|above) .+?),? "
     "(?:in|as) an? (?:neat |square |tidy |tight )?grid(?: of .+)?",
     "gallery of $1 $2"},
    {"(.+?) in the alcoves", "$1 either side of the chimney"},
    {"(.+?) in (?:the|an) alcove", "$1 next to the chimney"},
    {"((?!.*(?:blind|shade|curtain|drape|shutter)).+?) in (?:the|a) (window(?: [0-9]+)?)",
     "$1 under $2"},
    {"how big an? (.+?) (?:can|could) (?:we|i|you) (?:have|get|fit|put) ((?:on|along|against) "
     ".+?)\\??",
     "what $1 fits $2?"},
    {"how much (?:space|room|distance|gap) (?:is|do (?:we|i) have|have (?:we|i) got) "
     "(?:left|free|there) "
     "between (.+?) and (.+?)\\??",
     "how far is $1 from $2?"},
    {"can (?:everyone|everybody|people|we all|you all|all of us|all the seats) see (?:the "
     ")?(.+?)\\??",
     "can $1 be seen?"},
    {"(?:is|are) (.+?) the (?:right|correct|proper|best|wrong) "
     "(?:size|height|width|length|depth|shape|way "
     "round)(?: for .+)?\\??",
     "what is wrong with $1?"},
    {"(?:the |my )?([a-z ]+?) (bigger|larger|smaller|wider|narrower|longer|shorter|taller|deeper|"
     "shallower)",
     "make the $1 $2"},
    {"(?:the |an? )?(?:rug|carpet) so (?:that )?.*(?:legs|chairs|seats|sofa).*", "how big a rug?"},
    {"((?:two|three|four|five|[2-5]) [a-z ]+?s) stacked (.+)", "$1 $2, one above the other"},
    {"(?:put |turn |set )?(.+?) (?:at right angles|perpendicular) to (?:the|its) wall",
     "turn $1 a quarter"},
    {"how far (?:can|could|does|will) (.+?) (?:roll|move|be pulled|pull|slide|go) (?:back|out)\\??",
     "how much room is behind $1?"},
    {"(.+?),? for "
     "(?:reading|working|sitting|eating|studying|playing|sleeping|dressing|writing|sewing|"
     "yoga|guests|visitors|the (?:kids|children|dog|cat|baby))",
     "$1"},
    {"(.+? on .+?),? (?:centred|centered|in the (?:middle|centre|center))", "$1"},
    {"where (?:are|is) (?:all )?(?:the )?(sockets|outlets|power "
     "points|switches|radiators|vents|windows|"
     "doors)\\??",
     "how many $1 are there?"},
    {"(?:does|do|has|have) (.+?) (?:have|has|got) (?:enough )?(?:space|room|clearance)(?: around "
     "it)?\\??",
     "what is in front of $1?"},
    {"what(?:'s| is) the (?:walking |free |clear |open )(?:space|room|width|passage|distance) "
     "between "
     "(.+?)\\??",
     "what is the distance between $1?"},
    {"how (?:wide|long|big|large) (?:can|could|may) (?:an? |the |my )?.+? be (?:on|along|against) "
     "(?:the "
     ")?(wall .+?)\\??",
     "how much wall is free on $1?"},
    {"((?:two|three|four|five|six|eight|ten|twelve|[0-9]+) (?:dining )?chairs),? "
     "(?:one|two|three|four|[1-4]) "
     "(?:on|at|along|down) each (?:long )?side and one (?:on|at) each end(?: of (?:the |my "
     ")?(.+))?",
     "$1 around the table"},
    {"((?:enough )?(?:room|space) (?:to|for|left|between|behind|in front|beside|around) .+?)\\?",
     "is there $1?"},
    {"is (?:it|this|that|the room|everything) safe\\??", "what has to be fixed to the wall?"},
    {"(?:move|slide|put|push|pull|shift|set) (.+?) so (?:that )?(?:it's|it is|they're|they are) "
     "(?:cent(?:red|ered)|in the (?:middle|centre|center)) (?:between the corners|on "
     "(?:the|its|that) "
     "wall|along (?:the|its) wall)",
     "centre $1 on the wall"},
    {"flip (.+?) and (.+)", "swap $1 and $2"},
    {"((?:put |place |add |lay )?(?:an? |the )?(?:round |oval |square )?rug\\b[^,]*?), "
     "([0-9][^,x]*|(?:one|two|"
     "three|four|five|six|seven|eight|nine|ten|twelve) (?:feet|foot|metres?|meters?))(?: across)?",
     "$1, $2 wide"},
    {"float (.+)", "put $1"},
    {"hide (.+)", "put away $1"},
    {"(?:swap|replace|change|exchange) (?:the )?(end chairs|chairs at (?:the|its|both) ends?(?: of "
     ".+)?) "
     "(?:for|by|with|into|to) (?:two )?armchairs",
     "replace the end chairs by dining armchairs"},
    {"tuck (.+?) (?:in|under|away|back in|back under)(?: (?:the |my |its )?.*table)?",
     "push $1 in"},
    {"how many (?:people |guests |of us )?can (?:i|we|you|one) (?:seat|sit|have|fit)(?: here| in "
     "here)?"
     "\\??",
     "how many people can sit here?"},
    {"(?:the |my )?([a-z ]+?) too "
     "(?:big|small|large|high|low|tall|wide|long|short|narrow|deep|near|"
     "close|far) (?:for|from|to) .+\\?",
     "what is wrong with $1?"},
    {"(?:does|do|is|are) (.+?) (?:line up|lined up|aligned|align|in line|level|centred|centered) "
     "with "
     "(.+?)\\??",
     "is $1 centred on $2?"},
    {"(?:the )?(?:walkway|way|path|route|passage) (?:from|between) (.+?) (?:to|and) (.+)",
     "is there a way from $1 to $2?"},
    {"what(?:'s| is) the (?:widest|longest|biggest|largest) (.+?) (?:that |which )?(?:i|we|you) "
     "(?:can|"
     "could) (?:put|have|get|fit|use|place)(?: in)?(?: here)?\\??",
     "what $1 fits?"},
    {"(?:the |make the |make |my )?(.*table) for (two|four|six|eight|ten|twelve|[0-9]+)(?: "
     "people)?",
     "seat $1 with $2"},
    {"(?:the |my |all the )?([a-z ]+?s) (?:are|should be) ([a-z]+(?: [a-z]+)?)",
     "colour the $1 $2"},
    {"(?:the |my |all the )?([a-z ]+?s) cost ([0-9.,]+) (?:each|apiece|a piece|per piece)",
     "the $1 cost $2"},
    {"((?:put |hang |add |have )?)(?:an? |the )?(?:lamp|light) (?:in|on|at|from) (?:the "
     "(?:middle|centre|"
     "center) of )?the ceiling(?: in the (?:middle|centre|center))?",
     "$1a ceiling light in the middle of the room"},
    {"(how (?:far|much|wide) .*?)\\b(?:the )?(?:foot|head|end|side|edge|front|back|corner) of "
     "(?:the )?(.+)",
     "$1$2"},
    {"(.*?\\brug\\b.*?) under (?:the )?(?:front |lower |bottom |foot )?(?:two thirds|2/3|half) of "
     "(.+)",
     "$1 under $2"},
    {"(.+?) (?:beside|next to|by|along) (.+?),? (?:on|at) (?:each|both|either|every) "
     "(?:sides?|ends?)",
     "$1 either side of $2"},
    {"(.+?) at (?:an angle|45 degrees|45°|a 45 degree angle) (?:in|into) (?:the |a |its "
     ")?corner\\b(.*)",
     "$1 in the corner$2, at an angle", true},
    {"what(?:'s| is| are)?(?: there)? "
     "(?:hangs?|hanging|stands?|standing|hung|placed|along|against) "
     "(?:on |against |along |at )?(?:the )?(wall .+?)\\??",
     "what is on $1?"},
    {"why (?:can't|cannot|can not|won't|doesn't|does not|will not) (?:the |my "
     ")?(.*?(?:door|window)(?: "
     "[0-9]+)?) (?:open|close|swing|shut)\\b.*",
     "does $1 open?"},
    {"where (?:does|should|would|could|will) (?:the |an? |my )?(.+?) (?:go|fit|stand|look|work|be) "
     "best"
     "\\??",
     "does the $1 fit?"},
    {"(?:change|make|set|turn) the colou?r of (.+?) (?:to|into) (.+)", "colour $1 $2"},
    {"(?:fix|pin|nail|anchor|keep|hold) (.+?) (?:in place|where (?:it|they) (?:is|are)|down|there)",
     "lock $1"},
    {"(?:hang|put|arrange|set) ((?:the |my )?[a-z ]+?s) side by side,? ([0-9].*?)(?: apart)?",
     "space $1 $2 apart"},
    {"(?:hang|put|arrange|set|make|have)? ?((?:the |my |all the "
     ")?(?:pictures|prints|frames|paintings|"
     "photos|mirrors|canvases|them)) (?:in|as|into) an? (column|row|grid)",
     "group $1 as a $2"},
    {"underside of (.+?) at (.+)", "bottom of $1 at $2"},
    {"(?:move|pull|bring|slide|push|shift|take) (.+?) (?:out|off|away)(?: from| off)? "
     "(?:the|its|that) "
     "wall (?:by )?([0-9].*|an? (?:foot|inch|metre|meter|yard))",
     "pull $1 $2 off the wall"},
    {"make (.+?) an? ([0-9][^ ]*(?: ?(?:cm|mm|m|in|inch|inches|ft|feet|foot))?)[- ]round(?: one)?",
     "make $1 round; then make it $2 round"},
    {"(?:the |my )?([a-z0-9 ]+?) (?:is|are) (?:a bit |still |way |much )?too (?:far|close|near)(?: "
     "away| apart|"
     " together| off)?",
     "what is wrong with $1?"},
    {"(?:turn|rotate|swing|spin) (.+?) sideways", "turn $1 a quarter"},
    {"((?:put |place |add |set )?)(?:an? )?(?:narrow|slim|thin|long|skinny) table "
     "((?:behind|against|along|under the window).*)",
     "$1a console $2"},
    {"((?:put |place |add |set )?an? (?:footstool|ottoman|pouf|pouffe|stool)) (?:to|for|at|with) "
     "(?:each|"
     "every|both|all the|each of the|both the) (.+?)s?",
     "$1 in front of each $2"},
    {"((?:raise|lower|move|hang|put|drop|bring|lift) .+?) (?:up|down) (so .+)", "$1 $2"},
    {"(?:put |place |add |set )?(?:(?:an?|the) )?(?:second|third|other|next) ([a-z -]+?) "
     "(beside|next "
     "to|by|"
     "left of|right of|near|opposite|across from|behind|facing) the "
     "(?:first|other|existing|old|one)(?: "
     "one)?",
     "another $1 $2 $1"},
    {"square (.+?) (?:up )?(?:with|to|off with|off to|on|against) (.+)", "$1 square to $2"},
    {"(?:make|get|use|find) (?:the |an? )?(?:rug|carpet) (?:that is |that's )?(?:big|large|wide) "
     "enough "
     "(?:for|to|so|that).*",
     "how big a rug?"},
    {"(?:is|are) (.+?) (?:at|in) the (?:right|correct|proper|best) "
     "(?:height|place|spot|size|position|"
     "distance|way round)\\??",
     "what is wrong with $1?"},
    {"(?:give|leave|allow) (?:me |us |them )?([0-9].*?) (behind|in front of|beside|around) (.+)",
     "keep $1 free $2 $3"},
    {"(?:don't|do not|never) (?:let|allow) (.+?) (?:to )?(?:move|be moved|shift|slide)", "lock $1"},
    {"(?:don't|do not|never) (?:move|touch|shift) (.+)", "lock $1"},
    {"(?:remove|delete|take|clear|get rid of) everything (?:from|off|off of) (?:the )?(.+)",
     "remove everything on $1"},
    {"(?:set |make |use )?(?:a |the |my )?budget (?:of|to|at|is) ([0-9].*)", "budget $1"},
    {"(?:flip|mirror|reverse) the (?:room|whole (?:room|plan|layout)|plan|layout|whole thing|"
     "arrangement)",
     "mirror the layout"},
    {"(?:tilt|cant|twist) (.+?) (?:a (?:bit|little) )?(?:to|toward|towards) (.+)", "turn $1 to $2"},
    {"what(?:'s| is) the (?:clearance|gap|space|room|passage|walkway) (?:on|at|to) the (left|right)"
     "(?:[- ]hand)?(?: side)? of (.+?)\\??",
     "how much room is $1 of $2?"},
    {"what(?:'s| is) the (?:clearance|gap|space|room|passage|walkway) (behind|in front "
     "of|beside|next "
     "to|around|round|past|between) (.+?)\\??",
     "how much room is $1 $2?"},
    {"(?:i want|i need|leave|keep|allow|we need|we want|i'd like) ([0-9].*?) (?:clear |free |of "
     "space "
     "|space |of room |room )?(?:on|at) (?:either|each|both|every) sides? of (.+)",
     "keep $1 free around $2"},
    {"(what (?:size|size of)) (.+?) (?:would|should|do|could) (?:you|i|we|one) "
     "(?:put|use|have|choose|"
     "get|lay|hang) (.+?)\\??",
     "how big a $2 $3?"},
    {"(?:does|do|is|are|will|would) (?:the |my )?(.+?) (?:block|blocking|in the way "
     "of|cover|covering|"
     "obstruct|obstructing|in front of|hide|hiding) (?:the |my )?(.+?)\\??",
     "what is in front of $2?"},
    {"what(?:'s| is| stands) (?:on|on the) top of (.+?)\\??", "what is on $1?"},
    {"(?:so,? )?(?:how does (?:it|this|that|the room|everything) look|how is (?:it|this|that)|is "
     "(?:it|"
     "this|that|the room|everything) (?:ok|okay|good|all right|alright|fine)(?: now| so far)?|what"
     "(?:'s| is)?(?: there)? (?:still |left )?(?:needs? |to be |to "
     ")?(?:fixing|fix|mend|mending|fixed|"
     "mended|improve|improving|wrong)(?: here| now)?|what do(?:es)? (?:i|it|we) (?:still )?(?:need "
     "to|"
     "have to) (?:fix|mend|change)|any (?:problems|issues|mistakes)|anything wrong)\\??",
     "what is wrong?"},
    {"(bigger|larger|wider|longer|smaller|narrower|shorter|deeper|taller|lower) (?:the )?([a-z "
     "-]+?), "
     "([0-9][^,]*)",
     "make the $2 $1, $3"},
    {"(?:can|could|will) (?:you|i|we|one) (?:still )?(?:open|close|shut) (?:the |my )?((?:.+ "
     ")?(?:door|"
     "window)(?: [0-9]+)?)(?: fully| properly| all the way)?\\??",
     "does $1 open?"},
    {"how much (?:clear|free|empty|open|bare|unused) (?:floor|space|floor space|room) (?:is "
     "(?:left|"
     "there|free)|do (?:i|we) have(?: left)?|have (?:i|we) got)(?: left)?\\??",
     "how much floor is free?"},
    {"(?:move|put|slide|push|pull|shift|set) (.+?) so (?:that )?(?:there(?:'s| is| are)|it (?:has|"
     "leaves)|i have|we have|you have) ([0-9].*?) (?:left |free |clear )?between (?:it|them|that) "
     "and "
     "(.+)",
     "move $1 $2 from $3"},
    {"(?:do|would|will) (?:we|i|you) have (?:enough )?(?:space|room) for (.+?)\\??",
     "is there space for $1?"},
    {"(?:the |my |make (?:the |my )?)?([a-z][a-z -]*?) (a "
     "(?:bit|touch|tad|little|smidge|hair)|slightly) "
     "(bigger|larger|wider|longer|smaller|narrower|shorter|deeper|taller|lower|higher)",
     "make the $1 $2 $3"},
    {"with (an? .+?)(?: (?:on|at|by|beside) it)?", "$1 at it"},
    {"(.+?),? (?:puddl(?:ing|ed)|that puddles?|to puddle|puddled? on the floor)(?: on the floor)?",
     "$1, bottom at 0"},
    {"(.+?) for (?:my |our |the |some |his |her |their "
     ")?(?!seats|both|each|all|every|two|three|four|"
     "five|six|seven|eight|nine|ten|twelve|desk|window|bed|sofa)[a-z]+(?: up| out)?(,.*)",
     "$1$2"},
    {"(?:hang |put |add )?(?:art|artwork|pictures|prints|paintings)? "
     "?((?:above|over|on|beside|left of|"
     "right of) [^:]+): (.+?)(,? in a (?:row|grid|column))?",
     "$2 $1$3"},
    {"(?:lower|raise|drop|lift|bring|hang|move) (.+?) (?:up |down )?to ([0-9].*? "
     "(?:above|over|below|"
     "under) .+)",
     "move $1 $2"},
    {"(?:fix|mend|sort|correct|solve|put right) things(?: out)?", "mend all"},
    {"(?:and |so )?(?:can|could|will|would) (?:you|i|we|one|people|someone|somebody|they) (?:still "
     ")?"
     "(?:get|climb) (?:in(?:to)?|out|out of|in and out|in and out of|into and out of)(?: of)?"
     " (?:the |my )?(it|bed|.*\\bbed)(?: (?:on|from|at) (?:both|either|each) sides?)?\\??",
     "how much room is around $1?"},
    {"(.*?)\\breading (?:light|lamp)(s?) (over|above)\\b(.*)", "$1sconce$2 $3$4"},
    {"(?:the |my |this )?([a-z ]+?) too "
     "(?:big|small|large|high|low|tall|wide|long|short|narrow|deep|"
     "near|close|far)\\?",
     "what is wrong with $1?"},
    {"(?:at )?what height (?:should|does|would|do i (?:hang|put)|must) (?:the |my )?(.+?)(?: (?:go|"
     "hang|be|sit|be hung))?(?: at)?\\??",
     "how high should $1 hang?"},
    {"what (?:have|did) (?:i|we) (?:got|put|have|hang|hung|placed|place|stand)(?: standing| "
     "hanging)?"
     " (on|in|at|against|along) (.+?)\\??",
     "what is on $2?"},
    {"(?:does|do|can|will) (?:its|their) (?:doors?|drawers?|leaf|leaves|lid) (?:still "
     ")?(?:open|close|"
     "pull out|swing)(?: fully| all the way| properly)?\\??",
     "what is wrong with it?"},
    {"how (?:wide|big|much) (?:of )?an? (?:passage|gap|way|walkway|path|aisle|space) (?:is|would "
     "be) "
     "(?:there|left|there left)? ?(past|behind|in front of|beside|next to|around|round|between) "
     "(.+?)\\??",
     "how much room is $1 $2?"},
    {"what(?:'s| is) the (?:widest|largest|biggest|longest) (?:rug|carpet).*", "how big a rug?"},
    {"(?:and )?(?:what (?:does|did|will|would) (?:that|this|it) do to|how (?:does|did|will) "
     "(?:that|"
     "this|it) (?:change|affect|leave)) (?:the |my )?(?:walkways?|ways?|paths?|passages?|aisles?|"
     "circulation|traffic|flow|walking space)\\??",
     "how wide is the walkway?"},
    {"(?:and )?is (?:that|this|it)(?: still)? (?:enough|sufficient)(?: (?:space|room|clearance|"
     "floor))?(?: left)?(?: to (?:walk|pass|get (?:by|past|around|through)|move)(?: around| about|"
     " past| by| through)?)?\\??",
     "what is wrong with it?"},
    {"is there (?:still )?(?:enough )?(?:room|space) (?:left )?to (?:walk|pass|move|get) "
     "?(?:around|"
     "about|through|by)?\\??",
     "how wide is the walkway?"},
    {"(?:move|pull|push|slide|bring|shift|take|set|ease) (.+?) ([0-9].*?) (?:off|away from|clear "
     "of) "
     "(?!the wall|wall|its wall)(.+)",
     "move $1 $2 from $3"},
    {"(.+?),? ([0-9][^,]*?) back(?: from it)?", "$1, $2 from it"},
    {"(.+?) in the alcoves? (?:on |at |to )?(?:either|each|both) sides? of (.+)",
     "$1 either side of $2"},
    {"((?:put |hang |place |add |set )?)((?:four|six|eight|nine|ten|twelve|[0-9]+) .+?),? "
     "(?:in|as) "
     "(two|three|2|3) rows( of (?:two|three|four|five|[0-9]))?\\b(.*)",
     "gallery of $2, in $3 rows$4$5", true},
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
    {"(?:the )?(walls|floor|ceiling) (?:in |are |is |painted |should be "
     ")?(?!(?:lamps?|lights|plants?|"
     "cushions?|fans?|mirrors?|poufs?|units?|to|vase|vases|spots?|spotlights?)\\b)([a-z][a-z -]*)",
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
    {"(?!.*\\b(?:the|my|that|this) (?:[a-z]+ )?lamps? on\\b)(.*?)\\blamp on (?!the "
     "floor|either|each|both|wall|a wall)(.+)",
     "$1table lamp on $2"},
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
     "$1 in a grid$2", true},
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
    {"(.+?) (?:taking up|filling|to fill|that fills|spanning|covering|along the whole of) (?:the "
     "whole of |the whole |all of |all )?(?:the )?(wall .+)",
     "$1 as wide as $2 on $2"},
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
     "a grid of $1 $2", true},
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
