export { Sortable, SortableHeading, SortableRow } from './Sortable.tsx';
