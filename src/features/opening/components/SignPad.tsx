'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { SEVERITIES, SIGNS, SIGN_KEYS, signOf, signOfKey } from '@/core/signs';
import { useKeys } from '@/ui/useKeys';
import { useState, type ReactNode } from 'react';
import type { Point, SeenSign } from '@/core/looks';
import { Glyph } from '../../drawings';

/** Touch a sign to say it is there, again for worse, a fourth time to take it away. */
export function SignPad({
  signs,
  onChange,
  keys = false,
  where,
}: {
  signs: readonly SeenSign[];
  onChange: (signs: SeenSign[]) => void;
  /** Are the keys shown? They work in any case. */
  keys?: boolean;
  /** Where the sign that was touched last is: what takes its places. */
  where?: (sign: SeenSign, onPoints: (points: Point[]) => void) => ReactNode;
}) {
  const [last, setLast] = useState<string | null>(null);
  const held = new Map(signs.map((sign) => [sign.sign, sign]));
  const touch = (id: string): void => {
    const now = held.get(id);
    setLast(id);
    if (now === undefined)
      onChange([...signs, { sign: id, severity: 1, wanted: signOf(id)?.usually === 'effect' }]);
    else if (now.severity === 3) onChange(signs.filter((sign) => sign.sign !== id));
    else
      onChange(
        signs.map((sign) => (sign.sign === id ? { ...sign, severity: (sign.severity + 1) as 2 | 3 } : sign)),
      );
  };
  useKeys((key, { ctrlKey }) => {
    const sign = ctrlKey ? undefined : signOfKey(key);
    if (sign !== undefined) touch(sign);
    return sign !== undefined;
  });
  const group = (usually: 'fault' | 'effect') => (
    <Box
      role="group"
      aria-label={usually === 'fault' ? 'Faults' : 'Effects'}
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(auto-fill, minmax(82px, 1fr))',
        gap: 0.5,
      }}
    >
      {SIGNS.filter((sign) => sign.usually === usually).map((sign) => {
        const now = held.get(sign.id);
        return (
          <ButtonBase
            key={sign.id}
            onClick={() => touch(sign.id)}
            aria-pressed={now !== undefined}
            aria-keyshortcuts={SIGN_KEYS[sign.id]}
            title={sign.look}
            aria-label={now ? `${sign.name}, ${SEVERITIES[now.severity - 1]}` : sign.name}
            sx={{
              flexDirection: 'column',
              minHeight: 66,
              p: 0.5,
              position: 'relative',
              border: '1px solid',
              borderColor: now ? 'text.primary' : 'divider',
              bgcolor: now ? 'text.primary' : 'background.paper',
              color: now ? 'background.paper' : 'text.primary',
            }}
          >
            {keys && (
              <Typography
                component="kbd"
                aria-hidden
                sx={{ position: 'absolute', top: 2, right: 5, fontWeight: 800, fontSize: '0.9rem' }}
              >
                {SIGN_KEYS[sign.id]}
              </Typography>
            )}
            <Glyph sign={sign.id} severity={now?.severity ?? 1} size={34} label={false} />
            <Typography
              component="span"
              sx={{ fontSize: '0.78rem', fontWeight: 600, lineHeight: 1.15, textAlign: 'center' }}
            >
              {sign.name}
            </Typography>
          </ButtonBase>
        );
      })}
    </Box>
  );
  const placed = (usually: 'fault' | 'effect'): ReactNode => {
    const now = last === null ? undefined : held.get(last);
    if (now === undefined || signOf(now.sign)?.usually !== usually) return null;
    return where?.(now, (points) =>
      onChange(signs.map((sign) => (sign.sign === now.sign ? { ...sign, points } : sign))),
    );
  };
  const cautions = [...new Set(signs.flatMap((sign) => signOf(sign.sign)?.caution ?? []))];
  return (
    <Box>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        Faults{' '}
        <Typography component="span" variant="body2" color="text.secondary">
          again for worse
        </Typography>
      </Typography>
      {group('fault')}
      {placed('fault')}
      <Typography variant="h3" sx={{ mt: 1.5, mb: 0.5 }}>
        Effects
      </Typography>
      {group('effect')}
      {placed('effect')}
      {signs.length > 0 && (
        <Box sx={{ mt: 1 }}>
          {signs.map((sign) => (
            <FormControlLabel
              key={sign.sign}
              sx={{ display: 'flex' }}
              control={
                <Switch
                  checked={sign.wanted}
                  onChange={(event) =>
                    onChange(
                      signs.map((one) =>
                        one.sign === sign.sign ? { ...one, wanted: event.target.checked } : one,
                      ),
                    )
                  }
                />
              }
              label={`${signOf(sign.sign)?.name}, ${SEVERITIES[sign.severity - 1]}: ${sign.wanted ? 'wanted here' : 'not wanted'}`}
            />
          ))}
        </Box>
      )}
      {cautions.map((caution) => (
        <Typography
          key={caution}
          role="note"
          sx={{ fontWeight: 650, borderLeft: '4px solid', pl: 1, my: 0.5 }}
        >
          {caution}
        </Typography>
      ))}
    </Box>
  );
}
