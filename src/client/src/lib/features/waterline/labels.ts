import type { Series } from '../../api/client';
import { capital } from '../../messages/figures';
import { below, feltSpans, type Picture } from './scale';

/** A mark in the picture: a seed cut through over its words, or one of the two alone. */
export type LayerMark = {
  layer: number;
  /** How the seed feels there. */
  state: string;
  lines: { text: string; name: boolean }[];
  /** Middle of the mark and its lower edge, px. */
  x: number;
  y: number;
  /** Width of the seed, px; 0 where there is no room for one. */
  seed: number;
  width: number;
  height: number;
};

export const lineHeight = 15;
const seedRoom = 24;

/** About as wide as words are in the picture's 12 px. */
const wide = (text: string, bold: boolean) => text.length * (bold ? 6.9 : 6.2);

/** Whether two marks would be drawn over each other. */
export const overlap = (a: LayerMark, b: LayerMark): boolean =>
  Math.abs(a.x - b.x) < (a.width + b.width) / 2 + 4 && a.y - a.height < b.y && b.y - b.height < a.y;

/**
 * Where the layers say what they are and how they feel: each its name once, where it has most room, the seed above it where
 * there is room; other spans their state. A name that would lie over another stands above it; of the rest, what would lie
 * over something is left out.
 */
export function layerMarks(
  series: Series,
  pic: Picture,
  inside: { left: number; right: number },
  said: (layer: number, state: string) => string,
): LayerMark[] {
  const names: LayerMark[] = [];
  const states: LayerMark[] = [];
  series.layers.forEach((layer, k) => {
    if (layer.kind === 'extra') return;
    const spans = feltSpans(series, k).map((span) => {
      const i = Math.round((span.from + span.to) / 2);
      const foot = pic.y(below(series, k, i));
      return {
        ...span,
        i,
        foot,
        room: pic.at(span.to) - pic.at(span.from),
        bed: foot - pic.y(below(series, k + 1, i)),
      };
    });
    /** Where a name has most room of both kinds. */
    const area = (s: (typeof spans)[number]) => Math.min(s.room, 160) * Math.min(s.bed, 60);
    const roomiest = spans.reduce<(typeof spans)[number] | null>(
      (best, s) => (best && area(best) >= area(s) ? best : s),
      null,
    );
    for (const span of spans) {
      const { i, bed, foot } = span;
      const name = capital(layer.name);
      const felt = said(k, span.state);
      const lines =
        span === roomiest
          ? bed >= 2 * lineHeight + 4 || wide(`${name}, ${felt}`, true) > inside.right - inside.left - 8
            ? [
                { text: name, name: true },
                { text: felt, name: false },
              ]
            : [{ text: `${name}, ${felt}`, name: true }]
          : span.room > wide(felt, false) + 6 && bed > lineHeight + 4
            ? [{ text: felt, name: false }]
            : [];
      const seed = bed >= lines.length * lineHeight + seedRoom && span.room > 30 ? 28 : 0;
      if (lines.length === 0 && seed === 0) continue;
      const width = Math.max(seed, ...lines.map((l) => wide(l.text, l.name)));
      const height = lines.length * lineHeight + (seed ? seedRoom - 2 : 0);
      (span === roomiest ? names : states).push({
        layer: k,
        state: span.state,
        lines,
        // In the middle of its layer; a layer lower than its words carries them with their feet on its own.
        x: Math.min(Math.max(pic.at(i), inside.left + width / 2 + 4), inside.right - width / 2 - 4),
        y: foot - Math.max(3, (bed - height) / 2),
        seed,
        width,
        height,
      });
    }
  });
  const placed: LayerMark[] = [];
  for (const name of names) {
    for (let other; (other = placed.find((p) => overlap(p, name)));) name.y = other.y - other.height - 2;
    placed.push(name);
  }
  for (const state of states) if (!placed.some((p) => overlap(p, state))) placed.push(state);
  return placed;
}
