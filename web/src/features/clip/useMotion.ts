import { firstMoveOf } from '@bradyon/core/ear';
import { transfer } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { inClipWorker } from './heavy.ts';

/** A part of the picture, as shares of its width and height. */
export interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}
const WHOLE_PICTURE: Box = { left: 0, top: 0, width: 1, height: 1 };

/** What was seen in the box, frame by frame. */
export interface Motion {
  /** Place of the first frame looked at, seconds of the clip. */
  fromSeconds: number;
  trace: readonly number[];
  /** How many frames there are to look at. */
  frames: number;
  /** Of the frame in which it moves first, seconds of the clip; null: none. */
  firstMoveAt: number | null;
  threshold: number;
  isOver: boolean;
}

/** So much before and after the frame that is shown is looked at. */
const AROUND_SECONDS = 4;
const WIDEST_PIXELS = 160;
/** A frame that is there already is not told of again. */
const LONGEST_PICTURE_MS = 250;

/** Looks through a clip for when the box in it moves first, in a picture of its own: the coach's stays where it is. */
export function useMotion(url: string, duration: number, playFps: number) {
  const [box, setBox] = useState<Box>(WHOLE_PICTURE);
  const [motion, setMotion] = useState<Motion | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const running = useRef<AbortController | null>(null);
  const stop = (): void => {
    running.current?.abort();
    running.current = null;
  };
  useEffect(() => stop, []);

  const look = async (aroundSeconds: number): Promise<void> => {
    stop();
    const abort = new AbortController();
    running.current = abort;
    const first = Math.max(0, Math.floor((aroundSeconds - AROUND_SECONDS) * playFps));
    const last = Math.floor(Math.min(duration, aroundSeconds + AROUND_SECONDS) * playFps);
    const frames = Math.max(0, last - first);
    const fromSeconds = first / playFps;
    const trace: number[] = [];
    const told = (isOver: boolean): void => {
      const { frame, threshold } = isOver
        ? firstMoveOf(trace, playFps)
        : { frame: null, threshold: 0 };
      setMotion({
        fromSeconds,
        trace: [...trace],
        frames,
        threshold,
        firstMoveAt: frame === null ? null : (first + frame) / playFps,
        isOver,
      });
    };
    setProblem(null);
    told(false);
    try {
      const video = await openVideo(url);
      for (let nth = 0; nth < frames && !abort.signal.aborted; nth += 1) {
        await seekTo(video, (first + nth + 0.5) / playFps);
        const picture = await pictureOf(video, box);
        trace.push(
          await inClipWorker((heavy) => heavy.look(transfer(picture, [picture]), nth === 0)),
        );
        if (nth % 10 === 9) told(false);
      }
      if (!abort.signal.aborted) told(true);
    } catch (error) {
      if (abort.signal.aborted) return;
      setMotion(null);
      setProblem(error instanceof Error ? error.message : 'The clip could not be looked through.');
    }
  };

  return {
    box,
    setBox: (next: Box) => {
      stop();
      setMotion(null);
      setBox(next);
    },
    motion,
    problem,
    look: (aroundSeconds: number) => {
      void look(aroundSeconds);
    },
    stop: () => {
      stop();
      setMotion(null);
    },
  };
}
export type MotionInHand = ReturnType<typeof useMotion>;

async function openVideo(url: string): Promise<HTMLVideoElement> {
  const video = document.createElement('video');
  video.muted = true;
  video.preload = 'auto';
  video.src = url;
  await new Promise<void>((resolve, reject) => {
    video.onloadeddata = () => {
      resolve();
    };
    video.onerror = () => {
      reject(new Error('The clip could not be looked through. Open it again.'));
    };
  });
  return video;
}

function seekTo(video: HTMLVideoElement, seconds: number): Promise<void> {
  return new Promise((resolve, reject) => {
    // The word that it is there may come before the picture does.
    const pictured = new Promise<void>((done) => {
      video.requestVideoFrameCallback(() => {
        done();
      });
      setTimeout(done, LONGEST_PICTURE_MS);
    });
    video.onseeked = () => {
      void pictured.then(resolve);
    };
    video.onerror = () => {
      reject(new Error('The clip could not be looked through. Open it again.'));
    };
    video.currentTime = Math.min(seconds, Math.max(0, video.duration - 0.001));
  });
}

/** The box of the picture that shows, small. */
function pictureOf(
  video: HTMLVideoElement,
  { left, top, width, height }: Box,
): Promise<ImageBitmap> {
  const size = {
    width: Math.max(2, Math.round(width * video.videoWidth)),
    height: Math.max(2, Math.round(height * video.videoHeight)),
  };
  const smaller = Math.min(1, WIDEST_PIXELS / size.width);
  return createImageBitmap(
    video,
    Math.round(left * video.videoWidth),
    Math.round(top * video.videoHeight),
    size.width,
    size.height,
    {
      resizeWidth: Math.max(1, Math.round(size.width * smaller)),
      resizeHeight: Math.max(1, Math.round(size.height * smaller)),
    },
  );
}
