'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  compareCones,
  SHUT_OFF,
  SHUT_OFF_MEANS,
  describeReading,
  formatCone,
  isShutOff,
  parseCone,
  readCones,
  readFiring,
  usualPack,
} from '@/core/cones';
import type { Witness } from '@/data/witnesses';
import type { Taken } from '@/platform/contract';
import { useItemsAbout } from '@/platform/sender/host';
import type { Item } from '@/platform/sender/store';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { ConeDrawing } from '../../drawings';
import { DragCone } from './DragCone';
import * as contracts from '../contracts';
import { aboutFiring } from '../contracts';
import { Form } from '@/ui/Form';

type Bends = Record<string, number | null>;

/** What was read here and has not gone out, later readings over earlier ones. */
const unsentBends = (items: readonly Item[]): Bends =>
  Object.fromEntries(
    items
      .filter(
        ({ name, state }) =>
          name === contracts.readCones.name && (state === 'waiting' || state === 'sending'),
      )
      .flatMap(({ input }) => (input as Taken<typeof contracts.readCones>).readings)
      .map(({ coneId, bendDegrees }) => [coneId, bendDegrees]),
  );

/** The cones set in a firing: which, where; after opening, how far each bent. */
export function ConePacks({
  firingId,
  cones,
  target,
  reading,
  byLog = false,
  edit,
}: {
  firingId: string;
  cones: readonly Witness[];
  target: string | null;
  reading: boolean;
  /** Its log says what it reached. */
  byLog?: boolean;
  edit: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [place, setPlace] = useState('');
  const [extra, setExtra] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const [bends, setBends] = useState<Bends>({});
  const waiting = unsentBends(useItemsAbout(aboutFiring({ firingId })) ?? []);
  /** As it is known here: by what waits to be sent, or else by the server. */
  const known = (cone: Witness): number | null => (cone.id in waiting ? waiting[cone.id]! : cone.bendDegrees);
  const bend = (cone: Witness): number | null => (cone.id in bends ? bends[cone.id]! : known(cone));
  const save = async (packs: Taken<typeof contracts.setCones>['cones']): Promise<void> => {
    if ((await act(contracts.setCones, { firingId, cones: packs })).ok) {
      setPlace('');
      setExtra('');
      router.refresh();
    }
  };
  const add = (): void => {
    const read = extra.trim() === '' ? null : parseCone(extra);
    if (read !== null && !read.ok) return setWrong(read.message);
    if (read === null && target === null) return setWrong('Say which cone.');
    setWrong(null);
    const added = read === null ? usualPack(target as string) : [{ cone: read.cone, role: 'other' as const }];
    const where = place.trim() === '' ? 'shelf' : isShutOff(place) ? SHUT_OFF : place.trim();
    void save([
      ...cones,
      ...added
        .map((one) => ({ ...one, place: where }))
        .filter((one) => !cones.some((held) => held.cone === one.cone && held.place === where)),
    ]);
  };
  const keep = async (): Promise<void> => {
    const readings = cones.map((cone) => ({ coneId: cone.id, bendDegrees: bend(cone) }));
    const answer = await act(contracts.readCones, { firingId, readings });
    if (answer.ok && answer.kept) {
      say('Cones read: kept on this device until there is a network', answer.undo);
    } else if (answer.ok) {
      const moved = answer.data.moved.map(({ title, became }) => `${title}: ${became}`);
      say(
        moved.length === 0
          ? 'Cones read; the chart follows'
          : `Cones read; by what they teach of the kiln ${moved.join(', ')}`,
      );
      router.refresh();
    }
  };
  const bent = cones.flatMap((cone) => {
    const degrees = bend(cone);
    return degrees === null ? [] : [{ cone: cone.cone, place: cone.place, bendDegrees: degrees }];
  });
  const read = readFiring(bent);
  const changed = cones.some((cone) => bend(cone) !== known(cone));
  const places = [...new Set(cones.map((cone) => cone.place))];
  return (
    <Box>
      {places.map((one) => (
        <Box key={one} sx={{ mb: 1.5 }}>
          <Stack direction="row" sx={{ alignItems: 'baseline', gap: 1 }}>
            <Typography variant="h3">{one}</Typography>
            {reading && (
              <Typography variant="body2" color="text.secondary">
                {(() => {
                  const here = readCones(bent.filter(({ place }) => place === one));
                  return here === null
                    ? 'not read'
                    : `${describeReading(here)}${isShutOff(one) ? '; not counted' : ''}`;
                })()}
              </Typography>
            )}
            {edit && !reading && (
              <Button
                size="small"
                disabled={busy}
                onClick={() => void save(cones.filter((cone) => cone.place !== one))}
              >
                Leave out
              </Button>
            )}
          </Stack>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3 }}>
            {cones
              .filter((cone) => cone.place === one)
              .sort((a, b) => compareCones(a.cone, b.cone))
              .map((cone) => (
                <Box key={cone.id} sx={{ width: 150 }}>
                  <Stack direction="row" sx={{ alignItems: 'end', gap: 1 }}>
                    {reading && edit ? (
                      <DragCone
                        cone={formatCone(cone.cone)}
                        bend={bend(cone)}
                        size={76}
                        onBend={(degrees) => setBends((now) => ({ ...now, [cone.id]: degrees }))}
                      />
                    ) : (
                      <ConeDrawing cone={formatCone(cone.cone)} bend={bend(cone)} size={56} />
                    )}
                    <Typography sx={{ fontSize: '1.5rem', fontWeight: 700, lineHeight: 1.1 }}>
                      {formatCone(cone.cone)}
                      <Typography component="span" variant="body2" color="text.secondary">
                        {' '}
                        {cone.role}
                      </Typography>
                    </Typography>
                  </Stack>
                  {reading && edit && (
                    <>
                      <Slider
                        value={bend(cone) ?? 0}
                        min={0}
                        max={90}
                        step={5}
                        marks={[{ value: 45 }]}
                        aria-label={`Bend of cone ${formatCone(cone.cone)}, ${one}`}
                        valueLabelDisplay="auto"
                        valueLabelFormat={(value) => `${Math.round((value / 90) * 100)} %`}
                        onChange={(_, value) => setBends((now) => ({ ...now, [cone.id]: value as number }))}
                        onChangeCommitted={(_, value) =>
                          setBends((now) => ({ ...now, [cone.id]: value as number }))
                        }
                      />
                      <Stack direction="row">
                        {[
                          { label: 'up', value: 0 },
                          { label: 'half', value: 45 },
                          { label: 'down', value: 90 },
                        ].map((step) => (
                          <Button
                            key={step.label}
                            size="small"
                            onClick={() => setBends((now) => ({ ...now, [cone.id]: step.value }))}
                            aria-pressed={bend(cone) === step.value}
                            aria-label={`Cone ${formatCone(cone.cone)}, ${one}: ${step.label}`}
                            sx={{ minWidth: 0, fontWeight: bend(cone) === step.value ? 800 : 500 }}
                          >
                            {step.label}
                          </Button>
                        ))}
                      </Stack>
                    </>
                  )}
                </Box>
              ))}
          </Box>
        </Box>
      ))}
      {cones.length === 0 && (
        <Typography>
          No witness cones are set{reading ? ' or recorded' : ''}. Without them{' '}
          {byLog ? 'what it reached is known by its log only.' : 'nobody knows what the firing reached.'}
        </Typography>
      )}
      {read?.disordered && (
        <Typography sx={{ fontWeight: 650 }}>
          A hotter cone is further down than a cooler one: are two swapped?
        </Typography>
      )}
      {read && places.filter((one) => !isShutOff(one)).length > 1 && (
        <Typography>Between places: {Math.round(read.spread * 10) / 10} of a cone.</Typography>
      )}
      <ProblemNote>{problem}</ProblemNote>
      {reading && edit && cones.length > 0 && (
        <Button variant="contained" disabled={busy || !changed} onClick={() => void keep()}>
          Save what the cones say
        </Button>
      )}
      {edit && !reading && (
        <Stack
          direction={{ xs: 'column', sm: 'row' }}
          spacing={1}
          sx={{ mt: 1 }}
          component={Form}
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
        >
          <TextField
            label="Place"
            placeholder="top shelf, left; shut-off"
            helperText={isShutOff(place) ? SHUT_OFF_MEANS : undefined}
            value={place}
            onChange={(event) => setPlace(event.target.value)}
          />
          <TextField
            label="Cone"
            placeholder={target ? `${formatCone(target)} with one below and above` : '6'}
            value={extra}
            onChange={(event) => setExtra(event.target.value)}
            error={wrong !== null}
            helperText={wrong}
          />
          <Button
            type="submit"
            variant="outlined"
            disabled={busy}
            sx={{ flex: 'none', alignSelf: 'flex-start' }}
          >
            Set {extra.trim() === '' ? 'a pack' : 'this cone'}
          </Button>
        </Stack>
      )}
    </Box>
  );
}
