'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { markSeries } from '@/core/codes';
import { FORMS } from '@/core/designs';
import { ATMOSPHERES, type Atmosphere } from '@/core/signs';
import { count } from '@/core/units';
import { FACE_KINDS, WARE_SURFACES, type FaceKind } from '@/core/zones';
import { useSend } from '@/platform/useSend';
import { FieldGrid } from '@/ui/FieldGrid';
import { NumberField } from '@/ui/NumberField';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

type Named = { id: string; name: string };
export type Together = { id: string; code: string };

/** Left as it is; nothing at all. */
const [AS_IS, NONE] = ['as it is', 'none'];
/** A face of a tile by its ground, or a surface of ware by its name. */
function facesOfSet(word: string, i: number) {
  const surface = WARE_SURFACES.find((one) => one === word) ?? null;
  const kind = FACE_KINDS.find((one) => one === word) ?? ('bare' as const);
  return { no: i + 1, kind, slipVersionId: null, surface };
}

const FACE_WORDS: Record<FaceKind, string> = {
  bare: 'bare body',
  'light-slip': 'light slip',
  'dark-slip': 'dark slip',
  textured: 'textured',
};

/** What all of some pieces are to be from now on: only what is chosen changes, in one act, with undo. */
export function PutRight({
  pieces,
  bodies,
  people,
  label,
  done,
}: {
  pieces: readonly Together[];
  bodies: readonly Named[];
  people: readonly Named[];
  label: string;
  done?: () => void;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState<Record<string, string>>({});
  const [heightMm, setHeightMm] = useState<number | null>(null);
  const [marks, setMarks] = useState('');
  const series = markSeries(marks);
  const of = (field: string): string => to[field] ?? AS_IS;
  const chosen = (field: string): string | undefined => (of(field) === AS_IS ? undefined : of(field));
  const orNone = (field: string): string | null | undefined =>
    chosen(field) === NONE ? null : chosen(field);
  const select = (field: string, name: string, options: readonly [string, string][], none?: string) => (
    <TextField
      select
      label={name}
      value={of(field)}
      onChange={(event) => setTo((before) => ({ ...before, [field]: event.target.value }))}
    >
      <MenuItem value={AS_IS}>as it is</MenuItem>
      {none && <MenuItem value={NONE}>{none}</MenuItem>}
      {options.map(([value, text]) => (
        <MenuItem key={value} value={value}>
          {text}
        </MenuItem>
      ))}
    </TextField>
  );
  const faces = chosen('faces')?.split('+');
  const common = Object.fromEntries(
    Object.entries({
      bodyId: chosen('bodyId'),
      form: chosen('form'),
      faces: faces?.map((kind, i) => facesOfSet(kind, i)),
      ownerId: orNone('ownerId'),
      wantedCone: to.wantedCone?.trim() || undefined,
      wantedAtmosphere: orNone('wantedAtmosphere') as Atmosphere | null | undefined,
      heightMm: heightMm ?? undefined,
      layersLike: chosen('layersLike'),
    }).filter(([, value]) => value !== undefined),
  );
  const wrongMarks =
    series === null
      ? 'A range goes up, and not on for ever.'
      : series.length > pieces.length
        ? `${series.length} marks for ${count(pieces.length, 'piece')}.`
        : null;
  const nothing = Object.keys(common).length === 0 && (series?.length ?? 0) === 0;
  const save = async (): Promise<void> => {
    const ids = pieces.map(({ id }) => id);
    const answer = await act(contracts.putRight, {
      changes: [
        ...(Object.keys(common).length > 0 ? [{ pieceIds: ids, to: common }] : []),
        ...(series ?? []).map((mark, i) => ({ pieceIds: [ids[i]!], to: { mark } })),
      ],
    });
    if (!answer.ok) return;
    setOpen(false);
    setTo({});
    setMarks('');
    setHeightMm(null);
    say(`${count(pieces.length, 'piece')} put right; the chart follows`, answer.undo);
    done?.();
    router.refresh();
  };
  const faceSets = [
    ...FACE_KINDS.map((kind): [string, string] => [kind, `one: ${FACE_WORDS[kind]}`]),
    ['bare+light-slip', 'two: bare body, light slip'] as [string, string],
    ['bare+dark-slip', 'two: bare body, dark slip'] as [string, string],
    ['bare+textured', 'two: bare body, textured'] as [string, string],
    ['outside+inside+rim+foot', 'a pot: outside, inside, rim, foot'] as [string, string],
    ['outside+inside+rim+foot+lid', 'a pot with a lid'] as [string, string],
  ];
  return (
    <>
      <Button variant="outlined" disabled={pieces.length === 0} onClick={() => setOpen(true)}>
        {label}
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} fullWidth maxWidth="sm">
        <DialogTitle>Put {count(pieces.length, 'piece')} right</DialogTitle>
        <DialogContent>
          <Typography sx={{ mb: 1.5 }}>
            Only what is chosen here changes. What was meant to be put on them stays on record.
          </Typography>
          <FieldGrid phone={1} wide="1fr 1fr">
            {select(
              'bodyId',
              'Body',
              bodies.map(({ id, name }) => [id, name]),
            )}
            {select(
              'form',
              'Form',
              FORMS.map(({ name }) => [name, name]),
            )}
            {select('faces', 'Faces', faceSets)}
            <NumberField
              label="Face, foot to rim"
              quantity="length"
              value={heightMm}
              onChange={setHeightMm}
            />
            <TextField
              label="Wanted cone"
              placeholder="as it is"
              value={to.wantedCone ?? ''}
              onChange={(event) => setTo((before) => ({ ...before, wantedCone: event.target.value }))}
            />
            {select(
              'wantedAtmosphere',
              'Wanted atmosphere',
              ATMOSPHERES.map((one) => [one, one]),
              'any',
            )}
            {select(
              'ownerId',
              'Belongs to',
              people.map(({ id, name }) => [id, name]),
              'the studio',
            )}
            {pieces.length > 1 &&
              select(
                'layersLike',
                'Layers',
                pieces.slice(0, 60).map(({ id, code }) => [id, `as on ${code}`]),
              )}
          </FieldGrid>
          <TextField
            label={pieces.length === 1 ? 'Mark' : 'Marks, in the order of the list'}
            placeholder={pieces.length === 1 ? '' : `1–${pieces.length}, or a pasted list`}
            value={marks}
            multiline
            maxRows={6}
            onChange={(event) => setMarks(event.target.value)}
            error={wrongMarks !== null}
            helperText={
              wrongMarks ??
              ((series?.length ?? 0) > 1
                ? `${series![0]} on ${pieces[0]!.code} … ${series!.at(-1)} on ${pieces[series!.length - 1]!.code}`
                : undefined)
            }
            sx={{ mt: 2 }}
          />
          <ProblemNote>{problem}</ProblemNote>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Leave it</Button>
          <Button
            variant="contained"
            disabled={busy || nothing || wrongMarks !== null}
            onClick={() => void save()}
          >
            Put right
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
