'use client';
import { FieldGrid } from '@/ui/FieldGrid';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { ReactNode } from 'react';
import { designOf, type Design, type Field } from '@/core/designs';
import type { AskChoices } from '../queries';
import { LETTERS } from './Board';
import { Pick, PickSeveral, Count, Steps } from './design-inputs';

/** The fields that belong to one kind of design, as its definition names them. */
export function DesignFields({
  design,
  choices,
  onChange,
}: {
  design: Design;
  choices: AskChoices;
  onChange: (design: Design) => void;
}) {
  const values = design as unknown as Record<string, unknown>;
  return (
    <FieldGrid wide={2} sx={{ alignItems: 'start' }}>
      {Object.entries(designOf(design.kind).parts).map(([name, { field }]) => (
        <PartField
          key={name}
          field={field}
          value={values[name]}
          choices={choices}
          onChange={(value) => onChange({ ...design, [name]: value } as Design)}
        />
      ))}
    </FieldGrid>
  );
}

/** One part of a design: its value is of the kind that its field is. */
function PartField({
  field,
  value,
  choices,
  onChange,
}: {
  field: Field;
  value: unknown;
  choices: AskChoices;
  onChange: (value: unknown) => void;
}): ReactNode {
  const coatings = choices.coatings.map(({ id, name }) => ({ id, name }));
  const recipes = choices.coatings.map(({ id, name, recipe }) => ({
    id,
    name: recipe ? name : `${name} (no recipe yet)`,
  }));
  switch (field.is) {
    case 'coating':
    case 'recipe':
    case 'material':
      return (
        <Pick
          label={field.label}
          value={value as string}
          choices={{ coating: coatings, recipe: recipes, material: choices.materials }[field.is]}
          onChange={onChange}
        />
      );
    case 'coatings':
      return (
        <PickSeveral label={field.label} value={value as string[]} choices={coatings} onChange={onChange} />
      );
    case 'corners': {
      const corners = value as string[];
      return corners.map((corner, i) => (
        <Pick
          key={i}
          label={`Corner ${LETTERS[i]}`}
          value={corner}
          choices={recipes}
          onChange={(id) => onChange(corners.map((old, at) => (at === i ? id : old)))}
        />
      ));
    }
    case 'stacks': {
      const stacks = value as string[][];
      return [...stacks, []].map((stack, i) => (
        <PickSeveral
          key={i}
          label={
            i < stacks.length ? `${field.label} ${i + 1}, first on first` : 'Another stack, first on first'
          }
          value={stack}
          choices={coatings}
          onChange={(next) =>
            onChange([...stacks.slice(0, i), next, ...stacks.slice(i + 1)].filter((one) => one.length > 0))
          }
        />
      ));
    }
    case 'steps':
      return <Steps label={field.label} whole={field.whole} value={value as number[]} onChange={onChange} />;
    case 'count':
      return (
        <Count
          label={field.label}
          value={value as number}
          min={field.min}
          max={field.max}
          onChange={onChange}
        />
      );
    case 'one of':
      return (
        <Pick
          label={field.label}
          value={value as string}
          choices={field.choices.map((one) => ({ id: one.value, name: one.label }))}
          onChange={onChange}
        />
      );
    case 'yes or no':
      return (
        <FormControlLabel
          control={
            <Checkbox checked={value as boolean} onChange={(event) => onChange(event.target.checked)} />
          }
          label={field.label}
        />
      );
  }
}
