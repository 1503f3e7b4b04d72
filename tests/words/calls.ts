/** Where the sources say a message: with which key, and which things to stand in it. */
import ts from 'typescript';

export interface Call {
  file: string;
  line: number;
  /** Fits every key that may be meant. */
  key: RegExp;
  /** Whether the key stands there as it is; else it is put together from parts, and fits some that never come of it. */
  exact: boolean;
  /** Names of what is given to stand in it. */
  given: readonly string[];
}

/** What names messages without the part of the catalogue they stand under, and that part. */
export const UNDER: Readonly<Record<string, string>> = {
  CoreError: 'unusable',
  FormatError: 'unusable',
  Unusable: 'headless',
  sentence: 'errors',
  saying: 'errors',
};

/** What every key that is said there begins with; null for what says no message. */
function partOf(call: string): string | null {
  if (call === 'message' || call === 'say') return '';
  return Object.hasOwn(UNDER, call) ? `${UNDER[call]}.` : null;
}

/** A text as a pattern that fits it alone. */
export const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Patterns of the keys an expression may come to; none where it cannot be seen. */
function keysOf(e: ts.Expression): { pattern: string; exact: boolean }[] {
  if (ts.isStringLiteralLike(e)) return [{ pattern: escaped(e.text), exact: true }];
  if (ts.isConditionalExpression(e)) return [...keysOf(e.whenTrue), ...keysOf(e.whenFalse)];
  if (ts.isParenthesizedExpression(e)) return keysOf(e.expression);
  if (ts.isTemplateExpression(e))
    return [{ pattern: escaped(e.head.text) + e.templateSpans.map((s) => `[\\w.-]+${escaped(s.literal.text)}`).join(''), exact: false }];
  return [];
}

/** Names an object literal surely or possibly has; null where it cannot be seen. */
function namesOf(e: ts.Expression | undefined): string[] | null {
  if (!e) return [];
  if (ts.isConditionalExpression(e)) {
    const [a, b] = [namesOf(e.whenTrue), namesOf(e.whenFalse)];
    return a && b && [...a, ...b];
  }
  if (ts.isParenthesizedExpression(e)) return namesOf(e.expression);
  if (!ts.isObjectLiteralExpression(e)) return null;
  const names: string[] = [];
  for (const p of e.properties) {
    if (ts.isSpreadAssignment(p)) {
      const spread = namesOf(p.expression);
      if (!spread) return null;
      names.push(...spread);
    } else if (ts.isIdentifier(p.name) || ts.isStringLiteral(p.name)) names.push(p.name.text);
    else return null;
  }
  return names;
}

/** The calls of one source whose key and whose things can be seen where they stand. */
export function callsIn(file: string, text: string): Call[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS);
  const calls: Call[] = [];
  const visit = (node: ts.Node): void => {
    if ((ts.isCallExpression(node) || ts.isNewExpression(node)) && ts.isIdentifier(node.expression)) {
      const part = partOf(node.expression.text);
      const [key, things] = node.arguments ?? [];
      const given = part === null || !key ? null : namesOf(things);
      if (given)
        for (const { pattern, exact } of keysOf(key))
          calls.push({
            file,
            line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1,
            key: new RegExp(`^${escaped(part!)}${pattern}$`),
            exact,
            given,
          });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return calls;
}
