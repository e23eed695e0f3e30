import { readMember } from '@young-oak/core/member'
import { planMember } from '@young-oak/core/plan'
import { readTemplate, type Template } from '@young-oak/core/template'

/** The engine as a page runs it, on files as text: what it plans, as text. */
export function planFiles(templates: Record<string, string>, member: string): string {
  const versions: Record<string, Template> = {}
  for (const [name, text] of Object.entries(templates)) {
    const { template } = readTemplate(JSON.parse(text))
    if (!template) throw new Error(`${name} does not read`)
    versions[name] = template
  }
  const { file } = readMember(JSON.parse(member), versions)
  if (!file) throw new Error('the member does not read')
  return JSON.stringify(
    planMember(file.member, file.enrolments, versions, { today: file.today ?? '', through: 'end' }),
  )
}
