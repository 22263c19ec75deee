import type { Loudness } from '@bradyon/core/ear';
import { create } from 'zustand';

/** How loud it is right now; null: nobody listens. Apart from the rest: it changes many times a second. */
export const useLoudness = create<{ loudness: Loudness | null }>(() => ({ loudness: null }));

export function hearLoudness(loudness: Loudness | null): void {
  useLoudness.setState({ loudness });
}
