import type { Situation } from '@bradyon/core/games';

const SPOTS = [
  { base: 'first', x: 34, y: 22 },
  { base: 'second', x: 22, y: 10 },
  { base: 'third', x: 10, y: 22 },
] as const;

/** Which bases are taken, small. Said in words by whoever shows it. */
export function MiniDiamond({ bases }: { bases: Situation['bases'] }) {
  return (
    <svg className="mini-diamond" viewBox="0 0 44 32" aria-hidden="true">
      {SPOTS.map(({ base, x, y }) => (
        <rect
          key={base}
          className={bases[base] === null ? undefined : 'mini-diamond-on'}
          x={x - 6}
          y={y - 6}
          width="12"
          height="12"
          transform={`rotate(45 ${String(x)} ${String(y)})`}
        />
      ))}
    </svg>
  );
}

/** @example basesWords({ first: 'x', second: null, third: null }) // 'Runner on first' */
export function basesWords({ first, second, third }: Situation['bases']): string {
  const on = [first && 'first', second && 'second', third && 'third'].filter(Boolean);
  if (on.length === 0) return 'Bases empty';
  if (on.length === 3) return 'Bases loaded';
  return on.length === 1 ? `Runner on ${on[0] ?? ''}` : `Runners on ${on.join(' and ')}`;
}
