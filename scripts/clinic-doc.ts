/**
 * `npm run clinic-doc [CASES]`: writes docs/CLINIC.md from the tables and from worlds that are not the
 * clinic's own.
 */
import { writeFileSync } from 'node:fs';
import { format, resolveConfig } from 'prettier';
import { figures, vocabulary } from '../stand-ins/clinic/doc';
import { calibrate, drawCases, WORLDS } from '../stand-ins/clinic/world';
import { evenly } from '../stand-ins/noise';

const PATH = 'docs/CLINIC.md';
const count = Number(process.argv[2] ?? 20_000);
const random = evenly(2026);
const all = WORLDS.map((world) => calibrate(world, drawCases(world, count, random)));
const text = `${vocabulary()}\n${figures(all)}`;
writeFileSync(PATH, await format(text, { ...(await resolveConfig(PATH)), filepath: PATH }));
