'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Stack from '@mui/material/Stack';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { FormProvider, useWatch } from 'react-hook-form';
import { confounding, FORMS, planTiles } from '@/core/designs';
import { METHODS } from '@/core/zones';
import { count, formatMass } from '@/core/units';
import type { Taken } from '@/platform/contract';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { SelectInput, numbers } from '@/ui/choice-fields';
import { TextInput } from '@/ui/fields';
import { useUnits } from '@/ui/units';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { askedOf, DESIGNS, effort, firstDesign, words } from '../design';
import { startingWith } from '../starting';
import { named, namedFactors } from '../name';
import type { AskChoices } from '../queries';
import { Blank, Board, Legend, sharesOf } from './Board';
import { DesignFields } from './DesignFields';
import * as contracts from '../contracts';
import { DesignCheck } from './DesignCheck';
import { TileFields } from './TileFields';
import { designSchema, type DesignInput } from '../contracts';
import { type DesignKind, type PlannedTile } from '@/core/designs/terms';
import { Count, Pick, PickSeveral } from './design-inputs';

const facesOf = (form: string) => FORMS.find(({ name }) => name === form)?.faces ?? ['bare'];

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
  const units = useUnits();
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
  const suggested = (design: DesignInput): { text: string; varied?: string } => {
    const id = 'base' in design ? design.base : 'coating' in design ? design.coating : '';
    return words(
      design.kind,
      names.get(id) || DESIGNS.find(({ kind }) => kind === design.kind)!.name,
    );
  };
  const form = useContractForm(contracts.ask, {
    start: (): Taken<typeof contracts.ask> => {
      const design = startingWith(start, choices);
      return {
        fields: {
          ...suggested(design),
          held: '',
          expected: '',
          targetPieceId: target?.id ?? null,
        },
        design,
        tile: {
          form: FORMS[0]!.name,
          heightMm: 90,
          faces: [...facesOf(FORMS[0]!.name)],
          waitingFor: 'glaze',
          wantedCone: '6',
          wantedAtmosphere: 'oxidation',
        },
        sheet: { dryG: 100, cupMl: 60, measureMl: 1, resolutionG: 0.1 },
        shelves: 2,
        seed,
      };
    },
    draft: [start.kind, start.coating ?? '', target?.id ?? ''].join('/'),
    complete: (typed) => ({
      ...typed,
      tile: { ...typed.tile, faces: [...facesOf(typed.tile.form)] },
    }),
    done: ({ data }) => {
      say(`${data.codes.length} tiles are made; their sheets are here`);
      router.push(`/tests/questions/${data.no}`);
      router.refresh();
    },
  });
  const { control, setValue, getFieldState } = form;
  const design = useWatch({ control, name: 'design' }) as DesignInput;
  const tileForm = useWatch({ control, name: 'tile.form' });
  const setDesign = (next: DesignInput): void => {
    setValue('design', next, { shouldDirty: true });
    // What it asks and varies follows the design until somebody says it in other words.
    for (const name of ['text', 'varied'] as const)
      if (!getFieldState(`fields.${name}`).isDirty)
        form.resetField(`fields.${name}`, { defaultValue: suggested(next)[name] ?? '' });
  };
  const faces = facesOf(tileForm);

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
  const { minutes, clayG } = effort(design, tiles.length);
  const perBody = design.bodies.map((body) => ({
    name: names.get(body) ?? '',
    wanted: tiles.filter((one) => one.body === body).length,
    stock: choices.stock.find(
      (one) => one.bodyId === body && one.form === tileForm && one.faces === faces.join(', '),
    )?.number,
  }));
  const weighs = tiles.some(({ mix }) => mix !== null);
  const corners: readonly string[] = 'corners' in design ? design.corners : [];
  const pours = corners.length > 0;
  return (
    <FormProvider {...form}>
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
                <SelectInput
                  control={control}
                  name="shelves"
                  label="Shelves"
                  choices={numbers(1, 8)}
                />
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
              <TextInput control={control} name="fields.text" label="What do you want to know?" />
              <TextInput control={control} name="fields.varied" label="What is varied" />
              <TextInput
                control={control}
                name="fields.held"
                label="What is held"
                placeholder="Same bucket, same shelf, same day"
              />
              <TextInput
                control={control}
                name="fields.expected"
                label="What you expect"
                placeholder="The second step should stop it"
              />
            </Stack>
          </Section>
          <TileFields weighs={weighs} pours={pours} />
        </Box>
        <Box sx={{ minWidth: 0 }}>
          <Section title={count(tiles.length, 'tile')}>
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
              About {minutes} minutes at the bench; {formatMass(clayG, units)} of clay if the tiles
              are still to be made. Places in the kiln are drawn at random.
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
          <DesignCheck design={design} asked={asked} mixed={mixed} />
          <FormShell
            form={form}
            act={`Make ${count(tiles.length, 'tile')} and their sheets`}
            waits={wrong !== null || tiles.length === 0}
          />
        </Box>
      </Box>
    </FormProvider>
  );
}
