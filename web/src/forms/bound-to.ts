import type { FieldValues } from 'react-hook-form';
import type { FormFields } from './use-drafted-form.js';

/** What binds a field of text to its place in a form: what stands there, what happens when it is typed, what is wrong with it. */
export const boundTo = <V extends FieldValues, K extends keyof V & string>(
  { values, set, error }: FormFields<V>,
  name: K,
) => ({
  text: values[name],
  onText: set(name),
  error: error(name),
});
