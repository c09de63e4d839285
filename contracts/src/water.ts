import type { WaterStory } from '@winter-jar/core';

/** The water of one pump's present charge, and what its trap has shown. */
export interface WaterAnswer {
  /** Null for a pump without oil. */
  readonly story: WaterStory | null;
}
