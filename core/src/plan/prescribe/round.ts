import type { Loading } from '../../evidence/index.ts'
import { type WhyStep, declareSteps } from '../../words/index.ts'
import type { ShownSets } from '../../member/index.ts'
import {
  addLoad,
  compareLoads,
  formatNumber,
  inUnit,
  partsFor,
  round,
  snap,
  type Load,
  type Met,
  type Parts,
  type Way,
} from '../../units/index.ts'

const say = declareSteps({
  'round.unit': '{meant} is {as} in the unit of the plates',
  'round.exact': '{load}, which can be loaded exactly',
  'round.nearest': '{meant}, nearest that can be loaded: {load}',
  'round.nearestDown': '{meant}, nearest that can be loaded, ties down: {load}',
  'round.down': '{meant}, down to what can be loaded: {load}',
  'round.up': '{meant}, up to what can be loaded: {load}',
  'round.floor': '{meant} is below the lightest load here: {load}',
  'round.top': '{meant} is above the heaviest load here: {load}',
  'band.upTo': 'up to {load}, as you choose',
  'plates.side': '{bar} bar, each side {plates} {unit}',
  'plates.none': '{bar} bar, no plates',
  'plates.hung': 'on the belt {plates} {unit}',
  'plates.nothing': 'nothing on the belt',
  'plates.pin': 'pin at {pin}',
  'plates.onPin': 'pin at {pin}, on top of it {plates} {unit}',
  'body.added': '{meant} in total − body weight {body} = {load} added',
  'body.help': 'body weight {body} − {meant} in total = {load} of assistance',
  'body.alone': 'nearest possible: body weight alone',
  'body.floor': 'below the lightest load here: body weight alone',
  'body.exact': '{load} {what}, which can be loaded exactly',
  'body.nearest': 'nearest that can be loaded: {load} {what}',
  'body.nearestDown': 'nearest that can be loaded, ties down: {load} {what}',
  'body.down': 'down to what can be loaded: {load} {what}',
  'body.up': 'up to what can be loaded: {load} {what}',
  'body.top': 'above the heaviest load here: {load} {what}',
})

export const showMessages = say.messages

/** The upper end of a band, after its lower end. */
export const upToStep = (load: Load): WhyStep => say('band.upTo', { load })

/**
 * A load as it can be made today, with what it took to get there. `total` is what it comes to where `load` goes on top of body
 * weight, or with `help` takes off it; else they are the same.
 */
export type Made = { load: Load; total: Load; help?: true; parts?: Parts; short?: true; steps: WhyStep[] }

/**
 * The one rounding of a slot's load, last of all: everything has been multiplied, nothing rounded before. `short` marks
 * less than meant for want of plates: more than the ordinary rounding, or more than home's plates would have taken off.
 */
export function make(meant: Load, { here, home, body }: Loading, way: Way): Made {
  const wanted = body ? beside(meant, body, here.unit) : meant
  const { load, met } = round(wanted, here, way)
  const parts = partsFor(load, here)
  const help = load.value < 0
  const handled = help ? { value: -load.value, unit: load.unit } : load
  const made: Made = {
    load: handled,
    total: body ? addLoad(body, handled, help) : load,
    steps: body
      ? [bodyStep(meant, body, wanted), onBodyStep(handled, help, met, way)]
      : roundSteps(meant, load, met, way),
  }
  if (help) made.help = true
  if (parts) made.parts = parts
  if (parts && !help) made.steps.push(partsStep(parts, load.unit))
  if (met === 'top' || (home !== here && compareLoads(load, round(wanted, home, way).load) < 0))
    made.short = true
  return made
}

/** What is on the bar once a load is made, with the body where it is a part of it. */
export function totalMade(meant: Load, { here, body }: Loading, way: Way): Load {
  const { load } = round(body ? beside(meant, body, here.unit) : meant, here, way)
  if (!body) return load
  return load.value < 0 ? addLoad(body, { value: -load.value, unit: load.unit }, true) : addLoad(body, load)
}

/** A prescription with the load that was made for it, in place of the one that it had. */
export function withLoad(prescribed: ShownSets, made: Made): ShownSets {
  const {
    side: _,
    bar: __,
    pin: _______,
    hung: ___,
    help: ____,
    short: _____,
    upTo: ______,
    beyond,
    ...rest
  } = prescribed
  const isStill = beyond && compareLoads(made.total, beyond.most) > 0
  return putLoad(isStill ? { ...rest, beyond } : rest, made)
}

/** Puts a load on a prescription that is just being made and has none yet. */
export function putLoad(prescribed: ShownSets, { load, help, parts, short }: Made): ShownSets {
  prescribed.load = load
  if (help) prescribed.help = true
  else if (parts?.pin !== undefined) {
    prescribed.pin = parts.pin
    if (parts.plates.length) prescribed.hung = parts.plates
  } else if (parts?.bar === undefined) {
    if (parts) prescribed.hung = parts.plates
  } else {
    prescribed.side = parts.plates
    prescribed.bar = parts.bar
  }
  if (short) prescribed.short = true
  return prescribed
}

/** What has to go on top of body weight, below zero for help. */
const beside = (meant: Load, body: Load, unit: Load['unit']): Load => ({
  value: snap(inUnit(meant, unit).value - inUnit(body, unit).value),
  unit,
})

function bodyStep(meant: Load, body: Load, { value, unit }: Load): WhyStep {
  const load = { value: Math.abs(value), unit }
  return say(value < 0 ? 'body.help' : 'body.added', { meant, body, load })
}

function onBodyStep(load: Load, help: boolean, met: Met, way: Way): WhyStep {
  if (!load.value) return say(met === 'floor' ? 'body.floor' : 'body.alone', {})
  const what = help ? 'of assistance' : 'added'
  return { id: met === 'rounded' ? bodyIds[way] : `body.${met}`, data: { load, what } }
}
const bodyIds: Record<Way, string> = {
  nearest: 'body.nearest',
  nearestDown: 'body.nearestDown',
  down: 'body.down',
  up: 'body.up',
}

function roundSteps(meant: Load, load: Load, met: Met, way: Way): WhyStep[] {
  const from = inUnit(meant, load.unit)
  const own: WhyStep =
    met === 'exact'
      ? say('round.exact', { load })
      : say(met === 'rounded' ? roundIds[way] : met === 'top' ? 'round.top' : 'round.floor', {
          meant: from,
          load,
        })
  return from === meant ? [own] : [say('round.unit', { meant, as: from }), own]
}

const roundIds = {
  nearest: 'round.nearest',
  nearestDown: 'round.nearestDown',
  down: 'round.down',
  up: 'round.up',
} as const satisfies Record<Way, string>

/** What is said of the plates of a load, kept beside the table that they come from. */
function partsStep(parts: Parts, unit: Load['unit']): WhyStep {
  const known = partsSteps.get(parts)
  if (known) return known
  const made = sayParts(parts, unit)
  partsSteps.set(parts, made)
  return made
}
const partsSteps = new WeakMap<Parts, WhyStep>()

function sayParts({ bar, pin, plates }: Parts, unit: Load['unit']): WhyStep {
  const said = plates.map(formatNumber).join(' + ')
  if (pin !== undefined) {
    const at = { value: pin, unit }
    return plates.length
      ? say('plates.onPin', { pin: at, plates: said, unit })
      : say('plates.pin', { pin: at })
  }
  if (bar === undefined)
    return plates.length ? say('plates.hung', { plates: said, unit }) : say('plates.nothing', {})
  const load = { value: bar, unit }
  if (!plates.length) return say('plates.none', { bar: load })
  return say('plates.side', { bar: load, plates: said, unit })
}
