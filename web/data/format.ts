import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import { roundGrams, roundMillilitres } from '../../core';

/** The edge: figures as a cook reads them. Nothing here goes back into the model. */

export function sentenceCase(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export function hourMinute(ms: number, zone: string): string {
  return format(new TZDate(ms, zone), 'HH:mm');
}

export function dayAndHour(ms: number, zone: string): string {
  return format(new TZDate(ms, zone), 'EEE d MMM, HH:mm');
}

export function day(ms: number, zone: string): string {
  return format(new TZDate(ms, zone), 'EEE d MMM');
}

/** “1 h 24”, “9 min”, “now”. */
export function span(ms: number): string {
  const minutes = Math.round(Math.abs(ms) / 60_000);
  if (minutes === 0) return 'now';
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return rest === 0
    ? `${Math.floor(minutes / 60)} h`
    : `${Math.floor(minutes / 60)} h ${String(rest).padStart(2, '0')}`;
}

export function minutes(value: number): string {
  return span(value * 60_000);
}

/** A weight as a scale can show it. */
export function weight(kg: number): string {
  const grams = roundGrams(kg * 1000);
  if (Math.abs(grams) < 1000) return `${grams < 10 ? grams.toFixed(1) : grams} g`;
  return `${(grams / 1000).toFixed(2)} kg`;
}

/** A volume as a measure can show it. */
export function volume(litres: number): string {
  const ml = roundMillilitres(litres * 1000);
  return Math.abs(ml) < 1000 ? `${ml} mL` : `${(ml / 1000).toFixed(1)} L`;
}

export function litres(value: number): string {
  return `${value.toFixed(1)} L`;
}

export function percent(value: number): string {
  return `${value.toFixed(2)} %`;
}

export function money(cents: number, currency: string): string {
  return new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(cents / 100);
}

/** A number typed by a cook: a comma for a point, a unit after it, spaces around; null for what is no number. */
export function typedNumber(text: string): number | null {
  const tidy = text.trim().replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(tidy) ? Number(tidy) : null;
}
