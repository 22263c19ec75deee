import { Route, Routes } from 'react-router';
import { ClipPage } from './features/clip/ClipPage.tsx';
import { EarPage } from './features/ear/EarPage.tsx';
import { GatesPage } from './features/gates/GatesPage.tsx';
import { LeadSeen } from './features/leads/LeadSeen.tsx';
import { ThumbPage } from './features/thumb/ThumbPage.tsx';
import { PersonTimesPage } from './features/timing/PersonTimesPage.tsx';
// Times by ear are laid out as the watch is.
import './features/timing/TimePage.scss';

/** The rooms beside the watch: they come together, and the first load does not know them one by one. */
export function TimeRooms() {
  return (
    <Routes>
      <Route path="thumb" element={<ThumbPage />} />
      <Route path="ear" element={<EarPage />} />
      <Route path="clip" element={<ClipPage />} />
      <Route path="gates" element={<GatesPage />} />
      <Route path=":personId" element={<PersonTimesPage Lead={LeadSeen} />} />
    </Routes>
  );
}
