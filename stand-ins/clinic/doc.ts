/**
 * docs/CLINIC.md, made from the tables: how to write a case down, and how far what is said may be believed.
 */
import { CAUSES, COMPLAINTS, diagnose, FACTS, GROUPS, readCase, SPREADS } from '../../src/core/diagnosis';
import { WORKED } from '../../test-support/clinic-cases';
import type { Calibration } from './world';

const cells = (...list: readonly (string | number)[]): string => `| ${list.join(' | ')} |`;
const table = (head: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  [cells(...head), cells(...head.map(() => '---')), ...rows.map((row) => cells(...row))].join('\n');
const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** What can be said in a case, and what the clinic knows. */
export function vocabulary(): string {
  return `# The clinic

Made by \`npm run clinic-doc\` from \`src/core/diagnosis\`; written by hand nowhere.

\`npm run diagnose -- case.json\` reads a case and prints its causes in order, with what speaks for and against each (weights are
decimal logarithms, as they counted), how likely it is that it is something else, what to ask next, and which test would tell most.

\`\`\`json
{
  "findings": [{ "sign": "pinhole", "where": "trimmed", "when": "opening", "spread": "this body", "wanted": false }],
  "facts": { "bisque": "fast", "absorption": 2.4, "heat": "unknown" }
}
\`\`\`

\`where\` is a value of the fact \`where\` (or \`only where thick\`, \`only where thin\`, which are values of \`thickness\`), \`when\` a value of
\`first-seen\`, \`spread\` one of: ${Object.keys(SPREADS)
    .map((one) => `\`${one}\``)
    .join(', ')}. What is not known is left out, or said to be \`unknown\`;
it weighs nothing. Findings that were \`wanted\` are no complaint. Names that are not known are refused with the nearest one.

## How it reckons

Each cause has a share for each complaint it takes part in: in how many of 100 cases, with nothing else known (electric, mid-range, two
firings; judgement, right within a factor of two). From these follow how often it is at work at all and how often it then brings the
complaint about. Each fact speaks for or against by how much more often it is found with the cause than with its rivals; what a table
does not name shares what is left. Facts that tell of the same thing count together, for no more than the strongest and a third.
Every explanation by nothing on the list, by one cause or by two is weighed (noisy-or with a leak), so that one good explanation lowers
the rest and nothing is ever certain. What to ask is what is expected to tell most, in bits for the trouble of a look.

## Signs

${GROUPS.map(
  (group) =>
    `### ${group}\n\n${table(
      ['sign', 'name', 'look', 'on record as'],
      COMPLAINTS.filter((one) => one.group === group).map((one) => [
        `\`${one.id}\``,
        one.name,
        one.look + (one.fuel ? ' (fuel kilns)' : ''),
        one.sign ?? '–',
      ]),
    )}`,
).join('\n\n')}

## Facts

${table(
  ['fact', 'question', 'values', 'found out by'],
  FACTS.map((one) => [
    `\`${one.id}\`${one.number ? ` (${one.number.unit}; bounds ${one.number.bounds.join(', ')})` : ''}`,
    one.question,
    one.values.map(({ id, words }) => `\`${id}\` ${words}`).join(' · '),
    one.asked,
  ]),
)}

## Causes

${table(
  ['cause', 'name', 'in 100 cases of', 'acts on', 'source'],
  CAUSES.map((one) => [
    `\`${one.id}\``,
    one.name,
    Object.entries(one.shares)
      .map(([sign, share]) => `${sign} ${share}`)
      .join(', '),
    one.scope,
    one.source,
  ]),
)}
`;
}

function worked(): string {
  const counted = [false, true].map((aside) => {
    const cases = WORKED.filter((one) => (one.aside === true) === aside);
    const ranks = cases.map(({ signs, facts, truth }) =>
      diagnose(readCase({ findings: signs.map((sign) => ({ sign })), facts })).causes.findIndex(({ id }) =>
        truth.includes(id),
      ),
    );
    const first = ranks.filter((rank) => rank === 0).length;
    const three = ranks.filter((rank) => rank >= 0 && rank < 3).length;
    return [aside ? 'kept aside until the end' : 'looked at', cases.length, first, three];
  });
  return table(['cases worked out by hand', 'how many', 'first', 'among the first three'], counted);
}

/** How far it may be believed. */
export function figures(all: readonly Calibration[]): string {
  return `## How far it may be believed

**This checks the sums, not the trade.** ${worked()
    .split('\n')
    .map((line, i) => (i === 0 ? `\n\n${line}` : line))
    .join('\n')}

Cases and weights were written by the same hands from the same memory (cases first, and committed first): that they agree shows
that the sums say what was meant, and nothing about kilns. Nobody outside has written a case yet.

Cases drawn from worlds whose probabilities are not the clinic's own: every base rate, strength and likelihood drawn afresh, facts missing,
some wrong. What was said against how often it was so:

${table(
  ['said', ...all.map(({ world, cases }) => `${world} (${cases.toLocaleString('en')})`)],
  Array.from({ length: 10 }, (_, i) => [
    `${10 * i} to ${10 * i + 10} %`,
    ...all.map(({ bins }) => {
      const bin = bins[i]!;
      return bin.count === 0 ? '–' : `${percent(bin.said)}: ${percent(bin.true)} of ${bin.count}`;
    }),
  ]),
)}

${table(
  ['', ...all.map(({ world }) => world)],
  [
    ['Brier score', ...all.map(({ brier }) => brier.ours.toFixed(4))],
    ['of the shares alone', ...all.map(({ brier }) => brier.prior.toFixed(4))],
    ['of naive Bayes', ...all.map(({ brier }) => brier.naive.toFixed(4))],
    ['first was at work', ...all.map(({ first }) => percent(first))],
    ['one of three was', ...all.map(({ three }) => percent(three))],
  ],
)}
`;
}
