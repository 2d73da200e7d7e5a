// Words that are said for others wherever they stand in a line.
#include "measure/text.h"
#include "speech/other_words_table.h"

#include <algorithm>
#include <iterator>
#include <regex>

namespace mezzet {

namespace {

constexpr OtherWords withinInstead[] = {
    {"\\b(tv|telly|television|screen) (?:mounted|hung|fixed|bracketed) (?=(?:on|over|above|at) )",
     "$1 "},
    {"^((?:an? |the )?)(?:bench|ottoman) with storage\\b", "$1storage bench"},
    {"^((?:an? )?)(?:wall )?lantern (?=(?:over|above|beside|by|either side of|on either side of) )",
     "$1wall light "},
    {"^(?:picture )?(frames|pictures|prints|photos) ([0-9][^,]*), "
     "(two|three|four|five|six|eight|nine|"
     "[2-9]) in (.+)$",
     "$3 $1 $2 in $4"},
    {"(^(?!.*\\bget (?:an?|the) table\\b).*\\b(?:an?|the|for|put|place|add) |^)table for "
     "(?=(?:two|three|four|five|six|seven|eight|nine|ten|"
     "twelve|[0-9]+)\\b)",
     "$1dining table for "},
    {"\\bon the wall (?=(?:by|next to|beside|near) )", ""},
    {"\\bone (?=(?:each|either) (?:side|end)\\b)", "one on "},
    {"\\b(?:over|across|along|for|on) the (?:full|whole|entire|complete) "
     "(?:length|width|run|stretch) "
     "of (?=(?:the )?wall [a-z]\\b)",
     "along the whole of "},
    {"^((?!.*\\b(?:curtain|drape|rail|pole|rod)s?\\b).+?),? (?:from )?wall to wall "
     "(?:on|along|across) (?:the )?(wall [a-z])$",
     "$1 along the whole of $2"},
    {"^((?:put |build |have |add )?)wall[- ]to[- ]wall (.+?) (?:on|along|across|against) (?:the "
     ")?(wall "
     "[a-z])$",
     "$1$2 along the whole of $3"},
    {"^([^,]+?) in the room, (?=[0-9])", "$1 "},
    {"\\b(desk|study) nook\\b", "desk"},
    {"\\bbaby (cot|crib|bed)\\b", "$1"},
    {"\\bthe two end chairs\\b", "the end chairs"},
    {"^is ([0-9][^ ]*(?: ?(?:cm|m|mm|in|inches|inch|ft|feet))?) (behind .+?) enough\\??$",
     "is $1 enough $2?"},
    {"^((?:[a-z]+ )?(?:curtains|drapes)) (?:on|at|over) ([^,]+?),? ([0-9][^,]*?) wider (?:on|at) "
     "(?:each|both|either) sides?$",
     "$1 $3 wider than $2 on each side"},
    {"^((?:put |add )?(?:an? )?(?:rug|carpet)) (?:that is |which is )?([0-9][^,]*?) "
     "(?:bigger|larger|wider) "
     "than (the .+?)(?:,? (?:all (?:a)?round|on (?:all|every|each) sides?|each way))?$",
     "$1 under $3 that reaches $2 past it"},
    {"^which ([a-z ]+?) size (?:for|over) (.+)$", "what size $1 for $2"},
    {"\\bhow far back (?=should|do|must)", "how far "},
    {"\\b(?:by|beside|next to|near) the (left|right)(?:[- ]hand)? (?:arm|end|side) of (?=the |my )",
     "$1 of "},
    {"^(?:hang |put |add )?((?:[a-z]+ )?(?:curtains|drapes))((?: (?:on|at|over) [^,]+?)?),? "
     "(?:hung )?high and "
     "wide$",
     "hang $1 high and wide$2"},
    {"^((?:two|2) )(?:small |smaller |little )?(.+?s) instead of (?:the |just )?one$",
     "replace the $2 with "
     "two smaller ones"},
    {"\\b(?:dark|light|pale|bright) (?=(?:curtains|drapes|blinds?|cushions?|rugs?)\\b)", ""},
    {"^(?:only keep|keep only|just keep|keep just) (.+)$", "remove everything except $1"},
    {"^is there (?:an? )?(?:better|nicer|good|other) (?:place|spot|position) for (.+?)\\??$",
     "where should $1 "
     "go?"},
    {"^(?:move|put|shift|push|slide) (.+?) so (?:that )?(?:there is|there's|there are|i have|we "
     "have) "
     "([0-9].*?) (?:free |left )?(?:on|at|to) the (.+?) side(?: of it)?$",
     "$1 $2 from the $3 wall"},
    {"^(?:put |hang |place |add )?two ((?:[a-z]+ )?)shelves,? one at ([0-9][^,]*?) and (?:one|the "
     "other) at "
     "([0-9][^,]*?),? ((?:on|over|above|left|right|beside|under) .+)$",
     "add a $1shelf $4, at $2; then add a $1shelf $4, at $3"},
    {"^(?:put |hang |place |add )?two ((?:[a-z]+ )?)shelves,? "
     "((?:on|over|above|left|right|beside|under) "
     "[^,]+?),? one at ([0-9][^,]*?) and (?:one|the other) at ([0-9][^,]*?)$",
     "add a $1shelf $2, at $3; then add a $1shelf $2, at $4"},
    {"\\bceiling fan with (?:an? )?(?:light|lamp)s?\\b", "ceiling fan"},
    {"\\b(middle|centre|center) of (?:the )?floor\\b", "$1 of the room"},
    {"^(?:get|move|take|push|pull|bring) (.+?) out of (?:the way of (.+)|(.+?)'s way)$",
     "move $1 away from $2$3"},
    {",? (?:with a |of )?(?:diameter|diam|dia\\.?|ø) ?(?:of )?([0-9][^, ]*(?: "
     "?(?:cm|mm|m|in|inches|inch|ft|"
     "feet))?),?(?= |$)",
     " $1 across"},
    {"([0-9][^, ]*(?: ?(?:cm|mm|m|in|inches|inch|ft|feet))?) (?:in )?(?:diameter|dia\\.?)(?= |,|$)",
     "$1 across"},
    {",? spaced ([0-9][^,]*?)(?: apart)?$", ", $1 apart"},
    {"^((?:hang |put |add )?(?:[a-z]+ )?(?:curtains|drapes)) for (?=the |both |all |each )",
     "$1 on "},
    {"^((?:hang |put |add )?(?:[a-z]+ )?(?:curtains|drapes)\\b.*?),? (?:hung |hanging )?(?:down "
     ")?from the "
     "ceiling(?: down)?$",
     "$1 from the ceiling to the floor"},
    {"\\bwall[- ]?(?:mounted|hung) (?:tv|television|telly|screen)\\b", "wall screen"},
    {"\\bwall[- ]?(?:mounted|hung) (?=(?:mirror|shelf|shelves|cabinet|desk|basin|coat|hooks?)\\b)",
     "wall "},
    {"\\bwall[- ]?(?:mounted|hung) (?=(?:lamp|light|sconce|picture|clock|art)s?\\b)", ""},
    {"\\b(?:on|against) (?:the )?wall [a-z],? (?=(?:on )?(?:either|each|both) sides? of )", ""},
    {"^((?:put |place |add )?(?:an? )?)(w ?[0-9]\\S*,? d ?[0-9]\\S*(?:,? h ?[0-9]\\S*)?) "
     "([a-z][a-z -]*?)(?= "
     "(?:on|in|against|along|under|by|beside|behind|in front|between|near|opposite|facing) |$)",
     "$1$3 $2"},
    {"^(.*?\\b(?:two|three|four|five|six|[2-6]) [a-z ]+?s) (?:above|over) (the [a-z ]+?),? "
     "(?:hanging |hung "
     ")?([0-9][^,]*?) (?:above|over|off) (?:the top|it|its top|the counter|the surface|the "
     "worktop)$",
     "$1 $3 above $2"},
    {"^(?:put |place |add |hang )?(?:two|2|a pair of) (.+?)s,? one "
     "((?:over|on|in|by|at(?! ?[0-9])|under|beside|next "
     "to|left|right|against|near|above|in front of|behind) [^,]+?),? (?:and )?(?:one|the "
     "other|another) "
     "((?:over|on|in|by|at|under|beside|next to|left|right|against|near|above|in front of|behind) "
     ".+)$",
     "add a $1 $2; then add a $1 $3"},
    {"\\b(?:room|floor)(?:'s)? (?:floor )?area\\b", "area"},
    {"^((?!.*\\bunder\\b).*\\b(?:rug|carpet)\\b[^,]*?),? ([0-9][^,]*?) (?:past|beyond) the "
     "(foot|sides?|end) of (the bed)$",
     "$1 under $4, $2 past the $3"},
    {"\\bpull (.+?) out ([0-9][^,]*?) (?:at|from|past|beyond) the (foot|end|sides?)(?: of (?:the "
     ")?bed)?$",
     "move $1 $2 toward the $3 of the bed"},
    {"\\bhanging (?=(?:over|above|from|in|on|beside) )", ""},
    {"\\bwardrobes? with sliding doors?\\b", "sliding-door wardrobe"},
    // "sofa along wall F, starting from the left corner": right into it.
    {"^(.+ "
     "(?!inches|inch|feet|foot|metres|meters|metre|meter|starting|beginning|running|going|right)(?:"
     "[a-z]{3,}|[a-h])),? "
     "(?:(?:starting|"
     "beginning|running|going|right) )?(?:from|at) (?:the )?(left|right)(?:[- ]hand)?(?: corner| "
     "end)?(?: of it)?$",
     "$1 in the $2 corner"},
    {"^((?:an? |the )?[a-z][a-z ]*?),? (?:(?:starting|beginning) )?(?:from|at) the (left|right) "
     "(?:corner|end) of ((?:the )?wall [a-z])$",
     "$1 against $3 in the $2 corner"},
    // "24" nightstands flanking the bed": one on each side.
    {"^((?:put |place |add |set )?)((?:[0-9][0-9./]*(?: ?[\"”′″']+| ?(?:inch|in|cm|ft|foot))?(?: "
     "?x ?"
     "[0-9.]+)? )(?:[a-z]+ )?)([a-z]+)s (?:either side of|on either side of|each side of|on each "
     "side "
     "of|on both sides of|flanking) (.+)$",
     "$1two $2$3s either side of $4"},
    {"^(.+?) ((?:on|in|against|along) (?:the |a )?[a-z][a-z ]*?),? ((?:right )?up to the "
     "ceiling|floor "
     "to ceiling|to the ceiling)$",
     "$1 $3 $2"},
    {"\\b(the|my|our) (?:base |kitchen )units\\b", "$1 kitchen counter"},
    {"\\b(pair of|two|2|couple of) (?:matching|identical|twin) (?!beds?\\b)", "$1 "},
    {",? (?:sticking|coming|reaching|extending|showing|poking) out (?:by )?([0-9][^,]*?) "
     "(?:at|past|"
     "beyond|from) the (foot|end|sides?)(?: of (?:the |it)?(?:bed)?)?$",
     ", $1 past the $2"},
    {"\\b(?:picture|bay|bow|sash) window\\b", "window"},
    {"^((?:move|push|spread|pull|slide) .+?s) apart$", "$1 further apart"},
    {"^(.*\\b(?:sconces?|wall lights?|wall lamps?)),? (?:at )?([0-9][^,]*?) (?:high|up|off the "
     "floor),? "
     "(?:on |at )?(?:both sides|each side|either side) of (.+)$",
     "$1 either side of $3, centre at $2"},
    {"^why (?:does|do) (?:it|they|this|that|the .+?) say .+", "what is wrong?"},
    {"^(?:make|get|let) (?:everything|it all|all of it) (?:fit|work|right)$", "mend all"},
    {"^(remove|delete|take out|get rid of) (.+?) (?:and|with) (?:everything|all|whatever|what|the "
     "things)(?: that)?(?: is|'s)? on (?:it|top)$",
     "remove everything on $2; then remove $2"},
    {"^(.*?\\b(?:curtains|drapes)) (?:on|at|over|for) (.*?\\bwindows?(?: [0-9])?),? (?:hung "
     ")?([0-9]"
     "[^,]*?) (?:above|over) (?:the |its )(?:frame|window|top|head|trim|casing)s?$",
     "$1 $3 above $2"},
    {"\\bhow (big|large|wide|long|high|deep) of an? ", "how $1 a "},
    {"\\bceilings\\b", "ceiling"},
    {"^(.*?),? (?:diagonally|diagonal|kitty[- ]corner|catty[- ]corner) (?:in|into|across) (?:the "
     "|a )?"
     "corner\\b(.*)$",
     "$1 in the corner$2, angled"},
    {"\\b(curtains?|drapes|blinds?|shades?) in front of (?=(?:the |both |all |each |window))",
     "$1 on "},
    {"^(.*\\b(?:curtains?|drapes)),? (floor to ceiling|ceiling to floor),? ((?:on|at|for|over) "
     ".+)$",
     "$1 $3, $2"},
    {"^((?:slide|move|push|pull|shift|put|bring|scoot) .+?) (?:to|at|in|into|on) the (left|right)"
     "(?:[- ]hand)? (?:end|side) of (?:the|its|that) wall$",
     "$1 to the $2 corner"},
    {"\\b(mirror|table|coffee table|side table|rug|ottoman|pouf) ([0-9][^, ]*(?: ?(?:cm|mm|m|in|"
     "inches|inch|ft|feet))?) round\\b",
     "round $1 $2"},
    {"^((?:slide|move|push|pull|shift|nudge|scoot|bring) .+?),? along (?:the|its|that) wall,? "
     "(?=(?:to the )?(?:left|right)\\b|[0-9])",
     "$1 "},
    {"^((?:slide|move|push|pull|shift|nudge|scoot|bring) .+? (?:left|right)(?: [0-9][^,]*?| a "
     "(?:bit|"
     "little|foot))?),? along (?:the|its|that) wall$",
     "$1"},
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
    {"\\b(?:up )?against the (?:back|rear) of\\b", "behind"},
    {"^(.*\\b(?:throw|blanket|quilt|shawl)\\b.*?),? (?:draped |folded |laid |thrown |hung "
     ")?(?:over|"
     "across|on|along) (?:the |one |an |its )?(?:arm|back|end|foot|corner|seat)s? of ",
     "$1 on "},
    {"^((?:put |place |add |stand |lean |prop )?(?:an? |the )?(?:(?:big|large|tall|huge|oversized|"
     "long) )?)(?:leaning|leaned|propped|leaner) mirror\\b(.*)$",
     "$1full-length mirror$2, leaned on floor"},
    {"^(?:lean|prop|stand) (an? .*\\b(?:mirror|picture|painting|art)) ((?:by|near|next "
     "to|beside|in) .*)$",
     "$1 $2, leaned on floor"},
    {"^(.*?),? (?:leaning|leaned|propped(?: up)?) ((?:by|near|next to|beside|in) .*)$",
     "$1 $2, leaned on floor"},
    {"^((?:put |place |add |hang |mount )?)(?:an? |the )?(?:mantel|mantle|overmantel|over-mantel|"
     "chimney) (mirror|picture|painting)\\b(.*)$",
     "$1$2$3 over the fireplace"},
    {"\\b(?:a )?(?:couple|pair)(?: of)? (inches|inch|in|feet|ft|centimet(?:er|re)s?|cms?)\\b",
     "2 $1"},
    {"\\b(?:a )?few (inches|inch|in|feet|ft|centimet(?:er|re)s?|cms?)\\b", "3 $1"},
    {"\\bbook ?shel(f|ves) (above|over|on (?:the |a )?wall)\\b", "shel$1 $2"},
    {"\\b(?:rug|carpet) runner\\b", "runner"},
    {"\\bspot ?lamps?\\b", "spotlight"},
    {"\\b(two|three|four|five|six|eight|[2-9]) spots\\b", "$1 spotlights"},
    {"^((?:put |place |add |stand |have )?(?:an? )?)screen (between|behind|in front of|beside|next "
     "to) ",
     "$1folding screen $2 "},
    {"\\balong (?=[0-9])", ""},
    {"^((?:hang |put |add )?(?:curtains|drapes)) (?:on|at|for|over|in) (.*?window.*?),? (?:down "
     ")?to "
     "the (?:window ?)?sill$",
     "$1 to the sill on $2"},
    {"\\b(?:piece|work) of (?:wall )?art(?:work)?\\b", "picture"},
    {"\\b([0-9]\\S*(?: ?(?:cm|mm|m|in|inch|inches))?) (?:drop|in drop|of drop)\\b", "$1 long"},
    {"\\breading (?:light|lamp)(s?) (?=(?:on |at |to )?(?:each|either|both) sides? of)",
     "sconce$1 "},
    {"\\b(?:next to|beside) (?:each other|one another)\\b", "side by side"},
    {"^(.*\\b(?:rug|carpet)\\b.*?) under (.+?),? (?:with )?(two thirds|half|a third|one third) "
     "(?:of "
     "it|under it)$",
     "$1 under the lower $3 of $2"},
    {"^((?:put |place |add |build )?[a-z -]+?) across (?:the )?(wall [a-z])$",
     "$1 along the whole of $2"},
    {"\\bexten(?:dable|ding|sion) (?:dining )?table ([0-9][^ ]*(?: ?(?:cm|in|m|mm))?)(?: wide| "
     "long)?(?: "
     "to |-| ?/ ?| up to | opening to | extending to |, extends to )[0-9][^ ,]*(?: "
     "?(?:cm|in|m|mm))?",
     "dining table $1 wide called Extending table"},
    {"(\\b(?:lamps?|lights?|clocks?|vases?|books)) for (the |each |both |either )", "$1 on $2"},
    {"\\b([0-9]\\S*(?: ?(?:cm|mm|m|in|inch|inches|ft|feet))? (?:high|tall)) cabinet\\b",
     "$1 tall cabinet"},
    {"\\b([0-9]\\S*(?:[ -]?(?:cm|mm|m|in|inch|inches|ft|feet|wide|deep|long))*) cabinet\\b",
     "$1 low cabinet"},
    {"\\bunder all (?:of )?(?:the )?(?:furniture|seats|seating|pieces)\\b", "under the seats"},
    {"\\blow book ?(?:shelf|case|shelves)\\b", "low bookcase"},
    {"\\b(?:kids?'?s?|child(?:ren)?'?s?|toddler) (chair|table|bed)", "child's $1"},
    {"^((?:hang |put |add )?(?:[a-z]+ )?(?:curtains|drapes)) (?:up )?to the ceiling$",
     "$1 from the ceiling to the floor"},
    {"^(.*\\b(?:runner|rug|carpet)\\b.*?),? (?:down|along|through|up) the (?:hall|hallway|corridor|"
     "passage)$",
     "$1 centred on room"},
    {"\\balong the (?:back|rear) of\\b", "behind"},
    {"\\bat each side of\\b", "either side of"},
    {"\\b((?:rug|carpet)) in the (?:sitting|seating|conversation|living|lounge) "
     "(?:area|group|corner)\\b",
     "$1 under the seats"},
    {"\\b(low )?shel(?:f|ving|ves) unit\\b", "$1bookcase"},
    {"\\b(instead of|in place of|replace|swap|exchange) the ([a-z-]+) and ([a-z-]+s)\\b",
     "$1 the $2 and the $3"},
    {"\\bon both (?:of the )?sides of\\b", "either side of"},
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
    {"\\b(?:under|underneath|beneath) (?:it all|them all|all of (?:it|them)|everything|the lot|"
     "(?:the )?whole (?:group|thing|lot|arrangement|seating group))(?=$|[,.;])",
     "under the seats"},
    // "three 16x20s", "two 24 x 36's"
    {"\\b((?:one|two|three|four|five|six|eight|nine|[2-9]|an?|some|the) )([0-9]+ ?x "
     "?[0-9]+)(?:'?s)\\b",
     "$1$2 pictures"},
    {"\\bnumber (?=[0-9])", ""},
    {"\\btucked under\\b", "under"},
    {"\\b(?:up|down) (?=(?:the )?wall [a-z]\\b)", "on "},
    {"^(call|name|rename|remove|delete|take "
     "out|colour|color|paint|make|turn|rotate|lock|copy|swap|raise|"
     "lower) the ([a-z]+) on the (left|right)\\b(?! (?:of|side|hand|wall|end|corner)\\b)",
     "$1 the $3 $2"},
    {"\\bon the hearth\\b", "in front of the fireplace"},
    {"\\bemptiest corner\\b", "corner"},
    {"\\bsocket(s?)\\b", "outlet$1"},
    {"\\b(?:in|inside|within) the (?:recess|reveal)\\b", "on the window"},
    {",? with (?:its|their|the) (cent(?:re|er)|top|bottom|foot)s? at\\b", ", $1 at"},
    {"\\b(?:computer )?screen on (?=(?:the |my )?(?:[a-z]+ )?desk\\b)", "monitor on "},
    {"\\b(door|window) (?:frames?|casings?|trim|jambs?|architraves?)\\b(?! ?[0-9])", "$1"},
    {"\\bwith (?=(?:chair|stool|lamp|bench|ottoman)$)", "with a "},
    {"\\b(bed) ?head (?=(?:under|against|on|at|to|by|between|toward)\\b)", "$1 "},
    {"\\bthe hearth\\b", "the fireplace"},
    {"\\b(is|are) (?:really|actually|in fact|only) (?=[0-9])", "$1 "},
    {",? (?:actually|really|in fact|i think|i guess|i suppose|after all|if possible|if it fits|"
     "somehow)$",
     ""},
    {"^((?:space|move|lower|raise|hang|turn|push|pull|put|make|slide|shift|remove|swap|align|line|"
     "cent(?:re|er)|group|spread|nudge|straighten|rotate|copy|lift|drop|bring|take) "
     ")(?:those|these)"
     "(?= [0-9]|$| "
     "(?:up|down|in|on|to|so|left|right|at|by|a|apart|together|closer|away|against|over|"
     "above|under|over|out|evenly|into)\\b)",
     "$1them"},
    {"\\b(above|over|behind|beside|in front of) (?:the |its )?headboard\\b", "$1 the bed"},
    {"\\bon (?:the )?(?:(?:back|rear|front|far|near)[- ]?(left|right)|(left|right)[- ](?:back|rear|"
     "front|far|near)) (?:corner|end) of\\b",
     "on the $1$2 end of"},
    {"^(?:it's|it is|they're|they are|that's|that is|this is|(?:the |my )?[a-z ]+? (?:is|are)) "
     "(?:a bit |"
     "still |way |much )?too [a-z]+(?:,|;|\\.|,? so|,? and) (?:please |can you )?(?=[a-z]+ )",
     ""},
    {"\\bin the corner of (?:wall )?([a-z]) and (?:wall )?([a-z])\\b", "in corner $1$2"},
    {",? as an? (?:room )?(?:divider|separator|partition|screen|focal point|feature|statement|"
     "accent|backdrop|anchor)(?=$|[,.;]| "
     "(?:at|between|behind|on|in|by|beside|next|across|near|along|against)\\b)",
     ""},
    {"\\b(?:the (?:whole )?lot|all of those|the whole (?:group|bunch|set|row))\\b(?! of)", "them"},
    {"\\bon the (left|right)(?:[- ]hand)? (?:corner|edge) of\\b", "on the $1 end of"},
    {"\\bunder (?=the (?:slope|eaves|slop(?:ing|ed) (?:ceiling|roof|wall))\\b)", "against "},
    {"\\bslop(?:ing|ed) roof\\b", "slope"},
    {"\\b(bed)\\b,? (?:with )?(?:its |the )?head(?:board|end)? "
     "(on|against|at|to|under|below|between|"
     "in|toward|towards) ",
     "$1 $2 "},
    {"^((?:put |place |add |hang |set )?(?:two|three|four|five|six|[2-9])) more (?!(?:dining "
     ")?(?:chairs|people|seats))(?=[a-z -]+s\\b)",
     "$1 "},
    {"\\b(?:partly|partially|part way|partway) under\\b", "under"},
    {"^stack (?!(?:an?|one|two|three|four|five|six|[0-9]) )(.+?)(?: in a column| vertically| on "
     "top of each other| one (?:above|over) the other| up)?$",
     "arrange $1 in a column"},
    {"\\b(?:out|away) ([0-9].*?) from both (?:the )?walls\\b", "$1 out of the corner"},
    {",? then$", ""},
    {"^((?:put |place |add |hang )?)(?:an? )?gallery(?: wall)? (?:of )?((?:on|over|above) .+?),? "
     "(?:of "
     "|with |made of )?((?:two|three|four|five|six|seven|eight|nine|ten|twelve|[0-9]+) .+)$",
     "gallery of $3 $2"},
    {"\\bthe whole (?=(?:gallery|group|bookcase|sofa|table)\\b)", "the "},
    {"([0-9]) ?(?:euros?|eur|dollars?|usd|bucks|pounds sterling|gbp|quid)\\b", "$1"},
    {"\\bfrom (?:the )?ceiling to (?:the )?floor\\b", "ceiling to floor"},
    {"\\b([a-z]{3,}) of (?=[0-9.,]+ ?(?:cm|m|mm|in|inches|ft|feet)? (?:fit|go|stand)\\b)", "$1 "},
    {"\\bfold down (?=[a-z]+ )", "fold-down "},
    {"\\bplug in (?=[a-z]+ )", "plug-in "},
    {"\\bon the wall (?=(?:between|above|over|beside|next to|left of|right of) )", ""},
    {"^(?:there(?:'s| is) )?(?:not enough|no) (?:room|space)(?: there| here| for it| for "
     "that)?[,.;]? (?:so |"
     "then )?(?=put|move|try)",
     ""},
    {"\\bat the end of each\\b", "beside each"},
    {"^all (?=(?:cent(?:red|ered)|cent(?:re|er)|at|level)\\b)", "them "},
    {"^((?:raise|lower|drop|lift|bring|hang|move) .+? to [0-9][^,]*?) (?:off|above|from|over) the "
     "floor$",
     "$1"},
    {"^(swap|switch|change|trade) out (?=.+ (?:for|with|by|to) )", "$1 "},
    {"\\btwins$", "twin beds"},
    {"^(print|export|save) the [a-z]+ (plan|list|sheets|elevations)$", "$1 the $2"},
    {"^(?:what|how) about (an? .+?)\\?*$", "$1"},
    {"^(chair|stool|lamp|bench) (for|at) (?=(?:it|the .+|my .+)$)", "a $1 $2 "},
    {"\\b(how much) (?:walking|free|clear|open|floor|empty|elbow|leg) (space|room)\\b", "$1 $2"},
    {"\\b(on|against|along|in|of) ([b-z])(?=$|[,?])", "$1 wall $2"},
    {"^((?:hang )(?:an? |the |some )?)lanterns?\\b", "$1pendant"},
    {",? (?:with )?(?:just |only )(?:the |its )?front (?:legs|feet)(?: on(?: it)?)?$",
     ", front legs on"},
    {",? (?:with )?(?:the |its )?front (?:legs|feet) only(?: on(?: it)?)?$", ", front legs on"},
    {"^(.+ (?:by|beside|next to|at|near) [^,]+), (left|right)$", "$1, on the $2"},
};

} // namespace

std::string inFigures(std::string line) {
    static const std::regex words(
        "\\b(one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen)"
        "(?: (?=(?:inches|inch|feet|foot|yards?|centimet(?:er|re)s?|cms?|met(?:er|re)s?)\\b)| by "
        "(three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen)\\b)",
        std::regex::icase | std::regex::optimize);
    static constexpr std::string_view names[] = {
        "zero",  "one",  "two", "three",  "four",   "five",     "six",     "seven",
        "eight", "nine", "ten", "eleven", "twelve", "thirteen", "fourteen"};
    const auto figure = [](const std::string& word) {
        const auto at = std::find(std::begin(names), std::end(names), foldCase(word));
        return std::to_string(at - std::begin(names));
    };
    std::string out;
    auto rest = line.cbegin();
    for (std::smatch found; std::regex_search(rest, line.cend(), found, words);
         rest = found.suffix().first)
        out += found.prefix().str() + figure(found[1].str()) +
               (found[2].matched ? " x " + figure(found[2].str()) : std::string(" "));
    return out + std::string(rest, line.cend());
}

std::span<const OtherWords> otherWithin() {
    return withinInstead;
}

} // namespace mezzet
