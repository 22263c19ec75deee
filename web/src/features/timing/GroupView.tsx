import { giveOrTake, seconds, SpreadDots, timesCount } from '../../ui/index.ts';
import type { Group } from './groups.ts';
import './GroupView.scss';

/** One group of times at a glance: the estimate, how sure, how many, and every dot. */
export function GroupView({ group }: { group: Group }) {
  const { spread, readings } = group;
  return (
    <div className="group">
      <div className="group-line">
        <h3>
          {group.title} <span className="quiet">{group.from}</span>
        </h3>
        {spread ? (
          <p>
            <strong className="figure">{seconds(spread.meanSeconds)}</strong>{' '}
            <span className="quiet">
              {spread.giveOrTakeSeconds === null ? '' : `${giveOrTake(spread.giveOrTakeSeconds)}, `}
              {timesCount(spread.count)}
            </span>
          </p>
        ) : (
          <p className="quiet">all set aside</p>
        )}
      </div>
      <SpreadDots
        tone={group.tone}
        meanSeconds={spread?.meanSeconds ?? null}
        giveOrTakeSeconds={spread?.giveOrTakeSeconds ?? null}
        dots={readings.map(({ id, seconds: value, asideReason }) => ({
          key: id,
          seconds: value,
          aside: asideReason !== null,
        }))}
      />
    </div>
  );
}
