'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { reachedWords } from '@/core/firing';
import { SECONDS } from '@/core/standing';
import { changesWords } from '@/core/looks';
import { formatLength, inUnits, type Units } from '@/core/units';
import Link from '@/ui/Link';
import { MONO } from '@/ui/theme';
import { calendarDay } from '@/ui/time';
import { RunArrow, SignRow } from '../../drawings';
import type { ZoomPiece as Piece } from '../zoom';

// What the clinic knows is fetched where a fault is there to ask about.
const Why = dynamic(() => import('../../clinic').then((module) => module.Why), { ssr: false });

/** One piece of a cell: which part of it is meant, what lies there, how it was fired and came out. */
export function ZoomPiece({ piece, units }: { piece: Piece; units: Units }) {
  const since = changesWords(piece.changes);
  const faults = piece.signs.filter(({ wanted }) => !wanted).map(({ sign }) => sign);
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }}>
      <Typography>
        {piece.opens ? (
          <Link href={`/pieces/${piece.code}`} style={{ fontFamily: MONO, fontWeight: 700 }}>
            {piece.code}
          </Link>
        ) : (
          <b style={{ fontFamily: MONO }}>{piece.code}</b>
        )}
        {piece.mark ? ` “${piece.mark}”` : ''}, {piece.variables.form};{' '}
        {piece.firing
          ? `${piece.firing.kilnName} ${piece.firing.no}, ${calendarDay(piece.firing.plannedFor)}, ${reachedWords(piece.firing)}`
          : ''}
      </Typography>
      <Typography variant="body2">
        <b>{piece.where.join(' and ')}</b>: {inUnits(piece.what, units)}
        {piece.keyKnown === 'likely' ? ' (likely so, not on record)' : ''}
        {piece.variables[SECONDS] ? `; ${piece.variables[SECONDS]} in the bucket` : ''}
        {piece.variables['stood on'] ? `; on ${piece.variables['stood on']}` : ''}
      </Typography>
      {piece.besides.length > 0 && (
        <Typography variant="body2" color="text.secondary">
          Its picture shows besides: {piece.besides.join('; ')}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <Typography sx={{ fontWeight: 600 }}>
          {[piece.surface, piece.colour, piece.rating ? `${piece.rating} of 5` : null]
            .filter(Boolean)
            .join(', ')}
        </Typography>
        {(piece.movementMm ?? 0) > 0 && (
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <RunArrow mm={piece.movementMm as number} /> {formatLength(piece.movementMm as number, units)}
          </Box>
        )}
        {piece.signs.map((sign) => (
          <SignRow key={sign.sign} sign={sign} brief />
        ))}
        {since !== '' && <Typography sx={{ fontWeight: 650 }}>{since}</Typography>}
        {piece.split.length > 0 && (
          <Typography variant="body2">testers differ: {piece.split.join(', ')}</Typography>
        )}
        {piece.opens && faults.length > 0 && (
          <Why pieceId={piece.pieceId} firingId={piece.firingId} signs={faults} open={null} />
        )}
      </Box>
    </Box>
  );
}
