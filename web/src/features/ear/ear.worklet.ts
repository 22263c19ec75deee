import { makeEar } from '@bradyon/core/ear';

/** What a worklet has around it; TypeScript's own library of the page does not know it. */
declare const sampleRate: number;
declare const currentFrame: number;
declare class AudioWorkletProcessor {
  readonly port: MessagePort;
}
declare function registerProcessor(name: string, processor: new () => AudioWorkletProcessor): void;

/** How often the level is told, in render quanta: about eighteen times a second. */
const LEVEL_QUANTA = 20;
const QUANTUM = 128;
const SILENCE = new Float32Array(QUANTUM);

/** Hears the microphone on the sound's own thread. What it hears is not kept. */
class EarProcessor extends AudioWorkletProcessor {
  #ear = makeEar(sampleRate);
  #quanta = 0;
  /** The frame of the context at which the ear began. */
  #startedAt = currentFrame;
  #heardFrames = 0;

  process([input]: Float32Array[][]): boolean {
    // What the device left out is silence, so that the clock goes on.
    while (this.#startedAt + this.#heardFrames < currentFrame) this.#hear(SILENCE);
    this.#hear(input?.[0] ?? SILENCE);
    this.#quanta += 1;
    if (this.#quanta % LEVEL_QUANTA === 0) {
      this.port.postMessage({ loudness: this.#ear.loudness() });
    }
    return true;
  }

  #hear(block: Float32Array): void {
    this.#heardFrames += block.length;
    for (const onset of this.#ear.hear(block)) {
      const atSeconds = onset.atSeconds + this.#startedAt / sampleRate;
      this.port.postMessage({ onset: { ...onset, atSeconds } });
    }
  }
}

registerProcessor('bradyon-ear', EarProcessor);
