// npm run strings: every sentence and label that is shown, with its place, so that they can be read side by side.
import { readFileSync } from 'node:fs'
import { execFileSync } from 'node:child_process'
import { pathToFileURL } from 'node:url'
import ts from 'typescript'

export type Shown = { place: string; text: string }

const rooms = ['core/src', 'api/src', 'server/src', 'web/src', 'scripts/plan.ts']
const isSource = (file: string) =>
  /\.tsx?$/.test(file) && !/\.test\.|\/testing\/|\/migrations\/|\/upgrades\/|\/retired\.ts$/.test(file)

/** What is shown: text between tags, and strings and templates that are words for a reader. `{…}` stands for what is filled in. */
export function shownStrings(): Shown[] {
  const listed = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', ...rooms], {
    encoding: 'utf8',
  })
  return listed.trim().split('\n').filter(isSource).flatMap(stringsIn)
}

function stringsIn(file: string): Shown[] {
  const text = readFileSync(file, 'utf8')
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, kind)
  const found: Shown[] = []
  const add = (node: ts.Node, said: string) => {
    const line = source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1
    const words = said.replace(/\s+/g, ' ').trim()
    if (isForReaders(node, words)) found.push({ place: `${file}:${line}`, text: words })
  }
  const visit = (node: ts.Node): void => {
    if (ts.isJsxText(node)) add(node, node.text)
    else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node, node.text)
    else if (ts.isTemplateExpression(node))
      add(node, node.head.text + node.templateSpans.map(({ literal }) => `{…}${literal.text}`).join(''))
    if (!ts.isImportDeclaration(node) && !ts.isExportDeclaration(node)) ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

/** Words, not a key, a class list, a query or a type. */
function isForReaders(node: ts.Node, text: string): boolean {
  if (!/\p{L}{2}/u.test(text)) return false
  if (ts.isJsxText(node)) return true
  const { parent } = node
  if (ts.isLiteralTypeNode(parent) || ts.isImportTypeNode(parent)) return false
  if (ts.isJsxAttribute(parent))
    return /^(label|aria-label|title|placeholder|hint|alt|note|empty)$/.test(parent.name.getText())
  if (isInClassName(node)) return false
  if (
    /^(select|insert|update|with|from|delete|alter|create|grant)\b/i.test(text) &&
    /\b(from|into|set|where)\b/.test(text)
  )
    return false
  return /[\p{L})}] [\p{L}({“"]/u.test(text) && !/^[\w.$[\]{}…-]+$/.test(text)
}

function isInClassName(node: ts.Node): boolean {
  for (let at: ts.Node | undefined = node.parent; at; at = at.parent) {
    if (ts.isJsxAttribute(at)) return at.name.getText() === 'className' || at.name.getText() === 'd'
    if (ts.isStatement(at)) return false
  }
  return false
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href)
  for (const { place, text } of shownStrings()) process.stdout.write(`${place}\t${text}\n`)
