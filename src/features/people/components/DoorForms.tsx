'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useForm, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';
import { useState, type ReactNode } from 'react';
import type { z } from 'zod';
import { call } from '@/platform/client';
import { showFieldProblems } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { ChoiceInput, NumberInput, TextInput } from '@/ui/fields';
import { acceptSchema, firstRunSchema, signInSchema } from '../schema';

/** A form that leads through the door: posts, shows what is wrong beside the field, then goes on. */
function DoorForm<S extends z.ZodType<FieldValues, FieldValues>>(props: {
  door: string;
  schema: S;
  defaults: DefaultValues<z.input<S>>;
  verb: string;
  children: (form: UseFormReturn<z.input<S>>) => ReactNode;
}) {
  const form = useForm<z.input<S>>({
    resolver: zodResolver(props.schema) as never,
    defaultValues: props.defaults,
  });
  const [problem, setProblem] = useState<string | null>(null);
  const router = useRouter();
  const submit = form.handleSubmit(async (values) => {
    setProblem(null);
    const answer = await call(`/api/door/${props.door}`, {
      method: 'POST',
      body: JSON.stringify(values),
    });
    if (answer.ok) {
      router.replace('/');
      router.refresh();
    } else {
      setProblem(answer.problem.message);
      showFieldProblems(answer, form.setError);
    }
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <Stack spacing={2}>
        {props.children(form)}
        <ProblemNote>{problem}</ProblemNote>
        <Button
          type="submit"
          variant="contained"
          size="large"
          disabled={form.formState.isSubmitting}
        >
          {props.verb}
        </Button>
      </Stack>
    </form>
  );
}

export function SignInForm() {
  return (
    <DoorForm
      door="sign-in"
      schema={signInSchema}
      defaults={{ login: '', password: '' }}
      verb="Sign in"
    >
      {({ control }) => (
        <>
          <TextInput
            control={control}
            name="login"
            label="Sign-in name"
            autoComplete="username"
            autoFocus
          />
          <TextInput
            control={control}
            name="password"
            label="Password"
            type="password"
            autoComplete="current-password"
          />
        </>
      )}
    </DoorForm>
  );
}

export function AcceptForm({ token, name }: { token: string; name: string }) {
  return (
    <DoorForm
      door="accept"
      schema={acceptSchema}
      defaults={{ token, name, login: '', password: '' }}
      verb="Join the studio"
    >
      {({ control }) => (
        <>
          <TextInput control={control} name="name" label="Your name" autoComplete="name" />
          <TextInput
            control={control}
            name="login"
            label="Sign-in name"
            autoComplete="username"
            helper="What you type to sign in: letters and digits, no spaces."
          />
          <TextInput
            control={control}
            name="password"
            label="Password"
            type="password"
            autoComplete="new-password"
            helper="At least ten characters."
          />
        </>
      )}
    </DoorForm>
  );
}

export function FirstRunForm() {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <DoorForm
      door="first-run"
      schema={firstRunSchema}
      verb="Open the studio"
      defaults={{
        studio: {
          name: '',
          timeZone: zone,
          temperatureUnit: 'C',
          lengthUnit: 'mm',
          massUnit: 'g',
          crackAtC: 100,
          unloadAtC: 40,
        },
        name: '',
        login: '',
        password: '',
      }}
    >
      {({ control }) => (
        <>
          <Typography variant="h2">The studio</Typography>
          <TextInput control={control} name="studio.name" label="Studio’s name" autoFocus />
          <TextInput
            control={control}
            name="studio.timeZone"
            label="Time zone"
            helper="As in Europe/Lisbon. Taken from this computer."
          />
          <Stack direction="row" spacing={2} useFlexGap sx={{ flexWrap: 'wrap' }}>
            <ChoiceInput
              control={control}
              name="studio.temperatureUnit"
              label="Temperature"
              choices={[
                { value: 'C', label: '°C' },
                { value: 'F', label: '°F' },
              ]}
            />
            <ChoiceInput
              control={control}
              name="studio.lengthUnit"
              label="Length"
              choices={[
                { value: 'mm', label: 'mm' },
                { value: 'in', label: 'inch' },
              ]}
            />
            <ChoiceInput
              control={control}
              name="studio.massUnit"
              label="Mass"
              choices={[
                { value: 'g', label: 'g, kg' },
                { value: 'oz', label: 'oz, lb' },
              ]}
            />
          </Stack>
          <Stack direction="row" spacing={2}>
            <NumberInput control={control} name="studio.crackAtC" label="Crack the lid below, °C" />
            <NumberInput
              control={control}
              name="studio.unloadAtC"
              label="Unload by hand below, °C"
            />
          </Stack>
          <Typography variant="h2" sx={{ pt: 1 }}>
            You, its first technician
          </Typography>
          <TextInput control={control} name="name" label="Your name" autoComplete="name" />
          <TextInput control={control} name="login" label="Sign-in name" autoComplete="username" />
          <TextInput
            control={control}
            name="password"
            label="Password"
            type="password"
            autoComplete="new-password"
            helper="At least ten characters; a short sentence does well."
          />
        </>
      )}
    </DoorForm>
  );
}
