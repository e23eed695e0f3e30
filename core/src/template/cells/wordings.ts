/**
 * Other ways in which sets are often typed, each put as the shorthand has it before it is read: how one may say it, and what that comes
 * to. What is understood is shown while it is typed, so a guess that is wrong is seen.
 */
const wordings: readonly (readonly [RegExp, string])[] = [
  // "(2 min rest)", "rest (90 s)".
  [/\(([^()]*\brest\b[^()]*)\)/gi, ' $1 '],
  [/\brest\s*\(([^()]*)\)/gi, 'rest $1'],
  // "3 to 5 sets", "8 to 10 reps".
  [
    /(?<!\b(?:until|bands|or|do:).*)(?<![\d.,:]\s*)(\d+)\s+to\s+(\d+)(?=\s*(?:[x×*]|sets?\b|reps?\b|min|s(?:ec|\b)|$|\s@))/gi,
    '$1-$2',
  ],
  // "8 reps", but not "3 reps left", which is "3 left" as well, and never "most reps".
  [/(\d\+?)\s*reps?\b/gi, '$1'],
  // "at 70%", "at RPE 8".
  [/(?<!\b(?:until|bands|or|do:).*)\bat\s+(?=\d|rpe\b|rir\b|bw\b|body)/gi, '@ '],
  // "@ RPE 8", "@ 2 RIR": effort stands by itself.
  [/@\s*(?=(?:rpe|rir)\s?\d|r\s?\d|\d+\s*(?:rir|left|in reserve)\b)/gi, ' '],
  // "90% of 5RM", "75% of 1RM", "85% of TM", "80% of the training max".
  [/%\s*(?:of\s+)?(?:the\s+)?1\s*-?rm\b/gi, '% 1RM'],
  [/%\s*of\s+(?:the\s+)?(\d+)\s*-?rm\b/gi, '% $1RM'],
  [/%\s*(?:of\s+)?(?:the\s+)?(?:tm\b|training max\b)/gi, '% TM'],
  // "-10%": below the top set.
  [/(?:@\s*)?(?<![\d-])-\s*(\d{1,2})\s*%(?!\s*\w)/g, '@ minus $1%'],
  // "each leg", "/side", "per arm".
  [/(?:\b(?:each|per)\s+|\/\s*)(?:side|leg|arm)\b/gi, ' each side'],
  // "top set of 5".
  [/\b(top sets?|back-?offs?(?: sets?)?)\s+of\s+(?=\d)/gi, '$1 '],
  // "tempo 3-1-1-0".
  [/\btempo\s+([\dx])\s?[-./]\s?([\dx])\s?[-./]\s?([\dx])\s?[-./]\s?([\dx])\b/gi, 'tempo $1$2$3$4'],
  // "2 min rest", "90 s rest".
  [
    /((?:\d+(?::\d\d)?\s*[-–]\s*)?\d+(?::\d\d)?\s?(?:min(?:ute)?s?|s(?:ec(?:ond)?s?)?)?)\s+rest\b(?!\s*\d)/gi,
    'rest $1',
  ],
  // "50 total".
  [/(\d+)\s+total\b/gi, '$1 in all'],
  // "@ body weight", with nothing on top.
  [/@\s*(?:bw|body\s?weight)(?=$|[\s,])/gi, '@ none'],
]

/** What may be meant, and cannot be said so: the words, and how it is said. */
const wanting: readonly (readonly [RegExp, string])[] = [
  [/\bsuper\s?sets?\b/i, 'Select the lines and press Alt + J: that joins them to a superset.'],
  [
    /(?<!@.*)[x×*]\s*(?:to\s+)?fail(?:ure)?\b/i,
    'As many reps as possible: 3 x AMRAP in every set, 5+ is five and beyond in the last one; 3 x 8 R0 is 0 RIR; most reps in 5:00 is against the clock.',
  ],
  [
    /\b\d+\s*-\s*\d+\s*(?:rir|left|in reserve)\b|\br(?:ir)?\s*\d+\s*-\s*\d/i,
    'RIR is one number: R2. In the RIR cell 3-0 falls from this week to the phase’s last.',
  ],
  [
    /\blinear\b|\bdouble progression\b|(?<!@.*)\bprogression\b/i,
    'Choose the progression in the inspector; in this line its load is "@ progression".',
  ],
  [/\bemom\b/i, 'Every minute: 10 rounds every 1:00.'],
]

/** A piece of typed sets in the words of the shorthand, or how it must be said. */
export function inShorthand(piece: string): { text: string } | { fault: string } {
  const [task = ''] = /\bdo:.*$/i.exec(piece) ?? []
  const said = piece.slice(0, piece.length - task.length)
  const single = said
    .replace(/^(\s*1\s*[x×*]\s*)(?:to\s+)?fail(?:ure)?\b/i, '$1AMRAP')
    .replace(
      /^(\s*\d+(?:\s*[-–]\s*\d+)?\s*(?:[x×*]|sets?\b(?:\s+of\b)?)\s*)max(?:\s+reps)?\b(?!\s+in\b)/i,
      '$1AMRAP',
    )
  const [, fault] = wanting.find(([words]) => words.test(single)) ?? []
  if (fault) return { fault }
  const put = wordings.reduce((text, [other, ours]) => text.replace(other, ours), single)
  return { text: bareRest(topPercent(put)) + task }
}

const topPercent = (text: string): string =>
  text.replace(/@ minus (\d+)%/g, (_, off: string) => `@ ${100 - Number(off)}% top`)

/** "3x10 R2 90s": a time behind sets and reps is a rest, where none is said. */
function bareRest(text: string): string {
  if (/\brest\b/i.test(text)) return text
  return text.replace(
    /^(.*\d\s*[x×*]\s*\d\S*(?:\s.*)?)\s(\d+\s?(?:s|secs?|seconds?|mins?|minutes?))\s*$/i,
    (whole, before: string, time: string) =>
      /(?:after|every|in|least|x|×|\*)\s*$/i.test(before) ? whole : `${before} rest ${time}`,
  )
}

/** Lines of sets one behind the other: parted by semicolons; by commas or "then" where each is sets and reps; "8/6/4" is a line for each. */
export function linesOf(typed: string): string[] {
  return typed
    .split(/[;\n]/)
    .flatMap((line) =>
      /\bafter\b|\bdo:/i.test(line)
        ? [line]
        : line.split(/\s*,?\s+then\s+(?=\d+(?:\s*[-–]\s*\d+)?\s*[x×*])/i),
    )
    .flatMap((line) => {
      const parts = line.split(/,\s+/)
      return parts.length > 1 &&
        parts.every((part) => /^\s*\d+(?:\s*[-–]\s*\d+)?\s*[x×*]\s*(?:\d|amrap\b)/i.test(part))
        ? parts
        : [line]
    })
    .flatMap(listed)
    .map((line) => line.trim())
    .filter(Boolean)
}

/** "5,5,5,3,3 @ 75%" as "3 x 5 @ 75%" and "2 x 3 @ 75%". */
function listed(line: string): string[] {
  const [whole, list] = /^\s*(\d{1,3}(?:\s*[,/]\s*\d{1,3}){2,})(?=$|[\s@])/.exec(line) ?? []
  if (whole === undefined || list === undefined) return [line]
  const rest = line.slice(whole.length)
  const sets: { reps: string; count: number }[] = []
  for (const reps of list.split(/[,/]/).map((one) => one.trim())) {
    const last = sets.at(-1)
    if (last?.reps === reps) last.count += 1
    else sets.push({ reps, count: 1 })
  }
  return sets.map(({ reps, count }) => `${count} x ${reps}${rest}`)
}
