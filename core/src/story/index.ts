export {
  type ChargeStory,
  type ChargeTrend,
  chargeTrends,
  oilStory,
  STORY_MEASURES,
  type StoryMeasure,
  type StoryPoint,
} from './oil-story.js';
export { type WaterRun, waterStory, type WaterStory } from './water-story.js';
export { type BroughtLine, type BroughtMeasure, filterBrought } from './filter-brought.js';
