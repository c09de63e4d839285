import { useEffect, useRef, useState } from 'react';
import {
  useForm,
  useWatch,
  type DefaultValues,
  type FieldPath,
  type FieldValues,
  type UseFormReturn,
} from 'react-hook-form';
import { draftIds, type DraftIds } from './draft-ids.js';
import { dropDraft, loadDraft, saveDraft } from './drafts.js';

export interface DraftedForm<V extends FieldValues> {
  readonly form: UseFormReturn<V>;
  readonly values: V;
  /** False until what was typed last is back. */
  readonly ready: boolean;
  /** Ids that a retry sends again, also after a reload. */
  readonly ids: DraftIds;
  /** Message at a field, if there is one. */
  readonly error: (name: keyof V & string) => string | undefined;
  /** A handler that sets a field. */
  readonly set: <K extends keyof V & string>(name: K) => (value: V[K]) => void;
  /** Shows messages at their fields; what has no field goes to `root`. */
  readonly show: (issues: Readonly<Record<string, string>>) => void;
  /** Forgets the draft, after what was typed is stored. */
  readonly drop: () => Promise<void>;
}

/** As much of a form as one of its fields needs. */
export type FormFields<V extends FieldValues> = Pick<DraftedForm<V>, 'values' | 'error' | 'set'>;

/**
 * A form whose content survives errors, reloads and a stopped server on this device.
 * @param name of the draft; another name is another form
 * @param start what the fields hold without a draft; null while that is not known yet
 */
export function useDraftedForm<V extends FieldValues>(name: string, start: V | null): DraftedForm<V> {
  const form = useForm<V>({ defaultValues: (start ?? {}) as DefaultValues<V> });
  const values = useWatch({ control: form.control }) as V;
  const [ids, setIds] = useState(() => draftIds());
  const [readyFor, setReadyFor] = useState<string | null>(null);
  const filled = useRef<string | null>(null);
  const ready = readyFor === name;

  useEffect(() => {
    if (filled.current === name || !start) return;
    filled.current = name;
    void loadDraft(name).then((draft) => {
      setIds(draftIds(draft?.ids));
      form.reset({ ...start, ...(draft?.values as Partial<V> | undefined) });
      setReadyFor(name);
    });
  }, [name, start, form]);

  const { isDirty } = form.formState;
  useEffect(() => {
    if (ready && isDirty) void saveDraft(name, { ids: ids.made(), values });
  }, [values, ready, name, ids, isDirty]);

  return {
    form,
    values,
    ready,
    ids,
    error: (field) => form.getFieldState(field as unknown as FieldPath<V>, form.formState).error?.message,
    set: (field) => (value) => {
      form.clearErrors(field as unknown as FieldPath<V>);
      form.setValue(field as unknown as FieldPath<V>, value, { shouldDirty: true });
    },
    show: (issues) => {
      for (const [field, message] of Object.entries(issues))
        form.setError((field in form.getValues() ? field : 'root') as FieldPath<V>, { message });
    },
    drop: () => dropDraft(name),
  };
}
