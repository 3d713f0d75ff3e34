'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import type { Line, Swap } from '@/core/chemistry';
import type { Recipe } from '@/data/recipes';
import { useSend } from '@/platform/useSend';
import Link from '@/ui/Link';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import {
  amountOf,
  differenceInWords,
  editable,
  madeHundred,
  percentsOf,
  swapIn,
  tidy,
  withBlank,
  type EditLine,
} from '../edit';
import { linesOf, type RecipeMaterial } from '../recipe';
import { ChemistryPanel } from './ChemistryPanel';
import type { BodyFit } from '../fits';
import { RecipeTable, type EditOne } from './RecipeTable';
import * as contracts from '../contracts';

const SwapDialog = dynamic(() => import('./SwapDialog').then((module) => module.SwapDialog), {
  ssr: false,
});

export type RecipeVersion = { id: string; no: number; fired: boolean; recipe: Recipe | null };

/** A coating's recipe, version by version, with its chemistry as it is typed or dragged. */
export function RecipeRoom({
  coating,
  versions,
  materials,
  bodies,
}: {
  coating: { id: string; slug: string; cone: string | null };
  versions: readonly RecipeVersion[];
  materials: readonly RecipeMaterial[];
  bodies: readonly BodyFit[];
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const last = versions.at(-1) as RecipeVersion;
  const [chosen, setChosen] = useState(last.id);
  const version = versions.find((one) => one.id === chosen) ?? last;
  const [lines, setLines] = useState(() => editable(version.recipe));
  const [unit, setUnit] = useState<Recipe['unit']>(version.recipe?.unit ?? 'percent');
  const [notes, setNotes] = useState(version.recipe?.notes ?? '');
  const [otherId, setOtherId] = useState('');
  const [body, setBody] = useState('');
  const [swapping, setSwapping] = useState<EditLine | null>(null);
  const byId = useMemo(() => new Map(materials.map((one) => [one.id, one])), [materials]);
  const edit = useCallback<EditOne>(
    (key, part) =>
      setLines((now) =>
        part === null
          ? now.filter((line) => line.key !== key)
          : now.map((line) => (line.key === key ? { ...line, ...part } : line)),
      ),
    [],
  );
  const show = (id: string): void => {
    const next = versions.find((one) => one.id === id) ?? last;
    setChosen(id);
    setLines(editable(next.recipe));
    setUnit(next.recipe?.unit ?? 'percent');
    setNotes(next.recipe?.notes ?? '');
  };
  const chemistry: Line[] = lines.flatMap((line) => {
    const material = line.materialId === null ? undefined : byId.get(line.materialId);
    const amount = amountOf(line);
    return material && amount ? [{ name: material.name, amount, analysis: material.analysis }] : [];
  });
  const percent = percentsOf(lines);
  const additions = lines.flatMap((line, i) => {
    const material = line.materialId === null ? undefined : byId.get(line.materialId);
    const share = percent[i];
    return line.addition && material && share != null ? [{ name: material.name, percent: share }] : [];
  });
  const base = lines.reduce((sum, line) => sum + (line.addition ? 0 : (amountOf(line) ?? 0)), 0);
  const unread = lines.filter((line) => line.materialId === null || amountOf(line) === null);
  const dirty =
    JSON.stringify(editable(version.recipe)) !== JSON.stringify(lines) ||
    notes !== (version.recipe?.notes ?? '') ||
    unit !== (version.recipe?.unit ?? 'percent');
  const save = async (asNext: boolean): Promise<void> => {
    const answer = await act(contracts.saveRecipe, {
      coatingId: coating.id,
      versionId: asNext ? null : version.id,
      changed: '',
      unit,
      notes,
      lines: lines.map((line) => ({
        materialId: line.materialId ?? '',
        amount: amountOf(line) ?? Number.NaN,
        addition: line.addition,
        supply: line.supply,
      })),
    });
    if (!answer.ok) return;
    say(`The recipe of version ${answer.data.no} is kept`);
    setChosen(answer.data.id);
    router.refresh();
  };
  const other = versions.find((one) => one.id === otherId);
  const compared = other?.recipe
    ? { label: `version ${other.no}`, lines: linesOf(other.recipe, materials) }
    : version.recipe && dirty
      ? { label: 'as kept', lines: linesOf(version.recipe, materials) }
      : null;
  const swapped = (found: Swap): void => {
    if (swapping === null) return;
    const next = swapIn(lines, swapping, found, materials);
    const before = lines;
    setLines(next);
    setSwapping(null);
    say('Swapped', () => setLines(before));
  };
  const swapOut = swapping?.materialId ? byId.get(swapping.materialId) : undefined;
  return (
    <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { xs: '1fr', lg: '1.25fr 1fr' } }}>
      <Box sx={{ minWidth: 0 }}>
        <Stack direction="row" spacing={1} sx={{ mb: 1.5, flexWrap: 'wrap', rowGap: 1 }}>
          <TextField
            select
            label="Version"
            value={version.id}
            onChange={(event) => show(event.target.value)}
            sx={{ width: 190 }}
          >
            {versions.map((one) => (
              <MenuItem key={one.id} value={one.id}>
                {one.no}
                {one.fired ? ', fired' : one.recipe ? '' : ', no recipe'}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label="Beside"
            value={otherId}
            onChange={(event) => setOtherId(event.target.value)}
            sx={{ width: 150 }}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          >
            <MenuItem value="">as it was kept</MenuItem>
            {versions
              .filter((one) => one.id !== version.id && one.recipe)
              .map((one) => (
                <MenuItem key={one.id} value={one.id}>
                  version {one.no}
                </MenuItem>
              ))}
          </TextField>
          {bodies.length > 0 && (
            <TextField
              select
              label="On body"
              value={body}
              onChange={(event) => setBody(event.target.value)}
              sx={{ width: 150 }}
              slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            >
              <MenuItem value="">none</MenuItem>
              {bodies.map((one) => (
                <MenuItem key={one.name} value={one.name}>
                  {one.name}
                </MenuItem>
              ))}
            </TextField>
          )}
          <ToggleButtonGroup
            exclusive
            size="small"
            value={unit}
            aria-label="Amounts are"
            onChange={(_, next: Recipe['unit'] | null) => next && setUnit(next)}
          >
            <ToggleButton value="percent">percent</ToggleButton>
            <ToggleButton value="parts">parts</ToggleButton>
          </ToggleButtonGroup>
        </Stack>
        {version.fired && (
          <Typography sx={{ mb: 1 }}>
            Version {version.no} has been fired and stays as it is; what you change here is kept as the next
            version.
          </Typography>
        )}
        <RecipeTable
          lines={lines}
          materials={materials}
          percent={percent}
          disabled={busy}
          onEdit={edit}
          onAdd={() => setLines(withBlank)}
          onSwap={setSwapping}
        />
        <Typography role="status" sx={{ my: 1, fontWeight: 650 }}>
          {lines.length === 0
            ? 'No recipe yet.'
            : unit === 'percent' && Math.abs(base - 100) > 0.05
              ? `The base sums to ${tidy(base)}, not 100.`
              : `The base sums to ${tidy(base)}.`}{' '}
          {unit === 'percent' && base > 0 && Math.abs(base - 100) > 0.05 && (
            <Button size="small" onClick={() => setLines(madeHundred(lines))}>
              Make it 100
            </Button>
          )}
        </Typography>
        {other?.recipe && (
          <Typography sx={{ mb: 1 }}>
            Beside version {other.no}, per 100 of base: {differenceInWords(other.recipe, lines, materials)}
          </Typography>
        )}
        <TextField
          label="Notes on the recipe"
          multiline
          value={notes}
          onChange={(event) => setNotes(event.target.value)}
        />
        <ProblemNote>{problem}</ProblemNote>
        <Stack direction="row" spacing={1} sx={{ mt: 1.5, flexWrap: 'wrap', rowGap: 1 }}>
          {!version.fired && (
            <Button
              variant="contained"
              disabled={busy || !dirty || lines.length === 0 || unread.length > 0}
              onClick={() => void save(false)}
            >
              Keep as version {version.no}
            </Button>
          )}
          {(version.fired || version.recipe !== null) && (
            <Button
              variant={version.fired ? 'contained' : 'outlined'}
              disabled={busy || !dirty || lines.length === 0 || unread.length > 0}
              onClick={() => void save(true)}
            >
              Keep as version {last.no + 1}
            </Button>
          )}
          {version.recipe !== null && !dirty && (
            <Button
              component={Link}
              href={`/tests/ask?design=crazing&coating=${coating.slug}&version=${version.no}`}
              variant="outlined"
            >
              Crazing ladder
            </Button>
          )}
          {version.recipe !== null && !dirty && (
            <Button
              component={Link}
              href={`/store/coatings/${coating.slug}/mix?version=${version.no}`}
              variant="contained"
            >
              Mix a batch
            </Button>
          )}
        </Stack>
      </Box>
      <Box sx={{ minWidth: 0 }}>
        <ChemistryPanel
          lines={chemistry}
          other={compared}
          body={bodies.find((one) => one.name === body) ?? null}
          glaze={`${coating.slug}#${version.no}`}
          cone={coating.cone}
          additions={additions}
        />
      </Box>
      {swapOut && swapping && (
        <SwapDialog
          out={swapOut}
          amount={amountOf(swapping) ?? 0}
          materials={materials}
          onClose={() => setSwapping(null)}
          onSwap={swapped}
        />
      )}
    </Box>
  );
}
