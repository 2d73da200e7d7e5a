// Questions in other words than the line's own: what a plain word for them is asked as.
#include "speech/other_words_table.h"

namespace mezzet {

namespace {

constexpr OtherWords asked[] = {
    {"how high should ((?:the |my )?[a-z ]+?) (?:over|above) ((?:the |my )?[a-z ]+?) (?:hang|be|go|"
     "sit)\\??",
     "how high should $1 hang over $2?"},
    {"how high should (?:the |my )?([a-z ]+?) (?:over|above) ((?:the |my )?[a-z ]+?) (?:hang|be|go|"
     "sit)\\??",
     "how high should $1 hang over $2?"},
    {"(?:which|what) walls? (?:has|have) (?:the )?(windows?|doors?|outlets?|radiators?)\\??",
     "how many $1 are there?"},
    {"how (?:high|low) (?:do|does|did) (.+?) hang\\??", "how high is $1?"},
    {"(?:does|do|will|is|are) ((?:the |my )?(?:[a-z]+ )?rug) (?:stick|come|reach|go|extend)(?: "
     "out)? "
     "(?:far )?enough\\??",
     "what is wrong with $1?"},
    {"what (?:did|have|do) (?:i|we) (?:forget|forgotten|miss|missed|overlook|overlooked)\\??",
     "what is wrong?"},
    {"(?:can|could) (?:you|i|we|one|someone) (?:still )?(?:fully )?open (?:the |both (?:of "
     ")?(?:the )?"
     ")?((?:[a-z]+ )?(?:closet|door|window|cupboard)(?: doors?)?(?: [0-9])?)(?: fully| all the "
     "way)?"
     "\\??",
     "does the $1 open?"},
    {"(?:what|which) (?:width|size|length|height)(?: of)? ((?:an? )?[a-z ]+?) (?:for|over|above) "
     "(.+?)\\??",
     "how big a $1 over $2?"},
    {"how many (?:people |guests )?(?:can|could|will|does|do) ((?:the |my )?[a-z ]*table) "
     "(?:seat|sit|take|hold)\\??",
     "how many people can sit at $1?"},
    {"is ((?:the |my )?(?:tv|television|screen)) too (?:far|close|near)(?: away)?\\??",
     "can $1 be seen?"},
    {"(?:can|could) (?:you|i|we|one|someone) (?:still )?(?:fully )?(?:open|pull out|use|get into) "
     "(.+?)(?:'s)? (?:doors?|drawers?)(?: fully| all the way)?\\??",
     "what is wrong with $1?"},
    {"(?:will|would|does|can|could) (?:an? |the )?(super king|king|queen|double|twin|single|full|"
     "california king)(?: size)? (fit|go|work)\\b(.*)",
     "will a $1 bed fit$3"},
    {"(?:is|are) (?:it|things|anything|the room) (?:too )?(?:tight|crowded|cramped|close)"
     "(?: anywhere| somewhere| in here| here)?\\??",
     "what is wrong?"},
    {"(?:where|what) is (?:it )?(?:too )?(?:tight|crowded|cramped)\\??", "what is wrong?"},
    {"what (?:does|do|would) (?:the|this|my) (?:room|plan|scheme|layout) (?:still |also )?(?:need|"
     "lack|miss|want)\\??",
     "what is wrong?"},
    {"(?:tell me (?:more )?about|describe) ((?:the |my )?[a-z0-9 ]+?)\\??", "where is $1?"},
    {"(how high is .+?) (?:off|from|above) the (?:floor|ground)\\??", "$1?"},
    {"(?:can|will|does|do) (.+?) (?:still )?(?:open|close|swing|shut)(?: fully| all the way| "
     "properly)?\\??",
     "what is wrong with $1?"},
    {"where(?:'s| is| would be) (?:the best|a good|the right|the) (?:place|spot|position) "
     "(?:for|to "
     "put|to hang) (.+?)\\??",
     "is there space for $1?"},
    {"where (?:can|could|should|would|will|does|might) (?:the|my) (.+?) (?:go|fit|stand|be "
     "put)\\??",
     "does the $1 fit?"},
    {"how (?:far|high|much) above (.+?) (?:is|does|do) (.+?)(?: hang| sit)?\\??",
     "how far is $2 from $1?"},
    {"why (?:does|do|is|are|did) (.+?) (?:go|going|stand|standing|hang|hanging|reach|stick|"
     "sticking|block|blocking|touch|touching|overlap|overlapping)\\b.*",
     "what is wrong with $1?"},
    {"where (?:can|could|should|would|do) (?:i|we|you|one) (?:put|place|stand|fit|have) (.+?)\\??",
     "is there space for $1?"},
    {"where (?:would|could|does|will|might) (an? .+?) (?:go|fit|stand)\\??",
     "is there space for $1?"},
    {"(?:is|are) (.+?) (?:too (?:big|small|large|high|low|tall|wide|long|short|narrow|deep|near|"
     "close|far(?: away)?)|all right|alright|ok|okay|right|fine)(?: for (?:the|this|my) room)?\\??",
     "what is wrong with $1?"},
    {"how much (?:room|space) is (?:there )?between (.+?) and (.+?)\\??", "how far is $1 from $2?"},
    {"what(?:'s| is) the (?:gap|space|distance) from (.+?) to (.+?)\\??", "how far is $1 from $2?"},
    {"how (?:wide|big|large|narrow) is the "
     "(?:gap|space|way|passage|hall|hallway|room|floor|corridor|"
     "walkway|aisle|path|clearance) between (.+?) and (.+?)\\??",
     "how far is $1 from $2?"},
    {"(?:can|could) (?:you|i|we|one) (?:still )?(?:open|use|reach|get to|get at) (.+?)\\??",
     "what is wrong with $1?"},
    {"how (wide|long) (?:can|could|may|might) (?:the|a|my) (.+?) be\\??", "how $1 should $2 be?"},
    {"how (?:big|wide|large|long) (?:can|could|should|may|must) (?:the|a|my) (.+?) be\\??",
     "how big a $1?"},
    {"how (?:much|big a thing|wide a thing|long a thing) (?:would|will|can|could|does) fit between "
     "(.+?) and (.+?)\\??",
     "how far is $1 from $2?"},
    {"(?:which|what) wall (?:is|are|does) (.+?)(?: on| against| at| hang on| stand on| stand "
     "against)?\\??",
     "where is $1?"},
    {"how (?:high|far|much) is (.+?) (?:above|over|off) (.+?)\\??", "how far is $1 from $2?"},
    {"what(?:'s| is) the (?:ceiling height|height of the (?:ceiling|room))(?: here)?\\??",
     "how high is the room?"},
    {"(?:is|are) (.+?) (?:far enough apart|(?:too|a bit) (?:close|near|far apart)(?: "
     "together)?|close "
     "enough(?: together)?)\\??",
     "how far apart are $1?"},
    {"how high is the (?:top|bottom|foot|cent(?:re|er)|middle|underside|lower edge) of (.+?)\\??",
     "how high is $1?"},
    {"(?:is|are) (?:anything|something|things|any of (?:it|them)) (?:too |wrong|not right|to "
     "mend|off)"
     ".*",
     "what is wrong?"},
    {"(?:which|what)(?: things| pieces| ones)? (?:is|are) too .+", "what is wrong?"},
    {"where does (?:the )?(door(?: [0-9])?) (?:hit|swing|open|bump|catch).*", "does $1 open?"},
    {"(what height should .+?) (?:be|hang|go|sit)(?: at)?\\??", "$1?"},
    {"how (?:many|much) (?:inches|feet|foot|centimet(?:er|re)s|cm|millimet(?:er|re)s|mm|met(?:er|"
     "re)s) (?:is it |are there |is there )?(?:from|between) (.+?) (?:to|and) (.+?)\\??",
     "how far is $1 from $2?"},
    {"(?:what (?:can|do|could|should) (?:i|one|we|you) (?:say|type|do|ask|write)(?: here| now)?|"
     "help(?: me)?|how does this work|what now)\\??",
     "what can be said?"},
    {"(?:can|could) (?:a person|someone|somebody|one|people|you|i|we) (?:walk|get|pass|go|squeeze|"
     "fit) (?:through )?between (.+?) and the wall\\??",
     "how much room is around $1?"},
    {"how (?:long|wide|big|much) is the (?:free|empty|clear|bare|unused|open) (?:part|stretch|bit|"
     "section|piece|space)?(?: ?of| on)? ?(?:the )?(wall .+?)\\??",
     "how much wall is free on $1?"},
    {"what size (?:of )?(.+?) (?:do (?:i|we) need|should (?:i|we) (?:get|buy|have|use)|would "
     "(?:fit|"
     "suit|work|do)|is right|is best)(.*?)\\??",
     "how big a $1?"},
    {"what(?:'s| is) the (?:biggest|largest|right|best) (?:rug|carpet) .*", "how big a rug?"},
    {"how high (?:above|over) (.+?) should (.+?) (?:be|hang|go)\\??",
     "how high should $2 hang above $1?"},
    {"how (?:far|close) (?:away )?from (.+?) (?:is|are) (.+?)\\??", "how far is $2 from $1?"},
    {"(?:which|what) (?:wall|corner|spot|place) (?:is (?:the )?best|works best|would be "
     "best|should (?:i|"
     "we) use|would (?:you|i) use|is right)(?: to (?:put|place))? (?:for )?(?:the|my|our) "
     "(.+?)\\??",
     "does the $1 fit?"},
    {"(?:does|do) (?:the|any) (?:door|window|leaf|door leave)s? (?:hit|touch|meet|clear|"
     "(?:open|swing) into) (?:any|some|each other|one another|furniture|the furniture|the other).*",
     "what is wrong?"},
    {"(?:can|could) (?:we|i|you) (?:seat|sit|fit|get|squeeze)(?: in)? ([a-z]+|[0-9]+)(?: people| "
     "guests| diners)?(?: (?:round|around|at|to) (?:it|this|the table|the dining table))?\\??",
     "is there room for $1?"},
    {"(?:can|could|might) (an? .+?) (?:still |ever )?(?:fit|go|work|stand)(?: in)?(?: here| in "
     "here| in this room| in the room| there)?\\??",
     "will $1 fit?"},
    {"is the (?:way|path|route|walkway) (?:to|into|through to) (.+?) (?:clear|free|open|wide "
     "enough|"
     "blocked|ok|okay)\\??",
     "is there a way to $1?"},
    {"is there (?:an? )?(?:at least )?[0-9].*? (?:wide )?(?:path|way|walkway|route|passage|aisle) "
     "(to|"
     "from|between) (.+?)\\??",
     "is there a way $1 $2?", true},
    {"(?:do|have) (?:i|we) (?:have |got )?(?:enough |sufficient "
     ")?(?:seating|seats|chairs|places|room) "
     "(?:here )?for ([a-z]+|[0-9]+)(?: people| guests)?\\??",
     "is there room for $1?"},
    {"(?:do|does|will|would) (.+?) (?:reach|touch|hit|go up to|go to|clear) the ceiling\\??",
     "how high are $1?"},
    {"is (?:there enough light|the light(?:ing)? (?:good|bright) enough|it (?:bright|light) "
     "enough)(?: "
     "here| in here)?(?: (?:for|to) .+)?\\??",
     "how bright is it in here?"},
    {"(?:is|are) (.+?) (?:safe|ok|okay|fine|alright|all right|good|right|well placed|in a good "
     "place|in "
     "the right place)(?: (?:there|here|where it is|where they are|like that))\\??",
     "what is wrong with $1?"},
    {"(?:which|what) (?:rug|carpet) (?:size )?(?:is (?:the )?(?:best|right)|should (?:i|we) "
     "(?:get|buy|"
     "choose|use)|works best|do (?:i|we) need)\\??",
     "how big a rug?"},
    {"(?:can|could|may|should) (?:i|we|you) (?:still )?(?:hang|put|place|have|stand|fit|mount|use) "
     "((?:an? |the |my ).+?) ((?:above|over|on|under|in|by|next to|beside|between|against|along|"
     "behind|opposite|in front of) .+?)\\??",
     "would $1 fit $2?"},
    {"(?:what|how much) (?:is|of) (?:the |there )?(?:free|empty|bare|open) "
     "(?:wall|space|part|stretch)(?: "
     "is there| left)? (?:on|of|along) (wall [a-z]|.+ wall)\\??",
     "how much wall is free on $1?"},
    {"(?:can|could|will|would) (?:two people|people|someone|somebody|anyone|anybody|one|i|we|you|"
     "guests|a person|everyone) (?:still |easily |just |comfortably )?(?:walk|get|pass|squeeze|go|"
     "move|come) (behind|in front of|between) (.+?)\\??",
     "is there room to walk $1 $2?"},
    {"(?:can|could) (?:two|2|several) people (?:pass|get by|walk past|walk by)(?: each other)?(?: "
     "(?:here|in "
     "here|in the hall(?:way)?))?\\??",
     "how wide is the walkway?"},
    {"(?:is|are) (?:the )?(?:hall|hallway|corridor|passage|room|walkway|way|aisle|path) wide "
     "enough(?: .*)?\\??",
     "how wide is the walkway?"},
    {"how (big|wide|long|large) (?:can|could|may) (?:the |my |our )(.+?) be "
     "(?:on|against|along|at) "
     "(?:the )?wall [a-z]\\??",
     "how $1 should the $2 be?"},
    {"how (?:large|big|wide) should (?:the |an? )?(?:art|artwork|picture|painting|print|mirror) be "
     "(?:over|"
     "above) (.+?)\\??",
     "what size art over $1?"},
    {"(?:what|which) size (?:of )?(?:table )?lamps? (?:do i need |should i get |goes |fits "
     ")?(?:for|on) "
     "(?:the |a |my )?(?:console|nightstand|bedside table|sideboard|side table|end "
     "table|dresser|desk)s?"
     "\\??",
     "how big is a table lamp?"},
    {"what (?:should|could|can|would|might) (?:i |we )?(?:hang|go|be hung|put|look good)(?: up)? "
     "(?:over|above) (.+?)\\??",
     "what size art over $1?"},
    {"what (?:kind of |sort of )?(?:art|picture|painting|pictures)(?: goes| should go| would go| "
     "fits| "
     "works)? (?:over|above) (.+?)\\??",
     "what size art over $1?"},
    {"(?:can|could) (?:i|we|you|people|guests) (?:still )?(?:pull|draw|slide|push) (?:out )?(.+?) "
     "(?:out|back)\\??",
     "how much room is behind $1?"},
    {"(?:can|could) (.+?) (?:still )?be (?:pulled|drawn|slid|pushed) (?:out|back)\\??",
     "how much room is behind $1?"},
    {"how many (?:people |guests |of us )?(?:can|could|will) (?:eat|dine|have dinner) "
     "(?:at|around|round) (?:the "
     "|my )?table\\??",
     "how many people can sit at the dining table?"},
    {"(?:can|could) (?:you|i|we|one|someone|people|they) (?:still |easily )?reach (.+?) from "
     "(.+?)\\??",
     "how far is $1 from $2?"},
    {"how (?:much|far) (?:does|do|will|would) (.+?) (?:stick out|project|protrude|come out|jut out|"
     "stand out|reach)(?: (?:from the wall|into the room|into the way))?\\??",
     "how deep is $1?"},
    {"(?:is|have) (?:there|we|i) (?:got )?(?:enough |any |much |sufficient )?(?:clearance|space|"
     "room|floor)(?: left)?(?: all)? (?:around|round) (.+?)\\??",
     "how much room is around $1?"},
    {"how much (?:clearance|space|room|floor) (?:do (?:i|we) have|is there|have i|is left|is)? "
     "?(?:all )?(?:around|round) (.+?)\\??",
     "how much room is around $1?"},
    {"(.+?) when (?:people are seated|people sit|everyone is seated|somebody sits there|in use)"
     "\\??",
     "$1?"},
    {"(?:can|will|does|do) (.+?)(?:'s)? (?:doors?|drawers?|leaf) (?:still )?(?:open|close|swing|"
     "shut)(?: fully| all the way| properly)?\\??",
     "what is wrong with $1?"},
    {"how far does (.+?) (?:stick|come|reach|stand|jut|project) out\\b.*", "how deep is $1?"},
    {"(?:does|is|will|would) (?:anything|something|any of it|any of this) (?:block|blocking|in the "
     "way|obstruct|obstructing|too close|wrong).*",
     "what is wrong?"},
    {"(?:is|are) (.+?) in the way(?: of .+?)?\\??", "what is wrong with $1?"},
    {"(?:a )?(?:rug|carpet) (?:big|large|wide) enough (?!.*table).*", "how big a rug?"},
    {"how (?:wide|big|long|large) (?:can|could|should|may) (?:an? |the )?.+? (?:to the )?(left|"
     "right) of (.+?) be\\??",
     "how much wall is $1 of $2?"},
    {"how (?:wide|long|big|large) is the (?:wall|space|gap|room|stretch)(?: of wall)? (?:to the "
     ")?(left|right) of (.+?)\\??",
     "how much wall is $1 of $2?"},
    {"is there (?:enough |still )?(?:space|room) to (?:open|use|reach|get to|get at|get into) "
     "(.+?)\\??",
     "what is wrong with $1?"},
    {"can (?:a person|someone|somebody|one|people|two people|you|i|we) "
     "(?:walk|get|pass|go|squeeze) "
     "(?:through )?between (.+?) and (.+?)\\??",
     "how far is $1 from $2?"},
    {"is there (?:enough )?(?:space|room) (?:to walk |to pass )?between (.+?) and (.+?)\\??",
     "how far is $1 from $2?"},
    {"is there (?:enough )?(?:space|room) (?:left |free )?(?:to [a-z ]+? |for [a-z ]+? "
     ")?(behind|in "
     "front of|before|beside|next to) (.+?)\\??",
     "how much room is $1 $2?"},
    {"(?:can|could) (?:a person|someone|somebody|one|people|you|i|we) (?:walk|get|pass|go|squeeze|"
     "stand) (behind|in front of|before|beside|past) (.+?)\\??",
     "how much room is $1 $2?"},
    {"how (?:much|wide|big) (?:an? )?(?:room|space|clearance|floor|gap|way)(?: is there| is left| "
     "do "
     "(?:i|we) have| is)? (?:at|past) the (?:foot|end) of (.+?)\\??",
     "how much room is in front of $1?"},
    {"(?:can|could) (?:a person|someone|somebody|one|people|you|i|we) (?:walk|get|pass|go|squeeze) "
     "(?:around|round) (.+?)\\??",
     "how much room is around $1?"},
    {"is (?:the|this|our) (?:room|space) (?:big|large|wide) enough (?:for|to take|to hold) "
     "(.+?)\\??",
     "is there space for $1?"},
    {"(?:is|are) (.+?) (?:big|large|wide|long|deep|tall|high|low|small) enough(?: for .+)?\\??",
     "what is wrong with $1?"},
    {"how (?:far|close|near) should (.+?) (?:be|go|stand|sit|hang)(?: away)? (?:from|to) (.+?)\\??",
     "how far is $1 from $2?"},
    {"how (?:wide|big|much|large) is the "
     "(?:walkway|passage|aisle|gap|space|way|path|room|clearance) "
     "(behind|in front of|before|beside|next to|(?:to the )?left of|(?:to the )?right of|around|"
     "round) (.+?)\\??",
     "how much room is $1 $2?"},
    {"what (?:would |will |can |could |might )?(?:fits?|goes?|stands?) between (.+?) and (.+?)\\??",
     "how far is $1 from $2?"},
    {"(?:can|could) (?:i|we|you|one|people|someone) (?:still )?(?:get|walk|go|come) to "
     "(.+?)\\??",
     "is there a way to $1?"},
    {"(?:can|could) (?:i|we|you|one|people|someone) (?:still )?(?:get|walk|go|come) from (.+?) to "
     "(.+?)\\??",
     "is there a way from $1 to $2?"},
    {"how much (?:wall|space|room|length)(?: is(?: there)?| do (?:i|we) have| have (?:i|we) "
     "got)?(?: "
     "still)? (?:left|free|available|there|over|unused) (?:on|along|at) (?:the )?(wall .+?)\\??",
     "how much wall is free on $1?"},
    {"what(?:'s| is| would be) (?:the best|a good|the right|the) (?:place|spot|position|wall) "
     "(?:for|"
     "to put|to hang) (.+?)\\??",
     "is there space for $1?"},
    {"(?:do|does|can|will) (?:the |all the )?(?:drawers?|doors?) (?:of|in|on) (.+?) (?:still "
     ")?(?:open|"
     "close|pull out)(?: fully| all the way| properly)?\\??",
     "what is wrong with $1?"},
    {"is (?:it|the room|there) (?:bright|light|enough light|light enough)(?: enough)?(?: in here| "
     "here)?"
     "(?: to .+| for .+)?\\??",
     "how bright is it in here?"},
    {"is there (?:still |at least |about )?[0-9].*? between (.+?) and (.+?)\\??",
     "how far is $1 from $2?"},
    {"(?:which|what) wall (?:is|would be) (?:the )?best for (.+?)\\??", "is there space for $1?"},
    {"(?:can|could|will|does|would) (?:it|the (?:dining |kitchen |supper )?table|this|that|they) "
     "(?:seat|sit|take|hold|do) ([0-9]+|[a-z]+)(?: people| guests)?\\??",
     "is there room for $1?"},
    {"(?:will|would|can|could|do) ([0-9]+|two|four|six|eight|ten|twelve) (?:people|guests|of us|"
     "chairs)?(?: still)? ?(?:fit|sit|go|squeeze|be seated) (?:in )?(?:at|around|round) "
     ".*table\\??",
     "is there room for $1?"},
    {"how (?:big|large|long|wide) (?:of )?an? (.+?) (?:can|could|would|will|may) (?:i|we|you|one) "
     "(?:fit|have|get|put|use)(?: in)?(?: here| there| in here)?\\??",
     "what is the biggest $1 that fits?"},
    {"(?:why|what)(?:'s| is|'re| are) (?:there )?(?:a |the |that |these |those )?(?:warnings?|red "
     "marks?|red|alarm|triangles?|signs?)(?: for| here| about)?\\??",
     "what is wrong?"},
    {"is there (?:enough |still |any )?(?:room|space|clearance) (?:left )?(?:on |at "
     ")?(?:either|both|"
     "each|every|the|all) sides? of (.+?)\\??",
     "how much room is around $1?"},
    {"how far apart are (?:the |both |the two )(window|door)s\\??", "how far is $1 1 from $1 2?"},
    {"what(?:'s| is) (?:under|below|beneath) ((?:the |my )?window(?: [0-9])?)\\??",
     "what is in front of $1?"},
    {"(?:will|would|could|is) there (?:be )?(?:a |any )?(?:glare|reflection|reflections) (?:on|in) "
     "(.+?)\\??",
     "what is wrong with $1?"},
    {"how many (?:people |of us |guests )?(?:can|could) (?:sit|be seated) (?:down|in total|in all|"
     "altogether)\\??",
     "how many people can sit here?"},
    {"(?:can|could|will) (?:a person|someone|somebody|one|people|you|i|we|they) (?:still "
     ")?(?:walk|get|pass|go|squeeze|move) (?:around )?by (.+?)\\??",
     "how much room is around $1?"},
    {"what size (?:of )?(.+?) (?:can|could|should|would|will) (?:i|we|you|one) (?:have|get|fit|use|"
     "buy|go for|put)(?: here| in here| there)?\\??",
     "how big a $1?"},
    {"how many (?:chairs|stools|people|seats|place settings|guests) (?:can|could|would|will) "
     "(?:i|we|you|one) (?:get|fit|put|squeeze|have|seat|sit) (?:in )?(?:at|around|round|on) "
     "(.+?)\\??",
     "how many people can sit at $1?"},
    {"(?:what|which)(?: size)? (rug|carpet)(?: size)? (?:would|will|should|might|could) (?:suit|"
     "work|do|fit|go|be best|look right|i get|we get|i use|we use)(?: here| in here| best)?\\??",
     "how big a $1?"},
    {"what(?:'s| is) up with (.+?)\\??", "what is wrong with $1?"},
    {"what(?:'s| is) up\\??", "what is wrong?"},
    {"what(?:'s| is) (?:still )?(?:to be|to|left to be|left to|missing to be|not yet|yet to be) "
     "(?:measured?|taped?)(?: still| yet| here)?\\??",
     "what is still to measure?"},
    {"what (?:do|should|must) (?:i|we) (?:still )?(?:have to |need to )?(?:measure|tape)"
     "(?: still| next| yet| more)?\\??",
     "what is still to measure?"},
    {"(?:which|what) (?:measurements?|measures|figures) (?:is|are) (?:still )?(?:missing|wanted|"
     "needed|lacking)(?: still| yet)?\\??",
     "what is still to measure?"},
};

} // namespace

std::span<const OtherWords> askedOtherwise() {
    return asked;
}

} // namespace mezzet
