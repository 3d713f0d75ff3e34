/**
 * What the tiles of a test showed, read from how they were written up. Only tests whose tiles differ in
 * something that is on record are read; where twins were treated otherwise by hand, a person says what it
 * showed. When no tile shows the fault the test did not bring it about, and tells nothing.
 */
import { count } from '../units';
import { stackParts } from './from-record';
import { told, type Told } from './told';

/** A tile of the test after its firing. */
export type TestTile = {
  pieceId: string;
  bodyId: string;
  /** Its thickest zone. */
  stackKey: string;
  /** Which step of a ladder it is; 0 is as it was. */
  step: number;
  /** The cone that was reached, as an ordinal; null where it is not known. */
  reached: number | null;
  has: boolean;
};

const shown = (tiles: readonly TestTile[]): string =>
  `${tiles.filter(({ has }) => has).length} of ${count(tiles.length, 'tile')}`;
const any = (tiles: readonly TestTile[]): boolean => tiles.some(({ has }) => has);

type Reading = (tiles: readonly TestTile[], own: { bodyId: string; stack: string }) => Told | null;

/** Two groups of which one should be clean: yes, no, or the other way round. */
function apart(
  tiles: readonly TestTile[],
  key: (tile: TestTile) => number,
): { low: TestTile[]; high: TestTile[] } | null {
  const keys = tiles.map(key);
  const [least, most] = [Math.min(...keys), Math.max(...keys)];
  if (least === most) return null;
  return {
    low: tiles.filter((tile) => key(tile) === least),
    high: tiles.filter((tile) => key(tile) === most),
  };
}

const thinThick: Reading = (tiles) => {
  const sides = apart(tiles, ({ stackKey }) => stackParts(stackKey).coats);
  if (sides === null) return null;
  const words = `thin ${shown(sides.low)} with it, thick ${shown(sides.high)}`;
  if (any(sides.low) === any(sides.high)) return any(tiles) ? told('t-thin-thick', 'alike', words) : null;
  return told('t-thin-thick', any(sides.low) ? 'thick' : 'thin', words);
};

const twoBodies: Reading = (tiles, { bodyId }) => {
  const here = tiles.filter((tile) => tile.bodyId === bodyId);
  const there = tiles.filter((tile) => tile.bodyId !== bodyId);
  if (here.length === 0 || there.length === 0 || !any(here)) return null;
  const words = `on this body ${shown(here)}, on the other ${shown(there)}`;
  return told('t-two-bodies', any(there) ? 'no' : 'yes', words);
};

const order: Reading = (tiles, { stack }) => {
  const together = tiles.filter((tile) => stackParts(tile.stackKey).stack === stack);
  const alone = tiles.filter((tile) => !stackParts(tile.stackKey).stack.includes('>'));
  const turned = tiles.filter((tile) => !together.includes(tile) && !alone.includes(tile));
  if (together.length === 0 || alone.length === 0 || !any([...together, ...alone])) return null;
  const words = `alone ${shown(alone)}, together ${shown(together)}${turned.length === 0 ? '' : `, turned round ${shown(turned)}`}`;
  return told('t-order', any(together) && !any(alone) ? 'yes' : 'no', words);
};

const ladder: Reading = (tiles) => {
  const steps = [...new Set(tiles.map(({ step }) => step))].sort((a, b) => a - b);
  const at = (step: number): TestTile[] => tiles.filter((tile) => tile.step === step);
  if (steps.length < 3 || !any(at(steps[0]!))) return null;
  // It has to stay away once it is gone.
  const gone = steps.findIndex((_, i) => i > 0 && steps.slice(i).every((step) => !any(at(step))));
  return gone === -1
    ? told('t-ladder', 'no', `still there on step ${steps.at(-1)!}`)
    : told('t-ladder', 'yes', `gone from step ${steps[gone]!} on`);
};

const halfCone: Reading = (tiles) => {
  const known = tiles.filter(({ reached }) => reached !== null);
  const sides = apart(known, ({ reached }) => Math.round(reached! * 4) / 4);
  if (sides === null || !any(known)) return null;
  const words = `cooler ${shown(sides.low)} with it, hotter ${shown(sides.high)}`;
  if (any(sides.low) === any(sides.high)) return told('t-half-cone', 'alike', words);
  return told('t-half-cone', any(sides.low) ? 'hotter' : 'cooler', words);
};

const READINGS: Readonly<Record<string, Reading>> = {
  't-thin-thick': thinThick,
  't-two-bodies': twoBodies,
  't-order': order,
  't-ladder': ladder,
  't-half-cone': halfCone,
};

/**
 * @param fact the test that was made.
 * @param own body and stack (coats in their order) of the piece that the case is of.
 * @returns what it showed; null where the tiles do not tell, or a person has to say.
 */
export const outcomeOf = (
  fact: string,
  tiles: readonly TestTile[],
  own: { bodyId: string; stack: string },
): Told | null => (tiles.length === 0 ? null : (READINGS[fact]?.(tiles, own) ?? null));
