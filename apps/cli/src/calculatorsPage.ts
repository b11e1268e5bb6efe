import { isDeepStrictEqual } from 'node:util';
import type { CalculatorName } from '@keen/contract';
import { CALCULATOR_NAMES, calculatorJsonSchemas } from '@keen/contract';
import { calculate, CALCULATOR_EXAMPLES } from '@keen/core';
import { CALCULATOR_PURPOSES } from './calculatorPurposes.ts';

/** What is used here of a JSON Schema. */
interface Shape {
  type?: string | string[];
  description?: string;
  enum?: readonly unknown[];
  properties?: Record<string, Shape>;
  required?: readonly string[];
  anyOf?: readonly Shape[];
}

const HEAD = `# Calculators

Every calculator of \`keen calc\`, with a job for each. Lengths are mm and angles degrees unless a unit is asked for;
results are not rounded. This page is written by \`npm run docs\` from what checks the input and from the calculators
themselves, and a test holds it to them.

Put a vehicle's own data before any figure from here, and work on lifted cars only as you were taught: the maker's
data, local law and a licensed technician decide.
`;

/** The page of the calculators: what each takes and answers, and an example that is worked out again. */
export function calculatorsPage(): string {
  return [HEAD, ...CALCULATOR_NAMES.map(chapter)].join('\n');
}

function chapter(name: CalculatorName): string {
  const input = CALCULATOR_EXAMPLES[name];
  const output = calculate(name, input as never);
  const schemas = calculatorJsonSchemas(name);
  return `## ${name}

${CALCULATOR_PURPOSES[name]}

Takes:

${fields(schemas.in as Shape)}

Answers:

${fields(schemas.out as Shape)}

\`\`\`sh
npm run -s keen -- calc ${name} '${JSON.stringify(input)}'
\`\`\`

\`\`\`json
${JSON.stringify(output)}
\`\`\`
`;
}

/** The fields of a schema as a list, those within others by their dotted path. */
function fields(shape: Shape): string {
  return lines(shape, '').join('\n');
}

function lines({ properties = {}, required = [] }: Shape, at: string): string[] {
  return Object.entries(properties).flatMap(([name, whole]) => {
    // What may be null is described beside that.
    const shape = whole.anyOf?.find(({ type }) => type !== 'null') ?? whole;
    const says = [...(required.includes(name) ? [] : ['Optional.']), ...valuesOf(shape)];
    if (shape !== whole && whole.description !== undefined) says.push(whole.description);
    const { path, inner } = alike(at + name, shape);
    const within = lines(inner, `${path}.`);
    if (says.length === 0 && within.length > 0) return within;
    return [`- \`${path}\`${says.length > 0 ? `: ${says.join(' ')}` : ''}`, ...within];
  });
}

function valuesOf({ enum: values, type, description }: Shape): string[] {
  return [
    ...(values ? [`One of ${values.map((value) => `\`${String(value)}\``).join(', ')}.`] : []),
    ...(type === 'boolean' ? ['True or false.'] : []),
    ...(description === undefined ? [] : [description]),
  ];
}

/** Fields of which nothing is said but what is said of all of them, as `wheels.{lf,rf}.{front,rear}`. */
function alike(path: string, shape: Shape): { path: string; inner: Shape } {
  const parts = Object.entries(shape.properties ?? {});
  const [first] = parts;
  if (!first || first[1].anyOf || valuesOf(first[1]).length > 0) return { path, inner: shape };
  const isAlike = parts.every(([, part]) => isDeepStrictEqual(part, first[1]));
  if (!isAlike) return { path, inner: shape };
  return alike(`${path}.{${parts.map(([name]) => name).join(',')}}`, first[1]);
}
