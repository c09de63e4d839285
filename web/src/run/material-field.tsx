import type { PumpPage } from '@winter-jar/contracts';
import { heaviestMaterial } from '@winter-jar/core';
import { useState } from 'react';
import { NewMaterial } from '../set-up/new-material.js';
import { weightOf } from '../set-up/record-words.js';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { SelectField } from '../ui/select-field.js';
import { materialOptions } from './material-options.js';
import { NOT_TOLD, recentMaterials } from './run-form.js';

/** What went in: one tap for what this pump had last, a list for all else, and the way to a new one. */
export function MaterialField({
  page,
  value,
  onChange,
  error,
}: {
  page: PumpPage;
  value: string;
  onChange: (id: string) => void;
  error: string | undefined;
}) {
  const { house } = page.setUp;
  const recent = recentMaterials(page);
  const chips = recent.map((id) => ({ value: id, words: house.material[id]?.name ?? id }));
  const [adding, setAdding] = useState(false);
  const chosen = house.material[value];
  const heaviest = heaviestMaterial(Object.values(house.material), page.setUp.equipment.process);
  const hint = chosen
    ? `a plain run with it weighs ${weightOf(chosen)}`
    : `until you tell it, it counts as ${heaviest.name || 'the heaviest there is'}, ${weightOf(heaviest)} a plain run`;
  return (
    <div className="flex flex-col gap-3">
      {chips.length > 0 && <Chips label="What went in" chips={chips} value={value} onChange={onChange} />}
      <SelectField
        label={chips.length > 0 ? 'or another material' : 'What went in'}
        value={value}
        onChange={onChange}
        error={error}
        options={materialOptions(house)}
        hint={chosen || value === NOT_TOLD ? hint : undefined}
      />
      {adding ? (
        <NewMaterial
          house={house}
          process={page.setUp.equipment.process}
          onLeave={() => setAdding(false)}
          onAdded={(id) => {
            setAdding(false);
            onChange(id);
          }}
        />
      ) : (
        <Button look="plain" className="self-start !px-0" onClick={() => setAdding(true)}>
          A material that is not in the list
        </Button>
      )}
    </div>
  );
}
