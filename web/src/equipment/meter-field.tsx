import { useState } from 'react';
import { useUnits } from '../device/use-units.js';
import { useQuickEntry } from '../entry/use-quick-entry.js';
import { METER_BOUNDS } from '../forms/meter-text.js';
import { fieldReader } from '../forms/read-quantity.js';
import { useDraftedForm } from '../forms/use-drafted-form.js';
import { Button } from '../ui/button.js';
import { QuantityField } from '../ui/quantity-field.js';

const NOTHING = { minutes: '' };

/** The equipment's own hour meter, as it is read now. */
export function MeterField({ equipmentId, zone }: { equipmentId: string; zone: string }) {
  const [open, setOpen] = useState(false);
  const units = useUnits();
  const drafted = useDraftedForm(`meter-line/${equipmentId}`, NOTHING);
  const { write, busy } = useQuickEntry({ subject: { type: 'equipment', id: equipmentId }, zone });
  if (!open)
    return (
      <Button
        needs="log"
        look="plain"
        className="no-print !flex !min-h-8 !px-0 !text-[14px]"
        onClick={() => setOpen(true)}
      >
        Read it
      </Button>
    );
  async function save() {
    const fields = fieldReader(units);
    const minutes = Math.round(fields.wanted('minutes', drafted.values.minutes, 'duration', METER_BOUNDS));
    if (fields.hasIssues()) return drafted.show(fields.issues);
    if (!(await write('meter', { action: 'read', minutes }, 'Hour meter saved'))) return;
    drafted.form.reset(NOTHING);
    await drafted.drop();
    setOpen(false);
  }
  return (
    <form
      noValidate
      className="no-print mt-2 flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <QuantityField
        label="It shows"
        dimension="duration"
        text={drafted.values.minutes ?? ''}
        onText={drafted.set('minutes')}
        error={drafted.error('minutes')}
        {...METER_BOUNDS}
      />
      <div className="flex gap-2">
        <Button type="submit" disabled={busy || !drafted.ready}>
          Save the reading
        </Button>
        <Button look="plain" onClick={() => setOpen(false)}>
          Leave it
        </Button>
      </div>
    </form>
  );
}
