import { oneOrMore } from '../ui/number.js';
import { foldText, NOTEBOOK_KINDS, type HouseSetUp, type NotebookKind, type NotebookQuestion } from '@winter-jar/core';
import { useState } from 'react';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { Field, inputClass } from '../ui/field.js';
import { SelectField, type Option } from '../ui/select-field.js';
import { typedNumber, typedQuantity } from '../ui/typed-number.js';
import { wholeDayWords } from '../words/dates.js';
import { nearestNames } from './nearest-names.js';
import { NAMED_KIND_WORDS, NOTEBOOK_KIND_WORDS, rowsWords } from './notebook-words.js';
import type { NotebookInHand } from './use-notebook.js';

const NONE = '-';

/** What must be known before some rows can be read: each asked once for all its rows. */
export function Questions({ notebook, house }: { notebook: NotebookInHand; house: HouseSetUp }) {
  const questions = notebook.read?.questions ?? [];
  if (questions.length === 0) return null;
  return (
    <section className="mt-6 border-l-4 border-look-sooner pl-4">
      <h2 className="text-[20px]">{oneOrMore(questions.length, 'question')}</h2>
      <ul className="flex flex-col">
        {questions.map((question) => (
          <li key={keyOf(question)} className="border-b border-rule-soft py-4">
            <One question={question} notebook={notebook} house={house} />
          </li>
        ))}
      </ul>
    </section>
  );
}

const keyOf = (question: NotebookQuestion): string =>
  [
    question.about,
    ...('kind' in question ? [question.kind] : []),
    ...('text' in question ? [question.text] : []),
    ...('name' in question ? [question.name] : []),
  ].join(' ');

interface Asked<Q> {
  readonly question: Q;
  readonly notebook: NotebookInHand;
  readonly house: HouseSetUp;
}

function One({ question, notebook, house }: Asked<NotebookQuestion>) {
  switch (question.about) {
    case 'dayOrder':
      return (
        <Chips
          label={`What is “${question.text}”? (${rowsWords(question.rows)})`}
          chips={[
            { value: 'dayFirst', words: wholeDayWords(question.dayFirst) },
            { value: 'monthFirst', words: wholeDayWords(question.monthFirst) },
          ]}
          value={null}
          onChange={(dayOrder) => notebook.answer({ dayOrder })}
        />
      );
    case 'name':
      return <WhichOne question={question} notebook={notebook} house={house} />;
    case 'kind':
      return (
        <Chips<NotebookKind | typeof NONE>
          label={`What is “${question.text}”? (${rowsWords(question.rows)})`}
          chips={[
            ...NOTEBOOK_KINDS.map((value) => ({ value, words: NOTEBOOK_KIND_WORDS[value] })),
            { value: NONE, words: 'leave it out' },
          ]}
          value={null}
          onChange={(kind) =>
            notebook.answer({
              kinds: { ...notebook.said.answers.kinds, [foldText(question.text)]: kind === NONE ? null : kind },
            })
          }
        />
      );
    case 'noLength':
      return <LengthWhereNone rows={question.rows} notebook={notebook} />;
    case 'trapSign':
      return (
        <Chips
          label={`A trap at “${question.text}”: is that below zero? (${rowsWords(question.rows)})`}
          chips={[
            { value: 'yes', words: 'Yes, below zero' },
            { value: 'no', words: 'No, it was warm' },
          ]}
          value={null}
          onChange={(yes) => notebook.answer({ trapsBelowZero: yes === 'yes' })}
        />
      );
    case 'cycleTime':
      return <CycleTime question={question} notebook={notebook} />;
    case 'changesInRemarks':
      return (
        <Chips
          label={`“${question.text}”: was the oil changed after this run? (${rowsWords(question.rows)} with such a remark)`}
          chips={[
            { value: 'yes', words: 'Yes, enter a change after each' },
            { value: 'no', words: 'No, it is a remark only' },
          ]}
          value={null}
          onChange={(yes) => notebook.answer({ changesInRemarks: yes === 'yes' })}
        />
      );
  }
}

type NameQuestion = Extract<NotebookQuestion, { about: 'name' }>;

function WhichOne({ question: { kind, text, rows }, notebook, house }: Asked<NameQuestion>) {
  const words = NAMED_KIND_WORDS[kind];
  const records: Readonly<Record<string, { readonly name: string }>> = house[kind];
  const nearest = nearestNames(text, records);
  const answer = (id: string) => {
    const { names } = notebook.said.answers;
    const ofKind: Readonly<Record<string, string | null>> = {
      ...names[kind],
      [foldText(text)]: id === NONE ? null : id,
    };
    notebook.answer({ names: { ...names, [kind]: ofKind } });
  };
  const options: Option[] = [
    { value: NONE, words: words.none },
    ...Object.entries(records).map(([value, { name }]) => ({ value, words: name })),
  ];
  return (
    <div className="flex flex-col gap-2">
      <p>
        <span className="font-semibold">
          No {words.one} is called “{text}”
        </span>{' '}
        ({rowsWords(rows)}).
      </p>
      <div className="flex flex-wrap items-end gap-3">
        {nearest.map(({ id, name }) => (
          <Button key={id} look="solid" size="field" onClick={() => answer(id)}>
            It is {name}
          </Button>
        ))}
        <div className="min-w-60 flex-1">
          <SelectField
            label={nearest.length > 0 ? 'or it is' : 'It is'}
            value=""
            onChange={answer}
            options={options}
            empty="choose …"
          />
        </div>
      </div>
    </div>
  );
}

function LengthWhereNone({ rows, notebook }: { rows: number; notebook: NotebookInHand }) {
  return (
    <TypedAnswer
      label={
        rows === 1
          ? 'How long did the run take that says no length?'
          : `How long did the ${rows} runs take that say no length?`
      }
      hint="Such as 20 h. Leave it empty to mend or leave out these rows one by one."
      button="Each run so long"
      read={(text) => {
        const parsed = typedQuantity({ text, dimension: 'duration', defaultUnit: 'h', min: 1, max: 30 * 1440 });
        return parsed.ok ? parsed.value : null;
      }}
      onAnswer={(minutesWhereNone) => notebook.answer({ minutesWhereNone })}
    />
  );
}

function CycleTime({
  question: { name, rows, equipmentId },
  notebook,
}: {
  question: Extract<NotebookQuestion, { about: 'cycleTime' }>;
  notebook: NotebookInHand;
}) {
  return (
    <TypedAnswer
      label={`How many seconds does one cycle on ${name} take? (${rowsWords(rows)})`}
      hint="Such as 30. The hours of these runs follow from it; the set-up of the equipment can keep it."
      button="Each cycle so long"
      read={(text) => {
        const typed = typedNumber(text, { min: 0.1, max: 86_400 });
        return typed.ok ? typed.value : null;
      }}
      onAnswer={(seconds) =>
        notebook.answer({ cycleSeconds: { ...notebook.said.answers.cycleSeconds, [equipmentId]: seconds } })
      }
    />
  );
}

function TypedAnswer({
  label,
  hint,
  button,
  read,
  onAnswer,
}: {
  label: string;
  hint: string;
  button: string;
  read: (text: string) => number | null;
  onAnswer: (value: number) => void;
}) {
  const [text, setText] = useState('');
  const value = read(text);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <div className="min-w-60 flex-1">
        <Field label={label} hint={hint}>
          {({ id, describedBy }) => (
            <input
              id={id}
              className={inputClass(text !== '' && value === null)}
              value={text}
              onChange={(e) => setText(e.target.value)}
              aria-describedby={describedBy}
            />
          )}
        </Field>
      </div>
      <Button size="field" disabled={value === null} onClick={() => value !== null && onAnswer(value)}>
        {button}
      </Button>
    </div>
  );
}
