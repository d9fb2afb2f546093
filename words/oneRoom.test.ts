import { readFileSync, readdirSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import ts from 'typescript';

/**
 * Core says nothing: what is wrong, what is to be done and what a thing is called is said in words/, in the unit at hand.
 * Formulas, values and sources of a working are notation, and messages of programmer errors are for programmers.
 */
const NOTATION = new Set(['source', 'formula', 'values', 'symbol', 'name', 'description', 'near', 'right']);
const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((f) =>
    f.isDirectory()
      ? f.name === 'generated'
        ? []
        : filesIn(`${folder}/${f.name}`)
      : f.name.endsWith('.ts') && !f.name.endsWith('.test.ts')
        ? [`${folder}/${f.name}`]
        : [],
  );
const transparent = (n: ts.Node): boolean =>
  ts.isConditionalExpression(n) ||
  ts.isBinaryExpression(n) ||
  ts.isParenthesizedExpression(n) ||
  ts.isTemplateSpan(n) ||
  ts.isTemplateExpression(n);

function sentencesOf(file: string, text: string): string[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  const visit = (n: ts.Node): void => {
    const said =
      ts.isStringLiteral(n) || ts.isNoSubstitutionTemplateLiteral(n)
        ? n.text
        : ts.isTemplateExpression(n)
          ? [n.head.text, ...n.templateSpans.map((s) => s.literal.text)].join(' ')
          : null;
    if (said !== null && said.split(/\s+/).filter((w) => /^[a-z]{2,}/i.test(w)).length >= 5) {
      let p: ts.Node = n.parent;
      while (transparent(p)) p = p.parent;
      const notation = ts.isPropertyAssignment(p) && NOTATION.has(p.name.getText());
      let programmers = false;
      for (let q: ts.Node | undefined = n; q; q = q.parent as ts.Node | undefined)
        programmers ||= (ts.isNewExpression(q) && /Error/.test(q.expression.getText())) || ts.isTypeNode(q);
      if (!notation && !programmers) found.push(`${file}: ${said.slice(0, 90)}`);
    }
    ts.forEachChild(n, visit);
  };
  visit(source);
  return found;
}

test('core holds no sentences', () => {
  const all = filesIn('core');
  expect(all.length).toBeGreaterThan(100);
  expect(all.flatMap((f) => sentencesOf(f, readFileSync(f, 'utf8')))).toEqual([]);
});
test('and one that did would be found', () => {
  expect(sentencesOf('x.ts', 'export const a = `The blank is ${b} mm over the nominal diameter.`;')).toHaveLength(1);
  expect(sentencesOf('x.ts', "throw new RangeError('the gears must be pairs of whole numbers')")).toEqual([]);
});

/** What is drawn is drawn with sines; nothing else in a view is. */
const DRAWN = /(Drawing|Dial|Overlay|Plot|Plate)\.tsx$/;
test('views work nothing out: no trigonometry, and none of its helpers, outside drawings', () => {
  const views = ['app/stations', 'app/shop', 'app/shell'].flatMap((folder) =>
    readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((f) => /\.tsx?$/.test(f) && !f.includes('.test.') && !DRAWN.test(f))
      .map((f) => `${folder}/${f}`),
  );
  expect(views.length).toBeGreaterThan(40);
  const worked = /Math\.(sin|cos|tan|atan2?|sqrt|hypot|PI|SQRT2)|\b(tan|cos|sin)Deg\b/;
  expect(views.filter((f) => worked.test(readFileSync(f, 'utf8')))).toEqual([]);
});
