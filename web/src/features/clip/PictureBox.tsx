import { useDrag } from '@use-gesture/react';
import { useEffect, useRef } from 'react';
import type { Box } from './useMotion.ts';

/** Smaller than this, in shares of the picture, is a tap and no box. */
const LEAST = 0.03;

/** The box over the picture: drawn by a drag while that is asked for, else only shown. */
export function PictureBox({
  box,
  isBoxing,
  onBox,
}: {
  box: Box;
  isBoxing: boolean;
  onBox: (box: Box) => void;
}) {
  const layer = useRef<HTMLDivElement>(null);
  // Whoever is to draw on it sees it whole.
  useEffect(() => {
    if (isBoxing) layer.current?.scrollIntoView({ block: 'nearest' });
  }, [isBoxing]);
  const bind = useDrag(
    ({ initial, xy }) => {
      const area = layer.current?.getBoundingClientRect();
      if (!area) return;
      const share = ([x, y]: [number, number]) => ({
        x: Math.min(1, Math.max(0, (x - area.left) / area.width)),
        y: Math.min(1, Math.max(0, (y - area.top) / area.height)),
      });
      const [a, b] = [share(initial), share(xy)];
      const drawn = {
        left: Math.min(a.x, b.x),
        top: Math.min(a.y, b.y),
        width: Math.abs(a.x - b.x),
        height: Math.abs(a.y - b.y),
      };
      if (drawn.width >= LEAST && drawn.height >= LEAST) onBox(drawn);
    },
    { enabled: isBoxing },
  );
  const isWhole = box.width === 1 && box.height === 1;
  return (
    <div
      ref={layer}
      className={isBoxing ? 'clip-layer clip-boxing' : 'clip-layer'}
      aria-hidden="true"
      {...bind()}
    >
      {!isWhole && (
        <div
          className="clip-box"
          style={{
            left: `${String(100 * box.left)}%`,
            top: `${String(100 * box.top)}%`,
            width: `${String(100 * box.width)}%`,
            height: `${String(100 * box.height)}%`,
          }}
        />
      )}
    </div>
  );
}
