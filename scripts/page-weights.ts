/**
 * `npm run page-weights [-- --all]`: what scripts a page asks for before it can be used, gzip, by the manifests of the build.
 * Fails above the caps, which are told in docs/SPEED.md with the reason for each.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { gzipSync } from 'node:zlib';

const BUILD = process.env.JITEN_BUILD_DIR ?? '.next';
const KB = 1000;

/** The framework and what every page of the studio shares; pages on top of that, kB. Any other page: `other`. */
const CAPS = { shell: 200, other: 140 };
const OWN: Readonly<Record<string, number>> = {
  '/sign-in': 20,
  '/bench': 25,
  '/chart': 50,
  '/pieces/[code]': 60,
  '/opening/[id]': 110,
};

const sizes = new Map<string, number>();
function sizeOf(file: string): number {
  const held = sizes.get(file) ?? gzipSync(readFileSync(join(BUILD, file)), { level: 9 }).length / KB;
  sizes.set(file, held);
  return held;
}
const sumOf = (files: Iterable<string>): number => [...files].reduce((sum, file) => sum + sizeOf(file), 0);

const { rootMainFiles } = JSON.parse(readFileSync(join(BUILD, 'build-manifest.json'), 'utf8')) as {
  rootMainFiles: string[];
};

/** What each part of a page (layouts and the page itself) asks for. */
function entriesOf(path: string): Map<string, string[]> {
  const held: { __RSC_MANIFEST?: Record<string, { entryJSFiles: Record<string, string[]> }> } = {};
  new Function('globalThis', readFileSync(path, 'utf8'))(held);
  const [manifest] = Object.values(held.__RSC_MANIFEST ?? {});
  return new Map(Object.entries(manifest?.entryJSFiles ?? {}));
}

export type Weight = { page: string; all: number; beyondShell: number };

const app = join(BUILD, 'server', 'app');
const pages = readdirSync(app, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('page_client-reference-manifest.js'))
  .map((file) => ({
    route: `/${dirname(file)}`.replace(/\/\([^)]*\)/g, ''),
    entries: entriesOf(join(app, file)),
  }));

/** What every page inside the studio has: the framework, the outermost layout and the studio's own. */
const shell = new Set([
  ...rootMainFiles,
  ...pages.flatMap(({ entries }) =>
    [...entries].flatMap(([part, files]) => (/src\/app\/(\(studio\)\/)?layout$/.test(part) ? files : [])),
  ),
]);
const weights: Weight[] = pages
  .filter(({ route }) => !route.startsWith('/_'))
  .map(({ route, entries }) => {
    const files = new Set([...rootMainFiles, ...[...entries.values()].flat()]);
    return {
      page: route,
      all: sumOf(files),
      beyondShell: sumOf([...files].filter((file) => !shell.has(file))),
    };
  })
  .sort((a, b) => b.beyondShell - a.beyondShell);

const named = process.argv.includes('--all')
  ? weights
  : weights.filter(({ page }, i) => page in OWN || i < 8);
const row = (...cells: (string | number)[]): string => `| ${cells.join(' | ')} |`;
console.log(row('page', 'scripts, kB gzip', 'on top of the shell', 'at most'));
console.log(row('---', '---', '---', '---'));
console.log(
  row(`shell (framework ${sumOf(rootMainFiles).toFixed(0)})`, sumOf(shell).toFixed(0), '', CAPS.shell),
);
for (const { page, all, beyondShell } of named)
  console.log(row(page, all.toFixed(0), beyondShell.toFixed(0), OWN[page] ?? CAPS.other));
const over = weights
  .filter(({ page, beyondShell }) => beyondShell > (OWN[page] ?? CAPS.other))
  .map(({ page }) => page);
if (sumOf(shell) > CAPS.shell) over.unshift('the shell');
if (over.length > 0) {
  console.error(`Heavier than they may be: ${over.join(', ')}.`);
  process.exit(1);
}
