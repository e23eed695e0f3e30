import { useForm, useWatch, type Control, type UseFormSetValue } from 'react-hook-form'
import type { MemberFile } from '@young-oak/api/members'
import { ruleOf } from '@young-oak/core/progressions'
import { triggerKinds, triggerOf } from '@young-oak/core/triggers'
import type { Command, Template } from '@young-oak/core/template'
import { draftResolver } from '../../../app/draftResolver.ts'
import { useAppDispatch } from '../../../app/store.ts'
import { Acts } from '../../../ui/Acts.tsx'
import { Alert } from '../../../ui/Alert.tsx'
import { Button } from '../../../ui/Button.tsx'
import { FormMark } from '../../../ui/FormMark.tsx'
import { FormSelect } from '../../../ui/FormSelect.tsx'
import { useLibrary } from '../../library/useLibrary.ts'
import { FormParams } from '../../params/FormParams.tsx'
import { edit } from '../editorSlice.ts'
import {
  handsOn,
  paramsOfRule,
  paramsOfTrigger,
  readRule,
  ruleDraftOf,
  sayRule,
  type RuleDraft,
} from './ruleDraft.ts'
import { RulePreview } from './RulePreview.tsx'
import { rulesFor, slotsFeeding, standsAt, type Target } from './ruleTarget.ts'

type Props = { draft: Template; template: string; file: MemberFile; target: Target; onClose: () => void }

/** A rule's numbers as fields, drawn from its parameters, with its sentence and what it comes to while they are typed; another rule may be put in its place. */
export function RuleForm({ draft, template, file, target, onClose }: Props) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const read = (given: RuleDraft) => readRule(library, draft, target, given)
  const { control, handleSubmit, setValue, clearErrors, formState } = useForm<
    RuleDraft,
    unknown,
    { command: Command | null }
  >({ resolver: draftResolver(read), defaultValues: ruleDraftOf(draft, target) })
  const given = useWatch({ control }) as RuleDraft
  const { rule } = given
  const stands = standsAt(draft, target)
  const save = ({ command }: { command: Command | null }) => {
    if (command) dispatch(edit(command))
    onClose()
  }
  return (
    <div className="grid items-start gap-6 lg:grid-cols-[23rem_1fr]">
      <form
        noValidate
        className="grid grid-cols-2 items-end gap-3"
        onSubmit={(event) => void handleSubmit(save)(event)}
      >
        {target.phase !== undefined && (
          <FormSelect
            control={control}
            name="phase"
            label="In the phase"
            className="col-span-full"
            disabled={!stands.isNew}
            options={draft.phases.map(({ id, name }) => [id, name])}
          />
        )}
        <FormSelect
          control={control}
          name="rule"
          label="Progression"
          className="col-span-full"
          hint={
            rule === stands.rule.rule
              ? undefined
              : 'Settings of both progressions are kept; the others come from an example.'
          }
          options={rulesFor(draft, target.progression).map((kind) => [kind, ruleOf[kind].title])}
          onChosen={(to) => {
            setValue('params', paramsOfRule(draft, target, to))
            clearErrors()
          }}
        />
        <p className="col-span-full text-sm text-bark">
          {sayRule(given) ?? 'Incomplete: “Save progression” shows what is missing.'}
        </p>
        <FormParams key={rule} control={control} name="params" kind={ruleOf[rule]} />
        {target.phase === undefined && (
          <StageFields
            control={control}
            setValue={setValue}
            trigger={handsOn(draft, target) ? given.trigger : null}
          />
        )}
        <Alert className="col-span-full">{formState.errors.root?.message}</Alert>
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
          trial={read(given).value?.command ?? null}
          slots={slotsFeeding(draft, target.progression)}
        />
      </div>
    </div>
  )
}

type StageProps = {
  control: Control<RuleDraft, unknown, { command: Command | null }>
  setValue: UseFormSetValue<RuleDraft>
  /** What ends the stage; null where it is the last. */
  trigger: RuleDraft['trigger'] | null
}

/** Whether a stage waits for good technique, and the trigger with which it hands the lift on, or offers to. */
const StageFields = ({ control, setValue, trigger }: StageProps) => (
  <fieldset className="col-span-full grid grid-cols-2 gap-3 border-t border-line pt-3">
    <FormMark
      control={control}
      name="needsTechnique"
      label="Require a good technique rating: a hit without one changes nothing"
      className="col-span-full"
    />
    {trigger && (
      <>
        <FormSelect
          control={control}
          name="trigger"
          label="When to move on to the next progression"
          className="col-span-full"
          options={triggerKinds.map((kind) => [kind, triggerOf[kind].title])}
          onChosen={(to) => setValue('until', paramsOfTrigger(to))}
        />
        <FormParams key={trigger} control={control} name="until" kind={triggerOf[trigger]} />
        <FormMark
          control={control}
          name="isOffer"
          label="Offer the next progression instead of starting it automatically"
          className="col-span-full"
        />
      </>
    )}
  </fieldset>
)
