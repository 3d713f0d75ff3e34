/** Files that import values of one another in a circle cannot be loaded, read or moved by themselves: there are none. */
import { execFileSync } from 'node:child_process';
import { build } from 'esbuild';

/** Of each file, those that it imports values from; types leave no trace. */
async function importsOf(files: readonly string[]): Promise<Map<string, string[]>> {
  const { metafile } = await build({
    entryPoints: [...files],
    bundle: true,
    write: false,
    splitting: true,
    metafile: true,
    outdir: 'unused',
    packages: 'external',
    platform: 'node',
    format: 'esm',
    alias: { '@': './src' },
    loader: { '.css': 'empty', '.woff2': 'empty' },
    logLevel: 'silent',
  });
  return new Map(
    Object.entries(metafile.inputs).map(([file, { imports }]) => [
      file,
      imports.filter(({ external }) => !external).map(({ path }) => path),
    ]),
  );
}

/** A way from a file back to itself, for every file that has one. */
function circlesIn(imports: ReadonlyMap<string, readonly string[]>): string[] {
  const found: string[] = [];
  const done = new Set<string>();
  const way: string[] = [];
  const visit = (file: string): void => {
    const at = way.indexOf(file);
    if (at >= 0) found.push([...way.slice(at), file].join(' → '));
    if (at >= 0 || done.has(file)) return;
    way.push(file);
    for (const next of imports.get(file) ?? []) visit(next);
    way.pop();
    done.add(file);
  };
  for (const file of imports.keys()) visit(file);
  return found;
}

test('a circle is found', () => {
  const imports = new Map([
    ['a', ['b']],
    ['b', ['c', 'd']],
    ['c', ['a']],
    ['d', []],
  ]);
  expect(circlesIn(imports)).toEqual(['a → b → c → a']);
});

test('no file of the house imports itself by way of others', async () => {
  const listed = execFileSync(
    'git',
    ['ls-files', 'src', 'demo', 'stand-ins', 'scripts', 'bench', 'test-support', 'e2e'],
    { encoding: 'utf8' },
  );
  const files = listed
    .split('\n')
    .filter((file) => /\.tsx?$/.test(file) && !/\.(test|spec)\.tsx?$/.test(file));
  expect(files.length).toBeGreaterThan(500);
  expect(circlesIn(await importsOf(files))).toEqual([]);
}, 60_000);
