let context: AudioContext | undefined;

/** Hertz of the two strokes of each bell. */
const NOTES = { begin: [880, 1175], end: [660, 660] };
const STROKE = 0.35;

/** Rings: two strokes, rising where a station begins, level where it ends. Silent where the browser makes no sound. */
export function ring(which: keyof typeof NOTES): void {
  try {
    context ??= new AudioContext();
    void context.resume();
    const { currentTime: now, destination } = context;
    NOTES[which].forEach((frequency, i) => {
      const [tone, loud] = [context!.createOscillator(), context!.createGain()];
      tone.frequency.value = frequency;
      const at = now + i * STROKE;
      loud.gain.setValueAtTime(0.0001, at);
      loud.gain.exponentialRampToValueAtTime(0.5, at + 0.02);
      loud.gain.exponentialRampToValueAtTime(0.0001, at + STROKE * 2);
      tone.connect(loud).connect(destination);
      tone.start(at);
      tone.stop(at + STROKE * 2);
    });
  } catch {
    // No sound here: the page shows it.
  }
}
