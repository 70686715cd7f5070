// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Shapes } from '../api/client';
import { show } from '../testing/room';
import { ChartView } from './ChartView';
import { SquareView } from './SquareView';
import { nearest, spotsOf } from './usePointed';

const line = (number: number, label: string, points: [number, number][], style = 'line') =>
  ({
    number, label, style, points, values: points.map(([x]) => `${label}: t, s ${x}; T, °C 20`), foot: 196, size: 3.6,
    beside: false,
  }) as Shapes['PlotLine']; // prettier-ignore
const PLOT: Shapes['Plot'] = {
  width: 400,
  height: 236,
  frame: [56, 12, 390, 196],
  rules: [100],
  lines: [line(0, 'Read', [[60, 150], [200, 100]]), line(1, 'Second', [[120, 60]]), line(2, 'Line', [[60, 20], [390, 20]], 'path')], // prettier-ignore
  boxes: [],
  marks: [],
  texts: [{ x: 10, y: 20, text: '25', anchor: 'end', size: 10, role: 'tick', turned: false }],
  named: true,
};
const CHART = {
  key: 'trace', title: 'Temperature', sentence: 'It rises by 5 K.', plot: PLOT, square: null,
} as unknown as Shapes['Chart']; // prettier-ignore

describe('a chart', () => {
  afterEach(cleanup);

  it('says in words what is seen, and names every line', () => {
    show(<ChartView chart={CHART} colour="#246" />);
    expect(screen.getByText('It rises by 5 K.')).toBeTruthy();
    expect(screen.getAllByRole('listitem').map((item) => item.textContent)).toEqual([
      'Read',
      'Second',
      'Line',
    ]);
  });

  it('is read with the arrow keys, point by point from left to right', async () => {
    show(<ChartView chart={CHART} colour="#246" />);
    screen.getByRole('img').focus();
    const status = () => screen.getByRole('status').textContent;
    await userEvent.keyboard('{ArrowRight}');
    expect(status()).toBe('Read: t, s 60; T, °C 20');
    await userEvent.keyboard('{ArrowRight}');
    expect(status()).toBe('Second: t, s 120; T, °C 20');
    await userEvent.keyboard('{End}{ArrowRight}');
    expect(status()).toBe('Read: t, s 200; T, °C 20');
    await userEvent.keyboard('{Home}{ArrowLeft}');
    expect(status()).toBe('Read: t, s 60; T, °C 20');
  });

  it('is read by pointer where it stands on the screen', () => {
    show(<ChartView chart={CHART} colour="#246" />);
    const picture = screen.getByRole('img');
    picture.getBoundingClientRect = () => ({ left: 100, top: 50, width: 800, height: 472 }) as DOMRect;
    fireEvent.pointerMove(picture, { clientX: 100 + 242, clientY: 50 + 122 });
    expect(screen.getByRole('status').textContent).toBe('Second: t, s 120; T, °C 20');
  });

  it('points at what is near enough and at nothing else; a drawn line is no reading', () => {
    const spots = spotsOf(PLOT);
    expect(spots.map((spot) => spot.at[0])).toEqual([60, 120, 200]);
    expect(nearest(spots, 190, 104)).toBe(2);
    expect(nearest(spots, 300, 20)).toBeNull();
  });
});

const cell = (row: number, column: number, more: Partial<Shapes['SquareCell']>): Shapes['SquareCell'] => ({
  row, column, trial: 1, shown: null, note: '', name: 'Red at Ag, black at Cu', level: 'keep', void: false,
  expected: false, ...more,
}); // prettier-ignore
const SQUARE: Shapes['Square'] = {
  key: 'E',
  corner: 'red ↓ black →',
  heads: ['Ag', 'Cu'],
  names: ['silver', 'copper'],
  cells: [
    cell(0, 1, { trial: 3 }),
    cell(1, 0, { expected: true, shown: { text: '0.458', doubtful: 0, unit: 'V' }, note: '−9 %' }),
  ],
};

describe('a square', () => {
  afterEach(cleanup);

  it('takes the reading of a cell in hand, and shows what waits to be sent', async () => {
    const choose = vi.fn();
    const waiting = [{ trial: 3, text: '0.421' }];
    show(<SquareView chart={CHART} square={SQUARE} colour="#246" waiting={waiting} onChoose={choose} />);
    const open = screen.getByRole('button', { name: 'Red at Ag, black at Cu' });
    expect(within(open).getByText('0.421')).toBeTruthy();
    await userEvent.click(open);
    expect(choose).toHaveBeenCalledWith(3);
    expect(screen.getByText('−9 %')).toBeTruthy();
  });
});
