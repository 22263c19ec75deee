import { useSearchParams } from 'react-router';
import { Choice, useTitle } from '../../ui/index.ts';
import { TimeTabs } from '../timing/index.ts';
import { ThumbDrillView } from './ThumbDrillView.tsx';
import './ThumbPage.scss';
import { TogetherView } from './TogetherView.tsx';

const MODES = [
  { value: 'drill', text: 'Drill' },
  { value: 'together', text: 'Time together' },
] as const;

/** How good is this thumb? Against known times, or against other thumbs. */
export function ThumbPage() {
  useTitle('Your thumb');
  const [search, setSearch] = useSearchParams();
  const mode = search.get('mode') === 'together' ? 'together' : 'drill';
  return (
    <div className="time-page">
      <div className="page-head time-head">
        <h1>Your thumb</h1>
        <TimeTabs />
        <Choice
          label="How"
          options={MODES}
          value={mode}
          onChange={(value) => {
            setSearch(value === 'drill' ? {} : { mode: value }, { replace: true });
          }}
        />
      </div>
      {mode === 'drill' ? <ThumbDrillView /> : <TogetherView />}
    </div>
  );
}
