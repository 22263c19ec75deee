import { createRequire } from 'node:module';
import path from 'node:path';
import type { Browser } from '@playwright/test';

const mediabunny = path.join(
  path.dirname(createRequire(import.meta.url).resolve('mediabunny')),
  'mediabunny.min.cjs',
);

/** As much of the package as making a clip needs; it runs inside a page. */
interface Muxing {
  Output: new (options: object) => {
    target: { buffer: ArrayBuffer };
    addVideoTrack: (source: object, options: object) => void;
    addAudioTrack: (source: object) => void;
    start: () => Promise<void>;
    finalize: () => Promise<void>;
  };
  WebMOutputFormat: new () => object;
  BufferTarget: new () => object;
  CanvasSource: new (
    canvas: HTMLCanvasElement,
    options: object,
  ) => { add: (at: number, duration: number) => Promise<void> };
  AudioBufferSource: new (options: object) => { add: (sound: AudioBuffer) => Promise<void> };
}

/**
 * A small clip with known frames, made in the browser itself: a light that comes on at each of the
 * given frames, a block that moves from a frame on, and the number of the frame; with a sound if there
 * is one.
 * @param origin an address of ours: pages of it may use the encoder
 */
export async function makeClip(
  browser: Browser,
  origin: string,
  {
    fps,
    frames,
    lights,
    movesFrom = Infinity,
    sound = new Float32Array(),
    scale = 1,
  }: {
    fps: number;
    frames: number;
    lights: number[];
    movesFrom?: number;
    /** At 48,000 samples a second. */
    sound?: Float32Array;
    /** 1: 320 by 180 pixels. */
    scale?: number;
  },
): Promise<Buffer> {
  const context = await browser.newContext({ bypassCSP: true });
  const page = await context.newPage();
  await page.goto(`${origin}/sign-in`);
  await page.addScriptTag({ path: mediabunny });
  const bytes = await page.evaluate(
    async ({ fps: rate, frames: count, lights: on, moves, samples, times }) => {
      const { Output, WebMOutputFormat, BufferTarget, CanvasSource, AudioBufferSource } = (
        globalThis as unknown as { Mediabunny: Muxing }
      ).Mediabunny;
      const canvas = document.createElement('canvas');
      canvas.width = 320 * times;
      canvas.height = 180 * times;
      const pen = canvas.getContext('2d');
      if (!pen) throw new Error('no canvas');
      pen.scale(times, times);
      const output = new Output({ format: new WebMOutputFormat(), target: new BufferTarget() });
      const source = new CanvasSource(canvas, {
        codec: 'vp8',
        bitrate: 400_000,
        // As phones do: whoever looks for a frame begins at the one whole picture a second.
        keyFrameInterval: 1,
      });
      output.addVideoTrack(source, { frameRate: rate });
      const track =
        samples.length > 0 ? new AudioBufferSource({ codec: 'opus', bitrate: 128_000 }) : null;
      if (track) output.addAudioTrack(track);
      await output.start();
      if (track) {
        const heard = new AudioBuffer({ length: samples.length, sampleRate: 48_000 });
        heard.copyToChannel(Float32Array.from(samples), 0);
        await track.add(heard);
      }
      for (let frame = 0; frame < count; frame += 1) {
        pen.fillStyle = '#203028';
        pen.fillRect(0, 0, 320, 180);
        pen.fillStyle = '#fff';
        pen.font = '40px sans-serif';
        pen.fillText(String(frame), 20, 60);
        on.forEach((at, light) => {
          if (frame < at) return;
          pen.fillStyle = '#e06020';
          pen.fillRect(20 + light * 100, 100, 80, 60);
        });
        pen.fillStyle = '#90c0ff';
        if (moves !== null) pen.fillRect(200 + 4 * Math.max(0, frame - moves), 20, 40, 60);
        await source.add(frame / rate, 1 / rate);
      }
      await output.finalize();
      return [...new Uint8Array(output.target.buffer)];
    },
    {
      fps,
      frames,
      lights,
      moves: Number.isFinite(movesFrom) ? movesFrom : null,
      samples: [...sound],
      times: scale,
    },
  );
  await context.close();
  return Buffer.from(bytes);
}
