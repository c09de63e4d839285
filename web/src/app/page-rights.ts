import { RIGHT_OF_RECORD, rightOfKind, type Right, type SetUpKind } from '@winter-jar/core';
import { matchPath } from 'react-router';
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
const OTHERS: Readonly<Record<string, Right>> = {
  '/pumps/:pumpId/job-cards/:procedure/own-steps': 'setUp',
  '/store/bring-in': 'write',
  '/store/:containerId/pour': 'write',
  '/store/:containerId/stocktake': 'write',
  '/store/:containerId/media': 'write',
  '/instruments/:instrumentId/channels': 'house',
  '/start': 'log',
  '/untold': 'log',
  '/set-up/add-pump': 'setUp',
  '/logs/notebook': 'write',
  '/backup': 'keep',
  '/people': 'house',
  '/people/first-owner': 'house',
  '/people/record': 'house',
};
const PATTERNS: readonly (readonly [string, Right])[] = [
  ...Object.entries(PUMP_ACTIONS).map(([id, action]: [string, PumpAction]): [string, Right] => [
    `/pumps/:pumpId/${action.path}`,
    OF_PUMP[id as PumpActionId] ?? (action.entry ? rightOfKind(action.entry) : 'read'),
  ]),
  ...Object.entries(OTHERS),
];

/** Each link of a page asks at each drawing. */
const ASKED_BEFORE = new Map<string, Right>();

/** What a page needs, so that it is offered to those who may. */
export function rightOfPage(path: string): Right {
  const known = ASKED_BEFORE.get(path) ?? rightOf(path);
  ASKED_BEFORE.set(path, known);
  return known;
}

function rightOf(path: string): Right {
  const record = matchPath('/set-up/:kind/new', path)?.params.kind;
  if (record !== undefined && Object.hasOwn(RIGHT_OF_RECORD, record)) return RIGHT_OF_RECORD[record as SetUpKind];
  return PATTERNS.find(([pattern]) => matchPath(pattern, path))?.[1] ?? 'read';
}
