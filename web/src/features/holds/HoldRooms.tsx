import { Route, Routes } from 'react-router';
import { BoardPage } from './BoardPage.tsx';
import { CardPage } from './CardPage.tsx';
import { HoldPage } from './HoldPage.tsx';
import { SecondPage } from './SecondPage.tsx';

/** The rooms of Hold: they come together, and the first load does not know them one by one. */
export function HoldRooms() {
  return (
    <Routes>
      <Route index element={<HoldPage />} />
      <Route path="board" element={<BoardPage />} />
      <Route path="second" element={<SecondPage />} />
      <Route path="card" element={<CardPage />} />
    </Routes>
  );
}
