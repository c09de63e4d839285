import { Dialog } from 'radix-ui';
import { actionLetters } from '../words/pump-actions.js';

const KEYS: readonly [key: string, words: string][] = [
  ['/', 'Find a pump or do something'],
  ['↑ ↓', 'Move in the Round'],
  ['Enter', 'Open the pump'],
  ...actionLetters().map(({ letter, words }): [string, string] => [letter, words]),
  ['A', 'On What is wrong?: add what you see'],
  ['?', 'These keys'],
];

export default function KeysDialog() {
  return (
    <>
      <Dialog.Title className="text-[22px]">Keys</Dialog.Title>
      <dl className="mt-4 grid grid-cols-[88px_1fr] gap-y-3">
        {KEYS.map(([key, words]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="figure rounded-[4px] border border-edge px-2 py-0.5">{key}</kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-4 text-ink-2">
        Keys act only while no field has the focus. Letters can be switched off under “Units and look”.
      </p>
    </>
  );
}
