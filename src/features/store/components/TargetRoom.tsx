'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { analyse, OXIDES, partOf, recipeFor, type Oxide, type Reached, type Target } from '@/core/chemistry';
import { fieldNumber } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import type { RecipeMaterial } from '../recipe';
import { linesOf } from '../recipe';
import { formula } from '../words';
import type { Recipe } from '@/data/recipes';
import * as contracts from '../contracts';

type Wishes = Partial<Record<Oxide, { min: string; max: string }>>;
export type TargetCoating = { id: string; slug: string; name: string; recipe: Recipe | null };

const ASKED = OXIDES.filter((oxide) => partOf(oxide) !== 'colour').slice(0, 15);

function read(wishes: Wishes): Target {
  const target: Target = {};
  for (const oxide of ASKED) {
    const wish = wishes[oxide];
    if (!wish || (wish.min.trim() === '' && wish.max.trim() === '')) continue;
    const [from, to] = [fieldNumber(wish.min), fieldNumber(wish.max)];
    // One value alone is meant exactly; an upper end alone leaves the lower one open.
    const low = from ?? 0;
    const high = to ?? low;
    target[oxide] = { min: low, max: high };
  }
  return target;
}

/** From a wished-for unity formula and what is on the shelf to a recipe. */
export function TargetRoom({
  materials,
  coatings,
}: {
  materials: readonly RecipeMaterial[];
  coatings: readonly TargetCoating[];
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const known = materials.filter((one) => one.analysis !== null);
  const stocked = known.filter((one) => one.stockG !== null && one.stockG > 0);
  const [wishes, setWishes] = useState<Wishes>({
    K2O: { min: '0.26', max: '' },
    CaO: { min: '0.74', max: '' },
    Al2O3: { min: '0.41', max: '' },
    SiO2: { min: '3.7', max: '' },
  });
  const [shelf, setShelf] = useState<RecipeMaterial[]>(
    stocked.length >= 4
      ? stocked
      : known.filter((one) => ['Potash feldspar', 'Kaolin', 'Silica', 'Whiting'].includes(one.name)),
  );
  const [into, setInto] = useState('');
  let found: Reached | null = null;
  let wrong: string | null = null;
  const target = read(wishes);
  if (Object.values(target).some(({ min, max }) => Number.isNaN(min) || Number.isNaN(max)))
    wrong = 'One of the wishes is no number.';
  else if (Object.keys(target).length > 0 && shelf.length > 0)
    try {
      found = recipeFor(
        shelf.map((one) => ({ name: one.name, analysis: one.analysis! })),
        target,
      );
    } catch (error) {
      wrong = error instanceof Error ? error.message : 'No recipe was found.';
    }
  const takeFrom = (id: string): void => {
    const recipe = coatings.find((one) => one.id === id)?.recipe;
    const umf = recipe ? analyse(linesOf(recipe, materials))?.umf : null;
    if (!umf) return;
    setWishes(
      Object.fromEntries(
        ASKED.flatMap((oxide) =>
          umf[oxide] ? [[oxide, { min: umf[oxide].toFixed(3), max: '' }] as const] : [],
        ),
      ),
    );
  };
  const keep = async (): Promise<void> => {
    const coating = coatings.find((one) => one.id === into);
    if (coating === undefined || found === null) return;
    const answer = await act(contracts.saveRecipe, {
      coatingId: coating.id,
      versionId: null,
      changed: 'From a target formula',
      unit: 'percent',
      notes: '',
      lines: found.recipe.map(({ name, percent }) => ({
        materialId: materials.find((one) => one.name === name)!.id,
        amount: Number(percent.toFixed(2)),
        addition: false,
        supply: '',
      })),
    });
    if (!answer.ok) return;
    say(`It is version ${answer.data.no} of ${coating.name}`);
    router.push(`/store/coatings/${coating.slug}`);
  };
  const set = (oxide: Oxide, end: 'min' | 'max', value: string): void =>
    setWishes({
      ...wishes,
      [oxide]: { min: wishes[oxide]?.min ?? '', max: wishes[oxide]?.max ?? '', [end]: value },
    });
  const missed = new Map((found?.missed ?? []).map((one) => [one.oxide, one]));
  return (
    <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}>
      <Box>
        <Section
          title="What it should be"
          acts={
            <TextField
              select
              label="Take it from"
              value=""
              onChange={(event) => takeFrom(event.target.value)}
              sx={{ width: 190 }}
            >
              {coatings
                .filter((one) => one.recipe !== null)
                .map((one) => (
                  <MenuItem key={one.id} value={one.id}>
                    {one.name}
                  </MenuItem>
                ))}
            </TextField>
          }
        >
          <Typography variant="body2" sx={{ mb: 1 }}>
            Moles in the unity formula: one value, or from and to. What stays empty is kept low.
          </Typography>
          <Table size="small" aria-label="Wishes">
            <TableHead>
              <TableRow>
                <TableCell>Oxide</TableCell>
                <TableCell>From, or just</TableCell>
                <TableCell>To</TableCell>
                <TableCell align="right">Comes out</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {ASKED.map((oxide) => (
                <TableRow key={oxide}>
                  <TableCell>{formula(oxide)}</TableCell>
                  {(['min', 'max'] as const).map((end) => (
                    <TableCell key={end} sx={{ py: '2px !important' }}>
                      <TextField
                        variant="standard"
                        value={wishes[oxide]?.[end] ?? ''}
                        onChange={(event) => set(oxide, end, event.target.value)}
                        slotProps={{
                          htmlInput: {
                            inputMode: 'decimal',
                            'aria-label': `${oxide} ${end === 'min' ? 'from' : 'to'}`,
                          },
                        }}
                      />
                    </TableCell>
                  ))}
                  <TableCell align="right" sx={{ fontWeight: missed.has(oxide) ? 700 : 400 }}>
                    {found ? (found.umf[oxide] ?? 0).toFixed(3) : ''}
                    {missed.has(oxide) ? ' missed' : ''}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Section>
      </Box>
      <Box>
        <Section title="What it may be made of">
          <Autocomplete
            multiple
            options={known}
            getOptionLabel={(one) => one.name}
            getOptionKey={(one) => one.id}
            value={shelf}
            onChange={(_, next) => setShelf(next)}
            renderInput={(params) => <TextField {...params} label="Materials" />}
          />
        </Section>
        <Section title="Recipe">
          <ProblemNote>{wrong ?? problem}</ProblemNote>
          {found && (
            <>
              <Table size="small" aria-label="Recipe found">
                <TableBody>
                  {found.recipe.map(({ name, percent }) => (
                    <TableRow key={name}>
                      <TableCell>{name}</TableCell>
                      <TableCell align="right" sx={{ fontSize: '1.1rem', fontWeight: 650 }}>
                        {percent.toFixed(2)} %
                      </TableCell>
                    </TableRow>
                  ))}
                </TableBody>
              </Table>
              {found.missed.length === 0 ? (
                <Typography sx={{ my: 1 }}>Every wish is met.</Typography>
              ) : (
                found.missed.map((one) => (
                  <Typography key={one.oxide} sx={{ my: 1 }}>
                    <b>{formula(one.oxide)}</b> comes to {one.got.toFixed(3)} instead of{' '}
                    {one.wanted.min === one.wanted.max
                      ? one.wanted.min
                      : `${one.wanted.min} to ${one.wanted.max}`}
                    . {OXIDES.reduce((text, oxide) => text.replaceAll(oxide, formula(oxide)), one.why)}
                  </Typography>
                ))
              )}
              <Stack direction="row" spacing={1} sx={{ mt: 2 }}>
                <TextField
                  select
                  label="Keep it with"
                  value={into}
                  onChange={(event) => setInto(event.target.value)}
                >
                  {coatings.map((one) => (
                    <MenuItem key={one.id} value={one.id}>
                      {one.name}, as its next version
                    </MenuItem>
                  ))}
                </TextField>
                <Button
                  variant="contained"
                  disabled={busy || into === ''}
                  onClick={() => void keep()}
                  sx={{ flex: 'none' }}
                >
                  Keep
                </Button>
              </Stack>
            </>
          )}
        </Section>
      </Box>
    </Box>
  );
}
