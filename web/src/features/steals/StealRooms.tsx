import { Route, Routes } from 'react-router';
import { BoardPage } from './BoardPage.tsx';
import { CardPage } from './CardPage.tsx';
import { StealPage } from './StealPage.tsx';

/** The rooms of Steal: they come together, and the first load does not know them one by one. */
export function StealRooms() {
  return (
    <Routes>
      <Route index element={<StealPage />} />
      <Route path="board" element={<BoardPage />} />
      <Route path="card" element={<CardPage />} />
    </Routes>
  );
}
