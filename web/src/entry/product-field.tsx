import type { PumpPage } from '@winter-jar/contracts';
import { Field, inputClass } from '../ui/field.js';

/** Which oil; another one than before is said at once. */
export function ProductField({
  page,
  value,
  before,
  onChange,
  error,
}: {
  page: PumpPage;
  value: string;
  before: string | null;
  onChange: (id: string) => void;
  error: string | undefined;
}) {
  const products = page.setUp.house.oilProduct;
  const other = before !== null && value !== '' && value !== before;
  return (
    <Field
      label="Oil"
      error={error}
      hint={
        other
          ? `Another oil than before (${products[before]?.name ?? before}): never mix types; flush, and fit a new filter.`
          : undefined
      }
    >
      {({ id, describedBy, invalid }) => (
        <select
          id={id}
          className={inputClass(invalid)}
          value={value}
          onChange={(e) => onChange(e.target.value)}
          aria-describedby={describedBy}
          aria-invalid={invalid}
        >
          <option value="">choose …</option>
          {Object.entries(products).map(([key, p]) => (
            <option key={key} value={key}>
              {p.name}, {p.grade}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

export const productOf = (page: PumpPage, sump: string): string | null =>
  page.state.sumps.find((s) => s.key === sump)?.charge.productId ?? page.setUp.pump.oilProductId ?? null;
