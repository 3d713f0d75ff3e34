/** What is looked at before the lid is closed. Each finding says why, and can be overruled with a reason. */
import type { Setting } from '../firing';
import { air, empty, occupied, heat, reduced, wishes } from './checks-made-for';
import { gapBetween, onPost, onShelf, tooNear } from './shelf';
import { type CoatingTrait, type LoadItem, type LoadFiring, type Finding } from './check-terms';

/** Chromium travels as vapour about this far. Common practice, no source. */
const CHROME_REACH_MM = 120;

/** A stack that ran so far before wants something to catch it, mm. */
const RAN_MM = 4;

const CATCHES: readonly Setting[] = ['waster', 'ring', 'wads', 'stilt'];

/** A fuel-fired kiln filled less than this reduces unevenly. Common practice, no source. */
const LOOSE = 0.3;

const codes = (items: readonly LoadItem[]): string[] => items.map(({ code }) => code);

const caught = (item: LoadItem): boolean => CATCHES.includes(item.setting);

const has = (item: LoadItem, trait: CoatingTrait): boolean =>
  item.coatings.some(({ traits }) => traits.includes(trait));

/** Are two pieces near enough for vapour to pass? On the same shelf, when no places are known. */
function near(a: LoadItem, b: LoadItem): boolean {
  if (a.shelf === null || b.shelf === null) return true;
  if (a.shelf !== b.shelf) return false;
  if (a.spot === null || b.spot === null) return true;
  return (
    gapBetween(
      { id: a.id, footprint: a.footprint, spot: a.spot },
      { id: b.id, footprint: b.footprint, spot: b.spot },
    ) < CHROME_REACH_MM
  );
}

function vapour(items: readonly LoadItem[]): Finding[] {
  const chrome = items.filter((item) => has(item, 'chrome'));
  const white = items.filter(
    (item) => has(item, 'tin white') && chrome.some((one) => one !== item && near(item, one)),
  );
  if (white.length === 0) return [];
  const beside = chrome.filter((one) => white.some((item) => item !== one && near(item, one)));
  return [
    {
      id: 'chrome',
      level: 'look',
      title: 'Chrome beside tin white',
      reason: `Chrome vapour turns tin whites pink: move ${white.length === 1 ? 'it' : 'them'} to another shelf, or mean it.`,
      pieces: [...new Set([...codes(white), ...codes(beside)])],
    },
  ];
}

function settings(items: readonly LoadItem[], firing: LoadFiring): Finding[] {
  if (firing.kind === 'bisque') return [];
  const findings: Finding[] = [];
  const fluid = items.filter((item) => (has(item, 'fluid') || (item.ranMm ?? 0) >= RAN_MM) && !caught(item));
  if (fluid.length > 0)
    findings.push({
      id: 'fluid',
      level: 'stop',
      title: 'Fluid glaze with nothing to catch it',
      reason: 'Put a waster slice, a ring or wads under it: it will glue the piece to the shelf.',
      pieces: codes(fluid),
    });
  const unknown = items.filter((item) => item.body.traits.includes('unproven') && !caught(item));
  if (unknown.length > 0)
    findings.push({
      id: 'unproven',
      level: 'stop',
      title: 'An unknown clay on the bare shelf',
      reason: 'It may melt. Put it on a waster slice until it is known to stand this cone.',
      pieces: codes(unknown),
    });
  const foot = items.filter((item) => item.glazedFoot && !caught(item));
  if (foot.length > 0)
    findings.push({
      id: 'foot',
      level: 'look',
      title: 'Glaze down to the foot',
      reason: 'Wipe the last few millimetres, or set it on something: it sticks to the shelf.',
      pieces: codes(foot),
    });
  return findings;
}

function damp(items: readonly LoadItem[], firing: LoadFiring): Finding[] {
  if (firing.kind === 'bisque' || firing.kind === 'once-fired') return [];
  const raw = items.filter((item) => !item.bisqued);
  if (raw.length === 0) return [];
  return [
    {
      id: 'raw',
      level: 'stop',
      title: 'Not bisqued on record',
      reason: 'Raw or damp ware bursts in a glaze firing. Bisque it first, or say that it was and is dry.',
      pieces: codes(raw),
    },
  ];
}

function places(items: readonly LoadItem[], firing: LoadFiring): Finding[] {
  const findings: Finding[] = [];
  const standing = items.flatMap((item) =>
    item.spot === null ? [] : [{ id: item.code, footprint: item.footprint, spot: item.spot }],
  );
  const touching = tooNear(standing, 1);
  if (touching.length > 0)
    findings.push({
      id: 'touching',
      level: 'stop',
      title: 'Pieces touch',
      reason: 'Glazed pieces that touch become one. Move them apart by a finger’s width.',
      pieces: [...new Set(touching.flatMap(({ a, b }) => [a, b]))],
    });
  const { shelf, thermocouple } = firing;
  if (shelf !== null) {
    const off = standing.filter(({ footprint, spot }) => !onShelf(shelf, footprint, spot));
    if (off.length > 0)
      findings.push({
        id: 'edge',
        level: 'stop',
        title: 'Over the edge of the shelf',
        reason: 'It would meet the wall, an element or the door.',
        pieces: off.map(({ id }) => id),
      });
  }
  if (shelf !== null) {
    const top = Math.max(0, ...standing.map(({ spot }) => spot.shelf));
    const posts = standing.filter(
      ({ footprint, spot }) => spot.shelf < top && onPost(shelf, footprint, spot),
    );
    if (posts.length > 0)
      findings.push({
        id: 'posts',
        level: 'look',
        title: 'Where a post has to stand',
        reason: 'The shelf above rests on it: move the piece, or set the posts elsewhere.',
        pieces: posts.map(({ id }) => id),
      });
  }
  if (thermocouple !== null) {
    const close = standing.filter(
      ({ footprint, spot }) =>
        (thermocouple.shelf === null || thermocouple.shelf === spot.shelf) &&
        Math.hypot(spot.xMm - thermocouple.xMm, spot.yMm - thermocouple.yMm) <
          Math.max(footprint.widthMm, footprint.depthMm) / 2 + 25,
    );
    if (close.length > 0)
      findings.push({
        id: 'thermocouple',
        level: 'look',
        title: 'Close to the thermocouple',
        reason: 'Leave it 25 mm of air, or it reads the pot and may be knocked.',
        pieces: close.map(({ id }) => id),
      });
  }
  return findings;
}

function confounded(items: readonly LoadItem[]): Finding[] {
  const findings: Finding[] = [];
  const questions = new Set(items.flatMap(({ question }) => (question === null ? [] : [question])));
  for (const question of questions) {
    const own = items.filter((item) => item.question === question && item.shelf !== null);
    const byTreatment = new Map<string, Set<number>>();
    for (const { treatment, shelf } of own)
      byTreatment.set(treatment, (byTreatment.get(treatment) ?? new Set()).add(shelf as number));
    const shelves = new Set(own.map(({ shelf }) => shelf));
    if (byTreatment.size < 2 || shelves.size < 2) continue;
    const apart = [...byTreatment.values()].every((set) => set.size === 1);
    const several = own.length > byTreatment.size;
    if (apart && several)
      findings.push({
        id: `shelf:${question}`,
        level: 'look',
        title: 'Each treatment has a shelf to itself',
        reason: `“${question}” could then be answered by the shelf alone. Mix them over the shelves.`,
        pieces: codes(own),
      });
  }
  return findings;
}

/** Everything worth saying of a load before the lid is closed, what stops it first. */
export function checkLoad(items: readonly LoadItem[], firing: LoadFiring): Finding[] {
  const findings = [
    ...damp(items, firing),
    ...occupied(firing),
    ...empty(items),
    ...heat(items, firing),
    ...wishes(items, firing),
    ...settings(items, firing),
    ...places(items, firing),
    ...vapour(firing.kind === 'bisque' ? [] : items),
    ...air(items, firing),
    ...confounded(items),
  ];
  const flagged = items.filter(({ flags }) => flags.length > 0);
  if (flagged.length > 0)
    findings.push({
      id: 'flags',
      level: 'look',
      title: 'Flags that are still open',
      reason: flagged.map(({ code, flags }) => `${code}: ${flags.join('; ')}`).join('. '),
      pieces: codes(flagged),
    });
  if (firing.witnesses === 0 && firing.kind !== 'bisque')
    findings.push({
      id: 'cones',
      level: 'look',
      title: 'No witness cones',
      reason: 'Without them nobody will know what cone this was. Set a pack on two shelves.',
      pieces: [],
    });
  if (firing.fuelled && reduced(firing.atmosphere) && (firing.fullness ?? 1) < LOOSE)
    findings.push({
      id: 'loose',
      level: 'look',
      title: 'Loosely packed for a reduction firing',
      reason: 'A half-empty kiln reduces unevenly. Fill the gaps with small waiting pieces.',
      pieces: [],
    });
  return findings.sort((a, b) => Number(b.level === 'stop') - Number(a.level === 'stop'));
}
