const RING = { hz: 880, seconds: 0.6, times: 2 } as const;

/** Two tones, where the browser lets a page sound. */
export function ring(): void {
  if (!('AudioContext' in window)) return;
  const context = new AudioContext();
  for (let i = 0; i < RING.times; i += 1) {
    const tone = context.createOscillator();
    tone.frequency.value = RING.hz;
    tone.connect(context.destination);
    const from = context.currentTime + i * RING.seconds * 1.5;
    tone.start(from);
    tone.stop(from + RING.seconds);
  }
  setTimeout(() => void context.close(), RING.times * RING.seconds * 2000);
}
