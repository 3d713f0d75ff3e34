'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { FormProvider, useWatch } from 'react-hook-form';
import {
  askFor,
  confounding,
  designOf,
  designSchema,
  facesOfForm,
  firstDesign,
  planTiles,
  type Ask,
  type Design,
  type DesignKind,
  type PlannedTile,
} from '@/core/designs';
import { SIGNS } from '@/core/signs';
import { METHODS, STAGES } from '@/core/zones';
import { count } from '@/core/units';
import type { Taken } from '@/platform/contract';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { SelectInput, numbers } from '@/ui/choice-fields';
import { TextInput } from '@/ui/fields';
import { Section } from '@/ui/Page';
import { useSay } from '@/ui/Undo';
import { havingOf, words } from '../design';
import { named, namedFactors } from '../name';
import type { AskChoices } from '../queries';
import { DesignFields } from './DesignFields';
import * as contracts from '../contracts';
import { DesignCheck } from './DesignCheck';
import { TileFields } from './TileFields';
import { AskFirst } from './AskFirst';
import { WhatItMakes } from './WhatItMakes';
import type { CoatingChoice } from '../../pieces';
import { Count, Pick, PickSeveral } from './design-inputs';

const APPLY = { method: 'dip', coats: 1, weight: 'normal', seconds: 3, stage: 'bisque' } as const;
const facesOf = (form: string) => facesOfForm(form).map((face) => ({ ...face, slipVersionId: null }));

/** From a question to its tiles: the design, what it would make, what it confuses, what it takes. */
export function AskForm({
  choices,
  coatings,
  start,
  seed,
  target,
}: {
  choices: AskChoices;
  /** Every coating with its slips, for the grounds of a tile and to draw one. */
  coatings: readonly CoatingChoice[];
  start: { kind: DesignKind; coating?: string };
  seed: number;
  target: { id: string; code: string } | null;
}) {
  const router = useRouter();
  const say = useSay();
  const names = useMemo(
    () =>
      new Map(
        [...choices.bodies, ...choices.coatings, ...choices.materials].map(({ id, name }) => [id, name]),
      ),
    [choices],
  );
  const [asked, setAsked] = useState<Ask>(() => askFor(start.kind));
  const having = useMemo(() => havingOf(choices, start.coating), [choices, start.coating]);
  const form = useContractForm(contracts.ask, {
    start: (): Taken<typeof contracts.ask> => {
      const design = firstDesign(start.kind, having, {
        bodies: choices.bodies.slice(0, designOf(start.kind).acrossBodies ? 3 : 1).map(({ id }) => id),
        repeats: 1,
        controls: true,
        apply: { ...APPLY },
      });
      return {
        fields: {
          ...words(design, names),
          about: askFor(start.kind).about ?? null,
          held: '',
          expected: '',
          targetPieceId: target?.id ?? null,
        },
        design,
        form: 'L tile',
        heightMm: 90,
        faces: facesOf('L tile'),
        waitingFor: 'glaze',
        wantedCone: '6',
        wantedAtmosphere: 'oxidation',
        sheet: { dryG: 100, cupMl: 60, measureMl: 1, resolutionG: 0.1 },
        shelves: 2,
        seed,
      };
    },
    draft: [start.kind, start.coating ?? '', target?.id ?? ''].join('/'),
    done: ({ data }) => {
      say(`${data.codes.length} tiles are made; their sheets are here`);
      router.push(`/tests/questions/${data.no}`);
      router.refresh();
    },
  });
  const { control, setValue, getFieldState } = form;
  const design = useWatch({ control, name: 'design' }) as Design;
  const [tileForm, faces, waitingFor] = useWatch({
    control,
    name: ['form', 'faces', 'waitingFor'],
  });
  const setDesign = (next: Design): void => {
    setValue('design', next, { shouldDirty: true });
    // What it asks and varies follows the design until somebody says it in other words.
    for (const name of ['text', 'varied'] as const)
      if (!getFieldState(`fields.${name}`).isDirty)
        form.resetField(`fields.${name}`, { defaultValue: words(next, names)[name] });
  };
  const begin = (kind: DesignKind): void =>
    setDesign(
      firstDesign(kind, having, {
        bodies: designOf(kind).acrossBodies ? choices.bodies.slice(0, 3).map(({ id }) => id) : design.bodies,
        repeats: design.repeats,
        controls: design.controls,
        apply: design.apply,
      }),
    );

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
  const varying = designOf(design.kind)
    .asked(design)
    .map((name) => named(name, names));
  const mixed = confounding(
    tiles.map(({ factors }) => namedFactors(factors, names)),
    varying,
  );
  const weighs = tiles.some(({ mix }) => mix !== null);
  const corners: readonly string[] = 'corners' in design ? design.corners : [];
  const pours = corners.length > 0;
  return (
    <FormProvider {...form}>
      <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { xs: '1fr', lg: '1fr 1fr' } }}>
        <Box sx={{ minWidth: 0 }}>
          <Section title="What do you want to know?">
            <AskFirst
              asked={asked}
              kind={design.kind}
              onAsk={(next) => {
                setAsked(next);
                setValue('fields.about', next.about ?? null);
                begin(next.designs[0]!);
              }}
              onDesign={begin}
            />
            <Stack spacing={1.5}>
              <DesignFields key={design.kind} design={design} choices={choices} onChange={setDesign} />
              <PickSeveral
                label="Bodies"
                value={design.bodies}
                choices={choices.bodies}
                onChange={(bodies) => setDesign({ ...design, bodies })}
              />
              <Box
                sx={{
                  display: 'grid',
                  gap: 1.5,
                  gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
                }}
              >
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
                {!designOf(design.kind).ownCoats && (
                  <Count
                    label="Coats"
                    value={design.apply.coats}
                    min={1}
                    max={6}
                    onChange={(coats) => setDesign({ ...design, apply: { ...design.apply, coats } })}
                  />
                )}
                {waitingFor === 'bisque' && (
                  <Pick
                    label="Put on when"
                    value={design.apply.stage}
                    choices={STAGES.map((id) => ({ id, name: id }))}
                    onChange={(stage) =>
                      setDesign({
                        ...design,
                        apply: { ...design.apply, stage: stage as 'bisque' },
                      })
                    }
                  />
                )}
                <SelectInput control={control} name="shelves" label="Shelves" choices={numbers(1, 8)} />
              </Box>
              <FormControlLabel
                control={
                  <Checkbox
                    checked={design.controls}
                    onChange={(event) => setDesign({ ...design, controls: event.target.checked })}
                  />
                }
                label={designOf(design.kind).controls ?? 'With a control to compare with'}
              />
            </Stack>
          </Section>
          <Section title={target === null ? 'Question' : `Question: matching ${target.code}`}>
            <Stack spacing={1.5}>
              <TextInput control={control} name="fields.text" label="In your words" />
              <SelectInput
                control={control}
                name="fields.about"
                label="Sign it is about"
                none="none in particular"
                choices={SIGNS.map(({ id, name }) => ({ value: id, label: name }))}
              />
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
          <TileFields weighs={weighs} pours={pours} coatings={coatings} />
        </Box>
        <Box sx={{ minWidth: 0 }}>
          <WhatItMakes
            design={design}
            tiles={tiles}
            wrong={wrong}
            form={tileForm}
            faces={faces}
            choices={choices}
            coatings={coatings}
            names={names}
          />
          <DesignCheck design={design} asked={varying} mixed={mixed} />
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
