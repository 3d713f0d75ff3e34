/**
 * `npm run diagnose -- case.json`: a case as somebody wrote it, its causes in order. docs/CLINIC.md has the
 * names.
 */
import { readFileSync } from 'node:fs';
import { CaseError, contradictionsIn, diagnose, readCase } from '../src/core/diagnosis';

const [path] = process.argv.slice(2);

function read(): unknown {
  if (path === undefined) throw new CaseError('Say which case: npm run diagnose -- case.json');
  let text: string;
  try {
    text = readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch {
    throw new CaseError(`There is no file “${path}”.`);
  }
  try {
    return JSON.parse(text);
  } catch {
    throw new CaseError(`“${path}” is no JSON.`);
  }
}

const rounded = (value: number): number => Math.round(value * 10_000) / 10_000;

try {
  const written = readCase(read());
  for (const [one, two] of contradictionsIn(written.facts))
    process.stderr.write(
      `“${one.fact}” ${one.value} and “${two.fact}” ${two.value} cannot both hold: which is it? Both are counted.\n`,
    );
  const { causes, other, ask, tests, cautions } = diagnose(written);
  const told = {
    cautions,
    causes: causes.map(({ id, name, probability, ruledOut, ...one }) => ({
      id,
      name,
      probability: rounded(probability),
      for: one.for.map(({ fact, value, weight }) => ({ fact, value, weight: rounded(weight) })),
      against: one.against.map(({ fact, value, weight }) => ({ fact, value, weight: rounded(weight) })),
      ...(ruledOut === null ? {} : { ruledOut }),
    })),
    other: rounded(other),
    ask: ask.map(({ bits, ...one }) => ({ ...one, bits: rounded(bits) })),
    tests: tests.map(({ bits, ...one }) => ({ ...one, bits: rounded(bits) })),
  };
  process.stdout.write(`${JSON.stringify(told, null, 2)}\n`);
} catch (error) {
  if (!(error instanceof CaseError)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
}
