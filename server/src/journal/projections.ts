import { equipmentProjection, pumpProjection, storeProjection, type Projection } from '@winter-jar/core';

/** Whatever has a state that follows from the journal. */
export const PROJECTIONS: readonly Projection[] = [pumpProjection, equipmentProjection, storeProjection];
