import type { Library } from '@young-oak/core/library'
import { readMember } from '@young-oak/core/facts'
import { planMember } from '@young-oak/core/plan'
import { readTemplate, type Template } from '@young-oak/core/template'

/** The engine as a page runs it, on files as text: what it plans, as text. */
export function planFiles(templates: Record<string, string>, member: string): string {
  const versions: Record<string, Template> = {}
  let known: Library = {}
  for (const [name, text] of Object.entries(templates)) {
    const { template, library } = readTemplate(JSON.parse(text), known)
    if (!template) throw new Error(`${name} does not read`)
    versions[name] = template
    known = library
  }
  const { file, library } = readMember(JSON.parse(member), versions, known)
  if (!file) throw new Error('the member does not read')
  return JSON.stringify(
    planMember({
      library,
      member: file.member,
      enrolments: file.enrolments,
      versions,
      when: { today: file.today ?? '', through: 'end' },
    }),
  )
}
