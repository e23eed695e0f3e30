import { useState, type ReactNode } from 'react'

/** Something that can be set: what it is called, what it is set to as a sentence (null where it is as usual), and where it is edited. */
export type Answer = { name: string; said: string | null; field: ReactNode; isOpen?: boolean }

const summary = 'cursor-pointer py-1 decoration-dotted underline underline-offset-4 hover:text-leaf'

/**
 * What is set, each a sentence that opens where it is edited; what is as usual is not shown until asked for. What was usual when the
 * thing was selected stays where it is while it is edited, so that no field moves under the keyboard: its key is the thing.
 */
export function Answers({ answers }: { answers: Answer[] }) {
  const [usualNames] = useState(() => answers.flatMap(({ name, said }) => (said === null ? [name] : [])))
  const isUsual = ({ name }: Answer) => usualNames.includes(name)
  const usual = answers.filter(isUsual)
  return (
    <div className="grid gap-1 text-sm">
      {answers.map((answer) =>
        isUsual(answer) ? null : (
          <details key={answer.name} open={answer.isOpen || undefined}>
            <summary className={summary}>{answer.said ?? `${answer.name}: as usual`}</summary>
            <div className="py-2">{answer.field}</div>
          </details>
        ),
      )}
      {usual.length > 0 && (
        <details open={usual.some(({ isOpen }) => isOpen) || undefined}>
          <summary className={`${summary} text-bark`}>
            More settings: {usual.map(({ name }) => name).join(', ')}
          </summary>
          <div className="grid gap-4 py-2">
            {usual.map(({ name, field }) => (
              <div key={name}>{field}</div>
            ))}
          </div>
        </details>
      )}
    </div>
  )
}
