import { Route, Routes } from 'react-router';
import { CardPage } from './CardPage.tsx';
import { HitPage } from './HitPage.tsx';
import { PlanPage } from './PlanPage.tsx';
import { RecordPage } from './RecordPage.tsx';
import { SqueezePage } from './SqueezePage.tsx';

/** The rooms of Bunt: they come together, and the first load does not know them one by one. */
export function BuntRooms() {
  return (
    <Routes>
      <Route index element={<PlanPage />} />
      <Route path="squeeze" element={<SqueezePage />} />
      <Route path="hit" element={<HitPage />} />
      <Route path="bunters" element={<RecordPage />} />
      <Route path="card" element={<CardPage />} />
    </Routes>
  );
}
