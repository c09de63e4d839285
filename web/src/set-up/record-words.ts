import { number } from '../ui/number.js';
import type { Print } from '../device/use-print.js';
import { capacityMl, materialFactor, type HouseSetUp, type SetUpKind } from '@winter-jar/core';
import { TALK_WORDS } from '../words/instrument-words.js';
import { PLACE_WORDS } from '../words/place-words.js';
import { PROCESS_WORDS } from '../words/process-words.js';
import { SCHOOL_WORDS } from '../words/school-words.js';
import { VESSEL_WORDS, WASTE_WORDS } from '../words/store-words.js';

export interface KindWords {
  readonly one: string;
  readonly many: string;
  /** What it is for, and what to do when there is none. */
  readonly about: string;
}

export const RECORD_KIND_WORDS: Readonly<Record<SetUpKind, KindWords>> = {
  pump: { one: 'Pump', many: 'Pumps', about: 'What you look after. Move, lend, exchange or retire one here.' },
  site: { one: 'Site', many: 'Sites', about: 'A customer or a place. Its days follow its time zone.' },
  equipment: {
    one: 'Equipment',
    many: 'Equipment',
    about: 'A chamber, a line, a table or an oven that a pump serves, with what counts as one run there.',
  },
  pumpModel: {
    one: 'Pump model',
    many: 'Pump models',
    about: 'The numbers of a make of pump. The maker’s manual always wins.',
  },
  oilProduct: { one: 'Oil', many: 'Oils', about: 'The oils you use, with what the unused oil is like.' },
  material: {
    one: 'Material',
    many: 'Materials',
    about: 'What goes in. Its ratings give the weight of a run: 1 is a plain, clean run.',
  },
  person: {
    one: 'Person',
    many: 'People',
    about: 'Who writes here. Each device chooses once; each entry keeps the name.',
  },
  jarShape: {
    one: 'Jar',
    many: 'Jars',
    about: 'Jars of your own, by a few heights and what they hold up to them. Straight ones come with Winter Jar.',
  },
  container: {
    one: 'Container',
    many: 'Containers',
    about: 'Cans, bottles, jars, drums and filters of the oil store. What is in them follows from what is poured.',
  },
  filterMedia: {
    one: 'Filter media',
    many: 'Filter media',
    about: 'Papers, cartridges and beds of your own. Common ones come with Winter Jar.',
  },
  instrument: {
    one: 'Instrument',
    many: 'Instruments',
    about:
      'Gauges and monitors on your network. What they send, and whether they are listened to, is said on their pages.',
  },
  houseRules: {
    one: 'Care rules',
    many: 'Care rules',
    about: 'Limits of the whole house, beneath models, oils and pumps.',
  },
};

export function recordName(house: HouseSetUp, kind: SetUpKind, id: string): string {
  const body = house[kind][id];
  return body && 'name' in body ? body.name : kind === 'houseRules' ? 'Care rules of the house' : id;
}

export const weightOf = (material: HouseSetUp['material'][string]): string => number(materialFactor(material), 2);

/** A record in one line beneath its name. */
export function recordFacts(house: HouseSetUp, kind: SetUpKind, id: string, print: Print): string {
  const of = (k: SetUpKind, other: string | null | undefined) => (other ? recordName(house, k, other) : null);
  const joined = (parts: readonly (string | null | false | undefined)[]) => parts.filter(Boolean).join(' · ');
  switch (kind) {
    case 'site': {
      const site = house.site[id];
      return site ? joined([PROCESS_WORDS[site.process], site.note, site.zone]) : '';
    }
    case 'equipment': {
      const e = house.equipment[id];
      return e
        ? joined([
            of('site', e.siteId),
            `plain run ${print.duration(e.referenceHours * 60)}`,
            e.coldTrap && 'cold trap',
          ])
        : '';
    }
    case 'pumpModel': {
      const m = house.pumpModel[id];
      return m
        ? joined([
            print.flow(m.pumpingSpeedM3h),
            m.sumps[0] && `${print.volume(m.sumps[0].chargeMl)} of oil`,
            KIND[m.kind],
          ])
        : '';
    }
    case 'pump': {
      const p = house.pump[id];
      const place = p?.place && p.place !== 'inService' ? PLACE_WORDS[p.place] : null;
      return p
        ? joined([
            place,
            of('site', p.siteId),
            of('equipment', p.equipmentId),
            of('pumpModel', p.modelId),
            of('oilProduct', p.oilProductId),
            SCHOOL_WORDS[p.preset],
          ])
        : '';
    }
    case 'oilProduct': {
      const o = house.oilProduct[id];
      return o ? joined([o.grade, o.base, o.waterBehaviour]) : '';
    }
    case 'material': {
      const m = house.material[id];
      return m ? joined([PROCESS_WORDS[m.process], `weight ${weightOf(m)}`, m.note]) : '';
    }
    case 'jarShape': {
      const jar = house.jarShape[id];
      return jar ? joined([`holds ${print.volume(capacityMl(jar))}`, `${jar.points.length} heights`]) : '';
    }
    case 'container': {
      const c = house.container[id];
      return c
        ? joined([
            VESSEL_WORDS[c.vessel],
            `holds ${print.volume(c.holdsMl)}`,
            of('site', c.siteId),
            c.place,
            c.wasteKind && `waste: ${WASTE_WORDS[c.wasteKind]}`,
            c.gone && 'not in use any more',
          ])
        : '';
    }
    case 'filterMedia': {
      const m = house.filterMedia[id];
      return m ? joined([`soaks up ${print.volume(m.holdUpMl)}`, `${m.lifeL} L`]) : '';
    }
    case 'instrument': {
      const i = house.instrument[id];
      return i ? joined([of('equipment', i.equipmentId), TALK_WORDS[i.talks], `${i.host}:${i.port}`]) : '';
    }
    case 'person':
    case 'houseRules':
      return '';
  }
}

const KIND = { vane: 'vane pump', booster: 'booster', dry: 'dry pump' } as const;
