import type { LookBody } from '../journal/index.js';
import type { OilFinding } from './finding.js';

const said = <T>(value: T | null | undefined, dirty: (value: T) => boolean): boolean | null =>
  value === null || value === undefined ? null : dirty(value);

/** Does a look show again what a finding found? Null when it says nothing about it. */
export function isDirty({ code }: Pick<OilFinding, 'code'>, look: LookBody): boolean | null {
  switch (code) {
    case 'clarity':
      return said(look.clarity, (c) => c !== 'bright');
    case 'cream':
      return said(look.creamMl, (ml) => ml > 0) ?? said(look.clarity, (c) => c !== 'bright');
    case 'particles':
      return said(look.particles, (p) => p !== 'none');
    case 'smell':
      return said(look.smell, (s) => s !== 'none');
    case 'viscosity':
      return said(look.smell, (s) => s === 'solvent');
    case 'foam':
      return said(look.foam, (f) => f === 'stays');
    case 'oilLost':
    case 'level':
      return said(look.level, (l) => l !== 'right');
    default:
      return null;
  }
}
