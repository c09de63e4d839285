import { isZone } from '@winter-jar/core';
import { registerDecorator } from 'class-validator';

const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/;
const instant = { message: 'an instant in UTC with milliseconds, such as 2031-03-09T14:05:00.000Z' };

/** An instant that exists, in the one form that sorts as text. */
export function IsInstant(): PropertyDecorator {
  return (target, propertyName) =>
    registerDecorator({
      name: 'isInstant',
      target: target.constructor,
      propertyName: String(propertyName),
      options: instant,
      validator: { validate: (v) => typeof v === 'string' && INSTANT.test(v) && !Number.isNaN(Date.parse(v)) },
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
