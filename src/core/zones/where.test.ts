import {
  describePiece,
  describeStack,
  describeZone,
  nameIn,
  stackKey,
  sideWords,
  stackOf,
  whereOnPiece,
  zonesBearing,
  zonesOfFace,
} from './index';
import type { Coat } from './index';
import { dip as layer, glaze } from '../../../test-support/layers';

const A = glaze('a');
const B = glaze('b');
const slip: Coat = { slug: 'chalk', version: 1, kind: 'slip' };

test('what lies beneath is named down to the body, on one side and over a whole piece', () => {
  const NAMES: Record<string, string> = {
    clear: 'Yard Clear',
    soot: 'Soot Slip',
    'q#2': 'Q, tile 2',
  };
  const names = { coat: nameIn(NAMES), body: 'Saltbox' };
  const [soot, clear] = [{ ...slip, slug: 'soot' }, glaze('clear')];
  const face = { no: 1, kind: 'bare', slip: null } as const;
  const layers = [layer(soot), layer(clear, { stretch: { from: 0.5, to: 1 } })];
  const zones = zonesOfFace(face, layers);
  expect(zones.map((zone) => describeZone(zone, face, names))).toEqual([
    'Soot Slip on Saltbox',
    'Yard Clear over Soot Slip on Saltbox',
  ]);
  expect(describePiece([face], layers, names)).toBe(
    'Yard Clear over Soot Slip on Saltbox; Soot Slip on Saltbox',
  );
  expect(describePiece([face], [], names)).toBe('bare Saltbox');
  expect(describeStack([], 'light slip', names)).toBe('light slip on Saltbox');
  expect(describeStack(stackOf([layer({ ...glaze('q'), version: 2 })]), '', names)).toBe(
    'Q, tile 2 on Saltbox',
  );
});

test('which part of a tile is the cell, and what else its picture shows', () => {
  const faces = [
    { no: 1, kind: 'bare', slip: null },
    { no: 2, kind: 'light-slip', slip: null },
  ] as const;
  const layers = [layer(A), layer(B, { stretch: { from: 2 / 3, to: 1 } })];
  const { here, others } = zonesBearing(faces, layers, 1, {
    stackKey: stackKey(stackOf(layers)),
    slips: 'light slip',
  });
  expect(here.map(({ face, stretch }) => [face, stretch])).toEqual([[2, { from: 2 / 3, to: 1 }]]);
  expect(others).toHaveLength(3);
});

test('where on a piece a zone is: its side where there are several, by its number where two are alike', () => {
  const face = (no: number, kind: 'bare' | 'light-slip', surface?: 'inside' | 'outside') => ({
    no,
    kind,
    slip: null,
    ...(surface && { surface }),
  });
  const name = nameIn({ chalk: 'Chalk Slip' });
  const part = (no: number, from = 2 / 3, to = 1) => ({
    face: no,
    stretch: { from, to },
    sector: { from: 0, to: 1 },
    relief: 'all',
  });
  const tile = [face(1, 'bare'), { ...face(2, 'bare'), slip }];
  expect(whereOnPiece(part(1), tile, name)).toBe('bare body, upper third');
  expect(whereOnPiece(part(2), tile, name)).toBe('Chalk Slip, upper third');
  expect(whereOnPiece(part(1), [face(1, 'bare')], name)).toBe('upper third');
  const twins = [face(1, 'bare'), face(2, 'bare'), face(3, 'light-slip')];
  expect(twins.map((one) => sideWords(one, twins, name))).toEqual([
    'bare body, side 1',
    'bare body, side 2',
    'light slip',
  ]);
  const mug = [face(1, 'bare', 'outside'), face(2, 'bare', 'inside')];
  expect(whereOnPiece(part(2), mug, name)).toBe('inside, upper third');
  // Of a surface all of it goes without saying; a tile's face is no such surface.
  expect(whereOnPiece(part(2, 0, 1), mug, name)).toBe('inside');
  expect(whereOnPiece(part(1, 0, 1), tile, name)).toBe('bare body, foot to rim');
  // A side that was put right away is called by its number.
  expect(whereOnPiece(part(3), mug, name)).toBe('side 3, upper third');
});
