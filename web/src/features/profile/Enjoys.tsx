import { useState } from 'react'
import type { Enjoys as Said } from '@young-oak/core/facts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { ExerciseList } from './ExerciseList.tsx'
import { useWord } from './useWord.ts'

/** Exercises that somebody likes to do, and what they have kept up. */
export function Enjoys({ enjoys, member }: { enjoys: Said; member: string | undefined }) {
  const { said, put } = useWord('enjoys', enjoys, member)
  const [typed, setTyped] = useState(enjoys.keptUp ?? '')
  const isChanged = typed.trim() !== (said.keptUp ?? '')
  return (
    <div className="mt-4 grid gap-3">
      <ExerciseList
        label="Favourite exercises"
        exercises={said.exercises}
        most={20}
        fits={() => true}
        onChange={(exercises) => put({ exercises })}
      />
      <form
        className="flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          put({ keptUp: typed.trim() || undefined })
        }}
      >
        <Field
          label="Training kept up over the years"
          className="grow"
          maxLength={200}
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
        />
        <Button type="submit" look="plain" className="min-h-11" disabled={!isChanged}>
          Save
        </Button>
      </form>
    </div>
  )
}
