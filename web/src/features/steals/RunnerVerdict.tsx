import { percent, VerdictBadge } from '../../ui/index.ts';
import { useSteal } from './useSteal.ts';
import { BASE_TEXT, missingWords } from './words.ts';

/** Under the watch: whether the runner who was picked goes now, with the pitch that was just timed in it. */
export function RunnerVerdict() {
  const { view, base, needed, isLoading } = useSteal({ supposing: false });
  if (!view || isLoading) return null;
  const { steal, names } = view;
  return (
    <>
      <VerdictBadge verdict={steal.verdict} small />
      <strong>
        {names.runner.name} to {BASE_TEXT[base].toLowerCase()}
      </strong>
      <span>
        {steal.verdict === 'untimed'
          ? `Time ${missingWords(steal, names, base)} first.`
          : `${percent(steal.chance)} safe, needs ${percent(needed)}`}
      </span>
    </>
  );
}
