import type { Judge } from './judge.js';

/** A smell is the nose's lab: rancid warns, sour or burnt or fishy ends the charge, solvent is flammable vapour in thin oil. */
export const judgeSmell: Judge = ({ look, limits, product }) => {
  const { smell } = look;
  if (!smell || smell === 'none') return null;
  // Overheated, it leaves hydrogen fluoride behind: not for a cloth and a bucket.
  if (smell === 'burnt' && product.base === 'pfpe')
    return { code: 'smell', smell, level: 'stop', act: 'stripClean', answeredBy: 'stripAndChange' };
  const level = limits[`smell.${smell}`];
  if (level === 'runOn') return null;
  const found = { code: 'smell', smell, level } as const;
  if (smell === 'solvent') return { ...found, act: 'change', answeredBy: 'changeThenViscosity' };
  return level === 'lookSooner'
    ? { ...found, act: 'look', answeredBy: 'changeOrClearLook' }
    : { ...found, act: 'change', answeredBy: 'change' };
};
