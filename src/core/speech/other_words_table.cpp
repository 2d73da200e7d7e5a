// What people say in other words than the line's own.
#include "speech/other_words_table.h"

namespace mezzet {

namespace {

constexpr OtherWords others[] = {
    {"(?:centre|center|line up|align) (.+?) (?:directly |straight )?(?:across from|opposite|in "
     "front "
     "of|facing) (.+)",
     "centre $1 on $2"},
    {"((?:put |place |hang |add |set )?)(?:the |some )?([a-z -]+?)s? "
     "(on|over|above|under|in front of|beside) (?:the |all the |all )?([a-z -]+?)s"
     "(,? (?:[0-9]|at |centre |bottom |top ).*)?",
     "$1a $2 $3 each $4$5"},
    {"(.*?\\b)print((?: \\d.*?)? (?:on|against|over|under|between|at|beside|left|right) "
     ".*\\bwall\\b.*)",
     "$1picture$2"},
    {"(.*?\\b)prints( .*\\b(?:over|above|on (?:the )?wall|in a (?:row|grid|column))\\b.*)",
     "$1pictures$2"},
    {"(?:an? )?(?:second|third|fourth|fifth|extra|further|additional) (.+)", "another $1"},
    {"(?:put|place|add|hang|set) an? (?:second|third|fourth|fifth|extra|further|additional) (.+)",
     "another $1"},
    {"(.*?)(?:at|to|by|on) the (?:other|opposite|far) (?:end|side) of\\b(.*)",
     "$1on the other side of$2"},
    {"(.+?) (?:should|must|needs to|need to|has to|have to|ought to) (?:be )?(?:facing|face|look "
     "at|looking at) (.+)",
     "face $1 to $2"},
    {"(.+?) (?:should|must|needs to|need to|has to|have to|ought to) (?:be )?(?:seat|seating) (.+)",
     "seat $1 with $2"},
    {"(.+?) (?:should|must|needs to|need to|has to|have to|ought to) be (.+? ?(?:wide|long|deep|"
     "high|tall|wider|longer|deeper|higher|taller|narrower|shorter|lower|bigger|smaller))",
     "make $1 $2"},
    {"(.+?) (?:should|must|needs to|need to|has to|have to|ought to) (?:be moved|move|come|go|be "
     "put|be placed|stand|sit|hang|be hung|be) (.+)",
     "move $1 $2"},
    {"(.+?) (?:goes|go|belongs|belong|stands|sits|sit|hangs|hang) (in|on|at|against|by|next "
     "to|beside|under|over|above|between|behind|near|opposite) (.+)",
     "$1 $2 $3"},
    {"(?:get rid of|remove|take out|take away|lose|delete) (.+?) and (?:put|place|have|use|add|"
     "get|try) (?:in )?(.+?) (?:there|in its place|instead|in their place)",
     "replace $1 by $2"},
    {"(?:drop) (.+?) (?:by )?([0-9].*)", "lower $1 $2"},
    {"(.*?)\\b(?:the|this|my|our) (?:hall|hallway|corridor|passage|landing|bedroom|kitchen|office|"
     "study|lounge|living room|sitting room|dining room|family "
     "room|den|nursery|space|place)\\b(?! (?:chair|stool|desk|table|island|cabinet|sink|lamp|light|"
     "runner|rug|closet|window|door|counter|sofa|bench|clock|mirror))(.*)",
     "$1the room$2"},
    {"(.+?) along (?:the )?(wall .+)", "$1 on $2"},
    {"(?:raise|lower|move|hang|put|bring|drop|lift) (.+?) so (?:that )?(?:its|the) "
     "(?:bottom|foot|underside)(?: of "
     "it)? (?:is|sits|hangs|comes) (.+?) above (.+)",
     "$1 $2 above $3"},
    {"(make .+? [0-9][^ ]*(?: (?:cm|mm|m|in|inch|inches|ft|feet|foot))?) less deep",
     "$1 shallower"},
    {"(make .+? [0-9][^ ]*(?: (?:cm|mm|m|in|inch|inches|ft|feet|foot))?) less wide", "$1 narrower"},
    {"(make .+? [0-9][^ ]*(?: (?:cm|mm|m|in|inch|inches|ft|feet|foot))?) less (?:tall|high)",
     "$1 lower"},
    {"turn (.+?) (?:around |round |about )?(?:to face|so (?:that )?(?:it|they) (?:is |are "
     ")?(?:face|"
     "faces|facing|looks at)|facing) (.+)",
     "turn $1 to face $2"},
    {"(?:raise|lower|move|hang|put|drop|bring|lift) (.+?) so (?:that )?(?:its|the) "
     "(centre|center|middle|top|"
     "bottom|foot|underside)(?: of it)? (?:is|sits|hangs|comes|ends up) at (.+)",
     "$2 of $1 at $3"},
    {"middle of (.+?) at (.+)", "centre of $1 at $2"},
    {"(.+?) in (?:each|both|either|every|each of|both of|the two)(?: of)?(?: the)? alcoves?",
     "$1 either side of the chimney"},
    {"(.+?) in (?:the )?(left|right)(?:[- ]hand)? alcove", "$1 $2 of the chimney"},
    {"(.+?) (?:on the )?left and (?:on )?(?:the )?right(?: side)? of (.+)", "$1 either side of $2"},
    {"(?:clear|empty)(?: out)? (?:the |this |my )?(?:room|floor|plan|everything)",
     "remove everything"},
    {"(?:start (?:over|again|afresh|from scratch)(?: .*)?|take everything (?:out|away))",
     "remove everything"},
    {"(?:keep|leave|hold) (.+?) (?:where (?:it|they) (?:is|are|stands?)|as (?:it|they) (?:is|are)|"
     "in place|put|there)",
     "lock $1"},
    {"(.+?) leaning (?:on|against|up against) (?:the )?(wall .+)", "$1 on $2, leaned on floor"},
    {"((?:hang |put |place |add |set )?)(?:an? |the |some |my )?(?:nice|new|old|modern|vintage|"
     "antique|comfy|comfortable|cosy|cozy|pretty|lovely|simple|plain|wooden) (.+)",
     "$1a $2"},
    {"(?:move|bring|take|shift) (.+?) (?:to|into|onto) (?:the )?((?:opening|shelf) .+)",
     "$1 in $2"},
    {"((?:hang |put |place )?)(?:an? |the )?prints?((?: \\d.*?)?) (over|above) (.+)",
     "$1picture$2 $3 $4"},
    {"((?:hang |put |place |add )?)an? (?:big|huge) (.+)", "$1large $2"},
    {"((?:hang |put |place |add )?)an? (?:little|tiny) (.+)", "$1small $2"},
    {"(?:we|i) (?:need|want|would like|'d like|have) (.+)", "$1"},
    {"(?:can|could) (?:we|i|you) (?:have|get|put|place|add) (?!by |past |around |round |between "
     "|through |to |out |into |behind )(.+?)\\??",
     "$1"},
    {"let's (?:have|put|add|try) (.+)", "$1"},
    {"(.+?) on the floor (by|next to|beside|near|in|under|behind|before|against|between) (.+)",
     "$1 $2 $3"},
    {"(.+?) (?:in here|in this room|for this room)", "$1"},
    {"(a|one|two|three|four|five|six|[0-9]+) more (.+)", "$1 $2"},
    {"(.+?)\\bthe (window|door) on the (left|right)\\b(.*)", "$1the $3 $2$4"},
    {"(.+?) within (?:arm's |easy )?reach of (.+)", "$1 beside $2"},
    {"(?:make|turn|change) (.+?) (?:in)?to an? (.+)", "replace $1 by $2"},
    {"(?:make|turn|change) (.+?) (?:into )?an? (king|queen|twin|double|single|full)"
     "(?: size)?(?: one| bed)?",
     "replace $1 by $2 bed"},
    {"(?:swap|switch|exchange) (.+?) for (.+)", "replace $1 by $2"},
    {"(?:fix|mend|sort out|correct|solve|put right) (?:everything|it all|them all|all of it|all|"
     "what(?:'s| is) wrong|all (?:the|that is) .+|the (?:room|mistakes|problems|faults|rest))",
     "mend all"},
    {"(?:fix|sort out|correct|put right) (.+)", "mend $1"},
    {"make (.+?) (?:to )?(?:seat|for) (.+)", "seat $1 with $2"},
    {"make (.+?) (taller|higher|longer|wider|deeper|shorter|narrower|lower) by (.+)",
     "make $1 $3 $2"},
    {"(.+?) (?:up )?against the wall (by|near|next to|beside|with) (.+)", "$1 by $3"},
    {"(.+?) ([0-9][^,]*?) up on (?:the )?(wall .+)", "$1 on $3 at $2"},
    {"(.+?) (?:above|over) (.+?),? ([0-9][^,]*?) (?:up|above it|over it|up from it|above "
     "(?:the|its) "
     "(?:top|table|tabletop|table top|surface))",
     "$1 $3 above $2"},
    {"(.+?)\\b(?:centred|centered) over\\b(.+)", "$1over$2"},
    {"(.+?) (?:in|at) the (?:middle|centre|center) of (.+)", "$1 on $2"},
    {"(.*?)\\ball (?:of )?(?:the )?chairs\\b(.*)", "$1the chairs$2"},
    {"(.*?)\\b(?:the |a )?(?:tv|television|flat screen) (over|above) (.+)", "$1wall screen $2 $3"},
    {"hang (?:the |a |my )?(?:tv|television|flat screen)\\b(.*)", "hang a wall screen$1"},
    {"(?:swivel|spin|angle|point|aim|pivot) (.+?) (?:to|toward|towards|at) (.+)", "turn $1 to $2"},
    {"(.+?) (?:on|to|along|at|by) the (window|door|fireplace|fire) side(?: of the room)?",
     "$1 against the $2 wall"},
    {"(.+?) (behind|at|by|beside|near|from|on|next to) (?:the )?(.+?)'s (left|right) "
     "(end|side)(.*)",
     "$1 $2 the $4 $5 of $3$6"},
    {"((?:put |place |hang |add |set )?)(?:an? |the )?(.+?), ([0-9][^,]*? "
     "(?:wide|long|high|tall|deep|across))",
     "$1a $3 $2"},
    {"((?:put |place |hang |add |set )?)(?:an? |the )?(.+?), ([0-9][^,]*? (?:wide|long)) "
     "(?:and|by) "
     "([0-9][^,]*? (?:high|tall|deep))",
     "$1a $3 $4 $2"},
    {"((?:put |place |hang |add |set )?)(?:an? |the )?([^0-9]+?),? ([0-9][^,]*? ?(?:x|by) "
     "?[0-9][^,]*)",
     "$1a $3 $2"},
    {"(?:hang|put|move|set|mount) ((?:the |my )?[^0-9]+?) ([0-9][^ ]*(?: "
     "?(?:cm|mm|m|in|inches|inch))?) "
     "(higher|lower)",
     "$3 $1 $2"},
    {"flank (.+?) with (.+)", "$2 either side of $1"},
    {"(.*(?:cushion|pillow|throw|blanket|plaid|bolster)s?\\b.*?),? (?:in|at|over|on) the "
     "(left|right)"
     "(?:[- ]hand)? (?:corner|end|side|arm) of (?:the |my )?(.+)",
     "$1 on $3, $2"},
    {"(.*(?:throw|blanket|plaid)\\b.*?) over (?:the )?(?:arm|back|end) of (?:the |my )?(.+)",
     "$1 on $2, right"},
    {"lean (.+?) (?:on|against|up against) (.+)", "$1 leaned on $2"},
    {"lean (.+?) (?:in front of|before) (.+)", "$1 in front of $2"},
    {"(?:we |i )?(?:can't|cannot|can not|may not|mustn't|must not) (?:drill|nail|put holes|make "
     "holes)"
     "(?: into| in)? (.+)",
     "no holes in $1"},
    {"((?:an? )?.+?), ([0-9][^,]*),? instead of (.+)", "replace $3 by $2 $1"},
    {"(.*\\b(?:curtains?|drapes|drapery|panels|sheers|voiles)\\b.*?),? (?:reaching |going |down "
     ")?(?:to|touching) the (?:floor|ground),?(.*)",
     "$1$2"},
    {"(.+?) (?:should|must|ought to|has to|needs to) be (an? [a-z][a-z ]*)", "make $1 $2"},
    {"(remove|take away|take out|get rid of|lose|delete) (?:the |both )?chairs (?:at|on|from) "
     "(?:the|"
     "both|each) (?:ends?|heads?)(?: of .+)?",
     "remove the end chairs"},
    {"(?:raise|lower) ((?:the |my )?[a-z ]*(?:desk|table|bench|counter|island|bed|stool|seat)) to "
     "([0-9].*)",
     "make $1 $2 high"},
    {"(?:move|turn|put|set|swing) (.+?) so (?:that )?(?:it|they) (?:faces?|looks?)(?: out)?(?: "
     "into| "
     "toward| towards| to)? the (room|middle|centre|center)(?: of the room)?",
     "turn $1 to face the room"},
    {"((?:an? |the )?)cabinets? (over|above) (.+)", "$1wall cabinet $2 $3"},
    {"(?:stretch|enlarge|grow|extend|resize) ((?:the |my )?[a-z][a-z ]*?) to ([0-9][^ ]* ?(?:x|by) "
     "?[0-9].*)",
     "make $1 $2"},
    {"tilt ((?:the |my )?(?:[a-z]+ )?rug.*)", "turn $1"},
    {"(?:slide|move|pull|shift|put) ((?:the |my )?(?:[a-z]+ )?(?:rug|carpet)) so (?:that )?(?:just "
     "|only "
     ")?(?:the |its )?front (?:legs|feet) of (.+?) (?:are|stand|sit|rest) on (?:it|the rug)",
     "$1 under the front legs of $2"},
    {"((?:the |my )?(?:corner sofa|sectional|chaise|l-shaped sofa)) the other way "
     "(?:round|around|about)",
     "flip $1"},
    {"back (.+?) up(?: by)? (.+)", "push $1 back $2"},
    {"line ((?:the |my )?[a-z][a-z 0-9]*?) up with (?!the (?:top|bottom|edge))(.+)",
     "line up $1 with $2"},
    {"(?:swap|switch|shift) ((?:the |my )?[a-z][a-z 0-9]*?) to (the other .+)", "move $1 to $2"},
    {"((?:push |move |put |slide )?(?:the |my )?[a-z ]+?) back(?:ed)? (?:up )?(?:against|onto) "
     "((?:the )?wall.*|the .+ wall)",
     "$1 against $2"},
    {"make (.+?) an? ([0-9][^,]*?(?: inch| foot| ft| cm| metre| meter| m)?) ([a-z][a-z ]*)",
     "replace $1 with a $2 $3"},
    {"(.+?) (?:should|must|ought to) (?:go|lie|sit|reach|run) (.+)", "$1 $2"},
    {"stack (.+)", "$1, one above the other"},
    {"(?:turn|rotate|swing) (.+?) (?:to|so (?:that )?(?:it|they)) (?:runs?|goes?|go|lies?|is|are) "
     "(?:along|parallel to|parallel with) (.+)",
     "$1 square to $2"},
    {"((?:put |place |set |add )?)(?:two|2|a pair of) ([a-z ]+?)s on (.+?),? one (?:at|on) (?:each|"
     "either) end",
     "$1a $2 on each end of $3"},
    {"(.+?),? one (?:at|on) (?:each|either) (?:end|side)", "$1"},
    {"(?:slide|move|push|pull|shift) (.+?) (?:to the (?:left|right) )?(?:until|till) (?:it's|it is|"
     "they're|they are) (.+)",
     "$1 $2"},
    {"(.+?) (?:again|too|as well|for now|this time)", "$1"},
    {"(?:pull|draw|slide|move) (?:out|back) ((?:all )?(?:the |my )?.*?(?:chair|stool|seat)s?)(?: "
     "from "
     ".*)?",
     "pull $1 out"},
    {"(?:pull|draw|slide|move|bring) (?:out|forward) (.+)", "pull $1 forward"},
    {"(?:pull|bring|move|slide|push|take) (.+?) out ([0-9].*?) (?:from|off) (?:the|its|that) wall",
     "pull $1 $2 off the wall"},
    {"(?:pull|bring|move|slide|push|take) (.+?) ([0-9].*?) out from (?:the|its|that) wall",
     "pull $1 $2 off the wall"},
    {"(?:i |we )?(?:want|need|would like|'d like|wish|like) (.+?) (?:to be )?((?:a bit |a little |"
     "much )?(?:bigger|larger|smaller|wider|longer|deeper|taller|higher|lower|shorter|narrower|"
     "shallower))",
     "make $1 $2"},
    {"(?:fix|mend|sort|put) (it|this|that) (?:out|right)", "mend $1"},
    {"(?:make|paint|colour|color|do) (.+?) (?:in )?([a-z]+)", "colour $1 $2"},
    {"(?:make|paint|colour|color|do) (.+?) (?:in )?([a-z]+ [a-z]+)", "colour $1 $2"},
    {"(?:paint|colour|color) (.+?) ([a-z]+) (?:green|blue|red|grey|gray|white|brown|pink|yellow)",
     "colour $1 $2"},
    {"(swap|switch|exchange) (?:the |my )?(?:two|both|pair of) (.+?)s(?: around| over| round)?",
     "$1 $2 and $2 2"},
    {"(.*?)\\bunder the (?:sofa|seating|conversation|lounge) (?:group|area|arrangement)(.*)",
     "$1under the seats$2"},
    {"((?:put |place |hang |add |set )?)(two|three|four|five|six|eight|nine|a pair of|[2-9]) "
     "([^0-9]+?)"
     ", ([0-9].*? ?(?:x|by) ?[0-9].*)",
     "$1$2 $4 $3"},
    {"take (.+?) (?:down|off the wall)", "remove $1"},
    {"((?!.*\\b(?:closer|nearer|close) together\\b).+?) together (.+)", "$1 $2"},
    {"(?:show|tell) me (what.+|where.+|how.+|why.+)", "$1"},
    {"(.+?) (?:in|is) (?:a |the )?(?:colour |color )?([a-z]+)", "colour $1 $2"},
    {"(?:make|have) (.+?) (oval|square|rectangular|oblong)", "replace $1 by a $2 one"},
    {"(?:turn|rotate|put|set) (.+?) so (?:that )?(?:it|they) (?:stands?|lies?|sits?|runs?|is|are) "
     "(.+)",
     "$1 $2"},
    {"((?:put |hang |add )?(?:roman |blackout )?(?:blinds?|curtains?|shades?|drapes?|shutters?)\\b"
     ".*?) (?:in|at|on|for|over|across) (?:the|both|all|all the|both the) windows",
     "$1 on each window"},
    {"(.*?)(?:the )?wall ([a-z])'s (window|door)\\b(.*)", "$1the $3 on wall $2$4"},
    {"(?:raise|lower|move|shift|hang|bring) (.+?) (?:till|until|so that|so) (?:its|the|it's) "
     "(centre|center|top|bottom|foot) (?:is|comes|hangs)(?: at)? ([0-9].*)",
     "$1 $2 at $3"},
    {"(.+?),? (?:with (?:its|the) )?(?:bottom|foot|lower edge|underside) ([0-9].*? (?:above|over) "
     ".+)",
     "$1 $2"},
    {"(.+?),? one (at|on|by|beside) (?:each|either|every) (end|side) of (.+)",
     "$1 $2 each $3 of $4"},
    {"give (?:me|us) (an? .+)", "add $1"},
    {"(?:hang |put |add )?((?:two|three|four|five|six|seven|eight|nine|ten|[2-9]|1[0-9]) .+?) "
     "(?:in|as) an? (grid|column|salon) ((?:over|above|under|below|on) .+)",
     "a $2 of $1 $3"},
    {"(?:hang |put |add )?((?:two|three|four|five|six|seven|eight|nine|ten|[2-9]|1[0-9]) .+?) "
     "(?:in|as) an? (grid|column|spiral|salon) ((?:over|above|under|below) .+)",
     "$1 $3; then group them as a $2; then it $3"},
    {"(?:hang |put |add )?((?:two|three|four|five|six|seven|eight|nine|ten|[2-9]|1[0-9]) .+?) "
     "(?:in|as) an? (grid|column|spiral|salon) (on .+)",
     "$1 $3; then group them as a $2"},
    {"(.+?) (?:that|which)(?:'s|s| is) ([0-9][^ ]*(?: ?(?:cm|mm|m|in|inches|inch|feet|ft|foot))? "
     "(?:tall|high|wide|long|deep|across).*)",
     "$1 $2"},
    {"(?:move|slide|push|pull|bring|shift|take|put) (.+?) (?:over |across )?to ((?:the )?(?:left |"
     "right |first |second |third |last |middle )?(?:window|door|fireplace|chimney|fire|radiator)"
     "(?: [0-9])?(?: (?:on|in|of) (?:the )?wall [a-z])?)",
     "put $1 by $2"},
    {"(?:raise|lower|move|hang|put|drop|bring) (.+?),? so (?:that )?(?:it|they)(?:'s|'re| is| are| "
     "hangs?| sits?| comes?| ends? up) ([0-9].+? (?:above|below|over|under) .+)",
     "$1 $2"},
    {"add (.+?) to (.+)", "$1 on $2"},
    {"(.+?) (?:to|into|over to|across to) the (left|right)(?:[- ]hand)? (?:corner|end) of (?:the "
     ")?(wall .+)",
     "$1 in the $2 corner of $3"},
    {"(.+?) ([0-9][^, ]*(?: ?(?:x|by) ?[0-9][^, ]*)?(?: ?(?:cm|mm|m|in|inches|inch|feet|ft|foot))? "
     "(?:wide|long|high|tall|deep|across))",
     "$1, $2"},
    {"(?:put|move|place|set|have|bring) (.+?) where (.+?)(?:'s)? (?:is|are|was|were|stands?|hangs?)"
     "(?: now)?",
     "swap $1 and $2"},
    {"(?:turn|rotate|spin) (.+?) the other way(?: round| around)?", "turn $1 a quarter"},
    {"((?:put |place |hang |add |set )?(?:two|2|a pair of) .+?) (?:beside|next to|by|to the sides "
     "of) (.+)",
     "$1 either side of $2"},
    {"(.+?) (?:over|across) to (.+)", "$1 to $2"},
    {"(.+?) (?:to put|to set|to rest|to lay) .+? (?:on|in)", "$1"},
    {"(.+?) for (?:a |an |the |my |our |his |her |their |some )?(?:drinks?|coffee|tea|books?|keys|"
     "shoes|coats|toys|plants|magazines|remote|remotes|logs|blankets|records|bags?|glasses|"
     "breakfast|homework|make-?up|music|games|clothes|linen|china)",
     "$1"},
    {"(.+?),? (?:with|at) ([0-9].*?) from (.+?) on (?:both|either|each) sides?",
     "$1 either side of $3, $2 from it"},
    {"(.+?),? ([0-9].*?) (?:from|off|away from) (.+?) on (?:both|either|each) sides?",
     "$1 either side of $3, $2 from it"},
    {"(.*?\\bsconces?.*?),? ([0-9].*?) (?:from|off) (?:either|each|both) sides? of (.+)",
     "$1 either side of $3"},
    {"((?:put |place |add |hang )?.*?)\\breading (?:light|lamp)\\b(.*)", "$1floor lamp$2"},
    {"(.+?),? (?:sticking|jutting|coming|standing|reaching) out (?:by )?([0-9].*?)(?: "
     "(?:from|into) "
     ".*)?",
     "$1, $2 deep"},
    {"spread (.+?) (?:out )?evenly (?:along|across|on|over) (?:the )?(wall .+)",
     "spread $1 evenly on $2"},
    {"(?:hang|put|make|add|do) (?:me )?(?:an? )?gallery(?: wall)? (on|over|above) (.+)",
     "six pictures in a grid $1 $2"},
    {"(?:an? )?gallery(?: wall)? (on|over|above) (.+)", "six pictures in a grid $1 $2"},
    {"(?:clear|empty|strip) (?:the )?(wall .+)", "remove everything on $1"},
    {"how low should (.+)", "how high should $1"},
    {"(put|move|bring|set) (.+?) back (in|into|to|on|under|against|at|by|next to|beside) (.+)",
     "$1 $2 $3 $4"},
    {"((?:will|does|would|can|could) an? .*?)table (fit.*)", "$1dining table $2"},
    {"(.*?)\\b(?:all the way|straight|right up|right|hard) "
     "((?:in|into|up|back|against|to|over)\\b.*)",
     "$1$2"},
    {"(?:shove|drag|haul|lug|heave|swing) (.+)", "push $1"},
    {"(?:stick|pop|plonk|plunk|sit|park|stash|install|mount|lay|position) (.+)", "put $1"},
    {"keep ([0-9].*? between .+)", "leave $1"},
    {"(.*?\\bleave [0-9].*? between )(.+?) and the wall", "$1the wall and $2"},
    {"turn (.+?) so (?:that )?(?:its|the) (?:head|headboard|back) is (?:on|at|against|to|toward|"
     "towards) (.+)",
     "put $1 against $2"},
    {"(?:put |place |have |try |use )?((?:an? )?.+?) in place of (.+)", "replace $2 by $1"},
    {"(.+?) (above|over|beside|next to|by|either side of|on each side of|on either side of) the "
     "head of (.+)",
     "$1 $2 $3"},
    {"(.+?) (?:for|to) (?:reading|read in|read|sit in|sit on|sitting|working|work at|eating|"
     "storage|dressing|drawing|homework) (.+)",
     "$1 $2"},
    {"(.+?),? (?:with )?(?:[0-9]+|one|two|three|four|five|six|eight) (?:drawers?|doors?)\\b,?(.*)",
     "$1$2", true},
    {"what(?:'s| is) the (?:widest|longest|biggest|largest) (.+?) (?:that |which )?(?:i can fit|we "
     "can fit|will fit|would fit|can fit|could fit|fits|goes|can stand) (.+)",
     "what $1 fits $2"},
    {"(is there (?:space|room) for) an? (?:second|third|fourth|extra|further|additional|"
     "another) (.+)",
     "$1 a $2"},
    {"(is there (?:space|room) for) another (.+)", "$1 a $2"},
    {"(?:add |put |hang )?(?:an? )?(?:roller|venetian|cellular|wooden|blackout) "
     "(blinds?|shades?)(.*)",
     "a roman blind$2"},
    {"(.+?) facing (?:each other|one another) across (.+)", "$1 either side of $2"},
    {"(.+?) (?:either side of|on each side of|on either side of) (?!(?:the "
     ")?(?:fire|chimney|hearth|"
     "stove|window|mantel))(.+?), facing (?:it|that|each other|one another)",
     "$1 either side of $2"},
    {"(.*\\b(?:curtains?|drapes|drapery|panels|sheers)\\b.*?),? (?:full|floor)[- ]length,?(.*)",
     "$1$2"},
    {"(?:full|floor)[- ]length ((?:curtains?|drapes|drapery|panels|sheers)\\b.*)", "$1"},
    {"(.+?) (in front of|under|before|at|by) (.*?\\bwindow\\b.*?),? (?:facing|looking) "
     "(?:out|outward|outwards|outside)",
     "$1 $2 $3"},
    {"((?:put |place |hang |add |set )?.+?) at ([0-9][^,a-z]*(?: ?(?:cm|mm|m|in|inches|inch|feet|"
     "ft|foot)\\b)?)(?: high| up)?,? ((?:on )?(?:either side of|each side of|both sides of|above|"
     "over|between|left of|right of|beside|next to) .+)",
     "$1 $3, centre at $2"},
    {"(.+?),? (?:at |mounted |set |hung )?([0-9][^,a-z]*(?: "
     "?(?:cm|mm|m|in|inches|inch|feet|ft|foot)"
     "\\b)?) (?:off|above|over|up from|up off) the (?:floor|ground)\\b(.*)",
     "$1$3, bottom at $2"},
    {"(.+?) (?:in|at|on) the (?:middle|centre|center) of the ceiling", "$1 in the middle of the "
                                                                       "room"},
    {"(?:pull|move|bring|push|slide|shift|take) (.+?) (?:off|away from|out from|from) (.+?) (?:by "
     "|about |by about )?([0-9].*)",
     "move $1 $3 away from $2"},
    {"(?:move|put|set|pull|push|slide|shift|have) (.+?),? so (?:that )?(?:it's|its|it is|they're|"
     "they are) (.+)",
     "$1 $2"},
    {"make (.+?) ([0-9].*?) (?:closer|nearer) to (.+)", "move $1 $2 toward $3"},
    {"(.*\\bwall ([a-z])\\b.*?)\\bcorner (?:with|at|by|of) (?:the )?wall ([a-z])\\b(.*)",
     "$1corner $2$3$4"},
    {"(.+?),? in a grid(?:,? [a-z0-9]+ rows? (?:of|by) [a-z0-9]+)?,? on (.+)",
     "gallery of $1 on $2", true},
    {"(.+?) (?:as|in) a gallery (?:wall )?on (.+)", "gallery of $1 on $2"},
    {"(?:centre|center) (an? .+?) (above|over|on|under|between|in) (.+)", "$1 $2 $3"},
    {"(?:put |place |have |try |use )?((?:an? )?.+?),? instead of (.+)", "replace $2 by $1"},
    {"(?:put |place |have |try )?(?:an? |the )?(.+?) instead of (.+)", "use $1 instead of $2"},
    {"line (.+?) up with ((?:the )?(?:[a-z]+ )?(?:window|door|fire|opening|arch|wall|chimney).*)",
     "centre $1 on $2"},
    {"(?:line up|align) (.+?) with ((?:the )?(?:window|door|fire|opening|arch|wall|chimney).*)",
     "centre $1 on $2"},
    {"((?:put |place |add )?)(?:a |the )?tables? for (.+)", "$1dining table for $2"},
    {"(?:set|put|push|move|stand|place) (.+?) (?:right |all the way |straight )?back (?:up )?"
     "(?:against|to|on) (.+)",
     "put $1 against $2"},
    {"(?!.*\\b(?:the|my|that|this) (?:[a-z]+ )?lamps? on\\b)(.*?\\b)lamps on (?!the "
     "floor|either|each|both|wall)(.+)",
     "$1table lamps on $2"},
    {"(.+) on cent(?:er|re)", "$1"},
    {"(?:string|suspend|attach|screw|affix|wall[- ]mount|put up|nail|tack) (.+)", "hang $1"},
    {"(?:roll out|lay out|throw down|situate|locate|prop|squeeze|wedge|find (?:a )?(?:place|space|"
     "room|spot) for|bring) (an? .+)",
     "put $1"},
    {"(.+?) (?:flush|tight|snug|snugly|tucked)(?: in(?:to)?| with| against| up against)? (?:the|a) "
     "corner\\b(.*)",
     "$1 in the corner$2"},
    {"(?:bring|move|pull|push|slide|drag) (.+?) (?:out )?in(?:to)? the (?:middle|centre|center)"
     "(?: of the (?:room|floor))?",
     "$1 in the middle of the room"},
    {"(?:paint|make|do|have) (wall .+?|the .+? wall) (?:as )?(?:an?|the) (?:accent|feature)(?: "
     "wall)?,?(?: in| of)? (.+)",
     "colour $1 $2"},
    {"(?:an? )?(?:accent|feature) wall,? (?:in )?([a-z ]+?) (?:on|for|at) (wall .+)",
     "colour $2 $1"},
    {"(?:an? )?(?:accent|feature) wall (?:on|for|at) (wall .+?),? (?:in )([a-z ]+)",
     "colour $1 $2"},
    {"(.*\\barc(?:hed|o)? (?:floor )?lamps?\\b.*?) (?:over|above) (.+)", "$1 beside $2"},
    {"(?:bump|scooch|budge|ease|jog|shimmy|edge|inch) (.+)", "move $1"},
    {"(move|shift|slide|push|bump|nudge|scoot) (.+?) over (?:by )?([0-9].*)", "$1 $2 $3"},
    {"(move|shift|slide|push|bump|nudge|scoot) (.+?) over(?: a bit| a little)? (?:to the "
     ")?(left|right)\\b(.*)",
     "$1 $2 $3$4"},
    {"clear(?: off| everything off)? (?:the |my )?(.+?)(?: off)?", "remove everything on $1"},
    {"lock (.+?) (?:in place|where (?:it|they) (?:is|are)|down|there|so (?:it|they) can't move)",
     "lock $1"},
    {"((?:put |place |add |have )?)([a-z -]+?)s?,? ([0-9]+|two|three|four|five|six|seven|eight) of "
     "(?:them|those),? (.+)",
     "$1$3 $2s $4"},
    {"(?:put|move|set|bring) (?:it|that|this|them|everything|it all) back(?: to)? where (?:it "
     "was|they were)(?: before)?",
     "undo"},
    {"(.*?\\brug\\b.*?) under (.+?),? ([0-9].*?) (?:bigger|larger|wider|longer|more)(?: than (?:it|"
     "that))? (?:on|at) (?:all|every|each|both)(?: four)? (?:sides?|ends?)",
     "$1 under $2 that reaches $3 past it on all sides"},
    {"(.*?) to the (middle|centre|center) of (wall .+)", "$1 in the $2 of $3"},
    {"(.*?)\\bin (?:the |an )?alcove (?:to the |on the )?(left|right) of (?:the )?(.+)",
     "$1$2 of the $3"},
    {"(?:shift|move|slide|push|pull) (.+?) over,? so (?:that )?(?:it's|it is|they're|they are) "
     "(.+)",
     "$1 $2"},
    {"(.*?)\\b(?:an? )?(?:stack|pile) of (?:two|three|four|five|six|[0-9]+|some|old|big) "
     "books\\b(.*)",
     "$1stack of books$2"},
    {"((?:put |hang |place |add )?)(?:an? )?triptych\\b(.*)", "$1three canvases in a row$2"},
    {"((?:put |hang |place |add )?)(?:an? )?diptych\\b(.*)", "$1two canvases in a row$2"},
    {"((?:put |hang |place |add )?)(two|three|four|five|six|[2-9]) panels\\b(.*)",
     "$1$2 canvases$3"},
    {"(.*?\\b)prints(,? .*\\b(?:left|right|side) of (?:the "
     ")?(?:window|door|chimney|fireplace|bed|sofa|"
     "mirror)\\b.*)",
     "$1pictures$2"},
    {"two chairs (in front of|before|facing|by|beside|near|at|opposite|across from) (.+)",
     "two armchairs $1 $2"},
    {"(.*?)\\b(?:a |the )?(?:little |small )?table between (them|the two|the (?:two "
     ")?(?:arm)?chairs)"
     "\\b(.*)",
     "$1side table between $2$3"},
    {"(?:put |move |push |set |place )?(?:the )?head ?board (?:against|on|to|at) (?:the )?(wall "
     ".+)",
     "put the bed against $1"},
    {"((?:put |hang |add |place )?)(?:an? |the )?(?:curtain )?(?:rods?|poles?|tracks?|curtain "
     "rails?) "
     "([0-9].*?) (?:above|over) (.*window.*)",
     "$1curtains $2 above $3"},
    {"(?:seat|sit) (one|two|three|four|five|six|seven|eight|nine|ten|[0-9]+)(?: people| guests)? "
     "(?:at|around|round) (.+)",
     "seat $2 with $1"},
    {"((?:put |place |hang |add |set )?)([a-z -]+?)s "
     "((?:on|in|at|under|over|above|against|along|by|"
     "near|beside|next to|between|behind|in front of|left of|right of) .+?),? (two|three|four|five|"
     "six|seven|eight|[2-9]) of (?:them|those)",
     "$1$4 $2s $3"},
    {"((?:put |place |hang |add |set )?(?:an? |two |three |four |[0-9]+ )?[a-z -]+?) ((?:on|in|at|"
     "under|over|above|against|along|by|near|beside|next to|between|behind|left of|right of|either "
     "side of) [^,]+?), ([0-9][^,]*? (?:wide|long|high|tall|deep|across))\\b(.*)",
     "$1 $3 $2$4"},
    {"(.*?\\brug\\b.*?) under (.+?),? ([0-9].*?) (?:bigger|larger|wider|more)(?: than "
     "(?:it|that))? all "
     "(?:round|around)",
     "$1 under $2 that reaches $3 past it on all sides"},
    {"(.*\\b(?:blinds?|shades?)\\b.*?) inside (.*window.*)", "$1 on $2"},
    {"(.+?) (?:on|against) the wall (above|over|behind|left of|right of|beside|next to) (.+)",
     "$1 $2 $3"},
};

} // namespace

std::span<const OtherWords> otherWords() {
    return others;
}

} // namespace mezzet
