import { describe, expect, it } from 'vitest';
import { placesOf } from './RoomGrid';

const benches = [1, 2, 3, 4, 5].map((number) => ({ number }));

describe('the places of a room', () => {
  it('are as they were written, the rest behind the last row', () => {
    const places = [
      { bench: 2, row: 1, column: 1 },
      { bench: 1, row: 1, column: 3 },
    ];
    const placed = placesOf(benches, { text: '2 . 1', columns: 3, places });
    expect(placed.get(1)).toEqual({ row: 1, column: 3 });
    expect([3, 4, 5].map((number) => placed.get(number)?.row)).toEqual([2, 2, 2]);
    expect(new Set([...placed.values()].map(({ row, column }) => `${row}/${column}`)).size).toBe(5);
  });

  it('are the grid’s own where nothing was said', () => {
    expect(placesOf(benches, { text: '', columns: 0, places: [] }).size).toBe(0);
  });
});
