export function BasesRooms() {
  return null;
}
