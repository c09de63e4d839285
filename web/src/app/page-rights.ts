import { rightOfKind, rightsOfRecord, SET_UP_KINDS, type Right } from '@winter-jar/core';
import { matchPath } from 'react-router';
import type { Needed } from '../ui/may.js';
import { PUMP_ACTIONS, type PumpAction, type PumpActionId } from '../words/pump-actions.js';

/** Pages of a pump that write no entry by themselves and are not for everybody. */
const OF_PUMP: { readonly [A in PumpActionId]?: Right } = {
  blankOff: 'write',
  gaugeLog: 'write',
  // What an operator may do of it is said beside each service.
  job: 'log',
  jobCards: 'log',
};
/** Other pages that are not for everybody, by their address. */
const OTHERS: Readonly<Record<string, Needed>> = {
  '/pumps/:pumpId/job-cards/:procedure/own-steps': rightsOfRecord('pumpModel'),
  '/store/bring-in': 'write',
  '/store/:containerId/pour': 'write',
  '/store/:containerId/stocktake': 'write',
  '/store/:containerId/media': 'write',
  // Where oil went that is of all sites.
  '/store/:containerId/trace': 'everySite',
  '/instruments/:instrumentId/channels': 'house',
  '/start': 'log',
  '/untold': 'log',
  '/set-up/add-pump': 'setUp',
  '/set-up/file': 'everySite',
  '/logs/notebook': ['write', 'everySite'],
  '/backup': 'keep',
  '/people': 'house',
  '/people/first-owner': 'house',
  '/people/record': 'house',
};
const PATTERNS: readonly (readonly [string, Needed])[] = [
  ...Object.entries(PUMP_ACTIONS).map(([id, action]: [string, PumpAction]): [string, Right] => [
    `/pumps/:pumpId/${action.path}`,
    OF_PUMP[id as PumpActionId] ?? (action.entry ? rightOfKind(action.entry) : 'read'),
  ]),
  ...Object.entries(OTHERS),
];

/** Each link of a page asks at each drawing. */
const ASKED_BEFORE = new Map<string, Needed>();

/** What a page needs, so that it is offered to those who may. */
export function neededByPage(path: string): Needed {
  const known = ASKED_BEFORE.get(path) ?? needed(path);
  ASKED_BEFORE.set(path, known);
  return known;
}

function needed(path: string): Needed {
  const asked = matchPath('/set-up/:kind/new', path)?.params.kind;
  const kind = SET_UP_KINDS.find((known) => known === asked);
  if (kind) return rightsOfRecord(kind);
  return PATTERNS.find(([pattern]) => matchPath(pattern, path))?.[1] ?? 'read';
}
