import { Route, Routes } from 'react-router';
import { ArmsPage } from './ArmsPage.tsx';
import { FlyPage } from './FlyPage.tsx';
import { GroundPage } from './GroundPage.tsx';
import { SendPage } from './SendPage.tsx';
import { TurnPage } from './TurnPage.tsx';

/** The rooms of Bases: they come together, and the first load does not know them one by one. */
export function BasesRooms() {
  return (
    <Routes>
      <Route index element={<SendPage />} />
      <Route path="flies" element={<FlyPage />} />
      <Route path="grounders" element={<GroundPage />} />
      <Route path="turns" element={<TurnPage />} />
      <Route path="arms" element={<ArmsPage />} />
    </Routes>
  );
}
