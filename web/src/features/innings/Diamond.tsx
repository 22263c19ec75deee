import './Diamond.scss';

const BASES = [
  { bit: 1, name: 'First', x: 126, y: 80 },
  { bit: 2, name: 'Second', x: 80, y: 34 },
  { bit: 4, name: 'Third', x: 34, y: 80 },
] as const;
const HALF = 19;

/** The bases, each a tap away from taken to free. */
export function Diamond({ bases, onChange }: { bases: number; onChange: (bases: number) => void }) {
  const turn = (bit: number): void => {
    onChange(bases ^ bit);
  };
  return (
    <svg className="diamond" viewBox="0 0 160 150" role="group" aria-label="Runners on base">
      <path className="diamond-path" d="M80 126 126 80 80 34 34 80Z" />
      <path className="diamond-home" d="M72 118h16v8l-8 8-8-8Z" />
      {BASES.map(({ bit, name, x, y }) => (
        <rect
          key={bit}
          className={bases & bit ? 'diamond-base diamond-on' : 'diamond-base'}
          x={x - HALF}
          y={y - HALF}
          width={HALF * 2}
          height={HALF * 2}
          rx="5"
          transform={`rotate(45 ${String(x)} ${String(y)})`}
          role="checkbox"
          aria-checked={(bases & bit) !== 0}
          aria-label={`${name} base taken`}
          tabIndex={0}
          onClick={() => {
            turn(bit);
          }}
          onKeyDown={(event) => {
            if (event.key !== ' ' && event.key !== 'Enter') return;
            event.preventDefault();
            turn(bit);
          }}
        />
      ))}
    </svg>
  );
}
