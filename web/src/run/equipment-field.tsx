import type { PumpPage } from '@winter-jar/contracts';
import { useState } from 'react';
import { Button } from '../ui/button.js';
import { SelectField } from '../ui/select-field.js';

/** Where it ran: on its own equipment, or borrowed to another. */
export function EquipmentField({
  page,
  value,
  onChange,
}: {
  page: PumpPage;
  value: string;
  onChange: (id: string) => void;
}) {
  const { house, pump } = page.setUp;
  const [choosing, setChoosing] = useState(false);
  const borrowed = value !== pump.equipmentId;
  if (!choosing && !borrowed) {
    return (
      <p className="flex flex-wrap items-center justify-between gap-x-3">
        <span>
          On <span className="font-semibold wrap-anywhere">{page.row.equipmentName}</span>
        </span>
        <Button look="plain" size="field" onClick={() => setChoosing(true)}>
          Ran elsewhere
        </Button>
      </p>
    );
  }
  const options = Object.entries(house.equipment).map(([id, e]) => ({
    value: id,
    words: `${e.name} · ${house.site[e.siteId]?.name ?? e.siteId}${id === pump.equipmentId ? ' (its own)' : ''}`,
  }));
  return <SelectField label="On which equipment" value={value} onChange={onChange} options={options} />;
}
