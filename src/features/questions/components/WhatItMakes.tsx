'use client';
import Typography from '@mui/material/Typography';
import { formNamed, type Design, type PlannedTile } from '@/core/designs';
import { count, formatMass } from '@/core/units';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useUnits } from '@/ui/units';
import type { CoatingChoice } from '../../pieces';
import { effort } from '../design';
import { named } from '../name';
import type { AskChoices } from '../queries';
import { Blank, Board, Legend, sharesOf } from './Board';
import { Sample } from './Sample';

/** The tiles of a design as they will stand on the board, one drawn, and what they take. */
export function WhatItMakes({
  design,
  tiles,
  wrong,
  form,
  faces,
  choices,
  coatings,
  names,
}: {
  design: Design;
  tiles: readonly PlannedTile[];
  /** Why it cannot be made. */
  wrong: string | null;
  form: string;
  faces: readonly { no: number; kind: string; surface?: string | null }[];
  choices: AskChoices;
  coatings: readonly CoatingChoice[];
  names: ReadonlyMap<string, string>;
}) {
  const units = useUnits();
  const corners: readonly string[] = 'corners' in design ? design.corners : [];
  const { minutes, clayG } = effort(design, tiles.length);
  const perBody = design.bodies.map((body) => ({
    name: names.get(body) ?? '',
    wanted: tiles.filter((one) => one.body === body).length,
    stock: choices.stock.find(
      (one) =>
        one.bodyId === body && one.form === form && one.faces === faces.map(({ kind }) => kind).join(', '),
    )?.number,
  }));
  return (
    <Section title={count(tiles.length, 'tile')}>
      <ProblemNote>{wrong}</ProblemNote>
      {tiles.length > 0 && (
        <Board
          tiles={tiles}
          label="What it makes"
          render={({ no, label, role, mix, body }) => (
            <Blank
              no={no}
              body={design.bodies.length > 1 ? (names.get(body) ?? null) : null}
              label={named(label, names)}
              role={role}
              shares={sharesOf(mix, corners)}
            />
          )}
        />
      )}
      <Sample
        tile={tiles.find(({ layers }) => layers.length > 1) ?? tiles[0]}
        faces={faces}
        coatings={coatings}
        body={choices.bodies.find(({ id }) => id === tiles[0]?.body)?.colour ?? '#cccccc'}
        words={(label) => named(label, names)}
      />
      {corners.length > 0 && <Legend names={corners.map((id) => names.get(id) ?? '')} />}
      <Typography sx={{ mt: 1.5 }}>
        About {minutes} minutes at the bench
        {formNamed(form)?.kind === 'tile' &&
          `; ${formatMass(clayG, units)} of clay if the tiles are still to be made`}
        . Places in the kiln are drawn at random.
      </Typography>
      {perBody
        .filter(({ stock }) => stock !== undefined)
        .map(({ name, wanted, stock }) => (
          <Typography key={name} sx={{ fontWeight: wanted > (stock ?? 0) ? 650 : 400 }}>
            {name}: {wanted} wanted, {stock} blanks on the board
            {wanted > (stock ?? 0) ? `; ${wanted - (stock ?? 0)} are still to be made` : ''}.
          </Typography>
        ))}
    </Section>
  );
}
