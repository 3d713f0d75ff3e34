import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { buildSync } from 'esbuild';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join, sep } from 'node:path';
import { WORKER } from '../src/front/statics';
import { SERVER } from '../src/keeper/application';

/** The sources the build follows from; when they change, it is made again. */
function sourceHash(): string {
  const hash = createHash('sha256');
  const walk = (path: string): void => {
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) walk(join(path, name));
    else if (!/\.test\.tsx?$/.test(path)) hash.update(path).update(readFileSync(path));
  };
  for (const path of [
    'src',
    'public',
    'scripts/build.ts',
    'scripts/serve.ts',
    'package-lock.json',
    'next.config.ts',
    'tsconfig.json',
  ])
    if (existsSync(path)) walk(path);
  return hash.digest('hex');
}

/**
 * Builds the application when its sources have changed since the last time. Errors: it cannot be built; it was
 * told to end.
 */
export async function build(signal?: AbortSignal): Promise<void> {
  const mark = join('.next', 'jiten-source-hash');
  const hash = sourceHash();
  if (existsSync(mark) && readFileSync(mark, 'utf8') === hash) return;
  console.log('Building the application (a minute, only when the sources have changed) …');
  const builder = spawn('npx', ['next', 'build'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
    ...(signal === undefined ? {} : { signal }),
  });
  const [code] = (await once(builder, 'close')) as [number | null];
  if (code !== 0) throw new Error('The build failed; run “npx next build” to see why.');
  bundleServer();
  bundleWorker();
  writeFileSync(mark, hash);
}

/** The server around the application as one file, so that nothing is translated while it runs. */
function bundleServer(): void {
  buildSync({
    entryPoints: ['scripts/serve.ts'],
    outfile: SERVER,
    bundle: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    target: 'node20',
    alias: { '@': './src' },
    logLevel: 'error',
  });
}

/** The worker that holds the application on a device, with every file of the shell by name. */
function bundleWorker(): void {
  const folder = join('.next', 'static');
  const files: string[] = [];
  const walk = (path: string): void => {
    if (statSync(join(folder, path)).isDirectory())
      for (const name of readdirSync(join(folder, path)).sort()) walk(join(path, name));
    else files.push(`/_next/static/${path.split(sep).map(encodeURIComponent).join('/')}`);
  };
  walk('.');
  buildSync({
    entryPoints: ['src/offline/worker.ts'],
    outfile: WORKER,
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: { STATIC_FILES: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
    logLevel: 'error',
  });
}

if (process.argv[1] === import.meta.filename) await build();
