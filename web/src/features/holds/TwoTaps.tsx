import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { seconds, TapButton, useKeys } from '../../ui/index.ts';

/** A drill: one tap where it begins, one where it ends, again and again. @param name of one of them */
export function TwoTaps({
  name,
  marks: [from, to],
  hint,
  longestSeconds,
  taken,
  onTaken,
}: {
  name: string;
  marks: readonly [from: string, to: string];
  hint: string;
  /** A tap was forgotten where it would have lasted longer. */
  longestSeconds: number;
  /** Seconds, the last one last. */
  taken: readonly number[];
  onTaken: (taken: number[]) => void;
}) {
  const [fromMs, setFromMs] = useState<number | null>(null);
  const [wasTooLong, setTooLong] = useState(false);
  const tap = (atMs: number): void => {
    if (fromMs === null) {
      setFromMs(atMs);
      return;
    }
    const lasted = (atMs - fromMs) / 1000;
    setFromMs(null);
    setTooLong(lasted > longestSeconds);
    if (lasted <= longestSeconds) onTaken([...taken, lasted]);
  };
  useKeys({ Space: tap });
  return (
    <div className="hold-drill">
      <TapButton className="btn btn-primary hold-tap" onTap={tap}>
        {fromMs === null ? from : to}
      </TapButton>
      <p role="status">
        {wasTooLong
          ? `Not counted: over ${seconds(longestSeconds)}. Tap both again.`
          : taken.length === 0
            ? hint
            : `${name} ${String(taken.length)}: ${seconds(taken.at(-1) ?? 0)}.`}
      </p>
      {taken.length > 0 && (
        <Button
          variant="link"
          onClick={() => {
            onTaken(taken.slice(0, -1));
          }}
        >
          Undo the last one
        </Button>
      )}
    </div>
  );
}
