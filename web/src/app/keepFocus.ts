const focusable =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]:not([tabindex="-1"])'
/** What belongs together: focus that is lost goes on inside the nearest of these that is left. */
const scopes = 'li, ul, ol, fieldset, form, section, article, [role="dialog"], main'

/** Where the keyboard was: the scopes around it, and what could be focused in the nearest. */
type Was = { element: HTMLElement; scopes: HTMLElement[]; others: HTMLElement[]; at: number }

const within = (scope: HTMLElement): HTMLElement[] =>
  [...scope.querySelectorAll<HTMLElement>(focusable)].filter((one) => one.checkVisibility())

function whereIs(element: HTMLElement): Was {
  const around: HTMLElement[] = []
  let scope = element.closest<HTMLElement>(scopes)
  while (scope) {
    around.push(scope)
    scope = scope.parentElement?.closest<HTMLElement>(scopes) ?? null
  }
  const list = element.closest<HTMLElement>('ul, ol, section, form, main')
  const others = list ? within(list) : []
  return { element, scopes: around, others, at: others.indexOf(element) }
}

/** The next of what was beside it, else the one before, else the first of what is left around it; the heading of the page at last. */
function nextOf({ scopes: around, others, at }: Was): HTMLElement | null {
  const isLeft = (one: HTMLElement) => one.isConnected && !one.matches(':disabled') && one.checkVisibility()
  const scope = around.find((one) => one.isConnected)
  const isNear = (one: HTMLElement) => isLeft(one) && (scope?.contains(one) ?? false)
  const near = others.slice(at + 1).find(isNear) ?? others.slice(0, Math.max(at, 0)).reverse().find(isNear)
  if (near) return near
  const [first] = scope ? within(scope) : []
  return first ?? document.querySelector<HTMLElement>('main h1, main')
}

/**
 * Puts the keyboard back where the work goes on when what it was on has gone from the page: a button that saved, removed or closed
 * something. One that was only busy has it again. A screen that knows better focuses by itself; the sheet of the workbench does.
 */
export function keepFocus(): () => void {
  let was: Was | null = null
  const note = ({ target }: FocusEvent) => {
    if (!(target instanceof HTMLElement)) return
    was = target.closest('[role="grid"]') ? null : whereIs(target)
  }
  /** Whoever points beside everything wants nothing focused. */
  const leave = ({ target, relatedTarget }: FocusEvent) => {
    if (relatedTarget || !(target instanceof HTMLElement)) return
    queueMicrotask(() => {
      const isThere = target.isConnected && !target.matches(':disabled')
      if (isThere && was?.element === target) was = null
    })
  }
  const isLost = () =>
    was !== null && (document.activeElement === document.body || document.activeElement === null)
  const mend = () => {
    if (!was || !isLost()) return
    const { element } = was
    if (element.isConnected && element.matches(':disabled')) return
    const next = element.isConnected ? element : nextOf(was)
    if (next && !next.matches(focusable)) next.tabIndex = -1
    // Nothing moves under a pointer.
    next?.focus({ preventScroll: true })
  }
  // After the frame in which the page settles: a screen of its own accord goes first.
  const watch = new MutationObserver(() => {
    if (isLost()) requestAnimationFrame(() => requestAnimationFrame(mend))
  })
  document.addEventListener('focusin', note)
  document.addEventListener('focusout', leave)
  watch.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] })
  return () => {
    document.removeEventListener('focusin', note)
    document.removeEventListener('focusout', leave)
    watch.disconnect()
  }
}
