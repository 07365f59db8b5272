import { TZDate } from '@date-fns/tz';
import { addDays } from 'date-fns';
import type { ClockView } from './views';

/** Kitchen time at a real moment, ms UTC. */
export function kitchenTimeMs(
  clock: Pick<ClockView, 'kitchenFromMs' | 'realFromMs' | 'speed'>,
  realMs: number,
): number {
  return clock.kitchenFromMs + (realMs - clock.realFromMs) * clock.speed;
}

/** The moment a clock in a zone shows HH:MM, on the day that `onDayOfMs` falls on there, or so many days later. */
export function zonedTimeMs(time: string, zone: string, onDayOfMs: number, daysLater = 0): number {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  const day = addDays(new TZDate(onDayOfMs, zone), daysLater);
  return new TZDate(day.getFullYear(), day.getMonth(), day.getDate(), hours, minutes, 0, zone).getTime();
}

/** When a service is: its hour, and on which days of the week, 1 for Monday; on all where none are named. */
export interface ServiceTimes {
  time: string;
  weekdays?: readonly number[] | undefined;
}

/** The day of the week that a moment falls on in a zone, 1 for Monday to 7 for Sunday. */
export function weekdayOf(atMs: number, zone: string): number {
  return new TZDate(atMs, zone).getDay() || 7;
}

/** Whether a service is on, on the day that a moment falls on. */
export function isOnDay({ weekdays }: ServiceTimes, atMs: number, zone: string): boolean {
  return !weekdays || weekdays.includes(weekdayOf(atMs, zone));
}

/** The next time a service comes round, ms UTC. */
export function nextServiceAtMs(service: ServiceTimes, zone: string, nowMs: number): number {
  const coming = Array.from({ length: 8 }, (_, days) => zonedTimeMs(service.time, zone, nowMs, days));
  return coming.find((atMs) => atMs > nowMs && isOnDay(service, atMs, zone)) ?? coming[1]!;
}

/** Days from the day of now to that of a moment, by the kitchen's calendar; 0 for the same day. */
export function daysAhead(nowMs: number, atMs: number, zone: string): number {
  const noon = (ms: number) => zonedTimeMs('12:00', zone, ms);
  return Math.round((noon(atMs) - noon(nowMs)) / 86_400_000);
}

/** The day that a moment falls on in a zone, as it is written in the calendar: year, month, day. */
export function dayOf(atMs: number, zone: string): string {
  const at = new TZDate(atMs, zone);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** From the first moment of a day in a zone to that of the next, ms UTC; null for what is no day. */
export function dayBounds(day: string, zone: string): { fromMs: number; toMs: number } | null {
  const [, year, month, date] = (/^(\d{4})-(\d{2})-(\d{2})$/.exec(day) ?? []).map(Number);
  if (year === undefined || month === undefined || date === undefined) return null;
  const start = (daysOn: number) => new TZDate(year, month - 1, date + daysOn, 0, 0, 0, zone).getTime();
  return dayOf(start(0), zone) === day ? { fromMs: start(0), toMs: start(1) } : null;
}
