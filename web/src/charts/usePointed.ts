import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Shapes } from '../api/client';

type Plot = Shapes['Plot'];
export interface Spot {
  line: number;
  point: number;
  at: [number, number];
  said: string;
}

/** Every point of a plot, from left to right: the order in which arrow keys go through them. */
export const spotsOf = (plot: Plot): Spot[] =>
  plot.lines
    .filter((line) => line.style !== 'path')
    .flatMap((line) =>
      line.points.map((at, point) => ({
        line: line.number,
        point,
        at: at as [number, number],
        said: line.values[point] ?? '',
      })),
    )
    .sort((a, b) => a.at[0] - b.at[0] || a.line - b.line);

/** The spot nearest to a place of the page, within a finger's width of it. */
export function nearest(spots: Spot[], x: number, y: number, reach = 40): number | null {
  let closest: number | null = null;
  let least = reach ** 2;
  spots.forEach(({ at }, place) => {
    const distance = (at[0] - x) ** 2 + (at[1] - y) ** 2;
    if (distance < least) [closest, least] = [place, distance];
  });
  return closest;
}

const STEPS: Record<string, (now: number | null, last: number) => number> = {
  ArrowRight: (now, last) => (now === null ? 0 : Math.min(now + 1, last)),
  ArrowLeft: (now, last) => (now === null ? last : Math.max(now - 1, 0)),
  Home: () => 0,
  End: (_, last) => last,
};

/** Which point is pointed at, by pointer, finger or arrow keys, with what makes a picture answer to them. */
export function usePointed(plot: Plot) {
  const [place, setPlace] = useState<number | null>(null);
  const spots = spotsOf(plot);
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const scale = plot.width / box.width;
    setPlace(nearest(spots, (event.clientX - box.left) * scale, (event.clientY - box.top) * scale));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step || spots.length === 0) return;
    event.preventDefault();
    setPlace((now) => step(now, spots.length - 1));
  };
  return {
    spot: place === null ? undefined : spots[place],
    handlers: { onPointerMove: point, onPointerDown: point, onKeyDown, onBlur: () => setPlace(null) },
  };
}
