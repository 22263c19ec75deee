import { useDrawing } from './FieldView.tsx';
import { toPicture, type Spot } from './geometry.ts';

/** A piece of the fan before home plate: between two directions and two distances. */
export interface FanCell {
  /** From the first-base line. */
  fromDegrees: number;
  toDegrees: number;
  fromFeet: number;
  toFeet: number;
  /** Which shade: below 0 clay, above 0 pine, stronger farther from 0. */
  shade: -3 | -2 | -1 | 0 | 1 | 2 | 3;
  /** Belongs to the region that is outlined. */
  outlined: boolean;
}

function spotAt(degrees: number, feet: number): Spot {
  // The first-base line goes up to the right, the third-base line up to the left.
  const angle = ((degrees + 45) * Math.PI) / 180;
  return { x: feet * Math.cos(angle), y: feet * Math.sin(angle) };
}

/** Values over the fair quarter in front of the plate, one path a shade. */
export function FieldFan({
  cells,
  columns,
}: {
  /** In rows of one distance, each from the first-base line to the third-base line. */
  cells: readonly FanCell[];
  columns: number;
}) {
  const { view, feetPerPixel } = useDrawing();
  const at = (degrees: number, feet: number): string => {
    const { x, y } = toPicture(view, spotAt(degrees, feet));
    return `${x.toFixed(2)} ${y.toFixed(2)}`;
  };
  const shades = new Map<number, string[]>();
  for (const { fromDegrees, toDegrees, fromFeet, toFeet, shade } of cells) {
    const path = `M${at(fromDegrees, fromFeet)}L${at(fromDegrees, toFeet)}L${at(toDegrees, toFeet)}L${at(toDegrees, fromFeet)}Z`;
    shades.set(shade, [...(shades.get(shade) ?? []), path]);
  }
  const isOut = (index: number): boolean => cells[index]?.outlined === true;
  const edges = cells.flatMap((cell, index) => {
    if (!cell.outlined) return [];
    const { fromDegrees, toDegrees, fromFeet, toFeet } = cell;
    const column = index % columns;
    return [
      column > 0 && isOut(index - 1)
        ? ''
        : `M${at(fromDegrees, fromFeet)}L${at(fromDegrees, toFeet)}`,
      column < columns - 1 && isOut(index + 1)
        ? ''
        : `M${at(toDegrees, fromFeet)}L${at(toDegrees, toFeet)}`,
      isOut(index - columns) ? '' : `M${at(fromDegrees, fromFeet)}L${at(toDegrees, fromFeet)}`,
      isOut(index + columns) ? '' : `M${at(fromDegrees, toFeet)}L${at(toDegrees, toFeet)}`,
    ];
  });
  return (
    <g className="field-fan" aria-hidden="true">
      {[...shades].map(([shade, paths]) => (
        <path key={shade} className={`fan-${String(shade)}`} d={paths.join('')} />
      ))}
      <path className="fan-edge" d={edges.join('')} strokeWidth={2.5 * feetPerPixel} />
    </g>
  );
}
