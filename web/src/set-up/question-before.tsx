import { Button } from '../ui/button.js';

/** Asked before a record is saved that may be a mistake. */
export function QuestionBefore({ said, onYes }: { said: readonly string[]; onYes: () => void }) {
  return (
    <div
      role="alertdialog"
      aria-label="A question before saving"
      className="flex flex-col gap-3 border-l-4 border-before-next-run pl-3"
    >
      <p className="font-semibold">{said.join(' ')} Is that meant so?</p>
      <Button className="self-start" onClick={onYes}>
        Yes, save it so
      </Button>
      <p className="text-[14px] text-ink-2">If not, mend the fields above and save again.</p>
    </div>
  );
}
