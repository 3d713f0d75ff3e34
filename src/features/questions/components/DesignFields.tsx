'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { parseNumber } from '@/core/units';
import type { AskChoices } from '../queries';
import type { DesignInput } from '../schema';

type Choice = { id: string; name: string };

/** One of a list. */
export function Pick(props: {
  label: string;
  value: string;
  choices: readonly Choice[];
  onChange: (id: string) => void;
}) {
  return (
    <TextField
      select
      label={props.label}
      value={props.choices.some(({ id }) => id === props.value) ? props.value : ''}
      onChange={(event) => props.onChange(event.target.value)}
    >
      {props.choices.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** Several of a list, in the order in which they were chosen. */
export function PickSeveral(props: {
  label: string;
  value: readonly string[];
  choices: readonly Choice[];
  onChange: (ids: string[]) => void;
}) {
  return (
    <Autocomplete
      multiple
      options={props.choices}
      getOptionLabel={({ name }) => name}
      getOptionKey={({ id }) => id}
      value={props.value.flatMap((id) => props.choices.find((one) => one.id === id) ?? [])}
      onChange={(_, next) => props.onChange(next.map(({ id }) => id))}
      renderInput={(params) => <TextField {...params} label={props.label} />}
    />
  );
}

/** A whole number between bounds. */
export function Count(props: {
  label: string;
  value: number;
  min: number;
  max: number;
  onChange: (value: number) => void;
}) {
  return (
    <TextField
      select
      label={props.label}
      value={props.value}
      onChange={(event) => props.onChange(Number(event.target.value))}
    >
      {Array.from({ length: props.max - props.min + 1 }, (_, i) => props.min + i).map((n) => (
        <MenuItem key={n} value={n}>
          {n}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** Numbers with spaces between, as typed: "1 2 4 8". What cannot be read stays and is said. */
export function Steps(props: {
  label: string;
  value: readonly number[];
  onChange: (values: number[]) => void;
}) {
  const [text, setText] = useState(props.value.join(' '));
  const parts = text.trim().split(/[\s;]+/);
  const wrong = parts.find((part) => !parseNumber(part).ok);
  return (
    <TextField
      label={props.label}
      value={text}
      error={wrong !== undefined}
      helperText={wrong === undefined ? 'with spaces between' : `“${wrong}” is no number`}
      onChange={(event) => {
        setText(event.target.value);
        const values = event.target.value
          .trim()
          .split(/[\s;]+/)
          .map((part) => parseNumber(part));
        if (values.every((one) => one.ok))
          props.onChange(values.flatMap((one) => (one.ok ? [one.value] : [])));
      }}
    />
  );
}

const LETTERS = ['A', 'B', 'C', 'D'];

/** The fields that belong to one kind of design. */
export function DesignFields({
  design,
  choices,
  onChange,
}: {
  design: DesignInput;
  choices: AskChoices;
  onChange: (design: DesignInput) => void;
}) {
  const coatings = choices.coatings.map(({ id, name }) => ({ id, name }));
  const mixable = choices.coatings.map(({ id, name, recipe }) => ({
    id,
    name: recipe ? name : `${name} (no recipe yet)`,
  }));
  const set = (part: object): void => onChange({ ...design, ...part } as DesignInput);
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
        alignItems: 'start',
      }}
    >
      {'coating' in design && (
        <Pick
          label="Coating"
          value={design.coating}
          choices={coatings}
          onChange={(coating) => set({ coating })}
        />
      )}
      {'base' in design && (
        <Pick
          label="Recipe to start from"
          value={design.base}
          choices={mixable}
          onChange={(base) => set({ base })}
        />
      )}
      {'glaze' in design && (
        <Pick
          label="Glaze"
          value={design.glaze}
          choices={mixable}
          onChange={(glaze) => set({ glaze })}
        />
      )}
      {'corners' in design &&
        design.corners.map((corner, i) => (
          <Pick
            key={i}
            label={`Corner ${LETTERS[i]}`}
            value={corner}
            choices={mixable}
            onChange={(id) =>
              set({ corners: design.corners.map((old, at) => (at === i ? id : old)) })
            }
          />
        ))}
      {'stack' in design && (
        <PickSeveral
          label="Coatings, first on first"
          value={design.stack}
          choices={coatings}
          onChange={(stack) => set({ stack })}
        />
      )}
      {'coatings' in design && (
        <PickSeveral
          label="Coatings"
          value={design.coatings}
          choices={coatings}
          onChange={(next) => set({ coatings: next })}
        />
      )}
      {'bases' in design && (
        <>
          <PickSeveral
            label="Bases, on first"
            value={design.bases}
            choices={coatings}
            onChange={(bases) => set({ bases })}
          />
          <PickSeveral
            label="Overs, on top"
            value={design.overs}
            choices={coatings}
            onChange={(overs) => set({ overs })}
          />
          <FormControlLabel
            control={
              <Checkbox
                checked={design.both}
                onChange={(event) => set({ both: event.target.checked })}
              />
            }
            label="Both ways round"
          />
        </>
      )}
      {'stacks' in design &&
        [...design.stacks, []].map((stack, i) => (
          <PickSeveral
            key={i}
            label={
              i < design.stacks.length
                ? `Stack ${i + 1}, first on first`
                : 'Another stack, first on first'
            }
            value={stack}
            choices={coatings}
            onChange={(next) =>
              set({
                stacks: [...design.stacks.slice(0, i), next, ...design.stacks.slice(i + 1)].filter(
                  (one) => one.length > 0,
                ),
              })
            }
          />
        ))}
      {'coats' in design && (
        <Steps label="Coats" value={design.coats} onChange={(coats) => set({ coats })} />
      )}
      {'seconds' in design && (
        <Steps
          label="Seconds in the bucket"
          value={design.seconds}
          onChange={(seconds) => set({ seconds })}
        />
      )}
      {'most' in design && (
        <Count
          label="Coats at the foot"
          value={design.most}
          min={2}
          max={6}
          onChange={(most) => set({ most })}
        />
      )}
      {'points' in design && (
        <Count
          label="Steps"
          value={design.points}
          min={3}
          max={21}
          onChange={(points) => set({ points })}
        />
      )}
      {design.kind === 'triaxial' && (
        <Count
          label="Steps a side"
          value={design.steps}
          min={2}
          max={10}
          onChange={(steps) => set({ steps })}
        />
      )}
      {'rows' in design && (
        <>
          <Count
            label="Rows"
            value={design.rows}
            min={2}
            max={10}
            onChange={(rows) => set({ rows })}
          />
          <Count
            label="Columns"
            value={design.columns}
            min={2}
            max={10}
            onChange={(columns) => set({ columns })}
          />
        </>
      )}
      {'material' in design && (
        <Pick
          label="What is stepped up"
          value={design.material}
          choices={choices.materials}
          onChange={(material) => set({ material })}
        />
      )}
      {'percents' in design && (
        <Steps
          label={design.kind === 'body and glaze' ? 'Glaze in the clay, %' : 'Percent of the base'}
          value={design.percents}
          onChange={(percents) => set({ percents })}
        />
      )}
      {design.kind === 'crazing' && (
        <>
          <Count
            label="Steps"
            value={design.steps}
            min={1}
            max={8}
            onChange={(steps) => set({ steps })}
          />
          <Pick
            label="Silica"
            value={design.silica}
            choices={choices.materials}
            onChange={(silica) => set({ silica })}
          />
          <Pick
            label="Kaolin"
            value={design.kaolin}
            choices={choices.materials}
            onChange={(kaolin) => set({ kaolin })}
          />
        </>
      )}
    </Box>
  );
}
