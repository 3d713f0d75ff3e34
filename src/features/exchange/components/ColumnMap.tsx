'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Section } from '@/ui/Page';
import { KNOWN_COLUMNS, type Column } from '../columns';
import type { ImportPlan } from '../plan';
import type { ImportOptionsInput } from '../contracts';

/** What each column of the file holds; blanks left by merged cells may take what stands above. */
export function ColumnMap({
  plan,
  options,
  onChange,
}: {
  plan: ImportPlan;
  options: ImportOptionsInput;
  onChange: (part: ImportOptionsInput) => void;
}) {
  const fill = options.fillDown ?? [];
  const leftOut = options.leftOut ?? [];
  const untaken = plan.header.filter((_, i) => plan.columns[i] === null && !leftOut.includes(i));
  return (
    <Section title="Columns">
      {untaken.length > 0 && (
        <Typography role="status" sx={{ mb: 1.5, fontWeight: 650 }}>
          Not understood, and going into the note of each piece:{' '}
          {untaken.map((title) => (title === '' ? 'a column without heading' : `“${title}”`)).join(', ')}.
        </Typography>
      )}
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: 'repeat(auto-fill, minmax(200px, 1fr))',
        }}
      >
        {plan.header.map((title, i) => {
          const column = plan.columns[i] ?? null;
          return (
            <Box key={`${i}${title}`}>
              <TextField
                select
                label={title === '' ? `column ${i + 1}, no heading` : `“${title}” holds`}
                value={column ?? ''}
                slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
                onChange={(event) =>
                  onChange({
                    columns: {
                      ...options.columns,
                      [String(i)]: (event.target.value || null) as Column | null,
                    },
                  })
                }
              >
                <MenuItem value="">nothing we take: its words go into the note</MenuItem>
                {KNOWN_COLUMNS.map((one) => (
                  <MenuItem key={one} value={one}>
                    {one}
                  </MenuItem>
                ))}
              </TextField>
              {column === null && (
                <FormControlLabel
                  control={
                    <Checkbox
                      size="small"
                      checked={leftOut.includes(i)}
                      onChange={(event) =>
                        onChange({
                          leftOut: event.target.checked
                            ? [...leftOut, i]
                            : leftOut.filter((one) => one !== i),
                        })
                      }
                    />
                  }
                  label="leave it out altogether"
                  slotProps={{ typography: { variant: 'body2' } }}
                />
              )}
              {column !== null && (
                <FormControlLabel
                  control={
                    <Checkbox
                      size="small"
                      checked={fill.includes(column)}
                      onChange={(event) =>
                        onChange({
                          fillDown: event.target.checked
                            ? [...fill, column]
                            : fill.filter((one) => one !== column),
                        })
                      }
                    />
                  }
                  label="blanks as above"
                  slotProps={{ typography: { variant: 'body2' } }}
                />
              )}
            </Box>
          );
        })}
      </Box>
    </Section>
  );
}
