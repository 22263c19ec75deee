import { OUTPUT_LATE_SECONDS } from '@bradyon/core/drills';
import type { Cue } from './caller.ts';

/** How a cue sounds: tones from and to so many hertz, or noise. All of it is made on the device. */
interface Tone {
  from: number;
  to: number;
  seconds: number;
  shape: OscillatorType | 'noise';
}
const TONES: Record<Cue | 'minute' | 'change', readonly Tone[]> = {
  go: [{ from: 880, to: 1320, seconds: 0.22, shape: 'square' }],
  back: [{ from: 330, to: 220, seconds: 0.3, shape: 'sawtooth' }],
  hop: [{ from: 600, to: 600, seconds: 0.05, shape: 'triangle' }],
  clap: [{ from: 0, to: 0, seconds: 0.06, shape: 'noise' }],
  relax: [{ from: 440, to: 294, seconds: 0.35, shape: 'sine' }],
  minute: [{ from: 660, to: 660, seconds: 0.4, shape: 'triangle' }],
  change: [
    { from: 523, to: 523, seconds: 0.25, shape: 'square' },
    { from: 784, to: 784, seconds: 0.5, shape: 'square' },
  ],
};
const LOUD = 0.9;

/** Cues of this device, played at a moment. */
export interface Sound {
  /** @param atMs on the clock of input events; @returns when it truly is asked for, on the same clock */
  play: (cue: keyof typeof TONES, atMs: number) => number;
  /** What is not heard yet is not heard any more. */
  hush: () => void;
  /** How late the device sounds, as it says; usual where it does not say. */
  lateSeconds: () => number;
  close: () => void;
}

/** @returns null where there is no sound */
export function openSound(): Sound | null {
  if (!('AudioContext' in window)) return null;
  const context = new AudioContext({ latencyHint: 'interactive' });
  // A phone lets a page sound only from a tap on: this is called by one.
  void context.resume();
  const playing = new Set<AudioScheduledSourceNode>();
  const late = (): number => {
    const said = context.outputLatency;
    return Number.isFinite(said) && said > 0 ? said : OUTPUT_LATE_SECONDS.heard;
  };
  return {
    play(cue, atMs) {
      const now = performance.now();
      const startsAt = context.currentTime + Math.max(0, (atMs - now) / 1000);
      let from = startsAt;
      for (const tone of TONES[cue]) {
        const node = sourceOf(context, tone, from);
        playing.add(node);
        node.addEventListener('ended', () => playing.delete(node));
        from += tone.seconds;
      }
      return Math.max(atMs, now);
    },
    hush() {
      for (const node of playing) node.stop();
      playing.clear();
    },
    lateSeconds: () => Math.min(0.5, late()),
    close() {
      void context.close();
    },
  };
}

function sourceOf(
  context: AudioContext,
  { from, to, seconds, shape }: Tone,
  startsAt: number,
): AudioScheduledSourceNode {
  const gain = context.createGain();
  gain.gain.setValueAtTime(LOUD, startsAt);
  gain.gain.exponentialRampToValueAtTime(0.001, startsAt + seconds);
  gain.connect(context.destination);
  const node =
    shape === 'noise'
      ? noise(context, seconds)
      : tone(context, shape, startsAt, [from, to], seconds);
  node.connect(gain);
  node.start(startsAt);
  node.stop(startsAt + seconds);
  return node;
}

function tone(
  context: AudioContext,
  shape: OscillatorType,
  startsAt: number,
  [from, to]: readonly [number, number],
  seconds: number,
): OscillatorNode {
  const node = context.createOscillator();
  node.type = shape;
  node.frequency.setValueAtTime(from, startsAt);
  node.frequency.linearRampToValueAtTime(to, startsAt + seconds);
  return node;
}

function noise(context: AudioContext, seconds: number): AudioBufferSourceNode {
  const buffer = context.createBuffer(
    1,
    Math.ceil(context.sampleRate * seconds),
    context.sampleRate,
  );
  const samples = buffer.getChannelData(0);
  for (let at = 0; at < samples.length; at += 1) samples[at] = 2 * Math.random() - 1;
  const node = context.createBufferSource();
  node.buffer = buffer;
  return node;
}

/** Shakes the phone, where it can. */
export function buzz(): void {
  if ('vibrate' in navigator) navigator.vibrate(80);
}
