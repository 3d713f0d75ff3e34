'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  absorption,
  howManyToMake,
  ringTiles,
  slipFit,
  tilesFromClay,
  wetSize,
} from '@/core/designs';
import { DRY_DENSITY, equaliseSolids } from '@/core/slurry';
import { fieldNumber } from '@/core/units';
import { QuantityField } from '@/ui/QuantityField';

type Calculator = {
  title: string;
  fields: readonly { label: string; start: string }[];
  answer: (values: number[]) => string;
};

const CALCULATORS: readonly Calculator[] = [
  {
    title: 'Tiles from a thrown ring',
    fields: [
      { label: 'Base width, mm', start: '50' },
      { label: 'Wall height, mm', start: '90' },
      { label: 'Thickness, mm', start: '6' },
      { label: 'Ring across, mm', start: '250' },
      { label: 'Tile width, mm', start: '40' },
    ],
    answer: ([baseWidth = 0, wallHeight = 0, thickness = 0, diameter = 0, tileWidth = 0]) => {
      const ring = ringTiles({ baseWidth, wallHeight, thickness, diameter, tileWidth });
      return `${(ring.grams / 1000).toFixed(2)} kg of clay makes ${ring.tiles} tiles`;
    },
  },
  {
    title: 'Tiles from a slab',
    fields: [
      { label: 'Clay, kg', start: '2' },
      { label: 'Length with foot, mm', start: '150' },
      { label: 'Width, mm', start: '50' },
      { label: 'Thickness, mm', start: '6' },
    ],
    answer: ([kg = 0, length = 0, width = 0, thickness = 0]) => {
      const found = tilesFromClay(kg * 1000, { length, width, thickness });
      return `${found.tiles} tiles of ${Math.round(found.gramsEach)} g, a tenth lost`;
    },
  },
  {
    title: 'Wet size for a fired size',
    fields: [
      { label: 'Fired, mm', start: '100' },
      { label: 'Shrinkage, %', start: '12' },
    ],
    answer: ([fired = 0, percent = 0]) => `${wetSize(fired, percent / 100).toFixed(1)} mm wet`,
  },
  {
    title: 'Water absorption',
    fields: [
      { label: 'Dry, g', start: '200' },
      { label: 'Boiled, g', start: '203' },
    ],
    answer: ([dry = 0, boiled = 0]) => {
      const percent = absorption(dry, boiled);
      return `${percent.toFixed(1)} %: ${percent > 3 ? 'too open for tableware that crazes or has bare feet' : percent > 1 ? 'nearly tight' : 'tight'}`;
    },
  },
  {
    title: 'Two slurries made equal for blending',
    fields: [
      { label: 'First, l', start: '1' },
      { label: 'Its SG', start: '1.50' },
      { label: 'Second, l', start: '1' },
      { label: 'Its SG', start: '1.45' },
    ],
    answer: ([litresA = 0, a = 0, litresB = 0, b = 0]) => {
      const [first, second] = equaliseSolids([
        { name: 'the first', litres: litresA, sg: a, density: DRY_DENSITY },
        { name: 'the second', litres: litresB, sg: b, density: DRY_DENSITY },
      ]);
      const thick = (first?.waterLitres ?? 0) > 0 ? first : second;
      return thick === undefined || thick.waterLitres < 0.0005
        ? 'They carry the same dry weight a litre.'
        : `${Math.round(thick.waterLitres * 1000)} ml of water into ${thick.name}: then both carry ${Math.round(thick.gramsPerLitre)} g a litre`;
    },
  },
  {
    title: 'How many to make',
    fields: [
      { label: 'Good ones wanted', start: '18' },
      { label: 'Of 100 come out good', start: '85' },
      { label: 'Sure to, %', start: '95' },
    ],
    answer: ([good = 0, yieldPercent = 0, sure = 0]) =>
      `Make ${howManyToMake(good, yieldPercent / 100, sure / 100)}`,
  },
  {
    title: 'Slip on a body',
    fields: [
      { label: 'Slip shrinks, %', start: '13' },
      { label: 'Body shrinks, %', start: '12' },
    ],
    answer: ([slip = 0, body = 0]) => slipFit(slip / 100, body / 100).words,
  },
];

function One({ title, fields, answer }: Calculator) {
  const [texts, setTexts] = useState(fields.map(({ start }) => start));
  const values = texts.map((text) => fieldNumber(text) ?? Number.NaN);
  let said: string;
  try {
    said = values.some(Number.isNaN) ? 'Give numbers.' : answer(values);
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
        {fields.map(({ label }, i) => (
          <QuantityField
            key={`${label}${i}`}
            label={label}
            value={texts[i] ?? ''}
            onChange={(next) => setTexts(texts.map((text, at) => (at === i ? next : text)))}
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
