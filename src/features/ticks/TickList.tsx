'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { MONO } from '@/ui/theme';
import { useTicks } from './useTicks';

/** Rows to tick off with dusty hands: the whole row is the target, the last cell is the figure. */
export function TickList({
  id,
  columns,
  groups,
}: {
  id: string;
  columns: readonly string[];
  groups: readonly { title: string; rows: readonly (readonly string[])[] }[];
}) {
  const { ticked, toggle, clear } = useTicks(id);
  const all = groups.reduce((sum, group) => sum + group.rows.length, 0);
  const used = columns.map((_, i) => groups.some(({ rows }) => rows.some((row) => row[i])));
  return (
    <Box sx={{ maxWidth: 860 }}>
      <Typography role="status" sx={{ fontWeight: 650 }}>
        {ticked.size} of {all} done{' '}
        {ticked.size > 0 && (
          <Button size="small" onClick={clear}>
            Start over
          </Button>
        )}
      </Typography>
      {groups.map((group, g) => (
        <Box key={g} sx={{ mb: 2 }}>
          {group.title !== '' && (
            <Typography variant="h3" sx={{ mt: 1.5, mb: 0.5 }}>
              {group.title}
            </Typography>
          )}
          {group.rows.map((row, r) => {
            const rowId = `${g}/${r}`;
            const done = ticked.has(rowId);
            return (
              <Box
                key={rowId}
                component="label"
                sx={{
                  display: 'flex',
                  alignItems: 'center',
                  gap: 1,
                  minHeight: 48,
                  borderTop: '1px solid',
                  borderColor: 'divider',
                  cursor: 'pointer',
                  color: done ? 'text.secondary' : 'text.primary',
                  '&:hover': { bgcolor: 'background.paper' },
                }}
              >
                <Checkbox
                  checked={done}
                  onChange={() => toggle(rowId)}
                  slotProps={{ input: { 'aria-label': row.filter(Boolean).join(', ') } }}
                />
                <Box
                  sx={{
                    flex: 1,
                    display: 'grid',
                    columnGap: 2,
                    alignItems: 'center',
                    gridTemplateColumns: `minmax(0, 2fr) repeat(${used.filter(Boolean).length - 1}, minmax(0, 1fr))`,
                    textDecoration: done ? 'line-through' : 'none',
                  }}
                >
                  {row.map(
                    (cell, i) =>
                      used[i] && (
                        <Box
                          key={i}
                          component="span"
                          sx={{
                            fontFamily: columns[i] === 'Code' ? MONO : 'inherit',
                            fontSize: i === row.length - 1 ? '1.1rem' : undefined,
                            fontWeight: i === row.length - 1 ? 650 : undefined,
                          }}
                        >
                          {cell}
                        </Box>
                      ),
                  )}
                </Box>
              </Box>
            );
          })}
        </Box>
      ))}
    </Box>
  );
}
