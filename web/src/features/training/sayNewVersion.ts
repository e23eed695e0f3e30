import type { NewVersion } from '@young-oak/api/publications'
import { formatDay } from '@young-oak/core/units'

/** "Version 2 since 30 Nov 2026: lighter bench". */
export const sayNewVersion = ({ version, from, note }: NewVersion): string =>
  `Version ${version} since ${formatDay(from)}${note && `: ${note}`}`
