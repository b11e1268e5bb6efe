import { fileURLToPath } from 'node:url';
import vm from 'node:vm';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import * as engine from '../src/engine.ts';
import * as core from '../src/index.ts';
import * as lab from '../src/lab.ts';
import * as practice from '../src/practice.ts';

/** Examples in the comments of public functions: an expression, two slashes, what comes out. */
const EXAMPLE = /^(.*?) \/\/ (.*)$/;
const PUBLIC = ['index.ts', 'engine.ts', 'lab.ts', 'practice.ts'].map((file) =>
  fileURLToPath(new URL(`../src/${file}`, import.meta.url)),
);
const program = ts.createProgram(PUBLIC, {
  allowImportingTsExtensions: true,
  noEmit: true,
  strict: true,
  skipLibCheck: true,
  resolveJsonModule: true,
  target: ts.ScriptTarget.ES2023,
  module: ts.ModuleKind.ESNext,
  moduleResolution: ts.ModuleResolutionKind.Bundler,
});
const checker = program.getTypeChecker();

function publicFunctions(): ts.FunctionDeclaration[] {
  const symbols = PUBLIC.flatMap((file) =>
    checker.getExportsOfModule(checker.getSymbolAtLocation(program.getSourceFile(file)!)!),
  ).map((symbol) =>
    symbol.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(symbol) : symbol,
  );
  return [...new Set(symbols)].flatMap(({ valueDeclaration }) =>
    valueDeclaration && ts.isFunctionDeclaration(valueDeclaration) ? [valueDeclaration] : [],
  );
}

const PLAIN =
  ts.TypeFlags.StringLike |
  ts.TypeFlags.NumberLike |
  ts.TypeFlags.BooleanLike |
  ts.TypeFlags.Null |
  ts.TypeFlags.Undefined;

/** A text, a number, yes or no, or a choice of them: what an example can write out. */
function isPlain(type: ts.Type): boolean {
  return (type.flags & PLAIN) !== 0 || (type.isUnion() && type.types.every(isPlain));
}

/** The same, or a record of such values: what a job gives a calculator. */
function isPlainInput(type: ts.Type): boolean {
  const isRecord =
    (type.flags & ts.TypeFlags.Object) !== 0 && type.getCallSignatures().length === 0;
  if (!isRecord || checker.isArrayType(type) || checker.isTupleType(type)) return isPlain(type);
  const members = checker
    .getPropertiesOfType(type)
    .map((member) => checker.getTypeOfSymbol(member));
  return members.every(isPlain);
}

function examplesOf(declaration: ts.FunctionDeclaration): string[] {
  return ts
    .getJSDocTags(declaration)
    .filter(({ tagName }) => tagName.text === 'example')
    .map(({ comment }) => ts.getTextOfJSDocComment(comment) ?? '');
}

const functions = publicFunctions();
const names: Record<string, unknown> = { ...core, ...engine, ...lab, ...practice };
const ask = (expression: string): unknown => vm.runInNewContext(`(${expression})`, { ...names });

describe('public functions', () => {
  it('of plain values, and of records of them, show an example', () => {
    const without = functions.filter((declaration) => {
      const signature = checker.getSignatureFromDeclaration(declaration)!;
      return (
        declaration.parameters.length > 0 &&
        declaration.parameters.every((one) => isPlainInput(checker.getTypeAtLocation(one))) &&
        isPlainInput(checker.getReturnTypeOfSignature(signature)) &&
        examplesOf(declaration).length === 0
      );
    });
    expect(without.map(({ name }) => name!.text)).toEqual([]);
  });

  it('say what they are for', () => {
    const silent = functions.filter(
      (declaration) => ts.getJSDocCommentsAndTags(declaration).length === 0,
    );
    expect(silent.map(({ name }) => name!.text)).toEqual([]);
  });

  const examples = functions.flatMap((declaration) => examplesOf(declaration));

  it.each(examples)('%s', (example) => {
    const [, expression, result] = EXAMPLE.exec(example) ?? [];
    expect(expression).toBeDefined();
    expect(ask(expression!)).toEqual(ask(result!));
  });
});
