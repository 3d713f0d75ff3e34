'use client';
import Box from '@mui/material/Box';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { onPicture, outlineOf, type Shape, type Spot } from '@/core/frame';
import type { Sector, Stretch } from '@/core/zones';

export type DrawnFrame = {
  face: number;
  label: string;
  shape: Shape;
  zones: { stretch: Stretch; sector: Sector }[];
};

const CORNERS = ['foot left', 'foot right', 'rim right', 'rim left'];
/** Arrow keys move by so much of the picture; with Shift ten times as far. */
const NUDGE = 0.002;

type Handle = { key: string; label: string; at: Spot; move: (to: Spot) => void };

const bounded = ({ x, y }: Spot): Spot => ({
  x: Math.min(1.2, Math.max(-0.2, x)),
  y: Math.min(1.2, Math.max(-0.2, y)),
});

function handlesOf(
  { face, label, shape }: DrawnFrame,
  aspect: number,
  onShape: (face: number, shape: Shape) => void,
): Handle[] {
  if (shape.kind === 'corners')
    return shape.corners.map((at, i) => ({
      key: `${face}-${i}`,
      label: `${label}: ${CORNERS[i]}`,
      at,
      move: (to) => {
        const corners = [...shape.corners] as typeof shape.corners;
        corners[i] = bounded(to);
        onShape(face, { ...shape, corners });
      },
    }));
  const tilt = (shape.turn / 180) * Math.PI;
  const away = (to: Spot): { d: number; angle: number } => {
    const [dx, dy] = [to.x - shape.centre.x, (to.y - shape.centre.y) * aspect];
    return { d: Math.max(0.005, Math.hypot(dx, dy)), angle: (Math.atan2(dy, dx) * 180) / Math.PI };
  };
  return [
    {
      key: `${face}-c`,
      label: `${label}: centre`,
      at: shape.centre,
      move: (to) => onShape(face, { ...shape, centre: bounded(to) }),
    },
    {
      key: `${face}-a`,
      label: `${label}: rim along its long side`,
      at: onPicture(shape, { height: 1, turn: 0.25 + tilt / (2 * Math.PI) }, aspect),
      move: (to) => onShape(face, { ...shape, across: away(to).d, turn: away(to).angle }),
    },
    {
      key: `${face}-b`,
      label: `${label}: rim along its short side`,
      at: onPicture(shape, { height: 1, turn: 0.5 + tilt / (2 * Math.PI) }, aspect),
      move: (to) => onShape(face, { ...shape, along: away(to).d }),
    },
  ];
}

/**
 * A picture with its frames, their zones and the steps of the grey; every handle goes by finger, mouse and
 * arrow keys.
 */
export function FrameDrawing({
  src,
  alt,
  aspect,
  frames,
  outlines = [],
  grey,
  onShape,
  onGrey,
  onTouch,
  onLoaded,
}: {
  src: string;
  alt: string;
  aspect: number;
  frames: readonly DrawnFrame[];
  /** What else is seen there, drawn without handles. */
  outlines?: readonly (readonly Spot[])[];
  grey: readonly Spot[];
  onShape: (face: number, shape: Shape) => void;
  onGrey: (grey: Spot[]) => void;
  /** A touch of the picture itself, when one is waited for. */
  onTouch: ((at: Spot) => void) | null;
  onLoaded: (image: HTMLImageElement) => void;
}) {
  const box = useRef<SVGSVGElement>(null);
  const moving = useRef<string | null>(null);
  const height = 1000 * aspect;
  const place = (event: PointerEvent): Spot => {
    const { left, top, width, height: tall } = box.current!.getBoundingClientRect();
    return { x: (event.clientX - left) / width, y: (event.clientY - top) / tall };
  };
  const handles = [
    ...frames.flatMap((frame) => handlesOf(frame, aspect, onShape)),
    ...grey.map((at, i): Handle => ({
      key: `grey-${i}`,
      label: `Grey step ${i + 1} of ${grey.length}`,
      at,
      move: (to) => onGrey(grey.map((one, k) => (k === i ? bounded(to) : one))),
    })),
  ];
  const nudge = (event: KeyboardEvent, { at, move }: Handle): void => {
    const by = NUDGE * (event.shiftKey ? 10 : 1);
    const ways: Record<string, Spot> = {
      ArrowLeft: { x: -by, y: 0 },
      ArrowRight: { x: by, y: 0 },
      ArrowUp: { x: 0, y: -by / aspect },
      ArrowDown: { x: 0, y: by / aspect },
    };
    const way = ways[event.key];
    if (way === undefined) return;
    event.preventDefault();
    move({ x: at.x + way.x, y: at.y + way.y });
  };
  const points = (spots: readonly Spot[]): string =>
    spots.map(({ x, y }) => `${1000 * x},${height * y}`).join(' ');
  return (
    <Box
      sx={{
        position: 'relative',
        bgcolor: 'booth.ground',
        mx: 'auto',
        width: `min(100%, calc(62dvh / ${aspect}))`,
        aspectRatio: `${1 / aspect}`,
      }}
    >
      {/* eslint-disable-next-line @next/next/no-img-element -- looked at pixel by pixel */}
      <img
        src={src}
        alt={alt}
        onLoad={(event) => onLoaded(event.currentTarget)}
        style={{ width: '100%', height: '100%', display: 'block' }}
      />
      <svg
        ref={box}
        viewBox={`0 0 1000 ${height}`}
        style={{
          position: 'absolute',
          inset: 0,
          width: '100%',
          height: '100%',
          touchAction: 'none',
          overflow: 'visible',
          cursor: onTouch === null ? 'default' : 'crosshair',
        }}
        onPointerDown={(event) => onTouch?.(place(event))}
        onPointerMove={(event) => {
          const handle = handles.find(({ key }) => key === moving.current);
          handle?.move(place(event));
        }}
        onPointerUp={() => (moving.current = null)}
        onPointerCancel={() => (moving.current = null)}
      >
        {outlines.map((outline, i) => (
          <g key={`o${i}`} fill="none">
            <polygon points={points(outline)} stroke="#000" strokeOpacity={0.55} strokeWidth={5} />
            <polygon points={points(outline)} stroke="#fff" strokeWidth={2} />
          </g>
        ))}
        {frames.map((frame) => (
          <g key={frame.face} fill="none" strokeLinejoin="round">
            {frame.zones.map((zone, i) => (
              <g key={i}>
                <polygon
                  points={points(outlineOf(frame.shape, zone, aspect))}
                  stroke="#000"
                  strokeOpacity={0.55}
                  strokeWidth={4}
                />{' '}
                <polygon
                  points={points(outlineOf(frame.shape, zone, aspect))}
                  stroke="#fff"
                  strokeWidth={1.8}
                  strokeDasharray="9 7"
                />{' '}
              </g>
            ))}
            <polygon
              points={points(
                outlineOf(frame.shape, { stretch: { from: 0, to: 1 }, sector: { from: 0, to: 1 } }, aspect),
              )}
              stroke="#000"
              strokeOpacity={0.6}
              strokeWidth={6}
            />{' '}
            <polygon
              points={points(
                outlineOf(frame.shape, { stretch: { from: 0, to: 1 }, sector: { from: 0, to: 1 } }, aspect),
              )}
              stroke="#fff"
              strokeWidth={3}
            />{' '}
          </g>
        ))}
        {handles.map((handle) => (
          <g
            key={handle.key}
            tabIndex={0}
            role="button"
            aria-label={`${handle.label}. Move it with the arrow keys.`}
            transform={`translate(${1000 * handle.at.x} ${height * handle.at.y})`}
            style={{ cursor: 'move' }}
            onKeyDown={(event) => nudge(event, handle)}
            onPointerDown={(event) => {
              event.stopPropagation();
              moving.current = handle.key;
              box.current?.setPointerCapture?.(event.pointerId);
            }}
          >
            {/* As large as a fingertip on a phone, where the picture is 280 pixels wide. */}
            <circle r={handle.key.startsWith('grey') ? 46 : 80} fill="transparent" />
            {handle.key.startsWith('grey') ? (
              <rect
                x={-11}
                y={-11}
                width={22}
                height={22}
                fill="none"
                stroke="#fff"
                strokeWidth={4}
                paintOrder="stroke"
                style={{ filter: 'drop-shadow(0 0 2px #000)' }}
              />
            ) : (
              <circle
                r={18}
                fill="#fff"
                fillOpacity={0.35}
                stroke="#fff"
                strokeWidth={4}
                style={{ filter: 'drop-shadow(0 0 2px #000)' }}
              />
            )}
          </g>
        ))}
      </svg>
    </Box>
  );
}
