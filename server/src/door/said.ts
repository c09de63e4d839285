import { BadRequestException } from '@nestjs/common';
import { checkShape } from '@winter-jar/contracts';

/** What was sent, in its form. What was typed is not sent back: it may be a password. @throws BadRequestException */
export function said<T extends object>(type: new () => T, body: unknown): T {
  const checked = checkShape(type, body);
  if (checked.ok) return checked.value;
  const issues = checked.issues.map((issue) => ({ ...issue, value: null }));
  throw new BadRequestException({ message: issues[0]?.right, issues });
}
