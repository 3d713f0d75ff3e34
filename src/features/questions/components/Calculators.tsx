'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { absorption, howManyToMake, ringTiles, slipFit, tilesFromClay, wetSize } from '@/core/designs';
import { DRY_DENSITY, equaliseSolids } from '@/core/slurry';
import { count, figure, formatLength, formatMass, type QuantityKind, type Units } from '@/core/units';
import { NumberField } from '@/ui/NumberField';
import { useUnits } from '@/ui/units';

type Calculator = {
  title: string;
  fields: readonly { label: string; start: number; quantity?: QuantityKind }[];
  answer: (values: number[], units: Units) => string;
};

const CALCULATORS: readonly Calculator[] = [
  {
    title: 'Tiles from a thrown ring',
    fields: [
      { label: 'Base width', start: 50, quantity: 'length' },
      { label: 'Wall height', start: 90, quantity: 'length' },
      { label: 'Thickness', start: 6, quantity: 'length' },
      { label: 'Ring across', start: 250, quantity: 'length' },
      { label: 'Tile width', start: 40, quantity: 'length' },
    ],
    answer: ([baseWidth = 0, wallHeight = 0, thickness = 0, diameter = 0, tileWidth = 0], units) => {
      const ring = ringTiles({ baseWidth, wallHeight, thickness, diameter, tileWidth });
      return `${formatMass(ring.grams, units)} of clay makes ${count(ring.tiles, 'tile')}`;
    },
  },
  {
    title: 'Tiles from a slab',
    fields: [
      { label: 'Clay', start: 2000, quantity: 'largeMass' },
      { label: 'Length with foot', start: 150, quantity: 'length' },
      { label: 'Width', start: 50, quantity: 'length' },
      { label: 'Thickness', start: 6, quantity: 'length' },
    ],
    answer: ([grams = 0, length = 0, width = 0, thickness = 0], units) => {
      const found = tilesFromClay(grams, { length, width, thickness });
      return `${count(found.tiles, 'tile')} of ${formatMass(Math.round(found.gramsEach), units)}, a tenth lost`;
    },
  },
  {
    title: 'Wet size for a fired size',
    fields: [
      { label: 'Fired', start: 100, quantity: 'length' },
      { label: 'Shrinkage, %', start: 12 },
    ],
    answer: ([fired = 0, percent = 0], units) => `${formatLength(wetSize(fired, percent / 100), units)} wet`,
  },
  {
    title: 'Water absorption',
    fields: [
      { label: 'Dry', start: 200, quantity: 'mass' },
      { label: 'Boiled', start: 203, quantity: 'mass' },
    ],
    answer: ([dry = 0, boiled = 0]) => {
      const percent = absorption(dry, boiled);
      return `${figure(percent, 1)} %: ${percent > 3 ? 'too open for tableware that crazes or has bare feet' : percent > 1 ? 'nearly tight' : 'tight'}`;
    },
  },
  {
    title: 'Two slurries made equal for blending',
    fields: [
      { label: 'First, l', start: 1 },
      { label: 'Its SG', start: 1.5 },
      { label: 'Second, l', start: 1 },
      { label: 'Its SG', start: 1.45 },
    ],
    answer: ([litresA = 0, a = 0, litresB = 0, b = 0], units) => {
      const [first, second] = equaliseSolids([
        { name: 'the first', litres: litresA, sg: a, density: DRY_DENSITY },
        { name: 'the second', litres: litresB, sg: b, density: DRY_DENSITY },
      ]);
      const thick = (first?.waterLitres ?? 0) > 0 ? first : second;
      return thick === undefined || thick.waterLitres < 0.0005
        ? 'They carry the same dry weight a litre.'
        : `${Math.round(thick.waterLitres * 1000)} ml of water into ${thick.name}: then both carry ${formatMass(Math.round(thick.gramsPerLitre), units)} a litre`;
    },
  },
  {
    title: 'How many to make',
    fields: [
      { label: 'Good ones wanted', start: 18 },
      { label: 'Of 100 come out good', start: 85 },
      { label: 'Sure to, %', start: 95 },
    ],
    answer: ([good = 0, yieldPercent = 0, sure = 0]) =>
      `Make ${howManyToMake(good, yieldPercent / 100, sure / 100)}`,
  },
  {
    title: 'Slip on a body',
    fields: [
      { label: 'Slip shrinks, %', start: 13 },
      { label: 'Body shrinks, %', start: 12 },
    ],
    answer: ([slip = 0, body = 0]) => slipFit(slip / 100, body / 100).words,
  },
];

function One({ title, fields, answer }: Calculator) {
  const [typed, setTyped] = useState<(number | null)[]>(fields.map(({ start }) => start));
  const values = typed.map((one) => one ?? Number.NaN);
  const units = useUnits();
  let said: string;
  try {
    said = values.some(Number.isNaN) ? 'Give numbers.' : answer(values, units);
  } catch (error) {
    said = error instanceof Error ? error.message : 'This cannot be reckoned.';
  }
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1.5 }}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        {title}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 1,
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(5, 1fr)' },
        }}
      >
        {fields.map(({ label, quantity }, i) => (
          <NumberField
            key={`${label}${i}`}
            label={label}
            {...(quantity === undefined ? {} : { quantity })}
            value={typed[i] ?? null}
            onChange={(next) => setTyped(typed.map((one, at) => (at === i ? next : one)))}
          />
        ))}
      </Box>
      <Typography role="status" sx={{ mt: 1, fontSize: '1.1rem', fontWeight: 650 }}>
        {said}
      </Typography>
    </Box>
  );
}

/** The arithmetic of clay, filled in to begin with. */
export const Calculators = () => CALCULATORS.map((one) => <One key={one.title} {...one} />);
