'use client';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import type { DefaultValues, FieldValues } from 'react-hook-form';
import type { ReactNode } from 'react';
import type { z } from 'zod';
import type { Contract } from '@/platform/contract';
import { useContractForm, type ContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { TextInput } from '@/ui/fields';
import * as contracts from '../contracts';
import { StudioFields } from './StudioFields';

/** A form that leads through the door, and then to where everybody begins. */
function DoorForm<I extends z.ZodType<FieldValues, FieldValues>>(props: {
  door: Contract<I, null>;
  start: DefaultValues<z.input<I>>;
  verb: string;
  children: (form: ContractForm<z.input<I>>) => ReactNode;
}) {
  const router = useRouter();
  const form = useContractForm(props.door, {
    start: props.start,
    draft: null,
    done: () => {
      router.replace('/');
      router.refresh();
    },
  });
  return (
    <FormShell form={form} act={props.verb}>
      {props.children(form)}
    </FormShell>
  );
}

export function SignInForm() {
  return (
    <DoorForm door={contracts.enterStudio} start={{ login: '', password: '' }} verb="Sign in">
      {({ control }) => (
        <>
          <TextInput control={control} name="login" label="Sign-in name" autoComplete="username" autoFocus />
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
    <DoorForm door={contracts.accept} start={{ token, name, login: '', password: '' }} verb="Join the studio">
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

export function ResetForm({ token }: { token: string }) {
  return (
    <DoorForm door={contracts.reset} start={{ token, password: '' }} verb="Set it and sign in">
      {({ control }) => (
        <TextInput
          control={control}
          name="password"
          label="New password"
          type="password"
          autoComplete="new-password"
          helper="At least ten characters; a short sentence does well."
        />
      )}
    </DoorForm>
  );
}

export function FirstRunForm() {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <DoorForm
      door={contracts.openStudio}
      verb="Open the studio"
      start={{
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
          <StudioFields zoneHelp="As in Europe/Lisbon. Taken from this computer." />
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
