export {
  afterJobEntry,
  type JobEntry,
  type JobState,
  jobStory,
  type JobStory,
  MOST_STEPS,
  type StepSaid,
  type WaitBegun,
  waitUntil,
} from './job.js';
