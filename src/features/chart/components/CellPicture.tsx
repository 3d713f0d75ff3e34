import Box from '@mui/material/Box';
import { pictureUrl } from '@/ui/Picture';
import { Glyph, RunArrow, StandingFrame } from '../../drawings';
import type { Position } from '../board';

/** A cell of the board: the tile on grey, its standing as frame, what is wrong or wanted, how far it runs. */
export function CellPicture({
  position,
  share,
  eager,
}: {
  position: Position | undefined;
  share: string | null;
  eager: boolean;
}) {
  const main = position?.main;
  return (
    <Box
      sx={{
        width: '100%',
        height: '100%',
        bgcolor: 'booth.ground',
        color: 'booth.ink',
        display: 'flex',
        flexDirection: 'column',
        overflow: 'hidden',
      }}
    >
      <Box sx={{ position: 'relative', flex: 1, minHeight: 0, p: '5px' }}>
        {main?.photo && (
          // The sizes are made on the server already, so the framework's image service is not wanted.
          // eslint-disable-next-line @next/next/no-img-element -- sizes are made on the server
          <img
            src={pictureUrl(main.photo, 'small', share)}
            alt=""
            loading={eager ? 'eager' : 'lazy'}
            decoding="async"
            style={{ width: '100%', height: '100%', objectFit: 'cover', display: 'block' }}
          />
        )}
        {main && !main.photo && (
          <Box
            component="span"
            sx={{
              display: 'grid',
              placeItems: 'center',
              height: '100%',
              fontSize: '0.78rem',
              lineHeight: 1.1,
              textAlign: 'center',
            }}
          >
            {main.surface ?? 'seen'}, no picture
          </Box>
        )}
        {main?.refired && (
          <Box
            component="span"
            sx={{
              position: 'absolute',
              left: 7,
              top: 7,
              px: '3px',
              fontSize: '0.66rem',
              fontWeight: 700,
              bgcolor: 'booth.ground',
            }}
          >
            after a refire
          </Box>
        )}
        <StandingFrame standing={main?.standing ?? 'untried'} />
      </Box>
      <Box
        aria-hidden
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: '2px',
          px: '4px',
          height: 24,
          flex: 'none',
        }}
      >
        {position && <Marks position={position} />}
      </Box>
    </Box>
  );
}

/** Faults before effects, three at most; the run arrow first; how many ways it was put on last. */
function Marks({ position }: { position: Position }) {
  const { main, ways } = position;
  const shown = [...main.signs].sort((a, b) => Number(a.wanted) - Number(b.wanted)).slice(0, 3);
  return (
    <>
      {(main.movementMm ?? 0) >= 1 && <RunArrow mm={main.movementMm as number} size={20} />}
      {shown.map((sign) => (
        <Box
          key={sign.sign}
          component="span"
          sx={{ display: 'flex', opacity: sign.wanted ? 0.6 : 1 }}
        >
          <Glyph
            sign={sign.sign}
            severity={sign.wanted ? 1 : sign.severity}
            size={21}
            label={false}
          />
        </Box>
      ))}
      {ways > 1 && (
        <Box component="span" sx={{ ml: 'auto', fontSize: '0.72rem', fontWeight: 700 }}>
          {ways} ways
        </Box>
      )}
    </>
  );
}
