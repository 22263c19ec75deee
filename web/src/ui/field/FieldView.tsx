import { createContext, use, type ReactNode } from 'react';
import { useWidth } from '../useWidth.ts';
import './FieldView.scss';
import { baseSpot, toField, toPicture, type Spot, type View } from './geometry.ts';

/** What everything drawn on the field needs to know. */
interface Drawing {
  view: View;
  /** Feet of field in a pixel: text keeps its size however much of the field is shown. */
  feetPerPixel: number;
}
const DrawingOn = createContext<Drawing | null>(null);

export function useDrawing(): Drawing {
  const drawing = use(DrawingOn);
  if (!drawing) throw new Error('only drawn inside a FieldView');
  return drawing;
}

const BAG_FEET = 1.25;
const GRASS_FEET = 95;

/**
 * The field to scale, in feet, as much of it as `view` shows. What is laid over it are its children.
 */
export function FieldView({
  view,
  baseFeet,
  pitchingFeet,
  label,
  onTap,
  children,
}: {
  view: View;
  baseFeet: number;
  pitchingFeet: number;
  /** What the picture shows, for whoever does not see it. */
  label: string;
  /** A tap on the field, where nothing of its own is touched; whatever it does has another way by the keys. */
  onTap?: (spot: Spot) => void;
  children: ReactNode;
}) {
  const [ref, width] = useWidth<HTMLDivElement>(520);
  const at = (spot: Spot): Spot => toPicture(view, spot);
  const bases = (['home', 'first', 'second', 'third'] as const).map((base) =>
    at(baseSpot(base, baseFeet)),
  );
  const [home, first, second, third] = bases as [Spot, Spot, Spot, Spot];
  const mound = at({ x: 0, y: pitchingFeet });
  const share = baseFeet / 90;
  return (
    <div ref={ref} className="field">
      <svg
        viewBox={`0 0 ${String(view.width)} ${String(view.height)}`}
        width="100%"
        role="group"
        aria-label={label}
        {...(onTap && {
          onClick: (event) => {
            const box = event.currentTarget.getBoundingClientRect();
            const x = ((event.clientX - box.left) / box.width) * view.width;
            const y = ((event.clientY - box.top) / box.height) * view.height;
            onTap(toField(view, { x, y }));
          },
        })}
      >
        <rect className="field-grass" width={view.width} height={view.height} />
        <circle className="field-dirt" cx={mound.x} cy={mound.y} r={GRASS_FEET * share} />
        <polygon
          className="field-grass"
          points={points(
            [home, first, second, third].map((spot) => towards(spot, mound, 6 * share)),
          )}
        />
        <circle className="field-dirt" cx={mound.x} cy={mound.y} r={9 * share} />
        <rect className="field-rubber" x={mound.x - 1} y={mound.y - 0.25} width="2" height="0.5" />
        <polyline className="field-line" points={points([first, home, third])} />
        <polyline className="field-path" points={points([first, second, third])} />
        {[first, second, third].map((spot, index) => (
          <rect
            key={index}
            className="field-bag"
            x={spot.x - BAG_FEET / 2}
            y={spot.y - BAG_FEET / 2}
            width={BAG_FEET}
            height={BAG_FEET}
            transform={`rotate(45 ${String(spot.x)} ${String(spot.y)})`}
          />
        ))}
        <DrawingOn value={{ view, feetPerPixel: view.width / width }}>{children}</DrawingOn>
      </svg>
    </div>
  );
}

/** A place some feet nearer to another. */
function towards(spot: Spot, other: Spot, feet: number): Spot {
  const distance = Math.hypot(other.x - spot.x, other.y - spot.y);
  const share = feet / distance;
  return { x: spot.x + (other.x - spot.x) * share, y: spot.y + (other.y - spot.y) * share };
}

export function points(spots: readonly Spot[]): string {
  return spots.map(({ x, y }) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ');
}
