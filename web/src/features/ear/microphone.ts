import { TYPICAL_DELAY_SECONDS, type Loudness, type Onset } from '@bradyon/core/ear';
import { delayOf } from './delay.ts';
import workletUrl from './ear.worklet.ts?worker&url';

/** A sharp sound on the clock of input events. */
interface HeardOnset extends Omit<Onset, 'atSeconds'> {
  atMs: number;
}

export interface Microphone {
  close: () => void;
  /** Goes on after the device has paused it: only a tap may. */
  resume: () => void;
  /**
   * Plays clicks from the device's own speaker and hears how late each comes back.
   * @returns seconds from speaker to program; null when it was not heard well enough
   */
  measureDelay: () => Promise<number | null>;
}

interface Listener {
  onOnset: (onset: HeardOnset) => void;
  onLoudness: (loudness: Loudness) => void;
  /** It is not heard any more, and why. */
  onTrouble: (trouble: Trouble) => void;
  /** A device that had paused it goes on. */
  onGoingOn: () => void;
  /** How long the device takes to hear, seconds; null: nobody has measured it. */
  roundTripSeconds: () => number | null;
}

export type Trouble =
  'noMicrophone' | 'denied' | 'busy' | 'none' | 'elsewhere' | 'lost' | 'paused' | 'failed';

const TROUBLES: Record<string, Trouble> = {
  NotAllowedError: 'denied',
  SecurityError: 'denied',
  NotFoundError: 'none',
  OverconstrainedError: 'none',
  NotReadableError: 'busy',
  AbortError: 'busy',
};

/** Nothing that a device does for talk: it would change when and how loud a mitt is heard. */
const AS_IT_IS: MediaTrackConstraints = {
  channelCount: 1,
  echoCancellation: false,
  noiseSuppression: false,
  autoGainControl: false,
};

/**
 * Opens the microphone and hears.
 * @throws Trouble when there is none to be had
 */
export async function openMicrophone(listener: Listener): Promise<Microphone> {
  // Only a page that came safely is given one.
  const devices = navigator.mediaDevices as MediaDevices | undefined;
  if (!devices || !('AudioWorkletNode' in window)) throw new TroubleError('noMicrophone');
  const leave = await onlyHere();
  if (!leave) throw new TroubleError('elsewhere');
  const context = new AudioContext({ latencyHint: 'interactive' });
  let stream: MediaStream | null = null;
  const stop = (): void => {
    leave();
    for (const track of stream?.getTracks() ?? []) track.stop();
    if (context.state !== 'closed') void context.close();
  };
  try {
    stream = await devices.getUserMedia({ audio: AS_IT_IS });
    await context.audioWorklet.addModule(workletUrl);
    await context.resume();
  } catch (error) {
    stop();
    throw new TroubleError(TROUBLES[error instanceof DOMException ? error.name : ''] ?? 'failed');
  }
  const ear = new AudioWorkletNode(context, 'bradyon-ear', { numberOfOutputs: 0 });
  context.createMediaStreamSource(stream).connect(ear);

  const clock = followClock(context);
  /** Told of every onset while the delay is measured, instead of the listener. */
  let measuring: ((atSeconds: number) => void) | null = null;
  ear.port.onmessage = ({ data }: MessageEvent<{ onset?: Onset; loudness?: Loudness }>) => {
    clock.follow();
    if (data.loudness) listener.onLoudness(data.loudness);
    if (!data.onset) return;
    const { atSeconds, ...onset } = data.onset;
    if (measuring) measuring(atSeconds);
    else {
      const late = listener.roundTripSeconds() ?? TYPICAL_DELAY_SECONDS + outputSeconds(context);
      listener.onOnset({ ...onset, atMs: clock.msOf(atSeconds) - late * 1000 });
    }
  };
  let closed = false;
  const trouble = (which: Trouble): void => {
    if (!closed) listener.onTrouble(which);
  };
  ear.onprocessorerror = () => {
    trouble('failed');
  };
  for (const track of stream.getTracks()) {
    track.onended = () => {
      trouble('lost');
    };
  }
  context.onstatechange = () => {
    if (context.state !== 'running') trouble('paused');
    else if (!closed) listener.onGoingOn();
  };
  return {
    close: () => {
      closed = true;
      stop();
    },
    resume: () => {
      void context.resume();
    },
    measureDelay: () =>
      measureDelay(context, (tell) => {
        measuring = tell;
      }),
  };
}

const LOCK = 'bradyon-ear';
/** One that has just stopped is waited for. */
const LET_GO_MS = 600;

/**
 * One tab of a browser listens: two would save every throw twice.
 * @returns what lets another one listen; null: another one does
 */
function onlyHere(): Promise<(() => void) | null> {
  return new Promise((resolve) => {
    // A browser that locks nothing listens all the same.
    if (!('locks' in navigator)) {
      resolve(() => undefined);
      return;
    }
    navigator.locks
      .request(
        LOCK,
        { signal: AbortSignal.timeout(LET_GO_MS) },
        () =>
          new Promise<void>((release) => {
            resolve(release);
          }),
      )
      .catch(() => {
        resolve(null);
      });
  });
}

/** Why nothing is heard. */
export class TroubleError extends Error {
  constructor(readonly trouble: Trouble) {
    super(trouble);
  }
}

/** How late the device sounds what it is given, as it says. */
function outputSeconds({ outputLatency }: AudioContext): number {
  return Number.isFinite(outputLatency) ? outputLatency : 0;
}

/** A device tells its two clocks against each other unevenly: so many tellings are taken together. */
const TELLINGS = 41;

/**
 * When a moment of the sound's clock leaves the speaker, on the clock of input events. The middle of
 * many tellings, so that two sounds of one throw are not moved against each other.
 */
function followClock(context: AudioContext): {
  follow: () => void;
  msOf: (seconds: number) => number;
} {
  const apart: number[] = [];
  const follow = (): void => {
    const { contextTime, performanceTime } = context.getOutputTimestamp();
    // A device that does not tell gives zeros.
    apart.push(
      contextTime && performanceTime
        ? performanceTime - contextTime * 1000
        : performance.now() + (outputSeconds(context) - context.currentTime) * 1000,
    );
    if (apart.length > TELLINGS) apart.shift();
  };
  return {
    follow,
    msOf: (seconds) => {
      const middle = apart.toSorted((a, b) => a - b)[Math.floor(apart.length / 2)];
      return (middle ?? 0) + seconds * 1000;
    },
  };
}

const CLICKS = 6;
const CLICK_SECONDS = 0.5;
async function measureDelay(
  context: AudioContext,
  hear: (tell: ((atSeconds: number) => void) | null) => void,
): Promise<number | null> {
  const heard: number[] = [];
  hear((atSeconds) => heard.push(atSeconds));
  const first = context.currentTime + 0.4;
  for (let nth = 0; nth < CLICKS; nth += 1) click(context, first + nth * CLICK_SECONDS);
  await new Promise((resolve) => {
    setTimeout(resolve, (0.8 + CLICKS * CLICK_SECONDS) * 1000);
  });
  hear(null);
  return delayOf(
    heard,
    Array.from({ length: CLICKS }, (_, nth) => first + nth * CLICK_SECONDS),
  );
}

/** A burst that the ear hears well: noise that dies away within 20 ms. */
function click(context: AudioContext, atSeconds: number): void {
  const length = Math.round(0.02 * context.sampleRate);
  const buffer = context.createBuffer(1, length, context.sampleRate);
  const samples = buffer.getChannelData(0);
  for (let at = 0; at < length; at += 1) {
    samples[at] = (Math.random() * 2 - 1) * Math.exp((-5 * at) / length);
  }
  const source = context.createBufferSource();
  source.buffer = buffer;
  source.connect(context.destination);
  source.start(atSeconds);
}
