export { Sortable, SortableRow } from './Sortable.tsx';
