/** Questions of the demo studio: one concluded on tiles long fired, others just begun. */
import { v7 } from 'uuid';
import { OPERATIONS } from '../src/app/operations';
import type { Database } from '../src/data/database';
import { listPeople, type Person } from '../src/data/people';
import { listPieces } from '../src/data/pieces';
import { layersOf } from '../src/data/layers';
import { addTiles, concludeQuestion, createQuestion } from '../src/data/questions';
import { listMaterials } from '../src/data/materials';
import { perform } from '../src/platform/operation';
import { listBodies } from '../src/data/bodies';
import { listCoatings } from '../src/data/coatings';

const DAY = 86_400_000;
const SHEET = { dryG: 100, cupMl: 60, measureMl: 1, resolutionG: 0.1 };

/** The crazing case on Eider: its tiles are the ladder that was fired, step by step. */
async function crazingCase(db: Database, by: Person, now: Date): Promise<void> {
  const foxglove = (await listCoatings(db)).find(({ slug }) => slug === 'foxglove')!;
  const pieces = (await listPieces(db)).filter(({ bodySlug }) => bodySlug === 'eider');
  const layers = await layersOf(
    db,
    pieces.map(({ id }) => id),
    ['done'],
  );
  const ladder = pieces
    .flatMap((piece) => {
      const own = layers.get(piece.id) ?? [];
      const [only] = own;
      return own.length === 1 && only?.coat.slug === 'foxglove'
        ? [{ piece, step: only.coat.version - 1 }]
        : [];
    })
    .sort((a, b) => a.step - b.step || a.piece.code.localeCompare(b.piece.code));
  if (ladder.length === 0) return;
  const asked = new Date(now.getTime() - 420 * DAY);
  const id = v7({ msecs: asked.getTime() });
  await createQuestion(
    db,
    {
      id,
      text: 'Does silica with a little kaolin stop Foxglove crazing on Eider?',
      varied: 'silica by 1.25 % and kaolin by 1 % a step',
      held: 'Eider, one dip, the same firing',
      expected: 'gone by the third step',
      about: 'crazing',
      targetPieceId: null,
      design: null,
      seed: 11,
      sheet: SHEET,
    },
    by.id,
    asked,
  );
  const seen = new Map<number, number>();
  await addTiles(
    db,
    id,
    ladder.map(({ piece, step }, i) => {
      const nth = seen.get(step) ?? 0;
      seen.set(step, nth + 1);
      return {
        no: i + 1,
        label: step === 0 ? 'as it is' : `+ ${1.25 * step} % Silica, + ${step} % Kaolin`,
        role: nth > 0 ? ('repeat' as const) : step === 0 ? ('control' as const) : ('test' as const),
        row: 0,
        column: step,
        factors: { step: String(step), body: 'Eider' },
        mix: null,
        pieceId: piece.id,
        shelf: 1 + (i % 3),
        place: 1 + Math.floor(i / 3),
      };
    }),
  );
  await concludeQuestion(
    db,
    id,
    {
      said: 'Two steps are enough: no line under the lens after three weeks, and it still melts to a gloss.',
      asExpected: 'otherwise',
      counts: {
        colour: 'a shade paler',
        surface: 'as before',
        running: 'less',
        'mix a bucket': `yes, version ${foxglove.versions[2]?.no ?? 3}`,
      },
      nextChange: 'The same ladder on Saltbox, to see whether it shivers there.',
    },
    by.id,
    new Date(now.getTime() - 380 * DAY),
  );
}

/** Everything the studio is asking, old and new. */
export async function askQuestions(db: Database, now: Date): Promise<void> {
  const by = (await listPeople(db)).find(({ login }) => login === 'iben')!;
  await crazingCase(db, by, now);
  const bodies = new Map((await listBodies(db)).map((body) => [body.slug, body.id]));
  const version = new Map((await listCoatings(db)).map((coating) => [coating.slug, coating.versions[0]!.id]));
  const material = new Map((await listMaterials(db)).map((one) => [one.slug, one.id]));
  const ask = async (
    fields: { text: string; varied: string; held: string; expected: string },
    design: object,
  ): Promise<void> => {
    const answer = await perform(
      db,
      OPERATIONS.get('questions.ask')!,
      {
        id: v7(),
        input: {
          fields,
          design,
          form: 'L tile',
          heightMm: 95,
          faces: [
            { no: 1, kind: 'bare', slipVersionId: null },
            { no: 2, kind: 'light-slip', slipVersionId: null },
          ],
          waitingFor: 'glaze',
          wantedCone: '6',
          wantedAtmosphere: 'oxidation',
          sheet: SHEET,
          shelves: 3,
          seed: 4207,
        },
      },
      by,
      now,
    );
    if (!answer.ok) throw new Error(answer.problem.message);
  };
  const common = {
    bodies: [bodies.get('saltbox')],
    repeats: 1,
    controls: true,
    apply: { method: 'dip', coats: 1, weight: 'normal', seconds: 3, stage: 'bisque' },
  };
  await ask(
    {
      text: 'What lies between Pitch, Gull, Snowmelt and Slack Tide?',
      varied: 'the blend',
      held: 'Saltbox, one dip of three seconds',
      expected: 'something like oil spots near the Pitch edge',
    },
    {
      ...common,
      kind: 'grid',
      corners: ['pitch', 'gull', 'snowmelt', 'slack-tide'].map((slug) => version.get(slug)),
      rows: 5,
      columns: 7,
    },
  );
  await ask(
    {
      text: 'How much iron does Yard Clear take before it breaks to tenmoku?',
      varied: 'red iron oxide',
      held: 'Drift, one dip',
      expected: 'between 6 and 8 %',
    },
    {
      ...common,
      bodies: [bodies.get('drift')],
      kind: 'colourant',
      base: version.get('yard-clear'),
      material: material.get('red-iron-oxide'),
      percents: [2, 4, 6, 8, 10],
    },
  );
}
