import { celsiusToFahrenheit, fahrenheitToCelsius, type Units } from './units';

/** A temperature in the studio's scale, as a plain number. */
export const toStudio = (celsius: number, units: Pick<Units, 'temperature'>): number =>
  units.temperature === 'C' ? celsius : celsiusToFahrenheit(celsius);

/** A number typed in the studio's scale, in °C. */
export const fromStudio = (value: number, units: Pick<Units, 'temperature'>): number =>
  units.temperature === 'C' ? value : fahrenheitToCelsius(value);

/** A rate of climb or a difference, °C (per hour) → the studio's scale. */
export const spanToStudio = (span: number, units: Pick<Units, 'temperature'>): number =>
  units.temperature === 'C' ? span : (span * 9) / 5;

/** The same turned round. */
export const spanFromStudio = (span: number, units: Pick<Units, 'temperature'>): number =>
  units.temperature === 'C' ? span : (span * 5) / 9;

/** "+120 °C/h", "−85 °F/h". */
export function formatRate(rate: number, units: Pick<Units, 'temperature'>): string {
  const value = Math.round(spanToStudio(rate, units));
  return `${value < 0 ? '−' : '+'}${Math.abs(value)} °${units.temperature}/h`;
}

/** "15 °C" or "27 °F": a difference of temperatures, its sign in words elsewhere. */
export function formatSpan(span: number, units: Pick<Units, 'temperature'>): string {
  return `${Math.round(Math.abs(spanToStudio(span, units)))} °${units.temperature}`;
}

/** "45 min", "2 h 10 min". */
export function formatDuration(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  if (whole < 60) return `${whole} min`;
  const rest = whole % 60;
  return rest === 0 ? `${Math.floor(whole / 60)} h` : `${Math.floor(whole / 60)} h ${rest} min`;
}
