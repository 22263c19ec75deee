import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { frameAt, playRate } from './clip.ts';

const WATCHED_FRAMES = 24;
const WATCH_MS = 1500;
/** Until a clip is seen to play at another rate. */
export const UNTOLD_FPS = 30;
/** A frame this near to where it was told to go is the one: the slowest clip has more than ten a second. */
const THERE_SECONDS = 0.1;
const USUAL_ASPECT = 16 / 9;

export interface VideoInHand {
  /** The place of the frame that is shown, seconds of the clip. */
  shown: number;
  /** Where it was told to go and has not come yet, seconds of the clip; null: it is there. */
  heading: number | null;
  duration: number;
  /** Of its picture: width over height. */
  aspect: number;
  /** The rate it plays at; null until it is known. */
  playFps: number | null;
  problem: string | null;
  playing: boolean;
  seek: (seconds: number) => void;
  step: (frames: number) => void;
  toggle: () => void;
  setPlayFps: (fps: number) => void;
  onLoaded: () => void;
  onProblem: () => void;
}

/** A clip on this device: which frame shows, and how to get to another. */
export function useVideo(): [RefObject<HTMLVideoElement | null>, VideoInHand] {
  const ref = useRef<HTMLVideoElement>(null);
  const [shown, setShown] = useState(0);
  const [heading, setHeading] = useState<number | null>(null);
  const [duration, setDuration] = useState(0);
  const [aspect, setAspect] = useState(USUAL_ASPECT);
  const [playFps, setPlayFps] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [playing, setPlaying] = useState(false);
  // Where it was told to go, before it is there: steps pressed quickly add up.
  const wanted = useRef(0);

  const follow = useCallback((): (() => void) => {
    const video = ref.current;
    if (!video) return () => undefined;
    let call = 0;
    const next = (_now: number, frame: VideoFrameCallbackMetadata): void => {
      setShown(frame.mediaTime);
      // A frame of an earlier step may still come after the next one was asked for.
      setHeading((to) =>
        to !== null && Math.abs(frame.mediaTime - to) > THERE_SECONDS ? to : null,
      );
      if (!video.paused) wanted.current = frame.mediaTime;
      call = video.requestVideoFrameCallback(next);
    };
    call = video.requestVideoFrameCallback(next);
    return () => {
      video.cancelVideoFrameCallback(call);
    };
  }, []);
  const stopFollowing = useRef<(() => void) | null>(null);
  useEffect(
    () => () => {
      stopFollowing.current?.();
    },
    [],
  );

  const seek = (seconds: number): void => {
    const video = ref.current;
    if (!video) return;
    video.pause();
    setPlaying(false);
    wanted.current = Math.min(Math.max(0, seconds), Math.max(0, duration - 0.001));
    video.currentTime = wanted.current;
    setHeading(wanted.current);
  };

  const video: VideoInHand = {
    shown,
    heading,
    duration,
    aspect,
    playFps,
    problem,
    playing,
    seek,
    setPlayFps,
    step: (frames) => {
      const fps = playFps ?? UNTOLD_FPS;
      // From the middle of the frame that was wanted last, half a frame back is its beginning.
      const from = Math.max(0, wanted.current - 0.5 / fps);
      seek(frameAt(from, frames, fps));
    },
    toggle: () => {
      const video = ref.current;
      if (!video) return;
      if (video.paused) {
        setPlaying(true);
        setHeading(null);
        video.play().catch(() => {
          setPlaying(false);
        });
      } else {
        setPlaying(false);
        seek(frameAt(shown, 0, playFps ?? UNTOLD_FPS));
      }
    },
    onLoaded: () => {
      const video = ref.current;
      if (!video) return;
      setDuration(video.duration);
      if (video.videoHeight > 0) setAspect(video.videoWidth / video.videoHeight);
      setProblem(null);
      void watchFrames(video).then((fps) => {
        setPlayFps(fps ?? UNTOLD_FPS);
        wanted.current = 0.5 / (fps ?? UNTOLD_FPS);
        video.currentTime = wanted.current;
        stopFollowing.current?.();
        stopFollowing.current = follow();
      });
    },
    onProblem: () => {
      setProblem(
        'This device cannot play that file. Save it as MP4 (H.264) or WebM and open it again.',
      );
    },
  };
  return [ref, video];
}

/** Plays the beginning without sound to see how far apart its frames are. */
async function watchFrames(video: HTMLVideoElement): Promise<number | null> {
  const places: number[] = [];
  const seen = new Promise<void>((resolve) => {
    const next = (_now: number, frame: VideoFrameCallbackMetadata): void => {
      places.push(frame.mediaTime);
      if (places.length < WATCHED_FRAMES) video.requestVideoFrameCallback(next);
      else resolve();
    };
    video.requestVideoFrameCallback(next);
  });
  const waited = new Promise<void>((resolve) => {
    setTimeout(resolve, WATCH_MS);
  });
  try {
    await video.play();
    await Promise.race([seen, waited]);
  } catch {
    // A browser that does not let it play tells nothing; the coach states the rate.
  }
  video.pause();
  return playRate(places);
}
