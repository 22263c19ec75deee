import type { Onset } from '@bradyon/core/ear';
import { transfer } from 'comlink';
import { useEffect, useState } from 'react';
import { inClipWorker } from './heavy.ts';

/** The sound of a clip: how loud it is along the clip, and the sharp sounds in it. */
export type ClipSound =
  | { is: 'loading' | 'none' | 'large' | 'failed' }
  | {
      is: 'heard';
      onsets: readonly Onset[];
      envelope: readonly number[];
      /** A clip's sound may be shorter than its pictures. */
      seconds: number;
    };

const SAMPLE_RATE = 48_000;
const POINTS = 400;
/** A browser takes the whole file to hear it. */
const MOST_BYTES = 400 * 1024 * 1024;

/** Hears a clip once, on this device. */
export function useSound(file: File): ClipSound {
  const [sound, setSound] = useState<ClipSound>(
    file.size > MOST_BYTES ? { is: 'large' } : { is: 'loading' },
  );
  useEffect(() => {
    if (file.size > MOST_BYTES) return;
    let isGone = false;
    const take = (next: ClipSound): void => {
      if (!isGone) setSound(next);
    };
    void hear(file).then(take, () => {
      take({ is: 'failed' });
    });
    return () => {
      isGone = true;
    };
  }, [file]);
  return sound;
}

async function hear(file: File): Promise<ClipSound> {
  const bytes = await file.arrayBuffer();
  const decoded = await new OfflineAudioContext(1, 1, SAMPLE_RATE)
    .decodeAudioData(bytes)
    // A clip without a track of sound is one that cannot be decoded.
    .catch(() => null);
  if (!decoded || decoded.length === 0) return { is: 'none' };
  const samples = decoded.getChannelData(0).slice();
  if (samples.every((sample) => sample === 0)) return { is: 'none' };
  const found = await inClipWorker((heavy) =>
    heavy.hear(transfer(samples, [samples.buffer]), SAMPLE_RATE, POINTS),
  );
  return { is: 'heard', ...found, seconds: decoded.duration };
}
