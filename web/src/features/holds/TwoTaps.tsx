import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { seconds, TapButton, useKeys } from '../../ui/index.ts';

/** Longer is none of them. */
const LONGEST_SECONDS = 15;

/** A drill: one tap where it begins, one where it ends, again and again. @param name of one of them */
export function TwoTaps({
  name,
  marks: [from, to],
  hint,
  taken,
  onTaken,
}: {
  name: string;
  marks: readonly [from: string, to: string];
  hint: string;
  /** Seconds, the last one last. */
  taken: readonly number[];
  onTaken: (taken: number[]) => void;
}) {
  const [fromMs, setFromMs] = useState<number | null>(null);
  const tap = (atMs: number): void => {
    if (fromMs === null) {
      setFromMs(atMs);
      return;
    }
    const lasted = (atMs - fromMs) / 1000;
    setFromMs(null);
    if (lasted <= LONGEST_SECONDS) onTaken([...taken, lasted]);
  };
  useKeys({ Space: tap });
  return (
    <div className="hold-drill">
      <TapButton className="btn btn-primary hold-tap" onTap={tap}>
        {fromMs === null ? from : to}
      </TapButton>
      <p role="status">
        {taken.length === 0
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
