export function isBuilt(): boolean
export function build(): void
