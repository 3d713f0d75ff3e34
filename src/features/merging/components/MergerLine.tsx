import Typography from '@mui/material/Typography';
import { count } from '@/core/units';
import type { Merger } from '@/data/mergers';
import Box from '@mui/material/Box';
import { day } from '@/ui/time';
import { BringAlong, TakeApart } from './MergeActs';

/** Something that was merged: into what, by whom, and what has come under its old name since. */
export function MergerLine({
  merger,
  names,
  late,
  timeZone,
}: {
  merger: Merger;
  names: { from: string; into: string };
  /** Records that came under the double's name after it was merged: from a phone that was away. */
  late: number;
  timeZone: string;
}) {
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1,
        alignItems: 'center',
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 1,
      }}
    >
      <Box sx={{ flex: 1, minWidth: 240 }}>
        <Typography>
          {names.from} is {names.into}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {merger.by}, {day(merger.at, timeZone)}
          {late > 0 && `. ${count(late, 'record')} came under the old name since`}
        </Typography>
      </Box>
      {late > 0 && <BringAlong mergerId={merger.id} name={names.into} />}
      <TakeApart mergerId={merger.id} name={names.from} />
    </Box>
  );
}
