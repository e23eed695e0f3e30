// The words of docs/glossary.md: none that is retired is shown to anybody.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from '@jest/globals'

// The command is run as it is: it reads the sources with the compiler, which the tests' own loader would take minutes over.
const printed = execFileSync(process.execPath, ['--import', 'tsx', 'scripts/strings.ts'], {
  cwd: fileURLToPath(new URL('..', import.meta.url)),
  encoding: 'utf8',
  maxBuffer: 16 * 1024 * 1024,
})
const shown = printed
  .trim()
  .split('\n')
  .map((line) => {
    const [place = '', text = ''] = line.split('\t')
    // What stands between braces is filled in.
    return { place, text: text.replace(/\{\w+\}/g, '{…}') }
  })
/** Retired words, and where one of them is an everyday word that means something else. */
const retired: [RegExp, RegExp | null][] = [
  [/\blight (weeks?|spells?)\b/i, null],
  [/\breps? left\b|\bleft in reserve\b|(\d|\}|more|none) left\b/i, /left out|^5 sets of 5 3 left @ 75%$/],
  [/\bfollows? (it|no more)\b|\bfollow(s|ed)? (a|the|no|another) (rule|progression)\b/i, null],
  [/\bin turn\b|\btakes? turns\b/i, null],
  [/\bsigns?\b/i, /\bsign(s|ed)? (in|out)\b|minus sign/i],
  [/\btechnique marks?\b|\bgood mark\b/i, null],
  [/\bspells?\b/i, null],
  [/\bparts?\b/i, /\bin part\b|\b[Bb]ody part\b|\bpart of (their|this|the) load\b/i],
  [/\bplaces?\b/i, /\bin place of\b|\btakes? the place\b|place in the plan|\bthird place\b/i],
  [
    /\bblocks?\b/i,
    /inline-block|\(a phase of a program\)|or a block|blocks? \d+ cm|block pull|on blocks|from blocks|pull from|the blocks|on a block/i,
  ],
  [/\bown changes?\b/i, null],
  [/\brungs?\b|\bladder\b/i, /Regatta ladder|[Ss]cheme ladder/],
  [/\bceilings?\b/i, null],
  [/\bplus sets?\b/i, null],
  [/\breserves?\b|\bpercents\b/i, null],
  [/\bcrests?\b|\bforemost\b|\banew\b|\bderives? from\b/i, null],
  [/% of it\b|\bof help\b|\bgiven? up\b|\bstands? here\b/i, null],
  [/: rising$|\bstands? still\b|\bha(s|ve) fallen\b/, null],
  [/\b[Bb]ring in\b|\b[Pp]ut (it )?in\b/, null],
]
/** Programmer's errors, file names, and examples of worked checks are for whoever builds it. */
const isForBuilders = (place: string, text: string) =>
  /^(unknown|invalid|missing) /.test(text) || place.startsWith('core/src/library/')

describe('whatever is shown', () => {
  test('is found: labels, messages, steps and errors', () => {
    expect(shown.length).toBeGreaterThan(2000)
    for (const text of ['How many more could you have done?', 'Warm up first; these are not logged'])
      expect(shown.map((one) => one.text)).toContain(text)
  })

  test.each(retired)('has no retired word: %s', (word, meant) => {
    const found = shown.filter(
      ({ place, text }) => !isForBuilders(place, text) && word.test(meant ? text.replace(meant, '') : text),
    )
    expect(found.map(({ place, text }) => `${place} ${text}`)).toEqual([])
  })

  test('closes up its ellipses', () => {
    expect(
      shown.filter(({ text }) => /\p{L} …/u.test(text)).map(({ place, text }) => `${place} ${text}`),
    ).toEqual([])
  })
})

test('the glossary says each term once', () => {
  const text = readFileSync(new URL('../docs/glossary.md', import.meta.url), 'utf8')
  const terms = [...text.matchAll(/^\| ([^|]+?) +\|/gm)].map(([, term]) => term)
  expect(terms.length).toBeGreaterThan(30)
  expect(new Set(terms).size).toBe(terms.length)
})
