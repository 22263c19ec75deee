import { Route, Routes } from 'react-router';
import { ArmsPage } from './ArmsPage.tsx';
import { CardsPage } from './CardsPage.tsx';
import { DrillsPage } from './DrillsPage.tsx';
import { SeriesPage } from './SeriesPage.tsx';
import { SystemPage } from './SystemPage.tsx';

/** The rooms of Signs: they come together, and the first load does not know them one by one. */
export function SignRooms() {
  return (
    <Routes>
      <Route index element={<SystemPage />} />
      <Route path="drills" element={<DrillsPage />} />
      <Route path="series" element={<SeriesPage />} />
      <Route path="arms" element={<ArmsPage />} />
      <Route path="cards" element={<CardsPage />} />
    </Routes>
  );
}
