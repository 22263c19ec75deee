import { Route, Routes } from 'react-router';
import { LeavesPage } from './LeavesPage.tsx';
import { PracticePage } from './PracticePage.tsx';
import { PracticeRunPage } from './PracticeRunPage.tsx';
import { PracticeSheetPage } from './PracticeSheetPage.tsx';
import { PracticesPage } from './PracticesPage.tsx';
import { ProgressPage } from './ProgressPage.tsx';
import { ReadsPage } from './ReadsPage.tsx';
import { SendsPage } from './SendsPage.tsx';
import { SqueezePage } from './SqueezePage.tsx';
import { StartsPage } from './StartsPage.tsx';

/** The rooms of Drills: they come together, and the first load does not know them one by one. */
export function DrillRooms() {
  return (
    <Routes>
      <Route index element={<PracticesPage />} />
      <Route path="starts" element={<StartsPage />} />
      <Route path="reads" element={<ReadsPage />} />
      <Route path="leaves" element={<LeavesPage />} />
      <Route path="squeeze" element={<SqueezePage />} />
      <Route path="sends" element={<SendsPage />} />
      <Route path="progress" element={<ProgressPage />} />
      <Route path=":practiceId" element={<PracticePage />} />
      <Route path=":practiceId/sheet" element={<PracticeSheetPage />} />
      <Route path=":practiceId/run" element={<PracticeRunPage />} />
    </Routes>
  );
}
