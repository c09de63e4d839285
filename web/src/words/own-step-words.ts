import type { OwnStepWay } from '@winter-jar/core';

/** What a house can do to a step, as it is chosen. */
export const OWN_WAY_WORDS: Readonly<Record<OwnStepWay, string>> = {
  reword: 'say it in our words',
  before: 'a step of ours before it',
  after: 'a step of ours after it',
  leaveOut: 'leave it out',
};
