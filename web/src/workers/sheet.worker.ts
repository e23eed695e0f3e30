import { expose } from 'comlink'
import Papa from 'papaparse'
import { maxSheet, type MaxReading, type SheetContext } from '@young-oak/core/parsing'

/** Reads a sheet of maxes line by line, off the page: a file of any length streams through, and says how far it has come. */
const reader = {
  read(
    source: File | string,
    context: SheetContext,
    onProgress: (lines: number) => void,
  ): Promise<MaxReading> {
    const { read, reading } = maxSheet(context)
    return new Promise((resolve, reject) => {
      const config = {
        skipEmptyLines: false as const,
        step: ({ data }: { data: string[] }) => {
          read(data)
          if (reading.lines % 5000 === 0) onProgress(reading.lines)
        },
        complete: () => resolve(reading),
        error: (error: Error) => reject(error),
      }
      if (typeof source === 'string') Papa.parse<string[]>(source, config)
      else Papa.parse<string[]>(source, { ...config, chunkSize: 256 * 1024 })
    })
  },
}

export type SheetReader = typeof reader
expose(reader)
