import { Film } from 'lucide-react';
import { useState, type CSSProperties } from 'react';
import { useTitle, useKeys } from '../../ui/index.ts';
import { TimeTabs } from '../timing/index.ts';
import { ClipMarks, ClipRates } from './ClipMarks.tsx';
import './ClipPage.scss';
import { ClipPlayer } from './ClipPlayer.tsx';
import { ClipTraces } from './ClipTraces.tsx';
import { ClipWho } from './ClipWho.tsx';
import { PictureBox } from './PictureBox.tsx';
import { useMarking } from './useMarking.ts';
import { useMotion } from './useMotion.ts';
import { useSound } from './useSound.ts';
import { UNTOLD_FPS, useVideo } from './useVideo.ts';

const TENTH_SECONDS = 0.1;
const NO_KEYS = {};

interface Clip {
  file: File;
  /** Of this device: the clip is never sent. */
  url: string;
}

/** Times from a clip: it is opened on this device, stepped through, marked, and never leaves it. */
export function ClipPage() {
  useTitle('Clip');
  const [clip, setClip] = useState<Clip | null>(null);
  const open = (file: File | undefined): void => {
    if (!file) return;
    if (clip) URL.revokeObjectURL(clip.url);
    setClip({ file, url: URL.createObjectURL(file) });
  };
  return (
    <div className="time-page">
      <div className="page-head time-head">
        <h1>Clip</h1>
        <TimeTabs />
        <label className="btn btn-primary clip-open">
          <Film size={18} aria-hidden="true" /> {clip ? 'Open another clip' : 'Open a clip'}
          <input
            type="file"
            accept="video/*"
            className="visually-hidden"
            onChange={({ target }) => {
              open(target.files?.[0]);
            }}
          />
        </label>
      </div>
      {clip ? (
        <MarkingView key={clip.url} clip={clip} />
      ) : (
        <div className="state-box">
          <p className="state-title">Open a clip of the pitch, the throw or the run.</p>
          <p>
            The clip stays on this device. Step to each event and mark it. At 30 frames per second a
            time is good to about .02 s. Slow motion is better, and where the mitt is heard, its
            sound.
          </p>
        </div>
      )}
    </div>
  );
}

function MarkingView({ clip: { file, url } }: { clip: Clip }) {
  const [videoRef, video] = useVideo();
  const isReady = video.playFps !== null;
  const playFps = video.playFps ?? UNTOLD_FPS;
  const marking = useMarking(file, playFps);
  const { marks, due, mark, trueFps } = marking;
  const sound = useSound(file);
  const motion = useMotion(url, video.duration, playFps);
  const [isBoxing, setBoxing] = useState(false);

  /** A tenth of true time, in whole frames. */
  const tenth = (by: number): void => {
    video.step(by * Math.max(1, Math.round(TENTH_SECONDS * trueFps)));
  };
  const keys = {
    Space: video.toggle,
    arrowleft: () => {
      video.step(-1);
    },
    arrowright: () => {
      video.step(1);
    },
    arrowdown: () => {
      tenth(-1);
    },
    arrowup: () => {
      tenth(1);
    },
    m: () => {
      mark(due === -1 ? marks.length - 1 : due, { seenAt: video.shown });
    },
  };
  useKeys(isReady ? keys : NO_KEYS);

  return (
    <div className="clip">
      <div className="clip-hand">
        <div className="clip-picture" style={{ '--aspect': video.aspect } as CSSProperties}>
          <video
            ref={videoRef}
            className="clip-video"
            src={url}
            muted
            playsInline
            preload="auto"
            aria-label="The clip"
            onLoadedMetadata={video.onLoaded}
            onError={video.onProblem}
          />
          <PictureBox box={motion.box} isBoxing={isBoxing} onBox={motion.setBox} />
        </div>
        {video.problem ? (
          <p className="form-failure" role="alert">
            {video.problem}
          </p>
        ) : (
          <>
            <ClipPlayer
              video={video}
              isReady={isReady}
              playFps={playFps}
              marks={marks}
              tenth={tenth}
            />
            <ClipTraces
              sound={sound}
              motion={motion}
              marking={marking}
              video={video}
              isBoxing={isBoxing}
              onBox={setBoxing}
            />
          </>
        )}
      </div>
      <div className="clip-side">
        <ClipMarks marking={marking} video={video} playFps={playFps} />
        <ClipRates marking={marking} video={video} playFps={playFps} />
        <ClipWho marking={marking} />
      </div>
    </div>
  );
}
