import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { expect, it } from 'vitest';

/** Phrases the trade does not use, or which were quaint where a foreman would be plain; each with what stands in their place. */
const retired: [phrase: RegExp, instead: string][] = [
  [/\bbring in\b/i, 'import'],
  [/\btake along\b/i, 'export'],
  [/\btake away\b/i, 'delete'],
  [/shall be joined/i, 'new run'],
  [/\bhand the run over\b/i, 'sign off and hand over'],
  [/\bsnags?\b/i, 'problem'],
  [/\bsun layer\b/i, 'UV layer'],
  [/\btear off\b/i, 'cut'],
  [/\bre-?makes?\b/i, 'spare for re-terminating'],
  [/\bkey up\b/i, 'stop transmitting'],
  [/\bfeel along\b/i, 'touch each connector, transmitter off'],
  [/\bwrite over\b/i, 'edit, replace'],
  [/\bbears?\b/i, 'takes, handles'],
  [/\bis phase\b/i, 'cut to electrical length'],
  [/\bhottest place\b/i, 'highest ambient'],
  [/\bstands in the ice\b/i, 'exposed, icing'],
  [/\bknee\b/i, 'best value'],
  [/\bsoft stiff\b/i, 'stiff nylon'],
  [/\bit is (cut|wrapped)$/i, 'mark as cut, as sealed'],
  [/\blets? more through\b/i, 'higher let-through voltage'],
  [/^(keep|leave|make|forget|take|restore|load|put) it$/i, 'verb and object'],
  [/\bthinnest stands\b/i, 'no price known, sorted by diameter'],
  [/\bends teach\b/i, 'ends made and failed'],
  [/\bschools?\b/i, 'method'],
  [/\b((this|same|both|which) faces?|two faces)\b/i, 'connector'],
  [/\btop-hat train\b|\bparts train\b/i, 'order of parts'],
  [/\bearths? up\b/i, 'ground'],
];

const root = fileURLToPath(new URL('../..', import.meta.url));

/** Sentences and labels which a program can show: words with a blank between, or one that begins large. */
function textsOf(file: string): string[] {
  const source = ts.createSourceFile(
    file,
    readFileSync(file, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    ts.ScriptKind.TSX,
  );
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (
      ts.isStringLiteralLike(node) ||
      ts.isJsxText(node) ||
      ts.isTemplateHead(node) ||
      ts.isTemplateMiddleOrTemplateTail(node)
    )
      found.push(node.text.trim());
    node.forEachChild(visit);
  };
  visit(source);
  return found.filter((text) => /\s/.test(text) || /^[A-Z]/.test(text));
}

const filesIn = (folder: string): string[] =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.(test|fixture)\.tsx?$|\.d\.ts$/.test(name))
    .map((name) => join(root, folder, name));

const files = ['core/src', 'contract/src', 'server/src', 'cli/src', 'instruments/src', 'web/src'].flatMap(
  filesIn,
);

// The house's own list of words; the trade terms are those of the handbook of the trade.
it('no retired phrase is shown', () => {
  expect(files.length).toBeGreaterThan(400);
  // Only what holds a phrase anywhere is read as a program.
  const suspects = files.filter((file) => {
    const raw = readFileSync(file, 'utf8');
    return retired.some(([phrase]) => phrase.test(raw));
  });
  const shown = suspects.flatMap((file) =>
    textsOf(file).flatMap((text) =>
      retired
        .filter(([phrase]) => phrase.test(text))
        .map(([, instead]) => `${file.slice(root.length)}: “${text}” (instead: ${instead})`),
    ),
  );
  expect(shown).toEqual([]);
});
