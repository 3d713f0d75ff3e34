/** A load as the checks before the lid ask it: pieces with what they are made of and what is on record. */
import { firingTitle } from '@/core/firing';
import { shelfOf, checkLoad, footprintOf, fullness } from '@/core/load';
import type { Footprint } from '@/core/load';
import { isCone, isShutOff } from '@/core/cones';
import { reachesShelf, stackKey, zonesOf } from '@/core/zones';
import type { Source } from '@/data/database';
import { overrulesOf, type KeptOverrule } from '@/data/firing-log';
import type { Firing } from '@/data/firings';
import { askedOf, firedBefore, ranKey, ranOf } from '@/data/load-evidence';
import { loadPieces, type Piece } from '@/data/pieces';
import { listPlacements } from '@/data/placements';
import { listWitnesses } from '@/data/witnesses';
import { overruled } from '@/core/load/check-terms';
import type { Finding, LoadItem } from '@/core/load/check-terms';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';
import { insideKiln } from '@/data/kiln-firings';
import { listKilns, type Kiln } from '@/data/kilns';
import { traitsByVersion } from './traits';

const range = (of: { coneLow: string | null; coneHigh: string | null } | undefined) =>
  of?.coneLow && of.coneHigh && isCone(of.coneLow) && isCone(of.coneHigh)
    ? { low: of.coneLow, high: of.coneHigh }
    : null;

/** Does a glaze come down to what stands on the shelf? Slips and washes do not stick. */
const glazedFoot = (piece: Piece): boolean =>
  !piece.form.includes('slab') &&
  piece.done.some(
    (layer) =>
      layer.coat.kind === 'glaze' && reachesShelf(piece.faces, layer.region) && layer.region.relief === 'all',
  );

export type CheckedLoad = {
  kiln: Kiln;
  items: (LoadItem & {
    placementId: string;
    turned: boolean;
    form: string;
    owner: string | null;
  })[];
  findings: (Finding & { overruledBy: KeptOverrule | null })[];
  full: ReturnType<typeof fullness> | null;
};

export const turnedFootprint = (footprint: Footprint, turned: boolean): Footprint =>
  turned ? { ...footprint, widthMm: footprint.depthMm, depthMm: footprint.widthMm } : footprint;

/** Everything the load plan draws and the checks say. */
export async function checkedLoad(src: Source, firing: Firing): Promise<CheckedLoad> {
  const placements = await listPlacements(src, { firingId: firing.id });
  const ids = placements.map(({ pieceId }) => pieceId);
  const pieces = new Map((await loadPieces(src, { ids })).map((piece) => [piece.id, piece]));
  const versionIds = [
    ...new Set([...pieces.values()].flatMap((piece) => piece.done.map((layer) => layer.coatingVersionId))),
  ];
  const [kilns, allBodies, allCoatings, traits, asked, fired, cones, overrules, inside] = await Promise.all([
    listKilns(src),
    listBodies(src),
    listCoatings(src),
    traitsByVersion(src, versionIds),
    askedOf(src, ids),
    firedBefore(src, ids),
    listWitnesses(src, [firing.id]),
    overrulesOf(src, firing.id),
    insideKiln(src, firing.kilnId, firing.id),
  ]);
  const bodies = new Map(allBodies.map((body) => [body.id, body]));
  const coatings = new Map(allCoatings.map((coating) => [coating.slug, coating]));
  const witnesses = cones.get(firing.id) ?? [];
  const kiln = kilns.find(({ id }) => id === firing.kilnId) as Kiln;
  const stacks = new Map(
    [...pieces.values()].map((piece) => [
      piece.id,
      zonesOf(piece.faces, piece.done, Number.MAX_SAFE_INTEGER)
        .filter((zone) => zone.stack.length > 0)
        .map((zone) => ({ bodyId: piece.bodyId, stackKey: stackKey(zone.stack) })),
    ]),
  );
  const ran =
    firing.targetCone === null
      ? new Map<string, number>()
      : await ranOf(src, firing.targetCone, [...stacks.values()].flat());
  const items = placements.flatMap((placement) => {
    const piece = pieces.get(placement.pieceId);
    if (piece === undefined) return [];
    const body = bodies.get(piece.bodyId);
    const runs = (stacks.get(piece.id) ?? []).flatMap((one) => {
      const mm = ran.get(ranKey(one.bodyId, one.stackKey));
      return mm === undefined ? [] : [mm];
    });
    const question = asked.get(piece.id);
    return [
      {
        id: piece.id,
        placementId: placement.id,
        turned: placement.turned,
        form: piece.form,
        owner: piece.ownerName,
        code: piece.code,
        body: { name: piece.bodyName, range: range(body), traits: body?.traits ?? [] },
        coatings: [...new Map(piece.done.map((layer) => [layer.coatingVersionId, layer]))].map(
          ([versionId, layer]) => {
            const coating = coatings.get(layer.coat.slug);
            return {
              name: coating?.name ?? layer.coat.slug,
              range: range(coating),
              traits: [...new Set([...(coating?.traits ?? []), ...(traits.get(versionId) ?? [])])],
            };
          },
        ),
        glazedFoot: glazedFoot(piece),
        ranMm: runs.length > 0 ? Math.max(...runs) : null,
        bisqued:
          piece.waitingFor !== 'bisque' ||
          fired.has(piece.id) ||
          piece.done.some((layer) => layer.stage === 'glaze-fired'),
        wantedAtmosphere: piece.wantedNext.atmosphere,
        setting: placement.setting,
        shelf: placement.shelf,
        spot:
          placement.shelf === null || placement.xMm === null || placement.yMm === null
            ? null
            : { shelf: placement.shelf, xMm: placement.xMm, yMm: placement.yMm },
        footprint: turnedFootprint(footprintOf(piece.form, piece.heightMm), placement.turned),
        flags: piece.flags.map(({ text }) => text),
        question: question?.question ?? null,
        treatment: question?.treatment ?? '',
      },
    ];
  });
  const shelf = shelfOf(kiln, kiln.posts);
  const full =
    shelf === null
      ? null
      : fullness(
          shelf,
          kiln.shelves,
          kiln.chamberMm,
          items.flatMap(({ footprint, shelf: no }) =>
            no === null ? [] : [{ footprint, spot: { shelf: no } }],
          ),
        );
  const findings = checkLoad(items, {
    kind: firing.kind,
    targetCone: firing.targetCone,
    atmosphere: firing.atmosphere,
    fuelled: kiln.energy === 'gas' || kiln.energy === 'wood',
    witnesses: witnesses.filter(({ place }) => !isShutOff(place)).length,
    shelf,
    thermocouple:
      kiln.thermocoupleXMm === null || kiln.thermocoupleYMm === null
        ? null
        : { xMm: kiln.thermocoupleXMm, yMm: kiln.thermocoupleYMm, shelf: null },
    fullness: full?.area ?? null,
    inside: inside === null ? null : { title: firingTitle(inside), status: inside.status },
  });
  return {
    kiln,
    items,
    full,
    findings: findings.map((finding) => ({
      ...finding,
      overruledBy: overruled(finding, overrules) as KeptOverrule | null,
    })),
  };
}
