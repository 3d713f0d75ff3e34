import type { MouseEvent } from 'react';
import type { Point } from '@/core/looks';
import {
  describeRegion,
  describeZone,
  faceWords,
  whereOnPiece,
  sectorParts,
  slipKey,
  zonesOf,
  type Coat,
  type CoatName,
  type Face,
  type Layer,
  type Zone,
} from '@/core/zones';
import { hasRings } from '@/core/designs';
import { layOutFaces } from './silhouette-layout';

export type Paints = {
  /** Fired colour of the bare body. */
  body: string;
  /** What the body is called, for words; null where it is not chosen yet. */
  bodyName: string | null;
  /** Colour and name of a coating by slug, and by version where each has its own. */
  coat: (slug: string, version?: number) => { colour: string; name: string };
};

const LIGHT_SLIP = '#e9e6df';
const DARK_SLIP = '#3a332e';

function mix(a: string, b: string, share: number): string {
  const channel = (hex: string, i: number): number => parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16);
  return `#${[0, 1, 2]
    .map((i) =>
      Math.round(channel(a, i) * (1 - share) + channel(b, i) * share)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

function groundColour(face: Face, ground: readonly Coat[], paints: Paints): string {
  const slip = ground.at(-1);
  if (slip) return paints.coat(slip.slug).colour;
  if (face.kind === 'light-slip') return LIGHT_SLIP;
  if (face.kind === 'dark-slip') return DARK_SLIP;
  return paints.body;
}

/** A drawing's colour for a zone: only to tell bands apart, not what it will fire to. */
function zoneColour(face: Face, zone: Zone, paints: Paints): string {
  return zone.stack.reduce(
    (under, entry) => {
      const coats = Number(/×(\d+)/.exec(entry.amount)?.[1] ?? 1);
      return mix(under, paints.coat(entry.coat.slug).colour, Math.min(0.92, 0.55 + 0.13 * coats));
    },
    groundColour(face, zone.ground, paints),
  );
}

/** "bare body", or the slip that is known to lie there. */
const faceName = (face: Face, paints: Paints): string => faceWords(face, namesOf(paints).coat);

/** Names for words, of what is painted. */
export const namesOf = (paints: Paints): { coat: CoatName; body: string | null } => ({
  coat: (slug, version) => paints.coat(slug, version).name,
  body: paints.bodyName,
});

type Band = {
  key: string;
  x: number;
  y: number;
  width: number;
  height: number;
  zone: Zone;
  partial: boolean;
};

/** Zones of a face unrolled into a rectangle of unit size, foot at the bottom. */
function spots(zones: readonly Zone[]): Band[] {
  return zones.flatMap((zone, i) =>
    // What passes the front is drawn at both edges.
    sectorParts(zone.sector).map((sector, part) => ({
      key: `${i}/${part}`,
      x: sector.from,
      width: sector.to - sector.from,
      y: 1 - zone.stretch.to,
      height: zone.stretch.to - zone.stretch.from,
      zone,
      partial: zone.relief !== 'all',
    })),
  );
}

/** A marked zone is rimmed in white and black, to be seen on any glaze. */
const MARKS = [
  { stroke: '#fff', strokeWidth: 5 },
  { stroke: '#000', strokeWidth: 2.2 },
];

/** Where in its box a touch fell, 0 to 1 each way. */
export function within(event: MouseEvent<Element>): { x: number; y: number } {
  const box = event.currentTarget.getBoundingClientRect();
  return {
    x: (event.clientX - box.left) / box.width,
    y: (event.clientY - box.top) / box.height,
  };
}

/** A shown spot, to be seen on any glaze. */
const Spot = ({ x, y }: { x: number; y: number }) => (
  <g pointerEvents="none">
    <circle cx={x} cy={y} r={6} fill="none" stroke="#fff" strokeWidth={4} />
    <circle cx={x} cy={y} r={6} fill="none" stroke="#000" strokeWidth={1.8} />
  </g>
);

/** A piece's faces side by side with its zones as bands, as they follow from its layers. */
export function Silhouette(props: {
  faces: readonly Face[];
  layers: readonly Layer[];
  paints: Paints;
  generation?: number;
  /** What the piece is: says which faces are drawn in rings. */
  form?: string;
  height?: number;
  marked?: (zone: Zone) => boolean;
  onZone?: (zone: Zone) => void;
  /** Spots that somebody showed, with what stands there. */
  points?: readonly Point[];
  /** Takes a touch as a spot: on which face, and where. */
  onPoint?: (point: Point) => void;
}) {
  const { faces, layers, paints, generation = 99, form = '', height = 220 } = props;
  const zones = zonesOf(faces, layers, generation);
  const label = zones
    .map((zone) => {
      const face = faces.find(({ no }) => no === zone.face)!;
      return `${describeRegion(zone)}: ${describeZone(zone, face, namesOf(paints), { amounts: true })}`;
    })
    .join('; ');
  const drawing = layOutFaces(faces, (face) => hasRings(form, face.surface ?? null));
  return (
    <svg
      viewBox={`0 0 ${drawing.width} ${drawing.height + 4}`}
      height={height}
      style={{ maxWidth: '100%' }}
      role="img"
      aria-label={`Drawing of the piece: ${label}`}
    >
      <defs>
        <pattern id="hollows" width="6" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 3H6" stroke="#000" strokeOpacity="0.55" strokeWidth="2.4" />
        </pattern>
        <pattern id="raised" width="6" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 3H6" stroke="#fff" strokeOpacity="0.6" strokeWidth="1.2" />
        </pattern>
      </defs>
      {drawing.slots.map(({ face, left, top, width: W, height: H, rings: round }) => {
        const own = zones.filter((zone) => zone.face === face.no);
        const parts = spots(own);
        return (
          <g key={face.no} transform={`translate(${left} ${top + 4})`}>
            {round
              ? [...parts]
                  .sort((a, b) => b.zone.stretch.to - a.zone.stretch.to)
                  .map((spot) => (
                    <circle
                      key={spot.key}
                      cx={W / 2}
                      cy={H / 2}
                      r={(W / 2) * spot.zone.stretch.to}
                      fill={zoneColour(face, spot.zone, paints)}
                      stroke="#111"
                      strokeOpacity={0.7}
                      strokeWidth={0.8}
                      onClick={props.onZone ? () => props.onZone?.(spot.zone) : undefined}
                    />
                  ))
              : parts.map((spot) => (
                  <g
                    key={spot.key}
                    onClick={props.onZone ? () => props.onZone?.(spot.zone) : undefined}
                    style={{ cursor: props.onZone ? 'pointer' : undefined }}
                  >
                    {!(spot.partial && spot.zone.relief.startsWith('hollows')) && (
                      <rect
                        x={spot.x * W}
                        y={spot.y * H}
                        width={spot.width * W}
                        height={spot.height * H}
                        fill={zoneColour(face, spot.zone, paints)}
                        stroke="#111"
                        strokeOpacity={0.75}
                        strokeWidth={0.8}
                      />
                    )}
                    {spot.partial && spot.zone.relief.startsWith('hollows') && (
                      <g>
                        {Array.from(
                          { length: Math.max(2, Math.round(spot.height * 14)) },
                          (_, i, all = Math.max(2, Math.round(spot.height * 14))) => (
                            <rect
                              key={i}
                              x={spot.x * W + 6}
                              width={Math.max(2, spot.width * W - 12)}
                              y={spot.y * H + ((i + 0.3) * spot.height * H) / all}
                              height={(0.4 * spot.height * H) / all}
                              fill={zoneColour(face, spot.zone, paints)}
                            />
                          ),
                        )}
                      </g>
                    )}
                    {props.marked?.(spot.zone) &&
                      MARKS.map(({ stroke, strokeWidth }) => (
                        <rect
                          key={stroke}
                          x={spot.x * W + 2}
                          y={spot.y * H + 2}
                          width={spot.width * W - 4}
                          height={spot.height * H - 4}
                          fill="none"
                          stroke={stroke}
                          strokeWidth={strokeWidth}
                        />
                      ))}
                  </g>
                ))}
            {!round && <path d={`M0 0V${H}H${W}V0`} fill="none" stroke="currentColor" strokeWidth={2} />}
            {!round && (face.surface ?? 'outside') === 'outside' && (
              <path d={`M-5 ${H}H${W + 5}`} stroke="currentColor" strokeWidth={4} />
            )}
            {props.points
              ?.filter((point) => point.face === face.no)
              .map((point, i) => (
                <Spot key={i} x={point.x * W} y={point.y * H} />
              ))}
            {props.onPoint !== undefined && (
              <rect
                width={W}
                height={H}
                fill="transparent"
                style={{ cursor: 'crosshair' }}
                data-face={face.no}
                onClick={(event) => props.onPoint?.({ face: face.no, sha: null, ...within(event) })}
              />
            )}
            <text x={W / 2} y={H + 17} textAnchor="middle" fontSize={12} fill="currentColor">
              {faceName(face, paints)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** The zones in words, rim first, one line each: where, and what lies there. */
export function zoneLines(
  faces: readonly Face[],
  layers: readonly Layer[],
  paints: Paints,
  generation = 99,
): { key: string; where: string; what: string; ground: string }[] {
  const zones = zonesOf(faces, layers, generation);
  // Face by face, each from its rim down.
  return faces.flatMap((face) =>
    zones
      .filter((zone) => zone.face === face.no)
      .reverse()
      .map((zone, i) => ({
        key: `${face.no}/${i}`,
        where: whereOnPiece(zone, faces, namesOf(paints).coat),
        what: describeZone(zone, face, namesOf(paints), { amounts: true }),
        ground: slipKey(face, zone.ground),
      })),
  );
}
