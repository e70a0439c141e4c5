import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { inRoot } from './paths.mjs';

const severities = ['stop', 'fix', 'note'];

const sourcesIn = (folder) =>
  readdirSync(folder, { recursive: true })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map((name) => path.join(folder, name));

const words = (text) => text.replace(/\s+/g, ' ').trim();

/** The words of the comment before a declaration. */
const commentOf = (node) => {
  const [comment] = ts.getJSDocCommentsAndTags(node).filter(ts.isJSDoc);
  return comment === undefined ? '' : words(ts.getTextOfJSDocComment(comment.comment) ?? '');
};

const visit = (node, see) => {
  see(node);
  ts.forEachChild(node, (child) => visit(child, see));
};

const propertyOf = (object, name) =>
  object.properties.find((property) => property.name !== undefined && property.name.getText() === name);

const literalsIn = (node) => {
  const found = [];
  visit(node, (each) => {
    if (ts.isStringLiteral(each) || ts.isNoSubstitutionTemplateLiteral(each)) found.push(each.text);
  });
  return found;
};

/** A property that says `id: 'word'`. */
const idOf = (object) => {
  const id = propertyOf(object, 'id');
  return id !== undefined && ts.isPropertyAssignment(id) && ts.isStringLiteral(id.initializer)
    ? id.initializer.text
    : null;
};

/** Every declaration at the top of the files, by its name. */
const declarations = (files) =>
  files.flatMap((file) => {
    const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
    return source.statements.filter(ts.isVariableStatement).flatMap((statement) =>
      statement.declarationList.declarations.map((declaration) => ({
        file,
        name: declaration.name.getText(),
        body: declaration.initializer,
        comment: commentOf(statement),
      })),
    );
  });

/** Ids of remedies by the names of the functions that make them; those of one function that calls another are its own. */
const remedyIds = (all) => {
  const known = new Map();
  for (const { name, body } of all) {
    if (body === undefined || !ts.isArrowFunction(body)) continue;
    visit(body, (node) => {
      if (ts.isObjectLiteralExpression(node) && propertyOf(node, 'candidates') !== undefined && idOf(node) !== null)
        known.set(name, idOf(node));
      if (
        ts.isObjectLiteralExpression(node) &&
        idOf(node) !== null &&
        node.properties.some(ts.isSpreadAssignment) &&
        propertyOf(node, 'severity') === undefined
      )
        known.set(name, idOf(node));
    });
  }
  return known;
};

const remediesIn = (node, helpers) => {
  const found = new Set();
  visit(node, (each) => {
    if (ts.isObjectLiteralExpression(each) && idOf(each) !== null) found.add(idOf(each));
    if (!ts.isCallExpression(each)) return;
    const called = each.expression.getText().split('.').at(-1);
    const [first] = each.arguments;
    if (called === 'oneChange' && first !== undefined && ts.isStringLiteral(first)) found.add(first.text);
    else if (helpers.has(called)) found.add(helpers.get(called));
  });
  return [...found];
};

/** Every rule: what it is called, what makes it speak, how gravely, and by what it is mended. */
export const findingsPage = () => {
  const folders = ['judging/findings', 'builds'].map((each) => inRoot('packages/core/src', each));
  const all = declarations(folders.flatMap(sourcesIn));
  const helpers = remedyIds(all);
  const rows = all.flatMap(({ file, body, comment }) => {
    const rules = [];
    if (body !== undefined)
      visit(body, (node) => {
        if (!ts.isObjectLiteralExpression(node)) return;
        const [severity, remedies, target] = ['severity', 'remedies', 'target'].map((name) => propertyOf(node, name));
        if (severity === undefined || target === undefined || idOf(node) === null) return;
        rules.push({
          id: idOf(node),
          step: literalsIn(propertyOf(node, 'step'))[0] ?? '',
          severity: severities.filter((each) => literalsIn(severity).includes(each)),
          remedies: remedies === undefined ? [] : remediesIn(remedies, helpers),
          of: path.relative(inRoot('packages/core/src'), file).replaceAll(path.sep, '/'),
          comment,
        });
      });
    return rules;
  });
  const line = ({ id, step, severity, remedies, of, comment }) =>
    `| \`${id}\` | ${step} | ${severity.join(', ')} | ${comment.replaceAll('|', '\\|')} | ${remedies.map((each) => `\`${each}\``).join(', ') || '–'} | \`${of}\` |`;
  return [
    `${rows.length} rules, read from where they stand.`,
    '',
    '| finding | step | how grave | what makes it | what is tried to mend it | where |',
    '| --- | --- | --- | --- | --- | --- |',
    ...rows.sort((a, b) => a.id.localeCompare(b.id) || a.of.localeCompare(b.of)).map(line),
  ].join('\n');
};
