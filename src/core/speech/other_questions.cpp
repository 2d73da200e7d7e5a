// Questions in other words than the line's own, and what is only told.
#include "speech/other_words_table.h"

namespace mezzet {

namespace {

constexpr OtherWords askedInstead[] = {
    {"how (?:wide|big|much) is the (?:gap|space|way|room|passage) (?:past|by|in front of) "
     "(.+?)\\??",
     "how much room is in front of $1?"},
    {"how (?:big|large) (?:of )?a (?:tv|television|screen|telly) (?:can|could|should|do|would) "
     "(?:i|we) "
     "(?:have|get|need|fit|buy)\\??",
     "what size tv should I get?"},
    {"what size (rug|carpet) (?:do (?:i|we) need |should (?:i|we) get )?(?:for|in) (?:the |my "
     ")?(?:living "
     "area|living room|seating area|sitting area|room|seats|lounge)\\??",
     "how big a $1?"},
    {"how many lights (?:for|in|on) (?:the |my |this )?(?:room|hall|hallway|kitchen|bedroom|living "
     "room|lounge|dining room|study|bathroom)\\??",
     "how many lights do I need?"},
    {"(?:how much wall is free|how much free wall (?:is there|do i have))\\??",
     "which wall is free?"},
    {"(?:does|do|is|are|will|would) .+? (?:stand|standing|sit|sitting|go|be|come)? ?in front of "
     "(the "
     "(?:[a-z]+ "
     ")?(?:radiator|window|door|doors|outlet|socket|fireplace|fire|heater|vent|switch)(?: "
     "[0-9])?)\\??",
     "is anything in front of $1?"},
    {"how (?:close|near|far)(?: away)? should ((?:the |a |my )?(?:[a-z]+ )?coffee table) be\\??",
     "how far should $1 be from a sofa?"},
    {"what height (?:for|should) (?:the |my |a )?(?:tv|television|telly|screen)(?: be| hang| "
     "go)?\\??",
     "how high should a wall screen hang?"},
    {"(?:does|do|is|will|would) .+ (?:block|blocking|shut|cut off|in) the way (?:to|into|through "
     "to) "
     "(.+?)\\??",
     "is there a way to $1?"},
    {"is there (?:still )?(?:an? |any )?(?:good )?(?:place|spot|corner|wall) (?:left )?for "
     "(.+?)\\??",
     "is there room for $1?"},
    {"(?:can|could) (.+?) (?:still )?be (?:opened|closed|shut)(?: fully)?\\??", "does $1 open?"},
    {"how high (?:should|do|must) (?:i |we )?(?:hang )?(?:the |a )?(?:lamp|light)s? (?:hang |be "
     "|go )?"
     "(?:over|above) (?:the |my )?((?:[a-z]+ )?table|island|counter|desk)(?: hang| be)?\\??",
     "how high should a pendant hang over the $1?"},
    {"how many lamps (?:do|would|should) (?:i|we) (?:need|want|have)(?: here| in here)?\\??",
     "how many lights do I need?"},
    {"how much free wall (?:is|is there|do i have) on (.+?)\\??", "how much wall is free on $1?"},
    {"(?:can|could|will) (?:i|we|you|one) (?:roll|slide|push|move|scoot|pull) (?:back "
     ")?(?:the|my|this) "
     "(?:desk |office |dining )?chair(?: back| out| away)?\\??",
     "how much room is behind the chair?"},
    {"what(?:'s| is) (?:a|the) (?:good|right|usual|normal|standard|best|typical) "
     "(height|width|depth|"
     "size|length) (?:for|of) (an? .+?)\\??",
     "what $1 should $2 be?"},
    {"what height should (an? .+?) be\\??", "how high should $1 be?"},
    {"what (width|depth|length|size) should (an? .+?) be\\??", "what is the right $1 for $2?"},
    {"(?:can|could|will|would) (an? .*(?:sofa ?bed|sleeper|futon|murphy bed|recliner).*?) "
     "(?:open|fold "
     "out|pull out|recline)(?: (?:out|fully|all the way))?(?: (?:here|in here|in this room))?\\??",
     "would $1 fit?"},
    {"where else (?:can|could|would|should|might) (?:i put |we put )?(?:the|my) (.+?)(?: (?:go|fit|"
     "stand|be))?\\??",
     "which wall is best for the $1?"},
    {"which wall (?:should|does|would|could|can|do i put|should i put) (?:the|my) (.+?)(?: "
     "(?:go|be|"
     "stand|fit))?(?: on| against| at)?\\??",
     "which wall is best for the $1?"},
    {"what(?:'s| is) (?:behind|in back of) (?:the |my )?(.+?)\\??", "how much room is behind $1?"},
    {"what(?:'s| is| goes| stands| hangs) (?:opposite|across from|facing) (?:the |my )?(.+?)\\??",
     "what is in front of $1?"},
    {"(?:is|are) there (?:at least |about |still )?[0-9].*? (?:on )?(?:each|either|both) sides? of "
     "(.+?)\\??",
     "how much room is around $1?"},
    {"how (?:big|large|wide|long) (?:should|must|ought) (?:the|a|my) (?:rug|carpet) be "
     "(?:under|for|"
     "beneath) (?:the |my )?(.+?)\\??",
     "how big a rug for $1?"},
    {"how (?:close|near) (?:can|could|may|should|must) (.+?) (?:be|go|come|get|stand|sit)(?: to)? "
     "(.+?)\\??",
     "how far should $1 be from $2?"},
    {"(?:would|will|is|are) (an? .+?) (?:be )?too (?:big|large|long|wide|deep|tall|high)(?: "
     "(?:for|in|here|there).*)?\\??",
     "would $1 fit?"},
    {"(?:what|which) lights? (?:do|would|should) (?:i|we) (?:need|want|have|use)(?: here| in "
     "here)?\\??",
     "how many lights do I need?"},
    {"(?:is there|have (?:i|we)|do (?:i|we) have) (?:enough )?(?:room|space) for (?:a )?(?:bigger|"
     "larger|longer|wider) (?:dining |kitchen )?table(?: here| in here)?\\??",
     "what table fits?"},
    {"what(?:'s| is) the (?:biggest|largest|longest) (?:dining |kitchen )?table (?:that )?(?:can |"
     "will |would )?fits?(?: (?:by|at|near|in front of|under|beside) .+)?\\??",
     "what table fits?"},
    {"(?:can|could|will|would) (?:i|we|you|one) (?:get|fit|have|squeeze in|seat) (?:an? "
     ")?(?:dining "
     ")?table (?:for|that seats|to seat) ([0-9]+|[a-z]+)(?: people| in)?(?: here| in here)?\\??",
     "what table fits?"},
    {"(?:is|are|will|would) (?:an? |the |my )?[0-9][^ ]* ?(?:x|by) ?[0-9][^ ]* (?:[a-z]+ )?(?:rug|"
     "carpet) (?:big|large|wide|right|small|too big|too small|ok|okay)(?: enough)?(?: (?:for|to) "
     ".*|"
     " here| in here)?\\??",
     "how big a rug?"},
    {"how (wide|big|large|long|deep) (an? [a-z][a-z ]*)\\??", "how $1 should $2 be?"},
    {"how (?:do|does|would|can|will) (?:people|guests|everyone|one|anyone|i|we|you) (?:get|go|walk|"
     "come) (?:in)?to (.+?)\\??",
     "is there a way to $1?"},
    {"(?:(?:which|what)(?: .+?)? (?:is|are)|what's) (?:in the way of|blocking|obstructing|standing "
     "in front of) (?!.*\\bdoors?\\b)(.+?)\\??",
     "is anything in the way of $1?"},
    {"(?:(?:which|what)(?: .+?)? (?:is|are)|what's) too (?:close|near) to (.+?)\\??",
     "what is near $1?"},
    {"how high (?:should|must|do|does|would) (?:i hang |we hang |i mount |i put )?(?:the |my |a "
     ")?(?:tv|television|telly|screen)(?: be| go| sit| hang| be hung| be mounted| mount)?\\??",
     "how high should a wall screen hang?"},
    {"what else (?:does|do|would|should) (?:the|this|my) (?:room|plan|scheme|layout) "
     "(?:need|have|want)\\??",
     "what is wrong?"},
    {"how (?:do|can|would|could) (?:i|we|you|one|people|guests) (?:get|walk|go|come) from (.+?) to "
     "(.+?)\\??",
     "is there a way from $1 to $2?"},
    {"(?:what|which) (?:goes|is|hangs|hang|could go|should go)(?: on the wall)? (?:over|above) "
     "(.+?)\\??",
     "what is over $1?"},
    {"(?:is|are) there (?:an? |any )?(?:clear |proper |decent |wide enough )?(?:walkway|path|way|"
     "passage|aisle|route) (behind|around|in front of|beside|past) (.+?)\\??",
     "how much room is $1 $2?"},
    {"how far back (?:is|does|do|are) (.+?)(?: sit| stand| go)?\\??",
     "how much room is behind $1?"},
    {"how (?:far out|far forward|far off the wall) (?:is|does|do|are) (.+?)(?: sit| "
     "stand)?\\??",
     "how far is $1 from the wall?"},
    {"is there (?:at least |about |still )?[0-9].*? (?:left |free )?to "
     "(?:walk|get|pass|go|squeeze)(?: through)? "
     "(?:past|"
     "by|in front of) (.+?)\\??",
     "how much room is in front of $1?"},
    {"is there (?:at least |about |still )?[0-9].*? (?:left |free )?to "
     "(?:walk|get|pass|go|squeeze) "
     "(behind|around) "
     "(.+?)\\??",
     "how much room is $1 $2?"},
    {"(?:how (?:wide|big|large|long) is|what fits in|what could go in|what can go in|what goes in) "
     "the "
     "(left|right)(?:[- ]hand)? alcove\\??",
     "how much wall is $1 of the chimney?"},
    {"how deep (?:is|are) (?:the|an)(?: left| right)? alcoves?\\??", "how deep is the chimney?"},
    {"(?:does|do|is|are) (.+?) "
     "(?:block|blocking|cover|covering|hide|hiding|obstruct|obstructing|in front "
     "of|in the way of|touch|touching) (.+?)\\??",
     "what is wrong with $1?"},
    {"(?:so )?what(?:'s| is)(?: all)? (?:the|my|our) "
     "(?:problem|problems|matter|issue|trouble|fault)"
     "(?: here| then| now)?\\??",
     "what is wrong?"},
    {"(?:so )?what(?:'s| is)(?: all)? (?:the|my|our) "
     "(?:problem|problems|matter|issue|trouble|fault) "
     "with (.+?)\\??",
     "what is wrong with $1?"},
    {"(?:at )?what height (?:is|are|does|do) (.+?)(?: at| hang| hung| sit| hung at)?\\??",
     "how high is $1?"},
    {"what(?:'s| is) (?:still )?(?:left|free|left over|empty|unused)(?: of| on| along)? (?:the )?"
     "(wall .+?)\\??",
     "how much wall is free on $1?"},
    {"(?:which|what)(?: .+?)? (?:is|are|stands?|sits?|hangs?) (?:much |way |far )?too "
     "(?:close|near|"
     "high|low|far|big|large|small|tight)\\b.*",
     "what is wrong?"},
    {"(how much (?:floor|space|room)(?: space)?) (?:is |do (?:i|we) have )?(?:still )?(?:left|free|"
     "there|over|available)(?: (?:to|for) (?:play|playing|dance|dancing|the kids|toys).*)?\\??",
     "how much floor is free?"},
    {"how (?:wide|big|large|long) is the (?:gap|space|way|passage|distance) between (?!.+ and "
     ")(.+?)"
     "\\??",
     "how far apart are $1?"},
    {"what (?:can|could|would|will|might) (?:go|stand|be put|fit|sit)(?: in)? between (.+?) and "
     "(.+?)"
     "\\??",
     "how far is $1 from $2?"},
    {"(?:can|could) (?:you|we|one|people|someone|somebody|a person|anyone|everyone) (?:still )?"
     "(?:walk|get|pass|go|squeeze|fit)(?: through)? between (.+?) and (.+?)\\??",
     "how far is $1 from $2?"},
    {"what (?:fits|would fit|will fit|can fit|could go|can go|goes) (?:to the )?(left|right) of "
     "(.+?)\\??",
     "how much wall is $1 of $2?"},
    {"(?:is|are) [0-9].*? (?:enough|wide enough|ok|okay|all right|sufficient)(?: room| space)? "
     "(?:to|"
     "for) (?:walk|walking|pass|passing|get|getting|a walkway|a passage).*",
     "how wide is the walkway?"},
    {"is (.+?) (?:centred|centered|in the middle|central)\\??", "is $1 centred on the room?"},
    {"is (?:it|this|the room|this room|my room) (?:too "
     "|over)?(?:crowded|full|cramped|cluttered|tight|"
     "busy)\\??",
     "how much floor is free?"},
    {"how (?:full|crowded|cramped|busy) is (?:it|this|the room|this room)\\??",
     "how much floor is free?"},
    {"is there (?:at least |about |still )?[0-9].*? (?:all )?(?:around|round) (.+?)\\??",
     "how much room is around $1?"},
    {"is there (?:at least |about |still )?[0-9].*? (behind|in front of|beside|left of|right of) "
     "(.+?)\\??",
     "how much room is $1 $2?"},
    {"(?:show|tell)(?: me)? what (?:doesn't|does not|won't|can't) (?:fit|work).*",
     "what is wrong?"},
    {"(?:which|what)(?: .+?)? (?:is|are) (?:in the way of|blocking|hitting|too close to) ((?:the "
     ")?(?:[a-z]+ "
     ")?door(?: [0-9])?)\\??",
     "does $1 open?"},
    {"how far (?:does|will) (.*door.*?) (?:swing|open|reach|come into the room)(?: in| out| into "
     "the "
     "room)?\\??",
     "how wide is $1?"},
    {"(?:which|what)(?: .+?)? (?:is|are) (?:in the way of|blocking|too close to|too "
     "near|hitting|against) "
     "(.+?)\\??",
     "what is wrong with $1?"},
    {"(?:can (?:i|you|one|we) )?(?:walk|get|go) from (.+?) to (.+?)\\??",
     "is there a way from $1 to $2?"},
    {"how (?:low|high) (?:should|must|do i hang|does) (it|this|that)(?: hang| be| go)?\\??",
     "how high should $1 hang?"},
    {"(?:a )?(?:rug|carpet) (?:big|large|wide) enough (?:for|to hold|to go under|to fit under) "
     "(.+?)"
     "(?:,? and (?:its |the |all the )?chairs)\\?",
     "how big a rug for $1?"},
    {"(?:show|list|tell|give)(?: me)? (?:all )?(?:the |any |my )?(?:problems?|faults?|mistakes?|"
     "issues?|errors?|warnings?|conflicts?)\\??",
     "what is wrong?"},
    {"(?:are there )?(?:any|what are the|what) (?:problems?|faults?|mistakes?|issues?|errors?|"
     "warnings?|conflicts?)(?: with (?:it|this|the room))?(?: here| left)?\\??",
     "what is wrong?"},
    {"(?:any|are there any|what) (?:problems?|faults?|issues?)(?: are there)? with (.+?)\\??",
     "what is wrong with $1?"},
    {"how (?:do|can|could|should|would) (?:i|we|you|one) (?:fix|mend|solve|correct|sort "
     "out|sort|put "
     "right|improve) (?:it|this|that|them|these|everything|things)(?: out)?\\??",
     "how is it mended?"},
    {"how (?:do|can|could|should|would) (?:i|we|you|one) (?:fix|mend|solve|correct|sort "
     "out|sort|put "
     "right|improve) (.+?)(?: out)?\\??",
     "how is $1 mended?"},
    {"what (?:can|could|should|do) (?:i|we|you|one) (?:do )?(?:about|with) (.+?)\\??",
     "how is $1 mended?"},
    {"(?:can|could|may) (?:i|we|you|one) (?:fit|get|have|squeeze|put)(?: in)? (.+?)(?: in)?(?: "
     "here| in here| in this room)?\\??",
     "is there space for $1?"},
    {"is there (?:enough |still |any )?(?:room|space) to (?:walk|get|pass|go|move|squeeze) (?:all "
     ")?"
     "(?:around|round) (.+?)\\??",
     "how much room is around $1?"},
    {"is there (?:enough |still |any )?(?:room|space) to (?:walk|get|pass|go|move|squeeze) "
     "(?:past|by|"
     "in front of|before) (.+?)\\??",
     "how much room is in front of $1?"},
    {"what(?:'s| is) the (?:walkway|passage|way|aisle|path|walk|clearance|room|space)(?: like)? "
     "between (.+?) and (.+?)\\??",
     "how far is $1 from $2?"},
    {"how (?:many feet|many metres|many meters|many cm|many inches|long a stretch|much) of (?:the "
     ")?"
     "wall (?:is |are |have i |do i have )?(?:left|free|over|available|empty)(?: on| along| of| "
     "in)? "
     "(.+?)\\??",
     "how much wall is free on $1?"},
    {"what(?:'s| is) the (?:biggest|largest|longest) (?:dining )?table (?:that |which )?(?:i can "
     "fit|we "
     "can fit|can fit|fits|will fit|would fit|could fit|goes)(?: here| in here| in this room)?\\??",
     "what table fits?"},
    {"what(?:'s| is) the (?:biggest|largest|longest) (?:sofa|couch|settee) (?:that |which )?(?:i "
     "can "
     "fit|we can fit|can fit|fits|will fit|would fit|could fit|goes)(?: here| in here| in this "
     "room)?\\??",
     "what sofa fits?"},
    {"where(?:'s| is) the (?:centre|center|middle) of (?:the )?wall ([a-z])\\??",
     "how long is wall $1?"},
    {"(?:list|show|tell|name)(?: me)? (?:everything|all(?: the| of the)? "
     "(?:furniture|pieces|things)|"
     "the furniture|what(?:'s| is) (?:here|there|in the room))",
     "what is in the room?"},
    {"what furniture (?:is|have i got|do i have|have we)(?: there| here| in here| in the room| "
     "got)?\\??",
     "what is in the room?"},
    {"what(?:'s| is)(?: all)? (?:here|there|in here)\\??", "what is in the room?"},
    {"(?:can|will|do) (?:the |all the )?(?:dining )?chairs (?:still "
     ")?(?:pull|draw|slide|come|go|be "
     "pulled|be drawn) (?:out|back)(?: all the way| fully| properly)?\\??",
     "how much room is behind the chairs?"},
    {"(?:can|will|would|could) (?:people|someone|somebody|anyone|one|you|they) (?:sit down|get in "
     "and "
     "out|get up|pull (?:out )?(?:a|the|their) chairs?(?: out)?|draw (?:a|the|their) chairs?(?: "
     "back)?)(?: at the table| there)?\\??",
     "how much room is behind the chairs?"},
    {"(?:what|how) (?:height|high) (?:should|must|do|would) (?:i|we|you) "
     "(?:hang|put|place|mount|fit) "
     "(.+?)(?: at)?\\??",
     "how high should $1 be?"},
    {"what(?:'s| is) the (?:right|best|ideal|correct|usual|proper|standard) (?:height|level) "
     "(?:for|of|"
     "to hang) (.+?)\\??",
     "how high should $1 be?"},
    {"what(?:'s| is) the (?:right|best|ideal|correct|usual|proper|standard) (?:size|dimensions?) "
     "(?:for|"
     "of) (.+?)\\??",
     "how big should $1 be?"},
    {"what(?:'s| is) the (?:right|best|ideal|correct|usual|proper|standard|minimum|least) "
     "(?:distance|"
     "gap|space|spacing) (?:between|from) (.+?) (?:and|to) (.+?)\\??",
     "how far should $1 be from $2?"},
    {"(?:is there|do i have|do we have|have i|is that|will there be) (?:enough |the |any )*"
     "(?:room|space|clearance) (?:left )?(?:for (.*?\\bdoor\\b.*?) to (?:open|swing)|to "
     "(?:open|swing) "
     "(.*?\\bdoor\\b.*?))(?: fully| properly| all the way)?\\??",
     "is anything in the way of $1$2?"},
    {"how (?:much|wide a) (?:room|space|gap) (?:is|have i|do i have|do we have) (?:left|over|free|"
     "remaining) between (.+?)\\??",
     "how much room is between $1?"},
    {"(?:how much (?:room|space|of a gap)|how far) is (?:there |it )?between (.+?) and (?:the wall "
     "(?:on|to|at) (?:the|its) (left|right)|the (left|right)(?:[- ]hand)? wall)\\??",
     "how much room is $2$3 of $1?"},
    {"what(?:'s| is|s)? (?:still )?too (?:tight|close|narrow|near|small|big|crowded|cramped)(?: "
     "(?:here|in here|there|in the room|now))?\\??",
     "what is wrong?"},
    {"(?:does|do|will|would) (.+?) (?:reach|go|extend|come|get|sit|lie) (?:far enough |right |all "
     "the way )?under (.+?)\\??",
     "is $1 under $2?"},
    {"(?:is|are) there (?:an?|any) (?:power )?(?:outlets?|sockets?|plugs?|power points?) "
     "(?:near|by|"
     "close to|behind|next to|beside|within reach of|for|at) (.+?)\\??",
     "how far is $1 from the nearest outlet?"},
    {"how (?:long|much) (?:an? |of an? )?(?:cord|cable|flex|lead|extension(?: cord| lead)?) (?:do "
     "i "
     "need|do we need|is needed|does it need|will i need|would i need)(?: (?:for|from|to)) (.+?)"
     "\\??",
     "how far is $1 from the nearest outlet?"},
    {"how (high|tall|wide|big) is (?:the |its )head ?board\\??", "how $1 is the bed?"},
    {"(?:is|will|would) there (?:be )?(?:at least |still |really )*[0-9].*? (?:of (?:space|room) "
     "|free "
     "|clear |left )*(?:at|by) (?:the )?(foot|end|head) of (.+?)\\??",
     "how much room is around $2?"},
    {"(?:is|will|would) there (?:be )?(?:at least |still |really )*[0-9].*? (?:of (?:space|room) "
     "|free "
     "|clear |left )*(?:on |at |to )?(?:the )?(in front of|behind|left of|right of|between|around) "
     "(.+?)\\??",
     "how much room is $1 $2?"},
    {"(?:how much|what) (?:clearance|room|space|gap) (?:is (?:there )?|do i have |have i got |do "
     "we have "
     ")?(?:on|at|to) (?:each|either|both|every) sides? of (.+?)\\??",
     "how much room is around $1?"},
    {"(?:is|are) (?:the |that |my )?(?:walkway|gap|space|passage|aisle|path|clearance|room) "
     "(?:on|at|"
     "beside|by|past|around|round|along|next to) (?:the .*? side of )?(.+?) "
     "(?:wide|big|large|clear|"
     "generous|much) enough\\??",
     "how much room is around $1?"},
    {"what(?:'s| is) the weight of (.+?)\\??|what does (.+?) weigh\\??", "how heavy is $1$2?"},
    {"(?:and )?(?:at |to )?(?:what|which) height(?: (?:should|must|does) (?:it|they|that) "
     "(?:hang|go|be))?"
     "\\??|(?:and )?how high(?: up)?\\??",
     "how high should it hang?"},
    {"(?:is|are|will|would) [0-9].*? (?:be )?(?:enough|ok|okay|too tight|too little|plenty|wide "
     "enough) "
     "(?:room |space )?(around|behind|in front of|left of|right of|between) (.+?)\\??",
     "how much room is $1 $2?"},
    {"(?:can|could) (?:i|you|we|one|someone|people) (?:still )?open (.*?\\bdoor\\b.*?)(?: all the "
     "way| "
     "fully| properly| wide)?\\??",
     "is anything in the way of $1?"},
    {"(?:is|will|would) there (?:be )?(?:any |too much )?(?:glare|reflections?) (?:on|in) "
     "(.+?)\\??",
     "what is wrong with $1?"},
    {"(?:is|will) (?:it|there) (?:be )?(?:light|bright|lit) enough (?:at|on|by|over|to read "
     "(?:at|on|in)"
     "|to work at|for|in) (.+?)\\??",
     "how bright is $1?"},
    {"what(?:'s| is)? (?:still |else is |else's )?(?:missing|needed|left to do|lacking)\\??|what "
     "else "
     "(?:is needed|do (?:i|we) need|is missing)\\??",
     "what is wrong?"},
    {"is the (?:path|way|walkway|route|passage) from (.+?) to (.+?) (?:clear|free|open|wide "
     "enough|ok|"
     "okay|blocked)\\??",
     "is there a clear path from $1 to $2?"},
    {"(?:what(?:'s| is)|where(?:'s| is)|how (?:wide|tight|narrow) is) the "
     "(?:tightest|narrowest|smallest)"
     "(?: (?:spot|part|point|place|gap|bit|walkway|passage|way))?(?: (?:here|in here|in the "
     "room))?\\??",
     "how wide is the walkway?"},
    {"(?:is|are) (.*?\\b(?:closet|door|window|wardrobe|cupboard|fireplace|radiator|opening)\\b.*?) "
     "(?:still )?"
     "(?:usable|accessible|reachable|easy to (?:reach|open|use)|free|clear)\\??",
     "is anything in the way of $1?"},
    {"is there (?:enough|any|sufficient) light (?:to (?:read|work|see|write|sew|eat|cook) "
     ")?(?:on|at|by|in|"
     "over|for|near) (.+?)\\??",
     "how bright is $1?"},
    {"(?:is|will|would) there (?:be )?(?:at least |still |really )*[0-9].*? (?:of (?:space|room) "
     "|free "
     "|clear |left )*on (?:both|each|either) sides? of (.+?)\\??",
     "how much room is around $1?"},
    {"how (?:much|big a|wide a) (?:gap|space|distance|room) (?:should there be |should i leave |do "
     "i "
     "leave |do i need |is needed )?between (.+?) and (.+?)\\??",
     "how far should $1 be from $2?"},
    {"what(?:'s| is) (?:too close|too near|blocking|in the way|touching|overlapping|clashing|in "
     "conflict).*",
     "what is wrong?"},
    {"(?:check|test|review|judge|assess) (?:it|this|the room|the plan|the layout|everything|my "
     "(?:plan|layout|room))",
     "what is wrong?"},
    {"(?:check|test|review|judge|assess) (.+)", "what is wrong with $1?"},
    {"(?:does|do|is) (?:everything|it all|the furniture|all of it) (?:fit|ok|okay|all right|fine)"
     "\\??",
     "what is wrong?"},
    {"(?:is|are) the (?:walkways?|ways?|paths?|passages?|aisles?|walking space|way through) "
     "(?:wide|"
     "big|large|clear|good|ok|okay)(?: enough)?\\??",
     "how wide is the walkway?"},
    {"(?:how much|is there(?: enough| still| any)?) (?:room|space|floor)(?: is(?: there)?)?(?: "
     "left| "
     "free)?(?: for me| for us)? to (?:walk|move|get through|pass|walk around|walk through|move "
     "around|get around|get past)(?: around| through| about| in here| here)?\\??",
     "how wide is the walkway?"},
    {"(?:can|could) (?:i|we|you|one|people|someone) (?:still |easily )?(?:walk|get|pass|move) "
     "(?:around|through|about|past)(?: easily| here| in here| comfortably)?\\??",
     "how wide is the walkway?"},
    {"how (?:many|much) (?:inches|feet|cm|centimetres|centimeters|metres|meters|space|room|wall) "
     "(?:is|are|have i|do i have|do we have)? ?(?:there )?(?:still )?(?:left|free|available|over|"
     "unused|open|empty)(?: on| along| at) (.*\\bwall\\b.*?)\\??",
     "how much wall is free on $1?"},
    {"(?:what(?:'s| is)|how (?:big|wide|large) (?:is|can|could) (?:i have )?) ?the (?:biggest|"
     "largest|widest|longest|tallest) (.+?) (?:that |which )?(?:i can|we can|i "
     "could|can|could|will|"
     "would) (?:hang|put|have|fit|go|place) (over|above|under|behind|in front of) (.+?)\\??",
     "how big should a $1 $2 $3 be?"},
    {"how (deep|wide|long|tall|high|big) (?:can|could|may|might) (.+?) (?:be|get|go)(?: here| "
     "there)?\\??",
     "how $1 should $2 be?"},
    {"can (?:i|we|you|one) see (.+?) from (.+?)\\??", "can $1 be seen from $2?"},
    {"(?:can|could|will|would) (?:everyone|everybody|all|all of us|people|anyone|they|we|you|i) "
     "(?:all )?(?:still )?see (.+?)(?: from (?:here|there|their (?:seats?|place)|every seat|all "
     "seats))?\\??",
     "can $1 be seen?"},
    {"is (.+?) visible from (.+?)\\??", "can $1 be seen from $2?"},
    {"(?:is|are) (.+?) going to (?:block|cover|hide|hit|touch|obstruct|be in the way "
     "of|overlap|stick "
     "into) .+",
     "what is wrong with $1?"},
    {"(?:will|would|does) (.+?) (?:block|cover|hide|obstruct|stick into|get in the way of) .+",
     "what is wrong with $1?"},
    {"how would (an? .+?) (?:look|be|work|go|fit|do) (.+?)\\??", "is there space for $1 $2?"},
    {"where(?:'s| is) (?:the |there )?(?:biggest|largest|most|any)? ?(?:empty|free|open|spare) "
     "(?:spot|"
     "space|place|area|floor|room|corner)\\??",
     "what fits here?"},
    {"(?:give me |any |got any |have you |do you have any )?(?:some )?(?:ideas|suggestions|advice|"
     "tips)\\??|(?:what (?:do|would) you (?:suggest|recommend|do|think)|what should i do|suggest "
     "something|help me)(?: next| here| now)?\\??",
     "how is everything mended?"},
    {"what(?:'s| is) the (?:grand )?total(?: so far| price| cost)?\\??",
     "how much does everything cost?"},
    {"(?:how much|what) (?:have i|have we|did i|did we) (?:spent|spend)(?: so far)?\\??",
     "how much does everything cost?"},
    {"how much light(?:ing)? (?:do (?:i|we) need|is needed|should there be|would do)(?: in here| "
     "here)?\\??",
     "how many lights do I need?"},
    {"(?:what(?:'s| is)|how (?:much|big) is) the (?:total )?wall area\\??",
     "what is the area of the walls?"},
    {"how (?:long|wide|big) is the longest wall\\??", "which wall is longest?"},
    {"how (?:long|wide|big) is the shortest wall\\??", "which wall is shortest?"},
    {"(?:can|does|will|could) (?:the |my )?(.*\\bchair) (?:still )?(?:roll|slide|go|come|push|move|"
     "be pushed|be pulled) (?:back|out)(?: far enough| properly)?\\??",
     "how much room is behind the $1?"},
    {"(?:is there |do i have )?(?:enough )?(?:space|room) behind (.+?)\\??",
     "how much room is behind $1?"},
    {"(?:does|will|can) (.+?) (?:open|fold|pull) (?:out|up)(?: all the way| fully| properly)?\\??",
     "what is wrong with $1?"},
    {"what(?:'s| is) (?:an? |the )?([a-z][a-z0-9 -]*?)\\??", "how big is $1?"},
    {"(?:what(?:'s| is| are)|which pieces? (?:is|are)|who(?:'s| is)) (?:there )?(?:next to|beside|"
     "near|by|close to|around|right by|standing (?:by|next to)) (.+?)\\??",
     "what is near $1?"},
    {"(?:measure|what(?:'s| is)) (?:the (?:distance|gap|space) )?(?:from|between) (.+?) (?:to|and) "
     "(.+?)\\??",
     "how far is $1 from $2?"},
    {"measure (.+)", "how big is $1?"},
    {"how (?:far|much|long) (?:is it|would it be|do i have|is there) (?:from|between) (.+?) "
     "(?:to|and) "
     "(.+?)\\??",
     "how far is $1 from $2?"},
    {"what (?:are|is) the (?:dimensions?|measurements?|sizes?) of (.+?)\\??", "how big is $1?"},
    {"(.+?)(?:'s)? (?:dimensions?|measurements?)\\??", "how big is $1?"},
    {"(?:is|are) (.+?) (?:too|much too|a bit too) "
     "(?:tall|high|low|big|wide|long|small|deep|short|large) "
     "(?:for|to) .+",
     "what is wrong with $1?"},
    {"(?:is there|do we have|have we) (?:enough |still |any )?(?:space|room|floor)(?: left| "
     "free)?(?: to "
     "play| to dance| for toys| to move| to move about| to exercise| left)\\??",
     "how much floor is free?"},
    {"how (?:big|large|much) is the (?:open|free|clear|empty) (?:floor|space|area)\\??",
     "how much floor is free?"},
    {"what (?:would|will|does|did|do) (?:it|this|everything|all this|all of it|the lot)(?: all)? "
     "cost"
     "(?: me| us| in all)?\\??",
     "how much does everything cost?"},
};

} // namespace

std::span<const OtherWords> otherQuestions() {
    return askedInstead;
}

} // namespace mezzet
