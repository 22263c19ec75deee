export { download, makeTable } from './csv.ts';
