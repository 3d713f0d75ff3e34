'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { parseCone, usualPack } from '@/core/cones';
import { ATMOSPHERES } from '@/core/signs';
import type { Kiln } from '@/data/kilns';
import type { Taken } from '@/platform/contract';
import { useContractForm } from '@/platform/useContractForm';
import { useSend } from '@/platform/useSend';
import { Caution } from '@/ui/Caution';
import { FormShell } from '@/ui/FormShell';
import { useSay } from '@/ui/Undo';
import { ChoiceInput, SelectInput } from '@/ui/choice-fields';
import { DateInput } from '@/ui/DateInput';
import { TextInput } from '@/ui/fields';
import { takeOut } from '../../loading/contracts';
import * as contracts from '../contracts';

type Planned = Taken<typeof contracts.plan>;
export type FiringFields = Planned['fields'];
/** How a kiln is usually fired: as it was last. */
export type Usual = Pick<FiringFields, 'kind' | 'targetCone' | 'atmosphere'>;

const KINDS = [
  { value: 'glaze', label: 'Glaze' },
  { value: 'bisque', label: 'Bisque' },
  { value: 'refire', label: 'Refire' },
  { value: 'overglaze', label: 'Overglaze, lustre' },
  { value: 'once-fired', label: 'Once-fired' },
];

/** Plans a firing; it comes with its usual cone pack on as many shelves as its kiln has. */
export function PlanForm({
  kilns,
  start,
  usual,
}: {
  kilns: readonly Kiln[];
  start: FiringFields;
  usual: Readonly<Record<string, Usual>>;
}) {
  const router = useRouter();
  const say = useSay();
  const { act } = useSend();
  const form = useContractForm(contracts.plan, {
    start: { fields: start, cones: [] },
    draft: Object.values(start).join('/'),
    complete: ({ fields }) => ({ fields, cones: packFor(fields, kilns) }),
    done: ({ data: { id, control } }) => {
      if (control !== null)
        say(
          `${control.code}, the control, is in it`,
          () =>
            void act(takeOut, { firingId: id, placementIds: [control.placementId] }).then(() =>
              router.refresh(),
            ),
        );
      router.push(`/kilns/firings/${id}`);
    },
  });
  return (
    <FormShell form={form} act="Plan this firing">
      <Fields kilns={kilns} />
      <FollowKiln usual={usual} />
    </FormShell>
  );
}

/** Another kiln brings its own usual firing with it, as long as nobody has said otherwise. */
function FollowKiln({ usual }: { usual: Readonly<Record<string, Usual>> }) {
  const { control, formState, setValue } = useFormContext<{ fields: FiringFields }>();
  const kilnId = useWatch({ control, name: 'fields.kilnId' });
  const before = useRef(kilnId);
  const { dirtyFields } = formState;
  useEffect(() => {
    if (before.current === kilnId) return;
    before.current = kilnId;
    const own = usual[kilnId];
    if (own === undefined) return;
    const touched = dirtyFields.fields;
    if (!touched?.kind) setValue('fields.kind', own.kind);
    if (!touched?.targetCone) setValue('fields.targetCone', own.targetCone);
    if (!touched?.atmosphere) setValue('fields.atmosphere', own.atmosphere);
  }, [kilnId, usual, dirtyFields, setValue]);
  return null;
}

/** Changes what was planned. */
export function ReplanForm({
  firing: { id, revision },
  start,
  onDone,
}: {
  firing: { id: string; revision: number };
  start: FiringFields;
  onDone: () => void;
}) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.edit, {
    start: { firingId: id, revision, fields: start },
    draft: `${id}/${revision}`,
    done: () => {
      say('Firing changed');
      onDone();
      router.refresh();
    },
  });
  return (
    <FormShell form={form} act="Save" acts={<Button onClick={onDone}>Leave it</Button>}>
      <Fields kilns={null} />
    </FormShell>
  );
}

function packFor(fields: FiringFields, kilns: readonly Kiln[]): Planned['cones'] {
  const cone = parseCone(fields.targetCone ?? '');
  if (!cone.ok || fields.kind === 'bisque') return [];
  const shelves = kilns.find(({ id }) => id === fields.kilnId)?.shelves ?? 1;
  const places = shelves > 1 ? ['top shelf', 'bottom shelf'] : ['shelf'];
  return places.flatMap((place) => usualPack(cone.cone).map((one) => ({ ...one, place })));
}

/** A firing that stands has its kiln; only a new one chooses. */
function Fields({ kilns }: { kilns: readonly Kiln[] | null }) {
  const { control } = useFormContext<{ fields: FiringFields }>();
  const target = useWatch({ control, name: 'fields.targetCone' });
  const read = parseCone(target ?? '').ok || !target;
  return (
    <>
      <ChoiceInput control={control} name="fields.kind" label="Kind" choices={KINDS} />
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
        {kilns !== null && (
          <SelectInput
            control={control}
            name="fields.kilnId"
            label="Kiln"
            choices={kilns.map(({ id, name }) => ({ value: id, label: name }))}
          />
        )}
        <TextInput
          control={control}
          name="fields.targetCone"
          label="Target cone"
          orNull
          {...(read ? { helper: 'As in 6, 06 or 5½. Empty when there is none.' } : {})}
        />
        <SelectInput
          control={control}
          name="fields.atmosphere"
          label="Atmosphere"
          choices={ATMOSPHERES.map((value) => ({ value, label: value }))}
        />
        <DateInput control={control} name="fields.plannedFor" label="On" />
      </Box>
      <TextInput
        control={control}
        name="fields.notes"
        label="Notes"
        multiline
        minRows={2}
        helper="Schedule, weather, what to watch."
      />
      <Caution>
        Damp ware explodes: dry it through. Keep what burns away from the kiln, vent the fumes, and never
        leave a kiln with a manual shut-off past its time. Reduction makes carbon monoxide: alarm and
        ventilation.
      </Caution>
    </>
  );
}
