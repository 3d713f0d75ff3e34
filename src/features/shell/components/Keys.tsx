'use client';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';

/** Every key there is, by where it works. A key that is added anywhere is added here. */
const KEYS: readonly { where: string; keys: readonly (readonly [key: string, does: string])[] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['/', 'find a piece, a coating, a firing'],
      ['Ctrl K', 'the same, from inside a field too'],
      ['?', 'these keys'],
      ['Esc', 'close what is open'],
    ],
  },
  {
    where: 'On the chart',
    keys: [
      ['← → ↑ ↓', 'from cell to cell, in the zoom too'],
      ['Enter', 'look into the cell'],
      ['o', 'turn it round: what lies over what'],
      ['b, c, a', 'the next body, cone, atmosphere'],
    ],
  },
  {
    where: 'Writing up an opening',
    keys: [
      ['?', 'shows the key of every sign'],
      ['1, 2, 3 …', 'the surface'],
      ['a … z', 'a fault, again for worse'],
      ['A … Z', 'an effect'],
      ['Space', 'takes the picture, where the camera is on'],
      ['Ctrl Enter', 'save, next piece'],
    ],
  },
  {
    where: 'On the load plan',
    keys: [
      ['Enter', 'take the piece in hand, put it down'],
      ['← → ↑ ↓', 'move it on its shelf'],
    ],
  },
];

export function Keys({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle>Keys</DialogTitle>
      <DialogContent>
        {KEYS.map(({ where, keys }) => (
          <Box key={where} sx={{ mb: 2 }}>
            <Typography variant="h3" sx={{ mb: 0.5 }}>
              {where}
            </Typography>
            <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: '110px 1fr', rowGap: 0.5, m: 0 }}>
              {keys.map(([key, does]) => (
                <Box key={key} sx={{ display: 'contents' }}>
                  <Box component="dt" sx={{ fontWeight: 700 }}>
                    {key}
                  </Box>
                  <Box component="dd" sx={{ m: 0 }}>
                    {does}
                  </Box>
                </Box>
              ))}
            </Box>
          </Box>
        ))}
      </DialogContent>
    </Dialog>
  );
}
