import { isDenserThanWater } from '../oil/index.js';
import { originOf, type Context } from './fold-context.js';
import { KEPT, type JarSeen, type PumpState } from './state.js';

/** A look, a bleed or a change as a small jar. */
export function jarOf(context: Context, seen: Pick<JarSeen, 'source'> & Partial<JarSeen>): JarSeen {
  const { product } = context.setUp;
  return {
    waterFloats: product !== null && isDenserThanWater(product),
    oilUl: 0,
    sludgeUl: 0,
    waterUl: 0,
    waterRead: false,
    creamUl: 0,
    hazyUl: 0,
    photoId: null,
    colour: null,
    clarity: null,
    level: null,
    hoursStood: null,
    ...originOf(context),
    ...seen,
  };
}

/** The state with one more jar; of many the oldest go. */
export const keepJar = (state: PumpState, jar: JarSeen): PumpState => ({
  ...state,
  jars: [...state.jars, jar].slice(-KEPT.jars),
});
