import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { SignFigure } from './SignPlayer.tsx';
import { touchWord } from './words.ts';

/**
 * A sequence that shows as long as the button is held; let go, it is gone, and the next one is another.
 * @param make one more; null: there is none, and the coach was told why
 */
export function HoldToSee({ words, make }: { words: string; make: () => string[] | null }) {
  const [shown, setShown] = useState<string[] | null>(null);
  const show = (): void => {
    setShown(make());
  };
  const hide = (): void => {
    setShown(null);
  };
  return (
    <>
      <Button
        className="give-hold"
        variant="primary"
        onPointerDown={show}
        onPointerUp={hide}
        onPointerLeave={hide}
        onContextMenu={(event) => {
          event.preventDefault();
        }}
        onKeyDown={({ key, repeat }) => {
          if ((key === ' ' || key === 'Enter') && !repeat) show();
        }}
        onKeyUp={hide}
        onBlur={hide}
      >
        Hold: {words}
      </Button>
      {shown && (
        <div className="give-shown" role="status">
          <SignFigure touch={shown[0] ?? null} />
          <p>{shown.map(touchWord).join(' – ')}</p>
        </div>
      )}
    </>
  );
}
