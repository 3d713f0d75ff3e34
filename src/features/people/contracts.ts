import { z } from 'zod';
import { ROLES } from '@/core/studio';
import { answers, contract, doorway, toggled, withSecret } from '@/platform/contract';

const name = z.string().trim().min(1, 'Give a name.').max(120, 'At most 120 characters.');
const login = z
  .string()
  .trim()
  .toLowerCase()
  .min(2, 'A sign-in name has at least two characters.')
  .max(60, 'At most 60 characters.')
  .regex(/^[a-z0-9._@+-]+$/, 'Letters, digits and . _ @ + - only, without spaces.');
const password = z
  .string()
  .min(10, 'A password has at least ten characters; a short sentence does well.')
  .max(200, 'At most 200 characters.');
function isTimeZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}
export const studioSchema = z.object({
  name,
  timeZone: z.string().refine(isTimeZone, 'There is no such time zone; one is written like Europe/Lisbon.'),
  temperatureUnit: z.enum(['C', 'F']),
  lengthUnit: z.enum(['mm', 'in']),
  massUnit: z.enum(['g', 'oz']),
  crackAtC: z
    .number('Give a temperature.')
    .min(40, 'Not below 40 °C.')
    .max(300, 'Not above 300 °C: that cracks pots and shelves.')
    .transform(Math.round),
  unloadAtC: z
    .number('Give a temperature.')
    .min(20, 'Not below 20 °C.')
    .max(100, 'Not above 100 °C for bare hands.')
    .transform(Math.round),
});
export const saveStudio = contract('people.save-studio', z.object({ studio: studioSchema }));
export const firstRunSchema = z.object({ studio: studioSchema, name, login, password });
export const signInSchema = z.object({
  login: z.string().trim().toLowerCase().min(1, 'Give your sign-in name.').max(60),
  password: z.string().min(1, 'Give your password.').max(200),
});
export const acceptSchema = z.object({ token: z.string().min(1).max(100), name, login, password });
export const openStudio = doorway('first-run', firstRunSchema);
export const enterStudio = doorway('sign-in', signInSchema);
export const accept = doorway('accept', acceptSchema);
export const resetSchema = z.object({ token: z.string().min(1).max(100), password });
export const reset = doorway('reset', resetSchema);
export const inviteSchema = z.object({ name, role: z.enum(ROLES) });
export const invite = contract('people.invite', inviteSchema, answers<{ token: string }>());
export const withdrawSchema = z.object({ invitationId: z.uuid() });
export const withdraw = contract('people.withdraw-invitation', withdrawSchema);
export const roleSchema = z.object({ personId: z.uuid(), role: z.enum(ROLES) });
export const setRole = contract('people.set-role', roleSchema);
export const disableSchema = z.object({ personId: z.uuid(), disabled: z.boolean() });
export const disable = toggled(contract('people.disable', disableSchema), 'disabled');
export const passwordSchema = z.object({
  current: z.string().min(1, 'Give your present password.'),
  next: password,
});
export const changePassword = withSecret(contract('people.change-password', passwordSchema));
export const endSession = contract('people.end-session', z.object({ sessionId: z.uuid() }));
export const endOthers = contract('people.end-other-sessions', z.object({}));
export const resetLink = contract(
  'people.reset-link',
  z.object({ personId: z.uuid() }),
  answers<{ token: string }>(),
);
export const forgetSchema = z.object({ personId: z.uuid(), name: z.string().max(120) });
export const forgetName = contract('people.forget-name', forgetSchema);
export const shareSchema = z.object({
  label: z.string().trim().min(1, 'Say whom or what it is for.').max(120),
  view: z
    .string()
    .max(500)
    .regex(/^(\?|$)/, 'A view begins with a question mark.'),
  days: z.number().int().min(1, 'At least a day.').max(3660).nullable(),
});
export const share = contract('people.share', shareSchema, answers<{ token: string }>());
export const revokeSchema = z.object({ shareId: z.uuid() });
export const revokeShare = contract('people.revoke-share', revokeSchema);
