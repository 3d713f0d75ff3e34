'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { confounding, FORMS, planTiles, type DesignKind, type PlannedTile } from '@/core/designs';
import { ATMOSPHERES } from '@/core/signs';
import { METHODS } from '@/core/zones';
import { fieldNumber } from '@/core/units';
import { QuantityField } from '@/ui/QuantityField';
import { useSend } from '@/platform/useSend';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { askedOf, DESIGNS, effort, firstDesign, words } from '../design';
import { named, namedFactors } from '../name';
import type { AskChoices } from '../queries';
import { designSchema, type DesignInput } from '../schema';
import { Blank, Board, Legend, sharesOf } from './Board';
import { Count, DesignFields, Pick, PickSeveral } from './DesignFields';

const APPLY = { method: 'dip', coats: 1, weight: 'normal', seconds: 3 } as const;

/** From a question to its tiles: the design, what it would make, what it confuses, what it takes. */
export function AskForm({
  choices,
  start,
  seed,
  target,
}: {
  choices: AskChoices;
  start: { kind: DesignKind; coating?: string };
  seed: number;
  target: { id: string; code: string } | null;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const names = useMemo(
    () =>
      new Map(
        [...choices.bodies, ...choices.coatings, ...choices.materials].map(({ id, name }) => [
          id,
          name,
        ]),
      ),
    [choices],
  );
  const [design, setDesign] = useState<DesignInput>(() => {
    const first = firstDesign(start.kind, choices, {
      bodies: choices.bodies.slice(0, 1).map(({ id }) => id),
      repeats: 1,
      controls: true,
      apply: { ...APPLY },
    });
    if (start.coating === undefined) return first;
    if ('base' in first) return { ...first, base: start.coating };
    if ('coating' in first) return { ...first, coating: start.coating };
    return first;
  });
  const subject =
    names.get('base' in design ? design.base : 'coating' in design ? design.coating : '') ?? '';
  const suggestion = words(
    design.kind,
    subject || DESIGNS.find(({ kind }) => kind === design.kind)!.name,
  );
  const [typed, setTyped] = useState<Partial<Record<'text' | 'varied' | 'held' | 'expected', string>>>({}); // prettier-ignore
  const [tile, setTile] = useState({
    form: FORMS[0]!.name,
    waitingFor: 'glaze',
    wantedCone: '6',
    wantedAtmosphere: 'oxidation',
  });
  const [sheet, setSheet] = useState({
    dryG: '100',
    cupMl: '60',
    measureMl: '1',
    resolutionG: '0.1',
  });
  const [shelves, setShelves] = useState(2);
  const faces = FORMS.find(({ name }) => name === tile.form)?.faces ?? ['bare'];

  let tiles: PlannedTile[] = [];
  let wrong: string | null = null;
  const checked = designSchema.safeParse(design);
  if (!checked.success) wrong = checked.error.issues[0]?.message ?? 'Something is missing.';
  else
    try {
      tiles = planTiles(checked.data);
    } catch (error) {
      wrong = error instanceof Error ? error.message : 'This design cannot be made.';
    }
  const asked = askedOf(design).map((name) => named(name, names));
  const mixed = confounding(
    tiles.map(({ factors }) => namedFactors(factors, names)),
    asked,
  );
  const inSync = mixed.together.filter(([a, b]) => [a, b].includes('body') || !asked.includes(a));
  const { minutes, clayG } = effort(design, tiles.length);
  const perBody = design.bodies.map((body) => ({
    name: names.get(body) ?? '',
    wanted: tiles.filter((one) => one.body === body).length,
    stock: choices.stock.find(
      (one) => one.bodyId === body && one.form === tile.form && one.faces === faces.join(', '),
    )?.number,
  }));
  const submit = async (): Promise<void> => {
    const answer = await act<{ no: number; codes: string[] }>('questions.ask', {
      fields: {
        text: typed.text ?? suggestion.text,
        varied: typed.varied ?? suggestion.varied,
        held: typed.held ?? '',
        expected: typed.expected ?? '',
        targetPieceId: target?.id ?? null,
      },
      design,
      tile: { ...tile, heightMm: 90, faces },
      sheet: Object.fromEntries(
        Object.entries(sheet).map(([key, text]) => [key, fieldNumber(text)]),
      ),
      shelves,
      seed,
    });
    if (!answer.ok) return;
    say(`${answer.data.codes.length} tiles are made; their sheets are here`);
    router.push(`/tests/questions/${answer.data.no}`);
    router.refresh();
  };
  const field = (
    name: 'text' | 'varied' | 'held' | 'expected',
    label: string,
    placeholder = '',
  ) => (
    <TextField
      label={label}
      placeholder={placeholder}
      value={typed[name] ?? (name === 'text' || name === 'varied' ? suggestion[name] : '')}
      onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
      slotProps={{ htmlInput: { maxLength: 300 } }}
    />
  );
  const weighs = tiles.some(({ mix }) => mix !== null);
  const corners: readonly string[] = 'corners' in design ? design.corners : [];
  const pours = corners.length > 0;
  return (
    <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { xs: '1fr', lg: '1fr 1fr' } }}>
      <Box sx={{ minWidth: 0 }}>
        <Section title="Design">
          <ToggleButtonGroup
            exclusive
            size="small"
            value={design.kind}
            aria-label="Design"
            onChange={(_, kind: DesignKind | null) =>
              kind &&
              setDesign(
                firstDesign(kind, choices, {
                  bodies: design.bodies,
                  repeats: design.repeats,
                  controls: design.controls,
                  apply: design.apply,
                }),
              )
            }
            sx={{ flexWrap: 'wrap', mb: 2 }}
          >
            {DESIGNS.map(({ kind, name }) => (
              <ToggleButton key={kind} value={kind} sx={{ minHeight: 38, py: 0.25 }}>
                {name}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Stack spacing={1.5}>
            <DesignFields
              key={design.kind}
              design={design}
              choices={choices}
              onChange={setDesign}
            />
            <PickSeveral
              label="Bodies"
              value={design.bodies}
              choices={choices.bodies}
              onChange={(bodies) => setDesign({ ...design, bodies })}
            />
            <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'repeat(4, 1fr)' }}>
              <Count
                label="Of each"
                value={design.repeats}
                min={1}
                max={5}
                onChange={(repeats) => setDesign({ ...design, repeats })}
              />
              <Pick
                label="Method"
                value={design.apply.method}
                choices={METHODS.map((id) => ({ id, name: id }))}
                onChange={(method) =>
                  setDesign({ ...design, apply: { ...design.apply, method: method as 'dip' } })
                }
              />
              <Count
                label="Coats"
                value={design.apply.coats}
                min={1}
                max={6}
                onChange={(coats) => setDesign({ ...design, apply: { ...design.apply, coats } })}
              />
              <Count label="Shelves" value={shelves} min={1} max={8} onChange={setShelves} />
            </Box>
            <FormControlLabel
              control={
                <Checkbox
                  checked={design.controls}
                  onChange={(event) => setDesign({ ...design, controls: event.target.checked })}
                />
              }
              label="With a control to compare with"
            />
          </Stack>
        </Section>
        <Section title={target === null ? 'Question' : `Question: matching ${target.code}`}>
          <Stack spacing={1.5}>
            {field('text', 'What do you want to know?')}
            {field('varied', 'What is varied')}
            {field('held', 'What is held', 'Same bucket, same shelf, same day')}
            {field('expected', 'What you expect', 'The second step should stop it')}
          </Stack>
        </Section>
        <Section title="Tiles and sheets">
          <Box
            sx={{
              display: 'grid',
              gap: 1.5,
              gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
            }}
          >
            {' '}
            {/* prettier-ignore */}
            <Pick
              label="Form"
              value={tile.form}
              choices={FORMS.filter(({ kind }) => kind === 'tile').map(({ name }) => ({ id: name, name }))} // prettier-ignore
              onChange={(form) => setTile({ ...tile, form })}
            />
            <TextField
              select
              label="Next firing"
              value={tile.waitingFor}
              onChange={(event) => setTile({ ...tile, waitingFor: event.target.value })}
            >
              <MenuItem value="bisque">bisque</MenuItem>
              <MenuItem value="glaze">glaze</MenuItem>
            </TextField>
            <TextField
              label="Cone"
              value={tile.wantedCone}
              onChange={(event) => setTile({ ...tile, wantedCone: event.target.value })}
            />
            <Pick
              label="Atmosphere"
              value={tile.wantedAtmosphere}
              choices={ATMOSPHERES.map((id) => ({ id, name: id }))}
              onChange={(wantedAtmosphere) => setTile({ ...tile, wantedAtmosphere })}
            />
            {weighs &&
              (
                [
                  ['dryG', 'Dry base each, g', !pours],
                  ['cupMl', 'Cup, ml', pours],
                  ['measureMl', 'Smallest measure, ml', pours],
                  ['resolutionG', 'Scale shows, g', true],
                ] as const
              ).map(
                ([name, label, shown]) =>
                  shown && (
                    <QuantityField
                      key={name}
                      label={label}
                      value={sheet[name]}
                      onChange={(text) => setSheet({ ...sheet, [name]: text })}
                    />
                  ),
              )}
          </Box>
        </Section>
      </Box>
      <Box sx={{ minWidth: 0 }}>
        <Section title={`${tiles.length} tiles`}>
          <ProblemNote>{wrong}</ProblemNote>
          {tiles.length > 0 && (
            <Board
              tiles={tiles}
              label="What it makes"
              render={({ no, label, role, mix }) => (
                <Blank
                  no={no}
                  label={named(label, names)}
                  role={role}
                  shares={sharesOf(mix, corners)}
                />
              )}
            />
          )}
          {corners.length > 0 && <Legend names={corners.map((id) => names.get(id) ?? '')} />}
          <Typography sx={{ mt: 1.5 }}>
            About {minutes} minutes at the bench; {(clayG / 1000).toFixed(1)} kg of clay if the
            tiles are still to be made. Places in the kiln are drawn at random.
          </Typography>
          {perBody
            .filter(({ stock }) => stock !== undefined)
            .map(({ name, wanted, stock }) => (
              <Typography key={name} sx={{ fontWeight: wanted > (stock ?? 0) ? 650 : 400 }}>
                {name}: {wanted} wanted, {stock} blanks on the board
                {wanted > (stock ?? 0) ? `; ${wanted - (stock ?? 0)} are still to be made` : ''}.
              </Typography>
            ))}
        </Section>
        <Section title="Can it answer the question?">
          {mixed.unasked.length === 0 && inSync.length === 0 ? (
            <Typography>
              Nothing changes but what is asked about (
              {asked.filter((name) => !mixed.constant.includes(name)).join(', ')}).
            </Typography>
          ) : (
            <>
              {mixed.unasked.map(({ variable, values }) => (
                <Typography key={variable} sx={{ fontWeight: 650 }}>
                  “{variable}” changes too: {values.slice(0, 5).join(', ')}.
                </Typography>
              ))}
              {inSync.map(([a, b]) => (
                <Typography key={`${a}/${b}`} sx={{ fontWeight: 650 }}>
                  “{a}” and “{b}” always change together: their effects cannot be told apart.
                </Typography>
              ))}
            </>
          )}
          {design.bodies.length > 1 && design.kind !== 'across bodies' && (
            <Typography>
              The body changes as well, in every combination: compare within one body first.
            </Typography>
          )}
          {design.repeats === 1 && (
            <Typography color="text.secondary">
              One of each: a surprise may be luck. Two of each begin to be evidence.
            </Typography>
          )}
        </Section>
        <ProblemNote>{problem}</ProblemNote>
        <Button
          variant="contained"
          size="large"
          disabled={busy || wrong !== null || tiles.length === 0}
          onClick={() => void submit()}
        >
          Make {tiles.length} tiles and their sheets
        </Button>
      </Box>
    </Box>
  );
}
