import type { ICruiseOptions, IFlattenedRuleSet } from 'dependency-cruiser';

declare const fences: IFlattenedRuleSet & { readonly options: ICruiseOptions };
export = fences;
