import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import { ruleOf, type RuleKind } from '@young-oak/core/progressions'
import { triggerKinds, triggerOf, type TriggerBasis, type TriggerKind } from '@young-oak/core/triggers'
import { checkCommand, sayIssue, type RuleOfStage, type Template } from '@young-oak/core/template'
import { useAppDispatch } from '../../../app/store.ts'
import { Acts } from '../../../ui/Acts.tsx'
import { Button } from '../../../ui/Button.tsx'
import { SelectField } from '../../../ui/Field.tsx'
import { Mark } from '../../../ui/Mark.tsx'
import { ParamFields } from '../../params/ParamFields.tsx'
import { draftOf, faultsOf, unflatten } from '../../params/paramDraft.ts'
import { edit } from '../editorSlice.ts'
import { RulePreview } from './RulePreview.tsx'
import { paramsFor } from './ruleStart.ts'
import { commandFor, rulesFor, slotsFeeding, standsAt, type Target, type Ways } from './ruleTarget.ts'

type Props = { draft: Template; template: string; file: MemberFile; target: Target; onClose: () => void }

/** A rule's numbers as fields, drawn from its parameters, with its sentence and what it comes to while they are typed; another rule may be put in its place. */
export function RuleForm({ draft, template, file, target, onClose }: Props) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const stands = standsAt(draft, target)
  const [rule, setRule] = useState<RuleKind>(stands.rule.rule)
  const [phase, setPhase] = useState(target.phase)
  const [typed, setTyped] = useState(() => draftOf(ruleOf[rule].params, stands.rule.params))
  const [ways, setWays] = useState<Ways>(stands.ways)
  const [faults, setFaults] = useState<Record<string, string>>({})
  const { params } = ruleOf[rule]
  const to = unflatten(typed)
  const isWhole = params.isValidSync(to, { strict: true })
  const at: Target = phase === undefined ? target : { progression: target.progression, phase }
  const command = isWhole ? commandFor(draft, at, { rule, params: to } as RuleOfStage, ways) : null
  const isKept = command !== null && !checkCommand(library, draft, command).length
  const choose = (kind: RuleKind) => {
    setRule(kind)
    setTyped(draftOf(ruleOf[kind].params, paramsFor(kind, stands.rule)))
    setFaults({})
  }
  const save = () => {
    const found = faultsOf(params, typed)
    if (Object.keys(found).length) return setFaults(found)
    const [issue] = command ? checkCommand(library, draft, command) : []
    if (issue) return setFaults({ '': sayIssue(library, draft, issue) })
    if (command) dispatch(edit(command))
    onClose()
  }
  const hasNext = target.phase === undefined && stands.ways.until !== undefined
  return (
    <div className="grid items-start gap-6 lg:grid-cols-[23rem_1fr]">
      <form
        className="grid grid-cols-2 items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          save()
        }}
      >
        {phase !== undefined && (
          <SelectField
            label="In the phase"
            className="col-span-full"
            value={phase}
            disabled={!stands.isNew}
            onChange={(event) => setPhase(event.target.value)}
          >
            {draft.phases.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectField>
        )}
        <SelectField
          label="Progression"
          className="col-span-full"
          value={rule}
          hint={
            rule === stands.rule.rule
              ? undefined
              : 'Settings of both progressions are kept; the others come from an example.'
          }
          onChange={(event) => choose(event.target.value as RuleKind)}
        >
          {rulesFor(draft, target.progression).map((kind) => (
            <option key={kind} value={kind}>
              {ruleOf[kind].title}
            </option>
          ))}
        </SelectField>
        <p className="col-span-full text-sm text-bark">
          {isWhole ? ruleOf[rule].sentence(to) : 'Incomplete: “Save progression” shows what is missing.'}
        </p>
        <ParamFields key={rule} kind={ruleOf[rule]} typed={typed} faults={faults} onType={setTyped} />
        {target.phase === undefined && <WaysFields ways={ways} hasNext={hasNext} onChange={setWays} />}
        <Acts>
          <Button look="plain" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit">Save progression</Button>
        </Acts>
      </form>
      <div className="min-w-0 border-t border-line pt-3 lg:border-t-0 lg:border-l lg:pt-0 lg:pl-6">
        <RulePreview
          draft={draft}
          template={template}
          file={file}
          trial={isKept ? command : null}
          slots={slotsFeeding(draft, target.progression)}
        />
      </div>
    </div>
  )
}

type WaysProps = { ways: Ways; hasNext: boolean; onChange: (ways: Ways) => void }

/** Whether a stage waits for good technique, and the sign with which it hands the lift on, or offers to. */
function WaysFields({ ways, hasNext, onChange }: WaysProps) {
  const { until } = ways
  const { trigger: sign, ...own } = until ?? { trigger: 'stalled' as const, misses: 2, of: 3 }
  const [typed, setTyped] = useState(() => draftOf(triggerOf[sign].params, own))
  const put = (kind: TriggerKind, next: Record<string, string>) => {
    setTyped(next)
    onChange({ ...ways, until: { trigger: kind, ...unflatten(next) } as TriggerBasis })
  }
  const choose = (kind: TriggerKind) =>
    put(kind, draftOf(triggerOf[kind].params, triggerOf[kind].examples[0]?.params ?? {}))
  const notOffered = ({ offers: _, ...rest }: Ways): Ways => rest
  return (
    <fieldset className="col-span-full grid grid-cols-2 gap-3 border-t border-line pt-3">
      <div className="col-span-full">
        <Mark
          label="Require a good technique rating: a hit without one changes nothing"
          isOn={ways.waits === 'technique'}
          onChange={(isOn) => {
            const { waits: _, ...rest } = ways
            onChange(isOn ? { ...rest, waits: 'technique' } : rest)
          }}
        />
      </div>
      {hasNext && (
        <>
          <SelectField
            label="When to move on to the next progression"
            className="col-span-full"
            value={sign}
            onChange={(event) => choose(event.target.value as TriggerKind)}
          >
            {triggerKinds.map((kind) => (
              <option key={kind} value={kind}>
                {triggerOf[kind].title}
              </option>
            ))}
          </SelectField>
          <ParamFields
            key={sign}
            kind={triggerOf[sign]}
            typed={typed}
            faults={faultsOf(triggerOf[sign].params, typed)}
            onType={(next) => put(sign, next)}
          />
          <label className="col-span-full flex min-h-9 items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-4 accent-leaf"
              checked={ways.offers === true}
              onChange={(event) =>
                onChange(event.target.checked ? { ...ways, offers: true } : notOffered(ways))
              }
            />
            Offer the next progression instead of starting it automatically
          </label>
        </>
      )}
    </fieldset>
  )
}
