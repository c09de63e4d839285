import { v7 as newId } from 'uuid';

/** Ids by the name of what bears them: what is sent again bears the same ones, also after a reload. */
export interface DraftIds {
  /** The id that goes by a name; made when it is first asked for. */
  readonly idFor: (name: string) => string;
  /** All made so far, as the draft keeps them. */
  readonly made: () => Readonly<Record<string, string>>;
}
export type IdFor = DraftIds['idFor'];

export function draftIds(kept: Readonly<Record<string, string>> = {}): DraftIds {
  const ids = new Map(Object.entries(kept));
  return {
    idFor(name) {
      const id = ids.get(name) ?? newId();
      ids.set(name, id);
      return id;
    },
    made: () => Object.fromEntries(ids),
  };
}
