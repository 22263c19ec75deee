import { Route, Routes } from 'react-router';
import { FirstPage } from './FirstPage.tsx';
import { SecondPage } from './SecondPage.tsx';
import { SheetPage } from './SheetPage.tsx';
import { ThirdPage } from './ThirdPage.tsx';

/** The rooms of Leads: they come together, and the first load does not know them one by one. */
export function LeadRooms() {
  return (
    <Routes>
      <Route index element={<FirstPage />} />
      <Route path="second" element={<SecondPage />} />
      <Route path="third" element={<ThirdPage />} />
      <Route path="sheet" element={<SheetPage />} />
    </Routes>
  );
}
