import { isZone } from '@winter-jar/core';
import { registerDecorator } from 'class-validator';

const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/;
/** No pump that is cared for here is older, nor is what happened to it. */
export const EARLIEST = '1950-01-01T00:00:00.000Z';
const instant = {
  message:
    'an instant in UTC with milliseconds, from 1950 on and on a day that exists, such as 2031-03-09T14:05:00.000Z',
};

/** Date takes 30 February for 2 March, and 24:00 for the day after: a day that exists is still the same one. */
const exists = (text: string): boolean => new Date(text).getUTCDate() === Number(text.slice(8, 10));

/** An instant that exists, in the one form that sorts as text. */
export function IsInstant(): PropertyDecorator {
  return (target, propertyName) =>
    registerDecorator({
      name: 'isInstant',
      target: target.constructor,
      propertyName: String(propertyName),
      options: instant,
      validator: { validate: (v) => typeof v === 'string' && INSTANT.test(v) && v >= EARLIEST && exists(v) },
    });
}

/** A zone that the time-zone database knows. */
export function IsZone(): PropertyDecorator {
  return (target, propertyName) =>
    registerDecorator({
      name: 'isZone',
      target: target.constructor,
      propertyName: String(propertyName),
      options: { message: 'an IANA time zone, such as Europe/Lisbon' },
      validator: { validate: (v) => typeof v === 'string' && isZone(v) },
    });
}
