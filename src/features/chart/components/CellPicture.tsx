import Box from '@mui/material/Box';
import { pictureUrl } from '@/ui/Picture';
import { Glyph, RunArrow, StandingFrame } from '../../drawings';
import type { Position } from '../board';

/** A cell of the board: the tile on grey, its standing as frame, what is wrong or wanted, how far it runs. */
export function CellPicture({
  position,
  share,
  eager,
  impossible,
}: {
  position: Position | undefined;
  share: string | null;
  eager: boolean;
  impossible: boolean;
}) {
  if (impossible) return null;
  const main = position?.main;
  const unwanted = main?.signs.filter((sign) => !sign.wanted).slice(0, 3) ?? [];
  const wanted = main?.signs.filter((sign) => sign.wanted).slice(0, 3 - unwanted.length) ?? [];
  return (
    <Box
      sx={{
        position: 'relative',
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
        {main?.photo ? (
          // The sizes are made on the server already, so the framework's image service is not wanted.
          // eslint-disable-next-line @next/next/no-img-element
          <img
            src={pictureUrl(main.photo, 'small', share)}
            alt=""
            loading={eager ? 'eager' : 'lazy'}
            decoding="async"
            style={{ width: '100%', height: '100%', objectFit: 'cover', display: 'block' }}
          />
        ) : (
          main && (
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
              {main.surface ?? 'seen'}
              <br />
              no picture
            </Box>
          )
        )}
        <StandingFrame standing={main?.standing ?? 'untried'} />
      </Box>
      {main &&
        (unwanted.length > 0 ||
          wanted.length > 0 ||
          (main.movementMm ?? 0) >= 1 ||
          (position?.ways ?? 1) > 1) && (
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
            {(main.movementMm ?? 0) >= 1 && <RunArrow mm={main.movementMm as number} size={20} />}
            {unwanted.map((sign) => (
              <Glyph
                key={sign.sign}
                sign={sign.sign}
                severity={sign.severity}
                size={21}
                label={false}
              />
            ))}
            {wanted.map((sign) => (
              <Box key={sign.sign} component="span" sx={{ opacity: 0.6, display: 'flex' }}>
                <Glyph sign={sign.sign} severity={1} size={19} label={false} />
              </Box>
            ))}
            {(position?.ways ?? 1) > 1 && (
              <Box component="span" sx={{ ml: 'auto', fontSize: '0.72rem', fontWeight: 700 }}>
                {position?.ways} ways
              </Box>
            )}
          </Box>
        )}
    </Box>
  );
}
