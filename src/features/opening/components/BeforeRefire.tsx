'use client';
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { refireWords } from '@/core/journey';
import { becameOf, type Became } from '@/core/looks';
import { signOf } from '@/core/signs';
import { Picture } from '@/ui/Picture';
import type { SeenInput } from '../contracts';
import type { Before } from '../room';

const SAID = ['healed', 'same', 'worse'] as const;

/**
 * How the piece came out before, beside what it is now: of each old fault one touch says what became of it.
 */
export function BeforeRefire({
  code,
  before,
  seen,
  onSeen,
}: {
  code: string;
  before: Before;
  seen: SeenInput;
  onSeen: (seen: SeenInput) => void;
}) {
  const healed = seen.healed ?? [];
  const became = new Map(becameOf(before.signs, seen.signs).map((one) => [one.sign, one.became] as const));
  const now = (sign: string): Became | null =>
    became.get(sign) === 'healed' && !healed.includes(sign) ? null : (became.get(sign) ?? null);
  const say = ({ sign, severity, wanted }: Before['signs'][number], what: string | null): void => {
    const others = seen.signs.filter((one) => one.sign !== sign);
    const rest = healed.filter((one) => one !== sign);
    const graver = Math.min(3, severity + 1) as 1 | 2 | 3;
    onSeen({
      ...seen,
      signs:
        what === 'same'
          ? [...others, { sign, severity, wanted }]
          : what === 'worse'
            ? [...others, { sign, severity: graver, wanted }]
            : others,
      healed: what === 'healed' ? [...rest, sign] : rest,
    });
  };
  const { refire } = before;
  return (
    <Box
      component="section"
      aria-label="Before this refire"
      sx={{ border: '1px solid', borderColor: 'divider', p: 1.5, mb: 1.5 }}
    >
      <Typography variant="h3">
        Before, out of {before.firing}
        {before.surface === null ? '' : `: ${before.surface}`}
      </Typography>
      {refire !== null && <Typography variant="body2">{refireWords(refire)}</Typography>}
      <Box sx={{ display: 'flex', gap: 1.5, mt: 1 }}>
        {before.photos[0] !== undefined && (
          <Picture
            sha={before.photos[0]}
            alt={`${code} before this refire`}
            size="medium"
            sx={{ width: 120, flex: 'none' }}
          />
        )}
        <Box sx={{ flex: 1, minWidth: 0 }}>
          {before.signs.length === 0 && (
            <Typography variant="body2">No fault was written down then.</Typography>
          )}
          {before.signs.map((one) => {
            const name = signOf(one.sign)?.name ?? one.sign;
            return (
              <Box key={one.sign} sx={{ mb: 1 }}>
                <Typography>{name}</Typography>
                <ToggleButtonGroup
                  exclusive
                  size="small"
                  value={now(one.sign)}
                  aria-label={`${name} since then`}
                  onChange={(_, what: string | null) => say(one, what)}
                >
                  {SAID.map((word) => (
                    <ToggleButton key={word} value={word} sx={{ minHeight: 44 }}>
                      {word}
                    </ToggleButton>
                  ))}
                </ToggleButtonGroup>
              </Box>
            );
          })}
        </Box>
      </Box>
    </Box>
  );
}
