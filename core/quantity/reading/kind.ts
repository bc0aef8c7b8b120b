import { cleanLine } from './clean';

/** Second stage: what a line is before anything is weighed for it. */

export type LineKind = 'thing' | 'heading' | 'method' | 'note' | 'alternative';

/** What cooks do: a line that begins with one of these tells a step. */
const VERBS = new Set(
  (
    'preheat heat warm melt boil simmer cook bake roast toast microwave cool chill freeze refrigerate leave rest stand line grease ' +
    'flour butter dust sift sieve weigh measure mix combine whisk beat whip cream rub stir fold add pour spoon divide fill pipe ' +
    'spread cover coat dip drizzle sprinkle scatter decorate top place put set arrange remove turn take use make prepare cut slice ' +
    'chop crush crumble mash roll shape form press knead wrap store serve repeat continue transfer return bring let allow keep ' +
    'pop temper check test insert push swirl smooth scrape drain strain soak dissolve bloom separate crack gently carefully slowly meanwhile'
  ).split(' '),
);
/** Of these some are things as well: "cream, 200 ml", "butter 100 g", "sprinkles". */
const ALSO_THINGS = new Set([
  'cream',
  'butter',
  'flour',
  'top',
  'coat',
  'dust',
  'roll',
  'rest',
  'set',
  'mix',
]);
const AFTER_A_VERB =
  /^(?:the|a|an|in|into|until|till|together|with|to|at|for|on|onto|over|all|both|each|every|it|them|this|these|that|your|our|well|aside|out|off|up|down|again|another|everything|remaining|half|some|any|and|from|by|through|as|between)\b/i;
const BEGINS_A_STEP =
  /^(?:in (?:a|an|the|another)|when|once|while|meanwhile|using|with (?:a|an|the|your)|after|then|next|now|if|finally|to (?:make|serve|finish|assemble|decorate)\b(?! ?:))\b/i;

const NOTES =
  /^(?:notes?|tips?|nb|n\.b\.|hint|oven|nutrition|nutritional|yield|yields|makes|serves|servings|prep(?:aration)?(?: time)?|cook(?:ing)? time|bak(?:e|ing) time|total time|time|equipment|you will need|storage|store|calories|energy|temperature|source|author|difficulty|rating)\b\s*[:.=–-]?\s*/i;
const NOTE_NEEDS =
  /^(?:notes?|tips?|nb|n\.b\.|hint|oven|nutrition|nutritional|equipment|you will need|storage|source|author|difficulty|rating|temperature|time|store)\b/i;
const TELLS_A_YIELD =
  /\b(?:makes|yields|is enough for|serves)\s+(?:about\s+|around\s+)?(?:\d|an?\b|one|two|enough)/i;
const RATIO = /\b(?:their|its|the same|equal|same) (?:weight|amount|quantity)\b/i;
const DIGIT = /[\d½⅓⅔¼¾⅛⅜⅝⅞]/;

/** How an amount begins. */
const AMOUNT = '(?:[\\d½⅓⅔¼¾⅛⅜⅝⅞]|(?:an?|one|two|three|four|five|six|half|quarter)\\b)';

/** Words that head a part of a page by themselves. */
const SECTION =
  /^(?:method|directions|instructions|ingredients|steps|assembly|preparation|procedure|to (?:serve|finish|decorate|assemble))$/i;

/** Tells a heading, a step, a note or an alternative from something that is weighed. */
export function kindOf(text: string): LineKind {
  if (/^\(?\s*or\b\s+/i.test(text)) return 'alternative';
  if (!DIGIT.test(text) && /:$/.test(text)) return 'heading';
  if (!DIGIT.test(text) && /^for (?:the|your|each|dusting|decorating)\b[^.,;]{2,60}$/i.test(text))
    return 'heading';
  if (SECTION.test(text)) return 'heading';
  if (NOTES.test(text)) {
    const rest = text.replace(NOTES, '');
    if (
      NOTE_NEEDS.test(text)
        ? /[:.–-]/.test(text.slice(0, 24))
        : /^(?:about\s+)?\d|:/.test(rest) || rest === ''
    )
      return 'note';
  }
  if (TELLS_A_YIELD.test(text) || RATIO.test(text)) return 'note';
  return isStep(text) ? 'method' : 'thing';
}

/** The same of a line as it is written. */
export const kindOfLine = (raw: string): LineKind => kindOf(cleanLine(raw));

/** Begins with a thing that is a verb as well, and has its amount behind a comma: "Butter, in small cubes, 100 g". */
const NAME_FIRST = new RegExp(
  `^(?:${[...ALSO_THINGS].join('|')})\\b(?:\\s*\\([^)]*\\))?,.*(?:,|\\s)\\s*${AMOUNT}[^,.]{0,24}$`,
  'i',
);

/** Words that only lead to what is weighed: "then 50 g butter", "Using 2 eggs", "Melt 100 g dark chocolate". */
const LEAD_WORDS = new RegExp(
  `^(?:(?:and|then|next|now|also|plus|finally|lastly|meanwhile|afterwards?|first|second|third|after (?:that|this)|using|use|with|take|add|adding|put|measure|weigh|(?:stir|fold|mix|beat|whisk|sift|rub|melt|work) in|melt|sift|chop|grate|crush|toast|soak|dissolve|pour(?: in)?|sprinkle(?: with)?|scatter|whisk|beat|cream|mix|stir|fold|roll)\\b[,:]?\\s+(?:in\\s+)?(?:another\\s+|the\\s+|a further\\s+|about\\s+)?)+(?=${AMOUNT})`,
  'i',
);
/** What only a step says: how long, how hot, where to, until when, and what to do besides. */
const STEP_TAIL =
  /\b(?:until|till|for (?:about |another )?\d+ (?:min|sec|h)|\d+ ?(?:minutes?|mins?|seconds?|secs?|hours?|hrs?)\b|°|degrees|into|on ?to|over|in (?:a|an|the|your|two|three)\b|to (?:a|the)\b|together|of (?:the|it|this)|each (?:well|case|mug)|and (?:bake|beat|mix|stir|fold|whisk|cook|heat|leave|set|chill|melt|pour))\b/i;

/**
 * What a line weighs behind a word that only leads to it; null where nothing does, or where the rest tells a step. Whether
 * the rest names something that is known is for the reader to say.
 */
export function ledTo(text: string): string | null {
  const behind = text.replace(LEAD_WORDS, '');
  const rest = behind !== text ? behind : behindSequence(text);
  return rest !== null && !STEP_TAIL.test(rest) ? rest : null;
}

/** Words that only say where in a list a line stands. */
const SEQUENCE = /^(?:(?:and|then|next|now|also|finally|lastly|last|first)\b[,:]?\s+(?:the\s+)?)+/i;
const AMOUNT_LAST = new RegExp(`[,\\s(]\\s*${AMOUNT}[^,.]{0,24}$`, 'i');

/** "Then the milk, 100 ml": a name and its amount behind words of sequence. */
function behindSequence(text: string): string | null {
  const rest = text.replace(SEQUENCE, '');
  return rest !== text && AMOUNT_LAST.test(rest) ? rest : null;
}

function isStep(text: string): boolean {
  if (NAME_FIRST.test(text)) return false;
  if (BEGINS_A_STEP.test(text)) return true;
  if (/^[a-z]+[.!]$/i.test(text)) return VERBS.has(text.slice(0, -1).toLowerCase());
  const match = /^([a-z]+)[,]?\s+(.*)$/i.exec(text);
  const verb = match?.[1]?.toLowerCase() ?? '';
  const rest = match?.[2] ?? '';
  if (!VERBS.has(verb)) return false;
  if (AFTER_A_VERB.test(rest)) return true;
  const sentence = /\.\s*$/.test(text) && text.split(' ').length >= (ALSO_THINGS.has(verb) ? 5 : 3);
  if (ALSO_THINGS.has(verb)) return sentence && !DIGIT.test(rest.slice(0, 2));
  return sentence || /\b(?:until|minutes?|mins?|then|of the)\b/i.test(rest) || !DIGIT.test(rest);
}
