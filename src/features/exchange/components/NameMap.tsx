'use client';
import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { METHODS } from '@/core/zones';
import { Section } from '@/ui/Page';
import type { ImportPlan, Known, Naming } from '../plan';
import type { ImportOptionsInput } from '../contracts';

type Kind = 'bodies' | 'coatings' | 'kilns';
const WORDS: Record<Kind, string> = { bodies: 'Bodies', coatings: 'Coatings', kilns: 'Kilns' };

/** Names of the file that the store does not know: which is meant, or a new one. */
export function NameMap({
  plan,
  options,
  onChange,
}: {
  plan: ImportPlan;
  options: ImportOptionsInput;
  onChange: (part: ImportOptionsInput) => void;
}) {
  const kinds: Kind[] = ['bodies', 'coatings', 'kilns'];
  const unknown = (kind: Kind): Naming[] =>
    plan[kind].filter((one) => one.id === null || one.name in (options[kind] ?? {}));
  const all = kinds.flatMap((kind) => plan[kind].filter((one) => one.id === null));
  const allNew = (): void =>
    onChange(
      Object.fromEntries(
        kinds.map((kind) => [
          kind,
          {
            ...options[kind],
            ...Object.fromEntries(
              plan[kind].filter((one) => one.id === null).map((one) => [one.name, 'new']),
            ),
          },
        ]),
      ),
    );
  if (
    kinds.every((kind) => unknown(kind).length === 0) &&
    plan.rowsWithoutKiln === 0 &&
    plan.rowsWithoutMethod === 0 &&
    plan.rowsWithCone === 0
  )
    return null;
  return (
    <Section
      title="Which is which"
      acts={
        all.length > 1 ? (
          <Button size="small" variant="outlined" onClick={allNew}>
            All {all.length} are new
          </Button>
        ) : undefined
      }
    >
      {kinds.map(
        (kind) =>
          unknown(kind).length > 0 && (
            <Box key={kind} sx={{ mb: 1.5 }}>
              <Typography variant="h3">{WORDS[kind]}</Typography>
              {unknown(kind).map((one) => (
                <Answer
                  key={one.name}
                  label={`“${one.name}”, ${count(one.rows, 'row')}`}
                  value={one.id}
                  known={plan.known[kind]}
                  fresh="a new one"
                  onChange={(id) => onChange({ [kind]: { ...options[kind], [one.name]: id } })}
                />
              ))}
            </Box>
          ),
      )}
      {plan.rowsWithoutKiln > 0 && (
        <Answer
          label={`${count(plan.rowsWithoutKiln, 'row')} without a kiln`}
          value={options.kilnForRest ?? null}
          known={plan.known.kilns}
          fresh="“Kiln not recorded”"
          onChange={(id) => onChange({ kilnForRest: id })}
        />
      )}
      {plan.rowsWithCone > 0 && (
        <Row
          label={
            <>
              {count(plan.rowsWithCone, 'row')} with a cone: what the cones showed when the kiln was opened,
              or what was intended?
            </>
          }
        >
          <TextField
            select
            label="The cone is"
            value={options.conesShown ? 'shown' : 'intended'}
            onChange={(event) => onChange({ conesShown: event.target.value === 'shown' })}
          >
            <MenuItem value="intended">what was intended</MenuItem>
            <MenuItem value="shown">what the cones showed</MenuItem>
          </TextField>
        </Row>
      )}
      {plan.rowsWithoutMethod > 0 && (
        <Row label={<>{count(plan.rowsWithoutMethod, 'row')} without a word of how the coats went on</>}>
          <TextField
            select
            label="were"
            value={options.method ?? 'dip'}
            onChange={(event) => onChange({ method: event.target.value as 'dip' })}
          >
            {METHODS.map((method) => (
              <MenuItem key={method} value={method}>
                {method}
              </MenuItem>
            ))}
          </TextField>
        </Row>
      )}
    </Section>
  );
}

/** Something the file leaves open, and the field that answers it. */
function Row({ label, children }: { label: ReactNode; children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr 300px' },
        alignItems: 'center',
        gap: 1,
        py: 0.5,
      }}
    >
      <Typography>{label}</Typography>
      {children}
    </Box>
  );
}

function Answer({
  label,
  value,
  known,
  fresh,
  onChange,
}: {
  label: string;
  value: string | null;
  known: readonly Known[];
  fresh: string;
  onChange: (id: string) => void;
}) {
  return (
    <Row label={label}>
      <TextField select label="is" value={value ?? ''} onChange={(event) => onChange(event.target.value)}>
        <MenuItem value="new">{fresh}</MenuItem>
        {known.map((one) => (
          <MenuItem key={one.id} value={one.id}>
            {one.name}
          </MenuItem>
        ))}
      </TextField>
    </Row>
  );
}
